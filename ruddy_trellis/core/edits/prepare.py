"""Each kind of edit with what checks it whole and makes its patch."""

from collections.abc import Callable
from dataclasses import replace
from typing import Any

from ..board import Board
from . import adding, by_hand, chalking, deleting, log, looks, moving, pasting, settings, tying
from .models import Add, Arrange, ByHand, Chalk, Choose, Delete, FitPhotograph, Move, Paste, Record, Rename, Restyle, Retie, Tidy, Together
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
    ByHand: by_hand.drawn_by_hand,
    Record: log.recorded,
    Delete: deleting.deleted,
    Tidy: looks.tidied,
    Arrange: settings.arranged,
    Chalk: chalking.chalked,
    FitPhotograph: settings.fitted,
}


def prepare(board: Board, edit: Any) -> Patch:
    """Check an edit against a board and make its patch. The board is not changed.

    Raises:
        Refusal: with a sentence for the person; nothing has changed.
    """
    return _with_followers(board, _PREPARERS[type(edit)](board, edit))


def _together(board: Board, edit: Together) -> Patch:
    """The patch of several edits as one: what differs between the board before them and after."""
    ahead = board.copy()
    told = []
    for one in edit.edits:
        patch = prepare(ahead, one)
        patch.apply(ahead)
        told.append(patch.words)
    after = {step.id: step for step in ahead.steps}
    before = {step.id: step for step in board.steps}
    return Patch(
        "; ".join(told[:3]) + ("; …" if len(told) > 3 else ""),
        tuple((place, step) for place, step in enumerate(board.steps) if after.get(step.id) != step),
        tuple((place, step) for place, step in enumerate(ahead.steps) if before.get(step.id) != step),
        board.settings if ahead.settings != board.settings else None,
        ahead.settings if ahead.settings != board.settings else None,
    )


_PREPARERS[Together] = _together


def perform(board: Board, edit: Any) -> Patch:
    """Check an edit, make its patch and apply it."""
    patch = prepare(board, edit)
    patch.apply(board)
    return patch


def _with_followers(board: Board, patch: Patch) -> Patch:
    """The patch with what it changes of steps that keep where they were, so that its reverse brings them back exactly."""
    followers = board.followers(step.id for step in board.steps)
    if not followers or not (patch.before or patch.after):
        return patch
    ahead = board.copy()
    patch.apply(ahead)
    known = patch.ids()
    moved = [id for id in followers if id in ahead and id not in known and ahead.step(id) != board.step(id)]
    if not moved:
        return patch
    before = tuple(sorted((*patch.before, *((board.place(id), board.step(id)) for id in moved)), key=lambda pair: pair[0]))
    after = tuple(sorted((*patch.after, *((ahead.place(id), ahead.step(id)) for id in moved)), key=lambda pair: pair[0]))
    return replace(patch, before=before, after=after)
