"""A board to try things on: one browser's, kept nowhere, gone when it is left."""

from ...core.board import Board
from ...core.kits import check_students_patch
from ...core.refusal import Refusal
from ...store.tables import BoardRow
from .judging import hint_beside, judged_beside
from .live_board import LiveBoard


class PracticeBoard(LiveBoard):
    """A live board whose edits are kept in memory only; it starts again as it began."""

    def __init__(self, board: Board, lessons, source=None):
        """
        Args:
            board: what it begins as.
            source: the teacher's live board that is tried, or None.
        """
        super().__init__(BoardRow(lesson_id=0, edits_done=0, document=""), 0, lessons, board=board)
        self._begun, self._source = board.copy(), source
        self._edits: list[str] = []

    def _check(self, board, patch):
        check_students_patch(board, patch)

    async def _save(self, ahead):
        del self._edits[self.edits_done :]
        self._edits.append(ahead.stored)
        self.edits_done += 1
        self.edit_count = self.edits_done

    async def _edit(self, number):
        return self._edits[number - 1] if 0 < number <= len(self._edits) else None

    async def _save_step(self, step, text):
        self.edits_done += step

    async def judge(self, reach):
        """Whether the answer of the challenge is there, where the board that is tried has one. Raises Refusal."""
        return await judged_beside(self._source, self._at_rest(), reach)

    async def hint(self, number):
        """A hint of the challenge, and how many are left. Raises Refusal."""
        return await hint_beside(self._source, number)

    async def hand_in(self, name, hints):
        raise Refusal("Nothing is handed in from here: this is a copy to try.")

    async def handed_in(self, take_back):
        """Nothing was handed in, and nothing can be."""
        return {"open": False, "name": "", "verdict": "", "word": "", "minutes": 0}

    async def renew(self, take):
        """There is nothing that it would be behind. Returns no words."""
        return ""

    async def reset(self):
        """Make it again what it was at first. Returns the words for it, and that it is no edit."""
        async with self._lock:
            await self._drop_all()
            self.board, self._told, self._edits = self._begun.copy(), None, []
            self.edits_done = self.edit_count = 0
            self.tell(self.whole())
            return "This is the beginning", False
