"""What a student gets of a board: the same figure, given; and how a teacher's later change comes into it."""

import re
from collections.abc import Iterable
from dataclasses import dataclass, replace

from ..board.board import Board
from ..board.naming import automatic_name, check_names
from ..board.step import Step
from ..edits.checking import check_fills
from ..kinds import TOLD, WORDS_ON_BOARD, join
from ..language.printing import noun
from ..refusal import Refusal

#: Above which number the ids of a student's own steps begin.
OWN_FROM = 1_000_000


def student_copy(board: Board) -> Board:
    """A board for a student, as the teacher's is now: all of it is given.

    What only the teacher may move is locked in it and so are words and the buttons of reveals; all that is locked is
    marked as the teacher's, so that a drag is refused in words that suit a student.
    """
    numbers = (int(step.id[1:]) for step in board.steps if step.id[1:].isdecimal())
    copy = Board(board.settings.with_(own_from=max((OWN_FROM, *numbers))), [_for_student(step) for step in board.steps])
    copy.chalk = board.chalk
    return copy


def _for_student(step):
    if not step.construction.moves or not (step.look.locked or step.look.teacher_only or step.makes in TOLD):
        return step
    return step.with_(look=replace(step.look, locked=True, teacher_only=True))


def left_to_students(board: Board) -> list[tuple[Step, bool]]:
    """The steps that a person can move, each with whether students may: what a teacher chooses among."""
    pegs = [step for step in board.steps if step.construction.moves and step.makes not in TOLD]
    return [(step, not (step.look.locked or step.look.teacher_only)) for step in pegs]


#: A name that tells nobody who gave it: one letter, with numbers or primes.
_LETTER = re.compile(r"\w[\d_′″'₀-₉]*")


def put_up_for_all(copy: Board) -> Board:
    """A student's copy as a board of the lesson: things that the student named otherwise than by a letter have letters, and words that
    the student wrote are hidden."""
    board = Board(copy.settings.with_(own_from=0))
    board.chalk = copy.chalk
    kept = {copy.name(step.id) for step in copy.steps}
    for step in copy.steps:
        if not copy.is_given(step.id):
            if step.makes == WORDS_ON_BOARD:
                step = step.with_(look=replace(step.look, hidden=True))
            if step.name is not None and not _LETTER.fullmatch(step.name):
                step = step.with_(name=automatic_name(step.with_(name=None), board.names, {*kept, *board.names.values()}))
            step = step.with_(by=None)
        board.append(step)
    return board


@dataclass(frozen=True)
class Renewed:
    """A student's copy with the teacher's change in it, and what became of the student's own things, in words."""

    board: Board
    words: str


def is_behind(copy: Board, board: Board) -> bool:
    """Whether the teacher has changed what is given in a copy, besides where pegs are. The kit is another matter: it holds at once.

    Args:
        board: the teacher's board as it is now.
    """
    given = [step for step in copy.steps if copy.is_given(step.id)]
    now = [_for_student(step) for step in board.steps]
    is_as = len(given) == len(now) and all(one.is_but_for_place(other) for one, other in zip(given, now, strict=True))
    return not is_as or _setting(copy) != _setting(board) or copy.chalk != board.chalk


def _setting(board):
    return board.settings.with_(view=(), rows=(), own_from=0, kit="look", kit_tools=())


def renewed(copy: Board, fresh: Board) -> Renewed:
    """A copy into which the teacher's change is taken: the given steps are the teacher's as they are now, of the student's own those stay
    whose inputs are still there; where names meet, the student's thing gets another.

    Args:
        fresh: a copy of the teacher's board as it is now.
    """
    board = Board(fresh.settings.with_(view=copy.settings.view), fresh.steps)
    board.chalk = fresh.chalk
    lost, other_names = [], []
    for step in copy.steps:
        if copy.is_given(step.id):
            continue
        if not _fits(step, board):
            lost.append(noun(copy, step.id))
            continue
        named = _named(step, board, copy)
        board.append(named)
        if board.name(step.id) != copy.name(step.id):
            other_names.append(f"{copy.name(step.id)} is {board.name(step.id)} now")
    words = "What your teacher gave is as it is now"
    if lost:
        words += f"; gone, since what it was made from is: {_few(lost)}"
    if other_names:
        words += f"; {_few(other_names)}"
    return Renewed(board, f"{words}.")


def _few(words: Iterable[str]) -> str:
    words = list(words)
    return join(words) if len(words) <= 6 else f"{', '.join(words[:5])} and {len(words) - 5} more"


def _fits(step, board):
    if any(id not in board for id in step.inputs):
        return False
    try:
        check_fills(step.construction, step.fills, board)
    except Refusal:
        return False
    return True


def _named(step, board, copy):
    """A student's step under a name that nothing given has, and nothing else of the copy."""
    try:
        check_names([*board.steps, step])
    except Refusal:
        names = board.names
        taken = {
            name for one in (board, copy) for other in one.steps if (name := one.name(other.id)) and other.is_reading == step.is_reading
        }
        return step.with_(name=automatic_name(step.with_(name=None), names, taken))
    return step
