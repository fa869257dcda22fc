"""How far from true a claim is, in floats, at many positions: as a share of the size of its parts, with how much of that is noise."""

import time
from collections.abc import Sequence
from dataclasses import dataclass, field
from typing import Any

from ..arithmetic import ARRAYS, FLOATS, Arrays, Floats, Undefined
from ..arithmetic.late import np
from ..language.dimensions import dimension
from ..language.formula_words import ANGLE
from ..refusal import Refusal
from ..sampling.shaking import span
from .claimed import Claimed
from .positions import Numbers, Positions, at_place, count_of

#: What is of no length, no angle and no area has the size of this share of the figure, or of so many degrees.
_LEAST, _LEAST_ANGLE = 1e-3, 1.0
#: Floats have at least this share of a size as their error.
_EPSILON = 2e-15


class _Watched(Arrays):
    """Arrays that note on what a figure branches."""

    def __init__(self) -> None:
        self.signs: list[Any] = []

    def choose(self, sign, p, q):  # type: ignore[override]
        self.signs.append(sign)
        return Arrays.choose(sign, p, q)


class _WithinArrays(Arrays):
    name = "arrays, for the claim itself"


_WITHIN_ARRAYS, _WITHIN_FLOATS = _WithinArrays(), Floats()


@dataclass
class Off:
    """How far off a claim is at some positions.

    Attributes:
        off: as a share of the size of its parts; NaN where it cannot be asked.
        noise: how much of that is the error of floats, as a second evaluation next to it shows it.
        values: the values of the figure's steps as arrays, by id; empty where it was computed position by position.
        signs: on what the figure branches, as arrays.
    """

    off: Any
    noise: Any
    values: dict[str, Any] = field(default_factory=dict)
    signs: list[Any] = field(default_factory=list)

    @property
    def there(self) -> Any:
        """Whether it can be asked."""
        return np.isfinite(self.off)

    @property
    def is_broken(self) -> Any:
        """Where it is off by more than floats could be."""
        return self.there & (self.off > 1e-9) & (self.off > 1e3 * self.noise)

    def holds(self, within: float) -> Any:
        """Where it holds to a share of its size."""
        return self.there & (self.off <= within)


def least_size(claimed: Claimed) -> float:
    """The size of what is nothing, in the unit of what is said to be equal; 0 for claims that are about no numbers."""
    claim, board = claimed.claim, claimed.board
    try:
        if claim.does == "is_constant":
            found = board.dimension(claim.fills["reading"][0])
        elif claim.does == "equal_values":
            statement = claim.fills["statement"]
            dimensions = [board.operand_dimension(operand) for operand in statement.operands]
            found = next((one for side in statement.tree[1:] if (one := dimension(side, dimensions)) is not None), 0)
        else:
            return 0.0
    except Refusal:
        return 0.0
    if found == ANGLE:
        return _LEAST_ANGLE
    return float((_LEAST * span(board)) ** found) if isinstance(found, (int, float)) or hasattr(found, "numerator") else 0.0


def how_far_off(claimed: Claimed, numbers: Numbers, positions: Positions, least: float, seconds: float = 1.0) -> Off:
    """How far off a claim is at some positions; position by position where arrays cannot follow, as many as there is time for."""
    watched = _Watched()
    with np.errstate(all="ignore"):
        found = _in_arrays(claimed, numbers, watched, least)
        if found is not None:
            again = _in_arrays(claimed, positions.jittered(numbers), ARRAYS, least)
            noise = np.abs(found - again) + _EPSILON if again is not None else np.full(found.shape, np.inf)
            values = claimed.board.evaluate(ARRAYS, numbers)
            count = count_of(numbers)
            signs = [np.broadcast_to(sign, (count,)) for sign in watched.signs if np.size(sign) in (1, count)]
            return Off(found, np.where(np.isfinite(noise), noise, np.inf), values, signs)
        return _one_by_one(claimed, numbers, positions.jittered(numbers), least, seconds)


def _in_arrays(claimed: Claimed, numbers: Numbers, m: Any, least: float) -> Any:
    try:
        defects = claimed.evaluate(m, numbers, within=_WITHIN_ARRAYS)
        return None if defects is None else np.broadcast_to(_largest(defects, least), (count_of(numbers),)).copy()
    except (Undefined, ZeroDivisionError, OverflowError):
        return None


def _largest(defects: Sequence[Any], least: float) -> Any:
    worst = np.float64(0.0)
    for defect, size in defects:
        whole = size() + least
        worst = np.maximum(worst, np.abs(defect) / (whole + (whole == 0)))
    return np.where(np.isinf(worst), np.nan, worst)


def _one_by_one(claimed: Claimed, numbers: Numbers, jittered: Numbers, least: float, seconds: float) -> Off:
    count = count_of(numbers)
    off, noise = np.full(count, np.nan), np.full(count, np.inf)
    deadline = time.monotonic() + seconds
    for place in range(count):
        off[place] = _in_floats(claimed, at_place(numbers, place), least)
        if np.isfinite(off[place]):
            noise[place] = abs(off[place] - _in_floats(claimed, at_place(jittered, place), least)) + _EPSILON
        if time.monotonic() > deadline:
            break
    return Off(off, np.where(np.isfinite(noise), noise, np.inf))


def _in_floats(claimed: Claimed, at: dict[str, tuple[float, ...]], least: float) -> float:
    try:
        defects = claimed.evaluate(FLOATS, at, within=_WITHIN_FLOATS)
        return float("nan") if defects is None else float(_largest(defects, least))
    except (ArithmeticError, ValueError, TypeError):
        return float("nan")
