"""Acts as sentences: hide p and q, rename A to Fountain, move A to (1, 1), undo. One list of them, for reading, completion and help."""

import re
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from ..edits import Delete, LookChanges, Move, Rename, Restyle, Tidy
from ..edits.saying import described
from ..kinds import MOTION, POINT, REVEAL
from ..language.stretches import things_named
from ..pointing.gathering import KINDS, gather
from ..refusal import Refusal
from .acts import Answer, Change, Doing, Redo, Run, Stop, Undo

_PENS = {
    "black": "ink", "red": "ruddy", "brown": "ruddy", "green": "leaf", "yellow": "straw", "orange": "straw", "blue": "sky",
    "purple": "plum", "violet": "plum", "grey": "slate", "gray": "slate",
    **{name: name for name in ("ink", "ruddy", "leaf", "straw", "sky", "plum", "slate")},
}  # fmt: skip
_PLACE = r"(?:\(\s*(?P<x>[-−]?[\d.]+)\s*[,;]\s*(?P<y>[-−]?[\d.]+)\s*\)|(?P<xx>[-−]?[\d.]+)\s*,\s*(?P<yy>[-−]?[\d.]+))"


@dataclass(frozen=True)
class Order:
    """An act that can be said.

    Attributes:
        form: what it looks like, as an expression in which ``things`` is what it is about.
        does: a function of the hand and of what was found that gives answers and acts.
        shown: how it is said, for completion and help.
        about: what it does, for help.
    """

    form: re.Pattern[str]
    does: Callable[[Any, re.Match[str]], Doing]
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


def _look(**look: Any) -> Callable[[Any, re.Match[str]], Doing]:
    def does(hand: Any, found: re.Match[str]) -> Doing:
        yield from _changed(Restyle(ids=_ids(hand, found["things"]), look=LookChanges(**look)))

    return does


def _changed(edit: Any) -> Doing:
    patch = yield Change(edit)
    yield {"t": "says", "kind": "done", "words": patch.words, "undo": True}


def _colour(hand: Any, found: re.Match[str]) -> Doing:
    pen = _PENS.get(found["pen"].lower())
    if pen is None:
        raise Refusal(f"There is no pen called {found['pen'][:20]}. There are ink, ruddy, leaf, straw, sky, plum and slate.")
    yield from _changed(Restyle(ids=_ids(hand, found["things"]), look=LookChanges.model_validate({"pen": pen})))


def _delete(hand: Any, found: re.Match[str]) -> Doing:
    yield from _changed(Delete(ids=_ids(hand, found["things"])))


def _rename(hand: Any, found: re.Match[str]) -> Doing:
    ids = _ids(hand, found["things"])
    if len(ids) != 1:
        raise Refusal("One thing at a time gets another name: rename A to Fountain.")
    yield from _changed(Rename(id=ids[0], name=found["name"]))


def _move(hand: Any, found: re.Match[str]) -> Doing:
    ids = _ids(hand, found["things"])
    if len(ids) != 1 or hand.board.kind_of(ids[0]) != POINT or hand.board.step(ids[0]).moves != "free":
        raise Refusal("Only a free point can be put somewhere: move A to (1, 1).")
    at = [float((found[a] or found[b]).replace("−", "-")) for a, b in (("x", "xx"), ("y", "yy"))]
    yield from _changed(Move(numbers={ids[0]: at}))


def _undo(hand: Any, found: re.Match[str]) -> Doing:
    words = yield Undo()
    yield {"t": "says", "kind": "done", "words": f"Undone: {words}", "undo": False}


def _redo(hand: Any, found: re.Match[str]) -> Doing:
    words = yield Redo()
    yield {"t": "says", "kind": "done", "words": f"Redone: {words}", "undo": False}


def _tidy(hand: Any, found: re.Match[str]) -> Doing:
    yield from _changed(Tidy())


def _run(hand: Any, found: re.Match[str]) -> Doing:
    motions = [step.id for step in hand.board.steps if step.makes == MOTION]
    if not motions:
        raise Refusal("There is no motion yet. Make one: “the motion of P, to and fro, in 4 seconds”.")
    yield Run(tuple(motions), False)


def _stop(hand: Any, found: re.Match[str]) -> Doing:
    yield Stop()


def _on_page(what: str) -> Callable[[Any, re.Match[str]], Doing]:
    """An act of the page: fit, present, the next reveal."""

    def does(hand: Any, found: re.Match[str]) -> Doing:
        answer: Answer = {"t": "do", "what": what}
        yield answer

    return does


def _reveal(hand: Any, found: re.Match[str]) -> Doing:
    if not any(step.makes == REVEAL for step in hand.board.steps):
        raise Refusal("There is no reveal on this board. Make one: “a button that reveals ABC”.")
    yield {"t": "do", "what": "reveal"}


def _order(form: str, does: Callable[[Any, re.Match[str]], Doing], shown: str, about: str) -> Order:
    return Order(re.compile(form, re.IGNORECASE), does, shown, about)


ORDERS = (
    _order(r"hide (?P<things>.+)", _look(hidden=True), "hide p and q", "hide things"),
    _order(r"(?:hide|tidy)(?: the)? helpers|tidy(?: up)?", _tidy, "hide helpers", "hide what is only made from"),
    _order(r"show (?P<things>.+?)(?: again)?", _look(hidden=False), "show p", "show hidden things"),
    _order(r"(?:delete|remove|erase|rub out|take away) (?P<things>.+)", _delete, "delete p", "delete things, and what hangs on them"),
    _order(r"(?:rename|call) (?P<things>.+?) (?:to|as|into|=) (?P<name>\S+)", _rename, "rename A to Fountain", "another name"),
    _order(rf"(?:move|put|drag|set) (?P<things>.+?) (?:to|at|on) {_PLACE}", _move, "move A to (1, 1)", "put a free point somewhere"),
    _order(r"unlock (?P<things>.+)", _look(locked=False), "unlock A", "let it be moved again"),
    _order(r"(?:lock|fix|freeze) (?P<things>.+)", _look(locked=True), "lock A", "keep it from being moved"),
    _order(r"(?:colou?r|paint|make) (?P<things>.+?) (?:in )?(?P<pen>black|red|brown|green|yellow|orange|blue|purple|violet|gr[ae]y|ink|"
           r"ruddy|leaf|straw|sky|plum|slate)", _colour, "colour p ruddy", "another pen"),
    _order(r"(?:colou?r) (?P<things>.+?) (?:in )?(?P<pen>\w+)", _colour, "", ""),
    _order(r"dash (?P<things>.+)|make (?P<more>.+) dashed", lambda hand, found: _look(pattern="dashed")(hand, _things_of(found)),
           "dash p", "draw it dashed"),
    _order(r"(?:thicken|embolden) (?P<things>.+)|make (?P<more>.+) (?:thick|thicker|bold)",
           lambda hand, found: _look(width=3.4)(hand, _things_of(found)), "thicken p", "draw it thick"),
    _order(r"(?:thin) (?P<things>.+)|make (?P<more>.+) (?:thin|thinner)", lambda hand, found: _look(width=1.2)(hand, _things_of(found)),
           "thin p", "draw it thin"),
    _order(r"(?:unlabel|take the (?:name|label) (?:off|from)) (?P<things>.+)", _look(label=False), "unlabel p", "without its name"),
    _order(r"label (?P<things>.+)", _look(label=True), "label p", "with its name"),
    _order(r"undo(?: (?:that|it|the last(?: step| edit)?))?", _undo, "undo", "take the last edit back"),
    _order(r"redo(?: (?:that|it))?", _redo, "redo", "make it again"),
    _order(r"(?:fit|show all|show the whole figure|zoom to fit)", _on_page("fit"), "fit", "show the whole figure"),
    _order(r"(?:run|play|start)(?: (?:it|all|the motions?|the animation))?", _run, "run", "run the motions"),
    _order(r"(?:stop|pause|halt)(?: (?:it|all|the motions?|the animation))?", _stop, "stop", "stop the motions"),
    _order(r"(?:reveal|next|show the next)(?: (?:it|reveal|step))?", _reveal, "reveal", "the next reveal"),
    _order(r"present", _on_page("present"), "present", "the board alone, large"),
)  # fmt: skip


class _Named:
    """A match in which what an order is about has another name."""

    def __init__(self, things: str) -> None:
        self._things = things

    def __getitem__(self, name: str) -> str:
        return self._things


def _things_of(found: re.Match[str]) -> Any:
    return _Named(found["things"] or found["more"])


def ordered(hand: Any, text: str) -> Doing | None:
    """What an order does, or None where a text is none. Raises Refusal where it cannot be done."""
    text = " ".join(text.split()).rstrip(" .!")
    text = re.sub(r"^(?:please|now|then|and)\s+", "", text, flags=re.IGNORECASE)
    refusal = None
    for order in ORDERS:
        found = order.form.fullmatch(text)
        if not found:
            continue
        try:
            if "things" in (found.groupdict() or {}):
                _ids(hand, found["things"] or found.groupdict().get("more") or "")
        except Refusal as one:
            refusal = refusal or one
            continue
        return order.does(hand, found)
    if refusal is not None:
        raise refusal
    return None
