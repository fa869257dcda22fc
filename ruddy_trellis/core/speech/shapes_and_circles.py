"""Shapes with their corners on a circle that is there, shapes whose sides touch one, and the circle in a triangle or about it."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import replace

from ..kinds import POLYGON
from ..refusal import Refusal
from .nodes import Described, Named, Ref
from .nouns import NAMED_BY_SIDES, TAKES
from .refusals import Final
from .shapes_on_sides import CORNER_COUNTS
from .spans import centre_of
from .tables import words
from .things import Things

#: Shapes, and words for them, that are made with their corners on a circle that is there.
_ON_A_CIRCLE = words("triangle quadrilateral polygon square").union(NAMED_BY_SIDES)
_ON_A_CIRCLE_TOO = words("regular equilateral cyclic inscribe")


def _is_regular(node: Described, names: tuple[str, ...]) -> bool:
    return (
        node.head == "square"
        or "regular" in node.adjectives
        or "equilateral" in node.adjectives
        or (not names and node.head in NAMED_BY_SIDES)
    )


def inscribed(t: Things, node: Described, circle: str, names: tuple[str, ...]) -> str:
    """A regular polygon, or any, with its corners on a circle."""
    b = t.b
    if node.head not in _ON_A_CIRCLE:
        raise Final(f"A {node.head} with its corners on a circle is not made by a sentence; a square, a regular one or any is.")
    for said in (*node.adjectives, *node.extra):
        if said in TAKES[node.head][1] and said not in _ON_A_CIRCLE_TOO:
            raise Final(f"“{said}” is not understood of a {node.head} with its corners on a circle.")
    count = CORNER_COUNTS[node.head] or len(names)
    on = b.points_on(circle)
    if _is_regular(node, names):
        if (at := node.role("corner_at")) is not None:
            first = t.aside(lambda: t.point(at))
            if first not in on:
                raise Final(f"{t.b.ahead.name(first)} is no point of that circle, so no corner of a {node.head} in it.")
        elif names:
            first = b.point(names[0]) if b.has(names[0]) else b.make("point_on", {"path": (circle,)}, names[0])
        else:
            first = on[0] if on else b.make("point_on", {"path": (circle,)})
        centre = centre_of(t, circle)
        made = b.make_parts("regular_about", {"count": float(count), "centre": (centre,), "corner": (first,)}, names[1:])
        return next(id for id in made if b.kind(id) == POLYGON)
    corners = []
    for number in range(count):
        name = names[number] if names else None
        if name is not None and b.has(name):
            corners.append(b.point(name))
        else:
            corners.append(
                b.make("point_on", {"path": (circle,), "place": 20.0 + 360.0 * number / count + 17.0 * math.sin(number + 1)}, name)
            )
    return b.polygon(corners)


def circumscribed(t: Things, node: Described, circle: str, names: tuple[str, ...]) -> str:
    """A regular polygon, or any, whose sides touch a circle. Raises Refusal."""
    b = t.b
    if node.head not in _ON_A_CIRCLE or {role for role, _ in node.roles} != {"about"}:
        raise Final(f"Such a {node.head} is not drawn about a circle; a square, a regular polygon or any is.")
    for said in (*node.adjectives, *node.extra):
        if said in TAKES[node.head][1] and said not in ("regular", "equilateral"):
            raise Final(f"“{said}” is not understood of a {node.head} about a circle.")
    count = CORNER_COUNTS[node.head] or len(names)
    if any(map(b.has, names)) or count < 3:
        raise Refusal("The corners of what is drawn about a circle are new.")
    centre, on = centre_of(t, circle), b.points_on(circle)
    if _is_regular(node, names):
        touched = on[0] if on else b.make("point_on", {"path": (circle,)}, hidden=True)
        side = b.make("tangent_at", {"circle": (circle,), "point": (touched,)}, hidden=True)
        towards = b.make("at_angle", {"point": (centre,), "angle": 180.0 / count, "base": (centre, touched)}, hidden=True)
        first = b.make("intersection", {"a": (side,), "b": (towards,)}, names[0] if names else None)
        made = b.make_parts("regular_about", {"count": float(count), "centre": (centre,), "corner": (first,)}, names[1:])
        return next(id for id in made if b.kind(id) == POLYGON)
    sides = []
    for number in range(count):
        place = 20.0 + 360.0 * number / count + 17.0 * math.sin(number + 1)
        touched = b.make("point_on", {"path": (circle,), "place": place}, hidden=True)
        sides.append(b.make("tangent_at", {"circle": (circle,), "point": (touched,)}, hidden=True))
    pairs = zip(sides, (*sides[1:], sides[0]), names or [None] * count)
    return b.polygon(tuple(b.make("intersection", {"a": (one,), "b": (other,)}, name) for one, other, name in pairs))


def inscribed_in_shape(t: Things, corners: Sequence[str]) -> str:
    """The circle that touches the sides of a rhombus, a square or a regular polygon. Raises Refusal for another shape."""
    b = t.b
    places = [b.ahead.value(id) for id in corners]
    if len(corners) < 4 or None in places:
        raise Refusal("In a triangle, a rhombus or a regular polygon there is a circle that touches all sides.")
    points = [complex(*place) for place in places]
    middle = sum(points) / len(points)
    sides = [(point, points[number - 1]) for number, point in enumerate(points)]
    sizes = [abs(one - other) for one, other in sides]
    off = [
        abs(((one - middle).conjugate() * (other - middle)).imag) / size for (one, other), size in zip(sides, sizes, strict=True) if size
    ]
    if len(off) < len(sides) or max(sizes) - min(sizes) > 1e-9 * max(sizes) or max(off) - min(off) > 1e-9 * max(sizes):
        raise Refusal("Its sides touch no circle, as it is drawn. In a rhombus or a regular polygon one can be inscribed.")
    if len(corners) == 4:
        centre = b.make("midpoint", {"span": (corners[0], corners[2])}, hidden=True)
    else:
        centre = b.make("circumcentre", {"triangle": tuple(corners[:3])}, hidden=True)
    touched = b.make("foot", {"point": (centre,), "base": tuple(corners[:2])}, hidden=True)
    return t.make("circle", centre=(centre,), point=(touched,))


def circle_of_triangle(t: Things, node: Described) -> list[str] | None:
    """A circle in a triangle or about it, or in a shape with more corners, which may be "it"; None for others."""
    if len(node.roles) != 1 or node.roles[0][0] not in ("in", "about") or node.adjectives or node.extra or (node.count or 1) > 1:
        return None
    role, part = node.roles[0]
    spoken = [id for id in t.b.recent.ids if id in t.b.ahead]
    if isinstance(part, Ref) and spoken and t.b.kind(spoken[-1]) == POLYGON:
        corners = tuple(t.b.ahead.name(id) for id in t.b.ahead.step(spoken[-1]).fills.get("corners", ()))
        part = Named("".join(corners), corners)
    if isinstance(part, Described) and part.kind == "new" and role == "in" and part.head in CORNER_COUNTS and not part.plural:
        polygon = t.aside(lambda: t.polygon(part))
        corners = tuple(t.b.ahead.name(id) for id in t.b.ahead.step(polygon).fills["corners"])
        part = Named("".join(corners), corners)
    if not isinstance(part, Named) or len(part.points) < 3 or (role == "about" and len(part.points) > 3):
        return None
    return t.made(replace(node, head="incircle" if role == "in" else "circumcircle", roles=(("of", part),)))
