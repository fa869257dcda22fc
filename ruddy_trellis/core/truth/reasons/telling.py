"""A reason as it is told to people: what is to be drawn first, what is given, numbered lines, and how the figure has to lie."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations
from string import ascii_lowercase
from typing import Any

from ...board.board import Board
from ...edits.models import Add, NewStep
from ...edits.prepare import perform
from ...kinds import POLYGON, STRAIGHTS, join
from ...language.fills import fill_to_json
from ...language.printing import claim_words, sentence
from ...refusal import Refusal
from .argument import GIVEN, TOGETHER, Line
from .finding import Found, reason
from .forms import ANGLES, CONGRUENT, LINE, PRODUCT, SIMILAR, Fact, pair
from .holding import Holding
from .labelled import Labelled, figure_now
from .lighting import Lighting
from .rule import Condition
from .wording import Wording


@dataclass(frozen=True)
class ToldLine:
    """One line.

    Attributes:
        number: what it is called: a letter for what is given, a number for a step.
        says, because: the statement and by what it holds; ``cites`` what the lines are called that it follows from.
        where: how the figure has to lie for it, in words.
        lights: the ids of the things that are lit with it.
        shows: the edit, as JSON, that draws over the figure what it is about; None where there is nothing.
    """

    number: str
    says: str
    because: str
    cites: tuple[str, ...] = ()
    where: tuple[str, ...] = ()
    lights: tuple[str, ...] = ()
    shows: dict[str, Any] | None = None


@dataclass(frozen=True)
class Told:
    """A reason in words.

    Attributes:
        claim: what is claimed, in words.
        first: what is to be drawn first, as sentences: helpers, and what is to be joined.
        given, steps: the lines.
        facts, lies: what its lines say and how points have to lie, of numbers; ``points`` are what these were known by (see
            ``Labelled.key``).
        helpers: the steps that have to be added for it, and ``also`` the ids of what belongs to its figure,
            ``made`` those of the helpers as it was found.
    """

    claim: str
    first: tuple[str, ...]
    given: tuple[ToldLine, ...]
    steps: tuple[ToldLine, ...]
    facts: tuple[Fact, ...] = ()
    lies: tuple[Condition, ...] = ()
    points: tuple[tuple[str, ...], ...] = ()
    helpers: tuple[dict[str, Any], ...] = ()
    also: tuple[str, ...] = ()
    made: tuple[str, ...] = ()

    @property
    def text(self) -> str:
        """The whole reason as lines of text."""
        rows = [*self.first]
        rows += [f"({line.number}) {line.says}" + (f": {line.because}" if line.because else "") for line in self.given]
        for line in self.steps:
            cites = f" ({', '.join(line.cites)})" if line.cites else ""
            where = f"; in this figure {join(list(line.where))}" if line.where else ""
            rows.append(f"{line.number}. {line.says}, because: {line.because}{cites}{where}")
        return "\n".join([*rows, f"So {self.claim}."])

    @property
    def hints(self) -> tuple[str, ...]:
        """Hints for somebody who looks for it: what to draw, what to look at, and the first reason only."""
        last = self.steps[-1]
        alike = (" is congruent to ", " is similar to ")
        parts = next((line.says.replace(sign, " and ") for line in reversed(self.steps[:-1]) for sign in alike if sign in line.says), "")
        at = f"Look at the triangles {parts}." if parts else f"In the end it follows from this: {last.because}."
        first = self.steps[0]
        return (*self.first, at, f"It begins like this: {first.says}, because: {first.because}.")


def told_reason(board: Board, claim: str, words: int = 0, seconds: float = 5.0) -> Told | None:
    """The reason for a claim that holds, in words; None where none was found that a pupil could read.

    Args:
        words: where the person teaches: the column of the names (see ``angle_pairs.NAMES``).
    """
    found = reason(board, claim, seconds)
    return None if found is None or not found.argument.steps else _Telling(found, words).told()


class _Telling:
    def __init__(self, found: Found, words: int) -> None:
        self._found, self._figure, self._argument = found, found.figure, found.argument
        self._wording, self._lighting = Wording(found.figure, words), Lighting(found.figure)
        self._called: dict[int, str] = {}
        board = self._figure.board
        self._helpers = [
            NewStep(does=step.does, name=step.name, fills={gap: fill_to_json(fill) for gap, fill in step.fills.items()})
            for step in (board.step(id) for id in found.helpers)
        ]

    def told(self) -> Told:
        figure, board = self._figure, self._figure.board
        lines = list(enumerate(self._argument.lines))
        given = [(at, line) for at, line in lines if line.how == GIVEN and not self._is_drawn(line)]
        steps = [(at, line) for at, line in lines if line.how != GIVEN and not self._is_drawn(line)]
        names = ascii_lowercase if len(given) <= len(ascii_lowercase) else [f"g{number}" for number in range(1, len(given) + 1)]
        self._called = {at: name for (at, _), name in zip(given, names, strict=False)}
        self._called |= {at: str(number) for number, (at, _) in enumerate(steps, 1)}
        return Told(
            claim=claim_words(board, figure.claim).rstrip("?"),
            first=tuple(self._first()),
            given=tuple(self._line(at, line) for at, line in given),
            steps=tuple(self._line(at, line) for at, line in steps),
            facts=tuple(line.fact for line in self._argument.lines),
            lies=self._argument.conditions,
            points=tuple(figure.key(number) for number in range(len(figure))),
            helpers=tuple(step.model_dump() for step in self._helpers),
            also=tuple(step.id for step in figure.steps if step.id not in self._found.helpers),
            made=self._found.helpers,
        )

    def _is_drawn(self, line: Line) -> bool:
        """Whether a line only says that points are in line that are drawn so, or two lines that are one."""
        if line.fact.form != LINE or line.fact in self._argument.goals:
            return False
        return line.how == GIVEN or (line.how == TOGETHER and all(self._is_drawn(self._argument.lines[cited]) for cited in line.cites))

    def _line(self, at: int, line: Line) -> ToldLine:
        says, because = self._wording.says(line.fact), self._wording.because(self._argument, line)
        drawn = self._lighting.drawn(line)
        # A helper that is not on the board is drawn with what is made of it, as "new:0".
        place = {id: f"new:{number}" for number, id in enumerate(self._found.helpers)}
        moved = [one.model_copy(update={"fills": {gap: _moved(fill, place) for gap, fill in one.fills.items()}}) for one in drawn]
        return ToldLine(
            self._called[at],
            says,
            "" if because == says else because,
            tuple(self._called[cited] for cited in line.cites if cited in self._called),
            tuple(self._wording.lies(one) for one in line.conditions if one.how != "not in line"),
            tuple(id for id in self._lighting.lit(line) if id not in place),
            Add(steps=[*self._helpers, *moved]).model_dump() if moved else None,
        )

    def _first(self) -> list[str]:
        """What is to be drawn first, as sentences."""
        board, made = self._figure.board, self._found.helpers
        found = [f"Draw first: {sentence(board, id)}." for id in made]
        joins = [self._wording.line(ends) for ends in self._joins()]
        if joins:
            found.append(f"Join {join(joins)}.")
        return found

    def _joins(self) -> list[tuple[int, int]]:
        """The pairs of points that the argument takes for sides or legs, and that nothing on the board joins."""
        figure = self._figure
        joined = {pair for on in figure.lines.values() for pair in combinations(sorted(on), 2)}
        for step in figure.board.steps:
            if step.makes == POLYGON and step.does == "polygon":
                corners = figure.numbers(step.fills["corners"])
                joined |= {pair(*ends) for ends in zip(corners, corners[1:] + corners[:1], strict=True)}
            elif step.makes in STRAIGHTS and step.id not in figure.lines:
                ends = figure.numbers([id for gap in ("from", "to") for id in step.fills.get(gap, ())])
                joined |= set(combinations(sorted(ends), 2))
        drawn_in_line = [line.fact.data for line in self._argument.lines if line.fact.form == LINE]
        joined |= {ends for on in drawn_in_line for ends in combinations(sorted(on), 2) if joined & set(combinations(sorted(on), 2))}
        needed = {ends for line in self._argument.steps for ends in _sides(line.fact)}
        return [ends for ends in sorted(needed - joined) if not any(map(figure.is_nameless, ends))]


def _sides(fact: Fact) -> set[tuple[int, int]]:
    """The sides of triangles and the legs of angles that a fact speaks of."""
    if fact.form == ANGLES:
        return {pair(vertex, leg) for (a, vertex, b), _ in fact.data[0] for leg in (a, b)}
    if fact.form in (CONGRUENT, SIMILAR):
        return {pair(*ends) for side in (0, 1) for ends in combinations([one[side] for one in fact.data], 2)}
    if fact.form == PRODUCT:
        return {pair(*one[1:]) for one, _ in fact.data[0] if one[0] == "length"}
    return set()


def _moved(fill: Any, place: dict[str, str]) -> Any:
    return [place.get(one, one) for one in fill] if isinstance(fill, list) else fill


def still_runs(board: Board, claim: str, told: Told) -> bool:
    """Whether a figure lies now as a reason says that it has to: all its conditions hold, and what its lines say."""
    here = board.copy()
    made: Sequence[str] = ()
    if told.helpers:
        try:
            perform(here, Add(steps=[NewStep(**step) for step in told.helpers]))
        except Refusal:
            return False  # what it calls a helper is called so no longer, or what it is made from has gone
        made = [step.id for step in here.steps[len(board.steps) :]]
    at = dict(zip(told.made, made, strict=True))
    if any(id not in here for id in told.also):
        return False
    figure = Labelled(here, claim, [*told.also, *made])
    numbers = [figure.labelled((*key[:1], at.get(key[1], key[1]), *key[2:])) for key in told.points]
    if None in numbers:
        return False
    choice = {label: [number] for label, number in enumerate(numbers)}
    holding = Holding(figure_now(figure))
    return all(bool(holding.lies(one, choice)[0]) for one in told.lies) and all(bool(holding.holds(one, choice)[0]) for one in told.facts)
