"""The corners of shapes that follow from what is said of them."""

from __future__ import annotations

import math
from collections.abc import Iterator
from typing import Any

from ..kinds import CIRCLE, POINT
from ..language import names as spelling
from ..refusal import Refusal
from .amounts import length_said
from .building import Building
from .nodes import Amount, Described, Many, Named, Node
from .on_paths import left_of
from .placing import places, special
from .shape_facts import Wanted
from .spans import best_crossing
from .things import Things

#: A triangle whose angles are this large, in degrees, is not thin; whose angles are no larger than this is not wide.
_NOT_THIN, _NOT_WIDE = 45.0, 80.0


def amounts_in(node: Node | None) -> list[Node]:
    if node is None:
        return []
    items = node.items if isinstance(node, Many) else (node,)
    return [item for item in items if isinstance(item, (Amount, Named))]


def sizes_said(t: Things, node: Described) -> list[Any]:
    """Lengths that are said without names: "of side 4", "6 by 4", "with sides 5, 6 and 7"."""
    sizes: list[Node] = []
    for role, part in node.roles:
        if role in ("side", "sides", "length", "with", "of", "and"):
            sizes += [size for size in amounts_in(part) if isinstance(size, Amount) or role in ("side", "sides", "length")]
            if (
                isinstance(part, Described)
                and part.head in ("side", "segment", "length")
                and (inner := part.role("of", "length")) is not None
            ):
                sizes += amounts_in(inner)
            for item in part.items if isinstance(part, Many) else (part,):
                if isinstance(item, Described) and item.head in ("side", "segment", "length"):
                    sizes += [Amount(text) for text in item.amounts if text[:1].isdigit()]
                    sizes += [name for name in item.names if isinstance(name, Named) and not name.points]
    sizes += [Amount(text) for text in node.amounts if text[:1].isdigit() or text[:1] == "."]
    return [t.aside(lambda size=size: length_said(t, size)) for size in sizes]  # type: ignore[misc]


def third_corner(
    t: Things,
    span: tuple[str, str],
    name: str | None,
    wanted: Wanted,
    isosceles: bool,
    right_at: str | None,
    beside: bool = False,
    mirrored: bool = False,
) -> str:
    """The third corner of a triangle on two that are there, as it is wanted: on curves on which it has to lie, to the left of them.

    Args:
        right_at: at which of the two the right angle is, where there has to be one and nobody says where.
        beside: whether a corner of which nothing is wanted has to be to the left of them too.
        mirrored: whether the triangle is half of a kite, which is a dart where its first or its third angle is wide.
    """
    b = t.b
    curves: list[str] = []
    a, c = span
    names = {id: b.ahead.name(id) for id in span}
    if name is not None:
        for id in span:
            key = frozenset((names[id], name))
            other = c if id == a else a
            size = wanted.lengths.get(key)
            if size is not None:
                curves.append(b.make("circle_radius", {"centre": (id,), "radius": size}, hidden=True))
            for one, two in wanted.equal:
                if key in (one, two) and size is None:
                    twin = two if key == one else one
                    if twin == frozenset(names.values()):
                        curves.append(b.make("circle", {"centre": (id,), "point": (other,)}, hidden=True))
        both = {frozenset((names[a], name)), frozenset((names[c], name))}
        if any({one, two} == both for one, two in wanted.equal) and not both <= set(wanted.lengths):
            curves.append(b.make("perpendicular_bisector", {"span": span}, hidden=True))
        for id in span:
            if names[id] in wanted.angles:
                other = c if id == a else a
                size = wanted.angles[names[id]]
                if size == 90.0:
                    curves.append(b.make("perpendicular", {"base": span, "point": (id,)}, hidden=True))
                else:
                    # The inside of a triangle is to the left of its first side, to the right of it from the other end.
                    turned = size if id == a else (-size if isinstance(size, float) else size)
                    curves.append(b.make("at_angle", {"point": (id,), "angle": turned, "base": (id, other)}, hidden=True))
        if wanted.angles.get(name) == 90.0:
            curves.append(b.make("circle_on_diameter", {"from": (a,), "to": (c,)}, hidden=True))
    if isosceles and len(curves) < 2:
        curves.append(b.make("perpendicular_bisector", {"span": span}, hidden=True))
    if right_at is not None and not any(size == 90.0 for size in wanted.angles.values()):
        curves.append(b.make("perpendicular", {"base": span, "point": (right_at,)}, hidden=True))
    if isosceles and right_at is not None and wanted.angles.get(name or "") != 90.0:
        curves = [
            b.make("perpendicular", {"base": span, "point": (right_at,)}, hidden=True),
            b.make("circle", {"centre": (right_at,), "point": (a if right_at == c else c,)}, hidden=True),
        ]
    if len(curves) > 2:
        raise Refusal("That is more than makes a triangle. Leave one of the lengths or angles out.")
    if not curves:
        return b.free_point(name, fits=(lambda place: left_of(t, span, place) > 0) if beside else None)
    if len(curves) == 1:
        return b.make("point_on", {"path": (curves[0],), "place": _good_place(t, curves[0], span, mirrored)}, name)
    found = upper_crossing(t, curves[:2], span)
    return b.make("intersection", {"a": (curves[0],), "b": (curves[1],), **({"which": found} if found else {})}, name)


def _good_place(t: Things, curve: str, span: tuple[str, str], mirrored: bool) -> float:
    """Where on a curve the third corner of a triangle goes so that it is to the left of its side, and nothing special: with no thin angle
    and no wide one if that can be."""
    b = t.b
    one, other = (b.now(id)[:2] for id in span)
    best, most = 0.4, (False, -math.inf, 0.0)
    for choice, corner in _places_along(b, curve):
        sides = math.dist(one, other), math.dist(other, corner), math.dist(corner, one)
        if left_of(t, span, corner) <= 0 or not all(sides):
            continue
        # At the corner, at the first and at the second of the two.
        angles = [_angle_facing(sides[n], sides[n - 1], sides[n - 2]) for n in range(3)]
        is_dart = mirrored and max(angles[:2]) > _NOT_WIDE
        worth = not is_dart, -special(corner, one, other), min(*angles, _NOT_THIN) - max(max(angles) - _NOT_WIDE, 0.0)
        if worth > most:
            best, most = choice, worth
    return best


def _places_along(b: Building, curve: str) -> Iterator[tuple[float, tuple[float, float]]]:
    """Places all round a circle, in degrees, or along a line, each with where it is on the board."""
    if b.kind(curve) == CIRCLE:
        x, y, square = b.now(curve)[:3]
        for degrees in range(0, 360, 3):
            turn = math.radians(degrees)
            yield float(degrees), (x + math.sqrt(square) * math.cos(turn), y + math.sqrt(square) * math.sin(turn))
        return
    # Places on a line are evenly spaced.
    (x, y), (u, v) = (b.would_be("point_on", {"path": (curve,), "place": place})[:2] for place in (0.0, 1.0))
    for step in range(-40, 41):
        place = step / 20
        yield place, (x + place * (u - x), y + place * (v - y))


def _angle_facing(side: float, one: float, other: float) -> float:
    """The angle that faces a side of a triangle, in degrees, by its sides (law of cosines)."""
    return math.degrees(math.acos(max(-1.0, min(1.0, (one * one + other * other - side * side) / (2 * one * other)))))


def upper_crossing(t: Things, curves: list[str], span: tuple[str, str]) -> str | None:
    """Which of two crossings is to the left of a side; None where there can be one only."""
    b = t.b
    if not any(b.kind(curve) == CIRCLE for curve in curves):
        return None
    return best_crossing(t, (curves[0],), (curves[1],), lambda place: left_of(t, span, place))


def fresh_names(b: Building, count: int) -> tuple[str, ...]:
    """The next names for so many new points."""
    taken = {*b.ahead.names.values()}
    found: list[str] = []
    for _ in range(count):
        found.append(spelling.next_name(POINT, {*taken, *found}))
    return tuple(found)


def first_side(t: Things, names: tuple[str, ...], size: Any | None) -> tuple[str, str]:
    """The first side of a shape: two points, at a distance where one is said."""
    b = t.b
    first, second = names[:2]
    if size is None:
        if not b.has(first) and not b.has(second):
            before = b.makes
            b.makes = True
            try:
                made = b.points((first, second))
            finally:
                b.makes = before
            return made[0], made[1]
        made = b.points((first, second))
        return made[0], made[1]
    start = b.point(first)
    if b.has(second):
        raise Refusal(f"{first} and {second} are there already, so how far apart they are cannot be chosen.")
    circle = b.make("circle_radius", {"centre": (start,), "radius": size}, hidden=True)
    return start, b.make("point_on", {"path": (circle,), "place": 3.0}, second)


def kept_places(t: Things, count: int):
    return places(t.b.ahead, count)
