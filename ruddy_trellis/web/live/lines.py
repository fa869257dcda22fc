"""The WebSocket of a live board."""

import asyncio
import time
from collections import Counter, defaultdict

from fastapi import APIRouter, WebSocket, WebSocketDisconnect
from fastapi.responses import PlainTextResponse
from starlette.concurrency import run_in_threadpool

from ...core.hand import Hand
from ..people.who import own_board, session_of, visitor
from ..security import same_origin
from .connection import Connection

router = APIRouter()
_LEAVING = set()
#: How many lines are open from each address, and how many may be: a few classes behind one address; and in all.
_OPEN = Counter()
LINES_OF_ADDRESS, LINES = 300, 3_000
#: How many messages of one browser are answered in a second. A hand moves a pointer some 60 to 125 times a second.
MESSAGES_A_SECOND = 400
#: What takes longer than this to be answered is followed by a pause, seconds; and how long that is at most.
LONG, _LONGEST_PAUSE = 0.004, 0.1


#: How much of each second the messages of one teacher may take, on all of their lines together, where these are more than so many: who
#: drags on one board, or looks at it in a second window, waits for nothing but what ``LONG`` says.
SHARE, FEW = 0.3, 3


class Shares:
    """How long the messages of each teacher have taken in this second, on all lines, and on how many."""

    def __init__(self):
        self._began, self._took, self._lines = time.monotonic(), Counter(), defaultdict(set)

    def wait(self, who, line, took):
        """Count a message that took so long on one of a teacher's lines. Returns how long its sender waits, seconds."""
        now = time.monotonic()
        if now - self._began >= 1:
            self._began = now
            self._took.clear()
            self._lines.clear()
        self._took[who] += took
        self._lines[who].add(line)
        is_much = self._took[who] > SHARE and len(self._lines[who]) > FEW
        return max(0.0, self._began + 1 - now) if is_much else 0.0


_SHARES = Shares()


class Pace:
    """Lets a browser that floods its line wait, so that it takes nothing from those beside it.

    Args:
        who: the teacher whose line it is; None for a student, who is counted alone.
    """

    def __init__(self, who=None):
        self._began, self._count = time.monotonic(), 0
        self._who = who

    async def keep(self, took):
        """Count a message, and let the others have their turn; wait where there were too many in this second.

        Args:
            took: how long it took to be answered, seconds. After a long one comes a pause as long.
        """
        self._count += 1
        if self._who is not None and (share := _SHARES.wait(self._who, id(self), took)):
            await asyncio.sleep(share)
        now = time.monotonic()
        if now - self._began < 1 and self._count < MESSAGES_A_SECOND:
            await asyncio.sleep(min(took, _LONGEST_PAUSE) if took > LONG else 0)
            return
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
    address = socket.client.host if socket.client else ""
    if _OPEN[address] >= LINES_OF_ADDRESS or _OPEN.total() >= LINES:
        await socket.send_denial_response(PlainTextResponse("Too many boards are open. Close some of them.", 429))
        return
    _OPEN[address] += 1
    try:
        await _carry(socket, live, kind, angle_words, protocol)
    finally:
        _OPEN[address] -= 1
        if not _OPEN[address]:
            del _OPEN[address]


async def _carry(socket, live, kind, angle_words, protocol):
    await socket.accept(protocol)
    connection = Connection(live, socket, kind)
    connection.hand.angle_words = angle_words
    if (teacher := visitor(socket)) is not None:
        connection.teacher, connection.session = teacher.id, session_of(socket)
    live.connections.add(connection)
    writer = asyncio.create_task(connection.write())
    writer.add_done_callback(lambda task: task.cancelled() or task.exception())
    try:
        await connection.welcome()
        pace = Pace(connection.teacher)
        while not writer.done():
            message = await socket.receive()
            if message["type"] == "websocket.disconnect":
                break
            began = time.monotonic()
            await connection.receive(message.get("text") or message.get("bytes") or b"")
            await pace.keep(time.monotonic() - began)
    except (WebSocketDisconnect, ConnectionError):
        pass  # the browser has gone
    finally:
        writer.cancel()
        # In a task of its own: what is held must be kept even when this one is being cancelled.
        leaving = asyncio.create_task(connection.leave())
        _LEAVING.add(leaving)
        leaving.add_done_callback(_LEAVING.discard)
