"""What a typed text fills a gap with: names of things, numbers with units, coordinates, formulas."""

import re
from collections.abc import Collection
from itertools import islice
from typing import Any

from .. import limits
from ..kinds import NUMBER, POINT, POLYGON, join, with_article, word
from ..limits import check_number
from ..refusal import Refusal
from ..seen import SeenBoard, SeenGap
from . import equation as equations
from . import names as spelling
from .amounts import amount, typed_number
from .expression import read_formula
from .formula_words import MEASURES
from .words import read_words

_NUMBER = r"[-−+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-−+]?\d+)?"
_BRANCH = re.compile(rf"\(\s*{_NUMBER}(?:\s*[,;]\s*{_NUMBER})+\s*\)")
COORDINATES = re.compile(rf"\(\s*({_NUMBER})\s*[,;]\s*({_NUMBER})\s*\)")


class NotAnOption(Refusal):
    """A text that is none of the words that may stand there. What else is wrong with a sentence says more of it."""


def tells_most(pair: tuple[float, Refusal]) -> tuple[float, bool]:
    """For the one of several refusals that is told: how far its sentence was read, and whether it is about more than a word."""
    return pair[0], not isinstance(pair[1], NotAnOption)


def read_fill(gap: SeenGap, text: str, board: SeenBoard) -> Any:
    """What a typed text fills a gap with. Raises Refusal where it does not fit."""
    kind = gap.kind
    if kind.literal == "formula":
        return read_formula(text, lambda name, function: operand(name, function, board))
    if kind.literal in ("statement", "comparison"):
        return read_formula(plain_statement(text), lambda name, function: operand(name, function, board), kind.literal)
    if kind.literal == "text":
        return read_words(text, lambda name: _reading_named(name, board))
    if kind.literal == "equation":
        return _equation_text(text)
    if kind.literal == "values":
        return " ".join(text.split())
    if kind.literal == "coordinates":
        found = COORDINATES.fullmatch(text)
        if not found:
            raise Refusal(f"“{text[:30]}” is not a place. Coordinates look like (2, 3) or (−1.5, 0).")
        return check_number(typed_number(found[1])), check_number(typed_number(found[2]))
    if kind.literal == "branch":
        numbers = _BRANCH.fullmatch(text) and [typed_number(part) for part in re.findall(_NUMBER, text)]
        if not numbers or len(numbers) not in (2, 4):
            raise Refusal(f"“{text[:30]}” is not where a crossing was: that is written (2, 3), or with two more numbers.")
        return tuple(map(check_number, numbers))
    if kind.literal == "word":
        plain = lambda word: word.removeprefix("a ").removeprefix("an ")
        for option in kind.options:
            if plain(option) == plain(text.lower()):
                return option
        raise NotAnOption(f"“{text[:30]}” does not fit here: {join(kind.options, last='or')}.")
    if kind.literal == "number" and (value := amount(text, board)) is not None:
        return check_number(value)
    if kind.literal == "number" and not kind.single:
        raise Refusal(f"“{text[:30]}” is not a number.")
    return _read_things(gap, spelling.tidy(text), board)


#: How people write what a statement is about, and how a formula does.
_STATED = (
    (re.compile(r"\bthe\s+", re.IGNORECASE), ""),
    (re.compile(r"\s+(?:is\s+)?(?:longer|greater|more|larger|bigger)\s+than\s+"), " > "),
    (re.compile(r"\s+(?:is\s+)?(?:shorter|less|smaller)\s+than\s+"), " < "),
    (re.compile(r"<=|=<"), "≤"),
    (re.compile(r">=|=>"), "≥"),
    (re.compile(r"°|\bdegrees?\b"), ""),
    (re.compile(r"√\s*(\d+(?:\.\d+)?)"), r"sqrt(\1)"),
    (re.compile(r"√\s*\("), "sqrt("),
    (re.compile(r"∠\s*|\bangle\s+(?=[^\W\d_])", re.IGNORECASE), "angle "),
    (
        re.compile(r"\b(angle|area|perimeter|radius)\s+(?:of\s+)?(?:triangle\s+|polygon\s+|circle\s+)?(?=[^\W\d_])([^\s=+*/^(),−·×-]+)"),
        r"\1(\2)",
    ),
    (re.compile(r"\b(?:length|distance)(?:\s+of)?\s+(?=[^\W\d_])"), ""),
    (re.compile(r"\|\s*([^|]+?)\s*\|"), r"\1"),
    (re.compile(r"\s:\s|(?<=\w):(?=\w)"), " / "),
    (re.compile(r"\s(?:is\s+)?(?:equals?|equal to|the same as)\s|\sis\s(?=[^=]*$)"), " = "),
)


def plain_statement(text: str) -> str:
    """A statement in the words of formulas: "∠ABC = 90°" is "angle(ABC) = 90"."""
    for form, plain in _STATED:
        text = form.sub(plain, text)
    return " ".join(text.split())


def _reading_named(name, board):
    for id in board.ids_named(spelling.tidy(name)):
        if board.kind_of(id) == NUMBER:
            return (id,)
    raise Refusal(f"There is no reading called {name[:30]}. In braces stands the name of a reading, such as {{v}}.")


def _equation_text(text):
    """An equation as it is kept. Raises Refusal where it is none."""
    for each in equations.with_each_sign(text):
        equations.coefficients(each)
    return " ".join(text.split())


def _corner_at(point: str, board: SeenBoard) -> tuple[str, ...]:
    """The three points of the angle of a polygon at a corner, where just one polygon has it; none where that is not so."""
    rings = [tuple(step.fills.get("corners", ())) for step in board.steps if step.makes == POLYGON]
    rings = list({frozenset(ring): ring for ring in rings if point in ring}.values())
    if len(rings) != 1:
        return ()
    (ring,) = rings
    at = ring.index(point)
    return ring[at - 1], point, ring[(at + 1) % len(ring)]


def operand(name: str, function: str | None, board: SeenBoard) -> tuple[str, ...]:
    """What a name in a formula stands for: a reading, or the distance between two points; in area(…) and its like a
    thing, or the corners of a polygon."""
    name = spelling.tidy(name)
    if function:
        for id in board.ids_named(name):
            if board.kind_of(id) in MEASURES[function][0]:
                return (id,)
        points = board.points_by_name
        for way in spelling.unspelt(name, points, range(3, limits.POLYGON_CORNERS + 1)):
            return tuple(points[part] for part in way)
        if function == "angle" and name in points and (corner := _corner_at(points[name], board)):
            return corner
        raise Refusal(f"{name[:30]} is not {MEASURES[function][2]}.")
    readings = [id for id in board.ids_named(name) if board.kind_of(id) == NUMBER]
    if readings:
        return (readings[0],)
    points = board.points_by_name
    ways = spelling.unspell(name, points, 2)
    if ways:
        return tuple(points[part] for part in ways[0])
    known = [board.name(step.id) for step in board.steps if step.is_reading]
    there = f"The readings are {join(known[:12])}." if known else "There are no readings yet."
    raise Refusal(f"There is no reading called {name[:30]}. {there}")


def _read_several(kind, text, board):
    """Things named one after another: "ABC, k and P". Raises Refusal naming the one that does not fit."""
    ids = []
    for name in [part for part in re.split(r"\s*,\s*(?:and\s+)?|\s+and\s+", text) if part]:
        found = [id for id in board.ids_named(name) if board.kind_of(id) in kind.single]
        if not found:
            raise Refusal(f"{name[:30]} does not fit. {kind.goes}.")
        ids.append(found[0])
    if not ids:
        raise Refusal(_what_there_is(kind, board))
    return tuple(ids)


def _read_things(gap, text, board):
    kind = gap.kind
    if kind.several:
        return _read_several(kind, text, board)
    only_reading = text.removeprefix("reading ")
    for id in sorted(board.ids_named(only_reading), key=lambda id: board.kind_of(id) == NUMBER):
        if board.kind_of(id) in kind.single and (only_reading == text or board.kind_of(id) == NUMBER):
            return (id,)
    points = board.points_by_name
    if kind.points:
        parts = [part for part in re.split(r"\s*,\s*(?:and\s+)?|\s+(?:and|to)\s+", text) if part]
        if len(parts) > 1 and all(part in points for part in parts):
            return tuple(points[part] for part in parts)
        counts = range(3, limits.POLYGON_CORNERS + 1) if kind.points < 0 else (kind.points,)
        if len(parts) == 1:
            for way in spelling.unspelt(text, points, counts):
                return tuple(points[part] for part in way)
    found = board.ids_named(text)
    if found:
        raise Refusal(f"{text} is {with_article(word(board.kind_of(found[0])))}. {kind.goes}.")
    raise Refusal((f"Nothing here is called {text[:30]}. " if text else "") + _what_there_is(kind, board))


def fitting_names(kind: Any, board: SeenBoard, most: int | None = None):
    """The names of everything on the board that fills a gap of this kind alone, or helps to; of the first few, where so said."""
    return names_of_kinds({*kind.single, *((POINT,) if kind.points else ())}, board, most)


def names_of_kinds(kinds: Collection[str], board: SeenBoard, most: int | None = None):
    """The names of all things of some kinds, in the order of the board; of the first few, where so said."""
    names = board.names
    return [names[step.id] for step in islice((step for step in board.steps if step.makes in kinds), most)]


def _what_there_is(kind, board):
    names = fitting_names(kind, board, 12)
    if not names:
        return f"{kind.goes}, and the board has none yet."
    return f"Here fits {kind.wants}: {join(names, last='or')}."
