"""Angles of a size that are drawn: by three points, at a point from a line, or off the end of a segment."""

from __future__ import annotations

from typing import Any

from ..refusal import Refusal
from .amounts import angle_said
from .building import Building
from .lines_between import straight_between
from .nodes import Described, Named, Node
from .things import Things
from .third_corners import fresh_names


def drawn_angle(t: Things, node: Described, size: Node) -> list[str]:
    """An angle of a size, drawn: a ray from its corner, turned off another one."""
    b = t.b
    degrees = t.aside(lambda: angle_said(t, size))
    names = node.names[0].points if node.names and isinstance(node.names[0], Named) else ()
    at, on = node.role("at"), node.role("from", "on", "to", "with")
    if not names and at is not None and (arms := _arms(b, at, on)):
        names, at, on = arms, None, None
    if len(names) == 3:
        one, corner, other = names
        if b.has(other) and not b.has(one):
            one, other = other, one
        if b.has(one) and b.has(corner) and b.has(other):
            raise Refusal("The three points are there already; whether the angle has that size is a claim.")
        ends = b.points((corner, one))
        line = b.make("at_angle", {"point": ends[:1], "angle": degrees, "base": ends}, hidden=True)
        end = b.make("point_on", {"path": (line,), "place": 0.8}, other)
        return [straight_between(t, "ray", ends), straight_between(t, "ray", (ends[0], end))]
    if not names and on is None and at is not None and (arm := _only_arm(t, at)) is not None:
        return [_ray_off(t, arm, degrees)]
    if len(names) == 0 and on is None:
        corner = t.aside(lambda: t.point(at) if at is not None else b.free_point())
        one = t.aside(b.free_point)
        line = b.make("at_angle", {"point": (corner,), "angle": degrees, "base": (corner, one)}, hidden=True)
        end = b.make("point_on", {"path": (line,), "place": 0.8})
        return [straight_between(t, "ray", (corner, one)), straight_between(t, "ray", (corner, end))]
    if at is not None and on is not None:
        return [t.make("at_angle", point=(t.aside(lambda: t.point(at)),), angle=degrees, base=t.aside(lambda: t.straight(on)))]
    raise Refusal("An angle of a size is drawn by three points, or at a point from a line: angle ABC of 50°.")


def _only_arm(t: Things, at: Node) -> tuple[str, str] | None:
    """The ends of the one segment that ends at a point, that point first; None where there is none, or more."""
    b = t.b
    if not isinstance(at, Named) or len(at.points) != 1 or not b.has(at.points[0]):
        return None
    point = b.point(at.points[0])
    spans = [(*step.fills["from"], *step.fills["to"]) for step in b.ahead.steps if step.does == "segment" and not step.look.hidden]
    found = {frozenset(span) for span in spans if point in span}
    return (point, next(id for id in next(iter(found)) if id != point)) if len(found) == 1 else None


def _ray_off(t: Things, arm: tuple[str, str], degrees: Any) -> str:
    """A ray at an angle from the end of a segment: on the side on which one goes from its other end, else on the upper side."""
    b = t.b
    (x, y), (u, v) = (b.now(id)[:2] for id in arm)
    is_left = u > x or (u == x and v < y)
    for step in b.ahead.steps:
        base, angle = step.fills.get("base", ()), step.fills.get("angle")
        if step.does == "at_angle" and set(base) == set(arm) and isinstance(angle, float):
            is_left = (angle > 0) == (tuple(base) == arm)
    turn = -degrees if isinstance(degrees, (int, float)) and not is_left else degrees
    line = b.make("at_angle", {"point": arm[:1], "angle": turn, "base": arm}, hidden=True)
    end = b.make("point_on", {"path": (line,), "place": 0.8})
    return straight_between(t, "ray", (arm[0], end))


def _arms(b: Building, at: Node, arms: Node | None) -> tuple[str, ...]:
    """The three points of an angle that is said by its corner and its arms: "at A with arms AB and AC"; of one arm that is said, the end of
    the other is new. None where it is not said so."""
    named = arms.names if isinstance(arms, Described) and arms.head == "arm" else getattr(arms, "items", ())
    named = [part for item in named for part in (item.names if isinstance(item, Described) and item.head == "arm" else (item,))]
    if isinstance(at, Named) and len(named) == 1 and isinstance(arms, Described) and isinstance(one := named[0], Named):
        ends = [point for point in one.points if point != at.text]
        return (ends[0], at.text, *fresh_names(b, 1)) if len(ends) == 1 and len(one.points) == 2 else ()
    if not isinstance(at, Named) or len(named) != 2 or not all(isinstance(item, Named) and len(item.points) == 2 for item in named):
        return ()
    ends = [next((point for point in item.points if point != at.text), "") for item in named if isinstance(item, Named)]
    return (ends[0], at.text, ends[1]) if all(at.text in item.points for item in named if isinstance(item, Named)) else ()
