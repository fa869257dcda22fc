"""Typed numbers as what was typed: 1.7 is 17/10 and 1/3 a third, and not the floats next to them."""

from fractions import Fraction
from functools import lru_cache
from typing import Any

#: The corners that a regular polygon has at most: its turns are exact shares of a whole turn.
MOST_CORNERS = 60
#: A float that needs so many digits and is what a fraction with no larger denominator comes to was typed as that.
_DIGITS, _LARGEST = 15, 64


def corner_turn(count: int) -> float:
    """By how many degrees a side of a regular polygon is turned to be the next one, about the corner between them."""
    return 360 / count - 180.0


#: The turns whose floats are not the ones next to the fractions that they stand for.
_TURNS = {corner_turn(count): Fraction(360, count) - 180 for count in range(3, MOST_CORNERS + 1)}
_FLOATS = {ratio: turn for turn, ratio in _TURNS.items()}


def as_typed(value: Any) -> Fraction:
    """A number as a fraction, as it was typed."""
    if not isinstance(value, float):
        return Fraction(value)
    return as_ratio(float(value)) or Fraction(repr(float(value)))


@lru_cache(4096)
def as_ratio(value: float) -> Fraction | None:
    """The fraction that a float stands for; None where it stands for a decimal."""
    if len(repr(value)) < _DIGITS or "e" in repr(value) or value != value or abs(value) == float("inf"):
        return None
    if value in _TURNS:
        return _TURNS[value]
    ratio = Fraction(value).limit_denominator(_LARGEST)
    return ratio if float(ratio) == value else None


def from_ratio(top: str, below: str, value: float) -> float:
    """The float for a typed fraction: for a turn of a regular polygon the very one that the polygon has.

    Args:
        top, below: the fraction's decimals as they were typed; ``value``: the float that they come to.
    """
    if not 0 < abs(value) <= 360:
        return value
    ratio = abs(Fraction(top) / Fraction(below))
    return _FLOATS.get(-ratio if value < 0 else ratio, value)
