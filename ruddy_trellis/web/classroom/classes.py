"""The classes that are open now, in memory; opened from the store when somebody first asks for one."""

import threading

from starlette.concurrency import run_in_threadpool

from ...core.classroom.codes import new_code
from ..live.saving import saved
from .live_class import LiveClass


class LiveClasses:
    """The open classes by their ids."""

    def __init__(self, state):
        self._state, self._store = state, state.classes
        self._open, self._lock = {}, threading.Lock()

    def get(self, class_id):
        """The class of that id, if it is open; None otherwise. Reads the store where it is not in memory: to be called in a thread."""
        with self._lock:
            known = self._open.get(class_id)
            if known is not None and not known.is_closed:
                row = self._store.find(class_id)
                return known if row is not None else None
            row = self._store.find(class_id)
            lesson = self._state.lessons.lesson(row.lesson_id) if row is not None else None
            if row is None or lesson is None or lesson.put_away:
                return None
            live = LiveClass(self._state, row, lesson, self._store.members(class_id), self._store.questions(class_id))
            self._open[class_id] = live
            return live

    async def open(self, lesson):
        """Open a lesson for a class, or give the one that it is open for."""
        row = await saved(self._store.open, lesson.id, new_code)
        return await run_in_threadpool(self.get, row.id)

    async def close(self, class_id):
        """Close a class."""
        live = await run_in_threadpool(self.get, class_id)
        if live is None:
            await saved(self._store.close, class_id)
        else:
            await live.close()
        with self._lock:
            self._open.pop(class_id, None)

    async def close_over(self):
        """Close the classes whose time is over, and those of lessons that are gone or put away."""
        for class_id in await run_in_threadpool(self._store.over):
            with self._lock:
                live = self._open.pop(class_id, None)
            if live is not None:
                await live.close()
            else:
                await saved(self._store.close, class_id)
        for class_id, live in list(self._open.items()):
            lesson = await run_in_threadpool(self._state.lessons.lesson, live.lesson.id)
            if lesson is None or lesson.put_away:
                await live.close()
                self._open.pop(class_id, None)

    def lines(self):
        """The lines of the teachers' pages."""
        return [line for live in list(self._open.values()) for line in list(live.teachers)]
