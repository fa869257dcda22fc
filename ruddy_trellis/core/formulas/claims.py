"""What is claimed of figures, as numbers that are zero where it is true.

Each gives a list of pairs: a *defect*, zero just where (that part of) the claim is true, and a function that gives the size to
which it is compared. The size is asked for by the arithmetics that measure, never by proofs, for which it would be dear. What a
claim cannot be asked of (lines through one point, where the first two are parallel) is undefined.
"""

from collections.abc import Callable, Sequence
from itertools import combinations, pairwise
from math import inf
from typing import Any, TypeAlias

from ..arithmetic.protocol import Arithmetic, Number
from ..arithmetic.undefined import Undefined
from .intersections import straight_straight
from .triangles import circumcircle
from .values import Circle, Conic, Point, Polygon, Round, Straight

#: A number that is zero where the claim is true, and a function that gives its size.
Defect: TypeAlias = tuple[Number, Callable[[], Number]]
Defects: TypeAlias = list[Defect]


def _to(a: Point, b: Point) -> Point:
    return b[0] - a[0], b[1] - a[1]


def _square(u: Point) -> Number:
    return u[0] * u[0] + u[1] * u[1]


def _cross(u: Point, v: Point) -> Number:
    return u[0] * v[1] - u[1] * v[0]


def _dot(u: Point, v: Point) -> Number:
    return u[0] * v[0] + u[1] * v[1]


def _against(m: Arithmetic, defect: Number, *sizes: Number) -> Defect:
    """A defect against the root of the product of some squares."""

    def size():
        product = m.number(1)
        for one in sizes:
            product = product * one
        return m.sqrt(product)

    return defect, size


def _equal(m: Arithmetic, p: Number, q: Number) -> Defect:
    return m.difference(p, q), lambda: m.absolute(p) + m.absolute(q)


def in_line(m: Arithmetic, a: Point, b: Point, *others: Point) -> Defects:
    """Points in one line."""
    u = m.separate(a, b)
    return [_against(m, _cross(u, _to(a, c)), _square(u), _square(u) + _square(_to(a, c))) for c in others]


def through_one_point(m: Arithmetic, a: Straight, b: Straight, *others: Straight) -> Defects:
    """Lines through one point; of rays and segments the whole lines."""
    at = straight_straight(m, (*a[:4], -inf, inf), (*b[:4], -inf, inf))
    made = []
    for px, py, dx, dy, *_ in others:
        to = at[0] - px, at[1] - py
        made.append(_against(m, _cross((dx, dy), to), _square((dx, dy)), _square((dx, dy)) + _square(to)))
    return made


def on_one_circle(m: Arithmetic, a: Point, b: Point, c: Point, *others: Point) -> Defects:
    """Points on one circle: the others on that of the first three."""
    circle = circumcircle(m, a, b, c)
    return [one for other in others for one in on_round(m, other, circle)]


def on_straight(m: Arithmetic, point: Point, straight: Straight) -> Defects:
    """A point on the whole line of a straight thing."""
    px, py, dx, dy = straight[:4]
    to = point[0] - px, point[1] - py
    return [_against(m, _cross((dx, dy), to), _square((dx, dy)), _square((dx, dy)) + _square(to))]


def on_part(m: Arithmetic, point: Point, straight: Straight) -> Defects:
    """A point on a segment, a vector or a ray: on its line, and not beyond its ends."""
    return [*on_straight(m, point, straight), _within(m, point, straight)]


def _within(m: Arithmetic, point: Point, straight: Straight) -> Defect:
    """A point of a straight thing's line is not beyond its ends."""
    px, py, dx, dy, low, high = straight
    share = m.divide(_dot((dx, dy), (point[0] - px, point[1] - py)), _square((dx, dy)))
    return m.outside(share, low, high), lambda: m.number(1)


def _within_arc(m: Arithmetic, point: Point, arc: Any) -> Defect:
    """A point of an arc's circle is not to the left of the way from where the arc starts to where it ends."""
    side = _cross(_to((arc[3], arc[4]), point), _to((arc[3], arc[4]), (arc[5], arc[6])))
    return m.outside(m.divide(side, arc[2]), 0, inf), lambda: m.number(1)


def on_round(m: Arithmetic, point: Point, circle: Round) -> Defects:
    """A point on a circle."""
    return [_equal(m, _square(_to((circle[0], circle[1]), point)), circle[2])]


def on_arc(m: Arithmetic, point: Point, arc: Any) -> Defects:
    """A point on an arc: on its circle, and not to the left of the way from where it starts to where it ends."""
    return [*on_round(m, point, arc), _within_arc(m, point, arc)]


def on_conic(m: Arithmetic, point: Point, conic: Conic) -> Defects:
    """A point on a conic."""
    to = point[0] - conic[0], point[1] - conic[1]
    reach = conic[2] * to[0] + conic[3] * to[1] + conic[4]
    return [_equal(m, _square(to), reach * reach)]


def parallel(m: Arithmetic, a: Straight, b: Straight) -> Defects:
    """Two straight things parallel."""
    return [_against(m, _cross(a[2:4], b[2:4]), _square(a[2:4]), _square(b[2:4]))]


def perpendicular(m: Arithmetic, a: Straight, b: Straight) -> Defects:
    """Two straight things perpendicular."""
    return [_against(m, _dot(a[2:4], b[2:4]), _square(a[2:4]), _square(b[2:4]))]


def line_touches_round(m: Arithmetic, straight: Straight, circle: Round) -> Defects:
    """The line of a straight thing touches a circle: it is as far from its centre as the radius."""
    px, py, dx, dy = straight[:4]
    across = _cross((dx, dy), (circle[0] - px, circle[1] - py))
    return [_equal(m, across * across, circle[2] * _square((dx, dy)))]


def parts_touch(m: Arithmetic, straight: Straight, circle: Round) -> Defects:
    """A straight thing touches a circle or an arc, each at a place that is part of it."""
    px, py, dx, dy = straight[:4]
    share = m.divide(_dot((dx, dy), (circle[0] - px, circle[1] - py)), _square((dx, dy)))
    at = px + share * dx, py + share * dy
    return [*line_touches_round(m, straight, circle), *_parts(m, at, straight, circle)]


def part_touches_conic(m: Arithmetic, straight: Straight, conic: Conic) -> Defects:
    """A straight thing touches a conic at a place that is part of it."""
    a, b, _ = _meeting_equation(straight, conic)
    return [*line_touches_conic(m, straight, conic), (m.outside(m.divide(-b, a), *straight[4:6]), lambda: m.number(1))]


def round_parts_touch(m: Arithmetic, a: Any, b: Any) -> Defects:
    """Two circles or arcs touch at a place that is part of both."""
    to = m.separate((a[0], a[1]), (b[0], b[1]))
    share = m.divide(a[2] - b[2] + _square(to), 2 * _square(to))
    at = a[0] + share * to[0], a[1] + share * to[1]
    return [*rounds_touch(m, a, b), *(_within_arc(m, at, one) for one in (a, b) if len(one) > 3)]


def _parts(m: Arithmetic, at: Point, straight: Straight, circle: Any) -> Defects:
    return [_within(m, at, straight), *([_within_arc(m, at, circle)] if len(circle) > 3 else [])]


def rounds_touch(m: Arithmetic, a: Circle, b: Circle) -> Defects:
    """Two circles touch, from outside or inside: the distance of the centres is the sum or the difference of the radii."""
    to, more = _to((a[0], a[1]), (b[0], b[1])), a[2] - b[2]
    apart = _square(to) - a[2] - b[2]
    # Circles about one centre do not touch; one circle and the same one is nothing that can be asked.
    here = m.divide(apart * apart - 4 * a[2] * b[2], _square(to) * (a[2] + b[2]) + more * more)
    return [(here, lambda: m.divide(apart * apart + 4 * a[2] * b[2], _square(to) * (a[2] + b[2]) + more * more))]


def line_touches_conic(m: Arithmetic, straight: Straight, conic: Conic) -> Defects:
    """The line of a straight thing touches a conic: the equation for where along it they meet has one root twice."""
    (px, py, dx, dy), (fx, fy, ux, uy, latus) = straight[:4], conic
    to = px - fx, py - fy
    reach = ux * to[0] + uy * to[1] + latus
    a, b, c = _meeting_equation(straight, conic)
    return [(b * b - a * c, lambda: _square((dx, dy)) * (_square(to) + latus * latus + reach * reach))]


def _meeting_equation(straight: Straight, conic: Conic) -> tuple[Number, Number, Number]:
    """The numbers a, b, c of a tt + 2 b t + c = 0, which says where along it the line of a straight thing meets a conic."""
    px, py, dx, dy = straight[:4]
    fx, fy, ux, uy, latus = conic
    to = px - fx, py - fy
    along, reach = ux * dx + uy * dy, ux * to[0] + uy * to[1] + latus
    return _square((dx, dy)) - along * along, _dot((dx, dy), to) - along * reach, _square(to) - reach * reach


def same_place(m: Arithmetic, a: Point, b: Point) -> Defects:
    """Two points in the same place."""
    size = lambda: m.sqrt(_square(a) + _square(b) + 1)
    return [(a[0] - b[0], size), (a[1] - b[1], size)]


def same_line(m: Arithmetic, a: Straight, b: Straight) -> Defects:
    """Two lines that are one."""
    u, v, to = a[2:4], b[2:4], _to((a[0], a[1]), (b[0], b[1]))
    return [_against(m, _cross(u, v), _square(u), _square(v)), _against(m, _cross(u, to), _square(u), _square(to) + _square(u))]


def same_segment(m: Arithmetic, a: Straight, b: Straight) -> Defects:
    """Two segments with the same ends, whichever way they run: one middle, and halves that are equal or opposite."""
    u, v = (a[2], a[3]), (b[2], b[3])
    middles = (2 * a[0] + u[0], 2 * a[1] + u[1]), (2 * b[0] + v[0], 2 * b[1] + v[1])
    return [
        *same_place(m, *middles),
        _against(m, _cross(u, v), _square(u), _square(v)),
        (_square(u) - _square(v), lambda: _square(u) + _square(v)),
    ]


def same_circle(m: Arithmetic, a: Circle, b: Circle) -> Defects:
    """Two circles that are one."""
    return [*same_place(m, (a[0], a[1]), (b[0], b[1])), (a[2] - b[2], lambda: a[2] + b[2])]


def all_equal(m: Arithmetic, *values: Number) -> Defects:
    """Numbers that are equal."""
    return [_equal(m, p, q) for p, q in pairwise(values)]


def stated(m: Arithmetic, values: Sequence[Number], sizes: Callable[[], Sequence[Number]]) -> Defects:
    """Numbers that are equal, compared to the sizes of the parts that they are made of: what is said to be zero has a size as well.

    Args:
        sizes: a function that gives the size of each.
    """
    size_of = lambda number: lambda: sizes()[number] + sizes()[number + 1]
    return [(m.difference(p, q), size_of(number)) for number, (p, q) in enumerate(pairwise(values))]


# Polygons ------------------------------------------------------------------------------------------------------------


def _sides(polygon: Polygon) -> list[Point]:
    return [_to(a, b) for a, b in zip(polygon, polygon[1:] + polygon[:1])]


def _either(m: Arithmetic, *ways: Defect) -> Defect:
    """A defect that is zero where one of several is."""
    product, sizes = m.number(1), [size for _, size in ways]
    for defect, _ in ways:
        product = product * defect

    def size():
        made = m.number(1)
        for one in sizes:
            made = made * one()
        return made

    return product, size


def _same_length(m: Arithmetic, u: Point, v: Point) -> Defect:
    return _equal(m, _square(u), _square(v))


def _square_corner(m: Arithmetic, u: Point, v: Point) -> Defect:
    return _against(m, _dot(u, v), _square(u), _square(v))


def _side_by_side(m: Arithmetic, u: Point, v: Point) -> Defect:
    return _against(m, _cross(u, v), _square(u), _square(v))


def _parallelogram(m, polygon):
    p, q, r, s = polygon
    return same_place(m, (p[0] + r[0], p[1] + r[1]), (q[0] + s[0], q[1] + s[1]))


def _equilateral(m, polygon):
    sides = _sides(polygon)
    return [_same_length(m, u, v) for u, v in pairwise(sides)]


def _isosceles(m, polygon):
    a, b, c = _sides(polygon)
    return [_either(m, _same_length(m, a, b), _same_length(m, b, c), _same_length(m, c, a))]


def _right_angled(m, polygon):
    a, b, c = _sides(polygon)
    return [_either(m, _square_corner(m, a, b), _square_corner(m, b, c), _square_corner(m, c, a))]


def _kite(m, polygon):
    """One diagonal is the other's perpendicular bisector: two sides beside one another are equal, and the other two."""
    a, b, c, d = _sides(polygon)
    first, second = ((_same_length(m, *one), _same_length(m, *other)) for one, other in (((a, d), (b, c)), ((a, b), (c, d))))
    return [_either(m, first[i], second[j]) for i in (0, 1) for j in (0, 1)]


def _rectangle(m, polygon):
    a, b, *_ = _sides(polygon)
    return [*_parallelogram(m, polygon), _square_corner(m, a, b)]


def _rhombus(m, polygon):
    a, b, *_ = _sides(polygon)
    return [*_parallelogram(m, polygon), _same_length(m, a, b)]


def _trapezium(m, polygon):
    """Two sides opposite one another are parallel, and run against one another round the polygon: else the others would cross."""
    a, b, c, d = _sides(polygon)
    return [_either(m, _against_one_another(m, a, c), _against_one_another(m, b, d))]


def _against_one_another(m: Arithmetic, u: Point, v: Point) -> Defect:
    defect, size = _side_by_side(m, u, v)
    return m.choose(_dot(u, v), size(), defect) if m.name != "exact" else m.choose(_dot(u, v), m.number(1), defect), size


def _regular(m, polygon):
    """All sides equal, all diagonals to the corner after the next, and convex: it turns to one side at every corner, and goes round
    once, so that from any corner the others follow one another in that direction too."""
    count = len(polygon)
    over = [_to(polygon[place], polygon[(place + 2) % count]) for place in range(count)]
    sides = _sides(polygon)
    first = _cross(sides[0], sides[1])
    turns = [_cross(u, v) for u, v in zip(sides[1:], (*sides[2:], sides[0]))]
    fan = [_cross(_to(polygon[0], p), _to(polygon[0], q)) for p, q in pairwise(polygon[1:])]
    ways = [(m.outside(m.divide(turn, first), 0, inf), lambda: m.number(1)) for turn in (*turns, *fan)]
    return [*_equilateral(m, polygon), *(_same_length(m, u, v) for u, v in pairwise(over)), *ways]


#: For each word that may be said of a polygon: how many corners it must have (0: any number, from 4; -3: from 3), and its rule.
PROPERTIES: dict[str, tuple[int, Callable[..., Defects]]] = {
    "a kite": (4, _kite),
    "a rhombus": (4, _rhombus),
    "a square": (4, lambda m, polygon: [*_rectangle(m, polygon), *_rhombus(m, polygon)[2:]]),
    "a rectangle": (4, _rectangle),
    "a parallelogram": (4, _parallelogram),
    "a trapezium": (4, _trapezium),
    "isosceles": (3, _isosceles),
    "equilateral": (3, _equilateral),
    "right-angled": (3, _right_angled),
    "cyclic": (0, lambda m, polygon: on_one_circle(m, *polygon)),
    "regular": (-3, _regular),
}


def has_property(m: Arithmetic, polygon: Polygon, word: str) -> Defects:
    """A polygon of a kind. Raises Undefined where its corners are too few or too many for that."""
    corners, rule = PROPERTIES[word]
    if not may_have(corners, len(polygon)):
        raise Undefined("it has another number of corners")
    return rule(m, polygon)


def may_have(corners: int, count: int) -> bool:
    """Whether a polygon of a count of corners is one of which a word with that entry in ``PROPERTIES`` may be said."""
    return count == corners if corners > 0 else count >= (-corners or 4)


def congruent(m: Arithmetic, a: Polygon, b: Polygon) -> Defects:
    """Two polygons congruent, corner by corner: all distances between corners are equal."""
    return [_same_length(m, _to(a[i], a[j]), _to(b[i], b[j])) for i, j in _pairs(a, b)]


def similar(m: Arithmetic, a: Polygon, b: Polygon) -> Defects:
    """Two polygons similar, corner by corner: all distances between corners are in the ratio of the first."""
    pairs = _pairs(a, b)
    first, *others = [(_square(_to(a[i], a[j])), _square(_to(b[i], b[j]))) for i, j in pairs]
    return [_equal(m, first[0] * there, first[1] * here) for here, there in others]


def _pairs(a: Sequence[Point], b: Sequence[Point]) -> list[tuple[int, int]]:
    if len(a) != len(b):
        raise Undefined("they have different numbers of corners")
    return list(combinations(range(len(a)), 2))
