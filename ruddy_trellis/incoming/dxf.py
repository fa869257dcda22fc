"""Drawings from DXF: points, lines, polylines, circles, arcs, ellipses, with blocks and units followed."""

import io
import logging
import re
from collections.abc import Iterator
from math import hypot
from typing import Any

from ..core.refusal import Refusal
from .found import MOST, Found
from .late import dxf_const, dxf_recover

#: Centimetres in the units that a drawing may be in; where it does not say, they are millimetres.
#: By their numbers in the format: inches, feet, millimetres, centimetres, metres, kilometres.
_CENTIMETRES = {1: 2.54, 2: 30.48, 4: 0.1, 5: 1.0, 6: 100.0, 7: 100_000.0}
_DEEPEST = 12
#: Where the section begins that says what is drawn; how many lines it has at most, and the whole file. A thing has some 8 to 40.
_ENTITIES = re.compile(rb"\n\s*2\s*\r?\n\s*ENTITIES\s*\r?\n")
_DRAWN_LINES, _LINES = 60 * MOST, 400_000
#: What is mended in a broken file is of no use in our log.
logging.getLogger("ezdxf").setLevel(logging.ERROR)
_CALLED = {"TEXT": "text", "MTEXT": "text", "SPLINE": "spline", "HATCH": "hatch", "DIMENSION": "dimension", "INSERT": "block"}


def read_dxf(content: bytes, per_centimetre: float) -> Found:
    """What is drawn in a DXF file.

    Args:
        per_centimetre: how many board units a centimetre of the drawing is.

    Raises:
        Refusal: where it is no DXF.
    """
    _check_size(content)
    try:
        document, _ = dxf_recover.read(io.BytesIO(content))
    except (dxf_const.DXFError, ValueError, TypeError, KeyError, IndexError, AttributeError, AssertionError, OSError, RecursionError):
        raise Refusal("That is no DXF that can be read. Save the drawing as DXF (R12 or later, text).") from None
    # Ours is placed as the board is: 10 mm and the origin of the board are those of the drawing.
    found = Found(is_placed=True)
    times = _CENTIMETRES.get(document.units, 0.1) * per_centimetre
    for met, one in enumerate(_flat(document.modelspace(), 0)):
        if met > 20 * MOST:
            raise Refusal("There is too much in that drawing for a board. Bring in a part of it.")
        try:
            _read(one, times, found)
        except (dxf_const.DXFError, ValueError, TypeError, ArithmeticError, AttributeError, AssertionError, NotImplementedError):
            found.leave(f"{_name(one)} that cannot be read")
        found.room()
    found.check()
    return found


def _check_size(content: bytes) -> None:
    """Raise Refusal for a drawing of which plain counting says that it holds far more than a board: to read it would take minutes."""
    begins = _ENTITIES.search(content)
    ends = content.find(b"ENDSEC", begins.end()) if begins else -1
    drawn = content[begins.end() : ends] if begins and ends > 0 else b""
    if content.count(b"\n") > _LINES or drawn.count(b"\n") > _DRAWN_LINES:
        raise Refusal(f"There is too much in that drawing for a board, which takes {MOST} things. Bring in a part of it.")


def _flat(entities, depth: int) -> Iterator[Any]:
    """All that is drawn, blocks taken apart."""
    for one in entities:
        if one.dxftype() == "INSERT" and depth < _DEEPEST:
            yield from _flat(one.virtual_entities(), depth + 1)
        else:
            yield one


def _name(one: Any) -> str:
    kind = one.dxftype()
    return _CALLED.get(kind, f"“{kind.lower()[:20]}”")


def _read(one: Any, times: float, found: Found) -> None:
    kind, own = one.dxftype(), one.dxf
    at = lambda place: (place[0] * times, place[1] * times)
    if kind == "POINT":
        found.points.append((*at(own.location), None))
    elif kind == "LINE":
        found.lines.append(([at(own.start), at(own.end)], False))
    elif kind == "CIRCLE":
        found.circles.append((*_seen(one, at), _positive(own.radius * times)))
    elif kind == "ARC":
        centre, (start, stop) = at(own.center), (own.start_angle, own.end_angle)
        if own.extrusion[2] < 0:  # seen from behind
            centre, start, stop = (-centre[0], centre[1]), 180 - stop, 180 - start
        found.arcs.append((*centre, _positive(own.radius * times), start, stop))
    elif kind == "ELLIPSE":
        _ellipse(one, times, found)
    elif kind in ("LWPOLYLINE", "POLYLINE"):
        _polyline(one, times, found)
    elif kind not in ("VIEWPORT", "ATTDEF"):
        found.leave(_name(one))


def _seen(one, at):
    """The centre of a circle, which may be drawn on the back of the plane."""
    return at(one.ocs().to_wcs(one.dxf.center))


def _positive(radius: float) -> float:
    if not radius > 0:
        raise ValueError("no radius")
    return radius


def _ellipse(one, times: float, found: Found) -> None:
    own = one.dxf
    if abs(abs(own.end_param - own.start_param) - 6.283185307179586) > 1e-6:
        found.leave("part of an ellipse")
        return
    x, y = own.center[0] * times, own.center[1] * times
    ux, uy = own.major_axis[0] * times, own.major_axis[1] * times
    if abs(own.ratio - 1) < 1e-9:
        found.circles.append((x, y, _positive(hypot(ux, uy))))
    else:
        found.ellipses.append((x, y, ux, uy, own.ratio))


def _polyline(one, times: float, found: Found) -> None:
    """Straight strokes joined up; where a stroke is bent, an arc."""
    if one.dxftype() == "POLYLINE" and not (one.is_2d_polyline or one.is_3d_polyline):
        found.leave("mesh")
        return
    has_bends = one.has_arc
    if not has_bends:
        points = one.get_points("xy") if one.dxftype() == "LWPOLYLINE" else [vertex.dxf.location for vertex in one.vertices]
        places = [(point[0] * times, point[1] * times) for point in points]
        if len(places) < 2:
            raise ValueError("no line")
        found.lines.append((places, one.is_closed))
        return
    for piece in one.virtual_entities():
        if piece.dxftype() == "ARC":
            _read(piece, times, found)
        else:
            found.lines.append(([(end[0] * times, end[1] * times) for end in (piece.dxf.start, piece.dxf.end)], False))
