"""Whether a shape that was made is what was said: measured where it is drawn, so that nothing that was said is passed over."""

from __future__ import annotations

import cmath
import math
from typing import Any

from ..refusal import Refusal
from .amounts import angle_said, length_said
from .nodes import Amount, Described
from .part_checks import same
from .shape_facts import Wanted
from .shape_measures import measures_of
from .things import Things
from .third_corners import amounts_in, sizes_said

#: By how much of itself a size may be off, and still be so.
_SO = 1e-7
#: Less than this is no angle, degrees.
_FLAT = 1e-6


class Measured:
    """A polygon as it is drawn.

    Args:
        ring: its corners, each by its name, in their order.
    """

    def __init__(self, ring: dict[str, complex]) -> None:
        self.at = ring
        corners = list(ring.values())
        self.ways = [other - one for one, other in zip(corners, (*corners[1:], corners[0]))]
        self.sides = [abs(way) for way in self.ways]
        if min(self.sides) <= _SO * max(self.sides):
            self.angles, self.is_simple, self.area = [0.0] * len(corners), False, 0.0
            return
        turns = [math.degrees(cmath.phase(-one / other)) % 360 for one, other in zip((self.ways[-1], *self.ways[:-1]), self.ways)]
        around = 180.0 * (len(corners) - 2)
        #: Inside, each in its order; of a shape whose sides cross they do not add up to what they should.
        self.angles = turns if abs(sum(turns) - around) < 1 else [(360 - turn) % 360 for turn in turns]
        self.is_simple = abs(sum(self.angles) - around) < 1
        self.area = abs(sum((one.conjugate() * other).imag for one, other in zip(corners, (*corners[1:], corners[0])))) / 2

    def length(self, span: frozenset[str]) -> float:
        one, other = (self.at[name] for name in span)
        return abs(one - other)

    def diagonals(self) -> list[float]:
        corners = list(self.at.values())
        return [abs(corners[0] - corners[2]), abs(corners[1] - corners[3])] if len(corners) == 4 else []

    def are_parallel(self, one: frozenset[str], other: frozenset[str]) -> bool:
        (a, b), (c, d) = ([self.at[name] for name in span] for span in (one, other))
        return abs(((b - a).conjugate() * (d - c)).imag) <= _SO * abs(b - a) * abs(d - c)

    def heights(self) -> list[float]:
        """From each side to what lies furthest from it."""
        corners = list(self.at.values())
        return [
            max(abs((way.conjugate() * (corner - start)).imag) / abs(way) for corner in corners) for start, way in zip(corners, self.ways)
        ]

    def is_parallel_to_next_but_one(self, side: int) -> bool:
        one, other = self.ways[side], self.ways[(side + 2) % len(self.ways)]
        return abs((one.conjugate() * other).imag) <= _SO * abs(one) * abs(other)


def _is_of_sort(shape: Measured, node: Described) -> bool:
    sides, angles = shape.sides, shape.angles
    alike, right = all(same(side, sides[0]) for side in sides), [same(angle, 90) for angle in angles]
    if len(sides) == 3:
        pairs = ((0, 1), (1, 2), (2, 0))
        return (
            ("equilateral" not in node.adjectives or alike)
            and ("isosceles" not in node.adjectives or any(same(sides[one], sides[other]) for one, other in pairs))
            and ("right-angled" not in node.adjectives or any(right))
        )
    if "regular" in node.adjectives:
        return alike and all(same(angle, angles[0]) for angle in angles)
    if len(sides) != 4:
        return True
    parallel = [shape.is_parallel_to_next_but_one(0), shape.is_parallel_to_next_but_one(1)]
    sorts = {
        "square": alike and all(right),
        "rectangle": all(right),
        "rhombus": alike,
        "parallelogram": all(parallel),
        "kite": any(same(sides[n], sides[n - 1]) and same(sides[n - 2], sides[n - 3]) for n in (0, 1)),
        "trapezium": any(parallel),
    }
    legs = any(parallel[n] and same(sides[n + 1], sides[n - 1]) for n in (0, 1))
    return (
        sorts.get(node.head, True)
        and ("isosceles" not in node.adjectives or legs)
        and ("cyclic" not in node.adjectives or same(angles[0] + angles[2], 180))
    )


def _has_facts(shape: Measured, wanted: Wanted) -> bool:
    names = list(shape.at)
    return (
        all(same(shape.length(span), size) for span, size in wanted.lengths.items() if isinstance(size, float))
        and all(same(shape.length(one), shape.length(other)) for one, other in wanted.equal)
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
    spans = {*wanted.lengths, *(span for pair in (*wanted.equal, *wanted.parallel) for span in pair)}
    if not {*wanted.angles, *(name for span in spans for name in span)} <= set(shape.at):
        return False
    mark = b.mark()
    try:
        return _is_of_sort(shape, node) and _has_facts(shape, wanted) and _has_sizes(t, shape, node)
    finally:
        b.back_to(mark)
