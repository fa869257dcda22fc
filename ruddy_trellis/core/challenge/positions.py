"""Positions in which an answer is looked at: the givens moved, and what the student can move carried along, then by an amount of its own.

Plain Python with a fixed seed, in floats: it runs wherever a hand runs, and the same answer is always judged in the same way.
"""

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from math import cos, pi, sin
from random import Random
from typing import TypeAlias

from ..board.board import Board
from ..board.pegs import numbers_of
from ..kinds import CIRCLE, CONIC, POINT

Numbers: TypeAlias = dict[str, tuple[float, ...]]
#: How far points go in the positions in turn, as a share of the figure's size; and how much larger or smaller the figure is made.
_REACHES, _SCALES = (0.12, 0.35, 0.7, 1.5), (1.0, 1.0, 0.25, 3.0)
#: How far a thing of the student's goes by itself.
_OWN = 0.3


def size_of(board: Board) -> float:
    """How far the points of a board reach, at least a hundredth of the view."""
    places = [value for step, value in zip(board.steps, board.values) if step.makes == POINT and value is not None]
    left, _, right, _ = board.settings.view
    if not places:
        return right - left
    xs, ys = [place[0] for place in places], [place[1] for place in places]
    return max(max(xs) - min(xs), max(ys) - min(ys), (right - left) / 100)


@dataclass(frozen=True)
class Position:
    """Where the givens are, and what carries along whatever is the student's.

    Attributes:
        there: the numbers of the given pegs.
        carried: the similarity that takes the figure near there: the middle that stays, what it turns and grows by (as the parts of a
            complex number), -1 where it is mirrored and else 1, and how far it goes on.
        alone: how far the student's own go besides, board units; 0 where they are only carried.
    """

    there: Numbers
    carried: tuple[float, ...]
    alone: float


def positions(board: Board, held: bool, seed: int = 1) -> Iterator[Position]:
    """Positions without end of the given pegs, locked ones and dials among them unless they are held.

    Every second one leaves what is the student's where it is carried by the givens; in the others it goes on by an amount of its own.
    """
    random = Random(seed)
    size = size_of(board)
    pegs = [step for step in board.steps if step.construction.moves in ("free", "sliding", "turning")]
    given = [step for step in pegs if board.is_given(step.id) and not (held and (step.look.locked or step.construction.moves == "turning"))]
    middle = _middle(board, given)
    turn = 0
    while True:
        kind, alone = turn // 2 % len(_REACHES), turn % 2 == 1
        figure = _moved(random, middle, _SCALES[kind], turn % 6 in (4, 5))
        turn += 1
        there = {step.id: _given(step, board, random, figure, _REACHES[kind] * _SCALES[kind] * size) for step in given}
        yield Position(there, _settled(figure, given, there), size * _SCALES[kind] if alone else 0.0)


def with_own(board: Board, some: Iterable[Position], seed: int = 2) -> Iterator[tuple[Numbers, Numbers]]:
    """For each position the numbers of the given pegs, and those of the student's own that are on the board now."""
    random = Random(seed)
    own = [step for step in board.steps if step.construction.moves in ("free", "sliding", "turning") and not board.is_given(step.id)]
    for one in some:
        yield one.there, {step.id: _own(step, board, random, one) for step in own}


def _moved(random, middle, scale, mirrored):
    """The whole figure turned, made larger or smaller, and mirrored or not, as ``Position.carried`` is."""
    angle = random.uniform(0, 2 * pi) if scale != 1.0 or mirrored else random.uniform(-0.4, 0.4)
    return (*middle, scale * cos(angle), scale * sin(angle), -1.0 if mirrored else 1.0, 0.0, 0.0)


def _taken(carried, x, y):
    """Where a point goes."""
    left, low, a, b, flip, right, up = carried
    dx, dy = (x - left) * flip, y - low
    return left + a * dx - b * dy + right, low + b * dx + a * dy + up


def _settled(figure, given, there):
    """Moved on so that what is carried goes with the middle of the given points."""
    free = [step for step in given if step.construction.moves == "free" and step.makes == POINT]
    if not free:
        return figure
    offs = [(there[step.id], _taken(figure, *numbers_of(step))) for step in free]
    return (*figure[:5], *(sum(now[i] - then[i] for now, then in offs) / len(offs) for i in (0, 1)))


def _middle(board, given):
    places = [numbers_of(step) for step in given if step.construction.moves == "free" and step.makes == POINT]
    if not places:
        left, low, right, high = board.settings.view
        return (left + right) / 2, (low + high) / 2
    return sum(place[0] for place in places) / len(places), sum(place[1] for place in places) / len(places)


def _given(step, board, random, figure, far):
    if step.construction.moves == "free":
        x, y = _taken(figure, *numbers_of(step))
        return x + random.gauss(0, far), y + random.gauss(0, far)
    return _along(step, board, random)


def _own(step, board, random, position):
    far = position.alone
    if step.construction.moves == "free":
        x, y = _taken(position.carried, *numbers_of(step))
        return (x + random.gauss(0, _OWN * far), y + random.gauss(0, _OWN * far)) if far else (x, y)
    return _along(step, board, random) if far else numbers_of(step)


def _along(step, board, random):
    """Another place on a path, or another number of a dial."""
    (now,) = numbers_of(step)
    if step.construction.moves == "turning":
        least, most = step.fills["least"], step.fills["most"]
        return (random.uniform(least, most),)
    kind = board.kind_of(step.fills["path"][0]) if len(step.fills["path"]) == 1 else ""
    if kind in (CIRCLE, CONIC):
        return (now + random.uniform(-170, 170),)
    return (random.uniform(0.05, 0.95) if 0 <= now <= 1 else now + random.gauss(0, 1),)
