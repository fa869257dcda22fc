"""The value of a step from the values of those before it: in floats, or in another arithmetic."""

import logging
from collections.abc import Callable, Mapping, Sequence
from typing import Any

from ..arithmetic import ARRAYS, FLOATS, Arithmetic, Undefined
from ..arithmetic.arrays import undefined_as_a_whole
from .plan import Plan, is_point
from .step import Step

_LOG = logging.getLogger(__name__)


def value_of(step: Step, plan: Plan, values: Sequence[Any], plans: Sequence[Plan]) -> Any:
    """The value of a step in floats, given those of all before it."""
    things = [values[parent] for parent in plan.inputs]
    if plan.needs_all and None in things:
        return None
    try:
        if plan.settings:
            things.append(plan.settings_of(plans))
        value = plan.formula(FLOATS, *things, *plan.numbers)
    except ArithmeticError:
        return None
    except Exception:
        note_broken(step)
        return None
    return value if (plan.is_finite or is_point)(value) else None


def followed(step: Step, plan: Plan, values: Sequence[Any], before: tuple[Any, ...] | None = None) -> tuple[Step, Plan]:
    """A step and its plan with where it is now, if it has to be followed from where it was."""
    things = [values[parent] for parent in plan.inputs]
    if plan.follow is None or None in things:
        return step, plan
    near = plan.follow(FLOATS, before, *things, *plan.numbers)
    if near == plan.numbers:
        return step, plan
    return step.with_(fills={**step.fills, "near": near}), plan.with_numbers(near)


def note_broken(step: Step) -> None:
    """A formula that raises what it should not costs its own step, never the board; it is a fault of ours, so it is logged."""
    _LOG.exception("The step %s (%s) could not be computed", step.id, step.does)


def evaluated(
    steps: Sequence[Step],
    plans: Sequence[Plan],
    m: Arithmetic,
    numbers_by_id: Mapping[str, Sequence[Any]] | None = None,
    instead: Callable[[Step, list[Any], list[Any]], Any] | None = None,
) -> dict[str, Any]:
    """Every value in another arithmetic; see ``Board.evaluate``."""
    given = numbers_by_id or {}
    values: list[Any] = []
    for step, plan in zip(steps, plans):
        things = [values[parent] for parent in plan.inputs]
        value = None
        if not (plan.needs_all and any(thing is None for thing in things)):
            numbers = plan.numbers
            if step.id in given:
                numbers = (*(numbers[:-1] if step.construction.moves == "turning" else ()), *given[step.id])
            try:
                if plan.settings:
                    things.append(plan.settings_of(plans))
                value = instead(step, things, values) if instead else None
                if value is None:
                    value = plan.formula(m, *things, *map(m.number, numbers))
                if m.name == ARRAYS.name:
                    value = undefined_as_a_whole(value)
            except (Undefined, OverflowError, ZeroDivisionError):
                value = None
        values.append(value)
    return {step.id: value for step, value in zip(steps, values)}
