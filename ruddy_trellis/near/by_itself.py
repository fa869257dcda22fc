"""A board in a page that works by itself: the hand of whoever opened it, with nobody else, no server and no network.

It runs in a thread of that page. Texts go in and out.
"""

import json
from contextlib import suppress
from typing import Any

from ..core.board import Board
from ..core.board.copying import board_of, steps_and_settings
from ..core.catalogue import CATALOGUE
from ..core.challenge.answer_key import AnswerKey, judged_by_key
from ..core.edits.history import brought_back
from ..core.hand import StudentHand, acts
from ..core.hand.acts import Answer
from ..core.lesson.recipes import recipe_from_json
from ..core.refusal import Refusal
from .lone import Lone


class ByItself(Lone):
    """A student's copy of a board, the hand at it, and its challenge's hints.

    Args:
        start: the board as the teacher gave it.
        hints: those of its challenge.
        kept: the board as it was left, if it was.
        key: what tells whether an answer is right; None where that is left out.
    """

    where = "in a page that works by itself"
    lacking = "That needs the lesson at its own address: a page that works by itself has nobody to ask"

    def __init__(self, start: Board, hints: tuple[str, ...] = (), kept: Board | None = None, key: AnswerKey | None = None) -> None:
        super().__init__((kept or start).copy(), StudentHand)
        self._start, self._hints, self._hinted, self._key = start, hints, 0, key

    def _perform(self, act: acts.Act) -> Any:
        match act:
            case acts.StartAgain():
                return self._started_again()
            case acts.TellHint(again):
                return self._hint(again)
            case acts.Judge(reach) if self._key is not None:
                return judged_by_key(self.board, self._key, reach)
            case acts.ProveAnswer(_) if self._key is not None:
                return None  # nothing is proved here
        return super()._perform(act)

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
        start = board_of(data["board"])
        left = None
        if kept:
            with suppress(Exception):
                left = board_of(json.loads(kept))
        self._itself = ByItself(start, tuple(data["hints"]), left, AnswerKey.model_validate(data["key"]) if data["key"] else None)
        self._itself.hand.angle_words = data["angle_words"]
        self._given, self._kept = (json.dumps(steps_and_settings(one)) for one in (start, self._itself.board))
        return self._told(self._itself.welcome())

    def take(self, text: str) -> str:
        """Answer a message."""
        assert self._itself is not None
        return self._told(self._itself.answered(json.loads(text)))

    def go_on(self) -> str:
        """What motions and pictures in a row have come to."""
        assert self._itself is not None
        return self._told(self._itself.gone_on())

    def _told(self, answers: list[Answer]) -> str:
        assert self._itself is not None  # a page is opened before it asks
        keep: dict[str, str] = {}
        if any(answer["t"] == "changed" for answer in answers):
            now = json.dumps(steps_and_settings(self._itself.board))
            if now != self._kept:
                self._kept = now
                keep = {"keep": "" if now == self._given else now}
        return self._itself.as_told(answers, **keep)


def page_data(
    board: Board, hints: list[str], recipes: dict[str, Any], angle_words: int = 0, key: AnswerKey | None = None
) -> dict[str, Any]:
    """What a page that works by itself has of a board.

    Args:
        board: a student's copy.
        hints: those of its challenge.
        recipes: those of the kit, by key, as JSON.
        angle_words: what pairs of angles are called where the teacher teaches.
        key: what tells whether an answer is right, if that shall be told.

    Returns:
        What ``Page.open`` takes, as a dict. What is hidden is left out where nothing hangs on it that is seen.
    """
    told = key.model_dump() if key else None
    return {"board": steps_and_settings(board, True), "hints": hints, "recipes": recipes, "angle_words": angle_words, "key": told}


def board_there(data: dict[str, Any]) -> Board:
    """The board of such data."""
    return board_of(json.loads(json.dumps(data["board"])))
