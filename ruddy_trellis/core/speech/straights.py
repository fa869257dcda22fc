"""Descriptions of straight things."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

from ..kinds import CIRCLE, CONIC, LINE, POINT, RAY, SEGMENT, VECTOR
from ..refusal import Refusal
from .phrases import Amount, Described, Many, Named, Node, Ref
from .points import _circle_of, _free_place, _points_on, centre_of, corners_of, each, facing_side, feet, mark_on, sides_of, spans_of
from .things import Things, makes


@makes(
    "segment",
    "line",
    "ray",
    "vector",
    "chord",
    "side",
    "radius",
    "diameter",
    "secant",
    "diagonal",
    "base",
    "hypotenuse",
    "arm",
    parts="bisects perpendicular parallel tangent by at with from through of between on to towards and length in",
    words="perpendicular parallel horizontal vertical equal meets",
)
def straights(t: Things, node: Described) -> list[str]:
    """Straight things that go through or between points, or that are said by what they are parallel or perpendicular to."""
    if node.head in ("diagonal", "side", "hypotenuse") and not node.names:
        spans = t.aside(lambda: [t.span(node)] if node.head == "hypotenuse" else spans_of(t, replace(node, plural=True)))
        return [_between(t, "segment", span) for span in spans]
    if node.head == "radius" and not node.names:
        return [_radius(t, node)]
    if node.head == "diameter" and not node.names:
        return [_diameter(t, node)]
    if node.amounts and node.role("length") is None:
        if node.head not in ("segment", "line", "radius", "ray"):
            raise Refusal(f"A size is not understood of a {node.head}.")
        node = replace(node, amounts=(), roles=(*node.roles, ("length", Amount(node.amounts[0]))))
    if (bisected := node.role("bisects")) is not None:
        if (isinstance(bisected, Described) and bisected.head == "angle") or (
            isinstance(bisected, Named) and len(bisected.points) in (1, 3)
        ):
            return bisectors(t, Described("bisector", names=node.names, roles=(("of", bisected),)))
        raise Refusal("Say: the perpendicular bisector of AB.")
    key = {"line": "line", "ray": "ray", "vector": "vector", "secant": "line"}.get(node.head, "segment")
    if node.role("perpendicular", "parallel", "tangent") is not None or {"perpendicular", "parallel", "horizontal", "vertical"} & set(
        node.adjectives
    ):
        return _directed(t, node, key)
    if node.role("length") is not None and not node.names:
        return [
            _of_length(
                t,
                node,
                node.role("from", "through", "at")
                if not isinstance(node.role("from", "through", "at"), Amount)
                else node.role("from", "through"),
                _need(node.role("length")),
            )
        ]
    if (
        (by := node.role("by", "at", "with")) is not None
        and isinstance(by, (Amount, Described))
        and (isinstance(by, Amount) or by.head == "angle")
        and node.head in ("line", "ray", "segment")
    ):
        return [_at_angle(t, node, by)]
    if node.names:
        return _named(t, node, key)
    one, other = (
        node.role("from", "through", "of", "between", "on"),
        node.role("to", "through" if node.role("from") else "towards", "and", "with"),
    )
    length = node.role("length")
    if one is None and node.head == "chord" and length is None:
        return [_any_chord(t, node) for _ in range(min(node.count or 1, 6))]
    if one is None:
        if length is not None:
            return [_of_length(t, node, None, length)]
        waiting = len(t.names)
        if waiting and all(len(name) == 1 for name in t.names) and node.head in ("line", "ray", "segment", "vector"):
            return [_any_line(t, key) for _ in range(node.count or waiting)]
        return [_any_line(t, key) for _ in range(min(node.count or 1, 6))]
    if length is not None and (other is None or other is one):
        return [_of_length(t, node, one, length)]
    if other is not None and other is not one:
        return _from_to(t, key, one, other)
    if isinstance(one, Ref):
        lately = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) == POINT]
        if len(lately) < 2:
            raise Refusal("Through which points?")
        return [_between(t, key, (lately[-2], lately[-1]))]
    if (
        isinstance(one, Described)
        and one.plural
        and one.head in ("midpoint", "point", "centre", "contact", "foot", "image", "intersection")
    ):
        points = t.aside(lambda: t.points(one))
        if len(points) != 2:
            raise Refusal("A line goes through two points.")
        return [_between(t, "segment" if node.role("between") is one else key, (points[0], points[1]))]
    if (
        isinstance(one, (Many,))
        or (isinstance(one, Named) and len(one.points) == 2)
        or (isinstance(one, Described) and one.head != "point")
    ):
        spans = t.aside(lambda: spans_of(t, one))
        if all(len(span) == 2 for span in spans):
            return [_between(t, key, span) for span in spans]
    # A line through one point only: any that goes through it.
    point = t.aside(lambda: t.point(one))
    second = t.aside(lambda: t.b.free_point(fits=None))
    return [_between(t, key, (point, second))]


def _named(t: Things, node: Described, key: str) -> list[str]:
    """ "line AB", "lines AB and CD", "line l through A and B", "chord AQ"."""
    made = []
    b = t.b
    names = [name for name in node.names if isinstance(name, Named)]
    if len(names) == 2 and all(len(name.points) == 1 for name in names) and not node.roles:
        return [_between(t, key, b.points([point for name in names for point in name.points]))]
    for name in names:
        if len(name.points) == 2:
            if node.head == "diameter":
                made.append(_diameter_named(t, node, name))
                continue
            if node.head == "radius":
                made.append(_between(t, "segment", b.points(name.points)))
                continue
            if node.head == "chord":
                made.append(_chord(t, node, name))
                continue
            length = node.role("length")
            if length is not None:
                made.append(span_of_length(t, name, length))
                continue
            made.append(_between(t, key, b.points(name.points)))
        else:
            t.names.insert(0, name.text)
            made += straights(t, replace(node, names=()))
    return made


def _chord(t: Things, node: Described, name: Named) -> str:
    """A chord between two points; new ones go on the circle."""
    b = t.b
    missing = [point for point in name.points if not b.has(point)]
    if missing:
        circle = t.aside(lambda: t.round(node.role("of", "in")))
        for point in missing:
            waiting, t.names = t.names, [point]
            t.make("point_on", path=(circle,), place=_free_place(t, (circle,)))
            t.names = waiting
    return _between(t, "segment", b.points(name.points))


def _any_chord(t: Things, node: Described) -> str:
    """A chord between two new points of a circle."""
    circle = t.aside(lambda: t.round(node.role("of", "in")))
    ends = [t.aside(lambda: t.b.make("point_on", {"path": (circle,), "place": _free_place(t, (circle,))})) for _ in range(2)]
    return _between(t, "segment", (ends[0], ends[1]))


def _diameter_named(t: Things, node: Described, name: Named) -> str:
    """A diameter AB of a circle: A rides on it, B faces it; or both are there."""
    b = t.b
    of = node.role("of", "in")
    if isinstance(of, Described) and of.kind == "new" and of.head == "circle":
        ends = b.points(name.points)
        centre = of.role("centre")
        if isinstance(centre, Named) and centre.points and not b.has(centre.text):
            middle = b.make("midpoint", {"span": ends}, centre.text)
            circle = b.make("circle", {"centre": (middle,), "point": ends[:1]})
        else:
            circle = b.make("circle_on_diameter", {"from": ends[:1], "to": ends[1:]})
        if of.names and isinstance(of.names[0], Named):
            b.rename_new(circle, of.names[0].text)
        return _between(t, "segment", ends)
    known = [point for point in name.points if b.has(point)]
    if len(known) == 2 or not b.of_kind(CIRCLE):
        return _between(t, "segment", b.points(name.points))
    circle = t.aside(lambda: t.round(None))
    one = known[0] if known else name.points[0]
    other = next(point for point in name.points if point != one)
    if not known:
        b.make("point_on", {"path": (circle,)}, one)
    middle = t.aside(lambda: centre_of(t, circle))
    half_turn = b.make("point_reflection", {"centre": (middle,)}, hidden=True)
    b.make("image_point", {"of": (b.point(one),), "by": (half_turn,)}, other)
    return _between(t, "segment", b.points(name.points))


def span_of_length(t: Things, name: Named, length: Node) -> str:
    """A segment AB of a length: A is free, B is the end of it. Where both are there, it cannot be given a length."""
    b = t.b
    size = t.aside(lambda: t.length(length))
    one, other = name.points
    if b.has(one) and b.has(other):
        raise Refusal(f"{one} and {other} are there already, so the length of {name.text} cannot be chosen.")
    if b.has(other) and not b.has(one):
        one, other = other, one
    start = b.point(one)
    circle = b.make("circle_radius", {"centre": (start,), "radius": size}, hidden=True)
    b.make("point_on", {"path": (circle,), "place": 4.0}, other)
    return _between(t, "segment", b.points((one, other)))


def _from_to(t: Things, key: str, one: Node, other: Node) -> list[str]:
    b = t.b
    starts = t.aside(lambda: t.points(one))
    stops = t.aside(lambda: t.either(lambda: t.points(other), lambda: t.straight(other)))
    if isinstance(stops, tuple):
        # "a line from A to BC": the shortest.
        base = stops
        return [_between(t, "segment", (start, b.make("foot", {"point": (start,), "base": base}))) for start in starts]
    if len(starts) == 1:
        starts *= len(stops)
    elif len(stops) == 1:
        stops *= len(starts)
    if len(starts) != len(stops):
        raise Refusal("It is not clear what is joined to what.")
    use = "segment" if key == "line" else key
    return [_between(t, use, pair) for pair in zip(starts, stops)]


def _between(t: Things, key: str, span: tuple[str, ...]) -> str:
    if len(span) == 1:
        return span[0]
    if not t.names and key != "ray":
        known = t.b.straight_between(
            *span, kinds=(t.b.ahead.step(span[0]).makes and {"segment": SEGMENT, "line": LINE, "vector": VECTOR}[key],)
        )
        if known is not None and not (key == "vector" and t.b.ahead.step(known).fills["from"] != span[:1]):
            t.b.recent.note([known])
            return known
    return t.make(key, from_=span[:1], to=span[1:])


def between(t: Things, key: str, span: tuple[str, ...]) -> str:
    """The segment, line, ray or vector between two points, made where it is not there."""
    return _between(t, key, span)


def _any_line(t: Things, key: str) -> str:
    """A new line somewhere, through two new points."""
    one = t.aside(t.b.free_point)
    two = t.aside(t.b.free_point)
    return t.make(key, from_=(one,), to=(two,))


def _of_length(t: Things, node: Described, start: Node | None, length: Node) -> str:
    size = t.aside(lambda: t.length(length))
    begin = t.aside(lambda: t.point(start) if start is not None else t.b.free_point())
    angle = node.role("at", "by")
    base = node.role("to")
    if angle is not None and base is not None:
        turned = t.aside(lambda: t.number(angle))
        line = t.b.make("at_angle", {"point": (begin,), "angle": turned, "base": t.aside(lambda: t.straight(base))}, hidden=True)
        circle = t.b.make("circle_radius", {"centre": (begin,), "radius": size}, hidden=True)
        end = t.b.make("intersection", {"a": (line,), "b": (circle,), "which": "second"})
        return t.make("segment", from_=(begin,), to=(end,))
    circle = t.b.make("circle_radius", {"centre": (begin,), "radius": size}, hidden=True)
    end = t.b.make("point_on", {"path": (circle,), "place": 4.0})
    return t.make("segment", from_=(begin,), to=(end,))


def _directed(t: Things, node: Described, key: str) -> list[str]:
    """Parallels and perpendiculars, horizontal and vertical lines, lines that touch a circle."""
    b = t.b
    if (tangent := node.role("tangent")) is not None:
        return tangents(
            t,
            Described(
                "tangent",
                names=node.names,
                roles=tuple((("to" if part is tangent else role), part) for role, part in node.roles),
                count=node.count,
            ),
        )
    which = "perpendicular" if node.role("perpendicular") is not None or "perpendicular" in node.adjectives else "parallel"
    if (
        node.role("perpendicular", "parallel", "through", "from", "at", "to", "of") is None
        and (node.count or len(t.names)) == 2
        and not node.names
    ):
        return _two_directed(t, which)
    if {"horizontal", "vertical"} & set(node.adjectives):
        which = "horizontal" if "horizontal" in node.adjectives else "vertical"
    through = node.role("through", "from", "at", "on")
    ends = node.names[0] if node.names and isinstance(node.names[0], Named) else None
    if ends is not None and len(ends.points) == 2:
        return [_named_directed(t, node, ends, which)]
    if ends is not None:
        t.names.insert(0, ends.text)
    if which in ("horizontal", "vertical"):
        point = t.aside(lambda: t.point(through) if through is not None else b.free_point())
        return [t.make(which, point=(point,))]
    base_node = node.role(which) or node.role("to", "of")
    if isinstance(through, Many) and not isinstance(base_node, Many):
        return [
            _one_directed(t, which, t.aside(lambda: t.straight(_need(base_node))), point) for point in t.aside(lambda: t.points(through))
        ]
    if isinstance(base_node, Many) or (isinstance(base_node, Described) and base_node.plural):
        return [line for base in _bases(t, base_node) for line in [_one_directed(t, which, base, t.aside(lambda: t.point(_need(through))))]]
    return [
        _one_parallel_or_perpendicular(
            t, replace(node, head=which, roles=tuple(("to" if role == which else role, part) for role, part in node.roles))
        )
    ]


def _two_directed(t: Things, which: str) -> list[str]:
    """Two new lines that are parallel, or perpendicular to one another."""
    b = t.b
    first_name, second_name = (t.take_name(LINE), t.take_name(LINE)) if len(t.names) == 2 else (None, None)
    ends = t.aside(lambda: (b.free_point(), b.free_point()))
    first = b.make("line", {"from": ends[:1], "to": ends[1:]}, first_name)
    point = t.aside(b.free_point)
    return [first, b.make(which, {"base": (first,), "point": (point,)}, second_name)]


def _need(node: Node | None) -> Node:
    if node is None:
        raise Refusal("Through which point, and to which line?")
    return node


def _bases(t: Things, node: Node) -> list[tuple[str, ...]]:
    if isinstance(node, Many):
        if all(isinstance(item, Named) and len(item.points) == 1 for item in node.items):
            return [t.aside(lambda: t.straight(node))]
        return [t.aside(lambda item=item: t.straight(item)) for item in node.items]  # type: ignore[misc]
    if isinstance(node, Described) and node.head == "side":
        return t.aside(lambda: spans_of(t, node))
    return [(id,) for id in t.aside(lambda: t.all_of(node))]


def _one_directed(t: Things, which: str, base: tuple[str, ...], point: str) -> str:
    return t.make(which, base=base, point=(point,))


def _named_directed(t: Things, node: Described, ends: Named, which: str) -> str:
    """ "AD perpendicular to BC [meeting it at D]": from the end that is there; the other is its foot, or free on it."""
    b = t.b
    base = t.aside(lambda: t.straight(_need(node.role(which))))
    known = [point for point in ends.points if b.has(point)]
    if len(known) == 2:
        raise Refusal(f"{ends.text} is there already; whether it is {which} is a claim.")
    if not known:
        raise Refusal(f"{ends.points[0]} is not there.")
    start = b.point(known[0])
    other = next(point for point in ends.points if point != known[0])
    size = node.role("length")
    if which == "perpendicular" and size is None:
        base_points = set(base) if len(base) == 2 else _points_on(t, base[0])
        if start not in base_points:
            foot = b.make("foot", {"point": (start,), "base": base}, other)
            return _between(t, "segment", (start, foot))
    line = b.make(which, {"base": base, "point": (start,)}, hidden=True)
    if "equal" in node.extra and len(base) == 2:
        # Equal and parallel: the fourth corner of a parallelogram.
        vector = b.make("translation", {"from": base[:1], "to": base[1:]}, hidden=True)
        end = b.make("image_point", {"of": (start,), "by": (vector,)}, other)
        return _between(t, "segment", (start, end))
    if size is not None:
        circle = b.make("circle_radius", {"centre": (start,), "radius": t.aside(lambda: t.length(size))}, hidden=True)
        end = b.make("intersection", {"a": (line,), "b": (circle,), "which": "second"}, other)
    else:
        end = b.make("point_on", {"path": (line,), "place": 0.4}, other)
    return _between(t, "segment", (start, end))


@makes("perpendicular", "parallel", parts="through from at of by to on with perpendicular parallel distance", words="opposite")
def parallels(t: Things, node: Described) -> list[str]:
    """Parallels and perpendiculars said by their own noun."""
    if any(
        (isinstance(part, Described) and part.head == "distance") or isinstance(part, Amount)
        for role, part in node.roles
        if role in ("at", "by", "distance")
    ):
        return [_one_parallel_or_perpendicular(t, node)]
    through = node.role("through", "from", "at", "of") if node.role("to", "on") is not None else node.role("through", "from", "at", "by")
    base = node.role("to", "on", "with") or (node.role("of") if through is not node.role("of") else None) or node.role(node.head)
    if node.names and isinstance(node.names[0], Named):
        if len(node.names[0].points) == 2 and (base is not None):
            return [_named_directed(t, replace(node, roles=((node.head, base), *node.roles)), node.names[0], node.head)]
        t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
    if isinstance(base, Many) and all(isinstance(item, Named) and len(item.points) == 1 for item in base.items):
        base = None if through is not None and node.head == "perpendicular" else base
    starts = t.aside(lambda: t.points(through)) if through is not None else []
    if len(starts) > 1 or (isinstance(base, (Many, Described)) and _is_several(base)):
        facing = base is None or (isinstance(base, Described) and base.head == "side" and ("opposite" in base.adjectives or base.plural))
        if facing:
            return [_dropped(t, start, facing_side(t, start)) for start in starts]
        bases = _bases(t, base) if base is not None else []
        if len(bases) == 1:
            bases *= len(starts)
        if len(starts) == 1:
            starts *= len(bases)
        if len(starts) != len(bases):
            raise Refusal("It is not clear which line goes with which point.")
        return [_one_of(t, node, one, start) for one, start in zip(bases, starts)]
    return [_one_parallel_or_perpendicular(t, replace(node, names=()))]


def _is_several(node: Node) -> bool:
    return isinstance(node, Many) or (isinstance(node, Described) and node.plural)


def _one_of(t: Things, node: Described, base: tuple[str, ...], start: str) -> str:
    return t.make(node.head, base=base, point=(start,))


def _dropped(t: Things, start: str, base: tuple[str, ...]) -> str:
    return t.make("altitude", corner=(start,), base=base)


def _one_parallel_or_perpendicular(t: Things, node: Described) -> str:
    """One parallel or perpendicular: through a point, at a distance, or where it is bisected."""
    near = node.role("at", "by")
    through = (
        node.role("through")
        or (near if isinstance(near, Named) or (isinstance(near, Described) and near.head != "distance") else None)
        or node.role("from")
    )
    base = node.role("to", "on", "with", node.head)
    of = node.role("of")
    if base is None and of is not None:
        base = of
    elif through is None and of is not None:
        through = of
    distance = node.role("at", "by", "distance")
    if isinstance(distance, Described) and distance.head == "distance" and node.head == "parallel":
        size = distance.role("of") or (Amount(distance.amounts[0]) if distance.amounts else None)
        return _parallel_at(t, base, size)
    if isinstance(distance, Amount) and node.head == "parallel":
        return _parallel_at(t, base, distance)
    if base is None and through is not None and "opposite" in node.adjectives:
        point = t.aside(lambda: t.point(through))
        return t.make("altitude", corner=(point,), base=facing_side(t, point))
    if base is None and through is None:
        raise Refusal(f"To which line, and through which point? Say: the {node.head} to AB through C.")
    if through is None:
        raise Refusal(f"Through which point? Say: the {node.head} to AB through C.")
    point = t.aside(lambda: t.point(through))
    if base is None:
        line = _line_of_point(t, point) if node.head == "perpendicular" else None
        if line is None:
            raise Refusal(f"To which line? Say: the {node.head} to AB through {t.b.ahead.name(point)}.")
        return t.make(node.head, base=line, point=(point,))
    if isinstance(base, Described) and base.head == "side" and "opposite" in base.adjectives and not base.names:
        return _dropped(t, point, facing_side(t, point))
    return t.make(node.head, base=t.aside(lambda: t.straight(base)), point=(point,))


def _line_of_point(t: Things, point: str) -> tuple[str, ...] | None:
    """The only straight thing on which a point lies, else the side that faces it."""
    on = [id for id in t.b.of_kind(LINE, SEGMENT, RAY) if point in t.b.points_on(id)]
    if len(on) == 1:
        return (on[0],)
    try:
        return facing_side(t, point)
    except Refusal:
        return None


def _parallel_at(t: Things, base: Node | None, size: Node | None) -> str:
    """A parallel at a distance: through a point so far off on a perpendicular."""
    if base is None or size is None:
        raise Refusal("To which line, and at what distance?")
    b = t.b
    line = t.aside(lambda: t.straight(base))
    start = line[0] if len(line) == 2 else next(iter(sorted(_points_on(t, line[0]), key=b.ahead.place)), None)
    if start is None:
        start = b.make("point_on", {"path": line}, hidden=True)
    across = b.make("perpendicular", {"base": line, "point": (start,)}, hidden=True)
    circle = b.make("circle_radius", {"centre": (start,), "radius": t.aside(lambda: t.length(size))}, hidden=True)
    point = b.make("intersection", {"a": (across,), "b": (circle,), "which": "second"}, hidden=True)
    return t.make("parallel", base=line, point=(point,))


@makes("perpendicular-bisector", parts="of to on between for from")
def perpendicular_bisectors(t: Things, node: Described) -> list[str]:
    of = node.role("of", "to", "on", "between", "for", "from")
    if isinstance(of, Ref):
        last = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in (SEGMENT, VECTOR)]
        if not last:
            raise Refusal("Of which segment?")
        return [t.make("perpendicular_bisector", span=(last[-1],))]
    if node.names and isinstance(node.names[0], Named) and len(node.names[0].points) != 2:
        t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
    elif node.names:
        return [t.make("perpendicular_bisector", span=t.aside(lambda: t.span(node.names[0])))]
    if of is None or (
        (isinstance(of, Described) and of.head in ("triangle", "quadrilateral", "polygon"))
        or (isinstance(of, Named) and len(of.points) > 2 and " " not in of.text)
    ):
        spans = t.aside(lambda: sides_of(t, of))
    else:
        spans = t.aside(lambda: spans_of(t, of))
    return [t.make("perpendicular_bisector", span=span) for span in spans]


@makes("bisector", "angle-bisector", parts="of at from between in through", words="second external internal")
def bisectors(t: Things, node: Described) -> list[str]:
    if node.names and isinstance(node.names[0], Named):
        first = node.names[0]
        if len(first.points) == 2 and t.b.has(first.points[0]) and not t.b.has(first.points[1]):
            return _cevian(t, first, lambda corner: t.b.make("angle_bisector", {"corner": t._corner_at(corner)}, hidden=True))
        if len(first.points) != 3:
            t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
            node = replace(node, names=())
    of = node.role("of", "at", "from", "between", "in", "through") or (node.names[0] if node.names else None)
    second = "second" in node.adjectives or "other" in node.adjectives
    if {"internal", "external"} <= set(node.adjectives):
        rest = tuple(word for word in node.adjectives if word not in ("internal", "external"))
        return [line for way in ("internal", "external") for line in bisectors(t, replace(node, adjectives=(*rest, way)))]
    outer = "external" in node.adjectives or "externally" in node.extra
    if isinstance(of, Described) and of.head == "angle" and of.names and len(of.names) > 1:
        of = Many(tuple(of.names))
    if isinstance(of, Described) and of.head == "angle" and of.plural and not of.names and of.role("between") is None:
        corners = t.aside(lambda: corners_of(t, of.role("of", "in")))
        return [_bisector(t, (corners[i - 1], corners[i], corners[(i + 1) % len(corners)]), outer) for i in range(len(corners))]
    if (
        of is None
        or (isinstance(of, Described) and of.head == "triangle")
        or (
            isinstance(of, Named)
            and len(of.points) == 3
            and node.plural
            and node.role("of") is of
            and node.head == "angle-bisector"
            and (node.kind == "all" or (node.count or 0) == 3)
        )
    ):
        corners = t.aside(lambda: t.triangle(of))
        return [_bisector(t, (corners[i - 1], corners[i], corners[(i + 1) % 3]), outer) for i in range(3)]
    between = of.role("between") if isinstance(of, Described) and of.head == "angle" and not of.names else None
    pair = between if isinstance(between, Many) else of if isinstance(of, Many) and len(of.items) == 2 else None
    if pair is not None and all(_is_line(t, item) for item in pair.items):
        return _of_lines(t, pair, node, second)
    items = of.items if isinstance(of, Many) else (of,)
    if isinstance(of, (Named, Described)) and _is_span(of):
        return perpendicular_bisectors(t, Described("perpendicular-bisector", roles=(("of", of),)))
    return [_bisector(t, t.aside(lambda item=item: t.corner(item)), outer) for item in items]  # type: ignore[misc]


def _is_span(node: Node) -> bool:
    if isinstance(node, Named):
        return len(node.points) == 2
    return isinstance(node, Described) and node.head in ("segment", "side", "line", "base", "chord")


def _is_line(t: Things, node: Node) -> bool:
    """Whether a phrase is a straight thing and no corner."""
    if isinstance(node, Named):
        ids = t.b.ahead.ids_named(node.text)
        return len(node.points) == 2 or (bool(ids) and t.b.kind(ids[0]) in (LINE, SEGMENT, RAY, VECTOR))
    return isinstance(node, Described) and node.head in ("line", "segment", "ray", "side", "tangent", "chord")


def _of_lines(t: Things, pair: Many, node: Described, second: bool) -> list[str]:
    """The bisector of two lines: two names as arms of one corner mean that corner's angle."""
    try:
        corner = t.aside(lambda: t.corner(pair))
    except Refusal:
        a, b = (t.aside(lambda item=item: t.straight(item)) for item in pair.items)  # type: ignore[misc]
        if node.plural or node.kind == "all":
            return t.b.make_all("bisectors", {"a": a, "b": b})
        return [t.make("bisector_of_lines", a=a, b=b, which="second" if second else "first")]
    return [_bisector(t, corner, second or "external" in node.adjectives)]


def _bisector(t: Things, corner: tuple[str, ...], outer: bool) -> str:
    if not outer:
        return t.make("angle_bisector", corner=corner)
    inner = t.b.make("angle_bisector", {"corner": corner}, hidden=True)
    return t.make("perpendicular", base=(inner,), point=(corner[1],))


def _cevian(t: Things, name: Named, line_from: Any) -> list[str]:
    """ "the bisector AD", "the median AM": from a corner to the side that faces it, with the name of its end."""
    b = t.b
    corner = b.point(name.points[0])
    line = line_from(corner)
    end = b.make("intersection", {"a": (line,), "b": facing_side(t, corner)}, name.points[1])
    return [_between(t, "segment", (corner, end))]


@makes("median", parts="from through at to on of in")
def medians(t: Things, node: Described) -> list[str]:
    b = t.b
    named = [name for name in node.names if isinstance(name, Named) and len(name.points) == 2]
    if named:
        made = []
        for name in named:
            corner = b.point(name.points[0])
            if b.has(name.points[1]):
                made.append(_between(t, "segment", b.points(name.points)))
                continue
            middle = b.make("midpoint", {"span": facing_side(t, corner)}, name.points[1])
            made.append(_between(t, "segment", (corner, middle)))
        return made
    return [t.make("median", corner=(corner,), side=base) for corner, base in _from_corners(t, node)]


def _from_corners(t: Things, node: Described) -> list[tuple[str, tuple[str, ...]]]:
    """From which corners, to which sides, lines of a triangle go."""
    if node.names and all(isinstance(name, Named) and len(name.points) < 2 for name in node.names):
        t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
    start, base = node.role("from", "through", "at"), node.role("to", "on")
    of = node.role("of", "in")
    if start is None and isinstance(of, Named) and len(of.points) == 1:
        start, of = of, None
    if start is None and base is None:
        corners = t.aside(lambda: t.triangle(of))
        if not node.plural and node.count is None and node.kind != "all":
            raise Refusal(f"From which corner? Say: the {node.head} from {t.b.ahead.name(corners[0])}.")
        return [(corner, tuple(id for id in corners if id != corner)) for corner in corners]
    if start is None:
        assert base is not None
        side = t.aside(lambda: t.span(base))
        corners = t.aside(lambda: t.triangle(of))
        return [(next(id for id in corners if id not in side), side)]
    starts = t.aside(lambda: t.points(start))
    if of is not None:
        corners = t.aside(lambda: t.triangle(of))
        return [(corner, tuple(id for id in corners if id != corner)) for corner in starts]
    if base is not None and not (isinstance(base, Described) and base.head == "side" and not base.names):
        return [(corner, t.aside(lambda: t.straight(base))) for corner in starts]
    return [(corner, facing_side(t, corner)) for corner in starts]


@makes("altitude", parts="from through at to on of in")
def altitudes(t: Things, node: Described) -> list[str]:
    b = t.b
    named = [name for name in node.names if isinstance(name, Named) and len(name.points) == 2]
    if named:
        made = []
        for name in named:
            corner = b.point(name.points[0])
            foot = (
                b.points(name.points)[1]
                if b.has(name.points[1])
                else b.make("foot", {"point": (corner,), "base": facing_side(t, corner)}, name.points[1])
            )
            made.append(_between(t, "segment", (corner, foot)))
        return made
    return [t.make("altitude", corner=(corner,), base=base) for corner, base in _from_corners(t, node)]


@makes("tangent", parts="to of on at in from through")
def tangents(t: Things, node: Described) -> list[str]:
    """Tangents at points of a circle, and from points outside; with names, the points where they touch."""
    b = t.b
    curve, at, start = node.role("to", "of", "on"), node.role("at", "in"), node.role("from", "through")
    if at is None and isinstance(node.role("on"), (Named,)) and len(getattr(node.role("on"), "points", ())) == 1:
        at = node.role("on")
        curve = node.role("to", "of")
    pairs = [name for name in node.names if isinstance(name, Named) and len(name.points) == 2]
    if pairs:
        return _tangents_named(t, pairs, curve, start)
    if node.names:
        t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
    if at is not None:
        points = t.aside(lambda: t.points(at))
        return [t.make("tangent_at", circle=(_curve(t, curve, point),), point=(point,)) for point in points]
    if start is not None:
        point = t.aside(lambda: t.point(start))
        circle = t.aside(lambda: _curve(t, curve, None))
        if point in _points_on(t, circle):
            return [t.make("tangent_at", circle=(circle,), point=(point,))]
        if t.names or not (node.plural or node.count == 2):
            whiches = ("first", "second") if (node.plural or len(t.names) == 2) else ("first",)
            return [t.make("tangent_from", point=(point,), circle=(circle,), which=which) for which in whiches]
        return b.make_all("tangents", {"point": (point,), "circle": (circle,)})
    if isinstance(curve, Many) and len(curve.items) == 2 and node.role("common"):
        raise Refusal("Say: the common tangents of k and c.")
    raise Refusal("At which point, or from which point? Say: the tangent to k at A, both tangents from P to k.")


def _curve(t: Things, node: Node | None, point: str | None) -> str:
    """The circle or conic that is touched: the one that is named, or on which a point lies."""
    b = t.b
    if isinstance(node, Ref):
        node = None
        point = None
    if node is None and point is not None:
        on = [id for id in b.of_kind(CIRCLE, CONIC) if point in _points_on(t, id)]
        if on:
            return b.only("circle", on)
    if node is None:
        return b.only("circle", b.of_kind(CIRCLE, CONIC))
    found = t.aside(lambda: t.all_of(node))
    if len(found) == 1 and b.kind(found[0]) in (CIRCLE, CONIC, "arc"):
        return found[0]
    raise Refusal("A circle or a conic is needed here.")


def _tangents_named(t: Things, pairs: list[Named], curve: Node | None, start: Node | None) -> list[str]:
    """ "the tangents PS and PT": S and T are where they touch."""
    b = t.b
    made = []
    if start is not None:
        t.aside(lambda: t.points(start))
    circle = t.aside(lambda: _curve(t, curve, None))
    for number, pair in enumerate(pairs):
        point = b.point(pair.points[0])
        other = pair.points[1]
        touching = (
            b.point(other)
            if b.has(other)
            else b.make("touching_point", {"point": (point,), "curve": (circle,), "which": ("first", "second")[number % 2]}, other)
        )
        made.append(_between(t, "segment", (point, touching)))
    return made


@makes("common-tangent", parts="of to", words="external internal common")
def common_tangents(t: Things, node: Described) -> list[str]:
    of = node.role("of", "to")
    circles = t.b.of_kind(CIRCLE)[-2:] if of is None else t.aside(lambda: t.all_of(of))
    if len(circles) != 2:
        raise Refusal("Two circles are needed here.")
    a, b = circles
    if {"external", "internal"} & set(node.adjectives):
        whiches = ("first", "second") if "external" in node.adjectives else ("third", "fourth")
        return [t.make("common_tangent", a=(a,), b=(b,), which=which) for which in whiches]
    return t.b.make_all("common_tangents", {"a": (a,), "b": (b,)})


@makes("euler-line", "radical-axis", "polar", "directrix", parts="of in for to")
def other_lines(t: Things, node: Described) -> list[str]:
    of = node.role("of", "in", "for")
    if node.head == "euler-line":
        return [t.make("euler_line", triangle=t.aside(lambda: t.triangle(of)))]
    if node.head == "radical-axis":
        circles = t.b.of_kind(CIRCLE)[-2:] if of is None else t.aside(lambda: t.all_of(of))
        if len(circles) != 2:
            raise Refusal("Two circles are needed here.")
        return [t.make("radical_axis", a=(circles[0],), b=(circles[1],))]
    if node.head == "directrix":
        conic = t.b.only("conic", t.b.of_kind(CONIC)) if of is None else t.aside(lambda: t.all_of(of))[0]
        return [t.make("directrix", conic=(conic,))]
    if node.role("of") is None:
        raise Refusal("Of which point? Say: the polar of P in k.")
    point = t.aside(lambda: t.point(_need(node.role("of"))))
    return [t.make("polar", point=(point,), curve=(t.aside(lambda: _curve(t, node.role("in", "to", "for"), None)),))]


def _at_angle(t: Things, node: Described, by: Node) -> str:
    """A line through a point at an angle to another one."""
    base = node.role("to", "with")
    through = node.role("through", "from") or (node.names[0] if node.names else None)
    if isinstance(by, Described):
        size = by.role("of", "size") or (Amount(by.amounts[0]) if by.amounts else None)
        base = base or by.role("to", "with")
        by = size if size is not None else by
    if base is by:
        base = next((part for role, part in node.roles if role in ("to", "with") and part is not by), None)
    if base is None or through is None:
        raise Refusal("Through which point, and to which line? Say: the line through A at 30 degrees to BC.")
    angle = t.aside(lambda: t.number(by))
    point = t.aside(lambda: t.point(through))
    if node.head == "ray":
        line = t.b.make("at_angle", {"point": (point,), "angle": angle, "base": t.aside(lambda: t.straight(base))}, hidden=True)
        end = t.aside(lambda: t.b.make("point_on", {"path": (line,), "place": 0.8}))
        return t.make("ray", from_=(point,), to=(end,))
    return t.make("at_angle", point=(point,), angle=angle, base=t.aside(lambda: t.straight(base)))


def _radius(t: Things, node: Described) -> str:
    """A radius as a segment: to a point of the circle."""
    to, start = node.role("to", "through", "at"), node.role("from")
    if start is not None and to is not None:
        ends = t.aside(lambda: (t.point(start), t.point(to)))
        return _between(t, "segment", ends)
    circle = t.aside(lambda: t.round(node.role("of", "in", "from")))
    centre = t.aside(lambda: centre_of(t, circle))
    point = t.aside(lambda: t.point(to)) if to is not None else t.b.make("point_on", {"path": (circle,)})
    return _between(t, "segment", (centre, point))


def _diameter(t: Things, node: Described) -> str:
    """The diameter through a point of a circle, as a segment."""
    through = node.role("through", "from", "at")
    if through is None:
        circle = t.aside(lambda: t.round(node.role("of", "in")))
        point = t.b.make("point_on", {"path": (circle,)})
    else:
        point = t.aside(lambda: t.point(through))
        circle = t.aside(lambda: _circle_of(t, node.role("of", "in"), point))
    centre = t.aside(lambda: centre_of(t, circle))
    half_turn = t.b.make("point_reflection", {"centre": (centre,)}, hidden=True)
    other = t.b.make("image_point", {"of": (point,), "by": (half_turn,)})
    return _between(t, "segment", (point, other))


__all__ = ["POINT", "between", "each", "feet", "mark_on", "span_of_length"]
