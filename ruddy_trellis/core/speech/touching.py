"""Circles that touch: each other, or lines."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import replace
from typing import Any

from ..kinds import CIRCLE
from ..refusal import Refusal
from .amounts import length_said
from .nodes import Described, Many, Named, Node
from .on_paths import is_on
from .refusals import Final, Stray
from .riding import free_place_on
from .spans import best_crossing, centre_of, distance_between, distant_from
from .things import Things

#: How far apart, as a part of them, distances may be that are the same.
_SAME_DISTANCE = 1e-9
#: What makes a radius, when it is wanted.
Size = Callable[[], Any]


def new_centre(t: Things) -> str:
    """A new centre for a circle: O, if nothing is called so."""
    return str(t.aside(lambda: t.b.free_point("O" if not t.b.has("O") and "O" not in t.b.reserved else None)))


def two_touching(t: Things, node: Described) -> list[str]:
    """Two circles that touch from outside, or the second one the first from inside. Where one of their centres and the point where they
    touch may be anywhere, the other centre slides on the line through these. Raises Refusal."""
    b = t.b
    inside = _is_inside(node)
    names = [name.text for name in node.names if isinstance(name, Named)]
    there = [id for name in names for id in b.ahead.ids_named(name) if b.kind(id) == CIRCLE]
    centres = [item.text if isinstance(item, Named) else "" for item in _items(node.role("centre"))] or ["", ""]
    touching = node.role("through")
    shared_name = touching.text if isinstance(touching, Named) else ""
    if (
        len(names) not in (0, 2)
        or len(centres) != 2
        or not all(len(name) <= 1 or name in b.ahead.points_by_name for name in (*centres, shared_name))
    ):
        raise Refusal("Say two centres and one point: two touching circles with centres O and P through T.")
    if there:
        if len(there) > 1 or any(centres):
            raise Refusal("They are there already; whether they touch is a claim: k touches c.")
        t.names[:0] = [name for name in names if name != b.ahead.name(there[0])]
        return [_touching_in(t, there[0], shared_name, inside)]
    t.names[:0] = names
    one, other = (t.aside(lambda name=name: b.point(name)) if name and b.has(name) else None for name in centres)  # type: ignore[misc]
    shared = t.aside(lambda: b.point(shared_name)) if shared_name and b.has(shared_name) else None
    if one is None:
        one = new_centre(t) if not centres[0] else t.aside(lambda: b.free_point(centres[0]))
    if other is not None and shared is not None:
        if not is_on(t, shared, (one, other)):
            raise Refusal(f"Circles touch on the line through their centres, and {shared_name} is not on it.")
    elif other is not None:
        shared = _at_share(t, one, other, 1.5 if inside else 0.4, shared_name)
    else:
        shared = shared or t.aside(lambda: b.free_point(shared_name or None))
        other = _at_share(t, one, shared, 0.45 if inside else 1.6, centres[1])
    return [t.make("circle", centre=(centre,), point=(shared,)) for centre in (one, other)]


def two_touching_of_radii(t: Things, node: Described) -> list[str]:
    """Two circles that touch, by their radii: one that moves freely, and one whose touching point slides on it. Raises Refusal."""
    sizes = _items(node.role("radius"))
    if node.count != 2 or len(sizes) not in (1, 2) or any(role != "radius" for role, _ in node.roles):
        raise Stray("Two circles that touch are made by their radii, or by their centres: two touching circles with radii 3 and 2.")
    t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
    first, last = (t.aside(lambda item=item: length_said(t, item)) for item in (sizes[0], sizes[-1]))  # type: ignore[misc]
    if _is_inside(node) and first == last:
        raise Refusal("A circle that touches another one from inside has another radius.")
    one = t.make("circle_radius", centre=(new_centre(t),), radius=first)
    return [one, _beside(t, one, lambda: last, _is_inside(node), None)]


def _is_inside(node: Described) -> bool:
    return "internal" in {*node.adjectives, *node.extra}


def _touching_in(t: Things, circle: str, name: str, inside: bool) -> str:
    """A circle that touches one that is there in a point of it: its centre slides on the line through the other centre and that point."""
    b = t.b
    middle = t.aside(lambda: centre_of(t, circle))
    if name and b.has(name):
        shared = b.point(name)
        if not is_on(t, shared, (circle,)):
            raise Refusal(f"{name} is not on {b.ahead.name(circle)}: circles touch in a point of both.")
    else:
        shared = b.make("point_on", {"path": (circle,), "place": free_place_on(t, (circle,))}, name or None)
    return t.make("circle", centre=(_at_share(t, middle, shared, 0.45 if inside else 1.6, ""),), point=(shared,))


def _items(node: Node | None) -> tuple[Node, ...]:
    """The single things of a phrase."""
    return () if node is None else node.items if isinstance(node, Many) else (node,)


def _at_share(t: Things, start: str, end: str, share: float, name: str) -> str:
    """A point that slides on the line through two points, at first at a share of the way from one to the other."""
    b = t.b
    line = b.make("line", {"from": (start,), "to": (end,)}, hidden=True)
    return b.make("point_on", {"path": (line,), "place": share}, name or None)


def _beside(t: Things, other: str, size: Size, inside: bool, at: Node | None) -> str:
    """A circle of a radius that touches another one from outside or from inside: in a point of that, or where it has one that slides."""
    b = t.b
    radius = size()
    middle = t.aside(lambda: centre_of(t, other))
    if isinstance(at, Named) and b.has(at.text):
        touching = t.aside(lambda: t.point(at))
        if not is_on(t, touching, (other,)):
            raise Refusal(f"{at.text} is not on {b.ahead.name(other)}: circles touch in a point of both.")
    else:
        name = at.text if isinstance(at, Named) else None
        touching = t.aside(lambda: b.make("point_on", {"path": (other,), "place": free_place_on(t, (other,))}, name))
    across = b.make("line", {"from": (middle,), "to": (touching,)}, hidden=True)
    round_ = b.make("circle_radius", {"centre": (touching,), "radius": radius}, hidden=True)
    cx, cy = b.now(middle)[:2]

    which = best_crossing(t, (across,), (round_,), lambda place: (-1 if inside else 1) * math.dist(place[:2], (cx, cy)))
    centre = b.make("intersection", {"a": (across,), "b": (round_,), "which": which})
    return t.make("circle_radius", centre=(centre,), radius=radius)


def circle_touching(t: Things, node: Described, centre: str, touches: Node, through: Node | None, size: Size | None) -> str:
    """A circle about a point that touches a line, or that touches a line in a point of it."""
    b = t.b
    if isinstance(touches, Described) and touches.head == "side" and touches.plural and not centre:
        of = touches.role("of")
        return t.make("incircle", triangle=t.aside(lambda: t.triangle(of)))
    if isinstance(touches, Described) and touches.head == "side" and touches.plural and through is None and size is None:
        return _touching_sides(t, centre, touches.role("of"))
    if isinstance(touches, Many) and not centre and through is None:
        return _touching_lines(t, touches, size)
    if isinstance(touches, Described) and touches.head == "circle" and touches.kind == "old" and node.role("at", "in") is None:
        # "touching the circle at A": where it touches, and not about which point the other one is.
        spot, circle = touches.role("at"), replace(touches, roles=())
        if spot is not None and len(touches.roles) == 1:
            touches, node = circle, node.with_role("at", spot)
    # Where it touches, unless that is where its centre is said to be.
    at = node.role("at", "in") if not centre or node.role("centre", "about") is not None else None
    line = t.aside(lambda: t.path(touches))
    if len(line) == 1 and b.kind(line[0]) == CIRCLE:
        if not centre and size is not None and through is None and (at is None or isinstance(at, Named)):
            return _beside(t, line[0], size, _is_inside(node), at)
        if not centre and size is None and through is None and (at is None or isinstance(at, Named)):
            return _touching_in(t, line[0], at.text if isinstance(at, Named) else "", _is_inside(node))
        if not centre or at is not None:
            raise Refusal("A circle that touches a circle needs its centre.")
        other = centre_of(t, line[0])
        across = b.make("line", {"from": (centre,), "to": (other,)}, hidden=True)
        which = best_crossing(t, (across,), line, lambda place: -distance_between(place, b.now(centre)))
        if _is_inside(node):
            which = "second" if which == "first" else "first"
        shared = b.make("intersection", {"a": (across,), "b": line, "which": which}, hidden=True)
        return t.make("circle", centre=(centre,), point=(shared,))
    if {"external", "internal"} & {*node.adjectives, *node.extra}:
        raise Stray("From outside or from inside a circle touches a circle; a line has no inside.")
    if centre and at is None:
        foot = b.make("foot", {"point": (centre,), "base": line}, hidden=True)
        return t.make("circle", centre=(centre,), point=(foot,))
    if at is not None and through is not None:
        touching, other = t.aside(lambda: t.point(at)), t.aside(lambda: t.point(through))
        across = b.make("perpendicular", {"base": line, "point": (touching,)}, hidden=True)
        middle = b.make("perpendicular_bisector", {"span": (touching, other)}, hidden=True)
        centre = b.make("intersection", {"a": (across,), "b": (middle,)})
        return t.make("circle", centre=(centre,), point=(touching,))
    if not centre and through is None:
        return _touching_line_in(t, line, at, size)
    raise Refusal("A circle that touches a line needs its centre, or the point where it touches and another point on it.")


def _touching_sides(t: Things, centre: str, of: Node | None) -> str:
    """The circle about a point that touches the sides of a triangle, from which the point is equally far now. Raises Refusal."""
    b = t.b
    corners = t.aside(lambda: t.triangle(of))
    at = [complex(*b.now(id)[:2]) for id in corners]
    middle = complex(*b.now(centre)[:2])
    off = [abs(((q - p).conjugate() * (middle - p)).imag) / abs(q - p) for p, q in zip(at, (*at[1:], at[0])) if p != q]
    if len(off) < len(at) or max(off) - min(off) > _SAME_DISTANCE * max(off):
        raise Refusal(f"{b.ahead.name(centre)} is not equally far from the sides. Say: the incircle of the triangle.")
    foot = b.make("foot", {"point": (centre,), "base": corners[:2]}, hidden=True)
    return t.make("circle", centre=(centre,), point=(foot,))


def _touching_lines(t: Things, touches: Many, size: Size | None) -> str:
    """A circle that touches the two arms of an angle, of a radius or with a centre that slides, or the three sides of a triangle. Raises
    Refusal."""
    b = t.b
    ends = [
        b.ends(line[0]) if len(line) == 1 else (line[0], line[1]) for line in t.aside(lambda: [t.straight(one) for one in touches.items])
    ]
    corners = list(dict.fromkeys(id for pair in ends for id in pair))
    if len(ends) == 2 and len(corners) == 4:
        return _touching_two(t, ends, size)
    if len(corners) != 3 or not 2 <= len({frozenset(pair) for pair in ends}) == len(ends) <= 3:
        raise Final("A circle is drawn that touches the two arms of an angle, or the three sides of a triangle.")
    if len(ends) == 3:
        if size is not None:
            raise Final("The circle that touches all three sides of a triangle has its radius already.")
        return t.make("incircle", triangle=tuple(corners))
    vertex = next(id for id in ends[0] if id in ends[1])
    one, other = (next(id for id in pair if id != vertex) for pair in ends)
    bisector = b.make("angle_bisector", {"corner": (one, vertex, other)}, hidden=True)
    if size is not None:
        # As far from both arms as the radius: where the bisector meets a parallel to one of them on the side of the other.
        radius = size()
        across = b.make("perpendicular", {"base": (vertex, one), "point": (vertex,)}, hidden=True)
        round_ = b.make("circle_radius", {"centre": (vertex,), "radius": radius}, hidden=True)
        way = complex(*b.now(other)[:2]) - complex(*b.now(vertex)[:2])
        which = best_crossing(t, (across,), (round_,), lambda place: (complex(*place[:2]) * way.conjugate()).real)
        beside = b.make("intersection", {"a": (across,), "b": (round_,), "which": which}, hidden=True)
        parallel = b.make("parallel", {"base": (vertex, one), "point": (beside,)}, hidden=True)
        return t.make("circle_radius", centre=(b.make("intersection", {"a": (bisector,), "b": (parallel,)}),), radius=radius)
    centre = b.make("point_on", {"path": (bisector,), "place": free_place_on(t, (bisector,))})
    foot = b.make("foot", {"point": (centre,), "base": ends[0]}, hidden=True)
    return t.make("circle", centre=(centre,), point=(foot,))


def _touching_two(t: Things, ends: Sequence[tuple[str, ...]], size: Size | None) -> str:
    """A circle that touches two lines that have no point of their own in common: its centre is on a bisector of the angles between them,
    where it slides, or as far from both as the radius that is said."""
    b = t.b
    bisector = b.make("bisector_of_lines", {"a": ends[0], "b": ends[1], "which": "first"}, hidden=True)
    if size is None:
        centre = b.make("point_on", {"path": (bisector,), "place": free_place_on(t, (bisector,))})
        return t.make("circle", centre=(centre,), point=(b.make("foot", {"point": (centre,), "base": ends[0]}, hidden=True),))
    radius = size()
    parallel = b.make("parallel", {"base": ends[0], "point": (distant_from(t, ends[0], radius),)}, hidden=True)
    return t.make("circle_radius", centre=(b.make("intersection", {"a": (bisector,), "b": (parallel,)}),), radius=radius)


def _touching_line_in(t: Things, line: tuple[str, ...], at: Node | None, size: Size | None) -> str:
    """A circle that touches a line in a point of it, of a radius, or with a centre that slides."""
    b = t.b
    if at is None or (isinstance(at, Named) and len(at.points) == 1 and not b.has(at.text)):
        touching = b.make("point_on", {"path": line, "place": free_place_on(t, line)}, at.text if isinstance(at, Named) else None)
    else:
        touching = t.aside(lambda: t.point(at))
        if not is_on(t, touching, line):
            raise Refusal(f"{b.ahead.name(touching)} is not on that line: a circle touches a line in a point of it.")
    across = b.make("perpendicular", {"base": line, "point": (touching,)}, hidden=True)
    if size is None:
        return t.make("circle", centre=(b.make("point_on", {"path": (across,), "place": free_place_on(t, (across,))}),), point=(touching,))
    radius = size()
    round_ = b.make("circle_radius", {"centre": (touching,), "radius": radius}, hidden=True)
    centre = b.make("intersection", {"a": (across,), "b": (round_,), "which": "first"})
    return t.make("circle_radius", centre=(centre,), radius=radius)
