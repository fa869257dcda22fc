"""A challenge as it is kept beside its board: the task, and what the answer must be. The board holds the start; the solution is here, and
is told to its teacher alone."""

from collections.abc import Iterator
from contextlib import contextmanager
from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, ValidationError

from ..board.board import Board
from ..kinds import POINT, THINGS
from ..refusal import Refusal

#: How long a task or a hint is, and how many hints, things that are asked for, and claims there are at most.
TASK_LENGTH, HINTS, ANSWERS, CLAIMS = 600, 8, 6, 8


class _Part(BaseModel):
    model_config = ConfigDict(extra="forbid")


class Sought(_Part):
    """What a student is to make, where the answer is told by claims: under which name they speak of it, of what kind it is, and for a
    polygon which points of the start are corners of it."""

    name: str = Field(min_length=1, max_length=24)
    kind: str = Field(max_length=20)
    corners: list[Annotated[str, Field(max_length=24)]] = Field(default_factory=list, max_length=8)


class Challenge(_Part):
    """A challenge.

    Attributes:
        task: what is to be done, in words; ``hints`` in the order in which they are told.
        by: "same" where the answer is the teacher's answer things, by any way; "claims" where it is whatever the claims are true of.
        answers: the ids of the answer things in the solution.
        branches: which of the other answers are right as well: for each the words at which steps of the solution branch. ``every`` asks
            for all of them.
        sought, claims: what is asked for by claims, and these.
        moves: in how many moves it can be done, where the task asks that; None where it does not.
        held: whether numbers and locked points are part of the task, so that they are not moved to see whether an answer is right.
        solution: the teacher's board with the answer on it, as it is kept.
        version: how often it was changed.
    """

    task: str = Field(min_length=1, max_length=TASK_LENGTH)
    hints: list[Annotated[str, Field(min_length=1, max_length=TASK_LENGTH)]] = Field(default_factory=list, max_length=HINTS)
    by: Literal["same", "claims"] = "same"
    answers: list[Annotated[str, Field(max_length=20)]] = Field(default_factory=list, max_length=ANSWERS)
    branches: list[dict[Annotated[str, Field(max_length=20)], Annotated[str, Field(max_length=20)]]] = Field(
        default_factory=list, max_length=16
    )
    every: bool = False
    sought: list[Sought] = Field(default_factory=list, max_length=ANSWERS)
    claims: list[Annotated[str, Field(max_length=300)]] = Field(default_factory=list, max_length=CLAIMS)
    moves: int | None = Field(default=None, ge=1, le=200)
    held: bool = False
    solution: str = Field(max_length=2_000_000)
    version: int = 1


def challenge_from_text(text: str) -> Challenge:
    """A challenge as it is kept. Raises Refusal where it has not the shape of one."""
    with _shape_asked("That challenge cannot be read"):
        return Challenge.model_validate_json(text)


def challenge_of(**fields: Any) -> Challenge:
    """A challenge of what a teacher has filled in. Raises Refusal where it has not the shape of one."""
    with _shape_asked("The challenge is not kept like this"):
        return Challenge(**fields)


def sought_of(name: str, kind: str, corners: list[str]) -> Sought:
    """What is sought, as a teacher has said it. Raises Refusal where it has not the shape of it."""
    with _shape_asked("What is sought is not kept like this"):
        return Sought(name=name, kind=kind, corners=corners)


@contextmanager
def _shape_asked(problem: str) -> Iterator[None]:
    try:
        yield
    except ValidationError as error:
        first = error.errors()[0]
        where = ", ".join(str(part + 1) if isinstance(part, int) else part for part in first["loc"])
        raise Refusal(f"{problem}, at {where or 'its beginning'}: {first['msg'].lower()}.") from None


def started(solution: Board, given: list[str]) -> Board:
    """The start of a challenge: of a solution what is given, with what that is made from.

    Raises:
        Refusal: where nothing is left to be made.
    """
    keep = {id for id in given if id in solution}
    keep |= set(solution.ancestors(keep))
    start = Board(solution.settings, [step for step in solution.steps if step.id in keep])
    start.chalk = solution.chalk
    if len(start) == len(solution):
        raise Refusal("All of the board is given, so there is nothing to make. Take away the mark from what students shall find.")
    return start


def check_challenge(challenge: Challenge, solution: Board, start: Board) -> None:
    """Raise Refusal unless a challenge can be met by making something, and it can be told whether it is."""
    if challenge.by == "same":
        if not challenge.answers:
            raise Refusal("Mark what the answer is: one or more things of your solution.")
        for id in challenge.answers:
            if id not in solution:
                raise Refusal("An answer is no longer on the board.")
            if solution.kind_of(id) not in (*THINGS, "number"):
                raise Refusal(f"{solution.name(id)} cannot be an answer: a point, a line, a circle, a shape or a reading can.")
            if id in start and start.step(id).does == solution.step(id).does:
                raise Refusal(f"{solution.name(id)} is given, so it cannot be the answer.")
    else:
        if not challenge.sought or not challenge.claims:
            raise Refusal("Say what is to be made, and what must be true of it.")
        for sought in challenge.sought:
            if sought.kind not in (*THINGS, "number"):
                raise Refusal("What is asked for is a point, a line, a segment, a circle or a polygon.")
            if sought.kind != POINT and any(name not in start.points_by_name for name in sought.corners):
                raise Refusal("The corners that are asked for are points of the start.")
    moved = [step for step in start.steps if step.construction.moves in ("free", "sliding", "turning")]
    if not moved or (challenge.held and all(step.look.locked or step.construction.moves == "turning" for step in moved)):
        raise Refusal("Nothing that is given can be moved, so it could not be told whether an answer is more than a drawing.")
