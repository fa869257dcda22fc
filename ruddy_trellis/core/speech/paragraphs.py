"""A paragraph: sentence by sentence on one board, each with what it was read as, or why it was not."""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import dataclass, replace

from ..board.board import Board
from ..board.step import Step
from ..edits.models import Add, Together
from ..edits.saying import said
from ..kinds import CLAIM, NUMBER
from ..language.printing import sentence
from ..refusal import Refusal
from .building import Building, Mark
from .english_remarks import IS_FOR_READERS, is_done_by_hand
from .hearing import canonical_in, first_read
from .in_tongue import said_in_tongue
from .not_taken import ActRefused
from .plain_words import plain
from .refusals import Final, NotThere, Told
from .sentences import CANNOT_HOLD, FAILS, Sentence
from .told_facts import as_fact, is_size, is_told, joined_with, names_in

#: How many sentences a paragraph has at most, and letters in all.
MOST, _LONGEST = 60, 8_000
#: How many sentences of a paragraph are read once more, in all, to see to which of them another one belongs; and to how many it may.
_AGAIN, _EARLIER = 60, 3
#: Points that may be put elsewhere.
_MOVABLE = ("free_point", "point_on")
_END = re.compile(r"(?<=[.?!;])\s+(?=\S)|\n+")
#: After these a full stop ends no sentence: short forms, and the number of a sentence ("3. Draw …"), which stands by itself; a number at
#: the end ("with side 6.") is none.
#: A name in capital letters is none of them: "Join PT. Measure it."
_SHORT = re.compile(
    r"(?:\b(?:[Pp]erp|[Pp]t|[Mm]id|[Ee]q|[Ss]eg|[Cc]irc|[Tt]ri|[Qq]uad|[Dd]ist|[Dd]eg|[Rr]ad|[Dd]iam|[Dd]ia|[Aa]lt|[Pp]ar|[Aa]pprox|"
    r"[Ee]\.g|[Ii]\.e|[Ss]\.t|[Ff]ig|[Nn]o)|(?:^|:\s)\d+)\.$"
)


#: An equation that is drawn, and what is drawn besides: "draw y = 2x − 1 and the line perpendicular to it through (0, 4)".
_EQUATION_AND = re.compile(
    r"([^=,;]*\b[xy]\b[^=,;]*=[^=,;]*?|[^=,;]*=[^=,;]*\b[xy]\b[^=,;]*?) and ((?:the|an?|its|draw|then) .*[a-z]{3}.*)", re.I
)


#: A point at its place, or a circle by its signs, and what is said of it besides: "let P = (1, 2) and let Q be …", "k(M; 4 cm), A ∈ k".
_PLACED_AND = re.compile(r"((?:let )?[A-Z] ?(?:=|be|is) ?\([^()]*\)|[a-z] ?\([A-Z] ?[;,|][^()]*\)),?(?: and)? ((?:let )?[A-Z]\b.*)", re.I)


@dataclass(frozen=True)
class Line:
    """One sentence of a paragraph.

    Attributes:
        text: as it was typed.
        sentences: what it was read as, in the words of the catalogue; empty where it was not read.
        problem: why it was not read; ``ways`` what is near.
        guesses: what was guessed.
        remark: what is told of it where nothing is drawn: that it is said to the readers, or was taken to another sentence.
    """

    text: str
    sentences: tuple[str, ...] = ()
    problem: str = ""
    ways: tuple[str, ...] = ()
    guesses: tuple[str, ...] = ()
    remark: str = ""


@dataclass(frozen=True)
class Paragraph:
    """What a paragraph was read as.

    Attributes:
        lines: its sentences.
        edit: all of what was read as one edit; None where nothing was.
    """

    lines: tuple[Line, ...]
    edit: Add | Together | None


def sentences_of(text: str) -> list[str]:
    """The sentences of a text: at full stops and at the ends of lines."""
    found: list[str] = []
    for piece in _END.split(text.strip()):
        piece = piece.strip()
        if not piece:
            continue
        if found and (_SHORT.search(found[-1]) or found[-1].count("(") > found[-1].count(")")):
            found[-1] = f"{found[-1]} {piece}"
        else:
            found.append(piece)
    return [part for piece in found for part in _parts(piece) if re.search(r"\w", part)]


def _parts(text: str) -> tuple[str, ...]:
    """A sentence, or an equation and what is drawn besides as two."""
    found = _EQUATION_AND.fullmatch(text) or _PLACED_AND.fullmatch(text)
    return (found[1], found[2]) if found else (text,)


def is_paragraph(text: str) -> bool:
    """Whether a text has several sentences."""
    return len(sentences_of(text)) > 1


def paragraph(text: str, board: Board, selected: Sequence[str] = ()) -> Paragraph:
    """Read a paragraph on a board. What cannot be read is marked, and the rest is read without it.

    Raises:
        Refusal: where it is too long.
    """
    pieces = sentences_of(text)
    if len(pieces) > MOST or len(text) > _LONGEST:
        raise Refusal(f"A paragraph has at most {MOST} sentences and {_LONGEST:,} letters here.")
    reading, again = _Reading(board, text, selected), _AGAIN
    for number, piece in enumerate(pieces):
        mark = reading.building.mark()
        reading.go_on(piece)
        is_read = not reading.lines[-1].problem
        if is_told(piece) and (reading.is_not_so(mark.steps) or (is_size(piece) and not is_read)):
            told, again = _told_with_another(reading, number, again) if again > 0 else (None, again)
            if told is None and is_read:
                reading.take_back(mark)
            reading = told or reading
    lines, building = reading.lines, reading.building
    adding = [Add(steps=building.new)] if building.new else []
    edit: Add | Together | None = adding[0] if adding and not building.acts else None
    if building.acts:
        edit = Together(edits=[*adding, *building.acts])
    return Paragraph(tuple(lines), edit)


class _Reading:
    """Sentences read one after the other.

    Attributes:
        texts: the sentences as they are read: one to which another was taken has that in it, and that is empty.
        shown: the same as they were typed.
        lines: what came of each; ``building`` what came of all.
    """

    def __init__(self, board: Board, whole: str, selected: Sequence[str]) -> None:
        self.board, self.whole, self.selected = board, whole, selected
        self.texts: list[str] = []
        self.shown: list[str] = []
        self.lines: list[Line] = []
        self.building = Building(board, [step.id for step in board.steps[-12:]])
        # No automatic name takes a letter that a later sentence uses.
        for word in re.findall(r"\b(?:[A-Za-z]|[A-Z]{2,6})\b", whole):
            self.building.reserved |= {word, word.upper()} if len(word) == 1 else set(word)

    def go_on(self, text: str, shown: str = "", remark: str = "") -> None:
        """Read one more sentence; where it was taken to another one, only ``remark`` is told of it."""
        self.texts.append(text)
        self.shown.append(shown or text)
        if text and text.strip() != self.whole.strip() and is_done_by_hand(text):
            line = Line("", remark=IS_FOR_READERS)
        else:
            line = _line(text, self.building, self.selected) if text else Line("", remark=remark)
        self.lines.append(replace(line, text=self.shown[-1]))

    def take_back(self, mark: Mark) -> None:
        """Take the last sentence for one that was not read: what it tells of new things is not so."""
        self.building.back_to(mark)
        self.lines[-1] = Line(self.lines[-1].text, problem=CANNOT_HOLD)

    def is_not_so(self, mark: int) -> bool:
        """Whether the last sentence tells of new things what is not so as they are drawn: it made claims alone, of which one fails, or was
        refused since it would have."""
        ahead = self.building.ahead
        made = [step for step in ahead.steps[mark:] if not step.look.hidden and step.makes != NUMBER]
        if self.lines[-1].problem == CANNOT_HOLD:
            return True
        # Of what hangs on nothing new that can be moved it is a claim: it could not be drawn otherwise.
        is_new = any(id not in self.board and ahead.step(id).does in _MOVABLE for step in made for id in ahead.ancestors([step.id]))
        return bool(made) and all(step.makes == CLAIM for step in made) and is_new and not holds(ahead, made)


def holds(ahead: Board, claims: Sequence[Step]) -> bool:
    """Whether claims hold as they are drawn."""
    return all((value := ahead.value(step.id)) is not None and value[2] <= FAILS for step in claims)


def _told_with_another(reading: _Reading, number: int, again: int) -> tuple[_Reading | None, int]:
    """The same sentences, where what the last of them tells is taken to the one that drew what it tells of: "ABC is a triangle. AB = 5 cm."
    None where that cannot be done so that it holds.

    Args:
        again: how many sentences may be read once more for it.

    Returns:
        The reading, and how many may be read once more after it.
    """
    fact = as_fact(reading.texts[number])
    earlier_ones = [place for place in reversed(range(number)) if reading.texts[place] and names_in(reading.texts[place]) & names_in(fact)]
    for earlier in earlier_ones[:_EARLIER]:
        for joined in joined_with(reading.texts[earlier], fact):
            other = _Reading(reading.board, reading.whole, reading.selected)
            for place in range(number):
                again -= 1
                is_it = place == earlier
                other.go_on(joined if is_it else reading.texts[place], reading.shown[place], reading.lines[place].remark)
                if again < 0 or (other.lines[-1].problem and (is_it or not reading.lines[place].problem)):
                    break
            else:
                if _is_so(other, fact):
                    other.go_on("", reading.shown[number], f"Taken with “{reading.shown[earlier].rstrip('. ')}”.")
                    return other, again
            if again < 0:
                return None, again
    return None, again


def _is_so(reading: _Reading, fact: str) -> bool:
    """Whether a fact holds where it is claimed; nothing is left of the claim."""
    building = reading.building
    mark, steps = building.mark(), len(building.ahead)
    try:
        Sentence(building, reading.selected).carry_out(f"prove that {fact}")
        claims = [step for step in building.ahead.steps[steps:] if step.makes == CLAIM]
        return bool(claims) and holds(building.ahead, claims)
    except Refusal:
        return False
    finally:
        building.back_to(mark)


def _line(text: str, building: Building, selected: Sequence[str]) -> Line:
    mark = building.mark()
    acts = len(building.acts)
    try:
        _carry_out(text, building, selected)
    except Told as told:
        building.back_to(mark)
        return Line(text, remark=told.sentence)
    except Refusal as refusal:
        building.back_to(mark)
        return Line(text, (), refusal.sentence, refusal.ways)
    ahead = building.ahead
    new = tuple(sentence(ahead, step.id) for step in ahead.steps[mark.steps :] if not step.look.hidden)
    done = tuple(_act_words(act, ahead) for act in building.acts[acts:])
    known = () if new or done else tuple(sentence(ahead, id) for id in building.recent.ids[-1:])
    return Line(text, (*new, *done) or known, guesses=tuple(building.guesses[mark.guesses :]))


def _act_words(act: object, board: Board) -> str:
    """An act in a word or two."""
    kind = getattr(act, "kind", "")
    ids = getattr(act, "ids", None) or list(getattr(act, "numbers", {})) or [getattr(act, "id", "")]
    names = ", ".join(board.name(id) for id in ids[:4] if id in board)
    return {
        "restyle": f"another look for {names}",
        "delete": f"{names} deleted",
        "rename": f"another name for {names}",
        "move": f"{names} moved",
    }.get(kind, kind)


def _carry_out(text: str, building: Building, selected: Sequence[str]) -> None:
    if building.ahead.settings.language != "en":
        try:
            building.adopt(said_in_tongue(text, building.ahead))
            return
        except Refusal as refusal:
            try:
                _carry_out_in_english(text, building, selected)
            except Refusal:
                raise refusal from None
            return
    _carry_out_in_english(text, building, selected)


def _carry_out_in_english(text: str, building: Building, selected: Sequence[str]) -> None:
    first = first_read(text)
    if (canonical := canonical_in(plain(first), building.ahead)) is not None:
        building.adopt(said(canonical, building.ahead))
        return
    try:
        Sentence(building, selected).carry_out(text)
    except (NotThere, ActRefused, Final):
        raise
    except Refusal as refusal:
        try:
            news = said(plain(first), building.ahead)
        except Refusal as other:
            raise Refusal(refusal.sentence, ways=other.ways) from None
        building.adopt(news)
