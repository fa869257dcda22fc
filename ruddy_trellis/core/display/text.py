"""Names and values as a person reads them."""

import re

from ..language.expression import ANGLE
from ..language.printing import rounded_text

_SUBSCRIPTS = str.maketrans("0123456789", "₀₁₂₃₄₅₆₇₈₉")


def shown_name(name):
    """A name with its subscript as one: A_1 is A₁, area_ABC is "area ABC"."""
    main, _, low = name.partition("_")
    if not low:
        return name
    match = re.fullmatch(r"(\d+)(.*)", low)
    return main + match[1].translate(_SUBSCRIPTS) + match[2] if match else f"{main} {low}"


def unit_text(dimension, unit):
    """The unit of a reading: "°", "m", "m²" or nothing."""
    if dimension == ANGLE:
        return "°"
    if not unit or dimension == 0:
        return ""
    if dimension == 1:
        return f" {unit}"
    powers = {2: "²", 3: "³"}
    return f" {unit}{powers.get(dimension, f'^{dimension}')}"


def value_text(board, id):
    """The value of a reading, rounded, with its unit; a dash where it has none now."""
    value = board.value(id)
    if value is None:
        return "–"
    look = board.step(id).look
    decimals = board.settings.decimals if look.decimals is None else look.decimals
    dimension = board.dimension(id)
    if dimension == ANGLE and look.decimals is None:
        decimals = min(decimals, 1)
    return rounded_text(value, decimals) + unit_text(dimension, board.settings.unit)
