"""Conics: a focus F, a vector u and a length l with |P - F| = |u . (P - F) + l| for every point P of the conic.

The length of u is the eccentricity e. In the direction d from the focus the point is at ``l / (1 - u . d)``, so one
form serves circles (u = 0), ellipses (e < 1), parabolas (e = 1) and hyperbolas (e > 1), both branches.
"""

from math import inf

from ..arithmetic.protocol import Arithmetic, Number
from .intersections import other_root
from .measures import distance
from .values import Circle, Conic, Point, Straight

#: An ellipse flatter, or a hyperbola straighter, than this share of its size is none.
_FLAT = 1e-8
#: Below this square of its eccentricity a conic counts as a circle, with no axis of its own.
_ROUND = 1e-14
#: Crossings further away than this many times the direction of a line count as at infinity.
_FAR = 1e9


def _at_least(m, value, share, least):
    """The value, where the share is not below the least; undefined elsewhere. Unlike an end of a segment, no slack."""
    return m.inside(value, share / least, 1, inf)


def parabola(m: Arithmetic, focus: Point, directrix: Straight) -> Conic:
    """The points as far from the focus as from the directrix; undefined when the focus lies on it."""
    px, py, dx, dy = directrix[:4]
    cross = m.cross((dx, dy), (focus[0] - px, focus[1] - py))
    size = m.sqrt(dx * dx + dy * dy)
    return focus[0], focus[1], -dy / size, dx / size, cross / size


def with_sum(m: Arithmetic, first: Point, second: Point, total: Number) -> Conic:
    """The ellipse whose points have this sum of distances from two foci; a difference gives the hyperbola."""
    dx, dy = second[0] - first[0], second[1] - first[1]
    apart = dx * dx + dy * dy
    latus = m.divide(total * total - apart, 2 * total)
    return first[0], first[1], dx / total, dy / total, latus


def ellipse(m: Arithmetic, first: Point, second: Point, point: Point) -> Conic:
    """The ellipse with two foci through a point; undefined when the point is between the foci."""
    return ellipse_with_sum(m, first, second, distance(m, first, point) + distance(m, second, point))


def ellipse_with_sum(m: Arithmetic, first: Point, second: Point, total: Number) -> Conic:
    """The ellipse with two foci and the sum of the distances from them."""
    made = with_sum(m, first, second, total)
    return _at_least(m, made, 1 - distance(m, first, second) / total, _FLAT)


def hyperbola(m: Arithmetic, first: Point, second: Point, point: Point) -> Conic:
    """The hyperbola with two foci through a point; undefined when the point is as far from one as from the other."""
    return hyperbola_with_difference(m, first, second, m.absolute(distance(m, first, point) - distance(m, second, point)))


def hyperbola_with_difference(m: Arithmetic, first: Point, second: Point, difference: Number) -> Conic:
    """The hyperbola with two foci and the difference of the distances from them."""
    apart = distance(m, first, second)
    share = m.divide(difference, apart)
    made = _at_least(m, with_sum(m, first, second, difference), share, _FLAT)
    return _at_least(m, made, 1 - share, _FLAT)


def from_coefficients(
    m: Arithmetic, a: Number, b: Number, c: Number, d: Number, e: Number, f: Number, towards: Point | None = None
) -> Conic:
    """The conic a xx + b xy + c yy + d x + e y + f = 0; undefined where that is two lines, a point or nothing.

    Which of its foci is the first depends neither on where the origin is nor on which way is up: it is the one nearer to
    ``towards``, a point that belongs to the figure; without one, the focus that lies further left (of two above one
    another, the lower one).

    Comparing with the focus form scaled by k gives k a = 1 - ux ux, k c = 1 - uy uy, k b = -2 ux uy, whence
    k = 2 / (a + c + R) with R = sqrt((a - c)^2 + b^2), once the signs are turned so that the determinant is negative.
    """
    determinant = (4 * a * c * f + b * d * e - a * e * e - b * b * f - c * d * d) / 4
    scale = m.absolute(a) + m.absolute(b) + m.absolute(c)
    size = m.absolute(d) + m.absolute(e)
    weight = scale * scale * m.absolute(f) + scale * size * size
    sign = m.choose(determinant, m.number(-1), m.number(1))
    a, b, c, d, e, f = (sign * part for part in (a, b, c, d, e, f))
    spread = m.sqrt((a - c) * (a - c) + b * b)
    largest = (a + c + spread) / 2
    (a,) = _at_least(m, (a,), m.divide(m.absolute(determinant), weight), 1e-11)
    (a,) = _at_least(m, (a,), m.divide(largest, scale), 1e-11)
    a, b, c, d, e, f = (part / largest for part in (a, b, c, d, e, f))
    # u is ± the root of (1 - a, 1 - c); the larger part first, the smaller from b, so that nothing is lost.
    wide = c - a
    larger = m.sqrt(m.absolute(1 - m.choose(wide, a, c)))
    smaller = -m.choose(m.absolute(larger) - 1e-12, b / (2 * m.choose(larger - 1e-12, larger, m.number(1))), m.number(0))
    ux, uy = m.choose(wide, larger, smaller), m.choose(wide, smaller, larger)
    # w, the constant of the directrix, solves (ee - 1) w w + (d ux + e uy) w + (dd + ee) / 4 - f = 0.
    square = ux * ux + uy * uy - 1
    half = (d * ux + e * uy) / 2
    rest = (d * d + e * e) / 4 - f
    root = m.root(half * half, square * rest)
    # The root that stays finite while the conic passes through a parabola.
    w = m.divide(m.choose(half, -rest, rest), m.absolute(half) + root)
    fx, fy = -d / 2 - ux * w, -e / 2 - uy * w
    latus = ux * fx + uy * fy + w
    sign = m.choose(latus, m.number(1), m.number(-1))
    return _first_focus(m, (fx, fy, sign * ux, sign * uy, sign * latus), towards)


def _first_focus(m, conic, towards):
    """The conic with its foci in order: see :func:`from_coefficients`. A parabola has but one; a circle two in one place."""
    fx, fy, ux, uy, latus = conic
    square = 1 - ux * ux - uy * uy
    # Of what is as good as a parabola the other focus is as good as infinitely far.
    has_two = m.absolute(square) - 1e-9
    twice = 2 * latus / m.choose(has_two, square, m.number(1))
    gx, gy = fx + twice * ux, fy + twice * uy
    if towards is None:
        level = m.absolute(gx - fx) - 1e-9 * m.absolute(gy - fy)
        stays = m.choose(level, gx - fx, gy - fy)
    else:
        # |towards - G|² - |towards - F|², which keeps more digits so
        stays = (gx - fx) * (gx + fx - 2 * towards[0]) + (gy - fy) * (gy + fy - 2 * towards[1])
    stays = m.choose(has_two, stays, m.number(0))
    return (*(m.choose(stays, p, q) for p, q in ((fx, gx), (fy, gy), (ux, -ux), (uy, -uy))), latus)


def through_five(m: Arithmetic, a: Point, b: Point, c: Point, d: Point, e: Point) -> Conic:
    """The conic through five points: of the conics through the first four, the one through the last."""

    def line(p, q):
        return p[1] - q[1], q[0] - p[0], p[0] * q[1] - q[0] * p[1]

    def product(u, v):
        return (u[0] * v[0], u[0] * v[1] + u[1] * v[0], u[1] * v[1], u[0] * v[2] + u[2] * v[0], u[1] * v[2] + u[2] * v[1], u[2] * v[2])

    def at(conic, p):
        x, y = p
        return conic[0] * x * x + conic[1] * x * y + conic[2] * y * y + conic[3] * x + conic[4] * y + conic[5]

    first, second = product(line(a, b), line(c, d)), product(line(a, c), line(b, d))
    here, there = at(first, e), at(second, e)
    f, g, h, k, l, n = (there * p - here * q for p, q in zip(first, second))
    return from_coefficients(m, f, g, h, k, l, n, towards=a)


def second_focus(m: Arithmetic, conic: Conic) -> Point:
    """The other focus; a parabola has none."""
    fx, fy, ux, uy, latus = conic
    twice = 2 * m.divide(latus, 1 - ux * ux - uy * uy)
    (fx,) = _at_least(m, (fx,), m.absolute(1 - ux * ux - uy * uy), 1e-10)
    return fx + twice * ux, fy + twice * uy


def focus(m: Arithmetic, conic: Conic) -> Point:
    """The first focus."""
    return conic[0], conic[1]


def centre(m: Arithmetic, conic: Conic) -> Point:
    """The middle of the two foci."""
    far = second_focus(m, conic)
    return (conic[0] + far[0]) / 2, (conic[1] + far[1]) / 2


def directrix(m: Arithmetic, conic: Conic) -> Straight:
    """The directrix that goes with the first focus; a circle has none."""
    fx, fy, ux, uy, latus = conic
    size = ux * ux + uy * uy
    (fx,) = _at_least(m, (fx,), size, _ROUND)
    share = m.divide(latus, size)
    return fx - share * ux, fy - share * uy, -uy, ux, -inf, inf


def axis(m: Arithmetic, conic: Conic) -> Straight:
    """The line of symmetry through the foci; a circle has none of its own."""
    fx, fy, ux, uy, _ = conic
    (fx,) = _at_least(m, (fx,), ux * ux + uy * uy, _ROUND)
    return fx, fy, ux, uy, -inf, inf


def eccentricity(m: Arithmetic, conic: Conic) -> Number:
    """The eccentricity: 0 for a circle, below 1 for an ellipse, 1 for a parabola, above for a hyperbola."""
    return m.sqrt(conic[2] * conic[2] + conic[3] * conic[3])


def point_on_conic(m: Arithmetic, conic: Conic, angle: Number) -> Point:
    """The point of a conic in the direction ``angle`` from its first focus, in degrees; beyond a hyperbola's
    asymptotes, the point of the other branch in the opposite direction."""
    fx, fy, ux, uy, latus = conic
    cosine, sine = m.cos_sin(angle)
    reach = m.divide(latus, 1 - ux * cosine - uy * sine)
    return m.inside((fx + reach * cosine, fy + reach * sine), reach, -_FAR, _FAR)


def least_distance(m: Arithmetic, conic: Conic, point: Point) -> Number:
    """What a point is away from a conic at the least: of both sides of its equation, |P - F| and |u . (P - F) + l|, the one changes by no
    more than a step of P, the other by no more than e times that."""
    fx, fy, ux, uy, latus = conic
    x, y = point[0] - fx, point[1] - fy
    across = m.sqrt(x * x + y * y)
    return m.divide(m.absolute(across - m.absolute(ux * x + uy * y + latus)), 1 + eccentricity(m, conic))


def as_conic(m: Arithmetic, circle: Circle) -> Conic:
    """A circle in the form of a conic."""
    return circle[0], circle[1], m.number(0), m.number(0), m.sqrt(circle[2])


def _along(m, straight, conic):
    """The numbers a, b, c of a tt + 2 b t + c = 0, which says where a straight thing meets a conic."""
    px, py, dx, dy = straight[:4]
    fx, fy, ux, uy, latus = conic
    ex, ey = px - fx, py - fy
    reach, change = ux * ex + uy * ey + latus, ux * dx + uy * dy
    return dx * dx + dy * dy - change * change, ex * dx + ey * dy - reach * change, ex * ex + ey * ey - reach * reach


def straight_conic(m: Arithmetic, straight: Straight, conic: Conic, which: int) -> Point:
    """Crossing ``which`` of a straight thing and a conic: of an ellipse 0 comes first along the direction.

    The root with the minus sign is always 0 and the one with the plus sign 1, so that neither jumps while one of
    them goes to infinity and comes back from the other side.
    """
    a, b, c = _along(m, straight, conic)
    half = m.root(b * b, a * c)
    if which:
        t = m.either(b, lambda: m.divide(c, -b - half), lambda: m.divide(half - b, a))
    else:
        t = m.either(b, lambda: m.divide(-b - half, a), lambda: m.divide(c, half - b))
    return _reached(m, straight, t)


def other_on_straight_conic(m: Arithmetic, straight: Straight, conic: Conic, known: Point) -> Point:
    """The crossing of a straight thing and a conic other than the known one: the two roots have a known sum."""
    a, b, c = _along(m, straight, conic)
    px, py, dx, dy = straight[:4]
    there = m.divide((known[0] - px) * dx + (known[1] - py) * dy, dx * dx + dy * dy)
    return _reached(m, straight, other_root(m, m.divide(-b, a), m.divide(c, a), there))


def _reached(m, straight, t):
    px, py, dx, dy, low, high = straight
    return m.inside((px + t * dx, py + t * dy), t, max(low, -_FAR), min(high, _FAR))
