"""The verdict on a claim: it fails, it stands, or it is proved."""

from dataclasses import dataclass, field, replace

from ..board.board import Board
from .claimed import Claimed
from .conditions import conditions
from .proving import proof
from .supposing import supposed_words, suppositions_of
from .trying import ENOUGH, tried

#: What is known of a claim, in a word; the last while it is still being tried.
FAILS, STANDS, PROVED, CANNOT, TRYING = "fails", "stands", "proved", "cannot be told", "trying"


@dataclass(frozen=True)
class Verdict:
    """What is known of a claim.

    Attributes:
        verdict: "fails", "stands", "proved" or "cannot be told".
        conditions: where the figure is there, as sentences: "where A, B and C are not in line".
        position: where it fails: the numbers of the pegs by name.
        positions: the same by id.
        held: in how many positions it held.
        is_exact: whether it held there to 50 digits, and not only as far as plain numbers tell.
        why: why it is not proved, or cannot be asked.
        final: whether nothing more is tried.
        is_whole: whether what was tried was tried to its end, so that it need not be tried again.
        given: under which suppositions it is so, in words: "P is inside ABC"; "" where it is so without any.
        anyway: which suppositions it does not need, in words.
    """

    verdict: str
    conditions: tuple[str, ...] = ()
    position: dict[str, tuple[float, ...]] = field(default_factory=dict)
    positions: dict[str, tuple[float, ...]] = field(default_factory=dict)
    held: int = 0
    is_exact: bool = True
    why: str = ""
    final: bool = True
    is_whole: bool = True
    given: str = ""
    anyway: str = ""

    @property
    def told(self) -> str:
        """The verdict with what it is given: "stands, given that P is inside ABC"."""
        return f"{self.verdict}, given that {self.given}" if self.given else self.verdict


def first_verdict(board: Board, id: str) -> Verdict:
    """Whether a claim fails or stands, in a fraction of a second: as it is, and where it does not stand so, where what is supposed of
    its things is met."""
    plain = _judged(Claimed(board, id))
    supposed = suppositions_of(board, id)
    if not supposed:
        return plain
    words = supposed_words(board, supposed)
    if plain.verdict == STANDS:
        return replace(plain, anyway=words)
    found, needed = _judged(Claimed(board, id, supposed=supposed)), supposed
    if found.verdict == STANDS:
        for one in supposed if len(supposed) > 1 else ():
            fewer = [other for other in needed if other != one]
            without = _judged(Claimed(board, id, supposed=fewer))
            if without.verdict == STANDS:
                found, needed = without, fewer
    elif found.why == _NOWHERE:
        found = replace(found, why=f"in none of the positions tried can it be asked so that {words}")
    # What proofs cover is every position; that it holds in some of them is found by trying alone.
    dropped = supposed_words(board, [one for one in supposed if one not in needed])
    return replace(found, given=supposed_words(board, needed), anyway=dropped, final=True)


#: Why it cannot be told of a claim whether it holds that can nowhere be asked.
_NOWHERE = "in none of the positions tried can this be asked"


def _judged(claimed: Claimed) -> Verdict:
    board = claimed.whole
    trial = tried(claimed)
    if trial.breaking is not None:
        positions = {peg: numbers for peg, numbers in trial.breaking.items() if peg in board}
        by_name = {board.name(peg): numbers for peg, numbers in positions.items()}
        return Verdict(FAILS, conditions(claimed), by_name, positions, is_exact=trial.is_exact)
    told = conditions(claimed)
    if not trial.there:
        return Verdict(CANNOT, told, why=_NOWHERE)
    if not trial.is_enough:
        why = (
            "plain numbers are not certain enough here" if trial.there >= ENOUGH else "there are too few positions in which it can be asked"
        )
        return Verdict(CANNOT, told, why=why, is_exact=False)
    why = f"these are all {trial.held} positions that there are" if trial.is_all else ""
    # What intervals cannot follow, exact forms cannot either: no proof is looked for.
    return Verdict(STANDS, told, held=trial.held, is_exact=trial.is_exact, why=why, final=not trial.is_exact)


def verdict(board: Board, id: str, seconds: float = 5.0) -> Verdict:
    """The verdict on a claim, after so many seconds of looking for a proof at most."""
    first = first_verdict(board, id)
    return first if first.final else after_proof(board, id, first, seconds)


def after_proof(board: Board, id: str, first: Verdict, seconds: float = 5.0) -> Verdict:
    """A verdict after looking for a proof."""
    found = proof(Claimed(board, id), seconds)
    return replace(first, verdict=PROVED if found.proved else STANDS, why=found.why or first.why, final=True, is_whole=found.is_whole)
