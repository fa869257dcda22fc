"""Semicircles, arcs and sectors."""

from __future__ import annotations

from dataclasses import replace

from ..kinds import CIRCLE
from ..refusal import Refusal
from .amounts import angle_said, length_said
from .nodes import Amount, Described, Named, Node
from .nouns import makes
from .spans import centre_of, circle_through, spans_of
from .things import Things
from .which_side import Side, side_fits, side_said


@makes(
    "semicircle",
    parts="on diameter over of above below with same_side_of other_side_of away same_side_as side_with inside outside opposite",
    words="external internal as-diameter",
)
def semicircles(t: Things, node: Described) -> list[str]:
    of = node.role("on", "diameter", "over", "of", "above", "below", "as_diameter", "with")
    if of is None:
        raise Refusal("On which diameter? Say: the semicircle on AB.")
    if "as-diameter" in node.extra and isinstance(of, Named) is False and node.role("with") is not None:
        of = node.role("with")
    assert of is not None
    if isinstance(of, Described) and of.head == "radius":
        return [_with_radius(t, node, of)]
    made = []
    for span in t.aside(lambda: spans_of(t, of)):
        a, b = span if len(span) == 2 else _ends_of(t, span)
        side = side_said(t, node, (a, b))
        if side is not None and not _opens_to(t, a, b, side):
            a, b = b, a
        made.append(t.make("semicircle", from_=(a,), to=(b,)))
    return made


def _with_radius(t: Things, node: Described, radius: Described) -> str:
    """The semicircle about the first end of a radius that is named: from the other end to the point that faces it. Raises Refusal."""
    if not (len(radius.names) == 1 and isinstance(said := radius.names[0], Named) and len(said.points) == 2):
        raise Refusal("Name the radius by its ends, the centre first: the semicircle with radius OA.")
    centre, end = t.aside(lambda: t.b.points(said.points))
    half_turn = t.b.make("point_reflection", {"centre": (centre,)}, hidden=True)
    facing = t.aside(lambda: t.b.make("image_point", {"of": (end,), "by": (half_turn,)}))
    side = side_said(t, node, (end, facing))
    ends = (end, facing) if side is None or _opens_to(t, end, facing, side) else (facing, end)
    return t.make("semicircle", from_=ends[:1], to=ends[1:])


def _ends_of(t: Things, span: tuple[str, ...]) -> tuple[str, str]:
    return t.b.ends(span[0])


def _opens_to(t: Things, a: str, b: str, side: Side) -> bool:
    """Whether a half circle from a to b lies on the side that is said."""
    mark = t.b.mark()
    id = t.b.make("semicircle", {"from": (a,), "to": (b,)}, None, True)
    x, y, _, ax, ay, _bx, _by = t.b.now(id)
    t.b.back_to(mark)
    # It runs anticlockwise from its start: its middle is a quarter turn on from there.
    middle = (x - (ay - y), y + (ax - x))
    return side_fits(t, (a, b), side, middle)


@makes("arc", parts="centre about radius from at through without to of by", words="major minor")
def arcs(t: Things, node: Described) -> list[str]:
    """An arc of a circle between two points of it, through three points, or about a centre."""
    b = t.b
    centre, radius = node.role("centre", "about", "as_centre"), node.role("radius")
    if node.amounts and radius is None:
        radius = Amount(node.amounts[0])
    if centre is None and radius is not None:
        centre = node.role("from", "at")
    through, turn = node.role("through"), node.role("by")
    if turn is None and isinstance(of := node.role("of"), Amount) and "degrees" in of.text:
        turn = of  # "an arc of 120 degrees with radius 4"
    if centre is None and radius is not None and through is None and not node.names:
        return [_alone(t, radius, turn)]
    if turn is not None:
        raise Refusal("How far an arc goes is said of one with a radius: an arc of 90 degrees with radius 3.")
    if centre is not None and radius is not None:
        point = t.aside(lambda: t.point(centre))
        size = t.aside(lambda: length_said(t, radius))
        return b.make_all("drawn_arc", {"centre": (point,), "radius": size, "start": 20.0, "stop": 120.0})
    if through is not None and len(points := t.aside(lambda: t.points(through))) == 3:
        return [t.make("arc_through", a=points[:1] and (points[0],), b=(points[1],), c=(points[2],))]
    return [t.make("arc", **_between_ends(t, node))]


def _between_ends(t: Things, node: Described) -> dict[str, tuple[str, ...]]:
    """The centre and the ends of an arc between two points, the way round that is said. Raises Refusal."""
    b, centre, through = t.b, node.role("centre", "about", "as_centre"), node.role("through")
    ends = node.names[0] if node.names and isinstance(node.names[0], Named) and len(node.names[0].points) == 2 else None
    start, stop = node.role("from"), node.role("to")
    points = t.aside(
        lambda: list(b.points(ends.points)) if ends is not None else [t.point(part) for part in (start, stop) if part is not None]
    )
    if len(points) != 2:
        raise Refusal("An arc is said by its circle and two points of it, by three points, or by its centre and radius.")
    if centre is not None:
        middle = t.aside(lambda: t.point(centre))
    else:
        middle = t.aside(lambda: centre_of(t, circle_through(t, points)))
    (ax, ay), (bx, by) = (b.now(id)[:2] for id in points)
    if {"major", "minor"} & set(node.adjectives):
        cx, cy = b.now(middle)[:2]
        turned_left = (ax - cx) * (by - cy) - (ay - cy) * (bx - cx) > 0
        if turned_left == ("major" in node.adjectives):
            points = points[::-1]
    elif (mark := through or node.role("without")) is not None:
        # It runs anticlockwise, so that it lies to the right of the way from its start to its end.
        x, y = b.ahead.value(t.aside(lambda: t.point(mark)))[:2]
        if ((bx - ax) * (y - ay) - (by - ay) * (x - ax) < 0) != (through is not None):
            points = points[::-1]
    return {"centre": (middle,), "from_": (points[0],), "to": (points[1],)}


def _alone(t: Things, radius: Node, turn: Node | None) -> str:
    """An arc of a radius, about a new centre; a little more than a quarter where it is not said how far it goes."""
    b = t.b
    size = t.aside(lambda: length_said(t, radius))
    angle = t.aside(lambda: angle_said(t, turn)) if turn is not None else 100.0
    centre = t.aside(b.free_point)
    circle = b.make("circle_radius", {"centre": (centre,), "radius": size}, hidden=True)
    start = t.aside(lambda: b.make("point_on", {"path": (circle,), "place": 20.0}))
    by = b.make("rotation", {"centre": (centre,), "angle": angle}, hidden=True)
    end = t.aside(lambda: b.make("image_point", {"of": (start,), "by": (by,)}))
    return t.make("arc", centre=(centre,), from_=(start,), to=(end,))


@makes("circular-segment", parts="of on about centre from to without", words="major minor")
def circular_segments(t: Things, node: Described) -> list[str]:
    """What a chord cuts off a circle: the smaller part of the two, where it is not said which."""
    on = node.role("on", "of")
    if not node.names and isinstance(on, Named) and len(on.points) == 2:
        node = replace(node, names=(on,), roles=tuple(pair for pair in node.roles if pair[1] is not on))
    if not {"major", "minor"} & set(node.adjectives) and node.role("without") is None:
        node = replace(node, adjectives=(*node.adjectives, "minor"))
        t.b.guesses.append("the smaller of the two parts of the circle")
    return [t.make("chord_region", **_between_ends(t, node))]


@makes("sector", parts="of centre from to")
def sectors(t: Things, node: Described) -> list[str]:
    named = node.names[0] if node.names else node.role("of")
    centre_node, start, stop = (node.role(role) for role in ("centre", "from", "to"))
    if centre_node is not None and start is not None and stop is not None:
        ids = t.aside(lambda: [t.point(part) for part in (centre_node, start, stop)])
        return [t.make("sector", centre=(ids[0],), from_=(ids[1],), to=(ids[2],))]
    if isinstance(named, Named) and len(named.points) == 3:
        one, centre, other = t.b.points(named.points)
        circle = [id for id in t.b.of_kind(CIRCLE) if t.b.ahead.step(id).fills.get("centre") == (one,)]
        if circle:
            one, centre = centre, one
        return [t.make("sector", centre=(centre,), from_=(one,), to=(other,))]
    raise Refusal("A sector is said by three points: its centre and its two ends.")
