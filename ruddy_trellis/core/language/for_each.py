"""What is worked out once for each construction, or for all of them, and then known."""

from collections.abc import Callable, Iterable
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


#: What is worked out for so many collections is kept: everyone's constructions, and those with one teacher's own each.
_COLLECTIONS = 200


def for_all(work: Callable[[tuple[Any, ...]], T]) -> Callable[[Iterable[Any]], T]:
    """A function of all constructions that may be said that works once for the same ones in the same order."""
    known: dict[tuple[int, ...], tuple[tuple[Any, ...], T]] = {}

    @wraps(work)
    def asked(constructions: Iterable[Any]) -> T:
        every = tuple(constructions)
        mark = tuple(map(id, every))
        if mark not in known:
            if len(known) >= _COLLECTIONS:
                known.clear()
            known[mark] = (every, work(every))  # they are kept with it, so that none of these numbers comes to mean another
        return known[mark][1]

    return asked
