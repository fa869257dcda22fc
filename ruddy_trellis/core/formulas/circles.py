"""Circles."""

from math import inf


def circle_through(m, centre, point):
    """The circle about a centre through a point."""
    dx, dy = m.separate(centre, point)
    return centre[0], centre[1], dx * dx + dy * dy


def circle_with_radius(m, centre, radius):
    """The circle about a centre with a given radius; undefined unless the radius is above zero."""
    return m.inside((centre[0], centre[1], radius * m.divide(radius * radius, radius)), radius, 0, inf)
