"""Files of other kinds that come in: onto a board, where what they would make is shown first, or as a lesson of their own."""

from fastapi import APIRouter, Request, UploadFile
from fastapi.concurrency import run_in_threadpool

from ...core.lesson.file import board_to_text
from ...core.refusal import Refusal
from ...incoming.photograph import arrived_photograph
from ...incoming.reading import kind_of
from ...incoming.trying import tried
from ..people.who import live_board, signed_in
from ..photographs import photograph_answer
from ..rendering import content_of
from ..worker import WORKER, while_asked
from .room import check_room

router = APIRouter()
_TITLE = 80


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
        mark, written, tall = await while_asked(request, WORKER.do(arrived_photograph, content))
        if not await run_in_threadpool(request.app.state.lessons.photographs.keep, live.lesson_id, {mark: written}):
            raise Refusal("There are very many pictures in this lesson already. Put the next one into another lesson.")
        return {"kind": kind, "mark": mark, "tall": tall}
    text, unread, steps, drawn = await while_asked(request, WORKER.do(tried, board_to_text(live.board), kind, content))
    return {"kind": kind, "text": text, "unread": unread, "steps": steps, "picture": drawn}


@router.get("/boards/{board_id}/photographs/{mark}")
def photograph(request: Request, board_id: int, mark: str):
    """A picture under a board of one's own."""
    return photograph_answer(request, live_board(request, board_id).lesson_id, mark)
