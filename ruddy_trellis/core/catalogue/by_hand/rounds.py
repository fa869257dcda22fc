"""Compass work of circles, arcs and tangents."""

from typing import Any

from .lengths import span_of
from .straight import line_through, made_point
from .work import Ids, Made, NotByHand, Work


def circle_radius(work: Work, fills: Any) -> Made:
    a, b = span_of(work, fills["radius"])
    centre = fills["centre"]
    if centre in (a, b):
        return Made("circle", {"centre": centre, "point": b if centre == a else a})
    circle = work.opened(centre, a, b)
    return Made(work.does(circle), dict(work.fills(circle)))


def circle_on_diameter(work: Work, fills: Any) -> Made:
    return Made("circle", {"centre": work.midpoint(fills["from"], fills["to"]), "point": fills["from"]})


def semicircle(work: Work, fills: Any) -> Made:
    return Made("arc", {"centre": work.midpoint(fills["from"], fills["to"]), "from": fills["from"], "to": fills["to"]})


def circumcircle(work: Work, fills: Any) -> Made:
    a, b, c = (fills[gap] for gap in ("a", "b", "c"))
    return Made("circle", {"centre": work.circumcentre(a, b, c), "point": a})


def tangent_at(work: Work, fills: Any) -> Made:
    centre = _centre(work, fills["circle"])
    return line_through(work.upright(fills["point"], (*centre, *fills["point"])))


def _centre(work, circle):
    if work.board.kind_of(circle[0]) == "conic":
        raise NotByHand("A tangent to a conic is not drawn by hand here.")
    return work.centre_of(circle)


def touching(work: Work, point: Ids, circle: Ids, which: str) -> Ids:
    """Where a tangent from a point touches: on the circle over the way to the centre (Thales), the first to the left of that way."""
    centre = _centre(work, circle)
    middle = work.midpoint(centre, point)
    return work.meet(circle, work.circle(middle, point), which)


def tangent_from(work: Work, fills: Any) -> Made:
    return line_through((fills["point"], touching(work, fills["point"], fills["circle"], fills.get("which", "first"))))


def tangent_from_by_a_second_circle(work: Work, fills: Any) -> Made:
    """By the circle about the same centre through the point, and the tangent where the way there meets the circle (Euclid III 17)."""
    point, circle = fills["point"], fills["circle"]
    centre = _centre(work, circle)
    near = work.meet(work.ray(centre, point), circle, "second")
    around = work.circle(centre, point)
    upright = work.line_from(*work.upright(near, work.line_from(centre, near)))
    there = work.meet(upright, around, {"first": "second", "second": "first"}[fills.get("which", "first")])
    return line_through((point, work.meet(work.ray(centre, there), circle, "second")))


def touching_point(work: Work, fills: Any) -> Made:
    # The first is the first along the polar, which runs a quarter turn to the left of the way from the centre to the point.
    other = {"first": "second", "second": "first"}[fills.get("which", "first")]
    return made_point(work, touching(work, fills["point"], fills["curve"], other))


def common_tangent(work: Work, fills: Any) -> Made:
    """The tangents from where two parallel radii, on one side or on both, are joined on the line of centres."""
    a, b = fills["a"], fills["b"]
    which = fills.get("which", "first")
    outer, left = which in ("first", "second"), which in ("first", "third")
    centres = work.centre_of(a), work.centre_of(b)
    on = work.point_of(a)
    parallel = work.line_from(centres[1], work.shifted(centres[1], centres[0], on))
    there = work.meet(parallel, b, "second" if outer else "first")
    from_here = work.meet(work.line(on, there), work.line(*centres))
    radius_a, radius_b = (work.board.value(circle[0]) for circle in (a, b))
    smaller = outer and radius_a and radius_b and radius_a[2] < radius_b[2]
    touch = touching(work, from_here, a, "first" if left != bool(smaller) else "second")
    return line_through((touch, from_here) if left != bool(smaller) else (from_here, touch))


def radical_axis(work: Work, fills: Any) -> Made:
    """Where the chords that a third circle cuts off two circles meet, and the perpendicular from there to the line of centres."""
    circles = fills["a"], fills["b"]
    centres = [work.centre_of(circle) for circle in circles]
    on = [work.point_of(circle) for circle in circles]
    middle, _ = work.equally_far(*on)
    third = work.circle(middle, on[0])
    one, other = (work.line(point, work.other(third, circle, point)) for point, circle in zip(on, circles))
    return line_through(work.upright(work.meet(one, other), (*centres[0], *centres[1])))
