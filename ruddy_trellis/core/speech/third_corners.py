"""The corners of shapes that follow from what is said of them."""

from __future__ import annotations

import math
from typing import Any

from ..kinds import CIRCLE, POINT
from ..language import names as spelling
from ..refusal import Refusal
from .building import Building
from .nodes import Amount, Many, Named, Node
from .placing import places
from .shape_facts import Wanted
from .things import Things


def amounts_in(node: Node | None) -> list[Node]:
    if node is None:
        return []
    items = node.items if isinstance(node, Many) else (node,)
    return [item for item in items if isinstance(item, (Amount, Named))]


def third_corner(t: Things, span: tuple[str, str], name: str | None, wanted: Wanted, isosceles: bool, right: bool) -> str:
    """The third corner of a triangle on two that are there, as it is wanted: on curves on which it has to lie."""
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
    if right and not any(size == 90.0 for size in wanted.angles.values()):
        curves.append(b.make("perpendicular", {"base": span, "point": (c,)}, hidden=True))
    if isosceles and right and wanted.angles.get(name or "") != 90.0:
        curves = [
            b.make("perpendicular", {"base": span, "point": (c,)}, hidden=True),
            b.make("circle", {"centre": (c,), "point": (a,)}, hidden=True),
        ]
    if len(curves) > 2:
        raise Refusal("That is more than makes a triangle. Leave one of the lengths or angles out.")
    if not curves:
        return b.free_point(name)
    if len(curves) == 1:
        return b.make("point_on", {"path": (curves[0],), "place": _good_place(t, curves[0], span)}, name)
    found = upper_crossing(t, curves[:2], span)
    return b.make("intersection", {"a": (curves[0],), "b": (curves[1],), **({"which": found} if found else {})}, name)


def _good_place(t: Things, curve: str, span: tuple[str, str]) -> float:
    """Where on a curve the third corner of a triangle goes so that it is to the left of its side, and nothing special."""
    b = t.b
    (ax, ay), (cx, cy) = (b.ahead.value(id)[:2] for id in span)
    base = math.hypot(cx - ax, cy - ay)
    best, most = 0.4, -math.inf
    choices = [7.0 * k for k in range(52)] if b.kind(curve) == CIRCLE else [0.13 * k for k in range(-16, 17)]
    for choice in choices:
        mark = b.mark()
        id = b.make("point_on", {"path": (curve,), "place": choice}, None, True)
        x, y = b.ahead.value(id)[:2]
        b.back_to(mark)
        left = (cx - ax) * (y - ay) - (cy - ay) * (x - ax)
        height = left / base if base else 0.0
        sides = sorted((math.dist((x, y), (ax, ay)), math.dist((x, y), (cx, cy)), base))
        ratio = min(sides[1] / (sides[0] or 1e-9), 2.5) + min(sides[2] / (sides[1] or 1e-9), 1.3)
        worth = -abs(height - 0.8 * base) / (base or 1) + 0.3 * min(ratio, 2.4)
        if worth > most:
            best, most = choice, worth
    return best


def upper_crossing(t: Things, curves: list[str], span: tuple[str, str]) -> str | None:
    """Which of two crossings is to the left of a side; None where there can be one only."""
    b = t.b
    if not any(b.kind(curve) == CIRCLE for curve in curves):
        return None
    (ax, ay), (cx, cy) = (b.ahead.value(id)[:2] for id in span)
    found = []
    for which in ("first", "second"):
        mark = b.mark()
        id = b.make("intersection", {"a": (curves[0],), "b": (curves[1],), "which": which}, None, True)
        value = b.ahead.value(id)
        b.back_to(mark)
        if value is not None:
            found.append(((cx - ax) * (value[1] - ay) - (cy - ay) * (value[0] - ax), which))
    return max(found)[1] if found else "first"


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
