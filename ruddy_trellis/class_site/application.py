"""The class page."""

import json
from pathlib import Path
from urllib.error import URLError
from urllib.parse import quote
from urllib.request import urlopen

from fastapi import FastAPI, Request
from fastapi.responses import FileResponse
from fastapi.templating import Jinja2Templates
from markupsafe import Markup

_HERE = Path(__file__).parent


def create_class_site(lessons_address, first_link):
    """The class site as a web application.

    Args:
        lessons_address: where the lessons are served: "http://127.0.0.1:8200". Frames come from there and nowhere else.
        first_link: a function that gives the link of the lesson that the page shows at first, or None.
    """
    site = FastAPI(title="Class page", docs_url=None, redoc_url=None, openapi_url=None)
    templates = Jinja2Templates(_HERE)
    policy = (
        f"default-src 'none'; style-src 'self'; frame-src {lessons_address}; form-action 'self'; base-uri 'none'; frame-ancestors 'none'"
    )

    @site.middleware("http")
    async def guard(request, answer_to):
        answer = await answer_to(request)
        answer.headers["content-security-policy"] = policy
        answer.headers["x-content-type-options"] = "nosniff"
        return answer

    @site.get("/")
    def class_page(request: Request, lesson: str = ""):
        """The page of a class with a lesson in a frame: the first, or that of a link."""
        link = lesson.strip() or first_link() or ""
        found = told_of(lessons_address, link)
        problem = "" if found else "No lesson that is open to others is at that link." if link else "No lesson is shared yet."
        return templates.TemplateResponse(
            request, "page.html", {"link": link, "found": found, "frame": Markup(found["html"]) if found else "", "problem": problem},
            status_code=200 if found else 404,
        )  # fmt: skip

    @site.get("/class.css")
    def style():
        return FileResponse(_HERE / "class.css", media_type="text/css")

    return site


def told_of(lessons_address, link):
    """What oEmbed tells of a link, or None where it is none of a lesson that is open to others."""
    if not link.startswith(f"{lessons_address}/"):
        return None
    try:
        with urlopen(f"{lessons_address}/oembed?maxwidth=960&url={quote(link, safe='')}", timeout=5) as answer:
            return json.load(answer)
    except (URLError, ValueError):
        return None
