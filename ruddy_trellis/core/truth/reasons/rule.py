"""What a rule of a reason is: the one definition from which it is found, checked, told and explained."""

import re
from collections.abc import Callable
from dataclasses import dataclass
from functools import cached_property

from ..angle_pairs import in_column
from .forms import Fact, Label, read_form


@dataclass(frozen=True)
class Condition:
    """How points have to lie for a rule: on "one side" or "two sides" of the line of the last two, the first "between" the others, or
    "not in line"."""

    how: str
    points: tuple[Label, ...]

    def mapped(self, to: Callable[[Label], Label]) -> "Condition":
        """The condition of other points, in one writing."""
        points = tuple(map(to, self.points))
        if self.how == "between":
            return Condition(self.how, (points[0], *sorted(points[1:])))
        if self.how == "not in line":
            return Condition(self.how, tuple(sorted(points)))
        return Condition(self.how, (*sorted(points[:2]), *sorted(points[2:])))


def read_condition(text: str) -> Condition:
    """A condition as it stands in a table: "C, D on one side of AB", "C, D on two sides of AB", "D between B, C",
    "A, B, C not in line"."""
    if found := re.fullmatch(r"(\w), (\w) on (one side|two sides) of (\w)(\w)", text):
        return Condition(found[3], (found[1], found[2], found[4], found[5])).mapped(str)
    if found := re.fullmatch(r"(\w), (\w), (\w) not in line", text):
        return Condition("not in line", found.groups()).mapped(str)
    found = re.fullmatch(r"(\w) between (\w), (\w)", text)
    if found is None:
        raise ValueError(text)
    return Condition("between", found.groups()).mapped(str)


@dataclass(frozen=True)
class Rule:
    """One rule: where its premises hold of some points, and these lie as it says, its conclusion holds.

    Attributes:
        key: by what it is known.
        names: by what names schools tell it, a column a country (see ``angle_pairs.NAMES``); the last stands for those that follow.
        premises, conclusion: facts in the writing of ``forms.read_form``.
        conditions: how the points lie, in the writing of ``read_condition``.
        price: how dear a step by it is: of several reasons the cheapest is told.
        is_theorem: whether it is a theorem of which a pupil may ask why it holds: a claim that is just this has to be reasoned
            otherwise. ``family``: those that say the same of the same figure.
    """

    key: str
    names: tuple[str, ...]
    premises: tuple[str, ...]
    conclusion: str
    conditions: tuple[str, ...] = ()
    price: float = 1.0
    is_theorem: bool = False
    family: str = ""

    @cached_property
    def premise_facts(self) -> tuple[Fact, ...]:
        return tuple(map(read_form, self.premises))

    @cached_property
    def concluded(self) -> Fact:
        return read_form(self.conclusion)

    @cached_property
    def condition_facts(self) -> tuple[Condition, ...]:
        return tuple(map(read_condition, self.conditions))

    @cached_property
    def letters(self) -> tuple[str, ...]:
        """The letters of its points, in the order in which they first stand in it."""
        found: dict[str, None] = {}
        for fact in (*self.premise_facts, self.concluded):
            found.update(dict.fromkeys(sorted(fact.points)))
        return tuple(found)

    def called(self, words: int) -> str:
        """Its name where a person teaches: ``words`` counts the columns."""
        return in_column(self.names, words)
