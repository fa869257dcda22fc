"""That what is drawn is of the kind that was asked for ("draw a vector …" makes a vector, or nothing), and what shall be measured is."""

from __future__ import annotations

import re
from collections.abc import Iterable

from ..kinds import NUMBER
from . import english, english_synonyms
from .nouns import KINDS_OF

#: One new thing is asked for.
_LEAD = re.compile(
    r"(?:(?:(?:draw|put|place|choose|take|mark|pick|make|construct|sketch|add) )?(?:an?|one)|(?:draw|construct|sketch) the) (?=[a-z])",
    re.IGNORECASE,
)
#: Something is to be measured.
_MEASURED = re.compile(r"(?:^|[,;.:] *|\b(?:and|then|to) )measur(?:e|ing) ", re.IGNORECASE)
_WORD = re.compile(r"[a-z]+(?:-[a-z]+)*")
#: Within how many words after the article its noun is looked for.
_NEAR = 4


def kind_asked(text: str) -> tuple[str, ...] | None:
    """The kinds of thing that the noun stands for of which a sentence asks one; None where it asks for no such thing.

    Args:
        text: a sentence.
    """
    lead = _LEAD.match(text)
    if lead is None:
        return None
    noun = None
    for word in text[lead.end() :].lower().split()[:_NEAR]:
        plain = english_synonyms.SAME.get(word, word) if _WORD.fullmatch(word) else ""
        if plain in english.HEADS and plain != word and word.endswith("s"):
            return None
        if plain in english.HEADS:
            noun = plain  # of several in a row it is the last: "a side bisector"
        elif noun is not None or plain not in english.ADJECTIVES:
            break
    return KINDS_OF.get(noun or "")


def is_of_kind(text: str, made: Iterable[str]) -> bool:
    """Whether a thing of the kind that a sentence asks for is among what is made, or it asks for none.

    Args:
        text: the sentence.
        made: the kinds of what is made of it.
    """
    kinds = kind_asked(text)
    return kinds is None or not set(kinds).isdisjoint(made)


def is_measured(text: str, spoken_of: Iterable[str]) -> bool:
    """Whether a reading is among what a sentence makes or speaks of, or it asks for none to be measured.

    Args:
        text: the sentence.
        spoken_of: the kinds of what is made of it, and of what it speaks of that is there.
    """
    return _MEASURED.search(text) is None or NUMBER in spoken_of
