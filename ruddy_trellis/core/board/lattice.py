"""The lattice of a board's ground, to which points keep when snapping is on."""

from math import sqrt

from ..seen import Place
from .settings import Settings

_SLANT = sqrt(3) / 2


def snapped(settings: Settings, at: Place) -> Place:
    """The place of the lattice nearest to a position; the position itself where snapping is off."""
    if not settings.snap or not settings.spacing:
        return at
    step, (x, y) = settings.spacing, at
    if settings.ground != "triangles":
        return tidy(round(x / step) * step), tidy(round(y / step) * step)
    rows = [row + shift for row in (round(y / (step * _SLANT)),) for shift in (-1, 0, 1)]
    near = [((round(x / step - row / 2) + row / 2) * step, row * _SLANT * step) for row in rows]
    px, py = min(near, key=lambda place: (place[0] - x) ** 2 + (place[1] - y) ** 2)
    return tidy(px), tidy(py)


def tidy(number: float) -> float:
    """A number without the dust that a product of decimals leaves: 0.30000000000000004 is 0.3."""
    return float(f"{number:.12g}")
