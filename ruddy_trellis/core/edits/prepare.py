"""Each kind of edit with what checks it whole and makes its patch."""

from collections.abc import Callable
from typing import Any

from ..board import Board
from . import adding, deleting, log, looks, moving, pasting, settings, tying
from .models import Add, Arrange, Choose, Delete, Move, Paste, Record, Rename, Restyle, Retie, Tidy
from .patch import Patch

#: What makes the patch of each kind of edit.
_PREPARERS: dict[type, Callable[[Board, Any], Patch]] = {
    Add: adding.added,
    Move: moving.moved,
    Rename: looks.renamed,
    Restyle: looks.restyled,
    Choose: tying.chosen,
    Retie: tying.retied,
    Paste: pasting.pasted,
    Record: log.recorded,
    Delete: deleting.deleted,
    Tidy: looks.tidied,
    Arrange: settings.arranged,
}


def prepare(board: Board, edit) -> Patch:
    """Check an edit against a board and make its patch. The board is not changed.

    Raises:
        Refusal: with a sentence for the person; nothing has changed.
    """
    return _PREPARERS[type(edit)](board, edit)


def perform(board: Board, edit) -> Patch:
    """Check an edit, make its patch and apply it."""
    patch = prepare(board, edit)
    patch.apply(board)
    return patch
