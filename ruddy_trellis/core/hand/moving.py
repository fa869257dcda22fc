"""Moving pegs: taking hold, dragging, letting go, nudging, typing a place."""

from typing import Any

from ..board import Board, numbers_of
from ..board.lattice import tidy
from ..catalogue import CATALOGUE
from ..display.text import thing_value_text, value_text
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
from .changing import heard


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
    hand.drag, hand.followers = drag, board.followers(drag.ids)
    hand.readings = _readings_below(board, drag.ids)


def drag(hand, message: messages.Drag) -> Doing:
    items = None
    if hand.drag is not None:
        # What someone else's edit let go is asked of whoever keeps the board, before anything moves.
        items = yield Shift({})
        if items is None:
            yield from let_go(hand, None)  # of several that were held one may be gone: what the others have moved is kept
        elif numbers := hand.drag.numbers(hand.board, message.to):
            items = yield Shift(nicely(hand.board, numbers), message.near)
    moved = {"t": "moved", "seq": message.seq, "items": items or [], "held": items is not None}
    followed = (
        {id: near for id in hand.followers if id in hand.board and (near := hand.board.step(id).fills.get("near"))} if items else None
    )
    yield moved | {"near": followed} if followed else moved


def let_go(hand, message: messages.Drop | None) -> Doing:
    drag, hand.drag = hand.drag, None
    moved = yield LetGo()
    if moved and drag is not None and message is not None:
        yield _heard(hand, drag.ids, hand.readings, message.unseen)
    elif not moved and message is not None:
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
            numbers[id] = [tidy(off + by) for off, by in zip(numbers_of(step), message.by)]
        else:
            to = (tidy(value[0] + message.by[0]), tidy(value[1] + message.by[1]))
            numbers[id] = list(to) if step.construction.moves == "free" else [place_near(board, id, to)]
    if not numbers:
        names = join(noun(board, id) for id in asked)
        raise Refusal(f"{names or 'That'} cannot be nudged: only free and sliding points that are not locked can.")
    yield from _moved_by_key(hand, numbers, message.unseen)


def _moved_by_key(hand, numbers, unseen):
    """Move pegs, and tell where they are then and which readings have changed: such as can be seen, and no others.

    Args:
        unseen: the ids of what closed reveals hide from this person.
    """
    before = _readings_below(hand.board, list(numbers))
    yield Change(Move(numbers=numbers))
    yield _heard(hand, list(numbers), before, unseen)


def _readings_below(board, ids):
    """The readings that hang on pegs and dials, or are such, as they are written now."""
    ids = [id for id in ids if id in board]
    below = [*ids, *board.dependants(ids)]
    return {id: value_text(board, id) for id in below if board.step(id).is_reading and not board.step(id).look.hidden}


def _heard(hand, ids, before, unseen):
    """Where what has moved is now, and which readings have changed: of many such answers in a row a person hears the last."""
    board = hand.board
    places = [
        f"{board.name(id)} = {value_text(board, id)}" if id in before else f"{noun(board, id)} at {thing_value_text(board, id)}"
        for id in ids[:3]
        if id in board
    ]
    covers = {id for id in before if id not in board or (board.step(id).look.cover and id not in hand.lifted)} | set(unseen)
    changed = [id for id, text in before.items() if id not in ids and id not in covers and value_text(board, id) != text]
    return {**heard("; ".join([*places, *(f"{board.name(id)} = {value_text(board, id)}" for id in changed[:4])])), "last": True}


def put(hand, message: messages.Put) -> Doing:
    """A free point goes to the coordinates that were typed for it; their brackets may be left out."""
    at = place_typed(message.text, hand.board)
    if message.id not in hand.board:
        raise Refusal("That thing is no longer on the board.")
    yield from _moved_by_key(hand, {message.id: list(at)}, message.unseen)


def place_typed(text: str, board: Board) -> tuple[float, float]:
    """The coordinates that a text says, with or without brackets. Raises Refusal."""
    text = text.strip()
    return read_fill(CATALOGUE["free_point"].gap_by_name["at"], text if text.startswith("(") else f"({text})", board)


HANDLERS: dict[type, Any] = {messages.Grab: take_hold, messages.Drag: drag, messages.Drop: let_go, messages.Nudge: nudge, messages.Put: put}
