"""What examples are drawn from."""

import random
import sys
from collections.abc import Callable, Sequence
from typing import Any


class Strategy:
    """Draws examples.

    Args:
        drawing: what draws one.
    """

    def __init__(self, drawing: Callable[[random.Random], Any]) -> None:
        self.draw = drawing

    def map(self, change: Callable[[Any], Any]) -> "Strategy":
        return Strategy(lambda chance: change(self.draw(chance)))

    def filter(self, fits: Callable[[Any], bool]) -> "Strategy":
        return Strategy(lambda chance: next(one for one in iter(lambda: self.draw(chance), None) if fits(one)))


class Data:
    """Draws in the middle of a test."""

    def __init__(self, chance: random.Random) -> None:
        self.chance = chance

    def draw(self, strategy: Strategy) -> Any:
        return strategy.draw(self.chance)


def data() -> Strategy:
    return Strategy(Data)


def floats(low: float, high: float) -> Strategy:
    """Numbers, now and then at an end or whole."""
    return Strategy(lambda chance: chance.choice((low, high, float(round(chance.uniform(low, high))), *(chance.uniform(low, high),) * 7)))


def integers(low: int, high: int) -> Strategy:
    return Strategy(lambda chance: chance.randint(low, high))


def booleans() -> Strategy:
    return Strategy(lambda chance: chance.random() < 0.5)


def sampled_from(choices: Sequence[Any]) -> Strategy:
    return Strategy(lambda chance: chance.choice(choices))


def permutations(choices: Sequence[Any]) -> Strategy:
    return Strategy(lambda chance: chance.sample(list(choices), len(choices)))


def tuples(*each: Strategy) -> Strategy:
    return Strategy(lambda chance: tuple(one.draw(chance) for one in each))


def lists(each: Strategy, min_size: int = 0, max_size: int = 8, unique: bool = False) -> Strategy:
    """Lists; where no two are to be alike, those that are come once."""

    def drawn(chance: random.Random) -> list[Any]:
        found = [each.draw(chance) for _ in range(chance.randint(min_size, max_size))]
        return list(dict.fromkeys(found)) if unique else found

    return Strategy(drawn)


def text(max_size: int = 30) -> Strategy:
    """Letters of all kinds, most of them such as are typed."""
    typed = "ABCabc xyz0123456789(),.=+-*/^′°∠⊥\"“”'\n"

    def drawn(chance: random.Random) -> str:
        letters = (
            chance.choice(typed) if chance.random() < 0.8 else chr(chance.randrange(32, 0x3000)) for _ in range(chance.randint(0, max_size))
        )
        return "".join(letters)

    return Strategy(drawn)


def __getattr__(name: str) -> Any:
    raise AttributeError(f"Nothing stands for {name} of {sys.modules[__name__].__name__} yet.")
