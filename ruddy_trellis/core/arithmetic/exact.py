"""Exact arithmetic: fractions of polynomials in named symbols and in square roots, over the rational numbers.

A square root becomes a generator r with the rule r * r = radicand, so that a value is reduced to a form that is
at most linear in each root. A form that reduces to zero is zero for every value of the symbols for which no
divisor vanishes, which is what makes a proof of it safe; a form that does not may still be zero (roots that
depend on one another), so its being non-zero proves nothing.

Where a formula has to know a sign, the sign is read at a sample position of the symbols, and the condition is
kept in ``assumptions``: the result holds in the part of the plane where those signs hold.
"""

from fractions import Fraction
from math import inf
from typing import Any

from .late import flint
from .undefined import END_SLACK, NotAlgebraic, Undefined


class ExactNumber:
    """A fraction of two polynomials, reduced by the rules of the roots. Made by :class:`Exact` only."""

    __slots__ = ("bottom", "field", "top")

    def __init__(self, field, top, bottom) -> None:
        self.field, self.top, self.bottom = field, top, bottom

    def _with(self, other):
        return other if isinstance(other, ExactNumber) else self.field.number(other)

    def __add__(self, other):
        other = self._with(other)
        return self.field.fraction(self.top * other.bottom + other.top * self.bottom, self.bottom * other.bottom)

    __radd__ = __add__

    def __neg__(self):
        return ExactNumber(self.field, -self.top, self.bottom)

    def __sub__(self, other):
        return self + -self._with(other)

    def __rsub__(self, other):
        return self._with(other) - self

    def __mul__(self, other):
        other = self._with(other)
        return self.field.fraction(self.top * other.top, self.bottom * other.bottom)

    __rmul__ = __mul__

    def __truediv__(self, other):
        other = self._with(other)
        return self.field.fraction(self.top * other.bottom, self.bottom * other.top)

    def __rtruediv__(self, other):
        return self._with(other) / self

    def is_zero(self):
        """True only if the number is zero wherever it is defined."""
        return self.top.is_zero()

    def at_sample(self):
        """The value at the sample position, a float."""
        return self.field.at_sample(self)

    def __repr__(self):
        return str(self.top) if self.bottom.is_one() else f"({self.top}) / ({self.bottom})"


class ExactAngle:
    """An angle known by its cosine and sine, which are rational in one symbol (the tangent of its half)."""

    __slots__ = ("cosine", "sine")

    def __init__(self, cosine, sine) -> None:
        self.cosine, self.sine = cosine, sine


class Exact:
    """Exact arithmetic over symbols with a sample position.

    Args:
        sample: the symbols by name with a rational sample value each, e.g. ``{"u": 2, "v": Fraction(1, 3)}``.
        roots: how many different square roots a computation may bring in.
    """

    name = "exact"

    def __init__(self, sample, roots=12) -> None:
        self._symbols = list(sample)
        names = [*self._symbols, *(f"root{i}" for i in range(roots))]
        self._context = flint.fmpq_mpoly_ctx.get(names, "lex")
        self._generators = self._context.gens()
        self._radicands = []
        self._root_samples = []
        self._sample = [Fraction(v) for v in sample.values()]
        self.assumptions = []

    def symbol(self, name: str):
        """The symbol of that name as a number."""
        return ExactNumber(self, self._generators[self._symbols.index(name)], self._context.constant(1))

    def angle_symbol(self, name: str):
        """An angle whose half has the symbol as its tangent."""
        half = self.symbol(name)
        size = 1 + half * half
        return ExactAngle((1 - half * half) / size, 2 * half / size)

    def number(self, value: Any):
        if isinstance(value, (ExactNumber, ExactAngle)):
            return value
        ratio = Fraction(value)
        constant = self._context.constant(flint.fmpq(ratio.numerator, ratio.denominator))
        return ExactNumber(self, constant, self._context.constant(1))

    def _reduce(self, polynomial):
        """Replace every square of a root by its radicand; later roots first, since they may hold earlier ones."""
        for index in range(len(self._radicands) - 1, -1, -1):
            place = len(self._symbols) + index
            radicand = self._radicands[index]
            generator = self._generators[place]
            while polynomial.degrees()[place] >= 2:
                kept = self._context.constant(0)
                for powers, coefficient in polynomial.to_dict().items():
                    power = powers[place]
                    rest = list(powers)
                    rest[place] = 0
                    term = self._context.from_dict({tuple(rest): coefficient})
                    kept += term * radicand ** (power // 2) * generator ** (power % 2)
                polynomial = kept
        return polynomial

    def fraction(self, top, bottom):
        """The reduced fraction of two polynomials. Raises Undefined where the divisor is zero everywhere."""
        top, bottom = self._reduce(top), self._reduce(bottom)
        if bottom.is_zero():
            raise Undefined("division by zero")
        common = top.gcd(bottom)
        if not common.is_constant():
            top, bottom = top / common, bottom / common
        scale = 1 / bottom.leading_coefficient()
        top, bottom = top * scale, bottom * scale
        return ExactNumber(self, top, bottom)

    def at_sample(self, number: Any):
        values = [flint.arb(v.numerator) / v.denominator for v in self._sample] + self._root_samples
        values += [flint.arb(0)] * (len(self._generators) - len(values))

        def evaluate(polynomial):
            total = flint.arb(0)
            for powers, coefficient in polynomial.to_dict().items():
                term = flint.arb(coefficient)
                for value, power in zip(values, powers):
                    if power:
                        term *= value ** int(power)
                total += term
            return total

        quotient = evaluate(number.top) / evaluate(number.bottom)
        if not quotient.is_finite():
            raise Undefined("not defined at the sample position")
        return quotient

    def _sign_at_sample(self, number):
        """True where the number is at least zero at the sample position; the condition is kept as an assumption."""
        if number.is_zero():
            return True
        sign = self.at_sample(number)
        if sign.contains(0):
            raise Undefined("the sign cannot be decided at the sample position")
        positive = bool(sign > 0)
        if not (number.top.is_constant() and number.bottom.is_constant()):
            self.assumptions.append((number, positive))
        return positive

    def separate(self, a, b):
        dx, dy = b[0] - a[0], b[1] - a[1]
        if dx.is_zero() and dy.is_zero():
            raise Undefined("the two points coincide")
        return dx, dy

    @staticmethod
    def cross(u, v):
        cross = u[0] * v[1] - u[1] * v[0]
        if cross.is_zero():
            raise Undefined("the two directions are parallel")
        return cross

    @staticmethod
    def divide(p, q):
        return p / q

    def root(self, p, q):
        return self.sqrt(p - q)

    def sqrt(self, p):
        p = self.number(p)
        if p.is_zero():
            return p
        if not self._sign_at_sample(p):
            raise Undefined("the root of a negative number at the sample position")
        # sqrt(top / bottom) = sqrt(top * bottom) / |bottom|; the sign of the bottom is an assumption as well.
        radicand = self._reduce(p.top * p.bottom)
        one = self._context.constant(1)
        bottom = ExactNumber(self, p.bottom, one)
        if not self._sign_at_sample(bottom):
            bottom = -bottom
        if (value := self._rational(ExactNumber(self, radicand, one))) is not None:
            top_root, bottom_root = flint.fmpz(value.numerator).isqrt(), flint.fmpz(value.denominator).isqrt()
            if top_root**2 == value.numerator and bottom_root**2 == value.denominator:
                return self.number(Fraction(int(top_root), int(bottom_root))) / bottom
        if radicand not in self._radicands:
            place = len(self._symbols) + len(self._radicands)
            if place >= len(self._generators):
                raise NotAlgebraic("this figure needs more square roots than exact arithmetic was given")
            sample = self.at_sample(ExactNumber(self, radicand, one))
            self._radicands.append(radicand)
            self._root_samples.append(sample.sqrt())
        place = len(self._symbols) + self._radicands.index(radicand)
        return ExactNumber(self, self._generators[place], one) / bottom

    def absolute(self, p):
        return p if self._sign_at_sample(p) else -p

    def choose(self, sign, p, q):
        return p if self._sign_at_sample(sign) else q

    @staticmethod
    def surer(other, plain):
        return plain

    def inside(self, value: Any, t, low, high):
        for end, direction in ((low, 1), (high, -1)):
            if abs(end) == inf:
                continue
            if not self._sign_at_sample(direction * (t - Fraction(end)) + Fraction(END_SLACK)):
                raise Undefined("outside the ends at the sample position")
        return value

    def approximate(self, p):
        return float(self.at_sample(p))

    def real_root(self, coefficients, choose) -> None:
        raise NotAlgebraic("this crossing is the root of an equation of degree 4, which square roots do not give")

    def rounded(self, p) -> None:
        raise NotAlgebraic("a rounded number jumps, so it has no exact form")

    def whole(self, p):
        ratio = self._rational(p)
        if ratio is None:
            raise NotAlgebraic("how often is known only where it is a number")
        return int(ratio)

    def pi(self) -> None:
        raise NotAlgebraic("pi is not an algebraic number")

    def cos_sin(self, angle):
        if isinstance(angle, ExactAngle):
            return angle.cosine, angle.sine
        degrees = self._rational(angle)
        if degrees is None or degrees % 90 not in (0, 30, 45, 60):
            raise NotAlgebraic("the cosine of that angle is kept as a decimal, not as an exact number")
        half, number = Fraction(1, 2), self.number
        cosine, sine = {
            0: lambda: (number(1), number(0)),
            30: lambda: (self.sqrt(3) / 2, number(half)),
            45: lambda: (self.sqrt(number(half)), self.sqrt(number(half))),
            60: lambda: (number(half), self.sqrt(3) / 2),
        }[degrees % 90]()
        for _ in range(int(degrees // 90) % 4):
            cosine, sine = -sine, cosine
        return cosine, sine

    def _rational(self, value):
        """A number without symbols and roots as a fraction of whole numbers; None for any other."""
        value = self.number(value)
        if not (value.top.is_constant() and value.bottom.is_constant()):
            return None
        if value.is_zero():
            return Fraction(0)
        ratio = value.top.leading_coefficient() / value.bottom.leading_coefficient()
        return Fraction(int(ratio.p), int(ratio.q))

    def angle(self, x, y) -> None:
        raise NotAlgebraic("an angle in degrees has no exact form; its tangent has")
