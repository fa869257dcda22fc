"""How answers are made: pages from templates, pictures of boards, names of files, and what a file that came in is."""

from pathlib import Path

from fastapi.responses import Response
from fastapi.templating import Jinja2Templates

from ..core import limits
from ..core.display import Extent, at_first, display
from ..core.display.palette import COVER, GROUNDS, LATTICES, PENS, SIZES
from ..core.display.text import shown_name, value_text
from ..core.language.printing import noun, sentence, why_absent
from ..core.refusal import Refusal
from ..drawings.svg import svg
from ..drawings.things import DASHES
from .bundling import STATIC
from .shelf import icon

_TEMPLATES = Path(__file__).parent / "templates"
templates = Jinja2Templates(_TEMPLATES)
templates.env.globals.update(icon=icon, shown_name=shown_name, value_text=value_text, sentence=sentence, noun=noun, why_absent=why_absent)


def stamp():
    """A mark of the last change of static files and of what else is in the sheets, so that browsers may keep them until then."""
    made_of = [*STATIC.rglob("*.*"), *_TEMPLATES.rglob("*.html"), *Path(__file__).parents[1].rglob("*.py")]
    return str(int(max(path.stat().st_mtime for path in made_of)))


#: Where static files are: under their stamp, so that what they name by relative addresses is new with them.
templates.env.globals.update(stamp=stamp(), static=f"/static/{stamp()}")


def page(request, template, /, **values):
    """A page from its template, with what ``templates.context_processors`` add to every one."""
    return templates.TemplateResponse(request, template, values)


async def content_of(file):
    """What is in a file that was sent. Raises Refusal where it is too large."""
    content = await file.read(limits.FILE_BYTES + 1)
    if len(content) > limits.FILE_BYTES:
        raise Refusal("That file is too large: a file has at most 8 MB.")
    return content


def file_name(title):
    """A title as the name of a file."""
    return "".join(letter if letter.isalnum() and letter.isascii() else "-" for letter in title.lower()).strip("-") or "lesson"


def drawing_look():
    """What the page's own drawing has to know: pens, grounds, dash patterns and sizes by name, the colour of covers."""
    return {"pens": PENS, "grounds": GROUNDS, "lattices": LATTICES, "dashes": DASHES, "sizes": SIZES, "cover": COVER}


def picture_of(board):
    """The answer with a small picture of a board."""
    extent = Extent(*board.settings.view)
    dark = board.settings.paper == "dark"
    drawn = svg(
        at_first(display(board, extent)),
        extent,
        320,
        192,
        dark=dark,
        scale=0.68 * min(board.settings.size, 1.5),
        tags=False,
        ground=GROUNDS[dark],
    )
    return Response(drawn, media_type="image/svg+xml", headers={"cache-control": "no-cache"})
