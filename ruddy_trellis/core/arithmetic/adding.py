"""Sums that are the same in every version of the language: newer ones add floats with what is lost on the way, older ones do not."""

from collections.abc import Iterable
from functools import reduce
from operator import add
from typing import Any


def total(parts: Iterable[Any]) -> Any:
    """The sum of some numbers of one arithmetic, added from the left; at least one."""
    return reduce(add, parts)
