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
from collections.abc import Callable, Mapping
from fractions import Fraction
from random import Random
from typing import Any

from .exact_angles import ExactAngle, Turns
from .exact_numbers import ExactNumber
from .exact_roots import Roots
from .late import flint
from .protocol import Number
from .signs import Signs, parts
from .typed import as_typed
from .undefined import NotAlgebraic, TooDear, Undefined

#: Forms of more terms than this are not gone on with, nor are products of more terms than that.
_MOST_TERMS, _MOST_PRODUCT = 12_000, 60_000_000


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
        #: Of what the generators that are roots are the roots, by their places.
        self.squares: dict[int, Any] = {}
        self._samples = [flint.arb(0)] * generators
        self._samples += [flint.arb(value.numerator) / value.denominator for value in map(Fraction, sample.values())]
        self._one = self._context.constant(1)
        self._deadline = deadline
        self.signs = Signs(self, decide)
        self.turns = Turns(self)
        self.roots = Roots(self)
        self._pi: ExactNumber | None = None
        self._random = Random(1)

    # Numbers ---------------------------------------------------------------------------------------------------

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

    def new_root(self, square: Any, sample: Callable[[], Any]) -> ExactNumber:
        """A generator for the root of a polynomial; ``sample`` gives its value at the sample position."""
        root = self.fresh(None)
        self._samples[self._spare] = sample() if self.signs.reads_sample else flint.arb(1)
        self._rules.append((self._spare, root.top * root.top - square))
        self.squares[self._spare] = square
        self.signs.set(root.top, 1)
        return root

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
        return self.squares.get(place)

    def generator(self, place: int) -> ExactNumber:
        """The symbol or root at a place as a number."""
        return self.of(self._generators[place])

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

    def at_sample(self, number: Any, instead: Mapping[int, Any] | None = None):
        """The value of a number or a polynomial at the sample position, a ball. Raises Undefined where it has none.

        Args:
            instead: other values for some symbols and roots, by their places.
        """
        if isinstance(number, ExactNumber):
            quotient = self.at_sample(number.top, instead) / self.at_sample(number.bottom, instead)
            if not quotient.is_finite():
                raise Undefined("not defined at the sample position")
            return quotient
        total = flint.arb(0)
        samples = self._samples if not instead else [instead.get(place, value) for place, value in enumerate(self._samples)]
        for powers, coefficient in number.to_dict().items():
            term = flint.arb(coefficient)
            for value, power in zip(samples, powers):
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
                polynomial = self.reduced(self.product(a, a) - self.product(self.product(b, b), self.squares[place]))
        return polynomial

    def roots_are_everywhere(self) -> bool:
        """Whether what stands under every root is plainly at least zero."""
        return all(self.signs.is_plain(square) for square in self.squares.values())

    def take_sample(self) -> bool:
        """Go to another sample position, at random. Returns whether all bounds hold there."""
        for number in range(len(self._samples) - len(self._symbols), len(self._samples)):
            self._samples[number] = flint.arb(self._random.choice((-1, 1)) * self._random.randint(1, 4000)) / self._random.choice(
                (61, 701, 4001)
            )
        for place, _ in self._rules:
            self._samples[place] = abs(self.at_sample(self.squares[place])).sqrt()
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
        return self.roots.sqrt(self.number(p))

    def absolute(self, p):
        return p if self.signs.of(p) > 0 else -p

    def choose(self, sign, p, q):
        return p if self.signs.of(sign) > 0 else q

    def difference(self, p, q):
        """Two roots may be one number in different words: where both are at least zero, they are when their squares are."""
        found = p - q
        if isinstance(p, ExactNumber) and isinstance(q, ExactNumber) and not found.is_zero():
            same = (p * p - q * q).is_zero()
            if same and self.signs.known(p) == 1 and self.signs.known(q) == 1:
                return self.number(0)
        return found

    @staticmethod
    def either(_sign, p, q):
        try:
            return p()
        except (Undefined, ZeroDivisionError):
            return q()

    @staticmethod
    def surer(other, plain):
        return plain

    def inside(self, value: Any, t, low, high):
        """The value. Where it is not inside the figure is not there, so it is taken to be."""
        for end, direction in ((low, 1), (high, -1)):
            if abs(end) != float("inf") and isinstance(t, ExactNumber):
                self.signs.require(direction * (t - Fraction(end)))
        return value

    def outside(self, t, low, high):
        for end, direction in ((low, 1), (high, -1)):
            if abs(end) == float("inf"):
                continue
            beyond = direction * (self.number(t) - self.number(Fraction(end)))
            if not beyond.is_zero() and self.signs.of(beyond) < 0:
                return self.number(1)
        return self.number(0)

    def more(self, p, q):
        """0 where p is more than q, 1 where it is not. What is never below zero may be zero somewhere: that it is more is not known."""
        found = p - q
        if self.signs.reads_sample:
            return self.number(0 if not found.is_zero() and self.signs.of(found) > 0 else 1)
        ratio = self.ratio(found) if isinstance(found, ExactNumber) else None
        if ratio is not None:
            return self.number(0 if ratio > 0 else 1)
        if isinstance(found, ExactNumber) and self.signs.known(found) == -1:
            return self.number(1)
        raise NotAlgebraic("which of two is more is found by trying, not from forms")

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
