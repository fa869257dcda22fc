"""What a board's history gives, from nothing: it has to be what is kept of the board."""

import json

from ruddy_trellis.core.board import Board
from ruddy_trellis.core.edits import Patch


def replayed(lessons, board_id):
    """The row of a board and the board that its history gives."""
    row, grown = lessons.board(board_id), Board()
    for number in range(1, row.edits_done + 1):
        Patch.from_json(json.loads(lessons.edit(board_id, number))).apply(grown)
    return row, grown
