"""Conditions on places, and the region where they hold."""

from __future__ import annotations

from typing import Any

from ..kinds import CIRCLE, CONDITION, POINT, POLYGON, STRAIGHTS
from ..refusal import Refusal
from .amounts import length_said
from .nodes import Node
from .spans import shape_of
from .things import Things

_BOUNDS = {"at-least": "at least", "more-than": "more than", "at-most": "at most", "less-than": "less than", "within": "at most"}


def far_from(t: Things, bound: str, size: Node, thing: Node) -> str:
    """The places so far from something."""
    return t.make(
        "places_by_distance", bound=_BOUNDS[bound], length=t.aside(lambda: length_said(t, size)), thing=t.aside(lambda: _landmark(t, thing))
    )


def closer_to(t: Things, near: Node, far: Node) -> str:
    """The places nearer to one thing than to another."""
    return t.make("places_nearer", near=t.aside(lambda: _landmark(t, near)), far=t.aside(lambda: _landmark(t, far)))


def in_shape(t: Things, where: str, shape: Node) -> str:
    """The places inside or outside a shape."""
    return t.make("places_in_shape", where=where, shape=(t.aside(lambda: shape_of(t, shape)),))


def _landmark(t: Things, node: Node) -> tuple[str, ...]:
    """What a distance is measured from: a point, a straight thing, two points, a circle, a polygon."""

    def other() -> tuple[str, ...]:
        found = t.all_of(node)
        if len(found) == 1 and t.b.kind(found[0]) in (POINT, CIRCLE, POLYGON, *STRAIGHTS):
            return (found[0],)
        raise Refusal("A point, a line or a shape is needed here.")

    return tuple(t.either(lambda: t.straight(node), other))


def region_of(t: Things, conditions: list[str], shape: Node | None = None, how: str = "all") -> list[str]:
    """The region where all conditions hold, or any, inside a shape if one is said; one condition alone is shaded by itself."""
    fills: dict[str, Any] = {"how": how, "conditions": tuple(conditions)}
    if shape is not None:
        fills["shape"] = (t.aside(lambda: shape_of(t, shape)),)
    if len(conditions) == 1 and shape is None:
        return conditions
    if not all(t.b.kind(id) == CONDITION for id in conditions):
        raise Refusal("A region is made of conditions: the places less than 5 m from T.")
    return [t.make("region", **fills)]
