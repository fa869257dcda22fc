"""What a picture is made of: the few shapes that every format can draw.

Places are in pixels from the upper left corner, 96 of them to the inch. Angles are in degrees, anticlockwise as they are seen.
A path is a tuple of commands: ``("M", x, y)`` begins at a place, ``("L", x, y)`` goes straight to one, ``("A", x, y, radius, start,
sweep)`` goes round a centre, ``("O", x, y, radius)`` is a whole circle by itself, ``("Z",)`` goes back to where it began.
"""

from __future__ import annotations

from dataclasses import dataclass, field
from typing import Any

Path = tuple[tuple[Any, ...], ...]


@dataclass(frozen=True, slots=True)
class Pen:
    """How a path is stroked.

    Attributes:
        dash: lengths drawn and left out in turn, pixels; empty for a whole stroke.
        round: whether its ends are round.
    """

    colour: str
    width: float
    dash: tuple[float, ...] = ()
    round: bool = False


@dataclass(frozen=True, slots=True)
class Hatch:
    """Lines across a fill: a path over a tile of ten pixels that is laid side by side, as the display list says it."""

    tile: str
    colour: str
    opacity: float
    width: float = 1.4


@dataclass(frozen=True, slots=True)
class Shape:
    """A path with its stroke and its fill, either of which may be missing."""

    path: Path
    pen: Pen | None = None
    fill: str | None = None
    opacity: float = 1.0
    hatch: Hatch | None = None


@dataclass(frozen=True, slots=True)
class Text:
    """One line of words; ``halo`` is the colour of a light edge round its letters."""

    x: float
    y: float
    text: str
    size: float
    colour: str
    bold: bool = False
    anchor: str = "middle"
    halo: str | None = None
    is_name: bool = False


@dataclass(frozen=True, slots=True)
class Image:
    """A picture in pixels: its middle, its size, how far it is turned, and the bytes of the file."""

    x: float
    y: float
    width: float
    height: float
    turn: float
    opacity: float
    content: bytes


@dataclass(frozen=True, slots=True)
class Copies:
    """Parts that are drawn once for each of some maps ``(a, b, c, d, e, f)``, which take (x, y) to (ax + cy + e, bx + dy + f)."""

    parts: tuple[Part, ...]
    maps: tuple[tuple[float, ...], ...]


@dataclass(frozen=True, slots=True)
class Named:
    """The parts of one thing of the board: its id, its kind, and its sentence; for a point, where it is on the board."""

    id: str
    kind: str
    title: str
    parts: tuple[Part, ...]
    at: tuple[float, float] | None = None


Part = Shape | Text | Image | Copies | Named


@dataclass(slots=True)
class Picture:
    """A picture, ready to be written in any format.

    Attributes:
        ground: the colour behind everything, or None for a clear ground.
        board: where the origin of the board is, and how many pixels a board unit has.
        about: what it shows, in words.
    """

    width: float
    height: float
    ground: str | None
    board: tuple[float, float, float]
    about: str = ""
    parts: list[Part] = field(default_factory=list)
