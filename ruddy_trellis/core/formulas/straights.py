"""Segments, rays and lines."""

from math import inf

from ..arithmetic.protocol import Arithmetic, Number
from .intersections import straight_straight
from .points import foot, midpoint
from .triangles import circumcentre, orthocentre
from .values import Circle, Point, Straight


def segment(m: Arithmetic, a: Point, b: Point) -> Straight:
    """The segment from a to b."""
    dx, dy = m.separate(a, b)
    return a[0], a[1], dx, dy, 0, 1


def ray(m: Arithmetic, a: Point, b: Point) -> Straight:
    """The ray from a through b."""
    dx, dy = m.separate(a, b)
    return a[0], a[1], dx, dy, 0, inf


def line(m: Arithmetic, a: Point, b: Point) -> Straight:
    """The line through a and b, directed from a to b."""
    dx, dy = m.separate(a, b)
    return a[0], a[1], dx, dy, -inf, inf


def parallel(m: Arithmetic, straight: Straight, point: Point) -> Straight:
    """The line through a point with the direction of a straight thing."""
    return point[0], point[1], straight[2], straight[3], -inf, inf


def perpendicular(m: Arithmetic, straight: Straight, point: Point) -> Straight:
    """The line through a point, directed a quarter turn anticlockwise from a straight thing."""
    return point[0], point[1], -straight[3], straight[2], -inf, inf


def perpendicular_bisector(m: Arithmetic, a: Point, b: Point) -> Straight:
    """The line of points equally far from a and b, directed a quarter turn anticlockwise from a to b."""
    dx, dy = m.separate(a, b)
    return (a[0] + b[0]) / 2, (a[1] + b[1]) / 2, -dy, dx, -inf, inf


def angle_bisector(m: Arithmetic, a: Point, vertex: Point, c: Point) -> Straight:
    """The line that halves the angle from a to c at the vertex, directed into the angle.

    With unit arms u and v it runs along u + v; near a straight angle that sum fades, and the quarter turn of
    u - v, which has the same direction, is used instead. A straight angle is halved by its perpendicular.
    """
    ux, uy = m.separate(vertex, a)
    vx, vy = m.separate(vertex, c)
    u_size = m.sqrt(ux * ux + uy * uy)
    v_size = m.sqrt(vx * vx + vy * vy)
    ux, uy, vx, vy = ux / u_size, uy / u_size, vx / v_size, vy / v_size
    sharp = ux * vx + uy * vy
    turn = m.choose(ux * vy - uy * vx, m.number(1), m.number(-1))
    dx = m.choose(sharp, ux + vx, turn * (vy - uy))
    dy = m.choose(sharp, uy + vy, turn * (ux - vx))
    return vertex[0], vertex[1], dx, dy, -inf, inf


def horizontal(m: Arithmetic, point: Point) -> Straight:
    """The line through a point that runs to the right."""
    return point[0], point[1], m.number(1), m.number(0), -inf, inf


def vertical(m: Arithmetic, point: Point) -> Straight:
    """The line through a point that runs upwards."""
    return point[0], point[1], m.number(0), m.number(1), -inf, inf


def at_angle(m: Arithmetic, point: Point, straight: Straight, angle: Number) -> Straight:
    """The line through a point whose direction is that of a straight thing turned anticlockwise by an angle."""
    cosine, sine = m.cos_sin(angle)
    dx, dy = straight[2], straight[3]
    return point[0], point[1], cosine * dx - sine * dy, sine * dx + cosine * dy, -inf, inf


def median(m: Arithmetic, corner: Point, a: Point, b: Point) -> Straight:
    """The segment from a corner to the middle of the side that faces it."""
    return segment(m, corner, midpoint(m, a, b))


def altitude(m: Arithmetic, corner: Point, straight: Straight) -> Straight:
    """The segment from a corner square to the line of the side that faces it."""
    return segment(m, corner, foot(m, corner, straight))


def tangent_at(m: Arithmetic, circle: Circle, point: Point) -> Straight:
    """The tangent to a circle at a point of it, directed anticlockwise round the circle."""
    dx, dy = m.separate((circle[0], circle[1]), point)
    return point[0], point[1], -dy, dx, -inf, inf


def tangent_from(m: Arithmetic, point: Point, circle: Circle, which: int) -> Straight:
    """The tangent from a point outside a circle, directed to where it touches.

    Seen from the centre towards the point, tangent 0 touches on the left, tangent 1 on the right.
    """
    cx, cy, rr = circle[:3]
    dx, dy = m.separate((cx, cy), point)
    size = dx * dx + dy * dy
    height = m.root(rr * size, rr * rr) / size
    if which:
        height = -height
    touching = (cx + rr / size * dx - height * dy, cy + rr / size * dy + height * dx)
    return line(m, point, touching)


def bisector_of_lines(m: Arithmetic, a: Straight, b: Straight, which: int) -> Straight:
    """A line that halves the angle of two straight things where their lines cross: the one between their directions,
    or the one square to it."""
    endless = [(*straight[:4], -inf, inf) for straight in (a, b)]
    at = straight_straight(m, *endless)
    (ux, uy), (vx, vy) = ((s[2] / size, s[3] / size) for s in endless for size in [m.sqrt(s[2] * s[2] + s[3] * s[3])])
    sharp = ux * vx + uy * vy
    turn = m.choose(ux * vy - uy * vx, m.number(1), m.number(-1))
    # u + v, or the quarter turn of u - v where that sum fades (see angle_bisector).
    dx = m.choose(sharp, ux + vx, turn * (vy - uy))
    dy = m.choose(sharp, uy + vy, turn * (ux - vx))
    if which:
        dx, dy = -dy, dx
    return at[0], at[1], dx, dy, -inf, inf


def common_tangent(m: Arithmetic, a: Circle, b: Circle, which: int) -> Straight:
    """A line that touches two circles: 0 and 1 leave both on one side, 2 and 3 run between them.

    Its normal n has n . (b - a) = r - s for radii r and s (r + s between them); 0 and 2 touch the first circle on the
    left of the line of centres.
    """
    dx, dy = m.separate((a[0], a[1]), (b[0], b[1]))
    r, s = m.sqrt(a[2]), m.sqrt(b[2])
    if which >= 2:
        s = -s
    size = dx * dx + dy * dy
    along = r - s
    height = m.root(size, along * along)
    if which % 2:
        height = -height
    nx, ny = (along * dx - height * dy) / size, (along * dy + height * dx) / size
    return a[0] + r * nx, a[1] + r * ny, ny, -nx, -inf, inf


def euler_line(m: Arithmetic, a: Point, b: Point, c: Point) -> Straight:
    """The line through the circumcentre, the centroid and the orthocentre; equal sides leave none."""
    return line(m, circumcentre(m, a, b, c), orthocentre(m, a, b, c))


def at_distance(m: Arithmetic, a: Point, length: Number, angle: Number) -> Straight:
    """The segment of a given length from a point in a direction, in degrees anticlockwise from the right."""
    cosine, sine = m.cos_sin(angle)
    (length,) = m.inside((length,), length, 1e-9, inf)
    return a[0], a[1], length * cosine, length * sine, 0, 1


def far_end(m: Arithmetic, straight: Straight) -> Point:
    """The end of a segment or a vector at which it does not start."""
    return straight[0] + straight[2], straight[1] + straight[3]
