"""The pages: the list of lessons, a board, its panels, pictures and files."""

import csv
import io
from pathlib import Path
from typing import Annotated

import orjson
from fastapi import APIRouter, Form, HTTPException, Request, UploadFile
from fastapi.responses import PlainTextResponse, RedirectResponse, Response
from fastapi.templating import Jinja2Templates
from markupsafe import Markup

from ..core import limits
from ..core.board import GROUNDS, PAPERS, UNITS, Board, Settings
from ..core.catalogue import CATALOGUE, GAP_KINDS
from ..core.checking import PLAIN_DIMENSIONS
from ..core.display import Extent, display
from ..core.display.palette import GROUNDS as COLOURS
from ..core.display.palette import PENS, SIZES, look_of, style_of
from ..core.display.text import shown_name, unit_text, value_text
from ..core.codec import fill_to_json
from ..core.edits import PATTERNS, Retie
from ..core.kinds import CIRCLE, LINE, MARK, MOTION, NUMBER, POINT, RAY, REGIONS, REVEAL, WORDS_ON_BOARD
from ..core.language.printing import noun, phrase, rounded_text, sentence, why_absent, working_text
from ..core.lesson_file import board_to_json, lesson_from_json, lesson_schema, lesson_to_json
from ..core.loose_ends import loose_ends
from ..core.pointing.gathering import KINDS, RELATIONS
from ..core.refusal import Refusal
from ..drawings.plot import plot
from ..drawings.svg import DASHES, svg
from .shelf import icon, shelf
from .who import live_board, own_lesson, signed_in, visitor

router = APIRouter()
templates = Jinja2Templates(Path(__file__).parent / "templates")
templates.env.globals.update(icon=icon, shown_name=shown_name, value_text=value_text, sentence=sentence, noun=noun, why_absent=why_absent)
_STATIC = Path(__file__).parent / "static"


def stamp():
    """A mark of the static files' last change, so that browsers may keep them until then."""
    return str(int(max(path.stat().st_mtime for path in _STATIC.rglob("*.*"))))


templates.env.globals["stamp"] = stamp()


def page(request, template, /, **values):
    """A page from its template; it knows the teacher who is signed in."""
    return templates.TemplateResponse(request, template, {"teacher": visitor(request), **values})


@router.get("/")
def lesson_list(request: Request, find: str = ""):
    """The list of one's lessons with pictures, all or those whose title holds some words, and the kept recipes. Who is
    not signed in is welcomed."""
    if visitor(request) is None:
        return page(request, "welcome.html", directory=request.app.state.directory, lessons=request.app.state.lessons.gallery()[:8])
    return lesson_list_page(request, find=find)


def lesson_list_page(request, problem="", find="", status=200):
    """The list of lessons, with a problem to tell where there is one."""
    store, teacher = request.app.state.lessons, signed_in(request)
    lessons = [pair for pair in store.of_teacher(teacher.id) if find.strip().lower() in pair[0].title.lower()]
    answer = page(request, "lessons.html", lessons=lessons, away=store.of_teacher(teacher.id, put_away=True), recipes=CATALOGUE.group("Recipes"), problem=problem, find=find)
    answer.status_code = status
    return answer


@router.post("/lessons")
def new_lesson(request: Request, title: Annotated[str, Form(max_length=limits.TITLE_LENGTH)] = ""):
    """Make an empty lesson and open it."""
    document = orjson.dumps(board_to_json(Board(Settings()))).decode()
    lesson = request.app.state.lessons.create(signed_in(request).id, title.strip() or "New lesson", [document])
    return RedirectResponse(f"/lessons/{lesson.slug}", 303)


@router.post("/lessons/read")
async def read_lesson(request: Request, file: UploadFile):
    """Make a lesson from a file of the open format."""
    teacher = signed_in(request)
    try:
        title, boards = lesson_from_json(await json_of(file))
    except Refusal as refusal:
        return lesson_list_page(request, problem=refusal.sentence, status=422)
    documents = [orjson.dumps(board_to_json(board)).decode() for board in boards]
    lesson = request.app.state.lessons.create(teacher.id, title, documents)
    return RedirectResponse(f"/lessons/{lesson.slug}", 303)


async def json_of(file):
    """The parsed JSON of a file that was sent. Raises Refusal where it is too large or no JSON."""
    content = await file.read(limits.FILE_BYTES + 1)
    if len(content) > limits.FILE_BYTES:
        raise Refusal("That file is too large: a lesson file has at most 2 MB.")
    try:
        return orjson.loads(content)
    except orjson.JSONDecodeError as error:
        raise Refusal(f"That file is not JSON: {error.msg} in line {error.lineno}, column {error.colno}.") from None


@router.get("/lessons/{slug}")
def lesson_page(request: Request, slug: str, board: int | None = None, gone: int | None = None):
    """A board of a lesson: the first, or the one asked for."""
    lesson = own_lesson(request, slug)
    rows = request.app.state.lessons.boards(lesson.id)
    row = next((row for row in rows if board in (None, row.id)), None)
    if row is None:
        raise HTTPException(404)
    live = request.app.state.live.get(row.id)
    return page(
        request, "board.html", lesson=lesson, live=live, gone=gone, board=live.board, titles=board_titles(request, lesson), shelf=shelf(),
        look=drawing_look(), **_working(live.board),
    )  # fmt: skip


def drawing_look():
    """What the page's own drawing has to know: pens, grounds, dash patterns and sizes by name."""
    return {"pens": PENS, "grounds": COLOURS, "dashes": DASHES, "sizes": SIZES}


def board_titles(request, lesson):
    """Pairs of the id and the title of each board of a lesson."""
    return [(row.id, orjson.loads(row.document)["title"]) for row in request.app.state.lessons.boards(lesson.id)]


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
def lesson_file(request: Request, slug: str):
    """The lesson in the open format."""
    lesson = own_lesson(request, slug)
    boards = [request.app.state.live.get(row.id).board for row in request.app.state.lessons.boards(lesson.id)]
    content = orjson.dumps(lesson_to_json(lesson.title, boards), option=orjson.OPT_INDENT_2)
    return Response(content, media_type="application/json", headers={"content-disposition": f'attachment; filename="{file_name(lesson.title)}.json"'})


def file_name(title):
    """A title as the name of a file."""
    return "".join(letter if letter.isalnum() and letter.isascii() else "-" for letter in title.lower()).strip("-") or "lesson"


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
    """A new lesson of a teacher with the same boards as another one."""
    boards = [request.app.state.live.get(row.id).board for row in request.app.state.lessons.boards(lesson.id)]
    title = f"{lesson.title[: limits.TITLE_LENGTH - 7]} (copy)"
    return request.app.state.lessons.create(teacher_id, title, [orjson.dumps(board_to_json(board)).decode() for board in boards])


@router.post("/lessons/{slug}/boards")
def add_board(request: Request, slug: str, after: Annotated[int | None, Form()] = None, copy_of: Annotated[int | None, Form()] = None):
    """Add a blank board to a lesson, or a copy of one of its boards, and open it."""
    lesson = own_lesson(request, slug)
    lessons = request.app.state.lessons
    rows = lessons.boards(lesson.id)
    if len(rows) >= limits.BOARDS:
        return PlainTextResponse(f"A lesson has at most {limits.BOARDS} boards.", 422)
    titles = [orjson.loads(row.document)["title"] for row in rows]
    settings, steps = Settings(title=_next_title(titles)), ()
    if copy_of is not None:
        if copy_of not in {row.id for row in rows}:
            raise HTTPException(404)
        original = request.app.state.live.get(copy_of).board
        settings, steps = original.settings.with_(title=f"{original.settings.title[: limits.TITLE_LENGTH - 7]} (copy)"), original.steps
    row = lessons.add_board(lesson.id, orjson.dumps(board_to_json(Board(settings, steps))).decode(), copy_of or after)
    return RedirectResponse(f"/lessons/{slug}?board={row.id}", 303)


def _next_title(titles):
    return next(f"Board {number}" for number in range(len(titles) + 1, 1000) if f"Board {number}" not in titles)


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


@router.get("/pens.css")
def pens():
    """The pens as style rules, from the palette that every drawing uses."""
    light = "".join(f"--pen-{name}:{colours[0]};" for name, colours in PENS.items())
    dark = "".join(f"--pen-{name}:{colours[1]};" for name, colours in PENS.items())
    return Response(f":root{{{light}}}.dark{{{dark}}}", media_type="text/css", headers={"cache-control": "max-age=86400"})


# Boards -----------------------------------------------------------------------------------------------------


@router.get("/boards/{board_id}/picture.svg")
def picture(request: Request, board_id: int):
    """A small picture of a board."""
    return picture_of(live_board(request, board_id).board)


def picture_of(board):
    """The answer with a small picture of a board."""
    extent = Extent(*board.settings.view)
    dark = board.settings.paper == "dark"
    drawn = svg(display(board, extent), extent, 320, 192, dark=dark, scale=0.68 * min(board.settings.size, 1.5), tags=False, ground=COLOURS[dark])
    return Response(drawn, media_type="image/svg+xml", headers={"cache-control": "no-cache"})


@router.get("/boards/{board_id}/working.txt")
def working_file(request: Request, board_id: int):
    """The construction as text."""
    return PlainTextResponse(working_text(live_board(request, board_id).board))


def _working(board):
    """The rows of the working: free points that follow one another share a row."""
    rows = []
    for step in board.steps:
        if step.does == "free_point" and rows and rows[-1]["free"]:
            rows[-1]["steps"].append(step)
        else:
            words = phrase(step.construction, step.fills, board.names)
            rows.append({"free": step.does == "free_point", "steps": [step], "words": words})
    return {"rows": rows, "hidden": [step.id for step in board.steps if step.look.hidden]}


@router.get("/boards/{board_id}/panels/working")
def working_panel(request: Request, board_id: int):
    """The working: the ordered list of sentences."""
    board = live_board(request, board_id).board
    return page(request, "panels/working.html", board=board, **_working(board))


@router.get("/boards/{board_id}/panels/readings")
def readings_panel(request: Request, board_id: int):
    """The readings with their values."""
    board = live_board(request, board_id).board
    readings = [step for step in board.steps if step.is_reading]
    turns = {step.id: gap.kind.options for step in readings if (gap := step.construction.gap_by_name.get("turn"))}
    plain = {step.id for step in readings if board.dimension(step.id) in PLAIN_DIMENSIONS}
    return page(request, "panels/readings.html", board=board, readings=readings, turns=turns, plain=plain)


@router.get("/boards/{board_id}/panels/log")
def log_panel(request: Request, board_id: int, across: int = 0, up: int = 1):
    """The log: the readings that are recorded, the table, the plot of one against another."""
    board = live_board(request, board_id).board
    readings = [step for step in board.steps if step.is_reading and board.dimension(step.id) in PLAIN_DIMENSIONS]
    columns = [(shown_name(board.name(id)), unit_text(board.dimension(id), board.settings.unit).strip()) for id in board.settings.log]
    most = len(columns) - 1
    across, up = min(max(across, 0), max(most, 0)), min(max(up, 0), max(most, 0))
    drawn = plot(board.settings.rows, across, up, columns) if len(columns) > 1 and len(board.settings.rows) > 1 else ""
    return page(
        request, "panels/log.html", board=board, board_id=board_id, readings=readings, columns=columns, across=across, up=up, plot=Markup(drawn),
        number=lambda value: "–" if value is None else rounded_text(value, board.settings.decimals),
    )  # fmt: skip


@router.get("/boards/{board_id}/log.csv")
def log_file(request: Request, board_id: int):
    """The log as CSV: names with units, then a row for each recording, in full precision."""
    board = live_board(request, board_id).board
    text = io.StringIO()
    writer = csv.writer(text)
    units = [unit_text(board.dimension(id), board.settings.unit).strip() for id in board.settings.log]
    writer.writerow([f"{board.name(id)} ({unit})" if unit else board.name(id) for id, unit in zip(board.settings.log, units)])
    writer.writerows(["" if value is None else repr(value) for value in row] for row in board.settings.rows)
    return Response(text.getvalue(), media_type="text/csv; charset=utf-8", headers={"content-disposition": 'attachment; filename="log.csv"'})


@router.get("/boards/{board_id}/panels/motions")
def motions_panel(request: Request, board_id: int):
    """The motions, the dials, and what leaves a trail."""
    board = live_board(request, board_id).board
    return page(
        request, "panels/motions.html", board=board, motions=[step for step in board.steps if step.makes == MOTION],
        dials=[step for step in board.steps if step.construction.moves == "turning"], trails=[step for step in board.steps if step.look.trail is not None],
        ways=GAP_KINDS["way"].options,
    )  # fmt: skip


@router.get("/boards/{board_id}/panels/history")
def history_panel(request: Request, board_id: int):
    """The edits of a board, the last first: each can be looked at and brought back."""
    live = live_board(request, board_id)
    rows = [row for row in request.app.state.lessons.edits(board_id) if row.number <= live.edits_done]
    edits = [(row.number - 1, orjson.loads(row.patch)["words"], row.made_at) for row in rows]
    return page(request, "panels/history.html", edits=edits)


@router.get("/boards/{board_id}/panels/loose")
def loose_panel(request: Request, board_id: int, reach: float = 0.2):
    """What looks tied and is not, each with the edit that ties it."""
    board = live_board(request, board_id).board
    found = loose_ends(board, min(max(reach, 1e-9), 1e6))
    ends = [(end, orjson.dumps(end.edit.model_dump()).decode() if end.edit else None) for end in found]
    return page(request, "panels/loose.html", ends=ends)


@router.get("/boards/{board_id}/panels/look")
def look_panel(request: Request, board_id: int, ids: str = ""):
    """The look of what is selected, or of the board where nothing is."""
    board = live_board(request, board_id).board
    steps = [board.step(id) for id in ids.split(",")[: limits.EDIT_THINGS] if id in board]
    if not steps:
        hidden = [step for step in board.steps if step.look.hidden]
        return page(request, "panels/board_look.html", board=board, units=UNITS, grounds=GROUNDS, papers=PAPERS, hidden=hidden, gathered=KINDS)
    styles = [style_of(step, board.settings.looks) for step in steps]
    common = {part: _shared(style[part] for style in styles) for part in ("pen", "width", "pattern", "fill", "size", "label", "tag", "hidden")}
    common["part"] = _shared(bool(step.look.part) for step in steps)
    common["caption"] = _shared(step.look.caption for step in steps)
    common["cover"] = _shared(step.look.cover for step in steps)
    common["trail"] = _shared(step.look.trail for step in steps)
    common["snap"] = _shared(step.look.snap for step in steps)
    common["strokes"] = _shared(step.fills.get("strokes") for step in steps)
    pegs = [step for step in steps if step.construction.moves]
    common["locked"] = bool(pegs) and all(step.look.locked for step in pegs)
    common["teacher_only"] = bool(pegs) and all(step.look.teacher_only for step in pegs)
    one = steps[0] if len(steps) == 1 else None
    place = None
    if one and one.construction.moves == "free":
        place = ", ".join(rounded_text(part, 3).rstrip("0").rstrip(".") for part in one.fills["at"])
    kinds = {step.makes for step in steps}
    reveals = [step for step in board.steps if step.makes == REVEAL]
    putting_in = [(reveal, _with_things(reveal, [*reveal.fills["things"], *more])) for reveal in reveals
                  if REVEAL not in kinds and (more := [step.id for step in steps if step.id not in reveal.fills["things"]])]
    return page(
        request, "panels/look.html", copied=look_of(one, board.settings.looks) if one else None, putting_in=putting_in, coverable=kinds <= {NUMBER, WORDS_ON_BOARD}, only_words=kinds == {WORDS_ON_BOARD}, only_reveals=kinds == {REVEAL}, without=lambda reveal, id: _with_things(reveal, [other for other in reveal.fills["things"] if other != id]), board=board, steps=steps, common=common, one=one, place=place, pegs=pegs, pens=list(PENS), patterns=PATTERNS,
        kinds=kinds, has_lines=any(step.makes != POINT for step in steps), point=POINT, filled=bool(kinds & set(REGIONS)),
        shortened=kinds & {LINE, RAY, CIRCLE}, marks=kinds == {MARK}, strokes=GAP_KINDS["strokes"].options, relations=RELATIONS,
    )  # fmt: skip


def _with_things(reveal, ids):
    """The edit, as JSON, that gives a reveal other things to show."""
    fills = {name: fill_to_json(fill) for name, fill in reveal.fills.items()}
    return orjson.dumps(Retie(id=reveal.id, does="reveal", fills={**fills, "things": ids}).model_dump()).decode()


def _shared(values):
    """The value that all have, or None where they differ."""
    values = set(values)
    return values.pop() if len(values) == 1 else None
