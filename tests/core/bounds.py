"""Bounds of time that hold on any machine: in the time of the processor, and longer where the machine is found to be slow."""

import time
from collections.abc import Iterator
from contextlib import contextmanager

#: How long ``_work`` takes on a machine such as the bounds are meant for, in seconds.
_USUAL = 0.025


@contextmanager
def within(seconds: float, said: object = "") -> Iterator[None]:
    """Raise AssertionError where something takes more of the processor's time than a bound.

    Args:
        seconds: the bound on a usual machine; on one that is n times as slow just afterwards it is n times as long.
        said: what is told where it is broken.
    """
    began = time.process_time()
    yield
    spent = time.process_time() - began
    if spent > seconds and spent > (longest := seconds * _slowness()):
        raise AssertionError(f"{said} took {spent:.2f} s, and not {longest:.2f}".strip())


def _slowness() -> float:
    """How many times as slow as a usual one the machine is now, at least 1: others may use it, so the slowest of several looks counts."""
    return max(1.0, *(_work() / _USUAL for _ in range(5)))


def _work() -> float:
    began, mixed = time.process_time(), 0
    for number in range(300_000):
        mixed = (mixed * 31 + number) % 1_000_003
    return time.process_time() - began + mixed * 0.0
