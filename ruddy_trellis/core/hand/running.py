"""Motions that run for one person: pictures of them made ahead, from a copy of the board."""

from collections.abc import Callable, Sequence
from typing import Any

from ..board import Board, numbers_of
from ..display import Extent
from ..sampling.motions import course, pictures
from .acts import Answer

RATE = 60
#: How many pictures go in one message, and how far ahead of who looks they are made, in seconds.
_BATCH, _AHEAD = 24, 0.45


class Running:
    """Some motions under way. The board itself stays as it is until they stop. Times are seconds of one clock that does not leap."""

    def __init__(self, board: Board, ids: Sequence[str], from_start: bool, now: float) -> None:
        self.ids = tuple(ids)
        self._copy = board.copy()
        self._courses = [course(self._copy, id, from_start) for id in ids]
        self._begun, self._next = now, 0

    @property
    def drivers(self) -> set[str]:
        """The ids of what the motions move."""
        return {one.driver for one in self._courses}

    @property
    def steps(self) -> int:
        """How many steps the board has."""
        return len(self._copy)

    def moved(self) -> set[str]:
        """The ids of everything that the motions move."""
        return {*self.drivers, *self._copy.dependants(list(self.drivers))}

    def disturbed(self, now: float) -> None:
        """Something else was dragged: what was made ahead is made again from now on."""
        self._next = max(0, int((now - self._begun) * RATE) + 3)

    def places(self, now: float) -> dict[str, list[float]]:
        """Where the drivers are: the numbers by id, as an edit moves them."""
        return {one.driver: [one.place(now - self._begun)] for one in self._courses}

    def batch(self, extent: Extent, clock: Callable[[], float]) -> Answer:
        """The next pictures, as they are told; the clock is looked at when they are made."""
        times = [number / RATE for number in range(self._next, self._next + _BATCH)]
        frames = pictures(self._copy, self._courses, extent, times)
        told: dict[str, Any] = {
            "t": "frames", "from": self._next, "rate": RATE, "now": round((clock() - self._begun) * RATE), "frames": frames,
        }  # fmt: skip
        self._next += _BATCH
        return told

    @property
    def is_over(self) -> bool:
        """Whether every motion is over with the last picture that was made."""
        last = (self._next - 1) / RATE
        return all(one.is_over(last) for one in self._courses)

    def wait(self, now: float) -> float:
        """In how many seconds the next pictures are to be made; once all motions are over, in how many the last one was seen."""
        ahead = 0.0 if self.is_over else _AHEAD
        return self._begun + self._next / RATE - ahead - now

    def keep_in_step(self, board: Board) -> bool:
        """Bring the copy to what the board is now; False where a motion or what it moves is no longer there."""
        drivers = self.drivers
        if any(id not in board for id in (*self.ids, *drivers)):
            return False
        if [step.id for step in board.steps] != [step.id for step in self._copy.steps]:
            self._copy = board.copy()
            return True
        changed = {}
        for step, own in zip(board.steps, self._copy.steps):
            if step is own or step.id in drivers:
                continue
            if step.construction.moves and step.with_(fills=own.fills) == own:
                changed[step.id] = numbers_of(step)
            elif step != own:
                self._copy = board.copy()
                return True
        if changed:
            self._copy.move(changed)
        return True
