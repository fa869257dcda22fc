"""Names for the values that formulas take and give; see the package docstring for what each number of them is."""

from typing import TypeAlias

from ..arithmetic.protocol import Number, Pair

Point: TypeAlias = Pair
#: A segment, a vector, a ray or a line: a point, a direction, and between which shares of it.
Straight: TypeAlias = tuple[Number, Number, Number, Number, float, float]
#: Centre and the square of the radius.
Circle: TypeAlias = tuple[Number, Number, Number]
#: An arc, a sector or a chord region: a circle, where it starts, where it ends.
Arc: TypeAlias = tuple[Number, Number, Number, Number, Number, Number, Number]
#: A circle or what has one within it.
Round: TypeAlias = Circle | Arc
Conic: TypeAlias = tuple[Number, Number, Number, Number, Number]
Polygon: TypeAlias = tuple[Point, ...]
#: A similarity or an affinity: six numbers.
Map: TypeAlias = tuple[Number, Number, Number, Number, Number, Number]

__all__ = ["Arc", "Circle", "Conic", "Map", "Number", "Point", "Polygon", "Round", "Straight"]
