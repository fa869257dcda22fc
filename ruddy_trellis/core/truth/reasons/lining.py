"""An argument from what is known: line after line, each after those that it follows from."""

from collections.abc import Sequence

from .argument import GIVEN, ONE_CIRCLE, RULE, TOGETHER, Argument, Line
from .forms import LINE, Fact, is_trivial
from .knowledge import Knowledge


class _Lines:
    """Lines as they are written, each fact once."""

    def __init__(self, knowledge: Knowledge) -> None:
        self._knowledge = knowledge
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
            return self._write(Line(one.fact, ONE_CIRCLE, cites=self._all(one.joined)))
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
        return self._write(Line(fact, TOGETHER, cites=self._all(support)))

    def _all(self, numbers: Sequence[int]) -> tuple[int, ...]:
        return tuple(dict.fromkeys(self.of_known(number) for number in numbers))

    def _write(self, line: Line) -> int:
        self._at[line.fact] = len(self.lines)
        self.lines.append(line)
        return self._at[line.fact]


def argument(knowledge: Knowledge, goals: Sequence[Fact]) -> Argument:
    """The argument for goals that follow from what is known."""
    lines = _Lines(knowledge)
    for goal in goals:
        lines.together(goal, knowledge.cheaply(goal) or ())
    return Argument(tuple(lines.lines), tuple(goals))
