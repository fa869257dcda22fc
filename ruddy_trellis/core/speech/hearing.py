"""The door of the grammar: what a text says, as steps to add and edits after them."""

from __future__ import annotations

import re
from collections.abc import Sequence
from contextlib import suppress
from dataclasses import dataclass
from typing import Any

from ..board.board import Board
from ..catalogue import CATALOGUE
from ..edits.checking import check_fills
from ..edits.models import Add, NewStep, Together
from ..edits.saying import said
from ..kinds import CLAIM
from ..language import names as spelling
from ..language.reading import read_sentence
from ..limits import SENTENCE_LENGTH
from ..refusal import Refusal
from .building import Building
from .english import DRAW_EQUATION, FIRST_READ
from .english_idioms_of_places import OF_TWO_POINTS
from .idiom_parts import Idiom
from .in_tongue import said_in_tongue
from .kind_asked import is_measured, is_of_kind
from .named_counts import check_named_counts
from .not_taken import ActRefused
from .plain_words import plain
from .refusals import Final, NotThere
from .sentences import Sentence

_SPAN = re.compile(r"\|?[A-Z]{2}\|?")
_NONE = re.compile(r"(?i)no (?!more\b|less\b|further\b|nearer\b|closer\b|fewer\b)[a-z]")
_TOLD = re.compile(r"([a-z]) is ((?:at|more|less|within|nearer|inside|outside|on)\b.+)")
#: Idioms that the sentences of the catalogue would take otherwise.
_FIRST = tuple(Idiom(form, read) for form, read in OF_TWO_POINTS)
_WHERE_IT = re.compile(r"(?i)(?<=\w )where (?:it|you|one|they|we|i) (?:is|are|am|lies?)\b")
_AND_DRAW = re.compile(r"\band (?:then )?(?:draw|let|mark|construct|join)\b", re.IGNORECASE)
_CORNERS = re.compile(r"(?:[A-Z][′']*){3,}")
_QUOTED = re.compile(r"[\"“„].+[\"”“]")


#: Of how many letters a name is looked at that may be spelled by points that are there, and one more.
_MOST_SPELT = 9


@dataclass(frozen=True)
class Heard:
    """What a text says.

    Attributes:
        new: the steps to add.
        acts: edits after them, whose ids are those that the new steps get.
        guesses: what was guessed, in words.
        there: what the text speaks of that is there already, where it makes nothing.
    """

    new: tuple[NewStep, ...]
    acts: tuple[Any, ...] = ()
    guesses: tuple[str, ...] = ()
    there: tuple[str, ...] = ()

    @property
    def edit(self) -> Add | Together:
        """All of it as one edit."""
        if not self.new and not self.acts:
            raise Refusal("That is there already.")
        adding = [Add(steps=list(self.new))] if self.new else []
        if adding and not self.acts:
            return adding[0]
        return Together(edits=[*adding, *self.acts])


def heard(text: str, board: Board, selected: Sequence[str] = (), recent: Sequence[str] = ()) -> Heard:
    """What a sentence says on a board. Raises Refusal where it is not one of the grammar's.

    Args:
        selected: the ids of what is selected.
        recent: the ids of what was made or spoken of before, the latest last.
    """
    if len(text) > SENTENCE_LENGTH:
        raise Final(f"A sentence has at most {SENTENCE_LENGTH:,} characters; that one has {len(text):,}.")
    if _NONE.match(text):
        raise Refusal("“No” is not understood here. Say what is to be hidden or deleted: hide the medians.")
    check_named_counts(text)
    building = Building(board, recent or [step.id for step in board.steps[-12:]])
    Sentence(building, selected).carry_out(text)
    if not building.new and not building.acts and not building.there:
        raise Refusal("That changes nothing.")
    here = [building.kind(id) for id in building.recent.now if id in building.ahead]
    made = [CATALOGUE[new.does].makes for new in building.new if not new.hidden]
    # Of what is drawn first it may be that it is there: "draw the triangle ABC and draw its altitudes".
    if building.new and not building.acts and not is_of_kind(plain(text), [*made, *(here if _AND_DRAW.search(plain(text)) else ())]):
        raise Refusal("What that makes is no such thing as was asked for.")
    if _WHERE_IT.search(plain(text)) and any(CATALOGUE[new.does].makes == CLAIM for new in building.new):
        raise Refusal("Where what is? Say it of the thing itself: the point equidistant from A, B and C.")
    if building.new and not is_measured(plain(text), [*(CATALOGUE[new.does].makes for new in building.new), *here]):
        raise Refusal("Nothing of that is measured by itself. Say what of it, such as a length, an angle or an area.")
    # Where something is made besides, what is there is no answer.
    there = () if building.new or building.acts else tuple(building.there)
    return Heard(tuple(building.new), tuple(building.acts), tuple(dict.fromkeys(building.guesses)), there)


def is_canonical(text: str, board: Board) -> bool:
    """Whether a text is a sentence of the catalogue as it stands, that gives no name that is there already."""
    try:
        read = read_sentence(text, board, CATALOGUE, check_fills)
    except Refusal:
        return False
    if read.name is not None and _SPAN.fullmatch(read.name) and read.construction.key == "calculation":
        return False  # "AB = 7" is a segment of that length, or a claim
    return read.name is None or (" " not in read.name and not board.ids_named(read.name))


def first_read(text: str) -> str:
    """A sentence with those of its idioms put in other words that come before all else; quoted words are the person's own."""
    if not _QUOTED.search(text):
        for form, read in FIRST_READ:
            text = form.sub(read, text)
        for idiom in _FIRST:
            text = idiom.put(text)
    return text


def canonical_in(text: str, board: Board) -> str | None:
    """The sentence of the catalogue that a text is, without what leads to an equation, or with what a condition begins with; None where
    it is none."""
    text = text.strip()
    led = DRAW_EQUATION.match(text)
    ways = (text, text[led.end() :] if led else "", _condition(text, board))
    return next((one for one in ways if one and is_canonical(one, board)), None)


def understood(text: str, board: Board, selected: Sequence[str] = (), recent: Sequence[str] = ()) -> Heard:
    """What a text says, in whatever words: a sentence of the catalogue, of the grammar, or near enough to one of them.

    Raises:
        Refusal: where it says nothing that can be done; sentences that would be taken are its ``ways``.
    """
    if board.settings.language != "en":
        try:
            return Heard(said_in_tongue(text, board))
        except Refusal as refusal:
            try:
                return _in_english(text, board, selected, recent)
            except Refusal:
                raise refusal from None
    return _in_english(text, board, selected, recent)


def _condition(text: str, board: Board) -> str:
    """What is told of a small letter that is nothing yet, as the condition on places that it may be: "j is more than 3 from P"."""
    told = _TOLD.match(text)
    if told is None or any(board.ids_named(name) for name in (told[1], told[1].upper())):
        return ""
    return f"{told[1]} is the places {told[2]}"


def _names_corners(new: NewStep) -> bool:
    """Whether a shape would be called by corners that it does not have: "let DEF be the image of ABC"."""
    return new.does == "image_polygon" and bool(_CORNERS.fullmatch(new.name or ""))


def _in_english(text: str, board: Board, selected: Sequence[str], recent: Sequence[str]) -> Heard:
    first = first_read(text)
    for one in dict.fromkeys((first, plain(first))):
        if (canonical := canonical_in(one, board)) is not None:
            return Heard(tuple(said(canonical, board)))
    try:
        return heard(text, board, selected, recent)
    except (NotThere, ActRefused, Final) as refusal:
        if isinstance(refusal, ActRefused) and text.lower().split()[:1] == ["move"]:
            # A motion or an image may be meant, which are no acts: "move C in 3 seconds", "move ABC by t".
            with suppress(Refusal):
                return Heard(tuple(said(text, board)))
        raise
    except Refusal as refusal:
        try:
            patterned = said(first, board)
        except Refusal as other:
            raise Refusal(refusal.sentence, other.place, other.ways) from other
        # What stands beside quoted words would be taken for more of them; two points that are there are no name for something else.
        there = board.points_by_name
        kinds = [CATALOGUE[new.does].makes for new in patterned]
        if not is_of_kind(text, kinds) or not is_measured(text, kinds) or any(map(_names_corners, patterned)):
            raise
        if any(new.name and CATALOGUE[new.does].makes == CLAIM for new in patterned) and not re.search(
            r"\b(?:claim|condition)\b", text, re.I
        ):
            raise  # "X is a point on k above AQ" names a point, and no claim
        if _QUOTED.search(text) or any(new.name and spelling.unspelt(new.name, there, range(2, _MOST_SPELT)) for new in patterned):
            raise
        return Heard(tuple(patterned))
