"""What a student gets of a board: the same figure, with only that to move what the teacher left to be moved."""

from dataclasses import replace

from ..board.board import Board
from ..board.step import Step
from ..kinds import TOLD


def student_copy(board: Board) -> Board:
    """A board for a student, as the teacher's is now.

    What only the teacher may move is locked in it and so are words and the buttons of reveals; all that is locked is
    marked as the teacher's, so that a drag is refused in words that suit a student.
    """
    copy = Board(board.settings, [_for_student(step) for step in board.steps])
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
