"""The edits as they come from outside: what each asks for, within bounds. ``prepare`` says what they do."""

from typing import Annotated, Any, Literal, get_args

from pydantic import BaseModel, ConfigDict, Field, TypeAdapter, ValidationError

from .. import limits
from ..board.settings import Ground, Kit, Language, Paper, Unit
from ..refusal import Refusal

Pen = Literal["ink", "ruddy", "leaf", "straw", "sky", "plum", "slate"]
Pattern = Literal["solid", "dashed", "dotted"]
PENS, PATTERNS = get_args(Pen), get_args(Pattern)
Id = Annotated[str, Field(max_length=20)]
Ids = Annotated[list[Id], Field(min_length=1, max_length=limits.EDIT_THINGS)]
Number = Annotated[float, Field(allow_inf_nan=True)]


class _Edit(BaseModel):
    model_config = ConfigDict(extra="forbid")


class NewStep(_Edit):
    """A step to add. Its fills are in the file format's JSON; "new:0" names the first step of the same edit. One that only helps others
    starts hidden; on one that is ``covered`` a cover lies until somebody lifts it, and a ``caption``
    is what its label says."""

    does: str = Field(max_length=40)
    fills: dict[str, Any] = Field(default_factory=dict, max_length=12)
    name: str | None = Field(default=None, max_length=limits.SENTENCE_LENGTH * 20)
    hidden: bool = False
    covered: bool = False
    caption: str | None = Field(default=None, max_length=limits.CAPTION_LENGTH)


class Add(_Edit):
    """Add steps at the end."""

    kind: Literal["add"] = "add"
    steps: list[NewStep] = Field(min_length=1, max_length=50)


class Move(_Edit):
    """Give points other typed numbers: a free point its coordinates, a sliding one its place. ``near`` is where what has to be followed
    has come to on the way, where somebody has followed it."""

    kind: Literal["move"] = "move"
    numbers: dict[Id, list[Number]] = Field(min_length=1, max_length=limits.EDIT_THINGS)
    near: dict[Id, list[Number]] = Field(default={}, max_length=limits.EDIT_THINGS)


class Rename(_Edit):
    """Give a thing another name."""

    kind: Literal["rename"] = "rename"
    id: Id
    name: str = Field(max_length=limits.SENTENCE_LENGTH * 20)


class LookChanges(_Edit):
    """The parts of a look to change; a part given as null goes back to how its kind is drawn at first."""

    pen: Pen | None = None
    width: float | None = Field(default=None, ge=0.5, le=12)
    pattern: Pattern | None = None
    fill: float | None = Field(default=None, ge=0, le=1)
    size: float | None = Field(default=None, ge=2, le=20)
    hidden: bool = False
    locked: bool = False
    teacher_only: bool = False
    label: bool | None = None
    caption: str | None = Field(default=None, max_length=limits.CAPTION_LENGTH)
    part: bool | None = None
    trail: float | None = Field(default=None, ge=0, le=600)
    snap: bool | None = None
    cover: bool | None = None
    teacher_lifts: bool = False
    label_offset: tuple[Annotated[float, Field(ge=-2000, le=2000)], Annotated[float, Field(ge=-2000, le=2000)]] | None = None
    decimals: int | None = Field(default=None, ge=0, le=10)
    tag: bool | None = None
    unit: Literal["mm", "cm", "m", "km"] | None = None


class Restyle(_Edit):
    """Change the look of things, hiding and showing included."""

    kind: Literal["restyle"] = "restyle"
    ids: Ids
    look: LookChanges


class Choose(_Edit):
    """Set a word gap of a step: "reflex" for an angle, or nothing."""

    kind: Literal["choose"] = "choose"
    id: Id
    gap: str = Field(max_length=40)
    word: str | None = Field(default=None, max_length=40)


class Retie(_Edit):
    """Make a thing in another way, or from other things, and keep what hangs on it: tie a free point to a path, loosen
    it, change what a step is made from. ``helper`` is a line to make first, hidden, and to tie to as "new:0"; a place
    given as "nearest" is the one nearest to where the point is."""

    kind: Literal["retie"] = "retie"
    id: Id
    does: str = Field(max_length=40)
    fills: dict[str, Any] = Field(default_factory=dict, max_length=12)
    helper: NewStep | None = None


class Paste(_Edit):
    """Add everything that a working says, a sentence a line."""

    kind: Literal["paste"] = "paste"
    text: str = Field(max_length=limits.PASTE_LENGTH)


class ByHand(_Edit):
    """Draw things by hand, with straightedge and compasses, that were made in one step; no ids: all that can be drawn so. ``closes`` is
    for compasses that close when they are lifted; ``another`` for the second way that schools teach, where there is one."""

    kind: Literal["by_hand"] = "by_hand"
    ids: Annotated[list[Id], Field(max_length=limits.EDIT_THINGS)] = Field(default_factory=list)
    closes: bool = False
    another: bool = False


class Record(_Edit):
    """Write the present values of the log's readings into the log."""

    kind: Literal["record"] = "record"


class Delete(_Edit):
    """Delete things, and with them everything made from them."""

    kind: Literal["delete"] = "delete"
    ids: Ids


class Tidy(_Edit):
    """Hide all helpers: the lines, rays and circles that something else is made from."""

    kind: Literal["tidy"] = "tidy"


class PhotographData(_Edit):
    """A picture under the figure: by what it is kept, where its middle is, how wide, how tall for its width, how turned, how faint."""

    mark: str = Field(pattern=r"^[0-9a-f]{64}$")
    at: tuple[Number, Number]
    width: float = Field(gt=0, le=limits.COORDINATE)
    tall: float = Field(ge=0.01, le=100)
    turn: float = Field(default=0, ge=-360, le=360)
    fade: float = Field(default=0.6, ge=0.05, le=1)


class FitPhotograph(_Edit):
    """Make the picture under the figure so large that two places on it are a length apart; the first of them stays."""

    kind: Literal["fit_photograph"] = "fit_photograph"
    first: tuple[Number, Number]
    second: tuple[Number, Number]
    length: float = Field(gt=0, le=limits.COORDINATE)


class Arrange(_Edit):
    """Change settings of the board."""

    kind: Literal["arrange"] = "arrange"
    title: str | None = Field(default=None, max_length=limits.TITLE_LENGTH)
    unit: Unit | None = None
    ground: Ground | None = None
    decimals: int | None = Field(default=None, ge=0, le=10)
    view: tuple[Number, Number, Number, Number] | None = None
    spacing: Annotated[float, Field(gt=0, le=1e6)] | None = None
    snap: bool | None = None
    scale: Annotated[float, Field(gt=0, le=1e6)] | None = None
    paper: Paper | None = None
    size: Annotated[float, Field(ge=0.7, le=3)] | None = None
    looks: dict[Annotated[str, Field(max_length=20)], LookChanges] | None = None
    nice: tuple[Id, Annotated[float, Field(gt=0, le=1e6)]] | None = None
    log: list[Id] | None = Field(default=None, max_length=limits.LOG_READINGS)
    rows: list[Annotated[list[float | None], Field(max_length=limits.LOG_READINGS)]] | None = Field(
        default=None, max_length=limits.LOG_ROWS
    )
    logging: bool | None = None
    photograph: PhotographData | None = None
    language: Language | None = None
    kit: Kit | None = None
    kit_tools: list[Annotated[str, Field(max_length=40)]] | None = Field(default=None, max_length=limits.KIT_TOOLS)


class StrokeData(_Edit):
    """A stroke of chalk: places along it, board units, and how hard it was pressed there, or nothing."""

    pen: Pen
    width: float = Field(ge=0.5, le=24)
    points: list[Annotated[float, Field(ge=-limits.COORDINATE, le=limits.COORDINATE)]] = Field(
        min_length=2, max_length=2 * limits.STROKE_PLACES
    )
    presses: list[Annotated[float, Field(ge=0, le=1)]] = Field(default_factory=list, max_length=limits.STROKE_PLACES)


class Chalk(_Edit):
    """Draw strokes of chalk, and rub out others by their ids."""

    kind: Literal["chalk"] = "chalk"
    add: list[StrokeData] = Field(default_factory=list, max_length=20)
    wipe: list[Id] = Field(default_factory=list, max_length=limits.STROKES)


class Together(_Edit):
    """Several edits as one, each on the board as those before it leave it."""

    kind: Literal["together"] = "together"
    edits: list[Add | Move | Rename | Restyle | Choose | Retie | Delete] = Field(min_length=1, max_length=100)


Edit = Annotated[
    Add | Move | Rename | Restyle | Choose | Retie | Paste | ByHand | Record | Delete | Tidy | Arrange | Chalk | FitPhotograph | Together,
    Field(discriminator="kind"),
]
_EDIT = TypeAdapter(Edit)


def read_edit(data: Any) -> Any:
    """An edit from JSON. Raises Refusal where it has not the shape of one."""
    try:
        return _EDIT.validate_python(data)
    except ValidationError as error:
        first = error.errors()[0]
        where = ".".join(str(part) for part in first["loc"] if part not in ("add", "restyle"))
        raise Refusal(f"That edit cannot be read: {where}: {first['msg'].lower()}.") from None
