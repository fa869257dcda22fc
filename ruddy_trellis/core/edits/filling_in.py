"""What a sentence leaves out and a person means: the only triangle there is, the side opposite a corner, what is usual."""

from typing import Any

from ..board.board import Board
from ..catalogue.construction import Construction, Gap
from ..kinds import POINT, POLYGON
from ..seen import Fills


def left_out(gap: Gap, construction: Construction, fills: Fills, triangle: tuple[str, ...], board: Board) -> list[Any]:
    """What a gap can be filled with that a sentence left out, the likeliest first; nothing where it cannot be told.

    Args:
        fills: what fills the other gaps.
        triangle: the corners of the triangle that the sentence speaks of, if it does.
    """
    if gap.name in construction.usual:
        usual = construction.usual[gap.name]
        return [usual(fills, board) if callable(usual) else usual]
    if gap.name in ("side", "base") and "corner" in fills:
        return _opposite(board, fills["corner"][0], triangle)
    if gap.name in construction.tied:
        return _tied(board, gap, construction, fills)
    if gap.name in ("a", "b", "c") and construction.key == "circumcircle":
        corners = [triangle] if triangle else _triangles(board)
        place = ("a", "b", "c").index(gap.name)
        taken = [fills[name][0] for name in ("a", "b", "c") if name in fills]
        return [(corner[place],) for corner in corners if list(corner[:place]) == taken[:place]]
    if gap.kind.points == 3:
        return [triangle] if triangle else list(_triangles(board))
    if gap.kind.single and not gap.kind.literal:
        return [(step.id,) for step in board.steps if step.makes in gap.kind.single and step.makes != POINT and not step.look.hidden]
    return []


def _triangles(board: Board) -> list[tuple[str, ...]]:
    """The triangles on a board: polygons of three corners, or the three points where there are just three."""
    found = [tuple(step.fills["corners"]) for step in board.steps if step.makes == POLYGON and len(step.fills.get("corners", ())) == 3]
    points = [step.id for step in board.steps if step.does == "free_point"]
    return list(dict.fromkeys(found)) or ([tuple(points)] if len(points) == 3 else [])


def _opposite(board: Board, corner: str, triangle: tuple[str, ...]) -> list[tuple[str, ...]]:
    """The sides opposite a corner, as their two ends."""
    found = [tuple(id for id in one if id != corner) for one in ([triangle] if triangle else _triangles(board)) if corner in one]
    return list(dict.fromkeys(found))


def _tied(board: Board, gap: Gap, construction: Construction, fills: Fills) -> list[tuple[str, ...]]:
    """What lies together by construction: the points of all paths that are there, or the paths of the point."""
    known, *paths = construction.tied
    if gap.name != known:
        point = fills.get(known, ("",))[0]
        return [(id,) for id, on in board.incidence.items() if point in on and board.kind_of(id) in gap.kind.single]
    on = [set(fills[path]) if len(fills[path]) > 1 else board.incidence.get(fills[path][0], set()) for path in paths if path in fills]
    return [(id,) for id in sorted(set.intersection(*on), key=board.place)] if len(on) == len(paths) else []
