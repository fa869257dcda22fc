"""What is claimed or supposed of an order: which is more, which side, in or out, between, acute; as defects (see ``claims``) that are
0 where it is so and 1 where it is not.

Products are compared with one another, not their difference with nothing: so what floats cannot tell from a right angle or from
being in line is neither acute nor on a side.
"""

from collections.abc import Callable
from math import prod
from typing import Any

from ..arithmetic.protocol import Arithmetic, Number
from ..arithmetic.undefined import Undefined
from .values import Circle, Point, Polygon, Straight

#: 0 or 1, by whether something is so.
Order = Number


def _to(a: Point, b: Point) -> Point:
    return b[0] - a[0], b[1] - a[1]


def _left(m: Arithmetic, u: Point, v: Point) -> Order:
    """0 where v points to the left of u."""
    return m.more(u[0] * v[1], u[1] * v[0])


def _right(m: Arithmetic, u: Point, v: Point) -> Order:
    return m.more(u[1] * v[0], u[0] * v[1])


def _sharp(m: Arithmetic, u: Point, v: Point) -> Order:
    """0 where the angle between two directions is less than a right angle."""
    return m.more(u[0] * v[0], -(u[1] * v[1]))


def _blunt(m: Arithmetic, u: Point, v: Point) -> Order:
    return m.more(-(u[1] * v[1]), u[0] * v[0])


def is_more(m: Arithmetic, sign: str, p: Number, q: Number) -> Order:
    """Whether two numbers compare so: "<", ">", "≤" or "≥"."""
    if sign in "<>":
        return m.more(p, q) if sign == ">" else m.more(q, p)
    return 1 - (m.more(q, p) if sign == "≥" else m.more(p, q))


def in_circle(m: Arithmetic, point: Point, circle: Circle) -> Order:
    """Inside a circle, not on it."""
    x, y = point[0] - circle[0], point[1] - circle[1]
    return m.more(circle[2], x * x + y * y)


def out_of_circle(m: Arithmetic, point: Point, circle: Circle) -> Order:
    """Outside a circle, not on it."""
    x, y = point[0] - circle[0], point[1] - circle[1]
    return m.more(x * x + y * y, circle[2])


def _turns_about(m: Arithmetic, point: Point, polygon: Polygon) -> Number:
    """How often a polygon goes round a point: sides that cross the level of the point to its right, those that rise less those that
    fall. (The winding number, by the rule that a side has its lower end and not its upper one.)"""
    turns = m.number(0)
    for a, b in zip(polygon, (*polygon[1:], polygon[0])):
        a_is_under, b_is_under = (m.more(end[1], point[1]) for end in (a, b))
        way, to = _to(a, b), _to(a, point)
        rises = a_is_under * (1 - b_is_under) * (1 - _left(m, way, to))
        falls = (1 - a_is_under) * b_is_under * (1 - _right(m, way, to))
        turns = turns + rises - falls
    return turns


def in_polygon(m: Arithmetic, point: Point, polygon: Polygon) -> Order:
    """Inside a polygon."""
    turns = _turns_about(m, point, polygon)
    return m.more(turns * turns, m.number(0))


def out_of_polygon(m: Arithmetic, point: Point, polygon: Polygon) -> Order:
    """Outside a polygon."""
    return 1 - in_polygon(m, point, polygon)


def one_side(m: Arithmetic, a: Point, b: Point, straight: Straight) -> Order:
    """Two points on one side of the line of a straight thing."""
    way, (first, second) = straight[2:4], _from(straight, a, b)
    return (_left(m, way, first) + _left(m, way, second)) * (_right(m, way, first) + _right(m, way, second))


def different_sides(m: Arithmetic, a: Point, b: Point, straight: Straight) -> Order:
    """Two points on different sides of the line of a straight thing."""
    way, (first, second) = straight[2:4], _from(straight, a, b)
    return (_left(m, way, first) + _right(m, way, second)) * (_right(m, way, first) + _left(m, way, second))


def _from(straight: Straight, *points: Point) -> list[Point]:
    return [_to(straight[:2], point) for point in points]


def above(m: Arithmetic, point: Point, straight: Straight) -> Order:
    """Above the line of a straight thing, as the board lies: never of one that is upright."""
    return _over(m, point, straight, _left, _right)


def below(m: Arithmetic, point: Point, straight: Straight) -> Order:
    """Below the line of a straight thing."""
    return _over(m, point, straight, _right, _left)


def _over(m: Arithmetic, point: Point, straight: Straight, one: Callable[..., Order], other: Callable[..., Order]) -> Order:
    way, (to,) = straight[2:4], _from(straight, point)
    runs_right, runs_left = m.more(way[0], m.number(0)), m.more(m.number(0), way[0])
    return (runs_right + one(m, way, to)) * (runs_left + other(m, way, to))


def is_between(m: Arithmetic, point: Point, a: Point, b: Point) -> Order:
    """Between two points, by the order along their line: seen from there they lie in opposite directions."""
    return _blunt(m, _to(point, a), _to(point, b))


# Shapes --------------------------------------------------------------------------------------------------------------


def _corners(polygon: Polygon) -> list[tuple[Point, Point]]:
    """For each corner the ways to the two beside it."""
    count = len(polygon)
    return [(_to(polygon[n], polygon[n - 1]), _to(polygon[n], polygon[(n + 1) % count])) for n in range(count)]


def _acute(m: Arithmetic, polygon: Polygon) -> Order:
    return sum((_sharp(m, u, v) for u, v in _corners(polygon)), m.number(0))


def _obtuse(m: Arithmetic, polygon: Polygon) -> Order:
    return prod((_blunt(m, u, v) for u, v in _corners(polygon)), start=m.number(1))


def _scalene(m: Arithmetic, polygon: Polygon) -> Order:
    squares = [u[0] * u[0] + u[1] * u[1] for u, _ in _corners(polygon)]
    return sum((m.more(p, q) * m.more(q, p) for p, q in zip(squares, (*squares[1:], squares[0]))), m.number(0))


def _convex(m: Arithmetic, polygon: Polygon) -> Order:
    """From every side all other corners are on one side, and that for all sides the same."""
    count = len(polygon)
    seen = [
        (_to(polygon[n], polygon[(n + 1) % count]), _to(polygon[n], polygon[(n + more) % count]))
        for n in range(count)
        for more in range(2, count)
    ]
    to_left, to_right = (sum((side(m, u, v) for u, v in seen), m.number(0)) for side in (_left, _right))
    return to_left * to_right


#: For each word of order that may be said of a polygon: how many corners it must have (0: any number, from 4), and its rule.
ORDERLY: dict[str, tuple[int, Callable[[Arithmetic, Polygon], Order]]] = {
    "acute": (3, _acute),
    "obtuse": (3, _obtuse),
    "scalene": (3, _scalene),
    "convex": (0, _convex),
}


def is_orderly(m: Arithmetic, polygon: Polygon, word: str) -> Order:
    """A polygon of a kind. Raises Undefined where its corners are too few or too many for that."""
    corners, rule = ORDERLY[word]
    if len(polygon) != corners if corners else len(polygon) < 4:
        raise Undefined("it has another number of corners")
    return rule(m, polygon)


def so(m: Any, *orders: Order) -> list[tuple[Order, Callable[[], Number]]]:
    """Orders as the defects of a claim."""
    return [(order, lambda: m.number(1)) for order in orders]
