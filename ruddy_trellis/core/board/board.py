"""The board: a graph of steps with their values, recomputed only where something changed."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Mapping, Sequence
from typing import Any

from ..arithmetic import FLOATS, Arithmetic
from . import naming
from .chalk import Stroke
from .computing import evaluated, followed, note_broken, value_of
from .pegs import all_numbers, numbers_of, with_numbers
from .plan import FAR, Plan, is_point, make_plan
from .settings import Settings
from .step import Step
from .structure import Structure

#: How many sets of pegs are remembered with all that hangs on them; a drag asks for the same set again and again.
_REMEMBERED = 64
#: What is followed is at one place where two are nearer than this, as a share of their size.
_ONE_PLACE = 1e-6


def _are_one(one: Sequence[float], other: Sequence[float]) -> bool:
    """Whether two places of what is followed are as good as one."""
    return len(one) == len(other) and all(abs(p - q) <= _ONE_PLACE * (1 + abs(p) + abs(q)) for p, q in zip(one, other))


class Board(Structure):
    """A construction: its steps in order, and the value of each, ``None`` where a step has none now.

    The steps are changed through ``edits`` only, which checks an edit whole before anything changes here. Whatever is
    raised while they change, the board stays as it was.

    Attributes:
        settings: what belongs to the board as a whole.
        chalk: the strokes on it, in the order in which they were drawn.
        steps, values: the steps in order, and their values (see ``formulas``).
    """

    def __init__(self, settings: Settings | None = None, steps: Iterable[Step] = ()) -> None:
        super().__init__()
        self.settings = settings or Settings()
        self.chalk: tuple[Stroke, ...] = ()
        self.values: list[Any] = []
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
                    step, plan = followed(step, plan, values, self._last_inputs(before, step, plan, steps))
                    steps[len(plans)] = step
                plans.append(plan)
                values.append(value_of(step, plan, values, plans))
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
            self.steps[number], plan = followed(step, plan, self.values, last)
            self._followed[step.id] = tuple(self.values[one] for one in plan.inputs)
        self._plans[number] = plan
        self.values[number] = value_of(step, plan, self.values, self._plans)

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
        self._take_over(other)
        self.steps, self.values, self._place, self._plans = other.steps, other.values, other._place, other._plans
        self._children, self._below, self._followed = other._children, other._below, other._followed

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
        super()._forget()

    def append(self, step: Step) -> None:
        """Put one more step at the end and compute its value. Whatever is raised, the board stays as it was."""
        step, plan = followed(step, self._plan(step, self.steps, self._place), self.values)
        value = value_of(step, plan, self.values, self._plans)
        number = self._place[step.id] = len(self.steps)
        self.steps.append(step)
        self.values.append(value)
        self._plans.append(plan)
        self._children.append([])
        for parent in plan.parents:
            self._children[parent].append(number)
        if plan.follow:
            self._followed[step.id] = tuple(self.values[one] for one in plan.inputs)
        names, last = self.__dict__.get("names"), self.__dict__.get("last_number")
        self._forget()
        if last is not None:
            self.__dict__["last_number"] = max(last, step.number)
        if names is not None:
            # Those of the others are not touched by one more at the end. A new dict: who holds the old one may keep it.
            self.__dict__["names"] = naming.names_with(names, step)

    def copy(self) -> Board:
        """The same board apart: what is done to the one is not done to the other. Nothing is computed for it."""
        other = Board.__new__(Board)
        other.settings, other.chalk = self.settings, self.chalk
        other.steps, other.values = list(self.steps), list(self.values)
        other._place, other._plans = dict(self._place), list(self._plans)
        other._children = [list(children) for children in self._children]
        other._below, other._followed = {}, dict(self._followed)
        other.verdicts = self.verdicts
        other._take_over(self)
        return other

    def is_given(self, id: str) -> bool:
        """Whether a step is a teacher's, on a student's copy; on any other board nothing is given."""
        return self.settings.own_from > 0 and not self.step(id).is_own(self.settings.own_from)

    def show_view(self, view: tuple[float, float, float, float]) -> None:
        """Open at another part of the plane next time. Nothing that is drawn depends on it."""
        self.settings = self.settings.with_(view=view)
        if self.drawn is not None:
            self.drawn.settings = self.settings

    def value(self, id: str) -> Any:
        """The value of a step in floats (see ``formulas``), or None where it has none now."""
        return self.values[self._place[id]]

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
                note_broken(self.steps[place])
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
        self.steps[place], self._plans[place] = followed(step, plan, self.values, before)
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
            self._plans[place] = plan.with_numbers(all_numbers(step, plan, numbers_of(step)))
        below = self._below_of(tuple(sorted(self._place[id] for id in numbers_by_id)))
        self._compute(below)
        return [self.steps[place].id for place in below]

    def follow_to(self, near: Mapping[str, Sequence[float]]) -> None:
        """Take over where somebody else has followed steps to who moved the same pegs here in smaller steps: of each that is followed, if
        that is one of the places at which it can be now. What hangs on them is computed anew."""
        for place in sorted(self._place[id] for id in near if id in self._place):
            step, plan = self.steps[place], self._plans[place]
            at = tuple(map(float, near[step.id]))
            is_place = len(at) in (2, 4) and max(map(abs, at)) <= FAR  # of real or complex numbers
            if plan.follow is None or at == plan.numbers or not is_place:
                continue
            step, plan = followed(
                step.with_(fills={**step.fills, "near": at}), plan.with_numbers(at), self.values, self._followed.get(step.id)
            )
            if _are_one(plan.numbers, at):
                self.steps[place], self._plans[place] = step, plan
                self._compute(self._below_of((place,)))

    def value_of(self, does: str, fills: Mapping[str, Any]) -> Any:
        """The value that a step would have if it were made now, or None."""
        step = Step("", does, dict(fills))
        return value_of(step, self._plan(step, self.steps, self._place), self.values, self._plans)

    def recompute(self) -> None:
        """Compute every value again."""
        self._compute(range(len(self.steps)))

    def evaluate(
        self,
        m: Arithmetic,
        numbers_by_id: Mapping[str, Sequence[Any]] | None = None,
        instead: Callable[[Step, list[Any], list[Any]], Any] | None = None,
    ) -> dict[str, Any]:
        """Every value in another arithmetic.

        Args:
            m: the arithmetic.
            numbers_by_id: typed numbers to use instead of a step's own, e.g. arrays of coordinates of a free point.
            instead: a function of a step, of the values that it is made from and of all before it, giving its value where that is not to be
                computed by its formula, or None.

        Returns:
            The values by id; None where a step is undefined (in arrays: NaN in that place).
        """
        return evaluated(self.steps, self._plans, m, numbers_by_id, instead)
