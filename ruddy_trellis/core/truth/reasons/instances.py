"""Where rules could be used: all choices of points of which premises, conclusion and conditions of a rule hold as the figure lies.

Only what holds in the shaken positions is ever looked at, so that there is little to derive.
"""

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass
from itertools import permutations
from typing import Any

from ...arithmetic.late import np
from .forms import CONGRUENT, SIMILAR, Fact, Label, is_trivial, mapped
from .holding import Holding
from .rule import Condition, Rule

#: In so many positions choices are looked at first; of more choices than this of one rule none beyond is used.
_FIRST, _MOST = 3, 1500
#: Of more pairs of similar triangles than this none beyond is looked at.
_MOST_TRIANGLES = 1200


@dataclass(frozen=True)
class Instance:
    """A rule with its points.

    Attributes:
        points: the number of the point for each letter of the rule, in the order of ``Rule.letters``.
    """

    rule: Rule
    points: tuple[int, ...]
    premises: tuple[Fact, ...]
    conclusion: Fact
    conditions: tuple[Condition, ...]


def instance(rule: Rule, points: Sequence[int], one: Callable[[Fact], Fact] = lambda fact: fact) -> Instance:
    """A rule of some points.

    Args:
        one: gives for equal facts one and the same.
    """
    to = dict(zip(rule.letters, points, strict=True)).__getitem__
    return Instance(
        rule,
        tuple(points),
        tuple(one(mapped(fact, to)) for fact in rule.premise_facts),
        one(mapped(rule.concluded, to)),
        tuple(condition.mapped(to) for condition in rule.condition_facts),
    )


class Instances:
    """Finds them in a figure.

    Args:
        places: where each point is in each position (see ``Labelled.places``).
    """

    def __init__(self, places: Any) -> None:
        self._count = places.shape[1]
        self._facts: dict[Fact, Fact] = {}
        self._first, self._all = Holding(places[:_FIRST]), Holding(places)
        self._pairs = self._similar_triangles(places)

    def of(self, rule: Rule) -> Iterator[Instance]:
        """The places of a figure where a rule could be used, each way to say it once."""
        seen = set()
        choice = self._chosen(rule)
        for row in choice[:_MOST].tolist():
            found = instance(rule, row, lambda fact: self._facts.setdefault(fact, fact))
            if is_trivial(found.conclusion) or found.conclusion in found.premises:
                continue
            key = frozenset(found.premises), found.conclusion
            if key not in seen:
                seen.add(key)
                yield found

    def _chosen(self, rule: Rule) -> Any:
        """The choices of points, a row each, in the order of the rule's letters."""
        facts = [*rule.premise_facts, rule.concluded]
        over = next((fact for fact in facts if fact.form in (CONGRUENT, SIMILAR)), None)
        if over is not None:
            order = [pair[0] for pair in over.data] + [pair[1] for pair in over.data]
            rows = self._pairs[over.form]
            facts = [fact for fact in facts if fact is not over]
        else:
            order, rows = [], np.zeros((1, 0), dtype=int)
        waiting = [letter for letter in rule.letters if letter not in order]
        if order:
            rows = self._kept(rule, facts, order, rows, set(order), self._first)
        while waiting:
            letter = waiting.pop(0)
            rows = np.column_stack([np.repeat(rows, self._count, axis=0), np.tile(np.arange(self._count), len(rows))])
            order.append(letter)
            if over is None:
                rows = rows[(rows[:, :-1] != rows[:, -1:]).all(axis=1)]
            rows = self._kept(rule, facts, order, rows, {letter}, self._first)
        rows = self._kept(rule, facts, order, rows, set(order), self._all)
        return rows[:, [order.index(letter) for letter in rule.letters]]

    def _kept(self, rule: Rule, facts: list[Fact], order: list[Label], rows: Any, new: set[Label], holding: Holding) -> Any:
        """The choices of which all holds that can be asked now and has something new in it."""
        asked: list[Fact | Condition] = [*facts, *rule.condition_facts]
        for one in asked:
            labels = set(one.points)
            if not len(rows) or not labels <= set(order) or not labels & new:
                continue
            choice = {letter: rows[:, place] for place, letter in enumerate(order)}
            held = holding.holds(one, choice) if isinstance(one, Fact) else holding.lies(one, choice)
            rows = rows[held]
        return rows

    def _similar_triangles(self, places: Any) -> dict[str, Any]:
        """All pairs of different triangles that are similar, and those that are congruent, corner by corner: six columns."""
        here = places[0]
        by_shape: dict[Any, list[tuple[int, int, int]]] = {}
        for three in permutations(range(self._count), 3):
            a, b, c = (here[number] for number in three)
            sides = [float(np.hypot(*(p - q))) for p, q in ((a, b), (b, c), (c, a))]
            (ux, uy), (vx, vy) = b - a, c - a
            if abs(ux * vy - uy * vx) <= 1e-5 * sides[0] * sides[2]:
                continue
            by_shape.setdefault((round(sides[1] / sides[0], 6), round(sides[2] / sides[0], 6)), []).append(three)
        rows = [
            (*one, *other)
            for alike in by_shape.values()
            for number, one in enumerate(alike)
            for other in alike[:number]
            if {*one} != {*other}
        ]
        table = np.array(rows, dtype=int).reshape(-1, 6)
        choice = dict(zip("ABCDEF", table.T, strict=True))
        found = {}
        for form in (SIMILAR, CONGRUENT):
            fact = Fact(form, (("A", "D"), ("B", "E"), ("C", "F")))
            held = self._all.holds(fact, choice) if len(table) else np.zeros(0, bool)
            kept = table[held]
            # Triangles that share points are what is told of first.
            shared = np.array([len({*row}) for row in kept.tolist()], dtype=int)
            found[form] = kept[np.argsort(shared, kind="stable")][:_MOST_TRIANGLES]
        return found
