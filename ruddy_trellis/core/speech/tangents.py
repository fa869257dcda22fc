"""Tangents, polars and other lines of circles."""

from __future__ import annotations

from ..kinds import CIRCLE, CONIC
from ..refusal import Refusal
from .lines_between import straight_between
from .nodes import Described, Many, Named, Node, Ref
from .nouns import makes
from .spans import needed, points_lying_on
from .things import Things


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
        b.settle(touching)  # a new point starts outside of the circle
        made.append(straight_between(t, "segment", (point, touching)))
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
    point = t.aside(lambda: t.point(needed(node.role("of"))))
    return [t.make("polar", point=(point,), curve=(t.aside(lambda: _curve(t, node.role("in", "to", "for"), None)),))]
