"""Poles and polars, the radical axis, asymptotes, touching points, the excentre, a point at a distance."""

from ..formulas import polars as formulas
from ..formulas import triangles
from ..kinds import LINE, POINT
from .construction import Construction, Part
from .gaps import ORDER

_CIRCLE = "A is a free point at (0, 0)\nB is a free point at (2, 0)\nk is the circle with centre A through B\n"
_TWO = _CIRCLE + "C is a free point at (3, 1)\nc is the circle with centre C and radius 2\n"
_HYPERBOLA = "A is a free point at (-2, 0)\nB is a free point at (2, 0)\nC is a free point at (1.4, 1)\n"
_HYPERBOLA += "k is the hyperbola with foci A and B through C\n"
_TRIANGLE = "A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (1.5, 3)\n"


def _first(words):
    return ORDER.index(words.get("which", "first"))


def _touching(kinds, words):
    which = _first(words)
    return lambda m, point, curve: formulas.touching_point(m, point, curve, which)


def _asymptote(kinds, words):
    which = _first(words)
    return lambda m, conic: formulas.asymptote(m, conic, which)


def _each(key):
    return lambda kinds, fills, board: [Part(key, {**fills, "which": word}) for word in ORDER[:2]]


POLARS = (
    Construction(
        key="radical_axis",
        sentence="the radical axis of {a:circle} and {b:circle}",
        also=("(radical axis|power line|chordal) [{=}] [of] {a} and {b}", "line of equal power [of|to] {a} and {b}"),
        makes=LINE,
        formula=formulas.radical_axis,
        group="Circles",
        tool="radical axis",
        keys="cx",
        likely=43,
        where=("{a} and {b} have different centres",),
        undefined="its circles have one centre",
        example=_TWO + "p is the radical axis of k and c",
    ),
    Construction(
        key="polar",
        sentence="the polar of {point:point} in {curve:curved}",
        also=(
            "polar [{=}] [line] of {point} (in|to|for|with respect to) {curve}",
            "polar of {point} [in {curve}]",
            "chord of contact from {point} to {curve}",
        ),
        makes=LINE,
        formula=lambda m, point, curve: formulas.polar(m, curve, point),
        group="Conics",
        tool="polar",
        keys="nl",
        likely=44,
        where=("{point} is not the centre of {curve}",),
        undefined="its point is the centre",
        example=_CIRCLE + "C is a free point at (3.4, 1.4)\np is the polar of C in k",
    ),
    Construction(
        key="pole",
        sentence="the pole of {line:straight} in {curve:curved}",
        also=("pole [{=}] of {line} (in|to|for|with respect to) {curve}", "pole of {line} [in {curve}]"),
        makes=POINT,
        formula=lambda m, straight, curve: formulas.pole(m, curve, straight),
        group="Conics",
        tool="pole",
        keys="no",
        likely=45,
        where=("{line} does not go through the centre of {curve}",),
        undefined="its line goes through the centre",
        example=_CIRCLE
        + "C is a free point at (1, 3)\nD is a free point at (2.4, -2)\np is the line through C and D\nE is the pole of p in k",
    ),
    Construction(
        key="touching_point",
        gives=("{curve.centre}{self} ⊥ {self}{point}",),
        sentence="the touching point from {point:point} on {curve:curved}[, {which:which_of_two} one]",
        also=(
            "(touching point|point of contact|contact point) [{=}] of tangent from {point} to {curve}",
            "where tangent from {point} touches {curve}",
            "(second|other) touching point from {point} on {curve} <which=second>",
        ),
        makes=POINT,
        formula=None,
        choose=_touching,
        on=("curve",),
        tool="touching point",
        likely=46,
        defaults=lambda kinds: {"which": "first"},
        where=("{point} is outside {curve}",),
        undefined="its point is not outside",
        example=_CIRCLE + "C is a free point at (4, 1)\nD is the touching point from C on k",
    ),
    Construction(
        key="touching_points",
        sentence="both touching points from {point:point} on {curve:curved}",
        also=(
            "[both|the two] (touching points|points of contact) of tangents from {point} to {curve}",
            "where tangents from {point} touch {curve}",
        ),
        makes=POINT,
        formula=None,
        expands=_each("touching_point"),
        group="Circles",
        tool="touching points",
        keys="cu",
        likely=45.5,
        example=_CIRCLE + "C is a free point at (4, 1)\nboth touching points from C on k",
    ),
    Construction(
        key="asymptote",
        sentence="the asymptote of {conic:conic}[, {which:which_of_two} one]",
        also=("(first) asymptote of {conic} <which=first>", "(second|other) asymptote of {conic} <which=second>"),
        makes=LINE,
        formula=None,
        choose=_asymptote,
        tool="asymptote",
        likely=47.5,
        defaults=lambda kinds: {"which": "first"},
        where=("{conic} is a hyperbola",),
        undefined="its conic is no hyperbola now",
        example=_HYPERBOLA + "p is the asymptote of k",
    ),
    Construction(
        key="asymptotes",
        sentence="both asymptotes of {conic:conic}",
        also=("[the two|two|all] asymptotes [of] {conic}",),
        makes=LINE,
        formula=None,
        expands=_each("asymptote"),
        group="Conics",
        tool="asymptotes",
        keys="ny",
        likely=47,
        example=_HYPERBOLA + "both asymptotes of k",
    ),
    Construction(
        key="excentre",
        sentence="the excentre of {triangle:triangle} that faces its first corner",
        also=("(excentre|excenter|centre of excircle) [{=}] [of|for] {triangle}",),
        makes=POINT,
        formula=lambda m, a, b, c: triangles.excircle(m, a, b, c)[:2],
        group="Triangles",
        tool="excentre",
        keys="xe",
        likely=46.5,
        undefined="its three points stand in one line",
        example=_TRIANGLE + "D is the excentre of ABC that faces its first corner",
    ),
    Construction(
        key="point_towards",
        gives=("{from}{self}{to} in line",),
        sentence="the point at {distance:length} from {from:point} towards {to:point}",
        also=(
            "point [{=}] {distance} from {from} (towards|to|in direction of) {to}",
            "point [{=}] on {from+to} [at] {distance} [away] from {from}",
            "point [{=}] on {to+from} [at] {distance} [away] from {from}",
            "point at distance {distance} from {from} (towards|to) {to}",
            "mark off {distance} from {from} (towards|to|on|along) {to}",
        ),
        lengths=("distance",),
        makes=POINT,
        formula=lambda m, start, end, distance: formulas.towards(m, distance, start, end),
        group="Points",
        tool="at a distance",
        keys="pl",
        likely=48,
        undefined="its two points coincide",
        example="A is a free point at (0, 0)\nB is a free point at (4, 1)\nC is the point at 2.5 from A towards B",
    ),
)
