"""The points and segments that belong to a triangle."""

from ..formulas import straights, triangles
from ..kinds import POINT, SEGMENT
from ..refusal import Refusal
from .construction import Construction

_TRIANGLE = (
    "A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (1, 3)\nABC is the polygon through A, B, C\n"
    "AB is the segment from A to B\n"
)


def _triangle_centre(key, words, formula, keys, likely, also, gives):
    return Construction(
        key=key, sentence=f"the {words} of {{triangle:triangle}}", makes=POINT, formula=formula, group="Triangles", tool=words, keys=keys,
        likely=likely, undefined="its three points stand in one line",
        example=_TRIANGLE + f"D is the {words} of ABC", also=also, gives=gives,
    )  # fmt: skip


def _check_corner(fills, board):
    """A corner faces a side that it is no end of."""
    (corner,) = fills["corner"]
    if any(corner in fill for name, fill in fills.items() if name != "corner"):
        raise Refusal(f"{board.name(corner)} is picked twice: a corner, and an end of the side that faces it.")


TRIANGLE_PARTS = (
    Construction(
        key="median",
        gives=("{self}{middle side} in line",),
        check=_check_corner,
        sentence="the median from {corner:point} to {side:span}",
        makes=SEGMENT,
        formula=straights.median,
        group="Triangles",
        tool="median",
        keys="sm",
        through=("corner",),
        likely=31,
        undefined="its corner is the middle of its side",
        example=_TRIANGLE + "m is the median from C to AB",
        also=(
            "median [{=}] from {corner} [to {side}]",
            "median [{=}] from {corner} (in|of) {triangle!}",
            "median of {triangle!} (from|through|at) {corner}",
            "median (through|at) {corner}",
        ),
    ),
    Construction(
        key="altitude",
        gives=("{self} ⊥ {base}", "{self}{foot corner base} in line"),
        check=_check_corner,
        sentence="the altitude from {corner:point} to {base:straight}",
        makes=SEGMENT,
        formula=straights.altitude,
        group="Triangles",
        tool="altitude",
        keys="sa",
        through=("corner",),
        likely=30,
        undefined="its corner is on its base",
        example=_TRIANGLE + "h is the altitude from C to AB",
        also=(
            "(altitude|height) [{=}] from {corner} [(to|on|onto) {base}]",
            "(altitude|height) [{=}] from {corner} (in|of) {triangle!}",
            "(altitude|height) of {triangle!} (from|through|at) {corner}",
            "(altitude|height) (through|at) {corner}",
            "(altitude|height) to {base} from {corner}",
            "height of {corner} above {base}",
        ),
    ),
    _triangle_centre(
        "centroid",
        "centroid",
        triangles.centroid,
        "sc",
        32,
        (
            "(centroid|centre of gravity|centre of mass|barycentre) [{=}] [of|in|for] {triangle}",
            "where medians of {triangle} meets",
            "crossing of medians [of] {triangle}",
            "centroid",
        ),
        gives=("{triangle:0}{self}{middle triangle:1 triangle:2} in line", "{triangle:1}{self}{middle triangle:2 triangle:0} in line"),
    ),
    _triangle_centre(
        "circumcentre",
        "circumcentre",
        triangles.circumcentre,
        "so",
        33,
        (
            "(circumcentre|circumcenter|centre of circumcircle) [{=}] [of|in|for] {triangle}",
            "where perpendicular bisectors of {triangle} meets",
            "circumcentre",
        ),
        gives=("{self}{triangle:0} = {self}{triangle:1}", "{self}{triangle:1} = {self}{triangle:2}"),
    ),
    _triangle_centre(
        "incentre",
        "incentre",
        triangles.incentre,
        "si",
        35,
        (
            "(incentre|incenter|centre of incircle) [{=}] [of|in|for] {triangle}",
            "where angle bisectors of {triangle} meets",
            "incentre",
        ),
        gives=(
            "∠{triangle:1}{triangle:0}{self} = ∠{triangle:2}{triangle:0}{self}",
            "∠{triangle:0}{triangle:1}{self} = ∠{triangle:2}{triangle:1}{self}",
        ),
    ),
    _triangle_centre(
        "orthocentre",
        "orthocentre",
        triangles.orthocentre,
        "sh",
        36,
        (
            "(orthocentre|orthocenter|height crossing) [{=}] [of|in|for] {triangle}",
            "where (altitudes|heights) of {triangle} meets",
            "crossing of (altitudes|heights) [of|in] {triangle}",
            "orthocentre",
        ),
        gives=("{triangle:0}{self} ⊥ {triangle:1}{triangle:2}", "{triangle:1}{self} ⊥ {triangle:2}{triangle:0}"),
    ),
    _triangle_centre(
        "nine_point_centre",
        "nine-point centre",
        triangles.nine_point_centre,
        "sn",
        37,
        (
            "(nine|9) point centre [{=}] [of|in|for] {triangle}",
            "centre of nine point circle of {triangle}",
        ),
        gives=(
            "{self}{middle triangle:0 triangle:1} = {self}{middle triangle:1 triangle:2}",
            "{self}{middle triangle:1 triangle:2} = {self}{middle triangle:2 triangle:0}",
        ),
    ),
)
