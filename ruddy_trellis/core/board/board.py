"""The board: a graph of steps with their values, recomputed only where something changed."""

from contextlib import contextmanager
from dataclasses import replace
from functools import cached_property

from ..arithmetic import FLOATS, Undefined
from ..catalogue.moving import settled
from ..kinds import NUMBER
from ..language.expression import Formula
from ..language.fills import is_ids
from ..refusal import Refusal
from . import naming
from .plan import kinds_of_fills, make_plan
from .settings import Settings
from .step import Step


class Board:
    """A construction: its steps in order, and the value of each, ``None`` where a step has none now.

    The steps are changed through ``edits`` only, which checks an edit whole before anything changes here.
    """

    def __init__(self, settings=Settings(), steps=()):
        self.settings = settings
        self.replace_steps(steps)

    def replace_steps(self, steps):
        """Make these the steps of the board and compute every value."""
        self.steps, self.values = [], []
        self._place, self._plans, self._children = {}, [], []
        for step in steps:
            self.append(step)

    def append(self, step):
        """Put one more step at the end and compute its value."""
        place = self._place[step.id] = len(self.steps)
        self.steps.append(step)
        plan = make_plan(step, self.kind_of, self._place.__getitem__, self.step)
        self._plans.append(plan)
        self._children.append([])
        for parent in dict.fromkeys(plan.inputs):
            self._children[parent].append(place)
        self._below = {}
        self.__dict__.pop("names", None)
        self.__dict__.pop("incidence", None)
        self.values.append(None)
        self._compute((place,))

    @contextmanager
    def trial(self):
        """In a ``with`` statement: the board, on which steps may be appended that are taken off again at the end."""
        count, kept = len(self.steps), {name: self.__dict__.get(name) for name in ("names", "incidence", "_below")}
        try:
            yield self
        finally:
            while len(self.steps) > count:
                step, plan = self.steps.pop(), self._plans.pop()
                del self._place[step.id]
                self._children.pop()
                self.values.pop()
                for parent in dict.fromkeys(plan.inputs):
                    self._children[parent].pop()
            for name, value in kept.items():
                self.__dict__.pop(name, None)
                if value is not None:
                    self.__dict__[name] = value

    # What is on it -----------------------------------------------------------------------------------------

    def __contains__(self, id):
        return id in self._place

    def __len__(self):
        return len(self.steps)

    def step(self, id) -> Step:
        return self.steps[self._place[id]]

    def place(self, id):
        """The place of a step in the order, from 0."""
        return self._place[id]

    def kind_of(self, id):
        return self.step(id).makes

    def value(self, id):
        """The value of a step in floats (see ``formulas``), or None where it has none now."""
        return self.values[self._place[id]]

    @cached_property
    def names(self):
        """The name of every step by its id."""
        return naming.all_names(self.steps)

    def name(self, id):
        return self.names[id]

    def ids_named(self, name):
        """The ids of the things and readings of that name: none, one, or a thing and a reading."""
        return [id for id, other in self.names.items() if other == name]

    def find(self, name):
        """The id of the thing of that name, or else of the reading. Raises Refusal where there is none."""
        found = sorted(self.ids_named(name), key=lambda id: self.step(id).is_reading)
        if not found:
            raise Refusal(f"Nothing here is called {name}.")
        return found[0]

    def dependants(self, ids):
        """The ids of every step made from these, directly or not, in order; without these."""
        given = {self._place[id] for id in ids}
        return [self.steps[place].id for place in self._below_of(tuple(sorted(given))) if place not in given]

    def ancestors(self, ids):
        """The ids of everything that these steps are made from, directly or not, in order; without these."""
        reached, waiting = set(), list(ids)
        while waiting:
            for parent in self.step(waiting.pop()).inputs:
                if parent not in reached:
                    reached.add(parent)
                    waiting.append(parent)
        return sorted(reached.difference(ids), key=self.place)

    def dimension(self, id):
        """The power of length of a reading (0 plain, 1 length, 2 area …) or "angle"."""
        step = self.step(id)
        formula = step.fills.get("formula")
        if isinstance(formula, Formula):
            return formula.dimension([self.operand_dimension(operand) for operand in formula.operands])
        return step.construction.dimension

    def operand_dimension(self, operand):
        """The dimension of what stands in a formula: that of the reading, or a length between two points."""
        return self.dimension(operand[0]) if self.kind_of(operand[0]) == NUMBER else 1

    def kinds_of_fills(self, step):
        return kinds_of_fills(step.construction, step.fills, self.kind_of)

    @cached_property
    def incidence(self):
        """For every path, the ids of the points that lie on it by construction."""
        on = {}
        for step in self.steps:
            for spec in step.construction.through:
                gap, _, which = spec.partition(":")
                fill = step.fills.get(gap, ())
                on.setdefault(step.id, set()).update(fill if not which else fill[int(which) : int(which) + 1])
            for gap in step.construction.on:
                fill = step.fills.get(gap)
                if is_ids(fill) and len(fill) == 1:
                    on.setdefault(fill[0], set()).add(step.id)
        return on

    # Computing ---------------------------------------------------------------------------------------------

    def _compute(self, places):
        values, plans = self.values, self._plans
        for place in places:
            plan = plans[place]
            things = [values[parent] for parent in plan.inputs]
            if plan.needs_all and None in things:
                values[place] = None
                continue
            try:
                values[place] = plan.formula(FLOATS, *things, *plan.numbers)
            except (Undefined, OverflowError, ZeroDivisionError):
                values[place] = None

    def _below_of(self, places):
        """These places and all below them, in order; remembered, since a drag asks again and again."""
        below = self._below.get(places)
        if below is None:
            reached, waiting = set(places), list(places)
            while waiting:
                for child in self._children[waiting.pop()]:
                    if child not in reached:
                        reached.add(child)
                        waiting.append(child)
            if len(self._below) > 64:
                self._below.clear()
            below = self._below[places] = sorted(reached)
        return below

    def move(self, numbers_by_id):
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
            self._plans[place] = replace(plan, numbers=(*fixed, *numbers_of(step)))
        below = self._below_of(tuple(sorted(self._place[id] for id in numbers_by_id)))
        self._compute(below)
        return [self.steps[place].id for place in below]

    def recompute(self):
        """Compute every value again."""
        self._compute(range(len(self.steps)))

    def evaluate(self, m, numbers_by_id=None):
        """Every value in another arithmetic.

        Args:
            m: the arithmetic.
            numbers_by_id: typed numbers to use instead of a step's own, e.g. arrays of coordinates of a free point.

        Returns:
            The values by id; None where a step is undefined (in arrays: NaN in that place).
        """
        given = numbers_by_id or {}
        values = []
        for step, plan in zip(self.steps, self._plans):
            things = [values[parent] for parent in plan.inputs]
            value = None
            if not (plan.needs_all and any(thing is None for thing in things)):
                try:
                    numbers = plan.numbers
                    if step.id in given:
                        numbers = (*(numbers[:-1] if step.construction.moves == "turning" else ()), *given[step.id])
                    value = plan.formula(m, *things, *map(m.number, numbers))
                except Undefined:
                    value = None
            values.append(value)
        return {step.id: value for step, value in zip(self.steps, values)}


def with_numbers(step, numbers):
    """The step moved to other typed numbers: coordinates of a free point, the place of a sliding one, a dial's value, how
    far off something hangs."""
    gap = step.construction.moved_gap
    if gap == "value":
        return step.with_(fills={**step.fills, gap: settled(step.fills, numbers[0])})
    return step.with_(fills={**step.fills, gap: tuple(numbers) if isinstance(step.fills[gap], tuple) else numbers[0]})


def numbers_of(step):
    """The typed numbers that place a peg, in the form that :meth:`Board.move` takes; () for what is no peg."""
    gap = step.construction.moved_gap
    if gap is None:
        return ()
    return step.fills[gap] if isinstance(step.fills[gap], tuple) else (step.fills[gap],)
