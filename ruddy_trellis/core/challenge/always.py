"""Right, always: an answer that was found right in every position that was tried is proved, where it can be."""

import time
from collections.abc import Iterator

from ..board.board import Board
from ..board.step import Step
from ..kinds import CIRCLE, LINE, NUMBER, POINT, POLYGON, SEGMENT
from ..language.expression import Formula
from ..language.fills import with_ids
from ..truth.claimed import Claimed
from ..truth.proving import proof
from .branches import branched
from .by_claims import Asked
from .by_same import wanted_of
from .challenge import Challenge
from .equal import equal
from .positions import size_of


def always(copy: Board, challenge: Challenge, solution: Board, taken: tuple[str, ...], seconds: float = 5.0) -> bool:
    """Whether it is proved that what was taken for the answer is the answer wherever the givens are.

    Args:
        copy: the student's copy; it is not changed.
        taken: the ids of the things that were found right.
        seconds: how long a proof is looked for in all.
    """
    deadline = time.monotonic() + seconds
    found = Asked(challenge).on(copy, taken) if challenge.by == "claims" else _same_claimed(copy, challenge, solution, taken)
    if found is None:
        return False
    board, ids = found
    return bool(ids) and all(proof(Claimed(board, id), max(0.1, deadline - time.monotonic())).proved for id in ids)


def _same_claimed(copy, challenge, solution, taken):
    """A board with the student's things and the teacher's beside them, on which it is claimed of each pair that they are the same, with
    the ids of these claims; None where there are no words for it."""
    board, ids = copy.copy(), []
    for mine, (id, ways) in zip(taken, wanted_of(challenge)):
        model = next((model for model in (branched(solution, way) for way in ways) if _is_here(copy, mine, model, id)), None)
        if model is None:
            return None
        theirs = _put_beside(board, model)
        for key, fills in _sameness(board, mine, theirs.get(id, id)):
            ids.append(_append(board, key, {**fills, "at": (0.0, 0.0)}))
    return board, ids


def _is_here(copy, mine, solution, id):
    """Whether a thing of the student's is where the teacher's is with the givens as they are."""
    board = copy.copy()
    ids = _put_beside(board, solution)
    here, there = board.value(mine), board.value(ids.get(id, id))
    return here is not None and there is not None and equal(board.kind_of(mine), here, there, size_of(copy))


def _put_beside(board: Board, solution: Board) -> dict[str, str]:
    """Put the teacher's steps that are not given on a board. Gives their ids there by their ids on the solution."""
    ids: dict[str, str] = {}
    for step in solution.steps:
        if step.id in board and board.is_given(step.id) and board.step(step.id).does == step.does:
            continue
        fills = {gap: with_ids(fill, ids) for gap, fill in step.fills.items()}
        ids[step.id] = _append(board, step.does, fills)
    return ids


def _append(board: Board, key: str, fills: dict) -> str:
    number = 1 + max(int(step.id[1:]) for step in board.steps)
    id = f"s{number}"
    board.append(Step(id, key, fills, name=f"Q_{number}"))
    return id


def _sameness(board: Board, mine: str, theirs: str) -> Iterator[tuple[str, dict]]:
    """The claims that together say that two things are one."""
    kind = board.kind_of(mine)
    pair = {"a": (mine,), "b": (theirs,)}
    if kind == POINT:
        yield "same_point", pair
    elif kind in (LINE, SEGMENT, CIRCLE):
        yield "same_thing", pair
    elif kind == NUMBER:
        yield "equal_values", {"statement": Formula("{0} = {1}", ((mine,), (theirs,)))}
    elif kind == POLYGON:
        corners, others = (board.step(id).fills.get("corners", ()) for id in (mine, theirs))
        if len(corners) == len(others):
            yield from (("same_point", {"a": (a,), "b": (b,)}) for a, b in _corner_by_corner(board, corners, others))


def _corner_by_corner(board, corners, others):
    """The corners of one polygon, each beside that of another that is where it is. They follow one another in the same order or the
    other way round, as the polygons are equal."""
    size = size_of(board)
    here = lambda id: next(one for one in others if equal(POINT, board.value(id), board.value(one), size))
    return [(id, here(id)) for id in corners]
