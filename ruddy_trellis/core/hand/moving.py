"""Moving pegs: taking hold, dragging, letting go, nudging, typing a place."""

from typing import Any

from ..board import numbers_of
from ..catalogue import CATALOGUE
from ..edits import Move
from ..kinds import join
from ..language.filling import read_fill
from ..language.printing import noun
from ..pointing.dragging import grab, movers, roots
from ..pointing.nice import nicely
from ..pointing.picking import place_near
from ..refusal import Refusal
from . import messages
from .acts import Change, Doing, Hold, LetGo, Shift


def take_hold(hand, message: messages.Grab) -> Doing:
    if hand.drag is not None:
        yield from let_go(hand, None)  # a finger that was never lifted, for the browser: what it moved is an edit of its own
    board = hand.board
    ids = [id for id in message.ids if id in board]
    if not ids:
        return
    try:
        drag = grab(board, ids, message.at)
    except Refusal as refusal:
        yield {"t": "stuck", "words": refusal.sentence, "lights": roots(board, ids[0])}
        return
    yield Hold(drag.ids)
    hand.drag = drag


def drag(hand, message: messages.Drag) -> Doing:
    items = None
    if hand.drag is not None:
        # What someone else's edit let go is asked of whoever keeps the board, before anything moves.
        items = yield Shift({})
        if items is None:
            hand.drag = None
        elif numbers := hand.drag.numbers(hand.board, message.to):
            items = yield Shift(nicely(hand.board, numbers))
    yield {"t": "moved", "seq": message.seq, "items": items or [], "held": items is not None}


def let_go(hand, message: messages.Drop | None) -> Doing:
    hand.drag = None
    if not (yield LetGo()) and message is not None:
        yield {"t": "kept"}


def nudge(hand, message: messages.Nudge) -> Doing:
    board, numbers = hand.board, {}
    asked = [id for id in message.ids if id in board]
    for id in dict.fromkeys(mover for one in asked for mover in ([one] if board.step(one).moves else movers(board, one))):
        step, value = board.step(id), board.value(id)
        if value is None:
            continue
        if step.construction.moves == "turning":
            numbers[id] = [value + message.by[0]]
        elif step.construction.moves == "hanging":
            numbers[id] = [off + by for off, by in zip(numbers_of(step), message.by)]
        else:
            to = (value[0] + message.by[0], value[1] + message.by[1])
            numbers[id] = list(to) if step.construction.moves == "free" else [place_near(board, id, to)]
    if not numbers:
        names = join(noun(board, id) for id in asked)
        raise Refusal(f"{names or 'That'} cannot be nudged: only free and sliding points that are not locked can.")
    yield Change(Move(numbers=numbers))


def put(hand, message: messages.Put) -> Doing:
    """A free point goes to the coordinates that were typed for it; their brackets may be left out."""
    text = message.text.strip()
    gap = CATALOGUE["free_point"].gap_by_name["at"]
    at = read_fill(gap, text if text.startswith("(") else f"({text})", hand.board)
    yield Change(Move(numbers={message.id: list(at)}))


HANDLERS: dict[type, Any] = {messages.Grab: take_hold, messages.Drag: drag, messages.Drop: let_go, messages.Nudge: nudge, messages.Put: put}
