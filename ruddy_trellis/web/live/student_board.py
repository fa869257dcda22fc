"""A student's own copy of a board, live."""

from starlette.concurrency import run_in_threadpool

from ...core.lesson.file import board_to_text
from ...core.lesson.student_copy import student_copy
from ...core.refusal import Refusal
from ...store.tables import BoardRow
from .live_board import LiveBoard
from .saving import saved


class StudentBoard(LiveBoard):
    """A copy of a teacher's board that one student holds. It is kept from the student's first change on: until then it
    is what the teacher's board is when it is opened."""

    def __init__(self, boards, source, holder, row, edit_count, lessons):
        """
        Args:
            boards: where the teacher's live board is asked for again: it may have been closed and opened meanwhile.
            source: the teacher's live board as it is now.
            holder: the hash of the secret that the student's browser keeps.
            row: what is kept of the copy, or None.
        """
        if row is None:
            super().__init__(BoardRow(lesson_id=source.lesson_id, edits_done=0, document=""), 0, lessons, board=student_copy(source.board))
        else:
            super().__init__(row, edit_count, lessons)
        self._boards, self._source_id, self._holder = boards, source.id, holder

    def follow(self, source):
        """As long as nothing of it is kept, it is what the teacher's board is now."""
        if self.id is None:
            self.board, self._told = student_copy(source.board), None

    async def _save(self, ahead):
        if self.id is not None and not await saved(self._lessons.board, self.id):
            # Among very many copies it had to make room before there was work in it: it is kept anew from here on.
            self.id, self.edits_done, self.edit_count = None, 0, 0
        if self.id is None:
            row = await saved(self._lessons.make_copy, self._source_id, self._holder, board_to_text(self.board))
            if row is None:
                raise Refusal("So many students have work on this board that no more of it can be kept. Tell your teacher.")
            self.id = row.id
        await super()._save(ahead)

    async def reset(self):
        """Make the copy again what the teacher's board is now. Returns the words for it, and whether it is an edit."""
        async with self._lock:
            await self._drop_all()
            source = await run_in_threadpool(self._boards.get, self._source_id)
            if self.id is not None:
                try:
                    return await self._become(student_copy(source.board), "Started again from the beginning"), True
                except Refusal:
                    pass  # it is like that already
            else:
                self.follow(source)
                self.tell(self.whole())
            return "This is the beginning", False
