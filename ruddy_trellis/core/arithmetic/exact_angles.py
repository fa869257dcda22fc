"""Angles in exact arithmetic: sums of the directions of exact vectors and of degrees.

An angle in degrees is no algebraic number, but whether a sum of angles is zero can be asked of the product of their vectors,
taken as complex numbers: where that is real, the sum is a multiple of 180°, and which one follows from between which bounds the
angles are.
"""

from collections.abc import Callable
from fractions import Fraction
from math import lcm
from typing import Any

from .late import flint
from .undefined import NotAlgebraic

#: At so many places it is looked which multiple of 180° a sum is, and so many are tried to find them.
_PLACES, _TRIES = 6, 400
_NO_PRODUCT = "an angle times what is no plain number has no exact form"


class ExactAngle:
    """A sum of multiples of directions, and of plain degrees.

    Attributes:
        parts: for each direction x, y, how many times it counts, and the bounds of it in degrees.
        extra: plain degrees.
    """

    __slots__ = ("extra", "field", "parts")

    def __init__(self, field: Any, parts: tuple, extra: Fraction) -> None:
        self.field, self.parts, self.extra = field, parts, extra

    def __add__(self, other):
        if not isinstance(other, ExactAngle):
            other = ExactAngle(self.field, (), self._plain(other))
        parts: list[tuple] = list(self.parts)
        for part in other.parts:
            same = next((place for place, one in enumerate(parts) if one[0] is part[0] and one[1] is part[1]), None)
            if same is None:
                parts.append(part)
            else:
                parts[same] = (*part[:2], parts[same][2] + part[2], *part[3:])
        return ExactAngle(self.field, tuple(part for part in parts if part[2]), self.extra + other.extra)

    __radd__ = __add__

    def __neg__(self):
        return self * -1

    def __sub__(self, other):
        return self + other * -1

    def __rsub__(self, other):
        return -self + other

    def __mul__(self, other):
        times = self._plain(other)
        return ExactAngle(self.field, tuple((x, y, count * times, *bounds) for x, y, count, *bounds in self.parts), self.extra * times)

    __rmul__ = __mul__

    def __truediv__(self, other):
        return self * (1 / self._plain(other))

    def __rtruediv__(self, other):
        raise NotAlgebraic(_NO_PRODUCT)

    def _plain(self, number):
        ratio = self.field.ratio(self.field.number(number))
        if ratio is None:
            raise NotAlgebraic(_NO_PRODUCT)
        return ratio

    def turned_up(self):
        """A number that is at least zero where this angle is: the height of its direction. Raises NotAlgebraic for sums."""
        if len(self.parts) != 1 or self.extra or self.parts[0][2] != 1:
            raise NotAlgebraic("the sign of a sum of angles is not known exactly")
        return self.parts[0][1]

    def is_zero(self):
        """True only if the angle is zero wherever it is defined."""
        if not self.parts:
            return self.extra == 0
        times = lcm(*(part[2].denominator for part in self.parts))
        x, y = self.field.turns.of_degrees(self.extra * times)
        low = high = self.extra * times
        for a, b, count, *bounds in self.parts:
            whole = int(count * times)
            low, high = (end + whole * bounds[side if whole > 0 else 1 - side] for side, end in ((0, low), (1, high)))
            for _ in range(abs(whole)):
                x, y = (x * a - y * b, x * b + y * a) if whole > 0 else (x * a + y * b, y * a - x * b)
        if not y.is_zero():
            return False
        if low >= -180 and high <= 180:
            return True
        return (low >= -360 and high <= 360 and self.field.signs.known(x) == 1) or self._is_zero_throughout()

    def _is_zero_throughout(self) -> bool:
        """Whether a sum that is a multiple of 180° is zero because it is so at one place and changes nowhere: as long as no arm
        vanishes, an angle changes without leaps, and where the symbols fill a box, one place is joined to every other."""
        signs, field = self.field.signs, self.field
        for x, y, *_ in self.parts:
            if not all(signs.known(field.of(one)) for one in (x.bottom, y.bottom)):
                return False
            # An arm vanishes where both are zero. That parts nothing from anything, unless a factor of both norms changes its sign
            # (the sign-changing criterion: Bochnak, Coste, Roy, Real Algebraic Geometry, 4.5.1).
            _, factors = signs.factors(field.norm(x.top).gcd(field.norm(y.top)))
            if not all(signs.known(field.of(factor)) for _, factor, _ in factors):
                return False
        if not signs.fill_a_box() or not field.roots_are_everywhere():
            return False
        seen = 0
        for _ in range(_TRIES):
            if field.take_sample():
                if not abs(self.at_sample()) < 1:
                    return False
                seen += 1
            if seen == _PLACES:
                return True
        return False

    def at_sample(self):
        """The value at the sample position in degrees, a ball."""
        total = flint.arb(self.extra.numerator) / self.extra.denominator
        for x, y, count, *_ in self.parts:
            turn = flint.arb.atan2(y.at_sample(), x.at_sample()) * 180 / flint.arb.pi()
            total += turn * count.numerator / count.denominator
        return total


class Turns:
    """Cosines and sines in exact arithmetic, and the angles of directions."""

    def __init__(self, field: Any) -> None:
        self._field = field
        self._units: dict[Any, tuple[Any, Any]] = {}
        self._odd: list[Fraction] = []
        #: Makes the cosine and sine of an angle that has no exact ones, from the tangent of its half at the sample position, and the
        #: place of the symbol that counts its degrees with what that is divided by, or None and the degrees. By that tangent if None.
        self.unit_of: Callable[[Any, int | None, Fraction], tuple[Any, Any]] | None = None

    def by_half(self, half: Any) -> ExactAngle:
        """The angle whose half has a given tangent."""
        return ExactAngle(self._field, ((*_from_half(half), Fraction(1), -180, 180),), Fraction(0))

    def of_direction(self, x: Any, y: Any) -> ExactAngle:
        """The angle of a direction, from -180° to 180°. What always points to the right or to the left is plain degrees."""
        if y.is_zero():
            return ExactAngle(self._field, (), Fraction(0 if self._field.signs.of(x) > 0 else 180))
        sign = self._field.signs.known(y)
        low, high = {1: (0, 180), -1: (-180, 0), None: (-180, 180)}[sign]
        return ExactAngle(self._field, ((x, y, Fraction(1), low, high),), Fraction(0))

    def cos_sin(self, angle: Any) -> tuple[Any, Any]:
        """The cosine and the sine of an angle, of a plain number of degrees, or of symbols that count degrees."""
        field = self._field
        if isinstance(angle, ExactAngle):
            found = self.of_degrees(angle.extra)
            for x, y, count, *_ in angle.parts:
                found = _turned(found, self._power(self._unit(x, y), count))
            return found
        ratio = field.ratio(angle)
        if ratio is not None:
            return self.of_degrees(ratio)
        parts = field.linear(angle)
        if parts is None:
            raise NotAlgebraic("the cosine of that angle has no exact form")
        found = self.of_degrees(parts.pop(-1, Fraction(0)))
        for place, times in parts.items():
            key = place, times.denominator
            if key not in self._units:
                half = (field.sample_of(place) / times.denominator / 360).tan_pi()
                self._units[key] = self._of_half(half, place, Fraction(times.denominator))
            found = _turned(found, self._power(self._units[key], Fraction(times.numerator)))
        return found

    def _unit(self, x, y):
        """A direction brought to the length 1."""
        size = self._field.sqrt(x * x + y * y)
        return x / size, y / size

    def _power(self, unit, count: Fraction):
        if count.denominator == 2:
            unit, count = self._halved(unit), count * 2
        if count.denominator != 1:
            raise NotAlgebraic("a third of an angle has no exact form")
        found = self._field.number(1), self._field.number(0)
        for _ in range(abs(int(count))):
            found = _turned(found, unit if count > 0 else (unit[0], -unit[1]))
        return found

    def _halved(self, unit):
        """Half of an angle between -180° and 180°."""
        return self._unit(1 + unit[0], unit[1])

    @property
    def unknown(self) -> tuple[Fraction, ...]:
        """The degrees that are symbols: of their cosines and sines is known only that the sum of the squares is 1."""
        return tuple(self._odd)

    def of_degrees(self, degrees: Fraction) -> tuple[Any, Any]:
        """Cosine and sine of degrees. Multiples of 1.5° are square roots; any other angle is a symbol of its own."""
        number = self._field.number
        if degrees < 0:
            return _back(self.of_degrees(-degrees))
        turns, rest = divmod(Fraction(degrees), 90)
        found = self._acute(rest) if rest else (number(1), number(0))
        for _ in range(int(turns) % 4):
            found = -found[1], found[0]
        return found

    def _acute(self, degrees):
        if degrees not in self._units:
            self._units[degrees] = self._made(degrees)
        return self._units[degrees]

    def _made(self, degrees):
        number, sqrt = self._field.number, self._field.sqrt
        if degrees * 2 % 3:
            for odd, times in ((odd, times) for odd in self._odd for times in (1, 2, 3, 4)):
                if (degrees - odd * times) * 2 % 3 == 0:
                    return _turned(self._power(self._units[odd], Fraction(times)), self.of_degrees(degrees - odd * times))
        if degrees > 45 and degrees != 60:
            cosine, sine = self._acute(90 - degrees)
            return sine, cosine
        plain = {
            30: lambda: (sqrt(number(3)) / 2, number(Fraction(1, 2))),
            45: lambda: (sqrt(number(2)) / 2, sqrt(number(2)) / 2),
            60: lambda: (number(Fraction(1, 2)), sqrt(number(3)) / 2),
            # See Euclid IV.10 for the angles of the pentagon.
            18: lambda: (sqrt(10 + 2 * sqrt(number(5))) / 4, (sqrt(number(5)) - 1) / 4),
            15: lambda: _turned(self._acute(Fraction(45)), _back(self._acute(Fraction(30)))),
        }
        if degrees in plain:
            return plain[int(degrees)]()
        for step in (18, 15):
            if degrees % step == 0:
                return self._power(self._acute(Fraction(step)), degrees / step)
        if degrees % 3 == 0:
            times = degrees / 3
            return _turned(self._power(self._acute(Fraction(18)), times), self._power(self._acute(Fraction(15)), -times))
        if degrees * 2 % 3 == 0:
            return self._halved(self.of_degrees(degrees * 2))
        self._odd.append(degrees)
        half = flint.arb(degrees.numerator) / degrees.denominator / 360
        return self._of_half(half.tan_pi(), None, degrees)

    def _of_half(self, half: Any, place: int | None, degrees: Fraction) -> tuple[Any, Any]:
        if self.unit_of is not None:
            return self.unit_of(half, place, degrees)
        symbol = self._field.fresh(half)
        if place is None:
            self._field.signs.set(symbol.top, 1)
        return _from_half(symbol)


def _from_half(half):
    size = 1 + half * half
    return (1 - half * half) / size, 2 * half / size


def _turned(u, v):
    return u[0] * v[0] - u[1] * v[1], u[0] * v[1] + u[1] * v[0]


def _back(u):
    return u[0], -u[1]
