"""Stands for the library of random tests, of which a part is compiled and not there in a browser: as many examples, drawn from a fixed
seed, and none made smaller where a test fails."""

import functools
import random
from collections.abc import Callable
from typing import Any

from .strategies import Data, Strategy, data

#: How many examples a test has at most here, where each takes several times as long.
MOST = 25


class Unsatisfied(Exception):
    """An example that a test does not want."""


def assume(condition: object) -> bool:
    """Leave out an example for which a condition does not hold."""
    if not condition:
        raise Unsatisfied
    return True


class _All(type):
    """What has every name and no members."""

    def __iter__(cls):
        return iter(())

    def __getattr__(cls, name: str) -> str:
        return name


HealthCheck = _All("HealthCheck", (), {})  # type: ignore[misc,assignment]


class settings:
    """How many examples are tried; all else is taken and passed over."""

    def __init__(self, max_examples: int = 100, stateful_step_count: int = 50, **more: Any) -> None:
        self.max_examples, self.stateful_step_count = max_examples, stateful_step_count

    def __call__(self, test: Callable[..., None]) -> Callable[..., None]:
        test.wanted = self.max_examples  # type: ignore[attr-defined]
        return test


def given(*strategies: Strategy, **named: Strategy) -> Callable[[Callable[..., None]], Callable[..., None]]:
    """Run a test with examples of some strategies."""

    def wrapped(test: Callable[..., None]) -> Callable[..., None]:
        @functools.wraps(test)
        def run(self: Any) -> None:
            chance = random.Random(test.__qualname__)
            wanted = min(getattr(run, "wanted", 100), MOST)
            tried = 0
            for _ in range(wanted * 60):
                if tried == wanted:
                    break
                drawn = [strategy.draw(chance) for strategy in strategies]
                more = {name: strategy.draw(chance) for name, strategy in named.items()}
                try:
                    test(self, *drawn, **more)
                except Unsatisfied:
                    continue
                tried += 1
            assert tried, "no example was wanted"

        del run.__wrapped__
        return run

    return wrapped


__all__ = ["Data", "HealthCheck", "assume", "data", "given", "settings"]
