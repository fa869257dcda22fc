"""The part of the plane that is seen."""

from dataclasses import dataclass


@dataclass(frozen=True)
class Extent:
    """The part of the plane that is seen: lines are cut some way outside it, and their names stand inside."""

    left: float
    low: float
    right: float
    high: float

    @property
    def width(self) -> float:
        return self.right - self.left

    @property
    def height(self) -> float:
        return self.high - self.low

    def grown(self, times: float) -> "Extent":
        """The extent with its sides moved out by so many times its size."""
        x, y = self.width * times, self.height * times
        return Extent(self.left - x, self.low - y, self.right + x, self.high + y)


def clip(straight, extent: Extent):
    """The part of a straight thing inside an extent as two shares of its direction, or None (Liang and Barsky)."""
    px, py, dx, dy, low, high = straight
    for position, direction, least, most in ((px, dx, extent.left, extent.right), (py, dy, extent.low, extent.high)):
        if direction == 0:
            if not least <= position <= most:
                return None
            continue
        start, end = (least - position) / direction, (most - position) / direction
        if start > end:
            start, end = end, start
        low, high = max(low, start), min(high, end)
    return (low, high) if low < high else None
