"""What is only looked at: another part of the plane, an earlier state, the figure shaken, motions."""

import logging
from collections.abc import Iterator
from itertools import pairwise
from typing import Any

from ..board import Board, numbers_of
from ..board.copying import steps_and_settings
from ..display import display, refreshed
from ..display.chalk import chalk_item
from ..edits.chalking import stroke_of
from ..kinds import CLAIM, MOTION
from ..refusal import Refusal
from ..sampling.shaking import random_numbers, shaken_numbers, span
from ..truth.angle_pairs import drawn, eight_angles
from . import messages
from .acts import BringBack, Doing, Items, LookBack, Prove, Reckon, Run, ShowFrames, ShowView, Stop, TellAll
from .changing import done

_LOG = logging.getLogger(__name__)
#: How many pictures show a shake from one stop to the next, how many stops there are, and for how long each picture is seen.
_SHAKE_FRAMES, _SHAKE_STOPS, SHAKE_PAUSE = 14, 4, 1 / 30
#: For how many pictures a position is shown in which a claim fails.
_COUNTER_STAY = 84
#: How far a shaken peg goes, as a share of the figure's reach.
_SHAKE_REACH = 0.09

#: How small and how large a part of the plane may be that is shown, board units.
_LEAST_VIEW, _MOST_VIEW = 1e-4, 1e7


def view(hand, message: messages.View) -> Doing:
    for left, low, right, high in (message.view, meant := message.meant or message.view):
        if not (min(right - left, high - low) >= _LEAST_VIEW and max(right - left, high - low) <= _MOST_VIEW):
            raise Refusal(f"A view is at least {_LEAST_VIEW:g} and at most {_MOST_VIEW:,.0f} wide and high.")
    yield ShowView(message.view, meant, message.keep)
    board, extent = hand.board.copy(), hand.table.extent
    items = yield Reckon(lambda: refreshed(board, extent, [step.id for step in board.steps]), len(board))
    yield {"t": "moved", "items": items, "seen": True}


def lift(hand, message: messages.Lift) -> Doing:
    """Covers are lifted for one person: what lies under them is told to nobody else."""
    board, before = hand.board, hand.lifted
    hand.lifted = {id for id in message.ids if id in board and board.step(id).look.cover and hand.may_lift(id)}
    turned = [id for id in (*before, *hand.lifted) if id in board and (id in before) != (id in hand.lifted)]
    if turned:
        yield {"t": "changed", "items": display(board, hand.table.extent, turned, hand.lifted), "gone": [], "state": hand.table.state()}


def look_back(hand, message: messages.LookBack) -> Doing:
    if message.number is None:
        yield {**hand.table.whole(), "back": None}
        return
    earlier = yield LookBack(message.number)
    extent = hand.table.extent
    items = yield Reckon(lambda: display(earlier, extent), len(earlier))
    state = {**hand.table.state(), "steps": len(earlier), "undo": False, "redo": False, "paper": earlier.settings.paper}
    yield {"t": "board", "items": items, "state": state, "back": message.number}


def bring_back(hand, message: messages.BringBack) -> Doing:
    words = yield BringBack(message.number)
    yield {**hand.table.whole(), "back": None}
    yield done(words)


def shake(hand, message: messages.Shake) -> Doing:
    """The figure shaken a few times and back again, for this person only; the board itself stays as it is."""
    board, extent = hand.board, hand.table.extent
    yield ShowFrames(shake_frames(board.copy(), extent), SHAKE_PAUSE)


def shake_frames(copy: Board, extent) -> Iterator[Items]:
    """The pictures of a shake, each the items that differ; the board given is moved along."""
    pegs = {step.id: numbers for step in copy.steps if (numbers := numbers_of(step))}
    random, reach = random_numbers(), _SHAKE_REACH * span(copy)
    stops = [pegs, *(shaken_numbers(copy, random, reach) for _ in range(_SHAKE_STOPS)), pegs]
    for start, stop in pairwise(stops):
        for frame in range(1, _SHAKE_FRAMES + 1):
            share = frame / _SHAKE_FRAMES
            share *= share * (3 - 2 * share)
            at = {id: tuple(a + share * (b - a) for a, b in zip(start[id], to)) for id, to in stop.items() if id in start}
            yield refreshed(copy, extent, copy.move(at)) if at else []


def _check_claim(board: Board, id: str) -> None:
    if id not in board or board.step(id).makes != CLAIM:
        raise Refusal("That claim is no longer on the board.")


def prove(hand, message: messages.Prove) -> Doing:
    """Look for a proof again, or no longer."""
    _check_claim(hand.board, message.id)
    yield Prove(message.id, message.go)


def counter(hand, message: messages.Counter) -> Doing:
    """A position in which a claim fails, for this person only; then everything as it was."""
    board, extent = hand.board, hand.table.extent
    _check_claim(board, message.id)
    known = hand.table.verdict(message.id)
    if known is None or not known.positions:
        raise Refusal("No position is known in which that fails.")
    pegs = {id: tuple(numbers) for id, numbers in known.positions.items() if id in board}
    yield ShowFrames(counter_frames(board.copy(), extent, pegs), SHAKE_PAUSE)


def counter_frames(copy: Board, extent, there: dict[str, tuple[float, ...]]) -> Iterator[Items]:
    """The pictures of a way to a position, a stay there, and the way back, each the items that differ."""
    here = {id: numbers_of(copy.step(id)) for id in there}
    for start, stop, pause in ((here, there, _COUNTER_STAY), (there, here, 0)):
        for frame in range(1, _SHAKE_FRAMES + 1):
            share = frame / _SHAKE_FRAMES
            share *= share * (3 - 2 * share)
            at = {id: tuple(a + share * (b - a) for a, b in zip(start[id], to)) for id, to in stop.items()}
            yield refreshed(copy, extent, copy.move(at))
        for _ in range(pause):
            yield []


def scribble(hand, message: messages.Scribble) -> Doing:
    """Chalk that is only seen: told to everyone at the board as items come and go."""
    items = [chalk_item(stroke_of(message.stroke, message.name))] if message.stroke else []
    yield TellAll({"t": "scribbled", "items": items, "gone": message.wipe})


def pair(hand, message: messages.Pair) -> Doing:
    """Two angles drawn faintly, for this person only."""
    angles = eight_angles(hand.board, message.lines) if message.angles else []
    yield {"t": "ahead", "items": drawn(hand.board, hand.table.extent, [one for one in angles if one.number in message.angles])}


def play(hand, message: messages.Play) -> Doing:
    motions = [step.id for step in hand.board.steps if step.makes == MOTION]
    ids = [id for id in message.ids if id in motions] or motions
    if not ids:
        raise Refusal("There is no motion yet. Make one: “the motion of P, to and fro, in 4 seconds”.")
    yield Run(tuple(ids), message.from_start)


def pause(hand, message: messages.Pause) -> Doing:
    yield Stop()


def here(hand, message: messages.Here) -> Doing:
    """All that was sent before has been answered."""
    yield {"t": "here", "number": message.number}


def near(hand, message: messages.Near) -> Doing:
    """The board as a copy beside the drawing is made of it."""
    board = hand.board.copy()
    told = yield Reckon(lambda: steps_and_settings(board), len(board))
    yield {"t": "near", **told, "angle_words": hand.angle_words}


def far(hand, message: messages.Far) -> Doing:
    """Noted: what runs at the server and not in a browser, or otherwise there, is a fault of ours, or the browser is too old."""
    _LOG.warning("Beside a drawing: %s", message.words)
    yield from ()


HANDLERS: dict[type, Any] = {
    messages.Far: far,
    messages.Here: here,
    messages.Near: near,
    messages.View: view,
    messages.Lift: lift,
    messages.LookBack: look_back,
    messages.BringBack: bring_back,
    messages.Shake: shake,
    messages.Counter: counter,
    messages.Prove: prove,
    messages.Pair: pair,
    messages.Scribble: scribble,
    messages.Play: play,
    messages.Pause: pause,
}
