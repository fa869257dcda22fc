"""Compass work of points and straight things."""

from typing import Any

from .work import Ids, Made, NotByHand, Work


def line_through(points: tuple[Ids, Ids]) -> Made:
    return Made("line", {"from": points[0], "to": points[1]})


def made_point(work: Work, point: Ids) -> Made:
    """A point as the last helper makes it: the helper itself is taken back, and the point made so."""
    step = work.board.step(point[0])
    return Made(step.does, dict(step.fills))


def midpoint(work: Work, fills: Any) -> Made:
    return made_point(work, work.midpoint(*work.ends(fills["span"])))


def foot(work: Work, fills: Any) -> Made:
    _off(work, fills["point"], fills["base"])
    return made_point(work, work.foot(fills["point"], fills["base"]))


def mirrored(work: Work, fills: Any) -> Made:
    _off(work, fills["point"], fills["mirror"])
    return made_point(work, work.mirrored(fills["point"], fills["mirror"]))


def _off(work, point, base):
    if work.lies_on(point, base):
        raise NotByHand(f"{work.board.name(point[0])} lies on that line: there is nothing to draw.")


def fourth_corner(work: Work, fills: Any) -> Made:
    a, b, c = ((id,) for id in fills["corners"])
    return made_point(work, work.fourth_corner(a, b, c))


def centre(work: Work, fills: Any) -> Made:
    circle = fills["of"]
    if work.board.kind_of(circle[0]) == "conic":
        raise NotByHand("The centre of a conic is not drawn by hand here.")
    if "centre" in work.fills(circle):
        name = work.board.name(work.fills(circle)["centre"][0])
        raise NotByHand(f"The circle was drawn about {name}: its centre is there.")
    return made_point(work, work.centre_of(circle))


def perpendicular_bisector(work: Work, fills: Any) -> Made:
    left, right = work.equally_far(*work.ends(fills["span"]))
    return line_through((right, left))


def perpendicular(work: Work, fills: Any) -> Made:
    return line_through(work.upright(fills["point"], fills["base"]))


def perpendicular_of_school(work: Work, fills: Any) -> Made:
    """From a point beside the line: an arc about it cuts the line twice, and the bisector of these two is square to it. In a point of the
    line: by Thales, with the half circle over a chord that is a diameter."""
    point, base = fills["point"], fills["base"]
    start = next(end for end in work.ends(base) if end != point)
    line = work.whole(base)
    if not work.lies_on(point, base):
        far = work.other(line, work.circle(point, start), start)
        return line_through((point, work.equally_far(start, far)[0]))
    aside = work.equally_far(point, start)[0]
    around = work.circle(aside, point)
    return line_through((point, work.other(work.line(start, aside), around, start)))


def parallel_by_perpendiculars(work: Work, fills: Any) -> Made:
    """Square to what is square to the line."""
    _off(work, fills["point"], fills["base"])
    across = work.line(*work.upright(fills["point"], fills["base"]))
    return line_through(work.upright(fills["point"], across))


def mirrored_by_its_foot(work: Work, fills: Any) -> Made:
    """As far beyond the foot of the perpendicular."""
    _off(work, fills["point"], fills["mirror"])
    point, base = fills["point"], fills["mirror"]
    start, _ = work.ends(base)
    far = work.other(work.whole(base), work.circle(point, start), start)
    foot = work.meet(work.line(point, work.equally_far(start, far)[0]), work.whole(base))
    return made_point(work, work.beyond(point, foot))


def parallel(work: Work, fills: Any) -> Made:
    _off(work, fills["point"], fills["base"])
    point = fills["point"]
    return line_through((point, work.shifted(point, *work.ends(fills["base"]))))


def angle_bisector(work: Work, fills: Any) -> Made:
    a, corner, c = ((id,) for id in fills["corner"])
    return line_through((corner, work.halving(a, corner, c)))


def bisector_of_lines(work: Work, fills: Any) -> Made:
    a, b = (work.whole(fills[gap]) for gap in ("a", "b"))
    ends = work.ends(fills["a"])
    at = next((end for end in ends if work.lies_on(end, fills["b"])), None) or work.meet(a, b)
    opened = work.circle(at, next(end for end in ends if end != at))
    one, other = (work.meet(line, opened, "second") for line in (a, b))
    between = work.other(work.circle(one, at), work.circle(other, at), at)
    if fills.get("which", "first") == "first":
        return line_through((at, between))
    return line_through(work.upright(at, (*at, *between)))


def median(work: Work, fills: Any) -> Made:
    return Made("segment", {"from": fills["corner"], "to": work.midpoint(*work.ends(fills["side"]))})


def altitude(work: Work, fills: Any) -> Made:
    _off(work, fills["corner"], fills["base"])
    return Made("segment", {"from": fills["corner"], "to": work.foot(fills["corner"], fills["base"])})


def vector(work: Work, fills: Any) -> Made:
    raise NotByHand("A vector is drawn as it is: from its first point to its second.")
