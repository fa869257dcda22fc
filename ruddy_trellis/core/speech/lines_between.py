"""Straight things between two points, made where they are not there."""

from __future__ import annotations

from ..kinds import LINE, SEGMENT, VECTOR
from ..refusal import Refusal
from .amounts import length_said
from .nodes import Named, Node
from .things import Things


def span_of_length(t: Things, name: Named, length: Node) -> str:
    """A segment AB of a length: A is free, B is the end of it. Where both are there, it cannot be given a length."""
    b = t.b
    size = t.aside(lambda: length_said(t, length))
    one, other = name.points
    if b.has(one) and b.has(other):
        raise Refusal(f"{one} and {other} are there already, so the length of {name.text} cannot be chosen.")
    if b.has(other) and not b.has(one):
        one, other = other, one
    start = b.point(one)
    circle = b.make("circle_radius", {"centre": (start,), "radius": size}, hidden=True)
    b.make("point_on", {"path": (circle,), "place": 4.0}, other)
    return straight_between(t, "segment", b.points((one, other)))


def straights_from_to(t: Things, key: str, one: Node, other: Node) -> list[str]:
    b = t.b
    starts = t.aside(lambda: t.points(one))
    stops = t.aside(lambda: t.either(lambda: t.points(other), lambda: t.straight(other)))
    if isinstance(stops, tuple):
        # "a line from A to BC": the shortest.
        base = stops
        return [straight_between(t, "segment", (start, b.make("foot", {"point": (start,), "base": base}))) for start in starts]
    if len(starts) == 1:
        starts *= len(stops)
    elif len(stops) == 1:
        stops *= len(starts)
    if len(starts) != len(stops):
        raise Refusal("It is not clear what is joined to what.")
    use = "segment" if key == "line" else key
    pairs = list(zip(starts, stops))
    # "Join every point to the centre": which is no point to be joined to itself.
    apart = [pair for pair in pairs if pair[0] != pair[1]]
    return [straight_between(t, use, pair) for pair in apart or pairs]


def straight_between(t: Things, key: str, span: tuple[str, ...]) -> str:
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


def any_line(t: Things, key: str) -> str:
    """A new line somewhere, through two new points."""
    one = t.aside(t.b.free_point)
    two = t.aside(t.b.free_point)
    return t.make(key, from_=(one,), to=(two,))
