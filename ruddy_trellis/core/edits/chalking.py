"""Strokes of chalk put on a board and rubbed out again."""

from .. import limits
from ..board.board import Board
from ..board.chalk import Stroke
from ..refusal import Refusal
from .models import Chalk, StrokeData
from .patch import Patch


def stroke_of(data: StrokeData, id: str) -> Stroke:
    """A stroke as it was sent, with an id. Raises Refusal where it is none."""
    if len(data.points) % 2 or (data.presses and len(data.presses) * 2 != len(data.points)):
        raise Refusal("A stroke is a list of places, with how hard it was pressed at each of them or at none.")
    return Stroke(id, data.pen, data.width, tuple(data.points), tuple(data.presses))


def chalked(board: Board, edit: Chalk) -> Patch:
    """The patch of strokes that are drawn, and of such as are rubbed out."""
    gone = tuple(stroke for stroke in board.chalk if stroke.id in set(edit.wipe))
    if not gone and not edit.add:
        raise Refusal("There is no chalk to rub out.")
    if len(board.chalk) - len(gone) + len(edit.add) > limits.STROKES:
        raise Refusal(f"The board is full of chalk: {limits.STROKES} strokes are on it. Wipe some of them.")
    last = max((int(stroke.id[1:]) for stroke in board.chalk), default=0)
    added = tuple(stroke_of(data, f"c{last + number}") for number, data in enumerate(edit.add, 1))
    words = f"Drew {len(added)} stroke{'s' * (len(added) != 1)} of chalk" if added else "Rubbed out chalk"
    return Patch(words, chalk_before=gone, chalk_after=added)
