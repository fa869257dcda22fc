"""Trying a claim: does it hold wherever the pegs are put? In floats at many positions at once, then exactly enough at some."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from fractions import Fraction
from math import floor, log10
from typing import Any

from ..arithmetic import ARRAYS, Intervals, NotAlgebraic, Undefined
from ..arithmetic.late import np
from ..catalogue.moving import settled
from ..kinds import CONIC, LINE, LOCUS, POINT, POLYGON, RAY, ROUNDS
from ..sampling.shaking import span
from .claimed import Claimed, moved

#: How far free points go, as shares of the figure's reach, and in how many copies each.
_SHAKES = ((0.08, 160), (0.5, 400), (1.5, 300), (6.0, 140))
#: What is further from true than this share of its size does not hold in floats.
_FALSE = 1e-6
#: Digits of the interval arithmetic; and what the claim has to hold to.
_DIGITS, _HELD = 90, 1e-50
#: How many positions are looked at in intervals: such as break the claim, until one does so for certain; and such as do not.
_BREAKING, _HOLDING = 16, 24


@dataclass(frozen=True)
class Trial:
    """What came of trying.

    Attributes:
        breaking: the numbers of the pegs by id at a position that breaks the claim, the clearest that was found; None for none.
        held: in how many positions it held to 50 digits.
        there: in how many positions of those tried the claim could be asked at all, and ``tried`` of how many.
    """

    breaking: dict[str, tuple[float, ...]] | None
    held: int
    there: int
    tried: int


def tried(claimed: Claimed, seed: int = 1) -> Trial:
    """Try a claim."""
    random = np.random.default_rng(seed)
    numbers = _positions(claimed, random)
    count = sum(copies for _, copies in _SHAKES) + 1
    with np.errstate(all="ignore"):
        values = claimed.board.evaluate(ARRAYS, numbers)
        try:
            off = claimed.evaluate(ARRAYS, numbers)
        except (Undefined, ZeroDivisionError, OverflowError):
            off = None
    off = np.full(count, np.nan) if off is None else np.broadcast_to(np.asarray(off, dtype=float), (count,)).copy()
    off[np.isinf(off)] = np.nan
    there = np.isfinite(off)
    clear = _clearness(claimed, values, count)
    breaking = _breaking(claimed, numbers, off, clear)
    if breaking is not None:
        return Trial(breaking, 0, int(there.sum()), count)
    held, breaking = _held(claimed, numbers, np.flatnonzero(there & (off <= _FALSE)), random)
    return Trial(breaking, held, int(there.sum()), count)


def _positions(claimed: Claimed, random: Any) -> dict[str, tuple[Any, ...]]:
    """The numbers of all pegs in every copy, as arrays; the first copy is the figure as it is."""
    board = claimed.board
    reach = span(board)
    count = sum(copies for _, copies in _SHAKES)
    shares = np.concatenate([np.full(copies, share) for share, copies in _SHAKES])
    numbers: dict[str, tuple[Any, ...]] = {}
    first = lambda now, others: np.concatenate(([now], others))
    for step in claimed.pegs:
        if step.moves == "free":
            x, y = step.fills["at"]
            numbers[step.id] = tuple(first(part, part + random.normal(0, 1, count) * shares * reach) for part in (x, y))
        elif step.moves == "turning":
            least, most, by = (step.fills[name] for name in ("least", "most", "step"))
            places = random.uniform(least, most, count)
            places = np.clip(least + np.round((places - least) / by) * by, least, most) if by else places
            numbers[step.id] = (first(step.fills["value"], places),)
        else:
            place = step.fills["place"]
            low, high = _range(board, step)
            far = random.normal(0, 1.5, count)
            far = far if low is None else np.abs(far) if high is None else random.uniform(low, high, count)
            near = place + random.normal(0, 0.05, count) * (1.0 if high is None else high - low)
            near = near if low is None else np.clip(near, low, np.inf if high is None else high)
            numbers[step.id] = (first(place, np.where(shares < 0.1, near, far)),)
    if claimed.driver is not None and claimed.driver in numbers:
        # Its other place in each copy is where it is in the one before.
        numbers[moved(claimed.driver)] = tuple(np.roll(part, 1) for part in numbers[claimed.driver])
    return numbers


def _range(board: Any, step: Any) -> tuple[Any, Any]:
    """The least and the greatest place of a sliding point; None for no end."""
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


def _clearness(claimed: Claimed, values: Any, count: int) -> Any:
    """For every copy how clearly the figure is seen in it, from 0 to 1: nothing far out, nothing upon something else."""
    board = claimed.board
    points = [values[step.id] for step in board.steps if step.makes == POINT and values[step.id] is not None]
    if not points:
        return np.ones(count)
    xs, ys = (np.stack([np.broadcast_to(point[axis], (count,)) for point in points]) for axis in (0, 1))
    left, low, right, high = board.settings.view
    wide, tall = right - left, high - low
    over = np.maximum.reduce([left - xs, xs - right, low - ys, ys - high]).max(axis=0) / max(wide, tall)
    seen = np.where(over <= -0.03, 1.0, np.exp(-3 * np.maximum(over, 0)) * 0.5)
    if len(points) > 1:
        near = np.full(count, np.inf)
        for number in range(len(points)):
            for other in range(number):
                near = np.fmin(near, np.hypot(xs[number] - xs[other], ys[number] - ys[other]))
        # Points that always are in one place tell nothing.
        seen = seen * np.clip(near / (0.05 * max(wide, tall)), 0.02, 1.0)
    return np.nan_to_num(seen)


def _breaking(claimed: Claimed, numbers: Any, off: Any, clear: Any) -> dict[str, tuple[float, ...]] | None:
    """The position that breaks the claim most clearly; None where none does so for certain."""
    false = np.flatnonzero(off > _FALSE)
    worth = np.minimum(off[false], 0.5) * (0.05 + clear[false])
    best = false[np.argsort(-worth)]
    # The figure as it is goes before all others where it breaks the claim plainly.
    if len(off) and off[0] > 0.02:
        best = np.concatenate(([0], best[best != 0]))
    for place in best[:_BREAKING]:
        at = {id: tuple(float(part[place]) for part in parts) for id, parts in numbers.items()}
        for one in (_rounded(claimed, at), at):
            if _holds(claimed, one) is False:
                return one
    return None


def _rounded(claimed: Claimed, at: dict[str, tuple[float, ...]]) -> dict[str, tuple[float, ...]]:
    """A position in short numbers."""
    left, _, right, _ = claimed.board.settings.view
    digits = max(2 - floor(log10(right - left)), 0) + 1
    made = dict(at)
    for step in claimed.pegs:
        part = at[step.id]
        made[step.id] = (settled(step.fills, part[0]),) if step.moves == "turning" else tuple(round(one, digits) for one in part)
    return made


def _held(claimed: Claimed, numbers: Any, places: Any, random: Any) -> tuple[int, dict[str, tuple[float, ...]] | None]:
    """In how many of some positions the claim holds to 50 digits, near ones and far ones; and one of them that breaks it, where one
    does so by less than floats can see."""
    held = 0
    chosen = places if len(places) <= _HOLDING else np.sort(random.choice(places, _HOLDING, replace=False))
    for place in chosen:
        at = {id: tuple(float(part[place]) for part in parts) for id, parts in numbers.items()}
        found = _holds(claimed, at)
        if found is False:
            return 0, at
        held += found is True
    return held, None


def _holds(claimed: Claimed, at: Mapping[str, Sequence[float]]) -> bool | None:
    """Whether a claim holds at a position to 50 digits: False only where it does not for certain, None where that cannot be told."""
    with Intervals(_DIGITS) as m:
        exact = {id: tuple(m.number(Fraction(repr(part))) for part in parts) for id, parts in at.items()}
        try:
            defects = claimed.evaluate(m, exact)
            if defects is None:
                return None
            told = True
            for defect, size in defects:
                if not defect.contains(0):
                    return False
                bound, whole = abs(defect).upper(), size().lower()
                told = told and (bound == 0 or (whole > 0 and bound <= _HELD * whole))
            return True if told else None
        except (Undefined, NotAlgebraic, ZeroDivisionError, OverflowError, ValueError):
            return None
