"""Points that are free, on a path, at a distance, inside or beyond something."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from typing import Any

from ..kinds import ARC, CIRCLE, CONIC, LINE, POINT, POLYGON, RAY, SEGMENT, STRAIGHTS
from ..refusal import Refusal
from ..seen import Place
from .amounts import length_said
from .crossings import where_they_meet
from .nodes import Amount, Described, Many, Named, Node, Ref, Where
from .nouns import makes
from .on_paths import clear_of
from .refusals import Final, Stray
from .spans import distance_between, distant_from, spans_of
from .tables import words
from .things import Things
from .wishes import OF_PLACES, suppose_of, wish

#: Nouns for what has a whole line.
_LINES = words("line segment side ray chord")
#: Where a new point goes on a path on which others lie: shares of a segment, degrees on a circle.
_SHARES, _DEGREES = (0.38, 0.71, 0.17, 0.86, 0.55), (57.0, 148.0, 301.0, 229.0, 12.0, 98.0, 187.0, 262.0)


#: What points can slide on.
_PATHS = frozenset((*STRAIGHTS, CIRCLE, ARC, CONIC, POLYGON, "locus"))


@makes(
    "point",
    words="in-line in-the-middle",
    parts="equidistant apart "
    "at at_place where distance at_distance from between on of along in inside outside off above below towards within same_side_of "
    "other_side_of same_side_as",
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
    if "in-line" in node.adjectives and count == 1:
        raise Stray("One point is in line with nothing. Say how many: three points in line.")
    if "in-line" in node.adjectives and not node.roles:
        return _on_new_path(t, node, Described("line", kind="new"), count)
    if (apart := node.role("apart")) is not None and count == 2:
        ends = [t.names.pop(0) if t.names else None for _ in range(2)]
        size = t.aside(lambda: length_said(t, apart))
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
    if count > 1 and isinstance(path_node, Ref) and len(node.roles) == 1:
        # Of what was spoken of, what can carry points: "O is the centre of a circle. A and B are points on it."
        found = [id for id in b.recent.ids if id in b.ahead and b.kind(id) in _PATHS][-1:] or t.aside(lambda: t.all_of(path_node))
        if len(found) != 1:
            raise Refusal("On which one thing are they?")
        return [t.make("point_on", path=(found[0],), place=free_place_on(t, (found[0],))) for _ in range(count)]
    if count > 1 and isinstance(path_node, Many) and len(node.roles) == 1:
        # "X, Y and Z on BC, CA and AB": each on one of them
        if len(path_node.items) != count:
            are_sides = all(isinstance(item, Named) and len(item.points) == 2 for item in path_node.items)
            raise (Final if are_sides else Refusal)(
                f"There are {count} points and {len(path_node.items)} things that they are on. Say which lies on which."
            )
        (role, _) = node.roles[0]
        return [point for item in path_node.items for point in _one_point(t, replace(node, roles=((role, item),)))]
    if isinstance(path_node, Described) and path_node.plural and not path_node.names and len(node.roles) == 1:
        return _on_each(t, path_node, count if node.plural or count > 1 else 0)
    return [point for _ in range(count) for point in _one_point(t, node)]


def _on_each(t: Things, paths: Described, count: int) -> list[str]:
    """A point on each of several lines, sides or circles. Raises Refusal where another number of points is said."""
    if paths.head == "side":
        found = t.aside(lambda: spans_of(t, paths))
    else:
        found = [(id,) for id in t.aside(lambda: t.all_of(replace(paths, kind=paths.kind or "all")))]
    if count not in (0, len(found)):
        raise Final(f"There are {count} points and {len(found)} things that they are on. Say which lies on which.")
    return [t.make("point_on", path=path, place=free_place_on(t, path)) for path in found]


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
    elif path.head == "line" and not path.roles and count > 1:
        made = [b.free_point(name) for name in names[:2]]
        on = b.make("line", {"from": (made[0],), "to": (made[1],)})
    else:
        made = []
        (on,) = t.aside(lambda: t.all_of(path))
    for name in names[len(made) :]:
        place = free_place_on(t, (on,))
        made.append(
            b.make("point_on", {"path": (on,), "place": place}, name) if name else b.make("point_on", {"path": (on,), "place": place})
        )
    return made


def _two_lines(t: Things, node: Node) -> list[tuple[str, ...]] | None:
    """The two lines that something is said of; None where it is said of points."""
    if isinstance(node, Ref):
        late = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) != POINT][-2:]
        return [(id,) for id in late] if len(late) == 2 and all(t.b.kind(id) in STRAIGHTS for id in late) else None
    items = node.items if isinstance(node, Many) else node.names if isinstance(node, Described) and node.head in _LINES else ()
    if len(items) != 2 or not all(isinstance(item, Named) and len(item.points) != 1 for item in items):
        return None
    return t.aside(lambda: [t.straight(item) for item in items])


def _one_point(t: Things, node: Described) -> list[str]:
    b = t.b
    place = node.role("at_place", "at")
    if isinstance(place, Described) and place == Described("point", kind="new", roles=place.roles) and len(place.roles) == 1:
        place = place.role("at_place")  # "a new point at (3, 4)"
    if isinstance(place, Named) and place.at is not None:
        return [t.make("free_point", at=tuple(float(part) for part in place.at))]
    if (far := node.role("equidistant")) is not None:
        if (lines := _two_lines(t, far)) is not None:
            if len({*lines[0], *lines[1]}) == 3 and (shared := set(lines[0]) & set(lines[1])):
                (one,), (other,) = (tuple(id for id in line if id not in shared) for line in lines)
                bisector = b.make("angle_bisector", {"corner": (one, *shared, other)}, hidden=True)
            else:
                bisector = b.make("bisector_of_lines", {"a": lines[0], "b": lines[1], "which": "first"}, hidden=True)
            return [t.make("point_on", path=(bisector,), place=free_place_on(t, (bisector,)))]
        ends = t.aside(lambda: t.points(far))
        if len(ends) == 3:
            return [t.make("circumcentre", triangle=tuple(ends))]
        if len(ends) != 2:
            raise Refusal("Equidistant from which two or three points?")
        middle = b.make("perpendicular_bisector", {"span": tuple(ends)}, hidden=True)
        return [t.make("point_on", path=(middle,), place=0.4)]
    if (where := node.role("where")) is not None and isinstance(where, Where):
        return where_they_meet(t, where)
    distance, start = node.role("distance", "at_distance"), node.role("from")
    if distance is not None and start is not None:
        return [_at_distance(t, node, distance, start)]
    if (between := node.role("between")) is not None:
        ends = t.aside(lambda: t.span(between))
        return [t.make("point_on", path=ends, place=free_place_on(t, ends))]
    path_node = (
        node.role("on", "of", "along")
        or (node.role("in") if _is_path(node.role("in")) else None)
        or (node.role("inside") if _is_produced(node.role("inside")) else None)
    )
    if path_node is not None:
        wished = tuple((role, part) for role, part in node.roles if role in OF_PLACES)
        fits, supposed = wish(t, replace(node, roles=wished)) if wished and not _is_produced(path_node) else (None, [])
        point = _on_path(t, path_node, fits)
        suppose_of(t, point, supposed)
        return [point]
    if (off := node.role("off")) is not None:
        path = t.aside(lambda: t.path(off))
        if len(path) == 1 and b.kind(path[0]) not in (CIRCLE, ARC, *STRAIGHTS):
            raise Refusal(f"A point that is not on {b.ahead.name(path[0])} is said to be inside or outside of it.")
        return [b.free_point(t.take_name(POINT), fits=lambda at: clear_of(t, path, at))]
    fits, supposed = wish(t, node)
    point = b.free_point(t.take_name(POINT), fits=fits)
    suppose_of(t, point, supposed)
    b.recent.note([point])
    return [point]


def _is_path(node: Node | None) -> bool:
    return (
        (isinstance(node, Named) and len(node.points) == 2)
        or _is_produced(node)
        or (isinstance(node, Described) and node.head in ("line", "segment", "side", "ray", "chord"))
    )


def _is_produced(node: Node | None) -> bool:
    return isinstance(node, Described) and "produced" in node.extra


def _on_path(t: Things, path_node: Node, fits: Callable[[Place], bool] | None = None) -> str:
    if _is_produced(path_node) and isinstance(path_node, Described):
        inner = path_node.names[0]
        ends = t.aside(lambda: t.span(inner))
        return t.make("point_on", path=(beyond_ray(t, ends),), place=0.58)
    path = t.aside(lambda: _path_to_ride(t, path_node))
    return t.make("point_on", path=path, place=free_place_on(t, path, fits))


def _path_to_ride(t: Things, node: Node) -> tuple[str, ...]:
    """What a point is to ride on: two points stand for the segment between them, a shape for its outline."""
    b = t.b
    if isinstance(node, Described) and node.head == "ray" and len(node.names) == 1 and not (node.roles or node.adjectives or node.extra):
        inner = node.names[0]
        if isinstance(inner, Named) and len(inner.points) == 2 and not b.ahead.ids_named(inner.text):
            start, stop = b.points(inner.points)
            return (b.make("ray", {"from": (start,), "to": (stop,)}, hidden=True),)
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


#: Places on a line beyond the points that it goes through.
_FURTHER = (1.3, -0.3, 1.7, -0.7, 2.5, -1.5)


def free_place_on(t: Things, path: tuple[str, ...], fits: Callable[[Place], bool] | None = None) -> float:
    """Where on a path a new point goes: not upon one that is there, and where it fits if it can be."""
    b = t.b
    kind = b.kind(path[0]) if len(path) == 1 else SEGMENT
    taken = [value for id in b.of_kind(POINT) if (value := b.ahead.value(id)) is not None]
    choices = _DEGREES if kind in (CIRCLE, CONIC) else tuple(share + (0.9 if kind == RAY else 0) for share in _SHARES)
    if fits is not None and kind == LINE:
        choices = (*choices, *_FURTHER)  # where it is said to be may be beyond both of the points that it goes through
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
        gap = min((distance_between(value, place) for place in taken), default=1.0) if value is not None else 0.0
        if fits is not None and value is not None and not fits(value[:2]):
            gap *= 1e-6
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
    size = t.aside(lambda: length_said(t, distance))
    along = node.role("on", "along", "towards")
    if along is None and (line := t.aside(lambda: line_said(t, start))):
        if node.plural and not node.count:
            raise Refusal("Such points are two lines. Say: the locus of points 3 cm from the line AB.")
        beside = distant_from(t, line, size)
        parallel = t.b.make("parallel", {"base": line, "point": (beside,)}, hidden=True)
        return t.make("point_on", path=(parallel,), place=free_place_on(t, (parallel,)))
    begin = t.aside(lambda: t.point(start))
    if along is None:
        circle = t.b.make("circle_radius", {"centre": (begin,), "radius": size}, hidden=True)
        return t.make("point_on", path=(circle,))
    if node.role("towards") is not None:
        return t.make("point_towards", distance=size, from_=(begin,), to=(t.aside(lambda: t.point(along)),))
    return mark_on(t, along, begin, size)


def line_said(t: Things, node: Node) -> tuple[str, ...]:
    """The line that a distance is said from; nothing where it is a point."""
    if isinstance(node, Ref):
        last = t.all_of(node)
        return (last[0],) if t.b.kind(last[0]) in STRAIGHTS else ()
    try:
        t.point(node)
    except Refusal:
        return t.straight(node)
    return ()


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
