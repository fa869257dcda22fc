"""The WebSocket of a live board."""

import asyncio
import time
from collections import Counter
from contextlib import asynccontextmanager, contextmanager, nullcontext

from fastapi import APIRouter, WebSocket, WebSocketDisconnect
from fastapi.responses import PlainTextResponse
from starlette.concurrency import run_in_threadpool

from ...core.hand import Hand
from ..people.who import own_board, session_of, visitor
from ..security import same_origin
from .connection import Connection

router = APIRouter()
_LEAVING = set()
#: How many lines may be open from one address: a few classes behind it; and in all.
LINES_OF_ADDRESS, LINES = 300, 3_000
#: How many messages of one browser are answered in a second. A hand moves a pointer some 60 to 125 times a second.
MESSAGES_A_SECOND = 400
#: What takes longer than this to be answered is followed by a pause, seconds; and how long that is at most.
LONG, _LONGEST_PAUSE = 0.004, 0.1

#: How many lines of one teacher are answered side by side. Where more are open their messages take turns: who drags on one board, or
#: looks at it in a second window, waits for nothing but what ``LONG`` says.
FEW = 3


class Places:
    """How many lines of a kind are open from each address."""

    def __init__(self):
        self._open = Counter()

    @contextmanager
    def one(self, socket):
        """A place for a line for as long as it is open. Gives whether there is one."""
        address = socket.client.host if socket.client else ""
        if self._open[address] >= LINES_OF_ADDRESS or self._open.total() >= LINES:
            yield False
            return
        self._open[address] += 1
        try:
            yield True
        finally:
            self._open[address] -= 1
            if not self._open[address]:
                del self._open[address]


PLACES = Places()


class Turns:
    """The turns of a teacher whose lines are many: one message at a time is answered, and the pause after it is all of theirs."""

    def __init__(self):
        self._lines, self._turn = Counter(), {}

    @asynccontextmanager
    async def line(self, who):
        """While a line of a teacher is open. Gives a function that gives the turn in which a message is answered."""
        self._lines[who] += 1
        turn = self._turn.setdefault(who, asyncio.Lock())
        try:
            yield lambda: turn if who is not None and self._lines[who] > FEW else nullcontext()
        finally:
            self._lines[who] -= 1
            if not self._lines[who]:
                del self._lines[who], self._turn[who]


_TURNS = Turns()


class Pace:
    """Lets a browser that floods its line wait, so that it takes nothing from those beside it."""

    def __init__(self):
        self._began, self._count = time.monotonic(), 0

    async def rest(self, took):
        """Let the others have their turn after a message.

        Args:
            took: how long it took to be answered, seconds. After a long one comes a pause as long.
        """
        await asyncio.sleep(min(took, _LONGEST_PAUSE) if took > LONG else 0)

    async def keep(self):
        """Count a message, and wait where there were too many in this second."""
        self._count += 1
        now = time.monotonic()
        if now - self._began >= 1 or self._count >= MESSAGES_A_SECOND:
            await asyncio.sleep(max(0, self._began + 1 - now))
            self._began, self._count = time.monotonic(), 0


@router.websocket("/boards/{board_id}/live")
async def live_board(socket: WebSocket, board_id: int):
    """Carry drags and edits from one browser, and changes to it, until either goes."""
    live = await run_in_threadpool(own_board, socket, board_id)
    teacher = visitor(socket)
    await carry(socket, live if same_origin(socket.headers) else None, Hand, teacher.angle_words if teacher else 0)


async def carry(socket, live, kind, angle_words=0, protocol=None):
    """Carry the messages of one browser at a live board; with None for the board, send the browser away.

    Args:
        kind: the hand that answers them.
        angle_words: what pairs of angles are called in that lesson.
        protocol: what the browser asked the line to be called.
    """
    if live is None:
        await socket.send_denial_response(PlainTextResponse("Not found", 404))
        return
    with PLACES.one(socket) as found:
        if found:
            await _carry(socket, live, kind, angle_words, protocol)
        else:
            await socket.send_denial_response(PlainTextResponse("Too many boards are open. Close some of them.", 429))


async def _carry(socket, live, kind, angle_words, protocol):
    await socket.accept(protocol)
    connection = Connection(live, socket, kind)
    connection.hand.angle_words = angle_words
    if (teacher := visitor(socket)) is not None:
        connection.teacher, connection.session = teacher.id, session_of(socket)
    live.connections.add(connection)
    async with _TURNS.line(connection.teacher) as turn:
        await converse(socket, connection, connection.welcome, turn)


async def converse(socket, line, begin, turn=nullcontext):
    """Take what a browser says and send what it is told, until either goes.

    Args:
        line: has ``write``, which sends what waits, ``receive`` for a message, and ``leave``.
        begin: sends what is told first.
        turn: gives the turn in which a message is answered.
    """
    writer = asyncio.create_task(line.write())
    writer.add_done_callback(lambda task: task.cancelled() or task.exception())
    try:
        await begin()
        pace = Pace()
        while not writer.done():
            message = await socket.receive()
            if message["type"] == "websocket.disconnect":
                break
            async with turn():
                began = time.monotonic()
                await line.receive(message.get("text") or message.get("bytes") or b"")
                await pace.rest(time.monotonic() - began)
            await pace.keep()
    except (WebSocketDisconnect, ConnectionError):
        pass  # the browser has gone
    finally:
        writer.cancel()
        # In a task of its own: what is held must be kept even when this one is being cancelled.
        leaving = asyncio.create_task(line.leave())
        _LEAVING.add(leaving)
        leaving.add_done_callback(_LEAVING.discard)
