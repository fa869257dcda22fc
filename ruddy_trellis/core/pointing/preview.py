"""What a sentence would make if the pointer clicked now."""

from typing import Any

from ..board.board import Board
from ..display import display
from ..display.extent import Extent
from ..edits.adding import tried
from ..edits.models import Add, NewStep, Retie
from ..edits.prepare import perform
from ..kinds import POLYGON
from ..refusal import Refusal
from ..seen import Items, Place
from .picking import NewPoint
from .prompt import Prompt, Taking


def preview(prompt: Prompt, board: Board, taking: Taking, at: Place, extent: Extent) -> Items:
    """The display items of what a click would make or add to, for drawing faintly under the pointer.

    Args:
        prompt: the sentence so far.
        taking: what the click would take.
        at: where the pointer is.
        extent: the part that is seen.
    """
    ahead = prompt.with_taking(taking, at)
    edit = ahead.edit(board) if ahead.is_complete(board) else _unfinished(ahead)
    if edit is None:
        return []
    try:
        if isinstance(edit, Retie):
            return changed_by(board, edit, extent)
        board_ahead, added = tried(board, edit)
        return display(board_ahead, extent, [step.id for step in added], beside=board)
    except Refusal:
        return []


def changed_by(board: Board, edit: Any, extent: Extent) -> Items:
    """The display items of what an edit would move, as they would be. Raises Refusal where the edit does not fit."""
    ahead = board.copy()
    perform(ahead, edit)
    moved = [step.id for step in ahead.steps if step.id not in board or ahead.value(step.id) != board.value(step.id)]
    return display(ahead, extent, moved)


def pending(prompt: Prompt, board: Board, extent: Extent) -> Items:
    """The display items of the new points picked so far."""
    edit = _unfinished(prompt, sides=False)
    if edit is None:
        return []
    ahead, added = tried(board, edit)
    return display(ahead, extent, [step.id for step in added], beside=board)


def _unfinished(prompt, sides=True):
    """The new points so far, and for two corners of a polygon the side between them."""
    new_points = prompt.new_points()
    steps = prompt.new_point_steps()
    if sides and prompt.construction.makes == POLYGON:
        corners = [item for items in prompt.filled.values() for item in items]
        if len(corners) == 2:
            ends = [f"new:{new_points.index(item)}" if isinstance(item, NewPoint) else item for item in corners]
            steps.append(NewStep(does="segment", fills={"from": ends[:1], "to": ends[1:]}))
    return Add(steps=steps) if steps else None
