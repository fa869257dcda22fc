"""The hand at a copy of a board while there is no line to the server: what is done goes on, is noted, and is sent later.

While the line is there the same copy answers drags, and the server keeps what comes of them (see ``beside``).
"""

from typing import Any

from ..core.board import Board, numbers_of
from ..core.edits import Patch
from ..core.hand import Hand, StudentHand, acts
from ..core.hand.acts import Answer
from ..core.refusal import Refusal
from .lone import Lone

_HISTORY = "Without the line only what is not saved yet can be undone"


class Away(Lone):
    """A copy of a board, and what was done at it that the server does not know of.

    Attributes:
        is_away: whether there is no line.
        unsent: what was done, in order: for each the edit as JSON, the ids of what it has made, and what the server may know it by already.
    """

    where = "while there is no line"
    lacking = "That needs the line to the server, which is not there just now"

    def __init__(self, board: Board) -> None:
        super().__init__(board, StudentHand if board.settings.own_from else Hand)
        self.is_away = False
        self.unsent: list[dict[str, Any]] = []
        self._once, self._made = "", 0
        self._taken_back: list[dict[str, Any]] = []

    def leave(self, whole: bool = False) -> list[Answer]:
        """From here on there is no line: everything is answered here. What was moved before is the server's.

        Args:
            whole: whether the page shows nothing yet.
        """
        self.is_away = True
        self.forget()
        self.whole()
        self._taken()
        if whole:
            return self.welcome()
        return [{"t": "state", "state": self.state()}]

    def remember(self, before: "Away") -> None:
        """What was done at the same board before can be taken back here, and done again."""
        self._done, self._undone = list(before._done), list(before._undone)

    def forget(self) -> None:
        """Nothing that was done can be taken back here any more."""
        self._done.clear()
        self._undone.clear()

    @property
    def last_told(self) -> dict[str, Any]:
        """The items that were told last, by id."""
        return self._last

    def has_told(self, items: dict[str, Any]) -> None:
        """The page shows these items already."""
        self._last = items

    def end(self) -> list[Answer]:
        """The line is back: what is held is let go, what runs or is shown stops."""
        self._shown = None
        answers = [answer for kind in ("drop", "pause") for answer in self.answered({"t": kind})]
        self.is_away = False
        return answers

    def answered(self, message: dict[str, Any]) -> list[Answer]:
        """As ever; what comes of an act that was sent already is known by the same keys as at the server."""
        self._once, self._made = message.get("once") or "", 0
        return super().answered(message)

    def _perform(self, act: acts.Act) -> Any:
        match act:
            case acts.BringBack(_) | acts.LookBack(_):
                raise Refusal(f"{self.lacking}.")
            case acts.Change(edit, key) if self.is_away:
                patch = super()._perform(act)
                self._note({**edit.model_dump(exclude_unset=True), "kind": edit.kind}, patch, key)
                return patch
            case acts.Undo(_) if not self._done and not self._drags:
                raise Refusal(f"{_HISTORY}.")
        return super()._perform(act)

    def _note(self, edit: dict[str, Any], patch: Patch, key: str = "") -> None:
        known = {step.id for _, step in patch.before}
        made = [step.id for _, step in patch.after if step.id not in known]
        self.unsent.append({"edit": edit, "made": made})
        if self._once:
            self._made += 1
            key = key or f"{self._once}-{self._made}"
        if key:
            self.unsent[-1]["key"] = key
        self._taken_back.clear()

    def _keep(self) -> bool:
        moved = super()._keep()
        if moved and self.is_away:
            self._note(_as_move(self._done[-1]), self._done[-1])
        return moved

    def _stop(self) -> None:
        count = len(self._done)
        super()._stop()
        if not self.is_away and len(self._done) > count:
            self.told.append({"t": "ran", "edit": _as_move(self._done[-1])})

    def _tell_changes(self) -> None:
        if self.is_away:
            super()._tell_changes()

    def _step(self, taken: list[Patch], put: list[Patch], nothing: str, way) -> str:
        words = super()._step(taken, put, nothing, way)
        notes = (self.unsent, self._taken_back) if taken is self._done else (self._taken_back, self.unsent)
        if notes[0]:  # else the server knows of it
            notes[1].append(notes[0].pop())
        return words


def _as_move(patch: Patch) -> dict[str, Any]:
    """A patch of pegs that were moved as the edit that the server is asked for."""
    numbers = {step.id: list(at) for _, step in patch.after if (at := numbers_of(step))}
    near = {step.id: list(at) for _, step in patch.after if (at := step.fills.get("near"))}
    return {"kind": "move", "numbers": numbers, **({"near": near} if near else {})}
