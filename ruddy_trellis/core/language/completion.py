"""What could be typed next: the same templates, walked as far as the typed text goes."""

from dataclasses import dataclass

from ..kinds import POINT
from ..seen import SeenBoard, Sentences
from .filling import fitting_names, names_of_kinds
from .reading import ends_of_gap, lower, split_subject, variants, without_article
from .tongue import ENGLISH, Tongue

MOST = 12


@dataclass(frozen=True)
class Completion:
    """One way to go on.

    Attributes:
        text: the whole text with the addition.
        shown: the addition as it is shown, with gaps in words: "midpoint of …".
        tool: the construction that it belongs to.
    """

    text: str
    shown: str
    tool: str


def complete(text: str, board: SeenBoard, sentences: Sentences, tongue: Tongue = ENGLISH) -> list[Completion]:
    """The ways to go on from a text typed in a language, at most ``MOST``; none for a text that fits no sentence."""
    _name, verb, rest = split_subject(text, tongue)
    if verb == "=":
        return []
    start = text[: len(text) - len(rest)]
    bare = without_article(rest, tongue)
    start += rest[: len(rest) - len(bare)]
    found = {}
    for construction in sorted(sentences, key=lambda construction: construction.likely):
        for parts in variants(construction.pieces):
            for addition, shown in _go_on(parts, bare, 0, board):
                found.setdefault(shown, Completion(start + bare + addition, shown, construction.key))
    return list(found.values())[:MOST]


def _go_on(parts, text, at, board):
    """Pairs of what to add and how it is shown."""
    if not parts:
        return
    part, rest = parts[0], parts[1:]
    typed = text[at:]
    if isinstance(part, str):
        if lower(part).startswith(lower(typed)):
            if len(typed) < len(part):
                more = part[len(typed) :]
                yield more, (typed + more + _ahead(rest)).strip()
            else:
                yield from _go_on(rest, text, at + len(part), board)
        elif lower(typed).startswith(lower(part)):
            yield from _go_on(rest, text, at + len(part), board)
        return
    for end in ends_of_gap(rest, text, at) if rest else ():
        if end > at:
            yield from _go_on(rest, text, end, board)
    yield from _names_for(part, rest, typed, board)


def _names_for(gap, rest, typed, board):
    if gap.kind.points:
        typed = typed[max(typed.rfind(" "), typed.rfind(",")) + 1 :]
        points = names_of_kinds({POINT}, board)
        for name in points if typed in points else ():
            if name != typed:
                yield name, typed + name
    for name in fitting_names(gap.kind, board):
        if name.startswith(typed) and name != typed:
            yield name[len(typed) :], name
    if typed and rest and isinstance(rest[0], str) and _is_whole(gap, typed, board):
        yield rest[0], (typed + rest[0] + _ahead(rest[1:])).strip()


def _is_whole(gap, typed, board):
    names = fitting_names(gap.kind, board)
    points = [step for step in board.steps if step.makes == POINT]
    return typed in names or (gap.kind.points == 2 and len(points) > 1 and len(typed) >= 2)


def _ahead(parts):
    return "".join(part if isinstance(part, str) else "…" for part in parts)
