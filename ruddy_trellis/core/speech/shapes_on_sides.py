"""Shapes on a side that is there."""

from __future__ import annotations

from typing import Any

from ..kinds import POLYGON
from ..refusal import Refusal
from .amounts import angle_said, length_said
from .arcs import side_fits
from .building import Stray
from .nodes import Described, Named, Node, Ref
from .nouns import CORNERS
from .parallels import parallel_at
from .shape_facts import Wanted, wanted_of
from .tables import words
from .things import Things
from .third_corners import amounts_in, third_corner, upper_crossing

CORNER_COUNTS = {**CORNERS, "heptagon": 7, "octagon": 8, "nonagon": 9, "decagon": 10, "dodecagon": 12, "polygon": 0}
#: What is regular where no corners are named.
REGULAR_BY_NAME = ("pentagon", "hexagon", "heptagon", "octagon", "nonagon", "decagon", "dodecagon")
_ON_A_SIDE = {"square": "square", "rectangle": "rectangle", "rhombus": "rhombus"}
#: Words for shapes that have no place on a side that is there.
_NOT_ON_A_SIDE = words("medial orthic pedal cyclic inscribe obtuse")


def shape_on_span(t: Things, node: Described, span: tuple[str, str], names: tuple[str, ...] = (), outside: bool = False) -> str:
    """A shape on a side that is there, on the side of it that is said."""
    b = t.b
    for said in (*node.adjectives, *node.extra):
        if said in _NOT_ON_A_SIDE:
            raise Stray(f"“{said}” is not understood of a {node.head} on a side that is there.")
    count = CORNER_COUNTS[node.head] or len(names)
    free: tuple[str, ...] = ()
    if names:
        known = [b.ahead.name(id) for id in span]
        if not set(known) <= set(names):
            raise Refusal(f"{''.join(names)} has no side {known[0]}{known[1]}.")
        at = names.index(known[0])
        step = 1 if names[(at + 1) % count] == known[1] else -1
        if names[(at + step) % count] != known[1]:
            raise Refusal(f"{known[0]}{known[1]} is no side of {''.join(names)}.")
        around = [names[(at + step * number) % count] for number in range(count)]
        free = tuple(around[2:])
    side = next(
        (
            (role, part)
            for role, part in node.roles
            if role
            in ("above", "below", "away", "same_side_of", "other_side_of", "same_side_as", "side_with", "inside", "outside", "opposite")
        ),
        None,
    )
    if "external" in node.extra or outside or "external" in node.adjectives:
        side = side or _away_from_shape(t, span)
    elif "internal" in node.adjectives or "internal" in node.extra:
        away = _away_from_shape(t, span)
        side = ("inside", away[1]) if away is not None else None
    a, c = span
    wanted = wanted_of(t, node, names)
    kind = node.head
    isosceles = kind == "triangle" and "isosceles" in node.adjectives
    regular_one = kind in REGULAR_BY_NAME or "regular" in node.adjectives
    equilateral = kind == "triangle" and "equilateral" in node.adjectives
    if not (kind in _ON_A_SIDE or regular_one or equilateral):
        return _triangle_on(t, node, span, free, wanted, isosceles)
    key, more = ("equilateral", {}) if equilateral else ("regular", {"count": float(count)}) if regular_one else (_ON_A_SIDE[kind], {})
    if kind == "rectangle" and node.role("height", "side") is not None:
        return _rectangle_of_height(t, node, span, free, side)
    if side is not None and not _lands(t, key, more, (a, c), side):
        a, c, free = c, a, free[::-1]
    made = b.make_parts(key, {**more, "from": (a,), "to": (c,)}, free)
    return next(id for id in made if b.kind(id) == POLYGON)


def _rectangle_of_height(t: Things, node: Described, span: tuple[str, str], free: tuple[str, ...], side: tuple[str, Node] | None) -> str:
    """A rectangle on a side, as high as it is said to be: to the left of the side, or where it is said to lie."""
    b = t.b
    a, c = span
    if side is not None and not _lands(t, "square", {}, (a, c), side):
        a, c, free = c, a, free[::-1]
    size = t.aside(lambda: length_said(t, node.role("height", "side")))  # type: ignore[arg-type]
    across = b.make("perpendicular", {"base": (a, c), "point": (c,)}, hidden=True)
    circle = b.make("circle_radius", {"centre": (c,), "radius": size}, hidden=True)
    which = upper_crossing(t, [across, circle], (a, c)) or "first"
    names = iter(free)
    third = b.make("intersection", {"a": (across,), "b": (circle,), "which": which}, next(names, None))
    fourth = b.make("fourth_corner", {"corners": (a, c, third)}, next(names, None))
    return b.polygon((a, c, third, fourth))


def _away_from_shape(t: Things, span: tuple[str, str]) -> tuple[str, Node] | None:
    """The side of a span on which the shape that it is a side of does not lie."""
    for step in t.b.ahead.steps:
        corners = step.fills.get("corners", ()) if step.makes == POLYGON else ()
        if set(span) <= set(corners):
            return "outside", Named(t.b.ahead.name(step.id), tuple(t.b.ahead.name(id) for id in corners))
    for triangle in t.b.triangles():
        if set(span) <= set(triangle):
            third = next(id for id in triangle if id not in span)
            return "away", Named(t.b.ahead.name(third), (t.b.ahead.name(third),))
    return None


def _lands(t: Things, key: str, more: dict[str, Any], span: tuple[str, str], side: tuple[str, Node]) -> bool:
    b = t.b
    mark = b.mark()
    try:
        made = b.make_parts(key, {**more, "from": span[:1], "to": span[1:]}, ())
        corners = next(b.ahead.value(id) for id in made if b.kind(id) == POLYGON)
        middle = (sum(c[0] for c in corners) / len(corners), sum(c[1] for c in corners) / len(corners))
    finally:
        b.back_to(mark)
    if isinstance(side[1], Ref) or (
        side[0] in ("above", "below") and isinstance(side[1], Described) and side[1].head == "line" and not side[1].names
    ):
        side = (side[0], Named("", tuple(b.ahead.name(id) for id in span)))
    return side_fits(t, span, side, middle)


def _triangle_on(t: Things, node: Described, span: tuple[str, str], free: tuple[str, ...], wanted: Wanted, isosceles: bool) -> str:
    """A triangle on a side: isosceles, right-angled, by lengths, by height, or any."""
    b = t.b
    if node.head != "triangle" or len(free) > 1:
        missing = free or ()
        points = b.points(missing) if missing else ()
        if not points:
            raise Refusal(f"A {node.head} on a side is said with its corners.")
        return b.polygon((*span, *points))
    name = free[0] if free else None
    if name is not None and b.has(name):
        return b.polygon((*span, b.point(name)))
    names = tuple(b.ahead.name(id) for id in span)
    height = node.role("height")
    if height is not None:
        line = t.aside(lambda: parallel_at(t, Named("", names), height))
        if isosceles:
            middle = b.make("perpendicular_bisector", {"span": span}, hidden=True)
            third = b.make("intersection", {"a": (line,), "b": (middle,)}, name)
        else:
            third = b.make("point_on", {"path": (line,), "place": 0.3}, name)
        return b.polygon((*span, third))
    if name is None and not wanted:
        wanted = _sizes_of_triangle(t, node, names, "C")
    third = third_corner(t, span, name or "C" if wanted else name, wanted, isosceles, "right-angled" in node.adjectives)
    return b.polygon((*span, third))


def _sizes_of_triangle(t: Things, node: Described, names: tuple[str, ...], third: str) -> Wanted:
    """Two sides or angles said without names, on a side that is named."""
    found = Wanted()
    sizes = amounts_in(node.role("sides", "side"))
    for name, size in zip(names, sizes):
        found.lengths[frozenset((name, third))] = t.aside(lambda size=size: length_said(t, size))  # type: ignore[misc]
    angles = amounts_in(node.role("angles"))
    for name, size in zip(names, angles):
        found.angles[name] = t.aside(lambda size=size: angle_said(t, size))  # type: ignore[misc]
    return found
