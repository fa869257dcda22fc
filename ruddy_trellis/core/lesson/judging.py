"""What is true of a board, for a process of its own: a board as it is stored goes in, what was found comes out."""

from collections.abc import Sequence

from ..challenge import challenge_from_text
from ..challenge.always import always
from ..kinds import POLYGON
from ..truth.exact_readings import ExactReading, exact_reading
from ..truth.noticing import Noticed, noticed, shapes_of, with_points
from ..truth.reasons.telling import Told, told_reason
from ..truth.resting import Tie, rests_on
from ..truth.verdicts import Verdict, after_proof, first_verdict
from .file import board_from_store

#: Of more polygons than this it is not said what they are.
_SHAPES = 8


def first_judged(document: str, ids: Sequence[str]) -> list[Verdict]:
    """The first verdict on each of some claims of a stored board."""
    board = board_from_store(document)
    return [first_verdict(board, id) for id in ids]


def looked_through(document: str, chosen: Sequence[str], notice: bool) -> tuple[list[tuple[str, list[str], list[str]]], list[Noticed]]:
    """What the polygons of a stored board are (see ``truth.noticing.shapes_of``), and if asked for, what might be true of it or of
    what is chosen."""
    board = board_from_store(document)
    polygons = [step.id for step in board.steps if step.makes == POLYGON and not step.look.hidden and board.value(step.id)]
    shapes = [(id, *shapes_of(board, id)) for id in polygons[:_SHAPES]]
    return shapes, noticed(board, with_points(board, chosen)) if notice else []


def ties_of(document: str, id: str) -> list[Tie]:
    """What a claim of a stored board rests on."""
    return rests_on(board_from_store(document), id)


def why_so(document: str, id: str, words: int, seconds: float) -> Told | None:
    """The reason for a claim of a stored board that holds, in words (see ``truth.reasons``); None where none was found."""
    return told_reason(board_from_store(document), id, words, seconds)


def as_formula(document: str, id: str, frame: tuple[str, ...], called: str) -> ExactReading:
    """A reading, a point or a path of a stored board as a formula (see ``truth.exact_readings``)."""
    return exact_reading(board_from_store(document), id, frame, called)


def proved_always(copy: str, challenge: str, taken: Sequence[str], seconds: float) -> bool:
    """Whether it is proved of a stored copy that what was taken for the answer of a stored challenge is that, always."""
    asked = challenge_from_text(challenge)
    return always(board_from_store(copy), asked, board_from_store(asked.solution), tuple(taken), seconds)


def finally_judged(document: str, id: str, first: Verdict, seconds: float) -> Verdict:
    """The verdict on a claim of a stored board after looking for a proof for so many seconds."""
    return after_proof(board_from_store(document), id, first, seconds)
