"""Points made from points, and points that ride on something."""

from math import inf

from ..arithmetic.adding import total
from ..arithmetic.protocol import Arithmetic, Number
from .values import Circle, Point, Polygon, Round, Straight


def midpoint(m: Arithmetic, a: Point, b: Point) -> Point:
    """The point half-way from a to b."""
    return (a[0] + b[0]) / 2, (a[1] + b[1]) / 2


def middle_of_corners(corners: Polygon) -> Point:
    """The mean of some corners."""
    return total(x for x, _ in corners) / len(corners), total(y for _, y in corners) / len(corners)


def point_on_straight(m: Arithmetic, straight: Straight, share: Number) -> Point:
    """The point at ``share`` of the way along the direction of a straight thing, held between its ends.

    A share beyond an end gives that end, so that a point slides to the end and stays.
    """
    px, py, dx, dy, low, high = straight
    if low > -inf:
        share = m.choose(share - low, share, m.number(low))
    if high < inf:
        share = m.choose(high - share, share, m.number(high))
    return px + share * dx, py + share * dy


def point_on_circle(m: Arithmetic, circle: Circle, angle: Number) -> Point:
    """The point of a circle in the direction ``angle``, in degrees anticlockwise from the right."""
    cx, cy, rr = circle[:3]
    radius = m.sqrt(rr)
    cosine, sine = m.cos_sin(angle)
    return cx + radius * cosine, cy + radius * sine


def share_along(m: Arithmetic, straight: Straight, point: Point) -> Number:
    """Where the foot of a point falls on a straight thing, as a share of its direction (not held to its ends)."""
    px, py, dx, dy = straight[:4]
    return m.divide((point[0] - px) * dx + (point[1] - py) * dy, dx * dx + dy * dy)


def foot(m: Arithmetic, point: Point, straight: Straight) -> Point:
    """The foot of the perpendicular from a point to the whole line that a straight thing lies on."""
    share = share_along(m, straight, point)
    return straight[0] + share * straight[2], straight[1] + share * straight[3]


def dividing(m: Arithmetic, a: Point, b: Point, first: Point, second: Point) -> Point:
    """The point that divides the way from a to b in the ratio first : second; negative parts divide it outside."""
    share = m.divide(first, first + second)
    return a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1])


def centre(m: Arithmetic, circle: Round) -> Point:
    """The centre of a circle."""
    return circle[0], circle[1]


def turned(m: Arithmetic, point: Point, centre: Point, angle: Number) -> Point:
    """A point turned about a centre by an angle, anticlockwise."""
    cosine, sine = m.cos_sin(angle)
    x, y = point[0] - centre[0], point[1] - centre[1]
    return centre[0] + cosine * x - sine * y, centre[1] + sine * x + cosine * y


def mirrored(m: Arithmetic, point: Point, mirror: Straight) -> Point:
    """The mirror image of a point in the whole line that a straight thing lies on."""
    x, y = foot(m, point, mirror)
    return 2 * x - point[0], 2 * y - point[1]


def fourth_corner(m: Arithmetic, a: Point, b: Point, c: Point) -> Point:
    """The corner D that makes a parallelogram ABCD."""
    return a[0] + c[0] - b[0], a[1] + c[1] - b[1]


def point_on_polygon(m: Arithmetic, polygon: Polygon, place: Number) -> Point:
    """The point on the sides of a polygon: the whole part of its place says which side, the rest how far along it.

    Beyond the last corner it starts again at the first, for up to one more round.
    """
    count = len(polygon)
    place = m.choose(place, place, place + count)
    place = m.choose(place - count, place - count, place)
    at = polygon[0]
    for number, (a, b) in enumerate(zip(polygon, (*polygon[1:], polygon[0]))):
        share = place - number
        at = tuple(m.choose(share, a[i] + share * (b[i] - a[i]), at[i]) for i in (0, 1))
    return at
