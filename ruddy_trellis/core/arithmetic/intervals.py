"""Arithmetic on real balls (python-flint ``arb``): a value with a proven error bound, at any precision."""

from typing import Any

from .late import flint
from .roots import complex_roots
from .typed import as_typed
from .undefined import Undefined


class Intervals:
    """Interval arithmetic at ``digits`` decimal digits. A sign or a zero that the bound cannot decide is undefined.

    The precision is a setting of the flint library, so wrap the work in ``with intervals:``.
    """

    name = "intervals"

    def __init__(self, digits=60) -> None:
        self.bits = int(digits * 3.33) + 16
        self._before = 0

    def __enter__(self):
        self._before = flint.ctx.prec
        flint.ctx.prec = self.bits
        return self

    def __exit__(self, *_):
        flint.ctx.prec = self._before

    @staticmethod
    def number(value: Any):
        if isinstance(value, flint.arb):
            return value
        ratio = as_typed(value)
        return flint.arb(ratio.numerator) / ratio.denominator

    @staticmethod
    def separate(a, b):
        dx, dy = b[0] - a[0], b[1] - a[1]
        if (dx * dx + dy * dy).contains(0):
            raise Undefined("the two points cannot be told apart")
        return dx, dy

    @staticmethod
    def cross(u, v):
        cross = u[0] * v[1] - u[1] * v[0]
        if cross.contains(0):
            raise Undefined("the two directions cannot be told from parallel")
        return cross

    @staticmethod
    def divide(p, q):
        if q.contains(0):
            raise Undefined("the divisor cannot be told from zero")
        return p / q

    @classmethod
    def root(cls, p, q):
        return cls.sqrt(p - q)

    @staticmethod
    def sqrt(p):
        if p < 0:
            raise Undefined("the root of a negative number")
        return flint.arb.max(p, flint.arb(0)).sqrt()

    @staticmethod
    def absolute(p):
        if not p.contains(0):
            return abs(p)
        half = abs(p).upper() / 2  # the bound of what may be zero begins there, not as far below it as it goes above
        return flint.arb(half, half.upper())

    @staticmethod
    def choose(sign, p, q):
        if sign >= 0:
            return p
        if sign < 0:
            return q
        # It is one of the two: what holds both holds it, and is narrow where they are near one another.
        return Intervals.number(p).union(Intervals.number(q))

    @staticmethod
    def either(sign, p, q):
        first, second = (q, p) if sign < 0 else (p, q)
        try:
            return first()
        except Undefined:
            return second()

    @staticmethod
    def surer(other, plain):
        return plain

    @staticmethod
    def inside(value: Any, t, low, high):
        # An end that the bound straddles counts as on the segment: a point made as its end must stay on it.
        if t < low or t > high:
            raise Undefined("outside the ends")
        return value

    @staticmethod
    def outside(t, low, high):
        return flint.arb(1 if t < low or t > high else 0)

    @staticmethod
    def more(p, q):
        if p > q or p <= q:
            return flint.arb(0 if p > q else 1)
        return flint.arb(0.5, 0.5)  # which of the two cannot be told

    @staticmethod
    def difference(p, q):
        return p - q

    @staticmethod
    def approximate(p):
        return float(p.mid()) if isinstance(p, flint.arb) else float(p)

    @staticmethod
    def real_root(coefficients, choose):
        """The root by Newton's steps from the float one, then a ball that Newton's interval step maps into itself."""
        start = float(choose(complex_roots([float(part.mid()) for part in coefficients])))
        if start != start:
            raise Undefined("nothing meets here")
        polynomial = lambda t: sum((part * t**power for power, part in enumerate(coefficients)), flint.arb(0))
        slope = lambda t: sum((power * part * t ** (power - 1) for power, part in enumerate(coefficients) if power), flint.arb(0))
        root = flint.arb(start)
        for _ in range(8):
            steepness = slope(root)
            if steepness.contains(0):
                raise Undefined("the root cannot be told from its neighbour")
            root = (root - polynomial(root) / steepness).mid()
        reach = flint.arb(2) ** -(flint.ctx.prec // 2)
        while reach < 1e-6:
            ball = flint.arb(root, reach)
            steepness = slope(ball)
            if not steepness.contains(0):
                found = root - polynomial(root) / steepness
                if ball.contains(found):
                    return found
            reach *= 1024
        raise Undefined("the root cannot be told from its neighbour")

    @staticmethod
    def rounded(p):
        found = (abs(p) + 0.5).floor()
        if not found.is_exact() or (p.contains(0) and not found == 0):
            raise Undefined("the bound does not decide which way to round")
        return -found if p < 0 else found

    @staticmethod
    def whole(p):
        return int(float(p.mid()) + (0.5 if p.mid() >= 0 else -0.5))

    @staticmethod
    def pi():
        return flint.arb.pi()

    @staticmethod
    def cos_sin(angle):
        turns = flint.arb(angle) / 180
        return turns.cos_pi(), turns.sin_pi()

    @staticmethod
    def angle(x, y):
        if x.contains(0) and y.contains(0):
            raise Undefined("no direction")
        if x < 0 and y.contains(0) and y.lower() >= -y.upper() / 8:
            # To the left, and up by a hair: the bound of the arc tangent would hold the turn to the other side as well.
            return 180 - abs(flint.arb.atan2(y, -x)) * 180 / flint.arb.pi()
        return flint.arb.atan2(y, x) * 180 / flint.arb.pi()
