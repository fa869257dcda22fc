"""Every construction against a property of its figure that does not use its formula."""

import math
import unittest

from hypothesis import assume, given, settings
from hypothesis import strategies as st

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.core.edits import said

from .figures import TRIANGLE, direction, distance, figure

coordinate = st.floats(-50, 50).map(lambda number: round(number, 3))
point = st.tuples(coordinate, coordinate)


def put(f, **places):
    for name, at in places.items():
        f.drag(name, *at)


class PropertyTest(unittest.TestCase):
    """Draws random triangles; those that are nearly flat are left to the degenerate tests."""

    def setUp(self):
        self.f = figure(
            TRIANGLE + "M is the midpoint of AB\np is the perpendicular bisector of AB\nq is the perpendicular bisector of B and C\n"
            "O is where p meets q\nk is the circle with centre O through A\nl is the line through A and B\n"
            "m is the perpendicular to l through C\nn is the parallel to l through C\nv is the bisector of angle ABC\n"
            "c is the circle with centre C and radius AB\nd is the distance from C to l\nAB is the length of AB\n"
            "BC is the length of BC\nCA is the length of CA\nα is the angle BAC\nβ is the angle CBA\nγ is the angle ACB\n"
            "ρ is the reflex angle ABC\nABC is the polygon through A, B, C\nS is the area of ABC\nw is the value of 0.5 * AB * d"
        )

    @settings(max_examples=150, deadline=None)
    @given(point, point, point)
    def test_triangle(self, a, b, c):
        sides = sorted((distance(a, b), distance(b, c), distance(c, a)))
        assume(sides[0] > 0.5 and sides[0] + sides[1] > sides[2] * 1.001)
        f = self.f
        put(f, A=a, B=b, C=c)
        near = lambda x, y: self.assertAlmostEqual(x, y, delta=1e-6 * (1 + abs(x) + abs(y)))
        m = f.value("M")
        near(distance(m, a), distance(m, b))
        near(distance(a, m) + distance(m, b), distance(a, b))
        o = f.value("O")
        near(distance(o, a), distance(o, b))
        near(distance(o, a), distance(o, c))
        near(math.sqrt(f.value("k")[2]), distance(o, b))
        near(math.sqrt(f.value("c")[2]), distance(a, b))
        ab = math.atan2(b[1] - a[1], b[0] - a[0])
        near(math.cos(direction(f.value("m")) - ab), 0)
        near(math.sin(direction(f.value("n")) - ab), 0)
        near(math.sin(direction(f.value("p")) - ab), 1)
        bisector = direction(f.value("v"))
        to_a, to_c = math.atan2(a[1] - b[1], a[0] - b[0]), math.atan2(c[1] - b[1], c[0] - b[0])
        near(math.cos(bisector - to_a), math.cos(bisector - to_c))
        self.assertGreater(math.cos(bisector - to_a), 0)
        near(f.read("α") + f.read("β") + f.read("γ"), 180)
        near(f.read("β") + f.read("ρ"), 360)
        ab, bc, ca = f.read("AB"), f.read("BC"), f.read("CA")
        half = (ab + bc + ca) / 2
        heron = math.sqrt(max(half * (half - ab) * (half - bc) * (half - ca), 0))
        self.assertAlmostEqual(f.read("S"), heron, delta=1e-4 * (1 + heron))
        near(f.read("S"), f.read("w"))
        near(ca * ca, ab * ab + bc * bc - 2 * ab * bc * math.cos(math.radians(f.read("β"))))

    @settings(max_examples=100, deadline=None)
    @given(point, point, point, st.floats(0.3, 20))
    def test_crossings_lie_on_both_and_in_order(self, a, b, c, radius):
        assume(distance(a, b) > 0.5)
        f = figure("A is a free point at (0, 0)\nB is a free point at (6, 1)\nC is a free point at (2, 5)\nl is the line through A and B")
        f.make("circle_radius", name="k", centre="C", radius=radius)
        f.say("P is where l meets k, first crossing\nQ is where l meets k, second crossing\nR is where l meets k again, other than P")
        put(f, A=a, B=b, C=c)
        away = abs((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])) / distance(a, b)
        assume(abs(away - radius) > 1e-3)
        p, q, r = map(f.value, "PQR")
        if away > radius:
            self.assertEqual((p, q, r), (None, None, None))
            return
        for crossing in (p, q):
            self.assertAlmostEqual(distance(crossing, c), radius, places=6)
            off = (b[0] - a[0]) * (crossing[1] - a[1]) - (b[1] - a[1]) * (crossing[0] - a[0])
            self.assertAlmostEqual(off / distance(a, b), 0, places=6)
        self.assertGreater((q[0] - p[0]) * (b[0] - a[0]) + (q[1] - p[1]) * (b[1] - a[1]), 0)
        self.assertLess(distance(q, r), 1e-6 * (1 + abs(q[0]) + abs(q[1])))

    @settings(max_examples=100, deadline=None)
    @given(point, point, st.floats(0.5, 30), st.floats(0.5, 30))
    def test_two_circles(self, a, b, first, second):
        apart = distance(a, b)
        assume(apart > 0.5 and min(abs(apart - first - second), abs(apart - abs(first - second))) > 1e-3)
        f = figure("A is a free point at (0, 0)\nB is a free point at (6, 1)")
        f.make("circle_radius", name="k", centre="A", radius=first)
        f.make("circle_radius", name="c", centre="B", radius=second)
        f.say("P is where k meets c, first crossing\nQ is where k meets c, second crossing\nR is where k meets c again, other than Q")
        put(f, A=a, B=b)
        if apart > first + second or apart < abs(first - second):
            self.assertIsNone(f.value("P"))
            return
        p, q = f.value("P"), f.value("Q")
        for crossing in (p, q):
            self.assertAlmostEqual(distance(crossing, a), first, places=5)
            self.assertAlmostEqual(distance(crossing, b), second, places=5)
        side = (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])
        self.assertGreater(side, 0, "the first crossing is on the left of the line of centres")
        self.assertLess(distance(p, f.value("R")), 1e-5)

    def test_points_on_paths_ride_and_stay_on(self):
        f = figure(
            "A=(0,0)\nB=(4,0)\nAB is the segment from A to B\nk is the circle with centre A through B\nr is the ray from B through A\n"
            "P is a point on AB at 0.25\nQ is a point on k at 90\nR is a point on r at 2"
        )
        self.assertEqual(f.value("P"), (1, 0))
        self.assertAlmostEqual(f.value("Q")[1], 4)
        self.assertEqual(f.value("R"), (-4, 0))
        f.drag("P", 1.7)
        self.assertEqual(f.value("P"), (4, 0), "a share beyond the end stays at the end")
        f.drag("R", -3)
        self.assertEqual(f.value("R"), (4, 0), "a ray has one end")
        f.drag("B", 0, 8)
        self.assertEqual(f.value("P"), (0, 8))


class TriangleTest(unittest.TestCase):
    """The centres, circles, medians and altitudes of random triangles; tangents; feet; ratios."""

    def setUp(self):
        names = {"G": "centroid", "O": "circumcentre", "I": "incentre", "H": "orthocentre", "N": "nine-point centre"}
        self.f = figure(
            TRIANGLE
            + "".join(f"{name} is the {words} of ABC\n" for name, words in names.items())
            + "k is the circle through A, B and C\nc is the incircle of ABC\ne is the nine-point circle of ABC\n"
            "p is the line through A and B\n"
            "m is the median from C to AB\nh is the altitude from C to p\nF is the foot of the perpendicular from C to p\n"
            "D is the centre of k\n"
            "R is the point that divides AB in the ratio 2 : 3\nt is the tangent to k at A\nT is the midpoint of AB\n"
            "v is the ratio of AB to BC\nw is the slope of p\nABC is the polygon through A, B, C\nu is the perimeter of ABC\n"
            "radius_k is the radius of k\n"
            "α is the directed angle ABC\nβ is the directed angle CBA\nl is the line through C at 30 degrees to p"
        )

    @settings(max_examples=100, deadline=None)
    @given(point, point, point)
    def test_triangles(self, a, b, c):
        sides = sorted((distance(a, b), distance(b, c), distance(c, a)))
        assume(sides[0] > 1 and sides[0] + sides[1] > sides[2] * 1.01 and abs(a[0] - b[0]) > 0.1)
        f = self.f
        put(f, A=a, B=b, C=c)
        near = lambda x, y: self.assertAlmostEqual(x, y, delta=1e-5 * (1 + abs(x) + abs(y)))
        line = lambda p, q, r: (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0])
        g, o, i, h, n = map(f.value, "GOIHN")
        for corner in (a, b, c):
            near(distance(o, corner), f.read("radius_k"))
        near(distance(h, o), 3 * distance(g, o))
        near(distance(n, o), distance(n, h))
        reach = [abs(line(p, q, i)) / distance(p, q) for p, q in ((a, b), (b, c), (c, a))]
        for one in reach:
            near(one, math.sqrt(f.value("c")[2]))
        foot, middle = f.value("F"), f.value("T")
        for on_nine in (foot, middle, ((a[0] + h[0]) / 2, (a[1] + h[1]) / 2)):
            near(distance(on_nine, f.value("e")[:2]), math.sqrt(f.value("e")[2]))
        near((foot[0] - c[0]) * (b[0] - a[0]) + (foot[1] - c[1]) * (b[1] - a[1]), 0)
        near(line(a, b, foot), 0)
        self.assertEqual(f.value("D"), f.value("k")[:2])
        ratio = f.value("R")
        near(distance(a, ratio) * 3, distance(ratio, b) * 2)
        near(f.value("t")[2] * (a[0] - o[0]) + f.value("t")[3] * (a[1] - o[1]), 0)
        near(f.read("v") * distance(b, c), distance(a, b))
        near(f.read("u"), sum(sides))
        near(f.read("w"), (b[1] - a[1]) / (b[0] - a[0]))
        near(f.read("α") + f.read("β"), 360)
        turned = math.degrees(direction(f.value("l")) - math.atan2(b[1] - a[1], b[0] - a[0])) % 360
        near(turned, 30)

    def test_a_flat_triangle_has_no_centres(self):
        put(self.f, A=(0, 0), B=(2, 1), C=(6, 3))
        for name in "GOIHNkce":
            self.assertIsNone(self.f.value(name), name)

    @settings(max_examples=60, deadline=None)
    @given(point, st.floats(0.3, 8))
    def test_tangents_touch(self, at, radius):
        f = figure("A=(1,2)\nP=(9,9)")
        f.make("circle_radius", name="k", centre="A", radius=radius)
        f.say("both tangents from P to k\nall crossings of p and k\nall crossings of q and k")
        put(f, P=at)
        away = distance(at, (1, 2))
        assume(abs(away - radius) > 0.05)
        tangents = [f.value("p"), f.value("q")]
        if away < radius:
            self.assertEqual(tangents, [None, None])
            return
        for px, py, dx, dy, *_ in tangents:
            reach = abs(dx * (2 - py) - dy * (1 - px)) / math.hypot(dx, dy)
            self.assertAlmostEqual(reach, radius, places=6)
        self.assertNotEqual(*tangents)
        self.assertNotIn(None, [f.value(name) for name in "BCDE"], "a tangent meets its circle, where it touches")

    def test_a_tangent_needs_a_point_that_is_on_the_circle(self):
        f = figure("A=(0,0)\nB=(2,0)\nC=(0,2)\nk is the circle with centre A through B")
        with self.assertRaises(Refusal) as caught:
            f.say("the tangent to k at C")
        self.assertIn("C does not lie on k wherever the pegs are", caught.exception.sentence)

    def test_what_lies_on_a_path_in_every_position_counts_as_tied_to_it(self):
        """The mirror image in a diameter lies on the circle, though it was not made on it."""
        f = figure(
            "A=(0,0)\nB=(3,1)\nk is the circle with centre A through B\nP is a point on k at 70\nd is the line through A and B\n"
            "Q is the mirror image of P in d\nt is the tangent to k at Q\nC=(-3,-1)"
        )
        (_, _, dx, dy), (x, y) = f.value("t")[:4], f.value("Q")
        self.assertAlmostEqual(dx * x + dy * y, 0, msg="square to the radius")
        with self.assertRaises(Refusal):
            f.say("s is the tangent to k at C")  # which lies on it only just now


class DegenerateTest(unittest.TestCase):
    """What has no value vanishes with what hangs on it, and comes back on the same branch."""

    def check_vanishes(self, sentences, name, away, back):
        f = figure(sentences)
        before = f.value(name)
        self.assertIsNotNone(before)
        f.drag(*away)
        self.assertIsNone(f.value(name))
        f.drag(*back)
        self.assertEqual(f.value(name), before)

    def test_parallel_lines_have_no_crossing(self):
        self.check_vanishes(
            "A=(0,0)\nB=(4,0)\nC=(0,2)\nD=(4,3)\np is the line through A and B\nq is the line through C and D\nE is where p meets q\n"
            "M is the midpoint of A and E",
            "M",
            ("D", 4, 2),
            ("D", 4, 3),
        )

    def test_beyond_the_end_of_a_segment(self):
        self.check_vanishes(
            "A=(0,0)\nB=(4,0)\nC=(2,-1)\nD=(2,3)\nAB is the segment from A to B\nCD is the segment from C to D\nE is where AB meets CD",
            "E",
            ("D", 2, -0.5),
            ("D", 2, 3),
        )

    def test_circle_and_line_apart(self):
        self.check_vanishes(
            "A=(0,0)\nB=(2,0)\nk is the circle with centre A through B\nC=(-3,1)\nD=(3,1)\np is the line through C and D\n"
            "E is where p meets k, second crossing",
            "E",
            ("D", 3, 30),
            ("D", 3, 1),
        )

    def test_coincident_points(self):
        for last in (
            "line through A and B",
            "segment from A to B",
            "ray from A through B",
            "circle with centre A through B",
            "perpendicular bisector of A and B",
            "bisector of angle ABC",
            "angle ABC",
        ):
            with self.subTest(last):
                self.check_vanishes(f"A=(0,0)\nB=(2,0)\nC=(3,3)\nx is the {last}", "x", ("B", 0, 0), ("B", 2, 0))

    def test_touching_counts_as_meeting(self):
        f = figure(
            "A=(0,0)\nB=(2,0)\nk is the circle with centre A through B\nC=(-3,2)\nD=(3,2)\np is the line through C and D\n"
            "E is where p meets k, first crossing\nF is where p meets k, second crossing"
        )
        for name in "EF":
            self.assertAlmostEqual(f.value(name)[0], 0, places=6)
            self.assertAlmostEqual(f.value(name)[1], 2, places=6)

    def test_tangent_at_a_far_place_still_touches(self):
        f = figure(
            "A=(123.456, 789.012)\nB=(124.1, 788.3)\nk is the circle with centre A through B\nl is the line through A and B\n"
            "p is the perpendicular to l through B\nE is where p meets k, first crossing"
        )
        self.assertIsNotNone(f.value("E"))
        self.assertLess(distance(f.value("E"), f.value("B")), 1e-4)

    def test_straight_angle_is_halved_by_its_perpendicular(self):
        f = figure("A=(-2,0)\nB=(0,0)\nC=(3,0)\nv is the bisector of angle ABC\nα is the angle ABC")
        self.assertAlmostEqual(f.value("v")[2], 0)
        self.assertAlmostEqual(f.read("α"), 180)

    def test_nothing_is_ever_not_a_number(self):
        f = figure(
            TRIANGLE + "p is the perpendicular bisector of AB\nq is the perpendicular bisector of A and C\nO is where p meets q\n"
            "k is the circle with centre O through A\nP is a point on k at 30\nα is the angle ABC\nv is the value of 1/AB"
        )
        spots = [(0, 0), (6, 1), (2, 5), (1e6, 1e6), (-1e6, 3), (1e-9, 0), (0.1, 0.1 / 6)]
        for spot in spots:
            for name in "ABC":
                f.drag(name, *spot)
                for value in f.board.values:
                    for number in str(value).split():
                        self.assertNotIn("nan", number)


class BranchTest(unittest.TestCase):
    """A crossing keeps to its branch while the figure moves."""

    def test_hexagon_stays_regular_round_and_round(self):
        f = figure(
            "O=(0,0)\nA=(3,0)\nk is the circle with centre O through A\nc is the circle with centre A through O\n"
            "B is where k meets c, first crossing\ne is the circle with centre B through O\nC is where k meets e, first crossing\n"
            "f is the circle with centre C through O\nD is where k meets f, first crossing\n"
            "g is the circle with centre D through O\nE is where k meets g, first crossing\n"
            "h is the circle with centre E through O\nF is where k meets h, first crossing"
        )
        before = None
        for turn in range(0, 1081, 3):
            angle = math.radians(turn)
            f.drag("A", 3 * math.cos(angle) + 0.4, 3 * math.sin(angle) - 0.2)
            corners = [f.value(name) for name in "ABCDEF"]
            side = distance(f.value("O"), corners[0])
            for one, other in zip(corners, corners[1:] + corners[:1]):
                self.assertAlmostEqual(distance(one, other), side, places=9)
            if before:
                for old, new in zip(before, corners):
                    self.assertLess(distance(old, new), 0.4, "a corner jumped")
            before = corners

    @settings(max_examples=40, deadline=None)
    @given(st.lists(st.tuples(st.floats(-2, 2), st.floats(-2, 2)), min_size=1, max_size=6))
    def test_coming_back_the_same_way_gives_the_same_figure(self, stops):
        f = figure(
            "A=(0,0)\nB=(3,0)\nC=(1,1)\nD=(5,2)\nk is the circle with centre A through B\np is the line through C and D\n"
            "E is where p meets k, second crossing\nF is where p meets k again, other than E\nc is the circle with centre E through C\n"
            "G is where k meets c, first crossing"
        )
        path, at = [], (1.0, 1.0)
        for stop in stops:
            path += [(at[0] + (stop[0] - at[0]) * share / 60, at[1] + (stop[1] - at[1]) * share / 60) for share in range(1, 61)]
            at = stop
        seen = []
        for spot in path:
            f.drag("C", *spot)
            # C stays inside k, so p always cuts it twice: neither crossing may ever jump to the other.
            e, other = f.value("E"), f.value("F")
            self.assertGreater((e[0] - other[0]) * (5 - spot[0]) + (e[1] - other[1]) * (2 - spot[1]), 0)
            seen.append(list(f.board.values))
        for spot, values in zip(reversed(path), reversed(seen)):
            f.drag("C", *spot)
            self.assertEqual(f.board.values, values)


class MisfitTest(unittest.TestCase):
    """What does not fit is refused in words, and nothing changes."""

    def test_refusals(self):
        f = figure(
            TRIANGLE + "k is the circle with centre A through B\np is the line through A and B\nq is the line through A and C\n"
            "E is where p meets k, second crossing\nα is the angle ABC"
        )
        before = f.working()
        for sentence, part in {
            "the line through A and A": "twice",
            "the perpendicular to k through A": "circle",
            "where p meets q again, other than B": "meet only once",
            "where p meets k again, other than C": "does not lie on",
            "the circle with centre A and radius α": "not a length",
            "the circle with centre A and radius 0": "above zero",
            "the midpoint of Q": "called Q",
            "the polygon through A, B": "at least three",
            "A is a free point at (1, 1)": "already",
            "D is a free point at (1e400, 0)": "too large",
            "is": "sentence",
            "": "Type a sentence",
            "AB is a free point at (2, 2)": "together",
        }.items():
            with self.subTest(sentence), self.assertRaises(Refusal) as caught:
                said(sentence, f.board) if not sentence else f.say(sentence)
            self.assertIn(part, caught.exception.sentence)
            self.assertEqual(f.working(), before)

    def test_every_example_makes_its_construction(self):
        for construction in CATALOGUE:
            with self.subTest(construction.key):
                f = figure(construction.example)
                last = f.board.steps[-1]
                if construction.expands:
                    self.assertIn(construction.makes, {step.makes for step in f.board.steps})
                else:
                    self.assertEqual(last.does, construction.key)
                self.assertNotIn(None, f.board.values)
