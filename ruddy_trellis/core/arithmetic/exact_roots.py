"""Square roots in exact arithmetic: what is a square within the roots there are has a root among them; anything else gets a new one,
a factor at a time."""

from fractions import Fraction
from typing import Any

from .exact_angles import ExactAngle
from .exact_numbers import ExactNumber
from .late import flint
from .signs import parts
from .undefined import NotAlgebraic

#: How deep roots of roots are looked through, and of how many terms; of how many a root that may be a multiple of another.
_DENESTED, _LARGE, _SHORT = 4, 800, 24
#: The primes by which radicands that are numbers are taken apart.
_TRIAL = 5_000


class Roots:
    """The roots that one exact computation knows."""

    def __init__(self, field: Any) -> None:
        self._field = field
        self._roots: dict[str, ExactNumber] = {}
        self._known_squares: dict[tuple[str, str], ExactNumber] = {}
        #: Roots that are kept whole, though what is under them has factors: sines of angles, by the squares of their cosines.
        self.whole: list[tuple[Any, ExactNumber]] = []

    def note_square(self, square: ExactNumber, root: ExactNumber) -> None:
        """Remember of what a number is the square: once it is reduced, that is hard to see."""
        if self._field.squares:
            self._known_squares[str(square.top), str(square.bottom)] = root

    def sqrt(self, p: Any) -> Any:
        """The root of a number that is taken to be at least zero."""
        if isinstance(p, ExactAngle):
            raise NotAlgebraic("the root of an angle is no exact number")
        if p.is_zero():
            return p
        known: Any = self._known_squares.get((str(p.top), str(p.bottom)))
        if known is not None:
            return self._field.absolute(known)
        if self._field.squares and (plain := self._plain_root(p, _DENESTED)) is not None:
            return self._field.absolute(plain)
        for square, whole_root in self.whole:
            for top, bottom in ((p.top, p.bottom), (p.bottom, p.top)):
                rest, left = divmod(top, square)
                if left.is_zero() and not rest.is_zero():
                    inner = self.sqrt(self._field.fraction(rest, bottom) if top is p.top else self._field.fraction(bottom, rest))
                    return inner * whole_root if top is p.top else inner / whole_root
        self._field.signs.require(p)
        constant, factors = self._field.signs.factors(p.top)
        below, more = self._field.signs.factors(p.bottom)
        constant /= below
        powers = {key: (factor, power) for key, factor, power in factors}
        for key, factor, power in more:
            powers[key] = (factor, powers.get(key, (factor, 0))[1] - power)
        made = self._root_of_ratio(abs(constant))
        for key, (factor, power) in powers.items():
            root = self._root_of_factor(key, factor) if power % 2 else None
            whole = self._field.of(factor) * self._field.signs.of_factor(key, factor) if power // 2 else None
            for _ in range(abs(power // 2)):
                made = made * whole if power > 0 else made / whole
            made = made * root if root is not None else made
        self._field.signs.require(p)  # what was decided may make it less than zero
        return made

    def _plain_root(self, p: ExactNumber, depth: int) -> ExactNumber | None:
        """A number whose square is p, where p is one within the roots there are; None where that is not seen.

        With p = a + b r for a root r of f, and s² = a² - b² f, the root is x + r b / 2x for an x² = (a ± s) / 2.
        """
        p = self.rationalised(p)
        square = self._field.of(self._field.product(p.top, p.bottom))
        if len(square.top) > _LARGE:
            return None
        constant, factors = self._field.signs.factors(square.top)
        if all(power % 2 == 0 for _, _, power in factors) and constant >= 0:
            made = self._plain_root_of_ratio(constant)
            if made is not None:
                for _, factor, power in factors:
                    for _ in range(power // 2):
                        made = made * self._field.of(factor)
                return made / self._field.of(p.bottom)
        degrees = square.top.degrees()
        youngest = next((place for place, power in enumerate(degrees) if power == 1 and place in self._field.squares), None)
        if youngest is None or not depth:
            return None
        a, b = map(self._field.of, parts(square.top, youngest, 1))
        lower = self._plain_root(a * a - b * b * self._field.of(self._field.squares[youngest]), depth - 1)
        if lower is None:
            return None
        for s in (lower, -lower):
            x = self._plain_root((a + s) / 2, depth - 1)
            if x is not None and not x.is_zero():
                return (x + self._field.generator(youngest) * b / (2 * x)) / self._field.of(p.bottom)
        return None

    def rationalised(self, number: ExactNumber) -> ExactNumber:
        """A number with its divisor freed of roots, as far as that goes: (a + b r) (a - b r) = a² - b² f."""
        top, bottom = number.top, number.bottom
        for _ in range(_DENESTED):
            degrees = bottom.degrees()
            youngest = next((place for place, power in enumerate(degrees) if power == 1 and place in self._field.squares), None)
            if youngest is None:
                break
            a, b = parts(bottom, youngest, 1)
            conjugate = a - b * self._field.generator(youngest).top
            product = self._field.reduced(self._field.product(bottom, conjugate))
            if product.is_zero() or len(product) > _LARGE:
                break
            number = self._field.fraction(self._field.product(top, conjugate), product)
            top, bottom = number.top, number.bottom
        return number

    def _plain_root_of_ratio(self, ratio: Fraction) -> ExactNumber | None:
        """The root of a fraction of whole numbers by the roots of primes that there are; None where these do not do."""
        made = self._field.number(Fraction(1, ratio.denominator))
        if not ratio:
            return self._field.number(0)
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
            square = self._field.of(factor) * self._field.signs.of_factor(key, factor)
            if (made := self._root_by_another(square)) is not None:
                self._roots[key] = made
                return made
            self._roots[key] = self._field.new_root(square.top, lambda: abs(self._field.at_sample(factor)).sqrt())
        return self._roots[key]

    def _root_by_another(self, square: ExactNumber) -> ExactNumber | None:
        """A root as a multiple of a root that is there: where the product of what stands under both is a square."""
        if len(square.top) > _SHORT:
            return None
        for place, other in self._field.squares.items():
            if len(other) <= _SHORT and not other.is_constant():
                product = self._plain_root(square * self._field.of(other), _DENESTED)
                if product is not None:
                    return self._field.absolute(product) / self._field.generator(place)
        return None

    def _root_of_ratio(self, ratio: Fraction):
        """The root of a positive fraction of whole numbers: a generator for every prime, and one for what is left."""
        made = self._field.number(Fraction(1, ratio.denominator))
        left = 1
        for prime, power in flint.fmpz(ratio.numerator * ratio.denominator).factor(trial_limit=_TRIAL):
            made = made * self._field.number(int(prime) ** (power // 2))
            if power % 2 and int(prime) > _TRIAL:
                left *= int(prime)
            elif power % 2:
                made = made * self._root_of_whole(int(prime))
        square = int(flint.fmpz(left).isqrt())
        if square * square == left:
            return made * self._field.number(square)
        return made * self._root_of_whole(left)

    def _root_of_whole(self, whole: int):
        key = str(whole)
        if key not in self._roots:
            self._roots[key] = self._field.new_root(self._field.number(whole).top, lambda: flint.arb(whole).sqrt())
        return self._roots[key]
