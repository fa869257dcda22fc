"""Positions in which a claim is tried: near the figure as it is and far from it, its points changed about, and such as lie on the other
side of what the figure branches on."""

from collections.abc import Mapping, Sequence
from typing import Any

from ..arithmetic.late import np
from ..kinds import CONIC, LINE, LOCUS, POLYGON, RAY, ROUNDS
from ..sampling.shaking import span
from .claimed import Claimed, moved

#: The numbers of every peg, as arrays by id.
Numbers = dict[str, tuple[Any, ...]]

#: How far free points go, as shares of the figure's reach, and in how many copies each.
_SHAKES = ((0.08, 160), (0.5, 400), (1.5, 300), (6.0, 140))
#: In how many copies free points stand in one another's places, a little off.
_CHANGED_ABOUT, _OFF = 160, 0.15


class Positions:
    """Makes positions of a claim's figure.

    Args:
        seed: for the random numbers.
    """

    def __init__(self, claimed: Claimed, seed: int) -> None:
        self._claimed, self._random = claimed, np.random.default_rng(seed)
        self._reach = span(claimed.board)
        self._ranges = {step.id: self._range(step) for step in claimed.pegs}

    def usual(self, times: int = 1) -> Numbers:
        """Positions of all sorts, the figure as it is first.

        Args:
            times: how many times as many as usual.
        """
        shares = np.concatenate([np.full(copies * times, share) for share, copies in _SHAKES])
        made = {id: tuple(map(np.asarray, parts)) for id, parts in self._shaken(shares).items()}
        return joined(self.now(), self._with_driver(made), self._changed_about(_CHANGED_ABOUT * times))

    def now(self) -> Numbers:
        """The figure as it is."""
        return self._with_driver({step.id: tuple(np.array([part]) for part in _numbers(step)) for step in self._claimed.pegs})

    def near(self, numbers: Mapping[str, Sequence[float]], copies: int, share: float = 0.03) -> Numbers:
        """Positions near one that is given: where a figure can seldom be asked, it can beside a place where it can."""
        made = {}
        for step in self._claimed.pegs:
            parts = [np.full(copies, part) for part in numbers[step.id]]
            size = share * (self._reach if step.moves == "free" else self._width(step))
            made[step.id] = self._kept(step, [part + self._random.normal(0, 1, copies) * size for part in parts])
        return self._with_driver(made)

    def beyond(self, numbers: Numbers, sign: Any, most: int = 30) -> Numbers | None:
        """Positions on the other side of something that a figure branches on: past those where it is nearest to nothing.

        Args:
            sign: what it branches on, in each of the positions.
        """
        sizes = np.where(np.isfinite(sign), np.abs(sign), np.inf)
        order = np.argsort(sizes)[:most]
        order = order[np.isfinite(sizes[order])]
        if not len(order) or not self._claimed.pegs:
            return None
        from_where = self._random.integers(0, len(sizes), len(order))
        far = self._random.choice([0.1, 0.3, 1.0, 2.5], len(order))
        made = {}
        for step in self._claimed.pegs:
            parts = [part[order] + far * (part[order] - part[from_where]) for part in numbers[step.id]]
            made[step.id] = self._kept(step, parts)
        return self._with_driver(made)

    def jittered(self, numbers: Numbers) -> Numbers:
        """The same positions off by next to nothing: what changes more than that in between is the noise of floats."""
        off = lambda part: part * (1 + 2.0**-43 * self._random.uniform(-1, 1, np.shape(part)))
        moved_by = 2.0**-46 * self._reach
        made = {}
        for step in self._claimed.pegs:
            parts = numbers[step.id]
            made[step.id] = parts if step.moves == "turning" else self._kept(step, [off(part) + moved_by for part in parts])
        driver = self._claimed.driver
        if driver is not None and moved(driver) in numbers:
            made[moved(driver)] = numbers[moved(driver)]
        return made

    def _shaken(self, shares: Any) -> Numbers:
        random, count = self._random, len(shares)
        made: Numbers = {}
        for step in self._claimed.pegs:
            if step.moves == "free":
                made[step.id] = tuple(part + random.normal(0, 1, count) * shares * self._reach for part in step.fills["at"])
                continue
            low, high = self._ranges[step.id]
            if step.moves == "turning":
                made[step.id] = self._kept(step, [random.uniform(low, high, count)])
                continue
            place = step.fills["place"]
            far = random.normal(0, 1.5, count)
            far = far if low is None else np.abs(far) if high is None else random.uniform(low, high, count)
            near = place + random.normal(0, 0.05, count) * self._width(step)
            made[step.id] = self._kept(step, [np.where(shares < 0.1, near, far)])
        return made

    def _changed_about(self, count: int) -> Numbers:
        """Free points in one another's places: other orders along a line, other sides, angles that open the other way."""
        free = [step for step in self._claimed.pegs if step.moves == "free"]
        made = self._shaken(np.full(count, _OFF))
        if len(free) > 1:
            places = np.array([step.fills["at"] for step in free])
            orders = np.argsort(self._random.uniform(0, 1, (count, len(free))), axis=1)
            spread = self._random.normal(0, _OFF, (count, len(free), 2)) * self._reach
            there = places[orders] + spread
            made |= {step.id: (there[:, number, 0], there[:, number, 1]) for number, step in enumerate(free)}
        return self._with_driver(made)

    def _kept(self, step: Any, parts: list[Any]) -> tuple[Any, ...]:
        """Numbers of a peg that it can have: between its ends, in its steps."""
        if step.moves == "free":
            return tuple(parts)
        (place,) = parts
        low, high = self._ranges[step.id]
        if step.moves == "turning" and step.fills["step"]:
            place = low + np.round((place - low) / step.fills["step"]) * step.fills["step"]
        if low is not None:
            place = np.clip(place, low, np.inf if high is None else high)
        return (place,)

    def _width(self, step: Any) -> float:
        low, high = self._ranges[step.id]
        return 1.0 if high is None else high - low

    def _with_driver(self, made: Numbers) -> Numbers:
        driver = self._claimed.driver
        if driver is not None and driver in made:
            # Its other place in each copy is where it is in the one before.
            made[moved(driver)] = tuple(np.roll(part, 1) for part in made[driver])
        return made

    def _range(self, step: Any) -> tuple[Any, Any]:
        """The least and the greatest number of a sliding point or a dial; None for no end."""
        board = self._claimed.board
        if step.moves == "free":
            return None, None
        if step.moves == "turning":
            return step.fills["least"], step.fills["most"]
        path = step.fills["path"]
        if len(path) == 2:
            return 0.0, 1.0
        kind, value = board.kind_of(path[0]), board.value(path[0])
        if kind in (LINE, RAY):
            return (None, None) if kind == LINE else (0.0, None)
        if kind == POLYGON:
            return 0.0, float(len(value or ()) or 3)
        if kind == LOCUS and value is not None:
            return value.low, value.high
        return (0.0, 360.0) if kind in (ROUNDS[0], CONIC) else (0.0, 1.0)


def _numbers(step: Any) -> tuple[float, ...]:
    gap = {"free": "at", "turning": "value"}.get(step.moves, "place")
    fill = step.fills[gap]
    return tuple(map(float, fill)) if isinstance(fill, tuple) else (float(fill),)


def joined(*several: Numbers) -> Numbers:
    """Positions one after another."""
    return {id: tuple(np.concatenate([one[id][place] for one in several]) for place in range(len(several[0][id]))) for id in several[0]}


def count_of(numbers: Numbers) -> int:
    """How many positions there are."""
    return len(next(iter(numbers.values()))[0]) if numbers else 1


def at_place(numbers: Numbers, place: int) -> dict[str, tuple[float, ...]]:
    """One of the positions."""
    return {id: tuple(float(part[place]) for part in parts) for id, parts in numbers.items()}


def some(numbers: Numbers, places: Any) -> Numbers:
    """Some of the positions."""
    return {id: tuple(part[places] for part in parts) for id, parts in numbers.items()}


def different(numbers: Numbers, places: Any) -> int:
    """How many of some positions differ from one another."""
    if not numbers or not len(places):
        return min(len(places), 1)
    return len(np.unique(np.stack([part[places] for parts in numbers.values() for part in parts]), axis=1).T)
