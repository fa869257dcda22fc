"""A reason as an argument: numbered lines, each with what it follows from."""

from collections.abc import Sequence
from dataclasses import dataclass

from .forms import Fact
from .rule import Condition

#: By what a line holds: it is given; by a rule; by adding and subtracting, or as equal to the same; two circles that are one.
GIVEN, RULE, TOGETHER, ONE_CIRCLE = "given", "rule", "together", "one circle"


@dataclass(frozen=True)
class Line:
    """One line of an argument.

    Attributes:
        fact: what it says, of the numbers of points.
        how: by what it holds.
        step: of what is given the id of the step that gives it.
        rule: the key of its rule, and ``points`` the number of the point for each of the rule's letters.
        cites: the numbers of the lines that it follows from, from 0; all come before it.
        conditions: how points have to lie for it.
    """

    fact: Fact
    how: str
    step: str = ""
    rule: str = ""
    points: tuple[int, ...] = ()
    cites: tuple[int, ...] = ()
    conditions: tuple[Condition, ...] = ()


@dataclass(frozen=True)
class Argument:
    """A reason for a claim.

    Attributes:
        lines: in order; the last says what is claimed, or the last ones do.
        goals: the facts that the claim says.
    """

    lines: tuple[Line, ...]
    goals: tuple[Fact, ...]

    @property
    def steps(self) -> Sequence[Line]:
        """The lines that are not given."""
        return [line for line in self.lines if line.how != GIVEN]

    @property
    def conditions(self) -> tuple[Condition, ...]:
        """How points have to lie for it, each once."""
        return tuple(dict.fromkeys(condition for line in self.lines for condition in line.conditions))
