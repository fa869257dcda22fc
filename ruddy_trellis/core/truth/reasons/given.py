"""What is given: what each construction of a figure says by its definition, as facts of its points.

What a construction gives stands beside its definition in the catalogue (``Construction.gives``), as a fact with gaps in braces:

- ``{point}``, ``{corners:0}``: the point in a gap, or one of its points; ``{span}``, ``{base}``: two points of it, or of the line in it;
- ``{self}``: the point that is made, or points of the line or circle that is; ``{self.centre}``, ``{circle.centre}``: the centre;
- ``{self:each}``: every point on it, a fact for each; ``{self&circle}``: every point of both;
- ``{middle span}``, ``{middle point self}``, ``{foot corner base}``: a point that is made so from what is in these gaps;
- ``{angle}``, ``{factor}``, ``{first/second}``, ``{whole/second}``: a typed number, a ratio of two, and of their sum to one.

What cannot be said of a figure, as there is no such point or the number is read off, is left out.
"""

import re
from collections.abc import Iterator
from fractions import Fraction
from itertools import product as choices
from string import ascii_uppercase
from typing import Any

from ...arithmetic.typed import as_typed
from ...board.step import Step
from ...kinds import ARC, CIRCLE, NUMBER, POINT, STRAIGHTS
from ...language.fills import is_ids
from .forms import ANGLES, Fact, Label, is_proper, is_trivial, line, mapped, midpoint, on_circle, read_form, shape
from .labelled import Labelled

_GAP = re.compile(r"\{([^}]*)\}")


class _Missing(Exception):
    """Something that a fact speaks of is not in the figure."""


def given(figure: Labelled) -> list[tuple[Fact, str]]:
    """The facts that the constructions of a figure give, each once, with the id of the step that gives it."""
    found: dict[Fact, str] = {}
    for step in figure.steps:
        for fact in _of_step(figure, step):
            if is_proper(fact) and not is_trivial(fact):
                found.setdefault(fact, step.id)
    return list(found.items())


def _of_step(figure: Labelled, step: Step) -> Iterator[Fact]:
    yield from _lying_on(figure, step)
    yield from _told(figure, step, step, {})
    yield from _squares(figure, step)
    by = step.fills.get("by", ())
    if step.does == "image_point" and by:
        yield from _told(figure, figure.board.step(by[0]), step, {"of": step.fills["of"], "image": (step.id,)})


def _lying_on(figure: Labelled, step: Step) -> Iterator[Fact]:
    """What lies on what, as it is drawn."""
    if step.makes in STRAIGHTS:
        yield line(figure.lines[step.id])
    elif step.makes in (CIRCLE, ARC):
        centre, on = figure.circles[step.id]
        if on:
            yield on_circle(on, centre)
    elif step.makes == POINT and (number := figure.number(step.id)) is not None:
        for gap in step.construction.on:
            fill = step.fills.get(gap, ())
            if is_ids(fill) and len(fill) == 2:
                yield line([number, *figure.numbers(fill)])


def _told(figure: Labelled, step: Step, made: Step, more: dict[str, Any]) -> Iterator[Fact]:
    """The facts of a step's definition.

    Args:
        made: the step that is meant by "self". ``more``: what fills gaps that the sentence of the step has not.
    """
    fills = {**step.fills, **more}
    for text in step.construction.gives:
        try:
            pieces = {gap: _filled(figure, made, fills, gap, text) for gap in _GAP.findall(text)}
        except (_Missing, ZeroDivisionError, IndexError):
            continue
        for way in choices(*pieces.values()):
            fact = _fact(text, dict(zip(pieces, way, strict=True)))
            if fact is not None:
                yield _half_turn(fact)


def _fact(text: str, way: dict[str, Any]) -> Fact | None:
    """A fact from a text and what its gaps stand for; None where a point stands in it twice that may not."""
    letters: dict[Label, str] = {}

    def written(found: re.Match[str]) -> str:
        part = way[found[1]]
        if isinstance(part, Fraction):
            return str(part)
        return "".join(letters.setdefault(label, ascii_uppercase[len(letters)]) for label in part)

    said = _GAP.sub(written, text)
    if len({*letters}) < 2:
        return None
    labels = {letter: label for label, letter in letters.items()}
    try:
        return mapped(read_form(said), labels.__getitem__)
    except (ValueError, KeyError, TypeError):
        return None


def _half_turn(fact: Fact) -> Fact:
    """Turned by 180° a point is as far on the other side: the centre is in the middle."""
    if fact.form == ANGLES and len(fact.data[0]) == 1 and fact.data[1] == 180:
        a, vertex, b = fact.data[0][0][0]
        return midpoint(vertex, a, b)
    return fact


def _squares(figure: Labelled, step: Step) -> Iterator[Fact]:
    """The square whose last corner a step makes: the third is the first turned by a right angle about the second, the fourth the second
    about the third, the same way."""
    if step.does != "turned":
        return
    third = figure.board.step(step.fills["centre"][0])
    if third.does != "turned" or third.fills["centre"] != step.fills["point"]:
        return
    if abs(_angle(step)) == 90 and _angle(third) == _angle(step):
        around = [figure.number(id) for id in (*third.fills["point"], *step.fills["point"], third.id, step.id)]
        if None not in around:
            yield shape("square", tuple(around))


def _angle(step: Step) -> Any:
    angle = step.fills["angle"]
    return angle if isinstance(angle, (int, float)) else 0


def _filled(figure: Labelled, made: Step, fills: dict[str, Any], gap: str, text: str) -> list[Any]:
    """What a gap may stand for: tuples of points, or a number. Raises _Missing."""
    if "/" in gap:
        above, below = gap.split("/")
        first = _number(fills, "first") + _number(fills, "second") if above == "whole" else _number(fills, above)
        return [abs(first / _number(fills, below))]
    if gap.startswith(("middle ", "foot ")):
        return [(_made_so(figure, {**fills, "self": (made.id,)}, gap),)]
    if "&" in gap:
        one, other = (_points_on(figure, made, fills, part) for part in gap.split("&"))
        return [(label,) for label in one if label in other and not figure.is_nameless(label)]
    name, _, which = gap.partition(":")
    if name.endswith(".centre"):
        return [(_centre(figure, made, fills, name.removesuffix(".centre")),)]
    if which == "each":
        # Of a nameless point no length says anything, an angle does.
        return [(label,) for label in _points_on(figure, made, fills, name) if "∠" in text or not figure.is_nameless(label)]
    if which:
        ends = figure.ends(fills[name])
        if int(which) >= len(ends):
            raise _Missing
        return [(ends[int(which)],)]
    if name != "self" and not is_ids(fills.get(name)):
        number = _number(fills, name)
        if name == "angle":
            number = abs((number + 180) % 360 - 180)
        return [abs(number)]
    labels = _points_on(figure, made, fills, name)
    if not labels and made.id not in figure.circles:
        raise _Missing
    is_point = name == "self" and made.makes == POINT
    return [tuple(labels if is_point or " in line" in text or " on circle" in text else labels[:2])]


def _number(fills: dict[str, Any], gap: str) -> Fraction:
    """A typed number. Raises _Missing where it is read off."""
    if not isinstance(fills.get(gap), (int, float)):
        raise _Missing
    return Fraction(as_typed(fills[gap]))


def _points_on(figure: Labelled, made: Step, fills: dict[str, Any], name: str) -> list[int]:
    """The points of what is in a gap, in order."""
    fill = (made.id,) if name == "self" else fills.get(name, ())
    if not is_ids(fill) or not fill:
        raise _Missing
    if len(fill) == 1 and fill[0] in figure.circles:
        return figure.circles[fill[0]][1]
    if len(fill) == 1 and figure.board.kind_of(fill[0]) == NUMBER:
        reading = figure.board.step(fill[0])
        fill = (*reading.fills.get("span", ()), *reading.fills.get("from", ()), *reading.fills.get("to", ()))
        if reading.does not in ("length", "distance") or not fill:
            raise _Missing
        return figure.ends(fill)
    return figure.on_straight(fill)


def _centre(figure: Labelled, made: Step, fills: dict[str, Any], name: str) -> int:
    fill = (made.id,) if name == "self" else fills[name]
    centre = figure.circles.get(fill[0], (None, []))[0]
    if centre is None:
        raise _Missing
    return centre


def _made_so(figure: Labelled, fills: dict[str, Any], gap: str) -> int:
    """The number of a midpoint or a foot that is made from what is in some gaps. Raises _Missing."""
    kind, *names = gap.split()
    wanted: list[int] = []
    for name in names:
        part, _, which = name.partition(":")
        labels = figure.ends(fills[part]) if which or kind == "middle" else figure.on_straight(fills[part])
        wanted += [labels[int(which)]] if which else labels
    for step in figure.steps:
        if kind == "middle" and step.does == "midpoint" and set(figure.ends(step.fills["span"])) == set(wanted):
            return _known(figure, step)
        if kind == "foot" and step.does == "foot" and figure.numbers(step.fills["point"]) == wanted[:1]:
            base = figure.on_straight(step.fills["base"])
            if len({*base} & {*wanted[1:]}) >= 2:
                return _known(figure, step)
    raise _Missing


def _known(figure: Labelled, step: Step) -> int:
    number = figure.number(step.id)
    if number is None:
        raise _Missing
    return number
