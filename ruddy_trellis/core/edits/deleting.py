"""Deleting things, and with them everything made from them."""

from collections.abc import Sequence
from typing import Any

from ..board.board import Board
from ..language.printing import listed
from .log import settings_without
from .patch import Patch, known


def deleted(board: Board, edit: Any) -> Patch:
    ids = list(dict.fromkeys(known(board, edit.ids)))
    more = [id for id in board.dependants(ids) if id not in ids]
    gone = [(board.place(id), board.step(id)) for id in sorted((*ids, *more), key=board.place)]
    words = "Deleted " + listed(board, ids) + (f", and with {'it' if len(ids) == 1 else 'them'} {listed(board, more)}" if more else "")
    return Patch(words, tuple(gone), (), *settings_without(board.settings, {*ids, *more}))


def what_goes(board: Board, ids: Sequence[str]) -> str:
    """What deleting these would take, in words: "Deleting A takes AB and k with it"."""
    more = board.dependants(ids)
    if not more:
        return ""
    return f"Deleting takes {listed(board, more)} too."
