"""A sentence in the language of its lesson, where that is not English: the constructions that have words in it, orders and names."""

from __future__ import annotations

import re

from ..board.board import Board
from ..catalogue import CATALOGUE
from ..edits.checking import check_fills
from ..edits.models import NewStep
from ..language.fills import fill_to_json
from ..language.reading import ReadStep, read_sentence
from ..language.tongue import TONGUES, Tongue
from ..refusal import Refusal
from .building import Building

#: What draws something of points that it names: those that are not there are made.
_DRAWING = ("segment", "line", "ray", "circle", "circle_radius", "circumcircle", "polygon")
#: "Sei M der Mittelpunkt von AB", and a name after its noun: "den Mittelpunkt M von AB".
_LET = re.compile(r"(?:sei|seien|es sei)\s+(?P<name>[^\W\d_]\w?['′]?)\s+(?=\w)", re.IGNORECASE)
_NAMED = re.compile(r"(?P<noun>[^\W\d_]{3,})\s+(?P<name>[A-Za-z]\d?['′]?)\s+(?=[a-zäöü]{2,})")
#: Points as they are named.
_POINTS = re.compile(r"\b(?:[A-Z]\d?['′]?)+\b")
_POINT = re.compile(r"[A-Z]\d?['′]?")


def said_in_tongue(text: str, board: Board) -> tuple[NewStep, ...]:
    """What a text in the language of the board's lesson makes, as steps to add.

    Raises:
        Refusal: in that language, where it is no such sentence.
    """
    tongue = TONGUES[board.settings.language]
    plain = _plain(text, tongue)
    try:
        return (_new(_read(plain, board, tongue)),)
    except Refusal as refusal:
        made = _with_new_points(plain, board, tongue)
        if made is None:
            raise refusal from None
        return made


def _plain(text: str, tongue: Tongue) -> str:
    """A sentence without what asks for it, with a name that it gives in front."""
    text = " ".join(text.split()).rstrip(" .!?")
    while (led := tongue.opening.match(text)) is not None:
        text = text[led.end() :]
    for form, read in tongue.written:
        text = form.sub(read, text)
    if (let := _LET.match(text)) is not None:
        return f"{let['name']} {tongue.is_} {text[let.end() :]}"
    bare = tongue.article.sub("", text, count=1)
    if (named := _NAMED.match(bare)) is not None and named["noun"] not in tongue.nouns:
        return f"{named['name']} {tongue.is_} {named['noun']} {bare[named.end() :]}"
    return text


def _read(text: str, board: Board, tongue: Tongue) -> ReadStep:
    read = read_sentence(text, board, CATALOGUE.in_tongue(tongue.code), check_fills, tongue)
    if read.name is not None and board.ids_named(read.name):
        raise Refusal(tongue.spoken["there"].format(name=read.name))
    return read


def _with_new_points(text: str, board: Board, tongue: Tongue) -> tuple[NewStep, ...] | None:
    """The same where points that are named and not there are made; None where that does not make it a sentence that draws."""
    known = board.points_by_name
    named = [point for word in _POINTS.findall(text) for point in _POINT.findall(word)]
    missing = [point for point in dict.fromkeys(named) if point not in known and not board.ids_named(point)]
    if not missing:
        return None
    building = Building(board)
    building.makes = True
    try:
        building.points(missing)
        read = _read(text, building.ahead, tongue)
    except Refusal:
        return None
    if read.construction.key not in _DRAWING:
        return None
    places = {step.id: f"new:{number}" for number, step in enumerate(building.ahead.steps[len(board) :])}
    fills = {
        name: tuple(places.get(id, id) if isinstance(id, str) else id for id in fill) if isinstance(fill, tuple) else fill
        for name, fill in read.fills.items()
    }
    return (*building.new, _new(ReadStep(read.construction, fills, read.name)))


def _new(read: ReadStep) -> NewStep:
    fills = {name: fill_to_json(fill) for name, fill in read.fills.items()}
    return NewStep(does=read.construction.key, fills=fills, name=read.name)
