"""The boards that are open now: teachers' own, and students' copies of them."""

import asyncio
import threading

from .live_board import LiveBoard
from .student_board import StudentBoard

#: How many boards stay open though nobody looks at them.
_IDLE = 50
#: How long after a change of a teacher's the copies are told of it, seconds.
_PAUSE = 0.3


class LiveBoards:
    """The boards that are open now: a teacher's by its id, a student's by the id of the teacher's and its holder."""

    def __init__(self, lessons):
        self._lessons = lessons
        self._open = {}
        self._gates = {}
        self._telling = {}
        self._lock = threading.Lock()
        #: Gives the lines that are open besides those to boards, and end with a session as they do.
        self.elsewhere = list

    def get(self, board_id):
        """The live board of that id, opened from the store where it is not open; None where there is none."""
        return self._found(board_id, lambda: self._opened(board_id))

    def _opened(self, board_id):
        row = self._lessons.board(board_id)
        if row is None or row.copy_of is not None:
            return None
        live = LiveBoard(row, self._lessons.edit_count(board_id), self._lessons)
        live.on_change = lambda: self._tell_copies(live)
        return live

    def open_one(self, board_id):
        """The live board of that id if it is open now, or None."""
        return self._open.get(board_id)

    def _tell_copies(self, source):
        """A teacher's board has changed: the copies that are looked at follow it, or are told, once for several changes in a row."""
        if source.id not in self._telling:
            self._telling[source.id] = asyncio.create_task(self._catch_up(source))

    async def _catch_up(self, source):
        await asyncio.sleep(_PAUSE)
        del self._telling[source.id]
        with self._lock:
            copies = [live for live in self._open.values() if getattr(live, "source_id", None) == source.id and live.connections]
        for copy in copies:
            await copy.catch_up(source)

    def get_copy(self, board_id, holder):
        """The live copy of a board that a student holds; one that is as the teacher's board is now where they have none.
        None where there is no such board."""
        source = self.get(board_id)
        if source is None:
            return None
        copy = self._found((board_id, holder), lambda: self._opened_copy(source, holder))
        if not copy.connections:
            copy.follow(source)
        return copy

    def _opened_copy(self, source, holder):
        row = self._lessons.copy(source.id, holder)
        return StudentBoard(self, source, holder, row, self._lessons.edit_count(row.id) if row else 0, self._lessons)

    def _found(self, key, opened):
        """The open board of that key, or what ``opened`` gives.

        Pages ask in threads of their own: a gate for each board keeps two of them from opening it twice, and nobody waits
        for a board that is not theirs.
        """
        with self._lock:
            if key in self._open:
                return self._used(key)
            gate = self._gates.setdefault(key, threading.Lock())
        with gate:
            with self._lock:
                if key in self._open:
                    return self._used(key)
            live = opened()
            with self._lock:
                self._gates.pop(key, None)
                if live is None:
                    return None
                self._open[key] = live
                return self._used(key)

    def _used(self, key):
        """The open board of that key, last to be closed from now on. Memory stays flat: of those that nobody looks at,
        only so many stay open."""
        live = self._open[key] = self._open.pop(key)
        idle = [other for other, one in self._open.items() if not one.connections]
        for other in idle[:-_IDLE]:
            del self._open[other]
        return live

    def tell_copies(self, lesson_id, message):
        """Send a message to whoever looks at a copy of a board of a lesson. May be called from any thread."""
        with self._lock:
            copies = [live for live in self._open.values() if isinstance(live, StudentBoard) and live.lesson_id == lesson_id]
            lines = [line for live in copies for line in list(live.connections)]
        for line in lines:
            line.outgoing.send_soon(message)

    def of_holder(self, holder):
        """The copies that a student has open."""
        with self._lock:
            return [live for key, live in self._open.items() if isinstance(key, tuple) and key[1] == holder]

    def forget_holder(self, holder):
        """The copies of a student are gone: who looks at one is let go."""
        self._close(lambda live: getattr(live, "holder", None) == holder)

    def in_use(self):
        """The sessions that have lines open, and the ids of the lessons whose boards are looked at."""
        with self._lock:
            looked_at = [live for live in self._open.values() if live.connections]
            lines = [*(line for live in looked_at for line in list(live.connections)), *self.elsewhere()]
            sessions = {line.session for line in lines} - {None}
            return sessions, {live.lesson_id for live in looked_at}

    def end_lines(self, concerned):
        """End the lines for which ``concerned`` holds: whoever has one may no longer look."""
        with self._lock:
            lines = [line for live in self._open.values() for line in list(live.connections)]
        lines = [line for line in (*lines, *self.elsewhere()) if concerned(line)]
        for line in lines:
            line.close()

    def close_lesson(self, lesson_id):
        """Close every board of a lesson, as it is deleted: who looks at one is let go."""
        self._close(lambda live: live.lesson_id == lesson_id)

    def close_copies(self, lesson_id):
        """Close the students' copies of a lesson, as it is no longer open to them."""
        self._close(lambda live: live.lesson_id == lesson_id and isinstance(live, StudentBoard))

    def _close(self, concerned):
        with self._lock:
            for key, live in list(self._open.items()):
                if concerned(live):
                    live.let_go()
                    del self._open[key]
