"""Dragging: which pegs a grabbed thing moves, and where to."""

from collections.abc import Sequence
from dataclasses import dataclass

from ..board.board import Board
from ..board.lattice import snapped, tidy
from ..board.pegs import numbers_of
from ..catalogue.moving import settled
from ..kinds import POINT, join
from ..language.printing import noun, sentence, why_locked
from ..limits import COORDINATE
from ..refusal import Refusal
from ..seen import Place
from .picking import place_near


@dataclass(frozen=True)
class Drag:
    """A drag under way.

    Attributes:
        start: where the pointer took hold, board units.
        free: the free points that go with it, by id, with their coordinates at the start; of what hangs off a thing, how
            far off it hung.
        sliding: the one sliding point that is dragged, or the dial that is turned (to the number that the pointer's x
            gives), or None.
    """

    start: tuple
    free: dict
    sliding: str | None

    @property
    def ids(self) -> tuple[str, ...]:
        """The points whose numbers the drag changes."""
        return (self.sliding,) if self.sliding else tuple(self.free)

    def numbers(self, board: Board, to: Place) -> dict[str, tuple[float, ...]]:
        """The typed numbers of every dragged point for a position of the pointer."""
        x, y = (min(max(part, -COORDINATE), COORDINATE) for part in to)
        if self.sliding:
            grabbed = board.step(self.sliding)
            if grabbed.moves == "turning":
                return {self.sliding: (settled(grabbed.fills, x),)}
            if any(board.value(id) is None for id in grabbed.fills["path"]):
                return {}
            try:
                return {self.sliding: (place_near(board, self.sliding, (x, y)),)}
            except ArithmeticError:
                return {}  # its path has no length now, so there is nowhere to go
        dx, dy = x - self.start[0], y - self.start[1]
        if len(self.free) == 1:
            ((id, at),) = self.free.items()
            to = (_bounded(at[0] + dx), _bounded(at[1] + dy))
            if board.step(id).moves == "hanging":
                return {id: tuple(round(part, 9) for part in to)}
            return {id: snapped(board.settings, to)}
        # Several points keep their shape: the one that comes first decides how far they all go.
        lead = next(iter(self.free.values()))
        sx, sy = snapped(board.settings, (lead[0] + dx, lead[1] + dy))
        dx, dy = sx - lead[0], sy - lead[1]
        return {id: (_bounded(at[0] + dx), _bounded(at[1] + dy)) for id, at in self.free.items()}


def _bounded(coordinate):
    return tidy(min(max(coordinate, -COORDINATE), COORDINATE))


def grab(board: Board, ids: Sequence[str], at: Place) -> Drag:
    """Take hold of things.

    Args:
        ids: the things; a sliding point is dragged alone, other things move by the free points they are made from.
        at: where the pointer is. A single free point jumps to the pointer by no more than it was missed.

    Returns:
        A Drag.

    Raises:
        Refusal: where nothing of it can be moved, saying what it depends on.
    """
    first = board.step(ids[0])
    if len(ids) == 1 and first.moves in ("sliding", "turning"):
        return Drag(at, {}, first.id)
    free = {}
    for id in ids:
        for mover in movers(board, id):
            free[mover] = numbers_of(board.step(mover))
    if not free:
        raise Refusal(why_fixed(board, ids[0]))
    carried = [
        id
        for id in free
        if board.step(id).moves == "hanging" and any(set(movers(board, thing)) & set(free) for thing in board.step(id).fills["thing"])
    ]
    return Drag(at, {id: numbers for id, numbers in free.items() if id not in carried}, None)


def movers(board: Board, id: str) -> list[str]:
    """The free points that move a thing: itself, or all that it stands on where they are all free."""
    step = board.step(id)
    if step.moves in ("free", "hanging"):
        return [id]
    if step.makes == POINT or step.is_reading or step.construction.moves or not step.inputs:
        return []
    made_from = [board.step(parent) for parent in step.inputs]
    return [parent.id for parent in made_from] if all(parent.moves == "free" for parent in made_from) else []


def why_fixed(board: Board, id: str) -> str:
    """Why a thing cannot be dragged: its sentence, and the pegs that would move it."""
    locked = [peg for peg in (id, *roots(board, id)) if board.step(peg).look.locked]
    if locked:
        return why_locked(board, locked)
    pegs = roots(board, id)
    words = f"{sentence(board, id)}."
    if pegs:
        words += f" To move it, drag {join((noun(board, peg) for peg in pegs[:4]), last='or')}."
    return words


def roots(board: Board, id: str) -> list[str]:
    """The ids of the pegs that a thing depends on, in order."""
    return [parent for parent in board.ancestors([id]) if board.step(parent).construction.moves]
