"""From a step to what the arithmetic runs: the formula, the places of its inputs, and its typed numbers."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass, field, replace
from typing import Any

from ..catalogue import Construction
from ..formulas import measures, straights
from ..kinds import (
    ARC,
    CHORD_REGION,
    CIRCLE,
    CONDITION,
    FAMILY,
    LOCUS,
    MARK,
    NUMBER,
    POINT,
    POLYGON,
    QUIZ,
    REGION,
    REVEAL,
    SECTOR,
    SEGMENT,
    SPANS,
    STRAIGHTS,
    TOLD,
)
from ..language.expression import Formula
from ..language.fills import is_ids
from ..seen import Fills
from .step import Step


@dataclass(frozen=True, slots=True)
class Plan:
    """How one step is computed: ``formula(m, *values at inputs, *numbers)``.

    Attributes:
        formula: it raises ArithmeticError where there is no value.
        inputs: the places of the values it gets.
        numbers: the typed numbers it gets after them.
        needs_all: whether it is undefined where one of its inputs is.
        is_finite: whether what it gives are numbers that can be gone on with; None where the first two of them tell.
        settings: places of steps whose typed numbers it gets as well, as one tuple after its inputs: of what rides on
            something inside the chain that a locus runs.
        follow: where it has to be followed from where it was: a function of the arithmetic, of its inputs the last time (or
            None), of those now and of its numbers, that gives its new numbers.
        is_bound: whether the formula holds places itself, so that the plan is made anew when those change.
    """

    formula: Callable[..., Any]
    inputs: tuple[int, ...]
    numbers: tuple[float, ...]
    needs_all: bool = True
    is_finite: Callable[[Any], bool] | None = None
    settings: tuple[int, ...] = ()
    is_bound: bool = False
    follow: Callable[..., tuple[float, ...]] | None = None
    is_plain: bool = field(init=False)

    def __post_init__(self) -> None:
        # Asked of every step in every drag: whether its inputs and its numbers are all there is to it.
        object.__setattr__(self, "is_plain", not self.settings and self.follow is None and self.is_finite is None)

    @property
    def parents(self) -> tuple[int, ...]:
        """The places of all steps whose change changes its value, each once."""
        return tuple(dict.fromkeys((*self.inputs, *self.settings)))

    def settings_of(self, plans: Sequence["Plan"]) -> tuple[tuple[float, ...], ...]:
        """The typed numbers of the steps in ``settings``."""
        return tuple(plans[place].numbers for place in self.settings)

    def with_numbers(self, numbers: tuple[float, ...]) -> "Plan":
        """The plan with other typed numbers."""
        return replace(self, numbers=numbers)

    def moved(self, places: Sequence[int]) -> "Plan | None":
        """The plan after every step went to another place, ``places`` by old place; None where it must be made anew."""
        if self.is_bound:
            return None
        return replace(self, inputs=tuple(places[place] for place in self.inputs))


#: Beyond this a number is as good as infinite: its square is no number any more.
FAR = 1e100


def is_point(value: Any) -> bool:
    """Whether the first two numbers of a value are finite."""
    return -FAR < value[0] < FAR and -FAR < value[1] < FAR


def _are_points(value: Any) -> bool:
    return all(map(is_point, value))


def _are_numbers(value: Any) -> bool:
    return all(-FAR < part < FAR for part in value)


def _is_number(value: Any) -> bool:
    # Readings of coordinates and of equations are the values of what they read, which were looked at already.
    return isinstance(value, tuple) or -FAR < value < FAR


#: For each kind of thing, whether a value of it is finite. Where the point that a thing starts from, or its centre, is
#: finite, so is the rest of it, which comes from differences of such points. Families and loci look after themselves.
_FINITE: dict[str, Callable[[Any], bool] | None] = {
    **dict.fromkeys((POINT, *STRAIGHTS, CIRCLE, ARC, SECTOR, CHORD_REGION, *TOLD), None),
    **dict.fromkeys((POLYGON, MARK), _are_points),
    NUMBER: _is_number,
    **dict.fromkeys((FAMILY, LOCUS, CONDITION, REGION), lambda value: True),
}


def kinds_of_fills(construction: Construction, fills: Fills, kind_of: Callable[[str], str]) -> dict[str, str]:
    """The kind that fills each gap: that of the one thing, "segment" for two points, "number" for a typed number."""
    kinds = {}
    for gap in construction.gaps:
        fill = fills.get(gap.name)
        if is_ids(fill):
            kinds[gap.name] = kind_of(fill[0]) if len(fill) == 1 else SEGMENT
        elif isinstance(fill, (int, float)):
            kinds[gap.name] = NUMBER
    return kinds


def chosen_formula(construction: Construction, fills: Fills, kind_of: Callable[[str], str]) -> Callable[..., Any] | None:
    """The formula that a construction uses for these fills, or None where their kinds do not fit one another."""
    if construction.formula:
        return construction.formula
    words = {name: fill for name, fill in fills.items() if isinstance(fill, (str, Formula))}
    choose = construction.choose
    return choose and choose(kinds_of_fills(construction, fills, kind_of), words)


def make_plan(step: Step, kind_of: Callable[[str], str], place_of: Callable[[str], int], step_of: Callable[[str], Any] | None = None):
    """The plan of a step.

    The formula gets what fills the gaps for things in their order, then what fills the gaps for numbers in theirs, be
    it typed or a reading.

    Args:
        kind_of: a function from an id to the kind of that thing.
        place_of: a function from an id to its place among the board's values.
        step_of: a function from an id to its step, which constructions with a planner need.
    """
    construction = step.construction
    is_finite = _FINITE.get(construction.makes, _are_numbers)
    if construction.planner:
        formula, inputs, settings = construction.planner(
            step, step_of, place_of, lambda other: make_plan(other, kind_of, place_of, step_of)
        )
        return Plan(formula, inputs, (), True, is_finite, settings, True)
    formula, follow = chosen_formula(construction, step.fills, kind_of), None
    if construction.follows:
        words = {name: fill for name, fill in step.fills.items() if isinstance(fill, str)}
        follow = construction.follows(kinds_of_fills(construction, step.fills, kind_of), words)
    inputs, numbers, bundles, order = [], [], [], []
    # Gaps for numbers come last; the sort keeps the order otherwise.
    for gap in sorted(construction.gaps, key=lambda gap: gap.kind.literal == "number"):
        fill = step.fills.get(gap.name)
        if is_ids(fill):
            bundles.append((None if gap.kind.several else _bundler(gap.kind.hands, [kind_of(id) for id in fill]), len(fill)))
            inputs += map(place_of, fill)
            if gap.kind.literal == "number":
                order.append("read")
        elif isinstance(fill, Formula):
            measured = fill.measured()
            for place, operand in enumerate(fill.operands):
                bundles.append((_operand_bundler(measured.get(place), [kind_of(id) for id in operand]), len(operand)))
                inputs += map(place_of, operand)
        elif isinstance(fill, tuple):
            numbers += fill
        elif isinstance(fill, (int, float)):
            order.append("typed")
            numbers.append(fill)
    if any(typed and "read" in order[place:] for place, typed in enumerate(one == "typed" for one in order)):
        formula = _reordered(formula, order)
    if any(bundler for bundler, _ in bundles):
        formula = _bundled(formula, bundles, len(inputs))
        if follow:
            follow = _bundled_follow(follow, bundles)
    return Plan(formula, tuple(inputs), tuple(numbers), construction.makes not in (REVEAL, QUIZ), is_finite, follow=follow)


def _reordered(formula, order):
    """The formula with typed numbers put in their places between readings.

    Args:
        order: for each gap for a number, in the order of the sentence, whether its number was "typed" or is "read".
    """
    read_count = order.count("read")

    def run(m, *arguments):
        others, numbers = arguments[: -len(order)], arguments[-len(order) :]
        read, typed = iter(numbers[:read_count]), iter(numbers[read_count:])
        return formula(m, *others, *(next(read) if one == "read" else next(typed) for one in order))

    return run


def _operand_bundler(function, kinds):
    """What turns the values behind an operand of a formula into the operand's value."""
    if function is None:
        return _bundler("length", kinds)
    if len(kinds) == 1:
        return lambda m, thing: ((kinds[0], thing),)
    kind = "corner" if function == "angle" else POLYGON
    return lambda m, *points: ((kind, points),)


def _bundler(hands, kinds):
    """What turns the values that fill a gap into the formula's arguments; None where they are those already."""
    if hands == "many":
        return lambda m, *points: (points,)
    if hands == "points":
        return _ends if len(kinds) == 1 and kinds[0] in SPANS else None
    if hands == "length":
        if len(kinds) == 1 and kinds[0] in SPANS:
            return lambda m, segment: (measures.distance(m, *_ends(m, segment)),)
        return (lambda m, a, b: (measures.distance(m, a, b),)) if len(kinds) == 2 else None
    if hands == "circle":
        return (lambda m, arc: (arc[:3],)) if kinds == [ARC] else None
    return (lambda m, a, b: (straights.segment(m, a, b),)) if len(kinds) == 2 else None


def _ends(m, segment):
    px, py, dx, dy = segment[:4]
    return (px, py), (px + dx, py + dy)


def _bundled(formula, bundles, how_many):
    def run(m, *arguments):
        things, at = [], 0
        for bundler, width in bundles:
            part = arguments[at : at + width]
            things += bundler(m, *part) if bundler else part
            at += width
        return formula(m, *things, *arguments[how_many:])

    return run


def _bundled_follow(follow, bundles):
    count = sum(width for _, width in bundles)

    def bundled(m, things):
        made, at = [], 0
        for bundler, width in bundles:
            part = things[at : at + width]
            made += bundler(m, *part) if bundler else part
            at += width
        return tuple(made)

    def run(m, before, *arguments):
        return follow(m, before and bundled(m, before), *bundled(m, arguments[:count]), *arguments[count:])

    return run
