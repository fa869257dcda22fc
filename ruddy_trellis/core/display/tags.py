"""Where readings stand on the board: an angle at its corner, a tag beside what it measures."""

from math import degrees, hypot, radians, sqrt
from typing import Any

from ..arithmetic import FLOATS
from ..arithmetic.circular import atan2, cos, sin
from ..formulas import arcs
from ..formulas.points import middle_of_corners
from ..kinds import ARC, CHORD_REGION, CIRCLE, CONIC, POINT, POLYGON, SECTOR, SPANS, STRAIGHTS
from ..seen import SeenBoard, SeenStep
from .extent import clip

#: An angle this near to 90 degrees shows as 90.0 and gets the square mark.
_RIGHT_SLACK = 0.05


def corner(board: SeenBoard, step: SeenStep, points):
    """The arm, the corner and the other arm of an angle reading; None where it has no corner to stand at."""
    if step.does == "interior_angle":
        polygon, corner = board.value(step.fills["polygon"][0]), board.value(step.fills["corner"][0])
        place = next(number for number, other in enumerate(polygon) if other is corner)
        return polygon[place - 1], corner, polygon[(place + 1) % len(polygon)]
    if step.does == "angle_between":
        return _crossing_corner(board, step)
    return points if len(points) == 3 else None


def _crossing_corner(board, step):
    """Where two straight things cross, between the arms of the angle below 90 degrees that they make."""
    straights = []
    for gap in ("a", "b"):
        ids = step.fills[gap]
        first = board.value(ids[0])
        if len(ids) == 2:
            last = board.value(ids[1])
            first = (*first, last[0] - first[0], last[1] - first[1])
        straights.append(first)
    (px, py, dx, dy), (qx, qy, ex, ey) = (straight[:4] for straight in straights)
    cross = dx * ey - dy * ex
    if abs(cross) < 1e-9 * hypot(dx, dy) * hypot(ex, ey):
        return None
    share = ((qx - px) * ey - (qy - py) * ex) / cross
    at = (px + share * dx, py + share * dy)
    sign = 1 if dx * ex + dy * ey >= 0 else -1
    return (at[0] + dx, at[1] + dy), at, (at[0] + sign * ex, at[1] + sign * ey)


def angle_shape(step: SeenStep, points, value: Any):
    a, vertex, c = points
    start = degrees(atan2(a[1] - vertex[1], a[0] - vertex[0]))
    sweep = (degrees(atan2(c[1] - vertex[1], c[0] - vertex[0])) - start + 180) % 360 - 180
    if step.fills.get("turn") == "directed":
        sweep %= 360
    elif value > 180 and abs(sweep) < 180:
        sweep = sweep - 360 if sweep > 0 else sweep + 360
    middle = radians(start + sweep / 2)
    shape = {"at": vertex, "start": start, "sweep": sweep, "right": abs(abs(sweep) - 90) < _RIGHT_SLACK}
    # Further out to the side than up or down, so that the tag clears the arc.
    return shape, vertex, (4.0 * cos(middle), 2.7 * sin(middle))


def tag_place(board: SeenBoard, inside, step: SeenStep, points):
    """Where the tag of a reading stands: beside its two points, in its shape, or else in the corner."""
    if len(points) == 2:
        (ax, ay), (bx, by) = points
        size = hypot(bx - ax, by - ay) or 1
        return ((ax + bx) / 2, (ay + by) / 2), ((by - ay) / size * 1.2, (ax - bx) / size * 1.2)
    for parent in step.inputs:
        kind, value = board.kind_of(parent), board.value(parent)
        if kind == POLYGON:
            return middle_of_corners(value), (0, 0)
        if kind == CIRCLE:
            return value[:2], (0, -1.5)
        if kind in (ARC, SECTOR, CHORD_REGION):
            return _middle_of_arc(board, parent), (0, -1.2)
        if kind == CONIC:
            return value[:2], (0, -1.5)
        if kind == POINT and len(points) == 1:
            return points[0], (0, -1.6)
        if kind in STRAIGHTS and points:
            return points[0], (1.2, -1.2)
        if kind in SPANS:
            return (value[0] + value[2] / 2, value[1] + value[3] / 2), (0, -1.2)
    if step.does == "equation":
        seen = clip(board.value(step.inputs[0]), inside)
        if seen:
            px, py, dx, dy = board.value(step.inputs[0])[:4]
            share = seen[0] + 0.2 * (seen[1] - seen[0])
            return (px + share * dx, py + share * dy), (0, 1.4)
    above = sum(1 for other in board.steps[: board.place(step.id)] if other.does == "calculation")
    left, low, right, high = board.settings.view
    return (left + 0.03 * (right - left), high - (0.05 + 0.06 * above) * (high - low)), (3.0, 0)


def _middle_of_arc(board, id):
    """The middle of an arc, or the inside of a sector."""
    x, y, square, ax, ay = board.value(id)[:5]
    middle = atan2(ay - y, ax - x) + radians(arcs.sweep(FLOATS, board.value(id))) / 2
    return x + 0.8 * sqrt(square) * cos(middle), y + 0.8 * sqrt(square) * sin(middle)
