"""Orders and suppositions: what is inside, between, acute or more, by other mathematics; and claims that are tried under it."""

import math
import random
import unittest

import numpy as np
from shapely.geometry import Point, Polygon

from ruddy_trellis.core import Figure, Refusal
from ruddy_trellis.core.arithmetic import ARRAYS, FLOATS
from ruddy_trellis.core.edits import Delete, Paste, Rename, perform
from ruddy_trellis.core.formulas import orders
from ruddy_trellis.core.hand.alone import Alone
from ruddy_trellis.core.language.printing import sentence, working_text
from ruddy_trellis.core.lesson.file import board_from_store, board_to_text
from ruddy_trellis.core.speech.hearing import understood
from ruddy_trellis.core.speech.paragraphs import paragraph
from ruddy_trellis.core.truth.resting import rests_on
from ruddy_trellis.core.truth.verdicts import FAILS, PROVED, STANDS, verdict

from .figures import figure

TRIANGLE = (
    "A is a free point at (0, 0)\nB is a free point at (6, 0)\nC is a free point at (2, 5)\nABC is the polygon through A, B, C\n"
    "P is a free point at (2.5, 1.5)\n"
)
TWO = "A is a free point at (0, 0)\nB is a free point at (6, 1)\n"


def random_places(chance, count):
    return tuple((chance.uniform(-3, 3), chance.uniform(-3, 3)) for _ in range(count))


def turn(corner, one, other):
    """An angle in degrees, by directions."""
    ways = [math.atan2(end[1] - corner[1], end[0] - corner[0]) for end in (one, other)]
    apart = abs(math.degrees(ways[0] - ways[1])) % 360
    return min(apart, 360 - apart)


class OrdersTest(unittest.TestCase):
    """Against another library, and against angles by their directions."""

    def test_inside_a_polygon_is_what_a_library_of_polygons_says(self):
        chance, sides = random.Random(3), [0, 0]
        for _ in range(2000):
            corners, point = random_places(chance, chance.randint(3, 7)), random_places(chance, 1)[0]
            shape = Polygon(corners)
            if not shape.is_valid or shape.exterior.distance(Point(point)) < 1e-9:
                continue
            wanted = shape.contains(Point(point))
            sides[wanted] += 1
            self.assertEqual(orders.in_polygon(FLOATS, point, corners) == 0, wanted)
            self.assertEqual(orders.out_of_polygon(FLOATS, point, corners) == 0, not wanted)
        self.assertGreater(min(sides), 100)

    def test_in_arrays_every_place_is_told_as_by_itself(self):
        chance = random.Random(4)
        corners = random_places(chance, 5)
        xs, ys = (np.array([chance.uniform(-3, 3) for _ in range(300)]) for _ in "xy")
        together = orders.in_polygon(ARRAYS, (xs, ys), tuple((np.full(300, x), np.full(300, y)) for x, y in corners))
        alone = [orders.in_polygon(FLOATS, place, corners) for place in zip(xs, ys)]
        self.assertEqual(list(together), alone)
        self.assertEqual(set(alone), {0.0, 1.0})

    def test_kinds_of_triangles_by_their_angles(self):
        chance, seen = random.Random(5), {"acute": 0, "obtuse": 0}
        for _ in range(1000):
            a, b, c = random_places(chance, 3)
            largest = max(turn(a, b, c), turn(b, a, c), turn(c, a, b))
            for word, wanted in (("acute", largest < 90), ("obtuse", largest > 90)):
                self.assertEqual(orders.is_orderly(FLOATS, (a, b, c), word) == 0, wanted)
                seen[word] += wanted
            self.assertEqual(orders.is_orderly(FLOATS, (a, b, c), "scalene"), 0)
        self.assertGreater(min(seen.values()), 100)
        for word in ("acute", "obtuse"):
            self.assertNotEqual(orders.is_orderly(FLOATS, ((0.0, 0.0), (4.0, 0.0), (0.0, 3.0)), word), 0, "a right angle is neither")
        self.assertNotEqual(orders.is_orderly(FLOATS, ((0.0, 0.0), (4.0, 0.0), (2.0, 3.0)), "scalene"), 0)

    def test_convex_is_what_is_its_own_hull(self):
        chance, seen = random.Random(6), [0, 0]
        for _ in range(1500):
            corners = random_places(chance, chance.randint(4, 6))
            shape = Polygon(corners)
            wanted = shape.is_valid and abs(shape.convex_hull.area - shape.area) < 1e-12
            seen[wanted] += 1
            self.assertEqual(orders.is_orderly(FLOATS, corners, "convex") == 0, wanted, corners)
        self.assertGreater(min(seen), 100)
        pentagram = tuple((math.cos(math.radians(144 * n)), math.sin(math.radians(144 * n))) for n in range(5))
        self.assertNotEqual(orders.is_orderly(FLOATS, pentagram, "convex"), 0, "it turns to one side, and goes round twice")

    def test_sides_of_a_line_and_what_is_over_it(self):
        chance = random.Random(7)
        for _ in range(500):
            a, b, p, q = random_places(chance, 4)
            line = (*a, b[0] - a[0], b[1] - a[1], 0, 1)
            level = lambda at: at[1] - (a[1] + (b[1] - a[1]) * (at[0] - a[0]) / (b[0] - a[0]))  # noqa: B023
            same = level(p) * level(q) > 0
            self.assertEqual(orders.one_side(FLOATS, p, q, line) == 0, same)
            self.assertEqual(orders.different_sides(FLOATS, p, q, line) == 0, not same)
            self.assertEqual(orders.above(FLOATS, p, line) == 0, level(p) > 0)
            self.assertEqual(orders.below(FLOATS, p, line) == 0, level(p) < 0)
        self.assertNotEqual(orders.above(FLOATS, (1.0, 1.0), (0.0, 0.0, 0.0, 1.0, 0, 1)), 0, "nothing is above an upright line")


class ClaimsTest(unittest.TestCase):
    def verdict_on(self, f, text):
        return verdict(f.board, f.board.ids_named(f.say(f"the claim that {text}"))[0], 3)

    def test_what_holds_everywhere_stands_and_no_order_is_proved_that_is_none(self):
        f = figure(TRIANGLE + "M is the midpoint of AB\nk is the circle through A, B, C\nG is the centroid of ABC\n")
        for text in ("AB + BC > AC", "G is inside ABC", "C and G are on one side of AB"):
            found = self.verdict_on(f, text)
            self.assertEqual(found.verdict, STANDS, f"{text}: {found.why}")
        self.assertEqual(self.verdict_on(f, "M is between A and B").verdict, PROVED, "a square of the distance AB is more than nothing")
        self.assertEqual(self.verdict_on(f, "PA + PB ≥ AB").verdict, PROVED, "by squares, twice")
        for text in ("PA + PB ≥ 1.01 AB", "PA + PB ≤ 1.01 AB", "PA² + PB² ≥ 0.51 * AB²", "PA + AB > 1.01 PB"):
            self.assertEqual(self.verdict_on(f, text).verdict, FAILS, text)
        self.assertEqual(self.verdict_on(f, "PA² + PB² ≥ 1/2 * AB²").verdict, PROVED)
        for text in ("AB > BC", "P is inside ABC", "ABC is acute", "P is outside k", "A is between P and B", "angle(ABC) < 90"):
            self.assertEqual(self.verdict_on(f, text).verdict, FAILS, text)

    def test_what_is_equal_is_not_more(self):
        f = figure(
            "A is a free point at (0, 0)\nB is a free point at (6, 1)\nk is the circle with centre A through B\nC is a point on k at 70\n"
        )
        for text in ("AB > AC", "AC > AB", "AB < AC", "C is inside k", "C is outside k"):
            self.assertEqual(self.verdict_on(f, text).verdict, FAILS, text)
        self.assertEqual(self.verdict_on(f, "AB ≥ AC").verdict, STANDS)

    def test_a_right_angle_by_construction_is_not_acute(self):
        f = figure(TWO + "k is the circle on diameter AB\nC is a point on k at 70\n")
        self.assertEqual(self.verdict_on(f, "angle(ACB) < 90").verdict, FAILS)
        self.assertEqual(self.verdict_on(f, "angle(ACB) > 90").verdict, FAILS)


class SuppositionsTest(unittest.TestCase):
    #: What is supposed, what is claimed, the verdict, and what of the supposed it needs.
    CASES = (
        (("P is inside ABC",), "angle(BPC) > angle(BAC)", STANDS, ("P is inside ABC",)),
        (("P is inside ABC", "AB > BC"), "angle(BPC) > angle(BAC)", STANDS, ("P is inside ABC",)),
        (("P is inside ABC",), "PA < PB", FAILS, ("P is inside ABC",)),
        (("AB > AC",), "angle(ACB) > angle(ABC)", STANDS, ("AB > AC",)),
        (("ABC is acute",), "angle(ABC) < 90", STANDS, ("ABC is acute",)),
        (("ABC is obtuse",), "angle(ABC) < 90", FAILS, ("ABC is obtuse",)),
        (("P is inside ABC",), "PA + PB < CA + CB", STANDS, ("P is inside ABC",)),
        (("P is above AB", "C is above AB"), "P and C are on one side of AB", STANDS, ("P is above AB", "C is above AB")),
        (("AB > AC",), "AB + BC > AC", STANDS, ()),
    )

    def test_claims_are_tried_under_what_is_supposed(self):
        for supposed, text, wanted, needed in self.CASES:
            with self.subTest(text, supposed=supposed):
                f = figure(TRIANGLE)
                for one in supposed:
                    f.say(f"the supposition that {one}")
                found = verdict(f.board, f.board.ids_named(f.say(f"the claim that {text}"))[0], 2)
                self.assertEqual(found.verdict, wanted, found.why)
                self.assertEqual(found.given, " and ".join(needed))
                self.assertEqual(found.anyway, " and ".join(one for one in supposed if one not in needed))

    def test_a_breaking_position_meets_them(self):
        f = figure(TRIANGLE)
        f.say("the supposition that P is inside ABC")
        found = verdict(f.board, f.board.ids_named(f.say("the claim that PA < PB"))[0], 2)
        place = {name: tuple(numbers) for name, numbers in found.position.items()}
        self.assertTrue(Polygon([place[name] for name in "ABC"]).contains(Point(place["P"])))
        self.assertGreaterEqual(math.dist(place["P"], place["A"]), math.dist(place["P"], place["B"]) - 1e-9)
        self.assertEqual(found.told, "fails, given that P is inside ABC")

    def test_it_is_about_what_it_is_said_of(self):
        f = figure(TRIANGLE + "D is a free point at (9, 9)\n")
        f.say("the supposition that P is inside ABC")
        found = verdict(f.board, f.board.ids_named(f.say("the claim that AD > BD"))[0], 2)
        self.assertEqual((found.verdict, found.given), (FAILS, ""), "where P is says nothing of A, B and D")

    def test_what_is_never_so_is_told(self):
        f = figure(TRIANGLE)
        f.say("the supposition that AB + BC < AC")
        found = verdict(f.board, f.board.ids_named(f.say("the claim that AB > BC"))[0], 2)
        self.assertEqual(found.verdict, "cannot be told")
        self.assertIn("AB + BC < AC", found.why)

    def test_a_claim_rests_on_it_where_it_needs_it(self):
        f = figure(TRIANGLE)
        f.say("the supposition that P is inside ABC")
        claim = f.board.ids_named(f.say("the claim that angle(BPC) > angle(BAC)"))[0]
        self.assertEqual([tie.words for tie in rests_on(f.board, claim)], ["supposed: P is inside ABC"])

    def test_it_is_kept_read_back_renamed_and_goes_with_what_it_is_about(self):
        f = figure(TRIANGLE)
        f.say("the supposition that P is inside ABC")
        f.say("the supposition that AB > AC")
        text = working_text(f.board)
        again = Figure()
        perform(again.board, Paste(text=text))
        self.assertEqual(working_text(again.board), text)
        kept = board_from_store(board_to_text(f.board))
        self.assertEqual(working_text(kept), text)
        point = f.board.ids_named("P")[0]
        perform(f.board, Rename(id=point, name="Q"))
        told = [sentence(f.board, step.id) for step in f.board.steps if step.makes == "supposition"]
        self.assertEqual(told, ["supposed: Q is inside ABC", "supposed: AB > AC"])
        perform(f.board, Delete(ids=[point]))
        self.assertEqual([step.does for step in f.board.steps if step.makes == "supposition"], ["suppose_compared"])

    def test_equal_parallel_and_in_line_are_not_supposed(self):
        f = figure(TRIANGLE)
        for text in ("suppose AB = AC", "suppose that A, B and P are in line", "the supposition that AB is parallel to AC"):
            before = len(f.board)
            with self.assertRaises(Refusal):
                perform(f.board, understood(text, f.board).edit)
            self.assertEqual(len(f.board), before)


class SaidTest(unittest.TestCase):
    """As it is said: what is made, what is supposed of it, and that it is so where it starts."""

    CASES = (
        ("", "let ABC be an acute triangle", "ABC is acute"),
        ("", "draw an obtuse triangle", "ABC is obtuse"),
        ("", "Let ABC be a triangle with AB > AC", "AB > AC"),
        ("", "Let ABC be a triangle with AB shorter than AC", "AB < AC"),
        ("", "draw a convex quadrilateral ABCD", "ABCD is convex"),
        (TRIANGLE, "let Q be a point inside ABC", "Q is inside ABC"),
        (TRIANGLE, "Q lies outside triangle ABC", "Q is outside ABC"),
        (TRIANGLE, "a point Q below AB", "Q is below AB"),
        (TRIANGLE, "let D be a point on BC with BD > DC", "BD > DC"),
        (TRIANGLE, "let D be a point on BC with BD < DC", "BD < DC"),
        (TRIANGLE, "let P be inside ABC", "P is inside ABC"),
        (TRIANGLE, "suppose that AB is longer than AC", "AB > AC"),
        (TRIANGLE, "assume angle A is acute", "angle(CAB) < 90"),
        (TRIANGLE, "let P and C be on the same side of AB", "P and C are on one side of AB"),
        (TRIANGLE, "supposed: P is inside ABC", "P is inside ABC"),
    )

    def test_it_is_supposed_and_is_so(self):
        for text, said, wanted in self.CASES:
            with self.subTest(said):
                f = figure(text) if text else Figure()
                perform(f.board, understood(said, f.board).edit)
                found = [step for step in f.board.steps if step.makes == "supposition"]
                self.assertEqual([sentence(f.board, step.id) for step in found], [f"supposed: {wanted}"])
                self.assertEqual([f.board.value(step.id)[0] for step in found], [0])

    def test_it_is_told_with_the_thing(self):
        alone = Alone(figure(TRIANGLE + "χ is the supposition that P is inside ABC\n").board)
        told = lambda name: alone.do(t="select", ids=alone.board.ids_named(name))[-1]["words"]
        self.assertEqual(told("P"), "P is a free point; supposed: P is inside ABC")
        self.assertEqual(told("A"), "A is a free point", "it is said of P")

    def test_what_is_not_so_now_is_told(self):
        f = figure(TRIANGLE)
        heard = understood("let P be outside ABC", f.board)
        self.assertIn("P is outside ABC is supposed, and is not so now", heard.guesses)

    def test_an_exercise_is_tried_under_what_it_says(self):
        f = Figure()
        read = paragraph("Let ABC be a triangle. Let P be a point inside ABC. Prove that angle BPC > angle BAC.", f.board)
        self.assertEqual([line.problem for line in read.lines], ["", "", ""])
        perform(f.board, read.edit)
        claim = next(step.id for step in f.board.steps if step.makes == "claim")
        self.assertEqual(verdict(f.board, claim, 2).told, "stands, given that P is inside ABC")


if __name__ == "__main__":
    unittest.main()
