"""Conditions on a place: what holds on one side of a boundary. How far inside places are, and the edges of where it holds."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise
from math import pi, radians, sqrt, tau
from typing import Any, Protocol

from ..arithmetic import Undefined
from ..arithmetic.circular import atan2, cos, sin, tan
from ..arithmetic.late import np
from .edges import BentEdge, Edge, Place, RoundEdge, StraightEdge

#: How near counts as on the boundary, as a share of the size of what is compared.
NEAR = 1e-9


@dataclass(frozen=True)
class Ring:
    """A closed way round a part of the plane, of edges that follow one another."""

    edges: tuple[Edge, ...]


class Measure(Protocol):
    """What a condition measures of places.

    Attributes:
        steep: how much it changes at most over a length of 1; 0 where that has no bound.
    """

    steep: float

    def at(self, xs: Any, ys: Any) -> Any:
        """The measure of places, as an array."""

    def rings(self, bound: float, reach: float) -> list[Ring]:
        """The parts of the plane where the measure is less than a bound. Raises Undefined where it measures nothing.

        Args:
            reach: how far what is endless goes.
        """


@dataclass(frozen=True)
class Condition:
    """A condition on a place.

    Attributes:
        measure: what it compares with ``bound``.
        bound: a length, an angle in degrees, or 0.
        above: whether it holds where the measure is more than the bound, or less.
        strict: whether the boundary does not count.
    """

    measure: Measure
    bound: float
    above: bool
    strict: bool

    def margins(self, xs: Any, ys: Any) -> Any:
        """How far inside places are, as an array: above zero where it holds."""
        off = self.measure.at(xs, ys) - self.bound
        return off if self.above else -off

    def holds(self, xs: Any, ys: Any) -> Any:
        """Whether it holds at places, as an array of truths."""
        margins = self.margins(xs, ys)
        near = NEAR * (1 + abs(self.bound) + np.abs(xs) + np.abs(ys))
        return margins > near if self.strict else margins >= -near

    def check(self) -> "Condition":
        """The condition. Raises Undefined where it says nothing: of two that are in one place, of a shape without an inside."""
        self.measure.rings(self.bound, 1.0)
        return self

    def rings(self, reach: float) -> tuple[list[Ring], bool]:
        """The parts of the plane, as rings to be united, where the measure is less than the bound; and whether the condition holds
        inside them.

        Args:
            reach: how far what is endless goes.
        """
        return self.measure.rings(self.bound, reach), not self.above


@dataclass(frozen=True)
class FromPoint:
    """The distance from a point."""

    place: Place

    steep = 1.0

    def at(self, xs, ys):
        return np.hypot(xs - self.place[0], ys - self.place[1])

    def rings(self, bound, reach):
        return [Ring((RoundEdge(self.place, bound),))] if bound > 0 else []


@dataclass(frozen=True)
class FromStraight:
    """The distance from a straight thing: a point, a direction of any length, and between which shares of it."""

    place: Place
    way: Place
    low: float
    high: float

    steep = 1.0

    def at(self, xs, ys):
        (x, y), (ux, uy) = self.place, self.way
        share = np.clip(((xs - x) * ux + (ys - y) * uy) / (ux * ux + uy * uy), self.low, self.high)
        return np.hypot(xs - x - share * ux, ys - y - share * uy)

    def rings(self, bound, reach):
        if bound <= 0:
            return []
        (x, y), (ux, uy) = self.place, self.way
        size = _length(ux, uy)
        ux, uy = ux / size, uy / size
        low = -reach if np.isinf(self.low) else self.low * size
        high = reach if np.isinf(self.high) else self.high * size
        start, stop = (x + low * ux, y + low * uy), (x + high * ux, y + high * uy)
        right, left = ((uy * bound * sign, -ux * bound * sign) for sign in (1, -1))
        put = lambda place, off: (place[0] + off[0], place[1] + off[1])
        angle = atan2(-ux, uy)
        edges: list[Edge] = [StraightEdge(put(start, right), put(stop, right))]
        end = put(stop, left)
        edges.append(StraightEdge(put(stop, right), end) if np.isinf(self.high) else RoundEdge(stop, bound, angle, pi))
        edges.append(StraightEdge(end, put(start, left)))
        back = put(start, right)
        edges.append(StraightEdge(put(start, left), back) if np.isinf(self.low) else RoundEdge(start, bound, angle + pi, pi))
        return [Ring(tuple(edges))]


@dataclass(frozen=True)
class FromDisc:
    """The distance from a circle with what is inside it."""

    centre: Place
    radius: float

    steep = 1.0

    def at(self, xs, ys):
        return np.maximum(np.hypot(xs - self.centre[0], ys - self.centre[1]) - self.radius, 0)

    def rings(self, bound, reach):
        return [Ring((RoundEdge(self.centre, self.radius + bound),))]


@dataclass(frozen=True)
class FromPolygon:
    """The distance from a polygon with what is inside it."""

    corners: tuple[Place, ...]

    steep = 1.0

    def at(self, xs, ys):
        sides = [side.at(xs, ys) for side in self.sides()]
        return np.where(inside_polygon(self.corners, xs, ys), 0.0, np.minimum.reduce(sides))

    def sides(self):
        """Its sides, as what one is far from."""
        around = zip(self.corners, self.corners[1:] + self.corners[:1])
        return [FromStraight(a, (b[0] - a[0], b[1] - a[1]), 0.0, 1.0) for a, b in around if a != b]

    def rings(self, bound, reach):
        return [_round_corners(self.corners), *(ring for side in self.sides() for ring in side.rings(bound, reach))]


@dataclass(frozen=True)
class Difference:
    """How much farther one thing is than another, points and whole lines; of a point and a line, ``near`` is the point."""

    near: Any
    far: Any

    steep = 2.0

    def at(self, xs, ys):
        return self.near.at(xs, ys) - self.far.at(xs, ys)

    def rings(self, bound, reach):
        one, other = self.near, self.far
        if isinstance(one, FromPoint) and isinstance(other, FromPoint):
            (ax, ay), (bx, by) = one.place, other.place
            if one.place == other.place:
                raise Undefined("the two coincide")
            middle = (ax + bx) / 2, (ay + by) / 2
            return [_half_plane(middle, (ay - by, bx - ax), reach)]
        return [_beneath(one.place, other, reach)] if isinstance(one, FromPoint) else _between_lines(one, other, reach)


@dataclass(frozen=True)
class InDisc:
    """How far outside a circle places are; below zero inside."""

    centre: Place
    radius: float

    steep = 1.0

    def at(self, xs, ys):
        return np.hypot(xs - self.centre[0], ys - self.centre[1]) - self.radius

    def rings(self, bound, reach):
        return [Ring((RoundEdge(self.centre, self.radius),))]


@dataclass(frozen=True)
class InPolygon:
    """How far outside a polygon places are; below zero inside."""

    corners: tuple[Place, ...]

    steep = 1.0

    def at(self, xs, ys):
        far = np.minimum.reduce([side.at(xs, ys) for side in FromPolygon(self.corners).sides()])
        return np.where(inside_polygon(self.corners, xs, ys), -far, far)

    def rings(self, bound, reach):
        return [_round_corners(self.corners)]


@dataclass(frozen=True)
class InSlice:
    """How far outside a sector or a chord region places are; below zero inside.

    Attributes:
        arc: its arc. ``through_centre``: whether it goes back through the centre.
    """

    arc: RoundEdge
    through_centre: bool

    steep = 1.0

    def at(self, xs, ys):
        (cx, cy), r = self.arc.centre, self.arc.radius
        (ax, ay), (bx, by) = self._ends()
        if self.through_centre:
            turn = (np.arctan2(ys - cy, xs - cx) - self.arc.start) % tau
            within = turn <= self.arc.sweep if self.arc.sweep > 0 else turn >= tau + self.arc.sweep
        else:
            side = (bx - ax) * (ys - ay) - (by - ay) * (xs - ax)
            within = side <= 0 if self.arc.sweep > 0 else side >= 0
        inside = within & (np.hypot(xs - cx, ys - cy) <= r)
        back = [edge.off(xs, ys) for edge in self._back()]
        far = np.minimum.reduce([np.where(within, self.arc.off(xs, ys), np.inf), *back])
        return np.where(inside, -far, far)

    def _ends(self):
        (cx, cy), r = self.arc.centre, self.arc.radius
        return [(cx + r * cos(angle), cy + r * sin(angle)) for angle in (self.arc.start, self.arc.start + self.arc.sweep)]

    def _back(self):
        start, stop = self._ends()
        places = [stop, self.arc.centre, start] if self.through_centre else [stop, start]
        return [StraightEdge(a, b) for a, b in pairwise(places)]

    def rings(self, bound, reach):
        return [Ring((self.arc, *self._back()))]


@dataclass(frozen=True)
class Side:
    """How far places are to the right of a directed line: below zero on its left."""

    place: Place
    way: Place

    steep = 1.0

    def at(self, xs, ys):
        (x, y), (ux, uy) = self.place, self.way
        return ((xs - x) * uy - (ys - y) * ux) / _length(ux, uy)

    def rings(self, bound, reach):
        return [_half_plane(self.place, self.way, reach)]


@dataclass(frozen=True)
class Seen:
    """180 less the angle in degrees in which a segment is seen: little for what is seen large."""

    start: Place
    stop: Place

    steep = 0.0

    def at(self, xs, ys):
        ux, uy, vx, vy = self.start[0] - xs, self.start[1] - ys, self.stop[0] - xs, self.stop[1] - ys
        return 180 - np.degrees(np.arctan2(np.abs(ux * vy - uy * vx), ux * vx + uy * vy))

    def rings(self, bound, reach):
        angle = 180 - bound
        (ax, ay), (bx, by) = self.start, self.stop
        apart = _length(bx - ax, by - ay)
        if apart == 0:
            raise Undefined("the two ends coincide")
        if not 0 < angle < 180:
            return [] if angle >= 180 else [Ring(tuple(_frame(reach)))]
        radius, rise = apart / 2 / sin(radians(angle)), apart / 2 / tan(radians(angle))
        ux, uy = (bx - ax) / apart, (by - ay) / apart
        edges = []
        # Anticlockwise: on the right of the way from start to stop first, then back on the left.
        for sign, (x, y) in ((1, self.start), (-1, self.stop)):
            centre = (ax + bx) / 2 + sign * rise * uy, (ay + by) / 2 - sign * rise * ux
            edges.append(RoundEdge(centre, radius, atan2(y - centre[1], x - centre[0]), tau - 2 * radians(angle)))
        return [Ring(tuple(edges))]


def _length(x: float, y: float) -> float:
    """How long a vector is: the same bits wherever it is computed."""
    return sqrt(x * x + y * y)


def inside_polygon(corners: Sequence[Place], xs: Any, ys: Any) -> Any:
    """Whether places are inside a polygon, by how often a ray to the right crosses its sides."""
    inside = np.zeros(np.shape(xs), dtype=bool)
    for (ax, ay), (bx, by) in zip(corners, [*corners[1:], corners[0]]):
        if ay != by:
            inside ^= ((ay > ys) != (by > ys)) & (xs < (bx - ax) * (ys - ay) / (by - ay) + ax)
    return inside


def _round_corners(corners):
    edges = tuple(StraightEdge(a, b) for a, b in zip(corners, corners[1:] + corners[:1]) if a != b)
    if len(edges) < 3:
        raise Undefined("its corners coincide")
    return Ring(edges)


def _frame(reach):
    around = ((-reach, -reach), (reach, -reach), (reach, reach), (-reach, reach))
    return [StraightEdge(a, b) for a, b in zip(around, around[1:] + around[:1])]


def _half_plane(place, way, reach):
    """What is on the left of a directed line, as far as that goes."""
    size = _length(*way)
    ux, uy = way[0] / size * reach, way[1] / size * reach
    x, y = place
    around = ((x - ux, y - uy), (x + ux, y + uy), (x + ux - uy, y + uy + ux), (x - ux - uy, y - uy + ux))
    return _round_corners(around)


def _beneath(point, line, reach):
    """What is nearer to a point than to a line: the inside of a parabola."""
    (x, y), (ux, uy) = line.place, line.way
    size = _length(ux, uy)
    ux, uy = ux / size, uy / size
    share = (point[0] - x) * ux + (point[1] - y) * uy
    foot = x + share * ux, y + share * uy
    height = _length(point[0] - foot[0], point[1] - foot[1])
    if height == 0:
        raise Undefined("the point is on the line")
    up = (point[0] - foot[0]) / height, (point[1] - foot[1]) / height
    edge = BentEdge(foot, (ux, uy), up, height, min(reach, sqrt(2 * height * reach)))
    ends = [edge.at(place) for place in edge.span]
    if ux * up[1] - uy * up[0] < 0:
        edge = BentEdge(foot, (-ux, -uy), up, height, edge.reach)
        ends.reverse()
    return Ring((edge, StraightEdge(ends[1], ends[0])))


def _between_lines(one, other, reach):
    """What is nearer to one line than to another: two opposite angles between their bisectors, or what is seen of them."""
    u, v = ((way[0] / _length(*way), way[1] / _length(*way)) for way in (one.way, other.way))
    if u[0] * v[0] + u[1] * v[1] < 0:
        v = -v[0], -v[1]
    dx, dy = other.place[0] - one.place[0], other.place[1] - one.place[1]
    turn, off = u[0] * v[1] - u[1] * v[0], dx * v[1] - dy * v[0]  # how far the first line's point is to the left of the other
    if abs(turn) * reach < 2 * abs(off) or abs(turn) < 1e-12:
        # They meet nowhere, or so far out that one of the bisectors is not seen: what is on the first line's side of the other one.
        if off == 0:
            raise Undefined("the two lines coincide")
        nx, ny = -u[1] - v[1], u[0] + v[0]
        size = _length(nx, ny)
        middle = one.place[0] - off * nx / size / size, one.place[1] - off * ny / size / size
        return [_half_plane(middle, (ny, -nx) if off > 0 else (-ny, nx), reach)]
    share = off / turn
    at = one.place[0] + share * u[0], one.place[1] + share * u[1]
    # Half way between the directions, and square to that.
    bisectors = [(u[0] + v[0], u[1] + v[1]), (u[0] - v[0], u[1] - v[1])]
    p, q = ((way[0] / _length(*way), way[1] / _length(*way)) for way in bisectors)
    # The first line lies between them in the angle from q to p, or its opposite.
    rings = []
    for sign in (1, -1):
        around = [at, *((at[0] + sign * reach * w[0], at[1] + sign * reach * w[1]) for w in (p, u, q))]
        rings.append(_round_corners(tuple(around)))
    return rings
