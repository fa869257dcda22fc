"""Where two conics meet: in up to four points, each of which is followed while the figure moves.

No rule that looks at two conics alone can number their crossings so that none changes its number but where two of them
meet: turn one ellipse on another by a full turn, and each crossing comes to lie where the one after the next was. So each
crossing keeps where it was, in ``near``, and goes to the nearest one from there. Where two crossings have met and
vanished they are followed on through complex numbers, as a pair of conjugate points, and so they come back where they went.

A crossing is an intersection number of its own: seen along the first conic, it either enters the second one or leaves it.
Two that meet are one of each, which tells them apart when they come back.
"""

from collections.abc import Sequence
from itertools import permutations
from math import nan
from typing import Any, TypeAlias

from ..arithmetic.late import np
from ..arithmetic.protocol import Arithmetic, Number
from ..arithmetic.roots import complex_roots, in_order
from ..arithmetic.undefined import Undefined
from .values import Conic, Point

#: A point with complex coordinates.
Complex: TypeAlias = tuple[complex, complex]
#: A crossing with an imaginary part this share of its size still counts as real: two things that touch.
_TOUCHING = 1e-6
#: A step is taken in smaller ones where the nearest crossing is not nearer than this share of the way to the next.
_CLEAR, _HALVINGS = 0.25, 9
#: Further out than this no place is kept; after so many looks it is settled which one is kept.
_MOST, _SETTLED = 1e6, 5


def _equation(m: Arithmetic, a: Conic, b: Conic) -> tuple[tuple, tuple, tuple, tuple]:
    """With the tangent t of half the angle round its focus the points of the first conic are fractions of quadratic
    polynomials, and the equation of the second has degree 4 in t. The angle is counted from the direction that leads away
    from the focus of the second.

    Returns:
        The coefficients of that equation, lowest first, then those of x, of y, and of what divides both; x and y are seen
        from the focus of the second conic.
    """
    fx, fy, ux, uy, latus = a
    gx, gy, vx, vy, other = b
    ex, ey = fx - gx, fy - gy
    size = m.sqrt(ex * ex + ey * ey)
    near = 1e-9 - size / (m.absolute(latus) + m.absolute(other))
    away = m.choose(near, m.number(1), size)
    dx, dy = m.choose(near, m.number(1), -ex / away), m.choose(near, m.number(0), -ey / away)
    along, across = ux * dx + uy * dy, -ux * dy + uy * dx
    weight = (1 - along, -2 * across, 1 + along)
    x = tuple(ex * w + latus * part for w, part in zip(weight, (dx, -2 * dy, -dx)))
    y = tuple(ey * w + latus * part for w, part in zip(weight, (dy, 2 * dx, -dy)))
    reach = tuple(vx * p + vy * q + other * w for p, q, w in zip(x, y, weight))
    return tuple(p + q - r for p, q, r in zip(_square(x), _square(y), _square(reach))), x, y, weight


def _square(p: Sequence[Number]) -> tuple:
    """The square of a polynomial of degree 2, as its five coefficients."""
    a, b, c = p
    return a * a, 2 * a * b, b * b + 2 * a * c, 2 * b * c, c * c


def _at(polynomial: Sequence[Number], t: Number) -> Number:
    return polynomial[0] + t * (polynomial[1] + t * polynomial[2])


def conic_conic(m: Arithmetic, a: Conic, b: Conic, which: int, *near: float) -> Point:
    """A crossing of two conics.

    Args:
        which: its number from 0 to 3, anticlockwise round the focus of the first from the direction that leads away from
            the focus of the second; it counts as long as nothing is known of where the crossing was.
        near: where it was last, as x and y; with two imaginary parts after them where it is not there now.
    """
    equation, x, y, weight = _equation(m, a, b)

    def choose(roots):
        if isinstance(roots, list):  # in floats there is one of each
            return _chosen(m, roots, (x, y, weight), (a, b), which, near)
        if not near:
            return in_order(roots)[..., which]
        inner = lambda part: np.expand_dims(np.asarray(m.approximate(part), dtype=float), -1)  # one for all roots of each
        was = [inner(part) for part in (*near, 0.0, 0.0)[:4]]
        with np.errstate(all="ignore"):
            down = _at(tuple(map(inner, weight)), roots)
            px, py = (inner(g) + _at(tuple(map(inner, one)), roots) / down for one, g in ((x, b[0]), (y, b[1])))
            size = np.abs(inner(a[4])) + np.abs(inner(b[4]))
            off = _apart((px, py), (was[0] + 1j * was[2], was[1] + 1j * was[3]), (inner(b[0]), inner(b[1])), size)
        best = np.argmin(np.where(np.isnan(off), np.inf, off), axis=-1)[..., None]
        px, py, found = (np.take_along_axis(np.broadcast_to(part, off.shape), best, axis=-1)[..., 0] for part in (px, py, roots))
        return np.where(_is_real(px, py), found.real, np.nan)

    t = m.real_root(equation, choose)
    down = _at(weight, t)
    return b[0] + m.divide(_at(x, t), down), b[1] + m.divide(_at(y, t), down)


def _chosen(m: Arithmetic, roots: Sequence[complex], parts: tuple, conics: tuple, which: int, near: Sequence[float]) -> float:
    """The one among the roots of two conics' equation that :func:`conic_conic` asks for; NaN where it is not there.

    Args:
        parts: the coefficients of x, of y and of what divides both.
        conics: the two.
    """
    if not near:
        return in_order(roots)[which]
    x, y, weight = (tuple(float(m.approximate(part)) for part in one) for one in parts)
    (*_, latus), (gx, gy, *_, other) = (tuple(float(m.approximate(part)) for part in one) for one in conics)
    places = {}
    for t in roots:
        down = _at(weight, t)
        if t == t and down != 0:
            places[t] = gx + _at(x, t) / down, gy + _at(y, t) / down
    off = {t: _apart(place, _place(near), (gx, gy), abs(latus) + abs(other)) for t, place in places.items()}
    best = min(off, key=off.__getitem__, default=None)
    return best.real if best is not None and _is_real(*places[best]) else nan


# Following ---------------------------------------------------------------------------------------------------


def followed(m: Arithmetic, before: tuple[Conic, Conic] | None, a: Conic, b: Conic, which: int, near: Sequence[float]) -> tuple[float, ...]:
    """Where a crossing is now: ``near`` for the next time. In floats only.

    Args:
        before: the two conics when it was near there, where they are known; between them and now is gone in as many
            small steps as it takes to be sure.
        near: where it was; () where that is not known yet.
    """
    if not near:
        return _first_place(m, a, b, which)
    try:
        x, y = _step(m, before, (a, b), _place(near), _HALVINGS) if before else _nearest(m, (a, b), (a, b), _place(near))[0]
    except ArithmeticError:
        return tuple(near)
    if max(abs(x), abs(y)) > _MOST:
        x, y = _as_far_as_is_kept(m, (a, b), (x, y))
    if _is_real(x, y):
        return x.real, y.real
    return x.real, y.real, x.imag, y.imag


def _as_far_as_is_kept(m: Arithmetic, now: tuple[Conic, Conic], place: Complex) -> Complex:
    """A place as good as infinitely far, in its direction, such that from there the crossing goes on to itself: it may look nearer to
    another one, and then it is that from now on, as it would be when it is read from a file."""
    for _ in range(_SETTLED):
        reach = max(abs(place[0]), abs(place[1]), _MOST)
        kept = place[0] * _MOST / reach, place[1] * _MOST / reach
        found = _nearest(m, now, now, kept)[0]
        if found == place:
            break
        place = found
    return kept


def _first_place(m: Arithmetic, a: Conic, b: Conic, which: int) -> tuple[float, ...]:
    """Where a crossing is of which nothing is known yet: those that are there come first, in order, then the others."""
    try:
        equation = _equation(m, a, b)[0]
        crossings = sorted(_all_crossings(m, a, b), key=lambda place: (place[0].imag, place[1].imag))
        there = [place for place in crossings if _is_real(*place)]
        if which < len(there):
            roots = in_order(complex_roots(equation))
            if roots[which] == roots[which]:
                return tuple(map(float, conic_conic(m, a, b, which)))
        x, y = [place for place in crossings if not _is_real(*place)][which - len(there)]
    except (ArithmeticError, IndexError):
        return ()
    return x.real, y.real, x.imag, y.imag


def _place(near: Sequence[float]) -> Complex:
    x, y, across, up = (*near, 0.0, 0.0)[:4]
    return complex(x, across), complex(y, up)


def _is_real(x: Any, y: Any) -> Any:
    """Whether complex points, one or an array of them, count as real."""
    return abs(x.imag) + abs(y.imag) <= _TOUCHING * (1 + abs(x) + abs(y))


def _step(m: Arithmetic, before: tuple[Conic, Conic], now: tuple[Conic, Conic], place: Complex, left: int) -> Complex:
    """Follow a crossing from two conics to two others, by way of those between where it is not clear which one it is."""
    found, clear = _nearest(m, before, now, place)
    if clear or not left:
        return found
    between = _halfway(before[0], now[0]), _halfway(before[1], now[1])
    half = _step(m, before, between, place, left - 1)
    return _step(m, between, now, half, left - 1)


def _halfway(p: Conic, q: Conic) -> Conic:
    return (p[0] + q[0]) / 2, (p[1] + q[1]) / 2, (p[2] + q[2]) / 2, (p[3] + q[3]) / 2, (p[4] + q[4]) / 2


def _nearest(m: Arithmetic, before: tuple[Conic, Conic], now: tuple[Conic, Conic], place: Complex) -> tuple[Complex, bool]:
    """The crossing, real or not, that goes on from a place; and whether no other one could be meant.

    All four crossings of before are matched with all four of now, so that two never go on as one.

    Args:
        before: the two conics when the crossing was exactly at that place.
    """
    old, new = _all_crossings(m, *before), _all_crossings(m, *now)
    size = abs(now[0][4]) + abs(now[1][4])
    own = min(range(len(old)), key=lambda number: _apart(old[number], place, now[1], size))
    costs = [[_apart(p, q, now[1], size) for q in new] for p in old]
    if len(old) == len(new) == 4:
        ways = [_way(*before, one) for one in old], [_way(*now, one) for one in new]
        dear = [[cost * (1 if ways[0][p] == ways[1][q] else _OTHER_WAY) for q, cost in enumerate(row)] for p, row in enumerate(costs)]
        best = min(permutations(range(4)), key=lambda order: sum(dear[p][q] for p, q in enumerate(order)))[own]
    else:
        best = min(range(len(new)), key=costs[own].__getitem__)
    others = (cost for q, cost in enumerate(costs[own]) if q != best and not _are_conjugate(new[q], new[best]))
    return new[best], costs[own][best] <= _CLEAR * min(others, default=float("inf")) + 1e-12


#: A crossing that would turn from entering to leaving is so many times as far away.
_OTHER_WAY = 8


def _way(a: Conic, b: Conic, place: Complex) -> bool:
    """Which of two that meet a crossing is: it leaves or enters, or where it is not there, is on the one side or the other."""
    return _turn(a, b, place) if _is_real(*place) else _side(a, place)


def _are_conjugate(p: Complex, q: Complex) -> bool:
    return abs(p[0] - q[0].conjugate()) + abs(p[1] - q[1].conjugate()) <= 1e-9 * (1 + abs(p[0]) + abs(p[1]))


def _apart(p: Any, q: Any, middle: Any, size: Any) -> Any:
    """How far two points are from one another, or one from each of an array of others, as seen on a sphere: what runs out
    to infinity comes back from the other side without a leap. (The chordal distance.)

    Args:
        middle, size: about where the figure is, and how large.
    """
    px, py, qx, qy = (p[0] - middle[0]) / size, (p[1] - middle[1]) / size, (q[0] - middle[0]) / size, (q[1] - middle[1]) / size
    far = (1 + abs(px) ** 2 + abs(py) ** 2) * (1 + abs(qx) ** 2 + abs(qy) ** 2)
    return (abs(px - qx) + abs(py - qy)) / far**0.5


def _all_crossings(m: Arithmetic, a: Conic, b: Conic) -> list[Complex]:
    equation, x, y, weight = _equation(m, a, b)
    crossings = []
    for t in complex_roots(equation):
        down = _at(weight, t)
        if abs(down) > 1e-300:
            crossings.append((complex(b[0] + _at(x, t) / down), complex(b[1] + _at(y, t) / down)))
    if not crossings:
        raise Undefined("the two conics have no crossing")
    return crossings


def _slope(conic: Conic, x: float, y: float) -> tuple[float, float]:
    """The gradient of |P - F|² - (u . (P - F) + l)² at a point."""
    fx, fy, ux, uy, latus = conic
    ex, ey = x - fx, y - fy
    reach = ux * ex + uy * ey + latus
    return ex - reach * ux, ey - reach * uy


def _turn(a: Conic, b: Conic, place: Complex) -> bool:
    """Whether the first conic, anticlockwise, leaves the second one at a crossing."""
    x, y = place[0].real, place[1].real
    (px, py), (qx, qy) = _slope(a, x, y), _slope(b, x, y)
    return px * qy - py * qx >= 0


def _side(a: Conic, place: Complex) -> bool:
    """On which side of the real plane a complex crossing is: whether its imaginary part points along the first conic."""
    px, py = _slope(a, place[0].real, place[1].real)
    return -py * place[0].imag + px * place[1].imag >= 0
