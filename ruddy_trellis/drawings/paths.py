"""Paths in the form of cubic curves, for formats that know no arcs and for what is turned and stretched."""

from collections.abc import Iterator
from math import cos, pi, radians, sin, tan

from .primitives import Path

#: Of a circle, so many curves are made: they stay within 4 millionths of its radius.
_PIECES = 8
Map = tuple[float, ...]
PLAIN: Map = (1.0, 0.0, 0.0, 1.0, 0.0, 0.0)


def mapped(to: Map, x: float, y: float) -> tuple[float, float]:
    """Where a map of six numbers takes a place."""
    a, b, c, d, e, f = to
    return a * x + c * y + e, b * x + d * y + f


def on_circle(x: float, y: float, radius: float, angle: float) -> tuple[float, float]:
    """The place on a circle at an angle; upwards is less of y."""
    return x + radius * cos(radians(angle)), y - radius * sin(radians(angle))


def round_curves(x: float, y: float, radius: float, start: float, sweep: float) -> Iterator[tuple[float, ...]]:
    """An arc as cubic curves: six numbers each, two handles and an end (the handles are 4/3 tan of a quarter of the angle long)."""
    pieces = max(1, round(abs(sweep) * _PIECES / 360 + 0.49))
    part = sweep / pieces
    reach = 4 / 3 * tan(part * pi / 720) * radius
    for number in range(pieces):
        from_angle, to_angle = radians(start + number * part), radians(start + (number + 1) * part)
        ax, ay = x + radius * cos(from_angle), y - radius * sin(from_angle)
        bx, by = x + radius * cos(to_angle), y - radius * sin(to_angle)
        yield (
            ax - reach * sin(from_angle), ay - reach * cos(from_angle), bx + reach * sin(to_angle), by + reach * cos(to_angle), bx, by,
        )  # fmt: skip


def as_curves(path: Path, to: Map = PLAIN) -> Iterator[tuple]:
    """A path with every arc and circle as curves, taken through a map: ``("M", x, y)``, ``("L", x, y)``, ``("C", …)``, ``("Z",)``."""
    for kind, *numbers in path:
        if kind in ("M", "L"):
            yield kind, *mapped(to, *numbers)
        elif kind == "Z":
            yield ("Z",)
        else:
            x, y, radius, start, sweep = numbers if kind == "A" else (*numbers, 0.0, 360.0)
            if kind == "O":
                yield "M", *mapped(to, *on_circle(x, y, radius, 0))
            for ax, ay, bx, by, cx, cy in round_curves(x, y, radius, start, sweep):
                yield "C", *mapped(to, ax, ay), *mapped(to, bx, by), *mapped(to, cx, cy)
            if kind == "O":
                yield ("Z",)


def bounds_of(path: Path, to: Map = PLAIN) -> tuple[float, float, float, float] | None:
    """A box round a path, by its places and handles: least x and y, greatest x and y."""
    numbers = [command[1:] for command in as_curves(path, to)]
    xs = [x for places in numbers for x in places[::2]]
    ys = [y for places in numbers for y in places[1::2]]
    return (min(xs), min(ys), max(xs), max(ys)) if xs else None


def hatch_lines(tile: str, box: tuple[float, float, float, float]) -> list[tuple[float, float, float, float]]:
    """The lines of a hatch that cross a box: a tile of ten pixels side by side, all of whose strokes go on into the next one."""
    left, top, right, low = box
    lines = []
    for stroke in tile.split("M")[1:]:
        ax, ay, bx, by = (float(number) for pair in stroke.split("L") for number in pair.split())
        dx, dy = (bx - ax) / 10, (by - ay) / 10
        if dx == 0:
            lines += [(x, top, x, low) for x in _steps(left, right, ax)]
        elif dy == 0:
            lines += [(left, y, right, y) for y in _steps(top, low, ay)]
        else:
            # Each of these leaves the box somewhere beside it; what is outside is cut off by whoever draws them.
            rise = dy / dx
            first, last = sorted((top - rise * left, top - rise * right)), sorted((low - rise * left, low - rise * right))
            offs = _steps(min(first[0], last[0]), max(first[1], last[1]), ay - rise * ax)
            lines += [(left, off + rise * left, right, off + rise * right) for off in offs]
    return lines


def _steps(low: float, high: float, through: float) -> list[float]:
    """The numbers between two that are whole tens away from a third."""
    first = through + 10 * -(-(low - through) // 10)
    return [first + 10 * number for number in range(int((high - first) // 10) + 1)]
