"""Descriptions of circles."""

from __future__ import annotations

import math
from dataclasses import replace
from typing import Any

from ..kinds import CIRCLE, join
from ..language.expression import Formula
from ..refusal import Refusal
from .amounts import length_said
from .building import Stray
from .nodes import Amount, Described, Many, Named, Node, Ref
from .nouns import makes
from .points import turned_to
from .riding import free_place_on
from .spans import centre_of, corners_of, distance_between, each, with_corners_as_one
from .things import Things


@makes(
    "circle",
    parts="radius as_radius diameter on centre about at with to through tangent same_centre_as same_radius_as in centre_on",
    words="meets touches concentric as-centre as-diameter as-radius same-centre same-radius second of-one-size",
)
def circles(t: Things, node: Described) -> list[str]:
    if "of-one-size" in node.adjectives:
        return _of_one_size(t, node)
    if "touches" in node.adjectives:
        if node.count == 2 and not node.names and not node.roles:
            return _two_touching(t)
        raise Stray("Say what the circle touches: the circle with centre A touching BC.")
    if node.count and node.count > 1 and not node.roles and not node.names and "meets" not in node.adjectives:
        if "concentric" in node.adjectives:
            centre = _new_centre(t)
            return [t.make("circle", centre=(centre,), point=(t.aside(t.b.free_point),)) for _ in range(min(node.count, 6))]
        return [_any_circle(t) for _ in range(min(node.count, 6))]
    if node.count == 2 and "meets" in node.adjectives and not node.names and not node.roles:
        shared = t.aside(t.b.free_point)
        return [t.make("circle", centre=(_new_centre(t),), point=(shared,)) for _ in range(2)]
    if "meets" in node.adjectives:
        raise Stray("Say where the circles meet: two circles through A.")
    if node.count and node.count > 1 and len(node.roles) == 1 and not node.names and (through := node.role("through")) is not None:
        if not _is_several_points(through):
            point = t.aside(lambda: t.point(through))
            return [t.make("circle", centre=(_new_centre(t),), point=(point,)) for _ in range(min(node.count, 6))]
    about = node.role("about", "centre", "at")
    if "concentric" in node.adjectives and (node.count or 1) > 1 and about is not None and len(node.roles) == 1 and not node.names:
        centre = t.aside(lambda: t.point(about))
        return [t.make("circle", centre=(centre,), point=(t.aside(t.b.free_point),)) for _ in range(min(node.count or 2, 6))]
    if "concentric" in node.adjectives and isinstance(node.role("radius"), Many):
        if node.role("about", "centre", "at") is None:
            name = t.b.ahead.name(_new_centre(t))
            node = node.with_role("centre", Named(name, (name,)))
        node = replace(node, adjectives=tuple(word for word in node.adjectives if word != "concentric"))
    if "concentric" in node.adjectives and node.role("on", "about", "centre", "diameter") is not None:
        raise Stray("A concentric circle has the centre of another one. Say: a circle concentric with k.")
    if (
        node.role("with") is not None
        and not {"as-centre", "as-diameter", "as-radius", "same-centre", "same-radius"} & set(node.extra)
        and "concentric" not in node.adjectives
    ):
        raise Refusal("“with …” is not understood of a circle: say its centre, radius or diameter.")
    if node.names and isinstance(node.names[0], Named):
        first = node.names[0]
        if len(first.points) >= 3 and not node.roles:
            return [_through_three(t, t.b.points(first.points[:3]))]
        if len(first.points) == 1 and _says_its_centre(t, node, first):
            # "the circle O": by its centre, as in books.
            node = replace(node, names=(), roles=(("centre", first), *node.roles))
        elif len(first.points) < 2 or node.roles:
            t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
            node = replace(node, names=())
    for number, (role, part) in enumerate(node.roles):
        if role in ("centre", "about", "at") and isinstance(part, Described) and part.plural:
            corners: Node = part
            ids = t.aside(lambda corners=corners: t.points(corners))  # type: ignore[misc]
            names = Many(tuple(Named(t.b.ahead.name(id), (t.b.ahead.name(id),)) for id in ids))
            node = replace(node, roles=(*node.roles[:number], ("centre", names), *node.roles[number + 1 :]))
    if isinstance(node.role("radius"), Many) and isinstance(node.role("centre", "about", "at"), Named):
        # One centre for all of them, which is made first.
        t.aside(lambda: t.point(node.role("centre", "about", "at")))  # type: ignore[arg-type]
    several = [role for role, part in node.roles if isinstance(part, Many) and role in ("diameter", "centre", "radius")]
    listed = [item for role, part in node.roles if role in several and isinstance(part, Many) for item in part.items]
    if any(isinstance(item, Described) and (item.kind == "new" or item.head == "circle") for item in listed):
        raise Stray("That is another thing, and no part of a circle.")
    if several:
        return [id for one in each(node, *several) for id in circles(t, one)]
    return [_circle(t, node)]


def _of_one_size(t: Things, node: Described) -> list[str]:
    """Several circles with one radius: that of the first, which has a point of its own. Raises Refusal."""
    b = t.b
    centres, size = node.role("centre", "about", "at"), node.role("radius")
    if not isinstance(centres, Many | None) or any(part not in (centres, size) for _, part in node.roles):
        raise Stray("Say their centres, or how many there are: two equal circles with centres O and P.")
    if node.names:
        t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
    ids = t.aside(lambda: t.points(centres)) if centres is not None else [_new_centre(t) for _ in range(node.count or len(t.names))]
    if len(ids) < 2 or (node.count or len(ids)) != len(ids):
        raise Refusal("Say how many there are: two equal circles.")
    if size is not None:
        radius = t.aside(lambda: length_said(t, size))
        return [t.make("circle_radius", centre=(id,), radius=radius) for id in ids]
    point = t.aside(b.free_point)
    first = t.make("circle", centre=(ids[0],), point=(point,))
    return [first, *(t.make("circle_radius", centre=(id,), radius=(ids[0], point)) for id in ids[1:])]


def _says_its_centre(t: Things, node: Described, name: Named) -> bool:
    """Whether a capital letter after "circle" is its centre: a new one, and no other centre is said."""
    return (
        len(node.names) == 1
        and name.text.isupper()
        and not t.b.has(name.text)
        and not {"centre", "about", "at", "diameter", "centre_on", "same_centre_as"} & {role for role, _ in node.roles}
        and not node.extra
        and node.role("through") is None
    )


def _two_touching(t: Things) -> list[str]:
    """Two circles that touch from outside: the centre of the second slides on the line through the first one's and the touching point."""
    b = t.b
    shared, centre = t.aside(b.free_point), _new_centre(t)
    line = b.make("line", {"from": (centre,), "to": (shared,)}, hidden=True)
    (cx, cy), (x, y) = (b.ahead.value(id)[:2] for id in (centre, shared))
    other = b.make("point_on", {"path": (line,), "place": 1.6 * math.hypot(x - cx, y - cy)})
    return [t.make("circle", centre=(one,), point=(shared,)) for one in (centre, other)]


def _circle(t: Things, node: Described) -> str:
    """One circle by its parts: centre, radius, diameter, points on it, what it touches."""
    b = t.b
    radius, diameter = node.role("radius"), node.role("diameter")
    if (on := node.role("on")) is not None and diameter is None and _is_span(on):
        diameter = on
    elif "as-diameter" in node.extra:
        diameter = diameter or node.role("with")
    elif "as-radius" in node.extra:
        radius = radius or node.role("with")
    for number, amount in enumerate(node.amounts):
        if amount in ("radius", "diameter"):
            continue
        said = node.amounts[number + 1] if number + 1 < len(node.amounts) else "radius"
        if said == "diameter":
            diameter = diameter or Amount(amount)
        else:
            radius = radius or Amount(amount)
    centre_node = node.role("centre", "about", "at") or (node.role("with") if "as-centre" in node.extra else None)
    through = node.role("through")
    touches = node.role("tangent")
    if through is not None and _is_several_points(through) and centre_node is None and touches is None and radius is None:
        points = t.aside(lambda: t.points(through))
        if (line := node.role("centre_on")) is not None:
            if len(points) != 2:
                raise Refusal("With its centre on a line, a circle goes through two points.")
            middle = b.make("perpendicular_bisector", {"span": tuple(points)}, hidden=True)
            path = t.aside(lambda: t.path(line))
            centre = b.make("intersection", {"a": path, "b": (middle,)})
            return t.make("circle", centre=(centre,), point=(points[0],))
        if len(points) == 3:
            return _through_three(t, tuple(points))
        if len(points) == 2:
            middle = b.make("perpendicular_bisector", {"span": tuple(points)}, hidden=True)
            centre = b.make("point_on", {"path": (middle,), "place": 0.3})
            return t.make("circle", centre=(centre,), point=(points[0],))
        return _through_more(t, points)
    if diameter is not None and _is_span(diameter):
        if centre_node is not None and (ends := _new_ends(t, diameter)):
            return _with_new_diameter(t, centre_node, ends)
        span = t.aside(lambda: t.span(diameter))
        if centre_node is None:
            return _on_diameter(t, span)
        half = t.aside(lambda: b.make("midpoint", {"span": span}, hidden=True))
        return t.make("circle_radius", centre=(t.aside(lambda: t.point(centre_node)),), radius=(span[0], half) if len(span) == 2 else span)
    if "concentric" in node.adjectives or node.role("same_centre_as") is not None or "same-centre" in node.extra:
        like = node.role("with", "to", "same_centre_as")
        centre = t.aside(lambda: centre_of(t, t.round(like)))
    elif centre_node is not None:
        centre = t.aside(lambda: t.point(centre_node))
    else:
        centre = ""
    if touches is not None:
        return _touching(t, node, centre, touches, through, radius)
    if diameter is not None:
        size = t.aside(lambda: length_said(t, diameter))
        size = size / 2 if isinstance(size, float) else (b.make("calculation", {"formula": _half(t, size)}),)
        return t.make("circle_radius", centre=(centre or _new_centre(t),), radius=size)
    if radius is not None:
        size = t.aside(lambda: length_said(t, radius))
        return t.make("circle_radius", centre=(centre or _new_centre(t),), radius=size)
    if "same-radius" in node.extra or node.role("same_radius_as") is not None:
        return t.make(
            "circle_radius", centre=(centre or _new_centre(t),), radius=_radius_of(t, t.aside(lambda: t.round(node.role("same_radius_as"))))
        )
    if through is not None and centre:
        if isinstance(through, Many):
            return _about_through(t, centre, through)
        return t.make("circle", centre=(centre,), point=(t.aside(lambda: t.point(through)),))
    if through is not None:
        point = t.aside(lambda: t.point(through))
        return t.make("circle", centre=(_new_centre(t),), point=(point,))
    if centre:
        return t.make("circle", centre=(centre,), point=(t.aside(b.free_point),))
    if node.roles:
        raise Refusal("A circle is said by its centre and radius, by its diameter, or by points on it.")
    return _any_circle(t)


def _new_ends(t: Things, diameter: Node) -> tuple[str, ...]:
    """The names of the ends of a diameter, where neither is there."""
    named = diameter.names[0] if isinstance(diameter, Described) and diameter.names else diameter
    points = named.points if isinstance(named, Named) else ()
    return points if len(points) == 2 and not any(map(t.b.has, points)) else ()


def _with_new_diameter(t: Things, centre: Node, ends: tuple[str, ...]) -> str:
    """A circle about a centre, with a new diameter of it: "the circle with centre O and diameter AB"."""
    b = t.b
    middle = t.aside(lambda: t.point(centre))
    (first,) = t.aside(lambda: b.points(ends[:1]))
    circle = t.make("circle", centre=(middle,), point=(first,))
    half_turn = b.make("point_reflection", {"centre": (middle,)}, hidden=True)
    b.make("segment", {"from": (first,), "to": (b.make("image_point", {"of": (first,), "by": (half_turn,)}, ends[1]),)})
    return circle


def _about_through(t: Things, centre: str, through: Many) -> str:
    """The circle about a centre through several points, of which one is there at most: the others are put on it."""
    b = t.b
    names = [item.points[0] for item in through.items if isinstance(item, Named) and len(item.points) == 1]
    there = [name for name in names if b.has(name)]
    if len(names) != len(through.items) or len(there) > 1:
        raise Refusal("A circle about a centre goes through one point, and through others only as they come to lie on it.")
    first, *others = sorted(names, key=lambda name: name not in there)
    circle = t.make("circle", centre=(centre,), point=(b.point(first),))
    for name in others:
        b.make("point_on", {"path": (circle,)}, name)
    return circle


def _through_more(t: Things, points: list[str]) -> str:
    """The circle through more than three points: through the first three, where the others lie on it now."""
    b = t.b
    circle = _through_three(t, tuple(points[:3]))
    value = b.ahead.value(circle)
    places = [b.ahead.value(id) for id in points[3:]]
    if value is None or any(
        place is None or abs(distance_between(place, value) - value[2] ** 0.5) > 1e-9 * (1 + value[2] ** 0.5) for place in places
    ):
        raise Refusal("A circle goes through three points, and the others are not on it now.")
    b.guesses.append(f"{join([b.ahead.name(id) for id in points[3:]])} {'lies' if len(points) == 4 else 'lie'} on it now")
    return circle


def _radius_of(t: Things, circle: str) -> Any:
    """The radius of a circle as a gap for a length takes it: its centre and a point of it, or a reading."""
    fills = t.b.ahead.step(circle).fills
    if fills.get("centre") and fills.get("point"):
        return (*fills["centre"], *fills["point"])
    return fills["radius"] if "radius" in fills else (t.b.make("radius", {"circle": (circle,)}),)


def _half(t: Things, size: tuple[str, ...]) -> Any:
    return Formula("{0} / 2", (tuple(size),))


def _is_span(node: Node) -> bool:
    if isinstance(node, Named):
        return len(node.points) == 2
    if isinstance(node, Many):
        return len(node.items) == 2 and all(isinstance(item, Named) and len(item.points) == 1 for item in node.items)
    return isinstance(node, Described) and node.head in ("segment", "side", "line", "base", "chord", "hypotenuse", "diameter")


def _is_several_points(node: Node) -> bool:
    return (
        isinstance(node, Many)
        or (isinstance(node, Named) and len(node.points) > 1)
        or (isinstance(node, Ref) and node.word == "them")
        or (isinstance(node, Described) and (node.plural or len(node.names) > 1 or node.head == "corner"))
    )


def _through_three(t: Things, points: tuple[str, ...]) -> str:
    return t.make("circumcircle", a=points[:1], b=points[1:2], c=points[2:])


def _on_diameter(t: Things, span: tuple[str, ...]) -> str:
    if len(span) == 1:
        step = t.b.ahead.step(span[0])
        span = (*step.fills.get("from", ()), *step.fills.get("to", ()))
    return t.make("circle_on_diameter", from_=span[:1], to=span[1:])


def _new_centre(t: Things) -> str:
    return str(t.aside(lambda: t.b.free_point("O" if not t.b.has("O") and "O" not in t.b.reserved else None)))


def _any_circle(t: Things) -> str:
    """A new circle about a new point, through another."""
    centre = _new_centre(t)
    through = t.aside(t.b.free_point)
    return t.make("circle", centre=(centre,), point=(through,))


def _beside(t: Things, other: str, radius: Node) -> str:
    """A circle of a radius that touches another one from outside, where that has a point that slides."""
    b = t.b
    size = t.aside(lambda: length_said(t, radius))
    middle = t.aside(lambda: centre_of(t, other))
    touching = t.aside(lambda: b.make("point_on", {"path": (other,), "place": free_place_on(t, (other,))}))
    across = b.make("line", {"from": (middle,), "to": (touching,)}, hidden=True)
    round_ = b.make("circle_radius", {"centre": (touching,), "radius": size}, hidden=True)
    cx, cy = b.ahead.value(middle)[:2]

    def far_off(which: str) -> float:
        mark = b.mark()
        value = b.ahead.value(b.make("intersection", {"a": (across,), "b": (round_,), "which": which}, None, True))
        b.back_to(mark)
        return -1.0 if value is None else math.dist(value[:2], (cx, cy))

    outside = max(("first", "second"), key=far_off)
    centre = b.make("intersection", {"a": (across,), "b": (round_,), "which": outside})
    return t.make("circle_radius", centre=(centre,), radius=size)


def _touching(t: Things, node: Described, centre: str, touches: Node, through: Node | None, radius: Node | None) -> str:
    """A circle about a point that touches a line, or that touches a line in a point of it."""
    b = t.b
    if isinstance(touches, Described) and touches.head == "side" and touches.plural and not centre:
        return t.make("incircle", triangle=t.aside(lambda: t.triangle(touches.role("of"))))
    line = t.aside(lambda: t.path(touches))
    if len(line) == 1 and b.kind(line[0]) == CIRCLE:
        if not centre and radius is not None and through is None and node.role("at", "in") is None:
            return _beside(t, line[0], radius)
        if not centre or node.role("at", "in") is not None:
            raise Refusal("A circle that touches a circle needs its centre.")
        other = centre_of(t, line[0])
        across = b.make("line", {"from": (centre,), "to": (other,)}, hidden=True)
        which = _nearer(t, (across,), line, centre)
        touching = b.make("intersection", {"a": (across,), "b": line, "which": which}, hidden=True)
        return t.make("circle", centre=(centre,), point=(touching,))
    at = node.role("at", "in")
    if centre and at is None:
        foot = b.make("foot", {"point": (centre,), "base": line}, hidden=True)
        return t.make("circle", centre=(centre,), point=(foot,))
    if at is not None and through is not None:
        touching, other = t.aside(lambda: t.point(at)), t.aside(lambda: t.point(through))
        across = b.make("perpendicular", {"base": line, "point": (touching,)}, hidden=True)
        middle = b.make("perpendicular_bisector", {"span": (touching, other)}, hidden=True)
        centre = b.make("intersection", {"a": (across,), "b": (middle,)})
        return t.make("circle", centre=(centre,), point=(touching,))
    raise Refusal("A circle that touches a line needs its centre, or the point where it touches and another point on it.")


def _nearer(t: Things, a: tuple[str, ...], b: tuple[str, ...], point: str) -> str:
    """Which crossing of two paths is nearer to a point."""
    found = []
    for which in ("first", "second"):
        mark = t.b.mark()
        id = t.b.make("intersection", {"a": a, "b": b, "which": which}, None, True)
        value = t.b.ahead.value(id)
        t.b.back_to(mark)
        if value is not None:
            found.append((distance_between(value, t.b.ahead.value(point)), which))
    return min(found)[1] if found else "first"


@makes("circumcircle", "incircle", "excircle", "nine-point-circle", parts="of for in on opposite at from tangent")
def circles_of_triangles(t: Things, node: Described) -> list[str]:
    made = []
    if node.head != "excircle" and node.role("tangent", "at", "from", "opposite") is not None:
        raise Refusal(f"Where the {node.head} touches is said so: the {node.head} touches BC at D.")
    for one in each(with_corners_as_one(node), "of", "for", "in", "on"):
        named = one.names[0] if one.names and isinstance(one.names[0], Named) and len(one.names[0].points) == 3 else None
        said = one.role("of", "for", "in", "on") or named
        try:
            triangle = t.aside(lambda said=said: t.triangle(said))  # type: ignore[misc]
        except Refusal:
            if one.head != "circumcircle":
                raise
            # Of a shape with more corners, where they are on one circle.
            corners = t.aside(lambda said=said: corners_of(t, said))  # type: ignore[misc]
            made.append(_through_more(t, list(corners)))
            continue
        if one.names and isinstance(one.names[0], Named) and len(one.names[0].points) < 3:
            t.names.insert(0, one.names[0].text)
        if one.head == "circumcircle":
            made.append(_through_three(t, triangle))
        elif one.head == "excircle":
            facing = one.role("opposite", "at", "from")
            if (touched := one.role("tangent")) is not None:
                side = t.aside(lambda touched=touched: t.span(touched))  # type: ignore[misc]
                corner = next((id for id in triangle if id not in side), triangle[0])
                facing = Named(t.b.ahead.name(corner), (t.b.ahead.name(corner),))
            if facing is None and (one.plural or one.kind == "all"):
                made += t.b.make_all("excircles", {"triangle": triangle})
            elif facing is None:
                raise Refusal("Which one? Say: the excircle of ABC opposite A.")
            else:
                made.append(t.make("excircle", triangle=turned_to(t, triangle, facing)))
        else:
            made.append(t.make({"incircle": "incircle", "nine-point-circle": "nine_point_circle"}[one.head], triangle=triangle))
    return made
