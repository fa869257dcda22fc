"""Tangents of any conic, poles and polars, asymptotes, the radical axis: each by a property of the figure, however it lies."""

import math
import random
import unittest

from ruddy_trellis.core.arithmetic import FLOATS
from ruddy_trellis.core.formulas.measures import distance

from .figures import figure

CURVES = {
    "circle": "k is the circle with centre A through C",
    "ellipse": "k is the ellipse with foci A and B through C",
    "hyperbola": "k is the hyperbola with foci A and B through C",
    "parabola": "p is the line through B and C\nk is the parabola with focus A and directrix p",
}


def places(seed):
    """Four points that are not near one another, anywhere."""
    chance = random.Random(seed)
    while True:
        at = [(chance.uniform(-5, 5), chance.uniform(-5, 5)) for _ in range(4)]
        if all(math.dist(p, q) > 1 for number, p in enumerate(at) for q in at[:number]):
            return "\n".join(f"{name} = ({x:.3f}, {y:.3f})" for name, (x, y) in zip("ABCD", at))


def off(straight, at):
    """How far a point is from a straight thing."""
    px, py, dx, dy = straight[:4]
    return abs(dx * (at[1] - py) - dy * (at[0] - px)) / math.hypot(dx, dy)


class PolarsTest(unittest.TestCase):
    def each(self):
        for name, curve in CURVES.items():
            for seed in range(12):
                f = figure(f"{places(seed)}\n{curve}")
                if f.value("k") is not None:
                    yield name, f

    def test_a_tangent_meets_its_conic_in_that_point_alone(self):
        for _, f in self.each():
            f.say("P is a point on k at 70\nt is the tangent to k at P")
            self.assertLess(off(f.value("t"), f.value("P")), 1e-9)
            f.say("Q is where k meets t, first crossing\nR is where k meets t, second crossing")
            for name in "QR":
                if f.value(name) is not None:  # rounding may leave none
                    self.assertLess(math.dist(f.value(name), f.value("P")), 1e-3 * (1 + math.hypot(*f.value("P"))))

    def test_tangents_from_a_point_touch_where_its_polar_meets_the_conic(self):
        found = 0
        for _, f in self.each():
            f.say("l is the polar of D in k\nboth tangents from D to k\nboth touching points from D on k")
            steps = f.board.steps
            tangents = [f.board.value(step.id) for step in steps if step.does == "tangent_from"]
            touching = [f.board.value(step.id) for step in steps if step.does == "touching_point"]
            for tangent, point in zip(tangents, touching):
                self.assertEqual(tangent is None, point is None)
                if point is None:
                    continue
                found += 1
                self.assertLess(off(f.value("l"), point), 1e-7 * (1 + math.hypot(*point)))
                self.assertLess(min(off(tangent, one) for one in touching if one is not None), 1e-7 * (1 + math.hypot(*point)))
                self.assertLess(off(tangent, f.value("D")), 1e-9)
        self.assertGreater(found, 20)

    def test_the_pole_of_the_polar_is_the_point(self):
        for _, f in self.each():
            f.say("l is the polar of D in k\nE is the pole of l in k")
            if f.value("E") is not None:
                self.assertLess(math.dist(f.value("E"), f.value("D")), 1e-6 * (1 + math.hypot(*f.value("D"))))

    def test_asymptotes_are_nearer_and_nearer_to_their_hyperbola(self):
        for name, f in self.each():
            if name == "circle":
                continue
            f.say("a is the asymptote of k, first one")
            if name == "hyperbola":
                f.say("b is the asymptote of k, second one\nP is a point on k at 1\nM is the centre of k")
                for line in "ab":
                    self.assertLess(off(f.value(line), f.value("M")), 1e-9)
                    conic = f.value("k")
                    nearer = []
                    for far in (1e2, 1e4):
                        px, py, dx, dy = f.value(line)[:4]
                        at = (px + far * dx, py + far * dy)
                        reach = conic[2] * (at[0] - conic[0]) + conic[3] * (at[1] - conic[1]) + conic[4]
                        nearer.append(abs(math.dist(at, conic[:2]) - abs(reach)))
                    self.assertLess(nearer[1], nearer[0] / 20)
            else:
                self.assertIsNone(f.value("a"))

    def test_the_radical_axis_has_equal_powers_and_the_excentre_equal_distances(self):
        for seed in range(12):
            f = figure(f"{places(seed)}\nk is the circle with centre A through B\nc is the circle with centre C and radius 2")
            f.say("p is the radical axis of k and c")
            px, py, dx, dy = f.value("p")[:4]
            for share in (0, 1, -2.5):
                at = (px + share * dx, py + share * dy)
                powers = [math.dist(at, f.value(name)[:2]) ** 2 - f.value(name)[2] for name in "kc"]
                self.assertAlmostEqual(*powers, places=7)
            f.say("E is the excentre of ABC that faces its first corner\nF is the point at 2.5 from A towards B")
            sides = [
                off((*p, q[0] - p[0], q[1] - p[1]), f.value("E")) for p, q in ((f.value(a), f.value(b)) for a, b in ("AB", "BC", "CA"))
            ]
            self.assertLess(max(sides) - min(sides), 1e-9 * (1 + max(sides)))
            self.assertAlmostEqual(distance(FLOATS, f.value("A"), f.value("F")), 2.5)

    def test_a_circle_on_a_diameter_sees_it_at_right_angles(self):
        f = figure(f"{places(3)}\nk is the circle on the diameter from A to B\nP is a point on k at 77")
        (ax, ay), (bx, by), (x, y) = (f.value(name) for name in "ABP")
        self.assertAlmostEqual((ax - x) * (bx - x) + (ay - y) * (by - y), 0)
