"""What lies under the pointer, and the new point that a click there would make."""

from dataclasses import dataclass
from math import atan2, degrees, hypot, sqrt

import numpy as np

from ..arithmetic import ARRAYS, FLOATS, Undefined
from ..catalogue import CATALOGUE
from ..catalogue.points import crossing_choices
from ..formulas import arcs, conics, measures, straights
from ..formulas import points as point_formulas
from ..kinds import ARC, CHORD_REGION, CIRCLE, CONIC, LOCUS, PATHS, POINT, POLYGON, SECTOR
from ..language import names as spelling
from ..language.printing import noun
from ..lattice import snapped
from ..plan import kinds_of_fills, make_plan
from ..step import Step

#: Crossings are caught from a little further away than the paths themselves, points from further still.
_CROSSING_REACH, _POINT_REACH = 1.3, 1.5


@dataclass(frozen=True)
class NewPoint:
    """A point that is not there yet: the construction that will make it, where, and the words for it."""

    does: str
    fills: dict
    at: tuple
    words: str


@dataclass(frozen=True)
class Under:
    """What lies under the pointer.

    Attributes:
        at: the position of the pointer, board units.
        points: ids of points, the nearest first.
        paths: what the pointer is on, the nearest first: ids of one path each, or of the two ends of a side.
        shapes: ids of polygons and circles that the pointer is inside, the smallest first.
        new_point: the point that a click would make here.
    """

    at: tuple
    points: tuple
    paths: tuple
    shapes: tuple
    new_point: NewPoint


def look_under(board, at, tolerance):
    """What lies under the pointer.

    Args:
        at: position in board units.
        tolerance: how near counts as under it, in board units.
    """
    points, paths, shapes = [], [], []
    made_segments = {frozenset(step.inputs) for step in board.steps if step.does == "segment" and not step.look.hidden}
    for step in board.steps:
        value = board.value(step.id)
        if value is None or step.look.hidden:
            continue
        if step.makes == POINT:
            distance = hypot(value[0] - at[0], value[1] - at[1])
            if distance <= tolerance * _POINT_REACH:
                points.append((distance, (step.id,)))
        elif step.makes in (*PATHS, LOCUS):
            if (distance := distance_to_path(step.makes, value, at)) <= tolerance:
                paths.append((distance, (step.id,)))
            if step.makes == CIRCLE and hypot(value[0] - at[0], value[1] - at[1]) ** 2 <= value[2]:
                shapes.append((value[2] * 3.1416, step.id))
        elif step.makes == POLYGON:
            corners = step.fills.get("corners", ())
            for (a_id, a), (b_id, b) in _sides(corners, value):
                if frozenset((a_id, b_id)) in made_segments:
                    continue
                distance = _distance_to_side(a, b, at)
                if distance <= tolerance:
                    paths.append((distance, (a_id, b_id)))
            if _inside(value, at):
                shapes.append((_size(value), step.id))
        elif step.makes in (SECTOR, CHORD_REGION) and _inside_arc(step.makes, value, at, tolerance):
            shapes.append((value[2], step.id))
    points.sort()
    # A thing goes before a side that it runs along.
    paths.sort(key=lambda path: (round(path[0] / tolerance, 2), len(path[1])))
    shapes.sort()
    ordered = tuple(dict.fromkeys(ids for _, ids in paths))
    return Under(at, tuple(ids[0] for _, ids in points), ordered, tuple(id for _, id in shapes), _new_point(board, at, ordered, tolerance))


def path_words(board, ids):
    """What a path is called: "line p", or "side AB" for two ends."""
    return noun(board, ids[0]) if len(ids) == 1 else f"side {_path_name(board, ids)}"


def _path_name(board, ids):
    return spelling.spell(board.name(id) for id in ids)


def distance_to_path(kind, value, at):
    """How far a position is from a path."""
    try:
        if kind in (CIRCLE, ARC, CONIC, LOCUS):
            near = _value_on(kind, value, _place_on(kind, value, at))
        else:
            near = _foot(value, at)
    except Undefined:
        return float("inf")
    return hypot(near[0] - at[0], near[1] - at[1])


def _value_on(kind, value, place):
    if kind == LOCUS:
        return value.point(place)
    return {CIRCLE: point_formulas.point_on_circle, ARC: arcs.point_on_arc, CONIC: conics.point_on_conic}[kind](FLOATS, value, place)


def _place_on(kind, value, at):
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


def _inside_arc(kind, value, at, tolerance):
    """Whether a position is in a sector or a chord region, or on its edge."""
    cx, cy, square, ax, ay, bx, by = value
    if hypot(at[0] - cx, at[1] - cy) > sqrt(square) + tolerance:
        return False
    if kind == CHORD_REGION:
        return (at[0] - ax) * (by - ay) - (at[1] - ay) * (bx - ax) >= -tolerance * hypot(bx - ax, by - ay)
    turned = (degrees(atan2(at[1] - cy, at[0] - cx)) - degrees(atan2(ay - cy, ax - cx))) % 360
    return turned <= arcs.sweep(FLOATS, value)


def _foot(straight, at):
    share = point_formulas.share_along(FLOATS, straight, at)
    return point_formulas.point_on_straight(FLOATS, straight, share)


def _sides(corners, value):
    corner_values = list(zip(corners, value))  # an image of a polygon has no corners of its own
    return zip(corner_values, corner_values[1:] + corner_values[:1])


def _distance_to_side(a, b, at):
    try:
        foot = _foot(straights.segment(FLOATS, a, b), at)
    except Undefined:
        return float("inf")
    return hypot(foot[0] - at[0], foot[1] - at[1])


def _inside(corners, at):
    x, y = at
    inside = False
    for (ax, ay), (bx, by) in zip(corners, corners[1:] + corners[:1]):
        if (ay > y) != (by > y) and x < ax + (y - ay) * (bx - ax) / (by - ay):
            inside = not inside
    return inside


def _size(corners):
    return measures.polygon_area(FLOATS, corners)


def _new_point(board, at, paths, tolerance):
    """The point that a click makes: at a crossing, on a path, or free."""
    best = None
    crossing = [ids for ids in paths[:5] if board.kind_of(ids[0]) != LOCUS]
    for number, a in enumerate(crossing):
        for b in crossing[number + 1 :]:
            found = crossing_near(board, *sorted((a, b), key=lambda ids: board.place(ids[0])), at)
            if found and (distance := _gap(found.at, at)) <= tolerance * _CROSSING_REACH:
                if best is None or distance < best[0]:
                    best = (distance, found)
    if best:
        return best[1]
    if paths:
        return point_on_path(board, paths[0], at)
    return free_point(snapped(board.settings, at))


def _gap(a, b):
    return hypot(a[0] - b[0], a[1] - b[1])


def free_point(at):
    """A new free point."""
    return NewPoint("free_point", {"at": tuple(at)}, tuple(at), "a new free point here")


def point_on_path(board, ids, at):
    """A new point on a path, at the place nearest to a position."""
    kind = board.kind_of(ids[0])
    if len(ids) == 1 and kind in (CIRCLE, ARC, CONIC, POLYGON, LOCUS):
        place = _place_on(kind, board.value(ids[0]), at)
    else:
        value = board.value(ids[0]) if len(ids) == 1 else straights.segment(FLOATS, board.value(ids[0]), board.value(ids[1]))
        place = point_formulas.share_along(FLOATS, value, at)
        place = min(max(place, value[4]), value[5])
    fills = {"path": ids, "place": place}
    return NewPoint("point_on", fills, _value_of(board, "point_on", fills), f"a new point on {path_words(board, ids)}")


def place_near(board, id, at):
    """The typed number that puts a sliding point as near as it can come to a position."""
    return point_on_path(board, board.step(id).fills["path"], at).fills["place"]


def crossing_near(board, a, b, at):
    """The crossing of two paths that is nearest to a position, as the construction that keeps to it best; None where
    they do not meet now.

    A crossing at which a known point stands already is left out where there is another, and the other is then "the
    other than" that point.
    """
    fills = {"a": a, "b": b}
    words = f"where {_path_name(board, a)} meets {_path_name(board, b)}"
    choices = crossing_choices(kinds_of_fills(CATALOGUE["intersection"], fills, board.kind_of))
    if len(choices) == 2:
        for known in _points_on_both(board, a, b):
            other = {**fills, "known": (known,)}
            value, known_at = _value_of(board, "other_intersection", other), board.value(known)
            if value and known_at and _gap(value, known_at) > 1e-9 * (1 + abs(value[0]) + abs(value[1])):
                return NewPoint("other_intersection", other, value, words + " again")
    found = []
    for choice in choices:
        value = _value_of(board, "intersection", {**fills, **choice})
        if value is not None:
            found.append((_gap(value, at), choice, value))
    if not found:
        return None
    _, choice, value = min(found, key=lambda entry: entry[0])
    return NewPoint("intersection", {**fills, **choice}, value, words)


def _points_on_both(board, a, b):
    on = [set(ids) if len(ids) > 1 else board.incidence.get(ids[0], set()) for ids in (a, b)]
    return sorted((on[0] & on[1]), key=board.place)


def _value_of(board, does, fills):
    plan = make_plan(Step("", does, fills), board.kind_of, board.place)
    things = [board.values[place] for place in plan.inputs]
    if None in things:
        return None
    try:
        return plan.formula(FLOATS, *things, *plan.numbers)
    except (Undefined, OverflowError):
        return None
