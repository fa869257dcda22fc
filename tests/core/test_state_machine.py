"""Anything done at a board in any order: nothing but a refusal is raised, and the board is always what its steps say."""

import random
import unittest

from hypothesis import HealthCheck, settings
from hypothesis import strategies as st
from hypothesis.stateful import RuleBasedStateMachine, initialize, invariant, rule

from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.core.hand import Alone
from ruddy_trellis.core.language.printing import working_text

from ..bank.heaps import spoken
from .random_board import NAMES, Chooser, check, empty_board, sayable

KEYS = sayable()
#: Figures in which much hangs together, to start from.
GARDENS = (
    "A=(0,0)\nB=(5,0)\nk is the circle with centre A and radius 3\nP is a point on k at 50\nM is the midpoint of B and P\n"
    "c is the locus of M as P runs\nZ=(4,4)",
    "A=(0,0)\nB=(4,0)\nC=(1,3)\nABC is the polygon through A, B, C\np is the line through A and C\nt is the reflection in p\n"
    "α is the angle inside ABC at A",
    "A=(0,0)\nB=(4,0)\nC=(4,3)\nAB is the segment from A to B\nBC is the segment from B to C\nm is the equal-length mark on AB\n"
    "n is the equal-length mark on BC\nb is the parallel mark on AB",
    "A=(0,0)\nB=(4,1)\nC=(2,3)\nf is a dial from -2 to 3 in steps of 0.5 at 1\n"
    "t is the enlargement from A by the factor f\np is the line through B and C\n"
    "the image of p under t\nu is the family of p under t, for 0.5, 1, 2\nd is the length of BC\nh is the value of d * 2",
    "A=(-2,0)\nB=(2,0)\nC=(0,1.5)\nk is the ellipse with foci A and B through C\nD=(1,1)\nl is the circle with centre D and radius 1.2\n"
    "all crossings of k and l\nP is a point on k at 30\nw is the words “here” beside k",
    "A=(0,0)\nB=(5,0)\nC=(4,4)\nABC is the polygon through A, B, C\nr is a dial from -1 to 5 in steps of 0.5 at 3\n"
    "j is the places at most r from A\ni is the places nearer to AB than to BC\n"
    "n is the places from which AB is seen at more than 40 degrees\n"
    "z is the region where all of j, i and n hold within ABC\ny is the region where any of j and n hold\nl is the edge of z\n"
    "P is a point on l at 0.3\nS is the area of z\nv is whether B is in y\nu is a question whether C is in y\nthe compass work of i",
)  # fmt: skip

LOOKS = (
    {"hidden": True}, {"part": True}, {"snap": True}, {"cover": True}, {"locked": True}, {"caption": "{name} {value}"}, {"decimals": 7},
    {"trail": 0}, {"label": True}, {"label_offset": [9, 9]},
)  # fmt: skip


class BoardMachine(RuleBasedStateMachine):
    """One person who does anything at one board."""

    @initialize(garden=st.sampled_from(("", *GARDENS)))
    def begin(self, garden):
        self.alone = Alone(empty_board())
        if garden:
            self.alone.do(t="edit", edit={"kind": "paste", "text": garden})

    def edit(self, **edit):
        return self.alone.do(t="edit", edit=edit)

    def choose(self, data):
        return Chooser(data, self.alone.board)

    @rule(data=st.data())
    def put_a_point(self, data):
        self.edit(kind="add", steps=[{"does": "free_point", "fills": {"at": self.choose(data).place()}}])

    @rule(data=st.data(), key=st.sampled_from(KEYS))
    def make(self, data, key):
        self.edit(kind="add", steps=[{"does": key, "fills": self.choose(data).fills(CATALOGUE[key])}])

    @rule(data=st.data())
    def drag(self, data):
        chooser = self.choose(data)
        if ids := chooser.ids(None, 2):
            self.alone.do(t="grab", ids=ids, at=chooser.place())
            points = [value for step, value in zip(self.alone.board.steps, self.alone.board.values) if step.makes == "point" and value]
            for seq in range(2):
                to = chooser.one([*points, (9.5e6, -9.5e6), (0.0, 0.0)]) if chooser.chance(6) else chooser.place()
                near = {
                    step.id: [*chooser.place(), *(chooser.place() if chooser.chance(3) else ())] for step in self.alone.board.steps[-4:]
                }
                self.alone.do(t="drag", to=list(to), seq=seq, near=near if chooser.chance(4) else {})
                check(self.alone.board, self.alone.extent)
            if chooser.chance(9):
                self.alone.do(t="drop")

    @rule(data=st.data())
    def nudge(self, data):
        chooser = self.choose(data)
        if ids := chooser.ids(None, 2):
            self.alone.do(t="nudge", ids=ids, by=chooser.place())

    @rule()
    def undo(self):
        self.alone.do(t="undo")

    @rule()
    def redo(self):
        self.alone.do(t="redo")

    @rule(data=st.data())
    def delete(self, data):
        if ids := self.choose(data).ids(None, 2):
            self.edit(kind="delete", ids=ids)

    @rule(data=st.data())
    def retie(self, data):
        chooser = self.choose(data)
        if ids := chooser.ids(None, 1):
            makes = self.alone.board.step(ids[0]).makes
            construction = CATALOGUE[chooser.one([one.key for one in CATALOGUE if one.makes == makes])]
            fills = chooser.fills(construction)
            if "place" in construction.gap_by_name and chooser.chance(5):
                fills["place"] = "nearest"
            self.edit(kind="retie", id=ids[0], does=construction.key, fills=fills)

    @rule(data=st.data())
    def loosen(self, data):
        if ids := self.choose(data).ids(("point",), 1):
            self.alone.do(t="loosen", id=ids[0])

    @rule(data=st.data(), name=st.sampled_from(NAMES))
    def rename(self, data, name):
        if ids := self.choose(data).ids(None, 1):
            self.edit(kind="rename", id=ids[0], name=name)

    @rule(data=st.data(), look=st.sampled_from(LOOKS))
    def restyle(self, data, look):
        if ids := self.choose(data).ids(None, 3):
            self.edit(kind="restyle", ids=ids, look=look)

    @rule(data=st.data())
    def tell(self, data):
        chooser = self.choose(data)
        if ids := chooser.ids(("number",), 2):
            self.edit(kind="arrange", log=ids, logging=chooser.chance(5), nice=[ids[0], 0.5] if chooser.chance(5) else None)
            self.edit(kind="record")

    @rule(data=st.data(), pressed=st.booleans())
    def chalk(self, data, pressed):
        chooser = self.choose(data)
        points = [*chooser.place(), *chooser.place()]
        strokes = [{"pen": "sky", "width": 6, "points": points, "presses": [0.2, 1.0] if pressed else []}] * chooser.chance(7)
        gone = [stroke.id for stroke in self.alone.board.chalk][: chooser.chance(3)]
        self.edit(kind="chalk", add=strokes, wipe=gone)

    @rule(data=st.data())
    def lay_a_picture_under_it(self, data):
        chooser = self.choose(data)
        if chooser.chance(5):
            under = {"mark": "a" * 64, "at": chooser.place(), "width": 5, "tall": 0.5} if chooser.chance(8) else None
            self.edit(kind="arrange", photograph=under)
        self.edit(kind="fit_photograph", first=chooser.place(), second=chooser.place(), length=chooser.one((1e-9, 1, 1e6)))

    @rule(data=st.data())
    def ask(self, data):
        chooser = self.choose(data)
        for id in chooser.ids(None, 1):
            self.alone.do(t=chooser.one(("ask", "quiz")), id=id)
            self.alone.do(t="quiz", id=id, last={"numbers": chooser.one(((1, 3), (2, 8), (5, 5)))}, answer="vertical")
            self.alone.do(t="prove", id=id, go=chooser.chance(5))

    @rule()
    def tidy(self):
        self.edit(kind="tidy")

    @rule(data=st.data())
    def select(self, data):
        chooser = self.choose(data)
        (answer,) = self.alone.do(t="select", ids=chooser.ids(None, 4))
        if answer["offers"]:
            self.alone.do(t="offer", number=chooser.one(range(len(answer["offers"]))))

    @rule(data=st.data(), key=st.sampled_from(KEYS))
    def point_at(self, data, key):
        chooser = self.choose(data)
        self.alone.do(t="tool", key=key)
        for _ in range(3):
            at = chooser.place()
            self.alone.do(t="hover", at=at, reach=0.3)
            if chooser.chance(2):
                self.alone.do(t="say", text=chooser.one(["2", "A", "(1, 1)", "AB", "y = x", "{", "∠", "3 times", "once"]))
            for answer in self.alone.do(t="click", at=at, reach=0.3):
                if answer["t"] == "which":
                    self.alone.do(t="click", at=at, reach=0.3, id=answer["ways"][0]["id"])
        self.alone.do(t="finish")
        self.alone.do(t="tool", key=None)

    @rule(number=st.integers(0, 2**20))
    def speak(self, number):
        board = self.alone.board
        text = spoken(random.Random(number), [board.name(step.id) for step in board.steps][-8:] or ["A"])
        for answer in self.alone.do(t="say", text=text):
            if answer["t"] == "sentences":
                self.alone.do(t="say", text=text, take=True)

    @rule(data=st.data())
    def paste_again(self, data):
        lines = working_text(self.alone.board).splitlines()
        self.edit(kind="paste", text="\n".join(lines[-2:]))

    @rule()
    def shake(self):
        self.alone.do(t="shake")

    @rule(number=st.integers(0, 5))
    def bring_back(self, number):
        self.alone.do(t="bring_back", number=number)

    @rule(data=st.data())
    def look_ahead(self, data):
        if ids := self.choose(data).ids(None, 1):
            self.alone.do(t="ahead", edit={"kind": "delete", "ids": ids})

    @invariant()
    def the_board_is_what_its_steps_say(self):
        if hasattr(self, "alone"):
            check(self.alone.board, self.alone.extent)


BoardMachine.TestCase.settings = settings(
    max_examples=70, stateful_step_count=20, deadline=None, derandomize=True, suppress_health_check=list(HealthCheck), print_blob=False
)


class AnythingTest(BoardMachine.TestCase):
    """The machine as a test."""


if __name__ == "__main__":
    unittest.main()
