"""What students handed in, for their teacher: a grid of pictures, a word back, one opened, all laid over one another, and a table."""

import csv
import io
from typing import Annotated

import orjson
from fastapi import APIRouter, Form, HTTPException, Request, WebSocket
from fastapi.responses import RedirectResponse, Response
from starlette.concurrency import run_in_threadpool

from ...core import limits
from ...core.board.pegs import numbers_of
from ...core.challenge.verdict import RIGHT
from ...core.display import Extent, display
from ...core.display.palette import GROUNDS
from ...core.hand import StudentHand
from ...core.lesson.file import board_from_store, board_to_text
from ...core.lesson.student_copy import put_up_for_all
from ...drawings.svg import svg
from ..live.judging import judged_beside, prove_later, told_of
from ..live.lines import carry
from ..live.practice_board import PracticeBoard
from ..people.who import own_lesson, visitor
from ..rendering import page, picture_of
from ..security import same_origin
from .pages import board_titles
from .students import copy_page

router = APIRouter()
#: So many stand on one page; so many are laid over one another; how long a word back is.
_ON_PAGE, _OVER, _WORD = 40, 60, 400
#: What a cell may not begin with that a table is to read as words.
_LEADING = "=+-@\t\r"


def _own_hand_in(connection, id):
    """What was handed in, its board and lesson, if it is the asking teacher's. Raises 404 otherwise."""
    row = connection.app.state.lessons.hand_ins.find(id)
    teacher = visitor(connection)
    lesson = row and connection.app.state.lessons.lesson(row.lesson_id)
    if row is None or teacher is None or lesson is None or lesson.teacher_id != teacher.id:
        raise HTTPException(404)
    return row, lesson


@router.get("/lessons/{slug}/handed-in")
def handed_in_page(request: Request, slug: str, board: int | None = None, start: int = 0, only: str = ""):
    """What was handed in to a lesson, board by board."""
    return page(request, "handed_in.html", **_shown(request, slug, board, start, only))


@router.get("/lessons/{slug}/handed-in/grid")
def handed_in_grid(request: Request, slug: str, board: int | None = None, start: int = 0, only: str = ""):
    """The grid alone, as it is asked for again and again."""
    return page(request, "panels/handed_in_grid.html", **_shown(request, slug, board, start, only))


def _shown(request, slug, board_id, start, only):
    lesson = own_lesson(request, slug)
    store = request.app.state.lessons
    titles = board_titles(store.boards(lesson.id))
    counts = store.hand_ins.counts(lesson.id)
    if board_id is None:
        board_id = next((id for id, _ in titles if counts.get(id)), titles[0][0])
    if board_id not in dict(titles):
        raise HTTPException(404)
    rows = store.hand_ins.of_board(board_id, max(start, 0), _ON_PAGE)
    rows = [row for row in rows if not only or row.verdict.startswith(only)]
    earlier = store.hand_ins.earlier(rows)
    shown = [(row, orjson.loads(row.told), earlier[row.id]) for row in rows]
    challenge = request.app.state.live.get(board_id).challenge
    return {
        "lesson": lesson, "titles": titles, "board_id": board_id, "counts": counts, "rows": shown, "start": start, "only": only,
        "count": counts.get(board_id, 0), "step": _ON_PAGE, "is_open": store.hand_ins.is_open(lesson.id), "find": "",
        "hours": store.hand_ins.hours, "days": store.hand_ins.days, "version": challenge.version if challenge else 0,
    }  # fmt: skip


@router.post("/lessons/{slug}/handed-in/open")
def open_for(request: Request, slug: str, is_open: Annotated[bool, Form()]):
    """Open a lesson for handing in, for some hours, or close it."""
    lesson = own_lesson(request, slug)
    request.app.state.lessons.hand_ins.open(lesson.id, is_open)
    request.app.state.live.tell_copies(lesson.id, {"t": "ask_handed_in"})
    return RedirectResponse(f"/lessons/{slug}/handed-in", 303)


@router.post("/lessons/{slug}/handed-in/judge")
async def judge_anew(request: Request, slug: str, board: Annotated[int, Form()]):
    """Judge what was handed in on a board by its challenge as it is now."""
    lesson = await run_in_threadpool(own_lesson, request, slug)
    store = request.app.state.lessons
    if not await run_in_threadpool(store.has_board, lesson.id, board):
        raise HTTPException(404)
    live = await run_in_threadpool(request.app.state.live.get, board)
    challenge = await run_in_threadpool(lambda: live.challenge)
    start, right = 0, []
    while challenge is not None and (rows := await run_in_threadpool(store.hand_ins.of_board, board, start, _ON_PAGE)):
        start += len(rows)
        for row in rows:
            if row.version != challenge.version:
                copy = await run_in_threadpool(board_from_store, row.document)
                found = await judged_beside(live, copy, 0.0)
                fields = {"verdict": found.verdict, "told": told_of(found), "version": challenge.version, "always": False}
                await run_in_threadpool(store.hand_ins.judge, row.id, fields)
                if found.verdict == RIGHT:
                    right.append((row.id, row.document, found.taken))
    prove_later(store.hand_ins, live, right)
    request.app.state.live.tell_copies(lesson.id, {"t": "ask_handed_in"})
    return RedirectResponse(f"/lessons/{slug}/handed-in?board={board}", 303)


@router.post("/hand-ins/{id}/board")
def put_up(request: Request, id: int):
    """Make what was handed in a board of the lesson, for all to look at: without a name, and what the student named has letters."""
    row, lesson = _own_hand_in(request, id)
    store = request.app.state.lessons
    if len(store.boards(lesson.id)) >= limits.BOARDS:
        raise HTTPException(422, f"A lesson has at most {limits.BOARDS} boards.")
    made = store.add_board(lesson.id, board_to_text(put_up_for_all(board_from_store(row.document))), row.board_id)
    return RedirectResponse(f"/lessons/{lesson.slug}?board={made.id}", 303)


@router.get("/lessons/{slug}/handed-in.csv")
def table(request: Request, slug: str):
    """All that was handed in as a table."""
    lesson = own_lesson(request, slug)
    titles = dict(board_titles(request.app.state.lessons.boards(lesson.id)))
    rows = [("name", "board", "handed in", "verdict", "met", "hints", "minutes", "word")]
    for row in request.app.state.lessons.hand_ins.every(lesson.id):
        conditions = orjson.loads(row.told).get("conditions", [])
        met = f"{sum(bool(is_met) for _, is_met in conditions)} of {len(conditions)}" if conditions else ""
        made = row.made_at.strftime("%Y-%m-%d %H:%M")
        rows.append(
            (
                row.name,
                titles.get(row.board_id, ""),
                made,
                f"{row.verdict}, always" if row.always else row.verdict,
                met,
                row.hints,
                row.minutes,
                row.word,
            )
        )
    text = io.StringIO()
    csv.writer(text).writerows([[harmless(cell) for cell in row] for row in rows])
    return Response(text.getvalue(), media_type="text/csv; charset=utf-8",
                    headers={"content-disposition": 'attachment; filename="handed-in.csv"'})  # fmt: skip


def harmless(cell):
    """A cell that no table program takes for a formula."""
    text = str(cell)
    return f"'{text}" if text[:1] in _LEADING and text else text


@router.get("/lessons/{slug}/handed-in/all.svg")
def laid_over(request: Request, slug: str, board: int):
    """All answers on a board laid over one another: what each has made, thinly, with the givens where the board has them."""
    lesson = own_lesson(request, slug)
    store = request.app.state.lessons
    if not store.has_board(lesson.id, board):
        raise HTTPException(404)
    start = request.app.state.live.get(board).board
    extent = Extent(*start.settings.view)
    pegs = {step.id: numbers_of(step) for step in start.steps if step.construction.moves}
    items = []
    for row in store.hand_ins.of_board(board, 0, _OVER):
        copy = board_from_store(row.document)
        copy.move({id: at for id, at in pegs.items() if id in copy})
        own = [item for item in display(copy, extent) if not item.get("given") and item["id"] in copy]
        for item in own:
            item["style"].update(width=1.0, pen="slate", label=False)
            item["label"] = None
        items += own
    return Response(svg([*items, *display(start, extent)], extent, 960, 576, ground=GROUNDS[False]), media_type="image/svg+xml",
                    headers={"cache-control": "no-store"})  # fmt: skip


@router.post("/lessons/{slug}/handed-in/names")
def change_name(
    request: Request, slug: str, name: Annotated[str, Form(max_length=60)], new: Annotated[str, Form(max_length=60)] = "",
    remove: Annotated[bool, Form()] = False,
):  # fmt: skip
    """Give a name another one wherever it stands in a lesson, or remove it with all that was handed in under it."""
    lesson = own_lesson(request, slug)
    hand_ins = request.app.state.lessons.hand_ins
    new = " ".join(new.split())[:20]
    if remove:
        hand_ins.remove(lesson.id, name)
    elif new and new.isprintable():
        hand_ins.rename(lesson.id, name, new)
    request.app.state.live.tell_copies(lesson.id, {"t": "ask_handed_in"})
    return RedirectResponse(f"/lessons/{slug}/handed-in", 303)


@router.get("/hand-ins/{id}/picture.svg")
def hand_in_picture(request: Request, id: int):
    """The board that was handed in."""
    row, _ = _own_hand_in(request, id)
    return picture_of(board_from_store(row.document))


@router.post("/hand-ins/{id}/word")
def write_word(request: Request, id: int, word: Annotated[str, Form(max_length=4 * _WORD)] = ""):
    """Write a word back, which whoever holds that copy is told, and nobody else."""
    row, lesson = _own_hand_in(request, id)
    request.app.state.lessons.hand_ins.write(id, " ".join(word.split())[:_WORD])
    request.app.state.live.tell_copies(lesson.id, {"t": "ask_handed_in"})
    return RedirectResponse(f"/lessons/{lesson.slug}/handed-in?board={row.board_id}#hand-in-{id}", 303)


@router.get("/hand-ins/{id}")
def hand_in_page(request: Request, id: int):
    """One opened: a board to look at, to drag and to replay; nothing that is done to it is kept."""
    row, lesson = _own_hand_in(request, id)
    live = request.app.state.live.get(row.board_id)
    if live is None:
        raise HTTPException(404)
    by = f"handed in by {row.name}"
    return copy_page(request, lesson, live, [], "trial", f"/lessons/{lesson.slug}/handed-in", f"/hand-ins/{id}/live", by)


@router.websocket("/hand-ins/{id}/live")
async def hand_in_line(socket: WebSocket, id: int):
    """The line to a board that was handed in."""
    live = None
    try:
        row, _ = await run_in_threadpool(_own_hand_in, socket, id)
        if same_origin(socket.headers):
            board = await run_in_threadpool(board_from_store, row.document)
            source = await run_in_threadpool(socket.app.state.live.get, row.board_id)
            live = PracticeBoard(board, socket.app.state.lessons, source)
    except HTTPException:
        pass
    asked = next(iter(socket.scope["subprotocols"]), None)
    await carry(socket, live, StudentHand, 0, asked)
