"""Conditions on where a place may be, and regions where several of them hold."""

from math import inf, radians, sqrt
from typing import Any

from .. import limits
from ..arithmetic import FLOATS, Undefined
from ..arithmetic.circular import atan2
from ..formulas import arcs
from ..kinds import CIRCLE, CONDITION, LOCUS, NUMBER, POINT, POLYGON, QUIZ, REGION, SECTOR, STRAIGHTS
from ..refusal import Refusal
from ..regions.conditions import (
    Condition,
    Difference,
    FromDisc,
    FromPoint,
    FromPolygon,
    FromStraight,
    InDisc,
    InPolygon,
    InSlice,
    Seen,
    Side,
)
from ..regions.edges import RoundEdge
from ..regions.region import ALL, Region
from ..regions.riding import place_on_edge
from ..sampling.loci import Locus
from .construction import Construction
from .places import in_the_corner

#: For each way to bound a measure, whether what holds is above the bound, and whether the bound itself does not count.
BOUNDS = {"at least": (True, False), "more than": (True, True), "at most": (False, False), "less than": (False, True)}

_BED = (
    "A is a free point at (0, 0)\nB is a free point at (6, 0)\nC is a free point at (6, 4)\nD is a free point at (0, 4)\n"
    "ABCD is the polygon through A, B, C, D\n"
)


def _whole(value):
    """A straight thing as the whole line on which it lies."""
    x, y, dx, dy = value[:4]
    return FromStraight((x, y), (dx, dy), -inf, inf)


def _far(kind: str, value: Any) -> Any:
    if kind == POINT:
        return FromPoint(tuple(value))
    if kind in STRAIGHTS:
        x, y, dx, dy, low, high = value
        return FromStraight((x, y), (dx, dy), low, high)
    if kind == CIRCLE:
        return FromDisc(tuple(value[:2]), sqrt(value[2]))
    return FromPolygon(tuple(value))


def inside(kind: str, value: Any) -> Condition:
    """The condition of being inside a shape, its edge included."""
    if kind == CIRCLE:
        measure: Any = InDisc(tuple(value[:2]), sqrt(value[2]))
    elif kind == POLYGON:
        measure = InPolygon(tuple(value))
    else:
        cx, cy, square, ax, ay = value[:5]
        arc = RoundEdge((cx, cy), sqrt(square), atan2(ay - cy, ax - cx), radians(arcs.sweep(FLOATS, value)))
        measure = InSlice(arc, kind == SECTOR)
    return Condition(measure, 0.0, False, False)


def _in_floats(make):
    """A formula that is run for one position of the figure at a time: the library for polygons knows plain numbers only."""

    def formula(m, *values):
        if m is not FLOATS:
            raise Undefined("a region is computed for one position of the figure at a time")
        made = make(*values)
        return made.check() if isinstance(made, Condition) else made

    return formula


def _distance(kinds, words):
    above, strict = BOUNDS[words["bound"]]

    def make(thing, length):
        if length < 0:
            raise Undefined("a distance is not below zero")
        return Condition(_far(kinds["thing"], thing), length, above, strict)

    return _in_floats(make)


def _nearer(kinds, words):
    def make(near, far):
        one, other = ((FromPoint(tuple(value)) if kinds[gap] == POINT else _whole(value)) for gap, value in (("near", near), ("far", far)))
        if isinstance(other, FromPoint) and not isinstance(one, FromPoint):
            return Condition(Difference(other, one), 0.0, True, True)
        return Condition(Difference(one, other), 0.0, False, True)

    return _in_floats(make)


def _where(kinds, words):
    def make(shape):
        found = inside(kinds["shape"], shape)
        return found if words["where"] == "inside" else Condition(found.measure, 0.0, True, True)

    return _in_floats(make)


def _side(same):
    def choose(kinds, words):
        def make(straight, point):
            x, y, dx, dy = straight[:4]
            measure = Side((x, y), (dx, dy))
            off = float(measure.at(*point))
            if off == 0:
                raise Undefined("the point is on the line")
            return Condition(measure, 0.0, (off > 0) == same, True)

        return _in_floats(make)

    return choose


def _seen(kinds, words):
    above, strict = BOUNDS[words["bound"]]
    return _in_floats(lambda start, stop, angle: Condition(Seen(tuple(start), tuple(stop)), 180 - angle, not above, strict))


def _region(kinds, words):
    def make(*values):
        within = inside(kinds["shape"], values[-1]).check() if "shape" in kinds else None
        return Region(tuple(values[:-1] if within else values), words["how"], within)

    return _in_floats(make)


def _edge(m, region):
    if m is not FLOATS or region.is_endless or region.is_empty:
        raise Undefined("its region is empty or endless")
    return Locus(lambda places, inputs: place_on_edge(inputs[0], places), (region,), 0.0, 1.0)


def _is_in(m, point, region):
    return 1.0 if bool(region.holds(*point)) else 0.0


def _check_angle(fills, board):
    if isinstance(fills["angle"], (int, float)) and not 0 < fills["angle"] < 180:
        raise Refusal("The angle in which something is seen is between 0° and 180°.")


def _check_count(fills, board):
    if len(fills["conditions"]) > limits.CONDITIONS:
        raise Refusal(f"A region is made of at most {limits.CONDITIONS} conditions.")


_CONDITIONS = (
    Construction(
        key="places_by_distance",
        sentence="the places {bound:bound} {length:length} from {thing:landmark}",
        also=(
            "[all|points|everywhere] {bound} {length} [away] from {thing}",
            "(within|not farther than|no farther than|no more than|not more than) {length} (of|from) {thing} <bound=at most>",
            "(closer than|nearer than) {length} (to|from) {thing} <bound=less than>",
            "(farther than|further than|farther away than) {length} (from|away from) {thing} <bound=more than>",
            "(not less than|no less than|no nearer than) {length} (from|to) {thing} <bound=at least>",
        ),
        makes=CONDITION,
        formula=None,
        choose=_distance,
        usual={"bound": "at most"},
        lengths=("length",),
        group="Where",
        tool="by distance",
        keys="zd",
        likely=60,
        undefined="what it is measured from is not there, or the distance is below zero",
        example="A is a free point at (0, 0)\nj is the places at most 2 from A",
    ),
    Construction(
        key="places_nearer",
        sentence="the places nearer to {near:rival} than to {far:rival}",
        also=("[all|points|everywhere] (nearer|closer) [to] {near} than [to] {far}",),
        makes=CONDITION,
        formula=None,
        choose=_nearer,
        group="Where",
        tool="nearer",
        keys="zn",
        likely=61,
        undefined="one of the two is not there, or they are in one place",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nj is the places nearer to A than to B",
    ),
    Construction(
        key="places_in_shape",
        sentence="the places {where:inside} {shape:shape}",
        also=("[all|points|everywhere] {where} {shape}", "[all|points|everywhere] (in|within) {shape} <where=inside>"),
        makes=CONDITION,
        formula=None,
        choose=_where,
        usual={"where": "inside"},
        group="Where",
        tool="inside",
        keys="zi",
        likely=62,
        undefined="its shape is not there",
        example=_BED + "j is the places inside ABCD",
    ),
    Construction(
        key="places_same_side",
        sentence="the places on the same side of {line:straight} as {point:point}",
        also=("[all|points|everywhere] [on] same side of {line} as {point}", "on [the] side of {line} where {point} is"),
        makes=CONDITION,
        formula=None,
        choose=_side(True),
        group="Where",
        tool="this side",
        keys="zs",
        likely=63,
        undefined="the point is on the line, or one of them is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (1, 2)\n"
        "j is the places on the same side of AB as C",
    ),
    Construction(
        key="places_other_side",
        sentence="the places on the other side of {line:straight} from {point:point}",
        also=("[all|points|everywhere] [on] other side of {line} (from|than) {point}",),
        makes=CONDITION,
        formula=None,
        choose=_side(False),
        group="Where",
        tool="other side",
        keys="zo",
        likely=64,
        undefined="the point is on the line, or one of them is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (1, 2)\n"
        "j is the places on the other side of AB from C",
    ),
    Construction(
        key="places_by_angle",
        sentence="the places from which {span:span} is seen under {bound:bound} {angle:number} degrees",
        also=("[places|points] (from which|from where|where) {span} is seen (at|under|in) [an angle of] {bound} {angle} [degrees]",),
        makes=CONDITION,
        formula=None,
        choose=_seen,
        group="Where",
        tool="seen under",
        keys="za",
        likely=65,
        check=_check_angle,
        undefined="the ends coincide",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nj is the places from which AB is seen under at least 60 degrees",
    ),
)

REGIONS_OF_PLACES = (
    *_CONDITIONS,
    Construction(
        key="region",
        sentence="the region where {how:how} of {conditions:conditions} hold[ within {shape:shape}]",
        also=(
            "(region|places|part) where {how} of {conditions} (hold|holds|are true) [(within|in|inside) {shape}]",
            "(region|places|part) where (any|either|at least one) of {conditions} (hold|holds|are true) [(within|in|inside) {shape}] "
            "<how=any>",
            "(region|places|part) where (none|neither) of {conditions} (hold|holds|are true) [(within|in|inside) {shape}] <how=none>",
            "(region|places|part) where {conditions} (hold|holds|are true|both hold|all hold) [(within|in|inside) {shape}] <how=all>",
            "(region|places|part) where {conditions} do not hold [(within|in|inside) {shape}] <how=none>",
        ),
        makes=REGION,
        formula=None,
        choose=_region,
        usual={"how": ALL},
        group="Where",
        tool="region",
        keys="zr",
        likely=10,
        check=_check_count,
        undefined="one of its conditions, or its shape, is not there",
        example=_BED + "j is the places more than 3 from A\nj_1 is the places less than 3.4 from C\n"
        "z is the region where all of j and j_1 hold within ABCD",
    ),
    Construction(
        key="region_edge",
        sentence="the edge of {region:region}",
        also=("(boundary|border|outline) of {region}", "edge of {region}"),
        makes=LOCUS,
        formula=_edge,
        group="Where",
        tool="its edge",
        keys="ze",
        likely=20,
        undefined="its region is empty or endless",
        example="A is a free point at (0, 0)\nB is a free point at (2, 0)\nj is the places at most 2 from A\n"
        "j_1 is the places less than 1.6 from B\nz is the region where all of j and j_1 hold\nl is the edge of z",
    ),
    Construction(
        key="is_in_region",
        sentence="whether {point:point} is in {region:region}",
        also=("is {point} (in|inside) {region}", "test (if|whether) {point} is in {region}"),
        makes=NUMBER,
        formula=_is_in,
        group="Where",
        tool="in region",
        keys="zq",
        dimension="truth",
        likely=12,
        undefined="the region or the point is not there",
        example="A is a free point at (0, 0)\nP is a free point at (1, 1)\nj is the places at most 2 from A\n"
        "z is the region where all of j hold\nv is whether P is in z",
    ),
    Construction(
        key="question_of_place",
        sentence="a question whether {point:point} is in {region:region}[ at {at:coordinates}]",
        also=("(question|button|ask) (if|whether) {point} is in {region} [at {at}]",),
        makes=QUIZ,
        formula=lambda m, *parts: parts[-2:],
        settles=in_the_corner,
        group="Where",
        tool="question",
        keys="zk",
        moves="free",
        likely=14,
        defaults=lambda kinds: {"at": (0.0, 0.0)},
        undefined="the region or the point is not there",
        example="A is a free point at (0, 0)\nP is a free point at (1, 1)\nj is the places at most 2 from A\n"
        "z is the region where all of j hold\nu is a question whether P is in z at (0, 3)",
    ),
)
