"""Constructions that make readings."""

from ..formulas import measures as formulas
from ..kinds import CIRCLE, NUMBER, POINT
from .construction import Construction


def _distance(kinds, words):
    return formulas.distance if kinds["to"] == POINT else formulas.distance_to_line


def _angle(kinds, words):
    return formulas.reflex_angle if words.get("turn") == "reflex" else formulas.angle


def _area(kinds, words):
    return formulas.circle_area if kinds["shape"] == CIRCLE else formulas.polygon_area


def _calculation(kinds, words):
    # The formula is the person's own: the step's filled gap carries it.
    return words["formula"].evaluate


READINGS = (
    Construction(
        key="length", sentence="the length of {span:span}", makes=NUMBER, formula=formulas.distance, group="Measure",
        tool="length", keys="ml", dimension=1, named_after="span", likely=3.5, undefined="an end is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 1)\nAB is the segment from A to B\nAB is the length of AB",
    ),
    Construction(
        key="distance", sentence="the distance from {from:point} to {to:target}", makes=NUMBER, formula=None, choose=_distance,
        group="Measure", tool="distance", keys="md", dimension=1, named_after="from to", likely=17,
        undefined="one of its ends is not there",
        example="A is a free point at (1, 2.5)\nB is a free point at (0, 0)\nC is a free point at (4, 0)\n"
        "p is the line through B and C\nd is the distance from A to p",
    ),
    Construction(
        key="angle", sentence="the [{turn:turn} ]angle {corner:corner}", makes=NUMBER, formula=None, choose=_angle,
        group="Measure", tool="angle", keys="ma", dimension="angle", likely=9,
        undefined="an arm has no length",
        example="A is a free point at (4, 0)\nB is a free point at (0, 0)\nC is a free point at (2, 3)\n"
        "BA is the segment from B to A\nBC is the segment from B to C\nα is the angle ABC",
    ),
    Construction(
        key="area", sentence="the area of {shape:shape}", makes=NUMBER, formula=None, choose=_area, group="Measure",
        tool="area", keys="mr", dimension=2, named_after="shape", name_prefix="area_", likely=13, undefined="its shape is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (2, 3)\n"
        "ABC is the polygon through A, B, C\narea_ABC is the area of ABC",
    ),
    Construction(
        key="calculation", sentence="the value of {formula:formula}", makes=NUMBER, formula=None, choose=_calculation,
        group="Measure", tool="calculation", keys="mc", likely=95, undefined="its formula has no value now",
        example="A is a free point at (0, 0)\nB is a free point at (4, 1)\nAB is the segment from A to B\nv is the value of 2 * AB",
    ),
)
