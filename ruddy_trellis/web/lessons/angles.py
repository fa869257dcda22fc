"""The panel of angle pairs, and the quiz on them."""

import random

from fastapi import APIRouter, Request

from ...core.refusal import Refusal
from ...core.truth.angle_pairs import NAMES, eight_angles, pairs
from ..people.who import live_board
from ..rendering import page

router = APIRouter()


@router.get("/boards/{board_id}/panels/angles")
def angles_panel(request: Request, board_id: int, ids: str = "", words: int = 0):
    """The eight angles that the last of three chosen lines makes with the others, and their pairs by name."""
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


@router.get("/boards/{board_id}/panels/angles/quiz")
def quiz(request: Request, board_id: int, ids: str = "", words: int = 0, asked: str = "", answer: str = "", right: int = 0, of: int = 0):
    """A question about a pair of angles, after what came of the last one.

    Args:
        asked: the numbers of the two angles that were asked about, ``answer`` what was answered.
        right, of: how many answers were right so far, of how many.
    """
    board = live_board(request, board_id).board
    lines = ids.split(",")[:3]
    try:
        found = pairs(board, lines)
    except Refusal as refusal:
        return page(request, "panels/quiz.html", why=refusal.sentence)
    last = next((pair for pair in found if asked == f"{pair.numbers[0]}-{pair.numbers[1]}"), None)
    told = ""
    if last is not None and answer in NAMES:
        of += 1
        right += answer == last.relation
        told = f"{'Right' if answer == last.relation else 'No'}: {called(last.relation, words)} angles, {last.words}."
    next_one = random.choice([pair for pair in found if pair is not last])
    names = [(key, called(key, words)) for key in NAMES]
    return page(
        request, "panels/quiz.html", why="", told=told, pair=next_one, names=names, lines=lines, words=words, right=right, of=of,
        board_id=board_id,
    )  # fmt: skip


def called(relation: str, words: int) -> str:
    """What a pair is called where a person teaches."""
    names = NAMES[relation]
    return names[min(max(words, 0), len(names) - 1)]
