"""Compass work of the centres and circles of a triangle."""

from typing import Any

from .straight import line_through, made_point
from .work import Ids, Made, Work


def _corners(fills: Any) -> tuple[Ids, Ids, Ids]:
    a, b, c = ((id,) for id in fills["triangle"])
    return a, b, c


def centroid(work: Work, fills: Any) -> Made:
    return made_point(work, _centroid(work, *_corners(fills)))


def _centroid(work, a, b, c):
    return work.meet(work.line(a, work.midpoint(b, c)), work.line(b, work.midpoint(a, c)))


def circumcentre(work: Work, fills: Any) -> Made:
    return made_point(work, work.circumcentre(*_corners(fills)))


def incentre(work: Work, fills: Any) -> Made:
    return made_point(work, work.incentre(*_corners(fills)))


def orthocentre(work: Work, fills: Any) -> Made:
    return made_point(work, _orthocentre(work, *_corners(fills)))


def _orthocentre(work, a, b, c):
    return work.meet(work.line(a, work.mirrored(a, (*b, *c))), work.line(b, work.mirrored(b, (*a, *c))))


def _nine_point_centre(work, a, b, c):
    """The centre of the circle through the midpoints of the sides."""
    return work.circumcentre(work.midpoint(b, c), work.midpoint(a, c), work.midpoint(a, b))


def nine_point_centre(work: Work, fills: Any) -> Made:
    return made_point(work, _nine_point_centre(work, *_corners(fills)))


def nine_point_circle(work: Work, fills: Any) -> Made:
    a, b, c = _corners(fills)
    return Made("circle", {"centre": _nine_point_centre(work, a, b, c), "point": work.midpoint(b, c)})


def euler_line(work: Work, fills: Any) -> Made:
    a, b, c = _corners(fills)
    return line_through((work.circumcentre(a, b, c), _orthocentre(work, a, b, c)))


def incircle(work: Work, fills: Any) -> Made:
    a, b, c = _corners(fills)
    return _touching_side(work, work.incentre(a, b, c), b, c)


def _touching_side(work, centre, a, b):
    return Made("circle", {"centre": centre, "point": work.foot(centre, (*a, *b))})


def excentre(work: Work, fills: Any) -> Made:
    return made_point(work, _excentre(work, *_corners(fills)))


def _excentre(work, a, b, c):
    """Where the bisector at a meets the bisector of the outer angle at b."""
    inner = work.line(a, work.halving(b, a, c))
    outward = work.beyond(a, b)
    return work.meet(inner, work.line(b, work.halving(outward, b, c)))


def excircle(work: Work, fills: Any) -> Made:
    a, b, c = _corners(fills)
    return _touching_side(work, _excentre(work, a, b, c), b, c)
