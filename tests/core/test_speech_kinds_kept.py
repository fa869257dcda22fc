"""What kind of thing is spoken of, how many, and what is said of it besides are kept: a sector is no triangle, both circles are both."""

import math
import unittest

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.edits import perform
from ruddy_trellis.core.kinds import CLAIM, NUMBER
from ruddy_trellis.core.speech.building import Building
from ruddy_trellis.core.speech.hearing import understood

from ..bank.boards import BOARDS
from ..bank.plane import ang, circum, d, foot, line_distance, same, side
from .test_speech_figures_first import drawn, points


def readings(board):
    return [board.value(step.id) for step in board.steps if step.makes == NUMBER and isinstance(board.value(step.id), float)]


def made(board, does):
    return [step for step in board.steps if step.does == does]


class KindsKeptTest(unittest.TestCase):
    def test_the_area_of_a_round_shape_is_not_that_of_its_corners(self):
        p = points(BOARDS["tri"]().board)
        around = d(p["A"], circum(p["A"], p["B"], p["C"]))
        for text in ("find the area of the circle ABC", "the area of circle ABC", "what is the area of the circle through A, B and C?"):
            self.assertAlmostEqual(readings(drawn(text, "tri"))[-1], math.pi * around**2, msg=text)
        self.assertAlmostEqual(readings(drawn("the circumference of circle ABC", "tri"))[-1], 2 * math.pi * around)
        p = points(BOARDS["circ"]().board)
        turn, size = math.radians(ang(p["A"], p["O"], p["Q"])), d(p["O"], p["A"])
        self.assertAlmostEqual(readings(drawn("find the area of the sector AOQ", "circ"))[-1], turn * size**2 / 2)
        for text in ("the area of the minor segment cut off by AQ", "find the area of the segment of k cut off by the chord AQ"):
            self.assertAlmostEqual(readings(drawn(text, "circ"))[-1], (turn - math.sin(turn)) * size**2 / 2, msg=text)
        self.assertAlmostEqual(
            readings(drawn("the area of the major segment AQ", "circ"))[-1],
            math.pi * size**2 - (turn - math.sin(turn)) * size**2 / 2,
        )

    def test_a_round_shape_is_drawn_to_be_shaded(self):
        for text, name, does in (
            ("shade the incircle", "tri", "incircle"), ("shade the segment cut off by AQ", "circ", "chord_region"),
            ("shade the circle with centre P and radius 2", "circ", "circle_radius"),
        ):  # fmt: skip
            (step,) = made(drawn(text, name), does)
            self.assertGreater(step.look.fill, 0, text)
        with self.assertRaises(Refusal):
            understood("shade the segment AQ", BOARDS["circ"]().board)

    def test_names_go_to_what_they_are_for(self):
        board = drawn("draw the line joining the midpoints of AB and AC. Call them M and N.", "tri")
        p = points(board)
        self.assertTrue(same(p["M"], (p["A"] + p["B"]) / 2) and same(p["N"], (p["A"] + p["C"]) / 2))
        with self.assertRaises(Refusal):
            drawn("draw the segment from A to the midpoint of BC. Call them X and Y.", "tri")

    def test_one_line_through_two_circles_is_one(self):
        for text in (
            "Two circles meet at A and B. A line through A meets the circles again at P and Q.",
            "Two equal circles meet at A and B. A line through A meets them again at P and Q.",
        ):
            board = drawn(text)
            p = points(board)
            self.assertEqual(len(made(board, "line")), 1, text)
            self.assertLess(line_distance(p["Q"], p["A"], p["P"]), 1e-9, text)

    def test_what_is_said_of_several_is_claimed_of_each(self):
        for said in ("they pass through A", "both pass through A", "both circles pass through A", "the circles pass through A"):
            board = drawn(f"draw circles with diameters AB and AC. Show that {said}.", "tri")
            self.assertEqual(len([step for step in board.steps if step.makes == CLAIM]), 2, said)

    def test_a_diameter_is_claimed_whole(self):
        board = drawn("Let k be a circle. A and B are two points on k. P is a point. Show that AP is a diameter of k.")
        said = [step.does for step in board.steps if step.makes == CLAIM]
        self.assertEqual(len(said), 3, said)

    def test_what_follows_and_is_one_more_part_of_the_shape_or_is_refused(self):
        for text in (
            "draw a rhombus with side AB and angle C = 70°", "draw a triangle with side AB and angle A = 70°",
            "draw a rectangle with side AB and CD = 3", "draw a rectangle with side AB and AC = 9",
        ):  # fmt: skip
            with self.assertRaises(Refusal, msg=text):
                understood(text, BOARDS["two"]().board)
        for text, corner in (("draw a rhombus with side AB and angle A = 70°", "DAB"), ("a rhombus on AB with angle B = 70°", "ABC")):
            p = points(board := drawn(text, "two"))
            self.assertAlmostEqual(ang(*(p[name] for name in corner)), 70, msg=text)
            self.assertTrue(same(d(p["A"], p["D"]), d(p["A"], p["B"])), text)
            self.assertEqual([step for step in board.steps if step.makes == CLAIM], [], text)
        p = points(drawn("draw a rectangle with side AB and AD = 3", "two"))
        self.assertAlmostEqual(d(p["A"], p["D"]), 3)
        self.assertAlmostEqual(ang(p["D"], p["A"], p["B"]), 90)
        board = drawn("draw a rhombus on AB with an angle of 70°", "two")
        self.assertEqual([step for step in board.steps if step.makes == CLAIM], [])

    def test_circles_that_touch_do_so_whatever_their_radii(self):
        for text, far in (
            ("two touching circles of radius 3", 6), ("draw two circles of radius 3 that touch each other", 6),
            ("two touching circles with radii 3 and 2", 5), ("two internally touching circles with radii 5 and 2", 3),
        ):  # fmt: skip
            board = drawn(text)
            circles = [board.value(step.id) for step in made(board, "circle_radius") if not step.look.hidden]
            self.assertEqual(len(circles), 2, text)
            self.assertAlmostEqual(math.dist(circles[0][:2], circles[1][:2]), far, msg=text)
        for text in ("three touching circles of radius 2", "two internally touching circles of radius 3"):
            with self.assertRaises(Refusal, msg=text):
                understood(text, BOARDS["empty"]().board)

    def test_the_circle_of_a_cyclic_quadrilateral_is_the_one_through_its_corners(self):
        board = drawn("Let ABCD be a cyclic quadrilateral. The bisector of angle A meets the circle again at E.")
        p = points(board)
        middle = circum(p["A"], p["B"], p["C"])
        self.assertTrue(same(d(middle, p["E"]), d(middle, p["D"])))
        with self.assertRaises(Refusal):
            drawn("Let ABCD be a quadrilateral. The bisector of angle A meets the circle again at E.")

    def test_a_crossing_is_on_the_side_that_is_said(self):
        circles = "Draw the circle with centre A and radius BC. Draw the circle with centre C and radius AB. "
        for said, is_same in (
            ("Let D be the intersection of the circles on the other side of AC from B.", False),
            ("Let D be their intersection on the same side of AC as B.", True),
        ):
            p = points(drawn(circles + said, "tri"))
            self.assertEqual(side(p["D"], p["A"], p["C"]) == side(p["B"], p["A"], p["C"]), is_same, said)
            self.assertTrue(same(d(p["A"], p["D"]), d(p["B"], p["C"])), said)
        with self.assertRaises(Refusal):
            understood("the intersection of k and the line PA above OP", BOARDS["circ"]().board)

    def test_sums_as_they_are_spoken(self):
        p = points(BOARDS["tri"]().board)
        self.assertAlmostEqual(
            readings(drawn("compute AB squared plus BC squared", "tri"))[-1], d(p["A"], p["B"]) ** 2 + d(p["B"], p["C"]) ** 2
        )
        self.assertAlmostEqual(readings(drawn("what fraction of AB is AC", "tri"))[-1], d(p["A"], p["C"]) / d(p["A"], p["B"]))
        board = drawn("extend AB by half its length to C", "two")
        p = points(board)
        self.assertTrue(same(p["C"], p["B"] + (p["B"] - p["A"]) / 2))

    def test_a_chord_by_its_length_and_its_distance_from_the_centre(self):
        for text, size in (
            ("In a circle with centre O the chord AB is 8 cm long and is 3 cm from O.", 5),
            ("In a circle with centre O, the chord AB is 7 long and lies 3 from the centre.", math.hypot(3.5, 3)),
        ):
            board = drawn(text)
            p = points(board)
            self.assertAlmostEqual(d(p["O"], p["A"]), size, msg=text)
            self.assertAlmostEqual(line_distance(p["O"], p["A"], p["B"]), 3, msg=text)
        # Said in centimetres on a board of metres, it is as small as that.
        p = points(drawn("In a circle with centre O the chord PQ is 8 cm long and is 3 cm from O.", "garden"))
        self.assertAlmostEqual(d(p["O"], p["P"]), 0.05)

    def test_a_name_in_capitals_at_the_end_is_no_short_form(self):
        board = drawn("Let P and T be two points. Join PT. Measure PT.")
        self.assertEqual(len(readings(board)), 1)
        board = drawn("Draw the perp. from C to AB. Call its foot D.", "tri")
        p = points(board)
        self.assertTrue(same(p["D"], foot(p["C"], p["A"], p["B"])))

    def test_what_was_made_in_vain_leaves_no_number_behind(self):
        board = BOARDS["tri"]().board
        building = Building(board)
        mark = building.mark()
        first = building.make("incircle", {"triangle": ("s1", "s2", "s3")})
        building.back_to(mark)
        self.assertEqual(building.make("circumcircle", {"a": ("s1",), "b": ("s2",), "c": ("s3",)}), first)
        # An act is about what a sentence makes at last, by the number that this gets.
        perform(board, understood("shade the incircle", board).edit)
        self.assertEqual([step.look.fill for step in made(board, "incircle")], [0.25])


if __name__ == "__main__":
    unittest.main()
