"""Whether a shape that was made is what was said: measured where it is drawn, so that nothing that was said is passed over."""

from __future__ import annotations

from typing import Any

from ..refusal import Refusal
from .amounts import angle_said, length_said
from .nodes import Amount, Described
from .part_checks import same
from .shape_facts import Wanted
from .shape_measures import measures_of
from .shape_sorts import Measured, is_of_sort
from .things import Things
from .third_corners import amounts_in, sizes_said

#: Less than this is no angle, degrees.
_FLAT = 1e-6


def _has_facts(shape: Measured, wanted: Wanted) -> bool:
    names = list(shape.at)
    return (
        all(same(shape.length(span), size) for span, size in wanted.lengths.items() if isinstance(size, float))
        and all(same(shape.length(one), shape.length(other)) for one, other in wanted.equal)
        and all(same(shape.length(one), factor * shape.length(other)) for (one, other), factor in wanted.times.items())
        and all(shape.are_parallel(one, other) for one, other in wanted.parallel)
        and all(same(shape.angles[names.index(name)], size) for name, size in wanted.angles.items() if isinstance(size, float))
    )


def _has_sizes(t: Things, shape: Measured, node: Described) -> bool:
    """Whether all sizes that are said without names are there."""

    def plain(sizes: list[Any]) -> list[float]:
        return [size for size in sizes if isinstance(size, float)]

    try:
        asked = measures_of(t, node)
    except Refusal:
        asked = {}  # readings, which have no size of their own
    angles = plain([t.aside(lambda item=item: angle_said(t, item)) for item in amounts_in(node.role("angles"))])  # type: ignore[misc]
    longest = node.role("hypotenuse")
    if isinstance(longest, Amount) and isinstance(size := t.aside(lambda: length_said(t, longest)), float):
        asked["hypotenuse"] = [size]
    there = {
        "sides": shape.sides,
        "diagonals": shape.diagonals(),
        "height": shape.heights(),
        "area": [shape.area],
        "perimeter": [sum(shape.sides)],
        "hypotenuse": [max(shape.sides)],
    }
    return (
        all(any(same(size, one) for one in there[what]) for what, sizes in asked.items() for size in sizes)
        and all(any(same(size, one) for one in shape.angles) for size in angles)
        and all(any(same(size, one) for one in shape.sides) for size in plain(sizes_said(t, node)))
    )


def is_as_said(t: Things, polygon: str, node: Described, wanted: Wanted) -> bool:
    """Whether a polygon is of the sort, and has the sizes, that were said, as it is drawn. Where it is nowhere, because of something that
    can change, it may come to be.

    Args:
        wanted: what is said of its sides and angles by name.
    """
    b = t.b
    value = b.ahead.value(polygon)
    if value is None:
        return not all(isinstance(size, float) for size in (*wanted.lengths.values(), *wanted.angles.values()))
    shape = Measured({b.ahead.name(id): complex(*at) for id, at in zip(b.ahead.step(polygon).fills["corners"], value, strict=True)})
    if not shape.is_simple or min(shape.angles) < _FLAT or (node.head == "kite" and max(shape.angles) > 180):
        return False
    spans = {*wanted.lengths, *(span for pair in wanted.pairs() for span in pair)}
    if not {*wanted.angles, *(name for span in spans for name in span)} <= set(shape.at):
        return False
    mark = b.mark()
    try:
        return is_of_sort(shape, node) and _has_facts(shape, wanted) and _has_sizes(t, shape, node)
    finally:
        b.back_to(mark)
