"""Shaken copies of a figure, and which relations hold in all of them: what is noticed, what a shape is, what is loose."""

from itertools import combinations
from typing import Any

from ..arithmetic import ARRAYS
from ..arithmetic.late import np
from ..kinds import POINT
from ..sampling.shaking import shaken
from ..seen import SeenBoard

#: How near counts as so, as a share of the size of what is compared.
_NEAR = 1e-8


#: Of so many points it is looked whether they fall together.
_POINTS = 30


class Copies:
    """Shaken copies of a board.

    Args:
        count: how many.
        share: how far free points go, as a share of the figure's reach.

    Attributes:
        values: the values of every step in all copies, as arrays by id; None for what is never there.
    """

    def __init__(self, board: SeenBoard, count: int = 100, share: float = 0.4) -> None:
        self._count = count
        self.values: dict[str, Any] = shaken(board, copies=count, share=share)
        self._fallen = self._fallen_together(board)

    def _fallen_together(self, board: SeenBoard) -> Any:
        """In which copies points lie on one another that do not in most of them: a peg at the end of its path. Nothing is asked of
        these: sides without a length agree with everything."""
        points = [self.values[step.id] for step in board.steps if step.makes == POINT and self.values[step.id] is not None][-_POINTS:]
        places = [tuple(np.broadcast_to(part, (self._count,)) for part in point) for point in points]
        fallen = np.zeros(self._count, dtype=bool)
        with np.errstate(all="ignore"):
            for (ax, ay), (bx, by) in combinations(places, 2):
                apart = np.hypot(ax - bx, ay - by)
                fallen |= (apart <= 1e-7 * (np.abs(ax) + np.abs(ay) + 1)) & (np.nanmedian(apart) > 1e-4)
        return fallen

    def holds(self, rule: Any, *ids: str) -> bool:
        """Whether a claim's rule (see ``formulas.claims``) holds in all copies in which it can be asked, and in a third it can."""
        with np.errstate(all="ignore"):
            try:
                defects = rule(ARRAYS, *(self.values[id] for id in ids))
            except (ArithmeticError, ValueError):
                return False
            worst = np.zeros(self._count)
            for defect, size in defects:
                whole = size()
                worst = np.maximum(worst, np.abs(defect) / (whole + (whole == 0)))
        known = worst[np.isfinite(worst) & ~self._fallen]
        return len(known) > self._count // 3 and bool((known <= _NEAR).all())
