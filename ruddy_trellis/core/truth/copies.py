"""Shaken copies of a figure, and which relations hold in all of them: what is noticed, what a shape is, what is loose."""

from typing import Any

from ..arithmetic import ARRAYS
from ..arithmetic.late import np
from ..sampling.shaking import shaken
from ..seen import SeenBoard

#: How near counts as so, as a share of the size of what is compared.
_NEAR = 1e-8


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
        known = worst[np.isfinite(worst)]
        return len(known) > self._count // 3 and bool((known <= _NEAR).all())
