"""Passwords: what does for one, hashing with Argon2, and a limit on trying."""

import threading

from argon2 import PasswordHasher
from argon2.exceptions import InvalidHashError, VerificationError
from limits import parse
from limits.storage import MemoryStorage
from limits.strategies import MovingWindowRateLimiter

from ...core.refusal import Refusal

LEAST, MOST = 10, 200
#: In the place of a hash: no password goes with it.
NO_PASSWORD = "none"
#: A hash takes 64 MB and all of a core for a moment: no more than two at a time.
_HASHING = threading.BoundedSemaphore(2)
_HASHER = PasswordHasher()
#: Verified where there is no such teacher, so that an answer takes as long as where there is one.
_NOBODY = _HASHER.hash("nobody has this one")


def hashed_password(password):
    """The Argon2 hash of a new password. Raises Refusal where the password does not do."""
    check_new_password(password)
    with _HASHING:
        return _HASHER.hash(password)


def check_new_password(password):
    """Raise Refusal where a password does not do."""
    if not LEAST <= len(password) <= MOST:
        raise Refusal(f"A password has from {LEAST} to {MOST} characters. A few words in a row are easy to keep in mind.")
    if len(set(password)) < 5:
        raise Refusal("A password needs at least five different characters.")


def is_password(teacher, password):
    """Whether that is the teacher's password; ``teacher`` may be None."""
    try:
        with _HASHING:
            return _HASHER.verify(teacher.password if teacher else _NOBODY, password[: MOST + 1]) and teacher is not None
    except (VerificationError, InvalidHashError):
        return False


class Attempts:
    """Counts what can be tried too often: signing in, and registering."""

    def __init__(self):
        self._limiter = MovingWindowRateLimiter(MemoryStorage())
        self._of_name = parse("6 per 10 minutes")
        # Behind one address there may be a whole school, with thirty pupils who guess in every lesson.
        self._of_address = parse("2000 per 10 minutes")
        self._registering = parse("10 per 10 minutes")

    def check_sign_in(self, sign_in, address):
        """Count an attempt, before it is known how it ends: many at once must not slip through. Raises Refusal where there
        were too many, for that name from that address or for any name from it."""
        if not (self._limiter.hit(self._of_name, sign_in, address) and self._limiter.hit(self._of_address, address)):
            raise Refusal("Signing in failed too often. Try again in ten minutes.")

    def signed_in(self, sign_in, address):
        """An attempt was right: those before it for that name are forgotten."""
        self._limiter.clear(self._of_name, sign_in, address)

    def check_registering(self, address):
        """Count a registration. Raises Refusal where there were too many from that address."""
        if not self._limiter.hit(self._registering, "register", address):
            raise Refusal("Too many registrations from here. Try again in ten minutes.")
