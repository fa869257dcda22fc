"""Readings: what is measured and worked out, and dials."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

from ..kinds import ARC, CIRCLE, CLAIM, CONIC, LINE, MARK, NUMBER, POINT, POLYGON, RAY, REGION, SEGMENT, STRAIGHTS, VECTOR
from ..language import names as spelling
from ..language.expression import Formula
from ..refusal import Refusal
from .amounts import number_said
from .drawn_angles import drawn_angle
from .lines_between import straight_between
from .nodes import Amount, Described, Many, Multiple, Named, Node, Ref
from .nouns import CORNERS, makes
from .readings_of_shapes import as_many, of_circle
from .refusals import Final, Stray
from .spans import centre_of, corners_of, most_of, sides_of, spans_of
from .tables import words
from .things import Things
from .vectors import are_vectors, put_together


def measured(t: Things, node: Node) -> list[str]:
    """The readings of what is to be measured. Raises Refusal where it is not said what of it."""
    b = t.b
    if isinstance(node, Many):
        return [id for item in node.items for id in measured(t, item)]
    if isinstance(node, Multiple):
        return list(number_said(t, node))
    if isinstance(node, Named):
        ids = b.ahead.ids_named(spelling.tidy(node.text))
        if len(node.points) == 2 and not (ids and b.kind(ids[0]) == NUMBER):
            return [t.make("length", span=b.points(node.points))]
        if len(node.points) == 3 and not ids and all(map(b.has, node.points)):
            return t.described(Described("angle", names=(node,)))
        if len(node.points) > 2:
            raise Refusal(f"What of {node.text} is to be measured: the angle {node.text}, the area or the perimeter of {node.text}?")
        if ids:
            return [_of_thing(t, ids[0])]
        raise Refusal(f"Nothing here is called {node.text}.")
    if isinstance(node, Described):
        if node.head in ("radius", "diameter") and not node.names:
            if "common" in node.adjectives:
                raise Stray(f"“common” is not understood of a {node.head}.")
            return of_circle(t, node)
        if node.head in ("side", "diagonal") and not node.names:
            spans = t.aside(lambda: spans_of(t, replace(node, plural=True)))
            return [t.make("length", span=span) for span in spans]
        if node.head in ("side", "segment", "line", "chord", "base", "radius", "diameter", "diagonal") and node.names:
            return [t.make("length", span=span) for name in node.names for span in spans_of(t, name)]
        if node.head in READS:
            return t.described(node)
        if node.head == "arc":
            return [t.make("arc_length", arc=(id,)) for id in t.aside(lambda: t.all_of(node))]
        return measured_things(t, t.aside(lambda: t.all_of(node)))
    if isinstance(node, Ref) and node.word == "them":
        return measured_things(t, _several_with_a_length(t))
    return measured_things(t, t.aside(lambda: t.all_of(node)))


def _has_a_length(t: Things, id: str) -> bool:
    return t.b.kind(id) in (SEGMENT, VECTOR, ARC) or t.b.ahead.step(id).does in ("perpendicular", "altitude", "tangent_from")


def _several_with_a_length(t: Things) -> list[str]:
    """What was made last in one go and has a length: "them". Raises Refusal."""
    group = [id for id in t.b.recent.ids if id in t.b.last_group and id in t.b.ahead]
    found = [id for id in group if _has_a_length(t, id) and not t.b.ahead.step(id).look.hidden]
    if len(found) < 2:
        raise Refusal("What of them is to be measured? Say: the distance from A to B.")
    return found


def measured_things(t: Things, ids: list[str]) -> list[str]:
    """The readings that are meant by measuring things. Raises Refusal where it has to be said what of one."""
    return [_of_thing(t, id) for id in ids]


READS = words(
    """
    angle length distance area perimeter slope ratio size sum product difference coordinates equation power
    """
)


def _of_thing(t: Things, id: str) -> str:
    """The reading that is meant by measuring a thing of its kind."""
    kind = t.b.kind(id)
    if kind in (SEGMENT, VECTOR):
        return t.make("length", span=(id,))
    if (step := t.b.ahead.step(id)).does in ("perpendicular", "altitude"):
        # "the perpendicular from A to BC and measure it": from the point to the line.
        return t.make("distance", from_=step.fills.get("point") or step.fills["corner"], to=one_line(t, tuple(step.fills["base"])))
    if step.does == "tangent_from":
        # "the tangents from P and measure them": from the point to where they touch.
        fills = {"point": step.fills["point"], "curve": step.fills["circle"], "which": step.fills.get("which", "first")}
        return t.make("distance", from_=step.fills["point"], to=(t.b.make("touching_point", fills),))
    if kind == ARC:
        return t.make("arc_length", arc=(id,))
    if kind == NUMBER:
        return id
    if kind == POINT:
        # A point that was not there is found by being made: "find the orthocentre".
        return t.make("coordinates", point=(id,)) if id in t.b.board else id
    if kind in (CIRCLE, POLYGON, REGION, "sector"):
        raise Refusal(
            f"What of {t.b.ahead.name(id)} is to be measured: "
            f"{'the radius, the circumference or the area' if kind == CIRCLE else 'the area or the perimeter'}?"
        )
    raise Refusal(f"{t.b.ahead.name(id)} is not measured by itself. Say what of it, such as an angle or a distance.")


@makes("length", "distance", "size", parts="from of between to and with", words="shortest perpendicular")
def lengths(t: Things, node: Described) -> list[str]:
    """Lengths and distances: of a span, between things, from a point to a line."""
    start, stop = node.role("from", "of", "between"), node.role("to", "and", "with")
    if stop is None and (of := node.role("of")) is not None and (away := node.role("from")) is not None:
        start, stop = of, away  # "the distance of P from l"
    if (isinstance(start, Described) and start.head == "angle") or (node.head == "size" and isinstance(start, Described)):
        return measured(t, start) if start.head != "angle" else t.described(start)
    if node.names and start is None:
        start = node.names[0] if len(node.names) == 1 else Many(node.names)
    if isinstance(start, Described) and start.head == "point" and len(start.names) == 2 and not start.roles:
        start = Many(start.names)  # "between the points A and B"
    if isinstance(start, Ref) and stop is None and node.role("of") is None and len(ends := _last_points(t)) == 2:
        return [t.make("distance", from_=(ends[0],), to=(ends[1],))]
    if isinstance(start, Ref) and stop is None:
        if start.word == "them" or node.plural:
            return measured_things(t, _several_with_a_length(t))
        last = [id for id in t.b.recent.ids if id in t.b.ahead and _has_a_length(t, id)]
        if not last:
            raise Refusal("The length of what? Say: the length of AB.")
        return [_of_thing(t, last[-1])]
    if start is None:
        raise Refusal("From where to where? Say: the distance from A to B.")
    if stop is None:
        if (
            isinstance(start, Many)
            and len(start.items) == 2
            and not all(isinstance(item, Named) and len(item.points) == 2 for item in start.items)
        ):
            return [distance_between(t, start.items[0], start.items[1])]
        if isinstance(start, Described) and start.head == "arc":
            return [t.make("arc_length", arc=tuple(t.aside(lambda: t.all_of(start))))]
        if isinstance(start, Named) and (ids := t.b.ahead.ids_named(spelling.tidy(start.text))) and t.b.kind(ids[0]) == CIRCLE:
            raise Refusal(f"What of {start.text} is to be measured: the radius or the circumference?")
        if isinstance(start, (Described, Named)) and not (isinstance(start, Named) and len(start.points) == 2):
            return measured(t, start)
        return [t.make("length", span=span) for span in t.aside(lambda: spans_of(t, start))]
    if node.plural and (isinstance(stop, Many) or (isinstance(stop, Described) and stop.plural)):
        return _distances_to_each(t, start, stop)
    return [distance_between(t, start, stop)]


def _distances_to_each(t: Things, start: Node, stop: Node) -> list[str]:
    """The distances from a point to each of several points or sides: "the distances from P to the sides of ABC"."""
    if isinstance(stop, Many):
        return [distance_between(t, start, one) for one in stop.items]
    point = t.aside(lambda: t.point(start))
    is_straight = isinstance(stop, Described) and stop.head in ("side", "line", "segment", "diagonal")
    ends = t.aside(lambda: spans_of(t, stop)) if is_straight else [(id,) for id in t.aside(lambda: t.points(stop))]
    return [t.make("distance", from_=(point,), to=one_line(t, end)) for end in ends if end != (point,)]


def _last_points(t: Things) -> list[str]:
    """The two points that were made or spoken of last, or the only two: "the distance between them"."""
    points = t.b.of_kind(POINT)
    return points if len(points) == 2 else t.b.recent_of(points, 2)


def distance_between(t: Things, one: Node, other: Node) -> str:
    """The distance from one thing to another, of which one is a point."""
    a = t.aside(lambda: _point_or_line(t, one))
    b = t.aside(lambda: _point_or_line(t, other))
    if len(a) == 1 and t.b.kind(a[0]) == POINT:
        return t.make("distance", from_=a, to=one_line(t, b))
    if len(b) == 1 and t.b.kind(b[0]) == POINT:
        return t.make("distance", from_=b, to=one_line(t, a))
    raise Refusal("A distance is measured from a point.")


def one_line(t: Things, target: tuple[str, ...]) -> tuple[str, ...]:
    """What a distance is measured to: a point, or a line; two points stand for the whole line through them."""
    if len(target) == 1:
        if t.b.kind(target[0]) in (POINT, *STRAIGHTS):
            return target
        raise Refusal("A distance is measured from a point to a point or a line.")
    line = t.b.straight_between(*target, kinds=(LINE,)) or t.b.make("line", {"from": target[:1], "to": target[1:]}, hidden=True)
    return (line,)


def _point_or_line(t: Things, node: Node) -> tuple[str, ...]:
    if isinstance(node, Described) and node.plural:
        raise Refusal("A distance is measured between two things: say each of them by itself.")
    return tuple(t.either(lambda: (t.point(node),), lambda: t.straight(node)))


@makes("slope", parts="of")
def slopes(t: Things, node: Described) -> list[str]:
    of = node.role("of")
    if of is None:
        raise Refusal("Of which line? Say: the slope of AB.")
    if isinstance(of, Described) and of.plural:
        return [t.make("slope", straight=(id,)) for id in as_many(t, node, t.aside(lambda: t.all_of(of)))]
    return [t.make("slope", straight=t.aside(lambda one=one: t.straight(one))) for one in (of.items if isinstance(of, Many) else (of,))]  # type: ignore[misc]


@makes("angle", parts="between of in inside at size from on to with", words="reflex directed acute internal external largest smallest")
def angles(t: Things, node: Described) -> list[str]:
    """Angles: by three points, at a corner, between two things, all of a shape; drawn where their points are not there."""
    b = t.b
    arms, of = node.role("between"), node.role("of", "in", "inside")
    turn = {"turn": "reflex"} if "reflex" in node.adjectives else {"turn": "directed"} if "directed" in node.adjectives else {}
    size = node.role("size", "of") if isinstance(node.role("size", "of"), Amount) else None
    if node.amounts and size is None:
        size = Amount(node.amounts[0])
    if size is not None:
        return drawn_angle(t, node, size)
    if of_all := {"largest", "smallest"} & set(node.adjectives):
        return [_most_of_a_shape(t, of, "largest" in of_all)]
    if "external" in node.adjectives:
        return [_exterior(t, node)]
    if (on := node.role("on")) is not None and not node.names:
        return [_at_the_centre(t, node, on)]
    if arms is not None:
        if turn.get("turn") == "reflex":
            raise Stray("Between two lines there is no reflex angle. Name its corner: the reflex angle ABC.")
        if (node.count or 1) > 1:
            raise Final("Between two things one angle is read: the angle between l and m.")
        if isinstance(arms, Many) and len(arms.items) == 2:
            if node.role("at") is not None:
                return [_at_between(t, node, arms)]
            return [_angle_between(t, arms.items[0], arms.items[1], turn)]
        if isinstance(arms, Ref):
            lines = [id for id in b.recent.ids if id in b.ahead and b.kind(id) in STRAIGHTS][-2:]
        else:
            lines = t.aside(lambda: t.all_of(arms))
        if len(lines) == 2:
            return [t.make("angle_between", a=(lines[0],), b=(lines[1],))]
    if not node.names and (node.plural or node.kind == "all" or node.count) and node.role("at") is None:
        polygon_node = of if of is not None else None
        corners = t.aside(lambda: corners_of(t, polygon_node))
        if (node.count or 1) > 1 and node.count != len(corners):
            raise Final(f"Of these {len(corners)} corners there are {len(corners)} angles, not {node.count}.")
        return [t.make("angle", corner=(corners[i - 1], corners[i], corners[(i + 1) % len(corners)])) for i in range(len(corners))]
    named = node.names or tuple(part for role, part in node.roles if role in ("at", "of"))
    if not named:
        raise Refusal("Which angle? Name it by three points, its corner second: angle ABC.")
    if (
        b.makes
        and len(named) == 1
        and isinstance(named[0], Named)
        and len(named[0].points) == 3
        and not all(b.has(point) for point in named[0].points)
    ):
        one_end, corner_id, other_end = b.points(named[0].points)
        straight_between(t, "ray", (corner_id, one_end))
        straight_between(t, "ray", (corner_id, other_end))
    items: list[Node] = [item for name in named for item in (name.items if isinstance(name, Many) else (name,))]
    if of is not None and node.names == () and isinstance(of, Described) and node.role("at") is not None:
        items = [part for role, part in node.roles if role == "at"]
    return [t.make("angle", corner=t.aside(lambda item=item: t.corner(item)), **turn) for item in items]  # type: ignore[misc]


def _most_of_a_shape(t: Things, of: Node | None, largest: bool) -> str:
    """The largest or the smallest angle of a shape as it is drawn."""
    corners = t.aside(lambda: corners_of(t, of))
    around = [(corners[i - 1], corners[i], corners[(i + 1) % len(corners)]) for i in range(len(corners))]
    chosen = most_of(t, around, lambda corner: t.b.would_be("angle", {"corner": corner}), largest)
    t.b.guesses.append(f"the {'largest' if largest else 'smallest'} angle, which is that at {t.b.ahead.name(chosen[1])} now")
    return t.make("angle", corner=chosen)


def _exterior(t: Things, node: Described) -> str:
    """The angle between a side of a polygon and the side before it, produced."""
    named = node.names[0] if node.names else node.role("at", "of")
    if not isinstance(named, Named) or len(named.points) != 1:
        raise Refusal("At which corner? Say: the exterior angle at C.")
    corner = t.point_aside(named)
    corners = next((ring for id in t.b.of_kind(POLYGON) if corner in (ring := tuple(t.b.ahead.step(id).fills.get("corners", ())))), ())
    if not corners:
        raise Refusal(f"{t.b.ahead.name(corner)} is no corner of a shape here.")
    at = corners.index(corner)
    before, after = corners[at - 1], corners[(at + 1) % len(corners)]
    half_turn = t.b.make("point_reflection", {"centre": (corner,)}, hidden=True)
    beyond = t.b.make("image_point", {"of": (before,), "by": (half_turn,)}, hidden=True)
    straight_between(t, "segment", (corner, beyond))
    return t.make("angle", corner=(after, corner, beyond))


def _at_the_centre(t: Things, node: Described, on: Node) -> str:
    """The angle at the centre of a circle on an arc or a chord between two of its points."""
    at = node.role("at")
    ends = on.names[0] if isinstance(on, Described) and on.head in ("arc", "chord", "segment", "side") and on.names else on
    if not isinstance(ends, Named) or len(ends.points) != 2:
        raise Refusal("On which arc? Say: the angle at the centre on arc AB.")
    one, other = t.aside(lambda: t.b.points(ends.points))
    if isinstance(at, Named) and len(at.points) == 1:
        return t.make("angle", corner=(one, t.point_aside(at), other))
    if not (isinstance(at, Described) and at.head == "centre"):
        raise Refusal("Where is the angle? Say: the angle at the centre on arc AB.")
    circle = t.b.only("circle", [id for id in t.b.of_kind(CIRCLE) if {one, other} <= set(t.b.points_on(id))])
    return t.make("angle", corner=(one, t.aside(lambda: centre_of(t, circle)), other))


def _at_between(t: Things, node: Described, arms: Many) -> str:
    """ "the angle at O between A and Q", or at the centre of the circle that goes through both."""
    at = node.role("at")
    ends = [name for item in arms.items if isinstance(item, Named) for name in item.points]
    if len(ends) == 2:
        return _at_the_centre(t, node, Named("".join(ends), tuple(ends)))
    corner = t.aside(lambda: t.corner(node))
    if isinstance(at, Named) and t.b.points(at.points) == corner[1:2]:
        return t.make("angle", corner=corner)
    raise Refusal("Those do not meet there. Say: the angle at A between AB and AC.")


def _angle_between(t: Things, one: Node, other: Node, turn: dict[str, str]) -> str:
    try:
        corner = t.aside(lambda: t._corner_between(one, other))
    except Refusal:
        return t.make("angle_between", a=t.aside(lambda: t.straight(one)), b=t.aside(lambda: t.straight(other)))
    return t.make("angle", corner=corner, **turn)


@makes("ratio", "sum", "product", "difference", parts="of between to and")
def reckoned(t: Things, node: Described) -> list[str]:
    """Ratios, sums, products and differences of lengths and angles; of vectors their sum or difference is a vector."""
    of, to = node.role("of", "between"), node.role("to", "and")
    items: list[Node] = list(of.items) if isinstance(of, Many) else [of] if of is not None else []
    if to is not None:
        items.append(to)
    if node.head in ("sum", "difference") and are_vectors(t, items):
        return [put_together(t, items, node.head == "difference")]
    if len(items) == 1 and isinstance(only := items[0], Described) and only.head in ("length", "angle", "area", "distance"):
        # "the ratio of the lengths": of the two that were taken last.
        is_of_last = only == Described(only.head, kind="old", plural=True, count=only.count)
        if is_of_last and len([id for id in t.b.recent.ids if id in t.b.last_group and t.b.kind(id) == NUMBER]) == 2:
            items = [Ref("them")]
    if len(items) == 1 and isinstance(items[0], Ref):
        # "What is their sum?", of readings that were taken last.
        ids = [id for id in t.b.recent.ids if id in t.b.last_group and t.b.kind(id) == NUMBER]
    elif len(items) == 1 and isinstance(items[0], Described) and items[0].plural:
        ids = t.aside(lambda: measured(t, items[0]))
    else:
        ids = [id for item in items for id in t.aside(lambda item=item: measured(t, item) if item is not None else [])]  # type: ignore[misc]
    if len(ids) < 2:
        raise Refusal(f"Of which two? Say: the {node.head} of AB {'to' if node.head == 'ratio' else 'and'} CD.")
    sign = {"ratio": " / ", "sum": " + ", "product": " * ", "difference": " - "}[node.head]
    return [t.make("calculation", formula=Formula(sign.join(f"{{{number}}}" for number in range(len(ids))), tuple((id,) for id in ids)))]


@makes("coordinates", "equation", "power", parts="of in to with")
def others(t: Things, node: Described) -> list[str]:
    of = node.role("of")
    if node.head == "power":
        if of is None:
            raise Refusal("Of which point? Say: the power of P in k.")
        b = t.b
        point = t.aside(lambda: t.point(of))
        circle = t.aside(lambda: t.round(node.role("in", "to", "with")))
        centre = t.aside(lambda: centre_of(t, circle))
        radius = b.make("radius", {"circle": (circle,)})
        return [t.make("calculation", formula=Formula("{0}^2 - {1}^2", ((point, centre), (radius,))))]
    if of is None and not node.names:
        raise Refusal(f"Of what? Say: the {node.head} of {'A' if node.head == 'coordinates' else 'l'}.")
    thing = t.aside(lambda: t.all_of(of if of is not None else node.names[0]))
    if node.head == "coordinates":
        return [t.make("coordinates", point=(id,)) for id in thing]
    return [t.make("equation", curve=(id,)) for id in thing]


@makes("right-angle", parts="at")
def right_angles(t: Things, node: Described) -> list[str]:
    raise Refusal("A right angle is marked or claimed: the right-angle mark at ABC, angle ABC is a right angle.")


@makes("dial", parts="from between to and of for step", words="angle")
def dials(t: Things, node: Described) -> list[str]:
    """A dial from one number to another, in steps."""
    if node.names and isinstance(node.names[0], Named):
        t.names.insert(0, node.names[0].text)
    if node.role("of", "for") is not None and isinstance(node.role("of", "for"), (Described, Named)):
        inner = node.role("of", "for")
        if isinstance(inner, Named):
            t.names.insert(0, inner.text)
        elif isinstance(inner, Described) and inner.names and isinstance(inner.names[0], Named):
            t.names.insert(0, inner.names[0].text)
            node = replace(
                node,
                roles=(*node.roles, *inner.roles),
                adjectives=(*node.adjectives, "angle") if inner.head == "angle" else node.adjectives,
            )
    least, most = node.role("from", "between"), node.role("to", "and")
    if isinstance(least, Many) and len(least.items) == 2:
        least, most = least.items
    if least is None or most is None:
        raise Refusal("From where to where? Say: a dial from 0 to 10.")
    is_angle = any(isinstance(part, Amount) and "degrees" in part.text for part in (least, most)) or "angle" in node.adjectives
    fills: dict[str, Any] = {"least": number_said(t, least), "most": number_said(t, most)}
    step = node.role("step")
    if not isinstance(fills["least"], float) or not isinstance(fills["most"], float):
        raise Refusal("A dial goes from one number to another: a dial from 0 to 10.")
    span = abs(fills["most"] - fills["least"])
    fills["step"] = number_said(t, step) if step is not None else 1.0 if span > 12 else 0.1 if span > 1 else 0.01
    return [t.make("angle_dial" if is_angle else "dial", **fills)]


__all__ = ["CLAIM", "CONIC", "CORNERS", "MARK", "RAY", "measured", "sides_of"]
