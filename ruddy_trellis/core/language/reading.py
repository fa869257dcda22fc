"""Steps from sentences: the typed grammar, made from the same templates that print the sentences."""

import re
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from .. import limits
from ..refusal import Refusal
from ..seen import SeenBoard, Sentences
from . import equation as equations
from . import names as spelling
from .filling import COORDINATES, read_fill, tells_most
from .fills import is_ids
from .for_each import for_all, for_each
from .tongue import ENGLISH, TONGUES, Tongue

#: "p: y = 3x − 1": a name for what an equation makes.
_NAMED_EQUATION = re.compile(r"\s*(?P<name>[^\s:=]+)\s*:\s*(?P<equation>.*=.*)", re.DOTALL)


@dataclass(frozen=True)
class ReadStep:
    """What a sentence says: the construction, what fills its gaps, and the name it gives (or None)."""

    construction: Any
    fills: dict
    name: str | None


def read_sentence(text: str, board: SeenBoard, sentences: Sentences, check: Callable[..., None], tongue: Tongue = ENGLISH) -> ReadStep:
    """Read one typed sentence.

    Args:
        sentences: the constructions that may be said, also by their keys.
        check: a function of a construction, fills and the board that raises Refusal where they do not fit.
        tongue: the language that it is read in, in which the sentences are.

    Returns:
        A ReadStep, checked against the board.

    Raises:
        Refusal: saying what would be accepted.
    """
    if len(text) > limits.SENTENCE_LENGTH:
        raise Refusal(f"A sentence has at most {limits.SENTENCE_LENGTH:,} characters; that one has {len(text):,}.")
    if tongue is ENGLISH and (found := _equation_step(text, board, sentences)):
        check(found.construction, found.fills, board)
        return found
    name, verb, rest = split_subject(text, tongue)
    if name is not None:
        name = spelling.tidy(name)
    rest = " ".join(rest.split()).rstrip(".")
    if not rest:
        raise Refusal("Type a sentence, such as “M is the midpoint of AB” or “A is a free point at (2, 3)”.")
    refusals, tries = [], _Tries(tongue)
    bare = without_article(rest, tongue)
    low = lower(bare)
    for construction, ways, firsts in _by_first_letter(sentences).get(low[:1], ()):
        if not low.startswith(firsts):
            continue
        try:
            for fills in _matches(ways, bare, low, board, tries):
                check(construction, fills, board)
                return ReadStep(construction, fills, name)
        except _Misread as misread:
            refusals.append((misread.matched, misread.refusal))
        except TooManyWays:
            raise
        except Refusal as refusal:
            told = refusal if tongue is ENGLISH else Refusal(tongue.spoken["not so"].format(tool=construction.sentence_shown))
            refusals.append((len(rest), told))
    if tongue is not ENGLISH:
        raise max(refusals, key=lambda pair: pair[0])[1] if refusals else NoSentence(tongue.spoken["no sentence"])
    if verb == "=" or not refusals:
        found = _short_form(rest, name, verb, board, sentences)
        check(found.construction, found.fills, board)
        return found
    raise max(refusals, key=tells_most)[1]


#: So many letters of a sentence's beginning tell it from others.
_TELLS = 9


def begins_one(text: str, sentences: Sentences) -> bool:
    """Whether a text, after a name that it gives, begins with the words of one of the sentences: then what is wrong with it as that
    sentence is what is wrong with it."""
    _, _, rest = split_subject(text)
    low = lower(without_article(" ".join(rest.split())))
    return any(
        len(first) >= _TELLS and low.startswith(first) for _, _, firsts in _by_first_letter(sentences).get(low[:1], ()) for first in firsts
    )


def _equation_step(text, board, sentences):
    """ "y = 3x − 1" and "p: y = 3x − 1": what a bare equation in x and y makes; None for anything else, and where x or
    y is the name of a reading and the equation therefore a calculation."""
    named = _NAMED_EQUATION.fullmatch(text)
    name, equation = (spelling.tidy(named["name"]), named["equation"]) if named else (None, text)
    equation = " ".join(equation.split())
    readings = any(board.ids_named(letter) for letter in "xy")
    if "=" not in equation or (readings and not named) or not equations.is_equation(equation):
        return None
    return ReadStep(sentences[equations.made_by(equation)], {"equation": equation}, name)


def split_subject(text: str, tongue: Tongue = ENGLISH):
    head, quote, _ = text.partition("“")
    found = tongue.subject.fullmatch(text)
    if found and quote and found.start("verb") > len(head):
        return None, "", text  # the verb is inside quoted words
    # "both lines y = ±2": an equation inside a sentence without a subject.
    # Nor has "the claim that k is tangent to p" one: its verb is that of what is claimed.
    if not found or (found["verb"] == "=" and " " in found["name"]) or found["name"].lower().startswith(("the claim that", "claim that")):
        return None, "", text
    return found["name"], found["verb"], found["rest"]


def _short_form(rest, name, verb, board, sentences):
    """ "A = (2, 3)" and "h = 0.5 * AB": a point by its coordinates, a calculation by its formula."""
    if rest.startswith("(") and COORDINATES.fullmatch(rest):
        construction, gap = sentences["free_point"], "at"
    elif verb == "=":
        construction, gap = sentences["calculation"], "formula"
    else:
        raise NoSentence(
            f"No sentence begins “{rest[:40]}”. Try “the midpoint of AB”, “the circle with centre A through B”, or pick a tool above."
        )
    fills = {gap: read_fill(construction.gap_by_name[gap], rest, board)}
    return ReadStep(construction, fills, name)


class _Misread(Exception):
    """A sentence whose words fitted for ``matched`` characters, until a gap that did not."""

    def __init__(self, matched, refusal) -> None:
        super().__init__()
        self.matched, self.refusal = matched, refusal


def without_article(text: str, tongue: Tongue = ENGLISH):
    """The text without a leading "the", "a" or "an"."""
    return tongue.article.sub("", text, count=1) if tongue.article.match(text) else text


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
        kept[0] = next((bare for tongue in TONGUES.values() if (bare := without_article(kept[0], tongue)) != kept[0]), kept[0])
    return kept


def variants(pieces):
    """Every way to take or leave the optional stretches, the fullest first."""
    groups = sorted({piece.group for piece in pieces if piece.group})
    for choice in range(2 ** len(groups) - 1, -1, -1):
        yield flattened(pieces, {group for number, group in enumerate(groups) if choice >> number & 1})


@for_each
def _ways(construction: Any) -> list[tuple[list, tuple[str, ...]]]:
    """For each sentence of a construction its variants, and the words with which these begin, in small letters."""
    made = []
    for pieces in construction.sentences:
        ways = list(variants(pieces))
        made.append((ways, tuple({lower(parts[0]).rstrip() if isinstance(parts[0], str) else "" for parts in ways if parts})))
    return made


class _Letters(dict[str, list[tuple[Any, list, tuple[str, ...]]]]):
    """Sentences by the letters that they may begin with; those that begin with a gap for every letter."""

    anywhere: list[tuple[Any, list, tuple[str, ...]]] = []

    def get(self, letter, default=()):
        return super().get(letter, self.anywhere)


@for_all
def _by_first_letter(constructions: tuple[Any, ...]) -> _Letters:
    every = [(construction, *one) for construction in constructions for one in _ways(construction)]
    found = _Letters()
    found.anywhere = [one for one in every if "" in one[2]]
    for letter in {first[0] for *_, firsts in every for first in firsts if first}:
        found[letter] = [one for one in every if any(not first or first[0] == letter for first in one[2])]
    return found


def _matches(ways, text, low, board, tries):
    worst = None
    for parts in ways:
        try:
            yield _match(parts, text, low, 0, board, tries)
        except _Misread as misread:
            if worst is None or misread.matched > worst.matched:
                worst = misread
        except LookupError:
            continue
    if worst:
        raise worst


#: Capitals read as small letters, but only those whose small letter is as long: places in the text stay what they are.
_LOWER = str.maketrans("ABCDEFGHIJKLMNOPQRSTUVWXYZ", "abcdefghijklmnopqrstuvwxyz")


def lower(text: str):
    return text.translate(_LOWER)


class _Tries:
    """Counts how many ways of taking a sentence apart are tried. Raises Refusal when they are too many."""

    def __init__(self, tongue: Tongue = ENGLISH) -> None:
        self._left, self.tongue = limits.READINGS, tongue

    def count(self) -> None:
        self._left -= 1
        if self._left < 0:
            raise TooManyWays("That sentence can be taken apart in too many ways. Say it in shorter ones.")


class NoSentence(Refusal):
    """A text that begins like none of the sentences."""


class TooManyWays(Refusal):
    """A sentence that nobody could take apart, so that nothing else about it is tried."""


def _match(parts, text, low, at, board, tries):
    """The fills of a sentence whose parts match the text from ``at``. Raises LookupError where its words do not,
    _Misread where they do and a gap does not."""
    tries.count()
    if not parts:
        if text[at:].strip():
            raise LookupError
        return {}
    part, rest = parts[0], parts[1:]
    if isinstance(part, str):
        words = lower(part)
        if rest and low[at:] == words.rstrip():
            return _match(rest, text, low, len(text), board, tries)
        if not low.startswith(words, at):
            raise LookupError
        return _match(rest, text, low, at + len(part), board, tries)
    refusal = further = None
    for end in ends_of_gap(rest, text, at):
        try:
            fills = _match(rest, text, low, end, board, tries)
        except LookupError:
            continue
        except _Misread as misread:
            further = further or misread  # the words after the gap may stand again further on
            continue
        try:
            return {part.name: _fill(part, text[at:end].strip(), board, tries.tongue), **fills}
        except Refusal as found:
            refusal = refusal or found
    if refusal is None:
        raise further or LookupError
    raise _Misread(at, refusal)


def _fill(gap, text, board, tongue):
    """What fills a gap, said in a language; what is refused is refused in it."""
    plain, kinds = tongue.plain(gap, text)
    try:
        fill = read_fill(gap, plain, board)
    except Refusal:
        if tongue is ENGLISH:
            raise
        raise tongue.refusal(gap, text) from None
    if kinds and is_ids(fill):
        count = {2: "two", 3: "three"}.get(len(fill), "many")
        if (board.kind_of(fill[0]) if len(fill) == 1 else count) not in kinds:
            raise tongue.refusal(gap, text)
    return fill


def ends_of_gap(rest, text: str, at: int):
    """Where a gap that starts at ``at`` may end: before each place where the words after it stand."""
    if not rest:
        return [len(text)]
    words = lower(rest[0])
    lowered = lower(text)
    if at == len(text):
        return [at]
    ends, found = [], lowered.find(words, at + 1)
    while found != -1:
        ends.append(found)
        found = lowered.find(words, found + 1)
    return ends
