"""Poles and polars, and what follows from them: tangents of any conic, touching points, asymptotes; the radical axis.

With X the way from the focus, a conic is X.X = (u.X + l)^2; see ``conics``. The polar of a point P is the line
N.X = l (u.P + l) with N = P - u (u.P) - l u; at a point of the conic it is the tangent. A circle is a conic with u = 0 and l its
radius, for which only the square of l is needed. A conic is five numbers, a circle three, and an arc, of which the first three are
its circle, seven.
"""

from math import inf

from ..arithmetic.protocol import Arithmetic, Number
from .conics import straight_conic
from .intersections import straight_circle
from .straights import line
from .values import Circle, Conic, Point, Round, Straight

#: How far above 1 the square of the eccentricity of a hyperbola is at least: what is nearer is as good as a parabola.
_LEAST = 1e-9


def _normal(curve, point):
    """The normal of the polar of a point, and its distance from the focus times the length of that."""
    if len(curve) != 5:
        return point[0] - curve[0], point[1] - curve[1], curve[2]
    fx, fy, ux, uy, latus = curve
    x, y = point[0] - fx, point[1] - fy
    reach = ux * x + uy * y
    return x - ux * (reach + latus), y - uy * (reach + latus), latus * (reach + latus)


def polar(m: Arithmetic, curve: Round | Conic, point: Point) -> Straight:
    """The polar of a point; undefined for the centre."""
    nx, ny, along = _normal(curve, point)
    size = nx * nx + ny * ny
    share = m.divide(along, size)
    return curve[0] + share * nx, curve[1] + share * ny, -ny, nx, -inf, inf


def pole(m: Arithmetic, curve: Round | Conic, straight: Straight) -> Point:
    """The point whose polar a line is; undefined where the line goes through the centre."""
    px, py, dx, dy = straight[:4]
    nx, ny = -dy, dx
    along = nx * (px - curve[0]) + ny * (py - curve[1])
    if len(curve) != 5:
        share = m.divide(curve[2], along)
        return curve[0] + share * nx, curve[1] + share * ny
    fx, fy, ux, uy, latus = curve
    square, reach = ux * ux + uy * uy, ux * nx + uy * ny
    below = along * (1 - square) - latus * reach
    out, back = m.divide(latus * latus, below), m.divide(latus * (latus * reach + square * along), below)
    return fx + out * nx + (latus + back) * ux, fy + out * ny + (latus + back) * uy


def tangent_at(m: Arithmetic, curve: Conic, point: Point) -> Straight:
    """The tangent to a conic at a point of it."""
    nx, ny, _ = _normal(curve, point)
    dx, dy = m.separate((0 * nx, 0 * ny), (nx, ny))
    return point[0], point[1], -dy, dx, -inf, inf


def touching_point(m: Arithmetic, point: Point, curve: Round | Conic, which: int) -> Point:
    """Where a tangent from a point touches: 0 or 1 along the polar of the point; undefined inside."""
    chord = polar(m, curve, point)
    return straight_conic(m, chord, curve, which) if len(curve) == 5 else straight_circle(m, chord, curve, which)


def tangent_from(m: Arithmetic, point: Point, curve: Conic, which: int) -> Straight:
    """The tangent from a point outside a conic, directed to where it touches."""
    return line(m, point, touching_point(m, point, curve, which))


def asymptote(m: Arithmetic, conic: Conic, which: int) -> Straight:
    """An asymptote of a hyperbola, 0 to the left of its axis and 1 to the right; undefined for other conics."""
    fx, fy, ux, uy, latus = conic
    square = ux * ux + uy * uy
    (square,) = m.inside((square,), (square - 1) / _LEAST, 1, inf)
    slant = m.root(square, 1)
    slant = -slant if which else slant
    share = m.divide(latus, 1 - square)
    return fx + share * ux, fy + share * uy, ux - slant * uy, uy + slant * ux, -inf, inf


def radical_axis(m: Arithmetic, a: Circle, b: Circle) -> Straight:
    """The points of equal power to two circles, a line; undefined where these have one centre."""
    dx, dy = m.separate((a[0], a[1]), (b[0], b[1]))
    size = dx * dx + dy * dy
    share = m.divide(a[2] - b[2] + size, 2 * size)
    return a[0] + share * dx, a[1] + share * dy, -dy, dx, -inf, inf


def towards(m: Arithmetic, distance: Number, start: Point, end: Point) -> Point:
    """The point at a distance from one point in the direction of another."""
    dx, dy = m.separate(start, end)
    share = m.divide(distance, m.sqrt(dx * dx + dy * dy))
    return start[0] + share * dx, start[1] + share * dy
