"""A region: the part of the plane where conditions hold, with exact corners, area and perimeter."""

from dataclasses import dataclass, fields, is_dataclass
from functools import cached_property
from math import ceil, isfinite, log2
from typing import Any

from ..arithmetic.adding import total
from ..arithmetic.late import np
from .boundary import BESIDE, Piece, area, girth, point_within, rings
from .conditions import Condition
from .edges import Edge, Place, RoundEdge, StraightEdge

#: The ways to put conditions together.
ALL, ANY, NONE = "all", "any", "none"
HOW = (ALL, ANY, NONE)
#: What an edge is of that is of no condition: of the shape within which the region is, or the end of the plane.
WITHIN, END = -1, -2
#: The plane ends, for a region, at so many times how far its conditions reach; and what is endless goes on for so much more.
_WHOLE, _BEYOND = 16.0, 8.0
#: Where in its height a place in it is looked for.
_LEVELS = (0.5, 0.3, 0.7, 0.1, 0.9)


@dataclass(frozen=True)
class Region:
    """Where all, any or none of some conditions hold, within a shape if there is one.

    Attributes:
        within: the condition of being inside that shape, or None.
    """

    conditions: tuple[Condition, ...]
    how: str
    within: Condition | None = None

    def holds(self, xs: Any, ys: Any) -> Any:
        """Whether places are in it, as an array of truths."""
        xs, ys = np.asarray(xs, dtype=float), np.asarray(ys, dtype=float)
        found = self._together([one.holds(xs, ys) for one in self.conditions], xs)
        return found if self.within is None else found & self.within.holds(xs, ys)

    def _together(self, each: list[Any], xs: Any) -> Any:
        if not each:
            return np.full(np.shape(xs), self.how != ANY)
        found = np.logical_and.reduce(each) if self.how == ALL else np.logical_or.reduce(each)
        return ~found if self.how == NONE else found

    @cached_property
    def rings(self) -> list[list[Piece]]:
        """Its boundary: outsides anticlockwise, the largest first, then holes clockwise, each in pieces."""
        edges = [edge for edge, _ in self._edges]
        return rings(edges, self._is_near, self._holds_plainly, max(self._spread, 1e-9))

    @cached_property
    def _edges(self) -> list[tuple[Edge, int]]:
        """What may bound it, with the number of the condition whose edge it is, WITHIN or END."""
        far = self._far
        parts = [*([(self.within, WITHIN)] if self.within is not None else []), *zip(self.conditions, range(len(self.conditions)))]
        found = [(edge, source) for part, source in parts for ring in part.rings(_BEYOND * far)[0] for edge in ring.edges]
        around = ((-far, -far), (far, -far), (far, far), (-far, far))
        ends = [(StraightEdge(a, b), END) for a, b in zip(around, around[1:] + around[:1])]
        return [*(one for one in found if not (_is_nothing(one[0]) or _is_beyond(one[0], far))), *ends]

    def source(self, piece: Piece) -> int:
        """The number of the condition whose edge a piece of the boundary is, WITHIN or END."""
        return self._edges[piece.number][1]

    def counts(self, piece: Piece) -> bool:
        """Whether a piece of the boundary belongs to the region."""
        source = self.source(piece)
        return source < 0 or (not self.conditions[source].strict) != (self.how == NONE)

    @cached_property
    def inner(self) -> Place | None:
        """A place in a large part of it; None where it is empty."""
        if not self.rings:
            return None
        found = point_within(self.rings, _LEVELS[0])
        if bool(self.holds(*found)):
            return found
        # Where it is thin, what its rings are followed by for this may miss it.
        others = (point_within(self.rings, up) for up in _LEVELS[1:])
        return next((place for place in others if bool(self.holds(*place))), found)

    @property
    def is_empty(self) -> bool:
        return not self.rings

    @cached_property
    def is_endless(self) -> bool:
        """Whether it goes on for ever."""
        return any(self.source(piece) == END for ring in self.rings for piece in ring)

    @cached_property
    def area(self) -> float:
        """Its area; infinite where it is endless."""
        return float("inf") if self.is_endless else total((0.0, *map(area, self.rings)))

    @cached_property
    def perimeter(self) -> float:
        """The length of its boundary; infinite where it is endless."""
        return float("inf") if self.is_endless else total((0.0, *map(girth, self.rings)))

    def _holds_plainly(self, xs: Any, ys: Any) -> Any:
        """Whether places are in it, and not beyond the end of the plane, without slack at the boundary."""
        far = self._far
        found = self._together([one.margins(xs, ys) > 0 for one in self.conditions], xs) & (np.maximum(np.abs(xs), np.abs(ys)) < far)
        return found if self.within is None else found & (self.within.margins(xs, ys) > 0)

    def _is_near(self, xs: Any, ys: Any) -> Any:
        """Whether places may be near its boundary: one condition after the other, each for what is left by those before."""
        size, away = max(self._spread, 1e-9), np.maximum(np.abs(xs), np.abs(ys)) - self._far
        found = away <= BESIDE * size
        inside = away < -BESIDE * size
        parts = [(condition, self.how == ALL) for condition in self.conditions]
        for condition, is_needed in [(self.within, True), *parts] if self.within is not None else parts:
            left = np.flatnonzero(found)
            if not len(left) or not condition.measure.steep:
                continue
            margins, slack = condition.margins(xs[left], ys[left]), 2 * BESIDE * condition.measure.steep * size
            if condition is self.within:
                inside[left] = inside[left] & (margins > slack)
            # Where one of any surely holds, there is still the edge of the shape, and the end of the plane.
            found[left] = margins >= -slack if is_needed else (margins <= slack) | (~inside[left] if self.how == ANY else False)
        return found

    @cached_property
    def _far(self) -> float:
        return _WHOLE * 2.0 ** ceil(log2(max(self._spread, 1.0)))  # seldom another one in a drag

    @cached_property
    def _spread(self) -> float:
        return _spread((self.conditions, self.within))


def _is_nothing(edge: Edge) -> bool:
    """Whether an edge has no length, or one whose square is no number."""
    return isinstance(edge, (StraightEdge, RoundEdge)) and edge.length(0.0, 1.0) <= 1e-150


def _is_beyond(edge: Edge, far: float) -> bool:
    """Whether a straight edge lies beyond the end of the plane: what is endless is closed there."""
    if not isinstance(edge, StraightEdge):
        return False
    return any(min(sign * edge.start[part], sign * edge.stop[part]) > far for part in (0, 1) for sign in (1, -1))


def _spread(value: Any) -> float:
    """The greatest number in a value, whatever it is made of."""
    if isinstance(value, (int, float)):
        return abs(value) if isfinite(value) else 0.0
    if is_dataclass(value):
        return max((_spread(getattr(value, part.name)) for part in fields(value)), default=0.0)
    if isinstance(value, (tuple, list)):
        return max(map(_spread, value), default=0.0)
    return 0.0
