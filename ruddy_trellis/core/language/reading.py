"""Steps from sentences: the typed grammar, made from the same templates that print the sentences."""

import re
from dataclasses import dataclass

from .. import limits
from ..catalogue import CATALOGUE, Construction
from ..checking import check_fills, check_number
from ..kinds import NUMBER, POINT, join, with_article, word
from ..refusal import Refusal
from . import equation as equations
from . import names as spelling
from .expression import MEASURES, read_formula
from .words import read_words

#: "p: y = 3x − 1": a name for what an equation makes.
_NAMED_EQUATION = re.compile(r"\s*(?P<name>[^\s:=]+)\s*:\s*(?P<equation>.*=.*)", re.DOTALL)
_SUBJECT = re.compile(r"\s*(?P<name>\S.*?)\s*(?P<verb>\bis\b|=)\s*(?P<rest>.*)", re.DOTALL)
_ARTICLE = re.compile(r"(?:the|an?)\s+", re.IGNORECASE)
_NUMBER = r"[-−+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-−+]?\d+)?"
_COORDINATES = re.compile(rf"\(\s*({_NUMBER})\s*[,;]\s*({_NUMBER})\s*\)")
_LENGTH = re.compile(rf"({_NUMBER})\s*(mm|cm|m|km|°)?")
_METRES = {"mm": 0.001, "cm": 0.01, "m": 1.0, "km": 1000.0}


@dataclass(frozen=True)
class ReadStep:
    """What a sentence says: the construction, what fills its gaps, and the name it gives (or None)."""

    construction: Construction
    fills: dict
    name: str | None


def read_sentence(text, board):
    """Read one typed sentence.

    Returns:
        A ReadStep, checked against the board.

    Raises:
        Refusal: saying what would be accepted.
    """
    if len(text) > limits.SENTENCE_LENGTH:
        raise Refusal(f"A sentence has at most {limits.SENTENCE_LENGTH} characters; that one has {len(text):,}.")
    if found := _equation_step(text, board):
        return found
    name, verb, rest = _subject(text)
    if name is not None:
        name = spelling.tidy(name)
    rest = " ".join(rest.split()).rstrip(".")
    if not rest:
        raise Refusal("Type a sentence, such as “M is the midpoint of AB” or “A is a free point at (2, 3)”.")
    refusals = []
    for construction in CATALOGUE:
        for pieces in construction.sentences:
            try:
                for fills in _matches(pieces, rest, board):
                    check_fills(construction, fills, board)
                    return ReadStep(construction, fills, name)
            except _Misread as misread:
                refusals.append((misread.matched, misread.refusal))
            except Refusal as refusal:
                refusals.append((len(rest), refusal))
    if verb == "=" or not refusals:
        return _short_form(rest, name, verb, board)
    raise max(refusals, key=lambda pair: pair[0])[1]


def _equation_step(text, board):
    """ "y = 3x − 1" and "p: y = 3x − 1": what a bare equation in x and y makes; None for anything else, and where x or
    y is the name of a reading and the equation therefore a calculation."""
    named = _NAMED_EQUATION.fullmatch(text)
    name, equation = (spelling.tidy(named["name"]), named["equation"]) if named else (None, text)
    equation = " ".join(equation.split())
    readings = any(board.ids_named(letter) for letter in "xy")
    if "=" not in equation or not equations.is_equation(equation) or (readings and not named):
        return None
    construction = CATALOGUE[equations.made_by(equation)]
    fills = {"equation": equation}
    check_fills(construction, fills, board)
    return ReadStep(construction, fills, name)


def _subject(text):
    head, quote, _ = text.partition("“")
    found = _SUBJECT.fullmatch(text)
    if found and quote and found.start("verb") > len(head):
        return None, "", text  # the verb is inside quoted words
    # "both lines y = ±2": an equation inside a sentence without a subject.
    if not found or (found["verb"] == "=" and " " in found["name"]):
        return None, "", text
    return found["name"], found["verb"], found["rest"]


def _short_form(rest, name, verb, board):
    """ "A = (2, 3)" and "h = 0.5 * AB": a point by its coordinates, a calculation by its formula."""
    if rest.startswith("(") and _COORDINATES.fullmatch(rest):
        construction, gap = CATALOGUE["free_point"], "at"
    elif verb == "=":
        construction, gap = CATALOGUE["calculation"], "formula"
    else:
        raise Refusal(
            f"No sentence begins “{rest[:40]}”. Try “the midpoint of AB”, “the circle with centre A through B”, "
            "or pick a tool above."
        )
    fills = {gap: read_fill(construction.gap_by_name[gap], rest, board)}
    check_fills(construction, fills, board)
    return ReadStep(construction, fills, name)


class _Misread(Exception):
    """A sentence whose words fitted for ``matched`` characters, until a gap that did not."""

    def __init__(self, matched, refusal):
        super().__init__()
        self.matched, self.refusal = matched, refusal


def without_article(text):
    """The text without a leading "the", "a" or "an"."""
    return _ARTICLE.sub("", text, count=1) if _ARTICLE.match(text) else text


def flattened(pieces, groups_kept):
    """The pieces with the optional stretches in ``groups_kept`` and without the others; words joined."""
    kept = []
    for piece in pieces:
        if piece.group and piece.group not in groups_kept:
            continue
        if piece.gap is None and kept and isinstance(kept[-1], str):
            kept[-1] += piece.text
        else:
            kept.append(piece.gap or piece.text)
    if kept and isinstance(kept[0], str):
        kept[0] = without_article(kept[0])
    return kept


def variants(pieces):
    """Every way to take or leave the optional stretches, the fullest first."""
    groups = sorted({piece.group for piece in pieces if piece.group})
    for choice in range(2 ** len(groups) - 1, -1, -1):
        yield flattened(pieces, {group for number, group in enumerate(groups) if choice >> number & 1})


def _matches(pieces, text, board):
    worst = None
    text = without_article(text)
    for parts in variants(pieces):
        try:
            yield _match(parts, text, 0, board)
        except _Misread as misread:
            if worst is None or misread.matched > worst.matched:
                worst = misread
        except LookupError:
            continue
    if worst:
        raise worst


def _match(parts, text, at, board):
    """The fills of a sentence whose parts match the text from ``at``. Raises LookupError where its words do not,
    _Misread where they do and a gap does not."""
    if not parts:
        if text[at:].strip():
            raise LookupError
        return {}
    part, rest = parts[0], parts[1:]
    if isinstance(part, str):
        if rest and text[at:].lower() == part.rstrip().lower():
            return _match(rest, text, len(text), board)
        if not text[at:].lower().startswith(part.lower()):
            raise LookupError
        return _match(rest, text, at + len(part), board)
    refusal = further = None
    for end in _ends_of_gap(rest, text, at):
        try:
            fills = _match(rest, text, end, board)
        except LookupError:
            continue
        except _Misread as misread:
            further = further or misread  # the words after the gap may stand again further on
            continue
        try:
            return {part.name: read_fill(part, text[at:end].strip(), board), **fills}
        except Refusal as found:
            refusal = refusal or found
    if refusal is None:
        raise further or LookupError
    raise _Misread(at, refusal)


def _ends_of_gap(rest, text, at):
    """Where a gap that starts at ``at`` may end: before each place where the words after it stand."""
    if not rest:
        return [len(text)]
    words = rest[0].lower()
    lowered = text.lower()
    if at == len(text):
        return [at]
    ends, found = [], lowered.find(words, at + 1)
    while found != -1:
        ends.append(found)
        found = lowered.find(words, found + 1)
    return ends


def read_fill(gap, text, board):
    """What a typed text fills a gap with. Raises Refusal where it does not fit."""
    kind = gap.kind
    if kind.literal == "formula":
        return read_formula(text, lambda name, function: _operand(name, function, board))
    if kind.literal == "text":
        return read_words(text, lambda name: _reading_named(name, board))
    if kind.literal == "equation":
        return _equation_text(text)
    if kind.literal == "values":
        return " ".join(text.split())
    if kind.literal == "coordinates":
        found = _COORDINATES.fullmatch(text)
        if not found:
            raise Refusal(f"“{text[:30]}” is not a place. Coordinates look like (2, 3) or (−1.5, 0).")
        return check_number(_number(found[1])), check_number(_number(found[2]))
    if kind.literal == "word":
        if text.lower() not in kind.options:
            raise Refusal(f"“{text[:30]}” does not fit here: {' or '.join(kind.options)}.")
        return text.lower()
    if kind.literal == "number" and (found := _LENGTH.fullmatch(text)):
        return check_number(_number(found[1]) * _unit_factor(found[2], board))
    if kind.literal == "number" and not kind.single:
        raise Refusal(f"“{text[:30]}” is not a number.")
    return _read_things(gap, text.replace("'", "′"), board)


def _number(text):
    return float(text.replace("−", "-"))


def _unit_factor(unit, board):
    own = board.settings.unit
    if unit in (None, "°", own):
        return 1.0
    if not own:
        raise Refusal(f"This board has no unit, so type the number without “{unit}”.")
    return _METRES[unit] / _METRES[own]


def _reading_named(name, board):
    for id in board.ids_named(name.replace("'", "′")):
        if board.kind_of(id) == NUMBER:
            return (id,)
    raise Refusal(f"There is no reading called {name[:30]}. In braces stands the name of a reading, such as {{v}}.")


def _equation_text(text):
    """An equation as it is kept. Raises Refusal where it is none."""
    for each in equations.with_each_sign(text):
        equations.coefficients(each)
    return " ".join(text.split())


def _operand(name, function, board):
    """What a name in a formula stands for: a reading, or the distance between two points; in area(…) and its like a
    thing, or the corners of a polygon."""
    name = name.replace("'", "′")
    if function:
        for id in board.ids_named(name):
            if board.kind_of(id) in MEASURES[function][0]:
                return (id,)
        points = _points(board)
        for count in range(3, min(len(name), limits.POLYGON_CORNERS) + 1):
            for way in spelling.unspell(name, points, count):
                return tuple(points[part] for part in way)
        raise Refusal(f"{name[:30]} is not {MEASURES[function][2]}.")
    readings = [id for id in board.ids_named(name) if board.kind_of(id) == NUMBER]
    if readings:
        return (readings[0],)
    points = _points(board)
    ways = spelling.unspell(name, points, 2)
    if ways:
        return tuple(points[part] for part in ways[0])
    known = [board.name(step.id) for step in board.steps if step.is_reading]
    there = f"The readings are {join(known[:12])}." if known else "There are no readings yet."
    raise Refusal(f"There is no reading called {name[:30]}. {there}")


def _points(board):
    return {board.name(step.id): step.id for step in board.steps if step.makes == POINT}


def _read_several(kind, text, board):
    """Things named one after another: "ABC, k and P". Raises Refusal naming the one that does not fit."""
    ids = []
    for name in [part for part in re.split(r"\s*,\s*(?:and\s+)?|\s+and\s+", text) if part]:
        found = [id for id in board.ids_named(name) if board.kind_of(id) in kind.single]
        if not found:
            raise Refusal(f"{name[:30]} does not fit. Here {'go' if kind.several else 'goes'} {kind.wants}.")
        ids.append(found[0])
    if not ids:
        raise Refusal(_what_there_is(kind, board))
    return tuple(ids)


def _read_things(gap, text, board):
    kind = gap.kind
    if kind.several:
        return _read_several(kind, text, board)
    for id in board.ids_named(text):
        if board.kind_of(id) in kind.single:
            return (id,)
    points = _points(board)
    if kind.points:
        parts = [part for part in re.split(r"\s*,\s*(?:and\s+)?|\s+(?:and|to)\s+", text) if part]
        if len(parts) > 1 and all(part in points for part in parts):
            return tuple(points[part] for part in parts)
        counts = range(3, limits.POLYGON_CORNERS) if kind.points < 0 else (kind.points,)
        for count in counts if len(parts) == 1 else ():
            for way in spelling.unspell(text, points, count):
                return tuple(points[part] for part in way)
            if count > len(text):
                break
    found = board.ids_named(text)
    if found:
        raise Refusal(f"{text} is {with_article(word(board.kind_of(found[0])))}. Here goes {kind.wants}.")
    raise Refusal((f"Nothing here is called {text[:30]}. " if text else "") + _what_there_is(kind, board))


def fitting_names(kind, board):
    """The names of everything on the board that fills a gap of this kind alone, or helps to."""
    kinds = set(kind.single) | ({POINT} if kind.points else set())
    return [board.name(step.id) for step in board.steps if step.makes in kinds]


def _what_there_is(kind, board):
    names = fitting_names(kind, board)
    if not names:
        return f"Here goes {kind.wants}, and the board has none yet."
    return f"Here fits {kind.wants}: {join(names[:12], last='or')}."
