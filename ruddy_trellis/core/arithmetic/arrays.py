"""Arithmetic on NumPy arrays: many positions of one figure at once, NaN where it is undefined."""

from typing import Any

from .late import np
from .roots import complex_roots
from .undefined import CLOSENESS, END_SLACK, TOUCHING

_CLOSENESS_SQUARED = CLOSENESS * CLOSENESS


class Arrays:
    """See the package docstring for what each operation does. Shapes broadcast; undefined is NaN."""

    name = "arrays"

    @staticmethod
    def number(value: Any):
        return np.asarray(value, dtype=float)

    @staticmethod
    def separate(a, b):
        ax, ay = a
        bx, by = b
        dx, dy = bx - ax, by - ay
        coincide = dx * dx + dy * dy <= _CLOSENESS_SQUARED * (ax * ax + ay * ay + bx * bx + by * by)
        return np.where(coincide, np.nan, dx), np.where(coincide, np.nan, dy)

    @staticmethod
    def cross(u, v):
        ux, uy = u
        vx, vy = v
        cross = ux * vy - uy * vx
        parallel = cross * cross <= _CLOSENESS_SQUARED * (ux * ux + uy * uy) * (vx * vx + vy * vy)
        return np.where(parallel, np.nan, cross)

    @staticmethod
    def divide(p, q):
        return p / np.where(q == 0, np.nan, q)

    @staticmethod
    def root(p, q):
        difference = p - q
        negative = difference < -TOUCHING * (p + q)
        return np.sqrt(np.where(negative, np.nan, np.maximum(difference, 0)))

    @staticmethod
    def sqrt(p):
        return np.sqrt(np.where(p < 0, np.nan, p))

    @staticmethod
    def absolute(p):
        return np.abs(p)

    @staticmethod
    def choose(sign, p, q):
        return np.where(np.isnan(sign), np.nan, np.where(sign >= 0, p, q))

    def either(self, sign, p, q):
        return self.choose(sign, p(), q())

    @staticmethod
    def surer(other, plain):
        sign, value = other()
        return np.where(sign >= 0, value, plain)

    @staticmethod
    def inside(value: Any, t, low, high):
        ok = (t >= low - END_SLACK) & (t <= high + END_SLACK)
        return tuple(np.where(ok, part, np.nan) for part in value)

    @staticmethod
    def outside(t, low, high):
        is_out = np.where((t >= low - END_SLACK) & (t <= high + END_SLACK), 0.0, 1.0)
        return np.where(np.isnan(t), np.nan, is_out)

    @staticmethod
    def more(p, q):
        is_more = np.where(p - q > CLOSENESS * (abs(p) + abs(q)), 0.0, 1.0)
        return np.where(np.isnan(p - q), np.nan, is_more)

    @staticmethod
    def difference(p, q):
        return p - q

    @staticmethod
    def approximate(p):
        return p

    @staticmethod
    def real_root(coefficients, choose):
        return choose(complex_roots(coefficients))

    @staticmethod
    def rounded(p):
        return np.copysign(np.floor(np.abs(p) + 0.5), p)

    @staticmethod
    def whole(p):
        return int(np.round(np.asarray(p).reshape(-1)[0]))

    @staticmethod
    def pi():
        return np.pi

    @staticmethod
    def cos_sin(angle):
        radians, square = np.radians(angle), np.mod(angle, 90) == 0
        cosine, sine = np.cos(radians), np.sin(radians)
        return np.where(square, np.rint(cosine), cosine), np.where(square, np.rint(sine), sine)

    @staticmethod
    def angle(x, y):
        return np.degrees(np.arctan2(y, np.where((x == 0) & (y == 0), np.nan, x)))


def undefined_as_a_whole(value: Any) -> Any:
    """A value in which all numbers are NaN wherever one of them is: a thing is there or it is not."""
    if not isinstance(value, tuple):
        return value
    # A sum is NaN where one of its parts is; where two infinite ones cancel, there is nothing either.
    missing = np.isnan(_sum(value))
    return _without(value, missing) if missing.any() else value


def _sum(value):
    return sum(_sum(part) if isinstance(part, tuple) else part for part in value if not isinstance(part, float))


def _without(value, missing):
    return tuple(
        _without(part, missing) if isinstance(part, tuple) else np.where(missing, np.nan, part) if isinstance(part, np.ndarray) else part
        for part in value
    )
