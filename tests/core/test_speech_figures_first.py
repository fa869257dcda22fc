"""Figures that a sentence speaks of before they are there; points on paths where they are said to be; what lines and circles meet."""

import itertools
import unittest

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.edits import perform
from ruddy_trellis.core.kinds import CLAIM
from ruddy_trellis.core.speech.hearing import understood
from ruddy_trellis.core.speech.paragraphs import paragraph

from ..bank.boards import BOARDS
from ..bank.plane import ang, circum, d, foot, same, side


def drawn(text, name="empty"):
    """The board after a text of one or more sentences was said on one of the bank's, all of which has to be read."""
    board = BOARDS[name]().board
    if ". " in text:
        found = paragraph(text, board)
        problems = [line.problem for line in found.lines if line.problem]
        if problems:
            raise Refusal(problems[0])
        perform(board, found.edit)
    else:
        perform(board, understood(text, board).edit)
    return board


def points(board):
    return {
        board.name(step.id): complex(*board.value(step.id)[:2]) for step in board.steps if step.makes == "point" and board.value(step.id)
    }


class FiguresFirstTest(unittest.TestCase):
    def test_a_figure_that_is_spoken_of_is_drawn(self):
        for text, holds in (
            ("Triangle ABC is right-angled at A.", lambda p: same(ang(p["B"], p["A"], p["C"]), 90)),
            ("Triangle ABC has a right angle at C", lambda p: same(ang(p["A"], p["C"], p["B"]), 90)),
            ("Triangle ABC is equilateral", lambda p: same(d(p["A"], p["B"]), d(p["B"], p["C"])) and same(ang(p["A"], p["B"], p["C"]), 60)),
            ("O is the circumcentre of an acute triangle ABC with angle A = 50°", lambda p: same(ang(p["B"], p["A"], p["C"]), 50)),
            ("O is the circumcentre of an acute triangle ABC", lambda p: same(p["O"], circum(p["A"], p["B"], p["C"]))),
            ("M is the midpoint of the hypotenuse AB of a right-angled triangle ABC", lambda p: same(ang(p["A"], p["C"], p["B"]), 90)),
            (
                "In a right-angled triangle ABC with right angle at C, CD is the altitude to AB",
                lambda p: same(p["D"], foot(p["C"], p["A"], p["B"])),
            ),
            ("In a circle with centre O, AB is a diameter", lambda p: same(p["O"], (p["A"] + p["B"]) / 2)),
        ):
            self.assertTrue(holds(points(drawn(text))), text)

    def test_what_asks_or_claims_draws_nothing(self):
        for text in (
            "prove that the medians of triangle ABC are concurrent",
            "is triangle ABC right-angled at A?",
            "measure the sides of triangle ABC",
            "what is the centroid of triangle ABC?",
        ):
            with self.assertRaises(Refusal, msg=text):
                drawn(text)

    def test_what_is_there_is_a_claim(self):
        board = drawn("triangle ABC is isosceles", "tri")
        self.assertEqual([step.makes for step in board.steps[4:]], [CLAIM])
        with self.assertRaises(Refusal):  # which it is not
            drawn("In triangle ABC with AB = AC, D is the midpoint of BC", "tri")

    def test_a_hypotenuse_faces_the_right_angle(self):
        board = drawn("draw a right-angled triangle ABC with the right angle at B")
        for text, is_one in (("the midpoint of the hypotenuse AC", True), ("the midpoint of the hypotenuse AB", False)):
            if is_one:
                understood(text, board)
            else:
                with self.assertRaises(Refusal):
                    understood(text, board)

    def test_bisectors_meet_where_they_do(self):
        found = points(drawn("the bisectors of angles A and D meet at P", "quad"))
        self.assertAlmostEqual(ang(found["B"], found["A"], found["P"]), ang(found["P"], found["A"], found["D"]))
        self.assertAlmostEqual(ang(found["A"], found["D"], found["P"]), ang(found["P"], found["D"], found["C"]))
        for text in ("the altitudes meet at H", "the bisectors meet at P"):
            with self.assertRaises(Refusal):
                drawn(text, "quad")


class PointsOnPathsTest(unittest.TestCase):
    def test_a_point_on_a_path_starts_where_it_is_said_to_be_and_that_is_supposed(self):
        """Whatever it rides on, and whatever is said of where it is besides."""
        paths = ("the circumcircle", "the line through A and B", "the perpendicular bisector of BC")
        wishes = {
            "above BC": lambda p, on: side(p, on["C"], on["B"]) > 0,
            "below BC": lambda p, on: side(p, on["C"], on["B"]) < 0,
            "on the same side of BC as A": lambda p, on: (side(p, on["B"], on["C"]) > 0) == (side(on["A"], on["B"], on["C"]) > 0),
            "on the opposite side of BC to A": lambda p, on: (side(p, on["B"], on["C"]) > 0) != (side(on["A"], on["B"], on["C"]) > 0),
        }
        for path, (wish, holds) in itertools.product(paths, wishes.items()):
            text = f"X is a point on {path} {wish}"
            board = drawn(text, "tri")
            found = points(board)
            self.assertTrue(holds(found["X"], found), text)
            self.assertEqual([step.makes for step in board.steps][-1], "supposition", text)

    def test_two_are_on_different_sides(self):
        found = points(drawn("Choose points C and D on k on different sides of AQ", "circ"))
        self.assertLess(side(found["C"], found["A"], found["Q"]) * side(found["D"], found["A"], found["Q"]), 0)

    def test_a_point_is_named_and_no_claim(self):
        board = drawn("X is a point on k above AQ", "circ")
        self.assertEqual(board.step(board.find("X")).makes, "point")

    def test_an_angle_is_on_the_side_of_its_arm(self):
        for text, corner in (("place B on k so that angle AOB = 50°", "AOB"), ("place B on k so that angle AQB = 30°", "AQB")):
            board = drawn(text, "circ")
            size = float(text.split("= ")[1].rstrip("°"))
            for _ in range(3):
                found = points(board)
                self.assertAlmostEqual(ang(*(found[letter] for letter in corner)), size, msg=text)
                x, y = board.value(board.find("A"))
                board.move({board.find("A"): (x - 1.1, y + 0.7)})


class WhatMeetsTest(unittest.TestCase):
    def test_perpendiculars_meet_what_they_were_drawn_to(self):
        for text in (
            "Given an angle AOB, draw its bisector. Choose a point P on the bisector. Draw the perpendiculars from P to OA and to OB, "
            "meeting "
            "them in X and Y.",
            "Draw an angle AOB. Draw its bisector. P is a point on the bisector. Draw the perpendiculars from P to OA and OB, meeting "
            "them at "
            "X and Y.",
        ):
            found = points(drawn(text))
            self.assertTrue(same(found["X"], foot(found["P"], found["O"], found["A"])), text)
            self.assertTrue(same(found["Y"], foot(found["P"], found["O"], found["B"])), text)

    def test_circles_that_are_said_to_cross_do(self):
        for text in (
            "Draw two intersecting circles with centres A and B. Let them meet at C and D.",
            "Draw two intersecting circles with centres A and B and equal radii. Let them meet at C and D.",
        ):
            found = points(drawn(text))
            self.assertFalse(same(found["C"], found["D"]), text)
            self.assertTrue(same(d(found["A"], found["C"]), d(found["A"], found["D"])), text)
            if "equal" in text:
                self.assertTrue(same(d(found["A"], found["C"]), d(found["B"], found["C"])), text)

    def test_the_common_chord(self):
        board = drawn("Draw two circles with radii 3 cm and 5 cm whose centres are 6 cm apart. Draw their common chord.")
        chord = board.steps[-1]
        ends = [complex(*board.value(id)) for role in ("from", "to") for id in chord.fills[role]]
        centres = [complex(*board.value(board.find(name))) for name in ("O", "P")]
        self.assertEqual([round(abs(end - centre), 9) for end in ends for centre in centres], [3, 5, 3, 5])

    def test_points_where_a_circle_touches_are_made(self):
        board = drawn(
            "Draw a triangle ABC and its incircle. Mark the points D, E and F where the incircle touches the sides BC, CA and AB."
        )
        self.assertEqual([board.step(board.find(name)).does for name in "DEF"], ["foot"] * 3)

    def test_a_circle_on_two_lines_and_one_with_its_centre_on_a_line(self):
        board = drawn("draw a circle of radius 2 touching l and m", "lines")
        x, y, square = board.value(board.steps[-1].id)[:3]
        self.assertAlmostEqual(square, 4)
        for name in ("l", "m"):
            px, py, ux, uy = board.value(board.find(name))[:4]
            self.assertAlmostEqual(abs((x - px) * uy - (y - py) * ux) / abs(complex(ux, uy)), 2, msg=name)
        board = drawn("Draw a circle through P with its centre on l", "lines")
        circle = board.steps[-1]
        self.assertEqual(board.step(circle.fills["centre"][0]).fills["path"], (board.find("l"),))


if __name__ == "__main__":
    unittest.main()
