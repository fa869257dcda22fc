"""The formulas of calculations: read by a small parser of our own, never by Python, and run in any arithmetic.

A formula is kept as a text with ``{0}``, ``{1}`` … in the places of the readings it uses, and the list of what
stands there, so that it survives renaming.
"""

import re
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from fractions import Fraction
from functools import lru_cache
from typing import Any

from .. import limits
from ..arithmetic.protocol import Arithmetic, Number
from ..formulas import arcs, measures
from ..refusal import Refusal
from .names import WRITTEN

ANGLE = "angle"


def _tangent(m, angle):
    cosine, sine = m.cos_sin(angle)
    # What cannot be told from a right angle has no tangent.
    return m.divide(sine, m.cross((cosine, sine), (m.number(0), m.number(1))))


#: Each function of numbers: what it does, and what it makes of the dimension it is given ("halve", "keep", "sine").
FUNCTIONS = {
    "sqrt": (lambda m, x: m.sqrt(x), "halve"),
    "abs": (lambda m, x: m.absolute(x), "keep"),
    "round": (lambda m, x: m.rounded(x), "keep"),
    "sin": (lambda m, x: m.cos_sin(x)[1], "sine"),
    "cos": (lambda m, x: m.cos_sin(x)[0], "sine"),
    "tan": (_tangent, "sine"),
}
#: Each function of things: what it measures of the kind it is given, the dimension, and what it takes, in words.
MEASURES: dict[str, tuple[dict[str, Callable[..., Number]], Any, str]] = {
    "area": (
        {
            "polygon": measures.polygon_area,
            "circle": measures.circle_area,
            "sector": arcs.sector_area,
            "chord_region": arcs.chord_region_area,
        },
        2,
        "corners, a polygon, a circle or a sector",
    ),
    "perimeter": (
        {
            "polygon": measures.perimeter,
            "circle": measures.circumference,
            "sector": arcs.sector_perimeter,
            "chord_region": arcs.chord_region_perimeter,
        },
        1,
        "corners, a polygon, a circle or a sector",
    ),
    "radius": ({"circle": measures.radius, "arc": measures.radius, "sector": measures.radius}, 1, "a circle or an arc"),
    "angle": ({"corner": lambda m, corner: measures.angle(m, *corner)}, ANGLE, "three points"),
}
_COMPARISONS = ("<", ">", "≤", "≥")
#: The dimension of what is true or false.
TRUTH = "truth"

_TOKEN = re.compile(
    rf"\s*(?:(?P<number>\d+(?:\.\d*)?|\.\d+)|(?P<operand>\{{\d+\}})|(?P<name>{WRITTEN.pattern})|(?P<mark><=|>=|[-+*/^()−×·÷½²³<>≤≥=]))"
)
_SAME = {"−": "-", "×": "*", "·": "*", "÷": "/", "<=": "≤", ">=": "≥"}
_WHAT_FITS = (
    "Use numbers, names of readings, + − × ÷ ^, brackets, < and >, sqrt, abs, round, sin, cos, tan, area, perimeter, radius, angle and pi."
)


@dataclass(frozen=True)
class Formula:
    """A formula with its operands.

    Attributes:
        text: the formula, with ``{0}``, ``{1}`` … where its operands stand.
        operands: what stands there: ids of one reading or thing, of two points whose distance is meant, or of three and
            more, the corners of a polygon.
    """

    text: str
    operands: tuple

    @property
    def tree(self) -> tuple:
        return _parse(self.text)[0]

    @property
    def is_statement(self) -> bool:
        """Whether it says that some formulas are equal."""
        return self.tree[0] == "="

    def sides(self, m: Arithmetic, *operands) -> list[Number]:
        """Of a statement, the values that it says are equal, in arithmetic m. Raises Undefined where one has none."""
        return [_evaluate(side, m, operands) for side in self.tree[1:]]

    def check_places(self) -> None:
        """Raise Refusal unless the text holds places only, each with an operand."""
        tokens = _tokens(self.text)
        places = {int(value[1:-1]) for kind, value, _ in tokens if kind == "operand"}
        if _parse(self.text)[1] or places != set(range(len(self.operands))):
            raise Refusal("A kept formula names its readings by {0}, {1} …, one for each in its list.")

    def evaluate(self, m: Arithmetic, *operands) -> Number:
        """The value in arithmetic m, given the operands' values. Raises Undefined where it has none."""
        return _evaluate(self.tree, m, operands)

    def dimension(self, operands: Sequence[Any]) -> Any:
        """The dimension of the value, given those of the operands. Raises Refusal where they do not go together."""
        dimension = _dimension(self.tree, operands)
        return 0 if dimension is None else dimension

    def places(self) -> list[int]:
        """The places of its operands that stand in it."""
        return sorted({int(value[1:-1]) for kind, value, _ in _tokens(self.text) if kind == "operand"})

    def is_homogeneous(self, operands: Sequence[Any]) -> bool:
        """Whether it comes to the same in every unit of length: no typed number in it stands for a length.

        Args:
            operands: the dimensions of its operands.
        """
        try:
            _dimension(self.tree, operands, plain=0)
        except Refusal:
            return False
        return True

    def measured(self) -> dict[int, str]:
        """For each operand that stands in a function of things, as area(ABC): the name of that function."""
        return {place: name for name, place in _measured(self.tree)}

    def written(self, names: Sequence[str]) -> str:
        """The formula with names in the places of its operands."""
        return re.sub(r"\{(\d+)\}(?=(\s*\()?)", lambda found: _apart(names[int(found[1])], found[2]), self.text)


def _apart(name: str, bracket: str | None) -> str:
    """A name as it is written before a bracket: one that is also the name of a function is multiplied with it in so many words."""
    return f"{name} *" if bracket and (name in FUNCTIONS or name in MEASURES) else name


def read_formula(text: str, resolve: Callable[..., tuple[str, ...]], statement: bool = False) -> Formula:
    """Read a formula that a person typed, or a statement that formulas are equal.

    Args:
        text: the formula, with names.
        resolve: a function from a name, and the function of things it stands in or None, to the ids it stands for;
            raises Refusal for a name it does not know.

    Raises:
        Refusal: with the place in the text, where it is not a formula.
    """
    if len(text) > limits.FORMULA_LENGTH:
        raise Refusal(f"A formula has at most {limits.FORMULA_LENGTH} characters; that one has {len(text):,}.")
    if "{" in text:
        raise Refusal(f"A formula cannot hold “{{”. {_WHAT_FITS}", text.index("{"))
    tree, names, inside = _parse(text)
    if not statement and tree[0] == "=":
        raise Refusal(f"A formula cannot hold “=”. {_WHAT_FITS}", text.index("="))
    if statement and tree[0] != "=":
        raise Refusal("A statement says that two formulas are equal, such as AB = CD or angle(ABC) = 90.")
    operands, kept, at = [], [], 0
    for number, (name, place) in enumerate(names):
        try:
            found = resolve(name, inside.get(number))
        except Refusal as refusal:
            raise Refusal(refusal.sentence, place) from None
        use = found, inside.get(number)
        if use not in operands:
            operands.append(use)
        kept.append(text[at:place] + f"{{{operands.index(use)}}}")
        at = place + len(name)
    return Formula(("".join(kept) + text[at:]).strip(), tuple(ids for ids, _ in operands))


def _tokens(text):
    tokens, at = [], 0
    while text[at:].strip():
        found = _TOKEN.match(text, at)
        if not found:
            place = at + len(text[at:]) - len(text[at:].lstrip())
            raise Refusal(f"A formula cannot hold “{text[place]}”. {_WHAT_FITS}", place)
        kind = found.lastgroup or ""
        value = found[kind]
        tokens.append((kind, _SAME.get(value, value), found.start(kind)))
        at = found.end()
    return tokens


@lru_cache(maxsize=2048)
def _parse(text):
    """The tree of a formula, the names in it with their places, and the function of things that a name stands in."""
    parser = _Parser(text)
    tree = parser.comparison()
    if parser.kind:
        raise Refusal(f"The formula should have ended before “{parser.value}”. {_WHAT_FITS}", parser.place)
    return tree, tuple(parser.names), parser.inside


def parsed(text: str, start: int = 0):
    """The tree of a text that is part of something else, and its names with their places; ``start`` is where it begins
    there, for the place of a refusal."""
    try:
        tree, names, _ = _parse(text)
    except Refusal as refusal:
        raise Refusal(refusal.sentence, None if refusal.place is None else start + refusal.place) from None
    return tree, names


def _measured(tree):
    if tree[0] == "measure":
        yield tree[1], tree[2]
    for part in tree[1:]:
        if isinstance(part, tuple):
            yield from _measured(part)


class _Parser:
    """Reads sums of products of powers, by one method each."""

    def __init__(self, text: str) -> None:
        self._tokens = _tokens(text)
        self._at = 0
        self._end = len(text)
        self.names = []
        self.inside = {}

    def _token(self):
        return self._tokens[self._at] if self._at < len(self._tokens) else (None, "", self._end)

    kind = property(lambda self: self._token()[0])
    value = property(lambda self: self._token()[1])
    place = property(lambda self: self._token()[2])

    def _take(self, *marks):
        if self.kind == "mark" and self.value in marks:
            self._at += 1
            return self._tokens[self._at - 1]
        return None

    def comparison(self):
        tree = self.sum(0)
        sides = [tree]
        while self._take("="):
            sides.append(self.sum(0))
        if len(sides) > 1:
            return ("=", *sides)
        if token := self._take(*_COMPARISONS):
            return (token[1], tree, self.sum(0), token[2])
        return tree

    def sum(self, depth):
        if depth > limits.FORMULA_NESTING:
            raise Refusal(f"The formula has more than {limits.FORMULA_NESTING} brackets inside one another.", self.place)
        tree = self._product(depth)
        while token := self._take("+", "-"):
            tree = (token[1], tree, self._product(depth), token[2])
        return tree

    def _product(self, depth):
        tree = self._signed(depth)
        while True:
            if token := self._take("*", "/"):
                tree = (token[1], tree, self._signed(depth), token[2])
            elif self.kind in ("name", "operand") or (self.kind == "mark" and self.value in "(½"):
                tree = ("*", tree, self._power(depth), self.place)
            else:
                return tree

    def _signed(self, depth):
        signs = 0
        while token := self._take("-", "+"):
            signs += token[1] == "-"
        tree = self._power(depth)
        return ("minus", tree) if signs % 2 else tree

    def _power(self, depth):
        base = self._atom(depth)
        if token := self._take("²", "³"):
            return ("^", base, 2 if token[1] == "²" else 3)
        if token := self._take("^"):
            minus = bool(self._take("-"))
            kind, value, place = self._token()
            if kind != "number" or "." in value or int(value) > 12:
                raise Refusal("After ^ comes a whole number up to 12; for a root use sqrt(…).", place)
            self._at += 1
            return ("^", base, -int(value) if minus else int(value))
        return base

    def _atom(self, depth):
        kind, value, place = self._token()
        if kind is None:
            raise Refusal(f"The formula stops too soon. {_WHAT_FITS}", place)
        self._at += 1
        if kind == "number":
            return ("number", Fraction(value))
        if kind == "operand":
            return ("operand", int(value[1:-1]))
        if value == "½":
            return ("number", Fraction(1, 2))
        if value == "(":
            return self._bracket(depth, place)
        if kind == "name":
            return self._name(depth, value, place)
        raise Refusal(f"A number, a name or a bracket should stand where “{value}” is.", place)

    def _bracket(self, depth, place):
        tree = self.sum(depth + 1)
        if not self._take(")"):
            raise Refusal("This bracket is never closed.", place)
        return tree

    def _name(self, depth, value, place):
        if self._take("("):
            if value in FUNCTIONS:
                return ("call", value, self._bracket(depth, place + len(value)))
            if value in MEASURES:
                return ("measure", value, self._thing(value))
            raise Refusal(f"There is no function called {value}. There are {', '.join((*FUNCTIONS, *MEASURES))}.", place)
        if value in {"pi", "π"}:
            return ("pi",)
        self.names.append((value, place))
        return ("operand", len(self.names) - 1)

    def _thing(self, function):
        """The place of the operand that stands in a function of things."""
        kind, value, place = self._token()
        if kind not in ("name", "operand"):
            raise Refusal(f"In {function}(…) stands the name of {MEASURES[function][2]}.", place)
        self._at += 1
        if not self._take(")"):
            raise Refusal(f"In {function}(…) stands the name of {MEASURES[function][2]} and nothing else.", self.place)
        if kind == "operand":
            return int(value[1:-1])
        self.names.append((value, place))
        self.inside[len(self.names) - 1] = function
        return len(self.names) - 1


def _evaluate(tree, m, operands):
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
        return -_evaluate(tree[1], m, operands)
    if kind == "call":
        return FUNCTIONS[tree[1]][0](m, _evaluate(tree[2], m, operands))
    left = _evaluate(tree[1], m, operands)
    if kind == "^":
        power = m.number(1)
        for _ in range(abs(tree[2])):
            power = power * left
        return power if tree[2] >= 0 else m.divide(m.number(1), power)
    right = _evaluate(tree[2], m, operands)
    if kind in _COMPARISONS:
        more = right - left if kind in "<≤" else left - right
        one, zero = m.number(1), m.number(0)
        # "Less" is "not at least": the sign is asked the other way round.
        return m.choose(more, one, zero) if kind in "≤≥" else m.choose(-more, zero, one)
    if kind == "+":
        return left + right
    if kind == "-":
        return left - right
    return left * right if kind == "*" else m.divide(left, right)


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


def _dimension(tree, operands, plain=None):
    """The power of length of a value, "angle", "truth", or ``plain`` for a typed number: None where it goes with anything."""
    kind = tree[0]
    if kind == "=":
        return _dimension_of_all([_dimension(side, operands, plain) for side in tree[1:]], plain)
    if kind == "measure":
        return MEASURES[tree[1]][1]
    if kind == "operand":
        return operands[tree[1]]
    if kind in ("number", "pi"):
        return None if tree[-1] == 0 else plain
    if kind == "minus":
        return _dimension(tree[1], operands, plain)
    if kind == "call":
        inner = _dimension(tree[2], operands, plain)
        rule = FUNCTIONS[tree[1]][1]
        if rule == "halve" and inner not in (None, ANGLE):
            return Fraction(inner) / 2
        if rule == "sine" and inner not in (None, 0, ANGLE):
            raise Refusal(f"{tree[1]} takes an angle, and this is {_called(inner)}.")
        return 0 if rule == "sine" else inner
    left = _dimension(tree[1], operands, plain)
    if kind == "^":
        return left if left in (None, ANGLE) else left * tree[2]
    right = _dimension(tree[2], operands, plain)
    if plain == 0:
        left, right = (0 if one == ANGLE else one for one in (left, right))
    if TRUTH in (left, right):
        raise Refusal("What is true or false cannot be reckoned with.", tree[3] if len(tree) > 3 else None)
    if kind in _COMPARISONS:
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
