"""The boundary of a part of the plane along its exact edges: every edge is cut where another one crosses it, a piece counts where the part
is on one side of it and not on the other, and the pieces that count are put together to rings.

Nothing is followed by corners, so thin parts and touching edges are as right as all others.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from itertools import pairwise
from math import sqrt, tau
from typing import Any, TypeAlias

from ..arithmetic.adding import total
from ..arithmetic.circular import atan2
from ..arithmetic.late import np
from .cuts import all_cuts
from .edges import BentEdge, Edge, Place, RoundEdge, offs

#: How far beside a piece it is looked whether the part is there: a share of the size at most and at least, and of what lies next to it.
BESIDE, _LEAST, _NEXT = 1e-6, 1e-12, 0.3
#: Edges that are nearer than this share of the size lie upon one another; ends that are, are one corner.
_UPON, _CORNER = 1e-11, 1e-9
#: What is smaller than this share of the square of its girth is a sliver, left over where edges are as good as the same.
_SLIVER = 1e-7
#: So many places show a whole turn where it is asked what a ring goes round.
_ROUND = 48

Holds: TypeAlias = Callable[[Any, Any], Any]


@dataclass(frozen=True)
class Piece:
    """A piece of a boundary: the part is on its left.

    Attributes:
        edge: what it is a piece of, the number of it among all edges, and from which place along it to which.
    """

    edge: Edge
    number: int
    start: float
    stop: float

    @property
    def length(self) -> float:
        return self.edge.length(self.start, self.stop)

    @property
    def first(self) -> Place:
        """The point where it begins."""
        return self.edge.at(self.start)

    @property
    def last(self) -> Place:
        """The point where it ends."""
        return self.edge.at(self.stop)

    def beside(self, far: float, back: bool) -> Place:
        """The point on it about so far from where it begins, or back from where it ends."""
        place, way = (self.stop, self.start - self.stop) if back else (self.start, self.stop - self.start)
        dx, dy = self.edge.speed(place)
        step = far / sqrt(dx * dx + dy * dy)
        return self.edge.at(place + (step if way > 0 else -step))

    def points(self) -> list[Place]:
        """Points along it that show how it goes, without its end."""
        count = 1
        if isinstance(self.edge, RoundEdge):
            count += int(abs(self.stop - self.start) / tau * _ROUND)
        elif isinstance(self.edge, BentEdge):
            count = _ROUND
        return [self.edge.at(self.edge.between(self.start, self.stop, number / count)) for number in range(count)]


Rings: TypeAlias = list[list[Piece]]


def rings(edges: Sequence[Edge], is_near: Holds, holds: Holds, size: float) -> Rings:
    """The boundary of a part of the plane: outsides anticlockwise, the largest first, then holes clockwise.

    Args:
        edges: all edges that may bound it.
        is_near: for arrays of points, whether they may be within ``BESIDE`` of it and of what is not it; it is quicker than:
        holds: whether they are in it, without any slack.
        size: about how large it is, and how far out it lies.
    """
    pieces = _candidates(edges, all_cuts(edges, size))
    if not pieces:
        return []
    middles = [piece.edge.at((piece.start + piece.stop) / 2) for piece in pieces]
    near = is_near(*_columns(middles)).tolist()
    middles = [middle for middle, is_so in zip(middles, near) if is_so]
    pieces = [piece for piece, is_so in zip(pieces, near) if is_so]
    counted = _counted(pieces, edges, middles, holds, size) if pieces else []
    found = [_joined(ring) for ring in _followed(counted, _CORNER * size)]
    return _in_order(found)


def area(ring: Sequence[Piece]) -> float:
    """What a ring goes round: above zero where it does so anticlockwise. The integral of (x dy - y dx) / 2 (Green's theorem), also over the
    tiny gaps that are left where pieces are as good as points: far out they count."""
    found = total(piece.edge.swept(piece.start, piece.stop) for piece in ring)
    for piece, following in zip(ring, (*ring[1:], ring[0])):
        (ax, ay), (bx, by) = piece.last, following.first
        found += (ax * by - ay * bx) / 2
    return found


def girth(ring: Sequence[Piece]) -> float:
    """How long a ring is."""
    return total(piece.length for piece in ring)


def point_within(found: Rings, up: float) -> Place:
    """A point in the middle of the widest part, at about a share of the height of the largest ring."""
    around = [[point for piece in ring for point in piece.points()] for ring in found]
    low, high = min(y for _, y in around[0]), max(y for _, y in around[0])
    middle = low + up * (high - low)
    corners = [y for points in around for _, y in points]
    below = max(y for y in corners if y <= middle)
    level = (below + min((y for y in corners if y > middle), default=below)) / 2
    crossed = []
    for points in around:
        for (ax, ay), (bx, by) in pairwise([*points, points[0]]):
            if (ay > level) != (by > level):
                crossed.append((bx - ax) * (level - ay) / (by - ay) + ax)
    crossed.sort()
    stretches = [(stop - start, start) for start, stop in zip(crossed[::2], crossed[1::2])]
    wide, start = max(stretches, default=(0.0, around[0][0][0]))
    return start + wide / 2, level


def _columns(points: Sequence[Place]) -> tuple[Any, Any]:
    xs, ys = zip(*points)
    return np.array(xs), np.array(ys)


def _candidates(edges: Sequence[Edge], cuts: Sequence[Sequence[float]]) -> list[Piece]:
    return [Piece(edge, number, *ends) for number, (edge, places) in enumerate(zip(edges, cuts)) for ends in pairwise(places)]


def _counted(pieces: list[Piece], edges: Sequence[Edge], middles: list[Place], holds: Holds, size: float) -> list[Piece]:
    """The pieces with the part on one side only, turned so that it is on their left."""
    numbers = sorted({piece.number for piece in pieces})
    row = {number: place for place, number in enumerate(numbers)}
    xs, ys = _columns(middles)
    off = offs([edges[number] for number in numbers], xs, ys)
    owners = np.array([row[piece.number] for piece in pieces])
    rows = np.arange(len(numbers))[:, None]
    upon = off <= _UPON * size
    is_first = ~(upon & (rows < owners)).any(axis=0)
    nearest = np.where((rows != owners) & ~upon, off, np.inf).min(axis=0)
    beside = np.clip(_NEXT * nearest, _LEAST * size, BESIDE * size).tolist()
    lefts, rights = [], []
    for piece, (x, y), far in zip(pieces, middles, beside):
        dx, dy = piece.edge.speed((piece.start + piece.stop) / 2)
        share = far / sqrt(dx * dx + dy * dy)
        lefts.append((x - share * dy, y + share * dx))
        rights.append((x + share * dy, y - share * dx))
    both = holds(*_columns(lefts + rights)).tolist()
    found = []
    for piece, left, right, first in zip(pieces, both, both[len(pieces) :], is_first.tolist()):
        if first and left != right:
            found.append(piece if left else Piece(piece.edge, piece.number, piece.stop, piece.start))
    return found


# Putting pieces together ----------------------------------------------------------------------------------------


def _followed(pieces: list[Piece], near: float) -> Rings:
    """Pieces as rings: each followed by the one that begins where it ends."""
    corners = _Corners(near)
    starts, stops = [corners.of(piece.first) for piece in pieces], [corners.of(piece.last) for piece in pieces]
    kept = [number for number, piece in enumerate(pieces) if starts[number] != stops[number] or piece.length > 8 * near]
    into: dict[int, list[int]] = {}
    out: dict[int, list[int]] = {}
    for number in kept:
        into.setdefault(stops[number], []).append(number)
        out.setdefault(starts[number], []).append(number)
    following: dict[int, int] = {}
    for corner, ends in into.items():
        begins = out.get(corner, [])
        if len(ends) == len(begins) == 1:
            following[ends[0]] = begins[0]
        elif begins:
            following.update(_paired(pieces, corners.at[corner], ends, begins))
    _close(pieces, kept, following)
    return _rings_of(pieces, kept, following)


class _Corners:
    """Points numbered, those that are as good as one with one number."""

    def __init__(self, near: float) -> None:
        self._near = near
        self._cells: dict[tuple[int, int], list[int]] = {}
        self.at: list[Place] = []

    def of(self, point: Place) -> int:
        x, y = point
        column, row = (int(part / (2 * self._near)) for part in point)
        for right in (0, -1, 1):
            for up in (0, -1, 1):
                for number in self._cells.get((column + right, row + up), ()):
                    px, py = self.at[number]
                    if (x - px) * (x - px) + (y - py) * (y - py) <= self._near * self._near:
                        return number
        self._cells.setdefault((column, row), []).append(len(self.at))
        self.at.append(point)
        return len(self.at) - 1


def _paired(pieces: list[Piece], corner: Place, ends: list[int], begins: list[int]) -> dict[int, int]:
    """Which piece follows which at a corner where several meet: between them is what is in the part, in one wedge."""
    far = min(pieces[number].length for number in (*ends, *begins)) / 4
    turn = lambda point: atan2(point[1] - corner[1], point[0] - corner[0])
    back = {number: turn(pieces[number].beside(far, True)) for number in ends}
    onward = {number: turn(pieces[number].beside(far, False)) for number in begins}
    found: dict[int, int] = {}
    for number in ends:
        free = [one for one in begins if one not in found.values()]
        if free:
            found[number] = min(free, key=lambda one: (back[number] - onward[one]) % tau)
    return found


def _close(pieces: list[Piece], kept: list[int], following: dict[int, int]) -> None:
    """Let what has nothing after it be followed by what is nearest: where edges nearly touch, an end may be a little astray."""
    taken = set(following.values())
    begins = [number for number in kept if number not in taken]
    apart = lambda one, other: (one[0] - other[0]) ** 2 + (one[1] - other[1]) ** 2
    for number in kept:
        if number not in following:
            following[number] = min(begins, key=lambda one: apart(pieces[number].last, pieces[one].first))
            begins.remove(following[number])


def _rings_of(pieces: list[Piece], kept: list[int], following: dict[int, int]) -> Rings:
    found, seen = [], set()
    for number in kept:
        ring = []
        while number not in seen:
            seen.add(number)
            ring.append(pieces[number])
            number = following[number]
        if ring:
            found.append(ring)
    return found


def _joined(ring: list[Piece]) -> list[Piece]:
    """A ring whose pieces of one edge that follow one another are one piece, and which begins with the first of the first edge."""
    at = min(range(len(ring)), key=lambda number: (ring[number].number, ring[number].start, ring[number].stop))
    made: list[Piece] = []
    for piece in ring[at:] + ring[:at]:
        if made and _goes_on(made[-1], piece):
            made[-1] = _lengthened(made[-1], piece)
        else:
            made.append(piece)
    if len(made) > 1 and _goes_on(made[-1], made[0]):
        made = [_lengthened(made[-1], made[0]), *made[1:-1]]
    return made


def _goes_on(one: Piece, other: Piece) -> bool:
    """Whether a piece is of the same edge and begins where the other one ends, which may be where a whole circle begins anew."""
    off = abs(one.stop - other.start)
    return one.number == other.number and (off == 0 or (isinstance(one.edge, RoundEdge) and abs(off - tau) < 1e-12))


def _lengthened(one: Piece, other: Piece) -> Piece:
    return Piece(one.edge, one.number, one.start, one.stop + (other.stop - other.start) if one.stop != other.start else other.stop)


def _in_order(found: Rings) -> Rings:
    """Without slivers; outsides first, the largest first."""
    sized = [(area(ring), girth(ring), ring) for ring in found]
    if abs(sum(size for size, _, _ in sized)) <= _SLIVER * sum(long for _, long, _ in sized) ** 2:
        return []
    sized = [(size, long, ring) for size, long, ring in sized if abs(size) > _SLIVER * long * long]
    if not any(size > 0 for size, _, _ in sized):
        return []
    return [ring for size, _, ring in sorted(sized, key=lambda one: (one[0] < 0, -abs(one[0])))]
