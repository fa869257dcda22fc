"""The board: a graph of steps with their values, recomputed only where something changed."""

from __future__ import annotations

import logging
from collections.abc import Iterable, Mapping, Sequence
from functools import cached_property
from typing import Any

from ..arithmetic import ARRAYS, FLOATS, Arithmetic, Undefined
from ..arithmetic.arrays import undefined_as_a_whole
from ..catalogue import CATALOGUE
from ..catalogue.moving import settled
from ..kinds import NUMBER, POINT
from ..language.expression import Formula
from ..language.fills import is_ids
from ..refusal import Refusal
from . import naming
from .plan import FAR, Plan, is_point, kinds_of_fills, make_plan
from .settings import Settings
from .step import Step

_LOG = logging.getLogger(__name__)
#: How many sets of pegs are remembered with all that hangs on them; a drag asks for the same set again and again.
_REMEMBERED = 64
#: What is derived from the steps when it is asked for.
_DERIVED = ("names", "incidence", "points_by_name", "_ids_by_name", "_made_with")


class Board:
    """A construction: its steps in order, and the value of each, ``None`` where a step has none now.

    The steps are changed through ``edits`` only, which checks an edit whole before anything changes here. Whatever is
    raised while they change, the board stays as it was.

    Attributes:
        settings: what belongs to the board as a whole.
        steps, values: the steps in order, and their values (see ``formulas``).
    """

    def __init__(self, settings: Settings | None = None, steps: Iterable[Step] = ()) -> None:
        self.settings = settings or Settings()
        self.steps: list[Step] = []
        self.values: list[Any] = []
        self._place: dict[str, int] = {}
        self._plans: list[Plan] = []
        self._children: list[list[int]] = []
        self._below: dict[tuple[int, ...], list[int]] = {}
        #: Of steps that are followed, what they were made from the last time.
        self._followed: dict[str, tuple[Any, ...]] = {}
        self.become(steps)

    def become(self, steps: Iterable[Step]) -> None:
        """Make these the steps of the board. What is made as before, from what is as before, keeps its value.

        Everything is made on the side and put in place at the end: whatever is raised, the board stays as it was.
        """
        steps = list(steps)
        if self._goes_on(steps):
            return
        place = {step.id: number for number, step in enumerate(steps)}
        moved = [place.get(step.id, -1) for step in self.steps]
        same_places = all(new == old for old, new in enumerate(moved))
        plans: list[Plan] = []
        values: list[Any] = []
        stale: set[str] = set()
        for number, step in enumerate(steps):
            if any(place.get(id, number) >= number for id in step.inputs):
                raise KeyError(f"{step.id} is made from what does not come before it")
            old = self._place.get(step.id)
            before = None if old is None else self.steps[old]
            as_before = (
                before is not None
                and (before is step or (before.does == step.does and before.fills == step.fills))
                and not any(id in stale for id in step.inputs)
            )
            if as_before and old is not None:
                plan = self._plans[old]
                if not same_places:
                    plan = plan.moved(moved) or self._plan(step, steps, place)
                plans.append(plan)
                values.append(self.values[old])
            else:
                plan = self._plan(step, steps, place)
                if plan.follow:
                    step, plan = _followed(step, plan, values, self._last_inputs(before, step, plan, steps))
                    steps[len(plans)] = step
                plans.append(plan)
                values.append(_value(step, plan, values, plans))
                stale.add(step.id)
        self.steps, self.values, self._place, self._plans = steps, values, place, plans
        self._followed = {step.id: tuple(values[one] for one in plan.inputs) for step, plan in zip(steps, plans) if plan.follow}
        self._children = [[] for _ in steps]
        for number, plan in enumerate(plans):
            for parent in plan.parents:
                self._children[parent].append(number)
        self._forget()

    def _goes_on(self, steps: list[Step]) -> bool:
        """Do what ``become`` does for steps that are those of the board with few of them changed, none moved to another
        place or made from other things, and some put on or taken off at the end: what most edits are. Only what changed,
        and what hangs on it, is looked at. Returns whether the steps were of that sort."""
        both = min(len(steps), len(self.steps))
        changed = [number for number in range(both) if steps[number] is not self.steps[number]]
        if len(changed) > both // 2:
            return False
        stale = []
        for number in changed:
            new, old = steps[number], self.steps[number]
            if new.id != old.id or new.does != old.does or new.inputs != old.inputs:
                return False
            if new.fills != old.fills:
                stale.append(number)
        ahead = self.copy()
        ahead._take_off(both)
        renamed = any(steps[number].name != self.steps[number].name for number in changed)
        ahead.steps[:] = steps[:both]
        if changed:
            ahead._forget()
            if not renamed and not stale and "names" in self.__dict__ and both == len(self.steps):
                ahead.__dict__["names"] = self.names
        if stale:
            for number in ahead._below_of(tuple(stale)):
                ahead._make_anew(number, self)
        for step in steps[both:]:
            ahead.append(step)
        self._put_in_place(ahead)
        return True

    def _make_anew(self, number: int, before: Board) -> None:
        """Plan and compute a step again, all before it being as they are now.

        Args:
            before: the board as it was, where the step had the same inputs.
        """
        step = self.steps[number]
        plan = self._plan(step, self.steps, self._place)
        if plan.follow:
            last = before._last_inputs(before.steps[number], step, plan, self.steps)
            self.steps[number], plan = _followed(step, plan, self.values, last)
            self._followed[step.id] = tuple(self.values[one] for one in plan.inputs)
        self._plans[number] = plan
        self.values[number] = _value(step, plan, self.values, self._plans)

    def _take_off(self, count: int) -> None:
        """Take steps off the end until so many are left."""
        for number in range(len(self.steps) - 1, count - 1, -1):
            for parent in self._plans[number].parents:
                self._children[parent].remove(number)
            step = self.steps.pop()
            self.values.pop()
            self._plans.pop()
            self._children.pop()
            del self._place[step.id]
            self._followed.pop(step.id, None)
            self._forget()

    def _put_in_place(self, other: Board) -> None:
        """Make everything but the settings what it is in another board, which is not used any more."""
        self.steps, self.values, self._place, self._plans = other.steps, other.values, other._place, other._plans
        self._children, self._below, self._followed = other._children, other._below, other._followed
        for derived in (*_DERIVED, "_shapes"):
            self.__dict__.pop(derived, None)
        for derived in _DERIVED:
            if derived in other.__dict__:
                self.__dict__[derived] = other.__dict__[derived]

    def _last_inputs(self, before: Step | None, step: Step, plan: Plan, steps: Sequence[Step]) -> tuple[Any, ...] | None:
        """What a step was made from when it was where it is kept to be; None where that is not known."""
        if before is None or before.fills.get("near") != step.fills.get("near"):
            return None
        places = [self._place.get(steps[parent].id) for parent in plan.inputs]
        things = tuple(None if place is None else self.values[place] for place in places)
        return None if None in things else things

    @staticmethod
    def _plan(step: Step, steps: Sequence[Step], place: Mapping[str, int]) -> Plan:
        return make_plan(step, lambda id: steps[place[id]].makes, place.__getitem__, lambda id: steps[place[id]])

    def _forget(self) -> None:
        """What was derived from the steps is derived anew."""
        self._below = {}
        for derived in (*_DERIVED, "_shapes"):
            self.__dict__.pop(derived, None)

    def append(self, step: Step) -> None:
        """Put one more step at the end and compute its value. Whatever is raised, the board stays as it was."""
        step, plan = _followed(step, self._plan(step, self.steps, self._place), self.values)
        value = _value(step, plan, self.values, self._plans)
        number = self._place[step.id] = len(self.steps)
        self.steps.append(step)
        self.values.append(value)
        self._plans.append(plan)
        self._children.append([])
        for parent in plan.parents:
            self._children[parent].append(number)
        if plan.follow:
            self._followed[step.id] = tuple(self.values[one] for one in plan.inputs)
        names = self.__dict__.get("names")
        self._forget()
        if names is not None:
            # Those of the others are not touched by one more at the end. A new dict: who holds the old one may keep it.
            self.__dict__["names"] = naming.names_with(names, step)

    def copy(self) -> Board:
        """The same board apart: what is done to the one is not done to the other. Nothing is computed for it."""
        other = Board.__new__(Board)
        other.settings = self.settings
        other.steps, other.values = list(self.steps), list(self.values)
        other._place, other._plans = dict(self._place), list(self._plans)
        other._children = [list(children) for children in self._children]
        other._below, other._followed = {}, dict(self._followed)
        for derived in _DERIVED:
            if derived in self.__dict__:
                other.__dict__[derived] = self.__dict__[derived]  # never changed, only made anew
        return other

    def show_view(self, view: tuple[float, float, float, float]) -> None:
        """Open at another part of the plane next time. Nothing that is drawn depends on it."""
        self.settings = self.settings.with_(view=view)
        if (shapes := self.__dict__.get("_shapes")) is not None:
            shapes.settings = self.settings

    # What is on it -----------------------------------------------------------------------------------------

    def __contains__(self, id: object) -> bool:
        return id in self._place

    def __len__(self) -> int:
        return len(self.steps)

    def step(self, id: str) -> Step:
        return self.steps[self._place[id]]

    def place(self, id: str) -> int:
        """The place of a step in the order, from 0."""
        return self._place[id]

    def kind_of(self, id: str) -> str:
        return self.step(id).makes

    def value(self, id: str) -> Any:
        """The value of a step in floats (see ``formulas``), or None where it has none now."""
        return self.values[self._place[id]]

    @cached_property
    def names(self) -> dict[str, str]:
        """The name of every step by its id."""
        return naming.all_names(self.steps)

    def name(self, id: str) -> str:
        return self.names[id]

    def ids_named(self, name: str) -> list[str]:
        """The ids of the things and readings of that name: none, one, or a thing and a reading."""
        return self._ids_by_name.get(name, [])

    @cached_property
    def _ids_by_name(self) -> dict[str, list[str]]:
        found: dict[str, list[str]] = {}
        for id, name in self.names.items():
            found.setdefault(name, []).append(id)
        return found

    def alike(self, does: str, fills: Mapping[str, Any]) -> list[str]:
        """The ids of the steps that are made by a construction of just what fills these gaps."""
        return [step.id for step in self.steps if step.does == does and all(step.fills.get(name) == fill for name, fill in fills.items())]

    def find(self, name: str) -> str:
        """The id of the thing of that name, or else of the reading. Raises Refusal where there is none."""
        found = sorted(self.ids_named(name), key=lambda id: self.step(id).is_reading)
        if not found:
            raise Refusal(f"Nothing here is called {name}.")
        return found[0]

    @cached_property
    def points_by_name(self) -> dict[str, str]:
        """The ids of all points by their names."""
        return {self.names[step.id]: step.id for step in self.steps if step.makes == POINT}

    @cached_property
    def _made_with(self) -> dict[str, list[str]]:
        """For every step, those that are made from it directly."""
        found: dict[str, list[str]] = {step.id: [] for step in self.steps}
        for step in self.steps:
            for parent in step.inputs:
                found[parent].append(step.id)
        return found

    def dependants(self, ids: Iterable[str]) -> list[str]:
        """The ids of every step made from these, directly or not, in order; without these."""
        given = set(ids)
        reached, waiting = set(given), list(given)
        while waiting:
            for child in self._made_with[waiting.pop()]:
                if child not in reached:
                    reached.add(child)
                    waiting.append(child)
        return sorted(reached - given, key=self._place.__getitem__)

    def ancestors(self, ids: Iterable[str]) -> list[str]:
        """The ids of everything that these steps are made from, directly or not, in order; without these."""
        given = set(ids)
        reached: set[str] = set()
        waiting = list(given)
        while waiting:
            for parent in self.step(waiting.pop()).inputs:
                if parent not in reached:
                    reached.add(parent)
                    waiting.append(parent)
        return sorted(reached - given, key=self.place)

    def dimension(self, id: str) -> Any:
        """The power of length of a reading (0 plain, 1 length, 2 area …) or "angle"."""
        step = self.step(id)
        formula = step.fills.get("formula")
        if isinstance(formula, Formula):
            return formula.dimension([self.operand_dimension(operand) for operand in formula.operands])
        return step.construction.dimension

    def operand_dimension(self, operand: Sequence[str]) -> Any:
        """The dimension of what stands in a formula: that of the reading, or a length between two points."""
        return self.dimension(operand[0]) if self.kind_of(operand[0]) == NUMBER else 1

    def kinds_of(self, does: str, fills: Mapping[str, Any]) -> dict[str, str]:
        """The kinds of what fills the gaps of a construction."""
        return kinds_of_fills(CATALOGUE[does], fills, self.kind_of)

    @cached_property
    def incidence(self) -> dict[str, set[str]]:
        """For every path, the ids of the points that lie on it by construction."""
        on: dict[str, set[str]] = {}
        for step in self.steps:
            for spec in step.construction.through:
                gap, _, which = spec.partition(":")
                fill = step.fills.get(gap, ())
                on.setdefault(step.id, set()).update(fill if not which else fill[int(which) : int(which) + 1])
            for name in step.construction.on:
                fill = step.fills.get(name)
                if is_ids(fill) and len(fill) == 1:
                    on.setdefault(fill[0], set()).add(step.id)
        return on

    # Computing ---------------------------------------------------------------------------------------------

    def _compute(self, places: Iterable[int]) -> None:
        # The path of a drag: what most steps need is written out here, not called.
        values, plans, m, low, high = self.values, self._plans, FLOATS, -FAR, FAR
        for place in places:
            plan = plans[place]
            things = [values[parent] for parent in plan.inputs]
            if None in things and plan.needs_all:
                values[place] = None
                continue
            try:
                if plan.is_plain:
                    value = plan.formula(m, *things, *plan.numbers)
                    values[place] = value if low < value[0] < high and low < value[1] < high else None
                else:
                    values[place] = self._special_value(place, plan, things)
            except ArithmeticError:
                values[place] = None
            except Exception:
                _note_broken(self.steps[place])
                values[place] = None

    def _special_value(self, place: int, plan: Plan, things: list[Any]) -> Any:
        if plan.settings:
            things.append(plan.settings_of(self._plans))
        if plan.follow:
            plan = self._follow(place, plan, things)
        value = plan.formula(FLOATS, *things, *plan.numbers)
        return value if (plan.is_finite or is_point)(value) else None

    def _follow(self, place: int, plan: Plan, things: list[Any]) -> Plan:
        """Follow a step from where it was the last time to where it is now, and keep that in the step."""
        step = self.steps[place]
        before = self._followed.get(step.id)
        before = None if before is None or None in before else before
        self._followed[step.id] = tuple(things)
        self.steps[place], self._plans[place] = _followed(step, plan, self.values, before)
        return self._plans[place]

    def followers(self, ids: Iterable[str]) -> list[str]:
        """The ids of steps that keep where they were and hang on these: they change when these move."""
        below = self._below_of(tuple(sorted(self._place[id] for id in ids)))
        return [self.steps[place].id for place in below if self._plans[place].follow]

    def _below_of(self, places: tuple[int, ...]) -> list[int]:
        """These places and all below them, in order; remembered, since a drag asks again and again."""
        below = self._below.get(places)
        if below is None:
            reached, waiting = set(places), list(places)
            while waiting:
                for child in self._children[waiting.pop()]:
                    if child not in reached:
                        reached.add(child)
                        waiting.append(child)
            if len(self._below) > _REMEMBERED:
                self._below.clear()
            below = self._below[places] = sorted(reached)
        return below

    def move(self, numbers_by_id: Mapping[str, Sequence[float]]) -> list[str]:
        """Give steps other typed numbers (a free point its coordinates) and recompute what hangs on them.

        Returns the ids that were recomputed, in order. The steps themselves change too, so that the board and
        what is saved of it agree.
        """
        for id, numbers in numbers_by_id.items():
            place = self._place[id]
            self.steps[place] = step = with_numbers(self.steps[place], numbers)
            plan = self._plans[place]
            # A dial's value is the last of its numbers; the others say its range.
            fixed = plan.numbers[:-1] if step.construction.moves == "turning" else ()
            self._plans[place] = plan.with_numbers((*fixed, *numbers_of(step)))
        below = self._below_of(tuple(sorted(self._place[id] for id in numbers_by_id)))
        self._compute(below)
        return [self.steps[place].id for place in below]

    def value_of(self, does: str, fills: Mapping[str, Any]) -> Any:
        """The value that a step would have if it were made now, or None."""
        step = Step("", does, dict(fills))
        return _value(step, self._plan(step, self.steps, self._place), self.values, self._plans)

    def recompute(self) -> None:
        """Compute every value again."""
        self._compute(range(len(self.steps)))

    def evaluate(self, m: Arithmetic, numbers_by_id: Mapping[str, Sequence[Any]] | None = None) -> dict[str, Any]:
        """Every value in another arithmetic.

        Args:
            m: the arithmetic.
            numbers_by_id: typed numbers to use instead of a step's own, e.g. arrays of coordinates of a free point.

        Returns:
            The values by id; None where a step is undefined (in arrays: NaN in that place).
        """
        given = numbers_by_id or {}
        values: list[Any] = []
        for step, plan in zip(self.steps, self._plans):
            things = [values[parent] for parent in plan.inputs]
            value = None
            if not (plan.needs_all and any(thing is None for thing in things)):
                numbers = plan.numbers
                if step.id in given:
                    numbers = (*(numbers[:-1] if step.construction.moves == "turning" else ()), *given[step.id])
                try:
                    if plan.settings:
                        things.append(plan.settings_of(self._plans))
                    value = plan.formula(m, *things, *map(m.number, numbers))
                    if m is ARRAYS:
                        value = undefined_as_a_whole(value)
                except (Undefined, OverflowError, ZeroDivisionError):
                    value = None
            values.append(value)
        return {step.id: value for step, value in zip(self.steps, values)}


def _value(step: Step, plan: Plan, values: Sequence[Any], plans: Sequence[Plan]) -> Any:
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
        _note_broken(step)
        return None
    return value if (plan.is_finite or is_point)(value) else None


def _followed(step: Step, plan: Plan, values: Sequence[Any], before: tuple[Any, ...] | None = None) -> tuple[Step, Plan]:
    """A step and its plan with where it is now, if it has to be followed from where it was."""
    things = [values[parent] for parent in plan.inputs]
    if plan.follow is None or None in things:
        return step, plan
    near = plan.follow(FLOATS, before, *things, *plan.numbers)
    if near == plan.numbers:
        return step, plan
    return step.with_(fills={**step.fills, "near": near}), plan.with_numbers(near)


def _note_broken(step: Step) -> None:
    """A formula that raises what it should not costs its own step, never the board; it is a fault of ours, so it is logged."""
    _LOG.exception("The step %s (%s) could not be computed", step.id, step.does)


def with_numbers(step: Step, numbers: Sequence[float]) -> Step:
    """The step moved to other typed numbers: coordinates of a free point, the place of a sliding one, a dial's value, how
    far off something hangs."""
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
