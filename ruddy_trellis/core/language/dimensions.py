"""Which unit the value of a formula has, and what cannot be added, compared or said to be equal."""

from collections.abc import Sequence
from fractions import Fraction
from typing import Any

from ..refusal import Refusal
from .formula_words import ANGLE, COMPARISONS, FUNCTIONS, MEASURES, TRUTH


def _dimension_of_all(dimensions, plain):
    """The dimension of what is said to be equal. Raises Refusal where lengths are said to be areas, or so. What has none, as a
    dial or degrees, goes with all others, unless plain numbers are to be told from lengths."""
    told = [one for one in dimensions if one is not None]
    if len({0 if one == ANGLE else one for one in told} - (set() if plain == 0 else {0})) > 1:
        raise Refusal(f"{_called(told[0]).capitalize()} cannot be equal to {_called(next(one for one in told if one != told[0]))}.")
    return TRUTH


_CALLED = {0: "a plain number", 1: "a length", 2: "an area", ANGLE: "an angle"}


def _called(dimension):
    return _CALLED.get(dimension, f"a length to the power {dimension}")


def dimension(tree: tuple, operands: Sequence[Any], plain: Any = None) -> Any:
    """The power of length of a value, "angle", "truth", or ``plain`` for a typed number: None where it goes with anything."""
    kind = tree[0]
    if kind == "=":
        return _dimension_of_all([dimension(side, operands, plain) for side in tree[1:]], plain)
    if kind == "measure":
        return MEASURES[tree[1]][1]
    if kind == "operand":
        return operands[tree[1]]
    if kind in ("number", "pi"):
        return None if tree[-1] == 0 else plain
    if kind == "minus":
        return dimension(tree[1], operands, plain)
    if kind == "call":
        inner = dimension(tree[2], operands, plain)
        rule = FUNCTIONS[tree[1]][1]
        if rule == "halve" and inner not in (None, ANGLE):
            return Fraction(inner) / 2
        if rule == "sine" and inner not in (None, 0, ANGLE):
            raise Refusal(f"{tree[1]} takes an angle, and this is {_called(inner)}.")
        return 0 if rule == "sine" else inner
    left = dimension(tree[1], operands, plain)
    if kind == "^":
        return left if left in (None, ANGLE) else left * tree[2]
    right = dimension(tree[2], operands, plain)
    if plain == 0:
        left, right = (0 if one == ANGLE else one for one in (left, right))
    if TRUTH in (left, right):
        raise Refusal("What is true or false cannot be reckoned with.", tree[3] if len(tree) > 3 else None)
    if kind in COMPARISONS:
        if left is None or right is None or left == right:
            return TRUTH
        raise Refusal(f"{_called(left).capitalize()} cannot be compared with {_called(right)}.", tree[3])
    if kind in "+-":
        if left is None or right is None or left == right:
            return right if left is None else left
        doing = "added to" if kind == "+" else "subtracted from"
        first, second = (left, right) if kind == "+" else (right, left)
        raise Refusal(f"{_called(first).capitalize()} cannot be {doing} {_called(second)}.", tree[3])
    if left is None and right is None:
        return None
    if ANGLE in (left, right):
        # A share of an angle is an angle; with anything else that has a unit, an angle is the number of its degrees.
        if (left == ANGLE and right in (None, 0)) or (right == ANGLE and left in (None, 0) and kind == "*"):
            return ANGLE
        left, right = (0 if one == ANGLE else one for one in (left, right))
    return (left or 0) + (right or 0) * (1 if kind == "*" else -1)
