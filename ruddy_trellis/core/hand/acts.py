"""What a hand asks for that it cannot do itself: to change the board, to go through its history, to show what takes time.

A handler of the hand is a generator. It yields answers, which are dicts for the browser, and acts; what an act gives comes
back as the value of its ``yield``, and a Refusal is raised there where the act is refused.
"""

from collections.abc import Callable, Generator, Iterator
from dataclasses import dataclass, field
from typing import Any, TypeAlias

from ..seen import Items

#: A message for the browser.
Answer: TypeAlias = dict[str, Any]


@dataclass(frozen=True)
class Change:
    """Make an edit. Gives its Patch.

    Attributes:
        key: what the edit is known by: one that was made already is not made again, and gives the patch that it made. "" for none.
    """

    edit: Any
    key: str = ""


@dataclass(frozen=True)
class Hold:
    """Take hold of pegs: what they do from now on until ``LetGo`` is one edit."""

    ids: tuple[str, ...]


@dataclass(frozen=True)
class Shift:
    """Move the pegs that are held. Gives the refreshed items, or None where nothing is held any more.

    Attributes:
        near: where what is followed was followed to by who moved them in smaller steps.
    """

    numbers: dict[str, tuple[float, ...]]
    near: dict[str, tuple[float, ...]] = field(default_factory=dict)


@dataclass(frozen=True)
class LetGo:
    """Let go of what is held and keep where it is. Gives whether anything had moved."""


@dataclass(frozen=True)
class Undo:
    """Take the last edit back. Gives its words. Refused where somebody else has changed the board since the change of the number that was
    heard of last, if it is told."""

    heard: int | None = None


@dataclass(frozen=True)
class Redo:
    """Make the edit again that was last taken back. Gives its words. Refused as ``Undo`` is."""

    heard: int | None = None


@dataclass(frozen=True)
class LookBack:
    """Gives the board as it was when so many edits were in it."""

    number: int


@dataclass(frozen=True)
class BringBack:
    """Make the board what it was when so many edits were in it. Gives the words for it."""

    number: int


@dataclass(frozen=True)
class StartAgain:
    """Make a student's copy again what the teacher's board is. Gives the words for it, and whether it is an edit."""


@dataclass(frozen=True)
class TakeRenewed:
    """Take the teacher's change of the board into a student's copy, or only look what that would do. Gives the words for it, "" where
    there is none."""

    take: bool


@dataclass(frozen=True)
class Judge:
    """Whether the answer of the board's challenge is there. Gives what is ``Judged``.

    Attributes:
        reach: how near to the answer something is that looks right, board units.
    """

    reach: float


@dataclass(frozen=True)
class ProveAnswer:
    """Look for a proof that what was found right is so wherever the givens are; whoever asked is told where there is one.

    Attributes:
        taken: the ids of what was taken for the answer.
    """

    taken: tuple[str, ...]


@dataclass(frozen=True)
class TellHint:
    """A hint of the board's challenge. Gives its words, its number from 1, and how many are left; None where it is only asked for the
    last that was told, and none was.

    Attributes:
        again: whether the last one is told once more, and not the next one.
    """

    again: bool


@dataclass(frozen=True)
class GiveIn:
    """Hand in a student's copy as it is now. Gives what is told of it, as a part of an answer.

    Attributes:
        name: the nickname.
    """

    name: str


@dataclass(frozen=True)
class TellHandedIn:
    """What of this copy was handed in, as a part of an answer; or, to take it back, nothing more."""

    take_back: bool


@dataclass(frozen=True)
class ShowView:
    """This part of the plane is what the person sees from now on.

    Attributes:
        view: all that the window shows.
        meant: the part of it that shall be seen in windows of any size.
        keep: whether the board opens there next time.
    """

    view: tuple[float, float, float, float]
    meant: tuple[float, float, float, float]
    keep: bool


@dataclass(frozen=True)
class TellAll:
    """Send an answer to everyone at the board."""

    answer: Answer


@dataclass(frozen=True)
class ShowFrames:
    """Show pictures one after another, each so many seconds after the one before, then the board as it is."""

    frames: Iterator[Items]
    pause: float


@dataclass(frozen=True)
class Run:
    """Run motions, along with those that run already."""

    ids: tuple[str, ...]
    from_start: bool


@dataclass(frozen=True)
class Stop:
    """Stop the motions that run, where they are."""


@dataclass(frozen=True)
class Prove:
    """Look for a proof of a claim, or look no longer."""

    id: str
    go: bool


@dataclass(frozen=True)
class Reckon:
    """Work something out that takes long on a large board. Gives what the work gives.

    Attributes:
        work: it reads a board of its own, so that it may be done beside everything else.
        steps: of how many steps that board is.
    """

    work: Callable[[], Any]
    steps: int


Act: TypeAlias = (
    Change
    | Hold
    | Shift
    | LetGo
    | Undo
    | Redo
    | LookBack
    | BringBack
    | StartAgain
    | TakeRenewed
    | Judge
    | ProveAnswer
    | TellHint
    | GiveIn
    | TellHandedIn
    | ShowView
    | TellAll
    | ShowFrames
    | Run
    | Stop
    | Prove
    | Reckon
)
#: What a handler is: answers and acts out, what the acts gave in.
Doing: TypeAlias = Generator[Answer | Act, Any, None]
