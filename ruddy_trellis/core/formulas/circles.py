"""Circles."""

from math import inf

from ..arithmetic.protocol import Arithmetic, Number
from .values import Circle, Point


def circle_through(m: Arithmetic, centre: Point, point: Point) -> Circle:
    """The circle about a centre through a point."""
    dx, dy = m.separate(centre, point)
    return centre[0], centre[1], dx * dx + dy * dy


def circle_with_radius(m: Arithmetic, centre: Point, radius: Number) -> Circle:
    """The circle about a centre with a given radius; undefined unless the radius is above zero."""
    return m.inside((centre[0], centre[1], radius * m.divide(radius * radius, radius)), radius, 0, inf)


def circle_on_diameter(m: Arithmetic, start: Point, end: Point) -> Circle:
    """The circle that has two points as the ends of a diameter."""
    dx, dy = m.separate(start, end)
    return (start[0] + end[0]) / 2, (start[1] + end[1]) / 2, (dx * dx + dy * dy) / 4
