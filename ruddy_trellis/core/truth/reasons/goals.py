"""What a claim says, as facts: what a reason has to come to."""

from collections.abc import Iterator, Mapping
from fractions import Fraction
from itertools import combinations, pairwise
from math import isqrt
from typing import Any

from ...kinds import POINT, SEGMENT
from ...language.expression import Formula
from .forms import (
    CONGRUENT,
    SIMILAR,
    Fact,
    added,
    angle,
    angles,
    area,
    equal_lengths,
    is_trivial,
    length,
    line,
    on_circle,
    parallel,
    perpendicular,
    product,
    same,
    shape,
    triangles,
)  # fmt: skip
from .holding import Holding, is_so
from .labelled import Labelled


class NotSaid(Exception):
    """A claim says something that no form of a fact can."""


def goals(figure: Labelled) -> list[Fact]:
    """The facts that a claim says, all of them together. Raises NotSaid."""
    claim = figure.board.step(figure.claim)
    say = _SAYINGS.get(claim.does)
    if say is None:
        raise NotSaid
    found = [fact for fact in dict.fromkeys(say(figure, claim.fills)) if not is_trivial(fact)]
    if not found:
        raise NotSaid
    return found


def _points(figure: Labelled, ids: tuple[str, ...]) -> list[int]:
    found = [figure.number(id) for id in ids]
    if None in found:
        raise NotSaid
    return [number for number in found if number is not None]


def _two_on(figure: Labelled, fill: tuple[str, ...]) -> tuple[int, int]:
    on = figure.on_straight(fill)
    if len(on) < 2:
        raise NotSaid
    return on[0], on[1]


def _in_line(figure: Labelled, fills: Mapping[str, Any]) -> Iterator[Fact]:
    yield line(_points(figure, fills["points"]))


def _on_one_circle(figure: Labelled, fills: Mapping[str, Any]) -> Iterator[Fact]:
    yield on_circle(_points(figure, fills["points"]))


def _through_one_point(figure: Labelled, fills: Mapping[str, Any]) -> Iterator[Fact]:
    """Each further line goes through the point where the first two meet, which has to have a name."""
    ways = [figure.on_straight((id,)) for id in fills["lines"]]
    for one, other in combinations(ways, 2):
        common = [number for number in one if number in other and not figure.is_nameless(number)]
        if common:
            for way in ways:
                if common[0] not in way:
                    yield line([common[0], *way[:2]])
            return
    raise NotSaid


def _lies_on(figure: Labelled, fills: Mapping[str, Any]) -> Iterator[Fact]:
    (point,), path = _points(figure, fills["point"]), fills["path"]
    if len(path) == 1 and path[0] in figure.circles:
        centre, on = figure.circles[path[0]]
        if len(on) >= 3:
            yield on_circle([*on[:3], point])
        elif centre is not None and on:
            yield equal_lengths((centre, point), (centre, on[0]))
        return
    yield line([point, *_two_on(figure, path)])


def _two_lines(form: Any) -> Any:
    return lambda figure, fills: iter([form(_two_on(figure, fills["a"]), _two_on(figure, fills["b"]))])


def _touches(figure: Labelled, fills: Mapping[str, Any]) -> Iterator[Fact]:
    """A line and a circle that have a point with a name in common: there the line is square to the radius."""
    first, second = fills["a"], fills["b"]
    if first[0] in figure.circles and second[0] not in figure.circles:
        first, second = second, first
    centre, on = figure.circles.get(second[0], (None, []))
    if centre is None or first[0] in figure.circles:
        raise NotSaid
    way = figure.on_straight(first)
    common = [number for number in way if number in on]
    if not common or len(way) < 2:
        raise NotSaid
    yield perpendicular((centre, common[0]), (way[0], way[1]))


def _same_point(figure: Labelled, fills: Mapping[str, Any]) -> Iterator[Fact]:
    (a,), (b,) = _points(figure, fills["a"]), _points(figure, fills["b"])
    yield same(a, b)


def _corners(figure: Labelled, fill: tuple[str, ...]) -> list[int]:
    """The corners of a polygon, or of one given by its corners."""
    if len(fill) == 1:
        fill = figure.board.step(fill[0]).fills.get("corners", ())
    found = _points(figure, fill)
    if len(found) < 3:
        raise NotSaid
    return found


def _two_triangles(form: str) -> Any:
    def say(figure: Labelled, fills: Mapping[str, Any]) -> Iterator[Fact]:
        first, second = _corners(figure, fills["a"]), _corners(figure, fills["b"])
        if len(first) != 3 or len(second) != 3:
            raise NotSaid
        yield triangles(form, first, second)

    return say


_SHAPES = {"a parallelogram", "a rectangle", "a rhombus", "a square", "a kite", "a trapezium"}


def _is_shape(figure: Labelled, fills: Mapping[str, Any]) -> Iterator[Fact]:
    corners, word = _corners(figure, fills["polygon"]), fills["word"]
    if len(corners) == 4 and word in _SHAPES:
        yield shape(word.removeprefix("a "), tuple(corners))
    elif word == "cyclic":
        yield on_circle(corners)
    elif len(corners) == 3 and word in ("isosceles", "equilateral", "right-angled"):
        yield from _of_triangle(figure, corners, word)
    else:
        raise NotSaid


def _of_triangle(figure: Labelled, corners: list[int], word: str) -> Iterator[Fact]:
    holding = Holding(figure.places)
    a, b, c = corners
    ways = ((a, b, c), (b, c, a), (c, a, b))
    if word == "equilateral":
        yield equal_lengths((a, b), (b, c))
        yield equal_lengths((b, c), (c, a))
        return
    for one, apex, other in ways:
        fact = angles({angle(one, apex, other): 1}, 90) if word == "right-angled" else equal_lengths((apex, one), (apex, other))
        if is_so(holding, fact):
            yield fact
            return
    raise NotSaid


# Statements ------------------------------------------------------------------------------------------------------------


def _stated(figure: Labelled, fills: Mapping[str, Any]) -> Iterator[Fact]:
    statement = fills["statement"]
    sides = [_Polynomial.of(tree, statement, figure) for tree in statement.tree[1:]]
    for one, other in pairwise(sides):
        yield _equation(one, other)


class _Polynomial:
    """A side of a statement: sums of products of magnitudes, over one product; or a sum of angles.

    Attributes:
        terms: how often each product of magnitudes is taken, as sorted tuples. ``below``: what all of it is divided by.
        angles: how often each angle is taken.
    """

    def __init__(self, terms: Mapping[Any, Fraction], below: tuple[Any, ...] = (), angles: Mapping[Any, Fraction] | None = None) -> None:
        self.terms = {key: times for key, times in terms.items() if times}
        self.below, self.angles = below, dict(angles or {})

    @classmethod
    def of(cls, tree: Any, statement: Formula, figure: Labelled) -> "_Polynomial":
        kind = tree[0]
        if kind == "number":
            return cls({(): Fraction(tree[1])})
        if kind == "operand":
            return cls._operand(statement.operands[tree[1]], None, figure)
        if kind == "measure":
            return cls._operand(statement.operands[tree[2]], tree[1], figure)
        parts = [cls.of(part, statement, figure) for part in tree[1:3] if isinstance(part, tuple)]
        if kind == "minus":
            return parts[0]._times(Fraction(-1))
        if kind in "+-":
            return parts[0]._plus(parts[1] if kind == "+" else parts[1]._times(Fraction(-1)))
        if kind == "*":
            return parts[0]._multiplied(parts[1])
        if kind == "/":
            return parts[0]._divided(parts[1])
        if kind == "^" and isinstance(tree[2], int) and 1 <= tree[2] <= 4:
            found = parts[0]
            for _ in range(tree[2] - 1):
                found = found._multiplied(parts[0])
            return found
        raise NotSaid

    @classmethod
    def _operand(cls, ids: tuple[str, ...], measure: str | None, figure: Labelled) -> "_Polynomial":
        board = figure.board
        if measure == "angle" or (measure is None and len(ids) == 3):
            a, vertex, b = _points(figure, ids)
            return cls({}, angles={angle(a, vertex, b): Fraction(1)})
        if measure == "area":
            return cls({(area(*_corners(figure, ids)),): Fraction(1)})
        if measure == "radius":
            centre, on = figure.circles.get(ids[0], (None, []))
            if centre is None or not on:
                raise NotSaid
            return cls({(length(centre, on[0]),): Fraction(1)})
        if measure == "perimeter":
            corners = _corners(figure, ids)
            found = cls({})
            for a, b in zip(corners, corners[1:] + corners[:1], strict=True):
                found = found._plus(cls({(length(a, b),): Fraction(1)}))
            return found
        if measure is None and len(ids) == 2:
            return cls({(length(*_points(figure, ids)),): Fraction(1)})
        if measure is None and len(ids) == 1:
            return cls._reading(board.step(ids[0]), figure)
        raise NotSaid

    @classmethod
    def _reading(cls, step: Any, figure: Labelled) -> "_Polynomial":
        fills = step.fills
        if step.does == "angle" and "turn" not in fills:
            return cls._operand(fills["corner"], "angle", figure)
        if step.does == "area":
            return cls._operand(fills["shape"], "area", figure)
        if step.does == "perimeter":
            return cls._operand(fills["polygon"], "perimeter", figure)
        if step.does == "radius":
            return cls._operand(fills["circle"], "radius", figure)
        if step.does == "length":
            ends = figure.ends(fills["span"])
        elif step.does == "distance" and figure.board.kind_of(fills["to"][0]) == POINT:
            ends = _points(figure, (*fills["from"], *fills["to"]))
        elif step.does == "calculation":
            return cls.of(fills["formula"].tree, fills["formula"], figure)
        elif step.makes == SEGMENT:
            ends = figure.ends((step.id,))
        else:
            ends = []
        if len(ends) != 2:
            raise NotSaid
        return cls({(length(*ends),): Fraction(1)})

    def _times(self, number: Fraction) -> "_Polynomial":
        scale = lambda terms: {key: times * number for key, times in terms.items()}
        return _Polynomial(scale(self.terms), self.below, scale(self.angles))

    def _plus(self, other: "_Polynomial") -> "_Polynomial":
        if self.below != other.below:
            raise NotSaid
        join = lambda one, two: {key: one.get(key, Fraction(0)) + two.get(key, Fraction(0)) for key in {**one, **two}}
        return _Polynomial(join(self.terms, other.terms), self.below, join(self.angles, other.angles))

    def _number(self) -> Fraction | None:
        if self.angles or self.below or any(key for key in self.terms):
            return None
        return self.terms.get((), Fraction(0))

    def _multiplied(self, other: "_Polynomial") -> "_Polynomial":
        for one, two in ((self, other), (other, self)):
            number = one._number()
            if number is not None:
                return two._times(number)
        if self.angles or other.angles:
            raise NotSaid
        terms: dict[Any, Fraction] = {}
        for one, times in self.terms.items():
            for two, others in other.terms.items():
                key = tuple(sorted(one + two))
                terms[key] = terms.get(key, Fraction(0)) + times * others
        return _Polynomial(terms, tuple(sorted(self.below + other.below)))

    def _divided(self, other: "_Polynomial") -> "_Polynomial":
        number = other._number()
        if number:
            return self._times(1 / number)
        if other.angles or self.angles or other.below or len(other.terms) != 1:
            raise NotSaid
        ((key, times),) = other.terms.items()
        return _Polynomial(self._times(1 / times).terms, tuple(sorted(self.below + key)))


def _equation(one: _Polynomial, other: _Polynomial) -> Fact:
    """The fact that two sides are equal. Raises NotSaid."""
    if one.angles or other.angles:
        if any(key for side in (one, other) for key in side.terms) or one.below or other.below:
            raise NotSaid
        terms = {key: one.angles.get(key, Fraction(0)) - other.angles.get(key, Fraction(0)) for key in {**one.angles, **other.angles}}
        return angles(terms, other.terms.get((), Fraction(0)) - one.terms.get((), Fraction(0)))
    left, right = (
        one._multiplied(_Polynomial({other.below: Fraction(1)})).terms,
        other._multiplied(_Polynomial({one.below: Fraction(1)})).terms,
    )
    if len(left) == 1 and len(right) == 1:
        ((above, times),), ((below, others),) = left.items(), right.items()
        powers: dict[Any, int] = {}
        for keys, sign in ((above, 1), (below, -1)):
            for key in keys:
                powers[key] = powers.get(key, 0) + sign
        return _in_lowest(powers, others / times)
    terms = {key: left.get(key, Fraction(0)) - right.get(key, Fraction(0)) for key in {**left, **right}}
    if terms.get(()):
        raise NotSaid
    return added(terms)


def _in_lowest(powers: dict[Any, int], value: Fraction) -> Fact:
    """A product; AB² = 4 CD² as AB = 2 CD."""
    if powers and all(power % 2 == 0 for power in powers.values()) and value > 0:
        above, below = isqrt(value.numerator), isqrt(value.denominator)
        if above * above == value.numerator and below * below == value.denominator:
            return product({key: power // 2 for key, power in powers.items()}, Fraction(above, below))
    if value <= 0:
        raise NotSaid
    return product(powers, value)


_SAYINGS: dict[str, Any] = {
    "in_line": _in_line,
    "one_circle": _on_one_circle,
    "one_point": _through_one_point,
    "lies_on": _lies_on,
    "lies_on_line": _lies_on,
    "are_parallel": _two_lines(parallel),
    "are_perpendicular": _two_lines(perpendicular),
    "are_tangent": _touches,
    "line_is_tangent": _touches,
    "same_point": _same_point,
    "equal_values": _stated,
    "is_shape": _is_shape,
    "are_congruent": _two_triangles(CONGRUENT),
    "are_similar": _two_triangles(SIMILAR),
}
