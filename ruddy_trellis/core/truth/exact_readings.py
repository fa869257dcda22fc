"""Readings as formulas in the coordinates, places and dials of a figure, or in what a person calls its lengths and angles."""

from dataclasses import dataclass

from ..arithmetic import NotAlgebraic, Undefined
from ..arithmetic.exact_numbers import ExactNumber
from ..board.board import Board
from ..kinds import LOCUS, NUMBER, POINT
from ..refusal import Refusal
from .called import Called, read_called
from .claimed import Claimed
from .exact_equations import EQUATED, cleared, locus_equation, path_equation
from .exact_forms import Form, equation_of, form_of, latex, mathml, plain, size_of
from .named_figure import NamedFigure

#: A form of more symbols and numbers than this is not short; and how long it is looked for, in seconds.
_LONG, _SECONDS = 60, 4.0


@dataclass(frozen=True)
class ExactReading:
    """A reading as a formula.

    Attributes:
        text: the whole as one line of plain signs: "r = ab / 2c".
        latex, mathml: the same as LaTeX and as MathML, without the element around it.
        legend: what the symbols are, in words.
        unused: what was named and places nothing, in the words in which it was.
        now: what the formula comes to now: a number, or one for each coordinate; nothing for an equation.
    """

    text: str
    latex: str
    mathml: str
    legend: tuple[str, ...]
    unused: tuple[str, ...]
    now: tuple[float, ...]


def exact_reading(board: Board, id: str, frame: tuple[str, ...] = (), called: str = "") -> ExactReading:
    """A reading, the coordinates of a point, or the equation of a path, as a formula of the figure as it lies now.

    Args:
        frame: the ids of two free points: the first is put at (0, 0), the second on the x-axis. Left out, they are the ends of the
            first length that is named, or the first two of the board.
        called: what quantities are called, such as "PQ = a, angle QPR = α".

    Raises:
        Refusal: where there is no such formula, or no short one, or ``called`` cannot be read.
    """
    name, step = board.name(id), board.step(id)
    if step.does == "equation":
        id = step.fills["curve"][0]
    kind = board.kind_of(id)
    if kind not in (NUMBER, POINT, *EQUATED) or board.value(id) is None:
        raise Refusal("A reading, a point or a path that is there can be written as a formula.")
    given = read_called(board, called)
    chosen = _frame(board, id, frame, given)
    try:
        figure = NamedFigure(Claimed(board, id, chosen), chosen, given, _SECONDS)
        forms, now = _equation(figure, kind, id) if kind in EQUATED else _value(figure)
    except NotAlgebraic as reason:
        raise Refusal(f"It has no exact form: {reason}.") from None
    except (Undefined, ZeroDivisionError):
        raise Refusal("It has no exact form in this position: something in it only just is there.") from None
    if sum(map(size_of, forms)) > _LONG:
        raise Refusal("It has an exact form, but no short one. Another frame, or names for lengths and angles, may make it shorter.")
    whole: Form = ("equal", ("symbol", name), ("place", *forms) if len(forms) > 1 else forms[0])
    if kind in EQUATED:
        whole = ("equal", forms[0], ("number", 0))
    return ExactReading(plain(whole), latex(whole), mathml(whole), figure.legend(), figure.unused(), now)


def _value(figure: NamedFigure) -> tuple[list[Form], tuple[float, ...]]:
    found = figure.value()
    numbers = found if isinstance(found, tuple) else (found,)
    if not all(isinstance(one, ExactNumber) for one in numbers):
        raise Refusal("An angle in degrees has no exact form. Ask for its sine or its tangent: v = tan(α).")
    figure.note(numbers)
    now = tuple(float(figure.m.at_sample(one).mid()) for one in numbers)
    return [form_of(figure.m, one, figure.names, figure.short) for one in numbers], now


def _equation(figure: NamedFigure, kind: str, id: str) -> tuple[list[Form], tuple[float, ...]]:
    x, y = figure.m.symbol("x"), figure.m.symbol("y")
    whole = figure.claimed.whole
    if kind != LOCUS:
        value = figure.value()
        found = value and cleared(path_equation(kind, value, x, y), x, y)
    else:
        step = whole.step(id)
        if "tracer" not in step.fills or whole.kind_of(step.fills["tracer"][0]) != POINT:
            raise Refusal("The equation of an envelope is not found this way; its reading has the numbers.")
        value = figure.things()[step.fills["tracer"][0]]
        found = value and locus_equation(value, figure.m.symbol(f"x{step.fills['driver'][0]}"), x, y)
    if not found:
        raise Undefined
    figure.note([found])
    return [equation_of(figure.m, found.top, figure.axes, figure.names, figure.short)], ()


def _frame(board: Board, id: str, frame: tuple[str, ...], given: list[Called]) -> tuple[str, ...]:
    """The two points of the frame."""
    free = [step.id for step in board.steps if step.construction.moves == "free" and step.makes == POINT and step.id != id]
    pairs = [one.ids for one in given if len(one.ids) == 2] + [one.ids[1::-1] for one in given if len(one.ids) == 3]
    for pair in (frame, *pairs):
        if len(pair) == 2 and set(pair) <= set(free):
            return tuple(pair)
    return tuple(free[:2])
