"""Random numbers."""

import math
from _random import Random

from .table import ndarray


class Generator:
    """Numbers that only look random."""

    def __init__(self, seed=None):
        self._next = Random(seed).random if seed is not None else Random().random

    def _many(self, one, size):
        if size is None:
            return one()
        shape = (size,) if isinstance(size, int) else tuple(size)
        return ndarray([one() for _ in range(math.prod(shape))], shape)

    def normal(self, middle=0.0, spread=1.0, size=None):
        """By the transformation of Box and Muller."""

        def one():
            far = math.sqrt(-2 * math.log(1 - self._next()))
            return middle + spread * far * math.cos(math.tau * self._next())

        return self._many(one, size)

    def uniform(self, low=0.0, high=1.0, size=None):
        return self._many(lambda: low + (high - low) * self._next(), size)

    def random(self, size=None):
        return self._many(self._next, size)

    def integers(self, low, high, size=None):
        return self._many(lambda: low + int((high - low) * self._next()), size)

    def choice(self, values, size=None):
        values = list(values)
        return self._many(lambda: values[int(len(values) * self._next())], size)


def default_rng(seed=None):
    return Generator(seed)
