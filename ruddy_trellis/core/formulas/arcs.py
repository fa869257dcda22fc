"""Arcs, and the sectors and chord regions that they bound."""

from math import inf

from ..arithmetic.protocol import Arithmetic, Number
from .points import midpoint
from .triangles import circumcircle
from .values import Arc, Point


def arc(m: Arithmetic, centre: Point, start: Point, towards: Point) -> Arc:
    """The arc about a centre, anticlockwise from a point to the direction of another."""
    ux, uy = m.separate(centre, start)
    vx, vy = m.separate(centre, towards)
    rr = ux * ux + uy * uy
    scale = m.sqrt(rr / (vx * vx + vy * vy))
    end = centre[0] + scale * vx, centre[1] + scale * vy
    wx, wy = m.separate(start, end)
    return (centre[0], centre[1], rr, start[0], start[1], *m.inside(end, wx * wx + wy * wy, 0, inf))


def arc_through(m: Arithmetic, a: Point, b: Point, c: Point) -> Arc:
    """The arc from a through b to c; kept anticlockwise, so it starts at c where b lies on the other side."""
    circle = circumcircle(m, a, b, c)
    turn = (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])
    start = tuple(m.choose(turn, a[i], c[i]) for i in (0, 1))
    end = tuple(m.choose(turn, c[i], a[i]) for i in (0, 1))
    return (*circle, *start, *end)


def semicircle(m: Arithmetic, a: Point, b: Point) -> Arc:
    """Half a circle on the diameter from a to b, anticlockwise from a."""
    dx, dy = m.separate(a, b)
    return (*midpoint(m, a, b), (dx * dx + dy * dy) / 4, *a, *b)


def seen_arc(m: Arithmetic, a: Point, b: Point, angle: Number) -> Arc:
    """The arc left of the way from a to b from whose points ab is seen under an angle in degrees (Euclid III 21, 33), anticlockwise from
    b: its centre is on the perpendicular bisector, under twice the angle. Undefined unless the angle is between 0° and 180°."""
    (dx, dy), (mx, my) = m.separate(a, b), midpoint(m, a, b)
    cosine, sine = m.cos_sin(angle)
    (sine,) = m.inside((sine,), sine, 1e-9, 2)
    up = m.divide(cosine, 2 * sine)
    return mx - up * dy, my + up * dx, m.divide(dx * dx + dy * dy, 4 * sine * sine), *b, *a


def on_arc(m: Arithmetic, point: Point, arc: Arc) -> Point:
    """A point of the circle, where it lies on the arc; undefined elsewhere.

    An anticlockwise arc is the part of its circle to the right of its chord, so one sign decides.
    """
    _, _, rr, ax, ay, bx, by = arc
    side = (point[0] - ax) * (by - ay) - (point[1] - ay) * (bx - ax)
    return m.inside(point, side / rr, 0, inf)


def sweep(m: Arithmetic, arc: Arc) -> Number:
    """How far an arc turns, in degrees, above 0 and below 360."""
    cx, cy, _, ax, ay, bx, by = arc
    ux, uy, vx, vy = ax - cx, ay - cy, bx - cx, by - cy
    # Seen from half a turn on: so the leap from -180° to 180° is where an arc would begin and end in one point.
    return 180 + m.angle(-(ux * vx + uy * vy), -(ux * vy - uy * vx))


def point_on_arc(m: Arithmetic, arc: Arc, share: Number) -> Point:
    """The point at a share of the way along an arc, held between its ends."""
    share = m.choose(share, share, m.number(0))
    share = m.choose(1 - share, share, m.number(1))
    cx, cy, _, ax, ay = arc[:5]
    cosine, sine = m.cos_sin(share * sweep(m, arc))
    ux, uy = ax - cx, ay - cy
    return cx + cosine * ux - sine * uy, cy + sine * ux + cosine * uy


def arc_length(m: Arithmetic, arc: Arc) -> Number:
    """The length along an arc."""
    return sweep(m, arc) / 180 * m.pi() * m.sqrt(arc[2])


def sector_area(m: Arithmetic, arc: Arc) -> Number:
    """The area between an arc and the radii to its ends."""
    return sweep(m, arc) / 360 * m.pi() * arc[2]


def chord_region_area(m: Arithmetic, arc: Arc) -> Number:
    """The area between an arc and its chord: the sector less the triangle, which is negative beyond half a turn."""
    cx, cy, _, ax, ay, bx, by = arc
    return sector_area(m, arc) - ((ax - cx) * (by - cy) - (ay - cy) * (bx - cx)) / 2


def sector_perimeter(m: Arithmetic, arc: Arc) -> Number:
    """The length round a sector."""
    return arc_length(m, arc) + 2 * m.sqrt(arc[2])


def chord_region_perimeter(m: Arithmetic, arc: Arc) -> Number:
    """The length round a chord region."""
    dx, dy = arc[5] - arc[3], arc[6] - arc[4]
    return arc_length(m, arc) + m.sqrt(dx * dx + dy * dy)
