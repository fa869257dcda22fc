"""Clauses that ask for a locus: the points equidistant from some things, or at a distance from one."""

from __future__ import annotations

import itertools
from collections.abc import Sequence

from ..kinds import LINE
from ..refusal import Refusal
from .amounts import length_said
from .clauses import Bound
from .nodes import Described, Many, Named
from .refusals import Final
from .riding import line_said
from .spans import distant_from
from .things import Things
from .verbs import verb


@verb
def locus(t: Things, bound: Bound) -> None:
    """ "the locus of points equidistant from A and B": the line or lines; "3 cm from P": the circle."""
    node = bound["x"]
    if "v" in bound:
        if line := t.aside(lambda: line_said(t, node)):
            if len(line) == 2 or t.b.kind(line[0]) != LINE:
                raise Refusal("Of which line? Say: the locus of points 3 cm from the line AB.")
            size = length_said(t, bound["v"])
            for which in ("first", "second"):
                t.make("parallel", base=line, point=(distant_from(t, line, size, which),))
            return
        point = t.point(node)
        t.make("circle_radius", centre=(point,), radius=length_said(t, bound["v"]))
        return
    items = node.items if isinstance(node, Many) else node.names if isinstance(node, Described) else ()
    if (isinstance(node, Named) and len(node.points) == 2) or (
        len(items) == 2 and all(isinstance(item, Named) and len(item.points) == 1 for item in items)
    ):
        t.make("perpendicular_bisector", span=tuple(t.points(Many(tuple(items)))) if items else t.span(node))
        return
    if len(items) == 3 and all(isinstance(item, Named) and len(item.points) == 2 for item in items):
        _equidistant_from_sides(t, [t.span(item) for item in items])
        return
    if len(items) == 3:
        t.make("circumcentre", triangle=tuple(t.points(Many(tuple(items)))))
        return
    if len(items) != 2:
        is_list = len(items) > 3 and all(isinstance(item, Named) for item in items)
        raise (Final if is_list else Refusal)("From which two or three things?")
    if isinstance(node, Many):
        try:
            t.make("angle_bisector", corner=t.corner(node))
            return
        except Refusal:
            pass
    a, b = (t.straight(item) for item in items)
    t.b.make_all("bisectors", {"a": a, "b": b})


def _equidistant_from_sides(t: Things, sides: Sequence[tuple[str, ...]]) -> None:
    """The point as far from each of three sides: the incentre, or where the bisectors of the two corners between them meet."""
    corners = {point for side in sides for point in side}
    if len(corners) == 3:
        t.make("incentre", triangle=tuple(sorted(corners, key=t.b.ahead.place)))
        return
    bisectors = []
    for one, other in itertools.pairwise(sides):
        shared = set(one) & set(other)
        if len(one) != 2 or len(other) != 2 or len(shared) != 1:
            raise Final("The three sides follow one another: the point equidistant from AB, BC and CD.")
        corner = shared.pop()
        arms = [next(point for point in side if point != corner) for side in (one, other)]
        bisectors.append(t.b.make("angle_bisector", {"corner": (arms[0], corner, arms[1])}, hidden=True))
    t.make("intersection", a=(bisectors[0],), b=(bisectors[1],))
