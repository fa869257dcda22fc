"""What a change to a board gives, worked out on a copy before anybody sees it: the board, and all that is told and kept of it."""

from dataclasses import dataclass, replace

import orjson

from ...core.board import Board
from ...core.display import Extent, display
from ...core.edits import Patch
from ...core.lesson.file import board_to_text, check_kept


@dataclass(frozen=True)
class Ahead:
    """A board with a patch in it, apart from the one that others look at, and all that is told and kept of it."""

    board: Board
    patch: Patch
    stored: str
    text: str
    extent: Extent
    items: list


def worked_out(board, make, extent, check, before, is_new=True):
    """What a patch gives. Raises Refusal where that could not be kept and read again.

    Args:
        board: a copy, which is changed.
        make: a function from the board to the patch.
        check: a function of the board and the patch that raises Refusal where it may not be.
        before: the display list that was told last; None where there is none of the board as it is.
        is_new: whether the patch is a new one, which is looked at closely and stored.
    """
    patch = make(board)
    check(board, patch)
    patch.apply(board)
    if is_new:
        check_kept(board, [step.id for _, step in patch.after])
    stored = orjson.dumps(patch.to_json()).decode() if is_new else ""
    if before is not None:
        before = replace(before, moved=before.moved | patch.ids()) if patch.only_moves else None
    return Ahead(board, patch, stored, board_to_text(board), extent, display(board, extent, before=before))


def of_history(stored, step):
    """The patch of an edit as it is kept: to be made again (1), or taken back (−1)."""
    patch = Patch.from_json(orjson.loads(stored))
    return patch if step > 0 else patch.reversed()
