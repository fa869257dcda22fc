"""Sines, cosines and directions that are the same on every machine are as right as those of its library."""

import math
import random
import unittest

import flint

from ruddy_trellis.core.arithmetic import circular


def units(found, right):
    """How many units in the last place a number is off another one, given to many more places."""
    return abs(flint.arb(found) - right) / flint.arb(math.ulp(float(right.mid()) or 1.0))


class CircularTest(unittest.TestCase):
    def setUp(self):
        self.addCleanup(setattr, flint.ctx, "prec", flint.ctx.prec)
        flint.ctx.prec = 200
        self.random = random.Random(24)

    def test_cosines_and_sines_of_degrees(self):
        for number in range(6000):
            degrees = (
                self.random.uniform(-720, 720) if number % 2 else self.random.randint(-36000, 36000) / self.random.choice((1, 4, 8, 10))
            )
            turn = flint.arb(degrees) / 180
            for found, right in zip(circular.cos_sin(degrees), (turn.cos_pi(), turn.sin_pi())):
                if abs(float(right.mid())) > 1e-9:
                    self.assertLess(units(found, right), 2, degrees)
                else:
                    self.assertLess(abs(found), 2e-9)

    def test_whole_quarters_are_exact(self):
        for quarters in range(-9, 10):
            cosine, sine = circular.cos_sin(90.0 * quarters)
            self.assertEqual({abs(cosine), abs(sine)}, {0.0, 1.0})
            self.assertEqual((round(math.cos(quarters * math.pi / 2)), round(math.sin(quarters * math.pi / 2))), (cosine, sine))

    def test_radians(self):
        for _ in range(6000):
            x = self.random.uniform(-60, 60)
            for found, right in ((circular.sin(x), flint.arb(x).sin()), (circular.cos(x), flint.arb(x).cos())):
                self.assertLess(abs(float(flint.arb(found) - right)), 2e-16 * max(1, abs(x)) ** 0.5, x)
            self.assertAlmostEqual(circular.tan(x) / math.tan(x), 1, 12)

    def test_directions(self):
        for _ in range(6000):
            x, y = (self.random.uniform(-5, 5) * 10.0 ** self.random.randint(-6, 6) for _ in "xy")
            self.assertLess(units(circular.atan2(y, x), flint.arb.atan2(flint.arb(y), flint.arb(x))), 2, (x, y))
            self.assertAlmostEqual(circular.direction(x, y), math.degrees(math.atan2(y, x)), 12)

    def test_what_has_no_size(self):
        odd = (0.0, -0.0, 1.0, -1.0, math.inf, -math.inf, 5e-324, -1e308)
        for y in odd:
            for x in odd:
                found, right = circular.atan2(y, x), math.atan2(y, x)
                self.assertAlmostEqual(found, right, 15, (y, x))
                self.assertEqual(math.copysign(1, found), math.copysign(1, right), (y, x))
        self.assertTrue(math.isnan(circular.atan2(math.nan, 1.0)))
