"""Names and looks: renaming, restyling, hiding and showing."""

from dataclasses import replace
from typing import Any

from ..board.board import Board
from ..board.naming import check_names, spelt
from ..kinds import CIRCLE, LINE, RAY, join
from ..language import names as spelling
from ..language.printing import listed, noun
from ..refusal import Refusal
from .models import LookChanges, Restyle
from .patch import Patch, known, replacing


def renamed(board: Board, edit: Any) -> Patch:
    known(board, [edit.id])
    renamed, old, name = board.step(edit.id), board.name(edit.id), spelling.tidy(edit.name)
    own_name = None if spelt(renamed, board.names) == name else spelling.check_new_name(name)
    renamed = renamed.with_(name=own_name)
    check_names([renamed if step.id == edit.id else step for step in board.steps])
    return replacing(board, f"Renamed {old} to {name}", [renamed])


def restyled(board: Board, edit: Any) -> Patch:
    changes = edit.look.model_dump(exclude_unset=True)
    styled = []
    for id in known(board, edit.ids):
        step = board.step(id)
        styled.append(step.with_(look=replace(step.look, **changes)))
    names = join(noun(board, id) for id in edit.ids) if len(edit.ids) < 4 else f"{len(edit.ids)} things"
    doing = "Changed the look of"
    if set(changes) == {"hidden"}:
        doing = "Hid" if changes["hidden"] else "Showed"
    elif set(changes) == {"locked"}:
        doing = "Locked" if changes["locked"] else "Unlocked"
    elif set(changes) == {"teacher_only"}:
        doing = "Kept from students:" if changes["teacher_only"] else "Left to students:"
    return replacing(board, f"{doing} {names}", styled)


def tidied(board: Board, edit: Any) -> Patch:
    own = [step for step in board.steps if step.makes in (LINE, RAY, CIRCLE) and not step.look.hidden and not board.is_given(step.id)]
    ids = [step.id for step in own if board.dependants([step.id])]
    if not ids:
        raise Refusal("There are no helpers to hide: helpers are lines, rays and circles that something else is made from.")
    return replace(restyled(board, Restyle(ids=ids, look=LookChanges(hidden=True))), words=f"Hid {listed(board, ids)}")
