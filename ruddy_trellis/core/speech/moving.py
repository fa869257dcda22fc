"""Clauses in which something moves: motions, and the loci of what moves with it."""

from __future__ import annotations

from ..edits.models import Retie
from ..kinds import NUMBER, POINT
from ..refusal import Refusal
from .amounts import number_said
from .clauses import Bound
from .nodes import Named, Node
from .refusals import Told
from .things import Things
from .verbs import names_of, verb

#: How a motion goes, by the words for it.
_WAYS = {"to-and-fro": "to and fro", "round-and-round": "round and round", "once": "once"}


def _driver(t: Things, node: Node, path: Node | None) -> str:
    """What is to move: a point on a path, or a dial. Raises Refusal for anything else, and for a path on which it is not."""
    ids = t.b.ahead.ids_named(node.text) if isinstance(node, Named) else []
    id = ids[0] if ids and t.b.kind(ids[0]) in (NUMBER, POINT) else t.point(node)
    step = t.b.ahead.step(id)
    name = t.b.ahead.name(id)
    if step.construction.moves not in ("sliding", "turning"):
        raise Refusal(f"{name} is on no path. A point on a path, or a dial, can run: let P be a point on AB.")
    if path is not None and step.fills.get("path", ()) != t.path(path):
        raise Refusal(f"{name} is not on that: it runs on its own path.")
    return id


@verb
def runs(t: Things, bound: Bound) -> None:
    """ "let Q move around the circle", "let r run from 0 to 10": a motion."""
    words = bound.get("words", ())
    if "n" in bound:
        names = names_of(t, bound["n"])
        id = _driver(t, Named(names[0]), None)
        ends = [number_said(t, bound[slot]) for slot in ("v", "w")]
        fills = t.b.ahead.step(id).fills
        if t.b.ahead.step(id).construction.moves != "turning":
            raise Refusal("Only a dial runs from one number to another.")
        if [fills["least"], fills["most"]] != ends:
            set_ends(t, id, ends)
            if "goes" in words:  # "let r go from 1 to 5"; what is to run does so, too
                return
    else:
        id = _driver(t, bound["x1"], bound.get("y"))
    way = next((said for word, said in _WAYS.items() if word in words), "to and fro")
    t.make("motion", driver=(id,), way=way, seconds=4.0)


@verb
def dial_ends(t: Things, bound: Bound) -> None:
    """ "r goes from 1 to 5", of a dial that is there."""
    (name,) = names_of(t, bound["n"]) if "n" in bound else ("",)
    found = [id for id in t.b.ahead.ids_named(name) if t.b.ahead.step(id).construction.moves == "turning"]
    if not found:
        raise Refusal(f"There is no dial called {name}.")
    set_ends(t, found[0], [number_said(t, bound[slot]) for slot in ("v", "w")])


def set_ends(t: Things, id: str, ends: list[object]) -> None:
    """Let a dial go from one number to another; it stays where it is, or goes to the nearer end. Raises Refusal."""
    step = t.b.ahead.step(id)
    least, most = ends
    if not isinstance(least, float) or not isinstance(most, float) or not least < most:
        raise Refusal("A dial goes from one number to a larger one: r goes from 0 to 10.")
    if id not in t.b.board:
        raise Refusal("Say the ends of a dial where it is made: a dial r from 0 to 10.")
    value = min(max(step.fills["value"], least), most)
    jump = min(step.fills["step"], most - least)
    t.b.act(Retie(id=id, does=step.does, fills={**step.fills, "least": least, "most": most, "step": jump, "value": value}))


@verb
def traced(t: Things, bound: Bound) -> None:
    """ "the locus of the midpoint of PQ as Q goes round the circle"; where nothing is said to move, what alone can."""
    point = t.aside(lambda: t.point(bound["x1"]))
    if "y1" in bound:
        driver = _driver(t, bound["y1"], bound.get("z"))
    else:
        own = t.b.ahead.step(point)
        if (
            isinstance(bound["x1"], Named)
            and own.construction.moves == "sliding"
            and len(path := own.fills.get("path", ())) == 1
            and t.b.ahead.name(path[0])
        ):
            raise Told(f"{t.b.ahead.name(point)} moves on {t.b.ahead.name(path[0])}, which is its locus.")
        found = [id for id in t.b.ahead.ancestors([point]) if t.b.ahead.step(id).construction.moves in ("sliding", "turning")]
        if len(found) != 1:
            raise Refusal("As what moves? Say: the locus of M as P moves.")
        driver = found[0]
    t.make("locus", tracer=(point,), driver=(driver,))
