"""What may stand in a formula besides numbers and names: functions of numbers, functions of things, signs that compare."""

from collections.abc import Callable
from typing import Any

from ..arithmetic.protocol import Number
from ..formulas import arcs, measures

ANGLE = "angle"


def _tangent(m, angle):
    cosine, sine = m.cos_sin(angle)
    # What cannot be told from a right angle has no tangent.
    return m.divide(sine, m.cross((cosine, sine), (m.number(0), m.number(1))))


#: Each function of numbers: what it does, and what it makes of the dimension it is given ("halve", "keep", "sine").
FUNCTIONS = {
    "sqrt": (lambda m, x: m.sqrt(x), "halve"),
    "abs": (lambda m, x: m.absolute(x), "keep"),
    "round": (lambda m, x: m.rounded(x), "keep"),
    "sin": (lambda m, x: m.cos_sin(x)[1], "sine"),
    "cos": (lambda m, x: m.cos_sin(x)[0], "sine"),
    "tan": (_tangent, "sine"),
}
#: Each function of things: what it measures of the kind it is given, the dimension, and what it takes, in words.
MEASURES: dict[str, tuple[dict[str, Callable[..., Number]], Any, str]] = {
    "area": (
        {
            "polygon": measures.polygon_area,
            "circle": measures.circle_area,
            "sector": arcs.sector_area,
            "chord_region": arcs.chord_region_area,
        },
        2,
        "corners, a polygon, a circle or a sector",
    ),
    "perimeter": (
        {
            "polygon": measures.perimeter,
            "circle": measures.circumference,
            "sector": arcs.sector_perimeter,
            "chord_region": arcs.chord_region_perimeter,
        },
        1,
        "corners, a polygon, a circle or a sector",
    ),
    "radius": ({"circle": measures.radius, "arc": measures.radius, "sector": measures.radius}, 1, "a circle or an arc"),
    "angle": ({"corner": lambda m, corner: measures.angle(m, *corner)}, ANGLE, "three points"),
}
COMPARISONS = ("<", ">", "≤", "≥")
#: The dimension of what is true or false.
TRUTH = "truth"
