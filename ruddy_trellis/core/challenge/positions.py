"""Positions in which an answer is looked at: the givens moved, and what the student can move carried along, then by an amount of its own.

Plain Python with a fixed seed, in floats: it runs wherever a hand runs, and the same answer is always judged in the same way.
"""

from collections.abc import Iterator
from math import cos, pi, sin
from random import Random
from typing import TypeAlias

from ..board.board import Board
from ..board.pegs import numbers_of
from ..board.step import Step
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


def positions(board: Board, held: bool, seed: int = 1) -> Iterator[tuple[Numbers, Numbers]]:
    """Positions without end: for each the numbers of the given pegs, locked ones and dials among them unless they are held, and those of
    the student's own.

    Every second one leaves what is the student's where it is carried by the givens; in the others it goes on by an amount of its own.
    """
    random = Random(seed)
    size = size_of(board)
    pegs = [step for step in board.steps if step.construction.moves in ("free", "sliding", "turning")]
    given = [step for step in pegs if board.is_given(step.id) and not (held and (step.look.locked or step.construction.moves == "turning"))]
    own = [step for step in pegs if not board.is_given(step.id)]
    middle = _middle(board, given)
    turn = 0
    while True:
        kind, alone = turn // 2 % len(_REACHES), turn % 2 == 1
        mirrored = turn % 6 in (4, 5)
        turn += 1
        figure = _Moved(random, middle, _SCALES[kind] * size, _SCALES[kind], mirrored)
        there = {step.id: _given(step, board, random, figure, _REACHES[kind]) for step in given}
        carried = figure.settled(board, given, there)
        mine = {step.id: _own(step, board, random, carried, size * _SCALES[kind] if alone else 0.0) for step in own}
        yield there, mine


class _Moved:
    """The whole figure turned, made larger or smaller, and mirrored or not; then a similarity that takes the givens near where they are."""

    def __init__(self, random: Random, middle: tuple[float, float], size: float, scale: float, mirrored: bool) -> None:
        angle = random.uniform(0, 2 * pi) if scale != 1.0 or mirrored else random.uniform(-0.4, 0.4)
        self.middle, self.size = middle, size
        self._a, self._b = scale * cos(angle), scale * sin(angle)
        self._flip = -1.0 if mirrored else 1.0
        self._shift = (0.0, 0.0)

    def at(self, x: float, y: float) -> tuple[float, float]:
        dx, dy = (x - self.middle[0]) * self._flip, y - self.middle[1]
        return (
            self.middle[0] + self._a * dx - self._b * dy + self._shift[0],
            self.middle[1] + self._b * dx + self._a * dy + self._shift[1],
        )

    def settled(self, board: Board, given: list[Step], there: Numbers) -> "_Moved":
        """Moved on so that what is carried goes with the middle of the given points."""
        free = [step for step in given if step.construction.moves == "free" and step.makes == POINT]
        if free:
            offs = [(there[step.id], self.at(*numbers_of(step))) for step in free]
            self._shift = tuple(sum(now[i] - then[i] for now, then in offs) / len(offs) for i in (0, 1))  # type: ignore[assignment]
        return self


def _middle(board, given):
    places = [numbers_of(step) for step in given if step.construction.moves == "free" and step.makes == POINT]
    if not places:
        left, low, right, high = board.settings.view
        return (left + right) / 2, (low + high) / 2
    return sum(place[0] for place in places) / len(places), sum(place[1] for place in places) / len(places)


def _given(step, board, random, figure, reach):
    if step.construction.moves == "free":
        x, y = figure.at(*numbers_of(step))
        return x + random.gauss(0, reach * figure.size), y + random.gauss(0, reach * figure.size)
    return _along(step, board, random)


def _own(step, board, random, figure, far):
    if step.construction.moves == "free":
        x, y = figure.at(*numbers_of(step))
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
