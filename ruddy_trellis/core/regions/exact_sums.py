"""Area and girth of a region along its exact edges: every edge is cut where another one crosses it, and a piece counts where the region
is on one side of it and not on the other. Nothing is followed by corners, so thin parts and touching edges are as right as all others.

The area is the integral of (x dy - y dx) / 2 round the region (Green's theorem), the girth the length of the pieces.
"""

from collections.abc import Callable, Sequence
from math import tau
from typing import Any

from ..arithmetic.late import np
from .edges import BentEdge, Edge, RoundEdge, StraightEdge, offs

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
    for edge, cuts in zip(edges, _all_cuts(edges, size)):
        if len(cuts) > 1:
            pieces.append((edge, cuts[:-1], cuts[1:]))
    if not pieces:
        return 0.0, 0.0
    owners = np.concatenate([np.full(len(starts), number) for number, (_, starts, _) in enumerate(pieces)])
    places = [_at(edge, (starts + stops) / 2) for edge, starts, stops in pieces]
    xs, ys, nx, ny = (np.concatenate([place[part] for place in places]) for part in range(4))
    beside, first = _next_to(pieces, owners, xs, ys, size)
    both = holds(np.concatenate((xs + beside * nx, xs - beside * nx)), np.concatenate((ys + beside * ny, ys - beside * ny)))
    left, right = both[: len(xs)], both[len(xs) :]
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
    edges = [edge for edge, _, _ in pieces]
    off = offs(edges, xs, ys)
    for number, edge in enumerate(edges):
        if isinstance(edge, RoundEdge):
            off[number] = _off(edge, xs, ys)
    numbers = np.arange(len(edges))[:, None]
    upon, others = off <= 1e-11 * size, numbers != owners
    first = ~(upon & (numbers < owners)).any(axis=0)
    nearest = np.where(others & ~upon, off, np.inf).min(axis=0)
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


def _all_cuts(edges: Sequence[Edge], size: float) -> list[Any]:
    """For every edge the places along it at which it is cut, its ends among them, in order. Straight and round edges are cut by one
    another all at once, parabolas one by one."""
    found: list[list[Any]] = [[] for _ in edges]
    straights = [number for number, edge in enumerate(edges) if isinstance(edge, StraightEdge)]
    rounds = [number for number, edge in enumerate(edges) if isinstance(edge, RoundEdge)]
    bents = [number for number, edge in enumerate(edges) if isinstance(edge, BentEdge)]
    ends = [end for number in straights for end in (edges[number].start, edges[number].stop)]  # type: ignore[union-attr]
    for number in (*rounds, *bents):
        x, y, _, _ = _at(edges[number], np.asarray(_range(edges[number])))
        ends += list(zip(x.tolist(), y.tolist()))
    with np.errstate(all="ignore"):
        _cut_by_one_another([edges[number] for number in straights], [edges[number] for number in rounds], np.array(ends), size, [
            *(found[number] for number in straights), *(found[number] for number in rounds)])  # fmt: skip
        for bent in bents:
            for number, edge in enumerate(edges):
                if number == bent:
                    continue
                found[number].append(_with_bent(edge, edges[bent]))  # type: ignore[arg-type]
                if isinstance(edge, StraightEdge):
                    line = np.array([(*edge.start, edge.stop[0] - edge.start[0], edge.stop[1] - edge.start[1])])
                    found[bent].append(_with_lines(edges[bent], line))  # type: ignore[arg-type]
                elif isinstance(edge, RoundEdge):
                    found[bent].append(_on_bent(edges[bent], _circle_equation(*edge.centre, edge.radius)))  # type: ignore[arg-type]
            x, y = np.array(ends).T
            near = _off(edges[bent], x, y) <= _JUST * size
            found[bent].append(_place(edges[bent], x[near], y[near]))
    return [_in_order(edge, cuts) for edge, cuts in zip(edges, found)]


def _in_order(edge: Edge, cuts: list[Any]) -> Any:
    low, high = _range(edge)
    places = np.concatenate([np.ravel(one) for one in cuts]).tolist() if cuts else []
    if isinstance(edge, RoundEdge):
        places = [low + (place - low) % tau for place in places if place == place]
    made = [low]
    least = 1e-14 * max(high - low, 1e-300)
    for place in sorted(place for place in places if low < place < high):
        if place - made[-1] > least:
            made.append(place)
    return np.array([*made, high])


def _cut_by_one_another(straights: list[Any], rounds: list[Any], ends: Any, size: float, found: list[list[Any]]) -> None:
    """Cut straight and round edges by one another, and where the ends of others lie on them.

    Args:
        found: for each of the straight ones, then of the round ones, a list that gets places along it.
    """
    ex, ey = ends.T
    if straights:
        px, py, qx, qy = np.array([(*one.start, *one.stop) for one in straights]).T[:, :, None]
        dx, dy = qx - px, qy - py
        square = dx * dx + dy * dy
        crossings = ((px.T - px) * dy.T - (py.T - py) * dx.T) / (dx * dy.T - dy * dx.T)
        beside = np.abs(dx * (ey - py) - dy * (ex - px)) <= _JUST * size * np.sqrt(square)
        upon = np.where(beside, ((ex - px) * dx + (ey - py) * dy) / square, np.nan)
        for number in range(len(straights)):
            found[number] += [crossings[number], upon[number]]
    if not rounds:
        return
    cx, cy, r = np.array([(*one.centre, one.radius) for one in rounds]).T
    at = len(straights)
    if straights:
        fx, fy = px - cx, py - cy
        b, c = fx * dx + fy * dy, fx * fx + fy * fy - r * r
        for share in _two_roots(square + 0 * b, b, c):
            angles = np.arctan2(fy + share * dy, fx + share * dx)
            for number in range(len(straights)):
                found[number].append(share[number])
            for number in range(len(rounds)):
                found[at + number].append(angles[:, number])
    tx, ty = cx[None, :] - cx[:, None], cy[None, :] - cy[:, None]
    apart = tx * tx + ty * ty
    cosine = (apart + (r * r)[:, None] - (r * r)[None, :]) / (2 * r[:, None] * np.sqrt(apart))
    turn = np.arccos(np.where(np.abs(cosine) > 1 + _JUST, np.nan, np.clip(cosine, -1, 1)))
    towards = np.arctan2(ty, tx)
    near = np.abs(np.hypot(ex - cx[:, None], ey - cy[:, None]) - r[:, None]) <= _JUST * size
    upon = np.where(near, np.arctan2(ey - cy[:, None], ex - cx[:, None]), np.nan)
    for number in range(len(rounds)):
        found[at + number] += [towards[number] + turn[number], towards[number] - turn[number], upon[number]]


def _two_roots(a: Any, b: Any, c: Any) -> tuple[Any, Any]:
    """The real roots of a tt + 2 b t + c = 0, one that is just missed twice; arrays of equations."""
    under = b * b - a * c
    root = np.sqrt(np.where(under < -_JUST * (b * b + np.abs(a * c)), np.nan, np.maximum(under, 0)))
    large = -(b + np.where(b >= 0, 1.0, -1.0) * root)
    return large / a, c / large


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
    """As ``_two_roots``, in one array."""
    with np.errstate(all="ignore"):
        return np.concatenate([np.atleast_1d(one) for one in _two_roots(a, b, c)])


def _with_lines(edge: BentEdge, lines: Any) -> Any:
    """The places along a parabola at which it meets lines."""
    px, py, dx, dy = lines.T
    # With n the normal of the line, n . (foot + s along + (ss / 2h + h / 2) up - p) = 0.
    nx, ny, h = -dy, dx, edge.height
    along, up = nx * edge.along[0] + ny * edge.along[1], nx * edge.up[0] + ny * edge.up[1]
    rest = nx * (edge.foot[0] - px) + ny * (edge.foot[1] - py) + up * h / 2
    return _roots(up / (2 * h), along / 2, rest)


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
