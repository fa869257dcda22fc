"""What a class looks at together: the teacher's board, or one that is put up; and a teacher over somebody's shoulder."""

import asyncio
import logging
from typing import Any

from ...core.display import Extent, display
from ...core.lesson.student_copy import put_up_for_all
from ...core.refusal import Refusal
from ..live.apart import apart
from .picture import Onlooker, Picture

_LOG = logging.getLogger(__name__)
#: A board that is put up is drawn so often, seconds.
_EVERY = 0.25
#: To so many lines it is sent before it is looked what has come in meanwhile.
_SIDE_BY_SIDE = 4


class Stage:
    """What everybody looks at; nothing at first.

    Attributes:
        kind: "lead" for the teacher's board, "put_up" for somebody's, "" for nothing.
        everyone: whether the students see it, too.
    """

    def __init__(self, room):
        self._room = room
        self.kind, self.everyone = "", True
        self._outgoing = self._board = self._who = self._task = self._looker = self._dot = None
        self._picture: Any = None
        self._over = {}

    # Everybody -----------------------------------------------------------------------------------------------------

    def stand(self):
        """What somebody who has just come is told."""
        return [self._whole()] if self.kind and self.everyone else []

    def _whole(self, mine=False):
        return {**self._picture.whole(), "kind": self.kind, "board": self._board, "mine": mine, "dot": self._dot}

    def _tell(self, message, whole=False):
        """Tell everybody who looks. Of what is moved only the newest waits."""
        if message is None:
            return
        lines = [line for person in self._room.people.values() if self.everyone and not person.apart for line in person.lines]
        if self.kind == "put_up":
            lines += self._room.teachers
        if message["t"] == "moved":
            self._spread(lines, lambda line: line.send_items(message["items"]))
        elif whole:
            self._spread(lines, lambda line: line.send({**message, "mine": line.person is not None and line.person.id == self._who}))
        else:
            self._spread(lines, lambda line: line.send(message))

    def _spread(self, lines, send, start=0):
        """Send to some lines, then let the loop look what has come in, then to the next ones: nobody's own drag waits for all of them."""
        for line in lines[start : start + _SIDE_BY_SIDE]:
            send(line)
        if start + _SIDE_BY_SIDE < len(lines):
            asyncio.get_running_loop().call_soon(self._spread, lines, send, start + _SIDE_BY_SIDE)

    def stop(self):
        """Nothing is looked at together any more."""
        if self._outgoing is not None:
            self._outgoing.taps.discard(self._hear)
        if self._looker is not None:
            self._looker.leave()
        if self._task is not None:
            self._task.cancel()
        was, self.kind = self.kind, ""
        self._outgoing = self._looker = self._task = self._who = self._picture = self._dot = None
        if was:
            for person in self._room.people.values():
                person.apart = False
            self._room.tell_people({"t": "stage_over"})
            self._room.tell_teachers({"t": "stage_over"})
            self._room.changed()

    def apart(self, person, on):
        """Somebody carries on alone, or comes back to what is now."""
        person.apart = on and bool(self.kind)
        if not on and self.kind and self.everyone:
            person.tell(self._whole(person.id == self._who))
        self._room.changed()

    def gone(self, person):
        """Somebody is no longer in the class."""
        if self._who == person.id:
            self.stop()
        for line, over in list(self._over.items()):
            if over.person is person:
                self.look(line, None)

    # The teacher's board -------------------------------------------------------------------------------------------

    async def lead(self, line, board_id, on):
        """Everybody looks at the board that is open on a page of the teacher's. Raises Refusal where it is not open there."""
        if not on:
            return self.stop()
        live = self._room.state.live.open_one(board_id)
        mine = [one for one in live.connections if one.teacher == self._room.teacher] if live is not None else []
        if live is None or live.lesson_id != self._room.lesson.id or not mine:
            raise Refusal("The board is not open yet. Try again in a moment.")
        connection = max(mine, key=lambda one: one.heard)
        if self.kind == "put_up":
            self.stop()
        elif self._outgoing is not None:
            self._outgoing.taps.discard(self._hear)
        self.kind, self.everyone, self._board = "lead", True, board_id
        self._picture, self._outgoing = Picture(lambda: connection.hand.lifted), connection.outgoing
        await live.look()
        self._picture.take(connection.hand.as_seen(live.whole()))
        self._outgoing.taps.add(self._hear)
        self._tell(self._whole(), whole=True)
        line.send({"t": "leading", "board": board_id})
        self._room.tell_teachers({"t": "led", "board": board_id})
        return None

    def _hear(self, message):
        """What the leading page is told, is told to all who follow."""
        try:
            self._tell(self._picture.take(message))
        except Exception:
            _LOG.exception("What is followed could not be told")

    def leads(self, board_id):
        """Whether everybody looks at that board of the teacher's."""
        return self.kind == "lead" and self._board == board_id

    def seen(self, view, closed):
        """What is seen on the page that leads: the part of the plane, and what its reveals keep back."""
        if self.kind == "lead":
            self._picture.view, self._picture.closed = tuple(view), frozenset(closed)
            self._tell(self._picture.difference())

    def marks(self, items):
        """Everybody's pegs, as those see them who follow."""
        if self.kind == "lead":
            self._tell({"t": "marks", "items": items})

    # A board that is put up ----------------------------------------------------------------------------------------

    async def put_up(self, who, everyone):
        """Put somebody's board up, without its name: for everyone, or for the teacher's pages only; for nobody any more."""
        self.stop()
        person = self._room.people.get(who)
        if person is None or person.board is None:
            if who is not None:
                raise Refusal("Nobody of that number has a board open.")
            return
        live = await self._room.copy_of(person, person.board)
        self.kind, self.everyone, self._who, self._board = "put_up", everyone, who, person.board
        self._picture, self._due = Picture(), asyncio.Event()
        await self._draw(live)
        self._looker = Onlooker(live, lambda message: self._due.set())
        self._tell(self._whole(), whole=True)
        if everyone:
            person.tell({"t": "put_up", "on": True})
        self._task = asyncio.create_task(self._keep_up(live))

    async def _draw(self, live):
        board = live.board.copy()
        message = {"t": "board", "items": await apart(len(board), _for_all, board), "state": live.state()}
        return self._picture.take(message)

    async def _keep_up(self, live):
        while True:
            await self._due.wait()
            self._due.clear()
            if await self._draw(live) is None:
                return
            self._tell(self._whole(), whole=True)
            await asyncio.sleep(_EVERY)

    # Over somebody's shoulder --------------------------------------------------------------------------------------

    async def look_at(self, line, who):
        """A page of the teacher's looks over somebody's shoulder; they are told. Raises Refusal where there is nobody."""
        self.look(line, None)
        if who is None:
            return
        person = self._room.people.get(who)
        if person is None or person.board is None:
            raise Refusal("Nobody of that number has a board open.")
        live = await self._room.copy_of(person, person.board)
        self.look(line, person, live)

    def look(self, line, person, live=None):
        """The same, of a live board; None to look over nobody's any more."""
        if (before := self._over.pop(line, None)) is not None:
            before.leave()
        if person is not None:
            self._over[line] = Over(line, person, live)

    def follow(self, person):
        """Somebody has turned to another board: who looks over their shoulder turns with them."""
        return [line for line, over in self._over.items() if over.person is person]

    def dot(self, line, at):
        """Point: at what is looked at over a shoulder, or at the board that all follow."""
        if (over := self._over.get(line)) is not None:
            over.person.tell({"t": "dot", "at": at, "over": True})
        elif self.kind == "lead":
            self._dot = at
            self._tell({"t": "dot", "at": at})


class Over:
    """A page of the teacher's over somebody's shoulder."""

    def __init__(self, line, person, live):
        self._line, self.person, self._picture = line, person, Picture()
        self._hear(live.whole())
        self._looker = Onlooker(live, self._hear)
        person.looked += 1
        person.tell({"t": "looked", "on": True})

    def _hear(self, message):
        if (told := self._picture.take(message)) is not None:
            self._line.send({**told, "t": f"over_{told['t']}", "who": self.person.id})

    def leave(self):
        """Look no longer."""
        self._looker.leave()
        self.person.looked -= 1
        if not self.person.looked:
            self.person.tell({"t": "looked", "on": False})


def _for_all(board):
    """The display list of somebody's board as everybody may see it."""
    plain = put_up_for_all(board)
    return display(plain, Extent(*plain.settings.view))
