"""Motions of one live board, seen by one browser: pictures computed ahead and sent in batches."""

import asyncio
import time

from ...core.board import numbers_of
from ...core.sampling.motions import course, pictures
from .apart import apart

RATE = 60
#: How many pictures go in one message, and how far ahead of the browser they are made, in seconds.
_BATCH, _AHEAD = 24, 0.45


class Running:
    """Some motions that run for one connection. The board itself stays as it is until they stop."""

    def __init__(self, live, send, ids, from_start, view):
        self.live, self._send, self.ids, self._view = live, send, ids, view
        self._copy = live.board.copy()
        self._courses = [course(self._copy, id, from_start) for id in ids]
        self._begun = time.monotonic()
        self._next = 0
        self._again = asyncio.Event()
        self.task = None

    @property
    def drivers(self):
        return {one.driver for one in self._courses}

    def moved(self):
        """The ids of everything that the motions move."""
        return {*self.drivers, *self._copy.dependants(list(self.drivers))}

    def disturbed(self):
        """Something else was dragged: what was sent ahead is made again from now on."""
        self._next = max(0, int((time.monotonic() - self._begun) * RATE) + 3)
        self._again.set()

    def places(self):
        """Where the drivers are now: the numbers by id, as an edit moves them."""
        now = time.monotonic() - self._begun
        return {one.driver: [one.place(now)] for one in self._courses}

    async def run(self):
        """Send pictures, a little ahead, until every motion is over. Returns when they all are."""
        while True:
            if not self._in_step():
                return
            times = [number / RATE for number in range(self._next, self._next + _BATCH)]
            frames = await apart(len(self._copy), pictures, self._copy, self._courses, self._view(), times)
            self._send(
                {"t": "frames", "from": self._next, "rate": RATE, "now": round((time.monotonic() - self._begun) * RATE), "frames": frames}
            )
            self._next += _BATCH
            over = all(one.is_over(times[-1]) for one in self._courses)
            wait = self._begun + self._next / RATE - _AHEAD - time.monotonic()
            self._again.clear()
            try:
                await asyncio.wait_for(self._again.wait(), max(wait, 0.001) if not over else max(wait + _AHEAD, 0.001))
            except TimeoutError:
                if over:
                    return

    def _in_step(self):
        """Bring the copy to what the board is now; False where a motion or what it moves is no longer there."""
        board, drivers = self.live.board, self.drivers
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
