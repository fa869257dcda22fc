"""The messages on the line of a class: what a teacher's page may send, and what a student's."""

from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, TypeAdapter, ValidationError

from .. import limits
from ..refusal import Refusal
from . import asking

Coordinate = Annotated[float, Field(ge=-1e7, le=1e7, allow_inf_nan=False)]
Place = tuple[Coordinate, Coordinate]
View = tuple[Coordinate, Coordinate, Coordinate, Coordinate]
Id = Annotated[str, Field(max_length=20)]
Number = Annotated[int, Field(ge=0, le=2**53)]
#: So many people are in a class at most.
MOST = 200


class _Message(BaseModel):
    model_config = ConfigDict(extra="forbid")


class Here(_Message):
    """A question whether the server is there."""

    t: Literal["here"]


# What a teacher's page sends ---------------------------------------------------------------------------------------


class Wall(_Message):
    """Pictures of the boards are wanted, first of those who are in sight; or no more."""

    t: Literal["wall"]
    on: bool
    seen: Annotated[list[Number], Field(max_length=MOST)] = []


class Look(_Message):
    """Look over somebody's shoulder; over nobody's any more."""

    t: Literal["look"]
    who: Number | None


class Dot(_Message):
    """A dot of light to point with: on the board that is looked at, or on the teacher's, for all who follow."""

    t: Literal["dot"]
    at: Place | None


class PutUp(_Message):
    """Somebody's board is put up, for everyone or for the teacher's pages only; none any more."""

    t: Literal["put_up"]
    who: Number | None
    everyone: bool = False


class Lead(_Message):
    """Everyone looks at the board that is open on this page; or carries on."""

    t: Literal["lead"]
    on: bool
    board: Number


class Seen(_Message):
    """What is seen on the page that leads: which part of the plane, and what its reveals keep back; and with what is it marked."""

    t: Literal["seen"]
    view: View
    closed: Annotated[list[Id], Field(max_length=limits.STEPS)] = []


class Pegs(_Message):
    """Everybody's thing of that id is put on the board that is open on this page; or no more is."""

    t: Literal["pegs"]
    board: Number
    id: Id | None
    names: bool = False
    condition: Id | None = None
    trail: bool = False


class KeepPegs(_Message):
    """The marks stay as they are now, or go."""

    t: Literal["keep_pegs"]
    keep: bool


class LogAll(_Message):
    """Everybody's readings are written into the log, a row each."""

    t: Literal["log_all"]
    board: Number


class Ask(_Message):
    """A question is put to the class."""

    t: Literal["ask"]
    board: Number
    what: asking.Kind
    id: Id = ""
    words: Annotated[str, Field(max_length=2 * asking.WORDS)] = ""
    choices: Annotated[list[Annotated[str, Field(max_length=2 * asking.CHOICE)]], Field(max_length=asking.CHOICES)] = []
    right: Annotated[int, Field(ge=0, lt=asking.CHOICES)] | None = None


class Asked(_Message):
    """What becomes of the question: it takes answers no longer; what was answered is shown to all; it is put away."""

    t: Literal["asked"]
    do: Literal["close", "show", "away"]


class Uncover(_Message):
    """Covers are lifted for everyone."""

    t: Literal["uncover"]
    board: Number
    ids: Annotated[list[Id], Field(max_length=100)]


class Helped(_Message):
    """Somebody who asked for help has it."""

    t: Literal["helped"]
    who: Number


# What a student's page sends ---------------------------------------------------------------------------------------


class At(_Message):
    """Which board is open on the page."""

    t: Literal["at"]
    board: Number


class Help(_Message):
    """Somebody asks for help, or does so no longer."""

    t: Literal["help"]
    on: bool


class Apart(_Message):
    """Somebody carries on alone while the others look at the teacher's board; or comes back."""

    t: Literal["apart"]
    on: bool


class Answer(_Message):
    """An answer to the question that is asked."""

    t: Literal["answer"]
    question: Number
    choice: Annotated[int, Field(ge=0, lt=20)] | None = None
    at: Place | None = None


OfTeacher = Annotated[
    Here | Wall | Look | Dot | PutUp | Lead | Seen | Pegs | KeepPegs | LogAll | Ask | Asked | Uncover | Helped,
    Field(discriminator="t"),
]
OfStudent = Annotated[Here | At | Help | Apart | Answer, Field(discriminator="t")]
_OF_TEACHER: TypeAdapter[Any] = TypeAdapter(OfTeacher)
_OF_STUDENT: TypeAdapter[Any] = TypeAdapter(OfStudent)


def of_teacher(data: str | bytes) -> Any:
    """A message of a teacher's page from its JSON. Raises Refusal where it is none."""
    return _read(_OF_TEACHER, data)


def of_student(data: str | bytes) -> Any:
    """A message of a student's page from its JSON. Raises Refusal where it is none."""
    return _read(_OF_STUDENT, data)


def _read(adapter: TypeAdapter[Any], data: str | bytes) -> Any:
    try:
        return adapter.validate_json(data)
    except ValidationError as error:
        problem = error.errors()[0]
        raise Refusal(f"That cannot be read ({'.'.join(map(str, problem['loc']))}: {problem['msg'].lower()}).") from None
