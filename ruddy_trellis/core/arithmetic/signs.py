"""The signs of exact numbers: each is the product of the signs of its factors."""

from collections.abc import Callable
from fractions import Fraction
from math import prod
from typing import Any

from .exact_angles import ExactAngle
from .undefined import Undefined

#: How deep it is looked whether a factor is plainly positive or negative, and up to how many terms.
_DEPTH, _LARGE = 4, 80


class Signs:
    """What is known of the signs of factors.

    Attributes:
        decided: the factors, as polynomials, whose signs are neither plain nor given, with the signs that were decided.
        reads_sample: whether signs are read at a sample position.
    """

    def __init__(self, field: Any, decide: Callable[[Any], int] | None) -> None:
        self._field = field
        self._decide = decide or self._at_sample
        self.reads_sample = decide is None
        self._known: dict[str, int] = {}
        self._factored: dict[str, Any] = {}
        #: The places of symbols and roots that are known to be at least zero.
        self._positive: set[int] = set()
        #: What was given, required or decided: factors that are no roots, with their signs.
        self.bounds: list[tuple[Any, int]] = []
        #: What is required of products of factors of which more than one is not known: a sign, and the factors.
        self._required: list[tuple[int, list[tuple[str, Any]]]] = []
        self.decided: list[tuple[Any, int]] = []

    def factors(self, polynomial: Any) -> tuple[Fraction, list[tuple[str, Any, int]]]:
        """A polynomial as a fraction of whole numbers times powers of factors, each with what it is known by. The leading
        coefficient of a factor is positive."""
        whole = str(polynomial)
        if whole not in self._factored:
            constant, factors = polynomial.factor()
            ratio, found = Fraction(int(constant.p), int(constant.q)), []
            for factor, power in factors:
                if factor.leading_coefficient() < 0:
                    factor, ratio = -factor, -ratio if power % 2 else ratio
                found.append((str(factor), factor, int(power)))
            self._factored[whole] = ratio, found
        return self._factored[whole]

    def set(self, polynomial: Any, sign: int) -> None:
        """From here on a polynomial of one factor is known to have a sign."""
        constant, factors = self.factors(polynomial)
        ((key, factor, _),) = factors
        self._known[key] = sign = sign if constant > 0 else -sign
        if not any(self._field.square_of(place) is not None for place, power in enumerate(factor.degrees()) if power):
            self.bounds.append((factor, sign))
        if sign > 0 and len(factor) == 1:
            self._positive.update(place for place, power in enumerate(factor.degrees()) if power)

    def _odd(self, number: Any) -> tuple[int, list[tuple[str, Any]]]:
        """The sign of the plain number in a number that is not zero, and the factors on whose signs its own hangs besides."""
        sign, odd = 1, []
        for polynomial in (number.top, number.bottom):
            constant, factors = self.factors(polynomial)
            sign *= 1 if constant > 0 else -1
            odd += [(key, factor) for key, factor, power in factors if power % 2]
        return sign, odd

    def of(self, number: Any) -> int:
        """1 where a number is taken to be at least zero, else -1. What is not known of it is decided."""
        if isinstance(number, ExactAngle):
            return self.of(number.turned_up())
        if number.is_zero():
            return 1
        sign, odd = self._odd(number)
        return sign * prod(self.of_factor(key, factor) for key, factor in odd)

    def known(self, number: Any) -> int | None:
        """The sign of a number where that needs no decision; None where it does."""
        if number.is_zero():
            return 1
        sign, odd = self._odd(number)
        for key, factor in odd:
            one = self._plain(key, factor)
            if one is None:
                return None
            sign *= one
        return sign

    def require(self, number: Any) -> None:
        """A number is at least zero wherever the figure is there. Where one factor alone is not known, its sign follows.

        Raises:
            Undefined: where the number is below zero, by what is known of its factors.
        """
        if number.is_zero():
            return
        if self.reads_sample:
            if self.of(number) < 0:
                raise Undefined("less than nothing")
            return
        sign, odd = self._odd(number)
        self._required.append((sign, odd))
        self._follow()

    def _follow(self) -> None:
        """What follows from what is required and known: where one factor alone is not known, its sign. Raises Undefined where what
        is required cannot be."""
        going = True
        while going:
            going = False
            for number, (sign, odd) in enumerate(self._required):
                open_ones = [(key, factor) for key, factor in odd if self._plain(key, factor) is None]
                if len(open_ones) > 1:
                    continue
                del self._required[number]
                for key, _ in odd:
                    sign *= self._known.get(key, 1)
                if open_ones:
                    ((key, factor),) = open_ones
                    self._known[key] = sign
                    self.bounds.append((factor, sign))
                elif sign < 0:
                    raise Undefined("less than nothing")
                going = True
                break

    def fill_a_box(self) -> bool:
        """Whether what was given, required or decided of signs only says between which bounds single symbols are."""
        return not self._required and all(factor.total_degree() == 1 and sum(factor.degrees()) == 1 for factor, _ in self.bounds)

    def of_factor(self, key: str, factor: Any) -> int:
        """The sign of a factor; where it is not known, it is decided."""
        sign = self._plain(key, factor)
        if sign is None:
            sign = self._known[key] = self._decide(self._field.of(factor))
            self.decided.append((factor, sign))
            self.bounds.append((factor, sign))
            self._follow()
        return sign

    def is_plain(self, polynomial: Any) -> bool:
        """Whether a polynomial is plainly at least zero."""
        return self._of_form(polynomial, _DEPTH) == 1

    def _plain(self, key, factor):
        if key not in self._known and (sign := self._of_form(factor, _DEPTH)) is not None:
            self._known[key] = sign
        return self._known.get(key)

    def _of_form(self, polynomial: Any, depth: int) -> int | None:
        """The sign of a polynomial where it is plain: 1 for at least zero, -1 for at most zero, None where it is not plain."""
        terms = polynomial.to_dict()
        if all(not power % 2 or place in self._positive for powers in terms for place, power in enumerate(powers)):
            signs = {1 if coefficient > 0 else -1 for coefficient in terms.values()}
            if len(signs) < 2:
                return next(iter(signs), 1)
        if not depth or len(terms) > _LARGE:
            return None
        degrees = polynomial.degrees()
        for place, degree in enumerate(degrees):
            if degree == 2 and (sign := self._of_square_form(parts(polynomial, place, 2), depth)) is not None:
                return sign
        root = next((place for place, degree in enumerate(degrees) if degree == 1 and self._field.square_of(place) is not None), None)
        return None if root is None else self._of_root_form(parts(polynomial, root, 1), root, depth)

    def _of_square_form(self, form: list[Any], depth: int) -> int | None:
        """The sign of a x² + b x + c: that of a, where 4ac − b² is at least zero."""
        c, b, a = form
        if self._of_form(self._field.reduced(4 * a * c - b * b), depth - 1) != 1:
            return None
        return self._of_form(a, depth - 1)

    def _of_root_form(self, form: list[Any], root: int, depth: int) -> int | None:
        """The sign of p + q r for a root r: of two terms of unlike signs the larger has its way, and squares tell which that is."""
        p, q = form
        p_sign, q_sign = self._of_form(p, depth - 1), self._of_form(q, depth - 1)
        if p_sign == q_sign and p_sign is not None:
            return p_sign
        if p_sign is None and q_sign is None:
            return None
        larger = self._of_form(self._field.reduced(p * p - q * q * self._field.square_of(root)), depth - 1)
        return p_sign if larger == 1 else q_sign if larger == -1 else None

    def _at_sample(self, number):
        value = self._field.at_sample(number)
        if value.contains(0):
            raise Undefined("the sign cannot be decided at the sample position")
        return 1 if value > 0 else -1


def parts(polynomial: Any, place: int, degree: int) -> list[Any]:
    """The coefficients of the powers of one symbol, lowest first."""
    found: list[dict[tuple[int, ...], Any]] = [{} for _ in range(degree + 1)]
    for powers, coefficient in polynomial.to_dict().items():
        rest = list(powers)
        rest[place] = 0
        found[powers[place]][tuple(rest)] = coefficient
    return [polynomial.context().from_dict(part) for part in found]
