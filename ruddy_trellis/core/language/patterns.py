"""Other ways to say a construction, as its definition lists them, taken apart once.

A pattern is words and gaps. ``(a|b)`` is one or the other, ``[...]`` may be left out, ``{gap}`` is a gap of the construction's
sentence, ``{a+b}`` one stretch that fills two gaps or more, such as AB; ``{gap#3}`` takes just so many points; ``{by/rotation.angle}``
fills a gap of another construction, of which the thing that fills ``by`` is made; ``{=}`` is the name of what is made;
``{triangle!}`` says of which triangle the sentence is; ``<which=second>`` fills a gap with a word or a number. Articles and the like
need not stand in it: see ``tokens.IDLE``.
"""

import re
from collections import Counter
from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from functools import lru_cache
from typing import Any

from .for_each import for_all, for_each
from .tokens import IDLE, tokens

_PART = re.compile(r"\{([^}]*)\}|<(\w+)=([^>]*)>|([\[\](|)])|([^\[\](|){}<>]+)")
_PREPOSITIONS = frozenset(
    ("of", "from", "to", "through", "at", "on", "in", "about", "by", "along", "between", "under", "for", "as", "is", "meets", "and", "=",
     ":", ",")
)  # fmt: skip


@dataclass(frozen=True)
class Slot:
    """A gap in a pattern.

    Attributes:
        gaps: the names of the gaps that it fills: one, several, or with ``of`` the one of the other construction.
        of: the gap that another construction's thing fills, and the key of that construction; None where there is none.
        count: how many points it takes; 0 where that is open.
    """

    gaps: tuple[str, ...]
    of: tuple[str, str] | None = None
    count: int = 0


NAME, TRIANGLE = Slot(("=",)), Slot(("!",))


@dataclass(frozen=True)
class Pattern:
    """One way to say a construction.

    Attributes:
        parts: words, in their canonical form, and slots.
        words: its words as a set: a text without one of them does not fit.
        constants: gaps that it fills by itself.
        head: after so many of its parts a name for what is made may stand, as in "the midpoint M of AB".
    """

    parts: tuple[str | Slot, ...]
    words: frozenset[str]
    constants: tuple[tuple[str, str], ...]
    head: int


def _slot(text: str) -> Slot:
    if text == "=":
        return NAME
    if text.endswith("!"):
        return TRIANGLE
    inside, _, count = text.partition("#")
    of, _, rest = inside.rpartition("/")
    if of:
        key, _, gap = rest.partition(".")
        return Slot((gap,), (of, key))
    return Slot(tuple(inside.split("+")), None, int(count or 0))


def _taken_apart(text: str) -> list:
    """The pattern as a list of words, slots, constants, and lists of alternatives."""
    stack: list[list] = [[[]]]
    for found in _PART.finditer(text):
        gap, name, value, sign, words = found.groups()
        if gap is not None:
            stack[-1][-1].append(_slot(gap))
        elif name is not None:
            stack[-1][-1].append((name, value))
        elif words is not None:
            stack[-1][-1] += [token.word for token in tokens(words) if token.word not in IDLE]
        elif sign in "[(":
            stack.append([[]])
        elif sign == "|":
            stack[-1].append([])
        else:
            choices = stack.pop()
            stack[-1][-1].append([*choices, []] if sign == "]" else choices)
    return stack[0][0]


def _spelt_out(parts: list) -> Iterator[list]:
    """Every way to take the alternatives."""
    for number, part in enumerate(parts):
        if isinstance(part, list):
            for choice in part:
                yield from _spelt_out([*parts[:number], *choice, *parts[number + 1 :]])
            return
    yield parts


@lru_cache(maxsize=4096)
def patterns(text: str) -> tuple[Pattern, ...]:
    """The patterns that a text stands for, one for each way to take its alternatives."""
    made = {}
    for spelt in _spelt_out(_taken_apart(text)):
        parts = tuple(part for part in spelt if isinstance(part, (str, Slot)))
        constants = tuple(part for part in spelt if isinstance(part, tuple))
        words = frozenset(part for part in parts if isinstance(part, str))
        head = next((number for number, part in enumerate(parts) if not isinstance(part, str) or part in _PREPOSITIONS), len(parts))
        made[(parts, constants)] = Pattern(parts, words, constants, head)
    return tuple(made.values())


def canonical(pieces: Iterable) -> tuple[Pattern, ...]:
    """The sentence of a construction itself as patterns."""
    text, group = "", 0
    for piece in pieces:
        if piece.group != group:
            text += ("]" if group else "") + ("[" if piece.group else "")
            group = piece.group
        text += f" {{{piece.gap.name}}} " if piece.gap else piece.text.replace("(", " ").replace(")", " ")
    return patterns(text + ("]" if group else ""))


@for_each
def ways_to_say(construction: Any) -> tuple[Pattern, ...]:
    """Every pattern of a construction: its own sentence, its aliases, and the other ways in its definition."""
    made = [pattern for pieces in construction.sentences for pattern in canonical(pieces)]
    made += [pattern for text in construction.also for pattern in patterns(text)]
    return tuple(dict.fromkeys(made))


@for_all
def words_of_sentences(constructions: tuple[Any, ...]) -> frozenset[str]:
    """Every word of the ways in which constructions are said."""
    return frozenset(word for construction in constructions for pattern in ways_to_say(construction) for word in pattern.words)


@for_all
def patterns_by_word(constructions: tuple[Any, ...]) -> dict[str, list[tuple[int, Any, Pattern]]]:
    """All patterns of all constructions in order, each under that word of it that the fewest patterns have; under "" those without
    words. A text that has not that word cannot be the pattern."""
    every = [(construction, pattern) for construction in constructions for pattern in ways_to_say(construction)]
    counts = Counter(word for _, pattern in every for word in pattern.words)
    found: dict[str, list[tuple[int, Any, Pattern]]] = {}
    for place, (construction, pattern) in enumerate(every):
        rarest = min(sorted(pattern.words), key=counts.__getitem__, default="")
        found.setdefault(rarest, []).append((place, construction, pattern))
    return found
