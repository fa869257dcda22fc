"""The lines of a class: of the teacher's pages, and of the students'."""

import logging
import time

from fastapi import APIRouter, WebSocket
from fastapi.responses import PlainTextResponse
from starlette.concurrency import run_in_threadpool

from ...core.classroom import messages
from ...core.refusal import Refusal
from ...store.database import NotKept
from ..live.lines import Places, converse
from ..live.outgoing import Outgoing
from ..people.who import session_of, visitor
from ..security import same_origin
from .membership import member_of, room_of_teacher

_LOG = logging.getLogger(__name__)
router = APIRouter()
_PLACES = Places()
_MOST_LINES = 6


class ClassLine:
    """A browser on the line of a class.

    Attributes:
        person: who it is of; None for the teacher's.
    """

    def __init__(self, room, socket, person=None):
        self.room, self.person = room, person
        self.session = session_of(socket)
        self.teacher = room.teacher if person is None else None
        self.outgoing = Outgoing(socket, lambda message: message)
        self.send, self.send_items, self.close, self.write = (
            self.outgoing.send, self.outgoing.send_items, self.outgoing.close, self.outgoing.write,
        )  # fmt: skip

    async def do(self, text):
        """Do what a message asks for. Raises Refusal."""
        raise NotImplementedError

    async def receive(self, text):
        """Answer one message. A refusal is told; it changes nothing."""
        try:
            await self.do(text)
        except Refusal as refusal:
            self.send(refusal.told())
        except NotKept as problem:
            _LOG.error("%s", problem.sentence)
            self.send(Refusal(problem.sentence).told())
        except Exception:
            _LOG.exception("A message of %d letters could not be answered on the line of a class", len(text))
            self.send(Refusal("That could not be done, and nothing was changed. The fault is on our side and has been noted.").told())


class TeacherLine(ClassLine):
    """A page of the teacher's: beside the board, the wall, the projector."""

    async def come(self):
        """Tell it how the class stands."""
        self.room.teachers.add(self)
        self.send(self.room.told())
        self.send(self.room.asked.for_teacher())
        if self.room.stage.kind == "put_up":
            self.send(self.room.stage.stand()[0])

    async def leave(self):
        """It has gone."""
        self.room.teachers.discard(self)
        self.room.wall.want(self, False)
        self.room.stage.look(self, None)
        if not self.room.teachers:
            self.room.pegs.stop()

    async def do(self, text):
        """Do what a message asks for. Raises Refusal."""
        room = self.room
        match messages.of_teacher(text):
            case messages.Here():
                self.send({"t": "here"})
            case messages.Wall(on=on, seen=seen):
                room.wall.want(self, on, seen)
            case messages.Look(who=who):
                await room.stage.look_at(self, who)
            case messages.Dot(at=at):
                room.stage.dot(self, at)
            case messages.PutUp(who=who, everyone=everyone):
                await room.stage.put_up(who, everyone)
            case messages.Lead(on=on, board=board):
                await room.stage.lead(self, board, on)
            case messages.Seen(view=view, closed=closed):
                room.stage.seen(view, closed)
            case messages.Pegs() as message:
                await room.pegs.collect(message)
            case messages.KeepPegs(keep=keep):
                room.pegs.keep(keep)
            case messages.LogAll(board=board):
                self.send({"t": "says", "kind": "done", "words": await room.pegs.log_all(board), "undo": False})
            case messages.Ask() as message:
                await room.asked.ask(message, await run_in_threadpool(_angle_words, room))
            case messages.Asked(do=do):
                await room.asked.do(do)
            case messages.Uncover(board=board, ids=ids):
                await room.uncover(board, ids)
            case messages.Helped(who=who):
                if (person := room.people.get(who)) is not None:
                    person.help = False
                    person.tell({"t": "helped"})
                    room.changed()


class StudentLine(ClassLine):
    """A page of somebody who is in."""

    async def come(self):
        """Tell it who it is of, and how the class stands."""
        person = self.person
        person.lines.add(self)
        person.active = time.monotonic()
        self.send({"t": "you", "name": person.name, "help": person.help, "looked": bool(person.looked), "apart": person.apart})
        for message in self.room.stage.stand():
            if not person.apart:
                self.send(message)
        await self.room.asked.tell(person)
        self.room.changed()

    async def leave(self):
        """It has gone."""
        self.person.lines.discard(self)
        self.room.changed()

    async def do(self, text):
        """Do what a message asks for. Raises Refusal."""
        room, person = self.room, self.person
        if person.id not in room.people:
            self.close()
            return
        person.active = time.monotonic()
        match messages.of_student(text):
            case messages.Here():
                self.send({"t": "here"})
            case messages.At(board=board):
                if not await run_in_threadpool(room.state.lessons.has_board, room.lesson.id, board):
                    raise Refusal("That board is not one of this lesson.")
                person.board = board
                for line in room.stage.follow(person):
                    await room.stage.look_at(line, person.id)
                room.changed()
            case messages.Help(on=on):
                person.help = on
                room.changed()
            case messages.Apart(on=on):
                room.stage.apart(person, on)
            case messages.Answer() as message:
                await room.asked.answer(person, message)


def _angle_words(room):
    teacher = room.state.teachers.get(room.teacher)
    return teacher.angle_words if teacher else 0


@router.websocket("/classes/{class_id}/line")
async def teacher_line(socket: WebSocket, class_id: int):
    """The line of a page of the teacher's."""
    room = await run_in_threadpool(room_of_teacher, socket, class_id) if same_origin(socket.headers) else None
    if room is None or visitor(socket) is None:
        return await _away(socket)
    return await _carry(socket, TeacherLine(room, socket))


@router.websocket("/class/{class_id}/line")
async def student_line(socket: WebSocket, class_id: int):
    """The line of a page of somebody who is in."""
    room, person = await run_in_threadpool(member_of, socket, class_id) if same_origin(socket.headers) else (None, None)
    if person is None:
        return await _away(socket)
    if len(person.lines) >= _MOST_LINES:
        next(iter(person.lines)).close()
    return await _carry(socket, StudentLine(room, socket, person))


async def _away(socket):
    await socket.send_denial_response(PlainTextResponse("Not found", 404))


async def _carry(socket, line):
    with _PLACES.one(socket) as found:
        if not found:
            return await socket.send_denial_response(PlainTextResponse("Too many pages are open.", 429))
        await socket.accept()
        await converse(socket, line, line.come)
    return None
