"""Compass work shown: what was made in one step is drawn by hand, with its helpers before it, under its own name and look."""

from collections.abc import Iterable, Mapping
from dataclasses import replace
from typing import Any

from .. import limits
from ..board.board import Board
from ..board.naming import automatic_name, check_names, spelt
from ..board.nearest import nearest_place
from ..board.step import Step
from ..catalogue import CATALOGUE
from ..catalogue.by_hand import WAYS, Made, Work, is_drawn
from ..catalogue.by_hand.ways import NONE, PRIMITIVE
from ..catalogue.by_hand.work import NotByHand
from ..kinds import LINE, POINT, join
from ..language.printing import listed, noun
from ..refusal import Refusal
from .adding import with_defaults
from .patch import Patch

#: What is drawn with one move: by laying the straightedge or turning the compasses once. Points cost nothing.
LINES = ("line", "ray", "segment")
CIRCLES = ("circle", "circle_radius", "arc")


def drawn_by_hand(board: Board, edit: Any) -> Patch:
    """The patch of a ``ByHand``. Raises Refusal where nothing of what is asked for has compass work, with why."""
    asked = [board.step(id) for id in edit.ids if id in board] if edit.ids else board.steps
    wanted = {step.id for step in asked if is_drawn(board, step) and not board.is_given(step.id)}
    if edit.ids and not wanted:
        raise Refusal(f"{why_not(board, asked[0])}." if asked else "That thing is no longer on the board.")
    if edit.another and not any(WAYS[board.step(id).does].second for id in wanted):
        raise Refusal("There is one way here that schools teach; another is not known to this program.")
    ahead, problems = _drawn(board, wanted, edit.closes, edit.another)
    done = [id for id in wanted if ahead.step(id).does != board.step(id).does or ahead.step(id).fills != board.step(id).fills]
    if not done:
        raise next(iter(problems.values()), Refusal("All of this is drawn by hand already."))
    check_names(ahead.steps)
    before = {step.id: (place, step) for place, step in enumerate(board.steps)}
    after = {step.id: (place, step) for place, step in enumerate(ahead.steps)}
    changed = [id for id in after if before.get(id) != after[id]]
    words = f"Drew {listed(board, sorted(done, key=board.place))} by hand: {told_moves(ahead, done)}"
    if problems:
        words += f". Not {join(noun(board, id) for id in list(problems)[:3])}: {next(iter(problems.values())).sentence.rstrip('.')}"
    return Patch(words, tuple(before[id] for id in before if after.get(id) != before[id]), tuple(after[id] for id in changed))


def why_not(board: Board, step: Step) -> str:
    """Why a thing has no compass work, without a full stop."""
    if board.is_given(step.id):
        return f"{noun(board, step.id)} is given: it stays as it was made"
    if step.does in PRIMITIVE:
        return f"{noun(board, step.id)} is drawn with straightedge and compasses as it is"
    return f"{noun(board, step.id)} has no compass work: {NONE.get(step.does, 'it is not drawn with straightedge and compasses')}"


def _drawn(board: Board, wanted: Iterable[str], closes: bool, another: bool = False) -> tuple[Board, dict[str, Refusal]]:
    """The board with what is wanted drawn by hand, and why some of it could not be."""
    ahead, problems = Board(board.settings), {}
    ahead.chalk = board.chalk
    namer = _Namer(board, ahead)
    for step in board.steps:
        way = WAYS[step.does] if step.id in wanted else None
        draw = way and (way.second if another and way.second else way.draw)
        ahead.append(_by_hand(ahead, step, draw, namer, closes, problems, board) if draw else _where_it_was(ahead, step, board))
    return ahead, problems


def _where_it_was(ahead: Board, step: Step, board: Board) -> Step:
    """A step that is left as it is; a point on a line that is drawn by hand now has another number for the same place."""
    path = step.fills.get("path")
    if step.does != "point_on" or not path or board.value(step.id) is None:
        return step
    if all(one in board and ahead.step(one) == board.step(one) for one in path) or any(ahead.value(one) is None for one in path):
        return step
    return step.with_(fills={**step.fills, "place": nearest_place(ahead, path, board.value(step.id))})


def _by_hand(ahead, step, draw, namer, closes, problems, board):
    """A step as it is made by hand; its helpers are put on the board. As it was, where it cannot be drawn so."""
    before = list(ahead.steps)
    work = Work(ahead, namer.make, closes, step.makes == LINE and _is_directed(board, step.id), board)
    try:
        made = draw(work, step.fills)
        if len(ahead) > limits.STEPS:
            raise Refusal(f"A board has at most {limits.STEPS:,} steps; drawn by hand it would have more.")
        return _in_place(ahead, before, step, made, board.name(step.id))
    except Refusal as refusal:
        ahead.become(before)
        problems[step.id] = refusal
        return step


def _in_place(ahead, before, step, made: Made, name: str) -> Step:
    """The step made so; a helper that is just the same thing is no longer needed beside it."""
    last = ahead.steps[-1] if len(ahead) > len(before) else None
    if last is not None and (last.does, last.fills) == (made.key, made.fills):
        ahead.become(ahead.steps[:-1])
    construction = CATALOGUE[made.key]
    if construction.makes == POINT and (construction.moves or not made.fills):
        there = ahead.alike(made.key, made.fills)
        raise NotByHand(f"{name} is where {ahead.name(there[0])} is: there is nothing to draw.")
    remade = step.with_(does=made.key, fills=with_defaults(construction, made.fills, ahead), by=None)
    return remade if step.name is not None or spelt(remade, ahead.names) == name else remade.with_(name=name)


class _Namer:
    """Makes helpers, with ids and names that nothing else of the board has."""

    def __init__(self, board: Board, ahead: Board) -> None:
        self._ahead, self._taken = ahead, board.names
        numbers = (int(step.id[1:]) for step in board.steps if step.id[1:].isdecimal())
        self._last = max((0, board.settings.own_from, *numbers))

    def make(self, key: str, fills: dict[str, Any], look: Mapping[str, Any]) -> str:
        construction = CATALOGUE[key]
        self._last += 1
        step = Step(f"s{self._last}", key, with_defaults(construction, fills, self._ahead))
        names = self._ahead.names
        taken = {*self._taken.values(), *names.values()}
        named = step.with_(name=automatic_name(step, names, taken), look=replace(step.look, **look))
        self._ahead.append(named)
        return named.id


#: What does not ask which way a line runs: where straight things meet, feet, images in it.
_UNDIRECTED = ("foot", "mirrored", "reflection", "altitude", "distance", "slope", "equation", "parabola", "reveal", "polygon")


def _is_directed(board: Board, id: str) -> bool:
    """Whether something on the board hangs on which way a line runs."""
    for other in board.steps:
        if id in other.inputs and other.does not in _UNDIRECTED and not (other.does == "intersection" and "which" not in other.fills):
            return True
    return False


def counted(board: Board, ids: Iterable[str]) -> tuple[int, int]:
    """How many straight lines and how many circles are drawn for some things, free points and what else is there already left out: the
    straight lines and circles among them and what they are made from."""
    ids = list(ids)
    every = [board.step(id) for id in {*ids, *board.ancestors(ids)} if not board.is_given(id)]
    return sum(step.does in LINES for step in every), sum(step.does in CIRCLES for step in every)


def told_moves(board: Board, ids: Iterable[str]) -> str:
    """The moves in words: "3 circles and 2 lines, 5 moves". What is given in a student's copy is no move of theirs."""
    straight, rounds = counted(board, ids)
    parts = [f"{count} {word}{'s' * (count != 1)}" for count, word in ((rounds, "circle"), (straight, "line")) if count]
    count = straight + rounds
    return f"{join(parts)}, {count} move{'s' * (count != 1)}" if parts else "no move"


def has_compass_work(board: Board, id: str) -> bool:
    """Whether a thing can be drawn by hand, as it is now."""
    step = board.step(id)
    if not is_drawn(board, step) or board.is_given(id):
        return False
    needed = {id, *board.ancestors([id])}
    _, problems = _drawn(Board(board.settings, [one for one in board.steps if one.id in needed]), {id}, False)
    return not problems
