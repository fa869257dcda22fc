"""Verdicts from text to text, for a process of its own: a board as it is stored goes in, what is known of its claims comes out."""

from collections.abc import Sequence

from ..truth.verdicts import Verdict, after_proof, first_verdict
from .file import board_from_store


def first_judged(document: str, ids: Sequence[str]) -> list[Verdict]:
    """The first verdict on each of some claims of a stored board."""
    board = board_from_store(document)
    return [first_verdict(board, id) for id in ids]


def finally_judged(document: str, id: str, first: Verdict, seconds: float) -> Verdict:
    """The verdict on a claim of a stored board after looking for a proof for so many seconds."""
    return after_proof(board_from_store(document), id, first, seconds)
