"""Drags that snap: a chosen reading kept to whole steps, and special positions that marks ask for."""

from math import hypot
from typing import Any

from ..board.board import Board
from ..display import marking

_ROUNDS = 12
_CLOSE = 1e-10
#: A special position is snapped to from this near: in degrees, or as a share of the length.
_DEGREES, _SHARE = 4.0, 0.04


def nicely(board: Board, numbers: Any) -> dict[str, tuple[float, ...]]:
    """The numbers of a drag, changed a little so that the board's chosen reading comes to a whole number of steps, or
    so that what a mark with ``snap`` states becomes true where it nearly is.

    The dragged points go together along the slope of what is wanted (Newton's steps), so that they stay as near to the
    pointer as can be. The board is moved to the last position tried. Where what is wanted does not depend on them, or
    no near position will do, the numbers come back as they were.
    """
    for read, reach in _wishes(board):
        numbers = _granted(board, numbers, read, reach)
    return numbers


def _wishes(board):
    """Pairs of a function that gives how far the board is from what is wanted (None where that cannot be said), and
    from how far away it is wanted (None: from anywhere)."""
    if board.settings.nice is not None:
        id, step = board.settings.nice
        if id in board:
            yield (lambda: None if (value := board.value(id)) is None else value - round(value / step) * step), None
    snapping = [step for step in board.steps if step.look.snap and step.makes == "mark"]
    groups = marking.groups(board) if snapping else {}
    for step in snapping:
        group = groups[marking.group_of(step)]
        yield (lambda id=step.id, group=group: marking.strays(board, id, group)), (_SHARE if step.does == "equal_length" else _DEGREES)


def _granted(board, numbers, read, reach):
    width = 1 if all(len(part) == 1 for part in numbers.values()) else 2
    off = _read(board, numbers, read)
    if off is None or (reach is not None and abs(off) > reach):
        return numbers
    shift, small = [0.0] * width, 1e-6 * max(1.0, *(abs(part) for at in numbers.values() for part in at))
    for _ in range(_ROUNDS):
        if abs(off) <= _CLOSE:
            return _shifted(numbers, shift)
        slope = []
        for axis in range(width):
            ahead = list(shift)
            ahead[axis] += small
            there = _read(board, _shifted(numbers, ahead), read)
            if there is None:
                return numbers
            slope.append((there - off) / small)
        steep = hypot(*slope)
        if steep < 1e-9:
            return numbers
        shift = [part - off * lean / steep**2 for part, lean in zip(shift, slope)]
        off = _read(board, _shifted(numbers, shift), read)
        if off is None:
            return numbers
    return numbers


def _shifted(numbers, shift):
    return {id: tuple(part + more for part, more in zip(at, shift)) for id, at in numbers.items()}


def _read(board, numbers, read):
    board.move(numbers)
    return read()
