"""Edits that are asked for as such: looks, names, deleting, tying, undo and redo."""

from dataclasses import replace
from itertools import zip_longest
from typing import Any

from ..display.palette import look_of
from ..edits import Arrange, ByHand, Delete, Paste, Record, Retie, read_edit
from ..edits.models import LookChanges
from ..edits.tying import loosened
from ..kinds import word
from ..pointing.preview import changed_by
from ..refusal import Refusal
from . import messages
from .acts import Answer, Change, Doing, Redo, TellAll, Undo


def done(words: str, undo: bool = True) -> Answer:
    """The answer that says what was done, with a way to undo it or without."""
    return {"t": "says", "kind": "done", "words": words, "undo": undo}


def heard(words: str) -> Answer:
    """The answer that tells who does not see the board what has happened on it."""
    return {"t": "heard", "words": words}


def edit(hand, message: messages.DoEdit) -> Doing:
    asked = read_edit(message.edit)
    patch = yield Change(asked)
    if isinstance(asked, (ByHand, Delete, Paste, Record, Retie)) or patch.words.startswith(("Hid", "Showed")):
        yield done(patch.words)
    else:
        yield heard(patch.words)


def send_later(hand, message: messages.Unsent) -> Doing:
    """What was done without the line is done now, each edit checked as ever. What cannot be done any more is told, and the rest is done."""
    called: dict[str, str] = {}
    lost = []
    for one in message.edits:
        try:
            patch = yield Change(read_edit(_renamed(one.edit, called)), one.key)
        except Refusal as refusal:
            lost.append(refusal.sentence)
            called.update(dict.fromkeys(one.made, _NOTHING))  # what was made of it there is nothing here
            continue
        known = {step.id for _, step in patch.before}
        made = [step.id for _, step in patch.after if step.id not in known]
        called.update(zip_longest(one.made, made[: len(one.made)], fillvalue=_NOTHING))
    yield {"t": "taken", "keys": [one.key for one in message.edits], "lost": lost}
    yield hand.table.whole()


#: An id that nothing has, nor could have in a file.
_NOTHING = "-"


def _renamed(value: Any, called: dict[str, str]) -> Any:
    """An edit with other ids: those of things that came to be called otherwise here, since somebody else has made things meanwhile. Ids
    stand in lists, as the names of parts, and as what is called "id"; any other text is words."""
    if isinstance(value, list):
        return [called.get(one, one) if isinstance(one, str) else _renamed(one, called) for one in value]
    if isinstance(value, dict):
        other = lambda part, one: called.get(one, one) if part == "id" and isinstance(one, str) else _renamed(one, called)
        return {called.get(part, part): other(part, one) for part, one in value.items()}
    return value


def loosen(hand, message: messages.Loosen) -> Doing:
    patch = yield Change(loosened(hand.board, _known(hand, message.id)))
    yield done(patch.words)


def ahead(hand, message: messages.Ahead) -> Doing:
    """What an edit would move, without making it."""
    yield {"t": "ahead", "items": changed_by(hand.board, read_edit(message.edit), hand.table.extent) if message.edit else []}


def board_look(hand, message: messages.BoardLook) -> Doing:
    """The look of one thing becomes the board's own look of its kind."""
    step, settings = hand.board.step(_known(hand, message.id)), hand.board.settings
    patch = yield Change(Arrange(looks={**settings.looks, step.makes: _look(step, settings.looks)}))
    words = f"Every {word(step.makes)} of this board now looks so, where it was given no look of its own."
    yield done(replace(patch, words=words).words)


def _look(step, looks) -> LookChanges:
    """The look of a thing as a board's own look; what has no lines has no width to give."""
    return LookChanges(**{part: value for part, value in look_of(step, looks).items() if (part, value) != ("width", 0.0)})


def show_range(hand, message: messages.Range) -> Doing:
    yield Change(Arrange(view=message.view))
    yield TellAll({"t": "show", "view": hand.board.settings.view})


def undo(hand, message: messages.Undo) -> Doing:
    words = yield Undo(message.heard)
    yield done(f"Undone: {_in_passing(words)}", undo=False)


def _in_passing(words: str) -> str:
    """The words of an edit after others: "Deleted point C" → "deleted point C"."""
    return words[:1].lower() + words[1:] if words[1:2].islower() else words


def redo(hand, message: messages.Redo) -> Doing:
    words = yield Redo(message.heard)
    yield done(f"Done again: {_in_passing(words)}", undo=False)


def _known(hand, id: str) -> str:
    if id not in hand.board:
        raise Refusal("That thing is no longer on the board.")
    return id


HANDLERS: dict[type, Any] = {
    messages.DoEdit: edit,
    messages.Unsent: send_later,
    messages.Loosen: loosen,
    messages.Ahead: ahead,
    messages.BoardLook: board_look,
    messages.Range: show_range,
    messages.Undo: undo,
    messages.Redo: redo,
}
