"""From what a person types to the step that it adds."""

from ..board.board import Board
from ..catalogue import CATALOGUE
from ..language import completion
from ..language.fills import fill_to_json
from ..language.reading import read_sentence
from .checking import check_fills
from .models import NewStep


def said(text: str, board: Board) -> NewStep:
    """A typed sentence as a step to add. Raises Refusal."""
    read = read_sentence(text, board, CATALOGUE, check_fills)
    fills = {name: fill_to_json(fill) for name, fill in read.fills.items()}
    return NewStep(does=read.construction.key, fills=fills, name=read.name)


def completions(text: str, board: Board) -> list[completion.Completion]:
    """The ways to go on from a typed text, in the sentences of the catalogue; see ``language.completion``."""
    return completion.complete(text, board, CATALOGUE)
