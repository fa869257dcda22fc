"""The compass work of each construction, told from the definitions: how many moves, and positions in which it is not there."""

from collections.abc import Iterator
from dataclasses import dataclass
from functools import cache
from itertools import combinations, permutations

from ..board.board import Board
from ..catalogue import CATALOGUE
from ..catalogue.by_hand import WAYS
from ..edits.by_hand import CIRCLES, LINES
from ..edits.models import ByHand
from ..edits.pasting import grow
from ..edits.prepare import perform
from ..kinds import join
from ..refusal import Refusal

#: Examples in which a length is one of the figure, where those of the catalogue type a number; and a point of a conic.
_EXAMPLES = {
    "point_on": "A = (-2, 0)\nB = (2, 0)\nC = (1, 2)\nk is the ellipse with foci A and B through C\nP is a point on k at 70",
    "point_towards": "A = (0, 0)\nB = (2, 0)\nC = (0, 2)\nD = (3, 3)\nP is the point at AB from C towards D",
    "circle_radius": "A = (0, 0)\nB = (2, 0)\nC = (0, 2)\nd is the length of AB\nk is the circle with centre C and radius d",
}


@dataclass(frozen=True)
class Row:
    """The compass work of one construction.

    Attributes:
        key, tool: of the construction. says: the sentence of the example that is spoken of.
        moves: how many lines and circles it takes; ``closing`` with compasses that close when they are lifted.
        second: the other way that schools teach, in words, and ``second_moves``; "" for none.
        where: what has to be so, besides what the sentence itself needs, in words.
        has_page: whether the help has a page about it.
        missing: positions in which the thing is there in one step and not by hand, in words.
    """

    key: str
    tool: str
    says: str
    moves: int
    closing: int
    has_page: bool
    missing: tuple[str, ...]
    second: str = ""
    second_moves: int = 0
    where: str = ""


@cache
def by_hand_table() -> tuple[Row, ...]:
    """A row for each construction that has compass work, in the order of the shelf."""
    return tuple(row for construction in CATALOGUE if construction.key in WAYS and (row := _row(construction)) is not None)


def row_of(key: str) -> Row | None:
    """What there is to say of the compass work of one construction; None where it has none."""
    return next((row for row in by_hand_table() if row.key == key), None)


def _row(construction):
    text = _EXAMPLES.get(construction.key, construction.example)
    board = _board(text)
    # Images stand in one row, that of the image of a point.
    if construction.key.startswith("image_") and construction.key != "image_point":
        return None
    id = board.steps[-1].id
    try:
        drawn, closing = (_drawn(board, id, closes) for closes in (False, True))
    except Refusal:
        return None
    says, way = text.splitlines()[-1], WAYS[construction.key]
    return Row(
        construction.key,
        construction.tool,
        says,
        _moves(board, drawn),
        _moves(board, closing),
        bool(construction.group),
        tuple(_missing(board, drawn, id)),
        way.called,
        _moves(board, _drawn(board, id, False, True)) if way.second else 0,
        way.where,
    )


def _board(text):
    board = Board()
    grow(board, text)
    return board


def _drawn(board, id, closes, another=False):
    drawn = board.copy()
    perform(drawn, ByHand(ids=[id], closes=closes, another=another))
    return drawn


def _moves(board, drawn):
    return sum(step.does in (*LINES, *CIRCLES) for step in drawn.steps if step.id not in board or step != board.step(step.id))


def _missing(board: Board, drawn: Board, id: str) -> Iterator[str]:
    """In words, each sort of position once: what is said of three points in line is not said of one half-way between the others."""
    pegs = [step.id for step in board.steps if step.moves == "free" and step.makes == "point"]
    told: set[frozenset[str]] = set()
    for words, about, places in _special(board, pegs):
        if about in told:
            continue
        one, other = board.copy(), drawn.copy()
        one.move(places)
        other.move(places)
        if one.value(id) is not None and other.value(id) is None:
            told.add(about)
            yield words


def _special(board: Board, pegs: list[str]) -> Iterator[tuple[str, frozenset[str], dict[str, tuple[float, ...]]]]:
    """Positions of an example in which points are one place, in one line, or at a right angle: the words, the points, the places."""
    for here, there in combinations(pegs, 2):
        yield f"{board.name(there)} is at {board.name(here)}", frozenset((here, there)), {there: board.value(here)}
    for share in (0.375, 0.5):
        for moved, start, end in permutations(pegs, 3):
            (ax, ay), (bx, by) = board.value(start), board.value(end)
            names = [board.name(moved), *sorted((board.name(start), board.name(end)))]
            words = f"{join(sorted(names))} are in line" if share != 0.5 else f"{names[0]} is half-way between {names[1]} and {names[2]}"
            yield words, frozenset((moved, start, end)), {moved: (ax + share * (bx - ax), ay + share * (by - ay))}
    for moved, corner, end in permutations(pegs, 3):
        (ax, ay), (bx, by) = board.value(corner), board.value(end)
        words = f"the angle {board.name(moved)}{board.name(corner)}{board.name(end)} is a right one"
        yield words, frozenset((moved, corner, end)), {moved: (ax - (by - ay), ay + (bx - ax))}
