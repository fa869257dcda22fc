"""Names and values as a person reads them."""

import re
from math import hypot
from typing import Any

from ..arithmetic import FLOATS, Undefined
from ..formulas import arcs, measures
from ..kinds import ARC, CIRCLE, CONIC, NUMBER, POINT, POLYGON, SPANS, STRAIGHTS
from ..language.amounts import MILLIMETRES
from ..language.expression import Formula
from ..language.formula_words import ANGLE, TRUTH
from ..language.printing import rounded_text
from ..refusal import Refusal
from ..seen import SeenBoard

_SUBSCRIPTS = str.maketrans("0123456789", "₀₁₂₃₄₅₆₇₈₉")


def shown_name(name: str) -> str:
    """A name with its subscript as one: A_1 is A₁, area_ABC is "area ABC"."""
    main, _, low = name.partition("_")
    if not low:
        return name
    match = re.fullmatch(r"(\d+)(.*)", low)
    return main + match[1].translate(_SUBSCRIPTS) + match[2] if match else f"{main} {low}"


def unit_text(dimension: Any, unit: str) -> str:
    """The unit of a reading: "°", "m", "m²" or nothing."""
    if dimension == ANGLE:
        return "°"
    if not unit or dimension == 0:
        return ""
    if dimension == 1:
        return f" {unit}"
    powers = {2: "²", 3: "³"}
    return f" {unit}{powers.get(dimension, f'^{dimension}')}"


def value_text(board: SeenBoard, id: str) -> str:
    """The value of a reading, rounded, with its unit; a dash where it has none now."""
    value = board.value(id)
    return "–" if value is None else value_writer(board, id)(value)


def value_writer(board: SeenBoard, id: str):
    """How the values of a reading are written, rounded and with their unit: a function of the value. What stays the same
    while something is dragged is looked up but once."""
    step, dimension, own = board.step(id), board.dimension(id), board.step(id).look.decimals
    decimals = board.settings.decimals if own is None else own
    if dimension == "coordinates":
        return lambda value: coordinates_text(value, decimals)
    if dimension == "equation":
        kind = board.kind_of(step.inputs[0])
        return lambda value: equation_text(kind, value, decimals)
    if own is None and step.construction.moves == "turning":
        # A dial shows as many decimals as its step has.
        size = f"{step.fills['step']:.10f}".rstrip("0")
        own = len(size) - size.index(".") - 1
    return _number_writer(board.settings, dimension, own, step.look.unit)


def _number_writer(settings, dimension, own_decimals=None, own_unit=None):
    """How numbers of a dimension are written, with so many decimals or as many as suit the board, in the board's unit or another."""
    if dimension == TRUTH:
        return lambda value: "yes" if value else "no"
    fitting = min(settings.decimals, 1) if dimension == ANGLE else settings.decimals
    decimals = fitting if own_decimals is None else own_decimals
    if own_unit is None or not settings.unit or not isinstance(dimension, int):
        unit = unit_text(dimension, settings.unit)
        return lambda value: rounded_text(value, decimals) + unit
    times, unit = (MILLIMETRES[settings.unit] / MILLIMETRES[own_unit]) ** dimension, unit_text(dimension, own_unit)
    return lambda value: rounded_text(value * times, decimals) + unit


#: What is further from true than this share of its size is seen not to hold.
_SEEN = 1e-7
_VERDICTS = {
    "proved": "● proved", "stands": "○ stands", "fails": "× fails", "cannot be told": "? cannot be told", "trying": "… being tried",
}  # fmt: skip


def verdict_mark(verdict: str, off: float) -> str:
    """What stands after a claim: what is known of it, by a shape and a word, and whether it holds just now.

    Args:
        verdict: "proved", "stands", "fails", "cannot be told", "trying", or "" where nothing is known; after it, where it is so
            only with that, ", given that …".
        off: how far from true the claim is in the figure as it is; below zero where it cannot be asked.
    """
    here = "cannot be asked here" if off < 0 else "does not hold here" if off > _SEEN else "holds here"
    word, given, supposed = verdict.partition(", given")
    known = _VERDICTS.get(word)
    if known is None:
        return f"({here})"
    known += given + supposed
    plain = here == ("does not hold here" if word == "fails" else "holds here")
    return known if plain else f"{known}, {here}"


def formula_text(board: SeenBoard, formula: Formula):
    """The value of a formula of readings that stands in words, rounded as the board's readings are, with its unit."""
    values = [board.value(id) for (id,) in formula.operands]
    try:
        dimension = formula.dimension([board.dimension(id) for (id,) in formula.operands])
        value = formula.evaluate(FLOATS, *values)
    except (Undefined, Refusal, TypeError, OverflowError, ZeroDivisionError):
        return "–"  # a reading in it has no value now
    return _number_writer(board.settings, dimension)(value)


def coordinates_text(point, decimals: int):
    """A point as its coordinates: "(2.00, −1.50)"."""
    return f"({', '.join(rounded_text(part, decimals) for part in point)})"


def thing_value_text(board: SeenBoard, id: str):
    """What a label says for the value of a thing: a reading's value, a length, a radius, an area, coordinates."""
    kind, value, settings = board.kind_of(id), board.value(id), board.settings
    if value is None or kind == NUMBER:
        return value_text(board, id)
    look = board.step(id).look
    decimals = settings.decimals if look.decimals is None else look.decimals
    if kind == POINT:
        return coordinates_text(value, decimals)
    if kind in SPANS:
        return rounded_text(hypot(value[2], value[3]), decimals) + unit_text(1, settings.unit)
    if kind in (CIRCLE, ARC):
        return rounded_text(measures.radius(FLOATS, value), decimals) + unit_text(1, settings.unit)
    if kind in (POLYGON, "sector", "chord_region"):
        rule = {POLYGON: measures.polygon_area, "sector": arcs.sector_area}.get(kind, arcs.chord_region_area)
        return rounded_text(rule(FLOATS, value), decimals) + unit_text(2, settings.unit)
    return equation_text(kind, value, decimals) if kind in (*STRAIGHTS, CONIC) else ""


def equation_text(kind: str, value: Any, decimals: int):
    """The equation of a line, a circle or a conic, rounded: "y = 0.50x + 1.00", "x² + y² = 25.00"."""
    if kind in STRAIGHTS:
        px, py, dx, dy = value[:4]
        if abs(dx) <= 1e-12 * abs(dy):
            return f"x = {rounded_text(px, decimals)}"
        slope = dy / dx
        return "y = " + _sum_text([(slope, "x"), (py - slope * px, "")], decimals)
    if kind == CIRCLE:
        x, y, square = value
        return f"{_shifted('x', x, decimals)} + {_shifted('y', y, decimals)} = {rounded_text(square, decimals)}"
    fx, fy, ux, uy, latus = value
    w = latus - ux * fx - uy * fy
    parts = [(1 - ux * ux, "x²"), (-2 * ux * uy, "xy"), (1 - uy * uy, "y²"), (-2 * fx - 2 * ux * w, "x"), (-2 * fy - 2 * uy * w, "y")]
    constant = w * w - fx * fx - fy * fy
    return _sum_text(parts, decimals) + f" = {rounded_text(constant, decimals)}"


def _shifted(letter, by, decimals):
    shift = rounded_text(-by, decimals)
    if float(shift.replace("−", "-")) == 0:
        return f"{letter}²"
    return f"({letter} {'−' if shift.startswith('−') else '+'} {shift.lstrip('−')})²"


def _sum_text(parts, decimals):
    """A sum of terms; those that round to nothing are left out."""
    text = ""
    for number, letters in parts:
        shown = rounded_text(number, decimals)
        size = shown.lstrip("−")
        if float(size) == 0:
            continue
        if letters and float(size) == 1:
            size = ""
        sign = "−" if shown.startswith("−") else "+"
        text += f" {sign} {size}{letters}" if text else ("−" if sign == "−" else "") + size + letters
    return text or rounded_text(0, decimals)
