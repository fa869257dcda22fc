"""Constructions that make circles."""

from ..formulas import circles as formulas
from ..kinds import CIRCLE
from .construction import Construction

CIRCLES = (
    Construction(
        key="circle", sentence="the circle with centre {centre:point} through {point:point}", makes=CIRCLE,
        formula=formulas.circle_through, group="Circles", tool="centre, point", keys="cp", through=("point",), likely=3,
        undefined="its centre and its point coincide",
        example="A is a free point at (0, 0)\nB is a free point at (2, 0)\nk is the circle with centre A through B",
    ),
    Construction(
        key="circle_radius", sentence="the circle with centre {centre:point} and radius {radius:length}", makes=CIRCLE,
        formula=formulas.circle_with_radius, group="Circles", tool="centre, radius", keys="cr", distinct=False, likely=7,
        undefined="its radius is not above zero",
        example="A is a free point at (-1, 3)\nB is a free point at (1, 3)\nC is a free point at (0, 0)\n"
        "AB is the segment from A to B\nk is the circle with centre C and radius AB",
    ),
)
