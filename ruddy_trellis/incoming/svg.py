"""Drawings from SVG: points, segments, polylines, polygons, circles, arcs, ellipses, with groups, transforms and units followed."""

import re
from collections.abc import Iterator
from math import atan2, cos, degrees, hypot, pi, sin
from typing import Any
from xml.etree.ElementTree import Element, ParseError

from ..core.refusal import Refusal
from .found import MOST, Found
from .late import safe_xml, svgelements

_NAMESPACE = "{http://www.w3.org/2000/svg}"
_GROUPS = {"svg", "g", "a", "switch"}
#: What draws nothing by itself.
_SILENT = {
    "title", "desc", "metadata", "defs", "style", "clipPath", "mask", "pattern", "symbol", "marker", "linearGradient",
    "radialGradient", "filter", "script",
}  # fmt: skip
#: In a drawing of our own: what stands on the board beside the figure.
_BESIDE = {"name", "tag", "number", "mark", "words", "chalk", "trail", "region", "condition", "photograph"}
_DEEPEST, _LONGEST = 60, 200_000
#: Pixels in a centimetre; how far stretched a circle may be and still be one.
_CM, _ROUND = 96 / 2.54, 1e-9
_LENGTH = re.compile(r"([-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?)(px|cm|mm|Q|in|pt|pc|)")
#: Pixels in every unit that a length may be in.
_PIXELS = {"": 1, "px": 1, "cm": 96 / 2.54, "mm": 96 / 25.4, "Q": 96 / 101.6, "in": 96, "pt": 96 / 72, "pc": 16}
#: A curve is followed by so many straight strokes.
_STROKES = 12


def read_svg(content: bytes, per_centimetre: float) -> Found:
    """What is drawn in an SVG file.

    Args:
        per_centimetre: how many board units a centimetre of the drawing is.

    Raises:
        Refusal: where it is no SVG, or says what no drawing may (entities, documents of others).
    """
    try:
        root = safe_xml.fromstring(content, forbid_dtd=False, forbid_entities=True, forbid_external=True)
    except (safe_xml.EntitiesForbidden, safe_xml.ExternalReferenceForbidden):
        raise Refusal("That drawing defines entities or calls for other documents, which is not read. Save it as plain SVG.") from None
    except (ParseError, ValueError, LookupError) as error:
        raise Refusal(f"That is no SVG that can be read: {str(error)[:100]}.") from None
    if _tag(root) != "svg":
        raise Refusal("That is no SVG: it does not begin with an svg element.")
    found = Found()
    if origin := root.get("data-origin"):
        # One of our own: it says where the board's origin is and how many pixels a unit has.
        try:
            x0, y0 = (float(part) for part in origin.split())
            zoom = float(root.get("data-unit", ""))
            to_board = svgelements.Matrix(1 / zoom, 0, 0, -1 / zoom, -x0 / zoom, y0 / zoom)
        except (ValueError, ZeroDivisionError):
            raise Refusal("That drawing says where its board lies, but not in numbers.") from None
        found.is_placed = True
    else:
        times = per_centimetre / _CM
        to_board = _viewed(root) * svgelements.Matrix(times, 0, 0, -times, 0, 0)
    _Reading(found, root).group(root, to_board, 0)
    found.check()
    return found


def _tag(element: Element) -> str:
    tag = element.tag if isinstance(element.tag, str) else ""
    return tag.rpartition("}")[2]


def _length(text: str | None, plain: float = 0.0) -> float:
    """A length in pixels. Raises ValueError."""
    if text is None:
        return plain
    match = _LENGTH.fullmatch(text.strip()[:40])
    if match is None:
        raise ValueError(text[:40])
    return float(match[1]) * _PIXELS[match[2]]


def _viewed(root: Element) -> Any:
    """From the units of a drawing to pixels, by its size and its view box."""
    try:
        left, top, width, height = (float(part) for part in root.get("viewBox", "").replace(",", " ").split())
        wide, high = _length(root.get("width"), width), _length(root.get("height"), height)
        times = min(wide / width, high / height)
        return svgelements.Matrix(times, 0, 0, times, -left * times, -top * times)
    except (ValueError, ZeroDivisionError, TypeError):
        return svgelements.Matrix()


class _Reading:
    def __init__(self, found: Found, root: Element) -> None:
        self.found = found
        self._by_id = {element.get("id"): element for element in root.iter() if element.get("id")}
        self._met = 0

    def group(self, element: Element, to: Any, depth: int) -> None:
        """What is in a group."""
        if depth > _DEEPEST:
            raise Refusal("That drawing has groups within groups within groups, too deep to be read.")
        for child in element:
            self._met += 1
            if self._met > 20 * MOST:
                raise Refusal("There is too much in that drawing for a board. Bring in a part of it.")
            tag = _tag(child)
            if tag and tag not in _SILENT and not _unseen(child) and not (self.found.is_placed and self._is_beside(child, tag, depth)):
                self._one(tag, child, to, depth)
            self.found.room()

    def _is_beside(self, element: Element, tag: str, depth: int) -> bool:
        """Whether in a drawing of our own this is no part of the figure: its ground, what is written, pegs, which say where they are."""
        if element.get("data-at"):
            self._peg(element)
            return True
        return (
            element.get("class") in _BESIDE
            if depth == 0 and tag == "g"
            else depth == 0 or (tag not in ("g", "use") and not element.get("stroke"))
        )

    def _peg(self, element: Element) -> None:
        """A point of our own, which says where it is, and in its title what it is called."""
        try:
            x, y = (float(part) for part in element.get("data-at", "").split())
        except ValueError:
            self.found.leave("point that cannot be read")
            return
        name, said, _ = (element.findtext(f"{_NAMESPACE}title") or "").partition(" is ")
        self.found.points.append((x, y, name if said else None))

    def _one(self, tag: str, element: Element, to: Any, depth: int) -> None:
        try:
            if element.get("transform"):
                to = svgelements.Matrix(element.get("transform", "")[:2000]) * to
            if tag in _GROUPS:
                self.group(element, to, depth + 1)
            elif tag == "use":
                self._used(element, to, depth)
            else:
                self._shape(tag, element, to)
        except Refusal:
            raise
        except (ValueError, TypeError, ArithmeticError, AttributeError, IndexError, KeyError):
            self.found.leave(f"{tag} that cannot be read")

    def _used(self, element: Element, to: Any, depth: int) -> None:
        link = element.get("href") or element.get("{http://www.w3.org/1999/xlink}href") or ""
        target = self._by_id.get(link[1:]) if link.startswith("#") else None
        if target is None:
            self.found.leave("use of what is not there")
            return
        moved = svgelements.Matrix(1, 0, 0, 1, _length(element.get("x")), _length(element.get("y"))) * to
        if depth > _DEEPEST:
            raise Refusal("That drawing uses itself within itself.")
        holder = Element("g")
        holder.append(target)
        self.group(holder, moved, depth + 1)

    def _shape(self, tag: str, element: Element, to: Any) -> None:
        at = lambda name: _length(element.get(name))
        if tag == "circle":
            self._round(at("cx"), at("cy"), at("r"), at("r"), to)
        elif tag == "ellipse":
            self._round(at("cx"), at("cy"), at("rx"), at("ry"), to)
        elif tag == "line":
            self._line([(at("x1"), at("y1")), (at("x2"), at("y2"))], False, to)
        elif tag in ("polyline", "polygon"):
            numbers = [float(part) for part in element.get("points", "")[:_LONGEST].replace(",", " ").split()]
            self._line(list(zip(numbers[::2], numbers[1::2])), tag == "polygon", to)
        elif tag == "rect":
            x, y, width, height = at("x"), at("y"), at("width"), at("height")
            if width <= 0 or height <= 0:
                raise ValueError("no size")
            self._line([(x, y), (x + width, y), (x + width, y + height), (x, y + height)], True, to)
        elif tag == "path":
            data = element.get("d", "")
            if len(data) > _LONGEST:
                raise Refusal("A path in that drawing is too long for a board.")
            self._path(svgelements.Path(data), to)
        else:
            self.found.leave(tag if tag in ("text", "image", "foreignObject") else f"“{tag[:20]}”")

    def _line(self, places, is_closed: bool, to: Any) -> None:
        if len(places) < 2:
            raise ValueError("no line")
        self.found.lines.append(([_through(to, *place) for place in places], is_closed))
        self.found.room()

    def _round(self, x: float, y: float, rx: float, ry: float, to: Any) -> None:
        """A circle or an ellipse with its axes level and upright, taken through a map."""
        if rx <= 0 or ry <= 0:
            raise ValueError("no radius")
        cx, cy = _through(to, x, y)
        ux, uy, vx, vy = to.a * rx, to.b * rx, to.c * ry, to.d * ry
        # The axes of the image of a circle under a linear map are those of its singular values.
        turn = atan2(2 * (ux * vx + uy * vy), ux * ux + uy * uy - vx * vx - vy * vy) / 2
        ax, ay = ux * cos(turn) + vx * sin(turn), uy * cos(turn) + vy * sin(turn)
        bx, by = vx * cos(turn) - ux * sin(turn), vy * cos(turn) - uy * sin(turn)
        if hypot(bx, by) > hypot(ax, ay):
            ax, ay, bx, by = bx, by, ax, ay
        long, short = hypot(ax, ay), hypot(bx, by)
        if long - short <= _ROUND * long:
            self.found.circles.append((cx, cy, (long + short) / 2))
        elif short <= _ROUND * long:
            self.found.lines.append(([(cx - ax, cy - ay), (cx + ax, cy + ay)], False))
        else:
            self.found.ellipses.append((cx, cy, ax, ay, short / long))

    def _path(self, outline: Any, to: Any) -> None:
        """The strokes of a path: straight ones joined up, arcs of circles as arcs, other curves by straight strokes."""
        run: list[tuple[float, float]] = []

        def end(is_closed=False):
            if len(run) > 1:
                self.found.lines.append((list(run), is_closed))
                self.found.room()
            run.clear()

        def begin(piece):
            if not run:
                run.append(_through(to, piece.start.x, piece.start.y))

        for piece in outline:
            if isinstance(piece, svgelements.Move):
                end()
            elif isinstance(piece, svgelements.Close):
                begun = _through(to, piece.end.x, piece.end.y)
                if run and run[0] == begun:
                    end(True)
                else:  # an arc lies between: the last stroke goes back to where all of it began
                    begin(piece)
                    run.append(begun)
                    end()
            elif isinstance(piece, svgelements.Line):
                begin(piece)
                run.append(_through(to, piece.end.x, piece.end.y))
            elif isinstance(piece, svgelements.Arc) and self._is_round(piece, to):
                end()
                self._arc(piece, to)
            elif isinstance(piece, (svgelements.Arc, svgelements.CubicBezier, svgelements.QuadraticBezier)):
                begin(piece)
                run += [_through(to, point.x, point.y) for point in map(piece.point, _shares())]
        end()

    @staticmethod
    def _is_round(piece: Any, to: Any) -> bool:
        """Whether an arc is one of a circle, and still is after the map."""
        ends = abs(piece.rx - piece.ry) <= _ROUND * max(piece.rx, piece.ry)
        alike = hypot(to.a - to.d, to.b + to.c) <= _ROUND * hypot(to.a, to.b) or hypot(to.a + to.d, to.b - to.c) <= _ROUND * hypot(
            to.a, to.b
        )
        return ends and alike

    def _arc(self, piece: Any, to: Any) -> None:
        centre = _through(to, piece.center.x, piece.center.y)
        start, stop = _through(to, piece.start.x, piece.start.y), _through(to, piece.end.x, piece.end.y)
        radius = hypot(start[0] - centre[0], start[1] - centre[1])
        first, last = (degrees(atan2(at[1] - centre[1], at[0] - centre[0])) for at in (start, stop))
        # In the file y goes down: what turns to the right there turns to the left here unless the map turns it over again.
        anticlockwise = (piece.sweep > 0) == (to.a * to.d - to.b * to.c > 0)
        if abs(abs(piece.sweep) - 2 * pi) < 1e-9:
            self.found.circles.append((*centre, radius))
            return
        arc = (*centre, radius, first, last) if anticlockwise else (*centre, radius, last, first)
        self.found.arcs[-1:] = _joined(self.found.arcs[-1:], arc)


def _joined(before: list, arc: tuple) -> list:
    """An arc after the one before; as one with it where it goes on from there, as long arcs are written in two halves."""
    if before:
        x, y, radius, start, stop = before[0]
        near = 1e-9 * max(radius, abs(x), abs(y), 1)
        if all(abs(a - b) <= near for a, b in zip((x, y, radius), arc)):
            apart = lambda a, b: abs((a - b + 180) % 360 - 180) < 1e-6
            if apart(stop, arc[3]) and apart(start, arc[4]):
                return [*before, arc]  # two halves of a whole circle stay two
            if apart(stop, arc[3]):
                return [(x, y, radius, start, arc[4])]
            if apart(start, arc[4]):
                return [(x, y, radius, arc[3], stop)]
    return [*before, arc]


def _shares() -> Iterator[float]:
    return (number / _STROKES for number in range(1, _STROKES + 1))


def _through(to: Any, x: float, y: float) -> tuple[float, float]:
    return to.a * x + to.c * y + to.e, to.b * x + to.d * y + to.f


def _unseen(element: Element) -> bool:
    style = (element.get("style") or "").replace(" ", "")
    return element.get("display") == "none" or element.get("visibility") == "hidden" or "display:none" in style
