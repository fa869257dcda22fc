"""The first lesson: a board of its own that watches what is done and goes on when it is done."""

import orjson
from fastapi import APIRouter, Request
from fastapi.responses import RedirectResponse

from ...core.board import Board, Settings
from ...core.lesson.file import board_to_text
from ...core.lesson.first_steps import BOARD_TITLE, STEPS, TITLE, clear_side, now_at
from ..people.who import live_board, signed_in
from ..rendering import page
from .room import check_room

router = APIRouter()


@router.post("/first-lesson")
def begin(request: Request):
    """Make the lesson and open it."""
    teacher = signed_in(request)
    check_room(request, teacher.id)
    lesson = request.app.state.lessons.create(teacher.id, TITLE, [board_to_text(Board(Settings(title=BOARD_TITLE)))])
    return RedirectResponse(f"/lessons/{lesson.slug}?first=1", 303)


@router.get("/boards/{board_id}/first")
def step(request: Request, board_id: int):
    """What is to be done now."""
    live = live_board(request, board_id)
    rows = [row for row in request.app.state.lessons.edits(board_id) if row.number <= live.edits_done]
    edits = [orjson.loads(row.patch)["words"] for row in reversed(rows)]
    return page(request, "panels/first.html", number=now_at(live.board, edits), steps=STEPS, side=clear_side(live.board))
