"""Places for what is put on a board without anyone saying where."""

from typing import Any

from ..kinds import CLAIM, POINT, QUIZ, REVEAL
from ..seen import SeenBoard

#: Places round the middle of the view, as shares of it, that are tried for a new point.
_ROUND = ((-0.25, -0.2), (0.25, -0.2), (0.05, 0.25), (-0.3, 0.15), (0.3, 0.15), (0.0, -0.3), (-0.1, 0.05), (0.15, 0.0))


def free_place(board: SeenBoard) -> tuple[float, float]:
    """A place for a new point where no other stands yet."""
    left, low, right, high = board.settings.view
    there = [board.value(step.id) for step in board.steps if step.makes == POINT and board.value(step.id) is not None]
    room = 0.04 * (right - left)
    for x, y in _ROUND:
        at = (round((left + right) / 2 + x * (right - left), 1), round((low + high) / 2 + y * (high - low), 1))
        if all(abs(at[0] - other[0]) + abs(at[1] - other[1]) > room for other in there):
            return at
    return round((left + right) / 2 + 0.01 * len(there), 2), round((low + high) / 2, 2)


def free_corner(board: SeenBoard) -> tuple[float, float]:
    """Where the next button or claim stands: down the left edge, one under another."""
    left, low, right, high = board.settings.view
    above = sum(1 for step in board.steps if step.makes in (REVEAL, CLAIM, QUIZ))
    return round(left + 0.03 * (right - left), 2), round(high - (0.12 + (0.18 + 0.11 * above) % 0.8) * (high - low), 2)


def in_the_corner(fills: dict[str, Any], board: SeenBoard) -> dict[str, Any]:
    """What fills the gaps of a button or claim of which nobody said where it stands."""
    return {**fills, "at": free_corner(board)} if fills.get("at") == (0.0, 0.0) else fills
