"""Readings as formulas in the coordinates, places and dials of a figure, in a frame that the person chooses."""

import time
from dataclasses import dataclass
from fractions import Fraction
from math import atan2, cos, hypot, pi, sin, tan
from typing import Any

from ..arithmetic import Exact, NotAlgebraic, Undefined
from ..arithmetic.exact_numbers import ExactNumber
from ..board.board import Board
from ..kinds import CIRCLE, NUMBER, POINT
from ..language.names import spell
from ..refusal import Refusal
from .claimed import Claimed
from .exact_forms import form_of, latex, mathml, size_of
from .proving import Way

#: A form of more symbols and numbers than this is not short; and how long it is looked for, in seconds.
_LONG, _SECONDS = 60, 4.0
#: What free coordinates and places are called, in order.
_COORDINATES = (("u", "v"), ("s", "t"), ("m", "n"), ("g", "h"), ("j", "k"))
_PLACES = "pqwz"


@dataclass(frozen=True)
class ExactReading:
    """A reading as a formula.

    Attributes:
        parts: for each number of the reading, its formula as LaTeX and as MathML.
        legend: what the symbols are, in words.
        now: what the formulas come to now.
    """

    parts: tuple[tuple[str, str], ...]
    legend: tuple[str, ...]
    now: tuple[float, ...]


def exact_reading(board: Board, id: str, frame: tuple[str, ...] = ()) -> ExactReading:
    """A reading, or the coordinates of a point, as a formula of the figure as it lies now.

    Args:
        frame: the ids of two free points: the first is put at (0, 0), the second on the x-axis. The first two of the board where
            left out.

    Raises:
        Refusal: where there is no such formula, or no short one.
    """
    if board.kind_of(id) not in (NUMBER, POINT) or board.value(id) is None:
        raise Refusal("A reading or a point that is there can be written as a formula.")
    free = [step.id for step in board.steps if step.construction.moves == "free" and step.makes == POINT and step.id != id]
    frame = tuple(one for one in frame if one in free)[:2] if len(frame) == 2 else tuple(free[:2])
    claimed = Claimed(board, id, frame)
    way = _Reading(claimed, frame)
    try:
        found = way.value()
    except NotAlgebraic as reason:
        raise Refusal(f"It has no exact form: {reason}.") from None
    except (Undefined, ZeroDivisionError):
        raise Refusal("It has no exact form in this position: something in it only just is there.") from None
    numbers = found if isinstance(found, tuple) else (found,)
    if not all(isinstance(one, ExactNumber) for one in numbers):
        raise Refusal("An angle in degrees has no exact form. Ask for its sine or its tangent: v = tan(α).")
    forms = [form_of(way.m, one, way.names) for one in numbers]
    if sum(map(size_of, forms)) > _LONG:
        raise Refusal("It has an exact form, but no short one. Another frame may make it shorter.")
    used = {place for one in numbers for place in way.used(one)}
    legend = tuple(words for words, places in way.legend if not places or used & places)
    written = tuple((latex(form), mathml(form)) for form in forms)
    return ExactReading(written, legend, tuple(float(way.m.at_sample(one).mid()) for one in numbers))


class _Reading(Way):
    """The figure with symbols for its pegs, in a frame, with the signs that it has now."""

    def __init__(self, claimed: Claimed, frame: tuple[str, ...]) -> None:
        self.names: dict[int, str] = {}
        self.legend: list[tuple[str, set[int]]] = []
        self._frame = frame
        super().__init__(claimed, [], time.monotonic() + _SECONDS)
        self._needs = {"size"}
        if frame:
            self._fixed = list(frame)
        self._called = iter(_COORDINATES)
        self._placed = iter(_PLACES)

    def _field(self, deadline: float) -> Exact:
        samples = {}
        fixed = list(self._frame) or self._fixed
        for step in self.claimed.board.steps:
            if step.construction.moves:
                x, y = self._sample(step, fixed)
                samples |= {f"x{step.id}": x, f"y{step.id}": y}
        return Exact(samples, deadline=deadline)

    def _sample(self, step: Any, fixed: list[str]) -> tuple[Fraction, Fraction]:
        """Where a peg is now, in the frame, as numbers near enough to tell signs."""
        board = self.claimed.board
        near = lambda number: Fraction(number).limit_denominator(10**7)
        if step.construction.moves == "turning":
            return near(step.fills["value"]), Fraction(1)
        if step.construction.moves == "sliding":
            place = step.fills["place"]
            if len(step.fills["path"]) == 1 and board.kind_of(step.fills["path"][0]) == CIRCLE:
                cx, cy = board.value(step.fills["path"][0])[:2]
                at = board.value(step.id)
                start = self._known_on(step.fills["path"][0], board.values) or (cx + 1, cy)
                turn = atan2(at[1] - cy, at[0] - cx) - atan2(start[1] - cy, start[0] - cx)
                return near(tan(((turn + pi) % (2 * pi) - pi) / 2)), Fraction(1)
            return near(place), Fraction(1)
        x, y = board.value(step.id)[:2]
        if fixed and step.makes == POINT:
            ox, oy = board.value(fixed[0])
            x, y = x - ox, y - oy
            if len(fixed) > 1:
                ax, ay = board.value(fixed[1])
                turn = -atan2(ay - oy, ax - ox)
                x, y = x * cos(turn) - y * sin(turn), x * sin(turn) + y * cos(turn)
                if step.id == fixed[1]:
                    return near(hypot(ax - ox, ay - oy)), Fraction(0)
        return near(x), near(y)

    def value(self) -> Any:
        """The exact value."""
        board = self.claimed.board
        numbers = {step.id: self._numbers(step) for step in board.steps if step.construction.moves and step.makes == POINT}
        numbers |= {step.id: (self._dial(step),) for step in board.steps if step.construction.moves == "turning"}
        for step in board.steps:
            self._tell(step, numbers.get(step.id, ()))
        return self.claimed.value(self.m, numbers, self._instead)

    def _tell(self, step: Any, numbers: tuple[Any, ...]) -> None:
        """Give the symbols of a peg names."""
        board = self.claimed.whole
        name = board.name(step.id)
        if step.construction.moves == "turning":
            self._call(numbers[0], name, f"{name} the dial")
        elif step.construction.moves == "free" and step.makes == POINT:
            if self._fixed and step.id == self._fixed[0]:
                self.legend.append((f"{name} = (0, 0)", set()))
            elif self._fixed and step.id == self._fixed[-1]:
                self._call(numbers[0], "b", "")
                self.legend.append((f"{name} = (b, 0)", set()))
            else:
                x, y = next(self._called, (f"x_{name}", f"y_{name}"))
                places = {self._call(one, called, "") for one, called in zip(numbers, (x, y))}
                self.legend.append((f"{name} = ({x}, {y})", places))
        elif step.construction.moves == "sliding":
            letter = next(self._placed, f"p_{name}")
            path = spell(map(board.name, step.fills["path"]))
            words = f"{name} at the share {letter} of {path}"
            if not numbers:
                words = f"{letter} the tangent of half the turn of {name} round {path}"
            self._call(self._symbol("x", step), letter, words)

    def _call(self, number: Any, name: str, words: str) -> int:
        (place,) = [place for place, power in enumerate(number.top.degrees()) if power]
        self.names[place] = name
        if words:
            self.legend.append((words, {place}))
        return place

    def used(self, number: Any) -> set[int]:
        """The places of the symbols in a number, within its roots too."""
        found: set[int] = set()
        waiting = [number.top, number.bottom]
        while waiting:
            for place, power in enumerate(waiting.pop().degrees()):
                if power and place not in found:
                    found.add(place)
                    square = self.m.square_of(place)
                    if square is not None:
                        waiting.append(square)
        return found
