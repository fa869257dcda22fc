"""Arcs, conics, tangents and equations: against properties of their figures."""

import math
import random
import unittest
from collections import Counter

from hypothesis import assume, given, settings
from hypothesis import strategies as st

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.arithmetic import ARRAYS
from ruddy_trellis.core.display import Extent
from ruddy_trellis.core.display.text import value_text
from ruddy_trellis.core.display.tracing import ROUND, trace, trace_conic
from ruddy_trellis.core.formulas import conics
from ruddy_trellis.core.pointing.picking import point_on_path

from .figures import distance, figure
from .paths import PATHS, off, point
from .tries import tries


class ArcTest(unittest.TestCase):
    @settings(max_examples=60, deadline=None)
    @given(point, point, point, st.floats(0.02, 0.98))
    def test_arcs(self, a, b, c, share):
        assume(min(distance(a, b), distance(b, c), distance(a, c)) > 0.3)
        assume(abs((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])) > 0.3)
        f = figure(
            "A=(0,0)\nB=(3,1)\nC=(1,4)\nk is the arc with centre A from B to C\nP is a point on k at 0.5\nc is the arc through A, B and C\n"
            "u is the arc length of k\ns is the sector with centre A from B to C\nt is the chord region with centre A from B to C\n"
            "S is the area of s\nT is the area of t\nα is the directed angle BAC\nh is the semicircle on the diameter from A to B\n"
            "Q is a point on h at 0.3\nβ is the angle AQB"
        )
        for name, at in zip("ABC", (a, b, c)):
            f.drag(name, *at)
        f.drag("P", share)
        radius, turn = distance(a, b), math.radians(f.read("α"))
        self.assertAlmostEqual(distance(f.value("P"), a), radius)
        self.assertAlmostEqual(f.read("u"), radius * turn, places=6)
        self.assertAlmostEqual(f.read("S"), radius**2 * turn / 2, places=6)
        self.assertAlmostEqual(f.read("T"), radius**2 * (turn - math.sin(turn)) / 2, places=6)
        swept = math.atan2(f.value("P")[1] - a[1], f.value("P")[0] - a[0]) - math.atan2(b[1] - a[1], b[0] - a[0])
        self.assertAlmostEqual((swept % (2 * math.pi)) / turn, share, places=6)
        self.assertAlmostEqual(f.read("β"), 90, places=5, msg="the angle in a semicircle")
        through = f.value("c")
        for corner in (a, b, c):
            self.assertAlmostEqual(distance(corner, through[:2]) ** 2 / through[2], 1, places=6)
        chord = (b[0] - through[3]) * (through[6] - through[4]) - (b[1] - through[4]) * (through[5] - through[3])
        self.assertGreater(chord, 0, "it goes by way of the middle point")


class TracingTest(unittest.TestCase):
    def test_one_by_one_and_all_at_once_a_conic_is_drawn_through_the_same_points(self):
        chance, extent, branches = random.Random(3), Extent(-18, -10, 18, 10), Counter()
        for number in range(tries(300)):
            turn, size = chance.uniform(0, math.tau), chance.choice((0.3, 1.0, 2.5))
            latus = chance.choice((1e-6, 0.1, 1, 3, 30)) * chance.choice((1, -1))
            conic = (chance.uniform(-5, 5), chance.uniform(-5, 5), size * math.cos(turn), size * math.sin(turn), latus)
            each = trace_conic(conic, extent)
            together = trace(lambda angles, conic=conic: conics.point_on_conic(ARRAYS, conic, angles), ROUND, extent)
            with self.subTest(number, conic=conic):
                self.assertEqual(list(map(len, each)), list(map(len, together)))
                for piece, other in zip(each, together):
                    self.assertLess(max(abs(p - q) for p, q in zip(piece, other)), 2e-5)
            branches[min(len(each), 2)] += 1
        self.assertGreater(min(branches[1], branches[2]), tries(30))


class ConicTest(unittest.TestCase):
    @settings(max_examples=50, deadline=None)
    @given(point, point, point, st.floats(0, 360))
    def test_sums_differences_and_distances(self, a, b, c, angle):
        apart, sides = distance(a, b), (distance(a, c), distance(b, c))
        assume(apart > 0.4 and sum(sides) > 1.02 * apart and 0.03 < abs(sides[0] - sides[1]) / apart < 0.97)
        f = figure(
            "A=(0,0)\nB=(4,0)\nC=(1,3)\nk is the ellipse with foci A and B through C\nh is the hyperbola with foci A and B through C\n"
            "p is the line through A and B\nd is the parabola with focus C and directrix p\nP is a point on k at 0\n"
            "Q is a point on h at 0\nR is a point on d at 0\n"
            "e_k is the eccentricity of k\ne_h is the eccentricity of h\nboth foci of h\nw is the distance from R to p\n"
            "c is the conic through PQRAB"
        )
        f.drag("A", *a), f.drag("B", *b), f.drag("C", *c)
        for name in "PQR":
            f.drag(name, angle)
        if at := f.value("P"):
            self.assertAlmostEqual(distance(at, a) + distance(at, b), sum(sides), places=6)
        if (at := f.value("Q")) and max(map(abs, at)) < 1e3:
            self.assertAlmostEqual(abs(distance(at, a) - distance(at, b)), abs(sides[0] - sides[1]), places=5)
        if (at := f.value("R")) and max(map(abs, at)) < 1e3:
            self.assertAlmostEqual(distance(at, c), f.read("w"), places=5)
        self.assertAlmostEqual(f.read("e_k"), apart / sum(sides))
        self.assertAlmostEqual(f.read("e_h"), apart / abs(sides[0] - sides[1]))

    def test_five_points_find_the_conic_they_were_taken_from(self):
        for sort in ("ellipse", "hyperbola", "parabola", "circle"):
            with self.subTest(sort):
                f = figure(
                    PATHS[sort]
                    + "\n"
                    + "\n".join(f"{name} is a point on p at {angle}" for name, angle in zip("GHIJK", (20, 95, 150, 215, 300)))
                )
                f.say("n is the conic through GHIJK\ne_n is the eccentricity of n")
                for angle in range(5, 360, 35):
                    at = point_on_path(f.board, (f.board.find("p"),), (5 * math.cos(angle), 5 * math.sin(angle))).at
                    self.assertLess(off(f.board, "n", at), 1e-5)
                wanted = {"parabola": 1, "circle": 0}.get(sort)
                if wanted is not None:
                    self.assertAlmostEqual(f.read("e_n"), wanted, places=6)

    def test_degenerate_conics_vanish(self):
        f = figure(
            "A=(-2,0)\nB=(2,0)\nC=(0,1)\nk is the ellipse with foci A and B through C\np is the line through A and B\n"
            "d is the parabola with focus C and directrix p\n"
            "h is the hyperbola with foci A and B through C\nD=(1,2)\nE=(3,-1)\nn is the conic through ABCDE"
        )
        self.assertIsNone(f.value("h"), "its point is as far from one as from the other")
        f.drag("C", 0.5, 0)
        self.assertEqual([f.value(name) for name in "kd"], [None, None])
        self.assertIsNone(f.value("n"), "three in line")
        f.drag("C", 0.5, 1)
        self.assertNotIn(None, [f.value(name) for name in "kdhn"])


class TangentTest(unittest.TestCase):
    @settings(max_examples=40, deadline=None)
    @given(point, st.floats(0.3, 3), st.floats(0.3, 3))
    def test_common_tangents_touch_both(self, at, first, second):
        f = figure("A=(0,0)\nB=(9,9)")
        f.make("circle_radius", name="k", centre="A", radius=first)
        f.make("circle_radius", name="c", centre="B", radius=second)
        f.say("all common tangents of k and c")
        f.drag("B", *at)
        apart = distance((0, 0), at)
        assume(min(abs(apart - first - second), abs(apart - abs(first - second))) > 1e-2)
        tangents = [value for value in f.board.values[-4:] if value]
        self.assertEqual(len(tangents), 4 if apart > first + second else 2 if apart > abs(first - second) else 0)
        for px, py, dx, dy, *_ in tangents:
            for (x, y), radius in (((0, 0), first), (at, second)):
                self.assertAlmostEqual(abs(dx * (y - py) - dy * (x - px)) / math.hypot(dx, dy), radius, places=6)


class EquationTest(unittest.TestCase):
    def test_lines_circles_and_conics(self):
        f = figure(
            "x = 4\na: y = 3x - 1\n5x + 2y = 10\ny = ±2\nk: x^2 + y^2 = 25\nc is the circle (x - 1)^2 + (y + 2)² = 9\n"
            "n: y = x^2 / 4\nm is the line 2(x - y) = x + 3"
        )
        sentences = f.working().splitlines()
        self.assertEqual(len(sentences), 9)
        on = lambda name, x, y: abs(f.value(name)[2] * (y - f.value(name)[1]) - f.value(name)[3] * (x - f.value(name)[0])) < 1e-9
        self.assertTrue(on("a", 0, -1) and on("a", 1, 2))
        self.assertTrue(on("m", 3, 0) and on("m", 5, 1))
        self.assertEqual(f.value("k"), (0, 0, 25))
        self.assertEqual(f.value("c"), (1, -2, 9))
        self.assertAlmostEqual(f.value("n")[1], 1, msg="the focus of y = x²/4 is (0, 1)")
        self.assertEqual([line.split(" is ")[1] for line in sentences[3:5]], ["the line y = 2", "the line y = −2"])
        readings = {}
        for name in "akcn":
            f.say(f"equation_{name} is the equation of {name}")
            readings[name] = value_text(f.board, next(id for id in f.board.ids_named(f"equation_{name}")))
        self.assertEqual(
            readings, {"a": "y = 3.00x − 1.00", "k": "x² + y² = 25.00", "c": "(x − 1.00)² + (y + 2.00)² = 9.00", "n": "x² − 4.00y = 0.00"}
        )

    def test_what_is_no_equation_is_refused_in_words(self):
        f = figure("A=(0,0)")
        for sentence, part in {
            "the line y = z + 1": "neither x nor y",
            "the line y = x^2": "not the equation of a line",
            "the circle x^2 + y^2 = -4": "No points",
            "the conic x*y = 0": "No points",
            "the line x = x": "Neither x nor y is left",
            "the line y = x^3": "squares",
            "the line y = 1 / x": "plain numbers",
        }.items():
            with self.subTest(sentence), self.assertRaises(Refusal) as caught:
                f.say(sentence)
            self.assertIn(part, caught.exception.sentence)
        self.assertEqual(len(f.board), 1)
