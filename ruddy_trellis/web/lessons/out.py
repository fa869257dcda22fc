"""What goes out of a lesson: pictures, pages, drawings, films, tables."""

from collections.abc import AsyncIterator

import orjson
from fastapi import APIRouter, HTTPException, Request
from fastapi.concurrency import run_in_threadpool
from fastapi.responses import Response, StreamingResponse
from pydantic import BaseModel, ConfigDict, ValidationError

from ...core.kinds import MOTION
from ...core.lesson.file import board_to_text, lesson_to_json
from ...core.refusal import Refusal
from ...drawings.boards import centimetres, under
from ...drawings.exporting import (
    ENDINGS,
    KINDS,
    board_files,
    exported,
    exported_lesson,
    film_count,
    film_part,
    zipped,
)
from ...drawings.film import film_file
from ...drawings.sheets import PAPERS
from ...drawings.wanted import Film, Wanted
from ..by_itself.page import Given, by_itself, weighs
from ..people.who import live_board, own_lesson, signed_in
from ..photographs import photograph_of, photographs_of
from ..rendering import file_name, page
from ..worker import WRITER, while_asked
from .recipes import recipe_documents

router = APIRouter()
#: As what a board can go out, in groups.
GROUPS = (
    ("On paper", (("pdf", "pages, in lines (PDF)"), ("print", "a handout to print…"))),
    (
        "As a picture",
        (
            ("png", "picture in dots (PNG)"),
            ("svg", "picture in lines (SVG)"),
            ("gif", "moving picture (GIF)"),
            ("apng", "moving picture, all colours (APNG)"),
        ),
    ),
    (
        "For other programs",
        (
            ("tex", "LaTeX (TikZ)"),
            ("dxf", "drawing for cutters (DXF)"),
            ("csv", "readings as a table (CSV)"),
            ("log", "the log as a table (CSV)"),
            ("txt", "the working as text"),
        ),
    ),
    ("For whoever has no line", (("page", "a page that works by itself (HTML)"),)),
    ("The lesson", (("json", "lesson file of this program"), ("zip", "everything, with a page about it (ZIP)"))),
)
#: What can be on it: the name of the choice, its words, and with which kinds there is one.
_DRAWN = "pdf png svg tex gif apng"
WITH = (
    ("grid", "grid", _DRAWN),
    ("names", "names", f"{_DRAWN} dxf"),
    ("readings", "readings", _DRAWN),
    ("chalk", "chalk", f"{_DRAWN} dxf"),
    ("photograph", "the picture under it", _DRAWN),
    ("trails", "trails", "pdf png svg tex"),
    ("outlines", "letters as outlines", "svg"),
)
#: How many dots a film is wide where nobody said.
_FILM_WIDTH = 640
#: So many pictures of a film are drawn at once.
_AT_ONCE = 10


#: What is said where a number is out of bounds: what goes, from where, to where.
_SAID = {
    "pixels": ("The width goes", "40", "8,000 dots"),
    "rate": ("A film has", "2", "30 pictures a second"),
    "speed": ("A film runs", "0.1", "10 times as fast"),
    "seconds": ("A film lasts", "0.2", "60 seconds"),
    "loops": ("A film is shown", "0 (for ever)", "100 times"),
}


class Asked(BaseModel):
    """What the browser asks for: what is wanted; of a film, which; of a page that works by itself, whether it tells what is
    right."""

    model_config = ConfigDict(extra="forbid")

    wanted: Wanted = Wanted()
    film: Film = Film()
    judges: bool = False


async def _asked(request: Request) -> Asked:
    """What is asked for. Raises Refusal where it is not to be understood."""
    try:
        return Asked.model_validate_json(await request.body() or b"{}")
    except ValidationError as error:
        first = error.errors()[0]
        field, bounds = str(first["loc"][-1]) if first["loc"] else "", first.get("ctx", {})
        if field in _SAID and ("le" in bounds or "ge" in bounds):
            least, most = _SAID[field][1:]
            raise Refusal(f"{_SAID[field][0]} from {least} to {most}.") from None
        where = ".".join(map(str, first["loc"])) or "all of it"
        raise Refusal(f"The settings for this file cannot be read ({where}: {first['msg'].lower()}). Choose them again.") from None


@router.get("/boards/{board_id}/panels/out")
def out_panel(request: Request, board_id: int):
    """What can go out, and how."""
    live = live_board(request, board_id)
    board, rows = live.board, request.app.state.lessons.boards(live.lesson_id)
    asks = any(request.app.state.live.get(row.id).challenge for row in rows)
    motions = [step for step in board.steps if step.makes == MOTION]
    scale = f"{1 / centimetres(board.settings):.6g} {board.settings.unit or 'units'} of the board"
    return page(
        request, "panels/out.html", board=board, motions=motions, papers=PAPERS, scale=scale, groups=GROUPS, choices=WITH,
        many=len(rows) > 1, asks=asks, weighs=weighs() / 1e6,
    )  # fmt: skip


@router.post("/boards/{board_id}/out/page")
async def out_page(request: Request, board_id: int):
    """A board as a page that works by itself."""
    asked = await _asked(request)
    live = await run_in_threadpool(live_board, request, board_id)
    lesson = await run_in_threadpool(request.app.state.lessons.lesson, live.lesson_id)
    return await run_in_threadpool(_page, request, lesson, [live], asked.judges)


@router.post("/lessons/{slug}/out/page")
async def out_lesson_page(request: Request, slug: str):
    """All boards of a lesson as one page that works by itself."""
    asked = await _asked(request)
    lesson = await run_in_threadpool(own_lesson, request, slug)
    rows = await run_in_threadpool(request.app.state.lessons.boards, lesson.id)
    lives = [await run_in_threadpool(request.app.state.live.get, row.id) for row in rows]
    return await run_in_threadpool(_page, request, lesson, lives, asked.judges)


def _page(request, lesson, lives, judges):
    boards = [live.board for live in lives]
    photographs = photographs_of(request, lesson.id, boards)
    wanted = {key for board in boards for key in board.settings.kit_tools}
    recipes = recipe_documents(request, signed_in(request).id, wanted)
    own = [{key: recipes[key] for key in board.settings.kit_tools if key in recipes} for board in boards]
    under = [photographs.get(board.settings.photograph.mark) if board.settings.photograph else None for board in boards]
    given = [
        Given(live.board, live.challenge, live.solution if judges and live.challenge else None, kit, photograph)
        for live, kit, photograph in zip(lives, own, under)
    ]
    text = by_itself(lesson.title, given, signed_in(request).angle_words)
    headers = {"content-disposition": f'attachment; filename="{file_name(lesson.title)}.html"'}
    return Response(text, media_type="text/html; charset=utf-8", headers=headers)


@router.post("/boards/{board_id}/out/{kind}")
async def out(request: Request, board_id: int, kind: str):
    """A board as a file: of the kinds of ``KINDS``; ``preview`` is a picture for the dialog."""
    asked = await _asked(request)
    live = await run_in_threadpool(live_board, request, board_id)
    document, title = board_to_text(live.board), live.board.settings.title
    photograph = await run_in_threadpool(photograph_of, request, live)
    if kind in ("gif", "apng"):
        if "pixels" not in asked.wanted.model_fields_set:
            asked.wanted = asked.wanted.model_copy(update={"pixels": _FILM_WIDTH})
        return _streamed(_filmed(kind, document, asked, photograph))
    if kind == "preview":
        wanted = asked.wanted.model_copy(update={"outlines": True})
        return Response(await while_asked(request, WRITER.do(exported, "svg", document, wanted, photograph)), media_type=KINDS["svg"])
    if kind not in KINDS:
        raise HTTPException(404)
    return _file(await while_asked(request, WRITER.do(exported, kind, document, asked.wanted, photograph)), title, kind)


def _file(content: bytes, title: str, kind: str) -> Response:
    headers = {"content-disposition": f'attachment; filename="{file_name(title)}.{ENDINGS.get(kind, kind)}"'}
    return Response(content, media_type=KINDS[kind], headers=headers)


def _boards(request: Request, slug: str):
    """A lesson, and its boards as they are now."""
    lesson = own_lesson(request, slug)
    return lesson, [request.app.state.live.get(row.id).board for row in request.app.state.lessons.boards(lesson.id)]


@router.post("/lessons/{slug}/out/pdf")
async def out_lesson(request: Request, slug: str):
    """All boards of a lesson as one document."""
    asked = await _asked(request)
    lesson, boards = await run_in_threadpool(_boards, request, slug)
    photographs = await run_in_threadpool(photographs_of, request, lesson.id, boards)
    work = WRITER.do(exported_lesson, [board_to_text(board) for board in boards], asked.wanted, lesson.title, photographs)
    content = await while_asked(request, work)
    return _file(content, lesson.title, "pdf")


@router.post("/lessons/{slug}/out/zip")
async def out_zip(request: Request, slug: str):
    """A lesson with everything, and a plain page about it."""
    lesson, boards = await run_in_threadpool(_boards, request, slug)
    photographs = await run_in_threadpool(photographs_of, request, lesson.id, boards)
    content = orjson.dumps(lesson_to_json(lesson.title, boards, photographs), option=orjson.OPT_INDENT_2)
    each = [(board.settings.title, board_to_text(board), under(board, photographs)) for board in boards]
    return _streamed(_zipped(lesson.title, content, each))


async def _zipped(title, lesson, boards) -> AsyncIterator[bytes]:
    done = []
    for number, (name, document, photograph) in enumerate(boards):
        yield b"%d %d\n" % (number, len(boards))
        done.append((name, await WRITER.do(board_files, document, photograph)))
    yield _whole(await WRITER.do(zipped, title, lesson, done))


async def _filmed(kind: str, document: str, asked: Asked, photograph: bytes | None) -> AsyncIterator[bytes]:
    count = await WRITER.do(film_count, document, asked.film)
    pictures: list[bytes] = []
    while len(pictures) < count:
        yield b"%d %d\n" % (len(pictures), count)
        some = min(_AT_ONCE, count - len(pictures))
        pictures += await WRITER.do(film_part, document, asked.wanted, asked.film, len(pictures), some, photograph)
    yield b"%d %d\n" % (count, count)
    yield _whole(await WRITER.do(film_file, pictures, asked.film, kind))


def _whole(content: bytes) -> bytes:
    return b"file %d\n%b" % (len(content), content)


def _streamed(work: AsyncIterator[bytes]) -> StreamingResponse:
    """Long work as it goes on: a line "done all" again and again, then "file" with its size, and the file. Where it is refused, a
    line "no" with the sentence. Whoever closes the line stops the work."""

    async def told():
        try:
            async for piece in work:
                yield piece
        except Refusal as refusal:
            yield f"no {refusal.sentence}\n".encode()

    # What is said to be in no other form is not packed, which would hold back the lines.
    return StreamingResponse(told(), media_type="application/octet-stream", headers={"content-encoding": "identity"})
