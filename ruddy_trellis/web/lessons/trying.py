"""A board as a student has it, for the teacher who tries it: nothing that is done there is kept."""

from fastapi import APIRouter, HTTPException, Request, WebSocket
from starlette.concurrency import run_in_threadpool

from ...core.catalogue import CATALOGUE
from ...core.hand import StudentHand
from ...core.lesson.student_copy import student_copy
from ..live.lines import carry
from ..live.practice_board import PracticeBoard
from ..people.who import live_board, own_board, own_lesson, visitor
from ..photographs import photograph_answer
from ..security import same_origin
from .pages import board_titles
from .students import copy_page, recipes_of_kit

router = APIRouter()


@router.get("/lessons/{slug}/as-student")
def trial_page(request: Request, slug: str, board: int | None = None):
    """A board of a lesson as a student of it has it, whether or not it is shared."""
    lesson = own_lesson(request, slug)
    titles = board_titles(request.app.state.lessons.boards(lesson.id))
    board_id = titles[0][0] if board is None else board
    if board_id not in dict(titles):
        raise HTTPException(404)
    return copy_page(
        request, lesson, live_board(request, board_id), titles, "trial", f"/lessons/{slug}/as-student", f"/boards/{board_id}/trial/live"
    )


@router.get("/boards/{board_id}/trial/photographs/{mark}")
def trial_photograph(request: Request, board_id: int, mark: str):
    """The picture under a board that is tried."""
    return photograph_answer(request, live_board(request, board_id).lesson_id, mark)


@router.websocket("/boards/{board_id}/trial/live")
async def trial_line(socket: WebSocket, board_id: int):
    """The line to a copy of a teacher's own board, which is gone when it is left."""
    source = await run_in_threadpool(own_board, socket, board_id) if same_origin(socket.headers) else None
    live, teacher = None, visitor(socket)
    if source is not None:
        live = PracticeBoard(await run_in_threadpool(student_copy, source.board.copy()), socket.app.state.lessons, source)
        CATALOGUE.use_own(recipes_of_kit(socket, teacher.id, source.board.settings))
    asked = next(iter(socket.scope["subprotocols"]), None)
    await carry(socket, live, StudentHand, teacher.angle_words if teacher else 0, asked)
