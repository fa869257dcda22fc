"""Compass work of a way divided in equal parts, and in a ratio of whole numbers."""

from typing import Any

from .straight import made_point
from .work import Ids, Made, NotByHand, Work

#: Into how many parts a way is divided at most.
PARTS = 24


def dividing(work: Work, fills: Any) -> Made:
    return made_point(work, divided(work, *work.ends(fills["span"]), *_asked(fills)))


def dividing_by_parallels(work: Work, fills: Any) -> Made:
    """Equal openings on one ray; the parallel to what joins the last to the other end, through the mark of the first number."""
    a, b = work.ends(fills["span"])
    first, second = _asked(fills)
    aside, _ = work.equally_far(a, b)
    mark = marked_off(work, a, aside, first)
    last = marked_off(work, a, aside, first + second)
    return made_point(work, work.meet(work.line(mark, work.shifted(mark, last, b)), work.line(a, b)))


def _asked(fills):
    first, second = (fills[gap] for gap in ("first", "second"))
    if not all(isinstance(part, (int, float)) for part in (first, second)):
        raise NotByHand("By hand a way is divided in a ratio of whole numbers; here it is one of readings.")
    return _whole(first, second)


def _whole(first: float, second: float) -> tuple[int, int]:
    """A ratio as one of small whole numbers. Raises NotByHand."""
    for times in (1, 2, 3, 4, 5, 6, 8, 10):
        parts = first * times, second * times
        if all(abs(part - round(part)) < 1e-9 for part in parts) and min(parts) > 0 and sum(parts) <= PARTS:
            return round(parts[0]), round(parts[1])
    raise NotByHand(f"By hand a way is divided in a ratio of whole numbers above zero, of at most {PARTS} parts together.")


def divided(work: Work, a: Ids, b: Ids, first: int, second: int) -> Ids:
    """The point that divides the way from a to b in a ratio of whole numbers.

    Equal openings go off on two parallel lines, one to each side: the sides of the rhombus about ab. Where the first mark on the one is
    joined to the last on the other, ab is cut in that ratio (intercept theorem).
    """
    left, right = work.equally_far(a, b)
    up, down = marked_off(work, a, left, first), marked_off(work, b, right, second)
    return work.meet(work.line(up, down), work.line(a, b))


def marked_off(work: Work, start: Ids, first: Ids, times: int) -> Ids:
    """The point so many times as far from a start as another one is, in its direction."""
    before, now = start, first
    for _ in range(times - 1):
        before, now = now, work.other(work.line(start, first), work.circle(now, before), before)
    return now
