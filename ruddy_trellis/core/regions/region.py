"""A region: the part of the plane where conditions hold, with exact corners, area and perimeter."""

from dataclasses import dataclass, fields, is_dataclass
from functools import cached_property
from math import ceil, hypot, isfinite, log2
from typing import Any

from ..arithmetic.late import np, shapely
from .conditions import Condition
from .edges import Edge, Place, RoundEdge, StraightEdge, offs
from .exact_sums import MOST, sums
from .outlines import ALL, NONE, outlined, together

#: The plane ends, for a region, at so many times how far its conditions reach.
_WHOLE, _BEYOND = 16.0, 8.0
#: Steps of Newton's method to a corner.
_STEPS = 6
#: A corner lies at most so far from where the outline has it, as a share of what the edges bound.
_ASTRAY = 0.05


@dataclass(frozen=True)
class Piece:
    """A piece of the boundary of a region.

    Attributes:
        edge: what it is a piece of. ``places``: from where to where, with places between.
        source: the number of the condition whose edge it is; -1 for the shape within which the region is, -2 for the end of the plane.
        counts: whether it belongs to the region.
    """

    edge: Edge
    places: tuple[Place, ...]
    source: int
    counts: bool


@dataclass(frozen=True)
class Region:
    """Where all, any or none of some conditions hold, within a shape if there is one.

    Attributes:
        within: the condition of being inside that shape, or None.
    """

    conditions: tuple[Condition, ...]
    how: str
    within: Condition | None = None

    def holds(self, xs: Any, ys: Any) -> Any:
        """Whether places are in it, as an array of truths."""
        xs, ys = np.asarray(xs, dtype=float), np.asarray(ys, dtype=float)
        each = [one.holds(xs, ys) for one in self.conditions]
        found = np.logical_and.reduce(each) if self.how == ALL else np.logical_or.reduce(each)
        if self.how == NONE:
            found = ~found
        return found if self.within is None else found & self.within.holds(xs, ys)

    @property
    def rings(self) -> list[list[Piece]]:
        """Its boundary: outsides anticlockwise, holes clockwise, each in pieces."""
        return self._found[0]

    @cached_property
    def _found(self) -> tuple[list[list[Piece]], Place | None]:
        far = self._far
        reach = _BEYOND * far
        frame = shapely.box(-far, -far, far, far)
        around = ((-far, -far), (far, -far), (far, far), (-far, far))
        edges: list[tuple[Edge, int]] = [(StraightEdge(a, b), -2) for a, b in zip(around, around[1:] + around[:1])]
        whole = frame
        if self.within is not None:
            whole, _, around_it = outlined(self.within, reach)
            edges += [(edge, -1) for edge in around_it]
        for number, condition in enumerate(self.conditions):
            edges += [(edge, number) for edge in outlined(condition, reach)[2]]
        polygons = sorted(together(self.conditions, self.how, whole, reach), key=lambda polygon: -polygon.area)
        found = [self._pieces(np.asarray(ring.coords), edges) for polygon in polygons for ring in (polygon.exterior, *polygon.interiors)]
        return found, polygons[0].representative_point().coords[0] if polygons else None

    def _pieces(self, corners: Any, edges: list[tuple[Edge, int]]) -> list[Piece]:
        """A closed way of corners taken apart by which edge each step of it follows, with exact corners between."""
        xs, ys = corners.T
        steps = len(corners) - 1
        x, y = np.concatenate((xs, (xs[1:] + xs[:-1]) / 2)), np.concatenate((ys, (ys[1:] + ys[:-1]) / 2))
        off = offs([edge for edge, _ in edges], x, y)
        follows = np.argmin(off[:, :steps] + off[:, 1 : steps + 1] + off[:, steps + 1 :], axis=0)
        changes = np.flatnonzero(follows != np.roll(follows, 1))
        places = [tuple(place) for place in corners[:-1].tolist()]
        if not len(changes):
            return [self._piece(edges[follows[0]], [*places, places[0]])]
        junctions = [_crossing(edges[follows[at - 1]][0], edges[follows[at]][0], places[at]) for at in changes]
        found = []
        for number, at in enumerate(changes):
            stop = changes[(number + 1) % len(changes)]
            between = places[at + 1 : stop] if stop > at else places[at + 1 :] + places[:stop]
            found.append(self._piece(edges[follows[at]], [junctions[number], *between, junctions[(number + 1) % len(changes)]]))
        return found

    def _piece(self, edge: tuple[Edge, int], places: list[Place]) -> Piece:
        source = edge[1]
        counts = source < 0 or (not self.conditions[source].strict) != (self.how == NONE)
        return Piece(edge[0], tuple(places), source, counts)

    @property
    def inner(self) -> Place | None:
        """A place in its largest part; None where it is empty."""
        return self._found[1]

    @property
    def is_empty(self) -> bool:
        return not self.rings

    @cached_property
    def is_endless(self) -> bool:
        """Whether it goes on for ever."""
        return any(piece.source == -2 for ring in self.rings for piece in ring)

    @property
    def area(self) -> float:
        """Its area; infinite where it is endless."""
        return float("inf") if self.is_endless else self._sums[1]

    @property
    def perimeter(self) -> float:
        """The length of its boundary; infinite where it is endless."""
        return float("inf") if self.is_endless else self._sums[0]

    @cached_property
    def _sums(self) -> tuple[float, float]:
        """Its perimeter and its area."""
        reach = _BEYOND * self._far
        parts = [*self.conditions, *([self.within] if self.within is not None else [])]
        edges = [edge for part in parts for edge in outlined(part, reach)[2]]
        if len(edges) <= MOST:
            return sums(edges, self._holds_plainly, max(self._spread, 1e-9))
        found = [piece.edge.sums(piece.places) for ring in self.rings for piece in ring]
        return sum((length for length, _ in found), 0.0), sum((area for _, area in found), 0.0)

    def _holds_plainly(self, xs: Any, ys: Any) -> Any:
        """Whether places are in it, without slack at the boundary."""
        each = [one.margins(xs, ys) > 0 for one in self.conditions]
        found = np.logical_and.reduce(each) if self.how == ALL else np.logical_or.reduce(each)
        if self.how == NONE:
            found = ~found
        return found if self.within is None else found & (self.within.margins(xs, ys) > 0)

    @cached_property
    def _far(self) -> float:
        return _WHOLE * 2.0 ** ceil(log2(max(self._spread, 1.0)))  # seldom another one in a drag

    @cached_property
    def _spread(self) -> float:
        return _spread((self.conditions, self.within))


def _spread(value: Any) -> float:
    """The greatest number in a value, whatever it is made of."""
    if isinstance(value, (int, float)):
        return abs(value) if isfinite(value) else 0.0
    if is_dataclass(value):
        return max((_spread(getattr(value, part.name)) for part in fields(value)), default=0.0)
    if isinstance(value, (tuple, list)):
        return max(map(_spread, value), default=0.0)
    return 0.0


def _crossing(one: Edge, other: Edge, near: Place) -> Place:
    """Where two edges meet, near a place; that place where they only touch, or meet elsewhere."""
    x, y = near
    for _ in range(_STEPS):
        f, (a, b) = one.level(x, y)
        g, (c, d) = other.level(x, y)
        turn = a * d - b * c
        if abs(turn) < 1e-7:
            return near
        dx, dy = (b * g - d * f) / turn, (c * f - a * g) / turn
        x, y = x + dx, y + dy
        if abs(dx) + abs(dy) < 1e-15 * (abs(x) + abs(y)):
            break
    # Corners of what follows an edge are as far from its true corner as that goes beside the edge, and no further.
    return (float(x), float(y)) if hypot(x - near[0], y - near[1]) < _ASTRAY * max(_size(one), _size(other)) else near


def _size(edge: Edge) -> float:
    """About how large what an edge bounds is."""
    if isinstance(edge, StraightEdge):
        return hypot(edge.stop[0] - edge.start[0], edge.stop[1] - edge.start[1])
    return edge.radius if isinstance(edge, RoundEdge) else edge.height
