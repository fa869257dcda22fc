"""Transformations and the images they make.

A transformation is ``(a, b, c, d, e, f)``: the point (x, y) goes to (a x + b y + e, c x + d y + f). A similarity keeps
shapes; a shear or a stretch does not. A reflection in a circle (inversion) is that circle, ``(cx, cy, rr)``.
"""

from math import inf

from ..arithmetic.protocol import Arithmetic, Number
from ..arithmetic.undefined import Undefined
from .conics import from_coefficients
from .values import Arc, Circle, Conic, Map, Point, Polygon, Straight


def translation(m: Arithmetic, a: Point, b: Point) -> Map:
    """The translation that takes a to b."""
    one, zero = m.number(1), m.number(0)
    return one, zero, zero, one, b[0] - a[0], b[1] - a[1]


def translation_along(m: Arithmetic, vector: Straight) -> Map:
    """The translation along a vector."""
    one, zero = m.number(1), m.number(0)
    return one, zero, zero, one, vector[2], vector[3]


def translation_by(m: Arithmetic, dx: Number, dy: Number) -> Map:
    """The translation by so much to the right and so much upwards."""
    one, zero = m.number(1), m.number(0)
    return one, zero, zero, one, dx, dy


def _about(m, centre, a, b, c, d):
    """The transformation with this linear part that leaves a point where it is."""
    x, y = centre
    return a, b, c, d, x - a * x - b * y, y - c * x - d * y


def rotation(m: Arithmetic, centre: Point, angle: Number) -> Map:
    """The rotation about a centre by an angle, anticlockwise."""
    cosine, sine = m.cos_sin(angle)
    return _about(m, centre, cosine, -sine, sine, cosine)


def rotation_by_corner(m: Arithmetic, centre: Point, a: Point, vertex: Point, c: Point) -> Map:
    """The rotation about a centre by the angle from the arm to a round to the arm to c, anticlockwise."""
    ux, uy = m.separate(vertex, a)
    vx, vy = m.separate(vertex, c)
    size = m.sqrt((ux * ux + uy * uy) * (vx * vx + vy * vy))
    cosine, sine = (ux * vx + uy * vy) / size, (ux * vy - uy * vx) / size
    return _about(m, centre, cosine, -sine, sine, cosine)


def point_reflection(m: Arithmetic, centre: Point) -> Map:
    """The reflection in a point: half a turn about it."""
    return _about(m, centre, m.number(-1), m.number(0), m.number(0), m.number(-1))


def enlargement(m: Arithmetic, centre: Point, factor: Number) -> Map:
    """The enlargement from a centre; a negative factor turns it over to the other side."""
    return _about(m, centre, factor, m.number(0), m.number(0), factor)


def _along_line(straight, size, along, across):
    """The linear part that takes the unit vector v square to a line to ``across v + along u``, u being its direction."""
    ux, uy = straight[2], straight[3]
    nx, ny = -uy, ux
    # The identity, and on the share n . P of the normal what it becomes less what it was; divided by |u|^2 once.
    ax, ay = along * ux + (across - 1) * nx, along * uy + (across - 1) * ny
    return 1 + ax * nx / size, ax * ny / size, ay * nx / size, 1 + ay * ny / size


def _fixing(m, straight, along, across):
    size = m.divide(straight[2] * straight[2] + straight[3] * straight[3], m.number(1))
    return _about(m, straight[:2], *_along_line(straight, size, along, across))


def reflection(m: Arithmetic, mirror: Straight) -> Map:
    """The reflection in a line."""
    return _fixing(m, mirror, m.number(0), m.number(-1))


def shear(m: Arithmetic, line: Straight, factor: Number) -> Map:
    """The shear that leaves a line in its place: points move along it by so many times their distance from it."""
    return _fixing(m, line, factor, m.number(1))


def stretch(m: Arithmetic, line: Straight, factor: Number) -> Map:
    """The stretch that leaves a line in its place: distances from it grow so many times."""
    return _fixing(m, line, m.number(0), factor)


def glide_reflection(m: Arithmetic, mirror: Straight, vector: Straight) -> Map:
    """The reflection in a line, then the translation by the part of a vector that runs along it."""
    a, b, c, d, e, f = reflection(m, mirror)
    ux, uy = mirror[2], mirror[3]
    share = m.divide(ux * vector[2] + uy * vector[3], ux * ux + uy * uy)
    return a, b, c, d, e + share * ux, f + share * uy


def composition(m: Arithmetic, first: Map, then: Map) -> Map:
    """The one transformation that does first the one, then the other."""
    a, b, c, d, e, f = first
    p, q, r, s, t, u = then
    return p * a + q * c, p * b + q * d, r * a + s * c, r * b + s * d, p * e + q * f + t, r * e + s * f + u


def inverse(m: Arithmetic, map: Map) -> Map:
    """The transformation that undoes another."""
    a, b, c, d, e, f = map
    size = a * d - b * c
    p, q, r, s = m.divide(d, size), m.divide(-b, size), m.divide(-c, size), m.divide(a, size)
    return p, q, r, s, -p * e - q * f, -r * e - s * f


def repeated(m: Arithmetic, map: Map, times: Number) -> Map:
    """A transformation done so many times; a negative number undoes it as often."""
    times = m.whole(times)
    base = map if times >= 0 else inverse(m, map)
    made = translation_by(m, m.number(0), m.number(0))
    for digit in bin(abs(times))[2:]:
        made = composition(m, made, made)
        if digit == "1":
            made = composition(m, made, base)
    return made


# Images -----------------------------------------------------------------------------------------------------


def image_of_point(m: Arithmetic, point: Point, map: Map) -> Point:
    """The image of a point."""
    a, b, c, d, e, f = map
    return a * point[0] + b * point[1] + e, c * point[0] + d * point[1] + f


def image_of_straight(m: Arithmetic, straight: Straight, map: Map) -> Straight:
    """The image of a straight thing, with the same ends; undefined where everything goes to one point."""
    a, b, c, d = map[:4]
    px, py, dx, dy, low, high = straight
    zero = m.number(0)
    direction = m.separate((zero, zero), (a * dx + b * dy, c * dx + d * dy))
    return (*image_of_point(m, (px, py), map), *direction, low, high)


def image_of_polygon(m: Arithmetic, polygon: Polygon, map: Map) -> Polygon:
    """The image of a polygon, corner by corner."""
    return tuple(image_of_point(m, corner, map) for corner in polygon)


def image_of_circle(m: Arithmetic, circle: Circle, map: Map) -> Circle:
    """The image of a circle under a similarity."""
    scale = map[0] * map[0] + map[2] * map[2]
    return (*image_of_point(m, (circle[0], circle[1]), map), circle[2] * scale)


def image_of_arc(m: Arithmetic, arc: Arc, map: Map) -> Arc:
    """The image of an arc, a sector or a chord region under a similarity, anticlockwise again."""
    start, end = image_of_point(m, arc[3:5], map), image_of_point(m, arc[5:7], map)
    turn = map[0] * map[3] - map[1] * map[2]
    ends = [tuple(m.choose(turn, p[i], q[i]) for i in (0, 1)) for p, q in ((start, end), (end, start))]
    return (*image_of_circle(m, arc[:3], map), *ends[0], *ends[1])


def image_of_conic(m: Arithmetic, conic: Conic, map: Map) -> Conic:
    """The image of a conic under a similarity: lengths grow with it, the eccentricity stays."""
    a, b, c, d = map[:4]
    fx, fy, ux, uy, latus = conic
    scale = m.sqrt(a * a + c * c)
    return (*image_of_point(m, (fx, fy), map), (a * ux + b * uy) / scale, (c * ux + d * uy) / scale, latus * scale)


def bent_conic(m: Arithmetic, conic: Conic, map: Map, towards: Point | None = None) -> Conic:
    """The image of a conic under any transformation: its equation in the coordinates of the image. Its first focus is the one
    nearer to the image of the first focus, or of another point that is given."""
    fx, fy, ux, uy, latus = conic
    w = latus - ux * fx - uy * fy
    a, b, c = 1 - ux * ux, -2 * ux * uy, 1 - uy * uy
    d, e, f = -2 * (fx + ux * w), -2 * (fy + uy * w), fx * fx + fy * fy - w * w
    p, q, r, s, t, u = inverse(m, map)
    return from_coefficients(
        m,
        a * p * p + b * p * r + c * r * r,
        2 * a * p * q + b * (p * s + q * r) + 2 * c * r * s,
        a * q * q + b * q * s + c * s * s,
        2 * a * p * t + b * (p * u + r * t) + 2 * c * r * u + d * p + e * r,
        2 * a * q * t + b * (q * u + s * t) + 2 * c * s * u + d * q + e * s,
        a * t * t + b * t * u + c * u * u + d * t + e * u + f,
        towards=image_of_point(m, towards or (fx, fy), map),
    )


def bent_circle(m: Arithmetic, circle: Circle, map: Map) -> Conic:
    """The image of a circle under any transformation, an ellipse."""
    radius = m.sqrt(circle[2])
    return bent_conic(m, (circle[0], circle[1], m.number(0), m.number(0), radius), map, (circle[0] + radius, circle[1]))


# Reflection in a circle -------------------------------------------------------------------------------------


def inverted_point(m: Arithmetic, point: Point, circle: Circle) -> Point:
    """The point on the same ray from the centre whose distance times that of the point is the radius squared."""
    dx, dy = m.separate(circle[:2], point)
    share = circle[2] / (dx * dx + dy * dy)
    return circle[0] + share * dx, circle[1] + share * dy


def inverted_line(m: Arithmetic, straight: Straight, circle: Circle) -> Circle:
    """The image of a line that misses the centre: a circle through the centre."""
    px, py, dx, dy = straight[:4]
    ex, ey = px - circle[0], py - circle[1]
    cross = m.cross((dx, dy), (ex, ey))
    # Half-way to the image of the foot of the centre, which is the far end of a diameter.
    share = circle[2] / (2 * cross)
    x, y = -dy * share, dx * share
    return circle[0] + x, circle[1] + y, x * x + y * y


def inverted_straight(m: Arithmetic, straight: Straight, circle: Circle) -> Arc:
    """The image of a segment or a ray whose line misses the centre: the arc of the line's image between the images of its
    ends, on the side away from the centre, which is the image of what is infinitely far."""
    cx, cy, square = inverted_line(m, straight, circle)
    px, py, dx, dy, low, high = straight
    start = inverted_point(m, (px + low * dx, py + low * dy), circle)
    end = (circle[0], circle[1]) if high == inf else inverted_point(m, (px + high * dx, py + high * dy), circle)
    # Anticlockwise from one end to the other; seen from the centre, the line runs the other way round than its image.
    turns = dx * (py - circle[1]) - dy * (px - circle[0])
    first, last = (tuple(m.choose(turns, p, q) for p, q in zip(*pair)) for pair in ((end, start), (start, end)))
    return cx, cy, square, first[0], first[1], last[0], last[1]


def inverted_circle(m: Arithmetic, round: Circle, circle: Circle) -> Circle:
    """The image of a circle that misses the centre: another circle."""
    dx, dy = round[0] - circle[0], round[1] - circle[1]
    share = m.divide(circle[2], dx * dx + dy * dy - round[2])
    return circle[0] + share * dx, circle[1] + share * dy, share * share * round[2]


# Which one is it? -------------------------------------------------------------------------------------------


def between(m: Arithmetic, polygon: Polygon, image: Polygon) -> Map:
    """The similarity that takes one polygon to another, corner by corner: one that keeps the way round, or else one that
    turns it over. Undefined where there is none."""
    if len(polygon) != len(image):
        raise Undefined("they have not as many corners")
    found = _from_two(m, polygon, image)
    wanted, made = image[2], image_of_point(m, polygon[2], found)
    size = (image[1][0] - image[0][0]) * (image[1][0] - image[0][0]) + (image[1][1] - image[0][1]) * (image[1][1] - image[0][1])
    off = (made[0] - wanted[0]) * (made[0] - wanted[0]) + (made[1] - wanted[1]) * (made[1] - wanted[1])
    turned = _from_two(m, polygon, image, over=True)
    map = tuple(m.choose(1e-12 * size - off, p, q) for p, q in zip(found, turned))
    for corner, wanted in zip(polygon[2:], image[2:]):
        made = image_of_point(m, corner, map)
        off = (made[0] - wanted[0]) * (made[0] - wanted[0]) + (made[1] - wanted[1]) * (made[1] - wanted[1])
        map = m.inside(map, 1 - off / (size * 1e-12), 0, 2)
    return map


def _from_two(m, polygon, image, over=False):
    """The similarity that takes the first two corners to their images, turned over or not (complex division)."""
    ux, uy = m.separate(polygon[0], polygon[1])
    vx, vy = image[1][0] - image[0][0], image[1][1] - image[0][1]
    size = ux * ux + uy * uy
    if over:
        p, q = (vx * ux - vy * uy) / size, (vx * uy + vy * ux) / size
        linear = (p, q, q, -p)
    else:
        p, q = (ux * vx + uy * vy) / size, (ux * vy - uy * vx) / size
        linear = (p, -q, q, p)
    a, b, c, d = linear
    x, y = polygon[0]
    return a, b, c, d, image[0][0] - a * x - b * y, image[0][1] - c * x - d * y
