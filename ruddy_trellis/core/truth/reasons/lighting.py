"""What of a figure a line of an argument is about: the things that are lit, and what is drawn over them while the line is looked at: its
triangles filled, its equal sides and angles marked."""

from collections.abc import Iterator, Sequence
from itertools import pairwise
from typing import Any

from ...board.step import Step
from ...edits.models import NewStep
from ...kinds import STRAIGHTS
from .argument import RULE, Line
from .forms import (
    ANGLES,
    CONGRUENT,
    LINE,
    MIDPOINT,
    PARALLEL,
    PERPENDICULAR,
    PRODUCT,
    ROUND,
    SHAPE,
    SIMILAR,
    SUM,
    Fact,
    magnitudes_of,
    mapped,
)
from .labelled import Labelled
from .rules import RULES

_STROKES = ("once", "twice", "thrice")
#: Of more than this nobody sees anything.
_MOST = 30


class Lighting:
    """Lights a figure's lines."""

    def __init__(self, figure: Labelled) -> None:
        self._figure = figure

    def lit(self, line: Line) -> list[str]:
        """The ids of the things that a line is about: its points, the lines and polygons between just these."""
        figure, labels = self._figure, line.fact.points
        found = {line.step} if line.step else set()
        for label in labels:
            id = figure.ids[label]
            found.add(id if id is not None else figure.line_of(label))
        pairs = _pairs(line.fact)
        for step in figure.steps:
            if (step.makes in STRAIGHTS and any({*pair} <= {*figure.lines[step.id]} for pair in pairs)) or self._is_of(step, line.fact):
                found.add(step.id)
        return [step.id for step in figure.steps if step.id in found]

    def _is_of(self, step: Step, fact: Fact) -> bool:
        """Whether a polygon has just the points of a fact for its corners, or a circle is the one that a fact is about."""
        labels = fact.points
        if step.does == "polygon":
            return len(labels) > 2 and {*self._figure.numbers(step.fills["corners"])} == labels
        centre, on = self._figure.circles.get(step.id, (None, []))
        return fact.form == ROUND and labels <= {*on, centre}

    def drawn(self, line: Line) -> list[NewStep]:
        """The steps that are drawn over the figure while a line is looked at. Not more than one looks at."""
        steps = _Steps(self._figure)
        if line.how == RULE and line.fact.form in (CONGRUENT, SIMILAR):
            rule = RULES[line.rule]
            to = dict(zip(rule.letters, line.points, strict=True)).__getitem__
            for number, premise in enumerate(rule.premise_facts):
                steps.mark(mapped(premise, to), _STROKES[number % 3])
        steps.mark(line.fact, "once")
        return steps.made


class _Steps:
    """New steps, each once."""

    def __init__(self, figure: Labelled) -> None:
        self._figure = figure
        self.made: list[NewStep] = []

    def _add(self, does: str, **fills: Any) -> None:
        step = NewStep(does=does, fills=fills)
        if step not in self.made and len(self.made) < _MOST:
            self.made.append(step)

    def _id(self, label: int) -> str | None:
        return self._figure.ids[label]

    def _ids(self, labels: Sequence[int]) -> list[str]:
        """The ids of points; none where one of them has no name."""
        ids = [self._id(label) for label in labels]
        return [] if None in ids else [id for id in ids if id is not None]

    def _segment(self, pair: Sequence[int], strokes: str = "") -> None:
        ids = self._ids(pair)
        if ids:
            self._add("segment", **{"from": ids[:1], "to": ids[1:]})
            if strokes:
                self._add("equal_length", span=ids, strokes=strokes)

    def _angle(self, corner: Sequence[int], strokes: str) -> None:
        ids = self._ids(corner)
        if ids:
            self._segment(corner[:2])
            self._segment(corner[1:])
            if strokes:
                self._add("equal_angle", corner=ids, strokes=strokes)
            else:
                self._add("right_angle_mark", corner=ids)

    def mark(self, fact: Fact, strokes: str) -> None:
        """Draw what a fact says."""
        form, data = fact.form, fact.data
        if form == ANGLES:
            is_right = len(data[0]) == 1 and data[1] == 90 * data[0][0][1]
            for (corner, times), one in zip(data[0], _STROKES * 9, strict=False):
                is_equal = data[1] == 0 and len(data[0]) == 2 and abs(times) == 1
                self._angle(corner, "" if is_right else strokes if is_equal else one)
        elif form in (PRODUCT, SUM):
            self._magnitudes(fact, strokes)
        elif form in (PARALLEL, PERPENDICULAR):
            self._lines(form, data)
        elif form == MIDPOINT:
            for end in data[1]:
                self._segment((end, data[0]), strokes)
        elif form == LINE:
            for one, other in pairwise(data):
                self._segment((one, other))
        elif form == ROUND:
            self._circle(*data)
        elif form in (CONGRUENT, SIMILAR):
            for side in (0, 1):
                self._area([pair[side] for pair in data])
        elif form == SHAPE:
            self._area(data[1])

    def _circle(self, centre: int | None, labels: Sequence[int]) -> None:
        ids = self._ids(labels)
        if len(ids) >= 3:
            self._add("circumcircle", a=ids[:1], b=ids[1:2], c=ids[2:3])
        if centre is not None:
            for label in labels:
                self._segment((centre, label))

    def _magnitudes(self, fact: Fact, strokes: str) -> None:
        is_equal = fact.form == PRODUCT and fact.data[1] == 1 and sorted(power for _, power in fact.data[0]) == [-1, 1]
        for magnitude in magnitudes_of(fact):
            if magnitude[0] == "length":
                self._segment(magnitude[1:], strokes if is_equal else "")
            else:
                self._area(magnitude[1:])

    def _area(self, corners: Sequence[int]) -> None:
        ids = self._ids(corners)
        if ids:
            self._add("polygon", corners=ids)

    def _lines(self, form: str, pairs: Sequence[Sequence[int]]) -> None:
        common = {*pairs[0]} & {*pairs[1]}
        if form == PERPENDICULAR and len(common) == 1:
            (vertex,) = common
            (a,), (b,) = ({*pair} - common for pair in pairs)
            if self._ids((a, vertex, b)):
                self._angle((a, vertex, b), "")
                return
        for pair in pairs:
            self._segment(pair)
            straight = self._ids(pair) or [self._figure.line_of(label) for label in pair if self._figure.is_nameless(label)][:1]
            if form == PARALLEL and straight:
                self._add("parallel_mark", straight=straight)


def _pairs(fact: Fact) -> set[tuple[int, int]]:
    """The pairs of points that a fact speaks of as lines or lengths."""
    return {pair for pair in _pairs_in(fact) if pair[0] != pair[1]}


def _pairs_in(fact: Fact) -> Iterator[tuple[int, int]]:
    form, data = fact.form, fact.data
    if form == ANGLES:
        for (a, vertex, b), _ in data[0]:
            yield from ((a, vertex), (vertex, b))
    elif form in (PRODUCT, SUM):
        for _, *labels in magnitudes_of(fact):
            yield from zip(labels, labels[1:] + labels[:1], strict=True)
    elif form in (PARALLEL, PERPENDICULAR):
        yield from data
    elif form == MIDPOINT:
        yield data[1]
    elif form == LINE:
        yield from pairwise(data)
    elif form in (CONGRUENT, SIMILAR):
        for side in (0, 1):
            corners = [pair[side] for pair in data]
            yield from zip(corners, corners[1:] + corners[:1], strict=True)
    elif form == SHAPE:
        yield from zip(data[1], data[1][1:] + data[1][:1], strict=True)
