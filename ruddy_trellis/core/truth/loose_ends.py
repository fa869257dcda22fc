"""Loose ends: what looks tied and is not, each with the edit that ties it."""

from dataclasses import dataclass
from math import atan2, degrees, hypot

from ..board.board import Board
from ..board.nearest import distance_to_path
from ..catalogue.claims import lies_on
from ..edits.models import NewStep, Retie
from ..formulas import claims as formulas
from ..kinds import LINE, PATHS, POINT, RAY, STRAIGHTS
from ..language.printing import noun
from ..pointing.dragging import roots
from ..pointing.picking import crossing_near, point_on_path
from .copies import Copies

#: Two directions look parallel or perpendicular within so many degrees.
_DEGREES = 2.0
_MOST = 40


@dataclass(frozen=True)
class LooseEnd:
    """One thing that looks tied: what it looks like in words, the ids to light, and the edit that ties it (or None
    where nothing in it is free to be tied)."""

    words: str
    ids: tuple
    edit: Retie | None


def loose_ends(board: Board, reach: float) -> list[LooseEnd]:
    """What looks tied on a board and is not.

    Args:
        reach: how near looks tied, in board units.
    """
    copies = Copies(board, 24, 0.06)
    found = [*_points(board, copies, reach), *_directions(board, copies)]
    return found[:_MOST]


def _seen(board, copies, kinds):
    """The visible things of these kinds that are there now, and in shaken copies."""
    return [
        step
        for step in board.steps
        if step.makes in kinds and not step.look.hidden and board.value(step.id) is not None and copies.values[step.id] is not None
    ]


def _points(board, copies, reach):
    points = _seen(board, copies, (POINT,))
    paths = [
        step for step in board.steps if step.makes in PATHS and board.value(step.id) is not None and copies.values[step.id] is not None
    ]
    for step in points:
        at = board.value(step.id)
        below = set(board.dependants([step.id]))
        twin = _twin(board, copies, step, points, reach, below)
        if twin:
            yield twin
            continue
        near = []
        for path in paths:
            if step.id in board.incidence.get(path.id, ()) or path.id in below:
                continue
            distance = distance_to_path(path.makes, board.value(path.id), at)
            if distance <= reach and not copies.holds(lies_on(path.makes), step.id, path.id):
                near.append((distance, path.id))
        near.sort()
        if near:
            yield _off_path(board, step, [id for _, id in near], at)


def _twin(board, copies, step, points, reach, below):
    """The point that another point seems to be."""
    x, y = board.value(step.id)
    for other in points:
        if (
            other.id in below
            or other.id == step.id
            or (other.moves == "free" == step.moves and board.place(other.id) > board.place(step.id))
        ):
            continue
        ox, oy = board.value(other.id)
        if hypot(ox - x, oy - y) <= reach and not copies.holds(formulas.same_place, step.id, other.id):
            edit = Retie(id=step.id, does="same_place", fills={"point": [other.id]}) if step.moves else None
            words = f"{board.name(step.id)} and {board.name(other.id)} look like one point, and are two."
            return LooseEnd(words, (step.id, other.id), edit) if step.moves else None
    return None


def _off_path(board, step, ids, at):
    name = board.name(step.id)
    if len(ids) > 1:
        first, second = sorted(ids[:2], key=board.place)
        crossing = crossing_near(board, (first,), (second,), at)
        if crossing and step.id not in crossing.fills.get("known", ()):
            words = f"{name} looks to be where {board.name(first)} meets {board.name(second)}, and is not tied there."
            edit = Retie(id=step.id, does=crossing.does, fills=_lists(crossing.fills)) if step.moves == "free" else None
            return LooseEnd(words, (step.id, first, second), edit)
    on = point_on_path(board, (ids[0],), at)
    edit = Retie(id=step.id, does=on.does, fills=_lists(on.fills)) if step.moves == "free" else None
    return LooseEnd(f"{name} looks to be on {noun(board, ids[0])}, and is not tied to it.", (step.id, ids[0]), edit)


def _lists(fills):
    return {name: list(fill) if isinstance(fill, tuple) else fill for name, fill in fills.items()}


def _directions(board, copies):
    """Straight things that look parallel or perpendicular."""
    steps = _seen(board, copies, STRAIGHTS)[:150]
    turns = {step.id: degrees(atan2(board.value(step.id)[3], board.value(step.id)[2])) for step in steps}
    for number, step in enumerate(steps):
        for other in steps[:number]:
            for square, words, rule in ((0, "parallel", formulas.parallel), (90, "perpendicular", formulas.perpendicular)):
                off = (turns[step.id] - turns[other.id] - square + 90) % 180 - 90
                if abs(off) > _DEGREES:
                    continue
                if copies.holds(rule, step.id, other.id):
                    continue
                if abs(off) < 1e-9 and not (set(roots(board, step.id)) - set(roots(board, other.id))):
                    continue
                edit = _tied_direction(board, step, other, square) or _tied_direction(board, other, step, square)
                text = f"{board.name(step.id)} looks {words} to {board.name(other.id)}, and is not tied so."
                yield LooseEnd(text, (step.id, other.id), edit)


def _tied_direction(board, step, other, square):
    """The edit that puts a free end of a straight thing on a line through its other end; None where no end is free."""
    if step.does not in ("segment", "vector", RAY, LINE):
        return None
    helper = "perpendicular" if square else "parallel"
    for end, start in (("to", "from"), ("from", "to")):
        (end_id,), (start_id,) = step.fills[end], step.fills[start]
        depends = {other.id, start_id} & {end_id, *board.dependants([end_id])}
        if board.step(end_id).moves == "free" and not depends:
            fills = {"path": ["new:0"], "place": "nearest"}
            new = NewStep(does=helper, fills={"base": [other.id], "point": [start_id]})
            return Retie(id=end_id, does="point_on", fills=fills, helper=new)
    return None
