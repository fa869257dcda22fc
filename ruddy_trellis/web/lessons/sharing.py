"""Sharing a lesson: who may open it, the link and its picture, the frame for other pages; and the gallery."""

import io
from typing import Annotated, Literal

import segno
from fastapi import APIRouter, Form, HTTPException, Request
from fastapi.responses import RedirectResponse, Response

from ...core.kits import KITS
from ...core.lesson.student_copy import left_to_students
from ..people.who import own_board, own_lesson, signed_in
from ..rendering import page
from ..shelf import shelf
from .pages import PageNumber, copied_lesson, page_of
from .students import embed_code, link_of, shared_lesson

router = APIRouter()


@router.get("/gallery")
def gallery(request: Request, find: str = "", page_number: PageNumber = 1):
    """The lessons that teachers have listed for all, found by words of their title or their teacher's name."""
    lessons, pages = page_of(lambda **part: request.app.state.lessons.gallery(find, **part), page_number)
    return page(request, "gallery.html", lessons=lessons, pages=pages, find=find)


@router.get("/lessons/{slug}/share")
def share_panel(request: Request, slug: str, board: int | None = None):
    """What there is to say about sharing a lesson, and what students may move on one of its boards."""
    return _panel(request, own_lesson(request, slug), board)


def _panel(request, lesson, board_id):
    live = own_board(request, board_id) if board_id is not None else None
    pegs = left_to_students(live.board) if live is not None and live.lesson_id == lesson.id else []
    return page(
        request, "panels/share.html", lesson=lesson, link=link_of(request, lesson), code=embed_code(request, lesson), pegs=pegs,
        board=live.board if live else None, board_id=board_id, kits=KITS.values(), shelf=shelf(),
    )  # fmt: skip


@router.post("/lessons/{slug}/share")
def share(
    request: Request,
    slug: str,
    shared: Annotated[Literal["private", "link", "gallery"], Form()],
    board: Annotated[int | None, Form()] = None,
):
    """Say who may open a lesson. Who has it open and may no longer is let go."""
    before = own_lesson(request, slug)
    lesson = request.app.state.lessons.share(slug, shared)
    if shared == "private" and before.shared != "private":
        request.app.state.live.close_copies(lesson.id)
    return _panel(request, lesson, board)


@router.post("/lessons/{slug}/share/new-link")
def new_link(request: Request, slug: str, board: Annotated[int | None, Form()] = None):
    """Give a lesson a new link: the old one stops working, and so do frames with it."""
    lesson = request.app.state.lessons.share(slug, own_lesson(request, slug).shared, new_key=True)
    request.app.state.live.close_copies(lesson.id)
    return _panel(request, lesson, board)


@router.get("/lessons/{slug}/link.svg")
def link_picture(request: Request, slug: str):
    """The link as a QR code, for tablets to read off the wall."""
    lesson = own_lesson(request, slug)
    if lesson.shared == "private":
        raise HTTPException(404)
    drawn = io.BytesIO()
    segno.make(link_of(request, lesson), error="m").save(drawn, kind="svg", scale=6, border=2, dark="#2B2A33", light="#FFFFFF")
    return Response(drawn.getvalue(), media_type="image/svg+xml", headers={"cache-control": "no-store"})


@router.post("/open/{share_key}/copy")
def take_copy(request: Request, share_key: str):
    """A colleague's lesson becomes one of one's own, to change."""
    lesson = shared_lesson(request, share_key)
    copy = copied_lesson(request, lesson, signed_in(request).id)
    return RedirectResponse(f"/lessons/{copy.slug}", 303)
