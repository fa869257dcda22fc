"""A copy of a board beside its drawing: what is held moves here at once, whatever the network; the server, which keeps the board, hears
of it soon after and has the last word.

It is the hand itself (``core.hand``) alone at that copy. Texts go in and out, since this runs in a thread of the browser.
"""

import json
from typing import Any

from ..core.board.copying import board_of
from ..core.hand import Alone
from ..core.kinds import CONDITION, REGION
from ..core.pointing.prompt import Prompt
from ..core.refusal import Refusal

#: What is asked of the copy. All else is asked of the server.
ASKED = frozenset(("grab", "drag", "drop", "lift", "hover"))
#: Kinds of things whose outlines are laid together with a library that a browser has not: these, and what hangs on them, the copy lacks
#: and the server shows.
ELSEWHERE = frozenset((CONDITION, REGION))


class Beside:
    """The copy of one board. Every method takes and gives JSON."""

    def __init__(self) -> None:
        self._alone: Alone | None = None
        self._prompt: Prompt | None = None
        # What was told before there was a copy, and outlives each of them.
        self._view: tuple[float, ...] | None = None
        self._lifted: list[str] = []

    def open(self, text: str) -> str:
        """Make the copy anew from what the server tells of the board. Gives the ids of what the server shows. Raises Refusal where
        a step cannot be made here."""
        board, elsewhere = board_of(json.loads(text), ELSEWHERE)
        self._alone = Alone(board)
        self._alone.view = self._view or board.settings.view
        self._alone.do(t="lift", ids=self._lifted)
        self._alone.told.clear()
        self._hold(self._prompt)
        return json.dumps(sorted(elsewhere))

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
        message = json.loads(text)
        if message["t"] == "lift":
            self._lifted = message["ids"]
        if self._alone is None or message["t"] not in ASKED:
            return "[]"
        answers = self._alone.do(**message)
        self._alone.told.clear()
        return json.dumps([self._alone.hand.as_seen(answer) for answer in answers], separators=(",", ":"), default=_plain)


def _plain(value: Any) -> Any:
    """What JSON has no form for, as the server writes it: sets of ids and the like as lists."""
    return list(value)
