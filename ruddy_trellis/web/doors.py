"""Connections before they have asked for anything: silent ones are closed, and nobody takes all places."""

import resource
from collections import Counter

from uvicorn.protocols.http.httptools_impl import HttpToolsProtocol

#: A connection whose head is not whole after so many seconds is closed; so is one that asks nothing more after an answer.
HEAD, IDLE = 10, 30
#: A body of which nothing comes for so many seconds is given up.
BODY = 30
#: So many files stay free for data, logs and processes; so many connections besides lines there are at most.
_SPARE, _PLACES = 200, 1000
#: What one address may take of the places once more than half of them are taken.
_SHARE = 0.25


def room_for_lines(promised: int) -> int:
    """Raise the limit on open files as far as this process may, and say how many lines it has room for, as promised or fewer."""
    soft, hard = resource.getrlimit(resource.RLIMIT_NOFILE)
    wanted = promised + _PLACES + _SPARE
    if soft != resource.RLIM_INFINITY and soft < wanted:
        soft = wanted if hard == resource.RLIM_INFINITY else min(wanted, hard)
        resource.setrlimit(resource.RLIMIT_NOFILE, (soft, hard))
    if soft == resource.RLIM_INFINITY or soft >= wanted:
        Door.places = _PLACES
        return promised
    Door.places = max((soft - _SPARE) // 4, 20)
    return max(soft - _SPARE - Door.places, 20)


class Door(HttpToolsProtocol):
    """HTTP on one connection, counted by where it comes from for as long as it is no line.

    Attributes:
        places: how many connections there may be; ``near`` the addresses of web servers in front, which count theirs themselves.
    """

    places = _PLACES
    near: frozenset[str] = frozenset()
    _open: set["Door"] = set()

    def connection_made(self, transport):
        super().connection_made(transport)
        self.address = self.client[0] if self.client else ""
        self._timer = None
        self._open.add(self)
        self._wait(HEAD)
        if len(self._open) > self.places // 2:
            self._make_room()

    def _make_room(self):
        """Close silent connections of whoever has most; and the newest, where its address has taken its share, or all places are."""
        count = Counter(one.address for one in self._open if one.address not in self.near)
        most, number = count.most_common(1)[0] if count else ("", 0)
        if number > _SHARE * self.places:
            for one in [one for one in self._open if one.address == most and one.is_silent and one is not self][:20]:
                one.let_go()
        if len(self._open) > self.places or (count[self.address] > _SHARE * self.places and self.address == most):
            self.let_go()

    @property
    def is_silent(self):
        """Whether nothing is being answered on it."""
        return self.cycle is None or self.cycle.response_complete

    def let_go(self):
        """Close it at once."""
        self._forget()
        self.transport.abort()

    def _wait(self, seconds):
        if self._timer is not None:
            self._timer.cancel()
        self._timer = self.loop.call_later(seconds, self.let_go)

    def _no_longer_waits(self):
        if self._timer is not None:
            self._timer.cancel()
            self._timer = None

    def on_message_begin(self):
        self._wait(HEAD)
        super().on_message_begin()

    def on_headers_complete(self):
        self._wait(BODY)
        super().on_headers_complete()

    def on_body(self, body):
        self._wait(BODY)
        super().on_body(body)

    def on_message_complete(self):
        self._no_longer_waits()
        super().on_message_complete()

    def handle_websocket_upgrade(self):
        self._forget()
        super().handle_websocket_upgrade()

    def connection_lost(self, exc):
        self._forget()
        super().connection_lost(exc)

    def _forget(self):
        self._open.discard(self)
        self._no_longer_waits()
