"""Small figures that many tests use, and ways to look at values."""

import math
from fractions import Fraction

import numpy as np

from ruddy_trellis.core import Figure

TRIANGLE = "A is a free point at (0, 0)\nB is a free point at (6, 1)\nC is a free point at (2, 5)\n"


def figure(text, unit=""):
    """A figure from sentences."""
    made = Figure(unit)
    made.say(text)
    return made


def flat(value):
    """All numbers of a value in one list."""
    if isinstance(value, (tuple, list)):
        return [number for part in value for number in flat(part)]
    return [value]


def as_float(number):
    """A number of any arithmetic as a float (of an array: its first entry)."""
    if isinstance(number, np.ndarray):
        return float(number.reshape(-1)[0])
    if type(number).__name__ == "arb":  # a library that is not everywhere where this runs
        return float(number.mid())
    if hasattr(number, "at_sample"):
        return float(number.at_sample().mid())
    return float(number)


def distance(a, b):
    return math.hypot(a[0] - b[0], a[1] - b[1])


def direction(straight):
    return math.atan2(straight[3], straight[2])


def half_angle_fraction(degrees):
    """A rational number near the tangent of half the angle."""
    return Fraction(math.tan(math.radians(degrees / 2))).limit_denominator(1000)
