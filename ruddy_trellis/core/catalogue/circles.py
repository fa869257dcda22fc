"""Constructions that make circles, and the lines that touch them."""

from functools import partial

from ..formulas import circles as formulas
from ..formulas import straights, triangles
from ..kinds import CIRCLE, LINE
from .construction import Construction

_TRIANGLE = "A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (1, 3)\n"
_FLAT = "its three points stand in one line"

_CIRCLE_AND_POINT = "A is a free point at (0, 0)\nB is a free point at (1.6, 0)\nk is the circle with centre A through B\n"


def _tangent(kinds, words):
    return partial(_with_which, words.get("which") == "second")


def _with_which(which, m, point, circle):
    return straights.tangent_from(m, point, circle, which)


CIRCLES = (
    Construction(
        key="circle", sentence="the circle with centre {centre:point} through {point:point}", makes=CIRCLE,
        formula=formulas.circle_through, group="Circles", tool="centre, point", keys="cp", through=("point",), likely=3,
        undefined="its centre and its point coincide",
        example="A is a free point at (0, 0)\nB is a free point at (2, 0)\nk is the circle with centre A through B",
    ),
    Construction(
        key="circle_radius", sentence="the circle with centre {centre:point} and radius {radius:length}", makes=CIRCLE,
        formula=formulas.circle_with_radius, group="Circles", tool="centre, radius", keys="cr", distinct=False, likely=7,
        undefined="its radius is not above zero",
        example="A is a free point at (-1, 3)\nB is a free point at (1, 3)\nC is a free point at (0, 0)\n"
        "AB is the segment from A to B\nk is the circle with centre C and radius AB",
    ),
    Construction(
        key="circumcircle", sentence="the circle through {a:point}, {b:point} and {c:point}", makes=CIRCLE, formula=triangles.circumcircle,
        group="Circles", tool="three points", keys="ct", through=("a", "b", "c"), likely=10, undefined=_FLAT,
        example=_TRIANGLE + "k is the circle through A, B and C",
    ),
    Construction(
        key="tangent_at", sentence="the tangent to {circle:circle} at {point:point}", makes=LINE, formula=straights.tangent_at,
        group="Circles", tool="tangent at", keys="lt", through=("point",), tied=("point", "circle"), likely=19,
        undefined="its circle is not there", example=_CIRCLE_AND_POINT + "p is the tangent to k at B",
    ),
    Construction(
        key="tangent_from", sentence="the tangent from {point:point} to {circle:circle}[, {which:crossing} one]", makes=LINE, formula=None,
        choose=_tangent, group="", tool="tangent from", keys="lq", through=("point",), likely=20, defaults=lambda kinds: {"which": "first"},
        undefined="its point is not outside its circle", example=_CIRCLE_AND_POINT + "C is a free point at (4, 1)\np is the tangent from C to k",
    ),
    Construction(
        key="tangents", sentence="both tangents from {point:point} to {circle:circle}", makes=LINE, formula=None,
        expands=lambda kinds: [("tangent_from", {"which": "first"}), ("tangent_from", {"which": "second"})], group="Circles", tool="tangents",
        keys="lf", likely=18, example=_CIRCLE_AND_POINT + "C is a free point at (4, 1)\nboth tangents from C to k",
    ),
    Construction(
        key="incircle", sentence="the incircle of {triangle:triangle}", makes=CIRCLE, formula=triangles.incircle, group="Circles",
        tool="incircle", keys="ci", likely=34, undefined=_FLAT,
        example=_TRIANGLE + "ABC is the polygon through A, B, C\nk is the incircle of ABC",
    ),
    Construction(
        key="nine_point_circle", sentence="the nine-point circle of {triangle:triangle}", makes=CIRCLE, formula=triangles.nine_point_circle,
        group="Circles", tool="nine-point circle", keys="cn", likely=38, undefined=_FLAT,
        example=_TRIANGLE + "ABC is the polygon through A, B, C\nk is the nine-point circle of ABC",
    ),
)
