"""What lies under the pointer, and the new point that a click there would make."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import degrees, hypot, sqrt

from ..arithmetic import FLOATS, Undefined
from ..arithmetic.circular import atan2
from ..arithmetic.late import np
from ..board.board import Board
from ..board.lattice import snapped
from ..board.nearest import distance_to_path, nearest_place
from ..board.plan import kinds_of_fills
from ..catalogue import CATALOGUE
from ..catalogue.crossings import crossing_choices
from ..formulas import arcs, measures, straights
from ..kinds import CHORD_REGION, CIRCLE, CONDITION, LOCUS, PATHS, POINT, POLYGON, REGION, SECTOR, SEGMENT
from ..language import names as spelling
from ..language.printing import noun
from ..seen import Place

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
        shapes: ids of polygons and circles that the pointer is inside, the smallest first; of conditions and regions that whose
            edge it is on goes before all.
        new_point: the point that a click would make here.
    """

    at: tuple
    points: tuple
    paths: tuple
    shapes: tuple
    new_point: NewPoint


def look_under(board: Board, at: Place, tolerance: float) -> Under:
    """What lies under the pointer.

    Args:
        at: position in board units.
        tolerance: how near counts as under it, in board units.
    """
    points: list[tuple[float, tuple[str, ...]]] = []
    paths: list[tuple[float, tuple[str, ...]]] = []
    shapes: list[tuple[float, str]] = []
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
            if (distance := distance_to_path(step.makes, value, at, tolerance)) <= tolerance:
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
        elif step.makes in (CONDITION, REGION) and (room := _room(value, at, tolerance)) is not None:
            shapes.append((room, step.id))
    points.sort()
    # A thing goes before a side that it runs along.
    paths.sort(key=lambda path: (round(path[0] / tolerance, 2), len(path[1])))
    shapes.sort()
    ordered = tuple(dict.fromkeys(ids for _, ids in paths))
    return Under(at, tuple(ids[0] for _, ids in points), ordered, tuple(id for _, id in shapes), _new_point(board, at, ordered, tolerance))


def path_words(board: Board, ids: Sequence[str]) -> str:
    """What a path is called: "line p", or "side AB" for two ends."""
    return noun(board, ids[0]) if len(ids) == 1 else f"side {_path_name(board, ids)}"


def _path_name(board, ids):
    return spelling.spell(board.name(id) for id in ids)


def _inside_arc(kind, value, at, tolerance):
    """Whether a position is in a sector or a chord region, or on its edge."""
    cx, cy, square, ax, ay, bx, by = value
    if hypot(at[0] - cx, at[1] - cy) > sqrt(square) + tolerance:
        return False
    if kind == CHORD_REGION:
        return (at[0] - ax) * (by - ay) - (at[1] - ay) * (bx - ax) >= -tolerance * hypot(bx - ax, by - ay)
    turned = (degrees(atan2(at[1] - cy, at[0] - cx)) - degrees(atan2(ay - cy, ax - cx))) % 360
    return turned <= arcs.sweep(FLOATS, value)


#: Round the pointer, in so many directions, and so many times as far out as it reaches, places are asked whether they are in a region.
_DIRECTIONS, _REACHES = 24, (1, 4, 10, 20, 40, 80, 160)


def _room(region, at, tolerance):
    """About how much room a region has round a position in it, board units squared: 0 where the position is on its edge, None where
    it is outside."""
    turns = np.arange(_DIRECTIONS) * (2 * np.pi / _DIRECTIONS)
    far = np.array([[reach * tolerance] for reach in _REACHES])
    held = np.mean(region.holds(at[0] + far * np.cos(turns), at[1] + far * np.sin(turns)), axis=1)
    if 0 < held[0] < 1:
        return 0.0
    if not region.holds(*at):
        return None
    rings = np.diff(np.array([0, *_REACHES]) ** 2) * (np.pi * tolerance**2)
    return float((held * rings).sum())


def _sides(corners, value):
    corner_values = list(zip(corners, value))  # an image of a polygon has no corners of its own
    return zip(corner_values, corner_values[1:] + corner_values[:1])


def _distance_to_side(a, b, at):
    try:
        return distance_to_path(SEGMENT, straights.segment(FLOATS, a, b), at)
    except Undefined:
        return float("inf")


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
    for number, a in enumerate(paths[:5]):
        for b in paths[number + 1 : 5]:
            first, second = sorted((a, b), key=lambda ids: board.place(ids[0]))
            found = crossing_near(board, first, second, at)
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


def free_point(at: Place) -> NewPoint:
    """A new free point."""
    return NewPoint("free_point", {"at": tuple(at)}, tuple(at), "a new free point here")


def point_on_path(board: Board, ids: tuple[str, ...], at: Place) -> NewPoint:
    """A new point on a path, at the place nearest to a position."""
    fills = {"path": ids, "place": nearest_place(board, ids, at)}
    return NewPoint("point_on", fills, board.value_of("point_on", fills), f"a new point on {path_words(board, ids)}")


def place_near(board: Board, id: str, at: Place) -> float:
    """The typed number that puts a sliding point as near as it can come to a position."""
    return nearest_place(board, board.step(id).fills["path"], at)


def crossing_near(board: Board, a: tuple[str, ...], b: tuple[str, ...], at: Place) -> NewPoint | None:
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
            value, known_at = board.value_of("other_intersection", other), board.value(known)
            if value and known_at and _gap(value, known_at) > 1e-9 * (1 + abs(value[0]) + abs(value[1])):
                return NewPoint("other_intersection", other, value, words + " again")
    found = []
    for choice in choices:
        value = board.value_of("intersection", {**fills, **choice})
        if value is not None:
            found.append((_gap(value, at), choice, value))
    if not found:
        return None
    _, choice, value = min(found, key=lambda entry: entry[0])
    return NewPoint("intersection", {**fills, **choice}, value, words)


def _points_on_both(board, a, b):
    on = [set(ids) if len(ids) > 1 else board.incidence.get(ids[0], set()) for ids in (a, b)]
    return sorted((on[0] & on[1]), key=board.place)
