"""Descriptions of points."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace
from typing import Any

from ..kinds import ARC, CIRCLE, CONIC, LINE, POINT, POLYGON, RAY, SEGMENT, STRAIGHTS, VECTOR
from ..refusal import Refusal
from ..regions.conditions import inside_polygon
from ..seen import Place
from .phrases import Amount, Described, Many, Named, Node, Ref, Where
from .things import Things, finds_meetings, makes

#: Where a new point goes on a path on which others lie: shares of a segment, degrees on a circle.
_SHARES, _DEGREES = (0.38, 0.71, 0.17, 0.86, 0.55), (57.0, 148.0, 301.0, 229.0, 12.0, 98.0, 187.0, 262.0)


def each(node: Described, *roles: str) -> Iterator[Described]:
    """A description for each of the things in a list that is one of its parts; where several are lists, one after another."""
    lists = {number: part.items for number, (role, part) in enumerate(node.roles) if role in roles and isinstance(part, Many)}
    if not lists:
        yield node
        return
    counts = {len(items) for items in lists.values()}
    if len(counts) > 1:
        raise Refusal("The two lists have different lengths, so it is not clear what belongs to what.")
    for place in range(counts.pop()):
        parts = tuple((role, lists[number][place]) if number in lists else (role, part) for number, (role, part) in enumerate(node.roles))
        yield replace(node, roles=parts, plural=False)


def spans_of(t: Things, node: Node, apart: bool = True) -> list[tuple[str, ...]]:
    """The pairs of points, or segments, that a phrase stands for: AB, AB and BC, the sides of ABC, the diagonals."""
    if isinstance(node, Described) and node.head == "side" and {"opposite"} & set(node.adjectives):
        raise Refusal("Which sides? Say them by their ends: AB and CD.")
    if isinstance(node, Described) and node.head == "side" and not node.names:
        return sides_of(t, node.role("of", "in"), node.kind if node.plural else "one")
    if isinstance(node, Described) and node.head == "diagonal" and not node.names:
        corners = corners_of(t, node.role("of", "in"))
        return list(_diagonals(corners))
    if isinstance(node, Described) and len(node.names) > 1 and node.head != "point":
        return [span for name in node.names for span in spans_of(t, name)]
    if isinstance(node, Many):
        if all(isinstance(item, Named) and len(item.points) == 1 for item in node.items) and (len(node.items) == 2 or not apart):
            return [tuple(t.points(node))]
        if all(isinstance(item, Named) and len(item.points) == 1 for item in node.items):
            raise Refusal("Pairs of points are needed here, such as AB, BC and CA.")
        if not any(
            (isinstance(item, Named) and len(item.points) == 2) or (isinstance(item, Described) and _is_straight(t, item))
            for item in node.items
        ):
            return [tuple(t.points(node))] if len(node.items) == 2 else [span for item in node.items for span in spans_of(t, item)]
        return [span for item in node.items for span in spans_of(t, item)]
    if isinstance(node, Named) and len(node.points) > 2 and len(node.points) % 2 == 0 and " " in node.text:
        points = t.b.points(node.points)
        return [points[number : number + 2] for number in range(0, len(points), 2)]
    return [t.span(node)]


def _is_straight(t: Things, node: Described) -> bool:
    return node.head in ("segment", "side", "line", "chord", "base", "median", "altitude", "diagonal", "radius", "diameter")


def corners_of(t: Things, node: Node | None) -> tuple[str, ...]:
    """The corners of the polygon that a phrase stands for; of the only one where none is said."""
    if node is None and not t.b.of_kind(POLYGON) and t.b.triangles():
        return t.b.triangle()
    if isinstance(node, Named) and len(node.points) > 2:
        return t.b.points(node.points)
    if isinstance(node, Described) and node.head == "triangle" and not node.roles:
        return t.triangle(node)
    step = t.b.ahead.step(t.polygon(node))
    return tuple(step.fills.get("corners", ()))


def sides_of(t: Things, node: Node | None, which: str = "all") -> list[tuple[str, ...]]:
    """The sides of a polygon as pairs of corners."""
    corners = corners_of(t, node)
    if which == "one":
        raise Refusal("Say which side is meant, such as AB.")
    return [(corner, corners[(number + 1) % len(corners)]) for number, corner in enumerate(corners)]


def _diagonals(corners: tuple[str, ...]) -> list[tuple[str, str]]:
    count = len(corners)
    if count < 4:
        raise Refusal("A triangle has no diagonals.")
    return [(corners[a], corners[b]) for a in range(count) for b in range(a + 2, count) if (a, b) != (0, count - 1)]


@makes("midpoint", parts="of between on from and to")
def midpoints(t: Things, node: Described) -> list[str]:
    of = node.role("of", "between", "on")
    if of is None:
        raise Refusal("Of what is the midpoint meant? Say: the midpoint of AB.")
    if (arc := _arc_named(of)) is not None:
        return [_middle_of_arc(t, arc, of.role("of", "on") if isinstance(of, Described) else None)]
    return [t.make("midpoint", span=span) for span in t.aside(lambda: spans_of(t, of))]


def _arc_named(node: Node) -> Named | None:
    if (
        isinstance(node, Described)
        and node.head == "arc"
        and len(node.names) == 1
        and isinstance(node.names[0], Named)
        and len(node.names[0].points) == 2
    ):
        return node.names[0]
    return None


def _middle_of_arc(t: Things, named: Named, on: Node | None) -> str:
    """The middle of the shorter arc between two points of a circle: where the bisector of the angle at its centre meets it."""
    b = t.b
    ends = b.points(named.points)
    if on is not None:
        circle = t.aside(lambda: t.round(on))
    else:
        circle = b.only("circle", [id for id in b.of_kind(CIRCLE) if set(ends) <= _points_on(t, id)] or b.of_kind(CIRCLE))
    centre = centre_of(t, circle)
    ray = b.make("angle_bisector", {"corner": (ends[0], centre, ends[1])}, hidden=True)
    return t.make("intersection", a=(ray,), b=(circle,), which=_facing(t, ray, circle, ends))


def _facing(t: Things, line: str, circle: str, ends: tuple[str, ...]) -> str:
    """Which of the two crossings of a line and a circle is nearer to two points."""
    b = t.b
    found = []
    for which in ("first", "second"):
        mark = b.mark()
        id = b.make("intersection", {"a": (line,), "b": (circle,), "which": which}, None, True)
        value = b.ahead.value(id)
        b.back_to(mark)
        if value is not None:
            places = [b.ahead.value(end) for end in ends]
            found.append((sum(_distance(value, place) for place in places), which))
    if not found:
        raise Refusal("They do not meet now.")
    return min(found)[1]


def _distance(a: Any, b: Any) -> float:
    return float(((a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2) ** 0.5)


def _points_on(t: Things, id: str) -> set[str]:
    return set(t.b.points_on(id))


def centre_of(t: Things, circle: str) -> str:
    """The point at the centre of a circle: the one that it was made with, or a new one."""
    step = t.b.ahead.step(circle)
    given = step.fills.get("centre")
    return given[0] if given else t.b.make("centre", {"of": (circle,)})


@makes("foot", parts="of from to on in through")
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
        found = _only_made(t, ("altitude", "perpendicular"))
        return [_foot_of_made(t, found)]
    starts = t.aside(lambda: t.points(start))
    base = node.role("to", "on", "in")
    bases: list[tuple[str, ...] | None] = [None] * len(starts)
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


def facing_side(t: Things, corner: str) -> tuple[str, ...]:
    """The side of a triangle that faces a corner."""
    for triangle in reversed(t.b.triangles()):
        if corner in triangle:
            return tuple(id for id in triangle if id != corner)
    raise Refusal(f"To which line? {t.b.ahead.name(corner)} is no corner of a triangle here.")


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
    for one in each(node, "of", "in", "for"):
        triangle = t.aside(lambda one=one: t.triangle(one.role("of", "in", "for")))  # type: ignore[misc]
        if key == "excentre":
            triangle = _turned_to(t, triangle, one.role("opposite"))
        found.append(t.make(key, triangle=triangle))
    return found


def _turned_to(t: Things, triangle: tuple[str, ...], node: Node | None) -> tuple[str, ...]:
    """The corners of a triangle, beginning with one that is named."""
    if node is None:
        return triangle
    corner = t.point(node)
    if corner not in triangle:
        raise Refusal(f"{t.b.ahead.name(corner)} is no corner of that triangle.")
    at = triangle.index(corner)
    return (*triangle[at:], *triangle[:at])


@makes("centre", parts="of in")
def centre(t: Things, node: Described) -> list[str]:
    of = node.role("of", "in")
    b = t.b
    if isinstance(of, Described) and of.head in ("triangle",):
        raise Refusal("A triangle has several centres. Say which: centroid, circumcentre, incentre or orthocentre.")
    if (isinstance(of, Described) and of.head in ("segment", "line", "side")) or (isinstance(of, Named) and len(of.points) == 2):
        return midpoints(t, replace(node, head="midpoint"))
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
    circle = t.aside(lambda: _circle_of(t, node.role("on", "in"), point))
    centre_id = t.aside(lambda: centre_of(t, circle))
    half_turn = t.aside(lambda: t.b.make("point_reflection", {"centre": (centre_id,)}, hidden=True))
    return [t.make("image_point", of=(point,), by=(half_turn,))]


def _circle_of(t: Things, node: Node | None, point: str) -> str:
    """The circle that is named, or the one on which a point lies."""
    if node is not None:
        return t.round(node)
    on = [id for id in t.b.of_kind(CIRCLE) if point in _points_on(t, id)]
    return t.b.only("circle", on or t.b.of_kind(CIRCLE))


@makes(
    "point",
    words="in-line in-the-middle",
    parts="apart at at_place where distance at_distance from between on of along in inside outside off above below towards within",
)
def points(t: Things, node: Described) -> list[str]:
    b = t.b
    count = node.count or (len(node.names) if node.names else max(1, len(t.names)))
    if (
        "in-line" in node.adjectives
        and node.names
        and not node.roles
        and not any(t.b.has(point) for name in node.names for point in getattr(name, "points", ()))
    ):
        t.names[:0] = [point for name in node.names for point in getattr(name, "points", ())]
        return _on_new_path(t, node, Described("line", kind="new"), len(t.names))
    if node.names:
        names = [
            name
            for one in node.names
            if isinstance(one, Named)
            for name in ([one] if one.at is not None else [replace(one, text=p, points=(p,)) for p in one.points] or [one])
        ]
        if (
            len(names) == 1
            and names[0].at is None
            and node.role("at_place", "at") is not None
            and isinstance(node.role("at_place", "at"), Named)
        ):
            place = node.role("at_place", "at")
            if isinstance(place, Named) and place.at is not None:
                return t.points(replace(names[0], at=place.at))
        if not node.roles and not node.extra:
            if all(b.has(one.text) for one in names) and all(one.at is None for one in names):
                return [id for one in names for id in t.points(one)]
            fresh = [one for one in names if one.at is None and not b.has(one.text)]
            if len(fresh) == len(names):
                return list(b.points([p for one in names for p in (one.points or (b.free_name(one.text, POINT),))]))
            return [id for one in names for id in t.points(one)]
        t.names[:0] = [one.text for one in names]
        count = len(names)
    if (within := node.role("in", "at")) is not None and isinstance(within, Described) and within.head == "distance":
        size = within.role("of") or (within.names[0] if within.names else Amount(within.amounts[0]) if within.amounts else None)
        start = within.role("from") or node.role("from")
        if size is not None and start is not None:
            kept = tuple((role, part) for role, part in node.roles if part is not within and role != "from")
            return points(t, replace(node, names=(), roles=(*kept, ("distance", size), ("from", start))))
    if "in-line" in node.adjectives and not node.roles:
        return _on_new_path(t, node, Described("line", kind="new"), count)
    if (apart := node.role("apart")) is not None and count == 2:
        ends = [t.names.pop(0) if t.names else None for _ in range(2)]
        size = t.aside(lambda: t.length(apart))
        one = t.b.free_point(ends[0])
        circle = t.b.make("circle_radius", {"centre": (one,), "radius": size}, hidden=True)
        return [one, t.b.make("point_on", {"path": (circle,), "place": 4.0}, ends[1])]
    if "in-the-middle" in node.extra:
        lately = [id for id in b.recent.ids if id in b.ahead and b.kind(id) == POINT]
        if len(lately) < 2:
            raise Refusal("In the middle of what? Say: the midpoint of AB.")
        return [t.make("midpoint", span=tuple(lately[-2:]))]
    if not node.roles:
        return [t.b.free_point(t.take_name(POINT)) for _ in range(count)]
    path_node = node.role("on", "of", "along")
    if count > 1 and isinstance(path_node, Described) and path_node.kind == "new" and not path_node.names:
        return _on_new_path(t, node, path_node, count)
    if (
        count == 1
        and isinstance(path_node, Described)
        and path_node.head == "circle"
        and path_node.kind == "new"
        and path_node.role("radius", "diameter", "through") is None
    ):
        return _on_new_path(t, node, path_node, count)
    return [point for _ in range(count) for point in _one_point(t, node)]


def _on_new_path(t: Things, node: Described, path: Described, count: int) -> list[str]:
    """Points on a line or a circle that is not there yet: it goes through the first of them."""
    b = t.b
    names = [t.take_name(POINT) for _ in range(count)] if t.names else [None] * count
    if path.head == "circle" and path.role("radius", "diameter", "through") is None:
        centre_node = path.role("centre", "about")
        centre = (
            t.aside(lambda: t.point(centre_node))
            if centre_node is not None
            else t.aside(lambda: b.free_point("O" if not b.has("O") and "O" not in b.reserved else None))
        )
        made = [b.free_point(names[0])]
        on = b.make("circle", {"centre": (centre,), "point": (made[0],)})
    elif path.head == "line" and not path.roles:
        made = [b.free_point(name) for name in names[:2]]
        on = b.make("line", {"from": (made[0],), "to": (made[1],)})
    else:
        made = []
        (on,) = t.aside(lambda: t.all_of(path))
    for name in names[len(made) :]:
        place = _free_place(t, (on,))
        made.append(
            b.make("point_on", {"path": (on,), "place": place}, name) if name else b.make("point_on", {"path": (on,), "place": place})
        )
    return made


def _one_point(t: Things, node: Described) -> list[str]:
    b = t.b
    place = node.role("at_place", "at")
    if isinstance(place, Named) and place.at is not None:
        return [t.make("free_point", at=tuple(float(part) for part in place.at))]
    if (where := node.role("where")) is not None and isinstance(where, Where):
        return where_they_meet(t, where)
    distance, start = node.role("distance", "at_distance"), node.role("from")
    if distance is not None and start is not None:
        return [_at_distance(t, node, distance, start)]
    if (between := node.role("between")) is not None:
        ends = t.aside(lambda: t.span(between))
        return [t.make("point_on", path=ends, place=_free_place(t, ends))]
    path_node = (
        node.role("on", "of", "along")
        or (node.role("in") if _is_path(node.role("in")) else None)
        or (node.role("inside") if _is_produced(node.role("inside")) else None)
    )
    if path_node is not None:
        return [_on_path(t, node, path_node)]
    if (off := node.role("off")) is not None:
        path = t.aside(lambda: t.path(off))
        return [b.free_point(t.take_name(POINT), fits=lambda at: _clear_of(t, path, at))]
    return [b.free_point(t.take_name(POINT), fits=_wish(t, node))]


def _is_path(node: Node | None) -> bool:
    return (
        (isinstance(node, Named) and len(node.points) == 2)
        or _is_produced(node)
        or (isinstance(node, Described) and node.head in ("line", "segment", "side", "ray", "chord"))
    )


def _is_produced(node: Node | None) -> bool:
    return isinstance(node, Described) and "produced" in node.extra


def _on_path(t: Things, node: Described, path_node: Node) -> str:
    if _is_produced(path_node) and isinstance(path_node, Described):
        inner = path_node.names[0]
        ends = t.aside(lambda: t.span(inner))
        return t.make("point_on", path=(beyond_ray(t, ends),), place=0.5)
    path = t.aside(lambda: _path_to_ride(t, path_node))
    return t.make("point_on", path=path, place=_free_place(t, path))


def _path_to_ride(t: Things, node: Node) -> tuple[str, ...]:
    """What a point is to ride on: two points stand for the segment between them, a shape for its outline."""
    b = t.b
    if isinstance(node, Described) and node.head in ("triangle", "quadrilateral", "polygon", "square", "rectangle") and not node.roles:
        return (t.polygon(node),)
    if (
        isinstance(node, Described)
        and node.head == "line"
        and len(node.names) == 1
        and isinstance(node.names[0], Named)
        and len(node.names[0].points) == 2
    ):
        ends = b.points(node.names[0].points)
        known = b.straight_between(*ends, kinds=(LINE,)) or b.straight_between(*ends)
        return (known,) if known else ends
    return t.path(node)


def _free_place(t: Things, path: tuple[str, ...]) -> float:
    """Where on a path a new point goes: not upon one that is there."""
    b = t.b
    kind = b.kind(path[0]) if len(path) == 1 else SEGMENT
    taken = [value for id in b.of_kind(POINT) if (value := b.ahead.value(id)) is not None]
    choices = _DEGREES if kind in (CIRCLE, ARC, CONIC) else tuple(share + (0.9 if kind == RAY else 0) for share in _SHARES)
    best, most = choices[0], -1.0
    for choice in choices:
        mark = b.mark()
        waiting, t.names = t.names, []
        try:
            id = b.make("point_on", {"path": path, "place": choice})
            value = b.ahead.value(id)
        except Refusal:
            return choices[0]
        finally:
            b.back_to(mark)
            t.names = waiting
        gap = min((_distance(value, place) for place in taken), default=1.0) if value is not None else 0.0
        if gap > most * 1.6:
            best, most = choice, gap
    return best


def beyond_ray(t: Things, span: tuple[str, ...]) -> str:
    """A hidden ray that goes on where a span ends, away from its first point."""
    b = t.b
    half_turn = b.make("point_reflection", {"centre": span[1:]}, hidden=True)
    far = b.make("image_point", {"of": span[:1], "by": (half_turn,)}, hidden=True)
    return b.make("ray", {"from": span[1:], "to": (far,)}, hidden=True)


def _at_distance(t: Things, node: Described, distance: Node, start: Node) -> str:
    """ "a point on AB 3 cm from A", "along AB"."""
    size = t.aside(lambda: t.length(distance))
    begin = t.aside(lambda: t.point(start))
    along = node.role("on", "along", "towards")
    if along is None:
        circle = t.b.make("circle_radius", {"centre": (begin,), "radius": size}, hidden=True)
        return t.make("point_on", path=(circle,))
    if node.role("towards") is not None:
        return t.make("point_towards", distance=size, from_=(begin,), to=(t.aside(lambda: t.point(along)),))
    return mark_on(t, along, begin, size)


def mark_on(t: Things, path: Node, begin: str, size: Any) -> str:
    """A point on a straight thing at a length from a point of it, towards its other end."""
    b = t.b
    span = t.aside(lambda: t.straight(path))
    if len(span) == 1:
        step = b.ahead.step(span[0])
        span = (*step.fills.get("from", ()), *step.fills.get("to", ()))
        if len(span) != 2:
            circle = b.make("circle_radius", {"centre": (begin,), "radius": size}, hidden=True)
            return t.make("intersection", a=t.aside(lambda: t.straight(path)), b=(circle,))
    others = [end for end in span if end != begin]
    if len(others) != 1:
        raise Refusal("The length is marked off from an end of the line.")
    return t.make("point_towards", distance=size, from_=(begin,), to=(others[0],))


def _wish(t: Things, node: Described):
    """What is asked of the place of a free point besides: inside, outside, above, below."""
    tests = []
    said = [role for role, _ in node.roles if role in ("inside", "outside", "in", "within", "above", "below")]
    if said:
        t.b.guesses.append(f"it starts {' and '.join(said)} that; a drag may take it elsewhere")
    for role, part in node.roles:
        if role in ("inside", "outside", "in", "within"):
            tests.append(_in_shape(t, part, role != "outside"))
        elif role in ("above", "below"):
            tests.append(_over(t, part, role == "above"))
        elif role in ("near", "with", "and"):
            continue
        else:
            raise Refusal(f"A point cannot be said to be “{role.replace('_', ' ')}” that here.")
    return lambda at: all(test(at) for test in tests)


def _in_shape(t: Things, part: Node, wanted: bool):
    b = t.b
    shape = t.aside(lambda: t.either(lambda: t.round(part), lambda: corners_of(t, part)))
    if not isinstance(shape, str):
        corners = shape
        places = [b.ahead.value(id) for id in corners]
        if any(place is None for place in places):
            raise Refusal("That shape is not there now.")
        middle = (sum(p[0] for p in places) / len(places), sum(p[1] for p in places) / len(places))
        inner = [(middle[0] + 0.8 * (p[0] - middle[0]), middle[1] + 0.8 * (p[1] - middle[1])) for p in places]
        return lambda at: bool(inside_polygon(inner if wanted else places, at[0], at[1])) == wanted
    x, y, rr = b.ahead.value(shape)[:3]
    return lambda at: ((at[0] - x) ** 2 + (at[1] - y) ** 2 < 0.7 * rr) if wanted else ((at[0] - x) ** 2 + (at[1] - y) ** 2 > 2.0 * rr)


def _over(t: Things, part: Node, above: bool):
    px, py, dx, dy = _through(t, t.aside(lambda: t.straight(part)))
    if dx < 0:
        dx, dy = -dx, -dy
    return lambda at: (dx * (at[1] - py) - dy * (at[0] - px) > 0) == above


def _through(t: Things, span: tuple[str, ...]) -> tuple[float, float, float, float]:
    values = [t.b.ahead.value(id) for id in span]
    if any(value is None for value in values):
        raise Refusal("That line is not there now.")
    if len(span) == 2:
        (x, y), (u, v) = values[0][:2], values[1][:2]
        return x, y, u - x, v - y
    return values[0][:4]


def _clear_of(t: Things, path: tuple[str, ...], at: Place) -> bool:
    """Whether a place is well off a straight thing or a circle."""
    view = t.b.ahead.settings.view
    least = 0.15 * min(view[2] - view[0], view[3] - view[1])
    if len(path) == 1 and t.b.kind(path[0]) in (CIRCLE, ARC):
        x, y, rr = t.b.ahead.value(path[0])[:3]
        return bool(abs(((at[0] - x) ** 2 + (at[1] - y) ** 2) ** 0.5 - rr**0.5) > 0.3 * least)
    px, py, dx, dy = _through(t, path)
    size = (dx * dx + dy * dy) ** 0.5
    return bool(size == 0 or abs(dx * (at[1] - py) - dy * (at[0] - px)) / size > least)


@makes("intersection", parts="of between with and to", words="second again common")
def crossings(t: Things, node: Described) -> list[str]:
    of = node.role("of", "between")
    second = "second" in node.adjectives or "other" in node.adjectives or "again" in node.extra
    other = node.role("with", "and", "to")
    if isinstance(of, Many) and len(of.items) == 2 and other is None:
        return _meeting(t, of.items[0], of.items[1], second, node)
    if of is not None and other is not None:
        return _meeting(t, of, other, second, node)
    if isinstance(of, (Described, Many, Named, Ref)):
        return where_they_meet(t, Where(of, None))
    if of is None and node.kind == "old":
        return where_they_meet(t, Where(_lately_straight(t), None))
    raise Refusal("Of which two things? Say: the intersection of l and m.")


def _lately_straight(t: Things) -> Many:
    """The two straight things or circles that were spoken of last."""
    b = t.b
    found = [id for id in b.recent.ids if id in b.ahead and b.kind(id) in (*STRAIGHTS, CIRCLE)]
    if len(found) < 2:
        raise Refusal("Of which two things is the crossing meant?")
    return Many(tuple(Named(b.ahead.name(id)) for id in found[-2:]))


@finds_meetings
def where_they_meet(t: Things, node: Where) -> list[str]:
    """Where two things meet; where several lines of a sort do (the medians, the altitudes), the point that they have in common."""
    if node.other is not None:
        return _meeting(t, node.one, node.other, node.again, None)
    one = node.one
    if isinstance(one, Many) and len(one.items) >= 2:
        return _meeting(t, one.items[0], one.items[1], node.again, None)
    if isinstance(one, Ref):
        one = _lately_straight(t)
        return _meeting(t, one.items[0], one.items[1], node.again, None)
    if isinstance(one, Described) and len(one.names) >= 2:
        first, second = (replace(one, names=(name,), plural=False) for name in one.names[:2])
        return _meeting(t, first, second, node.again, None)
    if (
        isinstance(one, Described)
        and one.head in _COMMON
        and not isinstance(one.role("of"), Many)
        and one.role("from") is None
        and not one.names
    ):
        triangle = t.aside(lambda: t.triangle(_triangle_said(one)))
        return [t.make(_COMMON[one.head], triangle=triangle)]
    ids = t.aside(lambda: t.all_of(one))
    if len(ids) < 2:
        raise Refusal("Two things are needed that meet.")
    return _crossing_of(t, (ids[0],), (ids[1],), node.again)


_COMMON = {
    "median": "centroid", "altitude": "orthocentre", "perpendicular-bisector": "circumcentre", "angle-bisector": "incentre",
    "bisector": "incentre",
}  # fmt: skip


def _triangle_said(node: Node) -> Node | None:
    of = node.role("of", "in", "from") if isinstance(node, Described) else None
    if (isinstance(of, Described) and of.head in ("side", "angle")) or of is None:
        return of.role("of") if isinstance(of, Described) else None
    return of


def _meeting(t: Things, one: Node, other: Node, again: bool, said: Described | None) -> list[str]:
    a = t.aside(lambda: t.path(one))
    b = t.aside(lambda: t.path(other))
    return _crossing_of(t, a, b, again, said.plural if said is not None else False)


def _crossing_of(t: Things, a: tuple[str, ...], b: tuple[str, ...], again: bool, plural: bool = False) -> list[str]:
    """The crossing of two paths, all of them where more names wait, the other one where one is known."""
    building = t.b
    a = _whole(t, a, b)
    b = _whole(t, b, a)
    curved = [path for path in (a, b) if len(path) == 1 and building.kind(path[0]) in (CIRCLE, ARC, CONIC)]
    if not curved:
        return [_settled(t, t.make("intersection", a=a, b=b))]
    known = _known_crossing(t, a, b)
    if again or (known is not None and len(t.names) <= 1 and not plural):
        if known is None:
            raise Refusal("Where do they meet first? There is no point yet in which they meet.")
        return [t.make("other_intersection", a=a, b=b, known=(known,))]
    if len(t.names) > 1 or plural or not t.names:
        found = [t.make("intersection", a=a, b=b, which=which) for which in ("first", "second")]
        return [_settled(t, id) for id in found]
    return [_settled(t, t.make("intersection", a=a, b=b, which=_shown_crossing(t, a, b)))]


def _settled(t: Things, id: str) -> str:
    t.b.settle(id)
    return id


def _shown_crossing(t: Things, a: tuple[str, ...], b: tuple[str, ...]) -> str:
    """Which crossing is meant by one alone: that nearer to the point that a line leads to, else the first that is there."""
    building = t.b
    end = _second_end(t, a) or _second_end(t, b)
    found = []
    for number, which in enumerate(("first", "second")):
        mark = building.mark()
        id = building.make("intersection", {"a": a, "b": b, "which": which}, None, True)
        value = building.ahead.value(id)
        building.back_to(mark)
        if value is not None:
            found.append((_distance(value, end) if end is not None else number, which))
    return min(found)[1] if found else "first"


def _second_end(t: Things, path: tuple[str, ...]) -> Any:
    """Where the second of the two points is through which a straight thing goes; None where there is none."""
    if len(path) == 2:
        return t.b.ahead.value(path[1])
    to = t.b.ahead.step(path[0]).fills.get("to") if t.b.kind(path[0]) in STRAIGHTS else None
    return t.b.ahead.value(to[0]) if to else None


def _known_crossing(t: Things, a: tuple[str, ...], b: tuple[str, ...]) -> str | None:
    """A point that lies on both by construction."""
    on_a, on_b = _on(t, a), _on(t, b)
    common = [id for id in on_a if id in on_b]
    return common[0] if common else None


def _on(t: Things, path: tuple[str, ...]) -> list[str]:
    if len(path) == 2:
        return list(path)
    return t.b.points_on(path[0])


def _whole(t: Things, path: tuple[str, ...], other: tuple[str, ...]) -> tuple[str, ...]:
    """The whole line instead of a part of it that does not reach what it is to meet."""
    b = t.b
    kind = b.kind(path[0]) if len(path) == 1 else SEGMENT
    if kind not in (SEGMENT, VECTOR, RAY):
        return path
    mark = b.mark()
    try:
        id = b.make("intersection", {"a": path, "b": other}, None, True)
        there = b.ahead.value(id) is not None and not (_is_curved(t, other) and kind != RAY)
    finally:
        b.back_to(mark)
    if there:
        return path
    if len(path) == 2:
        line = b.straight_between(*path, kinds=(LINE,)) or b.make("line", {"from": path[:1], "to": path[1:]}, hidden=True)
        return (line,)
    step = b.ahead.step(path[0])
    if step.does in ("segment", "ray", "vector"):
        return (b.make("line", {"from": step.fills["from"], "to": step.fills["to"]}, hidden=True),)
    if step.does == "altitude":
        return (b.make("perpendicular", {"base": step.fills["base"], "point": step.fills["corner"]}, hidden=True),)
    return path


def _is_curved(t: Things, path: tuple[str, ...]) -> bool:
    return len(path) == 1 and t.b.kind(path[0]) in (CIRCLE, ARC, CONIC)


@makes("contact", parts="from of on to with")
def contacts(t: Things, node: Described) -> list[str]:
    """Where tangents from a point touch."""
    start, curve = node.role("from", "of"), node.role("on", "to", "of", "with")
    if isinstance(start, Described) and start.head == "tangent":
        curve, start = start.role("to"), start.role("from")
    if start is None:
        made = [step for step in t.b.ahead.steps if step.does == "tangent_from"][-2:]
        if not made:
            raise Refusal("From which point? Say: the touching points from P on k.")
        return [
            t.make("touching_point", point=step.fills["point"], curve=step.fills["circle"], which=step.fills.get("which", "first"))
            for step in made
        ]
    point = t.aside(lambda: t.point(start))
    circle = t.aside(lambda: t.round(curve))
    if node.plural or len(t.names) > 1:
        return [t.make("touching_point", point=(point,), curve=(circle,), which=which) for which in ("first", "second")]
    return [t.make("touching_point", point=(point,), curve=(circle,), which="first")]


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
    return list(t.aside(lambda: corners_of(t, node.role("of"))))


def divided(t: Things, span: tuple[str, ...], parts: int) -> list[str]:
    """The points that divide a span into so many equal parts."""
    if not 2 <= parts <= 40:
        raise Refusal("A line is divided into 2 to 40 equal parts.")
    if parts == 2:
        return [t.make("midpoint", span=span)]
    return [t.make("dividing", span=span, first=float(number), second=float(parts - number)) for number in range(1, parts)]


def amount_of(node: Node) -> str | None:
    return node.text if isinstance(node, Amount) else None
