"""The pieces of which boundaries are made: straight, round and parabolic, each with places along it and exact sums.

A place along an edge is one number: the share of a straight one, the angle of a round one in radians, and of a parabola how far over its
line. What is reckoned of one place at a time is plain sums, products and quotients, the same bits wherever it is computed.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import cache
from itertools import pairwise
from math import pi, sqrt, tau
from typing import Any, TypeAlias

from ..arithmetic.adding import total
from ..arithmetic.circular import atan2, cos, sin
from ..arithmetic.late import np

Place: TypeAlias = tuple[float, float]
#: So many places show a whole piece of a parabola, and its length between two slopes is a sum of so many parts.
_SHOWN, _PARTS = 80, 20


@dataclass(frozen=True)
class StraightEdge:
    """A segment of a boundary."""

    start: Place
    stop: Place

    @property
    def span(self):
        """Its first and its last place."""
        return 0.0, 1.0

    @property
    def way(self):
        """From its start to its stop."""
        return self.stop[0] - self.start[0], self.stop[1] - self.start[1]

    def at(self, place):
        """The point at a place along it."""
        ux, uy = self.way
        return self.start[0] + place * ux, self.start[1] + place * uy

    def speed(self, place):
        """How fast one goes where the place along it grows: a vector."""
        return self.way

    def place(self, x, y):
        """The place along it, or along all of its line, that is nearest to a point."""
        (ax, ay), (ux, uy) = self.start, self.way
        return ((x - ax) * ux + (y - ay) * uy) / (ux * ux + uy * uy)

    def off(self, xs, ys):
        """How far points are from it, as an array."""
        return offs([self], xs, ys)[0]

    def length(self, low, high):
        """The length from one place along it to another."""
        ux, uy = self.way
        return sqrt(ux * ux + uy * uy) * abs(high - low)

    def swept(self, start, stop):
        """The integral of (x dy - y dx) / 2 from one place along it to another."""
        ux, uy = self.way
        return (self.start[0] * uy - self.start[1] * ux) * (stop - start) / 2

    def between(self, start, stop, share):
        """The place at a share of the length from one place to another."""
        return start + share * (stop - start)

    def drawn(self, start, stop):
        """The way from one place along it to another as a piece to draw."""
        return ("line", *self.at(stop))


@dataclass(frozen=True)
class RoundEdge:
    """An arc of a boundary: from an angle, so far round (in radians, anticlockwise above zero)."""

    centre: Place
    radius: float
    start: float = 0.0
    sweep: float = tau

    @property
    def span(self):
        return min(self.start, self.start + self.sweep), max(self.start, self.start + self.sweep)

    def at(self, place):
        return self.centre[0] + self.radius * cos(place), self.centre[1] + self.radius * sin(place)

    def speed(self, place):
        return -self.radius * sin(place), self.radius * cos(place)

    def place(self, x, y):
        """The same, from its lowest place up to a whole turn more."""
        low = self.span[0]
        return low + (atan2(y - self.centre[1], x - self.centre[0]) - low) % tau

    def off(self, xs, ys):
        """How far points are from its circle; beyond its ends, from these."""
        off = np.abs(np.hypot(xs - self.centre[0], ys - self.centre[1]) - self.radius)
        low, high = self.span
        if high - low >= tau:
            return off
        within = (np.arctan2(ys - self.centre[1], xs - self.centre[0]) - low) % tau <= high - low
        ends = [np.hypot(xs - x, ys - y) for x, y in (self.at(low), self.at(high))]
        return np.where(within, off, np.minimum(*ends))

    def length(self, low, high):
        return self.radius * abs(high - low)

    def swept(self, start, stop):
        (cx, cy), r = self.centre, self.radius
        return (r * r * (stop - start) + r * (cx * (sin(stop) - sin(start)) - cy * (cos(stop) - cos(start)))) / 2

    def between(self, start, stop, share):
        return start + share * (stop - start)

    def drawn(self, start, stop):
        """The same: centre, radius, start and sweep in degrees."""
        return ("arc", *self.centre, self.radius, start * 180 / pi, (stop - start) * 180 / pi)


@dataclass(frozen=True)
class BentEdge:
    """A parabola: the places as far from a point as from a line.

    Attributes:
        foot: the foot of the perpendicular from the point to the line.
        along: a direction of the line, of length 1.
        up: how the point lies from the foot: a direction of length 1, and ``height`` how far.
        reach: how far along the line it goes, to both sides.
    """

    foot: Place
    along: Place
    up: Place
    height: float
    reach: float

    @property
    def span(self):
        return -self.reach, self.reach

    def at(self, place):
        rise = place * place / (2 * self.height) + self.height / 2
        return (
            self.foot[0] + place * self.along[0] + rise * self.up[0],
            self.foot[1] + place * self.along[1] + rise * self.up[1],
        )

    def speed(self, place):
        slope = place / self.height
        return self.along[0] + slope * self.up[0], self.along[1] + slope * self.up[1]

    def place(self, x, y):
        """The place that is straight below a point."""
        return (x - self.foot[0]) * self.along[0] + (y - self.foot[1]) * self.along[1]

    def off(self, xs, ys):
        """About how far points are from it, near it."""
        share = self.place(xs, ys)
        rise = (xs - self.foot[0]) * self.up[0] + (ys - self.foot[1]) * self.up[1]
        slope = share / self.height
        return np.abs(rise - share * share / (2 * self.height) - self.height / 2) / np.sqrt(1 + slope * slope)

    def length(self, low, high):
        """By Gauss's rule, over stretches that grow with how steep it is."""
        far, wide = max(abs(low), abs(high)), self.height
        borders = [0.0]
        while borders[-1] < far:
            borders.append(wide if len(borders) == 1 else 3 * borders[-1])
        borders = [*(-border for border in borders[:0:-1]), *borders]
        low, high, found = min(low, high), max(low, high), 0.0
        for start, stop in pairwise(borders):
            start, stop = max(start, low), min(stop, high)
            if start < stop:
                middle, half = (start + stop) / 2, (stop - start) / 2
                slopes = [((middle + half * node) / self.height, weight) for node, weight in _gauss()]
                found += half * total(weight * sqrt(1 + slope * slope) for slope, weight in slopes)
        return found

    def swept(self, start, stop):
        # What is summed is a polynomial of degree 2 in the place, for which Simpson's rule is exact.
        def grows(place):
            (x, y), (dx, dy) = self.at(place), self.speed(place)
            return x * dy - y * dx

        return (stop - start) * (grows(start) + 4 * grows((start + stop) / 2) + grows(stop)) / 12

    def between(self, start, stop, share):
        """The same, by a length that is a few hundredths off, without logarithms."""
        low, high = (self._about(place) for place in (start, stop))
        far = low + share * (high - low)
        slope = sqrt(2 * (sqrt(1 + far * far) - 1))
        return (slope if far >= 0 else -slope) * self.height

    def _about(self, place):
        slope = place / self.height
        return slope * sqrt(1 + slope * slope / 4)

    def drawn(self, start, stop):
        """The same: many points, closer together where it bends."""
        low, high = (place / sqrt(self.height * (self.height + abs(place))) for place in (start, stop))
        found = []
        for number in range(1, _SHOWN):
            even = low + (high - low) * number / _SHOWN
            found.append(even * self.height * (abs(even) + sqrt(even * even + 4)) / 2)
        return ("curve", *map(self.at, (*found, stop)))


@cache
def _gauss() -> list[tuple[float, float]]:
    """The nodes and weights of Gauss's rule, by Newton's method for the roots of Legendre's polynomial."""
    found = []
    for number in range(_PARTS):
        node = cos(pi * (number + 0.75) / (_PARTS + 0.5))
        for _ in range(8):
            before, value = 1.0, node
            for degree in range(2, _PARTS + 1):
                before, value = value, ((2 * degree - 1) * node * value - (degree - 1) * before) / degree
            slope = _PARTS * (node * value - before) / (node * node - 1)
            node -= value / slope
        found.append((node, 2 / ((1 - node * node) * slope * slope)))
    return found


Edge: TypeAlias = StraightEdge | RoundEdge | BentEdge


def offs(edges: Sequence[Edge], xs: Any, ys: Any) -> Any:
    """How far points are from each of some edges: an array with a row for each edge. The straight ones are done all at once."""
    found = np.empty((len(edges), len(xs)))
    straight = {number: edge.start + edge.stop for number, edge in enumerate(edges) if isinstance(edge, StraightEdge)}
    if straight:
        ends = np.array(list(straight.values()))
        x, y, ux, uy = ends[:, 0:1], ends[:, 1:2], ends[:, 2:3] - ends[:, 0:1], ends[:, 3:4] - ends[:, 1:2]
        size = ux * ux + uy * uy
        right, up = xs - x, ys - y
        share = np.minimum(np.maximum((right * ux + up * uy) / (size + (size == 0)), 0), 1)
        found[list(straight)] = np.hypot(right - share * ux, up - share * uy)
    for number, edge in enumerate(edges):
        if not isinstance(edge, StraightEdge):
            found[number] = edge.off(xs, ys)
    return found
