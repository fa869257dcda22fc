"""Nice lengths: a drag that keeps a chosen reading to whole steps."""

from math import hypot

_ROUNDS = 12
_CLOSE = 1e-10


def nicely(board, numbers):
    """The numbers of a drag, changed a little so that the board's chosen reading comes to a whole number of steps.

    The dragged points go together along the reading's slope (Newton's steps), so that they stay as near to the pointer
    as can be. The board is moved to the last position tried. Where the reading does not depend on them, or no near
    position will do, the numbers come back as they were.
    """
    if board.settings.nice is None:
        return numbers
    id, step = board.settings.nice
    if id not in board:
        return numbers
    read = lambda shift: _read(board, id, _shifted(numbers, shift))
    width = 1 if all(len(part) == 1 for part in numbers.values()) else 2
    value = read((0.0,) * width)
    if value is None:
        return numbers
    target = round(value / step) * step
    shift, small = [0.0] * width, 1e-6 * max(1.0, *(abs(part) for at in numbers.values() for part in at))
    for _ in range(_ROUNDS):
        off = value - target
        if abs(off) <= _CLOSE * max(1.0, abs(target)):
            return _shifted(numbers, shift)
        slope = []
        for axis in range(width):
            ahead = list(shift)
            ahead[axis] += small
            there = read(ahead)
            if there is None:
                return numbers
            slope.append((there - value) / small)
        steep = hypot(*slope)
        if steep < 1e-9:
            return numbers
        shift = [part - off * lean / steep**2 for part, lean in zip(shift, slope)]
        value = read(shift)
        if value is None or hypot(*shift) > 4 * step / steep + 1:
            return numbers
    return numbers


def _shifted(numbers, shift):
    return {id: tuple(part + more for part, more in zip(at, shift)) for id, at in numbers.items()}


def _read(board, id, numbers):
    board.move(numbers)
    return board.value(id)
