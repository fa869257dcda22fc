"""The first lesson: a few things to do on a board of its own, each of which is seen to be done by looking at the board."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from ..board.board import Board
from ..kinds import CIRCLE, POINT, POLYGON, WORDS_ON_BOARD

TITLE, BOARD_TITLE = "The first two minutes", "Try it here"


@dataclass(frozen=True)
class FirstStep:
    """One thing to do.

    Attributes:
        title: what it is about; words: what to do; praise: what is said when it is done.
        is_done: a function of the board and of the words of its edits, the first first.
    """

    title: str
    words: str
    praise: str
    is_done: Callable[[Board, Sequence[str]], bool]


def _was_said(begin: str) -> Callable[[Board, Sequence[str]], bool]:
    """Whether an edit was made whose words begin so."""
    return lambda board, edits: any(words.startswith(begin) for words in edits)


STEPS = (
    FirstStep(
        "Three posts",
        "At the foot, under Points, press “point”. Then click the board. Do that three times, at places of your choice: A, B and C.",
        "Three pegs. The small diamonds say that they can be moved.",
        lambda board, edits: sum(step.does == "free_point" for step in board.steps) >= 3,
    ),
    FirstStep(
        "A bed between them",
        "Press “Shapes”, then “polygon”, and click A, B, C and A again. The line at the foot says what it waits for.",
        "That is a sentence: ABC is the polygon through A, B, C. It stands in the working at the right.",
        lambda board, edits: any(step.makes == POLYGON for step in board.steps),
    ),
    FirstStep(
        "Drag a peg",
        "Put the pointer on C, press, and move. Whatever hangs on C goes with it. If something goes wrong: Undo, at the top.",
        "What was built on it followed, and always will.",
        _was_said("Moved"),
    ),
    FirstStep(
        "Say it",
        "Press / and type: circle through A, B and C. Then Enter. Your own words will do.",
        "Typing and clicking make the same sentences. Use whichever is quicker.",
        lambda board, edits: any(step.makes == CIRCLE for step in board.steps),
    ),
    FirstStep(
        "Measure it",
        "Click the circle, so that it is selected. The line at the foot now offers what can be made of it: press the one about its radius "
        "or its area. (“more” has the rest.)",
        "Drag C again: the reading goes along.",
        lambda board, edits: any(step.is_reading for step in board.steps),
    ),
    FirstStep(
        "Ask the class",
        "Type: the words “Where is the centre?” at (0, 0). What stands in quotes comes on the board.",
        "Done. Present shows the board alone, Share gives the class a link, Paper and files prints it.",
        lambda board, edits: any(step.makes == WORDS_ON_BOARD for step in board.steps),
    ),
)


def now_at(board: Board, edits: Sequence[str]) -> int:
    """Which step is to be done now: the first that is not done, from 0; as many as there are when all are.

    Args:
        edits: the words of the edits that are in the board, the first first.
    """
    return next((number for number, step in enumerate(STEPS) if not step.is_done(board, edits)), len(STEPS))


def clear_side(board: Board) -> str:
    """At which edge of the view fewer points lie, "top" or "foot": the words of a step stand there, over nothing that they ask for."""
    _, low, _, high = board.settings.view
    heights = [
        (board.value(step.id)[1] - low) / (high - low)
        for step in board.steps
        if step.makes == POINT and not step.look.hidden and board.value(step.id) is not None
    ]
    above, below = (sum(1 for height in heights if is_there(height)) for is_there in (lambda y: y > 0.6, lambda y: y < 0.4))
    return "foot" if above > below else "top"
