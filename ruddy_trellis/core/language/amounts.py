"""Numbers as people write them: 1/2, 2½, √3, 3√2, −4, 60°, 250 cm, "a third", "twice"."""

import math
import re

from ..arithmetic.typed import from_ratio
from ..refusal import Refusal
from ..seen import SeenBoard

_PARTS = {"½": 1 / 2, "⅓": 1 / 3, "⅔": 2 / 3, "¼": 1 / 4, "¾": 3 / 4, "⅕": 1 / 5, "⅛": 1 / 8}
_WORDS = {
    "half": 1 / 2, "a half": 1 / 2, "one half": 1 / 2, "a third": 1 / 3, "one third": 1 / 3, "two thirds": 2 / 3, "a quarter": 1 / 4,
    "three quarters": 3 / 4, "double": 2, "twice": 2, "triple": 3, "three times": 3, "one": 1, "two": 2, "three": 3, "four": 4, "five": 5,
    "six": 6, "seven": 7, "eight": 8, "nine": 9, "ten": 10, "twelve": 12, "a right angle": 90, "a quarter turn": 90, "a half turn": 180,
    "right angle": 90, "quarter turn": 90, "half turn": 180, "minus one": -1,
}  # fmt: skip
_UNIT = re.compile(r"\s*(mm|cm|km|m|degrees?|deg|°|units?|times)\s*$")
#: The units of length, in millimetres: whole numbers, so that 70 mm are 7 cm to the last place.
MILLIMETRES = {"mm": 1, "cm": 10, "m": 1000, "km": 1_000_000}
_DECIMAL = r"(?:\d+[.]?\d*|[.]\d+)(?:[eE][-−+]?\d+)?"
_AMOUNT = re.compile(
    rf"(?P<sign>[-−+]?)\s*(?:(?P<whole>{_DECIMAL})\s*)?(?:(?P<part>[½⅓⅔¼¾⅕⅛])|\s+(?P<over>\d+)\s*/\s*(?P<under>\d+)|/\s*(?P<by>{_DECIMAL}))?"
    rf"\s*(?:[*×·]?\s*(?:√|sqrt|root)\s*\(?\s*(?P<root>{_DECIMAL})\s*\)?)?\s*(?:/\s*(?P<last>{_DECIMAL}))?"
)


def amount(text: str, board: SeenBoard) -> float | None:
    """The number that a text says, in the unit of the board; None where it is none. Raises Refusal for a unit on a board that
    has none."""
    text = text.strip()
    unit = None
    if found := _UNIT.search(text):
        unit, text = found[1], text[: found.start()].strip()
    value = _WORDS.get(text.lower())
    if value is None:
        value = _written(text)
    if value is None or unit not in MILLIMETRES or unit == board.settings.unit:
        return value
    if not board.settings.unit:
        raise Refusal(f"This board has no unit, so type the number without “{unit}”.")
    return value * MILLIMETRES[unit] / MILLIMETRES[board.settings.unit]


def _written(text: str) -> float | None:
    found = _AMOUNT.fullmatch(text)
    if not found or not any(found[name] for name in ("whole", "part", "root")):
        return None
    if (found["by"] or found["over"]) and not found["whole"]:
        return None
    try:
        value = typed_number(found["whole"]) if found["whole"] else 0.0 if found["part"] else 1.0
        if found["part"]:
            value += _PARTS[found["part"]]
        if found["over"]:
            value += typed_number(found["over"]) / typed_number(found["under"])
        if found["by"]:
            value /= typed_number(found["by"])
        if found["root"]:
            value *= math.sqrt(typed_number(found["root"]))
        if found["last"]:
            value /= typed_number(found["last"])
    except ZeroDivisionError:
        return None
    value = -value if found["sign"] in ("-", "−") else value
    if found["by"] and not found["root"] and not found["last"]:
        return from_ratio(found["whole"], found["by"], value)
    return value


def typed_number(text: str) -> float:
    """The number that decimal digits say, with a minus of either sort."""
    return float(text.replace("−", "-"))
