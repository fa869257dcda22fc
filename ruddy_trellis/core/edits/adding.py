"""Adding steps: what a given step, or a sentence that makes several, becomes on a board."""

from collections.abc import Collection, Iterator, Sequence
from dataclasses import replace
from typing import Any

from .. import limits
from ..board.board import Board
from ..board.naming import automatic_name, check_names, spelt
from ..board.plan import kinds_of_fills
from ..board.step import PLAIN, Look, Step
from ..catalogue import CATALOGUE
from ..catalogue.construction import Construction
from ..language import names as spelling
from ..language.fills import fill_from_json, ids_in, with_ids
from ..language.printing import sentence
from ..refusal import Refusal
from ..seen import Fills
from .checking import check_fills
from .patch import Patch

#: From so many things on an edit says how many it has added: a shape with its corners is told by its own sentence.
_MANY = 6


def added(board: Board, edit: Any) -> Patch:
    """The patch of an ``Add``."""
    ahead = board.copy()
    steps = put_on(ahead, edit)
    shown = [step for step in steps if not step.look.hidden]
    last = sentence(ahead, steps[-1].id)
    words = f"Added: {last}" if len(shown) < _MANY else f"Added {len(shown)} things, the last of them: {last}"
    return Patch(words, (), tuple((len(board) + number, step) for number, step in enumerate(steps)))


def tried(board: Board, edit: Any) -> tuple[Board, list[Step]]:
    """A copy of the board with the steps of an ``Add``, checked, and these steps: to look at what it would make. Raises
    Refusal where they do not fit."""
    ahead = board.copy()
    return ahead, _put_on(ahead, edit)


def put_on(board: Board, edit: Any) -> list[Step]:
    """Put the steps of an ``Add`` on a board. Returns them. Raises Refusal; some of them may be on the board then."""
    if len(board) + len(edit.steps) > limits.STEPS:
        raise Refusal(f"A board has at most {limits.STEPS:,} steps. Start another board for more.")
    steps = _put_on(board, edit)
    check_names(board.steps, board.names, {step.id for step in steps})
    return steps


def _put_on(board, edit):
    before = len(board)
    kept = {new.name for new in edit.steps if new.name is not None}  # what is made on the way takes no name that is given
    for new in edit.steps:
        # "new:0" means the first step of the list as it was given, so an expanding sentence comes last.
        for step in new_steps(board, new, [step.id for step in board.steps[before:]], kept):
            board.append(step)
    return board.steps[before:]


def new_steps(board: Board, new: Any, new_ids: Sequence[str], kept: Collection[str] = ()) -> Iterator[Step]:
    """The steps that one given step stands for: itself, or what its sentence expands to. Each is to be put on the board before the
    next is asked for. Raises Refusal.

    Args:
        new: a ``NewStep``.
        new_ids: the ids of the steps that were made before it in the same edit.
        kept: names that are given to others in it.
    """
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
        for part in construction.parts(kinds, fills, board):
            part_fills = {name: new_step_ids(fill, made, "made:") for name, fill in part.fills.items()}
            part_construction = CATALOGUE[part.key]
            check_fills(part_construction, part_fills, board)
            step = step_of(board, part_construction, with_defaults(part_construction, part_fills, board), None, part.like, kept)
            made.append(step.id)
            by = construction.key if board.settings.own_from else None
            yield step.with_(look=replace(step.look, hidden=part.hidden, cover=part.cover, **part.look), by=by)
    else:
        step = step_of(board, construction, with_defaults(construction, fills, board), new.name, None, kept)
        look = {"hidden": new.hidden, "cover": new.covered or None, "caption": new.caption}
        yield step.with_(look=replace(step.look, **look)) if any(look.values()) else step


def with_defaults(construction: Construction, fills: Fills, board: Board) -> dict[str, Any]:
    """The fills, with what optional gaps are filled with when they are left out."""
    if construction.defaults is None:
        return dict(fills)
    full = {**construction.defaults(kinds_of_fills(construction, fills, board.kind_of)), **fills}
    return construction.settles(full, board) if construction.settles and full != fills else full


#: What of a look an image takes over from what it is the image of.
_TAKEN_OVER = ("pen", "width", "pattern", "fill", "size", "part")


def _first_look(board, construction, fills, like):
    """The look of a new step: the plain one, or for an image that of what it comes from."""
    if like is None and construction.looks_like:
        like = fills[construction.looks_like][0]
    return PLAIN if like is None else Look(**{part: getattr(board.step(like).look, part) for part in _TAKEN_OVER})


def step_of(
    board: Board, construction: Construction, fills: Any, name: str | None, like: str | None = None, kept: Collection[str] = ()
) -> Step:
    """A new step for a board, with the id and the name that it gets; it is not put on yet. Raises Refusal for a wrong name.

    Args:
        like: the id of what it looks like at first.
        kept: names that it does not take by itself.
    """
    last = max(board.last_number, board.settings.own_from)
    step = Step(f"s{last + 1}", construction.key, fills, look=_first_look(board, construction, fills, like))
    names = board.names
    if name is not None:
        return step if spelt(step, names) == spelling.tidy(name) else step.with_(name=spelling.check_new_name(name))
    taken = {*kept, *(names[other.id] for other in board.steps if other.is_reading == step.is_reading)}
    return step.with_(name=automatic_name(step, names, taken))


def new_step_ids(fill: Any, new_ids: Sequence[str], prefix: str = "new:") -> Any:
    """A fill with the ids of steps made just before in the places of "new:0", "new:1" …"""

    def real(id):
        if not id.startswith(prefix):
            return id
        number = id[len(prefix) :]
        if not number.isdecimal() or int(number) >= len(new_ids):
            raise Refusal("The edit names a new step that it does not add.")
        return new_ids[int(number)]

    return with_ids(fill, {id: real(id) for id in ids_in(fill)})
