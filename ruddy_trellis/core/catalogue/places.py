"""Places for what is put on a board without anyone saying where."""

from typing import Any

from ..kinds import CIRCLE, CLAIM, CONIC, POINT, POLYGON, QUIZ, REVEAL, SEGMENT
from ..seen import SeenBoard

#: Places round the middle of the view, as shares of it, that are tried for a new point.
_ROUND = ((-0.25, -0.2), (0.25, -0.2), (0.05, 0.25), (-0.3, 0.15), (0.3, 0.15), (0.0, -0.3), (-0.1, 0.05), (0.15, 0.0))


#: A new point is at least this share of the view's width away from all others.
_CLEAR = 0.04


def free_place(board: SeenBoard) -> tuple[float, float]:
    """A place for a new point where no other stands yet."""
    left, low, right, high = board.settings.view
    there = [board.value(step.id) for step in board.steps if step.makes == POINT and board.value(step.id) is not None]
    room = _CLEAR * (right - left)
    for x, y in _ROUND:
        at = (round((left + right) / 2 + x * (right - left), 1), round((low + high) / 2 + y * (high - low), 1))
        if all(abs(at[0] - other[0]) + abs(at[1] - other[1]) > room for other in there):
            return at
    return round((left + right) / 2 + 0.01 * len(there), 2), round((low + high) / 2, 2)


#: Places on a path that are tried for a new point: on what goes round, in degrees; on all else, as shares.
_TURNS = (0.5, 50.0, 130.0, 220.0, 310.0, 90.0, 175.0, 265.0, 20.0, 105.0, 150.0, 200.0, 240.0, 285.0, 335.0, 70.0)
_SHARES = (0.5, 0.3, 0.7, 0.15, 0.85, 0.4, 0.6, 0.22, 0.78, 0.93, 0.07, 0.35, 0.65)


def clear_on_path(fills: dict[str, Any], board: SeenBoard) -> dict[str, Any]:
    """What fills the gaps of a point on a path of which nobody said where on it: a place where no other point stands."""
    left, _, right, _ = board.settings.view
    there = [value for step in board.steps if step.makes == POINT and (value := board.value(step.id)) is not None]
    path = fills["path"]
    kind = board.kind_of(path[0]) if len(path) == 1 else SEGMENT
    for place in _TURNS if kind in (CIRCLE, CONIC) else _SHARES:
        # The first of them is the middle of the first side of a polygon, the others lie all round it.
        corners = len(board.value(path[0]) or ()) if kind == POLYGON and place != _SHARES[0] else 1
        made = {**fills, "place": place * corners}
        at = board.value_of("point_on", made)
        if at is not None and all(abs(at[0] - x) + abs(at[1] - y) > _CLEAR * (right - left) for x, y in there):
            return made
    return fills


def free_corner(board: SeenBoard) -> tuple[float, float]:
    """Where the next button or claim stands: down the left edge, one under another."""
    left, low, right, high = board.settings.view
    above = sum(1 for step in board.steps if step.makes in (REVEAL, CLAIM, QUIZ))
    return round(left + 0.03 * (right - left), 2), round(high - (0.12 + (0.18 + 0.11 * above) % 0.8) * (high - low), 2)


def in_the_corner(fills: dict[str, Any], board: SeenBoard) -> dict[str, Any]:
    """What fills the gaps of a button or claim of which nobody said where it stands."""
    return {**fills, "at": free_corner(board)} if fills.get("at") == (0.0, 0.0) else fills
