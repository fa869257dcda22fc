"""Area and girth of a region along its exact edges: every edge is cut where another one crosses it, and a piece counts where the region
is on one side of it and not on the other. Nothing is followed by corners, so thin parts and touching edges are as right as all others.

The area is the integral of (x dy - y dx) / 2 round the region (Green's theorem), the girth the length of the pieces.
"""

from collections.abc import Callable, Sequence
from math import tau
from typing import Any

from ..arithmetic.late import np
from .edges import BentEdge, Edge, RoundEdge, StraightEdge

#: What crosses by less than this, as a share of the size of things, may cross: a cut too many does no harm.
_JUST = 1e-9
#: How far beside a piece it is looked whether the region is there: a share of the size at most and at least, and of what lies next to it.
_BESIDE, _LEAST, _NEXT = 1e-6, 1e-12, 0.3
#: With more edges than this the sums would take too long.
MOST = 90


def sums(edges: Sequence[Edge], holds: Callable[[Any, Any], Any], size: float) -> tuple[float, float]:
    """The girth and the area of a region.

    Args:
        edges: all edges that may bound it.
        holds: whether places are in it, for arrays of places, without any slack.
        size: about how large it is, and how far out it lies.
    """
    pieces: list[tuple[Edge, Any, Any]] = []
    for number, edge in enumerate(edges):
        cuts = _cuts(edge, [other for place, other in enumerate(edges) if place != number], size)
        if len(cuts) > 1:
            pieces.append((edge, cuts[:-1], cuts[1:]))
    if not pieces:
        return 0.0, 0.0
    owners = np.concatenate([np.full(len(starts), number) for number, (_, starts, _) in enumerate(pieces)])
    places = [_at(edge, (starts + stops) / 2) for edge, starts, stops in pieces]
    xs, ys, nx, ny = (np.concatenate([place[part] for place in places]) for part in range(4))
    beside, first = _next_to(pieces, owners, xs, ys, size)
    left, right = holds(xs + beside * nx, ys + beside * ny), holds(xs - beside * nx, ys - beside * ny)
    sides = np.where(first, left.astype(float) - right.astype(float), 0.0)
    girth = area = 0.0
    at = 0
    for edge, starts, stops in pieces:
        for start, stop, side in zip(starts.tolist(), stops.tolist(), sides[at : at + len(starts)].tolist()):
            if side:
                length, turned = _along(edge, start, stop)
                girth, area = girth + length, area + side * turned
        at += len(starts)
    return girth, area


def _next_to(pieces: Any, owners: Any, xs: Any, ys: Any, size: float) -> tuple[Any, Any]:
    """How far beside each piece it can be looked, and whether it is the first of those that lie upon one another."""
    nearest, first = np.full(len(xs), np.inf), np.ones(len(xs), dtype=bool)
    for number, (edge, _, _) in enumerate(pieces):
        off = _off(edge, xs, ys)
        upon = off <= 1e-11 * size
        others = owners != number
        first &= ~(upon & others & (number < owners))
        nearest = np.where(others & ~upon, np.minimum(nearest, off), nearest)
    return np.clip(_NEXT * nearest, _LEAST * size, _BESIDE * size), first


def _off(edge: Edge, xs: Any, ys: Any) -> Any:
    """How far places are from an edge; from its whole circle or parabola only where they are beside the part that counts."""
    if isinstance(edge, RoundEdge):
        angle = (np.arctan2(ys - edge.centre[1], xs - edge.centre[0]) - edge.start) * np.sign(edge.sweep or 1.0) % tau
        ends = [
            np.hypot(xs - edge.centre[0] - edge.radius * np.cos(end), ys - edge.centre[1] - edge.radius * np.sin(end))
            for end in (edge.start, edge.start + edge.sweep)
        ]
        return np.where(angle <= abs(edge.sweep), edge.off(xs, ys), np.minimum(*ends))
    return edge.off(xs, ys)


# Places along an edge are shares of a straight one, angles of a round one, places over the line of a parabola. ---------------------


def _range(edge: Edge) -> tuple[float, float]:
    if isinstance(edge, RoundEdge):
        return min(edge.start, edge.start + edge.sweep), max(edge.start, edge.start + edge.sweep)
    return (-edge.reach, edge.reach) if isinstance(edge, BentEdge) else (0.0, 1.0)


def _at(edge: Edge, places: Any) -> tuple[Any, Any, Any, Any]:
    """Where places along an edge are, and the direction to the left of it there, of length 1."""
    if isinstance(edge, RoundEdge):
        cosine, sine = np.cos(places), np.sin(places)
        return edge.centre[0] + edge.radius * cosine, edge.centre[1] + edge.radius * sine, -cosine, -sine
    if isinstance(edge, BentEdge):
        x, y = edge.at(places)
        slope = places / edge.height
        dx, dy = edge.along[0] + slope * edge.up[0], edge.along[1] + slope * edge.up[1]
        far = np.hypot(dx, dy)
        return x, y, -dy / far, dx / far
    (ax, ay), (bx, by) = edge.start, edge.stop
    far = np.hypot(bx - ax, by - ay)
    whole = np.ones_like(places)
    return ax + places * (bx - ax), ay + places * (by - ay), -(by - ay) / far * whole, (bx - ax) / far * whole


def _along(edge: Edge, start: float, stop: float) -> tuple[float, float]:
    """Of the way along an edge between two places: its length, and the integral of (x dy - y dx) / 2."""
    if isinstance(edge, RoundEdge):
        (cx, cy), r = edge.centre, edge.radius
        turned = r * r * (stop - start) + r * (cx * (np.sin(stop) - np.sin(start)) - cy * (np.cos(stop) - np.cos(start)))
        return r * (stop - start), float(turned) / 2
    if isinstance(edge, BentEdge):
        x, y = edge.at(np.array([start, stop]))
        length, turned = edge.sums(list(zip(x.tolist(), y.tolist())))
        return length, turned
    (ax, ay), (bx, by) = edge.start, edge.stop
    length = float(np.hypot(bx - ax, by - ay)) * (stop - start)
    return length, (ax * by - ay * bx) * (stop - start) / 2


def _cuts(edge: Edge, others: Sequence[Edge], size: float) -> Any:
    """The places along an edge at which it is cut, its ends among them, in order."""
    low, high = _range(edge)
    straights = [other for other in others if isinstance(other, StraightEdge)]
    rounds = [other for other in others if isinstance(other, RoundEdge)]
    bents = [other for other in others if isinstance(other, BentEdge)]
    found = [np.array([low, high])]
    # The ends of others cut as well: there one that lies upon this one begins.
    ends = [end for other in straights for end in (other.start, other.stop)]
    curved: list[Edge] = [*rounds, *bents]
    for curve in curved:
        x, y, _, _ = _at(curve, np.asarray(_range(curve)))
        ends += list(zip(x.tolist(), y.tolist()))
    if ends:
        x, y = np.array(ends).T
        near = _off(edge, x, y) <= _JUST * size
        found.append(_place(edge, x[near], y[near]))
    if straights:
        lines = np.array([(*one.start, one.stop[0] - one.start[0], one.stop[1] - one.start[1]) for one in straights])
        found.append(_with_lines(edge, lines))
    if rounds:
        circles = np.array([(*one.centre, one.radius) for one in rounds])
        found.append(_with_circles(edge, circles))
    found += [_with_bent(edge, other) for other in bents]
    cuts = np.concatenate(found)
    if isinstance(edge, RoundEdge):
        cuts = low + (cuts - low) % tau
    cuts = np.unique(np.concatenate(([low, high], cuts[np.isfinite(cuts) & (cuts > low) & (cuts < high)])))
    apart = np.diff(cuts) > 1e-14 * max(high - low, 1e-300)
    return cuts[np.concatenate(([True], apart))]


def _place(edge: Edge, x: Any, y: Any) -> Any:
    """The places along an edge that are nearest to places near it."""
    if isinstance(edge, RoundEdge):
        return np.arctan2(y - edge.centre[1], x - edge.centre[0])
    if isinstance(edge, BentEdge):
        return (x - edge.foot[0]) * edge.along[0] + (y - edge.foot[1]) * edge.along[1]
    (ax, ay), (bx, by) = edge.start, edge.stop
    ux, uy = bx - ax, by - ay
    return ((x - ax) * ux + (y - ay) * uy) / (ux * ux + uy * uy)


def _roots(a: Any, b: Any, c: Any) -> Any:
    """The real roots of a tt + 2 b t + c = 0, one that is just missed twice; arrays of equations."""
    with np.errstate(all="ignore"):
        under = b * b - a * c
        root = np.sqrt(np.where(under < -_JUST * (b * b + np.abs(a * c)), np.nan, np.maximum(under, 0)))
        large = -(b + np.where(b >= 0, 1.0, -1.0) * root)
        return np.concatenate((np.atleast_1d(large / a), np.atleast_1d(c / large)))


def _with_lines(edge: Edge, lines: Any) -> Any:
    px, py, dx, dy = lines.T
    if isinstance(edge, StraightEdge):
        (ax, ay), (bx, by) = edge.start, edge.stop
        ux, uy = bx - ax, by - ay
        with np.errstate(all="ignore"):
            return ((px - ax) * dy - (py - ay) * dx) / (ux * dy - uy * dx)
    if isinstance(edge, RoundEdge):
        ex, ey = px - edge.centre[0], py - edge.centre[1]
        shares = _roots(dx * dx + dy * dy, ex * dx + ey * dy, ex * ex + ey * ey - edge.radius**2)
        twice = lambda part: np.concatenate((part, part))
        return np.arctan2(twice(ey) + shares * twice(dy), twice(ex) + shares * twice(dx))
    # With n the normal of the line, n . (foot + s along + (ss / 2h + h / 2) up - p) = 0.
    nx, ny, h = -dy, dx, edge.height
    along, up = nx * edge.along[0] + ny * edge.along[1], nx * edge.up[0] + ny * edge.up[1]
    rest = nx * (edge.foot[0] - px) + ny * (edge.foot[1] - py) + up * h / 2
    return _roots(up / (2 * h), along / 2, rest)


def _with_circles(edge: Edge, circles: Any) -> Any:
    cx, cy, r = circles.T
    if isinstance(edge, StraightEdge):
        (ax, ay), (bx, by) = edge.start, edge.stop
        ux, uy, ex, ey = bx - ax, by - ay, ax - cx, ay - cy
        return _roots(ux * ux + uy * uy + 0 * cx, ex * ux + ey * uy, ex * ex + ey * ey - r * r)
    if isinstance(edge, RoundEdge):
        dx, dy = cx - edge.centre[0], cy - edge.centre[1]
        with np.errstate(all="ignore"):
            square = dx * dx + dy * dy
            cosine = (square + edge.radius**2 - r * r) / (2 * edge.radius * np.sqrt(square))
            turn = np.arccos(np.where(np.abs(cosine) > 1 + _JUST, np.nan, np.clip(cosine, -1, 1)))
            towards = np.arctan2(dy, dx)
        return np.concatenate((towards + turn, towards - turn))
    return np.concatenate([_on_bent(edge, _circle_equation(*circle)) for circle in circles.tolist()])


def _with_bent(edge: Edge, other: BentEdge) -> Any:
    """Where an edge meets a parabola."""
    (fx, fy), (ax, ay), (ux, uy), h = other.foot, other.along, other.up, other.height
    # rise - ss / 2h - h / 2 = 0, with rise and s linear in x and y.
    if isinstance(edge, StraightEdge):
        (px, py), (qx, qy) = edge.start, edge.stop
        s0, s1 = (px - fx) * ax + (py - fy) * ay, (qx - px) * ax + (qy - py) * ay
        r0, r1 = (px - fx) * ux + (py - fy) * uy, (qx - px) * ux + (qy - py) * uy
        return _roots(np.array([-s1 * s1 / (2 * h)]), np.array([(r1 - s0 * s1 / h) / 2]), np.array([r0 - s0 * s0 / (2 * h) - h / 2]))
    if isinstance(edge, RoundEdge):
        shares = _on_bent(other, _circle_equation(*edge.centre, edge.radius))
        x, y = other.at(shares)
        return np.arctan2(y - edge.centre[1], x - edge.centre[0])

    def off(x: Any, y: Any) -> Any:
        along = (x - fx) * ax + (y - fy) * ay
        return (x - fx) * ux + (y - fy) * uy - along * along * (1 / (2 * h)) - h / 2

    return _on_bent(edge, off)


def _circle_equation(cx: float, cy: float, r: float) -> Callable[[Any, Any], Any]:
    return lambda x, y: (x - cx) * (x - cx) + (y - cy) * (y - cy) - r * r


def _on_bent(edge: BentEdge, equation: Callable[[Any, Any], Any]) -> Any:
    """The places along a parabola at which an equation of degree 2 in x and y holds."""
    s = np.polynomial.Polynomial([0.0, 1.0])
    rise = s * s / (2 * edge.height) + edge.height / 2
    found = equation(edge.foot[0] + s * edge.along[0] + rise * edge.up[0], edge.foot[1] + s * edge.along[1] + rise * edge.up[1])
    roots = found.roots()
    return np.real(roots[np.abs(np.imag(roots)) <= 1e-6 * (1 + np.abs(roots))])
