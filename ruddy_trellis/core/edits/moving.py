"""Moving pegs to typed numbers."""

from typing import Any

from ..board.board import Board
from ..board.pegs import numbers_of, with_numbers
from ..kinds import join
from ..language.printing import sentence, why_locked
from ..limits import check_number
from ..refusal import Refusal
from .patch import Patch, known, replacing


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
    return replacing(board, f"Moved {join(board.name(id) for id in edit.numbers)}", moved)
