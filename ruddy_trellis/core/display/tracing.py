"""Curves as polylines that look smooth at the present zoom."""

from ..arithmetic.late import np
from .extent import Extent

#: How far a chord may stray from its curve, as a share of the width that is seen.
_STRAY = 1 / 2500
_ROUNDS = 6
_MOST = 4000


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
    decimals = max(0, 6 - int(np.floor(np.log10(extent.width))))
    pieces = []
    start = 0
    for end in (*breaks, len(x)):
        first = start
        if end - first >= 2:
            pieces.append(np.round(np.stack((x[first:end], y[first:end]), axis=1), decimals).ravel().tolist())
        start = end if end < len(x) and kept[end] else end + 1
    return pieces
