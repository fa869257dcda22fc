"""The centres and circles of a triangle. All are undefined where its corners stand in one line."""

from math import inf

from ..arithmetic.adding import total
from ..arithmetic.protocol import Arithmetic
from .measures import distance
from .values import Circle, Point


def centroid(m: Arithmetic, a: Point, b: Point, c: Point) -> Point:
    """Where the medians meet."""
    a = _standing(m, a, b, c)
    return (a[0] + b[0] + c[0]) / 3, (a[1] + b[1] + c[1]) / 3


def circumcentre(m: Arithmetic, a: Point, b: Point, c: Point) -> Point:
    """The point equally far from the three corners."""
    u, v = m.separate(a, b), m.separate(a, c)
    twice = 2 * m.cross(u, v)
    uu, vv = u[0] * u[0] + u[1] * u[1], v[0] * v[0] + v[1] * v[1]
    return a[0] + (v[1] * uu - u[1] * vv) / twice, a[1] + (u[0] * vv - v[0] * uu) / twice


def incentre(m: Arithmetic, a: Point, b: Point, c: Point) -> Point:
    """The point equally far from the three sides: the corners weighted by the sides that face them."""
    a = _standing(m, a, b, c)
    weights = distance(m, b, c), distance(m, c, a), distance(m, a, b)
    total = weights[0] + weights[1] + weights[2]
    return tuple((weights[0] * a[i] + weights[1] * b[i] + weights[2] * c[i]) / total for i in (0, 1))


def orthocentre(m: Arithmetic, a: Point, b: Point, c: Point) -> Point:
    """Where the altitudes meet. With the circumcentre O as origin it is the sum of the corners (Euler)."""
    o = circumcentre(m, a, b, c)
    return a[0] + b[0] + c[0] - 2 * o[0], a[1] + b[1] + c[1] - 2 * o[1]


def nine_point_centre(m: Arithmetic, a: Point, b: Point, c: Point) -> Point:
    """Half-way from the circumcentre to the orthocentre."""
    o, h = circumcentre(m, a, b, c), orthocentre(m, a, b, c)
    return (o[0] + h[0]) / 2, (o[1] + h[1]) / 2


def circumcircle(m: Arithmetic, a: Point, b: Point, c: Point) -> Circle:
    """The circle through three points."""
    x, y = circumcentre(m, a, b, c)
    return x, y, (a[0] - x) * (a[0] - x) + (a[1] - y) * (a[1] - y)


def incircle(m: Arithmetic, a: Point, b: Point, c: Point) -> Circle:
    """The circle that touches the three sides; its radius is twice the area over the perimeter."""
    x, y = incentre(m, a, b, c)
    twice_area = m.cross(m.separate(a, b), m.separate(a, c))
    radius = twice_area / (distance(m, a, b) + distance(m, b, c) + distance(m, c, a))
    return x, y, radius * radius


def excircle(m: Arithmetic, a: Point, b: Point, c: Point) -> Circle:
    """The circle that touches the side facing a from outside, and the lines of the other two."""
    a = _standing(m, a, b, c)
    weights = -distance(m, b, c), distance(m, c, a), distance(m, a, b)
    girth = weights[0] + weights[1] + weights[2]
    x, y = (total(w * p[i] for w, p in zip(weights, (a, b, c))) / girth for i in (0, 1))
    radius = m.cross(m.separate(a, b), m.separate(a, c)) / girth
    return x, y, radius * radius


def nine_point_circle(m: Arithmetic, a: Point, b: Point, c: Point) -> Circle:
    """The circle through the midpoints of the sides, with half the radius of the circumcircle."""
    x, y = nine_point_centre(m, a, b, c)
    return x, y, circumcircle(m, a, b, c)[2] / 4


def _standing(m, a, b, c):
    """The first corner of a triangle; undefined where the triangle is flat."""
    cross = m.cross(m.separate(a, b), m.separate(a, c))
    return m.inside(a, cross * cross, 0, inf)
