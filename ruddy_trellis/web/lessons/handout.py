"""A board, or all boards of a lesson, as a page to print: figures to scale, questions with room to write, workings, answers apart."""

from typing import Annotated, Literal

from fastapi import APIRouter, Query, Request
from fastapi.concurrency import run_in_threadpool
from markupsafe import Markup
from pydantic import BaseModel, Field

from ...core.lesson.file import board_to_text
from ...core.lesson.handout import questions
from ...drawings.handout_sheets import sheet_of
from ..people.who import live_board, signed_in
from ..photographs import photographs_of
from ..rendering import page
from ..worker import WRITER, while_asked

router = APIRouter()
#: Longer questions than this are no question; so many are asked at most.
_ASKED, _MOST = 2_000, 20


#: The choices of the page: the name of each, its words, and the ways with theirs; and what is on or off.
CHOICES = (
    ("boards", "Boards", (("this", "this one"), ("all", "all of the lesson"))),
    ("a_sheet", "On a sheet", (("1", "one"), ("2", "two"), ("4", "four"))),
    ("figure", "Figure", (("whole", "as it opens"), ("given", "what is given"), ("none", "none"))),
    ("size", "Its size", (("fitted", "as wide as there is room"), ("scale", "to scale"))),
    (
        "reasons",
        "Why it is so",
        (("none", "left out"), ("whole", "told"), ("reasons", "the reasons to fill in"), ("statements", "the statements to fill in")),
    ),
    ("room_is", "Room to write", (("lines", "lines"), ("squares", "squares"), ("nothing", "plain"))),
)
SWITCHES = (
    ("working", "the working"), ("answered", "answers, on a sheet of their own"), ("ink_only", "in ink only"), ("grid", "grid"),
)  # fmt: skip


class Chosen(BaseModel):
    """What is to be on a handout.

    Attributes:
        chosen: whether the choices were made, or the page is opened for the first time.
        asked: questions, one a line; where nothing was chosen yet, what the board's words ask.
    """

    boards: Literal["this", "all"] = "this"
    figure: Literal["whole", "given", "none"] = "whole"
    size: Literal["scale", "fitted"] = "fitted"
    a_sheet: Literal["1", "2", "4"] = "1"
    working: bool = False
    reasons: Literal["none", "whole", "reasons", "statements"] = "none"
    room: int = Field(default=3, ge=0, le=15)
    room_is: Literal["lines", "squares", "nothing"] = "lines"
    answered: bool = False
    ink_only: bool = False
    grid: bool = False
    chosen: bool = False
    asked: str = Field(default="", max_length=_ASKED)


@router.get("/boards/{board_id}/handout")
async def handout(request: Request, board_id: int, chosen: Annotated[Chosen, Query()]):
    """The handout with what was chosen, and above it, on the screen only, the choices. The figures are drawn elsewhere, for as long as
    somebody waits for them."""
    live, documents, photographs = await run_in_threadpool(_boards, request, board_id, chosen)
    own = chosen.asked.splitlines()[:_MOST] if chosen.chosen and chosen.boards == "this" else None
    if not chosen.chosen:
        chosen.asked = "\n".join(questions(live.board).values())
    sheets, words = [], signed_in(request).angle_words
    for number, document in enumerate(documents):
        work = WRITER.do(sheet_of, document, number, {**chosen.model_dump(), "words": words}, photographs, own)
        sheet = await while_asked(request, work)
        sheets.append({**sheet, **{part: sheet[part] and Markup(sheet[part]) for part in ("drawn", "whole")}})  # our own; words are escaped
    return page(
        request,
        "handout.html",
        board=live.board,
        sheets=sheets,
        chosen=chosen.model_dump(),
        many=len(request.app.state.lessons.boards(live.lesson_id)) > 1,
        choices=CHOICES,
        switches=SWITCHES,
    )


def _boards(request, board_id, chosen):
    """The board, the texts of those that are wanted, and the pictures under them."""
    live, state = live_board(request, board_id), request.app.state
    rows = state.lessons.boards(live.lesson_id)
    shown = [live.board] if chosen.boards == "this" else [state.live.get(row.id).board for row in rows]
    return live, [board_to_text(board) for board in shown], photographs_of(request, live.lesson_id, shown)
