"""What is asked of a class, and how an answer is judged on the board of who gives it: by the geometry of that board."""

import unittest
from dataclasses import replace
from math import cos, pi, sin

from ruddy_trellis.core import Figure
from ruddy_trellis.core.classroom import asking, collecting, showing
from ruddy_trellis.core.display import Extent, display
from ruddy_trellis.core.lesson.student_copy import student_copy
from ruddy_trellis.core.refusal import Refusal

EXTENT = Extent(-10, -10, 10, 10)


def figure(*lines):
    """A figure said, and the ids of its things by their names."""
    made = Figure()
    made.say("\n".join(lines))
    return made.board, {made.board.name(step.id): step.id for step in made.board.steps}


def ask(board, kind, id="", words="", choices=(), right=None):
    return asking.question(board, kind, id, words, choices, right, 1)


class AskingTest(unittest.TestCase):
    def test_whether_it_may_stand_there_is_judged_on_each_board(self):
        board, ids = figure(
            "A = (0, 0)", "B = (6, 0)", "P = (1, 1)", "j is the places less than 4 from A", "k is the places less than 4 from B",
            "R is the region where all of j and k hold", "a question whether P is in R",
        )  # fmt: skip
        asked = ask(board, "may", next(step.id for step in board.steps if step.does == "question_of_place"))
        self.assertEqual(asked.choices, ("yes", "no"))
        for at, may in (((1, 1), False), ((3, 1), True), ((3, -2), True), ((7, 0), False)):
            copy = student_copy(board)
            copy.move({ids["P"]: at})
            self.assertEqual(asking.answered(asked, copy, 0, None).right, may, at)
            self.assertEqual(asking.answered(asked, copy, 1, None).right, not may, at)

    def test_two_angles_are_asked_by_the_words_of_the_country(self):
        board, _ = figure(
            "A = (0, 0)", "B = (4, 0)", "C = (1, 3)", "D = (5, 3)", "p is the line through A and B", "q is the line through C and D",
            "t is the line through A and C", "z is the quiz about p, q and t",
        )  # fmt: skip
        quiz = next(step.id for step in board.steps if step.does == "angle_quiz")
        seen = set()
        for _ in range(60):
            asked = ask(board, "angles", quiz)
            self.assertIn("vertically opposite", asked.choices)
            self.assertTrue(asking.shown_with(asked, board, EXTENT))
            seen.add(asked.choices[asked.right])
            self.assertTrue(asking.answered(asked, board, asked.right, None).right)
            self.assertFalse(asking.answered(asked, board, (asked.right + 1) % len(asked.choices), None).right)
        self.assertGreater(len(seen), 3)

    def test_a_place_is_as_far_off_as_on_the_own_board(self):
        board, ids = figure("A = (0, 0)", "B = (4, 0)", "M is the midpoint of AB")
        asked = ask(board, "place", ids["M"])
        copy = student_copy(board)
        copy.move({ids["B"]: (4.0, 6.0)})
        self.assertEqual(asking.answered(asked, copy, None, (2.0, 3.0)).off, 0)
        self.assertEqual(asking.answered(asked, copy, None, (5.0, 7.0)).off, 5)

    def test_what_cannot_be_asked_is_refused(self):
        board, ids = figure("A = (0, 0)", "B = (4, 0)", "M is the midpoint of AB")
        for kind, id, words, choices in (
            ("words", "", "Which?", ("one",)), ("words", "", "", ("one", "two")), ("words", "", "Which?", ("one", " one ")),
            ("claim", ids["M"], "", ()), ("may", ids["M"], "", ()), ("angles", ids["A"], "", ()), ("place", "s99", "", ()),
            ("words", "", "Which?", tuple("abcdefg")),
        ):  # fmt: skip
            self.assertRaises(Refusal, ask, board, kind, id, words, choices)
        asked = ask(board, "words", words="Which?", choices=("one", "two"), right=5)
        self.assertIsNone(asked.right)
        self.assertEqual(asking.Question.of_data(asked.as_data()), asked)
        for choice, at in ((None, None), (2, None), (None, (1.0, 1.0))):
            self.assertRaises(Refusal, asking.answered, asked, board, choice, at)


class CollectingTest(unittest.TestCase):
    def test_thirty_pegs_four_metres_from_the_tap_are_a_circle(self):
        board, ids = figure("T = (1, 2)", "P = (5, 2)", "j is the places less than 4.001 from T")
        marks = []
        for number in range(30):
            copy = student_copy(board)
            angle = number / 30 * 2 * pi
            copy.move({ids["P"]: (1 + 4 * cos(angle), 2 + 4 * sin(angle))})
            marks.append(collecting.mark(copy, ids["P"], EXTENT, board=board, condition=ids["j"]))
        for mark in collecting.shuffled(marks):
            x, y = mark["shape"]["at"]
            self.assertAlmostEqual((x - 1) ** 2 + (y - 2) ** 2, 16, 9)
            self.assertEqual((mark["id"], mark["label"], mark["style"]["pen"]), ("", None, "leaf"))

    def test_lines_and_circles_are_collected_and_what_is_gone_is_not(self):
        board, ids = figure("A = (0, 0)", "B = (4, 0)", "c is the circle with centre A through B", "p is the line through A and B")
        for name, part in (("c", "radius"), ("p", "points")):
            self.assertIn(part, collecting.mark(board, ids[name], EXTENT)["shape"])
        copy = student_copy(board)
        copy.move({ids["B"]: (0.0, 0.0)})
        self.assertIsNone(collecting.mark(copy, ids["p"], EXTENT))
        self.assertIsNone(collecting.mark(copy, "s99", EXTENT))
        self.assertIsNone(collecting.number_of(copy, "s99"))

    def test_rows_of_the_log_are_of_each_board(self):
        board, ids = figure("A = (0, 0)", "B = (4, 0)", "d is the distance from A to B")
        self.assertRaises(Refusal, collecting.rows, board, [board])
        board.settings = board.settings.with_(log=(ids["d"],))
        copy = student_copy(board)
        copy.move({ids["B"]: (0.0, 3.0)})
        self.assertEqual(collecting.rows(board, [board, copy]), [(4.0,), (3.0,)])


class ShowingTest(unittest.TestCase):
    def test_others_see_nothing_that_is_hidden_covered_or_behind_a_reveal(self):
        board, ids = figure(
            "A = (0, 0)", "B = (4, 0)", "M is the midpoint of AB", "d is the distance from A to B", "a button that reveals M",
            "N is the midpoint of AM",
        )  # fmt: skip
        for name, look in (("d", {"cover": True}), ("N", {"hidden": True})):
            step = board.step(ids[name])
            board.become([one.with_(look=replace(one.look, **look)) if one is step else one for one in board.steps])
        items = display(board, EXTENT)
        seen = showing.seen_by_others(items, showing.closed_at_first(items))
        self.assertEqual({item["id"] for item in seen}, {ids["A"], ids["B"], ids["d"]})
        (covered,) = (item for item in seen if item["id"] == ids["d"])
        self.assertEqual(covered["label"]["text"], "?")
        self.assertFalse([part for item in seen for part in item if part not in ("id", "kind", "layer", "style", "shape", "label")])
        self.assertIn(ids["M"], {item["id"] for item in showing.seen_by_others(items)})
