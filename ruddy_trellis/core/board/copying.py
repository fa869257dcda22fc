"""A board as a copy of it is made elsewhere: with the ids of its steps, so that both speak of the same things."""

from typing import Any

from .board import Board
from .chalk import stroke_from_json, stroke_to_json
from .codec import settings_from_json, settings_to_json, step_from_json, step_to_json


def steps_and_settings(board: Board, is_seen: bool = False) -> dict[str, Any]:
    """A board as a copy of it is made beside a drawing: its settings, its steps with their ids, its chalk, what is known of its
    claims.

    Args:
        is_seen: whether hidden things on which nothing hangs that is seen are left out.
    """
    ids = {step.id for step in board.steps if not (is_seen and step.look.hidden)}
    ids = {*ids, *board.ancestors(list(ids))}
    return {
        "settings": settings_to_json(board.settings),
        "steps": [step_to_json(step) for step in board.steps if step.id in ids],
        "chalk": [stroke_to_json(stroke) for stroke in board.chalk],
        "verdicts": {id: words for id, words in board.verdicts.items() if id in ids},
    }


def as_students_may_have_it(board: Board) -> dict[str, Any] | None:
    """The same for somebody who may not know all of it: without hidden things on which nothing hangs that is seen. None where a cover is
    the teacher's to lift: what is under it is nobody's before. What a person may lift or reveal is in the copy, and is drawn no sooner."""
    if any(step.look.cover and step.look.teacher_lifts for step in board.steps):
        return None
    return steps_and_settings(board, True)


def board_of(data: Any) -> Board:
    """The reverse of :func:`steps_and_settings`. Raises Refusal for a construction that is not known here."""
    board = Board()
    board.settings = settings_from_json(data["settings"])
    board.become(list(map(step_from_json, data["steps"])))
    board.chalk = tuple(map(stroke_from_json, data["chalk"]))
    board.verdicts = data["verdicts"]
    return board
