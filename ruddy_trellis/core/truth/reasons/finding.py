"""The door of the room: a reason for a claim of a board, found, shortened and checked; or none."""

import logging
import time
from collections.abc import Iterator, Sequence
from dataclasses import dataclass

from ...board.board import Board
from ...kinds import POINT
from .argument import ONE_CIRCLE, RULE, TOGETHER, Argument
from .checking import faults
from .deriving import Derivation, can_be_reasoned
from .forms import Fact, magnitudes_of
from .goals import NotSaid, goals
from .helping import helped
from .holding import Holding, is_so
from .labelled import MOST_POINTS, Labelled
from .lining import argument
from .rules import RULES, THEMES
from .shortening import needed

_LOG = logging.getLogger(__name__)
#: A rule that is cheaper than this only says what a thing is called.
_A_NAME = 0.9
#: So often a reason that is but the claim's own theorem is looked for otherwise.
_OTHERWISE = 5
#: An argument of more steps than this is told to nobody, nor one with a line that follows from more lines than that.
_STEPS, _TOGETHER = 45, 12
#: Of more points than this a figure has many, and the rules for triangles that are alike.
_MANY = 9
_OF_TRIANGLES = frozenset(rule.key for rule in RULES.values() if any(sign in " ".join((*rule.premises, rule.conclusion)) for sign in "≅~"))
#: The areas of quadrilaterals are looked at where they are asked about only.
_OF_QUADRILATERALS = frozenset(("halves_of_parallelogram", "cut_in_two"))
_OF_AREAS = frozenset(rule.key for rule in THEMES["Areas"])


@dataclass(frozen=True)
class Found:
    """A reason that was found.

    Attributes:
        figure: the figure that its points are of.
        helpers: the ids of what had to be added for it, on the board of that figure.
    """

    figure: Labelled
    argument: Argument
    helpers: tuple[str, ...] = ()


def reason(board: Board, claim: str, seconds: float = 5.0) -> Found | None:
    """A reason for a claim that holds, looked for so many seconds; None where none was found that a pupil could read."""
    deadline = time.monotonic() + seconds
    for figure, helpers, with_areas in _figures(board, claim, deadline):
        if not can_be_reasoned(figure):
            continue
        try:
            wanted = goals(figure)
        except NotSaid:
            continue
        made = _argued(figure, wanted, deadline, with_areas)
        needed_ones = tuple(helper for helper in helpers if made is not None and helper in _used(figure, made))
        if made is None or (helpers and not needed_ones):
            continue
        wrong = faults(figure, made)
        if not wrong:
            return Found(figure, made, needed_ones)
        _LOG.warning("A reason was found that does not stand: %s", "; ".join(wrong))
    return None


def _figures(board: Board, claim: str, deadline: float) -> Iterator[tuple[Labelled, tuple[str, ...], bool]]:
    """The figures in which a reason is looked for: what the claim hangs on, all of the board, and with a helper more; and whether with
    areas."""
    small = Labelled(board, claim)
    yield small, (), False
    points = [step.id for step in board.steps if step.makes == POINT and board.value(step.id) is not None]
    lines = [
        step.id for step in board.steps if step.makes in ("line", "segment", "ray", "circle", "arc") and board.value(step.id) is not None
    ]
    largest = small
    if len(points) <= MOST_POINTS:
        whole = Labelled(board, claim, [*points, *lines])
        if len(whole) > len(small):
            yield whole, (), False
            largest = whole
    for start in dict.fromkeys((small, largest)):
        try:
            wanted = goals(start)
        except NotSaid:
            wanted = []
        for larger in helped(start, wanted):
            if time.monotonic() > deadline:
                return
            also = [*(step.id for step in start.steps), *larger.there, *larger.made]
            yield Labelled(larger.board, claim, also), larger.made, larger.with_areas


def _used(figure: Labelled, made: Argument) -> set[str]:
    """The ids of the steps that an argument is about."""
    found = {line.step for line in made.lines if line.step}
    for line in made.lines:
        found.update(id for label in line.fact.points if (id := figure.ids[label]) is not None)
    return found


def _argued(figure: Labelled, wanted: Sequence[Fact], deadline: float, with_areas: bool) -> Argument | None:
    """An argument within a figure that is more than the claim's own theorem; None where there is none."""
    holding = Holding(figure.places)
    if not all(is_so(holding, goal) for goal in wanted):
        return None
    of_areas = with_areas or any(one[0] == "area" for goal in wanted for one in magnitudes_of(goal))
    without: set[str] = set() if of_areas else set(_OF_AREAS)
    if not any(len(one) > 4 for goal in wanted for one in magnitudes_of(goal)):
        without |= _OF_QUADRILATERALS
    for _ in range(_OTHERWISE):
        found = _derived(figure, wanted, without, deadline)
        if found is None:
            return None
        made = argument(needed(found.knowledge, found.turns, wanted), wanted, figure.places[0])
        own = own_theorem(made)
        if own is None:
            return made if is_readable(made) else None
        without |= {own, *(rule.key for rule in RULES.values() if rule.family and rule.family == RULES[own].family)}
    return None


def _derived(figure: Labelled, wanted: Sequence[Fact], without: set[str], deadline: float) -> Derivation | None:
    """What was derived until the goals followed; None where they do not. In a figure of many points it is first tried without triangles
    that are alike, of which there are very many."""
    for less in (without | _OF_TRIANGLES, without) if len(figure) > _MANY else (without,):
        shapes = {one for goal in wanted for one in magnitudes_of(goal) if len(one) > 4}
        found = Derivation(figure, less, deadline, shapes)
        if found.find(wanted):
            return found
    return None


def is_readable(made: Argument) -> bool:
    """Whether a pupil could follow an argument: not too many steps, and none that puts too much together at once."""
    return len(made.steps) <= _STEPS and all(len(line.cites) <= _TOGETHER for line in made.steps)


def own_theorem(made: Argument) -> str | None:
    """The key of the rule, if an argument is nothing but one theorem used on what is given; None where it is more."""
    steps = [line for line in made.steps if line.how != ONE_CIRCLE and not (line.how == RULE and RULES[line.rule].price < _A_NAME)]
    theorems = [line for line in made.steps if line.how == RULE and RULES[line.rule].is_theorem]
    others = [line for line in steps if line not in theorems and line.how != TOGETHER]
    if len(theorems) == 1 and not others and len(steps) <= 1:
        return theorems[0].rule
    return None
