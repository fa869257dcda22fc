"""Acts as sentences: hide p and q, rename A to Fountain, move A to (1, 1), undo. One list of them, for reading, completion and help."""

import re
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any, TypeAlias

from ..catalogue import CATALOGUE
from ..display.palette import PENS
from ..edits import Add, Arrange, ByHand, Delete, LookChanges, Move, Rename, Restyle, Tidy
from ..edits.by_hand import told_moves
from ..edits.models import NewStep
from ..edits.saying import described
from ..kinds import CLAIM, CONDITION, MOTION, NUMBER, POINT, REVEAL, join
from ..language.stretches import things_named
from ..pointing.gathering import KINDS, gather
from ..refusal import Refusal
from ..speech.plain_words import plain
from ..truth.where import condition_told
from . import messages
from .acts import Act, Answer, Change, Doing, Run, Stop
from .changing import done, redo, undo
from .moving import place_typed

#: The words for pens: their own names, and the usual names of colours.
_PENS = {
    **{name: name for name in PENS},
    "black": "ink", "red": "ruddy", "brown": "ruddy", "green": "leaf", "yellow": "straw", "orange": "straw", "blue": "sky",
    "purple": "plum", "violet": "plum", "grey": "slate", "gray": "slate",
}  # fmt: skip

#: What an order does: a function of the hand, of the ids of the things that are named, and of what else was found.
Does: TypeAlias = Callable[[Any, list[str], re.Match[str]], Doing]


@dataclass(frozen=True)
class Order:
    """An act that can be said.

    Attributes:
        forms: what it looks like, as expressions in which ``things`` is what it is about.
        does: what it does.
        shown: how it is said, for completion and help.
        about: what it does, for help.
    """

    forms: tuple[re.Pattern[str], ...]
    does: Does
    shown: str
    about: str


def _ids(hand: Any, text: str) -> list[str]:
    """The ids of the things that an order names. Raises Refusal."""
    words = re.sub(r"^(?:the|all|all the|all of the)\s+", "", text.strip().lower())
    board = hand.board
    if words in ("it", "that", "this", "them", "these", "selection", "selected") and hand.selected:
        return [id for id in hand.selected if id in board]
    if words in ("everything", "all"):
        return [step.id for step in board.steps]
    if words in KINDS and not board.ids_named(text.strip()):
        return gather(board, words)
    try:
        return things_named(text, board)
    except Refusal:
        if (id := described(text, board)) is not None:
            return [id]
        raise


def _changed(edit: Any) -> Doing:
    patch = yield Change(edit)
    yield done(patch.words)


def _only(one: Answer | Act) -> Doing:
    yield one


def _look(**look: Any) -> Does:
    return lambda hand, ids, found: _changed(Restyle(ids=ids, look=LookChanges(**look)))


def _colour(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    pen = _PENS.get(found["pen"].lower())
    if pen is None:
        raise Refusal(f"There is no pen called {found['pen'][:20]}. There are {join(PENS)}.")
    return _changed(Restyle(ids=ids, look=LookChanges.model_validate({"pen": pen})))


def _delete(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    return _changed(Delete(ids=ids))


def _rename(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    if len(ids) != 1:
        raise Refusal("One thing at a time gets another name: rename A to Fountain.")
    return _changed(Rename(id=ids[0], name=found["name"]))


def _move(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    if len(ids) != 1 or hand.board.step(ids[0]).moves != "free":
        raise Refusal("Only a free point can be put somewhere: move A to (1, 1).")
    return _changed(Move(numbers={ids[0]: list(place_typed(found["at"], hand.board))}))


def _tidy(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    return _changed(Tidy())


def _undo(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    return undo(hand, messages.Undo(t="undo"))


def _redo(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    return redo(hand, messages.Redo(t="redo"))


def _run(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    motions = [step.id for step in hand.board.steps if step.makes == MOTION]
    if not motions:
        raise Refusal("There is no motion yet. Make one: “the motion of P, to and fro, in 4 seconds”.")
    return _only(Run(tuple(motions), False))


def _run_one(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    board = hand.board
    if not ids or any(board.kind_of(id) != MOTION and board.step(id).construction.moves not in ("turning", "sliding") for id in ids):
        raise Refusal("Only motions, dials and points on a path run: run n, run all.")
    return _running(hand, ids)


def _running(hand: Any, ids: list[str]) -> Doing:
    """Run motions; a dial, or a point on a path, by a motion of its own, which is made where there is none."""
    running = []
    for id in ids:
        if hand.board.kind_of(id) != MOTION:
            if not (there := _motions_of(hand.board, id)):
                yield Change(Add(steps=[NewStep(does="motion", fills={"driver": [id], **CATALOGUE["motion"].usual})]))
                there = _motions_of(hand.board, id)
            id = there[0]
        running.append(id)
    yield Run(tuple(running), False)


def _motions_of(board: Any, id: str) -> list[str]:
    return [step.id for step in board.steps if step.makes == MOTION and step.fills.get("driver") == (id,)]


def _rests(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    if len(ids) != 1 or hand.board.kind_of(ids[0]) != CLAIM:
        raise Refusal("Only a claim rests on something: what does c rest on?")
    return _only({"t": "do", "what": "rests", "id": ids[0]})


def _holds(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    board = hand.board
    if len(ids) != 1 or board.kind_of(ids[0]) != CONDITION:
        raise Refusal("Only a condition holds at a point or does not: does j hold at A?")
    points = things_named(found["at"], board)
    if len(points) != 1 or board.kind_of(points[0]) != POINT:
        raise Refusal("A condition is asked at one point: does j hold at A?")
    return _told(condition_told(board, points[0], ids[0]))


def _told(words: str) -> Doing:
    yield done(words, undo=False)


def _log(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    board = hand.board
    if any(board.kind_of(id) != NUMBER for id in ids):
        raise Refusal("Only readings are logged: log s and t.")
    return _changed(Arrange(log=list(dict.fromkeys((*board.settings.log, *ids)))))


def _stop(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    return _only(Stop())


def _by_hand(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    board = hand.board
    if len(ids) == 1 and board.kind_of(ids[0]) == CONDITION:
        return _changed(Add(steps=[NewStep(does="compass_work", fills={"condition": ids})]))
    closes = bool(found.groupdict().get("closes")) or board.settings.kit == "closing"
    return _changed(ByHand(ids=ids, closes=closes, another=bool(found.groupdict().get("another"))))


def _moves(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    board = hand.board
    ids = ids or [step.id for step in board.steps]
    return _told(f"{told_moves(board, ids).capitalize()}: each straight line and each circle that is drawn counts as one.")


def _on_page(what: str) -> Does:
    """An act of the page: fit, present, the next reveal."""
    return lambda hand, ids, found: _only({"t": "do", "what": what})


def _ground(ground: Any) -> Does:
    """What lies under the figure."""
    return lambda hand, ids, found: _changed(Arrange(ground=ground))


def _reveal(hand: Any, ids: list[str], found: re.Match[str]) -> Doing:
    if not any(step.makes == REVEAL for step in hand.board.steps):
        raise Refusal("There is no reveal on this board. Make one: “a button that reveals ABC”.")
    return _on_page("reveal")(hand, ids, found)


def _order(does: Does, shown: str, about: str, *forms: str) -> Order:
    return Order(tuple(re.compile(form, re.IGNORECASE) for form in forms), does, shown, about)


_MOTIONS = r"(?: (?:it|all|the motions?|the animation))?"
_BY_HAND = r"(?:by hand|with (?:straightedge|ruler) and compass(?:es)?|with compass(?:es)? and (?:straightedge|ruler))"
_HOW = r"(?P<another>,? (?:in |by )?(?:another|a second|the other|the second) way)?"
_HOW += r"(?P<closes>,? with (?:a |the )?(?:compass that closes|compasses that close|closing compass(?:es)?))?"
ORDERS = (
    _order(_look(hidden=True), "hide p and q", "hide things", r"hide (?P<things>.+)"),
    _order(_tidy, "hide helpers", "hide what is only made from", r"(?:hide|tidy)(?: the)? helpers", r"tidy(?: up)?"),
    _order(_look(hidden=False), "show p", "show hidden things", r"show (?P<things>.+?)(?: again)?"),
    _order(
        _delete, "delete p", "delete things, and what hangs on them", r"(?:delete|remove|erase|rub out|take away) (?P<things>.+)"
    ),
    _order(_rename, "rename A to Fountain", "another name", r"(?:rename|call) (?P<things>.+?) (?:to|as|into|=) (?P<name>\S+)"),
    _order(
        _move, "move A to (1, 1)", "put a free point somewhere",
        r"(?:move|put|drag|set) (?P<things>.+?) (?:to|at|on) (?P<at>\(?\s*[-−+]?[\d.].*)",
    ),
    _order(_look(locked=False), "unlock A", "let it be moved again", r"unlock (?P<things>.+)"),
    _order(_look(locked=True), "lock A", "keep it from being moved", r"(?:lock|fix|freeze) (?P<things>.+)"),
    _order(
        _colour, "colour p ruddy", "another pen",
        rf"(?:colou?r|paint|make) (?P<things>.+?) (?:in )?(?P<pen>{'|'.join(_PENS)})", r"colou?r (?P<things>.+?) (?:in )?(?P<pen>\w+)",
    ),
    _order(_look(pattern="dashed"), "dash p", "draw it dashed", r"dash (?P<things>.+)", r"make (?P<things>.+) dashed"),
    _order(
        _look(width=3.4), "thicken p", "draw it thick",
        r"(?:thicken|embolden) (?P<things>.+)", r"make (?P<things>.+) (?:thick|thicker|bold)",
    ),
    _order(_look(width=1.2), "thin p", "draw it thin", r"thin (?P<things>.+)", r"make (?P<things>.+) (?:thin|thinner)"),
    _order(
        _look(label=False), "unlabel p", "without its name",
        r"(?:unlabel|take the (?:name|label) (?:off|from)) (?P<things>.+)",
    ),
    _order(_look(label=True), "label p", "with its name", r"label (?P<things>.+)"),
    _order(_undo, "undo", "take the last edit back", r"undo(?: (?:that|it|the last(?: step| edit)?))?"),
    _order(_redo, "redo", "make it again", r"redo(?: (?:that|it))?"),
    _order(_ground("grid"), "show the grid", "squares under the figure", r"show (?:the )?(?:square )?grid|(?:with )?squared paper"),
    _order(_ground("axes"), "show the axes", "axes under the figure", r"show (?:the )?axes"),
    _order(_ground("blank"), "hide the grid", "nothing under the figure", r"(?:hide|remove) (?:the )?(?:grid|axes)|blank paper"),
    _order(_on_page("fit"), "fit", "show the whole figure", r"fit|show all|show the whole figure|zoom to fit"),
    _order(_on_page("zoom in"), "zoom in", "nearer", r"zoom in|nearer"),
    _order(_on_page("zoom out"), "zoom out", "further away", r"zoom out|further away"),
    _order(_run, "run", "run the motions", r"(?:run|play|start)" + _MOTIONS),
    _order(_run_one, "run n", "run one motion, or a dial", r"(?:run|play|start|animate) (?:the motion )?(?P<things>.+)"),
    _order(_log, "log s and t", "put readings into the log", r"log (?P<things>.+)"),
    _order(_rests, "what does c rest on?", "which steps a claim needs", r"what does (?P<things>.+) rest on\??"),
    _order(
        _holds, "does j hold at A?", "whether a condition holds at a point",
        r"(?:does )?(?P<things>.+) holds? (?:at|for|in) (?P<at>.+?)\??",
    ),
    _order(
        _by_hand, "compass work of M", "draw by hand what was made in one step",
        r"(?:(?:show|draw) (?:me )?)?(?:the )?compass work (?:of|for) (?P<things>.+?)" + _HOW,
        rf"(?:draw|construct|make|show) (?P<things>.+?) {_BY_HAND}{_HOW}",
        rf"how (?:is|are|do (?:you|I|we) (?:draw|construct|make)) (?P<things>.+?) (?:(?:drawn|constructed|made) )?{_BY_HAND}\??",
    ),
    _order(
        _by_hand, "as compass work", "draw the whole board by hand",
        r"(?:show |draw )?(?:(?:everything|all|the (?:whole )?board) )?as compass work" + _HOW,
    ),
    _order(
        _moves, "how many moves for M?", "how many lines and circles are drawn",
        r"how many moves(?: (?:for|has|does|in|is) (?P<things>.+?)(?: (?:take|need|have))?)?\??",
    ),
    _order(_stop, "stop", "stop the motions", r"(?:stop|pause|halt)" + _MOTIONS),
    _order(_reveal, "reveal", "the next reveal", r"(?:reveal|next|show the next)(?: (?:it|reveal|step))?"),
    _order(_on_page("present"), "present", "the board alone, large", r"present"),
)  # fmt: skip
_FORMS = [(order, form) for order in ORDERS for form in order.forms]


def ordered(hand: Any, text: str) -> Doing | None:
    """What an order does, or None where a text is none. Raises Refusal where it cannot be done."""
    text = " ".join(text.split()).rstrip(" .!")
    text = plain(text)
    refusal = None
    for order, form in _FORMS:
        found = form.fullmatch(text)
        if not found:
            continue
        try:
            ids = _ids(hand, found["things"]) if "things" in form.groupindex else []
        except Refusal as one:
            refusal = refusal or one
            continue
        return order.does(hand, ids, found)
    if refusal is not None:
        raise refusal
    return None
