"""A plot of one column of numbers against another, as SVG."""

from html import escape
from math import floor, log10

_WIDTH, _HEIGHT = 280, 220
_LEFT, _LOW, _ROOM = 46, 40, 12


def plot(rows, across, up, columns):
    """Points of one column against another, with axes, numbers and names.

    Args:
        rows: rows of numbers, None where one has no value.
        across, up: which column runs to the right, which upwards.
        columns: for each column its name and its unit.

    Returns:
        The text of the SVG element.
    """
    points = [(row[across], row[up]) for row in rows if row[across] is not None and row[up] is not None]
    if not points:
        return ""
    x, y = (_Axis([point[place] for point in points]) for place in (0, 1))
    px = lambda value: round(_LEFT + (_WIDTH - _LEFT - _ROOM) * x.share(value), 1)
    py = lambda value: round(_HEIGHT - _LOW - (_HEIGHT - _LOW - _ROOM) * y.share(value), 1)
    parts = []
    for value in x.ticks():
        parts.append(f'<path d="M{px(value)} {_HEIGHT - _LOW}V{_ROOM}" class="plot-line"/>')
        parts.append(f'<text x="{px(value)}" y="{_HEIGHT - _LOW + 15}" text-anchor="middle">{_number(value)}</text>')
    for value in y.ticks():
        parts.append(f'<path d="M{_LEFT} {py(value)}H{_WIDTH - _ROOM}" class="plot-line"/>')
        parts.append(f'<text x="{_LEFT - 6}" y="{py(value) + 4}" text-anchor="end">{_number(value)}</text>')
    names = [f"{name} in {unit}" if unit else name for name, unit in (columns[across], columns[up])]
    parts.append(
        f'<text x="{(_LEFT + _WIDTH - _ROOM) / 2}" y="{_HEIGHT - 6}" text-anchor="middle" class="plot-name">{escape(names[0])}</text>'
    )
    parts.append(
        f'<text x="12" y="{(_HEIGHT - _LOW) / 2}" text-anchor="middle" transform="rotate(-90 12 {(_HEIGHT - _LOW) / 2})" '
        f'class="plot-name">{escape(names[1])}</text>'
    )
    parts += [f'<path d="M{px(a)} {py(b) - 4}l4 4l-4 4l-4 -4z" class="plot-point"/>' for a, b in points]
    label = f"{names[1]} against {names[0]}, {len(points)} points"
    return (
        f'<svg class="plot" viewBox="0 0 {_WIDTH} {_HEIGHT}" width="{_WIDTH}" height="{_HEIGHT}" role="img" '
        f'aria-label="{escape(label)}">{"".join(parts)}</svg>'
    )


class _Axis:
    """From the least to the greatest of some values, widened to whole ticks."""

    def __init__(self, values):
        low, high = min(values), max(values)
        if high - low <= 1e-9 * max(abs(high), abs(low), 1):
            low, high = low - 0.5, high + 0.5
        rough = (high - low) / 4
        power = 10.0 ** floor(log10(rough))
        self.step = next(times * power for times in (1, 2, 5, 10) if times * power >= rough)
        self.low, self.high = floor(low / self.step), -floor(-high / self.step)

    def share(self, value):
        return (value / self.step - self.low) / (self.high - self.low)

    def ticks(self):
        return [number * self.step for number in range(self.low, self.high + 1)]


def _number(value):
    return f"{value:.6g}".replace("-", "−")
