"""Where things meet. Each rule names which crossing is which, and keeps to it while the figure moves.

* Line and circle: crossing 0 comes first along the line's direction, crossing 1 second.
* Circle and circle: crossing 0 lies to the left of the directed line from the first centre to the second,
  crossing 1 to its right.
* Where one crossing P is already known, "the other one" follows from it by the sum or the product of both, or as its
  mirror image in the line of centres: it needs no root and so cannot jump.
* Arcs meet where their circles do, if that is on the arc. For conics see ``conics``.
"""

from ..arithmetic.protocol import Arithmetic, Number
from .values import Point, Round, Straight


def straight_straight(m: Arithmetic, a: Straight, b: Straight) -> Point:
    """The point where two straight things meet; undefined when parallel or beyond an end of either."""
    apx, apy, adx, ady, a_low, a_high = a
    bpx, bpy, bdx, bdy, b_low, b_high = b
    cross = m.cross((adx, ady), (bdx, bdy))
    ex, ey = bpx - apx, bpy - apy
    t = (ex * bdy - ey * bdx) / cross
    s = (ex * ady - ey * adx) / cross
    return m.inside(m.inside((apx + t * adx, apy + t * ady), t, a_low, a_high), s, b_low, b_high)


def straight_circle(m: Arithmetic, straight: Straight, circle: Round, which: int) -> Point:
    """Crossing ``which`` (0 first, 1 second along the direction) of a straight thing and a circle."""
    px, py, dx, dy, low, high = straight
    cx, cy, rr = circle[:3]
    ex, ey = cx - px, cy - py
    size = dx * dx + dy * dy
    offset = dx * ey - dy * ex
    half = m.root(rr * size, offset * offset)
    along = ex * dx + ey * dy
    t = m.divide(along + half if which else along - half, size)
    return m.inside((px + t * dx, py + t * dy), t, low, high)


def circle_circle(m: Arithmetic, a: Round, b: Round, which: int) -> Point:
    """Crossing ``which`` (0 left, 1 right of the line of centres from a to b) of two circles."""
    acx, acy, arr = a[:3]
    bcx, bcy, brr = b[:3]
    dx, dy = m.separate((acx, acy), (bcx, bcy))
    size = dx * dx + dy * dy
    share = (arr - brr + size) / (2 * size)
    height = m.root(arr / size, share * share)
    if which:
        height = -height
    return acx + share * dx - height * dy, acy + share * dy + height * dx


def other_on_straight_circle(m: Arithmetic, straight: Straight, circle: Round, known: Point) -> Point:
    """The crossing of a straight thing and a circle other than the known one."""
    px, py, dx, dy, low, high = straight
    ex, ey = circle[0] - px, circle[1] - py
    size = dx * dx + dy * dy
    middle = m.divide(ex * dx + ey * dy, size)
    there = m.divide((known[0] - px) * dx + (known[1] - py) * dy, size)
    t = other_root(m, middle, m.divide(ex * ex + ey * ey - circle[2], size), there)
    return m.inside((px + t * dx, py + t * dy), t, low, high)


def other_root(m: Arithmetic, middle: Number, product: Number, known: Number) -> Number:
    """The other root of an equation of degree 2, from half the sum of the two or from their product: the smaller one from
    the product, so that it keeps its digits where the known one is far out."""

    def by_product():
        divisor = m.choose(-m.absolute(known), m.number(1), known)  # where the known root is zero, so is the product
        return m.absolute(known) - m.absolute(middle), product / divisor

    return m.surer(by_product, 2 * middle - known)


def other_on_circles(m: Arithmetic, a: Round, b: Round, known: Point) -> Point:
    """The crossing of two circles other than the known one: its mirror image in the line of centres."""
    acx, acy = a[:2]
    dx, dy = m.separate((acx, acy), (b[0], b[1]))
    ex, ey = known[0] - acx, known[1] - acy
    size = dx * dx + dy * dy
    along = (ex * dx + ey * dy) / size
    return acx + 2 * along * dx - ex, acy + 2 * along * dy - ey
