"""A board, or all boards of a lesson, as a page to print: figures to scale, questions with room to write, workings, answers apart."""

from typing import Annotated, Literal

from fastapi import APIRouter, Query, Request
from markupsafe import Markup

from ...core.display import Extent, display
from ...core.language.printing import sentence
from ...core.lesson.handout import answers, given, questions
from ...core.refusal import Refusal
from ...drawings.boards import as_opened, centimetres, picture_of_board
from ...drawings.svg import svg_text
from ...drawings.wanted import Wanted
from ..people.who import live_board
from ..rendering import page

router = APIRouter()
#: What of a sheet can be printed on, millimetres; as wide is a figure that is not to scale, of one, two or four on a sheet.
_WIDE, _HIGH, _FITTED = 180, 250, {1: 175, 2: 130, 4: 84}
_MM = 25.4 / 96
#: On paper lines and letters are this much finer than on the screen.
_FINER = 1.35
#: Longer questions than this are no question; so many are asked at most.
_ASKED, _MOST = 2_000, 20
Flag = Annotated[bool, Query()]


@router.get("/boards/{board_id}/handout")
def handout(
    request: Request,
    board_id: int,
    boards: Literal["this", "all"] = "this",
    figure: Literal["whole", "given", "none"] = "whole",
    size: Literal["scale", "fitted"] = "fitted",
    a_sheet: Annotated[Literal["1", "2", "4"], Query()] = "1",
    working: Flag = False,
    room: Annotated[int, Query(ge=0, le=15)] = 3,
    room_is: Literal["lines", "squares", "nothing"] = "lines",
    answered: Flag = False,
    ink_only: Flag = False,
    grid: Flag = False,
    chosen: Flag = False,
    asked: Annotated[str, Query(max_length=_ASKED)] = "",
):
    """The handout with what was chosen, and above it, on the screen only, the choices.

    Args:
        chosen: whether the choices were made, or the page is opened for the first time.
        asked: questions, one a line; where nothing was chosen yet, what the board's words ask.
    """
    live = live_board(request, board_id)
    store = request.app.state
    shown = [live.board] if boards == "this" else [store.live.get(row.id).board for row in store.lessons.boards(live.lesson_id)]
    own = asked.splitlines()[:_MOST] if chosen and boards == "this" else None
    if not chosen:
        asked = "\n".join(questions(live.board).values())
    sheets = [
        _sheet(board, number, figure, size, int(a_sheet), ink_only, grid, own, working, answered) for number, board in enumerate(shown)
    ]
    return page(
        request, "handout.html", board=live.board, sheets=sheets, boards=boards, figure=figure, size=size, a_sheet=a_sheet, working=working,
        room=room, room_is=room_is, answered=answered, ink_only=ink_only, grid=grid, asked=asked, many=_many(request, live),
    )  # fmt: skip


def _many(request, live):
    return len(request.app.state.lessons.boards(live.lesson_id)) > 1


def _sheet(board, number, figure, size, a_sheet, ink_only, grid, asked, working, answered):
    """What stands on the handout of one board."""
    own = questions(board)
    if asked is None:
        asked = list(own.values())
    # What is asked beside the figure is not written on it as well.
    hidden = [*as_opened(board).closed, *own]
    look = Wanted(closed=hidden, ink_only=ink_only, grid=grid, ground="white")
    told = ""
    drawn = whole = None
    if figure != "none":
        if figure == "given":
            look = look.model_copy(update={"closed": [step.id for step in board.steps if step.id not in given(board)], "readings": False})
        drawn, told = _drawn(board, look, size, a_sheet, f"sheet{number}-")
    if answered:
        everything = [item["id"] for item in display(board, Extent(*board.settings.view))]
        open_look = look.model_copy(update={"closed": list(own), "lifted": everything, "readings": True})
        whole, _ = _drawn(board, open_look, "fitted", 2, f"answers{number}-")
    return {
        "title": board.settings.title,
        "drawn": drawn,
        "told": told,
        "asked": [text for text in asked if text.strip()],
        "working": [sentence(board, step.id) for step in board.steps] if working else [],
        "whole": whole,
        "answers": answers(board) if answered else [],
        "scale": f"1 cm is {1 / centimetres(board.settings):.6g} {board.settings.unit or 'units'}" if size == "scale" and not told else "",
    }


def _drawn(board, look: Wanted, size: str, a_sheet: int, prefix: str):
    """A figure as markup, and in words why it is not to scale where it should be."""
    told = ""
    if size == "scale":
        try:
            picture = picture_of_board(board, look.model_copy(update={"size": "scale", "part": "all"}))
            if picture.width * _MM <= _WIDE and picture.height * _MM <= _HIGH:
                return Markup(svg_text(picture, is_small=True, width_mm=picture.width * _MM, prefix=prefix)), ""
            told = "At its scale the figure is larger than this sheet. “Pages (PDF)” under Paper and files puts it on several."
        except Refusal as refusal:
            told = refusal.sentence
    fitted = look.model_copy(update={"part": "all" if size == "scale" else "view", "wide": _FITTED[a_sheet] / _MM * _FINER})
    picture = picture_of_board(board, fitted)
    return Markup(svg_text(picture, is_small=True, width_mm=_FITTED[a_sheet], prefix=prefix)), told
