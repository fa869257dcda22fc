"""Compass work of points and straight things."""

from typing import Any

from .work import Ids, Made, NotByHand, Work

#: Into how many parts a way is divided at most.
PARTS = 24


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


def dividing(work: Work, fills: Any) -> Made:
    first, second = (fills[gap] for gap in ("first", "second"))
    if not all(isinstance(part, (int, float)) for part in (first, second)):
        raise NotByHand("By hand a way is divided in a ratio of whole numbers; here it is one of readings.")
    parts = _whole(first, second)
    return made_point(work, divided(work, *work.ends(fills["span"]), *parts))


def _whole(first: float, second: float) -> tuple[int, int]:
    """A ratio as one of small whole numbers. Raises NotByHand."""
    for times in (1, 2, 3, 4, 5, 6, 8, 10):
        parts = first * times, second * times
        if all(abs(part - round(part)) < 1e-9 for part in parts) and min(parts) > 0 and sum(parts) <= PARTS:
            return round(parts[0]), round(parts[1])
    raise NotByHand(f"By hand a way is divided in a ratio of whole numbers above zero, of at most {PARTS} parts together.")


def divided(work: Work, a: Ids, b: Ids, first: int, second: int) -> Ids:
    """The point that divides the way from a to b in a ratio of whole numbers.

    Equal openings go off on two parallel lines, one to each side: the sides of the rhombus about ab. Where the first mark on the one is
    joined to the last on the other, ab is cut in that ratio (intercept theorem).
    """
    left, right = work.equally_far(a, b)
    up, down = marked_off(work, a, left, first), marked_off(work, b, right, second)
    return work.meet(work.line(up, down), work.line(a, b))


def marked_off(work: Work, start: Ids, first: Ids, times: int) -> Ids:
    """The point so many times as far from a start as another one is, in its direction."""
    before, now = start, first
    for _ in range(times - 1):
        before, now = now, work.other(work.line(start, first), work.circle(now, before), before)
    return now


def point_towards(work: Work, fills: Any) -> Made:
    a, b = span_of(work, fills["distance"])
    start = fills["from"]
    return made_point(work, work.meet(work.ray(start, fills["to"]), work.opened(start, a, b), "second"))


def span_of(work: Work, length: Any) -> tuple[Ids, Ids]:
    """The two points between which a length is taken. Raises NotByHand where it is a number."""
    if isinstance(length, tuple) and len(length) == 2:
        return length[:1], length[1:]
    if isinstance(length, tuple):
        step = work.board.step(length[0])
        if step.does == "length":
            return work.ends(step.fills["span"])
        if step.does == "distance" and work.board.kind_of(step.fills["to"][0]) == "point":
            return step.fills["from"], step.fills["to"]
        if step.makes in ("segment", "vector"):
            return work.ends(length)
        if step.does == "radius":
            circle = step.fills["circle"]
            return work.centre_of(circle), work.point_of(circle)
    raise NotByHand("The compasses are opened to a length of the figure: two points, a segment, a radius; a number is not on it.")


def median(work: Work, fills: Any) -> Made:
    return Made("segment", {"from": fills["corner"], "to": work.midpoint(*work.ends(fills["side"]))})


def altitude(work: Work, fills: Any) -> Made:
    _off(work, fills["corner"], fills["base"])
    return Made("segment", {"from": fills["corner"], "to": work.foot(fills["corner"], fills["base"])})


def vector(work: Work, fills: Any) -> Made:
    raise NotByHand("A vector is drawn as it is: from its first point to its second.")
