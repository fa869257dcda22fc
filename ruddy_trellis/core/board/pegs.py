"""The typed numbers that place a peg: coordinates of a free point, the place of a sliding one, a dial's value, how far off
something hangs."""

from collections.abc import Sequence
from typing import Any

from ..catalogue.moving import settled
from .plan import Plan
from .step import Step


def with_numbers(step: Step, numbers: Sequence[float]) -> Step:
    """The step moved to other typed numbers."""
    gap = step.construction.moved_gap
    if gap == "value":
        return step.with_(fills={**step.fills, gap: settled(step.fills, numbers[0])})
    return step.with_(fills={**step.fills, gap: tuple(numbers) if isinstance(step.fills[gap], tuple) else numbers[0]})


def numbers_of(step: Step) -> tuple[float, ...]:
    """The typed numbers that place a peg, in the form that :meth:`Board.move` takes; () for what is no peg."""
    gap = step.construction.moved_gap
    if gap is None:
        return ()
    return step.fills[gap] if isinstance(step.fills[gap], tuple) else (step.fills[gap],)


def all_numbers(step: Step, plan: Plan, numbers: Sequence[Any]) -> tuple[Any, ...]:
    """All typed numbers of a step of which those are given that place it."""
    # A dial's value is the last of its numbers; the others say its range.
    return (*(plan.numbers[:-1] if step.construction.moves == "turning" else ()), *numbers)
