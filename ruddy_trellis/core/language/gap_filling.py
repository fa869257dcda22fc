"""What a stretch of a text fills a gap with: a name, a number, or a thing that is described and becomes a step before."""

from collections.abc import Callable
from dataclasses import replace
from typing import Any, TypeAlias

from ..kinds import LINE, NUMBER, POINT, POLYGON, SPANS, STRAIGHTS, join, with_article, word
from ..refusal import Refusal
from ..seen import SeenBoard
from . import names as spelling
from .expression import read_formula
from .filling import operand, read_fill
from .nouns import CORNERS, NOUNS
from .patterns import Slot
from .reading import ReadStep
from .stretches import points_of, several_of, split_up, text_of, two_points, without_ends
from .tokens import Token

#: How deep a thing may be described by another one.
_DEEPEST = 2
#: What a gap is filled with, the steps that this needs, and the board with them on it.
Filling: TypeAlias = tuple[Any, list[ReadStep], Any]


def _is_of_points(noun: str) -> bool:
    """Whether a noun can stand before two points: "side AB", "points A and B", but not "arc AB" for the span of its ends."""
    return bool({POINT, *STRAIGHTS} & set(NOUNS[noun])) or noun in CORNERS or noun in ("polygon", "shape", "length")


class GapFilling:
    """Fills gaps from stretches of one text.

    Args:
        text: the whole text.
        sentences: the constructions that may be said, by their keys.
        grown: a function of a board and steps that gives a copy of the board with them, and their ids.
        readings: a function of a stretch, a board, the kinds that are wanted, and how deep that is, giving the ways to take
            the stretch as a sentence of its own, the best first.
    """

    def __init__(self, text: str, sentences: Any, grown: Callable, readings: Callable) -> None:
        self._text, self._sentences, self._grown, self._readings = text, sentences, grown, readings
        self._known: dict[Any, tuple[Any, Any]] = {}

    def together(self, slot: Slot, part: list[Token], board: SeenBoard) -> tuple[str, ...]:
        """The points that one stretch names for several gaps: AB, a triangle, the ends of a segment."""
        part = [token for number, token in enumerate(part) if number or token.word not in NOUNS or len(part) == 1]
        text = text_of(part, self._text)
        for id in board.ids_named(spelling.tidy(text)):
            step = board.step(id)
            ends = tuple(step.fills.get("corners", ())) or tuple(end for gap in ("from", "to") for end in step.fills.get(gap, ()))
            if len(ends) == len(slot.gaps) and step.makes in (*STRAIGHTS, POLYGON):
                return ends
        return points_of(part, self._text, board, len(slot.gaps))

    def read(self, gap, part: list[Token], board, depth: int, count: int = 0) -> tuple[Any, list[ReadStep], Any]:
        """What a stretch fills a gap with, the steps that this needs, and the board with them on it. Raises Refusal.

        Many patterns ask the same of the same stretch: it is found once, the board of which is kept with it.
        """
        key = gap.kind_name, tuple(part), id(board), depth, count
        if key not in self._known:
            try:
                self._known[key] = self._read(gap, part, board, depth, count), board
            except Refusal as refusal:
                self._known[key] = refusal, board
        found = self._known[key][0]
        if isinstance(found, Refusal):
            raise found.with_traceback(None)
        return found

    def _read(self, gap, part, board, depth, count):
        if not part:
            raise Refusal(f"{gap.kind.goes}.")
        text, kind = text_of(part, self._text), gap.kind
        if part[0].word in NOUNS and len(part) > 1 and not board.ids_named(spelling.tidy(text)):
            return self._of_noun(gap, part, board, depth, count)
        refusal = None
        try:
            if kind.literal == "coordinates" and not text.startswith("("):
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
        corners = CORNERS.get(noun, 0)
        straight = {"line": "line", "ray": "ray", "vector": "vector"}.get(noun)
        if straight and kinds[0] in gap.kind.single and (ends := two_points(rest, self._text, board)):
            return self._made(gap, straight, ends, board)
        try:
            fill, steps, board = self.read(gap, rest, board, depth, count or (corners if gap.kind.points else 0))
        except Refusal:
            described = self._described(gap, part, board, depth) or self._definite(gap, part, board, depth)
            if described is None:
                raise
            return described
        if isinstance(fill, tuple) and len(fill) == 2 and not _is_of_points(noun):
            raise Refusal(f"Two points are no {noun} by themselves.")
        if isinstance(fill, tuple) and len(fill) == 1 and isinstance(fill[0], str) and fill[0] in board:
            there = board.kind_of(fill[0])
            accepted = (*kinds, *STRAIGHTS) if noun in ("side", "edge", "base") else kinds
            if there not in accepted and not (noun in ("angle", "length") and there == NUMBER):
                raise Refusal(f"{board.name(fill[0])} is {with_article(word(there))}, not {with_article(noun)}.")
        return fill, steps, board

    def _made(self, gap, key: str, ends: tuple[str, str], board) -> tuple[Any, list[ReadStep], Any]:
        """The straight thing through two points: the one that is there, or a new one."""
        fills = {"from": ends[:1], "to": ends[1:]}
        known = _straight_there(board, key, ends)
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
        if set(STRAIGHTS) & set(kind.single) and (ends := two_points(part, self._text, board)):
            for key in ("segment", "line", "vector") if set(SPANS) & set(kind.single) else ("line",):
                same = _straight_there(board, key, ends)
                if same is not None and board.kind_of(same) in kind.single:
                    return (same,), [], board
            return self._made(gap, "line" if LINE in kind.single else "segment", ends, board)
        if POLYGON in kind.single:
            try:
                corners = points_of(part, self._text, board, 0)
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
            formula = read_formula(text_of(part, self._text), lambda name, function: operand(name, function, board))
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
        pieces = split_up(part)
        if len(pieces) < 2 or (kind.points > 0 and len(pieces) != kind.points):
            return None
        one = replace(gap, kind_name="point") if kind.points else replace(gap, kind_name=kind.each) if kind.each else gap
        ids, steps = [], []
        for piece in pieces:
            try:
                if kind.several and (spelt := several_of(piece, self._text, board, kind)):
                    ids += spelt
                    continue
                fill, more, board = self.read(one, without_ends(piece, board), board, depth + 1)
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
        found = [reading for reading in self._readings(part, board, tuple(kinds), depth + 1) if not reading.steps[-1].construction.expands]
        if not found:
            return None
        best = found[0]
        main = best.steps[-1]
        known = there(best.board, main.construction.key, main.fills)
        if known is not None:
            return (known,), list(best.steps[:-1]), best.board
        board, (id,) = self._grown(best.board, [main])
        return (id,), list(best.steps), board

    def _definite(self, gap, part, board, depth):
        """ "the circle", "it": the only thing there is that can be meant."""
        if len(part) != 1 or (part[0].word not in NOUNS and part[0].word not in ("it", "that", "this")):
            return None
        kinds = [kind for kind in NOUNS.get(part[0].word, gap.kind.single) if kind in gap.kind.single]
        count = CORNERS.get(part[0].word, 0)
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


def there(board: Any, key: str, fills: Any) -> str | None:
    """The id of a step that is made in just that way; None where there is none."""
    return next(iter(board.alike(key, fills)), None)


def _straight_there(board, key, ends):
    """The id of a straight thing through two points, in either direction where that is the same thing to a reader."""
    found = there(board, key, {"from": ends[:1], "to": ends[1:]})
    return found if found is not None or key == "ray" else there(board, key, {"from": ends[1:], "to": ends[:1]})
