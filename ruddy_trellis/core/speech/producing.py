"""Clauses that make a segment longer, beyond an end of it: by a length, to a point, as far as something else."""

from __future__ import annotations

import math
from typing import Any

from ..kinds import CIRCLE, POINT
from ..refusal import Refusal
from .amounts import length_said
from .clauses import Bound
from .crossings import where_they_meet
from .lines_between import straight_between
from .nodes import Described, Many, Named, Node, Where
from .on_paths import is_on
from .riding import beyond_ray
from .spans import best_crossing
from .things import Things
from .verbs import none_there, points_in, verb


@verb
def produce(t: Things, bound: Bound) -> None:
    """ "produce AB to C so that BC = AB", "extend BC to meet l at D"."""
    b = t.b
    span = t.span(bound["x1"])
    if len(span) == 1:
        step = b.ahead.step(span[0])
        span = (*step.fills.get("from", ()), *step.fills.get("to", ()))
    if len(span) != 2:
        raise Refusal("What is produced is named by its two ends: produce AB to C.")
    beyond = bound.get("z")
    if beyond is not None:
        end = t.point(beyond)
        if end not in span:
            raise Refusal(f"{b.ahead.name(end)} is no end of it.")
        if span[1] != end:
            span = (span[1], span[0])
    names = points_in(bound["n"]) if "n" in bound else []
    other = bound.get("y")
    if other is not None and "v" not in bound and "meets" in bound.get("words", ()):
        line = b.make("line", {"from": span[:1], "to": span[1:]}, hidden=True)
        t.names = names
        ways = _beyond_on_circle(t, span, line, other) or where_they_meet(
            t, Where(Named(b.ahead.name(line)), other, "again" in bound.get("words", ()))
        )
        t.names = []
        straight_between(t, "segment", (span[1], ways[0]))
        return
    if names or "v" in bound:
        none_there(t, names)
        size = bound.get("v") or (other if other is not None else None)
        if "own-length" in bound.get("words", ()):
            size = Named("".join(map(b.ahead.name, span)), tuple(map(b.ahead.name, span)))
        if "fact" in bound:
            size = _length_in_fact(t, bound["fact"], b.ahead.name(span[1]), b.free_name(names[0], POINT))
        if size is None:
            end = b.make("point_on", {"path": (beyond_ray(t, span),), "place": 0.58}, names[0])
        else:
            mirrored = _same_span(t, size, span)
            if mirrored:
                half_turn = b.make("point_reflection", {"centre": span[1:]}, hidden=True)
                end = b.make("image_point", {"of": span[:1], "by": (half_turn,)}, names[0])
            else:
                end = _beyond(t, span, length_said(t, size), names[0] if names else None)
        straight_between(t, "segment", (span[1], end))
        return
    b.make("line", {"from": span[:1], "to": span[1:]})


def _beyond_on_circle(t: Things, span: tuple[str, ...], line: str, other: Node) -> list[str]:
    """Where a segment that is produced meets a circle beyond its second end; none where an end of it is on the circle, of which the other
    crossing is meant, or where that is no circle."""
    b = t.b
    path = t.aside(lambda: t.path(other))
    if len(path) != 1 or b.kind(path[0]) != CIRCLE or any(is_on(t, end, path) for end in span):
        return []
    (x, y), (u, v) = (b.now(end)[:2] for end in span)

    def worth(place: Any) -> float:
        along = (place[0] - u) * (u - x) + (place[1] - v) * (v - y)
        return -along if along > 0 else -math.inf  # the nearest one beyond

    return [t.make("intersection", a=(line,), b=path, which=best_crossing(t, (line,), path, worth))]


def _same_span(t: Things, size: Node, span: tuple[str, ...]) -> bool:
    return (
        isinstance(size, Named)
        and len(size.points) == 2
        and all(t.b.has(p) for p in size.points)
        and set(t.b.points(size.points)) == set(span)
    )


def _length_in_fact(t: Things, facts: Node, start: str, new: str) -> Node:
    """The length of the new part in a fact such as BC = AB."""
    items = facts.items if isinstance(facts, Many) else (facts,)
    if len(items) == 1 and isinstance(items[0], Described) and items[0].extra == ("equal",):
        one, other = items[0].names
        for part, size in ((one, other), (other, one)):
            if isinstance(part, Named) and set(part.points) == {start, new}:
                return size
    raise Refusal(f"Say how long the new part is, such as {start}{new} = 3.")


def _beyond(t: Things, span: tuple[str, ...], size: Any, name: str | None) -> str:
    """A point beyond the second end of a span, at a length from it."""
    b = t.b
    half_turn = b.make("point_reflection", {"centre": span[1:]}, hidden=True)
    far = b.make("image_point", {"of": span[:1], "by": (half_turn,)}, hidden=True)
    return b.make("point_towards", {"distance": size, "from": span[1:], "to": (far,)}, name)
