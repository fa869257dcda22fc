"""One hand at a board with nobody else and nothing stored: how the hand is tested, and how it runs away from a server."""

from typing import Any

from ..board import Board
from ..display import Extent, display
from ..edits import Patch, prepare
from ..edits.history import brought_back, state_before
from ..kits import check_students_patch
from ..refusal import Refusal
from ..truth.verdicts import Verdict, first_verdict
from . import acts
from .acts import Answer
from .drags import Drags
from .hand import Hand
from .messages import read_message
from .told import state_of


class Alone:
    """A board in memory with its history, and the hand at it.

    Attributes:
        hand: the hand; of another kind where one is given.
        told: every answer so far.
    """

    def __init__(self, board: Board, kind: type[Hand] = Hand) -> None:
        self.board = board
        self.view = board.settings.view
        self.told: list[Answer] = []
        self.lifted_for_all: frozenset[str] = frozenset()
        self._done: list[Patch] = []
        self._undone: list[Patch] = []
        self._drags = Drags()
        self.hand = kind(self)

    @property
    def extent(self) -> Extent:
        return Extent(*self.view)

    def verdict(self, id: str) -> Verdict | None:
        return first_verdict(self.board, id)

    def whole(self) -> Answer:
        return {"t": "board", "items": display(self.board, self.extent), "state": self.state()}

    def state(self) -> dict[str, Any]:
        return state_of(self.board, bool(self._done), bool(self._undone))

    def do(self, **message: Any) -> list[Answer]:
        """Give the hand a message, as ``do(t="say", text="A = (1, 2)")``. Returns the answers; a refusal is one of them."""
        already = len(self.told)
        try:
            self._run(self.hand.take(read_message(message)))
        except Refusal as refusal:
            self.told.append(refusal.told())
        return self.told[already:]

    def _run(self, doing: acts.Doing) -> None:
        given, refused = None, None
        while True:
            try:
                act = doing.throw(refused) if refused else doing.send(given)
            except StopIteration:
                return
            given, refused = None, None
            if isinstance(act, dict):
                self.told.append(act)
                continue
            try:
                given = self._perform(act)
            except Refusal as refusal:
                refused = refusal

    def _perform(self, act: acts.Act) -> Any:
        match act:
            case acts.Change(edit, _):
                self._keep()
                return self._applied(prepare(self.board, edit))
            case acts.Hold(ids):
                self._drags.start(self, self.board, ids)
            case acts.Shift(numbers, near):
                return self._drags.move(self, self.board, self.extent, numbers, near)
            case acts.LetGo():
                return self._keep()
            case acts.Undo(_):
                return self._step(self._done, self._undone, "There is nothing to undo.", lambda patch: patch.reversed())
            case acts.Redo(_):
                return self._step(self._undone, self._done, "There is nothing to redo.", lambda patch: patch)
            case acts.LookBack(number) | acts.BringBack(number):
                earlier = state_before(self.board, self._done[: number - len(self._done) - 1 : -1] if number < len(self._done) else [])
                if isinstance(act, acts.LookBack):
                    return earlier
                return self._applied(brought_back(self.board, earlier, "Brought back an earlier state")).words
            case acts.ShowView(view, _, _):
                self.view = view
            case acts.TellAll(answer):
                self.told.append(answer)
            case acts.ShowFrames(frames, _):
                self.told += [{"t": "moved", "items": items} for items in frames]
                self.told.append(self.whole())
            case acts.Reckon(work, _):
                return work()
            case acts.Prove():
                pass  # a verdict is found anew whenever it is asked for
            case (
                acts.StartAgain()
                | acts.TakeRenewed(_)
                | acts.Judge(_)
                | acts.ProveAnswer(_)
                | acts.TellHint(_)
                | acts.GiveIn(_)
                | acts.TellHandedIn(_)
                | acts.Run()
                | acts.Stop()
            ):
                raise Refusal("Alone at a board nothing runs, and there is no teacher’s board.")
        return None

    def _keep(self) -> bool:
        patch = self._drags.let_go(self, self.board)
        if patch is None:
            return False
        if patch.settings_after:
            self.board.settings = patch.settings_after
        self._done.append(patch)
        self._undone.clear()
        return True

    def _applied(self, patch: Patch) -> Patch:
        check_students_patch(self.board, patch)
        patch.apply(self.board)
        self._done.append(patch)
        self._undone.clear()
        return patch

    def _step(self, taken: list[Patch], put: list[Patch], nothing: str, way) -> str:
        self._keep()
        if not taken:
            raise Refusal(nothing)
        patch = taken[-1]
        check_students_patch(self.board, way(patch))
        way(patch).apply(self.board)
        put.append(taken.pop())
        return patch.words
