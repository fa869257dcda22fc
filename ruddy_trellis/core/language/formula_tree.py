"""The text of a formula as a tree, read by a small parser of our own, never by Python."""

import re
from collections.abc import Iterator
from fractions import Fraction
from functools import lru_cache

from .. import limits
from ..refusal import Refusal
from .formula_words import COMPARISONS, FUNCTIONS, MEASURES
from .names import WRITTEN

_TOKEN = re.compile(
    rf"\s*(?:(?P<number>\d+(?:\.\d*)?|\.\d+)|(?P<operand>\{{\d+\}})|(?P<name>{WRITTEN.pattern})|(?P<mark><=|>=|[-+*/^()−×·÷½²³<>≤≥=]))"
)
_SAME = {"−": "-", "×": "*", "·": "*", "÷": "/", "<=": "≤", ">=": "≥"}
#: What is said of what a formula cannot hold.
WHAT_FITS = (
    "Use numbers, names of readings, + − × ÷ ^, brackets, < and >, sqrt, abs, round, sin, cos, tan, area, perimeter, radius, angle and pi."
)


def tokens_of(text: str) -> list[tuple[str, str, int]]:
    """The numbers, names, operands and signs of a formula: what each is, what it says, and where it stands. Raises Refusal."""
    tokens, at = [], 0
    while text[at:].strip():
        found = _TOKEN.match(text, at)
        if not found:
            place = at + len(text[at:]) - len(text[at:].lstrip())
            raise Refusal(f"A formula cannot hold “{text[place]}”. {WHAT_FITS}", place)
        kind = found.lastgroup or ""
        value = found[kind]
        tokens.append((kind, _SAME.get(value, value), found.start(kind)))
        at = found.end()
    return tokens


@lru_cache(maxsize=2048)
def parse(text: str) -> tuple[tuple, tuple, dict]:
    """The tree of a formula, the names in it with their places, and the function of things that a name stands in. Raises Refusal."""
    parser = _Parser(text)
    tree = parser.comparison()
    if parser.kind:
        raise Refusal(f"The formula should have ended before “{parser.value}”. {WHAT_FITS}", parser.place)
    return tree, tuple(parser.names), parser.inside


def parsed(text: str, start: int = 0):
    """The tree of a text that is part of something else, and its names with their places; ``start`` is where it begins
    there, for the place of a refusal."""
    try:
        tree, names, _ = parse(text)
    except Refusal as refusal:
        raise Refusal(refusal.sentence, None if refusal.place is None else start + refusal.place) from None
    return tree, names


def measured(tree: tuple) -> Iterator[tuple[str, int]]:
    """The functions of things in a tree, each with the place of its operand."""
    if tree[0] == "measure":
        yield tree[1], tree[2]
    for part in tree[1:]:
        if isinstance(part, tuple):
            yield from measured(part)


class _Parser:
    """Reads sums of products of powers, by one method each."""

    def __init__(self, text: str) -> None:
        self._tokens = tokens_of(text)
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
        if token := self._take(*COMPARISONS):
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
            raise Refusal(f"The formula stops too soon. {WHAT_FITS}", place)
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
