"""One class that is open now: who is in it, what they are told, and what goes on in it."""

import asyncio
import json
import time
from collections import deque

from starlette.concurrency import run_in_threadpool

from ...core.classroom.codes import shown
from ..live.saving import saved
from .asked import Asked
from .pegs import Pegs
from .stage import Stage
from .wall import Wall

#: After a change of who is in and what they do, their teacher is told after so many seconds, once for several in a row.
_PAUSE = 0.2
#: So many answers of one person are taken in a minute.
_OFTEN = 60


class Person:
    """Somebody in a class.

    Attributes:
        lines: their lines that are open.
        board: the id of the board that they look at.
        help: whether they ask for help.
        apart: whether they carry on alone while the others follow.
        active: when they last did something, on the clock that does not leap.
        looked: how many teacher's pages look over their shoulder.
        word: the word for coming back, until it was told; it is kept nowhere else.
    """

    def __init__(self, row):
        self.id, self.name, self.holder = row.id, row.name, row.holder
        self.lines, self.board = set(), None
        self.help = self.apart = False
        self.active, self.looked, self.word = time.monotonic(), 0, ""
        self._answered = deque(maxlen=_OFTEN)

    def may_answer(self):
        """Whether they have not answered very often in the last minute. Counts one more."""
        now = time.monotonic()
        often = len(self._answered) == _OFTEN and now - self._answered[0] < 60
        if not often:
            self._answered.append(now)
        return not often

    def tell(self, message):
        """Send a message to every page that they have open."""
        for line in self.lines:
            line.send(message)


class LiveClass:
    """A class in memory. What has to outlast a restart is in the store.

    Attributes:
        people: who is in it, by their numbers.
        teachers: the lines of the teacher's pages.
        lifted: which covers were lifted for all: pairs of a board and a step.
    """

    def __init__(self, state, row, lesson, members, questions):
        self.state, self.store = state, state.classes
        self.id, self.code, self.lesson, self.teacher = row.id, row.code, lesson, lesson.teacher_id
        self.door, self.ends_at = row.door, row.ends_at
        self.people = {one.id: Person(one) for one in members}
        self.teachers = set()
        self.lifted = {(board, id) for board, id in json.loads(row.lifted)}
        self.is_closed = False
        self._telling = None
        self.stage, self.wall, self.pegs, self.asked = Stage(self), Wall(self), Pegs(self), Asked(self, questions)

    # Telling -------------------------------------------------------------------------------------------------------

    def tell_teachers(self, message):
        """Send a message to every page of the teacher's."""
        for line in self.teachers:
            line.send(message)

    def tell_people(self, message):
        """Send a message to everybody who is in."""
        for person in self.people.values():
            person.tell(message)

    def told(self):
        """Who is in and what they do, for the teacher."""
        now = time.monotonic()
        return {
            "t": "people", "door": self.door, "code": shown(self.code), "slowed": self.wall.slowed,
            "here": sum(bool(person.lines) for person in self.people.values()),
            "people": [
                {
                    "who": person.id, "name": person.name, "here": bool(person.lines), "help": person.help, "board": person.board,
                    "idle": round(now - self._active(person)), "apart": person.apart,
                }
                for person in self.people.values()
            ],
        }  # fmt: skip

    def _active(self, person):
        live = self.copy_if_open(person)
        return max([person.active, *(line.heard for line in live.connections)] if live is not None else [person.active])

    def changed(self):
        """Something of who is in is otherwise: the teacher is told in a moment."""
        if self._telling is None or self._telling.done():
            self._telling = asyncio.get_running_loop().create_task(self._tell_soon())

    async def _tell_soon(self):
        await asyncio.sleep(_PAUSE)
        self.tell_teachers(self.told())

    # People --------------------------------------------------------------------------------------------------------

    def add(self, row, word=""):
        """Somebody has come in, or back; ``word`` is what they are still to be told."""
        person = self.people.setdefault(row.id, Person(row))
        person.word = word or person.word
        self.changed()

    async def remove(self, who):
        """Send somebody out, at once."""
        person = self.people.pop(who, None)
        if person is not None:
            await self._shut_out(person, {"t": "out", "words": "Your teacher has taken you out of the class."})
            self.state.live.forget_holder(person.holder)
            self.asked.forget(who)
        await saved(self.store.remove, self.id, who)
        self.changed()

    async def rename(self, who, name):
        """Give somebody another name. Raises ``store.classes.Taken``."""
        if (person := self.people.get(who)) is None:
            return
        await saved(self.store.rename, self.id, who, name)
        person.name = name
        person.tell({"t": "you", "name": name})
        self.changed()

    async def moved_on(self, person):
        """Somebody has come back with another device: the lines of the one before end."""
        await self._shut_out(person, {"t": "out", "words": "You have come back on another device, so this one is out of the class."})

    async def done(self, person):
        """Somebody is done: they are still on the list, and may come back."""
        person.help = False
        await self._shut_out(person, {"t": "out", "words": "You are out of the class."})
        self.changed()

    async def _shut_out(self, person, message):
        person.tell(message)
        for line in list(person.lines):
            line.close()
        person.lines.clear()
        self.stage.gone(person)
        for live in self.state.live.of_holder(person.holder):
            await asyncio.sleep(0)
            live.let_go()

    async def set_door(self, door):
        """Open or shut the door."""
        await saved(self.store.set_door, self.id, door)
        self.door = door
        self.changed()

    async def close(self):
        """The class is over: everybody is told, and their names go."""
        self.is_closed = True
        for part in (self.stage, self.wall, self.pegs):
            part.stop()
        self.tell_teachers({"t": "over"})
        for person in list(self.people.values()):
            await self._shut_out(person, {"t": "out", "words": "The class is over."})
            self.state.live.forget_holder(person.holder)
        await saved(self.store.close, self.id)
        for line in list(self.teachers):
            line.close()

    # Boards --------------------------------------------------------------------------------------------------------

    def copy_if_open(self, person):
        """Somebody's live board if it is open now, or None."""
        return self.state.live.open_one((person.board, person.holder)) if person.board is not None else None

    async def copy_of(self, person, board_id):
        """Somebody's live board."""
        live = await run_in_threadpool(self.state.live.get_copy, board_id, person.holder)
        live.lifted_for_all = self.lifted_on(board_id)
        return live

    def lifted_on(self, board_id):
        """The ids of the things of a board whose covers were lifted for all."""
        return frozenset(id for board, id in self.lifted if board == board_id)

    async def uncover(self, board_id, ids):
        """Lift covers for everyone."""
        self.lifted |= {(board_id, id) for id in ids}
        await saved(self.store.keep_lifted, self.id, self.lifted)
        lifted = self.lifted_on(board_id)
        for person in self.people.values():
            live = self.state.live.open_one((board_id, person.holder))
            if live is not None:
                live.lifted_for_all = lifted
                live.tell({"t": "lifted", "ids": sorted(lifted)})
