"""Where on a path a position is nearest."""

from collections.abc import Sequence
from math import degrees, hypot, inf
from typing import Any

from .. import limits
from ..arithmetic import ARRAYS, FLOATS, Undefined
from ..arithmetic.circular import atan2
from ..arithmetic.late import np
from ..formulas import arcs, conics, straights
from ..formulas import points as point_formulas
from ..kinds import ARC, CIRCLE, CONIC, LOCUS, POLYGON
from ..seen import Place
from .board import Board


def distance_to_path(kind: str, value: Any, at: Place, within: float = inf) -> float:
    """How far a position is from a path; endlessly far, where it is seen to be further than ``within``."""
    try:
        if kind == CONIC and within < conics.least_distance(FLOATS, value, at):
            return inf
        if kind in (CIRCLE, ARC, CONIC, LOCUS):
            near = _value_on(kind, value, place_on(kind, value, at))
        else:
            near = _foot(value, at)
    except Undefined:
        return inf
    return hypot(near[0] - at[0], near[1] - at[1])


def _value_on(kind, value, place):
    if kind == LOCUS:
        return value.point(place)
    rules: dict[str, Any] = {CIRCLE: point_formulas.point_on_circle, ARC: arcs.point_on_arc, CONIC: conics.point_on_conic}
    return rules[kind](FLOATS, value, place)


def place_on(kind: str, value: Any, at: Place):
    """The place on a round or curved path that is nearest to a position: an angle, or on an arc a share."""
    if kind == CONIC:
        return _place_on_conic(value, at)
    if kind == LOCUS:
        return value.nearest(at)
    if kind == POLYGON:
        return _place_on_sides(value, at)
    turn = degrees(atan2(at[1] - value[1], at[0] - value[0]))
    if kind == CIRCLE:
        return turn % 360
    start = degrees(atan2(value[4] - value[1], value[3] - value[0]))
    turned, whole = (turn - start) % 360, arcs.sweep(FLOATS, value)
    if turned > whole:
        return 0.0 if turned - whole > 360 - turned else 1.0
    return turned / whole


def _place_on_sides(corners, at):
    """The number of the nearest side, and how far along it the nearest point is."""
    places = []
    for number, (a, b) in enumerate(zip(corners, (*corners[1:], corners[0]))):
        dx, dy = b[0] - a[0], b[1] - a[1]
        share = ((at[0] - a[0]) * dx + (at[1] - a[1]) * dy) / ((dx * dx + dy * dy) or 1)
        share = min(max(share, 0.0), 1.0)
        places.append((hypot(a[0] + share * dx - at[0], a[1] + share * dy - at[1]), number + share))
    return min(places)[1]


def _place_on_conic(conic, at):
    """The angle round the focus of the point of a conic that is nearest to a position: the best of many, then finer."""
    numbers = tuple(map(ARRAYS.number, conic))
    middle, reach = 180.0, 180.0
    with np.errstate(all="ignore"):
        for _ in range(5):
            angles = np.linspace(middle - reach, middle + reach, 121)
            x, y = conics.point_on_conic(ARRAYS, numbers, angles)
            away = np.hypot(x - at[0], y - at[1])
            if np.isnan(away).all():
                raise Undefined("the conic has no points near")
            middle, reach = float(angles[np.nanargmin(away)]), reach / 40
    return middle % 360


def _foot(straight, at):
    share = point_formulas.share_along(FLOATS, straight, at)
    return point_formulas.point_on_straight(FLOATS, straight, share)


def nearest_place(board: Board, ids: Sequence[str], at: Place) -> float:
    """The place on a path that is nearest to a position, to seven digits, within the ends of the path.

    Args:
        ids: of one path, or of the two ends of a side.
        at: a position, board units.
    """
    place = min(max(_nearest_place(board, ids, at), -limits.COORDINATE), limits.COORDINATE)
    return float(f"{place:.7g}")  # no eye tells more of a path, and it is written out in the working


def _nearest_place(board, ids, at):
    kind, value = board.kind_of(ids[0]), board.value(ids[0])
    if len(ids) == 1 and kind in (CIRCLE, ARC, CONIC, POLYGON, LOCUS):
        return place_on(kind, value, at)
    if len(ids) == 2:
        value = straights.segment(FLOATS, value, board.value(ids[1]))
    return min(max(point_formulas.share_along(FLOATS, value, at), value[4]), value[5])
