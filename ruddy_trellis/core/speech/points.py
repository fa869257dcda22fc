"""Points that are made from others: midpoints, feet, centres."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import replace
from typing import Any

from ..kinds import ARC, CIRCLE, CONIC, LINE, POINT, POLYGON
from ..refusal import Refusal
from .nodes import Amount, Described, Many, Named, Node, Ref
from .nouns import makes
from .spans import (
    best_crossing,
    centre_of,
    circle_of,
    circle_through,
    corners_of,
    crossings_now,
    distance_between,
    each,
    facing_first,
    facing_side,
    spans_of,
    with_corners_as_one,
)
from .things import Things

#: How far off, as a part of its size, a shape is still regular.
_EVEN = 1e-9


@makes("midpoint", parts="of between on from and to")
def midpoints(t: Things, node: Described) -> list[str]:
    of = node.role("of", "between", "on")
    if of is None and not node.roles and not node.plural and len(ends := t.b.of_kind(POINT)) == 2:
        return [t.make("midpoint", span=tuple(ends))]
    if of is None:
        raise Refusal("Of what is the midpoint meant? Say: the midpoint of AB.")
    if node.role("to") is not None and node.role("of") is not None:
        raise Refusal("Joined to what? Say each of them by itself.")
    if (arc := _arc_between(of)) is not None:
        return [_middle_of_arc(t, arc, arc.role("of", "on"))]
    spans = t.aside(lambda: spans_of(t, of))
    if isinstance(of, Described) and of.head == "side" and not of.names:
        spans = facing_first(t, spans)
    return [t.make("midpoint", span=span) for span in spans]


def _arc_between(node: Node) -> Described | None:
    """ "the arc BC": a description of an arc by its two ends."""
    if isinstance(node, Described) and node.head == "arc" and len(node.names) == 1:
        ends = node.names[0]
        if isinstance(ends, Named) and len(ends.points) == 2:
            return node
    return None


def _middle_of_arc(t: Things, arc: Described, on: Node | None) -> str:
    """The middle of an arc between two points of a circle: where the bisector of the angle at its centre meets it.

    Which of the two arcs is meant is said by a point that it goes through or does not, or by *major*; else it is the shorter one.
    """
    b = t.b
    named = arc.names[0]
    assert isinstance(named, Named)
    ends = b.points(named.points)
    circle = t.aside(lambda: t.round(on) if on is not None else circle_through(t, ends))
    centre = t.aside(lambda: centre_of(t, circle, hidden=True))
    ray = b.make("angle_bisector", {"corner": (ends[0], centre, ends[1])}, hidden=True)
    through, without = arc.role("through"), arc.role("without")
    mark = through or without
    if mark is None:
        return t.make("intersection", a=(ray,), b=(circle,), which=_facing(t, ray, circle, ends, "major" in arc.adjectives))
    place = b.now(t.point(mark))
    (ax, ay), (bx, by) = (b.now(end)[:2] for end in ends)
    side = lambda p: (bx - ax) * (p[1] - ay) - (by - ay) * (p[0] - ax) > 0
    for which, found in crossings_now(t, (ray,), (circle,)):
        if (side(found) == side(place)) == (through is not None):
            return t.make("intersection", a=(ray,), b=(circle,), which=which)
    raise Refusal("They do not meet now.")


def _facing(t: Things, line: str, circle: str, ends: tuple[str, ...], is_far: bool) -> str:
    """Which of the two crossings of a line and a circle is nearer to two points, or further."""
    places = [t.b.now(end) for end in ends]
    found = [(sum(distance_between(value, place) for place in places), which) for which, value in crossings_now(t, (line,), (circle,))]
    if not found:
        raise Refusal("They do not meet now.")
    return (max if is_far else min)(found)[1]


@makes("foot", parts="of from to on in through", words="perpendicular")
def feet(t: Things, node: Described) -> list[str]:
    of = node.role("of")
    if isinstance(of, Described) and of.head in ("perpendicular", "altitude", "line"):
        if of.names and any(isinstance(name, Named) and len(name.points) < 2 for name in of.names):
            raise Refusal("The foot has no name there. Say: call the foot of the altitude from A F.")
        if of.plural and of.head == "altitude" and of.role("from") is None:
            corners = t.aside(lambda: corners_of(t, of.role("of", "in")))
            return [t.make("foot", point=(corner,), base=tuple(id for id in corners if id != corner)) for corner in corners]
        inner = replace(of, roles=(*of.roles, *((role, part) for role, part in node.roles if part is not of)))
        return _feet_from(t, inner)
    return _feet_from(t, node)


def _feet_from(t: Things, node: Described) -> list[str]:
    """Feet from points to lines: of a triangle's corners to the sides that face them where no line is said."""
    start = node.role("from", "of", "through")
    if start is None or isinstance(start, Ref):
        if node.plural:
            return [_foot_of_made(t, id) for id in _last_made(t, ("altitude", "perpendicular"), node.count or len(t.names))]
        found = _only_made(t, ("altitude", "perpendicular"))
        return [_foot_of_made(t, found)]
    starts = t.aside(lambda: t.points(start))
    base = node.role("to", "on", "in")
    bases: list[tuple[str, ...] | None] = [None] * len(starts)
    if len(starts) == 1 and base is not None and (sides := _all_sides(t, base, starts[0])):
        return [t.make("foot", point=(starts[0],), base=side) for side in sides]
    if base is not None and not _means_facing(base):
        said = _straights_of(t, base)
        if len(said) == 1:
            said *= len(starts)
        if len(starts) == 1:
            starts *= len(said)
        if len(said) != len(starts):
            raise Refusal("It is not clear which foot belongs to which line.")
        bases = list(said)
    return [t.make("foot", point=(point,), base=base or facing_side(t, point)) for point, base in zip(starts, bases)]


def _all_sides(t: Things, base: Node, point: str) -> list[tuple[str, ...]]:
    """The sides of the only shape, where "the sides" are said of a point that is no corner of it."""
    if not _means_facing(base) or not isinstance(base, Described) or "opposite" in base.adjectives:
        return []
    corners = t.aside(lambda: corners_of(t, None))
    if point in corners:
        return []
    first = 1 if len(corners) == 3 else 0  # of a triangle the side that faces its first corner is its first
    return [(corners[(at + first) % len(corners)], corners[(at + first + 1) % len(corners)]) for at in range(len(corners))]


def _straights_of(t: Things, node: Node) -> list[tuple[str, ...]]:
    if isinstance(node, Many) and not all(isinstance(item, Named) and len(item.points) == 1 for item in node.items):
        return [t.aside(lambda item=item: t.straight(item)) for item in node.items]  # type: ignore[misc]
    if isinstance(node, Described) and node.plural:
        if node.head in ("side", "diagonal"):
            return t.aside(lambda: spans_of(t, node))
        return [(id,) for id in t.aside(lambda: t.all_of(node))]
    return [t.aside(lambda: t.straight(node))]


def _means_facing(node: Node) -> bool:
    """Whether "the opposite side(s)" is meant."""
    return (
        isinstance(node, Described)
        and node.head == "side"
        and ("opposite" in node.adjectives or node.plural)
        and not node.names
        and node.role("of") is None
    )


def _last_made(t: Things, does: tuple[str, ...], count: int) -> list[str]:
    """So many of those that were made so, the last ones; all of them where no number is said. Raises Refusal."""
    found = [step.id for step in t.b.ahead.steps if step.does in does]
    if len(found) < max(count, 2):
        raise Refusal("There are not so many perpendiculars here. Say: the foot of the perpendicular from P to AB.")
    return found[-count:]


def _only_made(t: Things, does: tuple[str, ...]) -> str:
    found = [step.id for step in t.b.ahead.steps if step.does in does]
    return t.b.only("perpendicular", found)


def _foot_of_made(t: Things, id: str) -> str:
    step = t.b.ahead.step(id)
    corner = step.fills.get("corner") or step.fills.get("point")
    return t.make("foot", point=corner, base=step.fills["base"])


@makes("centroid", "circumcentre", "incentre", "orthocentre", "nine-point-centre", "excentre", parts="of in for opposite")
def centres(t: Things, node: Described) -> list[str]:
    key = {"nine-point-centre": "nine_point_centre"}.get(node.head, node.head)
    found = []
    for one in each(with_corners_as_one(node), "of", "in", "for"):
        triangle = t.aside(lambda one=one: t.triangle(one.role("of", "in", "for")))  # type: ignore[misc]
        if key == "excentre":
            triangle = turned_to(t, triangle, one.role("opposite"))
        found.append(t.make(key, triangle=triangle))
    return found


def turned_to(t: Things, triangle: tuple[str, ...], node: Node | None) -> tuple[str, ...]:
    """The corners of a triangle, beginning with one that is named."""
    if node is None:
        return triangle
    corner = t.point(node)
    if corner not in triangle:
        raise Refusal(f"{t.b.ahead.name(corner)} is no corner of that triangle.")
    at = triangle.index(corner)
    return (*triangle[at:], *triangle[:at])


def _centre_of_shape(t: Things, corners: Sequence[str]) -> str:
    """The centre of a shape that is regular, or that a half turn takes to itself."""
    if len(corners) % 2 == 0:
        return t.make("midpoint", span=(corners[0], corners[len(corners) // 2]))
    return t.make("circumcentre", triangle=tuple(corners[:3]))


def _even_shapes_drawn_last(t: Things, is_several: bool) -> list[str]:
    """The shape that was drawn last, or those that were in one go, if each has a centre: it is regular, or a half turn takes it to
    itself. None where something else was drawn last."""
    b = t.b
    drawn = [id for id in b.recent.ids if id in b.ahead and b.kind(id) in (POLYGON, CIRCLE, ARC, CONIC)]
    last = [id for id in drawn if id in b.last_group] if is_several else drawn[-1:]
    if not last or (is_several and len(last) < 2):
        return []
    return last if all(b.kind(id) == POLYGON and _has_a_centre(b.ahead.value(id)) for id in last) else []


def _has_a_centre(value: Any) -> bool:
    at = [complex(*place) for place in value or ()]
    if not at:
        return False
    middle = sum(at) / len(at)
    size = max(abs(z - middle) for z in at)
    half = len(at) // 2
    if len(at) % 2 == 0 and all(abs(at[n] + at[n + half] - 2 * middle) < _EVEN * size for n in range(half)):
        return True
    turn = complex(math.cos(math.tau / len(at)), math.sin(math.tau / len(at)))
    return any(
        all(abs((at[n - 1] - middle) * way - (at[n] - middle)) < _EVEN * size for n in range(len(at))) for way in (turn, turn.conjugate())
    )


@makes("centre", parts="of in")
def centre(t: Things, node: Described) -> list[str]:
    of = node.role("of", "in")
    b = t.b
    if isinstance(of, Described) and of.head in ("triangle",):
        shapes = _even_shapes_drawn_last(t, of.plural) if not of.names else t.aside(lambda: t.all_of(of))
        is_so_many = not of.names and of.kind in ("old", "all") and (not of.count or of.count == len(shapes))
        if shapes and (is_so_many or of.names) and all(_has_a_centre(b.ahead.value(id)) for id in shapes):
            return [_centre_of_shape(t, b.ahead.step(shape).fills["corners"]) for shape in shapes]
        raise Refusal("A triangle has several centres. Say which: centroid, circumcentre, incentre or orthocentre.")
    if (isinstance(of, Described) and of.head in ("segment", "line", "side")) or (isinstance(of, Named) and len(of.points) == 2):
        return midpoints(t, replace(node, head="midpoint"))
    if (isinstance(of, Ref) or "its" in node.adjectives) and (shapes := _even_shapes_drawn_last(t, node.plural)):
        return [_centre_of_shape(t, b.ahead.step(shape).fills["corners"]) for shape in shapes]
    if of is None and node.kind == "old" and "its" in node.adjectives:
        circle = t.aside(lambda: t.round(None))
    else:
        circle = t.aside(lambda: t.round(of))
    step = b.ahead.step(circle)
    given = step.fills.get("centre")
    if given and (not t.names or (given[0] not in b.board and t.b.rename_new(given[0], t.names[0]))):
        t.names = []
        return list(given)
    key = {
        "circumcircle": ("circumcentre", (*step.fills.get("a", ()), *step.fills.get("b", ()), *step.fills.get("c", ()))),
        "incircle": ("incentre", step.fills.get("triangle", ())),
    }.get(step.does)
    if key is not None and len(key[1]) == 3:
        return [t.make(key[0], triangle=tuple(key[1]))]
    return [t.make("centre", of=(circle,))]


@makes("antipode", parts="of to on in")
def antipode(t: Things, node: Described) -> list[str]:
    """The other end of the diameter through a point of a circle."""
    of = node.role("of", "to")
    if of is None:
        raise Refusal("Of which point? Say: the antipode of A on k.")
    point = t.aside(lambda: t.point(of))
    circle = t.aside(lambda: circle_of(t, node.role("on", "in"), point))
    centre_id = t.aside(lambda: centre_of(t, circle))
    half_turn = t.aside(lambda: t.b.make("point_reflection", {"centre": (centre_id,)}, hidden=True))
    return [t.make("image_point", of=(point,), by=(half_turn,))]


@makes("nearest-point", "furthest-point", parts="on of to from")
def point_by_distance(t: Things, node: Described) -> list[str]:
    """The point of a circle that is nearest to a point or furthest from it, or the nearest one of a line."""
    on, of = node.role("on", "of"), node.role("to", "from")
    is_nearest = node.head == "nearest-point"
    if on is None or of is None:
        raise Refusal("Of what, and to which point? Say: the point on k nearest to P.")
    point, path = t.point_aside(of), t.aside(lambda: t.path(on))
    kinds = {t.b.kind(id) for id in path}
    if is_nearest and kinds <= {POINT, LINE} and len(path) < 3:
        return [t.make("foot", point=(point,), base=path)]
    if kinds != {CIRCLE}:
        raise Refusal("The nearest point is found of a line or a circle, the furthest one of a circle.")
    across = t.b.make("line", {"from": (t.aside(lambda: centre_of(t, path[0])),), "to": (point,)}, hidden=True)
    place = t.b.ahead.value(point)
    sign = -1 if is_nearest else 1
    which = best_crossing(t, (across,), path, lambda at: sign * distance_between(at, place))
    return [t.make("intersection", a=(across,), b=path, which=which)]


@makes("focus", parts="of")
def foci(t: Things, node: Described) -> list[str]:
    of = node.role("of")
    conic = t.b.only("conic", t.b.of_kind(CONIC)) if of is None else t.aside(lambda: t.all_of(of))[0]
    return [t.make("focus", conic=(conic,))]


@makes("pole", parts="of in to")
def pole(t: Things, node: Described) -> list[str]:
    of = node.role("of")
    if of is None:
        raise Refusal("Of which line? Say: the pole of l in k.")
    return [t.make("pole", line=t.aside(lambda: t.straight(of)), curve=(t.aside(lambda: t.round(node.role("in", "to"))),))]


@makes("corner", parts="of")
def corners(t: Things, node: Described) -> list[str]:
    if node.names:
        return [id for name in node.names for id in t.points(name)]
    found = list(t.aside(lambda: corners_of(t, node.role("of"))))
    return found[:1] if node.kind == "new" and not node.plural else found  # "through a corner": any of them


def divided(t: Things, span: tuple[str, ...], parts: int) -> list[str]:
    """The points that divide a span into so many equal parts."""
    if not 2 <= parts <= 40:
        raise Refusal("A line is divided into 2 to 40 equal parts.")
    if parts == 2:
        return [t.make("midpoint", span=span)]
    return [t.make("dividing", span=span, first=float(number), second=float(parts - number)) for number in range(1, parts)]


def amount_of(node: Node) -> str | None:
    return node.text if isinstance(node, Amount) else None
