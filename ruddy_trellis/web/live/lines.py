"""The WebSocket of a live board."""

import asyncio
import time

from fastapi import APIRouter, WebSocket, WebSocketDisconnect
from fastapi.responses import PlainTextResponse
from starlette.concurrency import run_in_threadpool

from ...core.hand import Hand
from ..people.who import own_board
from ..security import same_origin
from .connection import Connection

router = APIRouter()
_LEAVING = set()
#: How many messages of one browser are answered in a second. A hand moves a pointer some 60 to 125 times a second.
MESSAGES_A_SECOND = 400


class Pace:
    """Lets a browser that floods its line wait, so that it takes nothing from those beside it."""

    def __init__(self):
        self._began, self._count = time.monotonic(), 0

    async def keep(self):
        """Count a message, and wait where there were too many in this second."""
        self._count += 1
        now = time.monotonic()
        if now - self._began < 1 and self._count < MESSAGES_A_SECOND:
            return
        await asyncio.sleep(max(0, self._began + 1 - now))
        self._began, self._count = time.monotonic(), 0


@router.websocket("/boards/{board_id}/live")
async def live_board(socket: WebSocket, board_id: int):
    """Carry drags and edits from one browser, and changes to it, until either goes."""
    live = await run_in_threadpool(own_board, socket, board_id)
    await carry(socket, live if same_origin(socket.headers) else None, Hand)


async def carry(socket, live, kind):
    """Carry the messages of one browser at a live board; with None for the board, send the browser away.

    Args:
        kind: the hand that answers them.
    """
    if live is None:
        await socket.send_denial_response(PlainTextResponse("Not found", 404))
        return
    await socket.accept()
    connection = Connection(live, socket, kind)
    live.connections.add(connection)
    writer = asyncio.create_task(connection.write())
    writer.add_done_callback(lambda task: task.cancelled() or task.exception())
    try:
        connection.welcome()
        pace = Pace()
        while not writer.done():
            message = await socket.receive()
            if message["type"] == "websocket.disconnect":
                break
            await connection.receive(message.get("text") or message.get("bytes") or b"")
            await pace.keep()
    except (WebSocketDisconnect, ConnectionError):
        pass  # the browser has gone
    finally:
        writer.cancel()
        # In a task of its own: what is held must be kept even when this one is being cancelled.
        leaving = asyncio.create_task(connection.leave())
        _LEAVING.add(leaving)
        leaving.add_done_callback(_LEAVING.discard)
