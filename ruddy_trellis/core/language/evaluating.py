"""The value of the tree of a formula, in any arithmetic."""

from collections.abc import Sequence
from typing import Any

from ..arithmetic.protocol import Arithmetic, Number
from .formula_words import COMPARISONS, FUNCTIONS, MEASURES


def evaluate(tree: tuple, m: Arithmetic, operands: Sequence[Any]) -> Number:
    """The value of a tree, given those of its operands. Raises Undefined where it has none."""
    kind = tree[0]
    if kind == "measure":
        rules = MEASURES[tree[1]][0]
        thing_kind, value = operands[tree[2]]
        return rules[thing_kind](m, value)
    if kind == "operand":
        return operands[tree[1]]
    if kind == "number":
        return m.number(tree[1])
    if kind == "pi":
        return m.pi()
    if kind == "minus":
        return -evaluate(tree[1], m, operands)
    if kind == "call":
        return FUNCTIONS[tree[1]][0](m, evaluate(tree[2], m, operands))
    left = evaluate(tree[1], m, operands)
    if kind == "^":
        power = m.number(1)
        for _ in range(abs(tree[2])):
            power = power * left
        return power if tree[2] >= 0 else m.divide(m.number(1), power)
    right = evaluate(tree[2], m, operands)
    if kind in COMPARISONS:
        more = right - left if kind in "<≤" else left - right
        one, zero = m.number(1), m.number(0)
        # "Less" is "not at least": the sign is asked the other way round.
        return m.choose(more, one, zero) if kind in "≤≥" else m.choose(-more, zero, one)
    if kind == "+":
        return left + right
    if kind == "-":
        return left - right
    return left * right if kind == "*" else m.divide(left, right)


def size_of(tree: tuple, m: Arithmetic, operands: Sequence[Any]) -> Number:
    """About how large the numbers are that a tree is added up from: that of a - b is a + b. What is off by a share of this is off.
    Raises Undefined where the tree has no value."""
    kind = tree[0]
    if kind == "minus":
        return size_of(tree[1], m, operands)
    if kind in "+-":
        return size_of(tree[1], m, operands) + size_of(tree[2], m, operands)
    if kind == "*":
        return size_of(tree[1], m, operands) * size_of(tree[2], m, operands)
    if kind == "/":
        return m.divide(size_of(tree[1], m, operands), m.absolute(evaluate(tree[2], m, operands)))
    size = m.absolute(evaluate(tree, m, operands))
    # An angle that is nothing is nothing beside a degree.
    return size + m.number(1) if kind == "measure" and tree[1] == "angle" else size
