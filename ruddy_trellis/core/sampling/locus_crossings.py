"""Where loci and envelopes meet other paths: they are known by running them, so their crossings are looked for along the run.

Crossings are numbered from where the locus starts. That number is for the first time only: a crossing keeps where it was, in
``near``, and goes on to the nearest one from there.
"""

from collections.abc import Sequence
from math import hypot
from typing import Any

from ..arithmetic import FLOATS, Undefined
from ..arithmetic.late import np
from ..arithmetic.protocol import Arithmetic
from ..formulas import arcs
from ..formulas.values import Point
from .loci import Locus

#: At so many places along its run a locus is looked at first; where the sides change between two of them, it crosses.
_PLACES = 721
#: The stretches that hold a crossing are cut into so many, so often: to what a float can tell.
_CUTS, _ROUNDS = 48, 9
#: A change of side over more than this share of the figure is a leap of the locus, no crossing.
_LEAP = 1e-6


def crossing(m: Arithmetic, locus: Locus, path: Any, which: int, *near: float) -> Point:
    """A crossing of a locus and another path.

    Args:
        path: the value of a straight thing, a circle, an arc, a conic or another locus.
        which: its number along the locus, from 0; it counts as long as nothing is known of where the crossing was.
        near: where it was last, as x and y.

    Raises:
        Undefined: where there is no such crossing, or in other arithmetics than floats.
    """
    if m is not FLOATS:
        raise Undefined("a locus is computed for one position of the figure at a time")
    found = crossings(locus, path)
    if near and found:
        return min(found, key=lambda at: hypot(at[0] - near[0], at[1] - near[1]))
    if which >= len(found):
        raise Undefined("they have no such crossing now")
    return found[which]


def followed(m: Arithmetic, locus: Locus, path: Any, which: int, near: Sequence[float]) -> tuple[float, ...]:
    """Where a crossing is now, as ``near`` for the next time; where it was, as long as it is not there."""
    try:
        return tuple(float(f"{part:.7g}") for part in crossing(m, locus, path, which, *near[:2]))
    except Undefined:
        return tuple(near)


def crossings(locus: Locus, path: Any) -> list[Point]:
    """All crossings of a locus and another path, in order along the locus."""
    places = np.linspace(locus.low, locus.high, _PLACES)
    x, y = locus.at(places)
    if isinstance(path, Locus):
        return _with_locus(locus, path, places, x, y)
    with np.errstate(all="ignore"):
        sides = _side(path, x, y)
        here = np.flatnonzero(np.isfinite(sides[:-1]) & np.isfinite(sides[1:]) & ((sides[:-1] >= 0) != (sides[1:] >= 0)))
        low, high, start = places[here], places[here + 1], sides[here, None] >= 0
        for _ in range(_ROUNDS if len(here) else 0):
            cuts = np.linspace(low, high, _CUTS + 1, axis=1)
            last = np.argmax((_side(path, *locus.at(cuts)) >= 0) != start, axis=1)[:, None]
            low, high = (np.take_along_axis(cuts, one, axis=1)[:, 0] for one in (np.maximum(last - 1, 0), np.maximum(last, 1)))
        ends = [locus.at(one) for one in (low, high)]
    size = 1 + np.nanmax(np.abs([x, y]), initial=0.0)
    return [
        (float(px), float(py))
        for px, py, qx, qy in zip(*ends[0], *ends[1])
        if hypot(px - qx, py - qy) <= _LEAP * min(size, 1 + abs(px) + abs(py)) and _is_within(path, px, py)
    ]


def _side(path, x, y):
    """A number for each of some positions that changes its sign where they cross the path, or the whole of its line or circle."""
    if len(path) == 6:
        return path[2] * (y - path[1]) - path[3] * (x - path[0])
    ex, ey = x - path[0], y - path[1]
    if len(path) == 5:
        reach = path[2] * ex + path[3] * ey + path[4]
        return ex * ex + ey * ey - reach * reach
    return ex * ex + ey * ey - path[2]


def _is_within(path, x, y):
    """Whether a position on the line of a straight thing, or on the circle of an arc, is between its ends."""
    if len(path) == 6:
        px, py, dx, dy, low, high = path
        share = ((x - px) * dx + (y - py) * dy) / (dx * dx + dy * dy)
        return low - 1e-9 <= share <= high + 1e-9
    if len(path) == 7:
        try:
            arcs.on_arc(FLOATS, (x, y), path)
        except Undefined:
            return False
    return True


def _with_locus(locus, other, places, x, y):
    """Crossings of two loci: where short stretches of them meet, and from there by Newton's steps."""
    others = np.linspace(other.low, other.high, _PLACES)
    u, v = other.at(others)
    found = []
    with np.errstate(all="ignore"):
        ax, ay, dx, dy = x[:-1, None], y[:-1, None], np.diff(x)[:, None], np.diff(y)[:, None]
        bx, by, ex, ey = u[None, :-1], v[None, :-1], np.diff(u)[None], np.diff(v)[None]
        cross = dx * ey - dy * ex
        t = ((bx - ax) * ey - (by - ay) * ex) / cross
        s = ((bx - ax) * dy - (by - ay) * dx) / cross
        size = np.nanmedian(np.abs(np.stack((x, y)))) + 1
        for i, j in np.argwhere((t >= 0) & (t < 1) & (s >= 0) & (s < 1))[:64]:
            at = _newton(locus, other, places[i] + t[i, j] * (places[1] - places[0]), others[j] + s[i, j] * (others[1] - others[0]))
            if at and hypot(at[0] - x[i], at[1] - y[i]) <= size:
                found.append(at)
    return found


def _newton(locus, other, place, second):
    """The crossing of two loci near a place on each; None where the steps come to none."""
    small = 1e-7 * (locus.high - locus.low), 1e-7 * (other.high - other.low)
    for _ in range(12):
        x, y = locus.at([place, place + small[0], place - small[0]])
        u, v = other.at([second, second + small[1], second - small[1]])
        dx, dy, ex, ey = x[1] - x[2], y[1] - y[2], u[1] - u[2], v[1] - v[2]
        cross = dx * ey - dy * ex
        gx, gy = u[0] - x[0], v[0] - y[0]
        if not np.isfinite(cross) or cross == 0:
            return None
        place += 2 * small[0] * (gx * ey - gy * ex) / cross
        second += 2 * small[1] * (gx * dy - gy * dx) / cross
    if hypot(gx, gy) > _LEAP * (1 + abs(x[0]) + abs(y[0])):
        return None
    return float(x[0]), float(y[0])
