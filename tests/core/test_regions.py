"""Conditions and regions: areas and girths against closed forms, membership, edges, what is told of them."""

import math
import random
import unittest
from collections import Counter

import numpy as np

from ruddy_trellis.core.regions.conditions import (
    Condition,
    Difference,
    FromDisc,
    FromPoint,
    FromPolygon,
    FromStraight,
    InPolygon,
    Seen,
    Side,
)
from ruddy_trellis.core.regions.region import Region

from .figures import figure
from .random_regions import random_region
from .tries import tries

_INF = math.inf
_SIX = ((-6.0, -4.0), (6.0, -4.0), (8.0, 0.0), (6.0, 4.0), (-6.0, 4.0), (-8.0, 0.0))
WITHIN = Condition(InPolygon(_SIX), 0.0, False, False)
LINE = lambda x, y, dx, dy: FromStraight((x, y), (dx, dy), -_INF, _INF)


def within(x, y, r, strict=False):
    return Condition(FromPoint((x, y)), r, False, strict)


def beyond(x, y, r, strict=True):
    return Condition(FromPoint((x, y)), r, True, strict)


class ClosedFormsTest(unittest.TestCase):
    def check(self, region, area, perimeter=None):
        self.assertAlmostEqual(region.area / area, 1, delta=1e-9)
        if perimeter is not None:
            self.assertAlmostEqual(region.perimeter / perimeter, 1, delta=1e-9)

    def test_lens_of_two_circles(self):
        half = math.acos(0.25)
        self.check(Region((within(0, 0, 2), within(1, 0, 2)), "all"), 8 * half - 0.5 * math.sqrt(15), 8 * half)

    def test_crescent_and_ring(self):
        half = math.acos(0.25)
        self.check(Region((within(0, 0, 2), beyond(1, 0, 2)), "all"), 4 * math.pi - 8 * half + 0.5 * math.sqrt(15))
        ring = Region((within(0, 0, 3), beyond(0, 0, 2)), "all")
        self.check(ring, 5 * math.pi, 10 * math.pi)
        self.assertEqual(len(ring.rings), 2)

    def test_stadium_whole_and_half(self):
        self.check(Region((Condition(FromStraight((0, 0), (4, 0), 0, 1), 1.5, False, False),), "all"), 12 + 2.25 * math.pi, 8 + 3 * math.pi)
        cut = Condition(Side((2, 0), (0, 1)), 0.0, True, True)
        half = Region((Condition(FromStraight((0, 0), (1, 0), 0, _INF), 1.5, False, False), cut), "none")
        self.assertTrue(half.is_endless)

    def test_segment_of_a_circle_and_half_planes_in_a_polygon(self):
        self.check(Region((within(0, 0, 2), Condition(Side((1, 0), (0, 1)), 0.0, True, True)), "all"), 4 * math.pi / 3 - math.sqrt(3))
        nearer = Condition(Difference(FromPoint((0.0, 0.0)), FromPoint((2.0, 0.0))), 0.0, False, True)
        self.check(Region((nearer,), "all", WITHIN), 64)
        # Nearer to one of two lines that cross at right angles: half of a square about their crossing.
        square = Condition(InPolygon(((-1.0, -1.0), (1.0, -1.0), (1.0, 1.0), (-1.0, 1.0))), 0.0, False, False)
        for way in ((1, 0), (0.6, 0.8), (-0.8, 0.6)):
            nearer = Condition(Difference(LINE(0, 0, *way), LINE(0, 0, -way[1], way[0])), 0.0, False, True)
            self.check(Region((nearer,), "all", square), 2)
        parallel = Condition(Difference(LINE(0, -1, 2, 0), LINE(0, 0.5, -1, 0)), 0.0, False, True)
        self.check(Region((parallel,), "all", square), 2 * 0.75)

    def test_parabola_and_line(self):
        below = Condition(Side((0, 3), (1, 0)), 0.0, True, False)
        bent = Condition(Difference(FromPoint((0.0, 1.0)), LINE(0, -1, 1, 0)), 0.0, False, True)
        side = math.sqrt(12)
        arch = side * math.sqrt(1 + side * side / 4) + 2 * math.asinh(side / 2)
        self.check(Region((bent, below), "all"), 4 * side, arch + 2 * side)
        other = Condition(Difference(FromPoint((0.0, 1.0)), LINE(0, -1, 1, 0)), 0.0, True, True)  # nearer to the line
        self.check(Region((other, within(0, 0, 5)), "all"), 25 * math.pi - Region((bent, within(0, 0, 5)), "all").area)

    def test_seen_at_an_angle(self):
        for angle in (30, 60, 90, 120, 170):
            radius, turn = 1 / math.sin(math.radians(angle)), math.tau - 2 * math.radians(angle)
            region = Region((Condition(Seen((-1.0, 0.0), (1.0, 0.0)), 180 - angle, False, False),), "all")
            self.check(region, radius**2 * (turn - math.sin(turn)), 2 * radius * turn)

    def test_about_a_polygon_and_a_disc(self):
        triangle = ((0.0, 0.0), (4.0, 0.0), (0.0, 3.0))
        self.check(Region((Condition(FromPolygon(triangle), 1.0, False, False),), "all"), 6 + 12 + math.pi, 12 + 2 * math.pi)
        self.check(Region((Condition(FromDisc((1.0, 1.0), 2.0), 1.0, False, False),), "all"), 9 * math.pi)

    def test_any_and_none(self):
        apart = (within(0, 0, 1), within(5, 0, 2))
        self.check(Region(apart, "any"), 5 * math.pi, 6 * math.pi)
        self.check(Region(apart, "none", WITHIN), Region((), "all", WITHIN).area - Region(apart, "any", WITHIN).area)

    def test_coinciding_and_touching_edges(self):
        self.check(Region((within(0, 0, 2), within(0, 0, 2)), "all"), 4 * math.pi)
        self.assertTrue(Region((within(0, 0, 2), beyond(0, 0, 2)), "all").is_empty)
        self.assertTrue(Region((within(0, 0, 1), within(2, 0, 1)), "all").is_empty)
        self.check(Region((within(0, 0, 3), within(1, 0, 2)), "all"), 4 * math.pi)
        self.check(Region((within(0, 0, 3), beyond(1, 0, 2)), "all"), 5 * math.pi)
        self.check(Region((Condition(Side((0, -4), (1, 0)), 0.0, False, False),), "all", WITHIN), 112)

    def test_endless_and_empty(self):
        self.assertEqual(Region((beyond(0, 0, 3),), "all").area, _INF)
        empty = Region((within(0, 0, 1), within(9, 0, 1)), "all")
        self.assertEqual((empty.area, empty.perimeter, empty.is_empty, empty.inner), (0, 0, True, None))


class MembershipTest(unittest.TestCase):
    def test_ten_thousand_places_one_by_one(self):
        """What is in it is what its outline encloses, and as much as its area says."""
        chance = np.random.default_rng(3)
        conditions = (
            beyond(1, 1, 3),
            within(-2, 0, 7),
            Condition(Difference(LINE(-6, -4, 1, 0), LINE(-8, 0, 1, 2)), 0.0, False, True),
            Condition(FromStraight((3, -2), (2, 1), 0, 1), 1.2, True, True),
            Condition(FromPolygon(((-3.0, 2.0), (-2.0, 3.0), (-4.0, 3.0))), 0.7, True, False),
        )
        for how in ("all", "any", "none"):
            region = Region(conditions, how, WITHIN)
            xs, ys = chance.uniform(-8, 8, 10_000), chance.uniform(-4, 4, 10_000)
            found = region.holds(xs, ys)
            one_by_one = [self.plainly(conditions, how, x, y) for x, y in zip(xs, ys)]
            self.assertEqual(found.tolist(), one_by_one)
            self.assertAlmostEqual(found.mean() * 128, region.area, delta=4.5)
            crossed = np.zeros(len(xs), dtype=bool)
            for ring in region.rings:
                corners = [place for piece in ring for place in piece.points()]
                for (ax, ay), (bx, by) in zip(corners, corners[1:] + corners[:1]):
                    if ay != by:
                        crossed ^= ((ay > ys) != (by > ys)) & (xs < (bx - ax) * (ys - ay) / (by - ay) + ax)
            self.assertLess(np.mean(crossed != found), 0.002, "but for places between a chord and its arc")

    def plainly(self, conditions, how, x, y):
        far = lambda ax, ay, bx, by: self.off(x, y, ax, ay, bx, by)
        each = [
            math.hypot(x - 1, y - 1) > 3,
            math.hypot(x + 2, y) <= 7,
            abs(y + 4) < abs(2 * (x + 8) - y) / math.sqrt(5),
            far(3, -2, 5, -1) > 1.2,
            not self.in_triangle(x, y) and min(far(-3, 2, -2, 3), far(-2, 3, -4, 3), far(-4, 3, -3, 2)) >= 0.7,
        ]
        inside = abs(y) <= 4 and abs(x) <= 8 - abs(y) / 2
        return inside and {"all": all, "any": any, "none": lambda truths: not any(truths)}[how](each)

    @staticmethod
    def in_triangle(x, y):
        return 2 <= y <= 3 and abs(x + 3) <= y - 2

    @staticmethod
    def off(x, y, ax, ay, bx, by):
        share = ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / ((bx - ax) ** 2 + (by - ay) ** 2)
        share = min(max(share, 0), 1)
        return math.hypot(x - ax - share * (bx - ax), y - ay - share * (by - ay))

    def test_which_pieces_count(self):
        region = Region((within(0, 0, 2), beyond(1, 0, 2)), "all")
        self.assertEqual({(region.source(piece), region.counts(piece)) for piece in region.rings[0]}, {(0, True), (1, False)})
        hole = Region((within(0, 0, 2),), "none", WITHIN)
        self.assertEqual({hole.counts(piece) for piece in hole.rings[1]}, {False})
        self.assertTrue(bool(region.holds(-2, 0)))
        self.assertFalse(bool(Region((beyond(0, 0, 2),), "all").holds(0, 2)))
        self.assertTrue(bool(Region((beyond(0, 0, 2, strict=False),), "all").holds(0, 2)))


class RandomTest(unittest.TestCase):
    def test_rings_close_and_are_where_the_conditions_hold(self):
        """Areas against places counted one by one; each ring goes on where it ended, with the region on its left."""
        chance, seen = random.Random(29), Counter()
        across, up = ((np.arange(count) + 0.37) * 0.4 for count in (80, 60))
        xs, ys = np.tile(across - 16, 60), np.repeat(up - 12, 80)
        for number in range(tries(240)):
            region = random_region(chance)
            with self.subTest(number, region=region):
                self.assertEqual(region.is_empty, not region.rings)
                for ring in region.rings:
                    for piece, following in zip(ring, ring[1:] + ring[:1]):
                        self.assertLess(math.dist(piece.last, following.first), 1e-6)
                if region.rings:
                    self.assertTrue(bool(region.holds(*region.inner)))
                seen["endless"] += region.is_endless
                if all(abs(x) < 16 and abs(y) < 12 for ring in region.rings for piece in ring for x, y in piece.points()):
                    counted = float(region.holds(xs, ys).mean()) * 32 * 24
                    self.assertAlmostEqual(region.area, counted, delta=0.1 * max(region.perimeter, 2))
                    seen["counted"] += 1
        self.assertGreater(seen["counted"], 30)
        self.assertGreater(seen["endless"], 10)

    def test_far_out_and_very_thin(self):
        """Coordinates of nearly a million, and parts of width one: the whole of a triangle, near which all of it is."""
        corners = ((0.0, 0.0), (-9e5, 9e5), (1.0, 2.0))
        inside, near = Condition(InPolygon(corners), 0.0, False, False), Condition(FromPolygon(corners), 1.0, False, False)
        self.assertAlmostEqual(Region((inside, near), "all").area / 1_350_000, 1, places=9)
        flat = Condition(InPolygon(((0.0, 0.0), (4.0, 0.0), (4.0, 1e-160))), 0.0, False, False)
        self.assertTrue(Region((flat,), "all").is_empty)
        self.assertTrue(Region((within(0, 0, 1e-200),), "all").is_empty)

    def test_between_lines_that_meet_far_out(self):
        """Nearer to the line y = 0 than to another one that is hardly steeper, in a square about the origin."""
        square = Condition(InPolygon(((-1.0, -1.0), (1.0, -1.0), (1.0, 1.0), (-1.0, 1.0))), 0.0, False, False)
        for steep in (0.0, 1e-14, 1e-9, 1e-5, 1e-3, 1e-2, 0.05):
            nearer = Condition(Difference(LINE(0, 0, 1, 0), LINE(0, 1.2, 1, steep)), 0.0, False, True)
            middle = 1.2 / (1 + math.sqrt(1 + steep * steep))
            for sign, area in ((1, 2 * (1 + middle)), (-1, 2 * (1 - middle))):
                condition = Condition(nearer.measure, 0.0, sign < 0, True)
                self.assertAlmostEqual(Region((condition,), "all", square).area, area, places=9, msg=(steep, sign))


class ExactSumsTest(unittest.TestCase):
    """Areas and girths where edges touch, pass through corners or lie upon one another, and of very thin parts."""

    BED = "A=(0,0)\nB=(8,0)\nC=(8,6)\nD=(0,6)\nABCD is the polygon through A, B, C, D\nM is the midpoint of AC\n"

    def told(self, text):
        f = figure(f"{text}\nS is the area of z\nu is the perimeter of z")
        return f.read("S"), f.read("u")

    def test_an_edge_through_corners_and_one_that_touches(self):
        for reach, area, girth in ((5, 48, 28), (3, 9 * math.pi, 6 * math.pi), (4, None, None), (6, 48, 28)):
            found = self.told(f"{self.BED}j is the places at most {reach} from M\nz is the region where all of j hold, inside ABCD")
            if area is None:  # a disc of radius 4 less two parts beyond the long sides
                half = math.acos(3 / 4)
                area = 16 * math.pi - 2 * (16 * half - 3 * math.sqrt(7))
                girth = 2 * math.pi * 4 - 4 * 4 * half + 4 * math.sqrt(7)
            self.assertAlmostEqual(found[0], area, places=9)
            self.assertAlmostEqual(found[1], girth, places=9)

    def test_thin_parts_and_edges_upon_one_another(self):
        for short in (1.0, 1e-2, 1e-3, 1e-4):
            half = math.acos((5 - short / 2) / 5)
            found = self.told(
                f"A=(0,0)\nB=({10 - short},0)\nj is the places at most 5 from A\nc is the places at most 5 from B\n"
                "z is the region where all of j and c hold"
            )
            self.assertAlmostEqual(found[0], 25 * (2 * half - math.sin(2 * half)), places=9)
            self.assertAlmostEqual(found[1], 20 * half, places=9)
        found = self.told(
            f"{self.BED}j is the places at most 2 from AB\nc is the places at most 2 from CD\nz is the region where any of j and c hold, "
            "inside ABCD"
        )
        self.assertAlmostEqual(found[0], 32, places=9)
        self.assertAlmostEqual(found[1], 40, places=9)

    def test_no_leap_where_a_thing_comes_to_touch(self):
        """Against the same by a fine grid of strips, past every position in which edges touch or meet in corners."""
        f = figure(
            self.BED + "P = (4, 3)\nj is the places at most 3 from P\nc is the places nearer to AB than to CD\n"
            "z is the region where all of j and c hold, inside ABCD\nS is the area of z"
        )
        before = None
        for number in range(161):
            x, y = 4 + number * 0.05, 3 - 0.4 * math.sin(number / 20)
            f.board.move({f.board.find("P"): [x, y]})
            area = f.board.value(f.board.find("S")) or 0.0
            strips = (np.arange(20_000) + 0.5) / 20_000 * 8
            half = np.sqrt(np.maximum(9 - (strips - x) ** 2, 0))
            wanted = float(np.maximum(np.minimum(y + half, 3) - np.maximum(y - half, 0), 0)[half > 0].sum() * 8 / 20_000)
            self.assertAlmostEqual(area, wanted, places=3, msg=(x, y))
            if before is not None:
                self.assertLess(abs(area - before), 0.6)
            before = area


if __name__ == "__main__":
    unittest.main()
