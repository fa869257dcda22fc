"""Tangents, polars and other lines of circles."""

from __future__ import annotations

from collections.abc import Sequence

from ..kinds import CIRCLE, CONIC
from ..refusal import Refusal
from .amounts import angle_said
from .lines_between import straight_between
from .nodes import Amount, Described, Many, Named, Node, Ref, single_points
from .nouns import makes
from .on_paths import is_on
from .riding import free_place_on
from .spans import centre_of, check_two_ends, needed, points_lying_on
from .things import Things

#: The angle of a line with itself, the other way.
_STRAIGHT = 180


@makes("tangent", parts="to of on at in from through parallel perpendicular")
def tangents(t: Things, node: Described) -> list[str]:
    """Tangents at points of a circle, and from points outside; with names, the points where they touch."""
    b = t.b
    curve, at, start = node.role("to", "of", "on"), node.role("at", "in"), node.role("from", "through")
    if at is None and isinstance(node.role("on"), (Named,)) and len(getattr(node.role("on"), "points", ())) == 1:
        at = node.role("on")
        curve = node.role("to", "of")
    if (direction := next((role for role, _ in node.roles if role in ("parallel", "perpendicular")), None)) is not None:
        return _directed_tangents(t, node, direction, curve)
    pairs = [name for name in node.names if isinstance(name, Named) and len(name.points) == 2]
    check_two_ends(pairs)
    if pairs:
        return _tangents_named(t, pairs, curve, start, at)
    if node.names:
        t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
    if isinstance(at, Amount):
        return _tangents_at_an_angle(t, node, curve, at)
    if at is not None:
        points = t.aside(lambda: t.points(at))
        return [t.make("tangent_at", circle=(_curve(t, curve, point),), point=(point,)) for point in points]
    if start is not None:
        point = t.aside(lambda: t.point(start))
        circle = t.aside(lambda: _curve(t, curve, None))
        if point in points_lying_on(t, circle):
            return [t.make("tangent_at", circle=(circle,), point=(point,))]
        if t.names or not (node.plural or node.count == 2):
            whiches = ("first", "second") if (node.plural or len(t.names) == 2) else ("first",)
            return [t.make("tangent_from", point=(point,), circle=(circle,), which=which) for which in whiches]
        return b.make_all("tangents", {"point": (point,), "circle": (circle,)})
    is_there = (
        curve is None or isinstance(curve, (Ref, Named)) or (isinstance(curve, Described) and curve.kind == "old" and not curve.roles)
    )
    if b.makes and node.kind == "new" and is_there and not node.plural and (node.count or 1) == 1:
        # "a tangent to it": in a point of it that slides.
        circle = t.aside(lambda: _curve(t, curve, None))
        if b.kind(circle) == CIRCLE:
            return [t.make("tangent_at", circle=(circle,), point=(b.make("point_on", {"path": (circle,)}),))]
    if isinstance(curve, Many) and len(curve.items) == 2 and node.role("common"):
        raise Refusal("Say: the common tangents of k and c.")
    raise Refusal("At which point, or from which point? Say: the tangent to k at A, both tangents from P to k.")


def _tangents_at_an_angle(t: Things, node: Described, curve: Node | None, size: Amount) -> list[str]:
    """Two tangents that make an angle with each other: the radii to where they touch make the rest of 180 degrees (Euclid III 18). Raises
    Refusal."""
    b = t.b
    if not node.plural and node.count != 2:
        raise Refusal("An angle is made by two: draw two tangents to k at an angle of 60 degrees.")
    degrees = t.aside(lambda: angle_said(t, size))
    if isinstance(degrees, (int, float)) and not 0 < degrees < _STRAIGHT:
        raise Refusal("Two tangents make an angle between 0 and 180 degrees.")
    circle = t.aside(lambda: t.round(curve))
    centre = t.aside(lambda: centre_of(t, circle))
    one = t.aside(lambda: b.make("point_on", {"path": (circle,), "place": free_place_on(t, (circle,))}))
    facing = b.make("turned", {"point": (one,), "centre": (centre,), "angle": _STRAIGHT}, hidden=True)
    other = b.make("turned", {"point": (facing,), "centre": (centre,), "angle": degrees})
    return [t.make("tangent_at", circle=(circle,), point=(point,)) for point in (one, other)]


def _directed_tangents(t: Things, node: Described, direction: str, curve: Node | None) -> list[str]:
    """Tangents of a circle that are parallel or perpendicular to a line: where it is met by a line through its centre across that. One of
    the two, or both. Raises Refusal."""
    b = t.b
    if node.role("at", "in", "from", "through") is not None:
        raise Refusal("A tangent is said by its point or by its direction, not by both.")
    if any(isinstance(name, Named) and len(name.points) > 1 for name in node.names):
        raise Refusal("A tangent of a direction is said by one name: the tangent t to k parallel to AB.")
    t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
    circle = t.aside(lambda: t.round(curve))
    base = t.aside(lambda: t.straight(needed(node.role(direction))))
    centre = t.aside(lambda: centre_of(t, circle))
    across = b.make("perpendicular" if direction == "parallel" else "parallel", {"base": base, "point": (centre,)}, hidden=True)
    made = []
    for which in ("first", "second")[: 2 if node.plural or node.count == 2 else 1]:
        contact = t.aside(lambda which=which: b.make("intersection", {"a": (circle,), "b": (across,), "which": which}))  # type: ignore[misc]
        made.append(t.make("tangent_at", circle=(circle,), point=(contact,)))
    return made


def _curve(t: Things, node: Node | None, point: str | None) -> str:
    """The circle or conic that is touched: the one that is named, or on which a point lies."""
    b = t.b
    if isinstance(node, Ref):
        node = None
        point = None
    if node is None and point is not None:
        on = [id for id in b.of_kind(CIRCLE, CONIC) if point in points_lying_on(t, id)]
        if on:
            return b.only("circle", on)
    if node is None:
        return b.only("circle", b.of_kind(CIRCLE, CONIC))
    found = t.aside(lambda: t.all_of(node))
    if len(found) == 1 and b.kind(found[0]) in (CIRCLE, CONIC, "arc"):
        return found[0]
    raise Refusal("A circle or a conic is needed here.")


def _tangents_named(t: Things, pairs: Sequence[Named], curve: Node | None, start: Node | None, at: Node | None) -> list[str]:
    """ "the tangents PS and PT": segments from where they touch to a point outside, whichever of the two is said first. Raises Refusal."""
    b = t.b
    outer = {b.ahead.name(id) for id in t.aside(lambda: t.points(start))} if start is not None else set()
    touched = set(single_points(at)) if at is not None else set()
    known = next((b.point(name) for name in (*touched, *(name for pair in pairs for name in pair.points)) if b.has(name)), None)
    circle = t.aside(lambda: _curve(t, curve, known if curve is None and _lies_on_a_curve(t, known) else None))
    on = {b.ahead.name(id) for id in points_lying_on(t, circle)}
    made = []
    for number, pair in enumerate(pairs):
        shared = {name for rest in pairs if rest is not pair for name in rest.points}
        contact, end = _contact_first(pair, {*on, *touched}, {*outer, *shared})
        if contact in outer or end in touched:
            raise Refusal(f"{pair.text} touches {b.ahead.name(circle)} at one of its ends, and starts from the other.")
        if b.has(contact) and b.has(end):
            _check_touches(t, pair, circle, contact, end)
        elif b.has(contact):
            _end_on_tangent(t, pairs, circle, contact, end)
        else:
            outside = b.point(end) if b.has(end) else b.free_point(end)
            touching = {"point": (outside,), "curve": (circle,), "which": ("first", "second")[number % 2]}
            b.settle(b.make("touching_point", touching, contact))  # a new point starts outside of the circle
        made.append(straight_between(t, "segment", b.points(pair.points)))
    return made


def _contact_first(pair: Named, on: set[str], outside: set[str]) -> tuple[str, str]:
    """The two ends of a tangent, first that in which it touches.

    Args:
        on: the names of points that lie on the curve, or are said to be where it touches.
        outside: those of points that are said to be outside, or that several tangents have.
    """
    one, other = pair.points
    if one in on:
        return one, other
    if one in outside or other not in outside:
        return other, one  # "PT" goes from P, where nothing else is known
    return one, other


def _lies_on_a_curve(t: Things, point: str | None) -> bool:
    return point is not None and any(point in points_lying_on(t, id) for id in t.b.of_kind(CIRCLE, CONIC))


def _check_touches(t: Things, pair: Named, circle: str, contact: str, end: str) -> None:
    """Raise Refusal unless a line through two points that are there touches the curve in one of them."""
    b = t.b
    mark = b.mark()
    touches = False
    if b.point(contact) in points_lying_on(t, circle):
        line = b.make("tangent_at", {"circle": (circle,), "point": (b.point(contact),)}, hidden=True)
        touches = is_on(t, b.point(end), (line,))
    b.back_to(mark)
    if not touches:
        raise Refusal(f"{contact} and {end} are there already, and {pair.text} does not touch {b.ahead.name(circle)} in one of them.")


def _end_on_tangent(t: Things, pairs: Sequence[Named], circle: str, contact: str, end: str) -> None:
    """The new end of a tangent whose contact is there: where it meets the tangent in another point that is there, or anywhere on it."""
    b = t.b
    others = [name for pair in pairs if end in pair.points for name in pair.points if name not in (contact, end) and b.has(name)]
    lines = [
        b.make("tangent_at", {"circle": (circle,), "point": (b.point(name),)}, hidden=True)
        for name in (contact, *others[:1])
        if b.point(name) in points_lying_on(t, circle)
    ]
    if not lines:
        raise Refusal(f"{contact} is not on {b.ahead.name(circle)}. A tangent touches at a point of its curve.")
    if len(lines) == 2:
        b.make("intersection", {"a": lines[:1], "b": lines[1:]}, end)
    else:
        b.make("point_on", {"path": tuple(lines), "place": free_place_on(t, tuple(lines))}, end)


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
    point = t.aside(lambda: t.point(needed(node.role("of"))))
    return [t.make("polar", point=(point,), curve=(t.aside(lambda: _curve(t, node.role("in", "to", "for"), None)),))]
