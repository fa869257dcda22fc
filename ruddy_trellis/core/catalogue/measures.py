"""Constructions that make readings."""

from ..formulas import measures as formulas
from ..kinds import CIRCLE, NUMBER, POINT
from .construction import Construction


def _distance(kinds, words):
    return formulas.distance if kinds["to"] == POINT else formulas.distance_to_line


def _angle(kinds, words):
    return {"reflex": formulas.reflex_angle, "directed": formulas.directed_angle}.get(words.get("turn"), formulas.angle)


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
        key="perimeter", sentence="the perimeter of {polygon:polygon}", makes=NUMBER, formula=formulas.perimeter, group="Measure",
        tool="perimeter", keys="mp", dimension=1, named_after="polygon", name_prefix="perimeter_", likely=22, undefined="its polygon is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (3, 3)\nD is a free point at (0.5, 2.5)\n"
        "ABCD is the polygon through A, B, C, D\nperimeter_ABCD is the perimeter of ABCD",
    ),
    Construction(
        key="radius", sentence="the radius of {circle:circle}", makes=NUMBER, formula=formulas.radius, group="Measure", tool="radius", keys="ms",
        dimension=1, named_after="circle", name_prefix="radius_", likely=21, undefined="its circle is not there",
        example="A is a free point at (0, 0)\nB is a free point at (2, 0)\nk is the circle with centre A through B\nradius_k is the radius of k",
    ),
    Construction(
        key="circumference", sentence="the circumference of {circle:circle}", makes=NUMBER, formula=formulas.circumference, group="Measure",
        tool="circumference", keys="mu", dimension=1, named_after="circle", name_prefix="round_", likely=23, undefined="its circle is not there",
        example="A is a free point at (0, 0)\nB is a free point at (2.4, 0)\nk is the circle with centre A through B\nround_k is the circumference of k",
    ),
    Construction(
        key="slope", sentence="the slope of {straight:straight}", makes=NUMBER, formula=formulas.slope, group="Measure", tool="slope", keys="mo",
        dimension=0, likely=45, undefined="it stands upright",
        example="A is a free point at (0, 0)\nB is a free point at (4, 2.6)\np is the line through A and B\nv is the slope of p",
    ),
    Construction(
        key="ratio", sentence="the ratio of {first:span} to {second:span}", makes=NUMBER, formula=formulas.ratio_of_lengths, group="Measure",
        tool="ratio", keys="mt", dimension=0, distinct=False, likely=24, undefined="its second length is zero",
        example="A is a free point at (0, 0)\nB is a free point at (2, 0)\nC is a free point at (0, 2)\nD is a free point at (5, 2.2)\n"
        "AB is the segment from A to B\nCD is the segment from C to D\nv is the ratio of AB to CD",
    ),
    Construction(
        key="calculation", sentence="the value of {formula:formula}", makes=NUMBER, formula=None, choose=_calculation,
        group="Measure", tool="calculation", keys="mc", likely=95, undefined="its formula has no value now",
        example="A is a free point at (0, 0)\nB is a free point at (4, 1)\nAB is the segment from A to B\nv is the value of 2 * AB",
    ),
)
