"""Clauses that say where a point is by a ratio, a length or a fact."""

from __future__ import annotations

import math
from typing import Any

from ..kinds import CIRCLE, POINT, SPANS, STRAIGHTS
from ..language.expression import Formula
from ..refusal import Refusal
from .amounts import angle_said, length_said, number_said, plain_number_said
from .clauses import Bound
from .crossings import crossing_of
from .nodes import Amount, Described, Many, Named, Node, Ref
from .orders import suppose_facts
from .points import divided
from .riding import free_place_on, mark_on
from .spans import centre_of, crossings_now
from .things import Things
from .verbs import none_there, points_in, verb
from .wishes import suppose_of, wish

#: How near two places are, as a part of a size, and two angles in degrees, to be the same.
_SAME_PLACE = 1e-6
#: Into how many parts an angle is divided at most.
_MOST_PARTS = 12


@verb
def divide(t: Things, bound: Bound) -> None:
    if _is_angle(bound["x"]):
        _divide_angle(t, bound)
        return
    span = t.span(bound["x"]) if not _is_circle(t, bound["x"]) else ()
    names = points_in(bound["n"]) if "n" in bound else []
    t.names = list(names)
    if not span:
        _divide_circle(t, bound)
        return
    if "w" in bound:
        first, second = (number_said(t, bound[slot]) for slot in ("v", "w"))
        if "external" in bound.get("words", ()) or "externally" in bound.get("words", ()):
            second = -second if isinstance(second, float) else second
        t.make("dividing", span=span, first=first, second=second)
        return
    parts = plain_number_said(t, bound["v"]) if "v" in bound else 3.0
    if not isinstance(parts, float) or parts != int(parts):
        raise Refusal("Into how many parts? Say: divide AB into 5 equal parts.")
    if names and len(names) != int(parts) - 1:
        raise Refusal(f"{int(parts) - 1} points divide a line into {int(parts)} equal parts: name so many.")
    divided(t, span, int(parts))


def _is_angle(node: Node) -> bool:
    return isinstance(node, Described) and node.head == "angle"


def _divide_angle(t: Things, bound: Bound) -> None:
    """Lines that divide an angle into equal parts, as by a protractor. Raises Refusal."""
    b = t.b
    parts = plain_number_said(t, bound["v"]) if "v" in bound else 3.0
    if not isinstance(parts, float) or parts != int(parts) or not 2 <= parts <= _MOST_PARTS or "w" in bound or "n" in bound:
        raise Refusal(f"An angle is divided into 2 to {_MOST_PARTS} equal parts.")
    one, corner, other = t.aside(lambda: t.corner(bound["x"]))
    at, start, end = (complex(*b.now(id)[:2]) for id in (corner, one, other))
    if ((start - at).conjugate() * (end - at)).imag < 0:
        one, other = other, one  # anticlockwise, as it is drawn
    size = b.make("angle", {"corner": (one, corner, other), "turn": "directed"}, hidden=True)
    for number in range(1, int(parts)):
        turn = b.make("calculation", {"formula": Formula(f"{number} * {{0}} / {int(parts)}", ((size,),))}, hidden=True)
        t.make("at_angle", point=(corner,), angle=(turn,), base=(corner, one))


def _is_circle(t: Things, node: Node) -> bool:
    if isinstance(node, Ref):
        drawn = [t.b.kind(id) for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in (CIRCLE, *SPANS)]
        return drawn[-1:] == [CIRCLE]
    return (isinstance(node, Described) and node.head == "circle") or (
        isinstance(node, Named) and bool(ids := t.b.ahead.ids_named(node.text)) and t.b.kind(ids[0]) == CIRCLE
    )


def _divide_circle(t: Things, bound: Bound) -> None:
    """The points that divide a circle into equal parts, the first where there is one on it."""
    parts = plain_number_said(t, bound["v"]) if "v" in bound else 3.0
    if not isinstance(parts, float) or not 2 <= parts <= 36:
        raise Refusal("A circle is divided into 2 to 36 parts.")
    circle = t.round(bound["x"])
    centre = centre_of(t, circle)
    on = t.b.points_on(circle)
    first = on[0] if on else t.b.make("point_on", {"path": (circle,)})
    for number in range(1, int(parts)):
        t.make("turned", point=(first,), centre=(centre,), angle=360.0 * number / parts)


@verb
def fraction(t: Things, bound: Bound) -> None:
    """ "one third of the way from A to B": a point at a share of a span."""
    share = plain_number_said(t, bound["v"])
    span = (t.point(bound["x1"]), t.point(bound["y1"])) if "y1" in bound else t.span(bound["x" if "x" in bound else "x1"])
    if isinstance(share, tuple) and isinstance(bound["v"], (Amount, Named)) and "z" not in bound:
        # "r/10 of the way": a share that is reckoned, and with it what is left.
        rest = plain_number_said(t, Amount(f"1 - ({bound['v'].text})"))
        t.names = points_in(bound["n"]) if "n" in bound else []
        none_there(t, t.names)
        t.make("dividing", span=span, first=share, second=rest)
        return
    if not isinstance(share, float) or share == 1:
        raise Refusal("Which part of the way?")
    if "z" in bound and len(span) == 2:
        near = t.point(bound["z"])
        if near not in span:
            raise Refusal(f"{t.b.ahead.name(near)} is no end of that.")
        # So far from the end that it is said to be nearer to.
        span, share = (near, next(end for end in span if end != near)), min(share, 1 - share)
    t.names = points_in(bound["n"]) if "n" in bound else []
    none_there(t, t.names)
    # As small whole numbers where they are such, as it is said.
    whole = next((count for count in range(2, 21) if abs(share * count - round(share * count)) < 1e-9), 1)
    t.make("dividing", span=span, first=round(share * whole, 9), second=round((1 - share) * whole, 9))


@verb
def point_by_ratio(t: Things, bound: Bound) -> None:
    """ "the point on BC with BD : DC = 2 : 1", "the point of AB dividing it in the ratio 1 : 2"."""
    span = t.span(bound["x1"])
    names = points_in(bound["n"])
    none_there(t, names)
    first, second = (number_said(t, bound[slot]) for slot in ("v", "w"))
    if len(span) == 2 and "k" in bound:
        ends = [t.b.ahead.name(id) for id in span]
        one = bound["k"]
        if not isinstance(one, Named) or len(one.points) != 2:
            raise Refusal("The ratio is that of two parts, such as BD : DC.")
        if ends[0] not in one.points:
            span = (span[1], span[0])
    t.names = names
    t.make("dividing", span=span, first=first, second=second)


@verb
def point_by_length(t: Things, bound: Bound) -> None:
    """ "the point on AB with AP = 2", "a point C with CA = CB", "C so that ABC has a right angle at B"."""
    names = [t.b.free_name(name, POINT) for name in points_in(bound["n"])]
    if len(names) != 1:
        raise Refusal("One point at a time.")
    none_there(t, names)
    name = names[0]
    facts = bound["fact"]
    path = bound.get("x1")
    where = next((word for word in ("inside", "outside", "above", "below") if word in bound.get("words", ())), None)
    fits, supposed = wish(t, Described("point", roles=((where, path),))) if where and path is not None else (None, [])
    if where:
        path = None
    curves, orders = [], []
    for fact in facts.items if isinstance(facts, Many) else (facts,):
        assert isinstance(fact, Described)
        if fact.extra[:1] == ("more",):
            orders.append(fact)
            continue
        found = _curve_of_fact(t, fact, name, path)
        if found is True:
            return
        curves.append(found)
    if path is not None:
        curves.insert(0, t.path(path))
    t.names = [name]
    if not curves and orders:
        t.b.free_point(t.take_name(POINT))
    elif len(curves) == 1:
        t.make("point_on", path=curves[0], place=free_place_on(t, curves[0], fits))
    elif len(curves) == 2:
        crossing_of(t, curves[0], curves[1], False)
    else:
        raise Refusal("That is more than fixes a point.")
    suppose_of(t, t.b.point(name), supposed)
    suppose_facts(t, orders)


def _curve_of_fact(t: Things, fact: Described, name: str, path: Node | None) -> Any:
    """On what a point lies of which a fact is said; True where the point was made by it."""
    b = t.b
    kind = fact.extra[0]
    if kind == "equilateral":
        corners = [point for point in getattr(fact.names[0], "points", ()) if point != name]
        t.described(Described("triangle", ("equilateral",), (fact.names[0],), (("on", Named("".join(corners), tuple(corners))),)))
        return True
    if kind == "shape":
        t.described(Described(fact.extra[1], names=(fact.names[0],), kind="new"))
        return True
    if kind == "right":
        at: tuple[str, ...] = getattr(fact.names[0], "points", ())
        triangle: tuple[str, ...] = getattr(fact.names[1], "points", ()) if len(fact.names) > 1 else at
        corner = at[1] if len(at) == 3 else at[0]
        others = [point for point in triangle if point not in (name, corner)]
        if corner == name:
            ends = b.points([point for point in triangle if point != name])
            return (b.make("circle_on_diameter", {"from": ends[:1], "to": ends[1:]}, hidden=True),)
        ends = b.points((corner, *others))
        return (b.make("perpendicular", {"base": ends[:2], "point": ends[:1]}, hidden=True),)
    if kind == "midpoint":
        return _beyond_midpoint(t, fact, name)
    if kind in ("perpendicular", "parallel", "bisects"):
        return _line_of_fact(t, fact, name)
    if kind != "equal":
        raise Refusal("Say how far it is, such as AP = 2.")
    one, other = fact.names
    if (line := _arm_of_fact(t, one, other, name, path)) is not None:
        return line
    for part, size in ((one, other), (other, one)):
        if isinstance(part, Named) and name in part.points and len(part.points) == 2:
            known = next(point for point in part.points if point != name)
            start = b.point(known)
            if isinstance(size, Named) and name in size.points and len(size.points) == 2:
                return (
                    b.make(
                        "perpendicular_bisector",
                        {"span": b.points((known, next(point for point in size.points if point != name)))},
                        hidden=True,
                    ),
                )
            if isinstance(size, Amount) and f"{name}" in size.text and "*" in size.text:
                return _by_multiple(t, name, known, size, path)
            if path is not None:
                if (span := _ends_if_span(t, path)) is not None and start in span:
                    t.names = [name]
                    mark_on(t, path, start, t.aside(lambda size=size: length_said(t, size)))  # type: ignore[misc]
                    return True
            return (b.make("circle_radius", {"centre": (start,), "radius": t.aside(lambda size=size: length_said(t, size))}, hidden=True),)  # type: ignore[misc]
    raise Refusal(f"That says nothing of {name}.")


def _arm_of_fact(t: Things, angle: Node, size: Node, name: str, path: Node | None) -> tuple[str, ...] | None:
    """The line on which a point lies that ends an arm of an angle of a size: "angle CAB = 25°"; on that side on which it meets what the
    point is on besides. None where no such thing is said."""
    b = t.b
    named = angle.names[0] if isinstance(angle, Described) and angle.head == "angle" and len(angle.names) == 1 else None
    if not isinstance(named, Named) or len(named.points) != 3 or not isinstance(size, Amount) or name not in named.points[::2]:
        return None
    arm, corner = named.points[2 if named.points[0] == name else 0], named.points[1]
    ends = b.points((corner, arm))
    degrees = t.aside(lambda: angle_said(t, size))
    ways = (degrees, -degrees) if isinstance(degrees, (int, float)) else (degrees,)
    for way in ways:
        mark = b.mark()
        if path is None:
            line = (b.make("at_angle", {"point": ends[:1], "angle": way, "base": ends}, hidden=True),)
        else:  # only on that side of the corner is the angle of that size
            turned = b.make("turned", {"point": ends[1:], "centre": ends[:1], "angle": way}, hidden=True)
            line = (b.make("ray", {"from": ends[:1], "to": (turned,)}, hidden=True),)
        if path is None or way == ways[-1] or _meets_on_arm(t, line, t.path(path), ends, degrees):
            return line
        b.back_to(mark)
    return None


def _meets_on_arm(t: Things, line: tuple[str, ...], path: tuple[str, ...], ends: tuple[str, ...], degrees: float) -> bool:
    """Whether a line meets a path now where the angle with an arm has its size, and not its supplement."""
    corner, arm = (complex(*t.b.now(id)[:2]) for id in ends)
    is_straight = len(path) == 2 or t.b.kind(path[0]) in STRAIGHTS
    found = [t.b.would_be("intersection", {"a": line, "b": path})] if is_straight else [place for _, place in crossings_now(t, line, path)]
    for place in (place for place in found if place is not None):
        way = complex(*place[:2]) - corner
        if abs(way) > _SAME_PLACE * abs(arm - corner):
            turned = way * (arm - corner).conjugate()
            if abs(abs(math.degrees(math.atan2(turned.imag, turned.real))) - degrees) < _SAME_PLACE:
                return True
    return False


def _beyond_midpoint(t: Things, fact: Described, name: str) -> bool:
    """ "a point C so that B is the midpoint of AC"."""
    middle, span = fact.names
    points: tuple[str, ...] = getattr(span, "points", ())
    if len(points) != 2 or name not in points:
        raise Refusal(f"That says nothing of {name}.")
    known = t.b.point(next(point for point in points if point != name))
    half_turn = t.b.make("point_reflection", {"centre": (t.point_aside(middle),)}, hidden=True)
    t.names = [name]
    t.make("image_point", of=(known,), by=(half_turn,))
    return True


def _line_of_fact(t: Things, fact: Described, name: str) -> tuple[str, ...]:
    """The line on which a point lies so that a segment to it from a known point is parallel or perpendicular to something, or bisects
    an angle."""
    b, kind = t.b, fact.extra[0]
    one, other = fact.names
    points: tuple[str, ...] = getattr(one, "points", ())
    if len(points) != 2 or name not in points:
        raise Refusal(f"That says nothing of {name}.")
    known = b.point(next(point for point in points if point != name))
    if kind == "bisects":
        corner = t.aside(lambda: t.corner(other))
        if corner[1] != known:
            raise Refusal("A bisector starts at the corner of its angle.")
        return (b.make("angle_bisector", {"corner": corner}, hidden=True),)
    return (b.make(kind, {"base": t.aside(lambda: t.straight(other)), "point": (known,)}, hidden=True),)


def _by_multiple(t: Things, name: str, known: str, size: Amount, path: Node | None) -> Any:
    """ "BD = 2 DC" on BC: the ratio of its parts."""
    factor, _, other = size.text.partition(" * ")
    ends = _ends_if_span(t, path) if path is not None else None
    end = other.replace(name, "")
    if ends is None or {t.b.ahead.name(id) for id in ends} != {known, end}:
        raise Refusal("That is more than fixes a point.")
    t.names = [name]
    t.make("dividing", span=t.b.points((known, end)), first=float(factor), second=1.0)
    return True


def _ends_if_span(t: Things, node: Node) -> tuple[str, ...] | None:
    try:
        span = t.span(node)
    except Refusal:
        return None
    if len(span) == 1:
        step = t.b.ahead.step(span[0])
        span = (*step.fills.get("from", ()), *step.fills.get("to", ()))
    return span if len(span) == 2 else None
