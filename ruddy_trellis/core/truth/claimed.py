"""A claim with what it hangs on, apart from the rest of its board."""

from collections.abc import Callable, Collection, Mapping, Sequence
from functools import cached_property
from hashlib import sha256
from typing import Any

from ..arithmetic import ARRAYS
from ..board.board import Board
from ..board.plan import make_plan
from ..board.step import Step
from ..formulas import claims as formulas
from ..language.fills import fill_to_json
from ..seen import SeenStep


def moved(id: str) -> str:
    """By what the other place of what moves is known, among the numbers of pegs."""
    return f"{id}, moved"


class Claimed:
    """A claim as a small figure of its own: the steps that it hangs on, and the claim.

    Args:
        board: a board with the claim on it.
        id: the claim's.
        also: the ids of what belongs to the figure besides what the claim hangs on.
        supposed: the ids of the suppositions under which it is made: where one of them is not met it cannot be asked.
    """

    def __init__(self, board: Board, id: str, also: Collection[str] = (), supposed: Collection[str] = ()) -> None:
        self.whole, self.claim = board, board.step(id)
        hung_on = {*board.ancestors([id, *supposed]), *also, *supposed} - {id}
        self.supposed = tuple(supposed)
        self.board = Board(board.settings, [board.step(one) for one in sorted(hung_on, key=board.place)])
        kind_of, place_of, step_of = board.kind_of, self.board.place, self.board.step
        #: What moves while something is claimed to be constant; None in other claims. ``is_moved`` while it is in its other place.
        self.driver: str | None = next(iter(self.claim.fills.get("driver", ())), None)
        self.is_moved = False
        self._unmet: Any = 0
        self._plan = make_plan(self.claim, kind_of, place_of, step_of)

    @property
    def pegs(self) -> list[Step]:
        """The steps that can be moved: free and sliding points, dials."""
        return [step for step in self.board.steps if step.moves in ("free", "sliding", "turning")]

    def evaluate(
        self,
        m: Any,
        numbers: Mapping[str, Sequence[Any]] | None = None,
        instead: Callable[[Step, list[Any], list[Any]], Any] | None = None,
        within: Any = None,
    ) -> Any:
        """The pairs of defects and sizes that the claim's formula gives (see ``formulas.claims``); None where what it is about is not
        there. Raises Undefined where it cannot be asked.

        Args:
            m: the arithmetic in which the figure is computed.
            within: the one for the claim itself, of the same numbers, where that is another one: in floats and arrays as such a formula
                gives one number.
        """
        within = m if within is None else within
        things = self._things(m, numbers, instead)
        if self.driver is None or things is None:
            return things and self._where_supposed(m, self._plan.formula(within, *things, *map(m.number, self._plan.numbers))[2])
        unmet = self._unmet
        self.is_moved = True
        try:
            others = self._things(m, {**(numbers or {}), self.driver: (numbers or {}).get(moved(self.driver), ())}, instead)
        finally:
            self.is_moved = False
        self._unmet = self._unmet + unmet
        return others and self._where_supposed(m, formulas.all_equal(within, things[0], others[0]))

    def _where_supposed(self, m: Any, defects: Any) -> Any:
        """Defects in arrays, NaN where a supposition is not met; elsewhere as they are."""
        if m.name != ARRAYS.name or not self.supposed:
            return defects
        met = m.divide(m.number(0), self._unmet == 0)
        return [(defect + met, size) for defect, size in defects]

    def value(self, m: Any, numbers: Any, instead: Any) -> Any:
        """What the formula of the step gives, be it a claim or a reading; None where what it is made from is not there."""
        things = self._things(m, numbers, instead)
        return None if things is None else self._plan.formula(m, *things, *map(m.number, self._plan.numbers))

    def _things(self, m: Any, numbers: Any, instead: Any) -> list[Any] | None:
        """The values that the claim's formula gets; None where one is not there."""
        given = {id: one for id, one in (numbers or {}).items() if one}
        found = self.board.evaluate(m, given, instead)
        if self.supposed:
            orders = [found[id] for id in self.supposed]
            if any(order is None for order in orders):
                return None
            self._unmet = sum(order[0] for order in orders)
            is_met = self._unmet == 0  # of bounds: for certain; of arrays: from place to place, see ``_where_supposed``
            if m.name != ARRAYS.name and not is_met:
                return None
        things = [found[self.board.steps[place].id] for place in self._plan.inputs]
        return None if any(thing is None for thing in things) else things

    @cached_property
    def mark(self) -> str:
        """What its verdict hangs on, as a text that differs where that differs: the sentences, and what is typed into those that
        nobody drags, and which crossings of conics are followed. Where the pegs are does not count."""
        told = [self._told(step) for step in (*self.board.steps, self.claim)]
        return sha256(repr(told).encode()).hexdigest()

    def _told(self, step: SeenStep) -> Any:
        place = {one.id: number for number, one in enumerate(self.board.steps)}
        moved = step.construction.moved_gap if step.moves or step is self.claim else None
        fills = {}
        for name, fill in step.fills.items():
            if name == moved:
                continue
            plain = fill_to_json(fill)
            fills[name] = _numbered(plain, place)
        return step.does, sorted(fills.items(), key=lambda pair: pair[0])


def _numbered(fill: Any, place: Mapping[str, int]) -> Any:
    """A fill with the places of steps instead of their ids."""
    if isinstance(fill, dict):
        return {key: _numbered(part, place) for key, part in fill.items()}
    if isinstance(fill, list):
        return [_numbered(part, place) for part in fill]
    return ("step", place[fill]) if isinstance(fill, str) and fill in place else fill
