"""Constructions that make readings."""

from math import inf

from ..arithmetic import Undefined
from ..formulas import arcs, conics
from ..formulas import measures as formulas
from ..kinds import CHORD_REGION, CIRCLE, NUMBER, POINT, REGION, SECTOR
from ..refusal import Refusal
from .construction import Construction, Part


def _distance(kinds, words):
    return formulas.distance if kinds["to"] == POINT else formulas.distance_to_line


def _angle(kinds, words):
    return {"reflex": formulas.reflex_angle, "directed": formulas.directed_angle}.get(words.get("turn"), formulas.angle)


def _of_region(measure):
    def formula(m, region):
        size = getattr(region, measure)
        if size == inf:
            raise Undefined("the region is endless")
        return size

    return formula


def _area(kinds, words):
    if kinds["shape"] == REGION:
        return _of_region("area")
    return {CIRCLE: formulas.circle_area, SECTOR: arcs.sector_area, CHORD_REGION: arcs.chord_region_area}.get(
        kinds["shape"], formulas.polygon_area
    )


def _perimeter(kinds, words):
    if kinds["polygon"] == REGION:
        return _of_region("perimeter")
    return {SECTOR: arcs.sector_perimeter, CHORD_REGION: arcs.chord_region_perimeter}.get(kinds["polygon"], formulas.perimeter)


def _same(m, value):
    return value


def _all_angles(kinds, fills, board):
    polygon = fills["polygon"]
    if "corners" not in board.step(polygon[0]).fills:
        raise Refusal(f"{board.name(polygon[0])} has no corners of its own; take the images of its points first.")
    return [Part("interior_angle", {"polygon": polygon, "corner": (corner,)}) for corner in board.step(polygon[0]).fills.get("corners", ())]


def _check_inside(fills, board):
    """The corner is one of the polygon's own: a point that rides on its sides is none."""
    (polygon,), (corner,) = fills["polygon"], fills["corner"]
    if corner not in board.step(polygon).fills.get("corners", ()):
        raise Refusal(f"{board.name(corner)} is not a corner of {board.name(polygon)}.")


def _calculation(kinds, words):
    # The formula is the person's own: the step's filled gap carries it.
    return words["formula"].evaluate


READINGS = (
    Construction(
        key="length",
        sentence="the length of {span:span}",
        also=(
            "measure {span}",
            "length [{=}] [of] {span}",
            "how long is {span}",
            "| {span} |",
            "distance [between|of] {span}",
            "length of (segment|side) {span}",
            "{span} long",
        ),
        makes=NUMBER,
        formula=formulas.distance,
        group="Measure",
        tool="length",
        keys="ml",
        dimension=1,
        named_after="span",
        likely=3.5,
        undefined="an end is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 1)\nAB is the segment from A to B\nAB is the length of AB",
    ),
    Construction(
        key="distance",
        sentence="the distance from {from:point} to {to:target}",
        also=(
            "distance [{=}] (from|between) {from} (to|and) {to}",
            "how far is {from} from {to}",
            "distance of {from} from {to}",
            "distance [{=}] {from} to {to}",
            "perpendicular distance (from|of) {from} (to|from) {to}",
            "height of {from} above {to}",
        ),
        makes=NUMBER,
        formula=None,
        choose=_distance,
        group="Measure",
        tool="distance",
        keys="md",
        dimension=1,
        named_after="from to",
        likely=17,
        undefined="one of its ends is not there",
        example="A is a free point at (1, 2.5)\nB is a free point at (0, 0)\nC is a free point at (4, 0)\n"
        "p is the line through B and C\nd is the distance from A to p",
    ),
    Construction(
        key="angle",
        sentence="the [{turn:turn} ]angle {corner:corner}",
        also=(
            "measure angle {corner}",
            "[size of] angle [{=}] {corner}",
            "(size|measure) of angle {corner}",
            "how (large|big|wide) is angle {corner}",
            "angle {corner} in degrees",
            "angle [{=}] at {corner}",
            "reflex angle {corner} <turn=reflex>",
        ),
        makes=NUMBER,
        formula=None,
        choose=_angle,
        group="Measure",
        tool="angle",
        keys="ma",
        dimension="angle",
        likely=9,
        undefined="an arm has no length",
        example="A is a free point at (4, 0)\nB is a free point at (0, 0)\nC is a free point at (2, 3)\n"
        "BA is the segment from B to A\nBC is the segment from B to C\nα is the angle ABC",
    ),
    Construction(
        key="area",
        sentence="the area of {shape:extended}",
        also=(
            "area [{=}] [of] {shape}",
            "how large is {shape}",
            "size of {shape}",
            "surface of {shape}",
        ),
        makes=NUMBER,
        formula=None,
        choose=_area,
        group="Measure",
        tool="area",
        keys="mr",
        dimension=2,
        named_after="shape",
        name_prefix="area_",
        likely=13,
        undefined="its shape is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (2, 3)\n"
        "ABC is the polygon through A, B, C\narea_ABC is the area of ABC",
    ),
    Construction(
        key="perimeter",
        sentence="the perimeter of {polygon:bordered}",
        also=(
            "perimeter [{=}] [of] {polygon}",
            "distance about {polygon}",
            "length about {polygon}",
        ),
        makes=NUMBER,
        formula=None,
        choose=_perimeter,
        group="Measure",
        tool="perimeter",
        keys="mp",
        dimension=1,
        named_after="polygon",
        name_prefix="perimeter_",
        likely=22,
        undefined="its shape is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (3, 3)\nD is a free point at (0.5, 2.5)\n"
        "ABCD is the polygon through A, B, C, D\nperimeter_ABCD is the perimeter of ABCD",
    ),
    Construction(
        key="radius",
        sentence="the radius of {circle:circle}",
        also=("radius [{=}] [of] {circle}",),
        makes=NUMBER,
        formula=formulas.radius,
        group="Measure",
        tool="radius",
        keys="ms",
        dimension=1,
        named_after="circle",
        name_prefix="radius_",
        likely=21,
        undefined="its circle is not there",
        example="A is a free point at (0, 0)\nB is a free point at (2, 0)\nk is the circle with centre A through B\n"
        "radius_k is the radius of k",
    ),
    Construction(
        key="circumference",
        sentence="the circumference of {circle:circle}",
        also=(
            "circumference [{=}] [of] {circle}",
            "length about {circle}",
            "perimeter of {circle}",
        ),
        makes=NUMBER,
        formula=formulas.circumference,
        group="Measure",
        tool="circumference",
        keys="mu",
        dimension=1,
        named_after="circle",
        name_prefix="round_",
        likely=23,
        undefined="its circle is not there",
        example="A is a free point at (0, 0)\nB is a free point at (2.4, 0)\nk is the circle with centre A through B\n"
        "round_k is the circumference of k",
    ),
    Construction(
        key="slope",
        sentence="the slope of {straight:straight}",
        also=("slope [{=}] [of] {straight}",),
        needs=("direction",),
        makes=NUMBER,
        formula=formulas.slope,
        group="Measure",
        tool="slope, gradient",
        keys="mo",
        dimension=0,
        likely=45,
        undefined="it stands upright",
        example="A is a free point at (0, 0)\nB is a free point at (4, 2.6)\np is the line through A and B\nv is the slope of p",
    ),
    Construction(
        key="ratio",
        sentence="the ratio of {first:span} to {second:span}",
        also=(
            "ratio [{=}] [of|between] {first} (to|and|:) {second}",
            "{first} : {second}",
            "{first} to {second} ratio",
            "{first} over {second}",
        ),
        makes=NUMBER,
        formula=formulas.ratio_of_lengths,
        group="Measure",
        tool="ratio",
        keys="mt",
        dimension=0,
        distinct=False,
        likely=24,
        undefined="its second length is zero",
        example="A is a free point at (0, 0)\nB is a free point at (2, 0)\nC is a free point at (0, 2)\nD is a free point at (5, 2.2)\n"
        "AB is the segment from A to B\nCD is the segment from C to D\nv is the ratio of AB to CD",
    ),
    Construction(
        key="calculation",
        sentence="the value of {formula:formula}",
        also=(
            "value of {formula}",
            "value {formula}",
            "calculate {formula}",
            "compute {formula}",
            "evaluate {formula}",
        ),
        makes=NUMBER,
        formula=None,
        choose=_calculation,
        group="Measure",
        tool="calculation",
        keys="mc",
        likely=95,
        undefined="its formula has no value now",
        example="A is a free point at (0, 0)\nB is a free point at (4, 1)\nAB is the segment from A to B\nv is the value of 2 * AB",
    ),
    Construction(
        key="angle_between",
        sentence="the angle between {a:straight} and {b:straight}",
        also=("angle [{=}] (between|of|from) {a} (and|to) {b}",),
        makes=NUMBER,
        formula=formulas.angle_between,
        group="Measure",
        tool="between lines",
        keys="mb",
        dimension="angle",
        likely=29,
        undefined="one of its lines is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (3, 2.5)\np is the line through A and B\n"
        "q is the line through A and C\nα is the angle between p and q",
    ),
    Construction(
        key="interior_angle",
        check=_check_inside,
        sentence="the angle inside {polygon:polygon} at {corner:point}",
        makes=NUMBER,
        formula=formulas.interior_angle,
        group="Measure",
        tool="inside",
        keys="mi",
        dimension="angle",
        likely=52,
        undefined="its polygon is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (3, 3)\n"
        "ABC is the polygon through A, B, C\nα is the angle inside ABC at A",
        also=(
            "(interior angle|inside angle|angle) [of|inside|in] {polygon} at {corner}",
            "(interior angle|angle) at {corner} (in|of|inside) {polygon}",
        ),
    ),
    Construction(
        key="all_angles",
        sentence="all angles inside {polygon:polygon}",
        also=(
            "[all] (interior angle|inside angle|angle) (of|inside|in) {polygon}",
            "all angle {polygon}",
        ),
        makes=NUMBER,
        formula=None,
        group="Measure",
        tool="all angles",
        keys="mw",
        likely=14,
        expands=_all_angles,
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (3, 3)\n"
        "ABC is the polygon through A, B, C\nall angles inside ABC",
    ),
    Construction(
        key="arc_length",
        sentence="the arc length of {arc:arc}",
        also=(
            "(arc length|length) [of] arc {arc}",
            "how long is arc {arc}",
            "length of {arc}",
        ),
        makes=NUMBER,
        formula=arcs.arc_length,
        group="Measure",
        tool="arc length",
        keys="mg",
        dimension=1,
        named_after="arc",
        name_prefix="arc_",
        likely=20,
        undefined="its arc is not there",
        example="A is a free point at (0, 0)\nB is a free point at (3, 0)\nC is a free point at (1, 2.4)\n"
        "k is the arc with centre A from B to C\narc_k is the arc length of k",
    ),
    Construction(
        key="coordinates",
        sentence="the coordinates of {point:point}",
        also=(
            "coordinates [of] {point}",
            "where is {point}",
            "position of {point}",
        ),
        needs=("size", "direction", "origin"),
        makes=NUMBER,
        formula=_same,
        group="Measure",
        tool="coordinates",
        keys="mx",
        dimension="coordinates",
        named_after="point",
        likely=72,
        undefined="its point is not there",
        example="A is a free point at (1, 2)\nA is the coordinates of A",
    ),
    Construction(
        key="abscissa",
        sentence="the x-coordinate of {point:point}",
        also=("(x coordinate|x value|x) of {point}",),
        needs=("size", "direction", "origin"),
        makes=NUMBER,
        formula=lambda m, point: point[0],
        group="Measure",
        tool="x only",
        keys="mh",
        dimension=1,
        named_after="point",
        name_prefix="x_",
        likely=73,
        undefined="its point is not there",
        example="A is a free point at (1, 2)\nx_A is the x-coordinate of A",
    ),
    Construction(
        key="ordinate",
        sentence="the y-coordinate of {point:point}",
        also=("(y coordinate|y value|y) of {point}",),
        needs=("size", "direction", "origin"),
        makes=NUMBER,
        formula=lambda m, point: point[1],
        group="Measure",
        tool="y only",
        keys="mv",
        dimension=1,
        named_after="point",
        name_prefix="y_",
        likely=74,
        undefined="its point is not there",
        example="A is a free point at (1, 2)\ny_A is the y-coordinate of A",
    ),
    Construction(
        key="equation",
        sentence="the equation of {curve:curve}",
        also=(
            "equation [of] {curve}",
            "what is equation of {curve}",
        ),
        needs=("size", "direction", "origin"),
        makes=NUMBER,
        formula=_same,
        group="Measure",
        tool="equation",
        keys="mq",
        dimension="equation",
        named_after="curve",
        name_prefix="equation_",
        likely=69,
        undefined="its line is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 2)\np is the line through A and B\nequation_p is the equation of p",
    ),
    Construction(
        key="eccentricity",
        sentence="the eccentricity of {conic:conic}",
        also=("eccentricity {conic}",),
        makes=NUMBER,
        formula=conics.eccentricity,
        group="Measure",
        tool="eccentricity",
        keys="me",
        dimension=0,
        named_after="conic",
        name_prefix="e_",
        likely=23,
        undefined="its conic is not there",
        example="A is a free point at (-2, 0)\nB is a free point at (2, 0)\nC is a free point at (0, 1.5)\n"
        "k is the ellipse with foci A and B through C\n"
        "e_k is the eccentricity of k",
    ),
)
