"""The edits that change a board. Each is checked whole before anything changes, and gives a patch that can be
applied, reverted, saved and applied again."""

from contextlib import contextmanager
from dataclasses import dataclass, replace
from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field, TypeAdapter, ValidationError

from . import limits
from .board import GROUNDS, PAPERS, UNITS, Board, Settings, numbers_of, with_numbers
from .catalogue import CATALOGUE
from .checking import check_fills, check_number
from .codec import fill_from_json, settings_from_json, settings_to_json, step_from_json, step_to_json
from .kinds import CIRCLE, LINE, RAY, join
from .language import names as spelling
from .language.expression import Formula
from .language.printing import noun, sentence, why_locked
from .naming import automatic_name, check_names, spelt
from .plan import kinds_of_fills
from .refusal import Refusal
from .step import Step, is_ids

PENS = ("ink", "ruddy", "leaf", "straw", "sky", "plum", "slate")
PATTERNS = ("solid", "dashed", "dotted")

Id = Annotated[str, Field(max_length=20)]
Ids = Annotated[list[Id], Field(min_length=1, max_length=limits.EDIT_THINGS)]
Number = Annotated[float, Field(allow_inf_nan=True)]


class _Edit(BaseModel):
    model_config = ConfigDict(extra="forbid")


class NewStep(_Edit):
    """A step to add. Its fills are in the file format's JSON; "new:0" names the first step of the same edit."""

    does: str = Field(max_length=40)
    fills: dict[str, object] = Field(default_factory=dict, max_length=12)
    name: str | None = Field(default=None, max_length=limits.SENTENCE_LENGTH * 20)


class Add(_Edit):
    """Add steps at the end."""

    kind: Literal["add"] = "add"
    steps: list[NewStep] = Field(min_length=1, max_length=50)


class Move(_Edit):
    """Give points other typed numbers: a free point its coordinates, a sliding one its place."""

    kind: Literal["move"] = "move"
    numbers: dict[Id, list[Number]] = Field(min_length=1, max_length=limits.EDIT_THINGS)


class Rename(_Edit):
    """Give a thing another name."""

    kind: Literal["rename"] = "rename"
    id: Id
    name: str = Field(max_length=limits.SENTENCE_LENGTH * 20)


class LookChanges(_Edit):
    """The parts of a look to change; a part given as null goes back to how its kind is drawn at first."""

    pen: Literal[PENS] | None = None
    width: float | None = Field(default=None, ge=0.5, le=12)
    pattern: Literal[PATTERNS] | None = None
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
    label_offset: tuple[Annotated[float, Field(ge=-2000, le=2000)], Annotated[float, Field(ge=-2000, le=2000)]] | None = None
    decimals: int | None = Field(default=None, ge=0, le=10)
    tag: bool | None = None


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
    fills: dict[str, object] = Field(default_factory=dict, max_length=12)
    helper: NewStep | None = None


class Paste(_Edit):
    """Add everything that a working says, a sentence a line."""

    kind: Literal["paste"] = "paste"
    text: str = Field(max_length=limits.PASTE_LENGTH)


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


class Arrange(_Edit):
    """Change settings of the board."""

    kind: Literal["arrange"] = "arrange"
    title: str | None = Field(default=None, max_length=limits.TITLE_LENGTH)
    unit: Literal[UNITS] | None = None
    ground: Literal[GROUNDS] | None = None
    decimals: int | None = Field(default=None, ge=0, le=10)
    view: tuple[Number, Number, Number, Number] | None = None
    spacing: Annotated[float, Field(gt=0, le=1e6)] | None = None
    snap: bool | None = None
    scale: Annotated[float, Field(gt=0, le=1e6)] | None = None
    paper: Literal[PAPERS] | None = None
    size: Annotated[float, Field(ge=0.7, le=3)] | None = None
    looks: dict[Annotated[str, Field(max_length=20)], LookChanges] | None = None
    nice: tuple[Id, Annotated[float, Field(gt=0, le=1e6)]] | None = None
    log: list[Id] | None = Field(default=None, max_length=limits.LOG_READINGS)
    rows: list[Annotated[list[float | None], Field(max_length=limits.LOG_READINGS)]] | None = Field(default=None, max_length=limits.LOG_ROWS)
    logging: bool | None = None


Edit = Annotated[Add | Move | Rename | Restyle | Choose | Retie | Paste | Record | Delete | Tidy | Arrange, Field(discriminator="kind")]
_EDIT = TypeAdapter(Edit)


def read_edit(data):
    """An edit from JSON. Raises Refusal where it has not the shape of one."""
    try:
        return _EDIT.validate_python(data)
    except ValidationError as error:
        first = error.errors()[0]
        where = ".".join(str(part) for part in first["loc"] if part not in ("add", "restyle"))
        raise Refusal(f"That edit cannot be read: {where}: {first['msg'].lower()}.") from None


@dataclass(frozen=True)
class Patch:
    """What an edit changed: the steps as they were and as they are, each with its place, and the settings.

    ``words`` says it to a person: "Deleted A, and with it AB".
    """

    words: str
    before: tuple = ()
    after: tuple = ()
    settings_before: Settings | None = None
    settings_after: Settings | None = None

    def reversed(self):
        """The patch that takes this one back."""
        return Patch(self.words, self.after, self.before, self.settings_after, self.settings_before)

    def apply(self, board):
        """Make the change on a board that is in the state the patch was made for."""
        if self.settings_after:
            board.settings = self.settings_after
        if self.before or self.after:
            gone = {step.id for _, step in self.before}
            steps = [step for step in board.steps if step.id not in gone]
            for place, step in sorted(self.after, key=lambda pair: pair[0]):
                steps.insert(place, step)
            board.replace_steps(steps)

    def ids(self):
        """The ids of all steps that it touches."""
        return {step.id for _, step in (*self.before, *self.after)}

    def to_json(self):
        data = {"words": self.words}
        for part in ("before", "after"):
            data[part] = [[place, step_to_json(step)] for place, step in getattr(self, part)]
            settings = getattr(self, "settings_" + part)
            data["settings_" + part] = settings_to_json(settings) if settings else None
        return data

    @classmethod
    def from_json(cls, data):
        parts = {}
        for part in ("before", "after"):
            parts[part] = tuple((place, step_from_json(step)) for place, step in data[part])
            settings = data["settings_" + part]
            parts["settings_" + part] = settings_from_json(settings) if settings else None
        return cls(data["words"], **parts)


def prepare(board: Board, edit) -> Patch:
    """Check an edit against a board and make its patch. The board is not changed.

    Raises:
        Refusal: with a sentence for the person; nothing has changed.
    """
    return _PREPARERS[type(edit)](board, edit)


def perform(board: Board, edit) -> Patch:
    """Check an edit, make its patch and apply it."""
    patch = prepare(board, edit)
    patch.apply(board)
    return patch


def _known(board, ids):
    for id in ids:
        if id not in board:
            raise Refusal("That thing is no longer on the board.")
    return ids


def _replacing(board, words, steps):
    """The patch that puts these in the places of the steps with the same ids."""
    return Patch(
        words,
        tuple((board.place(step.id), board.step(step.id)) for step in steps),
        tuple((board.place(step.id), step) for step in steps),
    )


def _add(board, edit):
    if len(board) + len(edit.steps) > limits.STEPS:
        raise Refusal(f"A board has at most {limits.STEPS:,} steps. Start another board for more.")
    with tried(board, edit) as added:
        check_names(board.steps)
        words = f"Added: {sentence(board, added[-1].id)}"
    return Patch(words, (), tuple((len(board) + number, step) for number, step in enumerate(added)))


@contextmanager
def tried(board, edit):
    """The steps of an ``Add``, checked and put on the board until the end of the ``with`` statement: to look at
    what it would make. Raises Refusal where they do not fit."""
    with board.trial():
        added = []
        for new in edit.steps:
            # "new:0" means the first step of the list as it was given, so an expanding sentence comes last.
            for step in _new_steps(board, new, [step.id for step in added]):
                board.append(step)
                added.append(step)
        yield added


def _new_steps(board, new, new_ids):
    """The steps that one given step stands for: itself, or what its sentence expands to."""
    if new.does not in CATALOGUE:
        raise Refusal(f"There is no construction called “{new.does[:40]}”.")
    construction = CATALOGUE[new.does]
    fills = {name: new_step_ids(fill_from_json(fill), new_ids) for name, fill in new.fills.items() if fill is not None}
    if new.does == "free_point" and "at" not in fills:
        raise Refusal("Say where the point goes, for example: A is a free point at (2, 3).")
    check_fills(construction, fills, board)
    kinds = kinds_of_fills(construction, fills, board.kind_of)
    if construction.expands:
        if new.name is not None:
            raise Refusal(f"“{construction.tool}” makes several things; they are named one by one afterwards.")
        made = []
        for part in construction.expands(kinds, fills, board):
            part_fills = {name: new_step_ids(fill, made, "made:") for name, fill in part.fills.items()}
            part_construction = CATALOGUE[part.key]
            check_fills(part_construction, part_fills, board)
            step = _new_step(board, part_construction, with_defaults(part_construction, part_fills, board), None)
            made.append(step.id)
            yield step.with_(look=replace(step.look, hidden=part.hidden, cover=part.cover))
    else:
        yield _new_step(board, construction, with_defaults(construction, fills, board), new.name)


def with_defaults(construction, fills, board):
    """The fills, with what optional gaps are filled with when they are left out."""
    if construction.defaults is None:
        return fills
    return {**construction.defaults(kinds_of_fills(construction, fills, board.kind_of)), **fills}


def _new_step(board, construction, fills, name):
    last = max((int(step.id[1:]) for step in board.steps if step.id[1:].isdigit()), default=0)
    step = Step(f"s{last + 1}", construction.key, fills)
    names = board.names
    if name is not None:
        return step if spelt(step, names) == spelling.tidy(name) else step.with_(name=spelling.check_name(name))
    taken = {names[other.id] for other in board.steps if other.is_reading == step.is_reading}
    return step.with_(name=automatic_name(step, names, taken))


def new_step_ids(fill, new_ids, prefix="new:"):
    """A fill with the ids of steps made just before in the places of "new:0", "new:1" …"""
    def real(id):
        if not id.startswith(prefix):
            return id
        number = id[len(prefix) :]
        if not number.isdigit() or int(number) >= len(new_ids):
            raise Refusal("The edit names a new step that it does not add.")
        return new_ids[int(number)]

    if isinstance(fill, Formula):
        return replace(fill, operands=tuple(tuple(map(real, operand)) for operand in fill.operands))
    return tuple(map(real, fill)) if is_ids(fill) else fill


def _move(board, edit):
    moved = []
    for id, numbers in edit.numbers.items():
        step = board.step(*_known(board, [id]))
        if not step.construction.moves:
            raise Refusal(f"{board.name(id)} is fixed by what it is made of: {sentence(board, id)}.")
        if step.look.locked:
            raise Refusal(why_locked(board, [id]))
        wanted = len(numbers_of(step))
        if len(numbers) != wanted:
            raise Refusal(f"{board.name(id)} is placed by {wanted} number{'s' * (wanted > 1)}.")
        moved.append(with_numbers(step, [check_number(number) for number in numbers]))
    return _replacing(board, f"Moved {join(board.name(id) for id in edit.numbers)}", moved)


def _rename(board, edit):
    _known(board, [edit.id])
    renamed, old, name = board.step(edit.id), board.name(edit.id), spelling.tidy(edit.name)
    own_name = None if spelt(renamed, board.names) == name else spelling.check_name(name)
    renamed = renamed.with_(name=own_name)
    check_names([renamed if step.id == edit.id else step for step in board.steps])
    return _replacing(board, f"Renamed {old} to {name}", [renamed])


def _restyle(board, edit):
    changes = edit.look.model_dump(exclude_unset=True)
    styled = []
    for id in _known(board, edit.ids):
        step = board.step(id)
        styled.append(step.with_(look=replace(step.look, **changes)))
    names = join(noun(board, id) for id in edit.ids) if len(edit.ids) < 4 else f"{len(edit.ids)} things"
    doing = "Changed the look of"
    if set(changes) == {"hidden"}:
        doing = "Hid" if changes["hidden"] else "Showed"
    elif set(changes) == {"locked"}:
        doing = "Locked" if changes["locked"] else "Unlocked"
    elif set(changes) == {"teacher_only"}:
        doing = "Kept from students:" if changes["teacher_only"] else "Left to students:"
    return _replacing(board, f"{doing} {names}", styled)


def _choose(board, edit):
    step = board.step(*_known(board, [edit.id]))
    gap = step.construction.gap_by_name.get(edit.gap)
    if gap is None or gap.kind.literal != "word" or (edit.word is None and not gap.optional):
        raise Refusal(f"“{step.construction.tool}” has no such choice.")
    fills = {name: fill for name, fill in step.fills.items() if name != edit.gap}
    if edit.word is not None:
        fills[edit.gap] = edit.word
    check_fills(step.construction, fills, board)
    return _replacing(board, f"Changed {noun(board, edit.id)}", [step.with_(fills=fills)])


def _retie(board, edit):
    from .retying import retied

    return retied(board, edit)


def _paste(board, edit):
    from .pasting import pasted

    return pasted(board, edit.text)


def logged_row(board):
    """The present values of the log's readings, None where one has none now."""
    return tuple(board.value(id) for id in board.settings.log)


def with_rows(settings, rows):
    """The settings with more rows in the log. Raises Refusal where it is full."""
    if len(settings.rows) + len(rows) > limits.LOG_ROWS:
        raise Refusal(f"The log is full: it holds {limits.LOG_ROWS:,} rows. Clear it, or save it as CSV first.")
    return settings.with_(rows=(*settings.rows, *rows))


def _record(board, edit):
    if not board.settings.log:
        raise Refusal("Choose at least one reading for the log first.")
    after = with_rows(board.settings, (logged_row(board),))
    return Patch(f"Recorded row {len(after.rows)}", settings_before=board.settings, settings_after=after)


def _delete(board, edit):
    ids = list(dict.fromkeys(_known(board, edit.ids)))
    more = [id for id in board.dependants(ids) if id not in ids]
    gone = [(board.place(id), board.step(id)) for id in sorted((*ids, *more), key=board.place)]
    words = "Deleted " + _listed(board, ids) + (f", and with {'it' if len(ids) == 1 else 'them'} {_listed(board, more)}" if more else "")
    return Patch(words, tuple(gone), (), *_without(board.settings, {*ids, *more}))


def _without(settings, ids):
    """The settings before and after these steps are gone: the log and the nice lengths cannot name them."""
    nice = None if settings.nice and settings.nice[0] in ids else settings.nice
    kept = [number for number, id in enumerate(settings.log) if id not in ids]
    if nice == settings.nice and len(kept) == len(settings.log):
        return ()
    rows = tuple(tuple(row[number] for number in kept) for row in settings.rows) if kept else ()
    return settings, settings.with_(nice=nice, log=tuple(settings.log[number] for number in kept), rows=rows)


def _listed(board, ids):
    return join(noun(board, id) for id in ids) if len(ids) <= 6 else f"{len(ids)} things"


def what_goes(board, ids):
    """What deleting these would take, in words: "Deleting A takes AB and k with it"."""
    more = board.dependants(ids)
    if not more:
        return ""
    return f"Deleting takes {_listed(board, more)} too."


def _tidy(board, edit):
    ids = [step.id for step in board.steps if step.makes in (LINE, RAY, CIRCLE) and not step.look.hidden and board.dependants([step.id])]
    if not ids:
        raise Refusal("There are no helpers to hide: helpers are lines, rays and circles that something else is made from.")
    return replace(_restyle(board, Restyle(ids=ids, look=LookChanges(hidden=True))), words=f"Hid {_listed(board, ids)}")


def _arrange(board, edit):
    changes = edit.model_dump(exclude_unset=True, exclude={"kind"})
    changes = {name: part for name, part in changes.items() if part is not None or name in ("spacing", "scale", "nice")}
    if edit.looks is not None:
        changes["looks"] = {kind: look.model_dump(exclude_unset=True) for kind, look in edit.looks.items()}
    if "title" in changes and not changes["title"].strip():
        raise Refusal("A board needs a title of at least one character.")
    if "view" in changes:
        left, low, right, high = (check_number(part) for part in changes["view"])
        if not (right - left > 1e-6 and high - low > 1e-6):
            raise Refusal("The view needs a width and a height above zero.")
        changes["view"] = (left, low, right, high)
    for id in _known(board, (*changes.get("log", ()), *(changes.get("nice") or ())[:1])):
        if not (board.kind_of(id) == "number" and isinstance(board.value(id), (float, int, type(None)))):
            raise Refusal(f"{board.name(id)} is not a number that can be logged.")
    if "log" in changes:
        changes["log"] = tuple(changes["log"])
        changes.setdefault("rows", ())
    if "rows" in changes:
        changes["rows"] = tuple(map(tuple, changes["rows"]))
        width = len(changes.get("log", board.settings.log))
        if any(len(row) != width for row in changes["rows"]):
            raise Refusal(f"Every row of the log has one value for each of its {width} readings.")
    return Patch("Changed the board", settings_before=board.settings, settings_after=board.settings.with_(**changes))


_PREPARERS = {Add: _add, Move: _move, Rename: _rename, Restyle: _restyle, Choose: _choose, Retie: _retie, Paste: _paste, Record: _record, Delete: _delete, Tidy: _tidy, Arrange: _arrange}
