"""On which side of a line something is said to be that stands on it."""

from __future__ import annotations

from collections.abc import Sequence
from typing import TypeAlias

from ..kinds import POLYGON
from ..refusal import Refusal
from .nodes import Described, Named, Node, Ref
from .on_paths import left_of
from .spans import corners_of
from .tables import words
from .things import Things
from .wishes import side_test

#: On which side of a span something is: the part that says it, and what it is said of.
Side: TypeAlias = tuple[str, Node]
#: Parts that say on which side of a span something is.
_SIDES = words("above below same_side_of other_side_of away same_side_as side_with inside outside opposite")


def side_said(t: Things, node: Described, span: tuple[str, str], outside: bool = False) -> Side | None:
    """On which side of a span something is said to be: the role that says it, and what it is said of. None if nothing is said.

    Args:
        outside: whether it is away from the shape of which the span is a side if nothing is said.
    """
    said = {*node.adjectives, *node.extra}
    told = next(((role, part) for role, part in node.roles if role in _SIDES), None)
    if told is not None and told[0] in ("inside", "outside") and isinstance(told[1], Ref):
        said, told = {*said, "internal" if told[0] == "inside" else "external"}, None
    if "internal" in said:
        away = _away_from_shape(t, span)
        if away is None:
            raise Refusal("Inside of what? These are the ends of no side of a shape.")
        return ("inside", away[1]) if away[0] == "outside" else ("same_side_of", away[1])
    return (_of_span(t, span, told) if told else None) or (_away_from_shape(t, span) if "external" in said or outside else None)


def _of_span(t: Things, span: tuple[str, str], side: Side) -> Side:
    """What is said of "it" or "the line" as said of the span."""
    is_line = side[0] in ("above", "below") and isinstance(side[1], Described) and side[1].head == "line" and not side[1].names
    return (side[0], Named("", tuple(t.b.ahead.name(id) for id in span))) if is_line or isinstance(side[1], Ref) else side


def _away_from_shape(t: Things, span: tuple[str, str]) -> Side | None:
    """The side of a span on which the shape that it is a side of does not lie."""
    for step in t.b.ahead.steps:
        corners = step.fills.get("corners", ()) if step.makes == POLYGON else ()
        if set(span) <= set(corners):
            return "outside", Named(t.b.ahead.name(step.id), tuple(t.b.ahead.name(id) for id in corners))
    for triangle in t.b.triangles():
        if set(span) <= set(triangle):
            third = next(id for id in triangle if id not in span)
            return "away", Named(t.b.ahead.name(third), (t.b.ahead.name(third),))
    return None


def side_fits(t: Things, span: tuple[str, str], side: Side, place: tuple[float, float]) -> bool:
    """Whether a place is on that side of a line which is said: above it, on the same side as a point, away from one."""
    role, part = side
    if role in ("above", "below"):
        return bool(side_test(t, part, role == "above")(place))
    if role in ("inside", "outside"):
        corners = [t.b.now(id) for id in t.aside(lambda: corners_of(t, part))]
        middle = (sum(c[0] for c in corners) / len(corners), sum(c[1] for c in corners) / len(corners))
        return _same_side(t, span, middle, place) == (role == "inside")
    point = t.aside(lambda: t.points(part))[-1]
    same = _same_side(t, span, t.b.now(point), place)
    return same == (role in ("same_side_of", "same_side_as", "side_with"))


def _same_side(t: Things, span: tuple[str, str], one: Sequence[float], other: Sequence[float]) -> bool:
    return (left_of(t, span, one) > 0) == (left_of(t, span, other) > 0)
