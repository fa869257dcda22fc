"""The forms of facts in a reason: what can be said of named points, each fact in one writing.

A point is known by a label: a number in the finder and the checker, a capital letter in the tables of rules. The same fact said in
another order (``BA = DC`` for ``AB = CD``) is one and the same value, so that facts can be looked up.
"""

import re
from collections.abc import Callable, Iterable, Mapping
from dataclasses import dataclass
from fractions import Fraction
from functools import cached_property, lru_cache
from math import gcd
from typing import Any, TypeAlias

#: The label of a point; two labels, the smaller first; and an angle: a leg, its vertex, the other leg.
Label: TypeAlias = Any
Pair: TypeAlias = tuple[Label, Label]
#: A length, as ("length", a, b), or the area of a polygon, as ("area", its corners).
Magnitude: TypeAlias = tuple[Any, ...]

_ONE = Fraction(1)

ANGLES, PRODUCT, SUM = "angles", "product", "sum"
LINE, ROUND, PARALLEL, PERPENDICULAR = "line", "circle", "parallel", "perpendicular"
MIDPOINT, CONGRUENT, SIMILAR, SHAPE, SAME = "midpoint", "congruent", "similar", "shape", "same"


@dataclass(frozen=True)
class Fact:
    """A fact: its form, and what it says in that form's one writing.

    Attributes:
        data: by form. ANGLES: pairs of an angle and how often it is taken, and what they add up to, degrees. PRODUCT: pairs of a
            magnitude and its power, and what these multiply to. SUM: pairs of a tuple of magnitudes, which are multiplied, and how
            often that is taken; they add up to zero. LINE: the points. ROUND: the centre or None, and the points. PARALLEL,
            PERPENDICULAR: two pairs of points. MIDPOINT: the point, and the ends. CONGRUENT, SIMILAR: three pairs of corners that
            correspond. SHAPE: its word and the corners. SAME: two points.
    """

    form: str
    data: tuple[Any, ...]

    def __hash__(self) -> int:
        return self._hash

    @cached_property
    def _hash(self) -> int:
        """Kept, as facts are looked up very often."""
        return hash((self.form, self.data))

    @property
    def points(self) -> set[Label]:
        """The labels that stand in it."""
        return set(_labels(self))


def _labels(fact: Fact) -> Iterable[Label]:
    if fact.form == ANGLES:
        return (label for angle, _ in fact.data[0] for label in angle)
    if fact.form == PRODUCT:
        return (label for magnitude, _ in fact.data[0] for label in magnitude[1:])
    if fact.form == SUM:
        return (label for term, _ in fact.data for magnitude in term for label in magnitude[1:])
    if fact.form == ROUND:
        return (label for label in (fact.data[0], *fact.data[1]) if label is not None)
    if fact.form == MIDPOINT:
        return (fact.data[0], *fact.data[1])
    if fact.form == SHAPE:
        return fact.data[1]
    if fact.form in (LINE, SAME):
        return fact.data
    return (label for pair in fact.data for label in pair)


def pair(a: Label, b: Label) -> Pair:
    """Two points in one order."""
    return (a, b) if a < b else (b, a)


def angle(a: Label, vertex: Label, b: Label) -> tuple[Label, Label, Label]:
    """An angle in one order."""
    return (a, vertex, b) if a < b else (b, vertex, a)


def length(a: Label, b: Label) -> Magnitude:
    return ("length", *pair(a, b))


def area(*corners: Label) -> Magnitude:
    """The area of a polygon; from whichever corner it is read, and either way round."""
    if len(corners) == 3:
        return ("area", *sorted(corners))
    turns = [way[start:] + way[:start] for way in (corners, corners[::-1]) for start in range(len(corners))]
    return ("area", *min(turns))


def _whole(terms: Mapping[Any, Fraction]) -> tuple[dict[Any, int], Fraction]:
    """Terms in whole numbers without a common divisor, the first positive; and by what they were multiplied."""
    if not any(terms.values()):
        return {}, Fraction(1)
    if all(type(times) is int for times in terms.values()):
        common = gcd(*map(int, terms.values())) * (1 if terms[min(key for key, times in terms.items() if times)] > 0 else -1)
        return {key: int(times) // common for key, times in terms.items() if times}, _ONE if common == 1 else Fraction(1, common)
    known = {key: Fraction(times) for key, times in terms.items() if times}
    below = 1
    for times in known.values():
        below = below * times.denominator // gcd(below, times.denominator)
    common = 0
    for times in known.values():
        common = gcd(common, int(times * below))
    scale = Fraction(below, common)
    if known[min(known)] < 0:
        scale = -scale
    return {key: int(times * scale) for key, times in known.items()}, scale


def angles(terms: Mapping[Any, Any], total: Any) -> Fact:
    """Angles that add up to something, degrees."""
    whole, scale = _whole(terms)
    total = total if type(total) is Fraction else Fraction(total)
    return Fact(ANGLES, (tuple(sorted(whole.items())), total if scale is _ONE else total * scale))


def product(powers: Mapping[Magnitude, Any], value: Any = 1) -> Fact:
    """Magnitudes to whole powers that multiply to a number."""
    known = {key: power for key, power in powers.items() if power}
    value = _ONE if value == 1 else Fraction(value)
    if known and known[min(known)] < 0:
        known, value = {key: -power for key, power in known.items()}, value if value is _ONE else 1 / value
    return Fact(PRODUCT, (tuple(sorted(known.items())), value))


def added(terms: Mapping[tuple[Magnitude, ...], Any]) -> Fact:
    """Products of magnitudes that add up to zero."""
    whole, _ = _whole(terms)
    return Fact(SUM, tuple(sorted(whole.items())))


def equal_lengths(a: Pair, b: Pair, times: Any = 1) -> Fact:
    """One length is so many times another."""
    return _quotient(length(*a), length(*b), times)


def _quotient(one: Magnitude, other: Magnitude, times: Any) -> Fact:
    return product({} if one == other else {one: 1, other: -1}, times)


def line(points: Iterable[Label]) -> Fact:
    return Fact(LINE, tuple(sorted(set(points))))


def on_circle(points: Iterable[Label], centre: Label | None = None) -> Fact:
    return Fact(ROUND, (centre, tuple(sorted(set(points)))))


def parallel(a: Pair, b: Pair) -> Fact:
    return Fact(PARALLEL, tuple(sorted((pair(*a), pair(*b)))))


def perpendicular(a: Pair, b: Pair) -> Fact:
    return Fact(PERPENDICULAR, tuple(sorted((pair(*a), pair(*b)))))


def midpoint(middle: Label, a: Label, b: Label) -> Fact:
    return Fact(MIDPOINT, (middle, pair(a, b)))


def triangles(form: str, first: Iterable[Label], second: Iterable[Label]) -> Fact:
    """Two triangles that are congruent or similar, corner by corner."""
    pairs = tuple(zip(first, second, strict=True))
    return Fact(form, min(tuple(sorted(pairs)), tuple(sorted((b, a) for a, b in pairs))))


def shape(word: str, corners: tuple[Label, ...]) -> Fact:
    """A polygon is of a kind; from whichever corner it is read, and either way round."""
    return Fact(SHAPE, (word, area(*corners)[1:]))


def same(a: Label, b: Label) -> Fact:
    return Fact(SAME, pair(a, b))


def magnitudes_of(fact: Fact) -> list[Magnitude]:
    """The lengths and areas that stand in a fact."""
    if fact.form == PRODUCT:
        return [one for one, _ in fact.data[0]]
    return [one for term, _ in fact.data for one in term] if fact.form == SUM else []


def is_proper(fact: Fact) -> bool:
    """Whether no length in a fact is from a point to itself, and no angle has a leg without one."""
    if fact.form == ANGLES:
        return all(len({*corner}) == 3 for corner, _ in fact.data[0])
    if fact.form == PRODUCT:
        return all(len({*one[1:]}) == len(one) - 1 for one, _ in fact.data[0])
    if fact.form in (PARALLEL, PERPENDICULAR):
        return all(a != b for a, b in fact.data)
    return fact.form != MIDPOINT or len({fact.data[0], *fact.data[1]}) == 3


def mapped(fact: Fact, to: Callable[[Label], Label]) -> Fact:
    """A fact with other labels."""
    form, data = fact.form, fact.data
    if form == ANGLES:
        terms: dict[Any, int] = {}
        for (a, vertex, b), times in data[0]:
            key = angle(to(a), to(vertex), to(b))
            terms[key] = terms.get(key, 0) + times
        return angles(terms, data[1])
    if form == PRODUCT:
        return product(_gathered((_magnitude(one, to), power) for one, power in data[0]), data[1])
    if form == SUM:
        return added(_gathered((tuple(sorted(_magnitude(one, to) for one in term)), times) for term, times in data))
    if form == LINE:
        return line(map(to, data))
    if form == ROUND:
        return on_circle(map(to, data[1]), None if data[0] is None else to(data[0]))
    if form in (PARALLEL, PERPENDICULAR):
        (a, b), (c, d) = data
        return (parallel if form == PARALLEL else perpendicular)((to(a), to(b)), (to(c), to(d)))
    if form == MIDPOINT:
        return midpoint(to(data[0]), *map(to, data[1]))
    if form == SHAPE:
        return shape(data[0], tuple(map(to, data[1])))
    if form == SAME:
        return same(*map(to, data))
    return triangles(form, (to(a) for a, _ in data), (to(b) for _, b in data))


def _magnitude(one: Magnitude, to: Callable[[Label], Label]) -> Magnitude:
    return (length if one[0] == "length" else area)(*map(to, one[1:]))


def _gathered(terms: Iterable[tuple[Any, int]]) -> dict[Any, int]:
    found: dict[Any, int] = {}
    for key, times in terms:
        found[key] = found.get(key, 0) + times
    return found


def is_trivial(fact: Fact) -> bool:
    """Whether a fact says nothing: a length is itself, an angle is itself."""
    form, data = fact.form, fact.data
    if form in (ANGLES, PRODUCT):
        return not data[0]
    if form == SUM:
        return not data
    if form in (PARALLEL, SAME):
        return data[0] == data[1]
    return (form == LINE and len(data) < 3) or (form == ROUND and data[0] is None and len(data[1]) < 4)


# What the tables of rules are written in --------------------------------------------------------------------------------

_WORDS = re.compile(r"([A-Z]{4}) (parallelogram|rectangle|rhombus|square|kite|trapezium|isosceles trapezium)")


@lru_cache(maxsize=1024)
def read_form(text: str) -> Fact:
    """A fact of letters, as it stands in a table: "AB = CD", "∠AOB = 2 ∠ACB", "AB ∥ CD", "M mid AB", "ABC in line", "ABCD on circle O",
    "ABC ≅ DEF", "AB : AC = DE : DF", "AB · AC = AD · AE", "AB² + AC² = BC²", "area ABC = area ABD". Raises ValueError."""
    if found := re.fullmatch(r"(\w\w) ([∥⊥]) (\w\w)", text):
        return (parallel if found[2] == "∥" else perpendicular)(tuple(found[1]), tuple(found[3]))
    if found := re.fullmatch(r"(\w) same (\w)", text):
        return same(*found.groups())
    if found := re.fullmatch(r"(\w) mid (\w\w)", text):
        return midpoint(found[1], *found[2])
    if found := re.fullmatch(r"(\w+) in line", text):
        return line(found[1])
    if found := re.fullmatch(r"(\w+) on circle(?: (\w))?", text):
        return on_circle(found[1], found[2])
    if found := re.fullmatch(r"(\w{3}) ([≅~]) (\w{3})", text):
        return triangles(CONGRUENT if found[2] == "≅" else SIMILAR, found[1], found[3])
    if found := _WORDS.fullmatch(text):
        return shape(found[2], tuple(found[1]))
    left, right = text.split(" = ")
    if "∠" in text:
        return _angles_read(left, right)
    if " + " in text or " − " in text:
        return _sum_read(left, right)
    return _product_read(left, right)


def _angles_read(left: str, right: str) -> Fact:
    terms: dict[Any, int] = {}
    total = Fraction(0)
    for side, sign in ((left, 1), (right, -1)):
        for part in side.split(" + "):
            if found := re.fullmatch(r"([\d/]+)°", part):
                total -= sign * Fraction(found[1])
                continue
            found = re.fullmatch(r"(?:(\d+) )?∠(\w\w\w)", part)
            if found is None:
                raise ValueError(part)
            key = angle(*found[2])
            terms[key] = terms.get(key, 0) + sign * int(found[1] or 1)
    return angles(terms, total)


def _magnitude_read(text: str) -> Magnitude:
    return area(*text[5:]) if text.startswith("area ") else length(*text)


def _sum_read(left: str, right: str) -> Fact:
    terms: dict[Any, int] = {}
    for side, sign in ((left, 1), (right, -1)):
        for part in side.split(" + "):
            factors = []
            for factor in part.split(" · "):
                squared = factor.endswith("²")
                factors += [_magnitude_read(factor.rstrip("²"))] * (2 if squared else 1)
            key = tuple(sorted(factors))
            terms[key] = terms.get(key, 0) + sign
    return added(terms)


_FACTOR = re.compile(r"(?:([\d/]+) )?((?:area )?[A-Z]+)(²?)")


def _product_read(left: str, right: str) -> Fact:
    powers: dict[Any, int] = {}
    value = Fraction(1)
    for side, sign in ((left, 1), (right, -1)):
        above, _, below = side.partition(" : ")
        for text, up in ((above, sign), (below, -sign)):
            for factor in filter(None, text.split(" · ")):
                found = _FACTOR.fullmatch(factor)
                if found is None:
                    raise ValueError(factor)
                value /= Fraction(found[1] or 1) ** up
                key = _magnitude_read(found[2])
                powers[key] = powers.get(key, 0) + up * (2 if found[3] else 1)
    return product(powers, value)
