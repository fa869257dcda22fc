"""A hand at a board that nobody else is at, in a thread of a browser: with what a server does else, but for keeping."""

import json
import logging
import time
from collections.abc import Iterator
from contextlib import suppress
from typing import Any

from ..core.board import Board
from ..core.display import display
from ..core.edits import Move, Patch
from ..core.hand import Alone, Hand, acts
from ..core.hand.acts import Answer
from ..core.hand.running import Running
from ..core.hand.showing import SHAKE_PAUSE
from ..core.hand.told import changes
from ..core.kits import check_students_patch
from ..core.refusal import Refusal
from ..core.seen import Items
from ..core.truth.verdicts import Verdict

_LOG = logging.getLogger(__name__)


class Lone(Alone):
    """A board, the hand at it, and what a server would do for them: changes that are told, history, motions.

    Args:
        board: it is changed.
        kind: of the hand.

    Attributes:
        where: how this is called to who asks for what is not there.
        lacking: what is said where something is asked for that only a server can do.
    """

    where = "here"
    lacking = "That cannot be done here"

    def __init__(self, board: Board, kind: type[Hand]) -> None:
        super().__init__(board, kind)
        self._last: dict[str, Any] = {}
        self._moved: set[str] = set()
        #: The display list of what was put on the board and is not told yet.
        self._drawn: Items | None = None
        self._running: Running | None = None
        self._shown: Iterator[Items] | None = None

    def welcome(self) -> list[Answer]:
        """What the page is told first."""
        return [self.hand.as_seen(answer) for answer in self.hand.welcome()]

    def whole(self) -> Answer:
        told = super().whole()
        self._last, self._moved = {item["id"]: item for item in told["items"]}, set()
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
            self.board, self._drawn = before, None
            is_lacking = isinstance(problem, ModuleNotFoundError)
            words = self.lacking if is_lacking else "That could not be done"
            self.told.append(Refusal(f"{words}, and nothing was changed.").told())
        return self._taken()

    def _taken(self) -> list[Answer]:
        told = [self.hand.as_seen(answer) for answer in self.told]
        self.told.clear()
        return told

    # What a server would do -------------------------------------------------------------------------------------

    def _perform(self, act: acts.Act) -> Any:
        match act:
            case acts.Shift(_, _):
                return self._shifted(super()._perform(act))
            case acts.ShowFrames(frames, _):
                self._shown = self._shown or frames
            case acts.Run(ids, from_start):
                self._run_motions(ids, from_start)
            case acts.Stop():
                self._stop()
            case acts.TakeRenewed(_):
                return ""
            case acts.TellHandedIn(_):
                return {"open": False, "name": "", "verdict": "", "word": "", "minutes": 0}
            case acts.StartAgain() | acts.Judge(_) | acts.ProveAnswer(_) | acts.GiveIn(_) | acts.TellHint(_) | acts.Prove(_, _):
                raise Refusal(f"{self.lacking}.")
            case _:
                return super()._perform(act)
        return None

    def _shifted(self, items: Items | None) -> Items | None:
        self._drawn = None
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
        ahead = self.board.copy()
        patch.apply(ahead)
        self._drawn = display(ahead, self.extent)
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
        items, self._drawn = self._drawn or display(self.board, self.extent), None
        self.told.append(changes(self._last, items, self._moved, self.state()))
        self._last, self._moved = {item["id"]: item for item in items}, set()

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

    def run_on(self, before: "Lone") -> None:
        """What runs on a board like this one runs on here."""
        self._running = before._running

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

    def as_told(self, answers: list[Answer], **more: Any) -> str:
        """Answers as the text that goes to the page, with ``due`` (in how many seconds there is more to tell; null for never)."""
        return json.dumps({"answers": answers, "due": self.due(), **more}, separators=(",", ":"), default=list)
