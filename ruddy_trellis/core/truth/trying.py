"""Trying a claim: does it hold wherever the pegs are put? In floats at many positions at once, then exactly enough at some; where
nothing exact can follow, in floats alone, with more care."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from fractions import Fraction
from math import floor, log10
from typing import Any

from ..arithmetic import Intervals, NotAlgebraic, Undefined
from ..arithmetic.late import np
from ..arithmetic.typed import as_typed
from ..catalogue.moving import settled
from ..kinds import POINT
from .claimed import Claimed
from .offness import Off, how_far_off, least_size
from .positions import Numbers, Positions, at_place, count_of, different, joined

#: Digits of the interval arithmetic; and what the claim has to hold to.
_DIGITS, _HELD = 130, Fraction(1, 10**50)
#: How many positions that break the claim are looked at in intervals, until one does so for certain.
_BREAKING = 16
#: In how many positions a claim holds at least that stands; and in how many it is looked at most.
ENOUGH, _MOST = 24, 72
#: Of how many rare ways for the signs on which a figure branches one position each is looked at.
_RARE = 24
#: In floats alone: how many times as many positions; how far off a claim must be, and in how many; and to what it holds.
_MORE, _FALSE, _PLACES, _TRUE = 10, 1e-4, 5, 1e-9
#: How many signs that hardly change are gone beyond, and which share counts as hardly.
_BEYOND, _HARDLY = 10, 0.02


@dataclass(frozen=True)
class Trial:
    """What came of trying.

    Attributes:
        breaking: the numbers of the pegs by id at a position that breaks the claim, the clearest that was found; None for none.
        held: in how many positions that differ it held.
        is_exact: whether it held there to 50 digits, and not only as far as plain numbers tell.
        is_all: whether these are all the positions that there are.
        there: in how many positions of those tried the claim could be asked at all, and ``tried`` of how many.
    """

    breaking: dict[str, tuple[float, ...]] | None
    held: int
    there: int
    tried: int
    is_exact: bool = True
    is_all: bool = False

    @property
    def is_enough(self) -> bool:
        """Whether it held often enough to say that the claim stands."""
        return self.breaking is None and (self.held >= ENOUGH or (self.is_all and self.held > 0))


def tried(claimed: Claimed, seed: int = 1) -> Trial:
    """Try a claim."""
    positions, least = Positions(claimed, seed), least_size(claimed)
    numbers = positions.usual()
    found = how_far_off(claimed, numbers, positions, least)
    numbers, found = _with_rare_ones(claimed, numbers, found, positions, least)
    there, count = int(found.there.sum()), count_of(numbers)
    breaking = _breaking(claimed, numbers, found, least)
    if breaking is not None:
        return Trial(breaking, 0, there, count)
    held, is_all, breaking = _held(claimed, numbers, found, least)
    trial = Trial(breaking, held, there, count, True, is_all)
    if breaking is not None or trial.is_enough or not there:
        return trial
    return _in_floats_alone(claimed, numbers, found, positions, least)


def _with_rare_ones(claimed: Claimed, numbers: Numbers, found: Off, positions: Positions, least: float) -> tuple[Numbers, Off]:
    """The positions with more of what is rare among them: where the claim can be asked, where that is seldom; and beyond what the
    figure branches on, where it hardly ever does."""
    more = []
    there = np.flatnonzero(found.there)
    if 0 < len(there) < 4 * ENOUGH:
        more += [positions.near(at_place(numbers, place), 40) for place in there[:: max(len(there) // 6, 1)][:6]]
    rare = []
    for sign in found.signs:
        known = sign[found.there & np.isfinite(sign)]
        share = np.mean(known >= 0) if len(known) else 0.5
        if min(share, 1 - share) < _HARDLY and len(known) and np.ptp(known) > 0:
            rare.append(np.where(found.there, sign, np.nan))
    for sign in rare[-_BEYOND:]:
        past = positions.beyond(numbers, sign)
        more += [past] if past is not None else []
    if not more or not numbers:
        return numbers, found
    whole = joined(numbers, *more)
    return whole, how_far_off(claimed, whole, positions, least)


def _clearness(claimed: Claimed, values: Any, count: int) -> Any:
    """For every copy how clearly the figure is seen in it, from 0 to 1: nothing far out, nothing upon something else."""
    board = claimed.board
    points = [values[step.id] for step in board.steps if step.makes == POINT and values.get(step.id) is not None]
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


def _in_order_of_worth(claimed: Claimed, found: Off, false: Any) -> Any:
    """The places at which a claim is broken, the clearest first."""
    with np.errstate(all="ignore"):
        clear = _clearness(claimed, found.values, len(found.off))
    worth = np.minimum(found.off[false], 0.5) * (0.05 + clear[false])
    best = false[np.argsort(-worth)]
    # The figure as it is goes before all others where it breaks the claim plainly.
    if len(found.off) and found.off[0] > 0.02 and 0 in best:
        best = np.concatenate(([0], best[best != 0]))
    return best


def _breaking(claimed: Claimed, numbers: Numbers, found: Off, least: float) -> dict[str, tuple[float, ...]] | None:
    """The position that breaks the claim most clearly; None where none does so for certain."""
    best = _in_order_of_worth(claimed, found, np.flatnonzero(found.is_broken))
    for place in best[:_BREAKING]:
        at = at_place(numbers, place)
        for one in (_rounded(claimed, at), at):
            if _holds(claimed, one, least) is False:
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


def _held(claimed: Claimed, numbers: Numbers, found: Off, least: float) -> tuple[int, bool, dict[str, tuple[float, ...]] | None]:
    """In how many positions that differ the claim holds to 50 digits, whether these are all there are; and one that breaks it by less
    than floats can see, where there is one."""
    all_there = np.flatnonzero(found.there)
    most = different(numbers, all_there)
    seen: set[Any] = set()
    untold = 0
    for place in _to_look_at(found, all_there):
        at = at_place(numbers, place)
        key = tuple(at.items())
        if key in seen:
            continue
        told = _holds(claimed, at, least)
        if told is False:
            return 0, False, at
        if told:
            seen.add(key)
        untold += told is None
        if untold >= ENOUGH and not seen:
            break
        if len(seen) >= ENOUGH + _RARE:
            break
    return len(seen), len(seen) == most < ENOUGH, None


def _to_look_at(found: Off, there: Any) -> list[int]:
    """Positions to look at in intervals: one for each rare way of the signs on which the figure branches, then any."""
    chosen: list[int] = []
    if found.signs and len(there):
        with np.errstate(all="ignore"):
            ways = np.stack([sign[there] >= 0 for sign in found.signs])
        mixed = np.random.default_rng(7).integers(1, 2**31, len(ways)) @ ways
        _, first, counts = np.unique(mixed, return_index=True, return_counts=True)
        chosen = [int(there[place]) for place in first[np.argsort(counts)][:_RARE]]
    rest = np.random.default_rng(11).permutation(there)[:_MOST]
    return list(dict.fromkeys([*chosen, *map(int, rest)]))[: _MOST + _RARE]


def _in_floats_alone(claimed: Claimed, numbers: Numbers, found: Off, positions: Positions, least: float) -> Trial:
    """What plain numbers tell of a claim that nothing exact can follow: at fresh positions, many more of them where arrays can."""
    fresh = positions.usual(_MORE if found.values else 1)
    again = how_far_off(claimed, fresh, positions, least, seconds=1.5)
    there, count = int(again.there.sum()), count_of(fresh)
    false = np.flatnonzero(again.is_broken & (again.off > _FALSE))
    if len(false) >= _PLACES:
        at = at_place(fresh, _in_order_of_worth(claimed, again, false)[0])
        return Trial(at, 0, there, count, False)
    held = np.flatnonzero(again.holds(_TRUE))
    doubtful = again.there & ~again.holds(_TRUE) & (again.off > 10 * again.noise)
    if doubtful.any():
        return Trial(None, 0, there, count, False)
    most = different(fresh, np.flatnonzero(again.there))
    n = different(fresh, held)
    return Trial(None, n, there, count, False, n == most < ENOUGH)


def _holds(claimed: Claimed, at: Mapping[str, Sequence[float]], least: float) -> bool | None:
    """Whether a claim holds at a position to 50 digits: False only where it does not for certain, None where that cannot be told."""
    with Intervals(_DIGITS) as m:
        exact = {id: tuple(m.number(as_typed(part)) for part in parts) for id, parts in at.items()}
        try:
            defects = claimed.evaluate(m, exact)
            if defects is None:
                return None
            told = True
            for defect, size in defects:
                if not defect.contains(0):
                    return False
                bound, whole = abs(defect).upper(), size().lower() + m.number(least)
                told = told and (bound == 0 or (whole > 0 and bound <= m.number(_HELD) * whole))
            return True if told else None
        except (Undefined, NotAlgebraic, ZeroDivisionError, OverflowError, ValueError):
            return None
