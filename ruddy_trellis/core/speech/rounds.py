"""Descriptions of circles."""

from __future__ import annotations

import math
from dataclasses import replace
from typing import Any

from ..kinds import join
from ..language.expression import Formula
from ..refusal import Refusal
from .amounts import length_said
from .nodes import Amount, Described, Many, Named, Node, Ref
from .nouns import how_many, makes
from .points import turned_to
from .refusals import Stray
from .riding import free_place_on
from .shape_measures import circle_by_radius
from .shapes_and_circles import circle_of_triangle, inscribed_in_shape
from .spans import centre_of, corners_of, distance_between, each, with_corners_as_one
from .things import Things
from .third_corners import first_side, fresh_names
from .touching import Size, circle_touching, new_centre, two_touching, two_touching_of_radii

#: Of two circles that are to cross: their radii as shares of how far their centres are apart, and in which direction from the other centre
#: the points are through which they go, degrees.
_LARGER, _BESIDE = (0.68, 0.77), 115.0


@makes(
    "circle",
    parts="radius as_radius diameter on centre about at with to through tangent same_centre_as same_radius_as in centre_on apart area "
    "perimeter",
    words="meets touches concentric as-centre as-diameter as-radius same-centre same-radius second of-one-size external internal",
)
def circles(t: Things, node: Described) -> list[str]:
    if (found := circle_of_triangle(t, node)) is not None:
        return found
    if "as-radius" in node.extra and isinstance(on := node.role("on"), Named) and len(on.points) == 2 and len(node.roles) == 1:
        # "On AB as radius": about its first point, through the other.
        start, stop = (Named(point, (point,)) for point in on.points)
        extra = tuple(word for word in node.extra if word != "as-radius")
        node = replace(node, extra=extra, roles=(("centre", start), ("through", stop)))
    if node.role("area", "perimeter") is not None:
        node = circle_by_radius(t, node)
    if (gap := node.role("apart")) is not None:
        return _apart(t, node, gap)
    if "touches" in node.adjectives and node.role("radius") is not None and (node.count or 1) > 1:
        return two_touching_of_radii(t, node)
    if ("of-one-size" in node.adjectives and "meets" not in node.adjectives) or _are_of_radius(node):
        return _of_one_size(t, node)
    if "touches" in node.adjectives:
        if node.count == 2 and all(role in ("centre", "through") for role, _ in node.roles):
            return two_touching(t, node)
        raise Stray("Say what the circle touches: the circle with centre A touching BC.")
    if {"external", "internal"} & {*node.adjectives, *node.extra} and node.role("tangent") is None:
        raise Stray("“External” and “internal” are understood of circles that touch.")
    if node.count and node.count > 1 and not node.roles and not node.names and "meets" not in node.adjectives:
        if "concentric" in node.adjectives:
            centre = new_centre(t)
            return [t.make("circle", centre=(centre,), point=(t.aside(t.b.free_point),)) for _ in range(how_many(node))]
        return [_any_circle(t) for _ in range(how_many(node))]
    if node.count == 2 and "meets" in node.adjectives and not node.names and not node.roles:
        shared = t.aside(t.b.free_point)
        return [t.make("circle", centre=(new_centre(t),), point=(shared,)) for _ in range(2)]
    if node.count == 2 and "meets" in node.adjectives and [role for role, _ in node.roles] == ["centre"] and not node.names:
        return _intersecting(t, node)
    if "meets" in node.adjectives:
        raise Stray("Say where the circles meet: two circles through A.")
    if node.count and node.count > 1 and len(node.roles) == 1 and not node.names and (through := node.role("through")) is not None:
        if not _is_several_points(through):
            point = t.aside(lambda: t.point(through))
            return [t.make("circle", centre=(new_centre(t),), point=(point,)) for _ in range(how_many(node))]
    about = node.role("about", "centre", "at")
    if "concentric" in node.adjectives and (node.count or 1) > 1 and about is not None and len(node.roles) == 1 and not node.names:
        centre = t.aside(lambda: t.point(about))
        return [t.make("circle", centre=(centre,), point=(t.aside(t.b.free_point),)) for _ in range(how_many(node))]
    if "concentric" in node.adjectives and isinstance(node.role("radius"), Many):
        if node.role("about", "centre", "at") is None:
            name = t.b.ahead.name(new_centre(t))
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
        is_them = node.plural and isinstance(part, Ref) and part.word == "them"
        if role in ("centre", "about", "at") and (is_them or (isinstance(part, Described) and part.plural)):
            corners: Node = part
            ids = t.aside(lambda corners=corners: t.points(corners))  # type: ignore[misc]
            names = Many(tuple(Named(t.b.ahead.name(id), (t.b.ahead.name(id),)) for id in ids))
            node = replace(node, roles=(*node.roles[:number], ("centre", names), *node.roles[number + 1 :]))
    if (spokes := _new_radii(t, node)) is not None:
        return [_with_radii(t, *spokes)]
    if isinstance(node.role("radius"), Many) and isinstance(node.role("centre", "about", "at"), Named):
        # One centre for all of them, which is made first.
        t.aside(lambda: t.point(node.role("centre", "about", "at")))  # type: ignore[arg-type]
    several = [role for role, part in node.roles if isinstance(part, Many) and role in ("diameter", "centre", "radius")]
    listed = [item for role, part in node.roles if role in several and isinstance(part, Many) for item in part.items]
    if any(isinstance(item, Described) and (item.kind == "new" or item.head == "circle") for item in listed):
        raise Stray("That is another thing, and no part of a circle.")
    if several:
        return [id for one in each(node, *several) for id in circles(t, replace(one, count=None))]
    return [_circle(t, node)]


def _of_one_size(t: Things, node: Described) -> list[str]:
    """Several circles with one radius: that of the first, which has a point of its own. Raises Refusal."""
    b = t.b
    centres, size = node.role("centre", "about", "at"), node.role("radius")
    if not isinstance(centres, Many | None) or any(part not in (centres, size) for _, part in node.roles):
        raise Stray("Say their centres, or how many there are: two equal circles with centres O and P.")
    if node.names:
        t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
    ids = t.aside(lambda: t.points(centres)) if centres is not None else [new_centre(t) for _ in range(node.count or len(t.names))]
    if len(ids) < 2 or (node.count or len(ids)) != len(ids):
        raise Refusal("Say how many there are: two equal circles.")
    if size is not None:
        radius = t.aside(lambda: length_said(t, size))
        return [t.make("circle_radius", centre=(id,), radius=radius) for id in ids]
    point = t.aside(b.free_point)
    first = t.make("circle", centre=(ids[0],), point=(point,))
    return [first, *(t.make("circle_radius", centre=(id,), radius=(ids[0], point)) for id in ids[1:])]


def _intersecting(t: Things, node: Described) -> list[str]:
    """Two circles about centres that are said which cross where they are now, of one radius or not: each is a little larger than half of
    the way between the centres."""
    b = t.b
    ids = t.aside(lambda: t.points(node.role("centre")))  # type: ignore[arg-type]
    if len(ids) != 2:
        raise Refusal("Two circles have two centres.")
    (ax, ay), (cx, cy) = (b.now(id)[:2] for id in ids)
    found = []
    for (x, y), (u, v), share in (((ax, ay), (cx - ax, cy - ay), _LARGER[0]), ((cx, cy), (ax - cx, ay - cy), _LARGER[1])):
        turn = math.radians(_BESIDE)
        at = x + share * (u * math.cos(turn) - v * math.sin(turn)), y + share * (u * math.sin(turn) + v * math.cos(turn))
        if found and "of-one-size" in node.adjectives:
            found.append(t.make("circle_radius", centre=(ids[1],), radius=(ids[0], b.ahead.step(found[0]).fills["point"][0])))
            break
        point = t.aside(lambda at=at: b.free_point(at=(round(at[0], 2), round(at[1], 2))))  # type: ignore[misc]
        found.append(t.make("circle", centre=(ids[len(found)],), point=(point,)))
    return found


def _are_of_radius(node: Described) -> bool:
    """Whether several circles are said of which one radius is told and no more: "two circles of radius 4"."""
    return (node.count or 1) > 1 and [role for role, _ in node.roles] == ["radius"] and not isinstance(node.role("radius"), Many)


def _are_two(node: Described) -> bool:
    """Whether a radius is said of each of two circles."""
    return isinstance(radii := node.role("radius"), Many) and len(radii.items) == 2


def _apart(t: Things, node: Described, gap: Node) -> list[str]:
    """Two circles by how far apart their centres are. Raises Refusal."""
    centres, size = node.role("centre", "about"), node.role("radius")
    named = [item.text for item in (centres.items if isinstance(centres, Many) else (centres,)) if isinstance(item, Named)]
    if size is None or node.count not in (None, 2) or len(named) not in (0, 2) or (node.count is None and not (named or _are_two(node))):
        raise Stray("How far apart two circles are is that of their centres. Say: two circles with radii 5 and 3, 7 apart.")
    if any(part not in (centres, size, gap) for _, part in node.roles) or node.adjectives or node.extra:
        raise Stray("Of two circles that are so far apart only their radii and centres are said.")
    names = (named[0], named[1]) if named else _two_centres(t)
    t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
    sizes = [t.aside(lambda one=one: length_said(t, one)) for one in (size.items if isinstance(size, Many) else (size, size))]  # type: ignore[misc]
    ends = t.aside(lambda: first_side(t, names, length_said(t, gap)))
    return [t.make("circle_radius", centre=(centre,), radius=radius) for centre, radius in zip(ends, sizes, strict=True)]


def _two_centres(t: Things) -> tuple[str, str]:
    """Names for two new centres: O and P where they are free."""
    if all(not t.b.has(name) and name not in t.b.reserved for name in "OP"):
        return "O", "P"
    one, other = fresh_names(t.b, 2)
    return one, other


def _radius_said(t: Things, radius: Node | None, diameter: Node | None) -> Size | None:
    """What makes a radius as a gap for a length takes it, of the radius or of the size of a diameter; None where neither is said."""

    if diameter is not None and not _is_span(diameter):
        return lambda: t.aside(lambda: _halved(t, length_said(t, diameter)))
    return None if radius is None else lambda: t.aside(lambda: length_said(t, radius))


def _halved(t: Things, size: Any) -> Any:
    return size / 2 if isinstance(size, float) else (t.b.make("calculation", {"formula": Formula("{0} / 2", (tuple(size),))}),)


def _through_of_radius(t: Things, points: list[str], size: Any) -> str:
    """A circle of a radius through a point, with a centre that slides, or through two, with one of the two centres that it may have. Raises
    Refusal."""
    if not 1 <= len(points) <= 2:
        raise Refusal("Of a radius, a circle goes through one point or two.")
    rounds = [t.b.make("circle_radius", {"centre": (id,), "radius": size}, hidden=True) for id in points]
    if len(rounds) == 1:
        centre = t.b.make("point_on", {"path": (rounds[0],), "place": free_place_on(t, (rounds[0],))})
    else:
        centre = t.aside(lambda: t.b.make("intersection", {"a": rounds[:1], "b": rounds[1:], "which": "first"}))
    return t.make("circle_radius", centre=(centre,), radius=size)


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


def _with_its_own_size(node: Described) -> Described:
    """A circle with the size that was taken for another's: in "with the centre of the circle and radius 2" it is that of the new one."""
    like = node.role("same_centre_as")
    if not isinstance(like, Described) or like.kind != "old" or node.role("radius", "diameter") is not None:
        return node
    sizes = tuple(pair for pair in like.roles if pair[0] in ("radius", "diameter"))
    other = replace(like, roles=tuple(pair for pair in like.roles if pair not in sizes))
    return replace(node, roles=(*((role, other if part is like else part) for role, part in node.roles), *sizes))


def _circle(t: Things, node: Described) -> str:
    """One circle by its parts: centre, radius, diameter, points on it, what it touches."""
    b = t.b
    node = _with_its_own_size(node)
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
    through, touches = node.role("through"), node.role("tangent")
    roles = [role for role, _ in node.roles]
    # "a circle at A touching k", "a circle touching k at A"
    is_touched_there = touches is not None and "at" in roles and roles.index("tangent") < roles.index("at")
    centre_node = node.role("centre", "about") or (None if is_touched_there else node.role("at"))
    centre_node = centre_node or (node.role("with") if "as-centre" in node.extra else None)
    size = _radius_said(t, radius, diameter)
    if through is not None and size is not None and centre_node is None and touches is None:
        return _through_of_radius(t, t.aside(lambda: t.points(through)), size())
    if through is not None and _is_several_points(through) and centre_node is None and touches is None:
        points = t.aside(lambda: t.points(through))
        if (line := node.role("centre_on")) is not None:
            if len(points) != 2:
                raise Refusal("With its centre on a line, a circle goes through two points.")
            middle = b.make("perpendicular_bisector", {"span": tuple(points)}, hidden=True)
            path = t.aside(lambda: t.path(line))  # type: ignore[arg-type]
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
    elif (line := node.role("centre_on")) is not None and touches is None:
        path = t.aside(lambda: t.path(line))  # type: ignore[arg-type]
        centre = t.aside(lambda: b.make("point_on", {"path": path, "place": free_place_on(t, path)}))
    else:
        centre = ""
    if touches is not None:
        return circle_touching(t, node, centre, touches, through, size)
    if size is not None:
        radius_now = size()
        return t.make("circle_radius", centre=(centre or new_centre(t),), radius=radius_now)
    if "same-radius" in node.extra or node.role("same_radius_as") is not None:
        return t.make(
            "circle_radius", centre=(centre or new_centre(t),), radius=_radius_of(t, t.aside(lambda: t.round(node.role("same_radius_as"))))
        )
    if through is not None and centre:
        if isinstance(through, Many):
            return _about_through(t, centre, through)
        return t.make("circle", centre=(centre,), point=(t.aside(lambda: t.point(through)),))
    if through is not None:
        point = t.aside(lambda: t.point(through))
        return t.make("circle", centre=(new_centre(t),), point=(point,))
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


def _new_radii(t: Things, node: Described) -> tuple[str, list[str]] | None:
    """The names of a centre and of points on the circle where that is said by radii, and no other end of a radius is there."""
    radius, centre = node.role("radius"), node.role("centre", "about", "at")
    spans = [item.points for item in (radius.items if isinstance(radius, Many) else (radius,)) if isinstance(item, Named)]
    if len(spans) != (len(radius.items) if isinstance(radius, Many) else 1) or any(len(span) != 2 for span in spans):
        return None
    if not all(role in ("radius", "centre", "about", "at") for role, _ in node.roles) or node.extra or node.adjectives:
        return None
    middle = centre.text if isinstance(centre, Named) else spans[0][0] if centre is None else None
    if middle is None or any(middle not in span for span in spans):
        return None
    ends = [next((end for end in span if end != middle), middle) for span in spans]
    return None if any(map(t.b.has, ends)) or ((centre is None and t.b.has(middle)) and len(ends) == 1) else (middle, ends)


def _with_radii(t: Things, centre: str, ends: list[str]) -> str:
    """The circle about a centre with new radii, which are drawn."""
    b = t.b
    middle = t.aside(lambda: b.point(centre))
    first = t.aside(lambda: b.free_point(ends[0]))
    circle = t.make("circle", centre=(middle,), point=(first,))
    others = [b.make("point_on", {"path": (circle,), "place": free_place_on(t, (circle,))}, name) for name in ends[1:]]
    for end in (first, *others):
        b.make("segment", {"from": (middle,), "to": (end,)})
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


def _any_circle(t: Things) -> str:
    """A new circle about a new point, through another."""
    centre = new_centre(t)
    through = t.aside(t.b.free_point)
    return t.make("circle", centre=(centre,), point=(through,))


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
            if one.head not in ("circumcircle", "incircle"):
                raise
            # Of a shape with more corners, where they are on one circle, or the sides touch one.
            corners = t.aside(lambda said=said: corners_of(t, said))  # type: ignore[misc]
            made.append(_through_more(t, list(corners)) if one.head == "circumcircle" else inscribed_in_shape(t, corners))
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
