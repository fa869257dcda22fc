"""Constructions that make circles, and the lines that touch them."""

from ..formulas import arcs, polars, straights, triangles
from ..formulas import circles as formulas
from ..kinds import ARC, CHORD_REGION, CIRCLE, CONIC, LINE, SECTOR
from ..language.equation import check_equation, circle_of
from .construction import Construction, Part
from .gaps import ORDER

_TRIANGLE = "A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (1, 3)\n"
_FLAT = "its three points stand in one line"

_CIRCLE_AND_POINT = "A is a free point at (0, 0)\nB is a free point at (1.6, 0)\nk is the circle with centre A through B\n"


_TWO_CIRCLES = (
    "A is a free point at (0, 0)\nB is a free point at (1.2, 0)\nk is the circle with centre A through B\n"
    "C is a free point at (4, 1)\nD is a free point at (4, 0.3)\nc is the circle with centre C through D\n"
)
_ARC = "A is a free point at (0, 0)\nB is a free point at (3, 0)\nC is a free point at (1.5, 2.4)\n"


def _drawn_arc(kinds, fills, board):
    """An arc as compasses draw it: its circle and its ends are kept, hidden, so that it goes on with them."""
    yield Part("circle_radius", {"centre": fills["centre"], "radius": fills["radius"]}, hidden=True)
    for end in (fills["start"], fills["stop"]):
        yield Part("point_on", {"path": ("made:0",), "place": end % 360}, hidden=True)
    yield Part("arc", {"centre": fills["centre"], "from": ("made:1",), "to": ("made:2",)}, look={"label": False})


def _tangent(kinds, words):
    which = words.get("which") == "second"
    formula = polars.tangent_from if kinds["circle"] == CONIC else straights.tangent_from
    return lambda m, point, curve: formula(m, point, curve, which)


def _tangent_at(kinds, words):
    return polars.tangent_at if kinds["circle"] == CONIC else straights.tangent_at


def _common_tangent(kinds, words):
    return lambda m, a, b: straights.common_tangent(m, a, b, ORDER.index(words.get("which", "first")))


def _circle_of(kinds, words):
    return lambda m: circle_of(m, words["equation"])


def _excircles(kinds, fills, board):
    a, b, c = fills["triangle"]
    return [Part("excircle", {"triangle": corners}) for corners in ((a, b, c), (b, c, a), (c, a, b))]


def _with_first(kinds):
    return {"which": "first"}


CIRCLES = (
    Construction(
        key="circle",
        sentence="the circle with centre {centre:point} through {point:point}",
        also=(
            "circle [{=}] [with] centre {centre} [and|,] (through|containing|touching|to) {point}",
            "circle [{=}] (about|centred at|centred on|centred|at|on) {centre} [and] (through|containing) {point}",
            "circle [{=}] through {point} [and] [with] centre {centre}",
            "circle [{=}] through {point} (about|centred at|centred on) {centre}",
        ),
        makes=CIRCLE,
        formula=formulas.circle_through,
        group="Circles",
        tool="centre, point",
        keys="cp",
        through=("point",),
        likely=3,
        undefined="its centre and its point coincide",
        example="A is a free point at (0, 0)\nB is a free point at (2, 0)\nk is the circle with centre A through B",
    ),
    Construction(
        key="circle_radius",
        gives=("{centre}{self:each} = {radius}",),
        sentence="the circle with centre {centre:point} and radius {radius:length}",
        also=(
            "circle [{=}] [with] centre {centre} [,|and] [of] radius {radius}",
            "circle [{=}] (about|centred at|centred on|centred|at|on) {centre} [,|and] [with|of] radius {radius}",
            "circle [{=}] [of|with] radius {radius} (about|at|on|centred at|centred on|centred) {centre}",
            "circle [{=}] [of|with] radius {radius} [and|,] centre {centre}",
            "circle [{=}] {centre} [,] radius {radius}",
            "circle [{=}] (about|centre) {centre} diameter {radius}",
        ),
        lengths=("radius",),
        makes=CIRCLE,
        formula=formulas.circle_with_radius,
        group="Circles",
        tool="centre, radius",
        keys="cr",
        distinct=False,
        likely=7,
        undefined="its radius is not above zero",
        example="A is a free point at (-1, 3)\nB is a free point at (1, 3)\nC is a free point at (0, 0)\n"
        "AB is the segment from A to B\nk is the circle with centre C and radius AB",
    ),
    Construction(
        key="circle_on_diameter",
        gives=("{self.centre} mid {from}{to}",),
        sentence="the circle on the diameter from {from:point} to {to:point}",
        also=(
            "circle [{=}] [with] diameter {from+to}",
            "circle [{=}] on {from+to} as diameter",
            "circle [{=}] (on|over) [diameter] {from+to}",
            "Thales circle [{=}] [of|on|over] {from+to}",
        ),
        makes=CIRCLE,
        formula=formulas.circle_on_diameter,
        group="Circles",
        tool="on a diameter",
        keys="cd",
        through=("from", "to"),
        likely=9,
        undefined="its ends coincide",
        example="A is a free point at (0, 0)\nB is a free point at (4, 1)\nk is the circle on the diameter from A to B",
    ),
    Construction(
        key="circumcircle",
        sentence="the circle through {a:point}, {b:point} and {c:point}",
        also=(
            "(circumcircle|circumscribed circle|circum circle) [{=}] [of|about|for] {a+b+c}",
            "circle [{=}] (through|containing) {a+b+c}",
            "circle [{=}] (through|containing) [all] [three] corner of {a+b+c}",
            "circle [{=}] about triangle {a+b+c}",
            "circle [{=}] circumscribed about {a+b+c}",
            "(circumcircle|circumscribed circle)",
            "circle through three points {a+b+c}",
        ),
        makes=CIRCLE,
        formula=triangles.circumcircle,
        group="Circles",
        tool="three points",
        keys="ct",
        through=("a", "b", "c"),
        likely=10,
        where=("{a}, {b} and {c} are not in line",),
        undefined=_FLAT,
        example=_TRIANGLE + "k is the circle through A, B and C",
    ),
    Construction(
        key="tangent_at",
        gives=("{circle.centre}{self&circle} ⊥ {self}",),
        sentence="the tangent to {circle:curved} at {point:point}",
        also=(
            "tangent [{=}] (to|of) {circle} (at|in) {point}",
            "tangent [{=}] (at|in) {point} [(to|of) {circle}]",
            "line touching {circle} at {point}",
        ),
        makes=LINE,
        formula=None,
        choose=_tangent_at,
        group="Circles",
        tool="tangent at",
        keys="lt",
        through=("point",),
        tied=("point", "circle"),
        likely=19,
        undefined="its circle is not there",
        example=_CIRCLE_AND_POINT + "p is the tangent to k at B",
    ),
    Construction(
        key="tangent_from",
        gives=("{circle.centre}{self&circle} ⊥ {self}",),
        sentence="the tangent from {point:point} to {circle:curved}[, {which:which_of_two} one]",
        also=(
            "tangent [{=}] from {point} [to {circle}]",
            "tangent [{=}] to {circle} (from|through) {point}",
            "(second|other) tangent from {point} [to {circle}] <which=second>",
            "(second|other) tangent to {circle} (from|through) {point} <which=second>",
            "first tangent from {point} to {circle} <which=first>",
            "line through {point} touching {circle}",
        ),
        makes=LINE,
        formula=None,
        choose=_tangent,
        tool="tangent from",
        through=("point",),
        likely=20,
        defaults=_with_first,
        where=("{point} is outside {circle}",),
        undefined="its point is not outside its circle",
        example=_CIRCLE_AND_POINT + "C is a free point at (4, 1)\np is the tangent from C to k",
    ),
    Construction(
        key="tangents",
        sentence="both tangents from {point:point} to {circle:curved}",
        also=(
            "[both|the two|two|all] tangents from {point} [(to|on) {circle}]",
            "[both|the two|two|all] tangents to {circle} (from|through) {point}",
            "lines through {point} touching {circle}",
        ),
        makes=LINE,
        formula=None,
        expands=lambda kinds, fills, board: [Part("tangent_from", {**fills, "which": word}) for word in ORDER[:2]],
        group="Circles",
        tool="tangents",
        keys="lf",
        likely=18,
        example=_CIRCLE_AND_POINT + "C is a free point at (4, 1)\nboth tangents from C to k",
    ),
    Construction(
        key="incircle",
        sentence="the incircle of {triangle:triangle}",
        also=(
            "(incircle|inscribed circle|in circle) [{=}] [of|in|for] {triangle}",
            "circle inscribed in {triangle}",
            "circle touching [all] [three] side of {triangle}",
            "(incircle|inscribed circle)",
        ),
        makes=CIRCLE,
        formula=triangles.incircle,
        group="Triangles",
        tool="incircle",
        keys="ci",
        likely=34,
        undefined=_FLAT,
        example=_TRIANGLE + "ABC is the polygon through A, B, C\nk is the incircle of ABC",
    ),
    Construction(
        key="nine_point_circle",
        gives=(
            "{middle triangle:0 triangle:1}{middle triangle:1 triangle:2}{middle triangle:2 triangle:0} on circle {self.centre}",
            "{self}{middle triangle:0 triangle:1}{middle triangle:1 triangle:2}{middle triangle:2 triangle:0} on circle",
        ),
        sentence="the nine-point circle of {triangle:triangle}",
        also=(
            "(nine point|9 point|nine points) circle [{=}] [of|in|for] {triangle}",
            "(nine point|9 point) circle",
        ),
        makes=CIRCLE,
        formula=triangles.nine_point_circle,
        group="Triangles",
        tool="nine-point circle",
        keys="cn",
        likely=38,
        undefined=_FLAT,
        example=_TRIANGLE + "ABC is the polygon through A, B, C\nk is the nine-point circle of ABC",
    ),
    Construction(
        key="excircle",
        sentence="the excircle of {triangle:triangle} that faces its first corner",
        also=("(excircle|escribed circle) [{=}] [of|for] {triangle}",),
        makes=CIRCLE,
        formula=triangles.excircle,
        tool="excircle",
        likely=46,
        undefined=_FLAT,
        example=_TRIANGLE + "ABC is the polygon through A, B, C\nk is the excircle of ABC that faces its first corner",
    ),
    Construction(
        key="excircles",
        sentence="the three excircles of {triangle:triangle}",
        also=("[all|the three|three] (excircles|escribed circles) [of|for] {triangle}",),
        makes=CIRCLE,
        formula=None,
        expands=_excircles,
        group="Triangles",
        tool="excircles",
        keys="ce",
        likely=45,
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (1.6, 3)\n"
        "ABC is the polygon through A, B, C\nthe three excircles of ABC",
    ),
    Construction(
        key="common_tangent",
        gives=(
            "{a.centre}{self&a} ⊥ {self}",
            "{b.centre}{self&b} ⊥ {self}",
        ),
        sentence="the common tangent of {a:circle} and {b:circle}[, {which:crossing} one]",
        also=(
            "common tangent (of|to) {a} and {b}",
            "tangent common to {a} and {b}",
        ),
        makes=LINE,
        formula=None,
        choose=_common_tangent,
        tool="common tangent",
        likely=26,
        defaults=_with_first,
        where=("neither of {a} and {b} lies inside the other",),
        undefined="the circles have no such tangent now",
        example=_TWO_CIRCLES + "p is the common tangent of k and c",
    ),
    Construction(
        key="common_tangents",
        sentence="all common tangents of {a:circle} and {b:circle}",
        also=(
            "[all] common tangents (of|to) {a} and {b}",
            "[all] tangents common to {a} and {b}",
            "tangents to both {a} and {b}",
        ),
        makes=LINE,
        formula=None,
        group="Circles",
        tool="common tangents",
        keys="lo",
        likely=25,
        expands=lambda kinds, fills, board: [Part("common_tangent", {**fills, "which": word}) for word in ORDER],
        example=_TWO_CIRCLES + "all common tangents of k and c",
    ),
    Construction(
        key="circle_from_equation",
        sentence="the circle {equation:equation}",
        also=("circle [with] equation {equation}",),
        needs=("size", "direction", "origin"),
        makes=CIRCLE,
        formula=None,
        choose=_circle_of,
        group="Circles",
        tool="equation",
        keys="cq",
        likely=97,
        check=check_equation("circle"),
        undefined="its equation has no circle",
        example="A is a free point at (0, 0)\nk is the circle x^2 + y^2 = 4",
    ),
    Construction(
        key="drawn_arc",
        sentence="the arc about {centre:point} opened to {radius:length} from {start:typed} to {stop:typed} degrees",
        also=("arc [with] centre {centre} radius {radius} from {start} to {stop} degrees",),
        makes=ARC,
        formula=None,
        expands=_drawn_arc,
        lengths=("radius",),
        group="Arcs",
        tool="arc of a radius",
        keys="cw",
        likely=47,
        example="A is a free point at (0, 0)\nthe arc about A opened to 2 from 20 to 110 degrees",
    ),
    Construction(
        key="arc",
        sentence="the arc with centre {centre:point} from {from:point} to {to:point}",
        also=(
            "arc [{=}] [with] centre {centre} from {from} to {to}",
            "arc [{=}] (about|centred at|centred on) {centre} from {from} to {to}",
            "arc [{=}] from {from} to {to} (about|centred at|centred on|centre) {centre}",
            "arc [{=}] {from+to} [with] (about|centre|centred at) {centre}",
        ),
        makes=ARC,
        formula=arcs.arc,
        group="Arcs",
        tool="arc",
        keys="ca",
        through=("from",),
        likely=35,
        undefined="its ends or its centre coincide",
        example=_ARC + "k is the arc with centre A from B to C",
    ),
    Construction(
        key="arc_through",
        sentence="the arc through {a:point}, {b:point} and {c:point}",
        also=(
            "arc [{=}] (through|of) {a+b+c}",
            "arc [{=}] {a+b+c}",
            "arc [{=}] from {a} (through|by|over|via) {b} to {c}",
        ),
        makes=ARC,
        formula=arcs.arc_through,
        group="Arcs",
        tool="arc, three points",
        keys="cb",
        through=("a", "b", "c"),
        likely=36,
        undefined=_FLAT,
        example=_ARC + "k is the arc through A, C and B",
    ),
    Construction(
        key="semicircle",
        gives=("{self.centre} mid {from}{to}",),
        sentence="the semicircle on the diameter from {from:point} to {to:point}",
        also=(
            "(semicircle|half circle|semi circle) [{=}] (on|over|above|with) [diameter] {from+to}",
            "(semicircle|half circle|semi circle) [{=}] from {from} to {to}",
            "(semicircle|half circle) {from+to}",
            "half circle with diameter {from+to}",
        ),
        makes=ARC,
        formula=arcs.semicircle,
        group="Arcs",
        tool="semicircle",
        keys="cs",
        through=("from", "to"),
        likely=27,
        undefined="its ends coincide",
        example="A is a free point at (4, 0)\nB is a free point at (0, 1)\nk is the semicircle on the diameter from A to B",
    ),
    Construction(
        key="seen_arc",
        sentence="the arc in which {span:span} is seen under {angle:number} degrees",
        also=(
            "arc [{=}] [of points] (from which|from where|where|in which) {span} [is] seen (under|at|in) [an angle of] {angle} [degrees]",
            "arc [{=}] of [one|constant] angle {angle} [degrees] over {span}",
        ),
        makes=ARC,
        formula=arcs.seen_arc,
        group="Arcs",
        tool="arc of one angle",
        keys="cy",
        likely=59,
        undefined="its ends coincide, or the angle is not between 0° and 180°",
        example="A is a free point at (0, 0)\nB is a free point at (4, 1)\nAB is the segment from A to B\n"
        "k is the arc in which AB is seen under 60 degrees",
    ),
    Construction(
        key="sector",
        sentence="the sector with centre {centre:point} from {from:point} to {to:point}",
        also=(
            "sector [{=}] [with] centre {centre} from {from} to {to}",
            "sector [{=}] (about|centred at) {centre} from {from} to {to}",
            "sector [{=}] from {from} to {to} (about|centre|centred at) {centre}",
            "(slice|pie) [with] centre {centre} from {from} to {to}",
        ),
        makes=SECTOR,
        formula=arcs.arc,
        group="Arcs",
        tool="sector",
        keys="co",
        likely=37,
        undefined="its ends or its centre coincide",
        example=_ARC + "k is the sector with centre A from B to C",
    ),
    Construction(
        key="chord_region",
        sentence="the chord region with centre {centre:point} from {from:point} to {to:point}",
        also=(
            "(segment of circle|circular segment|circle segment) [{=}] [with] centre {centre} from {from} to {to}",
            "chord region from {from} to {to} about {centre}",
            "(segment of circle|circular segment|circle segment) from {from} to {to} (about|centre) {centre}",
        ),
        makes=CHORD_REGION,
        formula=arcs.arc,
        group="Arcs",
        tool="chord region",
        keys="cg",
        likely=38,
        undefined="its ends or its centre coincide",
        example=_ARC + "k is the chord region with centre A from B to C",
    ),
)
