"""Arithmetic on Python floats: the one used while dragging."""

import math
from functools import lru_cache
from typing import Any

from .circular import cos_sin, direction
from .roots import complex_roots
from .undefined import CLOSENESS, END_SLACK, TOUCHING, Undefined

_CLOSENESS_SQUARED = CLOSENESS * CLOSENESS

#: Of larger angles a float does not hold the degrees.
_MOST_TURNED = 1e15
#: Cosine and sine of whole quarter turns.
_QUARTERS = ((1.0, 0.0), (0.0, 1.0), (-1.0, 0.0), (0.0, -1.0))
#: A drag turns by the same angles again and again, and a curve is drawn from the same directions.
_cos_sin = lru_cache(maxsize=4096)(cos_sin)


class Floats:
    """See the package docstring for what each operation does."""

    name = "floats"

    @staticmethod
    def number(value: Any):
        return float(value)

    @staticmethod
    def separate(a, b):
        ax, ay = a
        bx, by = b
        dx = bx - ax
        dy = by - ay
        if dx * dx + dy * dy <= _CLOSENESS_SQUARED * (ax * ax + ay * ay + bx * bx + by * by):
            raise Undefined("the two points coincide")
        return dx, dy

    @staticmethod
    def cross(u, v):
        ux, uy = u
        vx, vy = v
        cross = ux * vy - uy * vx
        if cross * cross <= _CLOSENESS_SQUARED * (ux * ux + uy * uy) * (vx * vx + vy * vy):
            raise Undefined("the two directions are parallel")
        return cross

    @staticmethod
    def divide(p, q):
        if q == 0:
            raise Undefined("division by zero")
        return p / q

    @staticmethod
    def root(p, q):
        difference = p - q
        if difference < 0:
            if difference < -TOUCHING * (p + q):
                raise Undefined("nothing meets here")
            return 0.0
        return math.sqrt(difference)

    @staticmethod
    def sqrt(p):
        if p < 0:
            raise Undefined("the root of a negative number")
        return math.sqrt(p)

    absolute = staticmethod(abs)

    @staticmethod
    def choose(sign, p, q):
        return p if sign >= 0 else q

    @staticmethod
    def either(sign, p, q):
        return p() if sign >= 0 else q()

    @staticmethod
    def surer(other, plain):
        sign, value = other()
        return value if sign >= 0 else plain

    @staticmethod
    def inside(value: Any, t, low, high):
        if low - END_SLACK <= t <= high + END_SLACK:
            return value
        raise Undefined("outside the ends")

    @staticmethod
    def difference(p, q):
        return p - q

    @staticmethod
    def approximate(p):
        return p

    @staticmethod
    def real_root(coefficients, choose):
        root = float(choose(complex_roots(coefficients)))
        if root != root:
            raise Undefined("nothing meets here")
        return root

    @staticmethod
    def rounded(p):
        return math.copysign(math.floor(abs(p) + 0.5), p)

    @staticmethod
    def whole(p):
        return round(p)

    @staticmethod
    def pi():
        return math.pi

    @staticmethod
    def outside(t, low, high):
        return 0.0 if low - END_SLACK <= t <= high + END_SLACK else 1.0

    @staticmethod
    def more(p, q):
        return 0.0 if p - q > CLOSENESS * (abs(p) + abs(q)) else 1.0

    @staticmethod
    def cos_sin(angle):
        if not -_MOST_TURNED < angle < _MOST_TURNED:
            raise Undefined("an angle of which not even the degrees are known")
        if angle % 90 == 0:  # what is square is exactly so
            return _QUARTERS[int(angle // 90) % 4]
        return _cos_sin(angle)

    @staticmethod
    def angle(x, y):
        if x == 0 and y == 0:
            raise Undefined("no direction")
        return direction(x, y)
