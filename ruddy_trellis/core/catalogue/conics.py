"""Constructions that make conics, and what belongs to one."""

from ..formulas import conics as formulas
from ..kinds import CONIC, LINE
from ..language.equation import check_equation, conic_of
from .construction import Construction

_FOCI = "A is a free point at (-2, 0)\nB is a free point at (2, 0)\n"
_POINT = "C is a free point at (0.8, 1.6)\n"
_ELLIPSE = _FOCI + _POINT + "k is the ellipse with foci A and B through C\n"
_DIRECTRIX = "A is a free point at (-3, -1)\nB is a free point at (3, -1)\np is the line through A and B\nC is a free point at (0, 0.4)\n"


def _conic_of(kinds, words):
    return lambda m: conic_of(m, words["equation"])


CONICS = (
    Construction(
        key="parabola",
        sentence="the parabola with focus {focus:point} and directrix {directrix:straight}",
        also=(
            "parabola [{=}] [with] focus {focus} [and|,] [and] directrix {directrix}",
            "parabola [{=}] [with] directrix {directrix} [and|,] focus {focus}",
        ),
        makes=CONIC,
        formula=formulas.parabola,
        group="Conics",
        tool="parabola",
        keys="np",
        distinct=False,
        likely=42,
        undefined="its focus lies on its directrix",
        example=_DIRECTRIX + "k is the parabola with focus C and directrix p",
    ),
    Construction(
        key="ellipse",
        sentence="the ellipse with foci {first:point} and {second:point} through {point:point}",
        also=(
            "ellipse [{=}] [with] (foci|focuses) {first} [and|,] {second} [and|,] through {point}",
            "ellipse [{=}] [with] foci {first+second} [and|,] through {point}",
            "ellipse [{=}] through {point} [with] foci {first+second}",
        ),
        makes=CONIC,
        formula=formulas.ellipse,
        group="Conics",
        tool="ellipse",
        keys="ne",
        through=("point",),
        likely=47,
        undefined="its point is between its foci",
        example=_ELLIPSE.rstrip(),
    ),
    Construction(
        key="hyperbola",
        sentence="the hyperbola with foci {first:point} and {second:point} through {point:point}",
        also=(
            "hyperbola [{=}] [with] (foci|focuses) {first} [and|,] {second} [and|,] through {point}",
            "hyperbola [{=}] [with] foci {first+second} [and|,] through {point}",
            "hyperbola [{=}] through {point} [with] foci {first+second}",
        ),
        makes=CONIC,
        formula=formulas.hyperbola,
        group="Conics",
        tool="hyperbola",
        keys="nh",
        through=("point",),
        likely=48,
        undefined="its point is as far from one focus as from the other, or in line with them",
        example=_FOCI + _POINT + "k is the hyperbola with foci A and B through C",
    ),
    Construction(
        key="ellipse_with_sum",
        sentence="the ellipse with foci {first:point} and {second:point} and the sum {sum:length}",
        also=(
            "ellipse [{=}] [with] foci {first} [and|,] {second} [and|,] [distance] sum {sum}",
            "ellipse [{=}] [with] foci {first+second} [and|,] sum {sum}",
        ),
        lengths=("sum",),
        makes=CONIC,
        formula=formulas.ellipse_with_sum,
        group="Conics",
        tool="ellipse, sum",
        keys="ns",
        distinct=False,
        likely=49,
        undefined="its sum is not longer than the way between its foci",
        example=_FOCI + "k is the ellipse with foci A and B and the sum 6",
    ),
    Construction(
        key="hyperbola_with_difference",
        sentence="the hyperbola with foci {first:point} and {second:point} and the difference {difference:length}",
        also=(
            "hyperbola [{=}] [with] foci {first} and {second} [and|,] difference {difference}",
            "hyperbola [{=}] [with] foci {first+second} [and|,] difference {difference}",
        ),
        lengths=("difference",),
        makes=CONIC,
        formula=formulas.hyperbola_with_difference,
        group="Conics",
        tool="hyperbola, difference",
        keys="nd",
        distinct=False,
        likely=51,
        undefined="its difference is not shorter than the way between its foci",
        example=_FOCI + "k is the hyperbola with foci A and B and the difference 2",
    ),
    Construction(
        key="conic_through",
        sentence="the conic through {points:five}",
        also=(
            "conic [{=}] (through|section through) {points}",
            "conic through five points {points}",
        ),
        makes=CONIC,
        formula=formulas.through_five,
        group="Conics",
        tool="five points",
        keys="nc",
        through=("points",),
        likely=15,
        undefined="three of its points stand in one line",
        example="A is a free point at (-2, 0)\nB is a free point at (-1, 1.3)\nC is a free point at (1, 1.6)\n"
        "D is a free point at (2.2, 0.2)\n"
        "E is a free point at (0, -1.2)\nk is the conic through ABCDE",
    ),
    Construction(
        key="conic_from_equation",
        sentence="the conic {equation:equation}",
        also=(
            "conic [with] equation {equation}",
            "ellipse {equation}",
            "parabola {equation}",
            "hyperbola {equation}",
        ),
        needs=("size", "direction", "origin"),
        makes=CONIC,
        formula=None,
        choose=_conic_of,
        group="Conics",
        tool="equation",
        keys="nq",
        likely=97,
        check=check_equation("conic"),
        undefined="its equation has no conic",
        example="A is a free point at (0, 0)\nk is the conic y = 0.5x^2",
    ),
    Construction(
        key="directrix",
        sentence="the directrix of {conic:conic}",
        also=("directrix {conic}",),
        makes=LINE,
        formula=formulas.directrix,
        group="Conics",
        tool="directrix",
        keys="nx",
        likely=21,
        undefined="a circle has none",
        example=_FOCI + "C is a free point at (2.2, 1.5)\nk is the hyperbola with foci A and B through C\np is the directrix of k",
    ),
    Construction(
        key="axis",
        sentence="the axis of {conic:conic}",
        also=(
            "axis {conic}",
            "axis of symmetry of {conic}",
            "main axis of {conic}",
        ),
        makes=LINE,
        formula=formulas.axis,
        group="Conics",
        tool="axis",
        keys="na",
        likely=22,
        helper=True,
        undefined="a circle has none of its own",
        example=_ELLIPSE + "p is the axis of k",
    ),
)
