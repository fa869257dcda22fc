"""Files of other kinds that come in: onto a board, where what they would make is shown first, or as a lesson of their own."""

from fastapi import APIRouter, Request, UploadFile
from fastapi.concurrency import run_in_threadpool

from ...core.board import Board, Settings
from ...core.display import Extent, display
from ...core.edits.models import Paste
from ...core.edits.pasting import pasted
from ...core.lesson.file import board_from_store, board_to_text
from ...core.refusal import Refusal
from ...drawings.boards import centimetres, whole
from ...drawings.exporting import written
from ...drawings.wanted import Wanted
from ...incoming.photograph import arrived_photograph
from ...incoming.reading import kind_of, working_of
from ..people.who import live_board, signed_in
from ..photographs import photograph_answer
from ..rendering import content_of
from ..worker import WORKER
from .room import check_room

router = APIRouter()
_TITLE = 80


def tried(document: str, kind: str, content: bytes) -> tuple[str, str, int, str]:
    """What a file would make of a board: for another process.

    Args:
        document: the text that is kept of the board.
        kind: "points", "svg", "dxf" or "working".

    Returns:
        The working that it becomes, what could not be read, in words, how many steps that are, and a picture of the board with it.

    Raises:
        Refusal: where it cannot be read, or does not go on this board.
    """
    board = board_from_store(document)
    left, low, right, high = board.settings.view
    middle = (left + right) / 2, (low + high) / 2
    text, unread = working_of(kind, content, set(board.names.values()), 1 / centimetres(board.settings), middle)
    patch = pasted(board, Paste(kind="paste", text=text))
    before = len(board)
    patch.apply(board)
    drawn = written("svg", board, Wanted(part="all", outlines=True)).decode()
    return text, unread, len(board) - before, drawn


def arrived_drawing(kind: str, content: bytes, title: str) -> str:
    """A board that is made of what is in a file: the text that is kept of it. Raises Refusal."""
    board = Board(Settings(title=title))
    text, _ = working_of(kind, content, (), 1 / centimetres(board.settings), (0.0, 0.0))
    pasted(board, Paste(kind="paste", text=text)).apply(board)
    if seen := whole(display(board, Extent(*board.settings.view))):
        board.settings = board.settings.with_(view=(seen.left, seen.low, seen.right, seen.high))
    return board_to_text(board)


def title_of(file: UploadFile) -> str:
    """What a lesson is called that is made of a file: as the file."""
    name = (file.filename or "").replace("\\", "/").rpartition("/")[2].rpartition(".")[0]
    return " ".join(name.replace("_", " ").replace("-", " ").split())[:_TITLE] or "New lesson"


@router.post("/boards/{board_id}/in")
async def bring_in(request: Request, board_id: int, file: UploadFile):
    """What a file would make of a board, to be looked at before it is put on it."""
    live = await run_in_threadpool(live_board, request, board_id)
    content = await content_of(file)
    kind = kind_of(file.filename or "", content)
    if kind == "lesson":
        return {"kind": kind}
    if kind == "picture":
        await run_in_threadpool(check_room, request, signed_in(request).id)
        mark, written, tall = await WORKER.do(arrived_photograph, content)
        if not await run_in_threadpool(request.app.state.lessons.photographs.keep, live.lesson_id, {mark: written}):
            raise Refusal("There are very many pictures in this lesson already. Put the next one into another lesson.")
        return {"kind": kind, "mark": mark, "tall": tall}
    text, unread, steps, drawn = await WORKER.do(tried, board_to_text(live.board), kind, content)
    return {"kind": kind, "text": text, "unread": unread, "steps": steps, "picture": drawn}


@router.get("/boards/{board_id}/photographs/{mark}")
def photograph(request: Request, board_id: int, mark: str):
    """A picture under a board of one's own."""
    return photograph_answer(request, live_board(request, board_id).lesson_id, mark)
