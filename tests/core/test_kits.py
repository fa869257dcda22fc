"""Kits and what is given: what a student can build on a copy, by whatever door, and what a teacher's later change does to it."""

import random
import unittest
from contextlib import suppress

from hypothesis import HealthCheck, settings
from hypothesis import strategies as st
from hypothesis.stateful import initialize, invariant, rule

from ruddy_trellis.core import Figure
from ruddy_trellis.core.board import Board, Settings
from ruddy_trellis.core.board.settings import KITS as CODES
from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.core.edits import prepare, read_edit
from ruddy_trellis.core.edits.patch import Patch
from ruddy_trellis.core.hand import Alone, StudentHand
from ruddy_trellis.core.kits import KITS, check_students_patch, kit_of
from ruddy_trellis.core.lesson.file import board_from_store, board_to_text, lesson_from_json, lesson_to_json
from ruddy_trellis.core.lesson.student_copy import is_behind, renewed, student_copy
from ruddy_trellis.core.refusal import Refusal

from .test_state_machine import GARDENS, KEYS, LOOKS, BoardMachine

_TRIANGLE = "A=(0,0)\nB=(4,0)\nC=(1,3)\nAB is the segment from A to B\nr is a dial from 1 to 5 in steps of 1 at 2"


def teachers(text=_TRIANGLE, kit="compass", tools=()):
    """A teacher's board with a kit."""
    figure = Figure()
    figure.say(text)
    figure.board.settings = figure.board.settings.with_(kit=kit, kit_tools=tuple(tools))
    return figure.board


def student(board):
    return Alone(student_copy(board), StudentHand)


def said_by(alone, text):
    """What a student is told who says something: the words of the refusal, or "" where it was taken."""
    answers = alone.do(t="say", text=text)
    return next((answer["words"] for answer in answers if answer["t"] == "says" and answer["kind"] == "refusal"), "")


class KitTest(unittest.TestCase):
    def test_what_each_kit_has(self):
        lengths = "the circle with centre C and radius AB"
        for kit, taken, refused in (
            ("straightedge", ["the line through A and C", "D is a point on AB"], ["the circle with centre A through B", lengths]),
            ("closing", ["the circle with centre A through B", "where AB meets the ray from C through A"], [lengths, "the midpoint of AB"]),
            ("compass", ["the circle with centre A through B", lengths], ["the perpendicular bisector of AB", "the length of AB"]),
            ("everything", ["the midpoint of AB", "the length of AB", "A, B and C are in line"], []),
            ("look", [], ["D = (1, 1)", "the line through A and C"]),
        ):
            alone = student(teachers(kit=kit))
            for text in taken:
                before = len(alone.board)
                self.assertEqual(said_by(alone, text), "", (kit, text))
                self.assertGreater(len(alone.board), before, (kit, text))
            for text in refused:
                before = len(alone.board)
                self.assertTrue(said_by(alone, text), (kit, text))
                self.assertEqual(len(alone.board), before, (kit, text))

    def test_no_number_is_set_on_the_compasses(self):
        alone = student(teachers())
        for radius in ("3", "r"):
            self.assertIn(
                "opened to a length of the figure", said_by(alone, f"the circle with centre A and radius {radius}") or "none", radius
            )

    def test_chosen_tools_are_those_and_no_part_of_them_alone(self):
        alone = student(teachers(kit="chosen", tools=("square", "midpoint")))
        self.assertEqual(said_by(alone, "the square on the side from A to B"), "")
        self.assertEqual({step.by for step in alone.board.steps if not alone.board.is_given(step.id)}, {"square"})
        self.assertIn("not in the kit", said_by(alone, "the point C turned about A by 90 degrees"))
        turned = next(step for step in alone.board.steps if step.does == "turned")
        alone.do(
            t="edit", edit={"kind": "retie", "id": turned.id, "does": "turned", "fills": {"point": ["s3"], "centre": ["s1"], "angle": 40}}
        )
        self.assertEqual(alone.board.step(turned.id), turned)
        alone.do(t="undo")
        alone.do(t="redo")
        self.assertIn(turned, alone.board.steps)

    def test_what_is_offered_and_completed_is_in_the_kit(self):
        for kit in ("compass", "straightedge", "closing"):
            alone = student(teachers(kit=kit))
            (answer,) = alone.do(t="select", ids=["s1", "s2"])
            self.assertTrue(answer["offers"])
            self.assertLessEqual({offer["does"] for offer in answer["offers"]}, KITS[kit].keys)
            self.assertFalse(alone.do(t="complete", text="the midp")[-1]["ways"])
            self.assertTrue(alone.do(t="complete", text="the line thr")[-1]["ways"])
            self.assertEqual(alone.do(t="tool", key="midpoint")[0]["kind"], "refusal")
            self.assertEqual(alone.do(t="tool", key="line")[0]["tool"], "line")

    def test_what_is_given_can_be_used_and_moved_and_nothing_else(self):
        alone = student(teachers(kit="everything"))
        given = {step.id: step for step in alone.board.steps}
        for edit in (
            {"kind": "delete", "ids": ["s4"]},
            {"kind": "rename", "id": "s1", "name": "Z"},
            {"kind": "restyle", "ids": ["s4"], "look": {"hidden": True}},
            {"kind": "restyle", "ids": ["s4"], "look": {"pen": "sky"}},
            {"kind": "retie", "id": "s3", "does": "point_on", "fills": {"path": ["s4"], "place": 0.5}},
            {"kind": "arrange", "title": "Mine", "kit": "everything"},
            {"kind": "chalk", "add": [{"pen": "sky", "width": 6, "points": [0, 0, 1, 1]}]},
        ):
            self.assertEqual(alone.do(t="edit", edit=edit)[-1]["kind"], "refusal", edit)
        self.assertEqual(given, {step.id: step for step in alone.board.steps})
        self.assertEqual(said_by(alone, "move C to (2, 2)"), "")
        self.assertEqual(alone.board.value("s3"), (2, 2))
        self.assertEqual(said_by(alone, "M is the midpoint of AB"), "")
        own = alone.board.steps[-1]
        self.assertEqual(own.id, "s1000001")
        for edit in (
            {"kind": "rename", "id": own.id, "name": "N"},
            {"kind": "restyle", "ids": [own.id], "look": {"pen": "sky"}},
            {"kind": "delete", "ids": [own.id]},
        ):
            self.assertNotIn("refusal", [answer.get("kind") for answer in alone.do(t="edit", edit=edit)], edit)
        self.assertNotIn(own.id, alone.board)

    def test_helpers_that_are_hidden_at_once_are_ones_own(self):
        alone = student(teachers("A=(0,0)\nB=(4,0)\nk is the circle with centre A through B\nP is a point on k at 50"))
        alone.do(t="edit", edit={"kind": "add", "steps": [{"does": "circle", "fills": {"centre": ["s2"], "point": ["s1"]}}]})
        alone.do(
            t="edit", edit={"kind": "add", "steps": [{"does": "intersection", "fills": {"a": ["s3"], "b": ["s1000001"], "which": "first"}}]}
        )
        alone.do(t="edit", edit={"kind": "tidy"})
        self.assertEqual([step.id for step in alone.board.steps if step.look.hidden], ["s1000001"])

    def test_a_copy_comes_back_from_what_is_kept_of_it(self):
        alone = student(teachers(kit="chosen", tools=("square",)))
        said_by(alone, "the square on the side from A to B")
        again = board_from_store(board_to_text(alone.board))
        self.assertEqual((again.steps, again.settings), (alone.board.steps, alone.board.settings))
        # As a lesson of a teacher's it is theirs to change.
        _, (lesson,) = lesson_from_json(lesson_to_json("Copied", [alone.board]))
        self.assertFalse(any(lesson.is_given(step.id) or step.by for step in lesson.steps))

    def test_what_is_covered_is_in_no_working(self):
        board = teachers("A=(0,0)\nB=(4,0)\nS is the length of AB\nh is the value of S * 7", "everything")
        prepare(board, read_edit({"kind": "restyle", "ids": ["s4"], "look": {"cover": True}})).apply(board)
        (told,) = student(board).do(t="working")
        self.assertNotIn("7", told["lines"][-1]["words"])
        self.assertEqual([line["given"] for line in told["lines"]], [True] * 4)


class TeachersChangeTest(unittest.TestCase):
    def test_a_change_is_seen_and_taken(self):
        board = teachers(kit="everything")
        alone = student(board)
        for text in ("M is the midpoint of AB", "p is the perpendicular to AB through C", "D is the midpoint of A and C"):
            said_by(alone, text)
        self.assertFalse(is_behind(alone.board, board))
        board.move({"s1": (1, 1)})
        self.assertFalse(is_behind(alone.board, board), "where a peg is now is nobody's change")
        prepare(board, read_edit({"kind": "delete", "ids": ["s5"]})).apply(board)
        prepare(board, read_edit({"kind": "add", "steps": [{"does": "free_point", "fills": {"at": [5, 5]}, "name": "M"}]})).apply(board)
        self.assertTrue(is_behind(alone.board, board))
        found = renewed(alone.board, student_copy(board))
        self.assertFalse(is_behind(found.board, board))
        self.assertIn("M is ", found.words)
        names = [found.board.name(step.id) for step in found.board.steps]
        self.assertEqual(len(names), len(set(names)))
        self.assertIn("D", names)
        self.assertEqual(found.board.value(found.board.ids_named("D")[0]), (1, 2))

    def test_what_hung_on_what_is_gone_is_named_before_it_goes(self):
        board = teachers("A=(0,0)\nB=(4,0)\nk is the circle with centre A through B", "everything")
        alone = student(board)
        for text in ("P is a point on k at 40", "the segment from A to P", "Q is the midpoint of AB"):
            said_by(alone, text)
        prepare(board, read_edit({"kind": "delete", "ids": ["s3"]})).apply(board)
        found = renewed(alone.board, student_copy(board))
        self.assertIn("point P and segment AP", found.words)
        self.assertEqual([found.board.name(step.id) for step in found.board.steps], ["A", "B", "Q"])

    def test_nothing_goes_back_behind_it(self):
        board = teachers(kit="everything")
        alone = student(board)
        said_by(alone, "M is the midpoint of AB")
        before = alone.board.copy()
        prepare(board, read_edit({"kind": "delete", "ids": ["s5"]})).apply(board)
        after = renewed(before, student_copy(board)).board
        back = Patch(
            "Added what is not there any more",
            tuple(enumerate(after.steps)),
            tuple(enumerate(before.steps)),
            after.settings,
            before.settings,
        )
        with self.assertRaises(Refusal):
            check_students_patch(after, back)


class StudentMachine(BoardMachine):
    """A student with some kit who does anything at a copy, by every door, also past what the hand lets through."""

    @initialize(garden=st.sampled_from(("A=(0,0)\nB=(3,1)", *GARDENS)), kit=st.sampled_from(CODES), data=st.data())
    def begin(self, garden, kit, data):
        board = Board(Settings(view=(-10.0, -6.0, 10.0, 6.0), ground="blank"))
        with suppress(Refusal):
            prepare(board, read_edit({"kind": "paste", "text": garden})).apply(board)
        tools = data.draw(st.lists(st.sampled_from(KEYS), max_size=12, unique=True)) if kit == "chosen" else ()
        board.settings = board.settings.with_(kit=kit, kit_tools=tuple(tools))
        chance = random.Random(data.draw(st.integers(0, 1000)))
        looks = [{"locked": True}, {"teacher_only": True}, {"hidden": True}, *LOOKS]
        for step in chance.sample(board.steps, min(3, len(board))):
            with suppress(Refusal):
                prepare(board, read_edit({"kind": "restyle", "ids": [step.id], "look": chance.choice(looks)})).apply(board)
        self.alone = student(board)
        self.given = [self.fixed(step) for step in self.alone.board.steps]
        self.held = {step.id: self.followed(step) for step in self.alone.board.steps if step.look.locked}

    @staticmethod
    def fixed(step):
        return step.with_(fills={gap: fill for gap, fill in step.fills.items() if gap not in (step.construction.moved_gap, "near")})

    @staticmethod
    def followed(step):
        """A step without which of several crossings it is: that follows what other things do."""
        return step.with_(fills={gap: fill for gap, fill in step.fills.items() if gap != "near"})

    @rule(data=st.data(), key=st.sampled_from(KEYS))
    def force(self, data, key):
        """An edit that reaches the table by some other message than the hand's."""
        board, chooser = self.alone.board, self.choose(data)
        edit = {"kind": "add", "steps": [{"does": key, "fills": chooser.fills(CATALOGUE[key])}]}
        if chooser.chance(3):
            edit = {"kind": "delete", "ids": chooser.ids(None, 2)}
        with suppress(Refusal):
            self.alone._applied(prepare(board, read_edit(edit)))

    @invariant()
    def what_is_given_stays_and_what_is_made_is_in_the_kit(self):
        if not hasattr(self, "alone"):
            return
        board = self.alone.board
        kit = kit_of(board.settings)
        assert [self.fixed(step) for step in board.steps if board.is_given(step.id)] == self.given
        assert all(self.followed(board.step(id)) == step for id, step in self.held.items())
        for step in board.steps:
            if not board.is_given(step.id):
                assert kit.has_tool(step.does) or kit.has_tool(step.by or ""), (kit.code, step)


StudentMachine.TestCase.settings = settings(
    max_examples=60, stateful_step_count=20, deadline=None, derandomize=True, suppress_health_check=list(HealthCheck), print_blob=False
)


class AnyStudentTest(StudentMachine.TestCase):
    """The machine as a test."""


# The machine that it goes on from has a test of its own.
del BoardMachine

if __name__ == "__main__":
    unittest.main()
