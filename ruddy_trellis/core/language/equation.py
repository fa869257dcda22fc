"""Equations in x and y: read as polynomials, exactly, and turned into lines, circles and conics."""

import re
from collections.abc import Callable
from fractions import Fraction
from functools import lru_cache
from math import inf

from ..arithmetic import FLOATS, Undefined
from ..arithmetic.protocol import Arithmetic
from ..formulas import conics
from ..formulas.values import Circle, Conic, Straight
from ..refusal import Refusal
from .formula_tree import parsed

_WANTED = "An equation in x and y looks like y = 3x − 1, 5x + 2y = 10 or x^2 + y^2 = 25."
_NAMES = {"line": "a line", "circle": "a circle", "conic": "a conic"}


def with_each_sign(text: str) -> tuple[str, str]:
    """The equation with its ± as plus and as minus; a plus before the first number of a side is not written."""
    return re.sub(r"(^|=)(\s*)±\s*", r"\1\2", text).replace("±", "+"), text.replace("±", "−")


class NoEquals(Refusal):
    """What has no “=”, so that it was hardly meant as an equation."""


class NoEquation(Refusal):
    """What reads as an equation in x and y, and is none that anything is made from."""


@lru_cache(maxsize=512)
def coefficients(text: str):
    """The equation as a dict from powers of x and y to fractions, all brought to one side.

    Raises:
        Refusal: with the place in the text, where it is not an equation in x and y of at most degree 2.
    """
    left, equals, right = text.partition("=")
    if not equals:
        raise NoEquals(f"An equation has one “=”. {_WANTED}")
    if "=" in right:
        raise Refusal(f"An equation has one “=”. {_WANTED}")
    trees = []
    for side, start in ((left, 0), (right, len(left) + 1)):
        tree, names = parsed(side, start)
        for name, place in names:
            if name not in ("x", "y"):
                raise Refusal(f"“{name}” is neither x nor y. {_WANTED}", start + place)
        trees.append((tree, [name for name, _ in names]))
    if not any(names for _, names in trees):
        raise Refusal(f"Neither x nor y is in that equation. {_WANTED}")
    try:
        return _brought_to_one_side(*trees)
    except NoEquation:
        raise
    except Refusal as refusal:
        raise NoEquation(refusal.sentence, refusal.place) from None


def _brought_to_one_side(left, right):
    both = _sum(_polynomial(*left), _polynomial(*right), -1)
    if max((i + j for i, j in both), default=0) > 2:
        raise Refusal(f"Only lines, circles and conics are made from equations: no power above 2. {_WANTED}")
    if not any(i + j for i, j in both):
        raise Refusal(f"Neither x nor y is left in that equation. {_WANTED}")
    return both


def is_equation(text: str) -> bool:
    """Whether a text reads as an equation in x and y (or two with ±). Raises NoEquation where it does and nothing is made from it."""
    try:
        for each in with_each_sign(text):
            coefficients(each)
    except NoEquation:
        raise
    except Refusal:
        return False
    return True


def made_by(text: str) -> str:
    """The key of the construction for an equation: a line, both lines, a circle or a conic. Raises Refusal."""
    known = [coefficients(each) for each in with_each_sign(text)]
    if all(_is_line(part) for part in known):
        return "lines_from_equation" if "±" in text else "line_from_equation"
    return "circle_from_equation" if _is_circle(known[0]) else "conic_from_equation"


def check_equation(wanted: str) -> Callable[..., None]:
    """The check of a construction that takes an equation of a "line", "lines" (with ±), a "circle" or a "conic"."""

    def check(fills, board):
        text = fills["equation"]
        if (wanted == "lines") != ("±" in text):
            raise Refusal(
                "“±” stands in an equation of both lines, such as y = ±2." if wanted != "lines" else "Both lines need “±”: y = ±2."
            )
        for each in with_each_sign(text) if wanted == "lines" else (text,):
            known = coefficients(each)
            fits = {"line": _is_line, "lines": _is_line, "circle": _is_circle, "conic": lambda part: not _is_line(part)}[wanted]
            if not fits(known):
                raise Refusal(f"{each.strip()} is not the equation of {_NAMES.get(wanted, 'a line')}. {_WANTED}")
            if wanted in ("circle", "conic"):
                try:
                    (circle_of if wanted == "circle" else conic_of)(FLOATS, each)
                except (Undefined, ZeroDivisionError):
                    raise Refusal(f"No points, or only straight lines, fit {each.strip()}.") from None

    return check


def _is_line(known):
    return all(i + j <= 1 for i, j in known)


def _is_circle(known):
    return (2, 0) in known and known.get((2, 0)) == known.get((0, 2)) and (1, 1) not in known


def line_of(m: Arithmetic, text: str) -> Straight:
    """The line of an equation, directed to the right, or upwards where it stands upright."""
    known = coefficients(text)
    a, b, c = (known.get(powers, Fraction(0)) for powers in ((1, 0), (0, 1), (0, 0)))
    dx, dy = (b, -a) if b else (Fraction(0), Fraction(1))
    if dx < 0:
        dx, dy = -dx, -dy
    share = -c / (a * a + b * b)
    return (*map(m.number, (a * share, b * share, dx, dy)), -inf, inf)


def circle_of(m: Arithmetic, text: str) -> Circle:
    """The circle of an equation. Raises Undefined where no points fit it."""
    known = coefficients(text)
    scale = known[2, 0]
    x, y = -known.get((1, 0), Fraction(0)) / scale / 2, -known.get((0, 1), Fraction(0)) / scale / 2
    square = x * x + y * y - known.get((0, 0), Fraction(0)) / scale
    if square <= 0:
        raise Undefined("no points fit the equation")
    return m.number(x), m.number(y), m.number(square)


def conic_of(m: Arithmetic, text: str) -> Conic:
    """The conic of an equation. Raises Undefined where it is straight lines, a point or nothing."""
    known = coefficients(text)
    order = ((2, 0), (1, 1), (0, 2), (1, 0), (0, 1), (0, 0))
    return conics.from_coefficients(m, *(m.number(known.get(powers, Fraction(0))) for powers in order))


def _sum(p, q, sign=1):
    total = dict(p)
    for powers, part in q.items():
        total[powers] = total.get(powers, 0) + sign * part
    return {powers: _kept(part) for powers, part in total.items() if part}


#: Higher powers than this do not cancel in an equation that a person types, nor do longer numbers stand in it.
_DEGREE, _DIGITS = 6, 400


def _product(p, q):
    total = {}
    for (i, j), part in p.items():
        for (k, l), other in q.items():
            if i + k + j + l > _DEGREE:
                raise Refusal(f"Only lines, circles and conics are made from equations: no power above 2. {_WANTED}")
            total[i + k, j + l] = _kept(total.get((i + k, j + l), 0) + part * other)
    return {powers: part for powers, part in total.items() if part}


def _kept(number):
    if number.numerator.bit_length() + number.denominator.bit_length() > 4 * _DIGITS:
        raise Refusal(f"The numbers of that equation are too long. {_WANTED}")
    return number


def _polynomial(tree, names):
    kind = tree[0]
    if kind == "operand" and tree[1] < len(names):
        return {(1, 0) if names[tree[1]] == "x" else (0, 1): Fraction(1)}
    if kind == "number":
        return {(0, 0): tree[1]} if tree[1] else {}
    if kind == "minus":
        return _sum({}, _polynomial(tree[1], names), -1)
    if kind in "+-":
        return _sum(_polynomial(tree[1], names), _polynomial(tree[2], names), 1 if kind == "+" else -1)
    if kind == "*":
        return _product(_polynomial(tree[1], names), _polynomial(tree[2], names))
    if kind == "/":
        above, below = _polynomial(tree[1], names), _polynomial(tree[2], names)
        if set(below) != {(0, 0)}:
            raise Refusal(f"An equation is divided by plain numbers only. {_WANTED}")
        return {powers: _kept(part / below[0, 0]) for powers, part in above.items()}
    if kind == "^" and 0 <= tree[2] <= 2:
        base, power = _polynomial(tree[1], names), {(0, 0): Fraction(1)}
        for _ in range(tree[2]):
            power = _product(power, base)
        return power
    raise Refusal(f"That equation cannot be read: only + − × ÷ and squares. {_WANTED}")
