"""Finding a reason: forward from what is given, the cheapest rule first, until the goal follows."""

import time
from collections.abc import Collection, Sequence
from typing import Any

from .forms import ANGLES, LINE, PARALLEL, PERPENDICULAR, ROUND, Fact, Magnitude, magnitudes_of
from .given import given
from .holding import Holding, is_so
from .instances import Instance, Instances
from .knowledge import Knowledge, Known, Turns
from .labelled import MOST_POINTS, POSITIONS, Labelled
from .rules import RULES

#: By how much dearer a reason may become from one round to the next; of so many rounds the search is ended.
_DEARER, _ROUNDS = 1.2, 40
#: A search that has come to its goal goes on up to this share of the goal's cost; of more facts than this none more is derived.
_ENOUGH, _MOST_FACTS = 0.8, 2500
#: A goal that is dearer than this is long in any case: nothing shorter is looked for.
_DEAR = 14.0
#: How dear what is given is.
_GIVEN = 0.3
_NEVER: tuple[Any, None] = (None, None)


class Derivation:
    """What follows in a figure, until a goal does.

    Args:
        figure: the labelled figure.
        without: the keys of rules that are not used.
        deadline: by ``time.monotonic()``.
        areas: of what quadrilaterals the areas are looked at.

    Attributes:
        knowledge: what is known. ``turns``: which way the angles of the figure turn.
    """

    def __init__(
        self, figure: Labelled, without: Collection[str] = (), deadline: float = float("inf"), areas: Collection[Magnitude] = ()
    ) -> None:
        self._figure, self._deadline, self._areas = figure, deadline, areas
        self.turns = Turns(figure.places[0])
        self.knowledge = Knowledge(self.turns)
        self._premises: dict[Fact, tuple[Any, float | None]] = {}
        holding = Holding(figure.places)
        for fact, step in given(figure):
            if is_so(holding, fact):
                self.knowledge.learn(Known(fact, _GIVEN, step=step))
        self._open = self._instances(without)

    def _instances(self, without: Collection[str]) -> list[Instance]:
        """Where rules could be used. Stops where time is over."""
        look, found = Instances(self._figure.places), []
        for rule in RULES.values():
            if rule.key not in without and time.monotonic() < self._deadline:
                found += [one for one in look.of(rule) if _is_sayable(one, self._figure) and self._is_looked_at(one)]
        return found

    def _is_looked_at(self, one: Instance) -> bool:
        """Whether the areas of quadrilaterals in a conclusion are among those that are looked at."""
        return all(len(magnitude) <= 4 or magnitude in self._areas for magnitude in magnitudes_of(one.conclusion))

    def find(self, goals: Sequence[Fact]) -> bool:
        """Derive until all goals follow, and on for as long as they could follow more cheaply. Returns whether they do."""
        limit, cost = _DEARER, float("inf")
        for _ in range(_ROUNDS):
            if all(self.knowledge.why(goal) is not None for goal in goals):
                cost = min(cost, sum(self.knowledge.cost(self.knowledge.cheaply(goal) or ()) for goal in goals))
                if limit >= min(cost, _DEAR) * _ENOUGH:
                    return True
            ready = self._ready()
            if not ready or time.monotonic() > self._deadline or len(self.knowledge.known) > _MOST_FACTS:
                break
            limit = max(limit + _DEARER, ready[0][0])
            used = set()
            for dear, one in ready:
                if dear <= limit:
                    used.add(id(one))
                    self._take(dear, one)
            self._open = [one for one in self._open if id(one) not in used]
        return cost < float("inf") or all(self.knowledge.why(goal) is not None for goal in goals)

    def _take(self, cost: float, one: Instance) -> None:
        support = tuple(self.knowledge.why(premise) or () for premise in one.premises)
        self.knowledge.learn(Known(one.conclusion, cost, instance=one, support=support))

    def _ready(self) -> list[tuple[float, Instance]]:
        """The rules whose premises follow, the cheapest first."""
        found = []
        for one in self._open:
            cost = one.rule.price
            for premise in one.premises:
                dear = self._cost(premise)
                if dear is None:
                    break
                cost += dear
            else:
                found.append((cost, one))
        return sorted(found, key=lambda ready: ready[0])

    def _cost(self, premise: Fact) -> float | None:
        """How dear a premise is, looked for again only where something new could say that it follows; None where it does not."""
        version, cost = self._premises.get(premise, _NEVER)
        if cost is not None:
            return cost
        now = self.knowledge.version(premise)
        if version != now:
            why = self.knowledge.why(premise)
            cost = None if why is None else self.knowledge.cost(why)
            self._premises[premise] = now, cost
        return cost


def _is_sayable(one: Instance, figure: Labelled) -> bool:
    """Whether all that a rule says can be told: of nameless points nothing but directions and angles can."""
    return all(_is_told(fact, figure) for fact in (*one.premises, one.conclusion))


def _is_told(fact: Fact, figure: Labelled) -> bool:
    return fact.form in (ANGLES, PARALLEL, PERPENDICULAR, LINE, ROUND) or not any(map(figure.is_nameless, fact.points))


def can_be_reasoned(figure: Labelled) -> bool:
    """Whether a figure is small enough, and there in enough positions, to look for reasons."""
    return 3 <= len(figure) <= MOST_POINTS and len(figure.shaken) >= POSITIONS // 2
