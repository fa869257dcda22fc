"""Compass work of angles: turning a point by an angle that can be drawn, or by one that is copied from the figure."""

from collections.abc import Callable, Mapping
from fractions import Fraction
from functools import cache
from heapq import heappop, heappush
from typing import Any

from ...arithmetic.typed import MOST_CORNERS, as_typed
from ...language.formula_words import ANGLE
from .straight import line_through, made_point
from .work import Ids, Made, NotByHand, Work

#: Of whole degrees the multiples of this can be drawn, and no others.
_LEAST = 3


def turned(work: Work, fills: Any) -> Made:
    point, centre, angle = fills["point"], fills["centre"], fills["angle"]
    if not isinstance(angle, tuple):
        turn = as_typed(angle) % 360
        check_drawable(turn)
        if found := _stepped_round(work, point, centre, turn) or _next_corner(work, point, centre, angle):
            return made_point(work, found)
    return made_point(work, turned_by(work, point, centre, angle))


def _stepped_round(work: Work, point: Ids, centre: Ids, angle: Fraction) -> Ids | None:
    """The next corner of a polygon about a centre: the opening between the last two is stepped on round the circle."""
    corners = {as_typed(angle) % 360: id for angle, id in work.turned_before(point, centre)}
    corners[Fraction(0)] = point
    for last, at in corners.items():
        before = corners.get((2 * last - angle) % 360)
        if before is not None and last != angle and (2 * last - angle) % 360 != last:
            return work.other(work.circle(centre, point), work.circle(at, before), before)
    return None


def _next_corner(work: Work, point: Ids, centre: Ids, angle: float) -> Ids | None:
    """The next corner of a polygon on a side: as far from the last as that from the one before, and as far from this as the last is from
    the one before it."""
    before = work.turned_to(centre, point, angle)
    if before is None or angle >= 0:
        return None
    return work.meet(work.opened(point, before, centre), work.circle(centre, point), "first")


def turned_by(work: Work, point: Ids, centre: Ids, angle: Any) -> Ids:
    """A point turned about a centre by typed degrees, or by a reading of an angle of the figure, anticlockwise."""
    if isinstance(angle, tuple):
        return by_reading(work, point, centre, angle)
    return by_degrees(work, point, centre, as_typed(angle))


def by_degrees(work: Work, point: Ids, centre: Ids, angle: Fraction) -> Ids:
    """A point turned by an angle that can be drawn. Raises NotByHand for any other."""
    angle %= 360
    check_drawable(angle)
    if angle.denominator == 1:
        return _drawn(work, point, centre, int(angle))
    if angle > 90:
        return by_degrees(work, _drawn(work, point, centre, 90), centre, angle - 90)
    return _half_way(work, point, by_degrees(work, point, centre, 2 * angle), centre)


def _drawn(work: Work, point: Ids, centre: Ids, degrees: int) -> Ids:
    if degrees == 0:
        return point
    before, turn = _shortest()[degrees]
    there = _drawn(work, point, centre, before)
    if turn is None:
        return _half_way(work, point, there, centre)
    return _TURNS[turn][1](work, there, centre)


def check_drawable(angle: Fraction) -> None:
    """Raise NotByHand unless an angle can be drawn with straightedge and compasses (Gauss, Wantzel), saying why not."""
    parts = angle.denominator
    if angle * parts % _LEAST == 0 and parts & (parts - 1) == 0:
        return
    corners = (360 / (angle % 360)).numerator
    if angle.denominator != 1 and corners <= MOST_CORNERS:
        can = corners & -corners
        if corners // can in (17, 51):
            raise NotByHand(f"A regular polygon with {corners} corners can be drawn by hand, as Gauss found, in more moves than fit here.")
        raise NotByHand(
            f"A regular polygon with {corners} corners cannot be drawn with straightedge and compasses: Gauss and Wantzel have shown for "
            f"which numbers of corners it can be done."
        )
    raise NotByHand(
        f"{float(angle):g}° is not drawn with straightedge and compasses: of whole degrees only the multiples of 3° can be, for an angle "
        f"can be halved, but not in general cut into three (Wantzel)."
    )


def _turn_of_triangle(which: str) -> Callable[[Work, Ids, Ids], Ids]:
    return lambda work, point, centre: work.meet(work.circle(centre, point), work.circle(point, centre), which)


def _quarter(which: str) -> Callable[[Work, Ids, Ids], Ids]:
    """A quarter turn, either way round: where the perpendicular at the centre meets the circle."""

    def turn(work, point, centre):
        right, left = work.upright(centre, (*centre, *point))
        return work.meet(work.line_from(right, left), work.circle(centre, point), which)

    return turn


def _fifth(which: str, whole: bool) -> Callable[[Work, Ids, Ids], Ids]:
    """The turn of a regular pentagon, or half of it, that of a decagon (Euclid IV 11, as it is drawn today): about the middle of the radius
    square to the point's, the compasses are opened to the point; what that reaches beyond the centre is the side of the decagon, and
    the point is as far from there as the corners of the pentagon are apart."""

    def turn(work, point, centre):
        up = _quarter("second")(work, point, centre)
        middle = work.midpoint(centre, up)
        below = work.meet(work.line_from(centre, up), work.circle(middle, point), "first")
        return work.meet(work.circle(centre, point), work.opened(point, *((point, below) if whole else (centre, below))), which)

    return turn


#: The turns that are drawn at once, degrees anticlockwise: what each costs in lines and circles, and how it is done.
_TURNS: Mapping[int, tuple[int, Callable[[Work, Ids, Ids], Ids]]] = {
    180: (2, lambda work, point, centre: work.beyond(point, centre)),
    60: (2, _turn_of_triangle("first")),
    300: (2, _turn_of_triangle("second")),
    90: (5, _quarter("second")),
    270: (5, _quarter("first")),
    72: (11, _fifth("first", True)),
    288: (11, _fifth("second", True)),
    36: (11, _fifth("first", False)),
    324: (11, _fifth("second", False)),
}
#: What it costs to halve an angle.
_HALVING = 4


@cache
def _shortest() -> Mapping[int, tuple[int, int | None]]:
    """For each angle that can be drawn the one before it on the cheapest way, and the turn that is added, or None where it is halved."""
    waiting: list[tuple[int, int, int, int | None]] = [(0, 0, 0, None)]
    found: dict[int, tuple[int, int | None]] = {}
    while waiting:
        cost, degrees, before, turn = heappop(waiting)
        if degrees in found:
            continue
        found[degrees] = before, turn
        for turn, (more, _) in _TURNS.items():
            heappush(waiting, (cost + more, (degrees + turn) % 360, degrees, turn))
        if 0 < degrees < 180 and degrees % (2 * _LEAST) == 0:
            heappush(waiting, (cost + _HALVING, degrees // 2, degrees, None))
    return found


def _half_way(work: Work, point: Ids, end: Ids, centre: Ids) -> Ids:
    """The point half-way round from one to another that is less than half a turn on."""
    beyond = work.other(work.circle(point, centre), work.circle(end, centre), centre)
    return work.meet(work.ray(centre, beyond), work.circle(centre, point), "second")


def by_reading(work: Work, point: Ids, centre: Ids, reading: Ids) -> Ids:
    """A point turned by an angle of the figure that is below 180°."""
    step = work.board.step(reading[0])
    if step.does != "angle" or "turn" in step.fills or work.board.dimension(reading[0]) != ANGLE:
        raise NotByHand("An angle is copied from three points of the figure; this one is a number or is reckoned.")
    a, corner, c = ((id,) for id in step.fills["corner"])
    opened = work.opened(corner, centre, point)
    arms = [work.meet(work.ray(corner, arm), opened, "second") for arm in (a, c)]
    return work.meet(work.circle(centre, point), work.opened(point, *arms), "first")


def by_corner(work: Work, point: Ids, centre: Ids, corner: tuple[str, ...]) -> Ids:
    """A point turned as one arm of an angle is turned to the other, whichever way round that is: moved to the corner, mirrored in the first
    arm, then in the bisector, and moved back."""
    a, at, c = ((id,) for id in corner)
    moved = work.shifted(point, centre, at)
    bisector = work.halving(a, at, c)
    once = work.mirrored(moved, (*at, *a)) if moved != a else moved
    twice = work.mirrored(once, (*at, *bisector))
    return work.shifted(twice, at, centre)


def seen_arc(work: Work, fills: Any) -> Made:
    """About where the perpendicular bisector meets the perpendicular to the tangent in the second end: between that and the way back to
    the first is the angle (Euclid III 32)."""
    a, b = work.ends(fills["span"])
    tangent = work.line(b, turned_by(work, a, b, fills["angle"]))
    centre = work.meet(work.line(*work.upright(b, tangent)), work.middle_line(a, b))
    return Made("arc", {"centre": centre, "from": b, "to": a})


def at_angle(work: Work, fills: Any) -> Made:
    point = fills["point"]
    start, stop = work.ends(fills["base"])
    along = stop if point == start else work.shifted(point, start, stop)
    return line_through((point, turned_by(work, along, point, fills["angle"])))
