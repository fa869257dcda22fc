"""Constructions that make segments, rays and lines."""

from ..formulas import straights as formulas
from ..kinds import LINE, RAY, SEGMENT
from .construction import Construction

_TWO_POINTS = "A is a free point at (0, 0)\nB is a free point at (4, 2)\n"
_LINE_AND_POINT = "A is a free point at (0, 0)\nB is a free point at (4, 1)\np is the line through A and B\nC is a free point at (1.5, 2.5)\n"

STRAIGHT_THINGS = (
    Construction(
        key="segment", sentence="the segment from {from:point} to {to:point}", makes=SEGMENT, formula=formulas.segment,
        group="Lines", tool="segment", keys="ls", through=("from", "to"), named_after="from to", likely=1,
        undefined="its ends coincide", example=_TWO_POINTS + "AB is the segment from A to B",
    ),
    Construction(
        key="ray", sentence="the ray from {from:point} through {to:point}", makes=RAY, formula=formulas.ray,
        group="Lines", tool="ray", keys="lr", through=("from", "to"), likely=4, undefined="its points coincide",
        example=_TWO_POINTS + "r is the ray from A through B",
    ),
    Construction(
        key="line", sentence="the line through {from:point} and {to:point}", makes=LINE, formula=formulas.line,
        group="Lines", tool="line", keys="ll", through=("from", "to"), likely=2, undefined="its points coincide",
        example=_TWO_POINTS + "p is the line through A and B",
    ),
    Construction(
        key="perpendicular", sentence="the perpendicular to {base:straight} through {point:point}", makes=LINE,
        formula=formulas.perpendicular, group="Lines", tool="perpendicular", keys="lp", through=("point",), helper=True,
        distinct=False, likely=5, undefined="its line is not there",
        example=_LINE_AND_POINT + "q is the perpendicular to p through C",
    ),
    Construction(
        key="parallel", sentence="the parallel to {base:straight} through {point:point}", makes=LINE,
        formula=formulas.parallel, group="Lines", tool="parallel", keys="la", through=("point",), helper=True, distinct=False,
        likely=6, undefined="its line is not there", example=_LINE_AND_POINT + "q is the parallel to p through C",
    ),
    Construction(
        key="perpendicular_bisector", sentence="the perpendicular bisector of {span:span}", makes=LINE,
        formula=formulas.perpendicular_bisector, group="Lines", tool="perpendicular bisector", keys="lb", helper=True,
        likely=16, undefined="its points coincide",
        example=_TWO_POINTS + "AB is the segment from A to B\np is the perpendicular bisector of AB",
    ),
    Construction(
        key="angle_bisector", sentence="the bisector of angle {corner:corner}", makes=LINE,
        formula=formulas.angle_bisector, group="Lines", tool="angle bisector", keys="lv", through=("corner:1",), helper=True,
        likely=12, undefined="the angle has an arm without length",
        example="A is a free point at (4, 0)\nB is a free point at (0, 0)\nC is a free point at (2, 3)\n"
        "BA is the segment from B to A\nBC is the segment from B to C\np is the bisector of angle ABC",
    ),
    Construction(
        key="at_angle", sentence="the line through {point:point} at {angle:number} degrees to {base:straight}", makes=LINE,
        formula=formulas.at_angle, group="Lines", tool="at an angle", keys="lg", through=("point",), likely=40, distinct=False,
        undefined="its line is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (2, 2)\np is the line through A and B\nq is the line through A at 45 degrees to p",
    ),
    Construction(
        key="horizontal", sentence="the horizontal line through {point:point}", makes=LINE, formula=formulas.horizontal, group="Lines",
        tool="horizontal", keys="lh", through=("point",), likely=70, undefined="its point is not there",
        example="A is a free point at (0, 0)\np is the horizontal line through A",
    ),
    Construction(
        key="vertical", sentence="the vertical line through {point:point}", makes=LINE, formula=formulas.vertical, group="Lines",
        tool="vertical", keys="lu", through=("point",), likely=71, undefined="its point is not there",
        example="A is a free point at (0, 0)\np is the vertical line through A",
    ),
)
