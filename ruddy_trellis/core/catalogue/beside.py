"""Where words stand of which nobody said where: beside the figure, over nothing."""

from math import hypot, pi, sqrt
from typing import Any

from ..arithmetic.circular import cos, sin
from ..kinds import CIRCLE, POINT, POLYGON, STRAIGHTS, TOLD
from ..seen import SeenBoard

#: How large words are on a board of this width, pixels: what a lesson is set up for. A sign, a line, and the room round them.
_WIDTH, _SIGN, _LINE, _ROUND = 964, 9, 24, 20
_ACROSS, _DOWN = 14, 12


def beside_the_figure(fills: dict[str, Any], board: SeenBoard) -> dict[str, Any]:
    """What fills the gaps of words of which nobody said where they stand: they cover nothing, and are near the figure."""
    spots = [spot for step in board.steps if not step.look.hidden for spot in _spots(board, step)]
    if fills.get("at") != (0.0, 0.0) or not spots:
        return fills
    left, low, right, high = board.settings.view
    pixel = (right - left) / _WIDTH
    lines = str(fills["text"]).split("\n")
    width, height = (max(map(len, lines)) * _SIGN + _ROUND) * pixel, (len(lines) * _LINE + _ROUND) * pixel
    middle = [sum(ends) / 2 for ends in zip(map(min, zip(*spots)), map(max, zip(*spots)))]

    def cost(at):
        across, up = (at[0] - _ROUND * pixel, at[0] + width + _ROUND * pixel), (at[1] - height, at[1] + _ROUND * pixel)
        covered = sum(across[0] < x < across[1] and up[0] < y < up[1] for x, y in spots)
        return covered, hypot(at[0] + width / 2 - middle[0], at[1] - height / 2 - middle[1])

    xs = [left + (right - left - width) * (0.03 + 0.94 * number / _ACROSS) for number in range(_ACROSS + 1)]
    ys = [high - (high - low - height) * (0.06 + 0.8 * number / _DOWN) for number in range(_DOWN + 1)]
    x, y = min(((x, y) for x in xs for y in ys), key=cost)
    return {**fills, "at": (round(x, 2), round(y, 2))}


def _spots(board, step):
    """Places that a thing takes up: along it, and in what is filled."""
    value = board.value(step.id)
    if value is None:
        return
    if step.makes == POINT:
        yield value[:2]
    elif step.makes in STRAIGHTS:
        x, y, across, up, *ends = value
        far = max(abs(end) for end in board.settings.view) / (hypot(across, up) or 1.0)
        first, last = (min(max(end, -far), far) for end in ends) if ends else (0.0, 1.0)
        for number in range(25):
            share = first + (last - first) * number / 24
            yield x + across * share, y + up * share
    elif step.makes == CIRCLE:
        for turn in range(24):
            yield value[0] + sqrt(value[2]) * cos(turn * pi / 12), value[1] + sqrt(value[2]) * sin(turn * pi / 12)
    elif step.makes == POLYGON:
        inside = [sum(axis) / len(value) for axis in zip(*(corner[:2] for corner in value))]
        for (ax, ay), (bx, by) in zip((corner[:2] for corner in value), (corner[:2] for corner in (*value[1:], value[0]))):
            for along in range(7):
                for inward in range(4):
                    x, y = ax + (bx - ax) * along / 6, ay + (by - ay) * along / 6
                    yield x + (inside[0] - x) * inward / 4, y + (inside[1] - y) * inward / 4
    elif step.makes in TOLD:
        yield from ((value[0] + across, value[1] - down) for across in (0.1, 1.0, 2.0, 3.0) for down in (0.1, 0.4))
