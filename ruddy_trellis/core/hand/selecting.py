"""The selection, and what it could become."""

from typing import Any

from ..display.covers import cover_words
from ..edits.deleting import what_goes
from ..kinds import join
from ..language.printing import noun, sentence
from ..pointing.gathering import gather
from ..pointing.offers import offers
from ..refusal import Refusal
from . import messages
from .acts import Change, Doing
from .changing import heard

#: Of more things than this no offers are made: what they could become is too much to read.
_MOST_OFFERED = 12


def select(hand, message: messages.Select) -> Doing:
    board = hand.board
    hand.selected = [id for id in dict.fromkeys(message.ids) if id in board]
    hand.offers = offers(board, hand.selected) if 0 < len(hand.selected) <= _MOST_OFFERED else []
    yield {
        "t": "offers",
        "words": _words(board, hand.selected, hand.lifted),
        "warning": what_goes(board, hand.selected),
        "offers": [{"does": offer.does, "sentence": offer.sentence} for offer in hand.offers],
    }


def _words(board, ids: list[str], lifted: set[str]) -> str:
    if not ids:
        return ""
    if len(ids) == 1:
        step = board.step(ids[0])
        return cover_words(step.makes) if step.look.cover and step.id not in lifted else sentence(board, step.id)
    return join(noun(board, id) for id in ids) if len(ids) <= 4 else f"{len(ids)} things"


def take_offer(hand, message: messages.Offer) -> Doing:
    if message.number >= len(hand.offers):
        raise Refusal("That offer is no longer there. Select again.")
    edit = hand.offers[message.number].edit
    hand.offers = []
    patch = yield Change(edit)
    yield heard(patch.words)


def gather_more(hand, message: messages.Gather) -> Doing:
    yield {"t": "gathered", "ids": gather(hand.board, message.what, message.ids)}


HANDLERS: dict[type, Any] = {messages.Select: select, messages.Offer: take_offer, messages.Gather: gather_more}
