"""What a sentence leaves out and a person means: the only triangle there is, the side opposite a corner, a usual step."""

import math
from typing import Any

from ..board.board import Board
from ..catalogue.construction import Construction, Gap
from ..kinds import CIRCLE, POINT, POLYGON
from ..seen import Fills

#: What is meant where a number is left out: the angle of a segment of a given length, for one.
_USUAL = {("segment_of_length", "angle"): 0.0, ("motion", "seconds"): 4.0, ("motion", "way"): "to and fro"}
#: How many places round the middle of the view are tried for a new point.
_PLACES = ((-0.25, -0.2), (0.25, -0.2), (0.05, 0.25), (-0.3, 0.15), (0.3, 0.15), (0.0, -0.3), (-0.1, 0.05), (0.15, 0.0))


def left_out(gap: Gap, construction: Construction, fills: Fills, triangle: tuple[str, ...], board: Board) -> list[Any]:
    """What a gap can be filled with that a sentence left out, the likeliest first; nothing where it cannot be told.

    Args:
        fills: what fills the other gaps.
        triangle: the corners of the triangle that the sentence speaks of, if it does.
    """
    usual = _USUAL.get((construction.key, gap.name))
    if usual is not None:
        return [usual]
    if construction.key == "free_point" and gap.name == "at":
        return [_free_place(board)]
    if gap.name == "step" and "least" in fills:
        return [_nice_step(fills["most"] - fills["least"])]
    if gap.name in ("side", "base") and "corner" in fills:
        return _opposite(board, fills["corner"][0], triangle)
    if gap.name == "known":
        return _on_both(board, fills)
    if gap.name in ("a", "b", "c") and construction.key == "circumcircle":
        corners = [triangle] if triangle else _triangles(board)
        place = ("a", "b", "c").index(gap.name)
        taken = [fills[name][0] for name in ("a", "b", "c") if name in fills]
        return [(corner[place],) for corner in corners if list(corner[:place]) == taken[:place]]
    if gap.kind.points == 3:
        return [triangle] if triangle else list(_triangles(board))
    if gap.kind_name == "circle" and "point" in fills:
        on = [step.id for step in board.steps if step.makes == CIRCLE and fills["point"][0] in board.incidence.get(step.id, ())]
        if on and construction.key == "tangent_at":
            return [(id,) for id in on]
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


def _on_both(board: Board, fills: Fills) -> list[tuple[str, ...]]:
    """The points that lie on both things by construction."""
    on = [set(fills[gap]) if len(fills[gap]) > 1 else board.incidence.get(fills[gap][0], set()) for gap in ("a", "b") if gap in fills]
    return [(id,) for id in sorted(set.intersection(*on), key=board.place)] if len(on) == 2 else []


def _nice_step(span: float) -> float:
    """A step for a dial of so long a range: a fortieth of it or less, and round."""
    return float(f"{10.0 ** math.floor(math.log10(max(abs(span), 1e-6) / 40)):.6g}")


def _free_place(board: Board) -> tuple[float, float]:
    """A place for a new point where nothing stands yet."""
    left, low, right, high = board.settings.view
    there = [board.value(step.id) for step in board.steps if step.makes == POINT and board.value(step.id) is not None]
    room = 0.04 * (right - left)
    for x, y in _PLACES:
        at = (round((left + right) / 2 + x * (right - left), 1), round((low + high) / 2 + y * (high - low), 1))
        if all(abs(at[0] - other[0]) + abs(at[1] - other[1]) > room for other in there):
            return at
    return round((left + right) / 2 + 0.01 * len(there), 2), round((low + high) / 2, 2)
