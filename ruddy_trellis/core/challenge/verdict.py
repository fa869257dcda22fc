"""What came of judging an answer, and the positions in which it is looked at."""

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import islice

from ..board.board import Board
from .challenge import Challenge
from .positions import Numbers, positions, with_own

#: In how many positions an answer must be the right one; from how many on it is right where it is there; how many are tried.
ENOUGH, SOME, MOST = 24, 6, 300

RIGHT, WHERE_THERE, CANNOT, NOT_YET = "right", "right where it is there", "cannot be told", "not yet"


#: What is told where there is nothing to judge.
NOTHING = "Nothing of yours is on the board yet."


@dataclass(frozen=True)
class Judged:
    """What came of it.

    Attributes:
        verdict: "right", "right where it is there", "cannot be told" or "not yet".
        words: what the student is told.
        conditions: what was asked for, each with whether it is met.
        taken: the ids of what was taken for the answer.
        position: the numbers of the pegs in a position in which it is not so; None for none.
    """

    verdict: str
    words: str
    conditions: tuple[tuple[str, bool], ...] = ()
    taken: tuple[str, ...] = ()
    position: Numbers | None = None

    @property
    def is_met(self) -> bool:
        return self.verdict in (RIGHT, WHERE_THERE)


def tried(copy: Board, challenge: Challenge) -> Iterator[tuple[Numbers, Numbers]]:
    """The positions in which an answer is looked at: the numbers of the given pegs, and of the student's own."""
    return with_own(copy, islice(positions(copy, challenge.held), MOST))


def is_loose(copy: Board, id: str) -> bool:
    """Whether a thing hangs on a peg of the student's own."""
    pegs = [copy.step(one) for one in (id, *copy.ancestors([id])) if not copy.is_given(one)]
    return any(step.construction.moves for step in pegs)
