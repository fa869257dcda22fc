"""Where edges cut one another: for every edge the places along it. A cut too many does no harm, one too few does.

By sums, products, quotients and roots alone, so that they are the same bits wherever they are computed.
"""

from collections.abc import Sequence
from itertools import combinations
from math import sqrt, tau

from ..arithmetic.quartic import roots_of_quartic
from .edges import BentEdge, Edge, Place, RoundEdge, StraightEdge

#: What misses by less than this, as a share of the size of things, may meet.
JUST = 1e-9
#: Places along an edge that are nearer than this share of it are one.
_SAME = 1e-14


def all_cuts(edges: Sequence[Edge], size: float) -> list[list[float]]:
    """For every edge the places along it at which it is cut, its ends among them, in order.

    Args:
        size: about how large things are, and how far out they lie.
    """
    found: list[list[float]] = [list(edge.span) for edge in edges]
    ends = [_ends(edge) for edge in edges]
    boxes = [_box(edge, some, JUST * size) for edge, some in zip(edges, ends)]
    for one, other in combinations(range(len(edges)), 2):
        p, q = boxes[one], boxes[other]
        if p[0] > q[2] or q[0] > p[2] or p[1] > q[3] or q[1] > p[3]:
            continue
        points = _meet(edges[one], edges[other])
        points += [end for end in ends[one] if q[0] <= end[0] <= q[2] and q[1] <= end[1] <= q[3] and _is_on(edges[other], end, size)]
        points += [end for end in ends[other] if p[0] <= end[0] <= p[2] and p[1] <= end[1] <= p[3] and _is_on(edges[one], end, size)]
        for number in (one, other):
            found[number] += [edges[number].place(x, y) for x, y in points]
    return [_in_order(edge, places) for edge, places in zip(edges, found)]


def _ends(edge: Edge) -> list[Place]:
    """Its ends; none of a whole circle."""
    low, high = edge.span
    return [] if isinstance(edge, RoundEdge) and high - low >= tau else [edge.at(low), edge.at(high)]


def _is_on(edge: Edge, point: Place, size: float) -> bool:
    x, y = edge.at(edge.place(*point))
    return (point[0] - x) ** 2 + (point[1] - y) ** 2 <= (JUST * size) ** 2


def _box(edge: Edge, ends: list[Place], more: float) -> tuple[float, float, float, float]:
    """What an edge is within: left, bottom, right, top."""
    if isinstance(edge, RoundEdge):
        (x, y), r = edge.centre, edge.radius + more
        return x - r, y - r, x + r, y + r
    if isinstance(edge, BentEdge):  # within the triangle of its ends and where its tangents there meet
        ends = [*ends, (edge.foot[0] + edge.up[0] * _dip(edge), edge.foot[1] + edge.up[1] * _dip(edge))]
    xs, ys = zip(*ends)
    return min(xs) - more, min(ys) - more, max(xs) + more, max(ys) + more


def _dip(edge: BentEdge) -> float:
    return edge.height / 2 - edge.reach * edge.reach / (2 * edge.height)


def _in_order(edge: Edge, places: list[float]) -> list[float]:
    low, high = edge.span
    made, least = [low], _SAME * max(high - low, 1e-300)
    for place in sorted(place for place in places if low < place < high):
        if place - made[-1] > least:
            made.append(place)
    if len(made) > 1 and high - made[-1] <= least:
        made.pop()
    return [*made, high]


def _meet(one: Edge, other: Edge) -> list[Place]:
    """The points at which two edges cross, or may cross."""
    if isinstance(one, BentEdge) or isinstance(other, BentEdge):
        return _bent(one, other) if isinstance(one, BentEdge) else _bent(other, one)  # type: ignore[arg-type]
    if isinstance(one, StraightEdge):
        return _straights(one, other) if isinstance(other, StraightEdge) else _mixed(one, other)
    return _rounds(one, other) if isinstance(other, RoundEdge) else _mixed(other, one)


def _straights(one: StraightEdge, other: StraightEdge) -> list[Place]:
    (px, py), (ux, uy), (qx, qy), (vx, vy) = one.start, one.way, other.start, other.way
    turn = ux * vy - uy * vx
    if turn == 0:
        return []
    share = ((qx - px) * vy - (qy - py) * vx) / turn
    back = ((qx - px) * uy - (qy - py) * ux) / turn
    return [one.at(share)] if -JUST <= share <= 1 + JUST and -JUST <= back <= 1 + JUST else []


def _mixed(one: StraightEdge, other: RoundEdge) -> list[Place]:
    (px, py), (ux, uy), (cx, cy), r = one.start, one.way, other.centre, other.radius
    fx, fy = px - cx, py - cy
    shares = _two_roots(ux * ux + uy * uy, fx * ux + fy * uy, fx * fx + fy * fy - r * r)
    return [one.at(share) for share in shares if -JUST <= share <= 1 + JUST]


def _rounds(one: RoundEdge, other: RoundEdge) -> list[Place]:
    (ax, ay), (bx, by), r, s = one.centre, other.centre, one.radius, other.radius
    tx, ty = bx - ax, by - ay
    apart = tx * tx + ty * ty
    if apart == 0:
        return []
    share = (apart + r * r - s * s) / (2 * apart)
    if share * share * apart > r * r * (1 + JUST):
        return []
    x, y, off = ax + share * tx, ay + share * ty, sqrt(max(r * r / apart - share * share, 0.0))
    return [(x - off * ty, y + off * tx), (x + off * ty, y - off * tx)]


def _two_roots(a: float, b: float, c: float) -> list[float]:
    """The real roots of a tt + 2 b t + c = 0; one that is just missed is there twice."""
    if a == 0:
        return [-c / (2 * b)] if b else []
    under = b * b - a * c
    if under < -JUST * (b * b + abs(a * c)):
        return []
    large = -(b + (1.0 if b >= 0 else -1.0) * sqrt(max(under, 0.0)))
    return [large / a, c / large] if large else [0.0]


def _bent(one: BentEdge, other: Edge) -> list[Place]:
    """Where a parabola meets an edge."""
    (fx, fy), (ax, ay), (ux, uy), h = one.foot, one.along, one.up, one.height
    if isinstance(other, StraightEdge):
        # With n the normal of the line, n . (foot + s along + (ss / 2h + h / 2) up - p) = 0.
        (px, py), (dx, dy) = other.start, other.way
        nx, ny = -dy, dx
        along, up = nx * ax + ny * ay, nx * ux + ny * uy
        places = _two_roots(up / (2 * h), along / 2, nx * (fx - px) + ny * (fy - py) + up * h / 2)
    else:
        # x and y of the parabola are polynomials of its place; so is what the other equation makes of them.
        x, y = (fx + h / 2 * ux, ax, ux / (2 * h)), (fy + h / 2 * uy, ay, uy / (2 * h))
        if isinstance(other, RoundEdge):
            x, y = (x[0] - other.centre[0], *x[1:]), (y[0] - other.centre[1], *y[1:])
            equation = [p + q for p, q in zip(_product(x, x), _product(y, y))]
            equation[0] -= other.radius * other.radius
        else:
            x, y = (x[0] - other.foot[0], *x[1:]), (y[0] - other.foot[1], *y[1:])
            share = [p * other.along[0] + q * other.along[1] for p, q in zip(x, y)]
            rise = [p * other.up[0] + q * other.up[1] for p, q in zip(x, y)]
            equation = [-part / (2 * other.height) for part in _product(share, share)]
            equation = [part + more for part, more in zip(equation, (rise[0] - other.height / 2, rise[1], rise[2], 0.0, 0.0))]
        roots = roots_of_quartic(equation)
        places = [root.real for root in roots if abs(root.imag) <= 1e-6 * (1 + abs(root))]
    return [one.at(place) for place in places if abs(place) <= 2 * one.reach]


def _product(one: Sequence[float], other: Sequence[float]) -> list[float]:
    """The product of two polynomials of degree 2, the constant first."""
    found = [0.0] * 5
    for number, p in enumerate(one):
        for more, q in enumerate(other):
            found[number + more] += p * q
    return found
