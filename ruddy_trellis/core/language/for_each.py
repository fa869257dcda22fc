"""What is worked out once for each construction and then known."""

from collections.abc import Callable
from functools import wraps
from typing import Any, TypeVar

T = TypeVar("T")


def for_each(work: Callable[[Any], T]) -> Callable[[Any], T]:
    """A function of a construction that works once for each. A recipe's key may come to mean another one: then again."""
    known: dict[str, tuple[Any, T]] = {}

    @wraps(work)
    def asked(construction: Any) -> T:
        found = known.get(construction.key)
        if found is None or found[0] is not construction:
            found = known[construction.key] = (construction, work(construction))
        return found[1]

    return asked
