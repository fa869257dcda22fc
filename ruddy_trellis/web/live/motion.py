"""Motions of one live board, seen by one browser: pictures made ahead and sent in batches."""

import asyncio
import time

from ...core.hand.running import Running
from .apart import apart


class Sent:
    """Some motions that run for one connection."""

    def __init__(self, live, send, ids, from_start, view):
        self._live, self._send, self._view = live, send, view
        self.running = Running(live.board, ids, from_start, time.monotonic())
        self._again = asyncio.Event()
        self.task = None

    def disturbed(self):
        """Something else was dragged: what was sent ahead is made again from now on."""
        self.running.disturbed(time.monotonic())
        self._again.set()

    def places(self):
        """Where what runs is now."""
        return self.running.places(time.monotonic())

    async def run(self):
        """Send pictures, a little ahead, until every motion is over. Returns when they all are."""
        running = self.running
        while running.keep_in_step(self._live.board):
            self._send(await apart(running.steps, running.batch, self._view(), time.monotonic))
            self._again.clear()
            try:
                await asyncio.wait_for(self._again.wait(), max(running.wait(time.monotonic()), 0.001))
            except TimeoutError:
                if running.is_over:
                    return
