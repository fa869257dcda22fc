"""Shapes as they are drawn: their sides, angles and diagonals, and of which sort that makes them."""

from __future__ import annotations

import cmath
import math

from .nodes import Described
from .part_checks import same

#: By how much of itself a size may be off, and still be so.
_SO = 1e-7
#: Nouns that say more of a shape than how many corners it has.
SORTS = frozenset(("square", "rectangle", "rhombus", "parallelogram", "kite", "trapezium"))


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


def is_of_sort(shape: Measured, node: Described) -> bool:
    """Whether a shape is a square, isosceles, right-angled, …, as a description says."""
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
