"""A board, or all boards of a lesson, as a page to print: figures to scale, questions with room to write, workings, answers apart."""

from typing import Annotated, Literal

from fastapi import APIRouter, Query, Request
from markupsafe import Markup
from pydantic import BaseModel, Field

from ...core.language.printing import sentence
from ...core.lesson.handout import answers, given, questions, told
from ...core.refusal import Refusal
from ...drawings.boards import as_opened, centimetres, picture_of_board, under
from ...drawings.svg import svg_text
from ...drawings.wanted import Wanted
from ..people.who import live_board
from ..photographs import photographs_of
from ..rendering import page

router = APIRouter()
#: What of a sheet can be printed on, millimetres; as wide is a figure that is not to scale, of one, two or four on a sheet.
_WIDE, _HIGH, _FITTED = 180, 250, {1: 175, 2: 130, 4: 84}
_MM = 25.4 / 96
#: On paper lines and letters are this much finer than on the screen.
_FINER = 1.35
#: Longer questions than this are no question; so many are asked at most.
_ASKED, _MOST = 2_000, 20


#: The choices of the page: the name of each, its words, and the ways with theirs; and what is on or off.
CHOICES = (
    ("boards", "Boards", (("this", "this one"), ("all", "all of the lesson"))),
    ("a_sheet", "On a sheet", (("1", "one"), ("2", "two"), ("4", "four"))),
    ("figure", "Figure", (("whole", "as it opens"), ("given", "what is given"), ("none", "none"))),
    ("size", "Its size", (("fitted", "as wide as there is room"), ("scale", "to scale"))),
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
    room: int = Field(default=3, ge=0, le=15)
    room_is: Literal["lines", "squares", "nothing"] = "lines"
    answered: bool = False
    ink_only: bool = False
    grid: bool = False
    chosen: bool = False
    asked: str = Field(default="", max_length=_ASKED)


@router.get("/boards/{board_id}/handout")
def handout(request: Request, board_id: int, chosen: Annotated[Chosen, Query()]):
    """The handout with what was chosen, and above it, on the screen only, the choices."""
    live, state = live_board(request, board_id), request.app.state
    rows = state.lessons.boards(live.lesson_id)
    shown = [live.board] if chosen.boards == "this" else [state.live.get(row.id).board for row in rows]
    own = chosen.asked.splitlines()[:_MOST] if chosen.chosen and chosen.boards == "this" else None
    if not chosen.chosen:
        chosen.asked = "\n".join(questions(live.board).values())
    photographs = photographs_of(request, live.lesson_id, shown)
    sheets = [_Sheet(board, number, chosen, photographs).told(own) for number, board in enumerate(shown)]
    return page(
        request,
        "handout.html",
        board=live.board,
        sheets=sheets,
        chosen=chosen.model_dump(),
        many=len(rows) > 1,
        choices=CHOICES,
        switches=SWITCHES,
    )


class _Sheet:
    """What stands on the handout of one board."""

    def __init__(self, board, number, chosen, photographs):
        self.board, self.number, self.chosen = board, number, chosen
        self.photograph = under(board, photographs)
        self.asks, self.says = questions(board), told(board)

    def told(self, asked):
        """Its parts for the page. ``asked`` are the questions, or None for what the board asks."""
        board, chosen = self.board, self.chosen
        drawn, why = self._figure()
        to_scale = drawn is not None and chosen.size == "scale" and not why
        return {
            "title": board.settings.title,
            "drawn": drawn,
            "told": why,
            "says": [text for id, text in self.says.items() if id not in as_opened(board).closed],
            "asked": [text for text in (self.asks.values() if asked is None else asked) if text.strip()],
            "working": [sentence(board, step.id) for step in board.steps] if chosen.working else [],
            "whole": self._whole() if chosen.answered else None,
            "answers": answers(board) if chosen.answered else [],
            "scale": f"1 cm is {1 / centimetres(board.settings):.6g} {board.settings.unit or 'units'}" if to_scale else "",
        }

    @property
    def _look(self):
        # What stands beside the figure is not written on it as well.
        closed = [*as_opened(self.board).closed, *self.asks, *self.says]
        return Wanted(closed=closed, ink_only=self.chosen.ink_only, grid=self.chosen.grid, ground="white")

    def _figure(self):
        """The figure as markup, and in words why it is not to scale where it should be."""
        look, chosen = self._look, self.chosen
        if chosen.figure == "none":
            return None, ""
        if chosen.figure == "given":
            begun = given(self.board)
            look = look.model_copy(update={"closed": [step.id for step in self.board.steps if step.id not in begun], "readings": False})
        if chosen.size == "fitted":
            return self._fitted(look, int(chosen.a_sheet)), ""
        try:
            picture = picture_of_board(self.board, look.model_copy(update={"size": "scale", "part": "all"}), self.photograph)
        except Refusal as refusal:
            return self._fitted(look, int(chosen.a_sheet)), refusal.sentence
        if picture.width * _MM <= _WIDE and picture.height * _MM <= _HIGH:
            return self._markup(picture, picture.width * _MM, "sheet"), ""
        why = "At its scale the figure is larger than this sheet. “Pages (PDF)” under Paper and files puts it on several."
        return self._fitted(look.model_copy(update={"part": "all"}), int(chosen.a_sheet)), why

    def _whole(self):
        """The figure with everything shown and every cover lifted, for the answers."""
        lifted = [step.id for step in self.board.steps]
        return self._fitted(self._look.model_copy(update={"closed": [*self.asks, *self.says], "lifted": lifted}), 2, "answers")

    def _fitted(self, look, a_sheet, prefix="sheet"):
        wide = _FITTED[a_sheet]
        look = look.model_copy(update={"wide": wide / _MM * _FINER})
        return self._markup(picture_of_board(self.board, look, self.photograph), wide, prefix)

    def _markup(self, picture, width_mm, prefix):
        return Markup(svg_text(picture, is_small=True, width_mm=width_mm, prefix=f"{prefix}{self.number}-"))  # our own; words are escaped
