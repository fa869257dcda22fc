"""Refusals of sentences: after which nothing else is tried, of a part that belongs elsewhere, of points that are not there."""

from __future__ import annotations

from collections.abc import Sequence

from ..board.board import Board
from ..kinds import join
from ..refusal import Refusal


class Final(Refusal):
    """A refusal after which nothing else is tried: the sentence is understood, and cannot be done."""


class Told(Final):
    """An answer, after which nothing is made: that a text is said to its readers, or which sort of shape something is not."""


class Stray(Refusal):
    """A part or a word that the noun does not take which it was taken to belong to: it may belong to another one."""


class NotThere(Refusal):
    """Names of points that are not there. ``names`` are they."""

    def __init__(self, names: Sequence[str], board: Board, ways: Sequence[str] = ()) -> None:
        be = "is" if len(names) == 1 else "are"
        there = list(board.points_by_name)
        known = f" The points are {join(there[:12])}." if there else ""
        super().__init__(f"{join(names)} {be} not there.{known}", ways=tuple(ways))
        self.names = tuple(names)
