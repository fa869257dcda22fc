"""What a click takes: for which gap of the sentence, and in which words."""

from math import dist

from ..board.board import Board
from ..board.nearest import distance_to_path
from ..edits.checking import misfit
from ..kinds import ARC, CONDITION, POINT, REGION, REGIONS, SEGMENT
from ..language.printing import noun
from ..refusal import Refusal
from ..seen import Place
from .picking import look_under, path_words, point_on_path
from .prompt import POINT_MAKERS, Prompt, Taking


def what_at(prompt: Prompt, board: Board, at: Place, tolerance: float, only: str | None = None) -> Taking:
    """What a click at a position would take.

    Args:
        only: the id of the one thing that is meant, where several lie there.

    Raises:
        Refusal: where nothing there fits, saying what would.
    """
    gaps = prompt.open_gaps(board)
    if not gaps:
        raise Refusal("The sentence is complete.")
    pending = _pending_at(prompt, at, tolerance * 1.5)
    if pending is not None:
        return _take_pending(prompt, gaps, pending)
    if only is not None:
        return what_of(prompt, board, only)
    under = look_under(board, at, tolerance)
    if prompt.construction.key in POINT_MAKERS and not prompt.filled:
        if taking := _point_itself(prompt, board, under, gaps[0]):
            return taking
    taking = _existing(prompt, board, gaps, under) or _created(prompt, board, gaps, under)
    if taking:
        return taking
    if under.points or under.paths:
        ids = under.points[:1] or under.paths[0]
        raise misfit(gaps[0], ids, board)
    raise Refusal(f"Nothing is under the pointer. {gaps[0].kind.goes}.")


def what_of(prompt: Prompt, board: Board, id: str) -> Taking:
    """What picking this one thing would take. Raises Refusal where it fits no gap."""
    gaps = prompt.open_gaps(board)
    if board.kind_of(id) == POINT:
        taking = _take_point(prompt, gaps, id, noun(board, id))
    else:
        fitting = (gap for gap in gaps if not prompt.filled.get(gap.name) and board.kind_of(id) in gap.kind.single)
        taking = next((Taking(gap.name, _spelt_out(board, gap, (id,)), noun(board, id)) for gap in fitting), None)
    if taking is None:
        raise misfit(gaps[0], (id,), board)
    return taking


def alternatives(prompt: Prompt, board: Board, at: Place, tolerance: float) -> list[str]:
    """The ids of things that lie on top of one another under a click and would each fit: more than one, or none."""
    if prompt.construction.key in POINT_MAKERS:
        return []
    under = look_under(board, at, tolerance)
    points = [id for id in under.points if _apart(board, id, under.points[0]) < 0.35 * tolerance and not _used(prompt, id)]
    single = [ids[0] for ids in under.paths if len(ids) == 1]
    if points:
        found = points
    else:
        near = [distance_to_path(board.kind_of(id), board.value(id), at) for id in single]
        found = [id for id, distance in zip(single, near) if distance - min(near) < 0.2 * tolerance]
    fitting = [id for id in found if _fits(prompt, board, id)]
    return fitting if len(fitting) > 1 else []


def _fits(prompt, board, id):
    try:
        return bool(what_of(prompt, board, id))
    except Refusal:
        return False


def _pending_at(prompt, at, reach):
    for item in prompt.new_points():
        if (item.at[0] - at[0]) ** 2 + (item.at[1] - at[1]) ** 2 <= reach * reach:
            return item
    return None


def _take_pending(prompt, gaps, item):
    return _take_point(prompt, gaps, item, "the new point") or _twice("That new point")


def _point_itself(prompt, board, under, gap):
    """For the tools that make a point by pointing: the point that the click makes."""
    new = under.new_point
    own = prompt.construction.key
    if prompt.retie is not None:
        if new.does == "free_point":
            raise Refusal(f"There is nothing here to tie {board.name(prompt.retie)} to. Point at a line, a circle, a curve or a crossing.")
        return Taking(gap.name, (new,), new.words)
    if own == "free_point":
        if under.points:
            raise Refusal(f"{noun(board, under.points[0]).capitalize()} is here already. Click elsewhere for a new point.")
        return Taking(gap.name, (new,), new.words)
    if own == "point_on" and under.paths:
        new = point_on_path(board, under.paths[0], under.at)
    return Taking(gap.name, (new,), new.words) if _makes(new, own) else None


#: What is picked by a click inside it.
_INSIDE = {*REGIONS, ARC, REGION, CONDITION}


def _existing(prompt, board, gaps, under):
    for id in under.points:
        if taking := _take_point(prompt, gaps, id, noun(board, id)):
            return taking
    if under.points and all(_used(prompt, id) for id in under.points):
        return _twice(board.name(under.points[0]))
    for gap in gaps:
        if prompt.filled.get(gap.name) and not gap.kind.several:
            continue
        for ids in under.paths:
            if _path_fits(board, gap, ids) and not set(ids) & set(prompt.filled.get(gap.name, ())):
                return Taking(gap.name, _spelt_out(board, gap, ids), path_words(board, ids))
        if gap.kind.several or gap.kind_name == "landmark" or (gap.kind.single and set(gap.kind.single) <= _INSIDE):
            for id in under.shapes:
                if board.kind_of(id) in gap.kind.single and id not in prompt.filled.get(gap.name, ()):
                    return Taking(gap.name, (id,), noun(board, id))
    return None


def _created(prompt, board, gaps, under):
    gaps = [gap for gap in gaps if not gap.kind.several and gap.kind_name not in ("driver", "tracer")]
    if any(POINT in gap.kind.single or gap.kind.points for gap in gaps):
        return _take_point(prompt, gaps, under.new_point, under.new_point.words)
    return None


def _used(prompt, item):
    return any(item in items for items in prompt.filled.values())


def _take_point(prompt, gaps, item, words):
    """A point for the first gap that takes it alone, or else for the first that needs several."""
    corners = next((gap for gap in gaps if gap.kind.points < 0), None)
    if corners and _used(prompt, item):
        items = prompt.filled[corners.name]
        if item == items[0] and len(items) >= 3:
            return Taking(corners.name, (), "the first corner again: close the polygon", closes=True)
        return None
    if _used(prompt, item) and prompt.construction.distinct:
        return None
    for gap in gaps:
        if POINT in gap.kind.single and (not prompt.filled.get(gap.name) or gap.kind.several):
            return Taking(gap.name, (item,), words)
    for gap in gaps:
        if gap.kind.points and item not in prompt.filled.get(gap.name, []):
            return Taking(gap.name, (item,), words)
    return None


def _twice(name):
    raise Refusal(f"{name} is picked already. Pick a different point.")


def _path_fits(board, gap, ids):
    if len(ids) == 1:
        return board.kind_of(ids[0]) in gap.kind.single
    return SEGMENT in gap.kind.single and gap.kind.points == 2


def _spelt_out(board, gap, ids):
    """A segment as its two ends, where the gap is after two points: so it stays when the segment goes."""
    if gap.kind_name == "span" and len(ids) == 1 and board.step(ids[0]).does == "segment":
        step = board.step(ids[0])
        return (*step.fills["from"], *step.fills["to"])
    return ids


def _apart(board, a, b):
    return dist(board.value(a), board.value(b))


def _makes(new, key):
    return new.does == key or (key == "intersection" and new.does == "other_intersection")
