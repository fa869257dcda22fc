"""Earlier states of a board: looked at, and brought back as a new edit."""

from collections.abc import Iterable

from ..board.board import Board
from ..refusal import Refusal
from .patch import Patch


def state_before(board: Board, patches: Iterable[Patch]) -> Board:
    """The board as it was before some edits.

    Args:
        patches: the edits to take back, the last first.
    """
    earlier = board.copy()
    for patch in patches:
        patch.reversed().apply(earlier)
    return earlier


def brought_back(board: Board, earlier: Board, words: str) -> Patch:
    """The patch that makes a board what it was once, as a new edit. Raises Refusal where it is that already."""
    if earlier.steps == board.steps and earlier.settings == board.settings and earlier.chalk == board.chalk:
        raise Refusal("The board is like that now.")
    steps = tuple(enumerate(board.steps)), tuple(enumerate(earlier.steps))
    return Patch(words, *steps, board.settings, earlier.settings, board.chalk, earlier.chalk)
