"""Making a step in another way while what hangs on it stays: tying, loosening, other inputs, another choice of words."""

from dataclasses import replace
from typing import Any

from ..board.board import Board
from ..board.naming import all_names, automatic_name, check_names
from ..board.nearest import nearest_place
from ..board.step import Step
from ..catalogue import CATALOGUE
from ..kinds import POINT, join, with_article, word
from ..language.fills import fill_from_json
from ..language.printing import noun, sentence
from ..refusal import Refusal
from .adding import new_step_ids, tried, with_defaults
from .checking import check_fills
from .log import check_logged
from .models import Add, Retie
from .patch import Patch, known, replacing


def loosened(board: Board, id: str) -> Retie:
    """The edit that makes a point free where it stands. Raises Refusal where that cannot be."""
    step, value = board.step(id), board.value(id)
    if step.makes != POINT or step.does == "free_point":
        raise Refusal(f"{board.name(id)} is not a tied point, so there is nothing to loosen.")
    if value is None:
        raise Refusal(f"{board.name(id)} is nowhere now; loosen it when it is there.")
    return Retie(id=id, does="free_point", fills={"at": list(value)})


def retied(board: Board, edit: Any) -> Patch:
    """The patch of a ``Retie``. Raises Refusal where what it would be made from hangs on it, or does not fit."""
    if edit.id not in board:
        raise Refusal("That thing is no longer on the board.")
    old = board.step(edit.id)
    if edit.does not in CATALOGUE or CATALOGUE[edit.does].expands:
        raise Refusal("A thing is made by one sentence; that one is not there, or makes several.")
    construction = CATALOGUE[edit.does]
    if construction.makes != old.makes:
        is_now, would_be = (with_article(word(kind)) for kind in (old.makes, construction.makes))
        raise Refusal(f"{board.name(old.id)} is {is_now}, and “{construction.tool}” makes {would_be}.")
    ahead, helpers = tried(board, Add(steps=[edit.helper])) if edit.helper else (board, [])
    added = [step.with_(look=replace(step.look, hidden=True)) for step in helpers]
    step = _remade(ahead, old, construction, edit.fills, [helper.id for helper in added])
    steps = [step if other.id == old.id else other for other in board.steps]
    ordered = _in_order([*steps, *added], board.name)
    ahead = _renamed(Board(board.settings, ordered), old.id)
    _check(ahead, old.id)
    before = {other.id: (place, other) for place, other in enumerate(board.steps)}
    after = {other.id: (place, other) for place, other in enumerate(ahead.steps)}
    changed = [id for id in after if before.get(id) != after[id]]
    return Patch(
        f"Made anew: {sentence(ahead, old.id)}",
        tuple(sorted((before[id] for id in changed if id in before), key=lambda pair: pair[0])),
        tuple(sorted((after[id] for id in changed), key=lambda pair: pair[0])),
    )


def _remade(board, old, construction, fills, helper_ids):
    given = {name: fill for name, fill in fills.items() if fill is not None and fill != "nearest"}
    read = {name: new_step_ids(fill_from_json(fill), helper_ids) for name, fill in given.items()}
    used = Step("", construction.key, {name: fill for name, fill in read.items() if name in construction.gap_by_name}).inputs
    below = {old.id, *board.dependants([old.id])}
    looping = [board.name(id) for id in used if id in below]
    if looping:
        name = board.name(old.id)
        if looping == [name]:
            raise Refusal(f"{name} cannot be made from itself.")
        raise Refusal(
            f"That would make a loop: {join(part for part in looping if part != name)} {'is' if len(looping) == 1 else 'are'} made "
            f"from {name}."
        )
    check_fills(construction, read, board)
    if "nearest" in fills.values():
        path = read.get("path", ())
        if board.value(old.id) is None or old.makes != POINT or not path or any(board.value(id) is None for id in path):
            raise Refusal("The nearest place on a path is known only of a point that is there, on a path that is there.")
        read["place"] = nearest_place(board, path, board.value(old.id))
    return old.with_(does=construction.key, fills=with_defaults(construction, read, board), by=None)


def _renamed(board, id):
    """The board in which a step that was named after what it was made from is named after what it is made from now."""
    step = board.step(id)
    if step.name is not None:
        return board
    # What is named after it needs some name of it meanwhile.
    meanwhile = all_names([step.with_(name="?") if other.id == id else other for other in board.steps])
    names = {other.id: meanwhile[other.id] for other in board.steps if other.id != id}
    taken = {names[other.id] for other in board.steps if other.id != id and other.is_reading == step.is_reading}
    named = step.with_(name=automatic_name(step, names, taken))
    return board if named == step else Board(board.settings, [named if other.id == id else other for other in board.steps])


def _in_order(steps, name):
    """The steps with what each is made from before it, and otherwise in the order they had. Raises Refusal at a loop."""
    by_id, done, begun = {step.id: step for step in steps}, {}, set()
    for first in steps:
        waiting = [first]
        while waiting:
            step = waiting[-1]
            missing = [by_id[parent] for parent in step.inputs if parent not in done]
            if step.id in done or not missing:
                done[step.id] = waiting.pop()
                continue
            if step.id in begun:
                raise Refusal(f"That would make a loop: {name(step.id)} would be made from itself.")
            begun.add(step.id)
            waiting += missing
    return list(done.values())


def _check(board, id):
    """That names still differ, and that what hangs on the thing can still be made."""
    check_names(board.steps)
    for below in board.dependants([id]):
        step = board.step(below)
        try:
            check_fills(step.construction, step.fills, board)
        except Refusal as refusal:
            raise Refusal(f"Then {board.name(below)} could not be made any more: {refusal.sentence}") from None
    check_logged(board, (*board.settings.log, *(board.settings.nice or ())[:1]))


def chosen(board: Board, edit: Any) -> Patch:
    step = board.step(*known(board, [edit.id]))
    gap = step.construction.gap_by_name.get(edit.gap)
    if gap is None or gap.kind.literal != "word" or (edit.word is None and not gap.optional):
        raise Refusal(f"“{step.construction.tool}” has no such choice.")
    fills = {name: fill for name, fill in step.fills.items() if name not in (edit.gap, "near")}
    if edit.word is not None:
        fills[edit.gap] = edit.word
    # What is left open is what it would be if it were made so, as it is when it is read from a file.
    fills = with_defaults(step.construction, fills, board)
    check_fills(step.construction, fills, board)
    return replacing(board, f"Changed {noun(board, edit.id)}", [step.with_(fills=fills, by=None)])
