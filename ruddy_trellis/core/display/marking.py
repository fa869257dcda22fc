"""Marks on the figure: where they are drawn, and whether the figure agrees with what they state."""

from collections.abc import Sequence
from math import degrees, hypot
from typing import Any

from ..arithmetic import FLOATS, Undefined
from ..arithmetic.circular import atan2
from ..formulas import measures
from ..seen import SeenBoard, SeenStep

#: Two lengths or angles that differ by less than this share count as equal, two directions as parallel.
_CLOSE = 1e-6
_COUNTS = {"once": 1, "twice": 2, "thrice": 3}


def group_of(step: SeenStep) -> tuple[str, Any]:
    """What a mark goes with: marks of one kind and one number of strokes state that what they stand on is equal."""
    return step.does, step.fills.get("strokes")


def groups(board: SeenBoard) -> dict[tuple[str, Any], list[str]]:
    """The ids of the marks that go together, by group."""
    found = {}
    for step in board.steps:
        if step.makes == "mark":
            found.setdefault(group_of(step), []).append(step.id)
    return found


def agrees(board: SeenBoard, ids: Sequence[str]):
    """Whether what these marks of one group state is so now."""
    values = [(board.step(id).does, value) for id in ids if (value := board.value(id)) is not None]
    try:
        numbers = [_measure(does, value) for does, value in values]
    except Undefined:
        return True
    if not numbers:
        return True  # what they stand on is not there now
    if values[0][0] == "right_angle_mark":
        return all(abs(number - 90) < 90 * _CLOSE for number in numbers)
    if values[0][0] == "parallel_mark":
        first = numbers[0]
        return all(abs((number - first + 90) % 180 - 90) < 180 * _CLOSE for number in numbers)
    return max(numbers) - min(numbers) <= _CLOSE * max(numbers)


def strays(board: SeenBoard, id: str, ids: Sequence[str]) -> float | None:
    """How far the figure is from what a mark states: degrees, or for lengths a share; signed, None where unknown.

    A mark of a right angle is measured by itself, any other against the first of its group that is not it.
    """
    step = board.step(id)
    try:
        own = _measure(step.does, board.value(id))
        if step.does == "right_angle_mark":
            return own - 90
        other = next((other for other in ids if other != id and board.value(other) is not None), None)
        if other is None:
            return None
        wanted = _measure(step.does, board.value(other))
    except (Undefined, TypeError):
        return None
    if step.does == "equal_length":
        return (own - wanted) / (own + wanted or 1)
    return (own - wanted + 90) % 180 - 90 if step.does == "parallel_mark" else own - wanted


def _measure(does, points):
    if does == "equal_length":
        return measures.distance(FLOATS, *points)
    if does == "parallel_mark":
        (ax, ay), (bx, by) = points
        return degrees(atan2(by - ay, bx - ax))
    return measures.angle(FLOATS, *points)


def shape(board: SeenBoard, step: SeenStep, points):
    """Where and how a mark is drawn: ``mark`` says which, ``at`` where, ``turn`` its direction in degrees, ``count``
    how many strokes; for the mark of an angle ``start`` and ``sweep`` as for the reading of one."""
    count = _COUNTS.get(step.fills.get("strokes", "once"), 1)
    if len(points) == 3:
        a, vertex, c = points
        start = degrees(atan2(a[1] - vertex[1], a[0] - vertex[0]))
        sweep = (degrees(atan2(c[1] - vertex[1], c[0] - vertex[0])) - start + 180) % 360 - 180
        return {"at": vertex, "start": start, "sweep": sweep, "right": step.does == "right_angle_mark", "count": count}
    (ax, ay), (bx, by) = points
    # Arrows stand a little off the middle, so that strokes for equal lengths can stand there as well.
    share = 0.5 if step.does == "equal_length" or hypot(bx - ax, by - ay) == 0 else 0.62
    at = (ax + share * (bx - ax), ay + share * (by - ay))
    return {
        "mark": "strokes" if step.does == "equal_length" else "arrows",
        "at": at,
        "turn": degrees(atan2(by - ay, bx - ax)),
        "count": count,
    }
