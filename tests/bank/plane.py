"""Plane geometry on complex numbers, written for the checks of the bank and apart from the program's own."""

from __future__ import annotations

import cmath
import itertools
import math

_NEAR = 1e-6


def same(a: float | complex, b: float | complex) -> bool:
    return abs(a - b) <= _NEAR * (1 + abs(a) + abs(b))


class Place(complex):
    """The place of a point, equal to what is near it."""

    def __eq__(self, other: object) -> bool:
        return isinstance(other, complex | float | int) and same(complex(self), other)

    def __ne__(self, other: object) -> bool:
        return not self == other

    __hash__ = complex.__hash__


def near_any(value: float, *wanted: float) -> bool:
    return any(abs(value - one) < 1e-4 for one in wanted)


def d(a, b):
    return abs(a - b)


def unit(z):
    return z / abs(z)


def mid(a, b):
    return (a + b) / 2


def dot(a, b):
    return (a * b.conjugate()).real


def cross(a, b):
    return (a.conjugate() * b).imag


def foot(p, a, b):
    return a + (b - a) * dot(p - a, b - a) / abs(b - a) ** 2


def refl(p, a, b):
    return 2 * foot(p, a, b) - p


def turn(p, c, degrees):
    return c + (p - c) * cmath.exp(1j * math.radians(degrees))


def scale(p, c, factor):
    return c + (p - c) * factor


def perp(p, a, b):
    return p + 1j * (b - a)


def par(p, a, b):
    return p + (b - a)


def bis(a, b, c):
    return b + unit(a - b) + unit(c - b)


def meet(a, b, c, e):
    return a + (b - a) * cross(c - a, e - c) / cross(b - a, e - c)


def ang(a, b, c):
    return abs(math.degrees(cmath.phase((c - b) / (a - b))))


def ang_lines(a, b, c, e):
    found = abs(math.degrees(cmath.phase((e - c) / (b - a))))
    return min(found, 180 - found)


def area(*corners):
    return abs(sum(cross(a, b) for a, b in zip(corners, corners[1:] + corners[:1]))) / 2


def cent(a, b, c):
    return (a + b + c) / 3


def circum(a, b, c):
    return meet(mid(a, b), perp(mid(a, b), a, b), mid(b, c), perp(mid(b, c), b, c))


def incen(a, b, c):
    u, v, w = abs(b - c), abs(c - a), abs(a - b)
    return (u * a + v * b + w * c) / (u + v + w)


def ortho(a, b, c):
    return a + b + c - 2 * circum(a, b, c)


def nine(a, b, c):
    return mid(circum(a, b, c), ortho(a, b, c))


def side(p, a, b):
    return cross(b - a, p - a)


def inline(a, b, c):
    return abs(cross(b - a, c - a)) <= _NEAR * (1 + abs(b - a) * abs(c - a))


def between(a, b, p):
    return inline(a, b, p) and abs(abs(p - a) + abs(b - p) - abs(b - a)) < _NEAR * (1 + abs(b - a))


def beyond(a, b, p):
    return inline(a, b, p) and dot(p - b, b - a) > 0


def along(a, b, p):
    return p if inline(a, b, p) else math.inf


def parallel(a, b, c, e):
    return abs(cross(unit(b - a), unit(e - c))) < _NEAR


def line_distance(z, a, b):
    return abs(z - foot(z, a, b))


def seg_distance(z, a, b):
    share = max(0.0, min(1.0, dot(z - a, b - a) / abs(b - a) ** 2))
    return abs(z - a - share * (b - a))


def within(z, *corners):
    turns = [side(z, a, b) for a, b in zip(corners, corners[1:] + corners[:1])]
    return all(one >= 0 for one in turns) or all(one <= 0 for one in turns)


inside = within


def has(corners, *wanted):
    return all(any(same(one, corner) for corner in corners) for one in wanted)


def _lengths(corners):
    return [abs(a - b) for a, b in zip(corners, [*corners[1:], corners[0]])]


def _corner_sizes(corners):
    n = len(corners)
    return [ang(corners[i - 1], corners[i], corners[(i + 1) % n]) for i in range(n)]


def equal_sides(corners):
    return all(same(one, _lengths(corners)[0]) for one in _lengths(corners)) and _lengths(corners)[0] > 0.01


def equilateral(corners):
    return len(corners) == 3 and equal_sides(corners)


def regular(corners):
    inner = 180 - 360 / len(corners)
    return equal_sides(corners) and all(abs(one - inner) < 1e-4 for one in _corner_sizes(corners))


def rectangle(corners, a, b):
    found = _lengths(corners)
    return all(abs(one - 90) < 1e-4 for one in _corner_sizes(corners)) and same(min(found), min(a, b)) and same(max(found), max(a, b))


def sides(corners, *wanted):
    return all(same(a, b) for a, b in zip(sorted(_lengths(corners)), sorted(wanted)))


def has_angles(corners, *wanted):
    """Whether each of some sizes is that of an angle of its own. (Where fewer are said than there are it was the smallest angles that had
    to be so, which nobody had said.)"""
    left = _corner_sizes(corners)
    for size in wanted:
        found = min(left, key=lambda one: abs(one - size), default=math.inf)
        if abs(found - size) >= 1e-4:
            return False
        left.remove(found)
    return True


def right_triangle(corners):
    return any(abs(one - 90) < 1e-4 for one in _corner_sizes(corners))


def parallelogram(a, b, c, e):
    return same(a + c, b + e) and abs(cross(b - a, c - a)) > 0.01


def convex(*corners):
    turns = [cross(b - a, c - b) for a, b, c in zip(corners, corners[1:] + corners[:1], corners[2:] + corners[:2])]
    return all(one > 0 for one in turns) or all(one < 0 for one in turns)


def general(a, b, c):
    """A triangle of no special shape: no two sides within 8%, no angle within 6° of 60°, 90°, 180°."""
    found = sorted(_lengths([a, b, c]))
    return all(y > 1.08 * x for x, y in itertools.pairwise(found)) and all(
        abs(one - special) > 6 for one in _corner_sizes([a, b, c]) for special in (60, 90, 180)
    )


def acute(a, b, c):
    return max(_corner_sizes([a, b, c])) < 90


def on_circle3(p, a, b, c):
    return same(abs(p - circum(a, b, c)), abs(a - circum(a, b, c)))
