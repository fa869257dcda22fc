"""The application, put together."""

import gc
from pathlib import Path

import orjson
from fastapi import FastAPI, Request
from fastapi.middleware.gzip import GZipMiddleware
from fastapi.staticfiles import StaticFiles

from ..core.lesson_file import board_to_json, lesson_from_json
from ..demo import demo_lessons
from ..store import Database, Lessons
from . import live, pages, recipes
from .live_board import LiveBoards
from .security import Guard


class _Kept(StaticFiles):
    """Static files that a browser may keep: their addresses carry a mark of their last change."""

    def file_response(self, *arguments, **options):
        response = super().file_response(*arguments, **options)
        response.headers["cache-control"] = "max-age=31536000, immutable" if response.status_code == 200 else "no-cache"
        return response


def create_application(data_path, demo=True):
    """The web application.

    Args:
        data_path: the SQLite file; made where it is missing.
        demo: whether an empty database gets the demo lessons.
    """
    # The collector's young generation holds about one drag position at its usual size; a larger one spares pauses.
    gc.set_threshold(50_000, 20, 50)
    application = FastAPI(title="Ruddy Trellis", docs_url=None, redoc_url=None, openapi_url=None)
    lessons = Lessons(Database(data_path))
    application.state.lessons = lessons
    application.state.live = LiveBoards(lessons)
    if demo and not lessons.all():
        load_demo(lessons)
    recipes.load_all(lessons)
    application.include_router(pages.router)
    application.include_router(recipes.router)
    application.include_router(live.router)
    application.mount("/static", _Kept(directory=Path(__file__).parent / "static"), name="static")
    application.add_middleware(GZipMiddleware, minimum_size=600)
    application.add_middleware(Guard)

    @application.exception_handler(404)
    async def not_found(request: Request, _error):
        page = pages.templates.TemplateResponse(request, "not_found.html", {})
        page.status_code = 404
        return page

    return application


def load_demo(lessons):
    """Put the demo lessons into the store, through the same door as a person's file. The first is listed first."""
    for data in reversed(demo_lessons()):
        title, boards = lesson_from_json(data)
        lessons.create(title, [orjson.dumps(board_to_json(board)).decode() for board in boards])
