"""What is to go out: which part of a board, how large, on what ground, with what on it."""

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from ..core import limits

_Number = Annotated[float, Field(ge=-limits.COORDINATE, le=limits.COORDINATE, allow_inf_nan=False)]
Box = tuple[_Number, _Number, _Number, _Number]
_Ids = Annotated[list[Annotated[str, Field(max_length=20)]], Field(max_length=limits.STEPS)]


class Trail(BaseModel):
    """What a moving thing has left behind: places joined up, in board units."""

    model_config = ConfigDict(extra="forbid")

    pen: str = Field(max_length=10)
    width: float = Field(ge=0.5, le=10)
    points: Annotated[list[_Number], Field(min_length=4, max_length=2_000)]


class Wanted(BaseModel):
    """What a person chose.

    Attributes:
        part: what is seen now, everything, or the frame.
        view: what is seen now: least x and y, greatest x and y; ``wide`` how many pixels of the screen it takes.
        frame: the part that was chosen.
        size: by the width in pixels; or true to the board's scale, on paper or as large as it is.
        ground: the colour of the board, none, or white.
        ink_only: black and white, for the photocopier.
        outlines: in SVG, letters as outlines.
        closed, lifted: the ids of things that a reveal hides now, and of those whose covers are lifted.
        trails: what moving things have left behind.
    """

    model_config = ConfigDict(extra="forbid")

    part: Literal["view", "all", "frame"] = "view"
    view: Box | None = None
    wide: float = Field(default=960, ge=40, le=20_000)
    frame: Box | None = None
    size: Literal["pixels", "scale"] = "pixels"
    pixels: int = Field(default=1600, ge=40, le=8_000)
    paper: Literal["own", "A4", "A3", "A5", "Letter"] = "A4"
    landscape: bool = False
    ground: Literal["paper", "clear", "white"] = "paper"
    ink_only: bool = False
    grid: bool = True
    names: bool = True
    readings: bool = True
    chalk: bool = True
    photograph: bool = True
    outlines: bool = False
    closed: _Ids = []
    lifted: _Ids = []
    trails: Annotated[list[Trail], Field(max_length=1_000)] = []


class Film(BaseModel):
    """What is to be filmed and how.

    Attributes:
        motion: the id of a motion, or "" for the replay of the working; None for the first motion of the board, where it has one.
        rate: pictures a second; ``speed`` how many times as fast as on the board; ``seconds`` at most.
        loops: how often it is shown; 0 for ever.
    """

    model_config = ConfigDict(extra="forbid")

    motion: str | None = Field(default=None, max_length=20)
    rate: int = Field(default=15, ge=2, le=30)
    speed: float = Field(default=1, ge=0.1, le=10)
    seconds: float = Field(default=10, ge=0.2, le=60)
    loops: int = Field(default=0, ge=0, le=100)
