"""What any number of selected things could become: their images, a family, sides and pairs of points, one sentence for each."""

from collections.abc import Iterator, Sequence
from itertools import combinations

from ..arithmetic.circular import atan2
from ..board.board import Board
from ..catalogue import CATALOGUE, GAP_KINDS
from ..edits.models import Add, Edit, LookChanges, NewStep, Restyle
from ..kinds import CIRCLE, LINE, NUMBER, POINT
from ..language.printing import listed, phrase
from ..limits import POLYGON_CORNERS
from ..seen import Place

#: How many points are joined in pairs at most, and how many steps one offer makes.
_PAIRED, _MOST_STEPS = 10, 50
#: Of more things than this only what holds for any number is offered.
MOST_FILLED = 12


def many_offers(board: Board, ids: Sequence[str]) -> Iterator[tuple[float, str, str, Edit]]:
    """Offers for several points: pairs of a rank, the construction, the words and the edit."""
    points = [id for id in ids if board.kind_of(id) == POINT]
    if len(points) == len(ids) and len(points) > 2:
        yield from _polygons(board, points)
        first, rest = points[0], points[1:]
        if len(rest) <= _MOST_STEPS:
            yield 30, "segment", f"join each to {board.name(first)}", _segments([(first, other) for other in rest])
        pairs = list(combinations(points, 2))
        if len(points) <= _PAIRED:
            yield 31, "segment", "join all in pairs", _segments(pairs)
    if len(ids) > MOST_FILLED:
        yield from _each(board, ids)
        if all(board.kind_of(id) in GAP_KINDS["anything"].single for id in ids) and len(ids) <= POLYGON_CORNERS:
            yield (
                70,
                "new_reveal",
                f"a button that reveals {listed(board, ids)}",
                Add(steps=[NewStep(does="new_reveal", fills={"things": list(ids)})]),
            )


def moving_offers(board: Board, ids: Sequence[str]) -> Iterator[tuple[float, str, str, Edit]]:
    """What a sliding point or a dial that is selected offers: its motion, a locus, an envelope; and a trail for what moves."""
    if len(ids) != 1:
        return
    step, name = board.step(ids[0]), board.name(ids[0])
    if step.construction.moves in ("sliding", "turning"):
        motion = CATALOGUE["motion"]
        words = phrase(motion, {"driver": tuple(ids), **motion.usual}, board.names, full=True, board=board)
        yield 3, "motion", words, Add(steps=[NewStep(does="motion", fills={"driver": list(ids), **motion.usual})])
        below = [other for other in board.dependants(ids) if not board.step(other).look.hidden]
        for other in [id for id in below if board.kind_of(id) == POINT][:3]:
            words = f"the locus of {board.name(other)} as {name} runs"
            yield 4, "locus", words, Add(steps=[NewStep(does="locus", fills={"tracer": [other], "driver": list(ids)})])
        for other in [id for id in below if board.kind_of(id) in (LINE, CIRCLE)][:2]:
            words = f"the envelope of {board.name(other)} as {name} runs"
            yield 5, "envelope", words, Add(steps=[NewStep(does="envelope", fills={"curve": [other], "driver": list(ids)})])
    if step.makes in (POINT, LINE, CIRCLE) and (step.inputs or step.construction.moves == "sliding"):
        on = step.look.trail is not None
        words = f"{name} leaves no trail" if on else f"{name} leaves a trail"
        yield 60, "trail", words, Restyle(ids=list(ids), look=LookChanges(trail=None if on else 0.0))


def _segments(pairs: Sequence[tuple[str, str]]) -> Add:
    return Add(steps=[NewStep(does="segment", fills={"from": [a], "to": [b]}) for a, b in pairs[:_MOST_STEPS]])


def _polygons(board: Board, points: list[str]) -> Iterator[tuple[float, str, str, Edit]]:
    """Where the order in which points were picked crosses itself, the polygon in the order that does not."""
    at = {id: board.value(id) for id in points}
    if any(value is None for value in at.values()) or not _crosses([at[id] for id in points]):
        return
    middle = tuple(sum(value[axis] for value in at.values()) / len(at) for axis in (0, 1))
    ordered = sorted(points, key=lambda id: atan2(at[id][1] - middle[1], at[id][0] - middle[0]))
    start = ordered.index(points[0])
    ordered = ordered[start:] + ordered[:start]
    words = f"the polygon round {', '.join(map(board.name, ordered))}, which does not cross itself"
    yield -1, "polygon", words, Add(steps=[NewStep(does="polygon", fills={"corners": ordered})])


def _crosses(corners: Sequence[Place]) -> bool:
    """Whether two sides of a polygon that have no corner in common cross."""
    count = len(corners)
    sides = [(corners[number], corners[(number + 1) % count]) for number in range(count)]

    def side_of(a: Place, b: Place, c: Place) -> float:
        return (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])

    for first, second in combinations(range(count), 2):
        if second - first in (1, count - 1):
            continue
        (a, b), (c, d) = sides[first], sides[second]
        if side_of(a, b, c) * side_of(a, b, d) < 0 and side_of(c, d, a) * side_of(c, d, b) < 0:
            return True
    return False


def _each(board: Board, ids: Sequence[str]) -> Iterator[tuple[float, str, str, Edit]]:
    """Sentences about one thing, said of each of very many."""
    for construction in CATALOGUE:
        if len(construction.asked_gaps) != 1 or construction.expands or construction.moves == "free" or construction.makes == NUMBER:
            continue
        (gap,) = construction.asked_gaps
        if not all(board.kind_of(id) in gap.kind.single for id in ids) or len(ids) > _MOST_STEPS:
            continue
        text = "".join(
            piece.text if piece.gap is None else f"each of {listed(board, ids)}" for piece in construction.pieces if not piece.group
        )
        yield construction.likely, construction.key, text, Add(steps=[NewStep(does=construction.key, fills={gap.name: [id]}) for id in ids])
