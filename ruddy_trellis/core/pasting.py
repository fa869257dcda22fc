"""Whole states of a board as one edit: a pasted working, an earlier state brought back."""

from .board import Board
from .edits import Add, Patch, perform
from .figure import said
from .refusal import Refusal


def pasted(board, text):
    """The patch that adds what a working says, a sentence a line.

    Raises:
        Refusal: naming the line that cannot be read; then nothing is added.
    """
    ahead = Board(board.settings, board.steps)
    lines = [(number, line.strip()) for number, line in enumerate(text.splitlines(), 1) if line.strip()]
    if not lines:
        raise Refusal("Paste a working: a sentence a line, such as “A is a free point at (2, 3)”.")
    for number, line in lines:
        try:
            perform(ahead, Add(steps=[said(line, ahead)]))
        except Refusal as refusal:
            raise Refusal(f"Line {number}: {refusal.sentence}") from None
    new = ahead.steps[len(board) :]
    return Patch(f"Added {len(new)} step{'s' * (len(new) != 1)} from text", (), tuple((len(board) + place, step) for place, step in enumerate(new)))


def state_before(board, patches):
    """The board as it was before some edits.

    Args:
        patches: the edits to take back, the last first.
    """
    earlier = Board(board.settings, board.steps)
    for patch in patches:
        patch.reversed().apply(earlier)
    return earlier


def brought_back(board, earlier, words):
    """The patch that makes a board what it was once, as a new edit. Raises Refusal where it is that already."""
    if earlier.steps == board.steps and earlier.settings == board.settings:
        raise Refusal("The board is like that now.")
    return Patch(words, tuple(enumerate(board.steps)), tuple(enumerate(earlier.steps)), board.settings, earlier.settings)
