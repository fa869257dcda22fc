"""Exact arithmetic: fractions of polynomials in named symbols and in square roots, over the rational numbers.

A number is a form that stands for one real number wherever the symbols are. Square roots become generators that reduce by
their squares; radicands are taken apart into factors first, so that √(ab) and √a √b are one form. π, and angles whose
cosines are no square roots, are symbols of their own: what holds whatever they are holds for what they are. So a form that
reduces to zero is zero for every value of the symbols for which no divisor vanishes, which is what makes a proof of it safe.
A form that does not may still be zero (roots that depend on one another), so its being non-zero proves nothing.

Where a formula has to know a sign, the number is taken apart into factors, and of each factor that is not plainly positive
the sign is *decided* (see ``signs.py``): the results hold where the factors have the signs that ``signs.decided`` says.
"""

import time
from collections.abc import Callable
from fractions import Fraction
from random import Random
from typing import Any

from .exact_angles import ExactAngle, Turns
from .late import flint
from .protocol import Number
from .signs import Signs, parts
from .typed import as_typed
from .undefined import NotAlgebraic, TooDear, Undefined

#: Forms of more terms than this are not gone on with, nor are products of more terms than that.
_MOST_TERMS, _MOST_PRODUCT = 12_000, 60_000_000
#: How deep roots of roots are looked through, and of how many terms; of how many a root that may be a multiple of another.
_DENESTED, _LARGE, _SHORT = 4, 800, 24
#: The primes by which radicands that are numbers are taken apart.
_TRIAL = 5_000


class ExactNumber:
    """A fraction of two polynomials, reduced by the rules of the roots. Made by :class:`Exact` only."""

    __slots__ = ("bottom", "field", "top")

    def __init__(self, field, top, bottom) -> None:
        self.field, self.top, self.bottom = field, top, bottom

    def __add__(self, other):
        if isinstance(other, ExactAngle):
            return NotImplemented
        other = self.field.number(other)
        if self.bottom == other.bottom:
            return self.field.fraction(self.top + other.top, self.bottom)
        return self.field.fraction(
            self.field.product(self.top, other.bottom) + self.field.product(other.top, self.bottom),
            self.field.product(self.bottom, other.bottom),
        )

    __radd__ = __add__

    def __neg__(self):
        return ExactNumber(self.field, -self.top, self.bottom)

    def __sub__(self, other):
        if isinstance(other, ExactAngle):
            return NotImplemented
        return self + -self.field.number(other)

    def __rsub__(self, other):
        return self.field.number(other) - self

    def __mul__(self, other):
        if isinstance(other, ExactAngle):
            return NotImplemented
        other = self.field.number(other)
        made = self.field.fraction(self.field.product(self.top, other.top), self.field.product(self.bottom, other.bottom))
        if other is self:
            self.field.note_square(made, self)
        return made

    __rmul__ = __mul__

    def __truediv__(self, other):
        if isinstance(other, ExactAngle):
            return NotImplemented
        other = self.field.number(other)
        return self.field.fraction(self.field.product(self.top, other.bottom), self.field.product(self.bottom, other.top))

    def __rtruediv__(self, other):
        return self.field.number(other) / self

    def is_zero(self):
        """True only if the number is zero wherever it is defined."""
        return self.top.is_zero()

    def at_sample(self):
        """The value at the sample position, a ball."""
        return self.field.at_sample(self)

    def __repr__(self):
        return str(self.top) if self.bottom.is_one() else f"({self.top}) / ({self.bottom})"


class Exact:
    """Exact arithmetic over symbols.

    Args:
        sample: the symbols by name with a rational sample value each, e.g. ``{"u": 2, "v": Fraction(1, 3)}``.
        generators: how many square roots and other symbols a computation may bring in.
        decide: a function from a factor, as a number, to its sign, 1 or -1; None to read it at the sample position.
        deadline: when to give up, on ``time.monotonic()``.
    """

    name = "exact"

    def __init__(
        self, sample, generators: int = 32, decide: Callable[[ExactNumber], int] | None = None, deadline: float | None = None
    ) -> None:
        self._symbols = list(sample)
        # The youngest first: a root's square, its leading term in this order, is what reduces.
        names = [*(f"made{number}" for number in range(generators - 1, -1, -1)), *self._symbols]
        self._context = flint.fmpq_mpoly_ctx.get(names, "lex")
        self._generators = self._context.gens()
        self._spare = generators
        self._rules: list[tuple[int, Any]] = []
        self._squares: dict[int, Any] = {}
        self._roots: dict[str, ExactNumber] = {}
        self._known_squares: dict[tuple[str, str], ExactNumber] = {}
        self._samples = [flint.arb(0)] * generators
        self._samples += [flint.arb(value.numerator) / value.denominator for value in map(Fraction, sample.values())]
        self._one = self._context.constant(1)
        self._deadline = deadline
        self.signs = Signs(self, decide)
        self.turns = Turns(self)
        self._pi: ExactNumber | None = None
        self._random = Random(1)

    # Numbers ---------------------------------------------------------------------------------------------------

    def note_square(self, square: ExactNumber, root: ExactNumber) -> None:
        """Remember of what a number is the square: once it is reduced, that is hard to see."""
        if self._rules:
            self._known_squares[str(square.top), str(square.bottom)] = root

    def symbol(self, name: str) -> ExactNumber:
        """The symbol of that name as a number."""
        return ExactNumber(self, self._generators[len(self._samples) - len(self._symbols) + self._symbols.index(name)], self._one)

    def fresh(self, sample: Any) -> ExactNumber:
        """A symbol of which nothing is known but its value at the sample position. Raises TooDear where there are too many."""
        if not self._spare:
            raise TooDear("this figure needs more square roots than exact arithmetic was given")
        self._spare -= 1
        self._samples[self._spare] = sample
        return ExactNumber(self, self._generators[self._spare], self._one)

    def angle_symbol(self, name: str) -> ExactAngle:
        """An angle whose half has the symbol as its tangent."""
        return self.turns.by_half(self.symbol(name))

    def number(self, value: Any) -> Number:
        if isinstance(value, (ExactNumber, ExactAngle)):
            return value
        ratio = as_typed(value)
        return ExactNumber(self, self._context.constant(flint.fmpq(ratio.numerator, ratio.denominator)), self._one)

    def of(self, polynomial: Any) -> ExactNumber:
        """A polynomial as a number."""
        return ExactNumber(self, polynomial, self._one)

    def product(self, p: Any, q: Any) -> Any:
        """The product of two polynomials, unless that is too dear."""
        if len(p) * len(q) > _MOST_PRODUCT or len(p) > _MOST_TERMS or len(q) > _MOST_TERMS:
            raise TooDear("the forms of this figure grow too large")
        if self._deadline is not None and time.monotonic() > self._deadline:
            raise TooDear("this took too long")
        return p * q

    def square_of(self, place: int) -> Any:
        """The polynomial of which the generator at a place is the root; None where it is none."""
        return self._squares.get(place)

    def reduced(self, polynomial: Any) -> Any:
        """Replace every square of a root by its radicand; the youngest root first, since radicands hold older ones."""
        if not self._rules or polynomial.is_constant():
            return polynomial
        for place, rule in reversed(self._rules):
            if polynomial.degrees()[place] >= 2:
                if len(polynomial) > _MOST_TERMS:
                    raise TooDear("the forms of this figure grow too large")
                polynomial = divmod(polynomial, rule)[1]
        return polynomial

    def fraction(self, top, bottom):
        """The reduced fraction of two polynomials. Raises Undefined where the divisor is zero everywhere."""
        top, bottom = self.reduced(top), self.reduced(bottom)
        if bottom.is_zero():
            raise Undefined("division by zero")
        if not bottom.is_constant():
            common = top.gcd(bottom)
            if not common.is_constant():
                top, bottom = top / common, bottom / common
        if not bottom.is_one():
            scale = 1 / bottom.leading_coefficient()
            top, bottom = top * scale, bottom * scale
        return ExactNumber(self, top, bottom)

    def at_sample(self, number: Any):
        """The value of a number or a polynomial at the sample position, a ball. Raises Undefined where it has none."""
        if isinstance(number, ExactNumber):
            quotient = self.at_sample(number.top) / self.at_sample(number.bottom)
            if not quotient.is_finite():
                raise Undefined("not defined at the sample position")
            return quotient
        total = flint.arb(0)
        for powers, coefficient in number.to_dict().items():
            term = flint.arb(coefficient)
            for value, power in zip(self._samples, powers):
                if power:
                    term *= value ** int(power)
            total += term
        return total

    def sample_of(self, place: int) -> Any:
        """The value of a symbol or a root at the sample position, by its place."""
        return self._samples[place]

    def norm(self, polynomial: Any) -> Any:
        """A polynomial without roots that is zero wherever the given one is: the product with its conjugates, root by root."""
        for place, _ in reversed(self._rules):
            if polynomial.degrees()[place]:
                a, b = parts(polynomial, place, 1)
                polynomial = self.reduced(self.product(a, a) - self.product(self.product(b, b), self._squares[place]))
        return polynomial

    def roots_are_everywhere(self) -> bool:
        """Whether what stands under every root is plainly at least zero."""
        return all(self.signs.is_plain(square) for square in self._squares.values())

    def take_sample(self) -> bool:
        """Go to another sample position, at random. Returns whether all bounds hold there."""
        for number in range(len(self._samples) - len(self._symbols), len(self._samples)):
            self._samples[number] = flint.arb(self._random.choice((-1, 1)) * self._random.randint(1, 4000)) / self._random.choice(
                (61, 701, 4001)
            )
        for place, _ in self._rules:
            self._samples[place] = abs(self.at_sample(self._squares[place])).sqrt()
        return all(self.at_sample(factor) * sign > 0 for factor, sign in self.signs.bounds)

    def ratio(self, value: Any) -> Fraction | None:
        """A number without symbols and roots as a fraction of whole numbers; None for any other."""
        if isinstance(value, ExactAngle) or not (value.top.is_constant() and value.bottom.is_constant()):
            return None
        if value.is_zero():
            return Fraction(0)
        found = value.top.leading_coefficient() / value.bottom.leading_coefficient()
        return Fraction(int(found.p), int(found.q))

    def linear(self, value: ExactNumber) -> dict[int, Fraction] | None:
        """A number that is a sum of multiples of symbols as these multiples, by the place of the symbol, and -1 for the plain
        number in it; None for any other."""
        if not value.bottom.is_one() or value.top.total_degree() > 1:
            return None
        parts = {}
        for powers, coefficient in value.top.to_dict().items():
            place = next((place for place, power in enumerate(powers) if power), -1)
            parts[place] = Fraction(int(coefficient.p), int(coefficient.q))
        return parts

    # What formulas ask -----------------------------------------------------------------------------------------

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
        """The root of a number that is taken to be at least zero: where it is not, the figure is not there."""
        p = self.number(p)
        if isinstance(p, ExactAngle):
            raise NotAlgebraic("the root of an angle is no exact number")
        if p.is_zero():
            return p
        known = self._known_squares.get((str(p.top), str(p.bottom)))
        if known is not None:
            return self.absolute(known)
        if self._rules and (plain := self._plain_root(p, _DENESTED)) is not None:
            return self.absolute(plain)
        self.signs.require(p)
        constant, factors = self.signs.factors(p.top)
        below, more = self.signs.factors(p.bottom)
        constant /= below
        powers = {key: (factor, power) for key, factor, power in factors}
        for key, factor, power in more:
            powers[key] = (factor, powers.get(key, (factor, 0))[1] - power)
        made = self._root_of_ratio(abs(constant))
        for key, (factor, power) in powers.items():
            root = self._root_of_factor(key, factor) if power % 2 else None
            whole = self.of(factor) * self.signs.of_factor(key, factor) if power // 2 else None
            for _ in range(abs(power // 2)):
                made = made * whole if power > 0 else made / whole
            made = made * root if root is not None else made
        self.signs.require(p)  # what was decided may make it less than zero
        return made

    def _plain_root(self, p: ExactNumber, depth: int) -> ExactNumber | None:
        """A number whose square is p, where p is one within the roots there are; None where that is not seen.

        With p = a + b r for a root r of f, and s² = a² - b² f, the root is x + r b / 2x for an x² = (a ± s) / 2.
        """
        p = self.rationalised(p)
        square = self.of(self.product(p.top, p.bottom))
        if len(square.top) > _LARGE:
            return None
        constant, factors = self.signs.factors(square.top)
        if all(power % 2 == 0 for _, _, power in factors) and constant >= 0:
            made = self._plain_root_of_ratio(constant)
            if made is not None:
                for _, factor, power in factors:
                    for _ in range(power // 2):
                        made = made * self.of(factor)
                return made / self.of(p.bottom)
        degrees = square.top.degrees()
        youngest = next((place for place, power in enumerate(degrees) if power == 1 and place in self._squares), None)
        if youngest is None or not depth:
            return None
        a, b = map(self.of, parts(square.top, youngest, 1))
        lower = self._plain_root(a * a - b * b * self.of(self._squares[youngest]), depth - 1)
        if lower is None:
            return None
        for s in (lower, -lower):
            x = self._plain_root((a + s) / 2, depth - 1)
            if x is not None and not x.is_zero():
                return (x + self.of(self._generators[youngest]) * b / (2 * x)) / self.of(p.bottom)
        return None

    def rationalised(self, number: ExactNumber) -> ExactNumber:
        """A number with its divisor freed of roots, as far as that goes: (a + b r) (a - b r) = a² - b² f."""
        top, bottom = number.top, number.bottom
        for _ in range(_DENESTED):
            degrees = bottom.degrees()
            youngest = next((place for place, power in enumerate(degrees) if power == 1 and place in self._squares), None)
            if youngest is None:
                break
            a, b = parts(bottom, youngest, 1)
            conjugate = a - b * self._generators[youngest]
            product = self.reduced(self.product(bottom, conjugate))
            if product.is_zero() or len(product) > _LARGE:
                break
            number = self.fraction(self.product(top, conjugate), product)
            top, bottom = number.top, number.bottom
        return number

    def _plain_root_of_ratio(self, ratio: Fraction) -> ExactNumber | None:
        """The root of a fraction of whole numbers by the roots of primes that there are; None where these do not do."""
        made = self.number(Fraction(1, ratio.denominator))
        if not ratio:
            return self.number(0)
        for prime, power in flint.fmpz(ratio.numerator * ratio.denominator).factor(trial_limit=_TRIAL):
            if power % 2:
                if str(prime) not in self._roots:
                    return None
                made = made * self._roots[str(prime)]
            made = made * int(prime) ** (power // 2)
        return made

    def _root_of_factor(self, key, factor):
        """The root of the size of a factor."""
        if key not in self._roots:
            square = self.of(factor) * self.signs.of_factor(key, factor)
            if (made := self._root_by_another(square)) is not None:
                self._roots[key] = made
                return made
            self._roots[key] = self._new_root(square.top, lambda: abs(self.at_sample(factor)).sqrt())
        return self._roots[key]

    def _root_by_another(self, square: ExactNumber) -> ExactNumber | None:
        """A root as a multiple of a root that is there: where the product of what stands under both is a square."""
        if len(square.top) > _SHORT:
            return None
        for place, other in self._squares.items():
            if len(other) <= _SHORT and not other.is_constant():
                product = self._plain_root(square * self.of(other), _DENESTED)
                if product is not None:
                    return self.absolute(product) / self.of(self._generators[place])
        return None

    def _new_root(self, square, sample):
        root = self.fresh(None)
        self._samples[self._spare] = sample() if self.signs.reads_sample else flint.arb(1)
        self._rules.append((self._spare, root.top * root.top - square))
        self._squares[self._spare] = square
        self.signs.set(root.top, 1)
        return root

    def _root_of_ratio(self, ratio: Fraction):
        """The root of a positive fraction of whole numbers: a generator for every prime, and one for what is left."""
        made = self.number(Fraction(1, ratio.denominator))
        left = 1
        for prime, power in flint.fmpz(ratio.numerator * ratio.denominator).factor(trial_limit=_TRIAL):
            made = made * self.number(int(prime) ** (power // 2))
            if power % 2 and int(prime) > _TRIAL:
                left *= int(prime)
            elif power % 2:
                made = made * self._root_of_whole(int(prime))
        square = int(flint.fmpz(left).isqrt())
        if square * square == left:
            return made * self.number(square)
        return made * self._root_of_whole(left)

    def _root_of_whole(self, whole: int):
        key = str(whole)
        if key not in self._roots:
            self._roots[key] = self._new_root(self._context.constant(whole), lambda: flint.arb(whole).sqrt())
        return self._roots[key]

    def absolute(self, p):
        return p if self.signs.of(p) > 0 else -p

    def choose(self, sign, p, q):
        return p if self.signs.of(sign) > 0 else q

    @staticmethod
    def surer(other, plain):
        return plain

    def inside(self, value: Any, t, low, high):
        """The value. Where it is not inside the figure is not there, so it is taken to be."""
        for end, direction in ((low, 1), (high, -1)):
            if abs(end) != float("inf") and isinstance(t, ExactNumber):
                self.signs.require(direction * (t - Fraction(end)))
        return value

    def approximate(self, p):
        return float(self.at_sample(p))

    def real_root(self, coefficients, choose) -> None:
        raise NotAlgebraic("this crossing is the root of an equation of degree 4, which square roots do not give")

    def rounded(self, p) -> None:
        raise NotAlgebraic("a rounded number jumps, so it has no exact form")

    def whole(self, p):
        ratio = self.ratio(p)
        if ratio is None:
            raise NotAlgebraic("how often is known only where it is a number")
        return int(ratio)

    def pi(self):
        if self._pi is None:
            self._pi = self.fresh(flint.arb.pi())
            self.signs.set(self._pi.top, 1)
        return self._pi

    def cos_sin(self, angle):
        return self.turns.cos_sin(angle)

    def angle(self, x, y):
        if x.is_zero() and y.is_zero():
            raise Undefined("no direction")
        return self.turns.of_direction(x, y)
