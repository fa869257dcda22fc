"""What a person calls quantities of a figure, for formulas in them: "call PQ = a, the angle QPR = α, R = (u, v)"."""

import re
from dataclasses import dataclass

from ..board.board import Board
from ..kinds import NUMBER, POINT, SEGMENT
from ..language.filling import operand, plain_statement
from ..refusal import Refusal

#: A symbol that a person may give: a letter, with a number or a prime.
_SYMBOL = re.compile(r"[^\W\d_](?:_?\d{1,2}|[′'])?")
_PLACE = re.compile(r"\(\s*([^\s,;()]+)\s*[,;]\s*([^\s,;()]+)\s*\)")
_OPENING = re.compile(r"\s*(?:call|let|where|with|name)\b", re.IGNORECASE)
_PARTS = re.compile(r"[,;]\s*(?:and\s+)?(?![^(]*\))|\s+and\s+")
_WHAT_FITS = "Quantities are named like this: PQ = a, angle QPR = α, R = (u, v), t = τ."
#: So many can be named at once.
_MOST = 12


@dataclass(frozen=True)
class Called:
    """A quantity with what it is called.

    Attributes:
        ids: two points whose distance it is, three points whose angle (the vertex in the middle), or one thing that can be moved.
        names: the symbols: two for the coordinates of a free point, else one.
        words: how it was said.
    """

    ids: tuple[str, ...]
    names: tuple[str, ...]
    words: str


def read_called(board: Board, text: str) -> list[Called]:
    """The quantities that a text names.

    Raises:
        Refusal: with what could not be read, and what would be.
    """
    text = _OPENING.sub("", text).strip().rstrip(".")
    parts = [part.strip() for part in _PARTS.split(text) if part.strip()]
    if len(parts) > _MOST:
        raise Refusal(f"At most {_MOST} quantities are named at once.")
    found = [_read(board, part) for part in parts]
    names = [name for one in found for name in one.names]
    twice = next((name for name in names if names.count(name) > 1), None)
    if twice is not None:
        raise Refusal(f"Two quantities cannot both be called {twice}.")
    return found


def _read(board: Board, text: str) -> Called:
    sides = [side.strip() for side in re.split(r"=|\s(?:is|as)\s", text)]
    if len(sides) != 2:
        raise Refusal(f"“{text[:40]}” names nothing. {_WHAT_FITS}")
    for quantity, symbols in (sides, sides[::-1]):
        place = _PLACE.fullmatch(symbols)
        names = place.groups() if place else (symbols,)
        if all(map(_SYMBOL.fullmatch, names)) and (ids := _quantity(board, quantity)) is not None:
            if place and (len(ids) != 1 or not _is_free_point(board, ids[0])):
                raise Refusal(f"{quantity[:30]} is not a free point, so it has no coordinates of its own to be named.")
            if not place and len(ids) == 1 and _is_free_point(board, ids[0]):
                raise Refusal(f"The coordinates of {quantity[:30]} are two: {quantity[:30]} = (u, v).")
            return Called(ids, tuple(names), f"{quantity} = {symbols}")
    raise Refusal(f"“{text[:40]}” names nothing that is here. {_WHAT_FITS}")


def _quantity(board: Board, text: str) -> tuple[str, ...] | None:
    """What a text stands for, as in ``Called.ids``; None where it is nothing of that kind."""
    at = re.fullmatch(r"(?:the\s+)?angle\s+at\s+(\S+)", text)
    text = plain_statement(text)
    angle = re.fullmatch(r"angle\s*(?:\((.+)\)|(.+))", text)
    try:
        if at:
            return _angle_at(board, at[1])
        if angle:
            ids = operand(angle[1] or angle[2], "angle", board)
            return _measured(board, ids[0]) if len(ids) == 1 else ids
        text = re.sub(r"^(?:dial|reading|point|side|segment|place of)\s+", "", text)
        for id in board.ids_named(text):
            if board.step(id).construction.moves in ("free", "sliding", "turning") or board.kind_of(id) == SEGMENT:
                return _ends(board, id)
        ids = operand(text, None, board)
    except Refusal:
        return None
    return ids if len(ids) > 1 else _measured(board, ids[0])


def _angle_at(board: Board, name: str) -> tuple[str, ...] | None:
    """The only angle at a point that is measured, or the only one of a polygon there; None where there are none or several."""
    corners = {
        step.fills["corner"]
        for step in board.steps
        if step.does == "angle" and step.makes == NUMBER and board.name(step.fills["corner"][1]) == name
    }
    for step in board.steps:
        around = step.fills.get("corners", ())
        for number, corner in enumerate(around):
            if board.name(corner) == name and not corners:
                corners.add((around[number - 1], corner, around[(number + 1) % len(around)]))
    return corners.pop() if len(corners) == 1 else None


def _is_free_point(board: Board, id: str) -> bool:
    return board.kind_of(id) == POINT and board.step(id).construction.moves == "free"


def _ends(board: Board, id: str) -> tuple[str, ...] | None:
    """A thing that can be moved, or the ends of a segment between points."""
    step = board.step(id)
    if step.construction.moves:
        return (id,)
    return (*step.fills["from"], *step.fills["to"]) if step.does == "segment" else None


def _measured(board: Board, id: str) -> tuple[str, ...] | None:
    """Of which points a reading is the distance or the angle."""
    step = board.step(id)
    if step.does == "angle" and "turn" not in step.fills:
        return tuple(step.fills["corner"])
    if step.does == "radius" and (circle := board.step(step.fills["circle"][0])).does == "circle":
        return (*circle.fills["centre"], *circle.fills["point"])
    ids = step.fills.get("span", ()) or (*step.fills.get("from", ()), *step.fills.get("to", ()))
    if step.does not in ("length", "distance"):
        return None
    if len(ids) == 1:
        return _ends(board, ids[0])
    return tuple(ids) if all(board.kind_of(one) == POINT for one in ids) else None
