"""Curves as polylines that look smooth at the present zoom."""

from math import floor, log10

from ..arithmetic import FLOATS
from ..arithmetic.late import np
from ..arithmetic.undefined import Undefined
from ..formulas.conics import point_on_conic
from .extent import Extent

#: How far a chord may stray from its curve, as a share of the width that is seen.
_STRAY = 1 / 2500
_ROUNDS = 6
_MOST = 4000
#: Where the first points of a conic are, in degrees round its focus.
ROUND = [number * 360 / 96 for number in range(97)]


def trace(point_at, places, extent: Extent):
    """Polylines along a curve, finer where it bends, broken where it is undefined or far outside what is seen.

    Args:
        point_at: a function from an array of places to arrays of x and y; NaN where there is no point.
        places: the first places to look at, in order.
        extent: the part of the plane that is seen.

    Returns:
        A list of flat lists x, y, x, y …
    """
    with np.errstate(all="ignore"):
        places = np.asarray(places, dtype=float)
        x, y = (np.broadcast_to(part, places.shape).astype(float) for part in point_at(places))
        for _ in range(_ROUNDS):
            middle = (places[:-1] + places[1:]) / 2
            mx, my = point_at(middle)
            mx, my = np.broadcast_to(mx, middle.shape), np.broadcast_to(my, middle.shape)
            stray = np.hypot(mx - (x[:-1] + x[1:]) / 2, my - (y[:-1] + y[1:]) / 2)
            seen = _near(extent, mx, my) | _near(extent, x[:-1], y[:-1]) | _near(extent, x[1:], y[1:])
            # An end of the curve lies between a place that has a point and one that has none.
            ends = np.isnan(x[:-1]) != np.isnan(x[1:])
            wanted = (seen & ~(stray <= extent.width * _STRAY)) | ends
            if not wanted.any() or len(places) > _MOST:
                break
            at = np.nonzero(wanted)[0] + 1
            places, x, y = np.insert(places, at, middle[wanted]), np.insert(x, at, mx[wanted]), np.insert(y, at, my[wanted])
        return _pieces(x, y, extent)


def trace_by_one(point_at, places, extent: Extent):
    """The same for a curve whose points are quickly found one by one: for a hundred of them that is quicker than arrays, the more so where
    lists stand for these.

    Args:
        point_at: a function from a place to x and y, or None where there is no point.
    """
    far, stray = extent.grown(0.6), (extent.width * _STRAY) ** 2
    left, low, right, high = far.left, far.low, far.right, far.high

    def seen(place):
        point = point_at(place)
        return None if point is None else (*point, left <= point[0] <= right and low <= point[1] <= high)

    found = [seen(places[0])]
    waiting = [(place, seen(place), 0) for place in reversed(places[1:])]
    start = places[0]
    while waiting:
        stop, other, depth = waiting[-1]
        one = found[-1]
        if depth < _ROUNDS and len(found) + len(waiting) <= _MOST:
            middle = (start + stop) / 2
            between = seen(middle)
            if _is_wanted(one, between, other, stray):
                waiting[-1] = (stop, other, depth + 1)
                waiting.append((middle, between, depth + 1))
                continue
        waiting.pop()
        found.append(other)
        start = stop
    return _stretches(found, extent)


def trace_conic(conic, extent: Extent):
    """The polylines of a conic."""

    def point_at(angle):
        try:
            return point_on_conic(FLOATS, conic, angle)
        except Undefined:
            return None

    return trace_by_one(point_at, ROUND, extent)


def _is_wanted(one, between, other, stray):
    """Whether the point between two others, each with whether it is near, is to be drawn as well: the square of how far the chord may
    stray is given."""
    if one is None or other is None:
        # An end of the curve lies between a place that has a point and one that has none.
        return one is not other or (between is not None and between[2])
    if not (one[2] or other[2] or (between is not None and between[2])):
        return False
    return between is None or (between[0] - (one[0] + other[0]) / 2) ** 2 + (between[1] - (one[1] + other[1]) / 2) ** 2 > stray


def _is_near(point):
    return point is not None and point[2]


def _stretches(points, extent):
    """As ``_pieces``, of points with whether they are near, or None."""
    leap, decimals = (2 * (extent.width + extent.height)) ** 2, _decimals(extent)
    pieces, piece, last = [], [], None
    for number, point in enumerate(points):
        kept = point is not None and (point[2] or _is_near(last) or (number + 1 < len(points) and _is_near(points[number + 1])))
        if piece and (not kept or (last is not None and (point[0] - last[0]) ** 2 + (point[1] - last[1]) ** 2 > leap)):
            pieces.append(piece)
            piece = []
        if kept:
            piece += (round(point[0], decimals), round(point[1], decimals))
        last = point
    return [one for one in (*pieces, piece) if len(one) >= 4]


def _decimals(extent):
    return max(0, 6 - floor(log10(extent.width)))


def _near(extent, x, y):
    far = extent.grown(0.6)
    return (x >= far.left) & (x <= far.right) & (y >= far.low) & (y <= far.high)


def _pieces(x, y, extent):
    """The stretches whose points are seen or lead to such, without leaps across the board."""
    near = _near(extent, x, y)
    kept = near.copy()
    kept[:-1] |= near[1:]
    kept[1:] |= near[:-1]
    kept &= np.isfinite(x) & np.isfinite(y)
    # A step this long that is not a straight run is a leap: past infinity, or over an undefined place too short to see.
    leap = np.zeros(len(x), dtype=bool)
    leap[1:] = np.hypot(np.diff(x), np.diff(y)) > 2 * (extent.width + extent.height)
    breaks = np.nonzero(~kept | leap)[0]
    decimals = _decimals(extent)
    pieces = []
    start = 0
    for end in (*breaks, len(x)):
        first = start
        if end - first >= 2:
            pieces.append(np.round(np.stack((x[first:end], y[first:end]), axis=1), decimals).ravel().tolist())
        start = end if end < len(x) and kept[end] else end + 1
    return pieces
