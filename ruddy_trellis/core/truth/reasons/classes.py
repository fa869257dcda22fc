"""What follows from facts by adding and subtracting alone: directions, lengths and their ratios, sums, each as a space of vectors.

An angle is a difference of two directions; a ratio of lengths is a difference of logarithms. So what is known is a list of linear
equations, and a fact follows where its own equation is a sum of multiples of theirs. Numbers on the right (90°, 2 : 1) need not be kept:
a fact is asked for only where it holds in the figure. Whole numbers modulo a large prime stand for fractions.
"""

from collections.abc import Mapping
from typing import Any

#: A prime beyond which no coefficient of a school's figure goes.
_PRIME = (1 << 61) - 1

Vector = dict[Any, int]


class Classes:
    """Equations, from the cheapest on, each with the facts that it came from."""

    def __init__(self) -> None:
        self._rows: dict[Any, tuple[Vector, Vector]] = {}
        #: How often something new was learnt.
        self.version = 0
        self._count = 0

    def add(self, vector: Mapping[Any, int], fact: int) -> None:
        """Learn an equation of a fact, which may have several."""
        self._count += 1
        rest, used = self._reduced(vector)
        if not rest:
            return
        pivot = next(iter(rest))
        used = {key: -times % _PRIME for key, times in used.items()}
        used[fact, self._count] = 1
        inverse = pow(rest[pivot], -1, _PRIME)
        self._rows[pivot] = _times(rest, inverse), _times(used, inverse)
        self.version += 1

    def why(self, vector: Mapping[Any, int]) -> tuple[int, ...] | None:
        """The facts from which an equation follows; None where it does not follow."""
        rest, used = self._reduced(vector)
        return None if rest else tuple(sorted({fact for fact, _ in used}))

    def _reduced(self, vector: Mapping[Any, int]) -> tuple[Vector, Vector]:
        """What is left of a vector, and how often each fact was taken away."""
        rest = {key: times % _PRIME for key, times in vector.items() if times % _PRIME}
        used: Vector = {}
        while True:
            pivot = next((key for key in rest if key in self._rows), None)
            if pivot is None:
                return rest, used
            times = rest[pivot]
            row, facts = self._rows[pivot]
            _subtract(rest, row, times)
            _subtract(used, facts, -times)


def _times(vector: Vector, times: int) -> Vector:
    return {key: value for key, one in vector.items() if (value := one * times % _PRIME)}


def _subtract(vector: Vector, other: Vector, times: int) -> None:
    for key, value in other.items():
        left = (vector.get(key, 0) - value * times) % _PRIME
        if left:
            vector[key] = left
        else:
            vector.pop(key, None)
