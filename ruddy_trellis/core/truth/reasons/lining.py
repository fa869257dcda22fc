"""An argument from what is known: line after line, each after those that it follows from."""

from collections.abc import Sequence
from typing import Any

from .angle_sums import AngleSums, without_known
from .argument import GIVEN, ONE_CIRCLE, RULE, TOGETHER, Argument, Line
from .forms import ANGLES, LINE, MIDPOINT, PARALLEL, PERPENDICULAR, ROUND, Fact, angles, is_trivial, parallel
from .knowledge import Knowledge

#: Facts that only say that points are in line are not counted where it is told how many facts are put together.
_SEEN = (LINE, MIDPOINT)
#: With more sums of angles than this nothing is plainer.
_MOST_SUMS = 4


class _Lines:
    """Lines as they are written, each fact once."""

    def __init__(self, knowledge: Knowledge, places: Any) -> None:
        self._knowledge, self._places = knowledge, places
        self.lines: list[Line] = []
        self._at: dict[Fact, int] = {}

    def of_known(self, number: int) -> int:
        """The line of a known fact, written with all that it needs where it is not yet."""
        one = self._knowledge.known[number]
        if one.fact in self._at:
            return self._at[one.fact]
        if one.step is not None:
            return self._write(Line(one.fact, GIVEN, step=one.step))
        if one.joined:
            how = ONE_CIRCLE if one.fact.form == ROUND else TOGETHER
            return self._write(Line(one.fact, how, cites=self._all(one.joined)))
        assert one.instance is not None, "what is neither given nor joined comes from a rule"
        cites: list[int] = []
        for premise, support in zip(one.instance.premises, one.support, strict=True):
            cites += self._of_premise(premise, support)
        return self._write(
            Line(
                one.fact,
                RULE,
                rule=one.instance.rule.key,
                points=one.instance.points,
                cites=tuple(dict.fromkeys(cites)),
                conditions=one.instance.conditions,
            )
        )

    def _of_premise(self, premise: Fact, support: Sequence[int]) -> list[int]:
        """The lines that a premise is cited by: those from which it follows at once, or one that puts several together."""
        if is_trivial(premise):
            return []
        if premise in self._at:
            return [self._at[premise]]
        if premise.form == ROUND and len(support) == 1 and (step := self._knowledge.known[support[0]].step) is not None:
            return [self._write(Line(premise, GIVEN, step=step))]  # of the points on a circle only those that are needed
        told = [number for number in support if not self._is_plain(number)]
        if len(told) <= 1:
            return [self.of_known(number) for number in support]
        return [self.together(premise, support)]

    def _is_plain(self, number: int) -> bool:
        """Whether a fact is only that points are drawn in line, which anyone sees."""
        one = self._knowledge.known[number]
        return one.step is not None and one.fact.form == LINE

    def together(self, fact: Fact, support: Sequence[int]) -> int:
        """The line of a fact that follows from some by adding and subtracting."""
        if fact in self._at:
            return self._at[fact]
        if len(support) == 1 and self._knowledge.known[support[0]].fact == fact:
            return self.of_known(support[0])
        cites = self._all(support)
        told = [number for number in support if self._knowledge.known[number].fact.form not in _SEEN]
        are_lines = all(self._knowledge.known[number].fact.form in (PARALLEL, PERPENDICULAR) for number in told)
        if fact.form == ANGLES and len(told) > 1 and are_lines and (across := self._at_one_pair(fact)) is not None:
            cites = across
        elif (fact.form == ANGLES or (fact.form in (PERPENDICULAR, PARALLEL) and not are_lines)) and len(support) > 1:
            cites = self._by_sums(fact, support, cites)
        return self._write(Line(fact, TOGETHER, cites=cites))

    def _at_one_pair(self, fact: Fact) -> tuple[int, ...] | None:
        """The line of two parallels, where two angles are equal, or make 180°, by these alone; None where there are none such."""
        if len(fact.data[0]) != 2:
            return None
        (a, vertex, b), (c, other, d) = (one for one, _ in fact.data[0])
        sums = AngleSums(self._places, sorted({a, vertex, b, c, other, d}))
        for one in (a, b):
            for two in (c, d):
                pairs = parallel((vertex, one), (other, two))
                if is_trivial(pairs) or vertex == other or fact not in sums.at_parallels(pairs):
                    continue
                why = self._knowledge.why(pairs)
                if why is not None and len(why) > 1:
                    return (self.together(pairs, why),)
        return None

    def _by_sums(self, fact: Fact, support: Sequence[int], cites: tuple[int, ...]) -> tuple[int, ...]:
        """The lines from which angles are put together: with those for the sums in triangles, where a few of them make it plain."""
        facts = [self._knowledge.known[number].fact for number in support]
        told = [one for one in facts if one.form not in _SEEN]
        points = sorted({*fact.points, *(label for one in facts for label in one.points)})
        sums = AngleSums(self._places, points)
        found = [(wanted, parts) for wanted in _as_angles(sums, fact) if (parts := sums.parts(wanted, told)) is not None and parts[1]]
        if not found or (len(told) < 2 and len(found[0][1][1]) < 2):
            return cites
        used, made = min((parts for _, parts in found), key=lambda parts: len(parts[0]) + len(parts[1]))
        if len(made) > _MOST_SUMS:
            return cites
        right = [angles({one: 1}, 90) for one_fact in used if one_fact.form == PERPENDICULAR for one in sums.right_angles(one_fact)]
        right += [one for one in used if one.form == ANGLES and len(one.data[0]) == 1]
        more = []
        for one in made:
            shorter = without_known(one, right)
            why = self._knowledge.why(shorter)
            if why is None or is_trivial(shorter):
                return cites
            if shorter != fact:
                more.append(self._at[shorter] if shorter in self._at else self._write(Line(shorter, TOGETHER, cites=self._all(why))))
        return tuple(dict.fromkeys((*cites, *more)))

    def _all(self, numbers: Sequence[int]) -> tuple[int, ...]:
        return tuple(dict.fromkeys(self.of_known(number) for number in numbers))

    def _write(self, line: Line) -> int:
        self._at[line.fact] = len(self.lines)
        self.lines.append(line)
        return self._at[line.fact]


def _as_angles(sums: AngleSums, fact: Fact) -> list[Fact]:
    """What has to be so of angles for a fact: one of these is enough."""
    if fact.form == PERPENDICULAR:
        return [angles({one: 1}, 90) for one in sums.right_angles(fact)]
    return sums.at_parallels(fact) if fact.form == PARALLEL else [fact]


def argument(knowledge: Knowledge, goals: Sequence[Fact], places: Any) -> Argument:
    """The argument for goals that follow from what is known.

    Args:
        places: where each point is.
    """
    lines = _Lines(knowledge, places)
    for goal in goals:
        lines.together(goal, knowledge.cheaply(goal, 3) or ())
    return Argument(tuple(lines.lines), tuple(goals))
