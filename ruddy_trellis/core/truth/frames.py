"""Coordinates put cleverly: which of a figure's pegs may stand at (0, 0) and (1, 0) without losing anything."""

from typing import Any

from ..kinds import NUMBER, POINT
from ..language.expression import Formula
from ..language.fills import is_ids
from .claimed import Claimed


def needs(claimed: Claimed) -> set[str]:
    """What of the plane a claim hangs on: "size", "direction", "origin" (see ``Construction.needs``). A figure that needs none
    of them can be turned, moved and enlarged without changing what is true of it."""
    found: set[str] = set()
    for step in (*claimed.board.steps, claimed.claim):
        found.update(step.construction.needs)
        for gap in step.construction.gaps:
            fill = step.fills.get(gap.name)
            if isinstance(fill, Formula):
                operands = [claimed.board.operand_dimension(operand) for operand in fill.operands]
                if not fill.is_homogeneous(operands):
                    found.add("size")
            elif gap.kind.literal == "number" and fill is not None and gap.name not in ("place", "least", "most", "step", "value"):
                length = _is_length(claimed.board, fill)
                if length != (gap.name in step.construction.lengths):
                    found.add("size")
    return found


def _is_length(board: Any, fill: Any) -> bool:
    """Whether what fills a gap for a number grows with the figure."""
    if not is_ids(fill):
        return False
    return len(fill) == 2 or board.kind_of(fill[0]) != NUMBER or board.dimension(fill[0]) == 1


def first_two(claimed: Claimed) -> list[str]:
    """The ids of two free points, or of fewer where there are no more: the foci of a conic, or those on which most hangs."""
    free = [step.id for step in claimed.board.steps if step.construction.moves == "free" and step.makes == POINT]
    for step in claimed.board.steps:
        if step.does in ("ellipse", "hyperbola") and set(foci := [*step.fills["first"], *step.fills["second"]]) <= set(free):
            return foci
    return sorted(free, key=lambda id: (-len(claimed.board.dependants([id])), claimed.board.place(id)))[:2]
