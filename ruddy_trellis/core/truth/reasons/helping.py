"""Helpers that a reason may need and the figure has not: a midpoint, a centre, where two lines meet, a foot; each once, cheapest first."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from itertools import combinations

from ...board.board import Board
from ...edits.models import Add, NewStep
from ...edits.prepare import perform
from ...kinds import POINT, POLYGON, STRAIGHTS
from ...refusal import Refusal
from .forms import Fact, pair
from .labelled import Labelled

#: Of so many helpers one after another is tried.
_MOST = 48


@dataclass(frozen=True)
class Helped:
    """A board with a helper more.

    Attributes:
        made: the ids of what was added, and ``there`` of what is on the board in any case and helps.
        with_areas: whether areas may lead to the goal, though it says nothing of any.
    """

    board: Board
    made: tuple[str, ...] = ()
    there: tuple[str, ...] = ()
    with_areas: bool = False


def helped(figure: Labelled, goals: Sequence[Fact]) -> Iterator[Helped]:
    """The board of a figure with one helper more, or with the midpoints of a triangle's sides; what is there already is not made again."""
    seen: set[tuple[str, str]] = set()
    for triangle in _triangles(figure):
        yield _with(figure, [("midpoint", {"span": _ids(figure, ends)}) for ends in combinations(triangle, 2)])
    for point, arms in _of_bisectors(figure):
        yield _with(figure, [("foot", {"point": _ids(figure, (point,)), "base": _ids(figure, arm)}) for arm in arms], with_areas=True)
    for ends in _between_middles(figure):
        yield _with(figure, [("midpoint", {"span": _ids(figure, ends)})])
    for pairs in _of_mirrors(figure):
        yield _with(figure, [("midpoint", {"span": _ids(figure, ends)}) for ends in pairs])
    for does, fills in _helpers(figure, goals):
        key = does, repr(sorted(fills.items()))
        if key in seen:
            continue
        seen.add(key)
        found = _with(figure, [(does, fills)])
        if found.made or found.there:
            yield found
        if len(seen) >= _MOST:
            return


def _of_mirrors(figure: Labelled) -> list[set[tuple[int, int]]]:
    """For each mirror line the pairs of points that are images of one another in it, where there are several."""
    found: dict[tuple[str, ...], set[tuple[int, int]]] = {}
    for step in figure.steps:
        made = figure.number(step.id)
        if step.does == "mirrored" and made is not None:
            point = figure.number(step.fills["point"][0])
            if point is not None:
                found.setdefault(step.fills["mirror"], set()).add(pair(point, made))
        elif step.does == "perpendicular_bisector" and len(ends := figure.ends(step.fills["span"])) == 2:
            found.setdefault((step.id,), set()).add(pair(*ends))
    return [pairs for pairs in found.values() if len(pairs) > 1]


def _of_bisectors(figure: Labelled) -> list[tuple[int, list[tuple[int, int]]]]:
    """The points on angle bisectors, each with the two arms."""
    found = []
    for step in figure.steps:
        if step.does == "angle_bisector":
            a, vertex, b = figure.numbers(step.fills["corner"])
            for point in figure.lines[step.id]:
                if point != vertex and not figure.is_nameless(point):
                    found.append((point, [(vertex, a), (vertex, b)]))
    return found


def _between_middles(figure: Labelled) -> list[tuple[int, int]]:
    """Pairs of points of which the one is an end of what one midpoint halves, the other of what another does."""
    spans = [ends for step in figure.steps if step.does == "midpoint" and len(ends := figure.ends(step.fills["span"])) == 2]
    found = {pair(a, b): None for one, other in combinations(spans, 2) for a in one for b in other if a != b}
    return list(found)[:8]


def _with(figure: Labelled, helpers: Sequence[tuple[str, dict]], with_areas: bool = False) -> Helped:
    """A figure's board with some helpers, without those that have no value."""
    board, made, there = figure.board.copy(), [], []
    for does, fills in helpers:
        alike = _alike(board, does, fills)
        if alike:
            there += [id for id in alike if figure.number(id) is None]
            continue
        try:
            perform(board, Add(steps=[NewStep(does=does, fills=fills)]))
        except Refusal:
            continue
        helper = board.steps[-1].id
        if board.value(helper) is not None:
            made.append(helper)
    return Helped(board, tuple(made), tuple(there), with_areas)


def _alike(board: Board, does: str, fills: dict) -> list[str]:
    """The ids of what is made so already; of two points that are taken in either order, in either."""
    wanted = {gap: tuple(fill) if isinstance(fill, list) else fill for gap, fill in fills.items()}
    other = {gap: fill[::-1] if gap == "span" else fill for gap, fill in wanted.items()}
    return [*dict.fromkeys((*board.alike(does, wanted), *board.alike(does, other)))]


def _ids(figure: Labelled, labels: Sequence[int]) -> list[str | None]:
    return [figure.ids[label] for label in labels]


def _triangles(figure: Labelled) -> list[tuple[int, ...]]:
    """The triangles of which a centre is made."""
    found = {
        tuple(sorted(figure.numbers(step.fills["triangle"]))) for step in figure.steps if "triangle" in step.fills and step.makes == POINT
    }
    return [one for one in sorted(found) if len(one) == 3]


def _helpers(figure: Labelled, goals: Sequence[Fact]) -> Iterator[tuple[str, dict]]:
    id = lambda number: figure.ids[number]
    for circle, (centre, on) in figure.circles.items():
        if centre is None and on:
            yield "centre", {"of": [circle]}
    sides = _sides(figure, goals)
    for a, b in sides:
        yield "midpoint", {"span": [id(a), id(b)]}
    for (a, b), (c, d) in combinations(_diagonals(figure, sides), 2):
        if len({a, b, c, d}) == 4:
            yield "intersection", {"a": [id(a), id(b)], "b": [id(c), id(d)]}
    named = [number for number in range(len(figure)) if not figure.is_nameless(number)]
    for a, b in combinations(named[:8], 2):
        yield "midpoint", {"span": [id(a), id(b)]}
    for a, b in sides:
        for point in named:
            if point not in (a, b):
                yield "foot", {"point": [id(point)], "base": [id(a), id(b)]}
    for step in figure.steps:
        if step.does == "midpoint":
            middle = figure.number(step.id)
            for point in named:
                if middle is not None and point != middle and id(point) not in step.fills["span"]:
                    yield "turned", {"point": [id(point)], "centre": [step.id], "angle": 180.0}


def _sides(figure: Labelled, goals: Sequence[Fact]) -> list[tuple[int, int]]:
    """Pairs of points that are joined, or that the goals speak of: these first."""
    found: dict[tuple[int, int], None] = {}
    for goal in goals:
        found.update(dict.fromkeys(combinations(sorted(goal.points), 2)))
    for step in figure.steps:
        if step.makes in STRAIGHTS:
            found.update(dict.fromkeys(combinations(sorted(figure.lines[step.id]), 2)))
        elif step.makes == POLYGON and step.does == "polygon":
            corners = figure.numbers(step.fills["corners"])
            found.update(dict.fromkeys(pair(*ends) for ends in zip(corners, corners[1:] + corners[:1], strict=True)))
        elif step.makes == POINT:
            for fill in step.fills.values():
                if isinstance(fill, tuple) and len(fill) in (2, 3) and all(isinstance(one, str) for one in fill):
                    found.update(dict.fromkeys(combinations(sorted(figure.numbers(fill)), 2)))
    return [ends for ends in found if not any(map(figure.is_nameless, ends))][:24]


def _diagonals(figure: Labelled, sides: list[tuple[int, int]]) -> list[tuple[int, int]]:
    """Joined pairs, and the diagonals of quadrilaterals."""
    found = dict.fromkeys(sides[:10])
    for step in figure.steps:
        if step.makes == POLYGON and step.does == "polygon":
            corners = figure.numbers(step.fills["corners"])
            if len(corners) == 4:
                found.update(dict.fromkeys((pair(*corners[::2]), pair(*corners[1::2]))))
        elif step.does == "fourth_corner":
            a, b, c = figure.numbers(step.fills["corners"])
            made = figure.number(step.id)
            if made is not None:
                found.update(dict.fromkeys((pair(a, c), pair(b, made))))
    return list(found)
