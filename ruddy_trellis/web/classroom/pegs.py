"""Everybody's peg on one board, live: as marks, in shuffled order; numbers as a row of them."""

import asyncio
import logging
from typing import Any

from starlette.concurrency import run_in_threadpool

from ...core.classroom import collecting
from ...core.display import Extent
from ...core.edits import Arrange
from ...core.refusal import Refusal
from .picture import Onlooker

_LOG = logging.getLogger(__name__)
#: How often the marks are told, seconds; so many marks there are at most, with those that were left behind.
_EVERY, _MOST = 0.2, 3_000


class Pegs:
    """What is collected from everybody's boards."""

    def __init__(self, room):
        self._room, self._task = room, None
        self._asked: Any = None
        self._lookers, self._marks, self._kept, self._last = {}, {}, [], {}

    async def collect(self, message):
        """Collect something of a board from everybody, or nothing any more. Raises Refusal where that cannot be."""
        self.stop()
        if message.id is None:
            return self._tell()
        source = await self._board(message.board)
        collecting.check_collected(source.board, message.id, message.condition)
        self._asked, self._source = message, source
        self._due = asyncio.Event()
        self._touched = set(self._room.people)
        self._task = asyncio.create_task(self._run())
        return None

    async def _board(self, board_id):
        """The teacher's live board, one of the lesson's. Raises Refusal where it is none."""
        if not await run_in_threadpool(self._room.state.lessons.has_board, self._room.lesson.id, board_id):
            raise Refusal("That board is not one of this lesson.")
        return await run_in_threadpool(self._room.state.live.get, board_id)

    def stop(self):
        """Collect no longer; what was kept stays."""
        if self._task is not None:
            self._task.cancel()
        for looker in self._lookers.values():
            looker.leave()
        self._task, self._asked, self._lookers, self._marks, self._last = None, None, {}, {}, {}

    def keep(self, keep):
        """The marks stay where they are now, whatever comes after; or all of them go."""
        if keep:
            self._kept = [*self._kept, *self._marks.values()][-_MOST:]
        else:
            self._kept = []
        self._tell()

    async def _run(self):
        while True:
            try:
                if await self._look():
                    self._tell()
            except Exception:
                _LOG.exception("Marks could not be collected")
            await asyncio.sleep(_EVERY)

    async def _look(self):
        """Look at the boards that have changed. Returns whether a mark is otherwise."""
        asked, room = self._asked, self._room
        for who in [who for who in self._marks if who not in room.people]:
            self._marks.pop(who)
            self._touched.add(who)
        turned = bool(self._touched - set(room.people))
        for person in list(room.people.values()):
            looker = self._lookers.get(person.id)
            live = room.state.live.open_one((asked.board, person.holder))
            if looker is None or (live is not None and looker.live is not live):
                live = live if live is not None else await room.copy_of(person, asked.board)
                if looker is not None:
                    looker.leave()
                self._lookers[person.id] = Onlooker(live, lambda message, who=person.id: self._touched.add(who))
                self._touched.add(person.id)
        touched, self._touched = self._touched, set()
        for who in touched & set(room.people):
            turned |= self._mark(who)
        return turned

    def _mark(self, who):
        """Put somebody's mark where it is now. Returns whether it is elsewhere."""
        asked, board, copy = self._asked, self._source.board, self._lookers[who].live.board
        mark: Any = None
        if asked.id in board and collecting.is_number(board, asked.id):
            mark = collecting.number_of(copy, asked.id)
        elif asked.id in board:
            name = self._room.people[who].name if asked.names else ""
            condition = asked.condition if asked.condition in board else None
            mark = collecting.mark(copy, asked.id, Extent(*board.settings.view), name, board, condition)
        before = self._marks.get(who)
        if mark == before:
            return False
        if asked.trail and before is not None and not isinstance(before, float):
            self._kept = [*self._kept, {**before, "label": None, "style": {**before["style"], "size": 3.0}}][-_MOST:]
        if mark is None:
            self._marks.pop(who, None)
        else:
            self._marks[who] = mark
        return True

    def _tell(self):
        """Tell the teacher's pages and who follows. A mark has no key that would be the same twice."""
        found = list(self._marks.values())
        numbers = sorted(one for one in found if isinstance(one, float))
        items = collecting.shuffled([*self._kept, *(one for one in found if not isinstance(one, float))])
        board = self._asked.board if self._asked else None
        self._room.tell_teachers({"t": "marks", "items": items, "numbers": numbers, "board": board, "count": len(found)})
        if board is None or self._room.stage.leads(board):
            self._room.stage.marks(items)

    async def log_all(self, board_id):
        """Write everybody's readings into the log of a board, a row each. Returns the words for it. Raises Refusal."""
        source = await self._board(board_id)
        copies = [await self._room.copy_of(person, board_id) for person in self._room.people.values()]
        rows = [row for row in collecting.rows(source.board, (live.board for live in copies)) if any(one is not None for one in row)]
        if not rows:
            raise Refusal("Nobody’s board has a value for these readings.")
        await source.change(Arrange(rows=[*map(list, source.board.settings.rows), *map(list, rows)]))
        return f"Recorded {len(rows)} rows, one of each who has a value." if len(rows) != 1 else "Recorded 1 row."
