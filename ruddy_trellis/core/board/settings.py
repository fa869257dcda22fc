"""The settings of a board as a whole."""

from __future__ import annotations

from dataclasses import dataclass, field, replace
from typing import Literal, get_args

Unit = Literal["", "mm", "cm", "m", "km"]
Ground = Literal["blank", "grid", "triangles", "axes"]
Paper = Literal["light", "dark"]
Language = Literal["en", "de"]
Kit = Literal["everything", "compass", "closing", "straightedge", "look", "chosen"]
UNITS, GROUNDS, PAPERS, LANGUAGES, KITS = map(get_args, (Unit, Ground, Paper, Language, Kit))


@dataclass(frozen=True)
class Photograph:
    """A picture in pixels that lies under the figure, to be traced.

    Attributes:
        mark: the SHA-256 of the file, by which it is kept with the lesson.
        at: its middle, board units; ``width`` how wide it is there; ``tall`` its height as a share of that.
        turn: how far it is turned, degrees, anticlockwise.
        fade: how much of it is seen, from 0 to 1.
    """

    mark: str
    at: tuple[float, float]
    width: float
    tall: float
    turn: float = 0.0
    fade: float = 0.6


@dataclass(frozen=True)
class Settings:
    """What belongs to the board as a whole.

    Attributes:
        view: the part shown at first: least x, least y, greatest x, greatest y, in board units.
        spacing: of the lattice, in board units; None where it follows the zoom.
        snap: whether points that are put down or dragged keep to the lattice.
        scale: how many units of the board one centimetre stands for, or None.
        paper, size: a light or a dark board; how large pegs, lines and letters are drawn.
        looks: for each kind of thing, the parts of its look that were made the board's own.
        nice: a reading that a drag keeps to whole steps, and the step; None where it is left free.
        log: the readings that are recorded; ``rows`` what was; ``logging`` whether a drag records as well.
        photograph: the picture under the figure.
        language: in which sentences are said, read and refused, by its code; what has no words in it is English.
        kit: what students build with on their copies (see ``kits.kit``); ``kit_tools`` the tools of a kit that is chosen.
        own_from: in a student's copy the number above which the ids of the student's own steps begin; all others are given. 0 on
            every other board, where nothing is.
    """

    title: str = "Board 1"
    unit: str = "m"
    ground: str = "grid"
    decimals: int = 2
    view: tuple = (-10.0, -6.0, 10.0, 6.0)
    spacing: float | None = None
    snap: bool = False
    scale: float | None = None
    paper: str = "light"
    size: float = 1.0
    looks: dict = field(default_factory=dict)
    nice: tuple | None = None
    log: tuple = ()
    rows: tuple = ()
    logging: bool = False
    photograph: Photograph | None = None
    language: str = "en"
    kit: str = "look"
    kit_tools: tuple[str, ...] = ()
    own_from: int = 0

    def with_(self, **changes) -> Settings:
        return replace(self, **changes)
