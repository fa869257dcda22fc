"""Shapes on a side that is there."""

from __future__ import annotations

from typing import Any

from ..kinds import POLYGON
from ..refusal import Refusal
from .amounts import angle_said, length_said
from .nodes import Amount, Described
from .nouns import CORNERS, NAMED_BY_SIDES
from .refusals import Stray
from .shape_facts import Wanted, wanted_of
from .spans import distant_from
from .tables import words
from .things import Things
from .third_corners import amounts_in, fresh_names, third_corner, upper_crossing
from .which_side import Side, side_fits, side_said

CORNER_COUNTS = {**CORNERS, "polygon": 0}
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
    side = side_said(t, node, span, outside)
    a, c = span
    wanted = wanted_of(t, node, names)
    kind = node.head
    isosceles = kind == "triangle" and "isosceles" in node.adjectives
    regular_one = kind in NAMED_BY_SIDES or "regular" in node.adjectives
    equilateral = kind == "triangle" and "equilateral" in node.adjectives
    if not (kind in _ON_A_SIDE or regular_one or equilateral):
        return _triangle_on(t, node, span, free, wanted, isosceles, side)
    key, more = ("equilateral", {}) if equilateral else ("regular", {"count": float(count)}) if regular_one else (_ON_A_SIDE[kind], {})
    if kind == "rectangle" and node.role("height", "side") is not None:
        return _rectangle_of_height(t, node, span, free, side)
    if kind == "rhombus" and isinstance(node.role("angles"), Amount):
        return _rhombus_by_angle(t, node, span, free, side)
    if side is not None and not _lands(t, key, more, (a, c), side):
        a, c, free = c, a, free[::-1]
    made = b.make_parts(key, {**more, "from": (a,), "to": (c,)}, free)
    return next(id for id in made if b.kind(id) == POLYGON)


def _rhombus_by_angle(t: Things, node: Described, span: tuple[str, str], free: tuple[str, ...], side: Side | None) -> str:
    """A rhombus on a side, with an angle at the corner that is said, or at the first."""
    b = t.b
    a, c = span
    if (at := node.role("at")) is not None:
        corner = t.aside(lambda: t.point(at))
        if corner not in span:
            raise Refusal(f"The angle is at {b.ahead.name(a)} or at {b.ahead.name(c)}.")
        a, c, free = (a, c, free) if corner == a else (c, a, free[::-1])
    angle = t.aside(lambda: angle_said(t, node.role("angles")))  # type: ignore[arg-type]
    if not isinstance(angle, float) or not 0 < angle < 180:
        raise Refusal("An angle of a rhombus is said as a number of degrees between 0 and 180.")
    # To the left of the side as it was said, or where it is said to lie.
    turn = angle if a == span[0] else -angle
    if side is not None and not _lands(t, "square", {}, span, side):
        turn = -turn
    third_name, fourth_name = free or fresh_names(b, 2)[:: 1 if a == span[0] else -1]
    fourth = b.make("turned", {"point": (c,), "centre": (a,), "angle": turn}, fourth_name)
    third = b.make("fourth_corner", {"corners": (c, a, fourth)}, third_name)
    return b.polygon((a, c, third, fourth))


def _rectangle_of_height(t: Things, node: Described, span: tuple[str, str], free: tuple[str, ...], side: Side | None) -> str:
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


def _lands(t: Things, key: str, more: dict[str, Any], span: tuple[str, str], side: Side) -> bool:
    b = t.b
    mark = b.mark()
    try:
        made = b.make_parts(key, {**more, "from": span[:1], "to": span[1:]}, ())
        corners = next(b.now(id) for id in made if b.kind(id) == POLYGON)
        middle = (sum(c[0] for c in corners) / len(corners), sum(c[1] for c in corners) / len(corners))
    finally:
        b.back_to(mark)
    return side_fits(t, span, side, middle)


def _triangle_on(
    t: Things, node: Described, span: tuple[str, str], free: tuple[str, ...], wanted: Wanted, isosceles: bool, side: Side | None
) -> str:
    """A triangle on a side: isosceles, right-angled, by lengths, by height, or any; on the side of it that is said, or to its left."""
    b = t.b
    if side is not None and (node.head != "triangle" or len(free) > 1):
        raise Stray(f"On which side a {node.head} lies is not understood.")
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
    right_at = span[1] if "right-angled" in node.adjectives else None
    if side is not None:
        if height is not None:
            raise Stray("On which side a triangle of a height lies is not understood.")
        # Where a corner would go that is to the left.
        (ax, ay), (cx, cy) = (b.now(id)[:2] for id in span)
        if not side_fits(t, span, side, ((ax + cx + ay - cy) / 2, (ay + cy + cx - ax) / 2)):
            span = span[1], span[0]
    if height is not None:
        beside = distant_from(t, span, t.aside(lambda: length_said(t, height)))
        line = b.make("parallel", {"base": span, "point": (beside,)}, hidden=True)
        if isosceles:
            middle = b.make("perpendicular_bisector", {"span": span}, hidden=True)
            third = b.make("intersection", {"a": (line,), "b": (middle,)}, name)
        else:
            third = b.make("point_on", {"path": (line,), "place": 0.3}, name)
        return b.polygon((*span, third))
    if name is None and not wanted:
        wanted = _sizes_of_triangle(t, node, names, "C")
    third = third_corner(t, span, name or "C" if wanted else name, wanted, isosceles, right_at, beside=side is not None)
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
