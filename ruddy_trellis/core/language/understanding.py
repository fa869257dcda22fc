"""A sentence as people say it: other words, other orders, things left out, things described instead of named.

The sentences of the catalogue are read by ``reading``; what that refuses comes here. A text is taken apart into tokens, and every
pattern whose words are all in it is laid over them (see ``patterns``). What fills a gap may be a name, a number, or a thing that
is described by a sentence of its own, which then becomes a step before.
"""

import re
from collections.abc import Callable, Iterator
from dataclasses import dataclass, field
from typing import Any

from ..refusal import Refusal
from ..seen import SeenBoard
from . import names as spelling
from .gap_filling import GapFilling, there
from .given_names import named
from .laying import Laying
from .patterns import NAME, TRIANGLE, Pattern, patterns_by_word
from .reading import ReadStep
from .stretches import points_of, without_ends
from .tokens import Token, tokens

#: How many steps are taken to lay patterns over a text, and how many ways to fill a gap that was left out are gone into.
_MOST, _MOST_LEFT_OUT = 3_000, 6


@dataclass(frozen=True)
class Reading:
    """One way to take a text.

    Attributes:
        steps: what is made, helpers first.
        score: how much of the text is accounted for by words of the sentence, less what had to be guessed.
        board: the board with the helpers on it.
    """

    steps: tuple[ReadStep, ...]
    score: float
    board: Any


@dataclass
class _Found:
    """What fills the gaps so far."""

    fills: dict[str, Any] = field(default_factory=dict)
    inner: dict[tuple[str, str], dict[str, Any]] = field(default_factory=dict)
    name: str | None = None
    triangle: tuple[str, ...] = ()


class Understanding:
    """Reads one text on one board.

    Attributes:
        text: the text without a name that it gives and without the words of an order.
        refusals: why it could not be taken in the ways that were tried, each with how many words of it had fitted.

    Args:
        sentences: the constructions that may be said, also by their keys.
        check: a function of a construction, fills and a board that raises Refusal where they do not fit.
        grown: a function of a board and steps that gives a copy of the board with them, and their ids.
        fill_in: a function of a gap, its construction, the fills so far, the triangle that is spoken of, and a board, giving
            what the gap can be filled with where it was left out.
        gives_name: whether the text may give a name to what it makes.
    """

    def __init__(
        self, text: str, board: SeenBoard, sentences: Any, check: Callable, grown: Callable, fill_in: Callable, gives_name: bool = True
    ) -> None:
        self._name, self.text = named(text, board) if gives_name else (None, text)
        self._board = board
        self._sentences, self._check, self._grown, self._fill_in = sentences, check, grown, fill_in
        self._gaps = GapFilling(self.text, sentences, grown, self._described)
        self._laying = Laying(_MOST)
        self._fit: list[tuple[Any, Pattern]] = []
        self._makes: str | None = None
        #: What was found for a stretch, with the board that it was asked on.
        self._known: dict[Any, tuple[list[Reading], Any]] = {}
        self.refusals: list[tuple[float, Refusal]] = []

    def readings(self, makes: str | None = None) -> list[Reading]:
        """The ways to take the text, the best first; only such as make one kind of thing, where that is given."""
        self._makes = makes
        return self._of(tokens(self.text), self._board, self._name, None, 0)

    def _described(self, part: list[Token], board: Any, kinds: tuple[str, ...], depth: int) -> list[Reading]:
        key = tuple(part), id(board), kinds, depth
        if key not in self._known:
            self._known[key] = self._of(part, board, None, kinds, depth), board
        return self._known[key][0]

    def _of(self, said: list[Token], board: Any, name: str | None, wanted: tuple[str, ...] | None, depth: int) -> list[Reading]:
        words = {token.word for token in said}
        found: dict[Any, Reading] = {}
        for construction, pattern in self._fitting(words, wanted):
            for spans in self._laying.over(pattern, said, board):
                try:
                    for reading in self._filled(construction, pattern, spans, said, board, name, depth):
                        main = reading.steps[-1]
                        key = (main.construction.key, repr(sorted(main.fills.items(), key=lambda pair: pair[0])), len(reading.steps))
                        if key not in found or found[key].score < reading.score:
                            found[key] = reading
                except Refusal as refusal:
                    if depth == 0:
                        self.refusals.append((len(pattern.words), refusal))
                if self._laying.left <= 0:
                    break
        return sorted(found.values(), key=lambda reading: -reading.score)

    def _fitting(self, words: set[str], wanted: tuple[str, ...] | None) -> Iterator[tuple[Any, Pattern]]:
        if wanted is None:
            by_word = patterns_by_word(self._sentences)
            near = [one for word in (*words, "") for one in by_word.get(word, ()) if one[2].words <= words]
            self._fit += [(one, pattern) for _, one, pattern in sorted(near, key=lambda found: found[0])]
            yield from ((one, pattern) for one, pattern in self._fit if self._makes in (None, one.makes))
            return
        for construction, pattern in self._fit:
            # Deeper down a thing is described by words of its own, or not at all.
            if pattern.words and construction.makes in wanted and pattern.words <= words:
                yield construction, pattern

    def _filled(self, construction, pattern, spans, said, board, name, depth) -> Iterator[Reading]:
        found, steps = _Found(name=name), []
        for slot, start, end in spans:
            part = without_ends(said[start:end], board)
            if slot == NAME:
                if name is not None:
                    raise Refusal("That sentence gives two names.")
                found.name = spelling.check_new_name(said[start].text)
            elif slot == TRIANGLE:
                found.triangle = points_of(part, self.text, board, 3)
            elif slot.of is not None:
                inner = self._sentences[slot.of[1]]
                fill, more, board = self._gaps.read(inner.gap_by_name[slot.gaps[0]], part, board, depth)
                found.inner.setdefault(slot.of, {})[slot.gaps[0]] = fill
                steps += more
            elif len(slot.gaps) > 1:
                for gap, id in zip(slot.gaps, self._gaps.together(slot, part, board), strict=True):
                    found.fills[gap] = (id,)
            else:
                gap = construction.gap_by_name[slot.gaps[0]]
                if not pattern.words and gap.kind.literal == "coordinates" and said[start].word != "(":
                    raise Refusal(f"{gap.kind.goes}.")  # two numbers alone say nothing
                fill, more, board = self._gaps.read(gap, part, board, depth, slot.count)
                found.fills[gap.name] = fill
                steps += more
        for (gap, key), fills in found.inner.items():
            inner = self._sentences[key]
            self._check(inner, fills, board)
            made = there(board, key, fills)
            if made is None:
                helper = ReadStep(inner, fills, None)
                board, (made,) = self._grown(board, [helper])
                steps.append(helper)
            found.fills[gap] = (made,)
        for gap, value in pattern.constants:
            found.fills[gap] = float(value) if re.fullmatch(r"-?[\d.]+", value) else value
        score = 10.0 * len(pattern.words) + 0.1 * len(pattern.parts) - 4 * len(steps)
        for fills in self._completed(construction, found, board):
            self._check(construction, fills, board)
            guessed = len(fills) - len(found.fills)
            main = ReadStep(construction, fills, found.name)
            yield Reading((*steps, main), score - 3 * guessed, board)

    def _completed(self, construction, found, board) -> Iterator[dict[str, Any]]:
        """The fills with what was left out, each way that there is."""
        ways = [found.fills]
        for gap in construction.gaps:
            if gap.name in found.fills or (gap.optional and gap.name not in construction.usual):
                continue
            ways = [
                {**fills, gap.name: fill}
                for fills in ways
                for fill in self._fill_in(gap, construction, fills, found.triangle, board)[:_MOST_LEFT_OUT]
            ]
            if not ways:
                raise Refusal(f"“{construction.tool}” needs {gap.kind.wants} as well: “{construction.sentence_shown}”.")
        yield from ways
