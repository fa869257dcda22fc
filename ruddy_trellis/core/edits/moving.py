"""Moving pegs to typed numbers."""

from typing import Any

from ..board.board import Board
from ..board.pegs import numbers_of, with_numbers
from ..board.step import Step
from ..kinds import join
from ..language.printing import sentence, why_locked
from ..limits import check_number
from ..refusal import Refusal
from .patch import Patch, known, replacing


def _followed(board: Board, edit: Any) -> list[Step]:
    """What hangs on the pegs and is where it was followed to, if that is one of the places at which it can be."""
    ahead = board.copy()
    ahead.move(edit.numbers)
    below = ahead.followers(edit.numbers)
    ahead.follow_to({id: edit.near[id] for id in below if id in edit.near})
    return [ahead.step(id) for id in below if ahead.step(id) != board.step(id)]


def moved(board: Board, edit: Any) -> Patch:
    moved = []
    for id, numbers in edit.numbers.items():
        step = board.step(*known(board, [id]))
        if not step.construction.moves:
            raise Refusal(f"{board.name(id)} is fixed by what it is made of: {sentence(board, id)}.")
        if step.look.locked:
            raise Refusal(why_locked(board, [id]))
        wanted = len(numbers_of(step))
        if len(numbers) != wanted:
            raise Refusal(f"{board.name(id)} is placed by {wanted} number{'s' * (wanted > 1)}.")
        moved.append(with_numbers(step, [check_number(number) for number in numbers]))
    if edit.near:
        moved += _followed(board, edit)
    return replacing(board, f"Moved {join(board.name(id) for id in edit.numbers)}", moved)
