"""A board as a copy of it is made elsewhere: with the ids of its steps, so that both speak of the same things."""

from typing import Any

from .board import Board
from .codec import settings_from_json, settings_to_json, step_from_json, step_to_json


def steps_and_settings(board: Board) -> dict[str, Any]:
    """A board as a copy of it is made beside a drawing: its settings, and its steps with their ids."""
    return {"settings": settings_to_json(board.settings), "steps": [step_to_json(step) for step in board.steps]}


def board_of(data: Any) -> Board:
    """The reverse of :func:`steps_and_settings`. Raises Refusal for a construction that is not known here."""
    board = Board()
    board.settings = settings_from_json(data["settings"])
    board.become([step_from_json(step) for step in data["steps"]])
    return board
