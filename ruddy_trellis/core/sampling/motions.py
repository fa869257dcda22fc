"""Motions: where what moves by itself is at any moment, and the pictures of it ahead of time."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from math import sqrt

from ..display import refreshed
from ..display.extent import Extent
from ..seen import Items, SeenBoard
from .loci import driver_range, is_endless

#: How far along a squeezed line a point runs, of 1 for infinity.
_ENDLESS = 0.93


@dataclass(frozen=True)
class Course:
    """One motion under way: what it moves, from where, and how.

    Attributes:
        driver: the id of the sliding point or the dial.
        low, high: the ends of its range; of an endless line squeezed.
        start: the share of the range where it was when it began.
        way: "once", "to and fro" or "round and round".
        seconds: from one end to the other.
    """

    driver: str
    low: float
    high: float
    start: float
    way: str
    seconds: float
    endless: bool

    def share(self, time):
        """The share of the range so many seconds after the beginning."""
        gone = self.start + time / self.seconds
        if self.way == "once":
            return min(gone, 1.0)
        if self.way == "round and round":
            return gone % 1.0
        gone %= 2.0
        return gone if gone <= 1 else 2 - gone

    def place(self, time):
        """The place of the driver so many seconds after the beginning."""
        place = self.low + self.share(time) * (self.high - self.low)
        return place / (1 - place * place) if self.endless else place

    def is_over(self, time):
        return self.way == "once" and self.start + time / self.seconds >= 1


def course(board: SeenBoard, id: str, from_start: bool = False) -> Course:
    """The course of a motion step, from where its driver is now (or from the beginning of its range)."""
    step = board.step(id)
    (driver,) = step.fills["driver"]
    driver_step = board.step(driver)
    low, high, _ = driver_range(driver_step, board.step)
    endless = is_endless(driver_step, board.step)
    place = driver_step.fills[driver_step.construction.moved_gap]
    if endless:
        low, high = (_ENDLESS if end > 0 else -_ENDLESS if end < 0 else 0.0 for end in (low, high))
        place = 2 * place / (1 + sqrt(1 + 4 * place * place))
    start = 0.0 if from_start else min(max((place - low) / (high - low), 0.0), 1.0)
    if step.fills["way"] == "once" and start >= 1:
        start = 0.0
    return Course(driver, low, high, start, step.fills["way"], step.fills["seconds"], endless)


def pictures(board: SeenBoard, courses: Sequence[Course], extent: Extent, times: Iterable[float]) -> list[Items]:
    """The refreshed display items at each of some moments. The board is moved along; give a copy of the real one.

    Returns:
        A list with a list of items for each moment, only those that differ from the picture before.
    """
    made, last = [], {}
    for time in times:
        items = refreshed(board, extent, board.move({one.driver: (one.place(time),) for one in courses}))
        fresh = [item for item in items if last.get(item["id"]) != item]
        last.update((item["id"], item) for item in fresh)
        made.append(fresh)
    return made
