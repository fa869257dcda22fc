"""Each thing of the display list in the shapes of a picture."""

from __future__ import annotations

from dataclasses import dataclass
from math import cos, hypot, radians, sin
from typing import Any

from ..core.display.extent import Extent
from ..core.display.palette import COVER, INK_DASHES, PENS, SIZES
from ..core.display.regions import HATCHES
from .paths import on_circle
from .primitives import Copies, Hatch, Part, Path, Pen, Shape, Text

#: Dash patterns in multiples of the line's width.
DASHES = {"solid": "", "dashed": "4 3", "dotted": "0.1 2.6"}
_INK, _WHITE, _GREY = "#000000", "#FFFFFF", "#E4E4E4"
#: A hatch is this much stronger than the tint under it, and the tint this share of what was chosen.
_HATCH_MORE, _TINT = 0.3, 0.6


@dataclass(frozen=True)
class Colours:
    """Which colours are used.

    Attributes:
        dark: the pens of a dark board.
        ink_only: black and white; pens are told apart by their dashes, fills by their hatches.
        ground: what lies behind, or None for a clear ground.
    """

    dark: bool = False
    ink_only: bool = False
    ground: str | None = None

    def pen(self, name: str) -> str:
        return _INK if self.ink_only else PENS[name][self.dark]

    @property
    def cover(self) -> str:
        return _GREY if self.ink_only else COVER

    @property
    def on_cover(self) -> str:
        return _INK if self.ink_only else PENS["ink"][0]

    @property
    def edge(self) -> str:
        """The light edge round letters and pegs."""
        return self.ground or (PENS["ink"][0] if self.dark else _WHITE)


class Things:
    """Draws things: where the board lies in the picture, and with which colours and sizes."""

    def __init__(self, extent: Extent, width: float, height: float, scale: float, colours: Colours) -> None:
        self.zoom = min(width / extent.width, height / extent.height)
        self.x0 = width / 2 - self.zoom * (extent.left + extent.right) / 2
        self.y0 = height / 2 + self.zoom * (extent.low + extent.high) / 2
        self.scale, self.colours = scale, colours

    def place(self, x: float, y: float) -> tuple[float, float]:
        """Board units to pixels."""
        return self.x0 + self.zoom * x, self.y0 - self.zoom * y

    def pen(self, style: dict[str, Any]) -> Pen:
        width = style["width"] * self.scale
        dash = tuple(float(part) * width for part in DASHES[style["pattern"]].split())
        if not dash and self.colours.ink_only:
            dash = tuple(part * width for part in INK_DASHES[style["pen"]])
        return Pen(self.colours.pen(style["pen"]), width, dash, style["pattern"] == "dotted")

    def shape(self, item: dict[str, Any]) -> list[Part]:
        """The parts of one item, without its label."""
        style, shape = item["style"], item["shape"]
        if item["kind"] == "mark" and style.get("cover"):
            return self.cover(*self._mark_place(shape))
        if item["kind"] == "point":
            return self._peg(style, shape)
        if "parts" in shape:
            return [self._copies(shape)]
        if item["kind"] == "chalk":
            return self._chalk(style, shape)
        if "rings" in shape:
            return self._region(style, shape)
        if "arcs" in shape:
            return self._arcs(style, shape)
        if "radius" in shape:
            return [self._filled((("O", *self.place(*shape["at"]), shape["radius"] * self.zoom),), style)]
        if "sweep" in shape:
            return self._angle(style, shape)
        if "mark" in shape:
            return self._mark(style, shape)
        if "curves" in shape:
            return [Shape(tuple(command for curve in shape["curves"] for command in self._run(curve)), self.pen(style))]
        if "points" not in shape:
            return []
        closes = (("Z",),) if item["kind"] == "polygon" else ()
        drawn: list[Part] = [self._filled(self._run(shape["points"]) + closes, style)]
        return drawn + self._arrow_head(style, shape["points"]) if shape.get("arrow") else drawn

    def _filled(self, path: Path, style: dict[str, Any]) -> Shape:
        """A path with the stroke and the fill of a look."""
        if not style["fill"]:
            return Shape(path, self.pen(style))
        if self.colours.ink_only:
            hatch = Hatch(HATCHES[list(PENS).index(style["fill_pen"]) % len(HATCHES)], _INK, 0.55, 0.7)
            return Shape(path, self.pen(style), hatch=hatch)
        return Shape(path, self.pen(style), self.colours.pen(style["fill_pen"]), style["fill"])

    def _run(self, points) -> Path:
        """Straight strokes from point to point."""
        places = [self.place(*pair) for pair in zip(points[::2], points[1::2])]
        return tuple(("L" if number else "M", *place) for number, place in enumerate(places))

    def _copies(self, shape: dict[str, Any]) -> Copies:
        """The parts of a family once, and a map of the picture for every member."""
        parts = [part for one in shape["parts"] if one["shape"] and not one["style"]["hidden"] for part in self.shape(one)]
        zoom, tx, ty, maps = self.zoom, self.x0, self.y0, []
        for a, b, c, d, e, f in zip(*(iter(shape["maps"]),) * 6):
            maps.append((a, -c, -b, d, tx - a * tx + b * ty + e * zoom, ty + c * tx - d * ty - f * zoom))
        return Copies(tuple(parts), tuple(maps))

    def _arrow_head(self, style, points) -> list[Part]:
        """The filled head at the end of a vector."""
        (ax, ay), (bx, by) = self.place(*points[:2]), self.place(*points[2:4])
        size, long = hypot(bx - ax, by - ay) or 1, SIZES["arrow"] * self.scale
        dx, dy = (bx - ax) / size * long, (by - ay) / size * long
        tx, ty = bx - 0.5 * dx, by - 0.5 * dy
        corners = ((tx, ty), (tx - dx - 0.45 * dy, ty - dy + 0.45 * dx), (tx - dx + 0.45 * dy, ty - dy - 0.45 * dx))
        path = tuple(("L" if number else "M", *corner) for number, corner in enumerate(corners))
        return [Shape((*path, ("Z",)), fill=self.colours.pen(style["pen"]))]

    def _arcs(self, style, shape) -> list[Part]:
        cx, cy = self.place(*shape["at"])
        radius, path = shape["radius"] * self.zoom, []
        for start, turn in shape["arcs"]:
            path += [("M", *on_circle(cx, cy, radius, start)), ("A", cx, cy, radius, start, turn)]
        closes = shape.get("closes")
        if closes == "centre":
            path.append(("L", cx, cy))
        if closes:
            path.append(("Z",))
        return [self._filled(tuple(path), style if closes else {**style, "fill": 0})]

    def _chalk(self, style, shape) -> list[Part]:
        """A stroke of chalk, as wide as it was pressed on the whole."""
        pressed = shape["presses"]
        width = style["width"] * self.scale * (0.4 + 1.2 * sum(pressed) / len(pressed) if pressed else 1)
        points = shape["points"] * (2 if len(shape["points"]) == 2 else 1)
        return [Shape(self._run(points), Pen(self.colours.pen(style["pen"]), width, round=True))]

    def _region(self, style, shape) -> list[Part]:
        """A region: its fill with a hatch, then the pieces of its edge."""
        whole: list[tuple[Any, ...]] = []
        strokes: list[Part] = []
        for ring in shape["rings"]:
            at = self.place(*ring["start"])
            whole.append(("M", *at))
            for piece, way in ring["pieces"]:
                drawn = self._piece(piece)
                whole += drawn
                if way != "none":
                    look = style if way == "whole" else {**style, "pattern": "dashed"}
                    strokes.append(Shape((("M", *at), *drawn), self.pen(look)))
                at = self._end(drawn[-1])
            whole.append(("Z",))
        if not style["fill"]:
            return strokes
        colour, path = self.colours.pen(style["fill_pen"]), tuple(whole)
        hatch = Hatch(shape["hatch"], colour, min(style["fill"] + _HATCH_MORE, 1))
        tint = None if self.colours.ink_only else colour
        return [Shape(path, fill=tint, opacity=style["fill"] * _TINT, hatch=hatch), *strokes]

    def _piece(self, piece) -> list[tuple[Any, ...]]:
        """A piece of the edge of a region as a path that goes on."""
        kind, *numbers = piece
        if kind == "line":
            return [("L", *self.place(*numbers))]
        if kind == "curve":
            return [("L", *self.place(*place)) for place in numbers]
        x, y, radius, start, sweep = numbers
        return [("A", *self.place(x, y), radius * self.zoom, start, sweep)]

    @staticmethod
    def _end(command) -> tuple[float, float]:
        if command[0] == "L":
            return command[1], command[2]
        _, x, y, radius, start, sweep = command
        return on_circle(x, y, radius, start + sweep)

    def _mark_place(self, shape) -> tuple[float, float]:
        """Where a mark stands: that of an angle in the middle of its arc."""
        x, y = self.place(*shape["at"])
        return on_circle(x, y, SIZES["arc"] * self.scale, shape["start"] + shape["sweep"] / 2) if "sweep" in shape else (x, y)

    def cover(self, x: float, y: float) -> list[Part]:
        """What hides a mark or a value until it is predicted."""
        size = SIZES["tag"] * self.scale
        box = self.plate(x - 0.8 * size, y - 0.8 * size, 1.6 * size, 1.6 * size, 0.4 * size)
        text = Text(x, y + 0.35 * size, "?", size, self.colours.on_cover)
        return [Shape(box, Pen(_INK, 0.8) if self.colours.ink_only else None, self.colours.cover), text]

    @staticmethod
    def plate(x: float, y: float, width: float, height: float, round_by: float) -> Path:
        """A box with round corners."""
        r, right, low = round_by, x + width, y + height
        return (
            ("M", x + r, y), ("L", right - r, y), ("A", right - r, y + r, r, 90, -90), ("L", right, low - r),
            ("A", right - r, low - r, r, 0, -90), ("L", x + r, low), ("A", x + r, low - r, r, -90, -90), ("L", x, y + r),
            ("A", x + r, y + r, r, 180, -90), ("Z",),
        )  # fmt: skip

    def _mark(self, style, shape) -> list[Part]:
        x, y = self.place(*shape["at"])
        turn, count, reach = radians(shape["turn"]), shape["count"], SIZES["stroke"] * self.scale
        dx, dy, gap = cos(turn), -sin(turn), 0.62 * reach
        path: list[tuple[Any, ...]] = []
        for number in range(count):
            off = (number - (count - 1) / 2) * gap
            px, py = x + off * dx, y + off * dy
            if shape["mark"] == "strokes":
                path += [("M", px - reach * dy, py + reach * dx), ("L", px + reach * dy, py - reach * dx)]
            else:
                bx, by, side = px - 0.8 * reach * dx, py - 0.8 * reach * dy, 0.7 * reach
                path += [("M", bx - side * dy, by + side * dx), ("L", px, py), ("L", bx + side * dy, by - side * dx)]
        return [Shape(tuple(path), self.pen(self._doubted(style, shape)))]

    @staticmethod
    def _doubted(style, shape):
        """The look of a mark, changed where the figure disagrees with it."""
        return {**style, "pen": "ruddy", "pattern": "dotted"} if shape.get("doubt") else style

    def _peg(self, style, shape) -> list[Part]:
        x, y = self.place(*shape["at"])
        size, colour = style["size"] * self.scale, self.colours.pen(style["pen"])
        if style["peg"] == "fixed":
            return [Shape((("O", x, y, size),), fill=colour)]
        diamond = Shape((("M", x, y - size), ("L", x + size, y), ("L", x, y + size), ("L", x - size, y), ("Z",)), fill=colour)
        if style["peg"] != "sliding":
            return [diamond]
        turn = radians(shape["turn"])
        dx, dy = 1.7 * size * cos(turn), -1.7 * size * sin(turn)
        bar = Shape((("M", x - dx, y - dy), ("L", x + dx, y + dy)), Pen(colour, 0.35 * size, round=True))
        return [bar, diamond]

    def _angle(self, style, shape) -> list[Part]:
        x, y = self.place(*shape["at"])
        reach = SIZES["square" if shape["right"] else "arc"] * self.scale
        start, sweep = shape["start"], shape["sweep"]
        (ax, ay), (bx, by) = on_circle(0, 0, reach, start), on_circle(0, 0, reach, start + sweep)
        path: list[tuple[Any, ...]] = []
        if shape["right"]:
            path = [("M", x + ax, y + ay), ("L", x + ax + bx, y + ay + by), ("L", x + bx, y + by)]
        else:
            for number in range(shape.get("count", 1)):
                radius = (1 + 0.22 * number) * reach
                path += [("M", *on_circle(x, y, radius, start)), ("A", x, y, radius, start, sweep)]
        return [Shape(tuple(path), self.pen(self._doubted(style, shape)))]
