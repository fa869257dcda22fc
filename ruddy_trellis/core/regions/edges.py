"""The pieces of which boundaries are made: straight, round and parabolic, each with exact sums along it."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise
from math import hypot, pi, tau
from typing import Any, TypeAlias

from ..arithmetic.adding import total
from ..arithmetic.circular import atan2, cos, sin
from ..arithmetic.late import np

#: So many corners follow a whole circle, and so many a parabola.
ROUND, BENT = 96, 120
Place: TypeAlias = tuple[float, float]


@dataclass(frozen=True)
class StraightEdge:
    """A segment of a boundary."""

    start: Place
    stop: Place

    def corners(self):
        """Places along it, without the last, as an array of two columns."""
        return np.array([self.start])

    def off(self, xs, ys):
        """How far places are from it, as an array."""
        return offs([self], xs, ys)[0]

    def _way(self):
        return self.stop[0] - self.start[0], self.stop[1] - self.start[1]

    def level(self, x, y):
        """A number that is zero on the whole line, about how far a place is from it; and its slope."""
        (px, py), (ux, uy) = self.start, self._way()
        size = hypot(ux, uy)
        nx, ny = -uy / size, ux / size
        return (x - px) * nx + (y - py) * ny, (nx, ny)

    def sums(self, places):
        """Of the way along it through some places, the first and the last of which count: the length, and the integral of
        (x dy - y dx) / 2."""
        (ax, ay), (bx, by) = places[0], places[-1]
        return hypot(bx - ax, by - ay), (ax * by - ay * bx) / 2

    def drawn(self, places):
        """The way through some places as a piece to draw."""
        return ("line", *places[-1])


@dataclass(frozen=True)
class RoundEdge:
    """An arc of a boundary: from an angle, so far round (in radians, anticlockwise above zero)."""

    centre: Place
    radius: float
    start: float = 0.0
    sweep: float = tau

    def corners(self):
        """Places along it, without the last."""
        count = max(int(np.ceil(abs(self.sweep) / tau * ROUND)), 2)
        angles = self.start + self.sweep * np.arange(count) / count
        return np.column_stack((self.centre[0] + self.radius * np.cos(angles), self.centre[1] + self.radius * np.sin(angles)))

    def off(self, xs, ys):
        """How far places are from its circle."""
        return np.abs(np.hypot(xs - self.centre[0], ys - self.centre[1]) - self.radius)

    def level(self, x, y):
        """How far a place is outside its circle, and the slope of that."""
        dx, dy = x - self.centre[0], y - self.centre[1]
        size = hypot(dx, dy) or 1e-300
        return size - self.radius, (dx / size, dy / size)

    def turn(self, places):
        """Where the way through some places starts, and how far round it goes: radians."""
        angles = [atan2(y - self.centre[1], x - self.centre[0]) for x, y in places]
        turns = [(b - a + pi) % tau - pi for a, b in pairwise(angles)]
        return angles[0], total(turns) if turns else 0.0

    def sums(self, places):
        """The length, and the integral of (x dy - y dx) / 2."""
        start, turn = self.turn(places)
        (cx, cy), r, stop = self.centre, self.radius, start + turn
        return abs(r * turn), (r * r * turn + r * (cx * (sin(stop) - sin(start)) - cy * (cos(stop) - cos(start)))) / 2

    def drawn(self, places):
        """The way through some places as a piece to draw: centre, radius, start and sweep in degrees."""
        start, turn = self.turn(places)
        return ("arc", *self.centre, self.radius, start * 180 / pi, turn * 180 / pi)


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

    def at(self, shares):
        """The places over places along the line."""
        rise = shares * shares / (2 * self.height) + self.height / 2
        return (
            self.foot[0] + shares * self.along[0] + rise * self.up[0],
            self.foot[1] + shares * self.along[1] + rise * self.up[1],
        )

    def corners(self):
        """Places along it, closer together where it bends."""
        most = np.arcsinh(self.reach / self.height)
        return np.column_stack(self.at(np.sinh(np.linspace(-most, most, BENT)) * self.height))

    def _share(self, x, y):
        return (x - self.foot[0]) * self.along[0] + (y - self.foot[1]) * self.along[1]

    def _rise(self, x, y):
        return (x - self.foot[0]) * self.up[0] + (y - self.foot[1]) * self.up[1]

    def off(self, xs, ys):
        """About how far places are from it, near it."""
        share = self._share(xs, ys)
        slope = share / self.height
        return np.abs(self._rise(xs, ys) - share * share / (2 * self.height) - self.height / 2) / np.sqrt(1 + slope * slope)

    def level(self, x, y):
        """About how far above it a place is, and the slope of that."""
        share = self._share(x, y)
        slope = share / self.height
        size = hypot(1, slope)
        value = (self._rise(x, y) - share * share / (2 * self.height) - self.height / 2) / size
        return value, ((self.up[0] - slope * self.along[0]) / size, (self.up[1] - slope * self.along[1]) / size)

    def sums(self, places):
        """The length, and the integral of (x dy - y dx) / 2, by Gauss's rule."""
        start, stop = self._share(*places[0]), self._share(*places[-1])
        nodes, weights = np.polynomial.legendre.leggauss(40)
        shares, weights = start + (stop - start) * (nodes + 1) / 2, weights * (stop - start) / 2
        x, y = self.at(shares)
        slope = shares / self.height
        dx, dy = self.along[0] + slope * self.up[0], self.along[1] + slope * self.up[1]
        return abs(float((weights * np.hypot(dx, dy)).sum())), float((weights * (x * dy - y * dx)).sum()) / 2

    def between(self, start, stop, shares):
        """Places between two of its own, evenly as one goes along it where it is steep, and over the line where it is flat."""
        low, high = (np.arcsinh(self._share(*place) / self.height) for place in (start, stop))
        return self.at(np.sinh(low + np.asarray(shares) * (high - low)) * self.height)

    def drawn(self, places):
        """The way through some places as a piece to draw: many places."""
        x, y = self.between(places[0], places[-1], np.linspace(0, 1, 80))
        return ("curve", *zip(x.tolist()[1:], y.tolist()[1:]))


Edge: TypeAlias = StraightEdge | RoundEdge | BentEdge


def offs(edges: Sequence[Edge], xs: Any, ys: Any) -> Any:
    """How far places are from each of some edges: an array with a row for each edge. The straight ones are done all at once."""
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
