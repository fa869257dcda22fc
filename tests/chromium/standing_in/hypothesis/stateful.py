"""Machines whose rules are run in random order."""

import random
import unittest
from collections.abc import Callable
from typing import Any

from . import Unsatisfied, settings
from .strategies import Strategy

#: How many runs a machine has here, and how many rules in each.
RUNS, STEPS = 4, 25


def _marked(kind: str) -> Callable[..., Any]:
    def entered(**named: Strategy) -> Callable[[Callable[..., None]], Callable[..., None]]:
        def mark(method: Callable[..., None]) -> Callable[..., None]:
            method.kind, method.named = kind, named  # type: ignore[attr-defined]
            return method

        return mark

    return entered


rule, initialize, invariant = _marked("rule"), _marked("initialize"), _marked("invariant")


class RuleBasedStateMachine:
    """A machine; ``TestCase`` of it is the test that runs it."""

    def teardown(self) -> None:
        """Nothing is left behind."""

    def __init_subclass__(cls) -> None:
        super().__init_subclass__()

        class Machine(unittest.TestCase):
            settings = settings()

            def runTest(self) -> None:
                for number in range(RUNS):
                    _run(cls(), random.Random(f"{cls.__qualname__} {number}"))

        Machine.__qualname__ = f"{cls.__qualname__}.TestCase"
        cls.TestCase = Machine  # type: ignore[attr-defined]


def _run(machine: RuleBasedStateMachine, chance: random.Random) -> None:
    methods = [getattr(machine, name) for name in sorted(dir(type(machine))) if hasattr(getattr(type(machine), name), "kind")]
    of = {kind: [method for method in methods if method.kind == kind] for kind in ("rule", "initialize", "invariant")}
    try:
        for method in (*of["initialize"], *(chance.choice(of["rule"]) for _ in range(STEPS))):
            try:
                method(**{name: strategy.draw(chance) for name, strategy in method.named.items()})
            except Unsatisfied:
                continue
            for holds in of["invariant"]:
                holds()
    finally:
        machine.teardown()
