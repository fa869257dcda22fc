"""The panel of angle pairs, and what they are called where a teacher teaches."""

from typing import Annotated

from fastapi import APIRouter, Form, Request

from ...core.refusal import Refusal
from ...core.truth.angle_pairs import NAMES, called, eight_angles, pairs
from ..people.who import live_board, signed_in
from ..rendering import page

router = APIRouter()


@router.get("/boards/{board_id}/panels/angles")
def angles_panel(request: Request, board_id: int, ids: str = ""):
    """The eight angles that the last of three chosen lines makes with the others, and their pairs by name."""
    return _panel(request, board_id, ids, signed_in(request).angle_words)


@router.post("/boards/{board_id}/panels/angles")
def call_them(request: Request, board_id: int, ids: str = "", words: Annotated[int, Form()] = 0):
    """Call pairs of angles so from now on, on all boards of the teacher; the panel in these words."""
    words = min(max(words, 0), len(NAMES["consecutive interior"]) - 1)
    answer = _panel(request, board_id, ids, words)  # of a board that is not theirs nothing comes of it
    request.app.state.teachers.set_angle_words(signed_in(request).id, words)
    return answer


def _panel(request, board_id, ids, words):
    board = live_board(request, board_id).board
    lines = ids.split(",")[:3]
    try:
        found, why = pairs(board, lines), ""
        angles = eight_angles(board, lines)
    except Refusal as refusal:
        found, why, angles = [], refusal.sentence, []
    groups = [(called(key, words), [pair for pair in found if pair.relation == key]) for key in NAMES]
    return page(
        request, "panels/angles.html", board=board, board_id=board_id, groups=[one for one in groups if one[1]], why=why, angles=angles,
        lines=lines, words=words, choices=list(enumerate(NAMES["consecutive interior"])),
    )  # fmt: skip
