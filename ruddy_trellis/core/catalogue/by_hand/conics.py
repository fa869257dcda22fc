"""Compass work of poles and polars, and of single points of conics."""

from collections.abc import Callable, Mapping
from typing import Any

from .straight import line_through, made_point
from .work import Ids, Made, NotByHand, Work

#: Where on a circle two points are put, through which chords are drawn.
_PLACES = (40.0, 160.0)


def polar(work: Work, fills: Any) -> Made:
    """By straightedge alone: of two chords through the point, what joins their ends crosswise meets on the polar, on either way."""
    one, other = _points_of_polar(work, fills["point"], _circle(work, fills["curve"]))
    if not work.directed:
        return line_through((one, other))
    across = work.line(work.centre_of(fills["curve"]), fills["point"])
    return line_through(work.upright(work.meet(across, work.line(one, other)), across))


def pole(work: Work, fills: Any) -> Made:
    """Where the polars of two points of the line meet."""
    circle = _circle(work, fills["curve"])
    lines = [work.line(*_points_of_polar(work, point, circle)) for point in work.ends(fills["line"])]
    return made_point(work, work.meet(lines[0], lines[1]))


def _circle(work, curve):
    if work.board.kind_of(curve[0]) != "circle":
        raise NotByHand("Poles and polars are drawn by hand of circles here, not of other conics.")
    return curve


def _points_of_polar(work: Work, point: Ids, circle: Ids) -> tuple[Ids, Ids]:
    on = [work.add("point_on", {"path": circle, "place": place}, {"pen": "slate", "size": 5.0, "label": False}) for place in _PLACES]
    ends = [work.other(work.line(point, one), circle, one) for one in on]
    one = work.meet(work.line(on[0], on[1]), work.line(ends[0], ends[1]))
    return one, work.meet(work.line(on[0], ends[1]), work.line(on[1], ends[0]))


# Points of conics -------------------------------------------------------------------------------------------


def point_on(work: Work, fills: Any) -> Made:
    """A point of a conic: what slides is a point of a circle about its focus, in the same direction."""
    path = fills["path"]
    if len(path) != 1 or work.board.kind_of(path[0]) != "conic":
        raise NotByHand("It slides on what is drawn with straightedge and compasses as it is.")
    draw = _CONICS.get(work.does(path))
    if draw is None:
        raise NotByHand("Points are drawn by hand of conics that are made from a focus here.")
    return made_point(work, draw(work, path, fills["place"]))


def _sliding(work: Work, circle: Ids, place: Any) -> Ids:
    return work.add("point_on", {"path": circle, "place": place}, {})


def _of_ellipse(work: Work, conic: Ids, place: Any) -> Ids:
    """With the sum of both distances about one focus (the directing circle): as far from the other focus as from that circle."""
    first, second, point = (work.fills(conic)[gap] for gap in ("first", "second", "point"))
    return _from_directing_circle(work, first, second, work.meet(work.line_from(first, point), work.circle(point, second), "second"), place)


def _of_hyperbola(work: Work, conic: Ids, place: Any) -> Ids:
    """The same with the difference of both distances."""
    first, second, point = (work.fills(conic)[gap] for gap in ("first", "second", "point"))
    return _from_directing_circle(work, first, second, work.meet(work.ray(point, first), work.circle(point, second), "second"), place)


def _from_directing_circle(work, first, second, on_it, place):
    slides = _sliding(work, work.circle(first, on_it), place)
    return work.meet(work.line(first, slides), work.middle_line(second, slides))


def _of_parabola(work: Work, conic: Ids, place: Any) -> Ids:
    """As far from the focus as from the directrix: the bisector between the way there and the way square to the directrix meets that
    where the point's foot is."""
    focus, line = (work.fills(conic)[gap] for gap in ("focus", "directrix"))
    foot = work.foot(focus, line)
    around = work.circle(focus, foot)
    there = slides = _sliding(work, around, place)
    value = work.board.value(conic[0])
    if value is not None and value[4] < 0:  # its points are counted the other way round where the focus is right of the directrix
        there = work.other(work.line(focus, slides), around, slides)
    between = work.other(work.circle(foot, focus), work.circle(there, focus), focus)
    below = work.meet(work.line(focus, between), work.whole(line))
    return work.meet(work.line(focus, slides), work.middle_line(focus, below))


_CONICS: Mapping[str, Callable[[Work, Ids, Any], Ids]] = {
    "ellipse": _of_ellipse,
    "hyperbola": _of_hyperbola,
    "parabola": _of_parabola,
}
