"""Whether two things are one and the same, by their values in floats."""

from math import hypot, isfinite
from typing import Any

from ..kinds import ARC, CIRCLE, LINE, NUMBER, POINT, POLYGON, RAY, SEGMENT, VECTOR

#: To what share of the figure's size two things are the same.
_SAME = 1e-6


def equal(kind: str, a: Any, b: Any, size: float) -> bool:
    """Whether two values of a kind are one thing; a segment whichever way it runs, a polygon from whichever corner.

    Args:
        size: of the figure, board units.
    """
    within = _SAME * size
    if kind == POINT:
        return _near(a, b, within)
    if kind == NUMBER:
        return (
            bool(abs(a - b) <= _SAME * max(1.0, abs(a), abs(b))) if isinstance(a, (int, float)) and isinstance(b, (int, float)) else a == b
        )
    if kind == CIRCLE:
        return _near(a, b, within) and abs(a[2] ** 0.5 - b[2] ** 0.5) <= within
    if kind in (SEGMENT, VECTOR):
        ends, others = _ends(a), _ends(b)
        return _all_near(ends, others, within) or (kind == SEGMENT and _all_near(ends, others[::-1], within))
    if kind == RAY:
        return _near(a, b, within) and _slant(a, b) < _SAME and a[2] * b[2] + a[3] * b[3] > 0
    if kind == LINE:
        off = abs((b[0] - a[0]) * a[3] - (b[1] - a[1]) * a[2]) / hypot(a[2], a[3])
        return off <= within and _slant(a, b) < _SAME
    if kind == POLYGON:
        if len(a) != len(b):
            return False
        return any(_all_near(a, way[turn:] + way[:turn], within) for way in (tuple(b), tuple(b)[::-1]) for turn in range(len(b)))
    if kind in (ARC, "sector", "chord_region"):
        return _all_near(_places(a), _places(b), within)
    numbers = [float(x) for x in (*a, *b)]
    return len(a) == len(b) and all(map(isfinite, numbers)) and all(abs(x - y) <= _SAME * max(size, abs(x)) for x, y in zip(a, b))


def apart(kind: str, a: Any, b: Any) -> float:
    """How far two points are apart, or the centres or nearest starts of two things; what cannot be said so is infinitely far."""
    if kind in (POINT, CIRCLE):
        return hypot(a[0] - b[0], a[1] - b[1]) + (abs(a[2] ** 0.5 - b[2] ** 0.5) if kind == CIRCLE else 0.0)
    if kind in (SEGMENT, VECTOR):
        ends, others = _ends(a), _ends(b)
        return min(max(hypot(p[0] - q[0], p[1] - q[1]) for p, q in zip(ends, way)) for way in (others, others[::-1]))
    if kind == LINE and _slant(a, b) < 0.02:
        return abs((b[0] - a[0]) * a[3] - (b[1] - a[1]) * a[2]) / hypot(a[2], a[3])
    if kind == POLYGON and len(a) == len(b):
        ways = [way[turn:] + way[:turn] for way in (tuple(b), tuple(b)[::-1]) for turn in range(len(b))]
        return min(max(hypot(p[0] - q[0], p[1] - q[1]) for p, q in zip(a, way)) for way in ways)
    return float("inf")


def _near(a, b, within):
    return abs(a[0] - b[0]) <= within and abs(a[1] - b[1]) <= within


def _all_near(some, others, within):
    return all(_near(a, b, within) for a, b in zip(some, others))


def _ends(straight):
    x, y, dx, dy = straight[:4]
    return (x, y), (x + dx, y + dy)


def _places(arc):
    return (arc[0], arc[1]), (arc[3], arc[4]), (arc[5], arc[6])


def _slant(a, b):
    return abs(a[2] * b[3] - a[3] * b[2]) / (hypot(a[2], a[3]) * hypot(b[2], b[3]))
