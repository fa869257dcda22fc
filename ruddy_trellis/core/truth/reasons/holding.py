"""Whether facts and conditions hold of points, in many positions at once: in arrays, for many choices of points together."""

from collections.abc import Mapping
from math import log
from typing import Any

from ...arithmetic.late import np
from .forms import ANGLES, CONGRUENT, LINE, MIDPOINT, PARALLEL, PERPENDICULAR, PRODUCT, ROUND, SAME, SHAPE, SUM, Fact, Label
from .rule import Condition

#: How near counts as so: of shares and of degrees. An angle or a turn of less than so many degrees is none.
_NEAR, _DEGREES, _LEAST = 1e-7, 1e-5, 1e-3


class Holding:
    """Looks at points in positions.

    Args:
        places: where each point is in each position: an array of positions by points by two.

    A *choice* gives a label of a fact an array of points: all choices are looked at together, and the answer is an array of bools.
    """

    def __init__(self, places: Any) -> None:
        self._places = places

    def holds(self, fact: Fact, choice: Mapping[Label, Any]) -> Any:
        """For each choice whether a fact holds in all positions, without anything in it that has no size."""
        with np.errstate(all="ignore"):
            return self._defect(fact, choice)

    def lies(self, condition: Condition, choice: Mapping[Label, Any]) -> Any:
        """For each choice whether points lie as a condition says, in all positions."""
        with np.errstate(all="ignore"):
            if condition.how == "between":
                middle, a, b = (self._at(choice[label]) for label in condition.points)
                return (_dot(a - middle, b - middle) < 0).all(axis=0)
            if condition.how == "not in line":
                a, b, c = (self._at(choice[label]) for label in condition.points)
                return (np.abs(_cross(b - a, c - a)) > 1e-5 * _long(b - a) * _long(c - a)).all(axis=0)
            one, other, a, b = (self._at(choice[label]) for label in condition.points)
            sides = _cross(b - a, one - a) * _cross(b - a, other - a)
            return ((sides > 0) if condition.how == "one side" else (sides < 0)).all(axis=0)

    def _at(self, points: Any) -> Any:
        return self._places[:, points]

    def _defect(self, fact: Fact, choice: Mapping[Label, Any]) -> Any:
        at = {label: self._at(choice[label]) for label in fact.points}
        if fact.form == ANGLES:
            return self._angles(fact, at)
        if fact.form == PRODUCT:
            return self._product(fact, at)
        if fact.form == SUM:
            return self._sum(fact, at)
        if fact.form == LINE:
            a, b, *others = (at[label] for label in fact.data)
            return _all([_far(a, b), *(_in_line(a, b, c) & _far(a, c) & _far(b, c) for c in others)])
        if fact.form == ROUND:
            return self._round(fact, at)
        if fact.form in (PARALLEL, PERPENDICULAR):
            (a, b), (c, d) = ((at[one], at[other]) for one, other in fact.data)
            u, v = b - a, d - c
            size = _long(u) * _long(v)
            if fact.form == PERPENDICULAR:
                return _all([np.abs(_dot(u, v)) <= _NEAR * size, size > 0])
            return _all([np.abs(_cross(u, v)) <= _NEAR * size, np.abs(_cross(u, c - a)) > 1e-5 * _long(u) ** 2])
        if fact.form == MIDPOINT:
            middle, (a, b) = at[fact.data[0]], (at[label] for label in fact.data[1])
            return _all([_long(2 * middle - a - b) <= _NEAR * _long(b - a), _far(a, b)])
        if fact.form == SHAPE:
            return self._shape(fact, at)
        if fact.form == SAME:
            a, b = (at[label] for label in fact.data)
            return (_long(a - b) <= 1e-9 * (np.abs(a).max(axis=-1) + 1)).all(axis=0)
        return self._triangles(fact, at)

    @staticmethod
    def _angles(fact: Fact, at: Mapping[Label, Any]) -> Any:
        total, whole = 0.0, True
        for (a, vertex, b), times in fact.data[0]:
            degrees = turn(at[a], at[vertex], at[b])
            whole = whole & (degrees > _LEAST) & (degrees < 180 - _LEAST)
            total = total + times * degrees
        return _all([np.abs(total - float(fact.data[1])) <= _DEGREES, whole])

    @staticmethod
    def _product(fact: Fact, at: Mapping[Label, Any]) -> Any:
        total, whole = -log(float(fact.data[1])), True
        for magnitude, power in fact.data[0]:
            size = _size(magnitude, at)
            whole = whole & (size > 1e-12)
            total = total + power * np.log(size)
        return _all([np.abs(total) <= _NEAR, whole])

    @staticmethod
    def _sum(fact: Fact, at: Mapping[Label, Any]) -> Any:
        total, whole = 0.0, 0.0
        for term, times in fact.data:
            size = 1.0
            for magnitude in term:
                size = size * _size(magnitude, at)
            total, whole = total + times * size, whole + abs(times) * size
        return _all([np.abs(total) <= _NEAR * whole, whole > 0])

    @staticmethod
    def _round(fact: Fact, at: Mapping[Label, Any]) -> Any:
        centre, labels = fact.data
        points = [at[label] for label in labels]
        apart = [_far(points[one], points[other]) for one in range(len(points)) for other in range(one)]
        if centre is not None:
            radius = _long(points[0] - at[centre])
            return _all([*apart, radius > 0, *(np.abs(_long(point - at[centre]) - radius) <= _NEAR * radius for point in points)])
        a, b, c, *others = points
        flat = np.abs(_cross(b - a, c - a)) > 1e-5 * _long(b - a) * _long(c - a)
        return _all([*apart, flat, *(_on_one(a, b, c, other) for other in others)])

    def _shape(self, fact: Fact, at: Mapping[Label, Any]) -> Any:
        word, corners = fact.data
        a, b, c, d = (at[label] for label in corners)
        proper = np.abs(_cross(b - a, c - a)) > 1e-5 * _long(b - a) * _long(c - a)
        size = _long(c - a)
        near = lambda u: _long(u) <= _NEAR * size
        even = lambda p, q, r, s: np.abs(_long(p - q) - _long(r - s)) <= _NEAR * size
        is_even = _all([even(a, b, b, c), even(b, c, c, d), even(c, d, d, a), proper])
        is_square_cornered = _all([np.abs(_dot(b - a, c - b)) <= _NEAR * _long(b - a) * _long(c - b)])
        is_parallelogram = _all([near(a + c - b - d), proper])
        if word == "kite":
            return _all([proper]) & (_all([even(a, b, a, d), even(c, b, c, d)]) | _all([even(b, a, b, c), even(d, a, d, c)]))
        if word == "trapezium":
            along = lambda u, v: np.abs(_cross(u, v)) <= _NEAR * _long(u) * _long(v)
            return _all([proper]) & (_all([along(b - a, d - c)]) | _all([along(c - b, a - d)]))
        return {
            "parallelogram": is_parallelogram,
            "rectangle": is_parallelogram & is_square_cornered,
            "rhombus": is_parallelogram & is_even,
            "square": is_parallelogram & is_even & is_square_cornered,
        }[word]

    @staticmethod
    def _triangles(fact: Fact, at: Mapping[Label, Any]) -> Any:
        first, second = ([at[pair[side]] for pair in fact.data] for side in (0, 1))
        sides = [[_long(way[one] - way[one - 1]) for one in range(3)] for way in (first, second)]
        proper = np.abs(_cross(first[1] - first[0], first[2] - first[0])) > 1e-5 * sides[0][1] * sides[0][0]
        ratios = [p / q for p, q in zip(*sides, strict=True)]
        if fact.form == CONGRUENT:
            return _all([proper, *(np.abs(ratio - 1) <= _NEAR for ratio in ratios)])
        return _all([proper, *(np.abs(ratio / ratios[0] - 1) <= _NEAR for ratio in ratios[1:])])


def is_so(holding: Holding, fact: Fact) -> bool:
    """Whether a fact holds in all positions."""
    return bool(holding.holds(fact, {label: np.array([label]) for label in fact.points})[0])


def _size(magnitude: Any, at: Mapping[Label, Any]) -> Any:
    kind, *labels = magnitude
    if kind == "length":
        return _long(at[labels[0]] - at[labels[1]])
    points = [at[label] for label in labels]
    return np.abs(sum(_cross(a, b) for a, b in zip(points, points[1:] + points[:1], strict=True))) / 2


def turn(a: Any, vertex: Any, b: Any) -> Any:
    """The angle between two legs, degrees from 0 to 180."""
    u, v = a - vertex, b - vertex
    return np.degrees(np.arctan2(np.abs(_cross(u, v)), _dot(u, v)))


def _cross(u: Any, v: Any) -> Any:
    return u[..., 0] * v[..., 1] - u[..., 1] * v[..., 0]


def _dot(u: Any, v: Any) -> Any:
    return u[..., 0] * v[..., 0] + u[..., 1] * v[..., 1]


def _long(u: Any) -> Any:
    return np.hypot(u[..., 0], u[..., 1])


def _far(a: Any, b: Any) -> Any:
    return _long(a - b) > 1e-7


def _in_line(a: Any, b: Any, c: Any) -> Any:
    u, v = b - a, c - a
    return np.abs(_cross(u, v)) <= _NEAR * _long(u) * _long(v)


def _on_one(a: Any, b: Any, c: Any, d: Any) -> Any:
    """Whether a point is on the circle through three: the determinant of their squares is zero, against its size."""
    u, v, w = a - d, b - d, c - d
    squares = [_dot(one, one) for one in (u, v, w)]
    parts = squares[0] * _cross(v, w), squares[1] * _cross(w, u), squares[2] * _cross(u, v)
    return np.abs(sum(parts)) <= _NEAR * 10 * sum(np.abs(part) for part in parts)


def _all(tests: list[Any]) -> Any:
    """Whether all tests hold in all positions."""
    held = tests[0]
    for test in tests[1:]:
        held = held & test
    return held.all(axis=0) if getattr(held, "ndim", 0) > 1 else held
