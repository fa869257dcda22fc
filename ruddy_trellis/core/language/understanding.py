"""A sentence as people say it: other words, other orders, things left out, things described instead of named.

The sentences of the catalogue are read by ``reading``; what that refuses comes here. A text is taken apart into tokens, and every
pattern whose words are all in it is laid over them (see ``patterns``). What fills a gap may be a name, a number, or a thing that
is described by a sentence of its own, which then becomes a step before.
"""

import re
from collections.abc import Callable, Iterator
from dataclasses import dataclass, field, replace
from typing import Any

from ..kinds import (
    ARC,
    CIRCLE,
    CONIC,
    LINE,
    LOCUS,
    MAPS,
    NUMBER,
    PATHS,
    POINT,
    POLYGON,
    RAY,
    SPANS,
    STRAIGHTS,
    VECTOR,
    join,
    with_article,
    word,
)  # fmt: skip
from ..refusal import Refusal
from ..seen import SeenBoard
from . import names as spelling
from .amounts import amount
from .expression import read_formula
from .filling import operand, read_fill
from .patterns import NAME, TRIANGLE, Pattern, Slot, canonical, patterns
from .reading import ReadStep
from .tokens import IDLE, LINKING, Token, tokens

#: What a noun before a name says of it.
NOUNS: dict[str, tuple[str, ...]] = {
    "point": (POINT,), "points": (POINT,), "peg": (POINT,), "corner": (POINT,), "line": (LINE,), "lines": (LINE,), "ray": (RAY,),
    "segment": SPANS, "side": SPANS, "edge": SPANS, "chord": SPANS, "diameter": SPANS, "base": SPANS, "vector": (VECTOR,),
    "circle": (CIRCLE,), "circles": (CIRCLE,), "arc": (ARC,), "conic": (CONIC,), "ellipse": (CONIC,), "parabola": (CONIC,),
    "hyperbola": (CONIC,), "curve": PATHS, "triangle": (POLYGON,), "quadrilateral": (POLYGON,), "polygon": (POLYGON,),
    "square": (POLYGON,), "rectangle": (POLYGON,), "shape": (POLYGON,), "pentagon": (POLYGON,), "hexagon": (POLYGON,),
    "parallelogram": (POLYGON,), "angle": (NUMBER,), "reading": (NUMBER,), "dial": (NUMBER,), "length": (NUMBER,), "locus": (LOCUS,),
    "transformation": MAPS, "rotation": MAPS, "reflection": MAPS, "translation": MAPS, "enlargement": MAPS,
}  # fmt: skip
_CORNERS = {"triangle": 3, "quadrilateral": 4, "square": 4, "rectangle": 4, "parallelogram": 4, "pentagon": 5, "hexagon": 6}
#: How many ways of laying patterns over a text are tried, and how deep a thing may be described by another one.
_MOST, _DEEPEST = 3_000, 2


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
    target: Any = None


@dataclass
class _Found:
    """What fills the gaps so far."""

    fills: dict[str, Any] = field(default_factory=dict)
    inner: dict[tuple[str, str], dict[str, Any]] = field(default_factory=dict)
    name: str | None = None
    triangle: tuple[str, ...] = ()


class Understanding:
    """Reads one text on one board.

    Args:
        sentences: the constructions that may be said, also by their keys.
        check: a function of a construction, fills and a board that raises Refusal where they do not fit.
        grown: a function of a board and steps that gives a copy of the board with them, and their ids.
        fill_in: a function of a gap, its construction, the fills so far, the triangle that is spoken of, and a board, giving
            what the gap can be filled with where it was left out.
    """

    def __init__(self, text: str, sentences: Any, check: Callable, grown: Callable, fill_in: Callable) -> None:
        self.text = text
        self._sentences, self._check, self._grown, self._fill_in = sentences, check, grown, fill_in
        self._left = _MOST
        self._wordless = False
        self._fit: list[tuple[Any, Pattern]] = []
        self.refusals: list[tuple[float, Refusal]] = []

    def readings(self, board: SeenBoard) -> list[Reading]:
        """The ways to take the text, the best first."""
        name, text = named(self.text, board)
        self.text = text
        return self._of(tokens(text), board, name, None, 0)

    def _of(self, said: list[Token], board: Any, name: str | None, wanted: tuple[str, ...] | None, depth: int) -> list[Reading]:
        words = {token.word for token in said}
        found: dict[Any, Reading] = {}
        for construction, pattern in self._fitting(words, wanted):
            for spans in self._laid(pattern, said, board):
                try:
                    for reading in self._filled(construction, pattern, spans, said, board, name, depth):
                        main = reading.steps[-1]
                        key = (main.construction.key, repr(sorted(main.fills.items(), key=lambda pair: pair[0])), len(reading.steps))
                        if key not in found or found[key].score < reading.score:
                            found[key] = reading
                except Refusal as refusal:
                    if depth == 0:
                        self.refusals.append((len(pattern.words), refusal))
                if self._left <= 0:
                    break
        return sorted(found.values(), key=lambda reading: -reading.score)

    def _fitting(self, words: set[str], wanted: tuple[str, ...] | None) -> Iterator[tuple[Any, Pattern]]:
        if wanted is None:
            for one in self._sentences:
                fitting, all_words = ways_to_say(one), _words_of(one)
                if not all_words.isdisjoint(words) or _WORDLESS in all_words:
                    self._fit += [(one, pattern) for pattern in fitting if pattern.words <= words]
            yield from self._fit
            return
        for construction, pattern in self._fit:
            # Deeper down a thing is described by words of its own, or not at all.
            if pattern.words and construction.makes in wanted and pattern.words <= words:
                yield construction, pattern

    # Laying a pattern over the tokens -----------------------------------------------------------------------

    def _laid(self, pattern: Pattern, said: list[Token], board: SeenBoard) -> Iterator[list[tuple[Slot, int, int]]]:
        """The stretches that the slots of a pattern take, each way to lay it over all tokens."""
        parts = pattern.parts

        def idle(at: int) -> bool:
            return _is_idle(said, at, board)

        def go(part: int, at: int, named: bool) -> Iterator[list[tuple[Slot, int, int]]]:
            self._left -= 1
            if self._left <= 0:
                return
            if part == pattern.head and part and not named and at < len(said) and NAME not in parts and _is_new_name(said[at], board):
                for rest in go(part, at + 1, True):
                    yield [(NAME, at, at + 1), *rest]
            if part == len(parts):
                if all(idle(place) or said[place].word in (",", ".") for place in range(at, len(said))):
                    yield []
                return
            wanted = parts[part]
            if isinstance(wanted, str):
                place = at
                while place < len(said) and said[place].word != wanted and (idle(place) or said[place].word in LINKING):
                    place += 1
                if place < len(said) and said[place].word == wanted:
                    yield from go(part + 1, place + 1, named)
                return
            if wanted == NAME:
                if at < len(said) and _is_new_name(said[at], board):
                    for rest in go(part + 1, at + 1, True):
                        yield [(wanted, at, at + 1), *rest]
                return
            following = parts[part + 1] if part + 1 < len(parts) else None
            for end in range(len(said), at, -1) if following is None else range(at + 1, len(said) + 1):
                if isinstance(following, str) and not any(said[place].word == following for place in range(end, len(said))):
                    break
                for rest in go(part + 1, end, named):
                    yield [(wanted, at, end), *rest]

        yield from go(0, 0, False)

    # Filling the gaps ---------------------------------------------------------------------------------------

    def _filled(self, construction, pattern, spans, said, board, name, depth) -> Iterator[Reading]:
        found, steps, guessed = _Found(name=name), [], 0.0
        self._wordless = not pattern.words
        for slot, start, end in spans:
            part = _without_ends(said[start:end], board)
            if slot == NAME:
                if name is not None:
                    raise Refusal("That sentence gives two names.")
                found.name = spelling.check_new_name(said[start].text)
            elif slot == TRIANGLE:
                found.triangle = _points(part, self.text, board, 3)
            elif slot.of is not None:
                inner = self._sentences[slot.of[1]]
                fill, more, board = self._read(inner.gap_by_name[slot.gaps[0]], part, board, depth)
                found.inner.setdefault(slot.of, {})[slot.gaps[0]] = fill
                steps += more
            elif len(slot.gaps) > 1:
                for gap, id in zip(slot.gaps, self._together(slot, part, board), strict=True):
                    found.fills[gap] = (id,)
            else:
                gap = construction.gap_by_name[slot.gaps[0]]
                fill, more, board = self._read(gap, part, board, depth, slot.count)
                found.fills[gap.name] = fill
                steps += more
        for (gap, key), fills in found.inner.items():
            inner = self._sentences[key]
            self._check(inner, fills, board)
            made = _the_same(board, key, fills)
            if made is None:
                helper = ReadStep(inner, fills, None)
                board, (made,) = self._grown(board, [helper])
                steps.append(helper)
            found.fills[gap] = (made,)
        for gap, value in pattern.constants:
            found.fills[gap] = float(value) if re.fullmatch(r"-?[\d.]+", value) else value
        score = 10.0 * len(pattern.words) + 0.1 * len(pattern.parts) - 4 * len(steps)
        for fills, many in self._completed(construction, found, board):
            self._check(construction, fills, board)
            guessed = len(fills) - len(found.fills)
            main = ReadStep(construction, fills, found.name)
            yield Reading((*steps, main), score - 3 * guessed - many, board)

    def _completed(self, construction, found, board) -> Iterator[tuple[dict[str, Any], float]]:
        """The fills with what was left out, each way that there is; and how much less likely each is for being one of many."""
        missing = [gap for gap in construction.gaps if gap.name not in found.fills and not gap.optional]
        if construction.key == "free_point" and "at" not in found.fills:
            missing = [construction.gap_by_name["at"]]
        if not missing:
            yield found.fills, 0
            return
        ways = [dict(found.fills)]
        for gap in missing:
            ways = [
                {**fills, gap.name: fill} for fills in ways for fill in self._fill_in(gap, construction, fills, found.triangle, board)[:6]
            ]
        if not ways:
            raise Refusal(f"“{construction.tool}” needs {missing[0].kind.wants} as well: “{construction.sentence_shown}”.")
        for fills in ways:
            yield fills, 0

    def _together(self, slot: Slot, part: list[Token], board: SeenBoard) -> tuple[str, ...]:
        """The points that one stretch names for several gaps: AB, a triangle, the ends of a segment."""
        part = [token for number, token in enumerate(part) if number or token.word not in NOUNS or len(part) == 1]
        text = _text(part, self.text)
        for id in board.ids_named(spelling.tidy(text)):
            step = board.step(id)
            ends = tuple(step.fills.get("corners", ())) or tuple(end for gap in ("from", "to") for end in step.fills.get(gap, ()))
            if len(ends) == len(slot.gaps) and step.makes in (*STRAIGHTS, POLYGON):
                return ends
        return _points(part, self.text, board, len(slot.gaps))

    def _read(self, gap, part: list[Token], board, depth: int, count: int = 0) -> tuple[Any, list[ReadStep], Any]:
        """What a stretch fills a gap with, the steps that this needs, and the board with them on it. Raises Refusal."""
        if not part:
            raise Refusal(f"{gap.kind.goes}.")
        text, kind = _text(part, self.text), gap.kind
        if part[0].word in NOUNS and len(part) > 1 and not board.ids_named(spelling.tidy(text)):
            return self._of_noun(gap, part, board, depth, count)
        refusal = None
        try:
            if kind.literal == "number" and (value := amount(text, board)) is not None:
                return read_fill(gap, repr(value), board), [], board
            if kind.literal == "coordinates" and not text.startswith("(") and not self._wordless:
                text = f"({text})"
            if kind.points and len(part) > 1 and all(board.ids_named(token.text) for token in part):
                text = ", ".join(token.text for token in part)
            if kind.literal == "text" and not text.startswith("“"):
                text = f"“{text.strip(chr(34))}”"
            fill = read_fill(gap, text, board)
            if count and isinstance(fill, tuple) and len(fill) != count:
                raise Refusal(f"{text} has {len(fill)} corners, not {count}.")
            return fill, [], board
        except Refusal as found:
            refusal = found
        for way in (self._of_points, self._of_formula, self._of_parts, self._described, self._definite):
            taken = way(gap, part, board, depth)
            if taken is not None:
                return taken
        raise refusal

    def _of_noun(self, gap, part, board, depth, count) -> tuple[Any, list[ReadStep], Any]:
        """A noun before a name has to agree with what it names; "line AB" is the line, where the gap takes one."""
        noun, rest = part[0].word, part[1:]
        kinds = NOUNS[noun]
        corners = _CORNERS.get(noun, 0)
        straight = {"line": "line", "ray": "ray", "vector": "vector"}.get(noun)
        if straight and kinds[0] in gap.kind.single and (ends := _two_points(rest, self.text, board)):
            return self._made(gap, straight, ends, board)
        try:
            fill, steps, board = self._read(gap, rest, board, depth, count or (corners if gap.kind.points else 0))
        except Refusal:
            described = self._described(gap, part, board, depth) or self._definite(gap, part, board, depth)
            if described is None:
                raise
            return described
        if isinstance(fill, tuple) and len(fill) == 1 and isinstance(fill[0], str) and fill[0] in board:
            there = board.kind_of(fill[0])
            accepted = (*kinds, *STRAIGHTS) if noun in ("side", "edge", "base") else kinds
            if there not in accepted and not (noun in ("angle", "length") and there == NUMBER):
                raise Refusal(f"{board.name(fill[0])} is {with_article(word(there))}, not {with_article(noun)}.")
        return fill, steps, board

    def _made(self, gap, key: str, ends: tuple[str, str], board) -> tuple[Any, list[ReadStep], Any]:
        """The straight thing through two points: the one that is there, or a new one."""
        fills = {"from": ends[:1], "to": ends[1:]}
        known = _the_same(board, key, fills) or (_the_same(board, key, {"from": ends[1:], "to": ends[:1]}) if key != "ray" else None)
        if known is not None:
            return (known,), [], board
        step = ReadStep(self._sentences[key], fills, None)
        board, (made,) = self._grown(board, [step])
        return (made,), [step], board

    def _of_points(self, gap, part, board, depth):
        """Where only a thing fits and points were named: the thing through them."""
        kind = gap.kind
        if kind.points or kind.several or not kind.single:
            return None
        if set(STRAIGHTS) & set(kind.single) and (ends := _two_points(part, self.text, board)):
            for key in ("segment", "line", "vector") if set(SPANS) & set(kind.single) else ("line",):
                same = _the_same(board, key, {"from": ends[:1], "to": ends[1:]}) or _the_same(
                    board, key, {"from": ends[1:], "to": ends[:1]}
                )
                if same is not None and board.kind_of(same) in kind.single:
                    return (same,), [], board
            return self._made(gap, "line" if LINE in kind.single else "segment", ends, board)
        if POLYGON in kind.single:
            try:
                corners = _points(part, self.text, board, 0)
            except Refusal:
                return None
            if len(corners) < 3:
                return None
            for step in board.steps:
                if step.makes == POLYGON and set(step.fills.get("corners", ())) == set(corners):
                    return (step.id,), [], board
            made = ReadStep(self._sentences["polygon"], {"corners": corners}, None)
            board, (id,) = self._grown(board, [made])
            return (id,), [made], board
        return None

    def _of_formula(self, gap, part, board, depth):
        """A number made from readings: −α, α / 3, 2 AB."""
        if gap.kind.literal != "number" or not gap.kind.single:
            return None
        try:
            formula = read_formula(_text(part, self.text), lambda name, function: operand(name, function, board))
        except Refusal:
            return None
        if not formula.operands:
            return None
        step = ReadStep(self._sentences["calculation"], {"formula": formula}, None)
        board, (id,) = self._grown(board, [step])
        return (id,), [step], board

    def _of_parts(self, gap, part, board, depth):
        """Several points, each named or described: "A and the midpoint of BC"."""
        kind = gap.kind
        if not (kind.points or kind.several) or depth >= _DEEPEST:
            return None
        pieces = _split(part)
        if len(pieces) < 2 or (kind.points > 0 and len(pieces) != kind.points):
            return None
        one = replace(gap, kind_name="point") if kind.points else gap
        ids, steps = [], []
        for piece in pieces:
            try:
                if kind.several and (spelt := _several(piece, self.text, board, kind)):
                    ids += spelt
                    continue
                fill, more, board = self._read(one, _without_ends(piece, board), board, depth + 1)
            except Refusal:
                return None
            ids += fill
            steps += more
        return tuple(ids), steps, board

    def _described(self, gap, part, board, depth):
        """A thing that a sentence of its own describes: it becomes a step before."""
        kinds = gap.kind.single or ((POINT,) if gap.kind.points else ())
        if depth >= _DEEPEST or len(part) < 2 or not kinds:
            return None
        found = [reading for reading in self._of(part, board, None, tuple(kinds), depth + 1) if not reading.steps[-1].construction.expands]
        if not found:
            return None
        best = found[0]
        main = best.steps[-1]
        known = _the_same(best.board, main.construction.key, main.fills)
        if known is not None:
            return (known,), list(best.steps[:-1]), best.board
        board, (id,) = self._grown(best.board, [main])
        return (id,), list(best.steps), board

    def _definite(self, gap, part, board, depth):
        """ "the circle", "it": the only thing there is that can be meant."""
        if len(part) != 1 or (part[0].word not in NOUNS and part[0].word not in ("it", "that", "this")):
            return None
        kinds = [kind for kind in NOUNS.get(part[0].word, gap.kind.single) if kind in gap.kind.single]
        count = _CORNERS.get(part[0].word, 0)
        found = [
            step.id
            for step in board.steps
            if step.makes in kinds and not step.look.hidden and (not count or len(step.fills.get("corners", ())) == count)
        ]
        if gap.kind.points == 3 and part[0].word == "triangle":
            triangles = [step for step in board.steps if len(step.fills.get("corners", ())) == 3]
            return (tuple(triangles[0].fills["corners"]), [], board) if len(triangles) == 1 else None
        if len(found) > 1:
            raise Refusal(f"There are several: {join(map(board.name, found[:8]), last='or')}. Say which is meant.")
        return ((found[0],), [], board) if found else None


def ways_to_say(construction: Any) -> tuple[Pattern, ...]:
    """Every pattern of a construction: its own sentence, its aliases, and the other ways in its definition."""
    known = _WAYS.get(construction.key)
    if known is None or known[0] is not construction:
        made = [pattern for pieces in construction.sentences for pattern in canonical(pieces)]
        made += [pattern for text in construction.also for pattern in patterns(text)]
        known = _WAYS[construction.key] = (construction, tuple(dict.fromkeys(made)))
    return known[1]


#: Stands among the words of a construction of which a pattern has none.
_WORDLESS = ""


def _words_of(construction: Any) -> frozenset[str]:
    """All words of all patterns of a construction."""
    known = _WORDS.get(construction.key)
    if known is None or known[0] is not construction:
        every = [pattern.words or frozenset((_WORDLESS,)) for pattern in ways_to_say(construction)]
        known = _WORDS[construction.key] = (construction, frozenset().union(*every))
    return known[1]


_WORDS: dict[str, tuple[Any, frozenset[str]]] = {}
_WAYS: dict[str, tuple[Any, tuple[Pattern, ...]]] = {}

_ORDER = re.compile(
    r"\s*(?:(?:please|now|then|and|also|next|let us|let’s|let's|can you|could you|i want|we need|show me|give me)[\s,]+)*"
    r"(?:(?:draw|construct|make|add|create|build|put|place|plot|sketch|find|get|take|work out|determine|what is|what's|what’s|drop|erect|"
    r"raise|state|(?:mark|measure|calculate)(?=\s+(?:the|an?)\s)|(?:measure|calculate|mark)(?=\s+(?:length|area|distance|perimeter|slope|"
    r"gradient|ratio|radius|midpoint|point)))\s+)?",
    re.IGNORECASE,
)
_FIRST = re.compile(r"\s*(?:let\s+|call\s+)?(?P<name>[^\s:=,]+)\s*(?P<sign>:=|=|:|\bis\b|\bbe\b|\bare\b)\s*(?P<rest>.+)", re.I | re.DOTALL)
_LAST = re.compile(
    r"(?P<rest>.+?)[\s,]+(?:and\s+)?(?:call(?:ed)?(?:\s+(?:it|this|that))?|named?(?:\s+it)?|label(?:led)?(?:\s+it)?)\s+(?P<name>\S+)",
    re.DOTALL,
)
#: With these a sentence begins that asks, and no name stands there.
_ASKING = frozenset(("where", "what", "how", "which", "who", "it", "that", "this", "there", "here", "angle"))
#: |AB|, as lengths are written.
_BARS = re.compile(r"\|\s*([^|]+?)\s*\|")


def named(text: str, board: SeenBoard) -> tuple[str | None, str]:
    """The name that a text gives, first or last, or None; and the rest, without the words of an order."""
    text = _BARS.sub(r"length of \1", " ".join(text.split()).rstrip(" .!?"))
    text = _without_order(text)
    for form in (_FIRST, _LAST):
        found = form.fullmatch(text)
        if not found or not spelling.NAME.fullmatch(name := spelling.tidy(found["name"])) or name.lower() in NOUNS:
            continue
        if name.lower() in _ASKING:
            continue
        if form is _FIRST and found["sign"] == ":" and (board.ids_named(name) or spelling.unspell(name, board.points_by_name, 2)):
            continue  # a ratio
        return name, _without_order(found["rest"])
    return None, text


def _without_order(text: str) -> str:
    order = _ORDER.match(text)
    return text[order.end() :] if order else text


def _is_idle(said: list[Token], at: int, board: SeenBoard) -> bool:
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


def _is_new_name(token: Token, board: SeenBoard) -> bool:
    """Whether a token may be a name for what is made: short, or with a capital or a digit, and nothing else's."""
    text = spelling.tidy(token.text)
    short = len(text) == 1 or text[0].isupper() or any(letter.isdigit() for letter in text)
    if token.text in IDLE or token.text in LINKING or token.word in NOUNS:
        return False
    return short and bool(spelling.NAME.fullmatch(text)) and text not in spelling.RESERVED and not board.ids_named(text)


def _text(part: list[Token], whole: str) -> str:
    return whole[part[0].start : part[-1].end] if part else ""


def _without_ends(part: list[Token], board: SeenBoard) -> list[Token]:
    """A stretch without the words at its ends that say nothing."""
    start, end = 0, len(part)
    while start < end and (_is_idle(part, start, board) or part[start].word in ("and", ",", "both", "of")):
        start += 1
    while end > start and part[end - 1].word in ("and", ",", ".", ";"):
        end -= 1
    return part[start:end]


def _points(part: list[Token], whole: str, board: SeenBoard, count: int) -> tuple[str, ...]:
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
        raise Refusal(f"{_text(part, whole)[:30]} names {len(found)} points; here go {count}.")
    return tuple(found)


def _two_points(part: list[Token], whole: str, board: SeenBoard) -> tuple[str, str] | None:
    try:
        a, b = _points(part, whole, board, 2)
    except Refusal:
        return None
    return a, b


def _several(part: list[Token], whole: str, board: SeenBoard, kind: Any) -> list[str]:
    """The things that a stretch names one after another: their own names, or points spelt together."""
    name = spelling.tidy(_text(part, whole))
    found = [id for id in board.ids_named(name) if board.kind_of(id) in kind.single]
    if found:
        return found[:1]
    try:
        return list(_points(part, whole, board, 0)) if POINT in kind.single else []
    except Refusal:
        return []


def things_named(text: str, board: SeenBoard) -> list[str]:
    """The ids of the things that a text names: "A, B and circle k", "the segment AB". Raises Refusal naming what is not there."""
    found: list[str] = []
    for piece in _split(tokens(text)) or [[]]:
        part = _without_ends(piece, board)
        kinds = None
        if part and part[0].word in NOUNS and len(part) > 1:
            kinds, part = NOUNS[part[0].word], part[1:]
        name = spelling.tidy(_text(part, text))
        ids = [id for id in board.ids_named(name) if kinds is None or board.kind_of(id) in (*kinds, *(STRAIGHTS if LINE in kinds else ()))]
        if ids:
            found.append(ids[0])
            continue
        if board.ids_named(name):
            raise Refusal(f"{name} is {with_article(word(board.kind_of(board.ids_named(name)[0])))}, not {with_article(piece[0].word)}.")
        found += _points(part, text, board, 0)
    if not found:
        raise Refusal("Say which things are meant: hide p and q.")
    return list(dict.fromkeys(found))


def _split(part: list[Token]) -> list[list[Token]]:
    """A stretch at its commas and "and"s."""
    pieces: list[list[Token]] = [[]]
    for token in part:
        if token.word in (",", "and"):
            if pieces[-1]:
                pieces.append([])
        else:
            pieces[-1].append(token)
    return [piece for piece in pieces if piece]


def _the_same(board: SeenBoard, key: str, fills: Any) -> str | None:
    """The id of a step that is made in just that way; None where there is none."""
    for step in board.steps:
        if step.does == key and all(step.fills.get(name) == fill for name, fill in fills.items()):
            return step.id
    return None
