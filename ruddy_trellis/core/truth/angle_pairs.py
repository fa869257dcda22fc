"""The eight angles that a line makes with two others, and how they go together in pairs."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations
from math import hypot, inf
from typing import Any

from ..arithmetic import FLOATS, Undefined
from ..board.board import Board
from ..board.step import Step
from ..display import Extent, display
from ..formulas import claims as formulas
from ..formulas import measures
from ..formulas.intersections import straight_straight
from ..kinds import STRAIGHTS
from ..refusal import Refusal
from ..seen import Items
from .copies import Copies

#: What pairs are called: for some in several countries, of which a person chooses.
NAMES = {
    "corresponding": ("corresponding",),
    "alternate interior": ("alternate interior", "alternate"),
    "alternate exterior": ("alternate exterior",),
    "consecutive interior": ("consecutive interior", "co-interior", "same-side interior"),
    "consecutive exterior": ("consecutive exterior", "co-exterior", "same-side exterior"),
    "vertical": ("vertical", "vertically opposite"),
    "linear pair": ("linear pair", "angles on a line"),
}
#: Pairs that are equal, the others add up to 180°; and pairs of which that is so whatever the lines.
_EQUAL = ("corresponding", "alternate interior", "alternate exterior", "vertical")
_ANYWHERE = ("vertical", "linear pair")
#: Degrees within which two angles count as equal.
_NEAR = 1e-6


def called(relation: str, words: int) -> str:
    """What a pair is called where a person teaches: ``words`` counts the columns of ``NAMES``."""
    return in_column(NAMES[relation], words)


def in_column(names: Sequence[str], words: int) -> str:
    """Of several names the one of a column; the last stands for the columns that follow."""
    return names[min(max(words, 0), len(names) - 1)]


def as_said(relation: str, words: int) -> str:
    """The same in a sentence: "vertical angles", "a linear pair"."""
    name = called(relation, words)
    return name if name.startswith("angles") else f"a {name}" if name.endswith("pair") else f"{name} angles"


@dataclass(frozen=True)
class Angle:
    """One of the eight: its number, its vertex, a place along each arm, which crossing it is at, whether it lies between the two lines,
    and whether to the left of the cutting line."""

    number: int
    vertex: tuple[float, float]
    arms: tuple[tuple[float, float], tuple[float, float]]
    crossing: int
    inner: bool
    left: bool

    @property
    def degrees(self) -> float:
        return measures.angle(FLOATS, self.arms[0], self.vertex, self.arms[1])


@dataclass(frozen=True)
class Pair:
    """Two of the eight angles: their numbers, what such a pair is called, and how they go together now and always, in words."""

    numbers: tuple[int, int]
    relation: str
    words: str


def eight_angles(board: Board, lines: Sequence[str]) -> list[Angle]:
    """The angles that the last of three lines makes with the other two, numbered round the first crossing, then the second.

    Raises:
        Refusal: where these are not three straight things, the last of which cuts the others in two places.
    """
    values: list[Any] = [board.value(id) if id in board and board.kind_of(id) in STRAIGHTS else None for id in lines]
    if len(set(lines)) != 3 or None in values:
        raise Refusal("Choose three lines: the two, then the one that cuts them.")
    a, b, t = ((*value[:4], -inf, inf) for value in values)
    try:
        crossings = [straight_straight(FLOATS, t, one) for one in (a, b)]
        along = FLOATS.separate(*crossings)
    except Undefined:
        raise Refusal(f"{board.name(lines[2])} does not cut the other two in two places now.") from None
    found = []
    for crossing, (at, line) in enumerate(zip(crossings, (a, b))):
        turn = along[0] * line[3] - along[1] * line[2]
        wx, wy = (line[2], line[3]) if turn > 0 else (-line[2], -line[3])
        size = (along[0] ** 2 + along[1] ** 2) ** 0.5 / (wx * wx + wy * wy) ** 0.5
        inward = 1 if crossing == 0 else -1
        for number, (inner, left) in enumerate(((True, True), (False, True), (False, False), (True, False)), 1 + 4 * crossing):
            way, side = (inward if inner else -inward), (size if left else -size)
            arms = (at[0] + way * along[0] / 2, at[1] + way * along[1] / 2), (at[0] + side * wx / 2, at[1] + side * wy / 2)
            found.append(Angle(number, at, arms, crossing, inner, left))
    return found


def relation(one: Angle, other: Angle) -> str | None:
    """What a pair of the eight angles is called; None where it has no name."""
    if one.crossing == other.crossing:
        return "vertical" if one.inner != other.inner and one.left != other.left else "linear pair"
    same_side = one.left == other.left
    if one.inner != other.inner:
        return "corresponding" if same_side else None
    where = "interior" if one.inner else "exterior"
    return f"{'consecutive' if same_side else 'alternate'} {where}"


def pairs(board: Board, lines: Sequence[str]) -> list[Pair]:
    """All pairs that have a name, those of one name together. Raises Refusal as :func:`eight_angles` does."""
    angles = eight_angles(board, lines)
    parallel = _always_parallel(board, lines)
    found = []
    for one, other in combinations(angles, 2):
        called = relation(one, other)
        if called is not None:
            found.append(Pair((one.number, other.number), called, _told(one, other, called, parallel)))
    return sorted(found, key=lambda pair: list(NAMES).index(pair.relation))


def _always_parallel(board: Board, lines: Sequence[str]) -> bool:
    copies = Copies(board, 24, 0.06)
    return None not in (copies.values[id] for id in lines[:2]) and copies.holds(formulas.parallel, *lines[:2])


def _told(one: Angle, other: Angle, called: str, parallel: bool) -> str:
    equal = called in _EQUAL
    so = abs(one.degrees - other.degrees if equal else one.degrees + other.degrees - 180) < _NEAR
    what = "equal" if equal else "180° together"
    if called in _ANYWHERE:
        return f"always {what}"
    if parallel:
        return f"{what}, because the lines are parallel"
    return f"{what} just now: the lines happen to be parallel" if so else f"not {what}: the lines are not parallel"


def drawn(board: Board, extent: Extent, angles: Sequence[Angle]) -> Items:
    """The display items of some of the angles, as arcs without names."""
    ahead = board.copy()
    made = []
    for angle in angles:
        ids = [f"{angle.number}:{part}" for part in ("a", "v", "c")]
        for id, at in zip(ids, (angle.arms[0], angle.vertex, angle.arms[1])):
            ahead.append(Step(id, "free_point", {"at": at}, id))
        ahead.append(Step(f"{angle.number}:angle", "angle", {"corner": tuple(ids)}, str(angle.number)))
        made.append(f"{angle.number}:angle")
    return [_numbered(item, angle) for item, angle in zip(display(ahead, extent, made), angles)]


def _numbered(item: Any, angle: Angle) -> Any:
    """An item of an angle with its number instead of its size: that is what the quiz asks about."""
    (ax, ay), (bx, by) = ((arm[0] - angle.vertex[0], arm[1] - angle.vertex[1]) for arm in angle.arms)
    a, b = hypot(ax, ay), hypot(bx, by)
    x, y = ax / a + bx / b, ay / a + by / b
    size = hypot(x, y) or 1.0
    label = {**item["label"], "text": str(angle.number), "at": angle.vertex, "push": (2.6 * x / size, 2.6 * y / size), "offset": None}
    return {**item, "label": label, "style": {**item["style"], "pen": "ruddy", "fill_pen": "ruddy", "firm": True}}
