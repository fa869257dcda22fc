"""Constructions that make polygons, and the points and segments that belong to a triangle."""

from ..formulas import straights, triangles
from ..kinds import POINT, POLYGON, SEGMENT
from .construction import Construction


_TRIANGLE = (
    "A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (1, 3)\nABC is the polygon through A, B, C\n"
    "AB is the segment from A to B\n"
)


def _polygon(m, corners):
    return corners


def _triangle_centre(key, words, formula, keys, likely):
    return Construction(
        key=key, sentence=f"the {words} of {{triangle:triangle}}", makes=POINT, formula=formula, group="Shapes", tool=words, keys=keys,
        likely=likely, undefined="its three points stand in one line",
        example=_TRIANGLE + f"D is the {words} of ABC",
    )  # fmt: skip


SHAPES = (
    Construction(
        key="polygon", sentence="the polygon through {corners:corners}", makes=POLYGON, formula=_polygon,
        group="Shapes", tool="polygon", keys="sp", through=("corners",), named_after="corners", likely=8,
        undefined="one of its corners is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (3, 3)\nD is a free point at (1, 2.5)\n"
        "ABCD is the polygon through A, B, C, D",
    ),
    Construction(
        key="median", sentence="the median from {corner:point} to {side:span}", makes=SEGMENT, formula=straights.median, group="Shapes",
        tool="median", keys="sm", through=("corner",), likely=31, undefined="its corner is the middle of its side",
        example=_TRIANGLE + "m is the median from C to AB",
    ),
    Construction(
        key="altitude", sentence="the altitude from {corner:point} to {base:straight}", makes=SEGMENT, formula=straights.altitude,
        group="Shapes", tool="altitude", keys="sa", through=("corner",), likely=30, undefined="its corner is on its base",
        example=_TRIANGLE + "h is the altitude from C to AB",
    ),
    _triangle_centre("centroid", "centroid", triangles.centroid, "sc", 32),
    _triangle_centre("circumcentre", "circumcentre", triangles.circumcentre, "so", 33),
    _triangle_centre("incentre", "incentre", triangles.incentre, "si", 35),
    _triangle_centre("orthocentre", "orthocentre", triangles.orthocentre, "sh", 36),
    _triangle_centre("nine_point_centre", "nine-point centre", triangles.nine_point_centre, "sn", 37),
)
