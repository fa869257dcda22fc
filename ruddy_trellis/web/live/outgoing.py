"""What waits to be sent to one browser."""

import asyncio
import logging

import orjson

_LOG = logging.getLogger(__name__)

#: A browser that lets more than this wait is let go; when it comes back it gets the whole.
_QUEUE = 2_000


class Outgoing:
    """A queue of messages for one socket, in which of a moving thing only the newest picture waits.

    Args:
        as_seen: a function that gives a message as this person sees it.
    """

    def __init__(self, socket, as_seen):
        self._socket, self._as_seen = socket, as_seen
        self._loop = asyncio.get_running_loop()
        self.waiting = []
        self.items = {}
        #: Who hears what is told here, as this person sees it.
        self.taps = set()
        self._ready = asyncio.Event()
        self._closing = None

    def send(self, message):
        """Queue a message."""
        if self.items:
            self._flush_items()
        seen = self._as_seen(message)
        self.waiting.append(seen)
        for tap in self.taps:
            tap(seen)
        if len(self.waiting) > _QUEUE and self._closing is None:
            self.waiting.clear()
            self._close(1013)
        self._ready.set()

    def send_items(self, items):
        """Queue refreshed items; of an item that waits already, only the newest is sent."""
        for item in items:
            self.items[item["id"]] = item
        for tap in self.taps:
            tap(self._as_seen({"t": "moved", "items": items}))
        self._ready.set()

    def send_soon(self, message):
        """Queue a message, from any thread."""
        self._loop.call_soon_threadsafe(self.send, message)

    def close(self, code=4404):
        """Let the browser go: what it looks at is no longer open to it. May be called from any thread."""
        self._loop.call_soon_threadsafe(self._close, code)

    def _close(self, code):
        if self._closing is None:
            self._closing = asyncio.ensure_future(self._socket.close(code))

    def _flush_items(self):
        self.waiting.append(self._as_seen({"t": "moved", "items": list(self.items.values())}))
        self.items = {}

    async def write(self):
        """Send what is queued, for as long as the connection lasts."""
        while True:
            await self._ready.wait()
            self._ready.clear()
            if self.items:
                self._flush_items()
            waiting, self.waiting = self.waiting, []
            for message in waiting:
                try:
                    text = orjson.dumps(message).decode()
                except TypeError:
                    _LOG.exception("A message could not be written")  # it costs itself, not the line
                    continue
                await self._socket.send_text(text)
