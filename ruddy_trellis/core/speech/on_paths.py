"""Where places are, as it is drawn now, beside straight things and circles: on them, well off them, on one side."""

from __future__ import annotations

from collections.abc import Sequence

from ..kinds import ARC, CIRCLE
from ..seen import Place
from .things import Things


def left_of(t: Things, straight: Sequence[str], place: Sequence[float]) -> float:
    """How far to the left of a straight thing, or of two points, a place is, times the length of what it goes along."""
    px, py, dx, dy = line_through(t, straight)
    return dx * (place[1] - py) - dy * (place[0] - px)


def line_through(t: Things, span: Sequence[str]) -> tuple[float, float, float, float]:
    values = [t.b.now(id) for id in span]
    if len(span) == 2:
        (x, y), (u, v) = values[0][:2], values[1][:2]
        return x, y, u - x, v - y
    return values[0][:4]


def clear_of(t: Things, path: tuple[str, ...], at: Place) -> bool:
    """Whether a place is well off a straight thing or a circle."""
    view = t.b.ahead.settings.view
    least = 0.15 * min(view[2] - view[0], view[3] - view[1])
    if len(path) == 1 and t.b.kind(path[0]) in (CIRCLE, ARC):
        x, y, rr = t.b.now(path[0])[:3]
        return bool(abs(((at[0] - x) ** 2 + (at[1] - y) ** 2) ** 0.5 - rr**0.5) > 0.3 * least)
    px, py, dx, dy = line_through(t, path)
    size = (dx * dx + dy * dy) ** 0.5
    return bool(size == 0 or abs(dx * (at[1] - py) - dy * (at[0] - px)) / size > least)


def is_on(t: Things, point: str, path: tuple[str, ...]) -> bool:
    """Whether a point is on a path now: on the line through two points, on a circle."""
    place = t.b.ahead.value(point)
    if place is None or any(t.b.ahead.value(id) is None for id in path):
        return False
    x, y = place[:2]
    if len(path) == 1 and t.b.kind(path[0]) == CIRCLE:
        cx, cy, rr = t.b.now(path[0])[:3]
        return bool(abs((x - cx) ** 2 + (y - cy) ** 2 - rr) < 1e-6 * (1 + rr))
    px, py, dx, dy = line_through(t, path)
    return bool(abs(dx * (y - py) - dy * (x - px)) < 1e-6 * (1 + dx * dx + dy * dy))
