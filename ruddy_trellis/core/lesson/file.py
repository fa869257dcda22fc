"""The open file format: lessons as JSON, read through one door whoever wrote them."""

import logging
from base64 import b64encode
from collections.abc import Iterable, Mapping
from contextlib import suppress
from types import MappingProxyType
from typing import Annotated, Any, Literal

import orjson
from pydantic import BaseModel, ConfigDict, Field, ValidationError

from .. import limits
from ..board.board import Board
from ..board.chalk import stroke_to_json
from ..board.codec import settings_to_json, step_from_json, step_to_json
from ..board.naming import check_names
from ..board.settings import Kit, Language
from ..catalogue import CATALOGUE
from ..challenge import Challenge, check_challenge
from ..edits.adding import with_defaults
from ..edits.chalking import stroke_of
from ..edits.checking import check_fills
from ..edits.models import Arrange, LookChanges, PhotographData, StrokeData
from ..edits.prepare import prepare
from ..kinds import CLAIM, RAY, SEGMENT, VECTOR
from ..language.fills import is_ids
from ..language.names import RESERVED, check_name
from ..refusal import Refusal

FORMAT, VERSION = "ruddy-trellis lesson", 1


_LOG = logging.getLogger(__name__)


class _Part(BaseModel):
    model_config = ConfigDict(extra="forbid")


class StepData(_Part):
    """A step: its id, the construction it does, what it is made with, its own name, its look; and in a student's copy the sentence that
    made it among others."""

    id: str = Field(pattern=r"^[A-Za-z0-9_]{1,20}$")
    does: str = Field(max_length=40)
    with_: dict[Annotated[str, Field(max_length=40)], object] = Field(alias="with", max_length=12)
    name: str | None = Field(default=None, max_length=limits.NAME_LENGTH)
    look: LookChanges = Field(default_factory=LookChanges)
    by: str | None = Field(default=None, max_length=40)


class KeptStroke(StrokeData):
    """A stroke of chalk that is kept, with its id."""

    id: str = Field(pattern=r"^c[1-9][0-9]{0,8}$")


class BoardData(_Part):
    """A board: its settings, its steps in order, the chalk on it. ``own_from`` stands in students' copies alone. Where
    ``claims`` is 1, or left out, what was claimed of a segment or a ray was claimed of its whole line."""

    title: str = Field(max_length=limits.TITLE_LENGTH)
    unit: str = Field(default="", max_length=4)
    ground: str = Field(default="blank", max_length=10)
    decimals: int = 2
    view: tuple[float, float, float, float]
    spacing: float | None = None
    snap: bool = False
    scale: float | None = None
    paper: str = "light"
    size: float = 1.0
    looks: dict[str, LookChanges] = Field(default_factory=dict)
    nice: tuple[str, float] | None = None
    log: list[str] = Field(default_factory=list)
    rows: list[list[float | None]] = Field(default_factory=list, max_length=limits.LOG_ROWS)
    logging: bool = False
    photograph: PhotographData | None = None
    language: Language = "en"
    kit: Kit = "look"
    kit_tools: list[Annotated[str, Field(max_length=40)]] = Field(default_factory=list, max_length=limits.KIT_TOOLS)
    own_from: int = Field(default=0, ge=0, le=10**15)
    steps: list[StepData] = Field(max_length=limits.STEPS)
    claims: Literal[1, 2] = 1
    chalk: list[KeptStroke] = Field(default_factory=list, max_length=limits.STROKES)


class ChallengeData(Challenge):
    """The challenge of a board, by the number of that from 0, with its solution as a board."""

    board: int = Field(ge=0, lt=limits.BOARDS)
    solution: BoardData  # type: ignore[assignment]


class LessonData(_Part):
    """A lesson: its title, its boards, the pictures under them as base64, by their marks; and the challenges of boards, where whoever
    wrote the file gives them with their solutions."""

    format: Literal["ruddy-trellis lesson"]
    version: Literal[1]
    title: str = Field(min_length=1, max_length=limits.TITLE_LENGTH)
    boards: list[BoardData] = Field(min_length=1, max_length=limits.BOARDS)
    photographs: dict[Annotated[str, Field(pattern=r"^[0-9a-f]{64}$")], Annotated[str, Field(max_length=limits.FILE_BYTES)]] = Field(
        default_factory=dict, max_length=limits.BOARDS
    )
    challenges: list[ChallengeData] = Field(default_factory=list, max_length=limits.BOARDS)


def board_to_text(board: Board) -> str:
    """A board as the text that is kept of it."""
    return orjson.dumps(board_to_json(board)).decode()


def board_to_json(board: Board) -> dict[str, Any]:
    """A board as JSON."""
    data = {**settings_to_json(board.settings), "steps": [step_to_json(step) for step in board.steps]}
    if any(step.makes == CLAIM for step in board.steps):
        data["claims"] = 2
    return {**data, "chalk": [stroke_to_json(stroke) for stroke in board.chalk]} if board.chalk else data


def lesson_to_json(
    title: str,
    boards: Iterable[Board],
    photographs: Mapping[str, bytes] = MappingProxyType({}),
    challenges: Mapping[int, Challenge] = MappingProxyType({}),
) -> dict[str, Any]:
    """A lesson as JSON.

    Args:
        photographs: the files of the pictures under its boards, by their marks.
        challenges: those of its boards that are given with their solutions, by the numbers of the boards from 0.
    """
    data: dict[str, Any] = {"format": FORMAT, "version": VERSION, "title": title, "boards": [board_to_json(board) for board in boards]}
    if challenges:
        told = {number: one.model_dump(exclude_defaults=True) for number, one in challenges.items()}
        data["challenges"] = [{"board": number, **one, "solution": orjson.loads(one["solution"])} for number, one in told.items()]
    return {**data, "photographs": {mark: b64encode(one).decode() for mark, one in photographs.items()}} if photographs else data


def check_format(data: Any, what: str, wanted: str, version: int) -> None:
    """Raise Refusal unless parsed JSON says that it is of this format ("lesson", "recipe") and version."""
    if not isinstance(data, dict) or data.get("format") != wanted:
        raise Refusal(f"This is not a Ruddy Trellis {what}: it does not say “format”: “{wanted}”.")
    if data.get("version") != version:
        raise Refusal(f"This {what} is of version {str(data.get('version'))[:20]}; this program reads version {version}.")


def lesson_from_json(data: Any) -> tuple[str, list[Board]]:
    """Read a lesson.

    Args:
        data: the parsed JSON.

    Returns:
        The title and the list of boards.

    Raises:
        Refusal: saying what is wrong and where.
    """
    check_format(data, "lesson", FORMAT, VERSION)
    try:
        lesson = LessonData.model_validate(data)
    except ValidationError as error:
        first = error.errors()[0]
        where = ", ".join(f"{part + 1}" if isinstance(part, int) else str(part) for part in first["loc"])
        raise Refusal(f"The lesson cannot be read at {where}: {first['msg'].lower()}.") from None
    return lesson.title, [_a_teachers(board_from_data(board)) for board in lesson.boards]


def challenges_from_json(data: Any) -> dict[int, Challenge]:
    """The challenges in the file of a lesson that was read, by the numbers of their boards from 0. Raises Refusal where one could not be
    made."""
    lesson = LessonData.model_validate(data)
    found = {}
    for one in lesson.challenges:
        if one.board >= len(lesson.boards):
            raise Refusal(f"There is a challenge of board {one.board + 1}, and no such board.")
        solution = board_from_data(one.solution)
        fields = one.model_dump(exclude={"board", "solution"})
        challenge = Challenge(**fields, solution=board_to_text(solution))
        check_challenge(challenge, solution, board_from_data(lesson.boards[one.board]))
        found[one.board] = challenge
    return found


def _a_teachers(board):
    """A board of a lesson: whoever has it may change all of it, also what was a student's copy once."""
    if not board.settings.own_from:
        return board
    own = Board(board.settings.with_(own_from=0), [step.with_(by=None) for step in board.steps])
    own.chalk = board.chalk
    return own


def board_from_data(data: Any) -> Board:
    """Read one board, every step checked as if it were drawn. Raises Refusal naming the step."""
    board = Board()
    arrange = data.model_dump(exclude={"steps", "chalk", "claims", "own_from"}, exclude_unset=True)
    about_steps = {name: arrange.pop(name) for name in ("log", "rows", "logging", "nice") if name in arrange}
    try:
        prepare(board, Arrange(**arrange)).apply(board)
        board.settings = board.settings.with_(own_from=data.own_from)
        named_later = Arrange(**about_steps)
    except ValidationError as error:
        first = error.errors()[0]
        raise Refusal(f"The board “{data.title}” has a {first['loc'][0]} that cannot be read: {first['msg'].lower()}.") from None
    for number, step_data in enumerate(data.steps, 1):
        try:
            raw = step_data.model_dump(by_alias=True, exclude_unset=True)
            step = _as_now_made(step_from_json(raw), board)
            step = _of_whole_lines(step, board) if data.claims == 1 else step
            if step.id in board:
                raise Refusal(f"The id {step.id} is used twice.")
            if step.construction.expands:
                raise Refusal(f"“{step.does}” is a sentence that makes several steps; a file holds those steps.")
            step = step.with_(fills=with_defaults(step.construction, step.fills, board))
            check_fills(step.construction, step.fills, board)
            if (gap := step.construction.moved_gap) and gap not in step.fills:
                raise Refusal(f"“{step.does}” does not say where it is: it needs “{gap}”.")
            if step.name is not None and check_name(step.name) != step.name:
                raise Refusal(f"The name “{step.name}” is not written as names are.")
            if step.name is None and not step.construction.named_after:
                raise Refusal(f"“{step.does}” makes what is not named after anything, so it needs a name.")
            board.append(step)
        except Refusal as refusal:
            raise Refusal(f"Step {number} of the board “{data.title}”: {refusal.sentence}") from None
    try:
        check_names(board.steps)
        prepare(board, named_later).apply(board)
    except Refusal as refusal:
        raise Refusal(f"On the board “{data.title}”: {refusal.sentence}") from None
    if len({stroke.id for stroke in data.chalk}) < len(data.chalk):
        raise Refusal(f"On the board “{data.title}” two strokes of chalk have one id.")
    board.chalk = tuple(stroke_of(stroke, stroke.id) for stroke in data.chalk)
    return board


def _as_now_made(step, board):
    """A step of an older file as it is made now: names that are words of sentences have a number, and the image of a segment
    in a circle, once the whole circle, is an arc."""
    if step.name in RESERVED:
        step = step.with_(name=f"{step.name}_1")
    if step.fills.get("which") in ("third", "fourth") and "which_of_two" in {gap.kind_name for gap in step.construction.gaps}:
        step = step.with_(fills={**step.fills, "which": "first"})  # it was taken for the first
    of = step.fills.get("of")
    if step.does == "inverted_line" and is_ids(of) and of[0] in board and board.kind_of(of[0]) in (SEGMENT, VECTOR, RAY):
        return step.with_(does=f"inverted_{board.kind_of(of[0])}")
    return step


def _of_whole_lines(step, board):
    """A claim of an older file in the words by which it was tried: of segments and rays the whole lines were meant."""
    ends = {"lies_on": ("path",), "are_tangent": ("a", "b")}.get(step.does, ())
    ended = lambda fill: is_ids(fill) and (len(fill) == 2 or (fill[0] in board and board.kind_of(fill[0]) in (SEGMENT, VECTOR, RAY)))
    of_parts = [gap for gap in ends if ended(step.fills.get(gap))]
    if not of_parts:
        return step
    if step.does == "lies_on":
        return step.with_(does="lies_on_line")
    other = "b" if of_parts[0] == "a" else "a"
    return step.with_(does="line_is_tangent", fills={**step.fills, "a": step.fills[of_parts[0]], "b": step.fills[other]})


def board_from_store(text: str) -> Board:
    """A board from the text that is kept of it. What was kept once always opens: steps that can no longer be made are left
    out with what hangs on them, and logged; they stay in the history."""
    data = orjson.loads(text)
    try:
        return board_from_data(BoardData.model_validate(data))
    except (Refusal, ValidationError):
        _LOG.exception("A board that was kept could not be read whole")
    board = Board()
    for raw in data.get("steps", ()):
        try:
            step = step_from_json(StepData.model_validate(raw).model_dump(by_alias=True, exclude_unset=True))
            check_fills(step.construction, step.fills, board)
            board.append(step)
        except (Refusal, ValidationError, KeyError):
            _LOG.warning("Left out: %s", str(raw)[:200])
    with suppress(Refusal, ValidationError):
        settings = {name: part for name, part in data.items() if name in ("title", "unit", "ground", "decimals", "view", "paper", "size")}
        prepare(board, Arrange(**settings)).apply(board)
    if isinstance(data.get("own_from"), int):
        board.settings = board.settings.with_(own_from=data["own_from"])
    with suppress(Refusal, ValidationError):
        board.chalk = tuple(stroke_of(one, one.id) for one in map(KeptStroke.model_validate, data.get("chalk", ())))
    return board


def check_kept(board: Board, ids: Iterable[str]) -> None:
    """Raise Refusal unless what is kept of these steps reads back to the same."""
    for id in ids:
        step = board.step(id)
        read = step_from_json(StepData.model_validate(step_to_json(step)).model_dump(by_alias=True, exclude_unset=True))
        check_fills(read.construction, read.fills, board)
        if read != step:
            raise Refusal(f"{board.name(id)} could not be kept as it would be: nothing was changed.")


_ID_LIST = {"type": "array", "items": {"type": "string"}, "minItems": 1, "maxItems": limits.POLYGON_CORNERS}
_FORMULA = {
    "type": "object", "required": ["formula", "of"], "additionalProperties": False,
    "properties": {"formula": {"type": "string", "maxLength": limits.FORMULA_LENGTH * 2}, "of": {"type": "array", "items": _ID_LIST}},
}  # fmt: skip
_LITERALS = {
    "number": {"type": "number"},
    "equation": {"type": "string", "maxLength": limits.FORMULA_LENGTH},
    "values": {"type": "string", "maxLength": limits.FORMULA_LENGTH},
    "coordinates": {"type": "array", "items": {"type": "number"}, "minItems": 2, "maxItems": 2},
    "branch": {"type": "array", "items": {"type": "number"}, "minItems": 2, "maxItems": 4},
    "formula": _FORMULA,
    "statement": _FORMULA,
    "comparison": _FORMULA,
    "text": {
        "type": "object", "required": ["words", "of"], "additionalProperties": False,
        "properties": {"words": {"type": "string", "maxLength": limits.WORDS_LENGTH * 2}, "of": {"type": "array", "items": _ID_LIST}},
    },
}  # fmt: skip


def lesson_schema() -> dict[str, Any]:
    """The JSON Schema of the format, with one form of step for each construction of the catalogue."""
    schema = LessonData.model_json_schema(by_alias=True)
    schema["$schema"] = "https://json-schema.org/draft/2020-12/schema"
    step = schema["$defs"]["StepData"]
    step["oneOf"] = [_step_schema(construction) for construction in CATALOGUE if not construction.expands]
    return schema


def _step_schema(construction):
    gaps = {gap.name: _gap_schema(gap.kind) for gap in construction.gaps}
    needed = [gap.name for gap in construction.gaps if not gap.optional]
    filled = {"type": "object", "properties": gaps, "required": needed, "additionalProperties": False}
    return {"title": construction.sentence, "properties": {"does": {"const": construction.key}, "with": filled}}


def _gap_schema(kind):
    forms: list[Any] = [_ID_LIST] if kind.single or kind.points else []
    if kind.literal == "word":
        forms.append({"enum": list(kind.options)})
    elif kind.literal:
        forms.append(_LITERALS[kind.literal])
    return forms[0] if len(forms) == 1 else {"anyOf": forms}
