"""What tells whether an answer is right where the solution may not be: in a page that works by itself, which anybody could read."""

from collections.abc import Iterable, Iterator
from itertools import islice
from math import isfinite
from typing import Any

from pydantic import BaseModel, ConfigDict, Field

from ..board.board import Board
from ..board.pegs import numbers_of
from ..kinds import CIRCLE, NUMBER, STRAIGHTS
from ..refusal import Refusal
from .by_claims import judged_by_claims
from .by_same import OfSolution, judged_by_same
from .challenge import Challenge, Sought
from .positions import Numbers, Position, positions, with_own
from .verdict import NOT_YET, NOTHING, Judged

#: In how many positions a key has the values; of these an answer has to be there in as many as elsewhere.
POSITIONS = 60


class _Part(BaseModel):
    model_config = ConfigDict(extra="forbid")


class Row(_Part):
    """One position: the numbers of the given pegs, how they carry along what is the student's (see ``positions.Position``), and of each
    thing that is asked for the values that are right there."""

    there: dict[str, tuple[float, ...]]
    carried: tuple[float, ...] = ()
    alone: float = 0.0
    right: list[list[Any]]


class AnswerKey(_Part):
    """How an answer is judged without the solution.

    Attributes:
        kinds: of each thing that is asked for its kind, where the answer is the teacher's; ``rows`` are the fixed positions in which its
            values are known, the first with the givens as they are given. No step of the solution is in it.
        claims: what has to be true, where the answer is told by that, of what is ``sought``.
        held: whether numbers and locked points are part of the task.
    """

    kinds: list[str] = Field(default_factory=list)
    rows: list[Row] = Field(default_factory=list)
    sought: list[Sought] = Field(default_factory=list)
    claims: list[str] = Field(default_factory=list)
    held: bool = False


def answer_key(challenge: Challenge, solution: Board, start: Board) -> AnswerKey:
    """The key of a challenge.

    Args:
        start: the board as students get it, a copy of which nothing is a student's yet.

    Raises:
        Refusal: where an answer is nothing that numbers tell.
    """
    if challenge.by == "claims":
        return AnswerKey(sought=challenge.sought, claims=challenge.claims, held=challenge.held)
    right = OfSolution(challenge, solution.copy())
    shared = right.shared(start)
    rows = [_row(right, shared, Position(shared, (), 0.0))]
    rows += [_row(right, shared, position) for position in islice(positions(start, challenge.held), POSITIONS)]
    return AnswerKey(kinds=right.kinds, rows=rows, held=challenge.held)


def judged_by_key(copy: Board, key: AnswerKey, reach: float = 0.0) -> Judged:
    """Whether a student's copy holds the answer, as ``judging.judged`` tells it. What is right is known in the positions of the key alone,
    and looked for first where the givens are as they were given.

    Args:
        copy: the student's copy of the start; it is not changed.
        reach: how near to the answer something is that looks right, board units.
    """
    own = [step for step in copy.steps if not copy.is_given(step.id)]
    if not own:
        return Judged(NOT_YET, NOTHING)
    if key.claims:
        challenge = Challenge(task="-", by="claims", sought=key.sought, claims=key.claims, held=key.held, solution="")
        return judged_by_claims(copy, own, challenge)
    return judged_by_same(copy, own, _OfKey(key), reach)


class _OfKey:
    """Where what is asked for is, in the positions of a key."""

    def __init__(self, key: AnswerKey) -> None:
        self.kinds, self._rows = key.kinds, key.rows

    def first(self, copy: Board) -> tuple[Board, list[list[Any]]]:
        first, pegs = self._rows[0], _pegs(copy)
        moved = {id: numbers for id, numbers in first.there.items() if pegs.get(id) not in (None, numbers)}
        if moved:
            copy = copy.copy()
            copy.move(moved)
        return copy, first.right

    def tried(self, copy: Board) -> Iterator[tuple[Numbers, list[list[Any]]]]:
        pegs = _pegs(copy)
        rows = self._rows[1:]
        places: Iterable[Position] = (
            Position({id: numbers for id, numbers in row.there.items() if id in pegs}, row.carried, row.alone) for row in rows
        )
        for row, (there, mine) in zip(rows, with_own(copy, places)):
            yield {**there, **mine}, row.right


def _pegs(copy: Board) -> Numbers:
    return {step.id: numbers_of(step) for step in copy.steps if copy.is_given(step.id) and step.construction.moves}


def _row(right: OfSolution, shared: Numbers, position: Position) -> Row:
    values = right.at({id: at for id, at in position.there.items() if id in shared})
    told = [[_told(kind, value) for value in some] for kind, some in zip(right.kinds, values)]
    return Row(there=position.there, carried=position.carried, alone=position.alone, right=told)


def _told(kind: str, value: Any) -> Any:
    """A value in numbers. Raises Refusal for what is more than these."""
    if kind in STRAIGHTS:
        value = value[:4]  # how far it goes is known by its kind
    elif kind == CIRCLE:
        value = value[:3]
    if kind == NUMBER and isinstance(value, (int, float)):
        return value
    try:
        if value and all(isinstance(part, (tuple, list)) for part in value):
            return [_told("", part) for part in value]  # corners
        numbers = [float(x) for x in value]
    except (TypeError, ValueError):
        numbers = []
    if not numbers or not all(map(isfinite, numbers)):
        raise Refusal("That answer cannot be told by numbers, so it can be judged at the lesson’s own address alone.")
    return numbers
