"""The fewest and cheapest facts that an equation follows from: it itself, or a sum of two or three."""

from collections.abc import Iterator, Mapping, Sequence
from typing import Any

#: Of more equations than this no three are put together.
_MOST = 400

Row = Mapping[Any, int]


def few(wanted: Row, rows: Sequence[tuple[Row, int]], costs: Sequence[float], most: int = 3) -> tuple[float, tuple[int, ...]] | None:
    """The cheapest one, two or three equations of which one, or twice it, is the sum; each taken once, forwards, backwards or twice.

    Args:
        rows: equations, each with the number of its fact. ``costs``: how dear each fact is.
        most: of so many equations at most it may be the sum.

    Returns:
        How dear they are together, and the numbers of their facts; None where there are none.
    """
    ways = [(taken, number) for row, number in rows for taken in _taken(row)]
    by_row: dict[frozenset, int] = {}
    for taken, number in ways:
        key = frozenset(taken.items())
        if key not in by_row or costs[number] < costs[by_row[key]]:
            by_row[key] = number
    found: list[tuple[float, tuple[int, ...]]] = []

    def note(numbers: tuple[int, ...]) -> None:
        once = tuple(sorted(set(numbers)))
        found.append((sum(costs[number] for number in once), once))

    twice = {key: 2 * value for key, value in wanted.items()}  # two halves that are equal: 2 a = c and 2 b = c
    for times in (wanted, twice):
        for last, used in _rests(times, ways, by_row, most):
            note((last, *used))
    return min(found, default=None)


def _rests(wanted: Row, ways: list[tuple[Row, int]], by_row: dict[frozenset, int], most: int) -> Iterator[tuple[int, tuple[int, ...]]]:
    whole = frozenset(wanted.items())
    if whole in by_row:
        yield by_row[whole], ()
    beside = [(_less(wanted, taken), number) for taken, number in ways if any(key in wanted for key in taken)]
    for rest, number in beside:
        key = frozenset(rest.items())
        if key in by_row:
            yield by_row[key], (number,)
    if most < 3 or len(ways) > 4 * _MOST:
        return
    at: dict[Any, list[tuple[Row, int]]] = {}
    for taken, number in ways:
        for key in taken:
            at.setdefault(key, []).append((taken, number))
    for rest, number in beside:
        if not rest:
            continue
        # One of the other two has what is rarest among what is left.
        rarest = min(rest, key=lambda key: len(at.get(key, ())))
        for taken, other in at.get(rarest, ()):
            key = frozenset(_less(rest, taken).items())
            if key in by_row:
                yield by_row[key], (number, other)


def _taken(row: Row) -> Iterator[Row]:
    for times in (1, -1, 2, -2):
        yield {key: times * value for key, value in row.items()}


def _less(one: Row, other: Row) -> Row:
    found = dict(one)
    for key, value in other.items():
        left = found.get(key, 0) - value
        if left:
            found[key] = left
        else:
            found.pop(key, None)
    return found
