"""Which constructions have compass work, and which have none, with why: one table."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Any

from ...kinds import CONIC
from ...seen import SeenBoard, SeenStep
from . import conics, dividing, lengths, mapped, rounds, straight, triangle, turning
from .work import Made, Work

#: What is drawn by hand as it is: straight lines and circles through points, and where they meet.
PRIMITIVE = (
    "free_point", "point_on", "intersection", "crossings", "other_intersection", "segment", "ray", "line", "circle", "arc", "polygon",
)  # fmt: skip


@dataclass(frozen=True)
class Way:
    """The compass work of a construction.

    Attributes:
        draw: draws the helpers with a :class:`Work` and says how the thing itself is made in the end. Raises NotByHand.
        second: another way that schools teach, where there is one; ``called`` what that is by, in words.
        where: what has to be so for the figure by hand to be there, besides what the sentence itself needs, in words; "" for nothing.
    """

    draw: Callable[[Work, Any], Made]
    where: str = ""
    second: Callable[[Work, Any], Made] | None = None
    called: str = ""


_OFF_LINE = "the point is not on the line"
_IMAGES = ("point", "segment", "vector", "ray", "line", "polygon", "circle", "arc", "sector", "chord_region")

WAYS: Mapping[str, Way] = {
    "midpoint": Way(straight.midpoint),
    "foot": Way(straight.foot, _OFF_LINE),
    "mirrored": Way(straight.mirrored, _OFF_LINE, straight.mirrored_by_its_foot, "the foot of the perpendicular"),
    "centre": Way(straight.centre),
    "dividing": Way(dividing.dividing, "both numbers are whole and above zero", dividing.dividing_by_parallels, "equal parts on one ray"),
    "fourth_corner": Way(straight.fourth_corner, "the second corner is not half-way between the others"),
    "turned": Way(turning.turned),
    "point_towards": Way(lengths.point_towards),
    "perpendicular": Way(straight.perpendicular, "", straight.perpendicular_of_school, "an arc about the point, or Thales"),
    "parallel": Way(straight.parallel, _OFF_LINE, straight.parallel_by_perpendiculars, "two perpendiculars"),
    "perpendicular_bisector": Way(straight.perpendicular_bisector),
    "angle_bisector": Way(straight.angle_bisector, "the angle is not a straight one"),
    "bisector_of_lines": Way(straight.bisector_of_lines),
    "at_angle": Way(turning.at_angle),
    "euler_line": Way(triangle.euler_line),
    "circle_radius": Way(rounds.circle_radius),
    "circle_on_diameter": Way(rounds.circle_on_diameter),
    "circumcircle": Way(rounds.circumcircle),
    "semicircle": Way(rounds.semicircle),
    "seen_arc": Way(turning.seen_arc),
    "tangent_at": Way(rounds.tangent_at),
    "tangent_from": Way(rounds.tangent_from, "", rounds.tangent_from_by_a_second_circle, "a second circle about the centre"),
    "touching_point": Way(rounds.touching_point),
    "common_tangent": Way(rounds.common_tangent, "of the outer ones the larger circle stays the larger one"),
    "radical_axis": Way(rounds.radical_axis),
    "polar": Way(conics.polar, "the curve is a circle"),
    "pole": Way(conics.pole, "the curve is a circle"),
    "point_on": Way(conics.point_on, "of a parabola the focus stays on its side of the directrix"),
    "incircle": Way(triangle.incircle),
    "excircle": Way(triangle.excircle),
    "nine_point_circle": Way(triangle.nine_point_circle),
    "median": Way(straight.median),
    "altitude": Way(straight.altitude, "the corner is not on the side"),
    "centroid": Way(triangle.centroid),
    "circumcentre": Way(triangle.circumcentre),
    "incentre": Way(triangle.incentre),
    "orthocentre": Way(triangle.orthocentre, "no angle is a right one"),
    "nine_point_centre": Way(triangle.nine_point_centre),
    "excentre": Way(triangle.excentre),
    **{f"image_{kind}": Way(mapped.image) for kind in _IMAGES},
}

#: Sentences that make several steps, each of which has compass work or needs none.
SEVERAL = (
    "square", "equilateral", "rectangle", "rhombus", "kite", "parallelogram", "trapezium", "isosceles_trapezium", "three_sides",
    "bisectors", "tangents", "touching_points", "common_tangents", "excircles", "images",
)  # fmt: skip

#: Why there is none, for what a person might ask it of.
NONE: Mapping[str, str] = {
    "point_at": "a place by coordinates is measured, not drawn",
    "horizontal": "what is level is no part of the figure",
    "vertical": "what is upright is no part of the figure",
    "segment_of_length": "a typed length is measured, not drawn",
    "line_from_equation": "an equation is not drawn with compasses",
    "circle_from_equation": "an equation is not drawn with compasses",
    "arc_through": "its circle is drawn by hand as that through three points; which way round the arc goes changes with them",
    "drawn_arc": "typed degrees are measured with a protractor, not drawn",
}


def is_drawn(board: SeenBoard, step: SeenStep) -> bool:
    """Whether a step is of a construction that has compass work: a point on a path has some where that is a conic."""
    return step.does in WAYS and (step.does not in PRIMITIVE or any(board.kind_of(id) == CONIC for id in step.inputs))
