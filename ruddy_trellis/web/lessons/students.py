"""What students open: a shared lesson by its link, without an account; and the same in a frame of another page."""

import re
import secrets
from html import escape

from fastapi import APIRouter, HTTPException, Request, WebSocket
from fastapi.responses import FileResponse, JSONResponse
from starlette.concurrency import run_in_threadpool

from ...core.catalogue import CATALOGUE
from ...core.hand import StudentHand
from ...core.kits import kit_of
from ...store.secret import hashed
from ..bundling import STATIC
from ..live.lines import carry
from ..near import near_for
from ..people.who import is_theirs
from ..photographs import photograph_answer
from ..rendering import drawing_look, page, picture_of
from ..security import same_origin
from ..shelf import kit_shelf
from .pages import board_titles

router = APIRouter()
_COPY = "copy."
_TOKEN = re.compile(r"[\w-]{20,60}")
#: Width and height of a frame, where a page asks for no other.
_FRAME = (800, 520)


def link_of(request, lesson, way="open"):
    """The address at which others open a lesson."""
    return str(request.base_url).rstrip("/") + f"/{way}/{lesson.share_key}"


def shared_lesson(connection, share_key):
    """The lesson of a link. Raises 404 where there is none, or it is private."""
    lesson = connection.app.state.lessons.find_shared(share_key)
    if lesson is None:
        raise HTTPException(404)
    return lesson


def _board_of(connection, lesson, board_id):
    """The live board of the teacher, one of a shared lesson's. Raises 404 where it is none of them."""
    if not connection.app.state.lessons.has_board(lesson.id, board_id):
        raise HTTPException(404)
    return connection.app.state.live.get(board_id)


@router.get("/open/keeper.js")
def keeper(request: Request):
    """What keeps the pages that are shared by link in a browser: its place says which."""
    return FileResponse(STATIC / "scripts/keeping/keeper.js", media_type="text/javascript", headers={"cache-control": "no-cache"})


@router.get("/open/{share_key}")
def student_page(request: Request, share_key: str, board: int | None = None):
    """A board of a shared lesson, for a student."""
    return _student_page(request, share_key, board, "open")


@router.get("/embed/{share_key}")
def embed_page(request: Request, share_key: str, board: int | None = None):
    """The same in a frame of another page: the only pages that may be framed."""
    return _student_page(request, share_key, board, "embed")


def _student_page(request, share_key, board_id, way):
    lesson = shared_lesson(request, share_key)
    titles = board_titles(request.app.state.lessons.boards(lesson.id))
    live = _board_of(request, lesson, titles[0][0] if board_id is None else board_id)
    return copy_page(request, lesson, live, titles, way, f"/{way}/{share_key}", f"/open/{share_key}/{live.id}/live")


def copy_page(request, lesson, live, titles, way, address, line, by=None, room=None, person=None):
    """The page on which a student has a copy of a board.

    Args:
        live: the teacher's live board.
        titles: pairs of the id and the title of each board of the lesson.
        way: "open", "embed", "class", or "trial" for a teacher who tries it.
        address: of the page, to which the number of another board is added.
        line: the address of the line to the copy.
        by: what stands beside the title; where left out, whose lesson it is.
        room, person: the class, and who of it looks at the page.
    """
    teacher = request.app.state.teachers.get(lesson.teacher_id)
    CATALOGUE.use_own(recipes_of_kit(request, lesson.teacher_id, live.board.settings))
    kit, challenge = kit_of(live.board.settings), live.challenge
    return page(
        request, "student.html", lesson=lesson, live=live, board=live.board, titles=titles, way=way,
        by=by or (f"by {teacher.name}" if teacher else ""),
        look=drawing_look(), fresh=secrets.token_urlsafe(24), link=link_of(request, lesson) if room is None else "", kit=kit,
        address=address, room=room, person=person,
        back=address.removesuffix("/as-student"),
        challenge=challenge if kit.builds else None,
        shelf=kit_shelf(kit), student=True, days=request.app.state.lessons.hand_ins.days,
        line=line, own=is_theirs(request, lesson.teacher_id),
        near=near_for(request, teacher),
    )  # fmt: skip


def recipes_of_kit(connection, teacher_id, settings):
    """Those of a teacher's recipes that are in a kit, by their keys: whoever builds with it knows them, and no others."""
    own = connection.app.state.recipe_shelves.of(teacher_id)
    return {key: own[key] for key in settings.kit_tools if key in own}


@router.get("/open/{share_key}/{board_id}/picture.svg")
def shared_picture(request: Request, share_key: str, board_id: int):
    """A small picture of a board of a shared lesson."""
    return picture_of(_board_of(request, shared_lesson(request, share_key), board_id).board)


@router.get("/open/{share_key}/{board_id}/photographs/{mark}")
def shared_photograph(request: Request, share_key: str, board_id: int, mark: str):
    """A picture under a board of a shared lesson."""
    return photograph_answer(request, _board_of(request, shared_lesson(request, share_key), board_id).lesson_id, mark)


@router.websocket("/open/{share_key}/{board_id}/live")
async def student_line(socket: WebSocket, share_key: str, board_id: int):
    """The line of a student's browser to their own copy. The secret that the browser keeps for it comes as the name of a
    subprotocol: an address would stand in logs."""
    asked = next((name for name in socket.scope["subprotocols"] if name.startswith(_COPY)), "")
    live, words, own = await run_in_threadpool(_copy, socket, share_key, board_id, asked.removeprefix(_COPY))
    CATALOGUE.use_own(own)
    await carry(socket, live if same_origin(socket.headers) else None, StudentHand, words, asked)


def _copy(socket, share_key, board_id, token):
    """The student's copy, or None; what pairs of angles are called in that lesson; the recipes of its kit."""
    try:
        lesson = shared_lesson(socket, share_key)
        source = _board_of(socket, lesson, board_id)
    except HTTPException:
        return None, 0, {}
    teacher = socket.app.state.teachers.get(lesson.teacher_id)
    copy = socket.app.state.live.get_copy(board_id, hashed(token)) if _TOKEN.fullmatch(token) else None
    return copy, teacher.angle_words if teacher else 0, recipes_of_kit(socket, lesson.teacher_id, source.board.settings)


# Frames in other pages --------------------------------------------------------------------------------------


def embed_code(request, lesson, size=None):
    """The code for a frame: as wide as its place and in proportion, or of a given width and height."""
    width, height = size or ("100%", _FRAME[1])
    # Pages that allow no styles in their code fall back on the width and height.
    style = "" if size else f' style="height:auto;aspect-ratio:{_FRAME[0]}/{_FRAME[1]};border:0"'
    address = escape(link_of(request, lesson, "embed"), quote=True)
    return (
        f'<iframe src="{address}" title="{escape(lesson.title, quote=True)}" width="{width}" height="{height}"{style} '
        f'loading="lazy" allow="fullscreen"></iframe>'
    )


@router.get("/oembed")
def oembed(request: Request, url: str, maxwidth: int = 800, maxheight: int = 10_000, format: str = "json"):
    """What a page needs to know to show a shared lesson in a frame, by the oEmbed standard (oembed.com, version 1.0)."""
    if format != "json":
        return JSONResponse({"error": "Only JSON is given."}, 501)
    found = re.fullmatch(r"https?://([^/]+)/(?:open|embed)/([\w-]{1,40})/?(\?[^#]*)?(#.*)?", url)
    if found is None or found[1] != request.url.netloc:
        raise HTTPException(404)
    lesson = shared_lesson(request, found[2])
    wide, high = _FRAME
    width = max(1, min(maxwidth, 1200, maxheight * wide // high))
    height = round(width * high / wide)
    teacher = request.app.state.teachers.get(lesson.teacher_id)
    return {
        "version": "1.0",
        "type": "rich",
        "title": lesson.title,
        "author_name": teacher.name if teacher else "",
        "provider_name": "Ruddy Trellis",
        "provider_url": str(request.base_url),
        "width": width,
        "height": height,
        "html": embed_code(request, lesson, (width, height)),
        "cache_age": 300,
    }
