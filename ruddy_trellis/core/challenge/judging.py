"""Is it right? What a student made is looked at where it is, then with the givens moved and all that the student can move."""

from contextlib import suppress

from ..board.board import Board
from .by_claims import Asked, TooMuch, choices, claims_of, judged_by_claims
from .by_same import OfSolution, judged_by_same
from .challenge import Challenge
from .equal import equal
from .positions import size_of
from .verdict import NOT_YET, NOTHING, Judged

#: A number above those of all ids: with it everything on a board is given.
_ALL = 10**9


def judged(copy: Board, challenge: Challenge, solution: Board, reach: float = 0.0) -> Judged:
    """Whether a student's copy holds the answer.

    Args:
        copy: the student's copy of the start; it is not changed.
        solution: the teacher's board with the answer.
        reach: how near to the answer something is that looks right, board units.
    """
    own = [step for step in copy.steps if not copy.is_given(step.id)]
    if not own:
        return Judged(NOT_YET, NOTHING)
    if challenge.by == "same":
        return judged_by_same(copy, own, OfSolution(challenge, solution), reach)
    return judged_by_claims(copy, own, challenge)


def meets_already(start: Board, challenge: Challenge, solution: Board) -> bool:
    """Whether what is asked for is on the start already, so that there is nothing to do."""
    if challenge.by == "claims":
        given = Board(start.settings.with_(own_from=_ALL), start.steps)
        asked = Asked(challenge)
        with suppress(TooMuch):  # in so large a start it is not looked at all that could be meant
            return any(claims_of(given, choice, asked).is_met for choice in choices(given, given.steps, challenge.sought))
        return False
    size = size_of(start)
    return any(
        step.makes == solution.kind_of(id) and start.value(step.id) is not None and equal(step.makes, start.value(step.id), right, size)
        for id in challenge.answers
        if (right := solution.value(id)) is not None
        for step in start.steps
    )
