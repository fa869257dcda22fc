"""The verdict on a claim: it fails, it stands, or it is proved."""

from dataclasses import dataclass, field

from ..board.board import Board
from .claimed import Claimed
from .conditions import conditions
from .proving import proof
from .trying import tried

#: What is known of a claim, in a word; the last while it is still being tried.
FAILS, STANDS, PROVED, TRYING = "fails", "stands", "proved", "trying"


@dataclass(frozen=True)
class Verdict:
    """What is known of a claim.

    Attributes:
        verdict: "fails", "stands" or "proved".
        conditions: where the figure is there, as sentences: "where A, B and C are not in line".
        position: where it fails: the numbers of the pegs by name.
        positions: the same by id.
        held: in how many positions it held to 50 digits.
        why: why it is not proved, or cannot be asked.
        final: whether nothing more is tried.
    """

    verdict: str
    conditions: tuple[str, ...] = ()
    position: dict[str, tuple[float, ...]] = field(default_factory=dict)
    positions: dict[str, tuple[float, ...]] = field(default_factory=dict)
    held: int = 0
    why: str = ""
    final: bool = True


def first_verdict(board: Board, id: str) -> Verdict:
    """Whether a claim fails or stands, in a fraction of a second."""
    claimed = Claimed(board, id)
    trial = tried(claimed)
    if trial.breaking is not None:
        positions = {peg: numbers for peg, numbers in trial.breaking.items() if peg in board}
        by_name = {board.name(peg): numbers for peg, numbers in positions.items()}
        return Verdict(FAILS, conditions(claimed), by_name, positions)
    if not trial.there:
        return Verdict(FAILS, conditions(claimed), why="In none of the positions tried can this be asked.")
    if not trial.held:
        why = "It holds as far as a computer's plain numbers tell; more cannot be said of this figure."
        return Verdict(STANDS, conditions(claimed), why=why)
    return Verdict(STANDS, conditions(claimed), held=trial.held, final=False)


def verdict(board: Board, id: str, seconds: float = 5.0) -> Verdict:
    """The verdict on a claim, after so many seconds of looking for a proof at most."""
    first = first_verdict(board, id)
    return first if first.final else after_proof(board, id, first, seconds)


def after_proof(board: Board, id: str, first: Verdict, seconds: float = 5.0) -> Verdict:
    """A verdict after looking for a proof."""
    found = proof(Claimed(board, id), seconds)
    return Verdict(PROVED if found.proved else STANDS, first.conditions, held=first.held, why=found.why)
