"""A board as DXF: what it is made of in millimetres, to the board's scale, a layer for each pen."""

from __future__ import annotations

from collections.abc import Iterator
from io import StringIO
from math import cos, radians, sin
from typing import Any

from ..core.display.palette import PENS, SIZES
from .late import dxf_entities, dxf_enums, dxf_math, ezdxf

#: What the format calls millimetres.
_MILLIMETRES = 4
_LINETYPES = {"solid": "CONTINUOUS", "dashed": "DASHED", "dotted": "DOT"}
#: Letters on a drawing, in millimetres.
_LETTERS = 4.0
#: A map by less than this makes areas nothing.
_FLAT = 1e-12


def dxf_text(items: list[dict[str, Any]], millimetres: float, names: bool = True) -> str:
    """The text of a DXF document.

    Args:
        items: the display list.
        millimetres: how many a board unit has.
        names: whether names and readings are written.
    """
    return _Writing(millimetres).text(items, names)


class _Writing:
    def __init__(self, millimetres: float) -> None:
        self.times = millimetres
        self.document = ezdxf.new("R2010", setup=["linetypes"])
        self.document.units = _MILLIMETRES
        self.space = self.document.modelspace()
        for name, (code, _) in PENS.items():
            layer = self.document.layers.add(name)
            red, green, blue = bytes.fromhex(code[1:])
            layer.rgb = (red, green, blue)

    def text(self, items, names: bool) -> str:
        for item in sorted(items, key=lambda item: item["layer"]):
            if item["shape"] is None or item["style"]["hidden"]:
                continue
            self._thing(item)
            if names and item["label"] and item["style"]["tag" if item["kind"] == "number" else "label"]:
                self._label(item)
        out = StringIO()
        self.document.write(out)
        return out.getvalue()

    def _at(self, place) -> tuple[float, float]:
        return place[0] * self.times, place[1] * self.times

    def _look(self, style) -> dict[str, str]:
        return {"layer": style["pen"], "linetype": _LINETYPES[style["pattern"]]}

    def _thing(self, item) -> list[dxf_entities.DXFGraphic]:
        """Add what an item is drawn with. Returns it."""
        shape, look, space = item["shape"], self._look(item["style"]), self.space
        if item["kind"] == "point":
            return [space.add_point(self._at(shape["at"]), dxfattribs={"layer": look["layer"]})]
        if "parts" in shape:
            return self._copies(shape)
        if "rings" in shape:
            return [drawn for ring in shape["rings"] for drawn in self._ring(ring, look)]
        if "arcs" in shape:
            return self._arcs(shape, look)
        if "radius" in shape:
            return [space.add_circle(self._at(shape["at"]), shape["radius"] * self.times, dxfattribs=look)]
        if "curves" in shape:
            runs = [[self._at(pair) for pair in zip(curve[::2], curve[1::2])] for curve in shape["curves"]]
            return [space.add_lwpolyline(run, dxfattribs=look) for run in runs]
        if "points" not in shape:
            return []
        places = [self._at(pair) for pair in zip(shape["points"][::2], shape["points"][1::2])]
        if len(places) == 2:
            return [space.add_line(places[0], places[1], dxfattribs=look)]
        return [space.add_lwpolyline(places, close=item["kind"] == "polygon", dxfattribs=look)]

    def _arcs(self, shape, look) -> list[dxf_entities.DXFGraphic]:
        centre, radius = self._at(shape["at"]), shape["radius"] * self.times
        drawn: list[dxf_entities.DXFGraphic] = []
        for start, turn in shape["arcs"]:
            drawn.append(self.space.add_arc(centre, radius, start, start + turn, dxfattribs=look))
            ends = [(centre[0] + radius * cos(angle), centre[1] + radius * sin(angle)) for angle in map(radians, (start, start + turn))]
            if shape.get("closes") == "centre":
                drawn += [self.space.add_line(centre, end, dxfattribs=look) for end in ends]
            elif shape.get("closes"):
                drawn.append(self.space.add_line(ends[0], ends[1], dxfattribs=look))
        return drawn

    def _ring(self, ring, look) -> Iterator[dxf_entities.DXFGraphic]:
        """The pieces of the edge of a region that are seen."""
        at = ring["start"]
        for (kind, *numbers), way in ring["pieces"]:
            piece_look = {**look, "linetype": "DASHED"} if way == "dashed" else look
            if kind == "arc":
                x, y, radius, start, sweep = numbers
                ends = (start, start + sweep) if sweep > 0 else (start + sweep, start)
                at = x + radius * cos(radians(start + sweep)), y + radius * sin(radians(start + sweep))
                if way != "none":
                    yield self.space.add_arc(self._at((x, y)), radius * self.times, *ends, dxfattribs=piece_look)
                continue
            places = [at, *([tuple(numbers)] if kind == "line" else numbers)]
            at = places[-1]
            if way != "none":
                yield self.space.add_lwpolyline([self._at(place) for place in places], dxfattribs=piece_look)

    def _copies(self, shape) -> list[dxf_entities.DXFGraphic]:
        """Each part of a family for every member."""
        all_copies: list[dxf_entities.DXFGraphic] = []
        once = [drawn for part in shape["parts"] if part["shape"] and not part["style"]["hidden"] for drawn in self._thing(part)]
        for a, b, c, d, e, f in zip(*(iter(shape["maps"]),) * 6):
            if abs(a * d - b * c) < _FLAT:
                continue  # all that is left of it is a place or a line
            matrix = dxf_math.Matrix44((a, c, 0, 0, b, d, 0, 0, 0, 0, 1, 0, e * self.times, f * self.times, 0, 1))
            for one in once:
                copy = one.copy()
                self.space.add_entity(copy)
                all_copies.append(self._transformed(copy, matrix))
        for one in once:
            self.space.delete_entity(one)
        return all_copies

    def _transformed(self, one: dxf_entities.DXFGraphic, matrix: dxf_math.Matrix44) -> dxf_entities.DXFGraphic:
        try:
            return one.transform(matrix)
        except dxf_math.NonUniformScalingError:  # a circle becomes an ellipse
            ellipse = dxf_entities.Ellipse.from_arc(one) if isinstance(one, dxf_entities.Circle) else one
            self.space.delete_entity(one)
            self.space.add_entity(ellipse)
            return ellipse.transform(matrix)

    def _label(self, item) -> None:
        label = item["label"]
        pushed = label["offset"] or (SIZES["push"] * label["push"][0], -SIZES["push"] * label["push"][1])
        # A push is in pixels of the screen: as many quarters of a millimetre.
        x, y = self._at(label["at"])
        at = x + pushed[0] * 0.2, y - pushed[1] * 0.2
        height = _LETTERS if item["kind"] != "number" else 0.75 * _LETTERS
        text = self.space.add_text(label["text"].replace("\n", " "), height=height, dxfattribs={"layer": item["style"]["pen"]})
        text.set_placement(at, align=dxf_enums.TextEntityAlignment.MIDDLE_CENTER)
