"""The messages that a browser may send to a hand."""

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field, TypeAdapter, ValidationError

from .. import limits
from ..edits.models import StrokeData
from ..refusal import Refusal

Coordinate = Annotated[float, Field(ge=-1e7, le=1e7, allow_inf_nan=False)]
Place = tuple[Coordinate, Coordinate]
Ids = Annotated[list[Annotated[str, Field(max_length=20)]], Field(max_length=limits.EDIT_THINGS)]
Reach = Annotated[float, Field(gt=0, le=1e6)]
Text = Annotated[str, Field(max_length=20_000)]


#: Where something is followed to: a point, or one of complex coordinates.
Followed = Annotated[tuple[Annotated[float, Field(allow_inf_nan=False)], ...], Field(min_length=2, max_length=4)]

#: What an edit is known by to whoever asked for it.
Key = Annotated[str, Field(pattern=r"^[a-z0-9-]{8,60}$")]


class _Message(BaseModel):
    """A message. ``once`` is what an act is known by: what comes of it is made once, however often it is sent."""

    model_config = ConfigDict(extra="forbid")

    once: Key | None = None


class Grab(_Message):
    t: Literal["grab"]
    ids: Annotated[Ids, Field(min_length=1)]
    at: Place


class Drag(_Message):
    """What is held goes to a place. ``near`` is where a copy has followed to what has to be followed."""

    t: Literal["drag"]
    to: Place
    seq: Annotated[int, Field(ge=0, le=2**53)]
    near: Annotated[dict[Annotated[str, Field(max_length=20)], Followed], Field(max_length=limits.EDIT_THINGS)] = {}


class Drop(_Message):
    """What is held is let go. ``unseen`` are the ids of what closed reveals hide from this person."""

    t: Literal["drop"]
    unseen: Ids = []


class Hover(_Message):
    t: Literal["hover"]
    at: Place
    reach: Reach


class Click(_Message):
    t: Literal["click"]
    at: Place
    reach: Reach
    id: Annotated[str, Field(max_length=20)] | None = None


class Tool(_Message):
    t: Literal["tool"]
    key: Annotated[str, Field(max_length=40)] | None
    pinned: bool = False
    retie: Annotated[str, Field(max_length=20)] | None = None


class Back(_Message):
    t: Literal["back"]


class Gap(_Message):
    """This gap of the running sentence is to be filled next."""

    t: Literal["gap"]
    name: Annotated[str, Field(max_length=40)]


class Finish(_Message):
    t: Literal["finish"]


class Say(_Message):
    """Say something. A paragraph is shown as what it is read as first; with ``take`` it is taken."""

    t: Literal["say"]
    text: Text
    take: bool = False


class Put(_Message):
    t: Literal["put"]
    id: Annotated[str, Field(max_length=20)]
    text: Text
    unseen: Ids = []


class Complete(_Message):
    t: Literal["complete"]
    text: Text


class Consider(_Message):
    """Show what a sentence is about and would make, without saying it."""

    t: Literal["consider"]
    text: Text


class Select(_Message):
    t: Literal["select"]
    ids: Ids


class Offer(_Message):
    t: Literal["offer"]
    number: int = Field(ge=0, le=1000)


class DoEdit(_Message):
    t: Literal["edit"]
    edit: dict


class _Unsent(_Message):
    """An edit that was made without the line: what it is known by, and the ids of what it made there."""

    key: Key
    edit: dict
    made: Annotated[list[Annotated[str, Field(max_length=20)]], Field(max_length=limits.STEPS)] = []


class Unsent(_Message):
    """What was done while there was no line, in order."""

    t: Literal["unsent"]
    edits: Annotated[list[_Unsent], Field(min_length=1, max_length=1000)]


class Nudge(_Message):
    t: Literal["nudge"]
    ids: Annotated[Ids, Field(min_length=1)]
    by: Place
    unseen: Ids = []


class View(_Message):
    t: Literal["view"]
    view: tuple[Coordinate, Coordinate, Coordinate, Coordinate]
    meant: tuple[Coordinate, Coordinate, Coordinate, Coordinate] | None = None
    keep: bool = True


class Gather(_Message):
    t: Literal["gather"]
    what: Annotated[str, Field(max_length=20)]
    ids: Ids = []


class Loosen(_Message):
    t: Literal["loosen"]
    id: Annotated[str, Field(max_length=20)]


class Counter(_Message):
    """Show a position in which a claim fails, and put everything back."""

    t: Literal["counter"]
    id: Annotated[str, Field(max_length=20)]


class Prove(_Message):
    """Look for a proof of a claim again, or look no longer."""

    t: Literal["prove"]
    id: Annotated[str, Field(max_length=20)]
    go: bool = False


class Pair(_Message):
    """Show two of the eight angles that the last of three lines makes with the others; nothing for no angles."""

    t: Literal["pair"]
    lines: Annotated[Ids, Field(max_length=3)]
    angles: Annotated[list[int], Field(max_length=8)]


class Scribble(_Message):
    """Chalk for the lesson alone: a stroke that everyone at the board sees and nothing keeps, or such strokes rubbed out."""

    t: Literal["scribble"]
    stroke: StrokeData | None = None
    name: Annotated[str, Field(max_length=20, pattern=r"^[a-z0-9-]+$")] = "s"
    wipe: list[Annotated[str, Field(max_length=40)]] = Field(default_factory=list, max_length=400)


class Ask(_Message):
    """Ask a question that stands on the board: whether a point is in a region."""

    t: Literal["ask"]
    id: Annotated[str, Field(max_length=20)]


class Asked(BaseModel):
    """What a quiz asked last: about which two of the eight angles; how many answers were right so far, of how many."""

    model_config = ConfigDict(extra="forbid")

    numbers: tuple[Annotated[int, Field(ge=1, le=8)], Annotated[int, Field(ge=1, le=8)]]
    right: Annotated[int, Field(ge=0, le=1_000_000)] = 0
    of: Annotated[int, Field(ge=0, le=1_000_000)] = 0


class Quiz(_Message):
    """Ask a question of a quiz on the board; with an answer to what was asked last, say what came of it and ask the next. No quiz: it is
    over. Whoever asks keeps the score, so that any copy of the board can go on with it."""

    t: Literal["quiz"]
    id: Annotated[str, Field(max_length=20)] | None = None
    last: Asked | None = None
    answer: Annotated[str, Field(max_length=40)] | None = None


class Ahead(_Message):
    """Show what an edit would move, without making it; nothing for no edit."""

    t: Literal["ahead"]
    edit: dict | None


class BoardLook(_Message):
    """Make the look of one thing the board's own look of its kind."""

    t: Literal["board_look"]
    id: Annotated[str, Field(max_length=20)]


class Shake(_Message):
    t: Literal["shake"]


class Play(_Message):
    """Run motions: those named, or all of the board's."""

    t: Literal["play"]
    ids: Ids = []
    from_start: bool = False


class Pause(_Message):
    t: Literal["pause"]


class LookBack(_Message):
    """Show the board as it was when so many edits were in it; None shows it as it is."""

    t: Literal["look_back"]
    number: int | None = Field(default=None, ge=0)


class BringBack(_Message):
    t: Literal["bring_back"]
    number: int = Field(ge=0)


class Range(_Message):
    """Show a part of the plane that was typed."""

    t: Literal["range"]
    view: tuple[Coordinate, Coordinate, Coordinate, Coordinate]


class Lift(_Message):
    """Lift the covers of these things, and put all others back."""

    t: Literal["lift"]
    ids: Ids


class Undo(_Message):
    """Take the last edit back. ``heard`` is the number of the last change that this page has heard of."""

    t: Literal["undo"]
    heard: Annotated[int, Field(ge=0, le=2**53)] | None = None


class Redo(_Message):
    """Make the edit again that was taken back last. ``heard`` as in ``Undo``."""

    t: Literal["redo"]
    heard: Annotated[int, Field(ge=0, le=2**53)] | None = None


class Reset(_Message):
    """A student's copy becomes again what the teacher's board is."""

    t: Literal["reset"]


class Near(_Message):
    """The steps of the board are asked for, for a copy beside the drawing."""

    t: Literal["near"]


class Far(_Message):
    """There is no copy beside the drawing, or none any more. ``words`` are the kind of the problem, and nothing that somebody typed."""

    t: Literal["far"]
    words: Annotated[str, Field(pattern=r"^[A-Za-z ]{0,80}$")]


class Working(_Message):
    """Tell the working of a student's copy, a sentence a line."""

    t: Literal["working"]


class Renew(_Message):
    """Take the teacher's change of the board into a student's copy; without ``take`` it is told what that would do."""

    t: Literal["renew"]
    take: bool = False


class IsRight(_Message):
    """Is it right? Asked of what was made for a challenge."""

    t: Literal["is_right"]
    reach: Reach


class Hint(_Message):
    """Tell the next hint of the board's challenge, or once more the last one that was told."""

    t: Literal["hint"]
    again: bool = False


class HandIn(_Message):
    """Hand in the copy as it is now, under a nickname."""

    t: Literal["hand_in"]
    name: Annotated[str, Field(max_length=60)]


class HandedIn(_Message):
    """What of this copy was handed in, and whether it can be; with ``take_back`` all of it goes."""

    t: Literal["handed_in"]
    take_back: bool = False


class ShowWhere(_Message):
    """Show the position in which what was made last is not what is asked for, and put everything back."""

    t: Literal["show_where"]


class Here(_Message):
    """Are you there? Answered with the same number, after everything that was sent before."""

    t: Literal["here"]
    number: Annotated[int, Field(ge=0, le=2**31)] = 0


Message = Annotated[
    Here
    | Gap
    | Grab
    | Drag
    | Drop
    | Hover
    | Click
    | Tool
    | Back
    | Finish
    | Say
    | Put
    | Complete
    | Consider
    | Counter
    | Prove
    | Pair
    | Quiz
    | Ask
    | Scribble
    | Select
    | Offer
    | DoEdit
    | Unsent
    | Nudge
    | View
    | Gather
    | Loosen
    | Ahead
    | BoardLook
    | Shake
    | Play
    | Pause
    | LookBack
    | BringBack
    | Range
    | Lift
    | Undo
    | Redo
    | Near
    | Far
    | Working
    | Renew
    | IsRight
    | ShowWhere
    | Hint
    | HandIn
    | HandedIn
    | Reset,
    Field(discriminator="t"),
]
_MESSAGE: TypeAdapter[Message] = TypeAdapter(Message)


def read_message(data: str | bytes | dict) -> Message:
    """A message from its JSON, or from what that holds. Raises Refusal where it is none."""
    try:
        return _MESSAGE.validate_python(data) if isinstance(data, dict) else _MESSAGE.validate_json(data)
    except ValidationError as error:
        problem = error.errors()[0]
        where = ".".join(str(part) for part in problem["loc"][1:])
        raise Refusal(f"That cannot be read ({where}: {problem['msg'].lower()}).") from None
