"""The sentence bar: a tool taken, gaps filled by clicking and typing, whole sentences said."""

import re
from collections.abc import Sequence
from contextlib import suppress
from typing import Any

from ..catalogue import CATALOGUE
from ..display import display
from ..edits.prepare import perform
from ..edits.saying import completions
from ..kinds import join
from ..kits import check_tools
from ..language.completion import MOST
from ..language.patterns import words_of_sentences
from ..language.printing import sentence
from ..language.reading import begins_one
from ..limits import COMPLETION_LENGTH
from ..pointing import chips
from ..pointing.preview import pending, preview
from ..pointing.prompt import Prompt
from ..pointing.taking import alternatives, what_at
from ..refusal import Refusal
from ..speech.hearing import Heard, canonical_in, heard, understood
from ..speech.in_tongue import said_in_tongue
from ..speech.not_taken import ActRefused, NotSaid
from ..speech.paragraphs import is_paragraph, paragraph, sentences_of
from ..speech.refusals import Final, NotThere
from ..speech.tongues import other_tongue
from . import messages
from .acts import Answer, Change, Doing, Reckon
from .orders import ORDERS, ordered
from .outcome import outcome
from .selecting import point_out, there_already


def prompt_answer(hand) -> Answer:
    """What the sentence bar shows now."""
    prompt, board = hand.prompt, hand.board
    return {
        "t": "prompt",
        "tool": prompt and prompt.construction.key,
        "chips": chips.chips(prompt, board) if prompt else [],
        "ways": chips.ways(prompt, board) if prompt else [],
        "typed": _typed(prompt, board) if prompt else "",
        "pinned": hand.pinned,
        "told": prompt and prompt.told(),
        "pending": pending(prompt, board, hand.table.extent) if prompt else [],
    }


def _typed(prompt, board) -> str:
    """The signs with which something begins that an open gap takes: digits, a quotation mark, a bracket, a capital."""
    signs = ""
    for gap in prompt.open_gaps(board):
        kind = gap.kind
        if kind.literal in ("number", "formula", "values", "equation"):
            signs += "0123456789-−."
        if kind.literal == "coordinates":
            signs += "("
        if kind.literal == "text":
            signs += '“"'
        if kind.single or kind.points:
            signs += "ABCDEFGHIJKLMNOPQRSTUVWXYZ"
    return "".join(dict.fromkeys(signs))


def take_tool(hand, message: messages.Tool) -> Doing:
    if message.retie is not None and message.retie not in hand.board:
        raise Refusal("That thing is no longer on the board.")
    if message.key:
        hand.kit.check_tool(message.key)
    hand.prompt = Prompt.of(message.key, message.retie) if message.key else None
    hand.pinned = message.pinned
    yield prompt_answer(hand)


def hover(hand, message: messages.Hover) -> Doing:
    if not hand.prompt:
        return
    yield from _forget_lost_things(hand)
    board = hand.board
    try:
        taking = what_at(hand.prompt, board, message.at, message.reach)
    except Refusal as refusal:
        yield {"t": "under", "words": refusal.sentence, "fits": False, "lights": [], "items": []}
        return
    items = preview(hand.prompt, board, taking, message.at, hand.table.extent)
    lights = [item for item in taking.items if isinstance(item, str)]
    for item in taking.items:
        fills = getattr(item, "fills", {}).values()
        lights += [id for fill in fills if isinstance(fill, tuple) for id in fill if isinstance(id, str)]
    yield {"t": "under", "words": taking.words, "fits": True, "lights": lights, "items": items}


def click(hand, message: messages.Click) -> Doing:
    if not hand.prompt:
        return
    yield from _forget_lost_things(hand)
    board = hand.board
    only = message.id if message.id in board else None
    if only is None and (choice := alternatives(hand.prompt, board, message.at, message.reach)):
        ways = [{"id": id, "words": sentence(board, id)} for id in choice]
        yield {"t": "which", "at": message.at, "reach": message.reach, "ways": ways}
        return
    hand.prompt.take(what_at(hand.prompt, board, message.at, message.reach, only), message.at)
    yield from _finish_if_complete(hand)


def _finish_if_complete(hand) -> Doing:
    prompt = hand.prompt
    if not prompt.is_complete(hand.board):
        yield prompt_answer(hand)
        return
    hand.prompt = Prompt.of(prompt.construction.key) if hand.pinned and prompt.retie is None else None
    try:
        edit = prompt.edit(hand.board)
        if (there := there_already(hand.board, edit)) is not None:
            yield prompt_answer(hand)
            yield from point_out(hand, there)
            return
        patch = yield Change(edit)
    except Refusal:
        prompt.drop_last()
        hand.prompt = prompt
        yield prompt_answer(hand)
        raise
    yield prompt_answer(hand)
    yield outcome(hand, patch)


def _forget_lost_things(hand) -> Doing:
    """Someone else may have deleted what is in the sentence: then it starts again."""
    if not hand.prompt.is_there(hand.board):
        hand.prompt = Prompt.of(hand.prompt.construction.key)
        yield prompt_answer(hand)


def back(hand, message: messages.Back) -> Doing:
    if hand.prompt and not hand.prompt.drop_last():
        hand.prompt = None
    yield prompt_answer(hand)


def ask(hand, message: messages.Gap) -> Doing:
    if hand.prompt:
        hand.prompt.ask(message.name)
        yield prompt_answer(hand)


def finish(hand, message: messages.Finish) -> Doing:
    if hand.prompt:
        hand.prompt.finish(hand.board)
        yield from _finish_if_complete(hand)


def say(hand, message: messages.Say) -> Doing:
    prompt, text = hand.prompt, message.text
    if prompt:
        try:
            yield from _forget_lost_things(hand)
            prompt.type(text, hand.board)
        except Refusal as refusal:
            # Nothing that goes into a gap: then it may be a sentence of its own.
            try:
                new = understood(text, hand.board, hand.selected)
            except Refusal as other:
                raise (other if other.ways else refusal) from None
        else:
            yield {"t": "said", "words": ""}
            yield from _finish_if_complete(hand)
            return
    elif is_paragraph(text):
        yield from _paragraph(hand, message)
        return
    else:
        found = _heard_or_ordered(hand, text)
        if not isinstance(found, Heard):
            yield {"t": "said", "words": ""}
            yield from found
            return
        new = found
    there = next(iter(new.there), None) or there_already(hand.board, new.edit)
    if there is not None:
        yield {"t": "said", "words": ""}
        yield from point_out(hand, there)
        return
    patch = yield Change(new.edit)
    hand.prompt = None
    yield {"t": "said", "words": ""}
    yield prompt_answer(hand)
    yield outcome(hand, patch, new.guesses, is_said=True)


def _made_first(hand, text: str, names: Sequence[str]) -> tuple[str, ...]:
    """The sentence before which points that are not there are made, where it would be read then and draws something of them."""
    points = "a point" if len(names) == 1 else "points"
    way = f"Let {join(names)} be {points}. {text}"
    found = paragraph(way, hand.board, hand.selected)
    draws = found.edit is not None and len(getattr(found.edit, "steps", ())) > len(names)
    return (way,) if draws and not any(line.problem for line in found.lines) else ()


def _paragraph(hand, message: messages.Say) -> Doing:
    """Show what a paragraph is read as, or, once that was looked at, take it as one edit."""
    board, selected = hand.board.copy(), list(hand.selected)
    board.settings = hand.board.settings
    found = yield Reckon(lambda: paragraph(message.text, board, selected), len(board) + 10 * len(sentences_of(message.text)))
    if message.take and found.edit is not None:
        patch = yield Change(found.edit)
        hand.prompt = None
        yield {"t": "said", "words": ""}
        yield prompt_answer(hand)
        yield outcome(hand, patch, is_said=True)
        return
    lines = [
        {
            "text": line.text,
            "sentences": list(line.sentences),
            "problem": line.problem,
            "ways": list(line.ways),
            "guesses": list(line.guesses),
            "remark": line.remark,
        }
        for line in found.lines
    ]
    yield {"t": "sentences", "text": message.text, "lines": lines, "takes": found.edit is not None}


def _heard_or_ordered(hand, text: str) -> Heard | Doing:
    """What a text says, or what it orders the page to do. Raises Refusal, in the language of the lesson where it is not English."""
    if hand.board.settings.language == "en":
        return _heard_in_english(hand, text)
    try:
        return Heard(said_in_tongue(text, hand.board))
    except Refusal as refusal:
        try:
            return _heard_in_english(hand, text)
        except Refusal as other:
            raise Refusal(refusal.sentence, ways=other.ways) from None


#: What the board does and the grammar would read otherwise: motions run, what is there is drawn by hand.
_DONE_AT_ONCE = re.compile(
    r"(?:please\s+)?(?:(?:run|play|start|animate|how many moves)\b|.*\b(?:compass work|by hand|(?:straightedge|ruler) and compass"
    r"|compass(?:es)? and (?:a )?(?:straightedge|ruler)))",
    re.IGNORECASE,
)


def _heard_in_english(hand, text: str) -> Heard | Doing:
    if canonical_in(text, hand.board) is not None:
        return understood(text, hand.board)
    if _DONE_AT_ONCE.match(text):
        with suppress(Refusal):
            if (doing := ordered(hand, text)) is not None:
                return doing
    try:
        return heard(text, hand.board, hand.selected)
    except NotThere as refusal:
        raise Refusal(refusal.sentence, ways=_made_first(hand, text, refusal.names)) from None
    except Final:
        raise
    except ActRefused:
        return understood(text, hand.board, hand.selected)
    except Refusal as refusal:
        unordered: Refusal | None = None
        try:
            doing = ordered(hand, text)
        except Refusal as other:
            doing, unordered = None, other if isinstance(refusal, NotSaid) else None
        if doing is not None:
            return doing
        try:
            return understood(text, hand.board, hand.selected)
        except Refusal as other:
            if unordered is not None:
                raise unordered from None
            if (told := other_tongue(text, hand.board)) is not None:
                raise Refusal(told) from None
            # A place in the text is pointed at by what has read the most of it.
            unknown = [word for word in getattr(refusal, "unknown", ()) if word.lower() not in words_of_sentences(CATALOGUE)]
            better = other.place is not None or "=" in text or begins_one(text, CATALOGUE) or (isinstance(refusal, NotSaid) and not unknown)
            # What the catalogue's own reader says of it is what ``understood`` was refused for.
            written = other.__cause__ if isinstance(other.__cause__, Refusal) else other
            tells = written if better else refusal
            raise Refusal(tells.sentence, tells.place, other.ways) from None


def complete(hand, message: messages.Complete) -> Doing:
    found = completions(message.text, hand.board, hand.kit.tools) if len(message.text) <= COMPLETION_LENGTH else []
    ways = [{"text": way.text, "shown": way.shown} for way in found]
    typed = message.text.strip().lower()
    if not ways and len(typed) >= _LEAST_READ and not hand.prompt:
        ways = _would_make(hand, message.text)
    if len(typed) > 1 and not hand.prompt:
        # An act is completed by its first word; what it is about is the person's.
        acts = [order.shown for order in ORDERS if order.shown.startswith(typed)]
        ways = [*({"text": shown.split()[0] + " " * (" " in shown), "shown": shown} for shown in acts[:4]), *ways][:MOST]
    yield {"t": "completions", "for": message.text, "ways": ways}


#: From how many letters on it is shown what a text would be read as, and of how many things.
_LEAST_READ, _SHOWN = 6, 5


def _would_make(hand, text: str) -> list[dict[str, str]]:
    """What a text that is no beginning of a sentence of the catalogue would make, in one line: nothing is made before it is taken."""
    try:
        found = heard(text, hand.board, hand.selected)
        check_tools(found.edit, hand.kit)
        ahead = hand.board.copy()
        patch = perform(ahead, found.edit)
    except Refusal:
        return []
    known = {step.id for step in hand.board.steps}
    new = [sentence(ahead, step.id) for _, step in patch.after if step.id not in known and not step.look.hidden]
    if not new:
        return []
    more = f"; and {len(new) - _SHOWN} more" if len(new) > _SHOWN else ""
    return [{"text": text, "shown": "; ".join(new[:_SHOWN]) + more}]


def consider(hand, message: messages.Consider) -> Doing:
    """Light what a sentence that stands to be chosen is about, and draw faintly what it would make."""
    board = hand.board
    ahead = board.copy()
    try:
        if is_paragraph(message.text):
            edit = paragraph(message.text, board, hand.selected).edit
        else:
            edit = understood(message.text, board, hand.selected).edit
        patch = perform(ahead, edit) if edit is not None else None
    except Refusal:
        patch = None
    if patch is None:
        yield {"t": "considered", "lights": [], "items": []}
        return
    added = [step for _, step in patch.after if step.id not in board]
    lights = [id for step in added for id in step.inputs if id in board]
    shown = [step.id for step in added if not step.look.hidden]
    yield {"t": "considered", "lights": lights, "items": display(ahead, hand.table.extent, shown) if shown else []}


HANDLERS: dict[type, Any] = {
    messages.Tool: take_tool,
    messages.Hover: hover,
    messages.Click: click,
    messages.Back: back,
    messages.Finish: finish,
    messages.Gap: ask,
    messages.Say: say,
    messages.Complete: complete,
    messages.Consider: consider,
}
