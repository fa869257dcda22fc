"""The help: how things may be said, a page for every construction with a figure to drag, and pages about one thing each."""

from functools import cache
from types import SimpleNamespace

from fastapi import APIRouter, HTTPException, Request, WebSocket
from starlette.concurrency import run_in_threadpool

from ...core import Figure
from ...core.board import Board
from ...core.catalogue import CATALOGUE
from ...core.display import Extent, display
from ...core.edits.examples import ways_shown
from ...core.hand import StudentHand
from ...core.hand.orders import ORDERS
from ...core.kits import kit_of
from ...core.language.printing import sentence
from ...core.lesson.by_hand_table import by_hand_table, row_of
from ...core.lesson.file import lesson_from_json
from ...demo import demo_lessons
from ...drawings.boards import USUAL_WIDTH, whole
from ..live.lines import carry
from ..live.practice_board import PracticeBoard
from ..people.who import visitor
from ..rendering import drawing_look, page
from ..security import same_origin
from ..shelf import shelf
from .finding_help import TOPICS, exists, found, topic

router = APIRouter()
#: How many other ways to say a thing are shown on the page about all of them; how many uses in the demo lessons.
_SHOWN, _USES = 5, 6
#: Of what is looked for so many letters are looked at.
_LONGEST = 400
#: What holds for every sentence, each with examples; all of them are read by a test, on a board with A, B, C, D, p, q, k and ABC.
RULES = (
    ("Articles and small words can be left out", ("midpoint of AB", "circle centre A through B")),
    (
        "A name comes first, or last",
        ("M = midpoint of AB", "let M be the midpoint of AB", "midpoint of AB, call it M", "the midpoint M of AB"),
    ),
    ("Two names may stand together, or apart", ("segment AB", "segment from A to B", "join A and B")),
    ("A noun may stand before a name; it has to agree with it", ("point on circle k", "slope of line p")),
    ("Numbers as people write them", ("rotation about A by 60°", "enlargement from A by the factor 1/2", "circle about A with radius 2½")),
    (
        "A thing may be described where its name could stand",
        ("circle through A with centre the midpoint of BC", "where line AB meets line CD"),
    ),
    ("What can be only one thing can be left out", ("altitude from C", "circumcircle")),
    ("Orders", ("reflect B in p", "rotate D 90° about A", "drop a perpendicular from B to p")),
)


@router.get("/help")
def help_page(request: Request, find: str = ""):
    """How things may be said, and what else the help has; or what some words are about."""
    find = find.strip()[:_LONGEST]
    if find:
        return page(request, "help_found.html", found=found(find), find=find)
    groups = [(group, [(tool, ways_shown(tool.key)[:_SHOWN]) for tool in tools]) for group, tools in shelf() if group != "Recipes"]
    topics = [(name, topic(name)[0]) for name in TOPICS]
    return page(request, "help.html", groups=groups, orders=ORDERS, rules=RULES, topics=topics, find="")


@router.get("/help/about/{name}")
def topic_page(request: Request, name: str):
    """A page about one thing."""
    if name not in TOPICS:
        raise HTTPException(404)
    title, text = topic(name)
    due = request.app.state.calendar.due().words() if name == "for-the-technician" and visitor(request) else ""
    return page(request, "help_topic.html", title=title, text=text, name=name, find="", shelf=shelf(), due=due,
                rows=by_hand_table() if name == "by-hand" else ())  # fmt: skip


@router.get("/help/{key}")
def construction_page(request: Request, key: str):
    """A construction: its sentence, other ways to say it, a figure to drag, what can go wrong, what it is used for."""
    if not exists(key):
        raise HTTPException(404)
    construction = CATALOGUE[key]
    return page(
        request, "help_construction.html", tool=construction, ways=ways_shown(key), working=construction.example.splitlines(),
        by_hand=row_of(key),
        uses=_uses().get(key, [])[:_USES], near=_beside(construction), find="",
    )  # fmt: skip


def _beside(construction):
    """The constructions next to one on the shelf."""
    row = next(tools for group, tools in shelf() if group == construction.group)
    place = row.index(construction)
    return [*row[max(0, place - 2) : place], *row[place + 1 : place + 3]]


@cache
def _uses():
    """Where each construction is used in the demo lessons: titles of a lesson with the sentence there."""
    uses = {}
    for data in demo_lessons():
        title, boards = lesson_from_json(data)
        for board in boards:
            for step in board.steps:
                if all(title != other for other, _ in uses.get(step.does, ())):
                    uses.setdefault(step.does, []).append((title, sentence(board, step.id)))
    return uses


# The figure --------------------------------------------------------------------------------------------------


def _figure(key: str) -> Board:
    """The figure of a construction's example, seen whole."""
    figure = Figure()
    figure.say(CATALOGUE[key].example)
    board = figure.board
    seen = whole(display(board, Extent(-6, -4, 6, 4)), 12 / USUAL_WIDTH)
    if seen:
        room = seen.grown(0.12)
        board.settings = board.settings.with_(view=(room.left, room.low, room.right, room.high), ground="blank", title=CATALOGUE[key].tool)
    return board


@router.get("/embed/help/{key}")
def figure_page(request: Request, key: str):
    """The figure of a construction as a board to drag, for the frame of its page."""
    if not exists(key):
        raise HTTPException(404)
    board = _figure(key)
    lesson = SimpleNamespace(title=CATALOGUE[key].tool, share_key="", slug="")
    live = SimpleNamespace(id=0)
    return page(
        request, "student.html", lesson=lesson, live=live, board=board, titles=[], way="embed", by="", look=drawing_look(),
        fresh="practice", link="", line=f"/help/{key}/live", own=False, kit=kit_of(board.settings), address="", challenge=None,
    )  # fmt: skip


@router.websocket("/help/{key}/live")
async def figure_line(socket: WebSocket, key: str):
    """The line of one browser to a figure of its own."""
    live = None
    if exists(key) and same_origin(socket.headers):
        live = PracticeBoard(await run_in_threadpool(_figure, key), socket.app.state.lessons)
    asked = next(iter(socket.scope["subprotocols"]), None)
    await carry(socket, live, StudentHand, protocol=asked)
