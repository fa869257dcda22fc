"""The selection, and what it could become."""

from typing import Any

from ..catalogue import CATALOGUE
from ..display.covers import cover_words
from ..display.text import value_text, verdict_mark
from ..edits import Add
from ..edits.adding import new_step_ids, with_defaults
from ..edits.deleting import what_goes
from ..kinds import CLAIM, join
from ..kits import check_tools
from ..language.fills import fill_from_json, is_ids
from ..language.printing import noun, sentence
from ..pointing.gathering import gather
from ..pointing.offers import offers
from ..refusal import Refusal
from ..truth.supposing import supposed_of
from . import messages
from .acts import Change, Doing
from .changing import done
from .orders import ordered
from .outcome import outcome

#: Of more things than this no offers are made: that many are not selected to make something of them.
_MOST_OFFERED = 200


def there_already(board, edit) -> str | None:
    """The id of the thing that an edit would make a second time, in just the same way and without another name."""
    if not isinstance(edit, Add) or len(edit.steps) != 1 or edit.steps[0].name is not None:
        return None
    (new,) = edit.steps
    if new.does not in CATALOGUE or (construction := CATALOGUE[new.does]).expands or construction.moves:
        return None
    fills = with_defaults(construction, {name: fill_from_json(fill) for name, fill in new.fills.items() if fill is not None}, board)
    return next((id for id in board.alike(new.does, fills) if not board.step(id).look.hidden), None)


def point_out(hand, id: str) -> Doing:
    """Say of a thing that it is there already, and select it."""
    yield done(f"That is there already: {sentence(hand.board, id)}.", undo=False)
    yield {"t": "gathered", "ids": [id]}


def select(hand, message: messages.Select) -> Doing:
    board = hand.board
    hand.selected = [id for id in dict.fromkeys(message.ids) if id in board]
    found = offers(board, hand.selected) if 0 < len(hand.selected) <= _MOST_OFFERED else []
    hand.offers = [offer for offer in found if _in_kit(offer, hand.kit)]
    yield {
        "t": "offers",
        "words": _words(board, hand.selected, hand.lifted),
        "warning": what_goes(board, hand.selected),
        "offers": [{"does": offer.does, "sentence": offer.sentence} for offer in hand.offers],
    }


def _in_kit(offer, kit) -> bool:
    try:
        check_tools(offer.edit, kit)
    except Refusal:
        return False
    return offer.edit is not None or kit.keys is None


def _words(board, ids: list[str], lifted: set[str]) -> str:
    if not ids:
        return ""
    if len(ids) == 1:
        step = board.step(ids[0])
        if step.look.cover and step.id not in lifted:
            return cover_words(step.makes, step.look.teacher_lifts)
        words = "; ".join((sentence(board, step.id), *supposed_of(board, step.id)))
        if step.is_reading:
            return f"{words}: {value_text(board, step.id)}"
        value = board.value(step.id)
        return f"{words} {verdict_mark(board.verdicts.get(step.id, ''), value[2])}" if step.makes == CLAIM and value else words
    return join(noun(board, id) for id in ids) if len(ids) <= 4 else f"{len(ids)} things"


def take_offer(hand, message: messages.Offer) -> Doing:
    if message.number >= len(hand.offers):
        raise Refusal("That offer is no longer there. Select again.")
    offer = hand.offers[message.number]
    hand.offers = []
    if offer.edit is None:
        yield from ordered(hand, offer.order) or ()
        return
    if (there := there_already(hand.board, offer.edit)) is not None:
        yield from point_out(hand, there)
        return
    patch = yield Change(offer.edit)
    yield outcome(hand, patch)
    if offer.does == "images":
        # The image is selected, so that the same key goes on with it.
        yield {"t": "gathered", "ids": _images_of(hand.board, offer.edit, patch)}


def _images_of(board, edit, patch) -> list[str]:
    """What the images of an offer are on a board, corners and ends left out where what stands on them is there. The transformation may
    have been made by the same edit."""
    fills = edit.steps[-1].fills
    made = [step.id for _, step in patch.after]
    by = new_step_ids(tuple(fills["by"]), made)
    image_of = {step.fills["of"][0]: step.id for step in board.steps if step.fills.get("by") == by and "of" in step.fills}
    found = []
    for id in fills["of"]:
        if id in image_of:
            found.append(image_of[id])
            continue
        step = board.step(id)
        parts = {name: tuple(image_of.get(one, one) for one in fill) for name, fill in step.fills.items() if is_ids(fill)}
        found += [other for other in board.alike(step.does, {**step.fills, **parts}) if other != id][:1]
    return found


def gather_more(hand, message: messages.Gather) -> Doing:
    yield {"t": "gathered", "ids": gather(hand.board, message.what, message.ids)}


HANDLERS: dict[type, Any] = {messages.Select: select, messages.Offer: take_offer, messages.Gather: gather_more}
