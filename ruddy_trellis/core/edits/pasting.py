"""Everything that a working says as one edit."""

from typing import Any

from ..board.board import Board
from ..refusal import Refusal
from .adding import put_on
from .models import Add
from .patch import Patch
from .saying import said


def grow(board: Board, text: str) -> None:
    """Add to a board what a working says, a sentence a line. Raises Refusal naming the line that cannot be read; the
    lines before it stand."""
    for number, line in enumerate(text.splitlines(), 1):
        if not line.strip():
            continue
        before = len(board)
        try:
            put_on(board, Add(steps=said(line.strip(), board)))
        except Refusal as refusal:
            board.become(board.steps[:before])
            raise Refusal(f"Line {number}: {refusal.sentence}") from None


def pasted(board: Board, edit: Any) -> Patch:
    """The patch that adds what the text of a ``Paste`` says, a sentence a line.

    Raises:
        Refusal: naming the line that cannot be read; then nothing is added.
    """
    if not edit.text.strip():
        raise Refusal("Paste a working: a sentence a line, such as “A is a free point at (2, 3)”.")
    ahead = board.copy()
    grow(ahead, edit.text)
    new = ahead.steps[len(board) :]
    return Patch(
        f"Added {len(new)} step{'s' * (len(new) != 1)} from text", (), tuple((len(board) + place, step) for place, step in enumerate(new))
    )
