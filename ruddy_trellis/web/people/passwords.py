"""Passwords: hashing with Argon2, and the patience that wrong ones need."""

import asyncio
import time
from collections import OrderedDict
from concurrent.futures import ThreadPoolExecutor
from functools import cache
from hashlib import sha256

from argon2 import PasswordHasher
from argon2.exceptions import InvalidHashError, VerificationError
from limits import parse
from limits.storage import MemoryStorage
from limits.strategies import MovingWindowRateLimiter

from ...core.refusal import Refusal
from .new_passwords import MOST, check_new_password

#: In the place of a hash: no password goes with it.
NO_PASSWORD = "none"
_HASHER = PasswordHasher()
#: A hash takes 64 MB and all of a core for a moment. Hashing has places of its own, so that nothing else waits for one; and of those
#: one is for people of whom it is known that they were here before, so that they do not wait behind everyone who guesses.
_STRANGERS = ThreadPoolExecutor(1, "hashing")
_KNOWN = ThreadPoolExecutor(1, "hashing for those who are known")
#: So many hashes wait at most; whoever comes after that is asked to come again.
_WAITING = 200
#: The delay after the first wrong try of a name, and the longest, in seconds; after how long they are forgotten; how many names are kept.
_FIRST, LONGEST, _FORGOTTEN, _NAMES = 1.0, 30.0, 1800.0, 10_000


@cache
def _nobody():
    """Verified where there is no such teacher, so that an answer takes as long as where there is one."""
    return _HASHER.hash("nobody has this one")


def hashed_password(password, about=()):
    """The Argon2 hash of a new password. Raises Refusal where the password does not do (see ``new_passwords``)."""
    check_new_password(password, about)
    return _HASHER.hash(password)


def is_password(teacher, password):
    """Whether that is the teacher's password; ``teacher`` may be None."""
    try:
        return _HASHER.verify(teacher.password if teacher else _nobody(), password[: MOST + 1]) and teacher is not None
    except (VerificationError, InvalidHashError):
        return False


class Hashing:
    """Hashes in threads that do nothing else, for requests that wait without holding anything."""

    def __init__(self):
        self._waiting = 0

    async def do(self, work, *arguments, known=False):
        """What a function that hashes gives. Raises Refusal where very many wait.

        Args:
            known: whether the person who asks is known.
        """
        if not known and self._waiting >= _WAITING:
            raise Refusal("Very many people are signing in just now. Try again in a minute.")
        self._waiting += not known
        try:
            return await asyncio.get_running_loop().run_in_executor(_KNOWN if known else _STRANGERS, work, *arguments)
        finally:
            self._waiting -= not known


class Attempts:
    """Counts what can be tried too often: signing in, and registering."""

    def __init__(self, clock=time.monotonic):
        self._limiter = MovingWindowRateLimiter(MemoryStorage())
        # Behind one address there may be a whole school, with thirty pupils who guess in every lesson.
        self._of_address = parse("2000 per 10 minutes")
        # All of a school's colleagues may make their accounts in one meeting.
        self._registering = parse("60 per hour")
        self._clock = clock
        #: How many wrong tries there were of a name, and when the last one was.
        self._wrong = OrderedDict()

    def check_address(self, address):
        """Count an attempt to sign in from an address. Raises Refusal where there were too many."""
        if not self._limiter.hit(self._of_address, address):
            raise Refusal("Signing in failed too often from here. Try again in ten minutes.")

    def begin(self, name, browser=""):
        """Count an attempt as a wrong one before it is known how it ends: many at once must not slip through. Returns how many seconds
        it waits: none after no wrong one, then 1, 2 … 30.

        Args:
            name: the sign-in, and ``browser`` the secret of one that is known to it: it is counted by itself.
        """
        key = sha256(f"{browser} {name}".encode()).digest()
        now = self._clock()
        count, last = self._wrong.pop(key, (0, now))
        if now - last > _FORGOTTEN:
            count = 0
        self._wrong[key] = count + 1, now
        while len(self._wrong) > _NAMES:
            self._wrong.popitem(last=False)
        return min(_FIRST * 2 ** min(count - 1, 10), LONGEST) if count else 0.0

    def right(self, name, browser=""):
        """An attempt was right: those before it are forgotten."""
        self._wrong.pop(sha256(f"{browser} {name}".encode()).digest(), None)

    def check_registering(self, address):
        """Count a registration. Raises Refusal where there were too many from that address."""
        if not self._limiter.hit(self._registering, "register", address):
            raise Refusal("Sixty accounts were made from here within an hour. Try again later, or ask whoever runs the program.")
