"""A process for work that may take long: large files and pasted texts. It is stopped when it takes too long or when whoever asked has
left, nobody else's drag waits for it, and nobody's work waits for all of somebody else's."""

import asyncio
import atexit
import multiprocessing
import os
import resource
import threading
from collections import OrderedDict, deque
from concurrent.futures import CancelledError, TimeoutError
from contextlib import suppress
from contextvars import ContextVar

from pebble import ProcessExpired, ProcessPool
from starlette.requests import Request

from ..core.refusal import Refusal

#: How long one piece of work may take, in seconds, and how much memory the process may have, in bytes.
PATIENCE, MEMORY = 30, 3_000_000_000
#: How many pieces of work wait at most: of one person, and in all.
SHARE, WAITING = 6, 60
#: Who asks for work: a teacher, or an address. Each has a share, and they take turns.
ASKING: ContextVar[str] = ContextVar("asking", default="")
_BUSY = "Many large files are being read just now. Try again in a minute; nothing was changed."
_SLOW = "That takes longer than {} seconds to read. Split it into smaller parts."


class Busy(Refusal):
    """Too much waits already: it may be asked for again."""


class _Turns:
    """Lets pieces of work in one after another, those of one person and those of another in turns."""

    def __init__(self) -> None:
        self._waiting: OrderedDict[str, deque] = OrderedDict()
        self._is_taken = False
        self._lock = threading.Lock()

    def ask(self, who: str):
        """A function that waits for one's turn. Raises Busy where too much waits already."""
        ready, loop = asyncio.Event(), asyncio.get_running_loop()
        with self._lock:
            if not self._is_taken:
                self._is_taken = True
                ready.set()
            elif len(self._waiting.get(who, ())) >= SHARE or sum(map(len, self._waiting.values())) >= WAITING:
                raise Busy(_BUSY)
            else:
                self._waiting.setdefault(who, deque()).append((ready, loop))
        return ready

    def end(self, who: str, ready: asyncio.Event) -> None:
        """A piece of work is over, or is no longer wanted: the next person's turn comes."""
        with self._lock:
            if not ready.is_set():
                mine = self._waiting.get(who, deque())
                if kept := next((one for one in mine if one[0] is ready), None):
                    mine.remove(kept)
                    if not mine:
                        self._waiting.pop(who, None)
                    return
            while self._waiting:
                other, pieces = next(iter(self._waiting.items()))
                event, loop = pieces.popleft()
                self._waiting.move_to_end(other)
                if not pieces:
                    del self._waiting[other]
                with suppress(RuntimeError):  # its loop is closed: nobody waits there any more
                    loop.call_soon_threadsafe(event.set)
                    return
            self._is_taken = False


class Worker:
    """Runs functions of the core in another process, one after another. It is started when it is first needed, and again when it
    was ended from outside."""

    def __init__(self, busy=_BUSY, slow=_SLOW):
        """
        Args:
            busy: what is said where too much waits already; slow: where something takes longer than so many seconds.
        """
        self._busy, self._slow = busy, slow
        self._pool = None
        self._lock = threading.Lock()
        self._turns = _Turns()

    async def do(self, function, *arguments, patience=PATIENCE):
        """What a function gives; it and all that goes in and out can be pickled. Whoever is cancelled while it waits for this stops
        the work.

        Raises:
            Busy: where too much waits already, in all or of the one who asks.
            Refusal: where the function refuses, or takes too long or too much memory.
        """
        who = ASKING.get()
        try:
            ready = self._turns.ask(who)
        except Busy:
            raise Busy(self._busy) from None
        try:
            await ready.wait()
            try:
                return await self._run(function, arguments, patience)
            except _Broken:
                return await self._run(function, arguments, patience)  # in a process that is new
        except _Broken:
            raise Refusal("That is too much at once. Split it into smaller parts.") from None
        finally:
            self._turns.end(who, ready)

    async def _run(self, function, arguments, patience):
        with self._lock:
            if self._pool is None or not self._pool.active:
                self._pool = ProcessPool(1, max_tasks=100, initializer=_settle, context=multiprocessing.get_context("spawn"))
            pool = self._pool
        try:
            return await asyncio.wrap_future(pool.schedule(function, args=arguments, timeout=patience))
        except (TimeoutError, CancelledError):
            raise Refusal(self._slow.format(patience)) from None
        except (ProcessExpired, MemoryError):
            raise Refusal("That is too much at once. Split it into smaller parts.") from None
        except RuntimeError as error:
            if pool.active:
                raise
            self._leave(pool)
            raise _Broken from error

    def _leave(self, pool):
        with self._lock:
            if self._pool is pool:
                self._pool = None
        with suppress(RuntimeError):
            pool.stop()

    def close(self):
        """Stop the process, whatever it does."""
        with self._lock:
            pool, self._pool = self._pool, None
        if pool is not None:
            pool.stop()
            pool.join()


class _Broken(Exception):
    """The process was ended while it had nothing to do."""


class Left(Exception):
    """Whoever asked has gone away: nobody waits for an answer."""


async def while_asked(request: Request, work):
    """What some work gives, for as long as whoever asked for it is there; then it is stopped, and Left raised. What came with the request
    has been read before."""
    doing, leaving = asyncio.ensure_future(work), asyncio.ensure_future(_gone(request))
    try:
        await asyncio.wait({doing, leaving}, return_when=asyncio.FIRST_COMPLETED)
        if not doing.done():
            raise Left
        return await doing
    finally:
        leaving.cancel()
        if not doing.done():
            doing.cancel()
            with suppress(asyncio.CancelledError, Refusal):
                await doing


async def _gone(request: Request):
    while (await request.receive())["type"] != "http.disconnect":
        pass


def _settle():
    """The process stands back for the one that answers everyone, and cannot eat all memory."""
    os.nice(10)
    resource.setrlimit(resource.RLIMIT_AS, (MEMORY, MEMORY))


#: One for what comes in, one for what goes out.
WORKER = Worker()
WRITER = Worker("Many files are being written just now. Try again in a minute.", "That takes longer than {} seconds to write.")
for _worker in (WORKER, WRITER):
    atexit.register(_worker.close)
