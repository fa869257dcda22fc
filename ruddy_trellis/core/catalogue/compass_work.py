"""The compass work of a condition: its edge drawn as it is done by hand, as ordinary steps."""

from collections.abc import Mapping
from typing import Any

from ..kinds import CIRCLE, LINE, POINT, POLYGON, RAY, SEGMENT
from ..language.expression import Formula
from ..refusal import Refusal
from .construction import Construction, Part

#: How the arcs of the compass, what is drawn along the ruler on the way, the points between, and the edge itself look at first.
_ARC: Mapping[str, Any] = {"pen": "slate", "width": 1.2, "part": True, "label": False}
_RULED: Mapping[str, Any] = {"pen": "slate", "width": 1.2, "pattern": "dashed", "label": False}
_DOT: Mapping[str, Any] = {"pen": "slate", "size": 5.0, "label": False}
_EDGE: Mapping[str, Any] = {"pen": "plum", "width": 2.2, "label": False}
#: How wide the compasses are opened where any opening does, as a share of the view; and polygons of how many corners are gone round.
_OPENING, _CORNERS = 0.1, 12

Ids = tuple[str, ...]


class _Work:
    """The steps so far."""

    def __init__(self, board: Any) -> None:
        self.board = board
        self.parts: list[Part] = []

    def add(self, key: str, fills: dict[str, Any], look: Mapping[str, Any], hidden: bool = False) -> Ids:
        """Another step; gives what it is called by those after it."""
        self.parts.append(Part(key, fills, hidden=hidden, look=look))
        return (f"made:{len(self.parts) - 1}",)

    def crossing(self, a: Ids, b: Ids, which: str | None = None) -> Ids:
        return self.add("intersection", {"a": a, "b": b, **({"which": which} if which else {})}, _DOT)

    def opened(self, centre: Ids, length: Any, look: Mapping[str, Any] = _ARC) -> Ids:
        """A circle about a point with the compasses opened to a length."""
        return self.add("circle_radius", {"centre": centre, "radius": length}, look)

    def opening(self) -> float:
        left, _, right, _ = self.board.settings.view
        return round(_OPENING * (right - left), 1) or 1.0


def _steps(kinds, fills, board):
    step = board.step(fills["condition"][0])
    if step.does not in _WORK:
        raise Refusal("The edge of that is drawn already: there is nothing to do with the compasses.")
    work = _Work(board)
    _WORK[step.does](work, step.fills)
    return work.parts


def _distance(work, fills):
    thing, length = fills["thing"], fills["length"]
    kind = SEGMENT if len(thing) == 2 else work.board.kind_of(thing[0])
    if kind == POINT:
        work.opened(thing, length, _EDGE)
    elif kind == CIRCLE:
        _about_circle(work, thing, length)
    elif kind == POLYGON:
        _about_polygon(work, thing, length)
    else:
        _beside(work, kind, thing, length)


def _about_circle(work, circle, length):
    """A larger circle about the same centre, by marking the length off beyond a point of the circle."""
    circle_step = work.board.step(circle[0])
    centre = circle_step.fills.get("centre") or work.add("centre", {"of": circle}, _DOT)
    on = work.add("point_on", {"path": circle, "place": 40.0}, _DOT)
    outward = work.add("ray", {"from": centre, "to": on}, _RULED)
    beyond = work.crossing(outward, work.opened(on, length), "second")
    work.add("circle", {"centre": centre, "point": beyond}, _EDGE)


def _ends(work, kind, thing):
    """Two points of a straight thing: its own, or two that lie on it."""
    if len(thing) == 2:
        return thing[:1], thing[1:]
    fills = work.board.step(thing[0]).fills
    if "from" in fills and "to" in fills:
        return tuple(fills["from"]), tuple(fills["to"])
    on = sorted(work.board.incidence.get(thing[0], ()), key=work.board.place)
    if kind == LINE and len(on) > 1:
        return (on[0],), (on[1],)
    return tuple(work.add("point_on", {"path": thing, "place": place}, _DOT) for place in (0.0, 1.0))


def _beside(work, kind, thing, length):
    """Parallels at a distance by perpendiculars, with the half circles about the ends that there are."""
    a, b = _ends(work, kind, thing)
    sides = [_square_off(work, thing, end, length) for end in (a, b)]
    key = {LINE: "line", RAY: "ray"}.get(kind, "segment")
    for start, stop in zip(*sides):
        work.add(key, {"from": start, "to": stop}, _EDGE)
    (right_a, left_a), (right_b, left_b) = sides
    if kind != LINE:
        work.add("arc", {"centre": a, "from": left_a, "to": right_a}, _EDGE)
    if kind not in (LINE, RAY):
        work.add("arc", {"centre": b, "from": right_b, "to": left_b}, _EDGE)


def _square_off(work, base, end, length):
    """The points at a length from an end, square to the base: the one on the right first."""
    upright = work.add("perpendicular", {"base": base, "point": end}, {**_RULED, "part": True})
    round_end = work.opened(end, length)
    return work.crossing(upright, round_end, "first"), work.crossing(upright, round_end, "second")


def _about_polygon(work, polygon, length):
    corners = work.board.step(polygon[0]).fills.get("corners", ())
    if not 3 <= len(corners) <= _CORNERS:
        raise Refusal(f"{work.board.name(polygon[0])} has no corners of its own, or too many, for compass work.")
    value = work.board.value(polygon[0])
    turned = sum(ax * by - ay * bx for (ax, ay), (bx, by) in zip(value, value[1:] + value[:1]))
    outside = 0 if turned > 0 else 1
    around = list(zip(corners, corners[1:] + corners[:1]))
    outer = [[_square_off(work, side, (end,), length)[outside] for end in side] for side in around]
    for start, stop in outer:
        work.add("segment", {"from": start, "to": stop}, _EDGE)
    for number, corner in enumerate(corners):
        start, stop = outer[number - 1][1], outer[number][0]
        if outside:
            start, stop = stop, start
        work.add("arc", {"centre": (corner,), "from": start, "to": stop}, _EDGE)


def _nearer(work, fills):
    near, far = fills["near"], fills["far"]
    points = [len(one) == 1 and work.board.kind_of(one[0]) == POINT for one in (near, far)]
    if all(points):
        arcs = [work.add("circle", {"centre": one, "point": other}, _ARC) for one, other in ((near, far), (far, near))]
        ends = [work.crossing(*arcs, which) for which in ("first", "second")]
        work.add("line", {"from": ends[0], "to": ends[1]}, _EDGE)
    elif any(points):
        _parabola(work, *((near, far) if points[0] else (far, near)))
    else:
        _bisectors(work, near, far)


def _parabola(work, focus, directrix):
    """One point of the parabola, which slides along it, and the whole."""
    foot = work.add("point_on", {"path": directrix, "place": 0.25}, {**_DOT, "pen": "leaf", "size": 8.0})
    upright = work.add("perpendicular", {"base": directrix, "point": foot}, _RULED)
    middle = work.add("perpendicular_bisector", {"span": (*focus, *foot)}, _RULED)
    work.crossing(upright, middle)
    work.add("parabola", {"focus": focus, "directrix": directrix}, _EDGE)


def _bisectors(work, near, far):
    """The bisectors of two lines by three arcs: of the angle where they have a corner in common, else of both."""
    ends = [_named_ends(work.board, one) for one in (near, far)]
    shared = set(ends[0]) & set(ends[1])
    if len(shared) == 1:
        (corner,) = shared
        arms = [next(point for point in pair if point != corner) for pair in ends]
        opened = work.opened((corner,), work.opening())
        feet = [work.crossing(work.add("ray", {"from": (corner,), "to": (arm,)}, _RULED, hidden=True), opened) for arm in arms]
        _halved(work, (corner,), *feet)
        return
    corner = work.crossing(near, far)
    opened = work.opened(corner, work.opening())
    foot = work.crossing(far, opened, "first")
    for which in ("first", "second"):
        _halved(work, corner, work.crossing(near, opened, which), foot)


def _halved(work, corner, one, other):
    arcs = [work.add("circle", {"centre": foot, "point": corner}, _ARC) for foot in (one, other)]
    beyond = work.add("other_intersection", {"a": arcs[0], "b": arcs[1], "known": corner}, _DOT)
    work.add("line", {"from": corner, "to": beyond}, _EDGE)


def _named_ends(board, thing):
    if len(thing) == 2:
        return thing
    fills = board.step(thing[0]).fills
    return (*fills["from"], *fills["to"]) if "from" in fills and "to" in fills else ()


def _seen(work, fills):
    """The arcs over a segment: their centres are on its perpendicular bisector, where a line at 90° less the angle meets that."""
    span, angle = fills["span"], fills["angle"]
    if len(span) == 1:
        span = _named_ends(work.board, span)
    if len(span) != 2:
        raise Refusal("That has no two ends from which the arcs could be drawn.")
    middle = work.add("perpendicular_bisector", {"span": span}, _RULED)
    typed = not isinstance(angle, tuple)
    for number, ends in ((90 - angle if typed else "90 - ", (span[1:], span[:1])), (angle - 90 if typed else "", (span[:1], span[1:]))):
        turn: Any = number
        if not typed:
            text = "90 - {0}" if number else "{0} - 90"
            turn = work.add("calculation", {"formula": Formula(text, (angle,))}, {"tag": False})
        line = work.add("at_angle", {"point": span[:1], "angle": turn, "base": span}, _RULED)
        centre = work.crossing(line, middle)
        work.add("arc", {"centre": centre, "from": ends[0], "to": ends[1]}, _EDGE)


_WORK = {"places_by_distance": _distance, "places_nearer": _nearer, "places_by_angle": _seen}

COMPASS_WORK = (
    Construction(
        key="compass_work",
        sentence="the compass work of {condition:condition}",
        also=("[show] compass work (of|for) {condition}", "how {condition} is drawn"),
        makes=CIRCLE,
        formula=None,
        expands=_steps,
        group="Where",
        tool="compass work",
        keys="zw",
        likely=15,
        example="A is a free point at (0, 0)\nB is a free point at (3, 1)\nj is the places at most 2 from AB\nthe compass work of j",
    ),
)
