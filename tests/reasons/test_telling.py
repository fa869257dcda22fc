"""Reasons as people meet them: words, conditions, hints, on the board, and when the figure lies otherwise."""

import json
import unittest
from itertools import pairwise
from pathlib import Path

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.edits import Add, Move, NewStep, perform
from ruddy_trellis.core.kinds import CLAIM
from ruddy_trellis.core.lesson.file import lesson_from_json
from ruddy_trellis.core.truth.reasons.putting import WAYS, put_on_board
from ruddy_trellis.core.truth.reasons.telling import still_runs, told_reason
from ruddy_trellis.core.truth.verdicts import FAILS, first_verdict

from .bank import claimed

FOUR = "A = (0, 0)\nB = (6, 0.5)\nC = (7, 4)\nD = (1, 5)\nKLMN is the polygon through K, L, M, N\n"
MIDDLES = (
    "A = (0, 0)\nB = (6, 0.5)\nC = (7, 4)\nD = (1, 5)\nK is the midpoint of AB\nL is the midpoint of BC\nM is the midpoint of CD\n"
    "N is the midpoint of DA\nKLMN is the polygon through K, L, M, N"
)
ARCS = "A = (0, 0)\nB = (5, 1)\nC = (2, 4)\nc is the arc through A, C and B\nD is a point on c at 0.3"
DEMO = Path(__file__).parents[2] / "ruddy_trellis" / "demo" / "lessons"


def told_of(sentences, text, words=0):
    board, claim = claimed(sentences, text)
    told = told_reason(board, claim, words)
    assert told is not None, text
    return board, claim, told


class WordsTest(unittest.TestCase):
    def test_the_middle_of_four_sides(self):
        _, _, told = told_of(MIDDLES, "KLMN is a parallelogram")
        self.assertEqual([line.says for line in told.given], [f"{name} is the midpoint of {ends}" for name, ends in
                                                              (("K", "AB"), ("L", "BC"), ("N", "AD"), ("M", "CD"))])  # fmt: skip
        self.assertEqual(told.steps[0].says, "AC is parallel to KL")
        self.assertEqual((told.steps[0].because, told.steps[0].cites), ("midpoint theorem", ("a", "b")))
        self.assertEqual(told.steps[-1].says, "KLMN is a parallelogram")
        self.assertEqual(told.text.splitlines()[-1], "So KLMN is a parallelogram.")
        self.assertEqual(told.first, ("Join AC and BD.",) if told.first else ())

    def test_every_line_cites_only_what_was_told(self):
        for sentences, text in ((MIDDLES, "KLMN is a parallelogram"), (ARCS, "angle ACB = angle ADB")):
            _, _, told = told_of(sentences, text)
            known = set()
            for line in (*told.given, *told.steps):
                self.assertTrue(set(line.cites) <= known, line)
                known.add(line.number)

    def test_names_follow_where_the_teacher_teaches(self):
        sentences = "A = (0, 0)\nB = (4, 0)\nk is the circle with centre A through B\nC is a point on k at 50\nM is the midpoint of BC"
        here, there = (told_of(sentences, "angle BAM = angle CAM", words)[2] for words in (0, 1))
        self.assertEqual([line.says for line in here.steps], [line.says for line in there.steps])
        _, _, sides = told_of("A = (0, 0)\nB = (5, 1)\nC = (2, 4)\nD is the point C turned about A by 90 degrees\n"
                              "E is the point B turned about A by -90 degrees", "CE = BD", 1)  # fmt: skip
        self.assertIn("SAS", [line.because for line in sides.steps])

    def test_a_helper_is_said_first(self):
        _, _, told = told_of(ARCS, "angle ACB = angle ADB")
        self.assertRegex(told.first[0], r"^Draw first: . is the centre of c\.$")
        self.assertTrue(told.helpers)

    def test_conditions_are_told(self):
        _, _, told = told_of(ARCS, "angle ACB = angle ADB")
        self.assertIn("on one side of AB", " ".join(where for line in told.steps for where in line.where))

    def test_hints_give_only_the_beginning(self):
        _, _, told = told_of(ARCS, "angle ACB = angle ADB")
        self.assertEqual(told.hints[: len(told.first)], told.first)
        self.assertIn(told.steps[0].says, told.hints[-1])
        self.assertNotIn(told.steps[-1].says, " ".join(told.hints))

    def test_what_is_only_given_has_no_reason(self):
        board, claim = claimed("A = (0, 0)\nB = (5, 1)\nM is the midpoint of AB", "AM = MB")
        told = told_reason(board, claim)
        self.assertTrue(told is None or all(line.because for line in told.steps))
        board, claim = claimed("A = (0, 0)\nB = (5, 1)\np is the perpendicular bisector of AB\nC is a point on p at 3", "CA = CB")
        self.assertIsNone(told_reason(board, claim))


class ArrangementTest(unittest.TestCase):
    ROUND = (
        "O = (0, 0)\nA = (4, 0)\nk is the circle with centre O through A\nB is a point on k at 110\nC is a point on k at 200\n"
        "D is a point on k at 310\nAC is the segment from A to C\nBD is the segment from B to D\nP is where AC meets BD"
    )

    def test_it_steps_back_where_the_figure_lies_otherwise(self):
        board, claim, told = told_of(self.ROUND, "PA * PC = PB * PD")
        self.assertTrue(told.lies)
        self.assertTrue(still_runs(board, claim, told))
        peg = board.find("B")
        perform(board, Move(numbers={peg: [118.0]}))
        self.assertTrue(still_runs(board, claim, told), "still so arranged")
        perform(board, Move(numbers={peg: [255.0]}))
        self.assertFalse(still_runs(board, claim, told))
        perform(board, Move(numbers={peg: [110.0]}))
        self.assertTrue(still_runs(board, claim, told))

    def test_the_plainest_of_several_is_told_however_the_figure_lies(self):
        """Two angles over an arc are each half of one at the centre, or of what is left of it to 360°: three steps, not six."""
        for corner in ("(1, 3)", "(0.5, -1)", "(-2, 5)", "(3.5, -1)", "(0, 2.01)"):
            figure = f"A = (-4, -2)\nB = (4, -2)\nC = {corner}\nc is the arc through A, C and B\nD is a point on c at 0.3"
            _, _, told = told_of(figure, "angle ACB = angle ADB")
            self.assertEqual([line.because for line in told.steps[:2]], ["angle at the centre"] * 2, corner)
            self.assertEqual(len(told.steps), 3, corner)

    def test_with_a_helper_as_well(self):
        board, claim, told = told_of(ARCS, "angle ACB = angle ADB")
        self.assertTrue(told.helpers and told.lies)
        self.assertTrue(still_runs(board, claim, told))
        taken = board.copy()
        perform(taken, Add(steps=[NewStep(does="free_point", name=told.helpers[0]["name"], fills={"at": [1.0, 6.0]})]))
        self.assertFalse(still_runs(taken, claim, told), "its helper is something else now")
        perform(board, Move(numbers={board.find("C"): [2.5, 0.7]}))
        self.assertFalse(still_runs(board, claim, told), "the centre is on the other side now")


class PuttingTest(unittest.TestCase):
    def test_every_way_can_be_put_and_undone_as_one(self):
        board, _, told = told_of(MIDDLES, "KLMN is a parallelogram")
        for way in WAYS:
            ahead = board.copy()
            perform(ahead, put_on_board(board, told, way))
            new = ahead.steps[len(board.steps) :]
            covered = [step for step in new if step.look.cover]
            self.assertEqual(
                len(covered), {"hints": len(told.hints), "reasons": len(told.steps), "statements": len(told.steps)}.get(way, 0), way
            )
            if way == "reveals":
                self.assertEqual(sum(step.makes == "reveal" for step in new), len(told.steps) + 1)
        with self.assertRaises(Refusal):
            put_on_board(board, told, "upside down")

    def test_nothing_is_put_upon_the_claim_or_upon_another_row(self):
        board, claim, told = told_of(MIDDLES, "KLMN is a parallelogram")
        _, low, _, high = board.settings.view
        rows = {step.fills["at"][1] for step in put_on_board(board, told, "reveals").steps}
        heights = sorted([*rows, board.value(claim)[1]])
        self.assertGreater(min(b - a for a, b in pairwise(heights)), 0.03 * (high - low))
        self.assertTrue(all(low <= one <= high for one in heights))

    def test_too_many_lines_are_refused(self):
        board, _, told = told_of(MIDDLES, "KLMN is a parallelogram")
        from dataclasses import replace

        long = replace(told, steps=told.steps * 8)
        with self.assertRaises(Refusal):
            put_on_board(board, long, "lines")


class DemoTest(unittest.TestCase):
    def test_three_lessons_tell_their_reasons(self):
        for name in ("02-any-four-sided-bed", "04-the-bed-with-nine-posts", "14-the-stake-on-the-wall"):
            _, boards = lesson_from_json(json.loads((DEMO / f"{name}.json").read_text("utf-8")))
            told = 0
            for board in boards:
                if name.startswith("02") and not any(step.makes == CLAIM for step in board.steps):
                    from ruddy_trellis.core.edits.saying import claim_said

                    perform(board, Add(steps=claim_said("KLMN is a parallelogram", board)))
                for step in [step for step in board.steps if step.makes == CLAIM]:
                    if first_verdict(board, step.id).verdict != FAILS:
                        self.assertIsNotNone(told_reason(board, step.id, seconds=20), f"{name}: {board.name(step.id)}")
                        told += 1
            self.assertTrue(told, name)


if __name__ == "__main__":
    unittest.main()
