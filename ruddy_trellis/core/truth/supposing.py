"""Suppositions: what was said of things besides how they are made. A claim about these things that fails as it stands is tried where
they are met."""

from ..board.board import Board
from ..board.step import Step
from ..kinds import SUPPOSITION
from ..language.fills import ids_in
from ..language.printing import claim_words, sentence


def suppositions_of(board: Board, id: str) -> list[str]:
    """The ids of the suppositions that are about what a claim hangs on, in the order of the board."""
    supposed = [step for step in board.steps if step.makes == SUPPOSITION]
    if not supposed:
        return []
    pegs = _pegs(board, [id])
    return [step.id for step in supposed if _pegs(board, _subject(step)) & pegs]


def supposed_of(board: Board, id: str) -> list[str]:
    """What is supposed of one thing, as sentences, in the order of the board."""
    return [sentence(board, step.id) for step in board.steps if step.makes == SUPPOSITION and id in _subject(step)]


def supposed_words(board: Board, ids: list[str]) -> str:
    """What is supposed, in words: "P is inside ABC and AB > BC"."""
    return " and ".join(claim_words(board, id) for id in ids)


def _subject(step: Step) -> list[str]:
    """What a supposition is about: what fills its gaps, but for the last of several, to which it is compared."""
    gaps = [ids for gap in step.construction.gaps if (ids := ids_in(step.fills.get(gap.name)))]
    return [id for ids in (gaps[:-1] or gaps) for id in ids]


def _pegs(board: Board, ids: list[str]) -> set[str]:
    return {one for one in (*ids, *board.ancestors(ids)) if board.step(one).construction.moves}
