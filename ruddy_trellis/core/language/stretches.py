"""Stretches of a text, as tokens: what of them says nothing, and which things of a board they name."""

from typing import Any

from ..kinds import LINE, POINT, STRAIGHTS, with_article, word
from ..refusal import Refusal
from ..seen import SeenBoard
from . import names as spelling
from .nouns import NOUNS
from .tokens import IDLE, LINKING, Token, tokens


def is_idle(said: list[Token], at: int, board: SeenBoard) -> bool:
    """Whether a token says nothing where it stands: an article or the like, and no name."""
    token = said[at]
    if token.word not in IDLE:
        return False
    return (token.text not in ("A", "AN") and not board.ids_named(token.text)) or _is_article_before_noun(said, at)


def _is_article_before_noun(said: list[Token], at: int) -> bool:
    if said[at].word not in ("a", "an", "the") or at + 1 == len(said) or not (said[at].text.islower() or said[at].start == 0):
        return False
    following = said[at + 1]
    return following.text.islower() and len(following.text) > 2 and following.word not in LINKING


def is_new_name(token: Token, board: SeenBoard) -> bool:
    """Whether a token may be a name for what is made: short, or with a capital or a digit, and nothing else's."""
    text = spelling.tidy(token.text)
    short = len(text) == 1 or text[0].isupper() or any(letter.isdigit() for letter in text)
    if token.text in IDLE or token.text in LINKING or token.word in NOUNS:
        return False
    return short and bool(spelling.NAME.fullmatch(text)) and text not in spelling.RESERVED and not board.ids_named(text)


def text_of(part: list[Token], whole: str) -> str:
    """A stretch as it was typed."""
    return whole[part[0].start : part[-1].end] if part else ""


def without_ends(part: list[Token], board: SeenBoard) -> list[Token]:
    """A stretch without the words at its ends that say nothing."""
    start, end = 0, len(part)
    while start < end and (is_idle(part, start, board) or part[start].word in ("and", ",", "both", "of")):
        start += 1
    while end > start and part[end - 1].word in ("and", ",", ".", ";"):
        end -= 1
    return part[start:end]


def points_of(part: list[Token], whole: str, board: SeenBoard, count: int) -> tuple[str, ...]:
    """The points that a stretch names: "ABC", "A, B and C", "points A B". Raises Refusal where they are not so many."""
    while part and part[0].word in NOUNS and len(part) > 1:
        part = part[1:]
    known = board.points_by_name
    found: list[str] = []
    for token in part:
        if token.word in ("and", ",", "to"):
            continue
        name = spelling.tidy(token.text)
        if name in known:
            found.append(known[name])
            continue
        ways = spelling.unspelt(name, known, range(1, 30))
        if not ways:
            raise Refusal(f"Nothing here is called {token.text[:30]}.")
        found += [known[one] for one in ways[0]]
    if count and len(found) != count:
        raise Refusal(f"{text_of(part, whole)[:30]} names {len(found)} point{'s' * (len(found) != 1)}; here go {count}.")
    return tuple(found)


def two_points(part: list[Token], whole: str, board: SeenBoard) -> tuple[str, str] | None:
    """The two points that a stretch names, or None."""
    try:
        a, b = points_of(part, whole, board, 2)
    except Refusal:
        return None
    return a, b


def several_of(part: list[Token], whole: str, board: SeenBoard, kind: Any) -> list[str]:
    """The things that a stretch names one after another: their own names, or points spelt together."""
    name = spelling.tidy(text_of(part, whole))
    found = [id for id in board.ids_named(name) if board.kind_of(id) in kind.single]
    if found:
        return found[:1]
    try:
        return list(points_of(part, whole, board, 0)) if POINT in kind.single else []
    except Refusal:
        return []


def things_named(text: str, board: SeenBoard, takes_points: bool = False) -> list[str]:
    """The ids of the things that a text names: "A, B and circle k", "the segment AB". Raises Refusal naming what is not there.

    Args:
        takes_points: whether points are asked for, so that "AB" is two of them; else it is what is straight between them.
    """
    found: list[str] = []
    for piece in split_up(tokens(text)) or [[]]:
        part = without_ends(piece, board)
        kinds = None
        if part and part[0].word in NOUNS and len(part) > 1:
            kinds, part = NOUNS[part[0].word], part[1:]
        name = spelling.tidy(text_of(part, text))
        ids = [id for id in board.ids_named(name) if kinds is None or board.kind_of(id) in (*kinds, *(STRAIGHTS if LINE in kinds else ()))]
        if ids:
            found.append(ids[0])
            continue
        if board.ids_named(name):
            raise Refusal(f"{name} is {with_article(word(board.kind_of(board.ids_named(name)[0])))}, not {with_article(piece[0].word)}.")
        points = points_of(part, text, board, 0)
        means_line = len(points) == 2 and not takes_points and (len(part) == 1 or bool(set(kinds or ()) & set(STRAIGHTS)))
        found += _between(points, board) if means_line else points
    if not found:
        raise Refusal("Say which things are meant: hide p and q.")
    return list(dict.fromkeys(found))


def _between(ends: tuple[str, ...], board: SeenBoard) -> list[str]:
    """The straight things from one point to another: "AB" is none of its two points. Raises Refusal where there is none."""
    found = [
        step.id for step in board.steps if step.makes in STRAIGHTS and {*step.fills.get("from", ()), *step.fills.get("to", ())} == set(ends)
    ]
    if not found:
        one, other = (board.name(id) for id in ends)
        raise Refusal(f"There is no segment or line from {one} to {other}. Say “points {one} and {other}” for the points.")
    return found


def split_up(part: list[Token]) -> list[list[Token]]:
    """A stretch at its commas and "and"s."""
    pieces: list[list[Token]] = [[]]
    for token in part:
        if token.word in (",", "and"):
            if pieces[-1]:
                pieces.append([])
        else:
            pieces[-1].append(token)
    return [piece for piece in pieces if piece]
