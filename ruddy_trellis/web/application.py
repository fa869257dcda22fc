"""The application, put together."""

import gc
from contextlib import asynccontextmanager
from datetime import UTC, datetime, timedelta
from functools import cache
from pathlib import Path

from fastapi import Depends, FastAPI, Request
from fastapi.middleware.gzip import GZipMiddleware
from fastapi.responses import PlainTextResponse
from fastapi.staticfiles import StaticFiles

from ..core.lesson.file import board_to_text, lesson_from_json
from ..demo import SCHOOL, demo_lessons
from ..store import Database, Lessons, Teachers
from .lessons import pages, panels, recipes, sharing, students
from .live import lines as live
from .live.live_boards import LiveBoards
from .people import accounts
from .people.passwords import Attempts, hashed_password
from .people.who import SignInNeeded, identify, visitor
from .rendering import page, templates
from .security import Guard

#: Every page knows the teacher who is signed in.
templates.context_processors.append(lambda request: {"teacher": visitor(request)})

#: How long a student's copy is kept after its last change: a little more than a school year.
COPY_DAYS = 400


class _Kept(StaticFiles):
    """Static files. Those asked for under the mark of their last change, ``/static/1764115200/…``, may be kept for good."""

    async def get_response(self, path, scope):
        mark, _, rest = path.partition("/")
        response = await super().get_response(rest if mark.isdigit() else path, scope)
        lasting = mark.isdigit() and response.status_code in (200, 304)
        response.headers["cache-control"] = "max-age=31536000, immutable" if lasting else "no-cache"
        return response


@asynccontextmanager
async def _lifespan(application):
    yield
    # Stopped in order: what stands in the write-ahead file is brought into the file itself.
    application.state.database.close()


def create_application(data_path, demo=True):
    """The web application.

    Args:
        data_path: the SQLite file; made where it is missing.
        demo: whether the demo school's teachers can come in with one click, and an empty database gets the demo lessons.
    """
    # The collector's young generation holds about one drag position at its usual size; a larger one spares pauses.
    gc.set_threshold(50_000, 20, 50)
    application = FastAPI(
        title="Ruddy Trellis", lifespan=_lifespan, docs_url=None, redoc_url=None, openapi_url=None, dependencies=[Depends(identify)]
    )
    database = Database(data_path)
    state = application.state
    state.database, state.lessons, state.teachers = database, Lessons(database), Teachers(database)
    state.live = LiveBoards(state.lessons)
    state.recipe_shelves = recipes.RecipeShelves(state.lessons)
    state.attempts = Attempts()
    state.directory = SCHOOL if demo else {"school": "", "teachers": []}
    state.lessons.forget_old_copies(datetime.now(UTC) - timedelta(days=COPY_DAYS))
    if demo:
        load_demo(state.lessons, state.teachers)
    for part in (accounts, pages, panels, recipes, live, sharing, students):
        application.include_router(part.router)
    application.mount("/static", _Kept(directory=Path(__file__).parent / "static"), name="static")
    application.add_middleware(GZipMiddleware, minimum_size=600)
    application.add_middleware(Guard)

    @application.exception_handler(404)
    async def not_found(request: Request, _error):
        answer = page(request, "not_found.html")
        answer.status_code = 404
        return answer

    @application.exception_handler(SignInNeeded)
    async def sign_in_needed(request: Request, _error):
        if "text/html" not in request.headers.get("accept", ""):
            return PlainTextResponse("Sign in first.", 401)
        onward = request.url.path if request.method == "GET" else "/"
        return accounts.sign_in_page(request, onward, "Sign in first.", status=401)

    return application


def load_demo(lessons, teachers):
    """Keep the demo school's teachers and, in an empty store, the demo lessons, through the same door as a person's
    file. The first is listed first."""
    for one in SCHOOL["teachers"]:
        if teachers.find(one["sign_in"]) is None:
            teachers.register(one["sign_in"], one["name"], _demo_password())
    if not lessons.is_empty():
        return
    owner = teachers.find(SCHOOL["teachers"][0]["sign_in"])
    for data in reversed(demo_lessons()):
        title, boards = lesson_from_json(data)
        shared = "gallery" if title in SCHOOL["gallery"] else "private"
        lessons.create(owner.id, title, [board_to_text(board) for board in boards], shared)


@cache
def _demo_password():
    return hashed_password(SCHOOL["password"])
