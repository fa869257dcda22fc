"""What a student may change of their copy of a board: looked at on the patch, by whatever way it came."""

from typing import Any

from .. import limits
from ..board.board import Board
from ..board.step import Step
from ..edits.models import Retie, Together
from ..edits.patch import Patch
from ..refusal import Refusal
from .kit import Kit, kit_of

#: The words of the edit by which a teacher's change comes into a copy.
RENEWED = "Took your teacher’s change"
#: What a student changes of the settings: what is recorded.
_RECORDED = ("rows",)


def check_students_patch(board: Board, patch: Patch) -> None:
    """Raise Refusal unless a student may make a change on their copy: given steps stay but for pegs that are left to students, own
    ones are made with the kit. On a board that is no student's copy anything may be changed.

    Args:
        board: the board before the change.
        patch: the change. Its words are told by nobody if it is refused.
    """
    settings = board.settings
    if not settings.own_from:
        return
    if patch.words == RENEWED:
        raise _later()
    _check_rest(patch)
    given = lambda step: not step.is_own(settings.own_from)
    before, after = ({step.id: step for _, step in steps} for steps in (patch.before, patch.after))
    for id, step in before.items():
        if given(step):
            _check_given(step, after.get(id), board)
    fresh = [step for id, step in after.items() if id not in before]
    if any(given(step) for step in fresh):
        raise _later()
    made = [step for id, step in after.items() if not given(step) and _is_made(before.get(id), step)]
    if made:
        _check_made(board, patch, made, kit_of(settings))
    own = sum(not given(step) for step in board.steps)
    if fresh and own + len(after) - len(before) > limits.OWN_STEPS:
        raise Refusal(f"A student’s own work has at most {limits.OWN_STEPS} steps on a board. Delete what is no longer needed.")


def check_tools(edit: Any, kit: Kit) -> None:
    """Raise Refusal where an edit asks for a sentence that is not in a kit. What it comes to is looked at on its patch."""
    if isinstance(edit, Together):
        for one in edit.edits:
            check_tools(one, kit)
    for new in (*getattr(edit, "steps", ()), *filter(None, [getattr(edit, "helper", None)])):
        kit.check_tool(new.does)
    if isinstance(edit, Retie):
        kit.check_tool(edit.does)


def _check_rest(patch: Patch) -> None:
    was, now = patch.settings_before, patch.settings_after
    if was and now and now != was.with_(**{name: getattr(now, name) for name in _RECORDED}):
        raise _later() if was.own_from != now.own_from else Refusal("How this board is set up is your teacher’s.")
    if patch.chalk_before or patch.chalk_after:
        raise Refusal("The chalk on this board is your teacher’s.")


def _check_given(was: Step, now: Step | None, board: Board) -> None:
    """Raise Refusal unless a given step is the same after a change, but for where it is."""
    name = board.name(was.id) if was.id in board else was.name
    if now is None:
        raise Refusal(f"{name} is given: your teacher put it there, and it stays.")
    if now.does != was.does:
        raise _later()
    if now.with_(fills=was.fills) != was or now.made_of != was.made_of:
        raise Refusal(f"{name} is given: it can be used, and stays as your teacher made it.")
    if was.look.locked and now.fills.get(was.construction.moved_gap or "") != was.fills.get(was.construction.moved_gap or ""):
        raise Refusal(f"{name} is given, and your teacher holds it where it is.")


def _is_made(was: Step | None, now: Step) -> bool:
    """Whether a step is new, or made in another way than before: where it is, how it looks and what it is called is another matter."""
    return was is None or was.does != now.does or was.made_of != now.made_of


def _check_made(board: Board, patch: Patch, made: list[Step], kit: Kit) -> None:
    ahead = board
    if kit.code == "compass" and any(step.does == "circle_radius" for step in made):
        ahead = board.copy()
        patch.apply(ahead)
    for step in made:
        kit.check_step(step, ahead)


def _later() -> Refusal:
    return Refusal("Your teacher’s change of this board came after that; nothing goes back behind it.")
