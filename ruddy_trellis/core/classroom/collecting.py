"""What a whole class has made, on one board: everybody's pegs as marks, everybody's readings as rows."""

import random
from collections.abc import Iterable
from typing import Any

from ..board.board import Board
from ..display import Extent
from ..display.items import LAYERS
from ..display.palette import style_of
from ..display.shapes import Shapes
from ..kinds import CONDITION, NUMBER, POINT, REGION, STRAIGHTS
from ..refusal import Refusal
from ..seen import Items

#: What can be collected besides points and numbers: what is drawn with one line.
_DRAWN = frozenset((*STRAIGHTS, "circle", "arc", "polygon"))
#: How marks look: where a condition holds, where it does not, and without one. They are told apart by shape as well.
_HOLDS = {"pen": "leaf", "peg": "fixed", "size": 6.0}
_FAILS = {"pen": "ruddy", "peg": "free", "size": 6.0}
_PLAIN = {"pen": "plum", "peg": "fixed", "size": 6.0}


def check_collected(board: Board, id: str, condition: str | None) -> None:
    """Raise Refusal where something cannot be collected, or is not judged by what is named."""
    if id not in board:
        raise Refusal("That thing is no longer on the board.")
    if board.kind_of(id) not in (POINT, NUMBER) and board.kind_of(id) not in _DRAWN:
        raise Refusal("Points, lines, circles, dials and readings are put on one board: choose one of these.")
    if condition is not None and (condition not in board or board.kind_of(condition) not in (CONDITION, REGION)):
        raise Refusal("Points are told apart by a condition or a region of this board.")
    if condition is not None and board.kind_of(id) != POINT:
        raise Refusal("A condition is asked of points.")


def is_number(board: Board, id: str) -> bool:
    """Whether what is collected is a number, and no place."""
    return board.kind_of(id) == NUMBER


def number_of(copy: Board, id: str) -> float | None:
    """A reading or a dial on somebody's board; None where it has no value, or is not there."""
    value = copy.value(id) if id in copy else None
    return float(value) if isinstance(value, (int, float)) else None


def mark(
    copy: Board, id: str, extent: Extent, name: str = "", board: Board | None = None, condition: str | None = None
) -> dict[str, Any] | None:
    """Somebody's thing as a mark on a common board: an item without an id of its own.

    Args:
        copy: somebody's board.
        id: the thing.
        extent: the part of the plane in which lines are drawn.
        name: what stands beside it; nothing where it shall not be told whose it is.
        board: the common board, whose condition is asked.
        condition: its id there.

    Returns:
        The item; None where there is no such place now.
    """
    if id not in copy or copy.value(id) is None:
        return None
    step = copy.step(id)
    # Of its own board nothing else is drawn for it, and no label is settled.
    shape = Shapes(copy, extent).of(id)["shape"]
    if shape is None:
        return None
    look = _PLAIN
    if board is not None and condition is not None:
        look = _HOLDS if holds_at(board, condition, copy.value(id)[:2]) else _FAILS
    return _mark(step.makes, shape, {**style_of(step, copy.settings.looks), **look}, name)


def place_mark(at: Any, name: str = "") -> dict[str, Any]:
    """A place that somebody said as a mark on a board."""
    return _mark(POINT, {"at": at}, _PLAIN, name)


def _mark(kind, shape, look, name):
    named = name if kind == POINT else ""
    style = {**look, "width": 1.6, "pattern": "solid", "fill": 0.0, "hidden": False, "label": bool(named), "tag": False}
    style.pop("cover", None)
    label = {"text": named, "at": shape["at"], "push": (0.7, 0.7), "offset": None} if named else None
    return {"id": "", "kind": kind, "layer": LAYERS[kind], "style": style, "shape": shape, "label": label}


def holds_at(board: Board, condition: str, place: Any) -> bool:
    """Whether a condition, or every condition of a region, holds at a place."""
    step = board.step(condition)
    conditions = step.fills["conditions"] if step.makes == REGION else (condition,)
    values = [board.value(id) for id in conditions]
    return all(value is not None and bool(value.holds(*place)) for value in values)


def shuffled(marks: Items) -> Items:
    """Marks in another order each time: nobody is known by being the third."""
    return random.sample(marks, len(marks))


def rows(board: Board, copies: Iterable[Board]) -> list[tuple[float | None, ...]]:
    """A row of the log for each of some copies: the readings that the log of a board is of. Raises Refusal where it is of none."""
    log = board.settings.log
    if not log:
        raise Refusal("Choose readings for the log first, in the drawer under Log.")
    return [tuple(number_of(copy, id) for id in log) for copy in copies]
