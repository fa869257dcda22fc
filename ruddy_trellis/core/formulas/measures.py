"""Lengths, angles and areas."""

from ..arithmetic.protocol import Arithmetic, Number
from ..arithmetic.undefined import Undefined
from .values import Circle, Point, Polygon, Round, Straight


def distance(m: Arithmetic, a: Point, b: Point) -> Number:
    """The distance between two points."""
    dx, dy = b[0] - a[0], b[1] - a[1]
    return m.sqrt(dx * dx + dy * dy)


def distance_to_line(m: Arithmetic, point: Point, straight: Straight) -> Number:
    """The distance from a point to the whole line that a straight thing lies on."""
    px, py, dx, dy = straight[:4]
    cross = dx * (point[1] - py) - dy * (point[0] - px)
    return m.sqrt(m.divide(cross * cross, dx * dx + dy * dy))


def radius(m: Arithmetic, circle: Round) -> Number:
    """The radius of a circle."""
    return m.sqrt(circle[2])


def angle(m: Arithmetic, a: Point, vertex: Point, c: Point) -> Number:
    """The angle between two arms, from 0 to 180 degrees, whichever is named first."""
    u = m.separate(vertex, a)
    v = m.separate(vertex, c)
    return m.angle(u[0] * v[0] + u[1] * v[1], m.absolute(u[0] * v[1] - u[1] * v[0]))


def reflex_angle(m: Arithmetic, a: Point, vertex: Point, c: Point) -> Number:
    """The angle between two arms measured the long way round, from 180 to 360 degrees."""
    return 360 - angle(m, a, vertex, c)


def polygon_area(m: Arithmetic, polygon: Polygon) -> Number:
    """The area inside a polygon that does not cross itself (the shoelace formula)."""
    total = m.number(0)
    for (ax, ay), (bx, by) in zip(polygon, polygon[1:] + polygon[:1]):
        total = total + ax * by - ay * bx
    return m.absolute(total) / 2


def circle_area(m: Arithmetic, circle: Circle) -> Number:
    """The area inside a circle."""
    return m.pi() * circle[2]


def directed_angle(m: Arithmetic, a: Point, vertex: Point, c: Point) -> Number:
    """The angle from the first arm anticlockwise to the last, from 0 to 360 degrees."""
    u = m.separate(vertex, a)
    v = m.separate(vertex, c)
    turned = m.angle(u[0] * v[0] + u[1] * v[1], u[0] * v[1] - u[1] * v[0])
    return m.choose(turned, turned, turned + 360)


def circumference(m: Arithmetic, circle: Round) -> Number:
    """The length round a circle."""
    return 2 * m.pi() * m.sqrt(circle[2])


def perimeter(m: Arithmetic, polygon: Polygon) -> Number:
    """The length round a polygon."""
    total = m.number(0)
    for a, b in zip(polygon, polygon[1:] + polygon[:1]):
        total = total + distance(m, a, b)
    return total


def slope(m: Arithmetic, straight: Straight) -> Number:
    """How far a straight thing rises for every unit to the right; undefined where it is upright."""
    across = m.cross((straight[2], straight[3]), (m.number(0), m.number(1)))
    return straight[3] / across


def ratio_of_lengths(m: Arithmetic, a: Point, b: Point, c: Point, d: Point) -> Number:
    """The distance from a to b over that from c to d."""
    return m.divide(distance(m, a, b), distance(m, c, d))


def angle_between(m: Arithmetic, a: Straight, b: Straight) -> Number:
    """The angle between the lines of two straight things, from 0 to 90 degrees."""
    ux, uy, vx, vy = a[2], a[3], b[2], b[3]
    return m.angle(m.absolute(ux * vx + uy * vy), m.absolute(ux * vy - uy * vx))


def interior_angle(m: Arithmetic, polygon: Polygon, corner: Point) -> Number:
    """The angle inside a polygon at one of its corners, from 0 to 360 degrees; the corners may run either way."""
    number = next((place for place, other in enumerate(polygon) if other is corner), None)
    if number is None:
        raise Undefined("it is no corner of the polygon")
    before, after = polygon[number - 1], polygon[(number + 1) % len(polygon)]
    total = m.number(0)
    for (ax, ay), (bx, by) in zip(polygon, polygon[1:] + polygon[:1]):
        total = total + ax * by - ay * bx
    turned = directed_angle(m, after, corner, before)
    return m.choose(total, turned, 360 - turned)
