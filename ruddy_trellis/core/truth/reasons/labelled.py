"""The figure of a claim as reasons see it: its points by number, which of them are on which line and circle, and where all of them are in
many positions of the same arrangement.

A line with fewer than two named points on it gets nameless ones, so that one form says "AB ∥ CD" and "AB ∥ t"; such a point is only
ever told as its line.
"""

from collections.abc import Collection, Iterable, Mapping
from functools import cached_property
from typing import Any

from ...arithmetic import ARRAYS, Intervals
from ...arithmetic.late import np
from ...arithmetic.typed import as_typed
from ...board.board import Board
from ...board.step import Step
from ...kinds import ARC, CIRCLE, POINT, SEGMENT, STRAIGHTS
from ...language.fills import is_ids
from ..claimed import Claimed
from ..positions import Positions, at_place

#: How many positions of the same arrangement a fact has to hold in; of so many shaken ones they are taken, shaken by such shares.
POSITIONS, _SHAKEN, _SHARES = 24, 160, (0.2, 0.1, 0.05, 0.02, 0.008, 0.003)
#: Of more points no reason is looked for.
MOST_POINTS = 18
#: How far along its line a nameless point is, in shares of what the line is given by; each copy has its own, so that no length says
#: anything.
_FAR = tuple(1.37 + 0.61 * ((number * 0.6180339887) % 1) for number in range(64))
#: How near zero a cross product of unit vectors counts as in line.
_FLAT = 1e-7


class Labelled:
    """Points, lines and circles of a claim's figure.

    Args:
        board: a board.
        claim: the claim's id.
        also: ids of what belongs to the figure besides what the claim hangs on.

    Attributes:
        ids: the id of each point by its number; None of a nameless one.
        lines: for each line, ray, segment or vector by id the numbers of the points on it, at least two.
        circles: for each circle or arc by id the number of its centre, or None, and those of the points on it.
    """

    def __init__(self, board: Board, claim: str, also: Collection[str] = ()) -> None:
        self.board, self.claim = board, claim
        hung_on = {claim, *also, *board.ancestors([claim, *also])}
        self.steps = [step for step in board.steps if step.id in hung_on and step.id != claim]
        self.claimed = Claimed(board, claim, also=[step.id for step in self.steps])
        self.ids: list[str | None] = []
        self._number: dict[str, int] = {}
        self._nameless: dict[int, tuple[str, int]] = {}
        for step in self.steps:
            if step.makes == POINT:
                self._take(step)
        self.lines = self._lines()
        self.circles = self._circles()

    def _take(self, step: Step) -> None:
        """Number a point; the centre of a circle about a point is that point."""
        known = None
        if step.does == "same_place":
            known = self._number.get(step.fills["point"][0])
        elif step.does == "centre":
            known = self._number.get(self.centre_id(step.fills["of"][0]) or "")
        if known is None:
            known = len(self.ids)
            self.ids.append(step.id)
        self._number[step.id] = known

    def centre_id(self, id: str) -> str | None:
        """The id of the point about which a circle or an arc is drawn; None where it is drawn about none."""
        fill = self.board.step(id).fills.get("centre", ())
        if is_ids(fill) and len(fill) == 1:
            return fill[0]
        return next((step.id for step in self.steps if step.does == "centre" and step.fills["of"] == (id,)), None)

    def number(self, id: str) -> int | None:
        """The number of a point by its id."""
        return self._number.get(id)

    def __len__(self) -> int:
        return len(self.ids)

    def key(self, number: int) -> tuple[str, ...]:
        """What a point is known by from one time to the next: its id, or of a nameless one its line's and which of its points it is."""
        id = self.ids[number]
        return ("point", id) if id is not None else ("line", self._nameless[number][0], str(self._nameless[number][1]))

    def labelled(self, key: tuple[str, ...]) -> int | None:
        """The number of the point of a key; None where it is not there."""
        return next((number for number in range(len(self.ids)) if self.key(number) == key), None)

    def is_nameless(self, number: int) -> bool:
        return number in self._nameless

    def line_of(self, number: int) -> str:
        """The id of the line on which a nameless point is."""
        return self._nameless[number][0]

    def name(self, number: int) -> str:
        """The name of a point; of a nameless one that of its line."""
        id = self.ids[number]
        return self.board.name(self._nameless[number][0] if id is None else id)

    def numbers(self, ids: Iterable[str]) -> list[int]:
        """The numbers of the points among some ids."""
        return list(dict.fromkeys(self._number[id] for id in ids if id in self._number))

    def _lines(self) -> dict[str, list[int]]:
        found: dict[str, list[int]] = {}
        for step in self.steps:
            if step.makes in STRAIGHTS:
                is_through = step.does in ("segment", "ray", "line", "vector")
                ends = [id for gap in ("from", "to") for id in step.fills.get(gap, ())] if is_through else []
                on = self.numbers([*ends, *sorted(self.board.incidence.get(step.id, ()), key=self.board.place)])
                for one in range(2 - len(on)):
                    self._nameless[len(self.ids)] = step.id, one if on == [] else 1
                    on.append(len(self.ids))
                    self.ids.append(None)
                found[step.id] = on
        return found

    def _circles(self) -> dict[str, tuple[int | None, list[int]]]:
        found: dict[str, tuple[int | None, list[int]]] = {}
        for step in self.steps:
            if step.makes in (CIRCLE, ARC):
                centre = self.centre_id(step.id)
                on = self.numbers(sorted(self.board.incidence.get(step.id, ()), key=self.board.place))
                found[step.id] = None if centre is None else self._number.get(centre), on
        return found

    def on_straight(self, fill: tuple[str, ...]) -> list[int]:
        """The numbers of the points on what fills a gap for lines: a line, or two points."""
        if len(fill) == 1 and self.board.kind_of(fill[0]) != POINT:
            return self.lines.get(fill[0], [])
        return self.numbers(fill)

    def ends(self, fill: tuple[str, ...]) -> list[int]:
        """The numbers of the points that fill a gap, or of the ends of a segment between two; none where it has no such ends."""
        if len(fill) == 1 and self.board.kind_of(fill[0]) != POINT:
            step = self.board.step(fill[0])
            if step.makes != SEGMENT or step.does != "segment":
                return []
            fill = (*step.fills["from"], *step.fills["to"])
        return self.numbers(fill)

    # Positions --------------------------------------------------------------------------------------------------------

    @property
    def shaken(self) -> list[dict[str, tuple[float, ...]]]:
        """The numbers of the pegs in positions of the same arrangement as the figure, the figure itself first, or one right beside it where
        it lies so by chance; at most ``POSITIONS``, fewer where there are none."""
        return self._copies[0]

    @property
    def places(self) -> Any:
        """Where the points are in these positions: an array of positions by points by two, board units."""
        return self._copies[1]

    @cached_property
    def _copies(self) -> tuple[list[dict[str, tuple[float, ...]]], Any]:
        """The positions: the numbers of the pegs in each, and where the points are."""
        positions = Positions(self.claimed, 3)
        now = positions.now()
        here = at_place(now, 0)
        taken, places = [here], [self.places_at(now, 1)]
        wanted = _arrangement(places[0])
        beside = positions.near(here, 1, _SHARES[-1])
        nearly = self.places_at(beside, 1)
        if (_arrangement(nearly) != wanted).any():
            # Three points are in line just now, by chance: the figure beside it stands for it.
            taken, places, wanted = [at_place(beside, 0)], [nearly], _arrangement(nearly)
        for share in _SHARES:
            if len(taken) >= POSITIONS:
                break
            tried = positions.near(here, _SHAKEN, share)
            found = self.places_at(tried, _SHAKEN)
            alike = (_arrangement(found) == wanted).all(axis=1) & np.isfinite(found).all(axis=(1, 2))
            # From shakes as wide as may be first, then from nearer ones, where a figure is seldom arranged otherwise.
            for place in np.flatnonzero(alike)[: POSITIONS - len(taken)]:
                taken.append(at_place(tried, int(place)))
                places.append(found[place : place + 1])
        return taken, np.concatenate(places)

    def places_at(self, numbers: Mapping[str, Any], count: int) -> Any:
        """Where all points are, for arrays of the pegs' numbers."""
        with np.errstate(all="ignore"):
            values = self.claimed.board.evaluate(ARRAYS, {id: parts for id, parts in numbers.items() if parts})
        found = np.full((count, len(self.ids), 2), np.nan)
        for number, id in enumerate(self.ids):
            value = values[id] if id is not None else None
            if value is not None:
                found[:, number, 0], found[:, number, 1] = value[0], value[1]
        for number, (line, which) in self._nameless.items():
            value = values[line]
            if value is not None:
                far = (1 if which else -1) * np.array([_FAR[(copy * 7 + number * 3) % len(_FAR)] for copy in range(count)])
                on = [one for one in self.lines[line] if one != number and not self.is_nameless(one)]
                for axis in (0, 1):
                    start = found[:, on[0], axis] if on else value[axis]
                    found[:, number, axis] = start + far * value[2 + axis]
        return found

    def exactly(self, m: Intervals, at: Mapping[str, Any]) -> list[Any]:
        """Where all points are at one position, in interval arithmetic; None for what is not there. Raises Undefined."""
        exact = {id: tuple(m.number(as_typed(part)) for part in parts) for id, parts in at.items() if parts}
        values = self.claimed.board.evaluate(m, exact)
        found: list[Any] = [None if id is None or values[id] is None else values[id][:2] for id in self.ids]
        for number, (line, which) in self._nameless.items():
            value = values[line]
            if value is not None:
                far = m.number(_FAR[number % len(_FAR)] * (1 if which else -1))
                on = [one for one in self.lines[line] if one != number and not self.is_nameless(one)]
                start = found[on[0]] if on else value[:2]
                found[number] = start and tuple(start[axis] + far * value[2 + axis] for axis in (0, 1))
        return found


def figure_now(figure: Labelled) -> Any:
    """Where the points of a figure are now: an array of one position by points by two."""
    positions = Positions(figure.claimed, 3)
    return figure.places_at(positions.now(), 1)


def _arrangement(places: Any) -> Any:
    """On which side of the line of any two points each third is, for each position: 1, -1, or 0 where they are in line."""
    count = places.shape[1]
    first, second, third = (np.array(part) for part in zip(*_threes(count), strict=True)) if count >= 3 else (np.zeros(0, int),) * 3
    with np.errstate(all="ignore"):
        u, v = places[:, second] - places[:, first], places[:, third] - places[:, first]
        cross = u[..., 0] * v[..., 1] - u[..., 1] * v[..., 0]
        size = np.hypot(u[..., 0], u[..., 1]) * np.hypot(v[..., 0], v[..., 1])
        share = cross / np.where(size > 0, size, 1)
    return np.where(np.abs(share) > _FLAT, np.sign(share), 0)


def _threes(count: int) -> list[tuple[int, int, int]]:
    return [(a, b, c) for a in range(count) for b in range(a + 1, count) for c in range(b + 1, count)]
