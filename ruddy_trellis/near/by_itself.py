"""A board in a page that works by itself: the hand of whoever opened it, with nobody else, no server and no network.

It runs in a thread of that page. Texts go in and out.
"""

import json
import logging
import time
from collections.abc import Iterator
from contextlib import suppress
from typing import Any

from ..core.board import Board
from ..core.board.copying import board_of, steps_and_settings
from ..core.catalogue import CATALOGUE
from ..core.display import display
from ..core.edits import Move, Patch
from ..core.edits.history import brought_back
from ..core.hand import Alone, StudentHand, acts
from ..core.hand.acts import Answer
from ..core.hand.running import Running
from ..core.hand.showing import SHAKE_PAUSE
from ..core.hand.told import changes
from ..core.kits import check_students_patch
from ..core.lesson.recipes import recipe_from_json
from ..core.refusal import Refusal
from ..core.seen import Items
from ..core.truth.verdicts import Verdict
from .beside import ELSEWHERE

_LOG = logging.getLogger(__name__)
_NOBODY = "In a page that works by itself there is nobody to ask."


class ByItself(Alone):
    """A student's copy of a board, the hand at it, and what a server would do for them: history, motions, hints.

    Args:
        start: the board as the teacher gave it.
        hints: those of its challenge.
        kept: the board as it was left, if it was.
    """

    def __init__(self, start: Board, hints: tuple[str, ...] = (), kept: Board | None = None) -> None:
        super().__init__((kept or start).copy(), StudentHand)
        self._start, self._hints, self._hinted = start, hints, 0
        self._told: dict[str, Any] = {}
        self._moved: set[str] = set()
        self._running: Running | None = None
        self._shown: Iterator[Items] | None = None

    def welcome(self) -> list[Answer]:
        """What the page is told first."""
        return [self.hand.as_seen(answer) for answer in self.hand.welcome()]

    def whole(self) -> Answer:
        told = super().whole()
        self._told, self._moved = {item["id"]: item for item in told["items"]}, set()
        return told

    def verdict(self, id: str) -> Verdict | None:
        return None  # what a claim is worth was found before, and is told with the board

    def answered(self, message: dict[str, Any]) -> list[Answer]:
        """The answers to a message. Whatever goes wrong is told, and changes nothing."""
        before = self.board
        try:
            self.do(**message)
        except Exception as problem:
            _LOG.exception("A message could not be answered")
            self.board = before
            lacking = isinstance(problem, ModuleNotFoundError)
            words = "That needs the lesson at its own address" if lacking else "That could not be done"
            self.told.append(Refusal(f"{words}, and nothing was changed.").told())
        return self._taken()

    def _taken(self) -> list[Answer]:
        told = [self.hand.as_seen(answer) for answer in self.told]
        self.told.clear()
        return told

    # What a server would do -------------------------------------------------------------------------------------

    def _perform(self, act: acts.Act) -> Any:
        match act:
            case acts.Shift(numbers):
                return self._shifted(super()._perform(act), numbers)
            case acts.ShowFrames(frames, _):
                self._shown = self._shown or frames
            case acts.Run(ids, from_start):
                self._run_motions(ids, from_start)
            case acts.Stop():
                self._stop()
            case acts.StartAgain():
                return self._started_again()
            case acts.TakeRenewed(_):
                return ""
            case acts.TellHint(again):
                return self._hint(again)
            case acts.TellHandedIn(_):
                return {"open": False, "name": "", "verdict": "", "word": "", "minutes": 0}
            case acts.Judge(_) | acts.ProveAnswer(_) | acts.GiveIn(_):
                raise Refusal(_NOBODY)
            case _:
                return super()._perform(act)
        return None

    def _shifted(self, items: Items | None, numbers: dict[str, tuple[float, ...]]) -> Items | None:
        self._moved.update(item["id"] for item in items or [])
        if self._running is None or not items:
            return items
        self._running.disturbed(time.monotonic())
        moved = self._running.moved()
        return [item for item in items if item["id"] not in moved]

    def _keep(self) -> bool:
        moved = super()._keep()
        if moved:
            self._tell_changes()
        return moved

    def _applied(self, patch: Patch) -> Patch:
        self._put(patch)
        self._done.append(patch)
        self._undone.clear()
        self._tell_changes()
        return patch

    def _put(self, patch: Patch) -> None:
        """Make a patch on a board beside the one that is seen, and take that for it once all of it could be made and drawn."""
        check_students_patch(self.board, patch)
        if any(step.makes in ELSEWHERE for _, step in patch.after):
            raise Refusal("Conditions and regions are not drawn in a page that works by itself.")
        ahead = self.board.copy()
        patch.apply(ahead)
        display(ahead, self.extent)
        self.board = ahead

    def _step(self, taken: list[Patch], put: list[Patch], nothing: str, way) -> str:
        self._keep()
        if not taken:
            raise Refusal(nothing)
        patch = taken[-1]
        self._put(way(patch))
        put.append(taken.pop())
        self._tell_changes()
        return patch.words

    def _tell_changes(self) -> None:
        items = display(self.board, self.extent)
        self.told.append(changes(self._told, items, self._moved, self.state()))
        self._told, self._moved = {item["id"]: item for item in items}, set()

    def _started_again(self) -> tuple[str, bool]:
        self._keep()
        try:
            patch = brought_back(self.board, self._start, "Started again from the beginning")
        except Refusal:
            return "This is the beginning", False
        ahead = self.board.copy()
        patch.apply(ahead)
        self.board = ahead
        self._done.append(patch)
        self._undone.clear()
        self._tell_changes()
        return patch.words, True

    def _hint(self, again: bool) -> tuple[str, int, int] | None:
        number = self._hinted if again else self._hinted + 1
        if number > len(self._hints):
            raise Refusal("There is no other hint.")
        self._hinted = number
        return (self._hints[number - 1], number, len(self._hints) - number) if number else None

    # What goes on by itself -------------------------------------------------------------------------------------

    def _run_motions(self, ids: tuple[str, ...], from_start: bool) -> None:
        if self._running is not None:
            ids = tuple(dict.fromkeys((*self._running.ids, *ids)))
            self._stop()
        self._running = Running(self.board, ids, from_start, time.monotonic())
        self.told.append({"t": "playing", "ids": list(ids)})

    def _stop(self) -> None:
        running, self._running = self._running, None
        if running is None:
            return
        self.told.append({"t": "playing", "ids": []})
        places = running.places(time.monotonic())
        there = {id: numbers for id, numbers in places.items() if id in self.board and not self.board.step(id).look.locked}
        if there:
            with suppress(Refusal):
                self._perform(acts.Change(Move(numbers=there)))
        self.told.append(self.whole())

    def due(self) -> float | None:
        """In how many seconds there is something to go on with; None where there is nothing."""
        if self._shown is not None:
            return SHAKE_PAUSE
        return None if self._running is None else max(self._running.wait(time.monotonic()), 0.001)

    def gone_on(self) -> list[Answer]:
        """What there is to tell by now."""
        if self._shown is not None:
            items = next(self._shown, None)
            if items is None:
                self._shown = None
            self.told.append(self.whole() if items is None else {"t": "moved", "items": items})
        elif (running := self._running) is not None and running.wait(time.monotonic()) <= 0.001:
            if running.is_over or not running.keep_in_step(self.board):
                self._stop()
            else:
                self.told.append(running.batch(self.extent, time.monotonic))
        return self._taken()


class Page:
    """What the page asks, as JSON. Answers are objects with ``answers``, ``due`` (in how many seconds to ask for more; null for never)
    and ``keep`` (the board as it is to be kept, where that has changed; "" where it is as the teacher gave it)."""

    def __init__(self) -> None:
        self._itself: ByItself | None = None
        self._given = self._kept = ""

    def open(self, text: str, kept: str) -> str:
        """Begin with a board, or with what was kept of it; that is left where it cannot be read any more."""
        data = json.loads(text)
        own = {key: recipe_from_json(recipe).construction(key) for key, recipe in data["recipes"].items()}
        CATALOGUE.use_own(own)
        start = board_of(data["board"])[0]
        left = None
        if kept:
            with suppress(Exception):
                left = board_of(json.loads(kept))[0]
        self._itself = ByItself(start, tuple(data["hints"]), left)
        self._given, self._kept = (json.dumps(steps_and_settings(one)) for one in (start, self._itself.board))
        return self._told(self._itself.welcome())

    def take(self, text: str) -> str:
        """Answer a message."""
        return self._told(self._itself.answered(json.loads(text)) if self._itself else [])

    def go_on(self) -> str:
        """What motions and pictures in a row have come to."""
        return self._told(self._itself.gone_on() if self._itself else [])

    def _told(self, answers: list[Answer]) -> str:
        told: dict[str, Any] = {"answers": answers, "due": self._itself.due() if self._itself else None}
        if self._itself is not None and any(answer["t"] == "changed" for answer in answers):
            now = json.dumps(steps_and_settings(self._itself.board))
            if now != self._kept:
                self._kept = now
                told["keep"] = "" if now == self._given else now
        return json.dumps(told, separators=(",", ":"), default=list)


def page_data(board: Board, hints: list[str], recipes: dict[str, Any]) -> dict[str, Any]:
    """What a page that works by itself has of a board.

    Args:
        board: a student's copy.
        hints: those of its challenge; nothing else of that is in it.
        recipes: those of the kit, by key, as JSON.

    Returns:
        What ``Page.open`` takes, as a dict. What cannot be drawn there, and what hangs on it, is left out, and so is what is hidden
        where nothing hangs on it that is seen.
    """
    whole = {"board": steps_and_settings(board, True), "hints": hints, "recipes": recipes}
    return {**whole, "board": steps_and_settings(board_there(whole))}


def board_there(data: dict[str, Any]) -> Board:
    """The board of such data, without what cannot be drawn there."""
    return board_of(json.loads(json.dumps(data["board"])), ELSEWHERE)[0]
