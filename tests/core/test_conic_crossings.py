"""Crossings of two conics are followed: none jumps but where two of them meet, and the way back gives the same figure."""

import itertools
import math
import random
import unittest

from ruddy_trellis.core.arithmetic import FLOATS
from ruddy_trellis.core.board import Board
from ruddy_trellis.core.edits import Paste, perform
from ruddy_trellis.core.formulas import conics
from ruddy_trellis.core.hand import Alone
from ruddy_trellis.core.language.printing import working_text
from ruddy_trellis.core.lesson.file import BoardData, board_from_data, board_to_json

from .figures import figure

ELLIPSE = "A=(-2,0)\nB=(2,0)\nC=(0,1.5)\np is the ellipse with foci A and B through C\n"
FIRST = {
    "ellipse": ELLIPSE,
    "hyperbola": "A=(-2,0)\nB=(2,0)\nC=(1.1,0.4)\np is the hyperbola with foci A and B through C\n",
    "parabola": "A=(0,1)\nB=(-3,-1)\nC=(3,-1)\ns is the line through B and C\np is the parabola with focus A and directrix s\n",
}
SECOND = {
    "circle": "D=(0.3,0.2)\nr is the circle with centre D and radius 2\n",
    "ellipse": "D=(0.4,-2)\nE=(-0.2,2.2)\nF=(1.4,0)\nr is the ellipse with foci D and E through F\n",
    "hyperbola": "D=(0.3,-1.5)\nE=(-0.2,1.4)\nF=(0,0.6)\nr is the hyperbola with foci D and E through F\n",
    "parabola": "D=(0.5,0)\nE=(-1.5,-3)\nF=(-1.4,3)\ng is the line through E and F\nr is the parabola with focus D and directrix g\n",
}


def crossings(figure):
    figure.say("all crossings of p and r")
    return [step.id for step in figure.board.steps if step.does == "intersection"]


def sharpness(board, at):
    """The sine of the angle at which the two conics cross at a point."""
    slopes = []
    for name in "pr":
        value = board.value(board.find(name))
        if value is None:
            return 0.0
        fx, fy, ux, uy, latus = value if len(value) == 5 else (value[0], value[1], 0, 0, math.sqrt(value[2]))
        reach = ux * (at[0] - fx) + uy * (at[1] - fy) + latus
        slopes.append((at[0] - fx - reach * ux, at[1] - fy - reach * uy))
    (px, py), (qx, qy) = slopes
    return abs(px * qy - py * qx) / (math.hypot(px, py) * math.hypot(qx, qy))


class FollowTest(unittest.TestCase):
    def test_a_circle_that_grows_a_little_keeps_its_crossings(self):
        f = figure(
            ELLIPSE + "D=(1,1)\nd is a length dial from 0 to 5 in steps of 0.01 at 0.5\nr is the circle with centre D and radius d\n"
        )
        ids = crossings(f)
        before = [f.board.value(id) for id in ids]
        for value in (0.55, 0.56, 0.57, 0.58, 0.59, 0.6):
            f.drag("d", value)
            now = [f.board.value(id) for id in ids]
            for one, other in zip(before, now):
                if one and other:
                    self.assertLess(math.dist(one, other), 0.12)
            before = now
        self.assertEqual(sum(at is not None for at in before), 2)

    def test_a_pair_that_is_born_takes_numbers_of_its_own(self):
        f = figure(
            ELLIPSE + "D=(0,-1)\nd is a length dial from 0 to 5 in steps of 0.01 at 2.4\nr is the circle with centre D and radius d\n"
        )
        ids = crossings(f)
        f.drag("d", 2.49)
        there = {id: f.board.value(id) for id in ids if f.board.value(id)}
        self.assertEqual(len(there), 2)
        f.drag("d", 2.52)
        self.assertEqual(sum(f.board.value(id) is not None for id in ids), 4)
        for id, at in there.items():
            self.assertLess(math.dist(at, f.board.value(id)), 0.3)

    def test_turned_by_a_full_turn_each_crossing_is_where_the_one_after_the_next_was(self):
        f = figure(
            ELLIPSE + "t is an angle dial from 0 to 360 in steps of 1 at 40\nO=(0,0)\n"
            "m is the rotation about O by t degrees\nr is the image of p under m"
        )
        ids = crossings(f)
        before = [f.board.value(id) for id in ids]
        for turn in [*range(40, 180), *range(180, 361)][1:]:
            if turn % 180:  # there the two are one
                f.drag("t", turn)
        for turn in range(1, 41):
            f.drag("t", turn)
        after = [f.board.value(id) for id in ids]
        self.assertEqual(sum(math.dist(one, other) < 1e-6 for one in before for other in after), 4, "the same four points")

    def test_undo_saving_and_text_bring_back_the_same(self):
        alone = Alone(figure(ELLIPSE + SECOND["circle"]).board)
        alone.do(
            t="edit",
            edit={"kind": "add", "steps": [{"does": "crossings", "fills": {"a": [alone.board.find("p")], "b": [alone.board.find("r")]}}]},
        )
        peg, start = alone.board.find("D"), list(alone.board.values)
        alone.do(t="grab", ids=[peg], at=[0.3, 0.2])
        for number in range(1, 200):
            alone.do(t="drag", to=[0.3 + 3 * number / 200, 0.2 + math.sin(number / 15)], seq=number)
        alone.do(t="drop")
        moved = list(alone.board.values)
        read = board_from_data(BoardData.model_validate(board_to_json(alone.board)))
        self.assertEqual(read.values, moved)
        again = Board(alone.board.settings)
        perform(again, Paste(text=working_text(alone.board)))
        self.assertEqual(again.values, moved)
        alone.do(t="undo")
        self.assertEqual(alone.board.values, start)
        alone.do(t="redo")
        self.assertEqual(alone.board.values, moved)
        alone.do(t="edit", edit={"kind": "move", "numbers": {peg: [0, 0]}})
        alone.do(t="undo")
        self.assertEqual(alone.board.values, moved)

    def test_no_crossing_jumps_and_the_way_back_is_the_same(self):
        walk_all(self, 120)


def walk_all(test, steps):
    """Walk every pair of conics at random by small steps of one peg after another, and back."""
    for one, other in itertools.product(FIRST, SECOND):
        with test.subTest(f"{one} and {other}"):
            f = figure(FIRST[one] + SECOND[other])
            ids = crossings(f)
            walk(test, f, ids, steps, random.Random(f"{one} {other}"))


def walk(test, f, ids, steps, chance, size=0.01):
    board = f.board
    pegs = [step.id for step in board.steps if step.does == "free_point"]
    peg, heading, seen = pegs[0], 0.0, []
    for number in range(steps):
        if number % 40 == 0:
            peg, heading = chance.choice(pegs), chance.uniform(0, 6.3)
        heading += chance.uniform(-0.2, 0.2)
        x, y = board.value(peg)
        before = [board.value(id) for id in ids]
        clear = [at is not None and sharpness(board, at) > 0.1 for at in before]
        seen.append((peg, (x, y), list(board.values)))
        board.move({peg: (x + size * math.cos(heading), y + size * math.sin(heading))})
        now = [board.value(id) for id in ids]
        for name, at, was_clear, after in zip(map(board.name, ids), before, clear, now):
            if was_clear and after is not None and math.dist(at, after) > 20 * size:
                # It has gone far, as crossings of flat conics do; but no other one may have come to where it was.
                nearest = min(math.dist(at, other) for other in now if other)
                test.assertGreater(nearest, math.dist(at, after) / 4, f"{name} jumped in step {number}")
        if None not in (f.value("p"), f.value("r")):
            # They come and go in pairs.
            test.assertEqual(sum(at is None for at in before) % 2, sum(at is None for at in now) % 2, f"in step {number}")
        there = [board.value(id) for id in ids if board.value(id)]
        for p, q in itertools.combinations(there, 2):
            if sharpness(board, p) > 1e-3:  # where they touch, two are one
                test.assertGreater(math.dist(p, q), 1e-9, f"two crossings are one in step {number}")
    for peg, at, values in reversed(seen):
        board.move({peg: at})
        for id in ids:
            place = board.place(id)
            value, old = board.values[place], values[place]
            test.assertEqual(value is None, old is None)
            if value is not None:
                test.assertLess(math.dist(value, old), 1e-5)


class FocusTest(unittest.TestCase):
    POINTS = ((3, 0.2), (0.1, 1.4), (-2.9, 0.3), (-1, -1.3), (1.5, -1.1))

    def through(self, x, y, turn=0.0):
        cosine, sine = math.cos(turn), math.sin(turn)
        at = [(x + cosine * px - sine * py, y + sine * px + cosine * py) for px, py in self.POINTS]
        lines = "\n".join(f"{name}=({px!r},{py!r})" for name, (px, py) in zip("ABCDE", at))
        f = figure(lines + "\nk is the conic through A, B, C, D and E\nF is the focus of k")
        fx, fy = f.value("F")
        return cosine * (fx - x) + sine * (fy - y), cosine * (fy - y) - sine * (fx - x)

    def test_the_first_focus_does_not_depend_on_where_the_origin_is_nor_on_what_is_up(self):
        plain = self.through(0, 0)
        for x, y in ((7, 3), (-9, 2), (0.5, -8), (-4, -4), (0, 0)):
            for turn in (0.0, 1.0, 2.5, 4.0):
                with self.subTest(x=x, y=y, turn=turn):
                    self.assertLess(math.dist(self.through(x, y, turn), plain), 1e-6)

    def test_a_sheared_circle_keeps_its_first_focus_wherever_it_is(self):
        places = []
        for x in (-6, 0, 6):
            f = figure(
                f"A=({x},1)\nB=({x + 2},1)\nk is the circle with centre A through B\nS=(0,0)\nT=(1,0)\np is the line through S and T\n"
                "t is the shear along p with the factor 0.8\nthe image of k under t"
            )
            image = next(step.id for step in f.board.steps if step.does == "bent_circle")
            fx, fy = f.board.value(image)[:2]
            places.append((fx - x, fy))
        for place in places[1:]:
            self.assertLess(math.dist(place, places[0]), 1e-9)

    def test_both_foci_are_there_and_serve_the_same_conic(self):
        f = figure(ELLIPSE)
        value = f.value("p")
        self.assertEqual(value[:2], (-2, 0))
        self.assertLess(math.dist(conics.second_focus(FLOATS, value), (2, 0)), 1e-9)
