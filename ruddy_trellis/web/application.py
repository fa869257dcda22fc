"""The application, put together."""

import asyncio
import gc
import sys
from contextlib import asynccontextmanager
from mimetypes import guess_type
from pathlib import Path

from fastapi import Depends, FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.middleware.gzip import GZipMiddleware
from fastapi.responses import JSONResponse, PlainTextResponse, Response
from fastapi.staticfiles import StaticFiles

from ..core.lesson.file import board_to_text, challenges_from_json, lesson_from_json
from ..core.refusal import Refusal
from ..demo import SCHOOL, demo_lessons
from ..store import Calendar, Classes, Database, HandIns, Lessons, Teachers
from ..store.database import NotKept
from . import bundling, near
from .access_log import AccessLog
from .classroom import coming_in, opening
from .classroom import lines as class_lines
from .classroom.classes import LiveClasses
from .lessons import (
    angles,
    bringing_in,
    challenges,
    first_lesson,
    handed_in,
    handout,
    help,
    out,
    pages,
    panels,
    recipes,
    sharing,
    students,
    trying,
)
from .live import lines as live
from .live.live_boards import LiveBoards
from .live.verdicts import WORKERS
from .options import Options
from .people import accounts
from .people.passwords import NO_PASSWORD, Attempts, Hashing, is_password
from .people.who import SignInNeeded, identify, visitor
from .rendering import page, templates
from .security import Guard
from .watching import look_at_days, watch
from .worker import WORKER, WRITER, Left

#: Every page knows the teacher who is signed in.
templates.context_processors.append(lambda request: {"teacher": visitor(request)})


class _Kept(StaticFiles):
    """Static files, and what is laid together of them. Those asked for under the mark of their last change,
    ``/static/1764115200/…``, may be kept for good."""

    async def get_response(self, path, scope):
        mark, _, rest = path.partition("/")
        asked = rest if mark.isdigit() else path
        text = bundling.asked(asked)
        response = Response(text, media_type=guess_type(asked)[0]) if text is not None else await super().get_response(asked, scope)
        lasting = mark.isdigit() and response.status_code in (200, 304)
        response.headers["cache-control"] = "max-age=31536000, immutable" if lasting else "no-cache"
        return response


@asynccontextmanager
async def _lifespan(application):
    watching = asyncio.create_task(watch(application.state))
    yield
    watching.cancel()
    # Stopped in order: what stands in the write-ahead file is brought into the file itself.
    application.state.database.close()
    for worker in (WORKER, WRITER, *WORKERS):
        worker.close()


def create_application(data_path, options=Options()):
    """The web application.

    Args:
        data_path: the SQLite file; made where it is missing.
    """
    # The collector's young generation holds about one drag position at its usual size; a larger one spares pauses.
    gc.set_threshold(50_000, 20, 50)
    # What a thread works out for one person stands back for everyone else's drags after a millisecond, not after five.
    sys.setswitchinterval(0.001)
    application = FastAPI(
        title="Ruddy Trellis", lifespan=_lifespan, docs_url=None, redoc_url=None, openapi_url=None, dependencies=[Depends(identify)]
    )
    database = Database(data_path)
    state = application.state
    state.database, state.teachers = database, Teachers(database)
    state.lessons = Lessons(database, options.quota, HandIns(database, options.hours, options.days))
    state.live = LiveBoards(state.lessons)
    state.classes = Classes(database, options.hours, options.days)
    state.live_classes, state.tries = LiveClasses(state), coming_in.Tries()
    state.live.elsewhere = state.live_classes.lines
    state.recipe_shelves = recipes.RecipeShelves(state.lessons)
    state.attempts, state.hashing, state.options = Attempts(), Hashing(), options
    state.calendar = Calendar(database)
    state.directory = SCHOOL if options.demo else {"school": "", "teachers": []}
    look_at_days(state)
    if options.demo:
        load_demo(state.lessons, state.teachers)
    else:
        shut_demo(state.teachers)
    for part in (
        accounts,
        angles,
        bringing_in,
        challenges,
        class_lines,
        coming_in,
        first_lesson,
        handed_in,
        handout,
        help,
        out,
        pages,
        panels,
        recipes,
        live,
        near,
        opening,
        sharing,
        students,
        trying,
    ):
        application.include_router(part.router)
    application.mount("/static", _Kept(directory=Path(__file__).parent / "static"), name="static")
    # The level is a low one: a page of 2,000 steps is packed on the loop that answers everyone.
    application.add_middleware(GZipMiddleware, minimum_size=600, compresslevel=3)
    application.add_middleware(Guard)
    application.add_middleware(AccessLog)

    @application.get("/health")
    def health():
        """Whether the program can answer and keep what is done: for whatever watches over it."""
        trouble = database.trouble()
        return JSONResponse({"status": trouble or "ok"}, 503 if trouble else 200)

    @application.exception_handler(404)
    async def not_found(request: Request, _error):
        answer = page(request, "not_found.html")
        answer.status_code = 404
        return answer

    @application.exception_handler(Refusal)
    async def refused(request: Request, refusal):
        return told(request, refusal.sentence, 422)

    @application.exception_handler(Left)
    async def left(_request: Request, _error):
        return PlainTextResponse("Nobody waits for this any more.", 499)

    @application.exception_handler(NotKept)
    async def not_kept(request: Request, problem):
        return told(request, problem.sentence, 507)

    @application.exception_handler(RequestValidationError)
    async def misread(request: Request, error):
        """A form or an address in which something is not what it can be."""
        return told(request, f"That cannot be done as it was asked for: {', '.join(map(_misread, error.errors()[:3]))}.", 422)

    @application.exception_handler(SignInNeeded)
    async def sign_in_needed(request: Request, _error):
        if "text/html" not in request.headers.get("accept", ""):
            return PlainTextResponse("Sign in first.", 401)
        onward = request.url.path if request.method == "GET" else "/"
        return accounts.sign_in_page(request, onward, "Sign in first.", status=401)

    # What is there now stays: the collector need not walk through it again and again.
    gc.freeze()
    gc.enable()
    return application


def told(request, sentence, status):
    """What went wrong, in words: a page for who looks at pages, plain text for scripts."""
    if "text/html" not in request.headers.get("accept", ""):
        return PlainTextResponse(sentence, status)
    answer = page(request, "problem.html", sentence=sentence)
    answer.status_code = status
    return answer


def _misread(problem):
    """One thing that was not what it can be, in words."""
    field, bounds = str(problem["loc"][-1]), problem.get("ctx", {})
    if problem["type"] == "missing":
        return f"“{field}” is missing"
    limits = [f"{words} {bounds[key]}" for key, words in _BOUNDS.items() if key in bounds]
    kind = next((words for key, words in _KINDS.items() if key in problem["type"]), "something else")
    return f"“{field}” must be {' and '.join(limits) or kind}"


#: How bounds and kinds that a form or an address did not keep to are called.
_BOUNDS = {"ge": "at least", "le": "at most", "min_length": "at least as many letters as", "max_length": "at most as many letters as"}
_KINDS = {"int": "a whole number", "float": "a number", "bool": "yes or no", "string": "text", "value": "a file"}


def load_demo(lessons, teachers):
    """Keep the demo school's teachers and, in an empty store, the demo lessons, through the same door as a person's
    file. The first is listed first."""
    for one in SCHOOL["teachers"]:
        if teachers.find(one["sign_in"]) is None:
            teachers.register(one["sign_in"], one["name"], SCHOOL["password_hash"])
    if not lessons.is_empty():
        return
    owner = teachers.find(SCHOOL["teachers"][0]["sign_in"])
    for data in reversed(demo_lessons()):
        title, boards = lesson_from_json(data)
        shared = "gallery" if title in SCHOOL["gallery"] else "private"
        lesson = lessons.create(owner.id, title, [board_to_text(board) for board in boards], shared)
        lessons.keep_challenges(lesson.id, {number: one.model_dump_json() for number, one in challenges_from_json(data).items()})


def shut_demo(teachers):
    """Without the demo, the passwords that everyone can read in its files let nobody in. The teachers and their lessons
    stay; the ``people`` command gives them new passwords."""
    for one in SCHOOL["teachers"]:
        teacher = teachers.find(one["sign_in"])
        kept = teacher.password if teacher is not None else NO_PASSWORD
        if kept != NO_PASSWORD and (kept == SCHOOL["password_hash"] or is_password(teacher, SCHOOL["password"])):
            teachers.set_password(teacher.id, NO_PASSWORD)
