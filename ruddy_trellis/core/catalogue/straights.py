"""Constructions that make segments, rays and lines."""

from ..formulas import straights as formulas
from ..kinds import LINE, RAY, SEGMENT, VECTOR
from ..language.equation import check_equation, line_of, with_each_sign
from ..refusal import Refusal
from .construction import Construction, Part
from .points import ORDER

_TWO_POINTS = "A is a free point at (0, 0)\nB is a free point at (4, 2)\n"
_LINE_AND_POINT = (
    "A is a free point at (0, 0)\nB is a free point at (4, 1)\np is the line through A and B\nC is a free point at (1.5, 2.5)\n"
)


def _line_of(kinds, words):
    return lambda m: line_of(m, words["equation"])


def _bisector(kinds, words):
    return lambda m, a, b: formulas.bisector_of_lines(m, a, b, ORDER.index(words.get("which", "first")))


def _check_which(fills, board):
    if fills.get("which", "first") not in ORDER[:2]:
        raise Refusal("There are two bisectors: the first and the second one.")


def _check_corner(fills, board):
    """A corner faces a side that it is no end of."""
    (corner,) = fills["corner"]
    if any(corner in fill for name, fill in fills.items() if name != "corner"):
        raise Refusal(f"{board.name(corner)} is picked twice: a corner, and an end of the side that faces it.")


STRAIGHT_THINGS = (
    Construction(
        key="segment",
        sentence="the segment from {from:point} to {to:point}",
        makes=SEGMENT,
        formula=formulas.segment,
        group="Lines",
        tool="segment",
        keys="ls",
        through=("from", "to"),
        named_after="from to",
        likely=1,
        undefined="its ends coincide",
        example=_TWO_POINTS + "AB is the segment from A to B",
    ),
    Construction(
        key="ray",
        sentence="the ray from {from:point} through {to:point}",
        makes=RAY,
        formula=formulas.ray,
        group="Lines",
        tool="ray",
        keys="lr",
        through=("from", "to"),
        likely=4,
        undefined="its points coincide",
        example=_TWO_POINTS + "r is the ray from A through B",
    ),
    Construction(
        key="line",
        sentence="the line through {from:point} and {to:point}",
        makes=LINE,
        formula=formulas.line,
        group="Lines",
        tool="line",
        keys="ll",
        through=("from", "to"),
        likely=2,
        undefined="its points coincide",
        example=_TWO_POINTS + "p is the line through A and B",
    ),
    Construction(
        key="perpendicular",
        sentence="the perpendicular to {base:straight} through {point:point}",
        makes=LINE,
        formula=formulas.perpendicular,
        group="Lines",
        tool="perpendicular",
        keys="lp",
        through=("point",),
        helper=True,
        distinct=False,
        likely=5,
        undefined="its line is not there",
        example=_LINE_AND_POINT + "q is the perpendicular to p through C",
    ),
    Construction(
        key="parallel",
        sentence="the parallel to {base:straight} through {point:point}",
        makes=LINE,
        formula=formulas.parallel,
        group="Lines",
        tool="parallel",
        keys="la",
        through=("point",),
        helper=True,
        distinct=False,
        likely=6,
        undefined="its line is not there",
        example=_LINE_AND_POINT + "q is the parallel to p through C",
    ),
    Construction(
        key="perpendicular_bisector",
        sentence="the perpendicular bisector of {span:span}",
        makes=LINE,
        formula=formulas.perpendicular_bisector,
        group="Lines",
        tool="perpendicular bisector",
        keys="lb",
        helper=True,
        likely=16,
        undefined="its points coincide",
        example=_TWO_POINTS + "AB is the segment from A to B\np is the perpendicular bisector of AB",
    ),
    Construction(
        key="angle_bisector",
        sentence="the bisector of angle {corner:corner}",
        makes=LINE,
        formula=formulas.angle_bisector,
        group="Lines",
        tool="angle bisector",
        keys="lv",
        through=("corner:1",),
        helper=True,
        likely=12,
        undefined="the angle has an arm without length",
        example="A is a free point at (4, 0)\nB is a free point at (0, 0)\nC is a free point at (2, 3)\n"
        "BA is the segment from B to A\nBC is the segment from B to C\np is the bisector of angle ABC",
    ),
    Construction(
        key="at_angle",
        sentence="the line through {point:point} at {angle:number} degrees to {base:straight}",
        makes=LINE,
        formula=formulas.at_angle,
        group="Lines",
        tool="at an angle",
        keys="lg",
        through=("point",),
        likely=40,
        distinct=False,
        undefined="its line is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (2, 2)\np is the line through A and B\n"
        "q is the line through A at 45 degrees to p",
    ),
    Construction(
        key="horizontal",
        sentence="the horizontal line through {point:point}",
        makes=LINE,
        formula=formulas.horizontal,
        group="Lines",
        tool="horizontal",
        keys="lh",
        through=("point",),
        likely=70,
        undefined="its point is not there",
        example="A is a free point at (0, 0)\np is the horizontal line through A",
    ),
    Construction(
        key="vertical",
        sentence="the vertical line through {point:point}",
        makes=LINE,
        formula=formulas.vertical,
        group="Lines",
        tool="vertical",
        keys="lu",
        through=("point",),
        likely=71,
        undefined="its point is not there",
        example="A is a free point at (0, 0)\np is the vertical line through A",
    ),
    Construction(
        key="vector",
        sentence="the vector from {from:point} to {to:point}",
        makes=VECTOR,
        formula=formulas.segment,
        group="Lines",
        tool="vector",
        keys="lw",
        through=("from", "to"),
        likely=14,
        undefined="its ends coincide",
        example=_TWO_POINTS + "u is the vector from A to B",
    ),
    Construction(
        key="segment_of_length",
        sentence="the segment from {from:point} of length {length:length} at {angle:number} degrees",
        makes=SEGMENT,
        formula=formulas.at_distance,
        group="Lines",
        tool="of a length",
        keys="lx",
        through=("from",),
        likely=41,
        distinct=False,
        undefined="its length is not above zero",
        example="A is a free point at (0, 0)\nr is the segment from A of length 3 at 25 degrees",
    ),
    Construction(
        key="end",
        sentence="the far end of {span:ended}",
        makes="point",
        formula=formulas.far_end,
        group="Points",
        tool="far end",
        keys="pj",
        on=("span",),
        likely=54,
        undefined="its segment is not there",
        example="A is a free point at (0, 0)\nr is the segment from A of length 3 at 25 degrees\nB is the far end of r",
    ),
    Construction(
        key="bisector_of_lines",
        sentence="the bisector of {a:straight} and {b:straight}[, {which:which_of_two} one]",
        makes=LINE,
        formula=None,
        choose=_bisector,
        tool="bisector of lines",
        likely=43,
        helper=True,
        defaults=lambda kinds: {"which": "first"},
        check=_check_which,
        undefined="its lines do not meet",
        example=_LINE_AND_POINT + "q is the line through A and C\nr is the bisector of p and q",
    ),
    Construction(
        key="bisectors",
        sentence="both bisectors of {a:straight} and {b:straight}",
        makes=LINE,
        formula=None,
        group="Lines",
        tool="both bisectors",
        keys="lz",
        likely=28,
        expands=lambda kinds, fills, board: [Part("bisector_of_lines", {**fills, "which": word}) for word in ORDER[:2]],
        example=_LINE_AND_POINT + "q is the line through A and C\nboth bisectors of p and q",
    ),
    Construction(
        key="line_from_equation",
        sentence="the line {equation:equation}",
        makes=LINE,
        formula=None,
        choose=_line_of,
        group="Lines",
        tool="equation",
        keys="le",
        likely=97,
        check=check_equation("line"),
        undefined="its equation has no line",
        example="A is a free point at (0, 0)\np is the line y = 0.5x + 1",
    ),
    Construction(
        key="lines_from_equation",
        sentence="both lines {equation:equation}",
        makes=LINE,
        formula=None,
        tool="lines by equation",
        likely=98,
        check=check_equation("lines"),
        expands=lambda kinds, fills, board: [Part("line_from_equation", {"equation": text}) for text in with_each_sign(fills["equation"])],
        example="A is a free point at (0, 0)\nboth lines y = ±1",
    ),
    Construction(
        key="euler_line",
        sentence="the Euler line of {triangle:triangle}",
        makes=LINE,
        formula=formulas.euler_line,
        group="Triangles",
        tool="Euler line",
        keys="se",
        likely=39,
        undefined="its sides are all equal, or its corners stand in one line",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (1, 3)\n"
        "ABC is the polygon through A, B, C\np is the Euler line of ABC",
    ),
)
