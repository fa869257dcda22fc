"""A copy of a board beside its drawing: what is held moves here at once, whatever the network; the server, which keeps the board, hears
of it soon after and has the last word.

It is the hand itself (``core.hand``) alone at that copy. Texts go in and out, since this runs in a thread of the browser.
"""

import json
import marshal
from typing import Any

from ..core.board import Board
from ..core.board.copying import board_of
from ..core.hand.acts import Answer
from ..core.lesson.file import lesson_to_json
from ..core.pointing.prompt import Prompt
from ..core.refusal import Refusal
from .away import Away

#: What is asked of the copy. All else is asked of the server.
ASKED = frozenset(("grab", "drag", "drop", "lift", "hover", "select", "complete", "consider"))


class Beside:
    """The copy of one board. Every method takes and gives JSON."""

    def __init__(self) -> None:
        self._alone: Away | None = None
        self._prompt: Prompt | None = None
        # What was foreseen of an act, by what it is known by.
        self._ahead: dict[str, Away] = {}
        # What is seen of the copy, by id, and in which part of the plane, until something there moves.
        self._known: tuple[Any, dict[str, Any]] | None = None
        # What was told before there was a copy, and outlives each of them.
        self._view: tuple[float, ...] | None = None
        self._lifted: list[str] = []

    def open(self, text: str) -> None:
        """Make the copy anew from what the server tells of the board. Raises Refusal where a step cannot be made here."""
        data = json.loads(text)
        board = board_of(data)
        before, self._alone = self._alone, Away(board)
        self._alone.hand.angle_words = data.get("angle_words", 0)
        if before is not None:
            self._alone.run_on(before)
            if _are_alike(before.board, board):
                self._alone.remember(before)
        self._ahead.clear()
        self._known = None
        self._alone.view = self._view or board.settings.view
        self._alone.do(t="lift", ids=self._lifted)
        self._alone.told.clear()
        self._hold(self._prompt)

    def warm(self) -> None:
        """Work out before anybody waits for it what every first answer needs: the tables of words."""
        lone = Away(Board())
        for message in ({"t": "say", "text": "A = (0, 0)"}, {"t": "select", "ids": ["s1"]}, {"t": "complete", "text": "the midp"}):
            lone.do(**message)
        self._alone = lone
        self.foresee('{"t": "say", "text": "B = (3, 1)", "once": "warm-0000"}')
        self._alone, self._known = None, None
        self._ahead.clear()

    def prompt(self, text: str) -> str:
        """Take the same tool in the hand as at the server, filled alike; null for none. Gives whether it is known here."""
        told = json.loads(text)
        try:
            self._prompt = Prompt.of_told(told) if told else None
        except Refusal:
            self._prompt = None
        self._hold(self._prompt)
        return json.dumps(self._prompt is not None)

    def _hold(self, prompt: Prompt | None) -> None:
        if self._alone is not None:
            self._alone.hand.prompt = prompt if prompt is not None and prompt.is_there(self._alone.board) else None

    def look(self, text: str) -> None:
        """What part of the plane is seen: lines are cut a little outside it."""
        self._view = tuple(json.loads(text))
        if self._alone is not None:
            self._alone.view = self._view

    def take(self, text: str) -> str:
        """Answer a message, one of ``ASKED``: a list of answers. Where nothing is held, a drag says so; the copy is never kept."""
        return _as_text(self._answers(json.loads(text)))

    def drag(self, text: str) -> bytes:
        """The same for a drag, which is answered with many numbers: as ``marshal`` writes them. Turning them into text would take a third
        of the time."""
        answers = self._answers(json.loads(text))
        try:
            return marshal.dumps(answers, 4)
        except ValueError:  # there is something in it that is only alike a list or a number
            return marshal.dumps(json.loads(_as_text(answers)), 4)

    def _answers(self, message: dict[str, Any]) -> list[Answer]:
        if message["t"] in ("grab", "drag", "drop", "lift"):
            self._known = None
        if message["t"] == "lift":
            self._lifted = message["ids"]
        if self._alone is None or message["t"] not in ASKED:
            return []
        answers = self._alone.do(**message)
        self._alone.told.clear()
        return [self._alone.hand.as_seen(answer) for answer in answers]

    def foresee(self, text: str) -> str:
        """What the server is about to tell of an act that was sent to it, by all that is known here; the copy stays as it is. Gives an
        object with ``changed`` (null where nothing changes), ``back`` (what takes that from the drawing again) and ``prompt`` (null where
        the tool in the hand stays as it is)."""
        message, here = json.loads(text), self._lone
        there = Away(here.board)  # a change is made on a board beside it, which takes its place there
        prompt = here.hand.prompt
        own = {"table": there, "prompt": prompt and Prompt.of_told(prompt.told()), "selected": list(here.hand.selected)}
        vars(there.hand).update({**vars(here.hand), **own})
        there.view, there.is_away = here.view, True
        if any(one.unsent for one in self._ahead.values()):
            here.forget()  # whether that edit was made is not known
        there.remember(here)
        self._ahead = {message["once"]: there}
        before = self._shown() or {item["id"]: item for item in there.whole()["items"]}
        there.has_told(before)
        self._known = (here.view, before)
        found = {answer["t"]: answer for answer in there.answered(message)}
        changed, back = found.get("changed"), None
        if changed is not None:
            touched = [*(item["id"] for item in changed["items"]), *changed["gone"]]
            items = [before[id] for id in touched if id in before]
            back = here.hand.as_seen({"t": "changed", "items": items, "gone": [id for id in touched if id not in before]})
        return json.dumps({"changed": changed, "back": back, "prompt": found.get("prompt")}, separators=(",", ":"), default=list)

    def _shown(self) -> dict[str, Any] | None:
        """The items of the copy by id, where they are known."""
        view, items = self._known or (None, None)
        return items if view == self._lone.view else None

    def adopt(self, once: str) -> None:
        """What was foreseen of an act is so: the copy goes on from there."""
        if (there := self._ahead.pop(once, None)) is not None:
            there.is_away = False
            there.unsent.clear()
            self._alone, self._known = there, (there.view, there.last_told)
            there.view = self._view or there.view

    def run(self, text: str) -> str:
        """Run motions beside the drawing, or stop them, or answer what is asked of the board. Gives what ``do`` gives; once motions have
        stopped, an answer "ran" has the edit that the server is to be asked for."""
        return self._lone.as_told(self._lone.answered(json.loads(text)))

    # Without the line -------------------------------------------------------------------------------------------

    def leave(self, first: str = "") -> str:
        """There is no line any more: from here on ``do`` answers everything. With "whole" the whole board is told first."""
        return self._told(self._lone.leave(first == "whole"))

    def do(self, text: str) -> str:
        """Answer a message while there is no line: an object with ``answers``, ``due`` (in how many seconds ``go_on`` has more; null for
        never) and, where that has changed, ``unsent``: what the server does not know of."""
        return self._told(self._lone.answered(json.loads(text)))

    def end(self) -> str:
        """The line is back: what is held is let go, and what runs stops. Gives what ``do`` gives, with ``file``: the board as it is here,
        as a lesson."""
        answers = self._lone.end()
        lesson = lesson_to_json(self._lone.board.settings.title or "Kept aside", [self._lone.board])
        return self._lone.as_told(answers, unsent=self._lone.unsent, file=lesson)

    def go_on(self) -> str:
        """What motions and pictures in a row have come to."""
        return self._told(self._lone.gone_on())

    @property
    def _lone(self) -> Away:
        """The hand at the copy, which there is whenever the line is left."""
        assert self._alone is not None
        return self._alone

    def _told(self, answers: list[Answer]) -> str:
        changed = any(answer["t"] == "changed" for answer in answers)
        return self._lone.as_told(answers, **({"unsent": self._lone.unsent} if changed else {}))


def _as_text(answers: list[Answer]) -> str:
    return json.dumps(answers, separators=(",", ":"), default=list)


def _are_alike(one: Board, other: Board) -> bool:
    """Whether two boards are the same but for which part of the plane is seen."""
    return one.steps == other.steps and one.settings.with_(view=other.settings.view) == other.settings
