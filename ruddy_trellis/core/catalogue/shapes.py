"""Constructions that make polygons."""

from ..kinds import POLYGON
from .construction import Construction


def _polygon(m, corners):
    return corners


SHAPES = (
    Construction(
        key="polygon", sentence="the polygon through {corners:corners}", makes=POLYGON, formula=_polygon,
        group="Shapes", tool="polygon", keys="sp", through=("corners",), named_after="corners", likely=8,
        undefined="one of its corners is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (3, 3)\nD is a free point at (1, 2.5)\n"
        "ABCD is the polygon through A, B, C, D",
    ),
)
