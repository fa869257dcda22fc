"""The sentences nearest to a text that was not understood, filled with the names that are in it."""

import difflib
from collections import Counter
from collections.abc import Callable
from functools import lru_cache
from typing import Any

from ..kinds import POINT
from ..refusal import Refusal
from ..seen import SeenBoard
from . import names as spelling
from .amounts import amount
from .filling import names_of_kinds
from .for_each import for_all
from .patterns import ways_to_say
from .printing import phrase
from .tokens import IDLE, LINKING, Token, tokens

#: How many sentences are offered, and how many of the likeliest are tried to be filled.
_OFFERED, _TRIED = 3, 24
#: How many are filled, of which the nearest are offered; what a name of the text costs that a sentence has no place for; and
#: how much further than the nearest one may be.
_FILLED, _UNUSED, _FAR = 6, 0.8, 1.2
#: How alike two words have to be to be taken for the same, wrongly typed.
_ALIKE = 0.74


def suggestions(text: str, board: SeenBoard, sentences: Any, check: Callable[..., None]) -> tuple[str, ...]:
    """Up to three sentences that would be taken, the nearest first."""
    said = tokens(text)
    names, numbers = _named(said, board), [value for token in said if (value := _number(token, board)) is not None]
    words = {token.word for token in said if token.word not in IDLE and token.word not in LINKING and not board.ids_named(token.text)}
    if not words and not names:
        return ()
    found: dict[str, float] = {}
    for worth, construction in _ranked(words, sentences):
        if len(found) == _FILLED:
            break
        filled = _filled(construction, names, numbers, board, check)
        if filled is not None:
            sentence, unused = filled
            found.setdefault(sentence, worth - _UNUSED * unused)
    near = sorted(found, key=lambda sentence: -found[sentence])[:_OFFERED]
    return tuple(sentence for sentence in near if found[sentence] > found[near[0]] - _FAR)


def _number(token: Token, board: SeenBoard) -> float | None:
    try:
        return amount(token.text, board) if token.text[0].isdigit() or token.text[0] in "½⅓¼" else None
    except Refusal:
        return None


def _named(said: list[Token], board: SeenBoard) -> list[str]:
    """The ids of the things whose names are in a text, points that are spelt together one by one."""
    points = board.points_by_name
    found: list[str] = []
    for token in said:
        name = spelling.tidy(token.text)
        ids = board.ids_named(name)
        if ids:
            found.append(ids[0])
        elif name[0].isupper():
            for way in spelling.unspelt(name, points, range(2, 9)):
                found += [points[part] for part in way]
    return list(dict.fromkeys(found))


def _ranked(words: set[str], sentences: Any) -> list[tuple[float, Any]]:
    """How near the constructions are that have the most of a text's words in one of their ways to be said, and the least besides."""
    by_word = _ways_by_word(sentences)
    meant = {word if word in by_word else _spelt_right(word, by_word) for word in words}
    # Of each way to say something, how many of the words that are meant are in it.
    shared = Counter(way for word in meant for way in by_word.get(word, ()))
    best: dict[int, float] = {}
    for (place, size, _), count in shared.items():
        worth = 1.15 * count - 0.15 * size
        if worth > best.get(place, 0.0):
            best[place] = worth
    every = by_word.constructions
    ranked = [(worth - 0.001 * every[place].likely, every[place]) for place, worth in sorted(best.items())]
    return sorted(ranked, key=lambda pair: -pair[0])[:_TRIED]


class _ByWord(dict[str, list[tuple[int, int, int]]]):
    """In which ways to say which constructions each word is that tells them from others: for each way the place of its construction, how
    many such words it has, and its number. It is one for the same constructions, and equal to itself alone."""

    constructions: tuple[Any, ...] = ()
    __hash__ = object.__hash__  # type: ignore[assignment]
    __eq__ = object.__eq__


@for_all
def _ways_by_word(constructions: tuple[Any, ...]) -> _ByWord:
    found = _ByWord()
    found.constructions = constructions
    for place, construction in enumerate(constructions):
        for number, own in enumerate({pattern.words - LINKING for pattern in ways_to_say(construction)} - {frozenset()}):
            for word in own:
                found.setdefault(word, []).append((place, len(own), number))
    return found


@lru_cache(maxsize=2048)
def _spelt_right(word: str, known: _ByWord) -> str:
    """The known word that a word is nearest to; itself where none is near."""
    near = [other for other in known if abs(len(other) - len(word)) <= 2 and len(word) > 2]
    return next(iter(difflib.get_close_matches(word, near, 1, _ALIKE)), word)


def _filled(
    construction: Any, names: list[str], numbers: list[float], board: SeenBoard, check: Callable[..., None]
) -> tuple[str, int] | None:
    """The sentence of a construction with things from the text in its gaps, then with what else is on the board, and how many
    things of the text have no place in it; None where that does not fit."""
    left, typed, fills = list(names), list(numbers), {}
    for gap in construction.gaps:
        if gap.optional:
            continue
        fill = _one_fill(gap, left, typed, board)
        if fill is None:
            return None
        fills[gap.name] = fill
    try:
        check(construction, fills, board)
    except Refusal:
        return None
    return phrase(construction, fills, board.names, full=True, board=board), len(left)


def _one_fill(gap: Any, left: list[str], typed: list[float], board: SeenBoard) -> Any:
    kind = gap.kind
    if kind.literal == "number" and typed:
        return typed.pop(0)
    for id in left:
        if board.kind_of(id) in kind.single:
            left.remove(id)
            return (id,)
    if kind.points:
        points = [id for id in left if board.kind_of(id) == POINT]
        wanted = kind.points if kind.points > 0 else max(len(points), 3)
        others = [step.id for step in board.steps if step.makes == POINT and step.id not in points]
        if len(points) + len(others) == wanted:
            points += others
        if len(points) >= wanted:
            taken = tuple(points[:wanted])
            left[:] = [id for id in left if id not in taken]
            return taken
    # Nothing that nobody said, but for the only thing that there is of its kind.
    if kind.single and not kind.literal:
        others = names_of_kinds(kind.single, board, 2)
        return (board.ids_named(others[0])[0],) if len(others) == 1 else None
    return None
