"""What of a board goes on a handout: its questions, its givens, its answers."""

from dataclasses import dataclass

from ..board.board import Board
from ..display.text import value_text, verdict_mark
from ..kinds import CLAIM, WORDS_ON_BOARD
from ..language.printing import claim_words, sentence
from ..truth.verdicts import first_verdict

#: What joins given points and is given with them, as long as nothing else has been made.
_JOINING = {"segment", "vector", "ray", "line", "polygon", "circle"}


def told(board: Board) -> dict[str, str]:
    """What the words on a board say without asking, by the ids of the words."""
    said = {step.id: words_of(board, step.id) for step in board.steps if step.makes == WORDS_ON_BOARD and not step.look.hidden}
    return {id: text for id, text in said.items() if "?" not in text and not board.step(id).look.cover}


def questions(board: Board) -> dict[str, str]:
    """What the words on a board ask, and what is claimed on it as a question, by the ids of the words and claims."""
    asked = {step.id: words_of(board, step.id) for step in board.steps if step.makes == WORDS_ON_BOARD and not step.look.hidden}
    claims = {step.id: f"Is it true that {claim_words(board, step.id).rstrip('?')}?" for step in board.steps if step.makes == CLAIM}
    return {id: text for id, text in asked.items() if "?" in text} | claims


def words_of(board: Board, id: str) -> str:
    """Words as they stand on a board, with dots for values: a question must not give them away."""
    return board.step(id).fills["text"].filled(lambda place: "…", lambda formula: "…")


def given(board: Board) -> set[str]:
    """The ids of what a figure begins with: pegs that are free, and what joins them before anything else is made."""
    found: set[str] = set()
    for step in board.steps:
        if step.does == "free_point" or (step.does in _JOINING and found.issuperset(step.inputs)):
            found.add(step.id)
        elif step.makes != WORDS_ON_BOARD:
            break
    return found


@dataclass(frozen=True)
class Answer:
    """A line of the answers: what, and what it is."""

    what: str
    value: str


def answers(board: Board) -> list[Answer]:
    """The readings with their values, and the claims with what holds: as it is known, else as trying it now says."""
    found = []
    for step in board.steps:
        if step.is_reading and not step.construction.moves:
            found.append(Answer(sentence(board, step.id), value_text(board, step.id)))
        elif step.makes == CLAIM and (value := board.value(step.id)) is not None:
            known = board.verdicts.get(step.id, "")
            if known in ("", "trying"):
                known = first_verdict(board, step.id).verdict
            found.append(Answer(claim_words(board, step.id), verdict_mark(known, value[2])))
    return found
