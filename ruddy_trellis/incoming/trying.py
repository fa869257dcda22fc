"""What a file would make: of a board that is there, or as a board of its own. From text to text, for another process."""

from ..core.board import Board, Settings
from ..core.display import Extent, display
from ..core.edits.models import Paste
from ..core.edits.pasting import pasted
from ..core.lesson.file import board_from_store, board_to_text
from ..drawings.boards import USUAL_WIDTH, centimetres, whole
from ..drawings.exporting import written
from ..drawings.wanted import Wanted
from .reading import working_of


def tried(document: str, kind: str, content: bytes) -> tuple[str, str, int, str]:
    """What a file would make of a board.

    Args:
        document: the text that is kept of the board.
        kind: "points", "svg", "dxf" or "working".

    Returns:
        The working that it becomes, what could not be read, in words, how many steps that are, and a picture of the board with it.

    Raises:
        Refusal: where it cannot be read, or does not go on this board.
    """
    board = board_from_store(document)
    left, low, right, high = board.settings.view
    middle = (left + right) / 2, (low + high) / 2
    text, unread = working_of(kind, content, set(board.names.values()), 1 / centimetres(board.settings), middle)
    patch = pasted(board, Paste(kind="paste", text=text))
    before = len(board)
    patch.apply(board)
    drawn = written("svg", board, Wanted(part="all", outlines=True)).decode()
    return text, unread, len(board) - before, drawn


def arrived_drawing(kind: str, content: bytes, title: str) -> str:
    """A board that is made of what is in a file: the text that is kept of it. Raises Refusal."""
    board = Board(Settings(title=title))
    text, _ = working_of(kind, content, (), 1 / centimetres(board.settings), (0.0, 0.0))
    pasted(board, Paste(kind="paste", text=text)).apply(board)
    view = Extent(*board.settings.view)
    if seen := whole(display(board, view), view.width / USUAL_WIDTH):
        board.settings = board.settings.with_(view=(seen.left, seen.low, seen.right, seen.high))
    return board_to_text(board)
