"""The pages of a teacher's lessons: the list, a board, and what is done with lessons and boards as wholes."""

from typing import Annotated

import orjson
from fastapi import APIRouter, Form, HTTPException, Query, Request, UploadFile
from fastapi.responses import PlainTextResponse, RedirectResponse, Response
from starlette.concurrency import run_in_threadpool

from ...core import limits
from ...core.board import Board, Settings
from ...core.board.settings import Language
from ...core.catalogue import CATALOGUE
from ...core.edits import Arrange
from ...core.lesson.arriving import arrived_challenges
from ...core.lesson.file import board_to_text, lesson_schema, lesson_to_json
from ...core.lesson.recipes import steps_of
from ...core.refusal import Refusal
from ...incoming.photograph import arrived_with_photographs
from ...incoming.reading import kind_of
from ...incoming.trying import arrived_drawing
from ..near import near_for
from ..people.who import live_board, own_lesson, signed_in, visitor
from ..photographs import photographs_of
from ..rendering import content_of, drawing_look, file_name, page
from ..shelf import shelf
from ..worker import WORKER
from .bringing_in import title_of
from .panels import working_rows
from .room import check_room

router = APIRouter()
#: How many lessons stand on one page of a list, and how many of those put away are listed.
LISTED, _MOST_AWAY = 60, 200
PageNumber = Annotated[int, Query(alias="page", ge=1, le=100_000)]
#: A file of at most so many bytes is read in less time than it takes to hand it to another process.
_SMALL_FILE = 20_000


def page_of(listed, number):
    """One page of a list.

    Args:
        listed: a function of ``start`` and ``most`` that gives that part of the list.
        number: which page, from 1.

    Returns:
        What stands on it; and the numbers of the page before, of itself and of the page after, None where there is none.
    """
    found = listed(start=(number - 1) * LISTED, most=LISTED + 1)
    return found[:LISTED], (number - 1 or None, number, number + 1 if len(found) > LISTED else None)


@router.get("/")
def lesson_list(request: Request, find: str = "", page_number: PageNumber = 1):
    """The list of one's lessons with pictures, all or those whose title holds some words, and the kept recipes. Who is
    not signed in is welcomed."""
    if visitor(request) is None:
        return page(request, "welcome.html", directory=request.app.state.directory, lessons=request.app.state.lessons.gallery(most=8))
    return lesson_list_page(request, find=find, number=page_number)


def lesson_list_page(request, problem="", find="", status=200, number=1):
    """The list of lessons, a page of it, with a problem to tell where there is one."""
    store, teacher = request.app.state.lessons, signed_in(request)
    lessons, pages = page_of(lambda **part: store.of_teacher(teacher.id, find=find, **part), number)
    answer = page(
        request,
        "lessons.html",
        lessons=lessons,
        pages=pages,
        away=store.of_teacher(teacher.id, put_away=True, most=_MOST_AWAY),
        recipes=CATALOGUE.group("Recipes"),
        steps_of=steps_of,
        problem=problem,
        find=find,
    )
    answer.status_code = status
    return answer


@router.post("/lessons")
def new_lesson(request: Request, title: Annotated[str, Form(max_length=limits.TITLE_LENGTH)] = ""):
    """Make an empty lesson and open it."""
    teacher, document = signed_in(request), board_to_text(Board(Settings()))
    try:
        check_room(request, teacher.id)
    except Refusal as refusal:
        return lesson_list_page(request, problem=refusal.sentence, status=422)
    lesson = request.app.state.lessons.create(teacher.id, title.strip() or "New lesson", [document])
    return RedirectResponse(f"/lessons/{lesson.slug}", 303)


@router.post("/lessons/read")
async def read_lesson(request: Request, file: UploadFile):
    """Make a lesson from a file: of the open format, or of points, a drawing or a working, which becomes a board of its own."""
    teacher = signed_in(request)
    try:
        await run_in_threadpool(check_room, request, teacher.id)
        content = await content_of(file)
        arriving = WORKER.do if len(content) > _SMALL_FILE else run_in_threadpool
        kind = "lesson" if (file.filename or "").lower().endswith(".json") else kind_of(file.filename or "", content)
        photographs: dict[str, bytes] = {}
        challenges: dict[int, str] = {}
        if kind == "lesson":
            title, documents, photographs = await arriving(arrived_with_photographs, content)
            challenges = await arriving(arrived_challenges, content)
        elif kind == "picture":
            raise Refusal("A picture goes on a board: open a lesson, then drop it there.")
        else:
            title = title_of(file)
            documents = [await WORKER.do(arrived_drawing, kind, content, title)]
    except Refusal as refusal:
        return await run_in_threadpool(lesson_list_page, request, problem=refusal.sentence, status=422)
    lesson = await run_in_threadpool(request.app.state.lessons.create, teacher.id, title, documents)
    if photographs:
        await run_in_threadpool(request.app.state.lessons.photographs.keep, lesson.id, photographs)
    if challenges:
        await run_in_threadpool(request.app.state.lessons.keep_challenges, lesson.id, challenges)
    return RedirectResponse(f"/lessons/{lesson.slug}", 303)


#: So many rows of a long working come with the page; the panel is asked for anew as soon as the board is there.
_FIRST_ROWS = 30


@router.get("/lessons/{slug}")
def lesson_page(request: Request, slug: str, board: int | None = None, gone: int | None = None, first: bool = False, near: bool = True):
    """A board of a lesson: the first, or the one asked for; with ``near=0`` without the hand beside the drawing."""
    lesson = own_lesson(request, slug)
    rows = request.app.state.lessons.boards(lesson.id)
    row = next((row for row in rows if board in (None, row.id)), None)
    if row is None:
        raise HTTPException(404)
    live = request.app.state.live.get(row.id)
    return page(
        request, "board.html", in_class=request.app.state.classes.of_lesson(lesson.id) is not None,
        lesson=lesson, live=live, gone=gone, first=first, board=live.board, titles=board_titles(rows), shelf=shelf(),
        look=drawing_look(), first_rows=_FIRST_ROWS,
        near=near_for(request, signed_in(request)) if near else None, **working_rows(live.board),
    )  # fmt: skip


def board_titles(rows):
    """Pairs of the id and the title of each of some boards."""
    return [(row.id, orjson.loads(row.document)["title"]) for row in rows]


@router.post("/lessons/{slug}/title")
def rename_lesson(request: Request, slug: str, title: Annotated[str, Form()] = ""):
    """Give a lesson another title; answers with the title that it now has."""
    lesson = own_lesson(request, slug)
    title = " ".join(title.split())
    if not title or len(title) > limits.TITLE_LENGTH:
        return PlainTextResponse(f"A title has from 1 to {limits.TITLE_LENGTH} characters.", 422)
    request.app.state.lessons.rename(lesson.slug, title)
    return PlainTextResponse(title)


@router.get("/lessons/{slug}/lesson.json")
def lesson_file(request: Request, slug: str, solutions: bool = False):
    """The lesson in the open format; with the solutions of its challenges only where its teacher says so."""
    lesson = own_lesson(request, slug)
    lives = [request.app.state.live.get(row.id) for row in request.app.state.lessons.boards(lesson.id)]
    boards = [live.board for live in lives]
    challenges = {number: live.challenge for number, live in enumerate(lives) if live.challenge} if solutions else {}
    content = orjson.dumps(
        lesson_to_json(lesson.title, boards, photographs_of(request, lesson.id, boards), challenges), option=orjson.OPT_INDENT_2
    )
    return Response(
        content, media_type="application/json", headers={"content-disposition": f'attachment; filename="{file_name(lesson.title)}.json"'}
    )


@router.post("/lessons/{slug}/away")
def put_lesson_away(request: Request, slug: str, away: Annotated[bool, Form()] = True):
    """Put a lesson away, or bring it back. Put away, it is closed to students."""
    lesson = own_lesson(request, slug)
    request.app.state.lessons.put_away(slug, away)
    if away:
        request.app.state.live.close_copies(lesson.id)
    return RedirectResponse("/" if away else f"/lessons/{slug}", 303)


@router.post("/lessons/{slug}/copy")
def copy_lesson(request: Request, slug: str):
    """Make a copy of a lesson with all its boards, and open it."""
    lesson = own_lesson(request, slug)
    copy = copied_lesson(request, lesson, lesson.teacher_id)
    return RedirectResponse(f"/lessons/{copy.slug}", 303)


def copied_lesson(request, lesson, teacher_id):
    """A new lesson of a teacher with the same boards as another one; their challenges go with it where it is the same teacher's."""
    check_room(request, teacher_id)
    ids = [row.id for row in request.app.state.lessons.boards(lesson.id)]
    boards = [request.app.state.live.get(id).board for id in ids]
    title = f"{lesson.title[: limits.TITLE_LENGTH - 7]} (copy)"
    copy = request.app.state.lessons.create(teacher_id, title, [board_to_text(board) for board in boards])
    request.app.state.lessons.photographs.keep(copy.id, photographs_of(request, lesson.id, boards))
    if teacher_id == lesson.teacher_id:
        request.app.state.lessons.copy_challenges(dict(zip(ids, (row.id for row in request.app.state.lessons.boards(copy.id)))))
    return copy


@router.post("/lessons/{slug}/boards")
def add_board(request: Request, slug: str, after: Annotated[int | None, Form()] = None, copy_of: Annotated[int | None, Form()] = None):
    """Add a blank board to a lesson, or a copy of one of its boards, and open it."""
    lesson = own_lesson(request, slug)
    lessons = request.app.state.lessons
    rows = lessons.boards(lesson.id)
    if len(rows) >= limits.BOARDS:
        return PlainTextResponse(f"A lesson has at most {limits.BOARDS} boards.", 422)
    titles = [orjson.loads(row.document)["title"] for row in rows]
    language = orjson.loads(rows[0].document).get("language", "en") if rows else "en"
    board = Board(Settings(title=_next_title(titles), language=language))
    if copy_of is not None:
        if copy_of not in {row.id for row in rows}:
            raise HTTPException(404)
        board = request.app.state.live.get(copy_of).board.copy()
        board.settings = board.settings.with_(title=f"{board.settings.title[: limits.TITLE_LENGTH - 7]} (copy)")
    row = lessons.add_board(lesson.id, board_to_text(board), copy_of or after)
    if copy_of is not None:
        lessons.copy_challenges({copy_of: row.id})
    return RedirectResponse(f"/lessons/{slug}?board={row.id}", 303)


def _next_title(titles):
    return next(f"Board {number}" for number in range(len(titles) + 1, 1000) if f"Board {number}" not in titles)


@router.post("/boards/{board_id}/language")
async def set_language(request: Request, board_id: int, code: Annotated[Language, Form()]):
    """Say the sentences of a lesson, on all of its boards, in a language."""
    live = await run_in_threadpool(live_board, request, board_id)
    for row in await run_in_threadpool(request.app.state.lessons.boards, live.lesson_id):
        board = await run_in_threadpool(request.app.state.live.get, row.id)
        if board is not None and board.board.settings.language != code:
            await board.change(Arrange(language=code))
    return Response(status_code=204)


@router.post("/lessons/{slug}/boards/{board_id}/move")
def move_board(request: Request, slug: str, board_id: int, by: Annotated[int, Form(ge=-50, le=50)]):
    """Move a board among those of its lesson."""
    request.app.state.lessons.move_board(own_lesson(request, slug).id, board_id, by)
    return RedirectResponse(f"/lessons/{slug}?board={board_id}", 303)


@router.post("/lessons/{slug}/boards/{board_id}/away")
def put_board_away(request: Request, slug: str, board_id: int, away: Annotated[bool, Form()] = True):
    """Take a board out of its lesson, or bring it back."""
    lesson = own_lesson(request, slug)
    if not request.app.state.lessons.put_board_away(lesson.id, board_id, away):
        return PlainTextResponse("A lesson keeps at least one board.", 422)
    if away:
        request.app.state.live.close_copies(lesson.id)
    return RedirectResponse(f"/lessons/{slug}?gone={board_id}" if away else f"/lessons/{slug}?board={board_id}", 303)


@router.get("/lesson.schema.json")
def schema():
    """The JSON Schema of the open format."""
    return Response(orjson.dumps(lesson_schema(), option=orjson.OPT_INDENT_2), media_type="application/schema+json")
