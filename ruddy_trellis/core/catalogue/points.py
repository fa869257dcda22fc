"""Constructions that make points, but for where things meet: see ``crossings``."""

from ..arithmetic import ARRAYS, FLOATS, Undefined
from ..formulas import arcs, conics
from ..formulas import points as formulas
from ..kinds import ARC, CIRCLE, CONIC, POINT, POLYGON, STRAIGHTS
from .construction import Construction, Part
from .gaps import ORDER
from .places import clear_on_path, free_place


def _free(m, x, y):
    return x, y


def _on_path(kinds, words):
    kind = kinds["path"]
    if kind in STRAIGHTS:
        return formulas.point_on_straight
    others = {CIRCLE: formulas.point_on_circle, ARC: arcs.point_on_arc, CONIC: conics.point_on_conic, POLYGON: formulas.point_on_polygon}
    return others.get(kind, _on_locus)


def _on_locus(m, locus, place):
    if m is FLOATS:
        return locus.point(place)
    if m.name == ARRAYS.name:
        return locus.at(place)
    raise Undefined("a locus is computed for one position of the figure at a time")


def _centre(kinds, words):
    return conics.centre if kinds["of"] == CONIC else formulas.centre


def _focus(kinds, words):
    return conics.second_focus if words.get("which") == "second" else conics.focus


def _at_formulas(kinds, words):
    x, y = words["x"], words["y"]
    split = len(x.operands)
    return lambda m, *operands: (x.evaluate(m, *operands[:split]), y.evaluate(m, *operands[split:]))


#: Points that can be moved.
PEGS = (
    Construction(
        key="free_point",
        sentence="a free point[ at {at:coordinates}]",
        also=(
            "{at}",
            "[free] (point|peg) [{=}] [at] [coordinates] {at}",
            "{=} at {at}",
            "{=} {at}",
            "[free] (point|peg) [{=}]",
            "point coordinates {at}",
        ),
        aliases=("the point at {at:coordinates}",),
        makes=POINT,
        formula=_free,
        group="Points",
        tool="point",
        keys="pp",
        moves="free",
        usual={"at": lambda fills, board: free_place(board)},
        likely=90,
        example="A is a free point at (0, 0)",
    ),
    Construction(
        key="point_on",
        sentence="a point on {path:ride}[ at {place:place}]",
        also=(
            "[anywhere] on {path}",
            "(point|peg) [{=}] [anywhere|somewhere|sliding|moving] on {path}",
            "{=} [is] [anywhere|somewhere] on {path}",
            "random point on {path}",
            "(point|peg) [{=}] that slides on {path}",
            "{=} moves on {path}",
            "{=} slides (on|along) {path}",
            "point [{=}] of {path}",
        ),
        makes=POINT,
        formula=None,
        choose=_on_path,
        group="Points",
        tool="on a path",
        keys="po",
        on=("path",),
        moves="sliding",
        likely=60,
        defaults=lambda kinds: {"place": 0.5},
        settles=clear_on_path,
        undefined="what it rides on is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 1)\nAB is the segment from A to B\nP is a point on AB at 0.6",
    ),
)

POINTS = (
    Construction(
        key="midpoint",
        gives=("{self} mid {span}",),
        sentence="the midpoint of {span:span}",
        also=(
            "(midpoint|mid point|centre|half way point|middle point) (of|between|on) {span}",
            "midpoint {span}",
            "(half way|midpoint) along {span}",
            "point half way (between|along|on) {span}",
            "point midpoint between {span}",
            "half way between {span}",
            "{=} midpoint of {span}",
            "{=} bisects {span}",
            "point bisecting {span}",
            "halve {span}",
        ),
        makes=POINT,
        formula=formulas.midpoint,
        group="Points",
        tool="midpoint",
        keys="pm",
        likely=15,
        example="A is a free point at (0, 0)\nB is a free point at (4, 2)\nAB is the segment from A to B\nM is the midpoint of AB",
    ),
    Construction(
        key="foot",
        gives=(
            "{self}{point} ⊥ {base}",
            "{self}{base} in line",
        ),
        sentence="the foot of the perpendicular from {point:point} to {base:straight}",
        also=(
            "foot [{=}] of (perpendicular|altitude|height) from {point} (to|on|onto) {base}",
            "foot from {point} (to|on|onto) {base}",
            "(projection|shadow) of {point} (on|onto|to|in) {base}",
            "project {point} (on|onto|to) {base}",
            "where perpendicular from {point} [to {base}] meets {base}",
            "nearest point to {point} on {base}",
            "point of {base} nearest to {point}",
            "point on {base} (closest|nearest) to {point}",
        ),
        makes=POINT,
        formula=formulas.foot,
        group="Points",
        tool="foot",
        keys="pf",
        likely=18,
        distinct=False,
        undefined="its line is not there",
        example="A is a free point at (0, 0)\nB is a free point at (5, 1)\np is the line through A and B\nC is a free point at (1.5, 3)\n"
        "D is the foot of the perpendicular from C to p",
    ),
    Construction(
        key="centre",
        sentence="the centre of {of:centred}",
        also=(
            "centre [{=}] of {of}",
            "centre {of}",
            "midpoint of circle {of}",
        ),
        makes=POINT,
        formula=None,
        choose=_centre,
        group="Points",
        tool="centre",
        keys="pn",
        likely=19,
        undefined="its circle is not there, or has no centre",
        example="A is a free point at (0, 2)\nB is a free point at (2, 0)\nC is a free point at (-1.6, -1)\n"
        "k is the circle through A, B and C\n"
        "D is the centre of k",
    ),
    Construction(
        key="dividing",
        gives=(
            "{span:0}{self} = {first/second} {self}{span:1}",
            "{span:0}{span:1} = {whole/second} {self}{span:1}",
            "{self}{span} in line",
        ),
        sentence="the point that divides {span:span} in the ratio {first:number} : {second:number}",
        also=(
            "[point] [that] [{=}] divides {span} [in] [ratio] {first} (:|to) {second}",
            "point [{=}] on {span} in ratio {first} (:|to) {second}",
            "point [{=}] divides {span} in ratio {first} (:|to) {second}",
        ),
        makes=POINT,
        formula=formulas.dividing,
        group="Points",
        tool="in a ratio",
        keys="pd",
        likely=55,
        undefined="the parts of its ratio cancel",
        example="A is a free point at (0, 0)\nB is a free point at (6, 2)\nAB is the segment from A to B\n"
        "C is the point that divides AB in the ratio 2 : 1",
    ),
    Construction(
        key="point_at",
        sentence="the point with x = {x:formula} and y = {y:formula}",
        also=("point x = {x} [,|and] y = {y}",),
        needs=("size", "direction", "origin"),
        makes=POINT,
        formula=None,
        choose=_at_formulas,
        group="Points",
        tool="by formulas",
        keys="pe",
        likely=96,
        undefined="one of its formulas has no value now",
        example="A is a free point at (0, 0)\nB is a free point at (4, 1)\nv is the length of AB\n"
        "P is the point with x = v / 2 and y = v - 2",
    ),
    Construction(
        key="same_place",
        sentence="the place of {point:point}",
        also=(
            "[point at] place of {point}",
            "copy of point {point}",
            "copy {point}",
        ),
        makes=POINT,
        formula=lambda m, point: point,
        tool="point on a point",
        likely=99,
        undefined="its point is not there",
        example="A is a free point at (1, 2)\nB is the place of A",
    ),
    Construction(
        key="turned",
        gives=(
            "{centre}{self} = {centre}{point}",
            "∠{point}{centre}{self} = {angle}°",
        ),
        sentence="the point {point:point} turned about {centre:point} by {angle:number} degrees",
        also=(
            "{point} turn (by|through) {angle} [degrees] about {centre}",
            "{point} turn about {centre} [by|through] {angle} [degrees]",
            "turn {point} [by|through] {angle} [degrees] about {centre}",
            "turn {point} about {centre} [by|through] {angle} [degrees]",
            "rotation of {point} about {centre} [by|through] {angle} [degrees]",
            "rotation of {point} [by|through] {angle} [degrees] about {centre}",
            "image of {point} [under] rotation about {centre} by {angle} [degrees]",
        ),
        makes=POINT,
        formula=formulas.turned,
        group="Points",
        tool="turned",
        keys="pt",
        likely=56,
        undefined="one of its points is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is the point B turned about A by 60 degrees",
    ),
    Construction(
        key="mirrored",
        gives=(
            "{mirror} ⊥ {point}{self}",
            "{mirror:each}{point} = {mirror:each}{self}",
            "{mirror}{middle point self} in line",
        ),
        sentence="the mirror image of {point:point} in {mirror:straight}",
        also=(
            "reflect {point} (in|across|about|over|on|through|at) {mirror}",
            "(reflection|reflect image|image) of {point} (in|across|about|over|on) {mirror}",
            "{point} reflect (in|across|about|over) {mirror}",
            "reflect image of {point} in {mirror}",
        ),
        makes=POINT,
        formula=formulas.mirrored,
        group="Points",
        tool="mirrored",
        keys="pi",
        likely=57,
        distinct=False,
        undefined="its line is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 1)\np is the line through A and B\nC is a free point at (1, 2)\n"
        "D is the mirror image of C in p",
    ),
    Construction(
        key="fourth_corner",
        gives=(
            "{corners:0}{corners:1} ∥ {corners:2}{self}",
            "{corners:1}{corners:2} ∥ {corners:0}{self}",
        ),
        sentence="the fourth corner of the parallelogram {corners:triangle}",
        also=(
            "fourth (corner|point) [of] [parallelogram] {corners}",
            "complete parallelogram {corners}",
            "fourth corner to {corners}",
        ),
        makes=POINT,
        formula=formulas.fourth_corner,
        group="Points",
        tool="fourth corner",
        keys="pg",
        likely=58,
        undefined="one of its corners is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (5, 2.5)\n"
        "D is the fourth corner of the parallelogram ABC",
    ),
    Construction(
        key="focus",
        sentence="the focus of {conic:conic}[, {which:which_of_two} one]",
        also=(
            "(second|other) focus of {conic} <which=second>",
            "first focus of {conic} <which=first>",
            "focus {conic}",
        ),
        makes=POINT,
        formula=None,
        choose=_focus,
        tool="focus",
        likely=20,
        defaults=lambda kinds: {"which": "first"},
        undefined="its conic has no such focus",
        example="A is a free point at (-2, 0)\nB is a free point at (2, 0)\nC is a free point at (0, 1.5)\n"
        "k is the ellipse with foci A and B through C\nD is the focus of k",
    ),
    Construction(
        key="foci",
        sentence="both foci of {conic:conic}",
        also=(
            "[both|the two] (foci|focuses) of {conic}",
            "foci {conic}",
        ),
        makes=POINT,
        formula=None,
        group="Conics",
        tool="foci",
        keys="nf",
        likely=19,
        expands=lambda kinds, fills, board: [Part("focus", {**fills, "which": word}) for word in ORDER[:2]],
        example="A is a free point at (-2, 0)\nB is a free point at (2, 0)\nC is a free point at (0, 1.5)\n"
        "k is the ellipse with foci A and B through C\nboth foci of k",
    ),
)
