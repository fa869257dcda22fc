"""What the steps of a board say without any arithmetic: names, what is made from what, what lies on what."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from functools import cached_property
from typing import Any

from ..catalogue import CATALOGUE
from ..kinds import NUMBER, POINT
from ..language.expression import Formula
from ..language.fills import is_ids
from ..refusal import Refusal
from . import naming
from .plan import kinds_of_fills
from .step import Step

#: What is derived from the steps when it is asked for: never changed, only made anew.
_DERIVED = ("names", "last_number", "incidence", "points_by_name", "_ids_by_name", "_made_with")


class Structure:
    """Steps in order, and what can be told of them.

    Attributes:
        steps: the steps.
        verdicts: for claims by id, the word for what is known of them.
        drawn: what the display keeps of them from one message to the next; None where that has to be made anew.
    """

    def __init__(self) -> None:
        self.steps: list[Step] = []
        self.drawn: Any = None
        self.verdicts: dict[str, str] = {}
        self._place: dict[str, int] = {}

    def _forget(self) -> None:
        """What was derived from the steps is derived anew."""
        self.drawn = None
        for derived in _DERIVED:
            self.__dict__.pop(derived, None)

    def _take_over(self, other: Structure) -> None:
        """Take over what was derived from the same steps."""
        self._forget()
        self.__dict__.update({derived: other.__dict__[derived] for derived in _DERIVED if derived in other.__dict__})

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

    @cached_property
    def names(self) -> dict[str, str]:
        """The name of every step by its id."""
        return naming.all_names(self.steps)

    @cached_property
    def last_number(self) -> int:
        """The greatest number in the ids of the steps; 0 where there is none."""
        return max((step.number for step in self.steps), default=0)

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
