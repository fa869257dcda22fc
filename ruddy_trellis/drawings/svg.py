"""The display list as an SVG picture: the pictures of lessons and the icons of tools."""

from html import escape
from math import cos, hypot, radians, sin

from ..core.display.palette import COVER, GROUNDS, PENS, SIZES

#: Dash patterns in multiples of the line's width.
_NO_FILL = 'fill="none"'
DASHES = {"solid": "", "dashed": "4 3", "dotted": "0.1 2.6"}


def svg(items, extent, width, height, *, dark=False, scale=1.0, labels=True, tags=True, ground=None):
    """Draw a display list.

    Args:
        items: the display list.
        extent: the part of the plane to show, fitted into the picture whole.
        width, height: of the picture, pixels.
        dark: with the pens of a dark board.
        scale: of line widths, pegs and words.
        labels: whether names and readings are written; tags: whether readings are.
        ground: the colour of the ground, or None for a clear one.

    Returns:
        The text of the SVG element.
    """
    drawing = _Drawing(extent, width, height, dark, scale)
    parts = [f'<rect width="{width}" height="{height}" fill="{ground}"/>'] if ground else []
    shown = [item for item in sorted(items, key=lambda item: item["layer"]) if item["shape"] is not None and not item["style"]["hidden"]]
    parts += [drawing.shape(item) for item in shown]
    if labels:
        parts += [drawing.label(item) for item in shown if item["label"] and item["style"]["label"] and (tags or item["kind"] != "number")]
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {width} {height}" width="{width}" height="{height}" '
        f'font-family="Atkinson Hyperlegible, sans-serif" aria-hidden="true">{"".join(parts)}</svg>'
    )


class _Drawing:
    def __init__(self, extent, width, height, dark, scale):
        self.zoom = min(width / extent.width, height / extent.height)
        self.x0 = width / 2 - self.zoom * (extent.left + extent.right) / 2
        self.y0 = height / 2 + self.zoom * (extent.low + extent.high) / 2
        self.dark, self.scale = dark, scale
        self.keep, self._families, self._hatches = "", 0, 0

    def place(self, x, y):
        return round(self.x0 + self.zoom * x, 2), round(self.y0 - self.zoom * y, 2)

    def pen(self, name):
        return PENS[name][self.dark]

    def _stroke(self, style):
        width = style["width"] * self.scale
        dash = " ".join(f"{float(part) * width:.1f}" for part in DASHES[style["pattern"]].split())
        dashes = f' stroke-dasharray="{dash}" stroke-linecap="round"' if dash else ""
        return f'stroke="{self.pen(style["pen"])}" stroke-width="{width:.2f}"{dashes}{self.keep}'

    def shape(self, item):
        style, shape = item["style"], item["shape"]
        if item["kind"] == "mark" and style.get("cover"):
            return self._cover(*self._mark_place(shape))
        if item["kind"] == "point":
            return self._peg(style, shape)
        if "parts" in shape:
            return self._copies(shape)
        if item["kind"] == "chalk":
            return self._chalk(style, shape)
        if "rings" in shape:
            return self._region(style, shape)
        if "arcs" in shape:
            return self._arcs(style, shape)
        if "radius" in shape:
            x, y = self.place(*shape["at"])
            return f'<circle cx="{x}" cy="{y}" r="{shape["radius"] * self.zoom:.2f}" {self._fill(style)} {self._stroke(style)}/>'
        if "sweep" in shape:
            return self._angle(style, shape)
        if "mark" in shape:
            return self._mark(style, shape)
        if "curves" in shape:
            path = "".join(self._run(curve) for curve in shape["curves"])
            return f'<path d="{path}" fill="none" {self._stroke(style)} stroke-linejoin="round"/>'
        if "points" not in shape:
            return ""
        path = self._run(shape["points"]) + ("Z" if item["kind"] == "polygon" else "")
        drawn = f'<path d="{path}" {self._fill(style)} {self._stroke(style)} stroke-linejoin="round"/>'
        return drawn + self._arrow_head(style, shape["points"]) if shape.get("arrow") else drawn

    def _copies(self, shape):
        """The parts of a family once, and a use of them for every member."""
        self._families += 1
        name, self.keep = f"family{self._families}", ' vector-effect="non-scaling-stroke"'
        parts = "".join(self.shape(part) for part in shape["parts"] if part["shape"] and not part["style"]["hidden"])
        self.keep = ""
        zoom, tx, ty, uses = self.zoom, self.x0, self.y0, []
        for a, b, c, d, e, f in zip(*(iter(shape["maps"]),) * 6):
            numbers = (a, -c, -b, d, tx - a * tx + b * ty + e * zoom, ty + c * tx - d * ty - f * zoom)
            uses.append(f'<use href="#{name}" transform="matrix({" ".join(f"{number:.6g}" for number in numbers)})"/>')
        return f'<defs><g id="{name}">{parts}</g></defs>{"".join(uses)}'

    def _run(self, points):
        """Straight strokes from point to point."""
        return "M" + "L".join(f"{x} {y}" for x, y in (self.place(*pair) for pair in zip(points[::2], points[1::2])))

    def _arrow_head(self, style, points):
        """The filled head at the end of a vector."""
        (ax, ay), (bx, by) = self.place(*points[:2]), self.place(*points[2:4])
        size, long = hypot(bx - ax, by - ay) or 1, SIZES["arrow"] * self.scale
        dx, dy = (bx - ax) / size * long, (by - ay) / size * long
        tx, ty = bx - 0.5 * dx, by - 0.5 * dy
        corners = [(tx, ty), (tx - dx - 0.45 * dy, ty - dy + 0.45 * dx), (tx - dx + 0.45 * dy, ty - dy - 0.45 * dx)]
        return f'<path d="M{"L".join(f"{x:.1f} {y:.1f}" for x, y in corners)}Z" fill="{self.pen(style["pen"])}"/>'

    def _arcs(self, style, shape):
        cx, cy = self.place(*shape["at"])
        radius, path = shape["radius"] * self.zoom, ""
        for start, turn in shape["arcs"]:
            ends = [(cx + radius * cos(radians(angle)), cy - radius * sin(radians(angle))) for angle in (start, start + turn)]
            (ax, ay), (bx, by) = ends
            path += f"M{ax:.2f} {ay:.2f}A{radius:.2f} {radius:.2f} 0 {int(turn > 180)} 0 {bx:.2f} {by:.2f}"
        if closes := shape.get("closes"):
            path += (f"L{cx:.2f} {cy:.2f}" if closes == "centre" else "") + "Z"
        return f'<path d="{path}" {self._fill(style) if closes else _NO_FILL} {self._stroke(style)} stroke-linejoin="round"/>'

    def _chalk(self, style, shape):
        """A stroke of chalk, as wide as it was pressed on the whole."""
        pressed = shape["presses"]
        width = style["width"] * self.scale * (0.4 + 1.2 * sum(pressed) / len(pressed) if pressed else 1)
        pen = self.pen(style["pen"])
        return (
            f'<path d="{self._run(shape["points"] * (2 if len(shape["points"]) == 2 else 1))}" {_NO_FILL} stroke="{pen}" '
            f'stroke-width="{width:.2f}" stroke-linecap="round" stroke-linejoin="round"/>'
        )

    def _region(self, style, shape):
        """A region: its fill with a hatch, then the pieces of its edge."""
        whole, strokes = "", ""
        for ring in shape["rings"]:
            at, path = ring["start"], ""
            for piece, way in ring["pieces"]:
                drawn, end = self._piece(piece)
                path += drawn
                if way != "none":
                    look = style if way == "whole" else {**style, "pattern": "dashed"}
                    strokes += f'<path d="M{self._at(at)}{drawn}" {_NO_FILL} {self._stroke(look)} stroke-linejoin="round"/>'
                at = end
            whole += f"M{self._at(ring['start'])}{path}Z"
        if not style["fill"]:
            return strokes
        self._hatches += 1
        name, pen = f"hatch{self._hatches}", self.pen(style["fill_pen"])
        tile = (
            f'<pattern id="{name}" width="10" height="10" patternUnits="userSpaceOnUse"><path d="{shape["hatch"]}" '
            f'stroke="{pen}" stroke-width="1.4"/></pattern>'
        )
        return (
            f'<defs>{tile}</defs><path d="{whole}" fill="{pen}" fill-opacity="{style["fill"] * 0.6:.2f}"/>'
            f'<path d="{whole}" fill="url(#{name})" fill-opacity="{min(style["fill"] + 0.3, 1):.2f}"/>{strokes}'
        )

    def _at(self, place):
        x, y = self.place(*place)
        return f"{x:.2f} {y:.2f}"

    def _piece(self, piece):
        """A piece of the edge of a region as a path that goes on, and where it ends."""
        kind, *numbers = piece
        if kind == "line":
            return f"L{self._at(numbers)}", numbers
        if kind == "curve":
            return "".join(f"L{self._at(place)}" for place in numbers), numbers[-1]
        x, y, radius, start, sweep = numbers
        path, reach = "", f"{radius * self.zoom:.2f}"
        # A whole circle is drawn in two halves: an arc does not end where it begins.
        for share in (0.5, 1):
            angle = radians(start + share * sweep)
            end = (x + radius * cos(angle), y + radius * sin(angle))
            path += f"A{reach} {reach} 0 0 {int(sweep < 0)} {self._at(end)}"
        return path, end

    def _mark_place(self, shape):
        """Where a mark stands: that of an angle in the middle of its arc."""
        x, y = self.place(*shape["at"])
        if "sweep" in shape:
            middle, reach = radians(shape["start"] + shape["sweep"] / 2), SIZES["arc"] * self.scale
            x, y = x + reach * cos(middle), y - reach * sin(middle)
        return x, y

    def _cover(self, x, y):
        """What hides a mark or a value until it is predicted."""
        size = SIZES["tag"] * self.scale
        return (
            f'<rect x="{x - 0.8 * size:.1f}" y="{y - 0.8 * size:.1f}" width="{1.6 * size:.1f}" height="{1.6 * size:.1f}" '
            f'rx="{0.4 * size:.1f}" fill="{COVER}"/>'
            f'<text x="{x:.1f}" y="{y + 0.35 * size:.1f}" font-size="{size:.1f}" text-anchor="middle" fill="{PENS["ink"][0]}">?</text>'
        )

    def _mark(self, style, shape):
        x, y = self.place(*shape["at"])
        turn, count, reach = radians(shape["turn"]), shape["count"], SIZES["stroke"] * self.scale
        dx, dy, gap = cos(turn), -sin(turn), 0.62 * reach
        path = ""
        for number in range(count):
            off = (number - (count - 1) / 2) * gap
            px, py = x + off * dx, y + off * dy
            if shape["mark"] == "strokes":
                path += f"M{px - reach * dy:.1f} {py + reach * dx:.1f}L{px + reach * dy:.1f} {py - reach * dx:.1f}"
            else:
                bx, by = px - 0.8 * reach * dx, py - 0.8 * reach * dy
                path += (
                    f"M{bx - 0.7 * reach * dy:.1f} {by + 0.7 * reach * dx:.1f}L{px:.1f} {py:.1f}L{bx + 0.7 * reach * dy:.1f} "
                    f"{by - 0.7 * reach * dx:.1f}"
                )
        return f'<path d="{path}" fill="none" {self._stroke(self._doubted(style, shape))} stroke-linejoin="round"/>'

    @staticmethod
    def _doubted(style, shape):
        """The look of a mark, changed where the figure disagrees with it."""
        return {**style, "pen": "ruddy", "pattern": "dotted"} if shape.get("doubt") else style

    def _fill(self, style):
        return f'fill="{self.pen(style["fill_pen"])}" fill-opacity="{style["fill"]}"' if style["fill"] else 'fill="none"'

    def _peg(self, style, shape):
        x, y = self.place(*shape["at"])
        size, colour = style["size"] * self.scale, self.pen(style["pen"])
        if style["peg"] == "fixed":
            return f'<circle cx="{x}" cy="{y}" r="{size:.1f}" fill="{colour}"/>'
        diamond = f'<path d="M{x} {y - size:.1f}l{size:.1f} {size:.1f}-{size:.1f} {size:.1f}-{size:.1f}-{size:.1f}z" fill="{colour}"/>'
        if style["peg"] == "sliding":
            turn = radians(shape["turn"])
            dx, dy = 1.7 * size * cos(turn), -1.7 * size * sin(turn)
            diamond = (
                f'<path d="M{x - dx:.1f} {y - dy:.1f}L{x + dx:.1f} {y + dy:.1f}" stroke="{colour}" '
                f'stroke-width="{0.35 * size:.1f}" stroke-linecap="round"/>' + diamond
            )
        return diamond

    def _angle(self, style, shape):
        x, y = self.place(*shape["at"])
        start, end = radians(shape["start"]), radians(shape["start"] + shape["sweep"])
        reach = SIZES["square" if shape["right"] else "arc"] * self.scale
        ax, ay, bx, by = reach * cos(start), -reach * sin(start), reach * cos(end), -reach * sin(end)
        if shape["right"]:
            path = f"M{x + ax:.1f} {y + ay:.1f}l{bx:.1f} {by:.1f}L{x + bx:.1f} {y + by:.1f}"
        else:
            large, way = int(abs(shape["sweep"]) > 180), int(shape["sweep"] < 0)
            path = ""
            for number in range(shape.get("count", 1)):
                times = 1 + 0.22 * number
                path += (
                    f"M{x + times * ax:.1f} {y + times * ay:.1f}"
                    f"A{times * reach:.1f} {times * reach:.1f} 0 {large} {way} {x + times * bx:.1f} {y + times * by:.1f}"
                )
        return f'<path d="{path}" fill="none" {self._stroke(self._doubted(style, shape))}/>'

    def label(self, item):
        label, size = item["label"], SIZES["tag" if item["kind"] == "number" else "name"] * self.scale
        if item["kind"] != "number" and len(label["text"]) > 4 and self.scale < 0.75:
            size *= 0.62  # in a small picture, names of whole words would lie over one another
        if item["kind"] == "number" and not item["style"]["tag"]:
            return ""
        x, y = self.place(*label["at"])
        dx, dy = label["offset"] or (SIZES["push"] * label["push"][0], -SIZES["push"] * label["push"][1])
        dx, dy = dx * self.scale, dy * self.scale
        if item["kind"] == "number" and item["style"].get("cover"):
            return self._cover(x + dx, y + dy)
        weight, plate, pen = "bold", "", "ink"
        if item["kind"] == "number":
            # Half the size of the letters is about their width on average.
            width, height = 0.5 * size * len(label["text"]) + size, 1.6 * size
            weight, pen = "normal", item["style"]["pen"]
            plate = (
                f'<rect x="{x + dx - width / 2:.1f}" y="{y + dy - height / 2:.1f}" width="{width:.1f}" height="{height:.1f}" '
                f'rx="{size * 0.4:.1f}" fill="{GROUNDS[self.dark]}" fill-opacity="0.85"/>'
            )
        lines = label["text"].split("\n")
        top = y + dy + size * (0.35 - 0.55 * (len(lines) - 1))
        return plate + "".join(
            f'<text x="{x + dx:.1f}" y="{top + number * 1.1 * size:.1f}" font-size="{size:.1f}" font-weight="{weight}" '
            f'text-anchor="middle" fill="{self.pen(pen)}">{escape(line)}</text>'
            for number, line in enumerate(lines)
        )
