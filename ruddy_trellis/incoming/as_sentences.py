"""What was found in a file as a working: a sentence a line, with names that the board does not have yet."""

from collections.abc import Collection
from itertools import pairwise
from math import cos, hypot, radians, sin, sqrt

from ..core.kinds import CIRCLE, POINT
from ..core.language.names import NAME, RESERVED, next_name
from ..core.limits import NAME_LENGTH, POLYGON_CORNERS
from .found import Found

#: Places this near to one another, as a share of the whole, are one point: so what meets in the file meets on the board.
_SAME = 1e-9


class _Names:
    """Gives names that are not taken yet."""

    def __init__(self, taken: Collection[str]) -> None:
        self.taken = set(taken)

    def next(self, pool: str, wanted: str | None = None) -> str:
        if wanted and len(wanted) <= NAME_LENGTH and NAME.fullmatch(wanted) and wanted not in self.taken and wanted not in RESERVED:
            name = wanted
        else:
            name = next_name(pool, self.taken)
        self.taken.add(name)
        return name


def sentences(found: Found, taken: Collection[str]) -> list[str]:
    """The working that makes what was found.

    Args:
        taken: the names that the board has already.
    """
    return _Working(found, taken).lines


class _Working:
    def __init__(self, found: Found, taken: Collection[str]) -> None:
        self.names, self.lines = _Names(taken), []
        left, low, right, high = found.box()
        self._near = max(right - left, high - low, 1e-6) * _SAME
        self._points: dict[tuple[int, int], str] = {}
        for x, y, name in found.points:
            self.point(x, y, name)
        for places, is_closed in found.lines:
            self._joined(places, is_closed)
        for x, y, radius in found.circles:
            self.say(CIRCLE, f"the circle with centre {self.point(x, y)} and radius {_number(radius)}")
        for x, y, radius, start, stop in found.arcs:
            ends = [self.point(x + radius * cos(radians(angle)), y + radius * sin(radians(angle))) for angle in (start, stop)]
            self.lines.append(f"the arc with centre {self.point(x, y)} from {ends[0]} to {ends[1]}")
        for ellipse in found.ellipses:
            self._ellipse(*ellipse)

    def say(self, pool: str, words: str) -> str:
        name = self.names.next(pool)
        self.lines.append(f"{name} is {words}")
        return name

    def point(self, x: float, y: float, wanted: str | None = None) -> str:
        """The name of the point at a place; it is made where there is none yet."""
        cell = round(x / self._near), round(y / self._near)
        around = [(cell[0] + across, cell[1] + up) for across in (0, -1, 1) for up in (0, -1, 1)]
        there = next((self._points[one] for one in around if one in self._points), None)
        if there is None:
            there = self._points[cell] = self.names.next(POINT, wanted)
            self.lines.append(f"{there} is a free point at ({_number(x)}, {_number(y)})")
        return there

    def _joined(self, places, is_closed) -> None:
        corners = [self.point(*place) for place in places]
        corners = [name for number, name in enumerate(corners) if number == 0 or name != corners[number - 1]]
        if len(corners) > 1 and corners[0] == corners[-1]:
            corners.pop()
            is_closed = True
        if is_closed and 2 < len(corners) <= POLYGON_CORNERS and len(set(corners)) == len(corners):
            self.lines.append(f"the polygon through {', '.join(corners)}")
            return
        pairs = list(pairwise(corners)) + ([(corners[-1], corners[0])] if is_closed and len(corners) > 2 else [])
        for a, b in pairs:
            line = f"the segment from {a} to {b}"
            if line not in self.lines and f"the segment from {b} to {a}" not in self.lines:
                self.lines.append(line)

    def _ellipse(self, x, y, ux, uy, share) -> None:
        """An ellipse by its foci and the sum of the distances from them, which is its longer axis."""
        far = sqrt(max(1 - share * share, 0))
        first, second = self.point(x - far * ux, y - far * uy), self.point(x + far * ux, y + far * uy)
        self.say(CIRCLE, f"the ellipse with foci {first} and {second} and the sum {_number(2 * hypot(ux, uy))}")


def _number(number: float) -> str:
    """A number as it is typed, without the dust of turning units into others and without a power of ten."""
    written = repr(float(f"{number:.13g}"))
    return written if "e" not in written else f"{number:.20f}".rstrip("0").rstrip(".") or "0"
