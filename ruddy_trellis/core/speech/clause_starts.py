"""How a clause begins, and whether it is one: what goes on with a list, or is said of the thing before, is none."""

from __future__ import annotations

import re
from collections.abc import Sequence

from . import english
from .nodes import Described, Many, Named
from .tokens import NAME, Token

#: Words between clauses.
JOINERS = english.words(
    """
    , and ; . then so now
    """
)


def has_participle(said: Sequence[Token]) -> bool:
    """Whether what would be the verb of a claim is a part of what something is: "touching BC"."""
    return any(token.word in ("touches", "bisect", "meets") and token.text.lower().endswith("ing") for token in said)


def is_one_more(said: Sequence[Token], start: int) -> bool:
    """Whether a clause begins with a name that goes on with a list of such, of one point or of two, and nothing is said of it."""
    before = start - 1
    while before >= 0 and said[before].word in JOINERS:
        before -= 1
    ends = said[before], said[start]
    is_more_said = start + 1 < len(said) and said[start + 1].word not in (*JOINERS, "through")
    return (
        before >= 0
        and not is_more_said
        and all(token.kind == NAME and token.text.isupper() for token in ends)
        and 0 < len(ends[0].points) == len(ends[1].points)
    )


def asks_of_a_point_besides(asked: object, holds_on: bool) -> bool:
    """Whether a point is to be measured that stands after described things: it belongs to the last of them.

    Args:
        holds_on: whether the verb is that of the clause before.
    """
    if isinstance(asked, Named):
        return holds_on and len(asked.points) == 1
    return isinstance(asked, Many) and any(
        isinstance(one, Described) and isinstance(other, Named) and len(other.points) == 1
        for one, other in zip(asked.items, asked.items[1:])
    )


#: Words that say that a thing has something.
_HAVING = english.words("with whose has have")


def is_attribute(said: Sequence[Token], start: int) -> bool:
    """Whether what follows "and" is one more thing that the thing before has: "… with side AB and an angle of 60°", or a
    size: "… and angle A = 60°", "… and AD = 3"."""
    at = start + (said[start].word in ("a", "an", "one"))
    if at >= len(said) or said[start - 1].word not in ("and", ","):
        return False
    is_size = at + 1 < len(said) and said[at].kind == NAME and len(said[at].points) == 2 and said[at + 1].word == "="
    if said[at].word not in english.ATTRIBUTES and not is_size:
        return False
    before = [token.word for token in said[:start]]
    stop = next((place for place in range(at, len(said)) if said[place].word in ("and", ",")), len(said))
    return any(word in _HAVING for word in before) and not any(token.word in english.VERBS & _FINITE for token in said[at:stop])


#: Verbs of claims and meetings, with which a noun begins a clause of its own.
_FINITE = frozenset(("is", "meets", "touches", "bisect", "lies"))


def verb_of(said: list[Token], start: int) -> tuple[Token, ...]:
    """The verb with which a clause begins, to hold on in the next."""
    token = said[start]
    return (
        (token,)
        if token.word in english.VERBS and token.word not in ("it", "which", "is", "meets") and re.match(r"[a-z]", token.word)
        else ()
    )
