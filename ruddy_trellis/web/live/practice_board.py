"""A board to try things on: one browser's, kept nowhere, gone when it is left."""

from ...core.board import Board
from ...core.kits import check_students_patch
from ...core.lesson.file import board_to_text
from ...core.refusal import Refusal
from ...store.tables import BoardRow
from .judging import hint_beside, judged_beside, proved_beside
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
        self._hints = 0

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

    async def prove_answer(self, taken):
        """Whether it is proved that what was taken for the answer is that always."""
        return await proved_beside(self._source, board_to_text(self._at_rest()), taken)

    async def hint(self, again):
        """A hint of the challenge (see ``hint_beside``). Raises Refusal."""
        told = await hint_beside(self._source, self._hints, again)
        self._hints = told[1] if told else 0
        return told

    async def hand_in(self, name):
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
