"""What might be true here: relations that hold in all shaken copies of a figure and are not simply how it was built."""

from collections.abc import Collection, Iterator
from dataclasses import dataclass
from itertools import combinations
from typing import Any

from ..arithmetic import FLOATS
from ..arithmetic.late import np
from ..board.board import Board
from ..catalogue import CATALOGUE
from ..catalogue.places import free_corner
from ..edits.models import Add, NewStep
from ..formulas import claims as formulas
from ..kinds import CIRCLE, POINT, POLYGON, STRAIGHTS
from ..language.expression import Formula
from ..language.fills import fill_to_json
from ..language.printing import phrase
from .copies import Copies
from .noticing_measures import sizes_and_shapes

#: In how many shaken copies it is looked, and how near counts as so.
_COPIES, _NEAR = 100, 1e-8
#: Of how many points, lines and circles at most all groups are looked at, and how many relations are told.
_POINTS, _LINES, _CIRCLES, _TOLD = 14, 12, 6, 14


@dataclass(frozen=True)
class Noticed:
    """A relation that holds in all shaken copies: in words, the ids to light, and the edit that claims it."""

    words: str
    ids: tuple[str, ...]
    edit: Add


def noticed(board: Board, only: Collection[str] = ()) -> list[Noticed]:
    """What might be true of a board, the most telling first.

    Args:
        only: the ids of a selection, of which it is asked; none for the whole board.
    """
    return [_told(board, key, fills) for key, fills in _relations(_Look(board, only))][:_TOLD]


def with_points(board: Board, ids: Collection[str]) -> set[str]:
    """Some things together with the points that they are made from."""
    return {*ids, *(parent for id in ids for parent in board.step(id).inputs if board.kind_of(parent) == POINT)}


class _Look:
    """A board's things that are seen, and their values in shaken copies."""

    def __init__(self, board: Board, only: Collection[str]) -> None:
        self.board = board
        self._copies = Copies(board, _COPIES)
        self.copies = self._copies.values
        self.points = self._of((POINT,), only, _POINTS)
        self.lines = self._of(STRAIGHTS, only, _LINES)
        self.circles = self._of((CIRCLE,), only, _CIRCLES)
        self.polygons = self._of((POLYGON,), only, _CIRCLES)
        self.on = board.incidence
        #: For every pair of points, what they are both on by construction.
        self.joined = {
            frozenset(pair): path
            for path, points in self.on.items()
            for pair in combinations(points, 2)
            if board.kind_of(path) in STRAIGHTS
        }

    def _of(self, kinds: Any, only: Collection[str], most: int) -> list[str]:
        """The ids of what is seen of some kinds, the latest first: these are what the figure was built for."""
        found = [
            step.id
            for step in self.board.steps
            if step.makes in kinds and not step.look.hidden and self.copies[step.id] is not None and (not only or step.id in only)
        ]
        return sorted(found[-most:], key=self.board.place)

    def holds(self, rule: Any, *ids: str) -> bool:
        """Whether a claim's rule holds in the copies."""
        return self._copies.holds(rule, *ids)

    def on_one(self, points: Collection[str]) -> bool:
        """Whether some points are on one path by construction."""
        return any(set(points) <= on for on in self.on.values())


def _relations(look: _Look) -> Iterator[tuple[str, dict[str, Any]]]:
    board = look.board
    same = [pair for pair in combinations(look.points, 2) if look.holds(formulas.same_place, *pair)]
    for pair in same:
        if board.step(pair[1]).does != "same_place":
            yield "same_point", {"a": pair[:1], "b": pair[1:]}
    points = [id for id in look.points if id not in {second for _, second in same}]
    yield from _concurrent(look)
    yield from _in_line(look, points)
    yield from _on_circles(look, points)
    yield from _touching(look)
    yield from sizes_and_shapes(look)
    yield from _equal_lengths(look, points)
    yield from _directions(look)


def _concurrent(look):
    board = look.board
    for three in combinations(look.lines, 3):
        ends = [set(board.step(id).inputs) | look.on.get(id, set()) for id in three]
        if not set.intersection(*ends) and look.holds(formulas.through_one_point, *three):
            yield "one_point", {"lines": three}


#: How a point is made on the line of two others: the gap that has these two.
_ON_PAIRS = {
    "midpoint": ("span",), "dividing": ("span",), "foot": ("base",), "point_towards": ("from", "to"), "point_on": ("path",),
    "intersection": ("a", "b"), "other_intersection": ("a", "b"),
}  # fmt: skip


def _lines_as_built(look):
    """The sets of points that are in line because they were made so."""
    board, lines = look.board, {}
    for path, on in look.on.items():
        if board.kind_of(path) in STRAIGHTS:
            lines[frozenset(board.step(path).inputs)] = set(on) | {id for id in board.step(path).inputs if board.kind_of(id) == POINT}
    for id in look.points:
        step = board.step(id)
        for gap in _ON_PAIRS.get(step.does, ()):
            pair = step.fills.get(gap, ())
            if len(pair) == 1 and board.kind_of(pair[0]) in STRAIGHTS:
                pair = tuple(one for one in board.step(pair[0]).inputs if board.kind_of(one) == POINT)
            if len(pair) == 2:
                lines.setdefault(frozenset(pair), set(pair)).add(id)
    return list(lines.values())


def _in_line(look, points):
    for line in _gathered(look, points, 3, formulas.in_line, _lines_as_built(look)):
        yield "in_line", {"points": line}


def _on_circles(look, points):
    for circle in look.circles:
        for point in points:
            if point not in look.on.get(circle, ()) and look.holds(formulas.on_round, point, circle):
                yield "lies_on", {"point": (point,), "path": (circle,)}
    for circle in _gathered(look, points, 4, formulas.on_one_circle, []):
        if not look.on_one(circle):
            yield "one_circle", {"points": circle}


def _gathered(look, points, least, rule, known):
    """The sets of points, as large as may be, that a rule holds for, of which no known set or path has all by construction.

    Args:
        least: of how many points it says anything. ``known`` gets what is found.
    """
    for few in combinations(points, least):
        if any(set(few) <= one for one in known) or look.on_one(few) or not look.holds(rule, *few):
            continue
        whole = set(few) | {other for other in points if other not in few and look.holds(rule, *few[: least - 1], other)}
        known.append(whole)
        yield tuple(sorted(whole, key=look.board.place))


def _touching(look):
    board = look.board
    for line in look.lines:
        for circle in look.circles:
            built = board.step(line).does in ("tangent_at", "tangent_from", "common_tangent") and circle in board.step(line).inputs
            if not built and look.holds(formulas.line_touches_round, line, circle):
                yield "are_tangent", {"a": (line,), "b": (circle,)}
    for pair in combinations(look.circles, 2):
        if look.holds(formulas.rounds_touch, *pair):
            yield "are_tangent", {"a": pair[:1], "b": pair[1:]}


def _equal_lengths(look, points):
    """Lengths that are equal: pairs of points of which most are joined, and not radii of one circle."""
    board = look.board
    with np.errstate(all="ignore"):
        lengths = {
            pair: np.hypot(look.copies[pair[0]][0] - look.copies[pair[1]][0], look.copies[pair[0]][1] - look.copies[pair[1]][1])
            for pair in combinations(points, 2)
            if frozenset(pair) in look.joined or any(set(pair) <= set(board.step(id).fills.get("corners", ())) for id in look.polygons)
        }
    seen: set[tuple[str, str]] = set()
    for pair, length in lengths.items():
        if pair in seen:
            continue
        alike = [
            other
            for other, far in lengths.items()
            if other != pair
            and other not in seen
            and np.nanmax(np.abs(far - length) / (np.abs(length) + np.abs(far)), initial=0.0) <= _NEAR
        ]
        if alike and np.isfinite(length).sum() > _COPIES // 3:
            chain = (pair, *alike)[:4]
            seen.update(chain)
            if len(chain) > 2 or not _built_equal(look, *chain):
                text = " = ".join(f"{{{number}}}" for number in range(len(chain)))
                yield "equal_values", {"statement": Formula(text, chain)}


def _built_equal(look, one, other):
    """Whether two lengths are equal by one step: the two parts at a midpoint, or two radii."""
    common = set(one) & set(other)
    ends = (set(one) | set(other)) - common
    if len(common) != 1 or len(ends) != 2:
        return False
    (middle,) = common
    step = look.board.step(middle)
    if step.does == "midpoint" and ends <= set(step.inputs):
        return True
    return any(
        ends <= on | set(look.board.step(path).inputs) and middle in look.board.step(path).inputs
        for path, on in look.on.items()
        if look.board.kind_of(path) == CIRCLE
    )


def _directions(look):
    board = look.board
    for pair in combinations(look.lines, 2):
        if look.board.step(pair[1]).does in ("perpendicular", "parallel") and pair[0] in board.step(pair[1]).inputs:
            continue
        one, other = (set(board.step(id).inputs) | look.on.get(id, set()) for id in pair)
        if look.holds(formulas.perpendicular, *pair):
            yield "are_perpendicular", {"a": pair[:1], "b": pair[1:]}
        elif len(one & other) < 1 and look.holds(formulas.parallel, *pair):
            yield "are_parallel", {"a": pair[:1], "b": pair[1:]}


def shapes_of(board: Board, id: str) -> tuple[list[str], list[str]]:
    """What a polygon is: the words that hold in all shaken copies, and those that hold only just now."""
    look = _Look(board, [id])
    always, now = [], []
    value = board.value(id)
    for word in formulas.PROPERTIES:
        rule = lambda m, polygon, word=word: formulas.has_property(m, polygon, word)
        if look.copies[id] is not None and look.holds(rule, id):
            always.append(word)
        elif value is not None and _holds_now(rule, value):
            now.append(word)
    return always, now


def _holds_now(rule: Any, value: Any) -> bool:
    try:
        return all(abs(defect) <= 1e-6 * (size() or 1.0) for defect, size in rule(FLOATS, value))
    except ArithmeticError:
        return False


def claim_of(board: Board, key: str, fills: dict[str, Any]) -> Add:
    """The edit that claims something."""
    given = {name: fill_to_json(fill) for name, fill in fills.items()}
    return Add(steps=[NewStep(does=key, fills={**given, "at": list(free_corner(board))})])


def _told(board, key, fills):
    words = phrase(CATALOGUE[key], fills, board.names).removeprefix("the claim that ")
    ids: list[str] = []
    for fill in fills.values():
        ids += [id for operand in fill.operands for id in operand] if isinstance(fill, Formula) else fill
    return Noticed(words, tuple(dict.fromkeys(ids)), claim_of(board, key, fills))
