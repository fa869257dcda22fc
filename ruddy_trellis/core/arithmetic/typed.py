"""Typed numbers as what was typed."""

from fractions import Fraction
from typing import Any


def as_typed(value: Any) -> Fraction:
    """A number as a fraction: 1.7 is 17/10, as it was typed, and not the float next to that."""
    return Fraction(repr(float(value))) if isinstance(value, float) else Fraction(value)
