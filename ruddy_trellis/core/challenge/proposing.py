"""What a challenge of a board could be: what is given, what is the answer, the task in words, a kit."""

from collections.abc import Sequence
from dataclasses import dataclass

from ..board.board import Board
from ..catalogue.by_hand import WAYS
from ..catalogue.by_hand.ways import PRIMITIVE
from ..kinds import POLYGON, SEGMENT, STRAIGHTS, THINGS, join
from ..language.printing import noun, sentence

#: What is given with the pegs where it is made of them alone: the figure that one starts from.
_FIGURE = (*STRAIGHTS, POLYGON, SEGMENT)


@dataclass(frozen=True)
class Proposal:
    """What is proposed.

    Attributes:
        given, answers: ids of steps.
        task: in words. kit: by its code.
    """

    given: tuple[str, ...]
    answers: tuple[str, ...]
    task: str
    kit: str


def proposed(board: Board, selected: Sequence[str] = ()) -> Proposal:
    """What a challenge of a board could be; what is selected is the answer, otherwise the last thing that was made."""
    made = [step.id for step in board.steps if step.makes in THINGS and not step.construction.moves and not step.look.hidden]
    pegs = {step.id for step in board.steps if step.construction.moves}
    answers = tuple(id for id in selected if id in board and id in made) or tuple(made[-1:])
    given = [step.id for step in board.steps if step.id in pegs or (step.makes in _FIGURE and step.inputs and set(step.inputs) <= pegs)]
    given = [id for id in given if id not in answers and not set(board.ancestors([id])) & set(answers)]
    by_hand = all(step.does in PRIMITIVE or step.does in WAYS for step in board.steps if step.id not in given)
    return Proposal(tuple(given), answers, task_for(board, answers, given), "compass" if by_hand else "everything")


def task_for(board: Board, answers: Sequence[str], given: Sequence[str]) -> str:
    """A task in words: "Find the midpoint of AB.", from the sentences of the answers where they speak of what is given alone; otherwise
    the names of the answers, for the teacher to say what they are."""
    found = []
    for id in answers:
        said = sentence(board, id).partition(" is ")[2] if set(board.step(id).inputs) <= set(given) else ""
        found.append(said or noun(board, id))
    return f"Find {join(found)}." if found else ""
