"""The ground of a board in a picture: a square or a triangular lattice, or axes with numbers."""

from collections.abc import Iterator
from math import ceil, floor, log10, sqrt
from typing import Any

from ..core.board import Settings
from ..core.display.extent import Extent
from ..core.display.palette import LATTICES
from .primitives import Part, Pen, Shape, Text
from .things import Things

#: The lattice in ink on paper: fine lines, every fifth line, axes.
_INK = ("#DDDDDD", "#BBBBBB", "#000000")
#: About how far apart lines are, how near they may come, and how far apart numbers are, in pixels.
_APART, _NEAR, _NUMBERS = 64, 7, 46
_LETTERS = 15
#: More lines than so many are no ground.
_MOST = 2_000


def round_length(length: float) -> float:
    """The greatest of 1, 2 and 5 times a power of ten that is no longer."""
    power = 10.0 ** floor(log10(length))
    return next((times * power for times in (5, 2, 1) if times * power <= length), power)


def ground_parts(things: Things, settings: Settings, extent: Extent) -> list[Part]:
    """The lattice of a board over a part of the plane, as far as its settings have one."""
    if settings.ground == "blank":
        return []
    colours = _INK if things.colours.ink_only else LATTICES[things.colours.dark]
    step = settings.spacing or round_length(_APART * things.scale / things.zoom)
    while step * things.zoom < _NEAR * things.scale or (extent.width + extent.height) / step > _MOST:
        step *= 5
    lines = _triangles if settings.ground == "triangles" else _squares
    parts = [
        Shape(tuple(command for line in chosen for command in line), Pen(colour, things.scale))
        for colour, chosen in lines(things, extent, step, colours)
        if chosen
    ]
    return parts + _axes(things, extent, step, colours[2]) if settings.ground == "axes" else list(parts)


def _line(things: Things, ax, ay, bx, by):
    return (("M", *things.place(ax, ay)), ("L", *things.place(bx, by)))


def _squares(things, extent, step, colours):
    for strong in (False, True):
        upright = [_line(things, i * step, extent.low, i * step, extent.high) for i in _multiples(extent.left, extent.right, step)
                   if (i % 5 == 0) == strong]  # fmt: skip
        level = [_line(things, extent.left, i * step, extent.right, i * step) for i in _multiples(extent.low, extent.high, step)
                 if (i % 5 == 0) == strong]  # fmt: skip
        yield colours[strong], upright + level


def _triangles(things, extent, step, colours):
    """Lines that run level, and 60 degrees up and down, so that they make triangles of equal sides."""
    slant = sqrt(3)
    rise = step * slant / 2
    lines = [_line(things, extent.left, i * rise, extent.right, i * rise) for i in _multiples(extent.low, extent.high, rise)]
    for way in (1, -1):
        feet = [x - way * y / slant for x in (extent.left, extent.right) for y in (extent.low, extent.high)]
        for i in _multiples(min(feet), max(feet), step):
            ends = [(i * step + way * y / slant, y) for y in (extent.low, extent.high)]
            lines.append(_line(things, *ends[0], *ends[1]))
    yield colours[1], lines


def _axes(things: Things, extent: Extent, step: float, colour: str) -> list[Part]:
    x0, y0 = things.place(0, 0)
    left, top = things.place(extent.left, extent.high)
    right, low = things.place(extent.right, extent.low)
    size, gap = _LETTERS * things.scale, 6 * things.scale
    path: tuple[tuple[Any, ...], ...] = (("M", left, y0), ("L", right, y0), ("M", x0, top), ("L", x0, low))
    parts: list[Part] = [Shape(path, Pen(colour, 1.6 * things.scale))]
    every = step * max(1, ceil(_NUMBERS * things.scale / (step * things.zoom)))
    written = lambda number: f"{number:.6g}".replace("-", "−")
    inside = lambda place, least, most: min(max(place, least), most)
    for i in _multiples(extent.left, extent.right, every):
        if i:
            x = things.place(i * every, 0)[0]
            parts.append(Text(x, inside(y0 + gap, top + gap, low - 1.5 * size) + 0.8 * size, written(i * every), size, colour))
    for i in _multiples(extent.low, extent.high, every):
        if i:
            y, x = things.place(0, i * every)[1], inside(x0 - gap, left + 34 * things.scale, right - 8 * things.scale)
            parts.append(Text(x, y + 0.35 * size, written(i * every), size, colour, anchor="end"))
    return parts


def _multiples(low: float, high: float, step: float) -> Iterator[int]:
    """The whole numbers whose multiples of a step lie between two places."""
    return iter(range(ceil(low / step), floor(high / step) + 1))
