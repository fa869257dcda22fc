"""A process for work that may take long: large files and pasted texts. It is stopped when it takes too long, and nobody
else's drag waits for it."""

import asyncio
import atexit
import multiprocessing
import os
import resource
import threading
from concurrent.futures import CancelledError, TimeoutError

from pebble import ProcessExpired, ProcessPool

from ..core.refusal import Refusal

#: How long one piece of work may take, in seconds, and how much memory the process may have, in bytes.
PATIENCE, MEMORY = 30, 3_000_000_000
#: How many pieces of work wait at most.
_WAITING = 12
_BUSY = "Many large files are being read just now. Try again in a minute; nothing was changed."
_SLOW = "That takes longer than {} seconds to read. Split it into smaller parts."


class Worker:
    """Runs functions of the core in another process, one after another. It is started when it is first needed."""

    def __init__(self, busy=_BUSY, slow=_SLOW):
        """
        Args:
            busy: what is said where too many wait already; slow: where something takes longer than so many seconds.
        """
        self._busy, self._slow = busy, slow
        self._pool = None
        self._lock = threading.Lock()
        self._waiting = 0

    async def do(self, function, *arguments, patience=PATIENCE):
        """What a function gives; it and all that goes in and out can be pickled.

        Raises:
            Refusal: where the function refuses, or takes too long or too much memory, or too many wait already.
        """
        with self._lock:
            if self._waiting >= _WAITING:
                raise Refusal(self._busy)
            self._waiting += 1
            if self._pool is None:
                self._pool = ProcessPool(1, max_tasks=100, initializer=_settle, context=multiprocessing.get_context("spawn"))
        try:
            return await asyncio.wrap_future(self._pool.schedule(function, args=arguments, timeout=patience))
        except (TimeoutError, CancelledError):
            raise Refusal(self._slow.format(patience)) from None
        except (ProcessExpired, MemoryError):
            raise Refusal("That is too much at once. Split it into smaller parts.") from None
        finally:
            with self._lock:
                self._waiting -= 1

    def close(self):
        """Stop the process, whatever it does."""
        with self._lock:
            pool, self._pool = self._pool, None
        if pool is not None:
            pool.stop()
            pool.join()


def _settle():
    """The process stands back for the one that answers everyone, and cannot eat all memory."""
    os.nice(10)
    resource.setrlimit(resource.RLIMIT_AS, (MEMORY, MEMORY))


#: One for what comes in, one for what goes out.
WORKER = Worker()
WRITER = Worker("Many files are being written just now. Try again in a minute.", "That takes longer than {} seconds to write.")
for _worker in (WORKER, WRITER):
    atexit.register(_worker.close)
