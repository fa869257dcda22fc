"""Everything that a working says as one edit."""

from ..board.board import Board
from ..refusal import Refusal
from .adding import added
from .models import Add
from .patch import Patch
from .saying import said


def pasted(board, edit):
    """The patch that adds what the text of a ``Paste`` says, a sentence a line.

    Raises:
        Refusal: naming the line that cannot be read; then nothing is added.
    """
    ahead = Board(board.settings, board.steps)
    lines = [(number, line.strip()) for number, line in enumerate(edit.text.splitlines(), 1) if line.strip()]
    if not lines:
        raise Refusal("Paste a working: a sentence a line, such as “A is a free point at (2, 3)”.")
    for number, line in lines:
        try:
            added(ahead, Add(steps=[said(line, ahead)])).apply(ahead)
        except Refusal as refusal:
            raise Refusal(f"Line {number}: {refusal.sentence}") from None
    new = ahead.steps[len(board) :]
    return Patch(f"Added {len(new)} step{'s' * (len(new) != 1)} from text", (), tuple((len(board) + place, step) for place, step in enumerate(new)))
