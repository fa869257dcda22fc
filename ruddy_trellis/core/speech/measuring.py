"""Clauses that measure, and what of their phrases is read and what is drawn."""

from __future__ import annotations

from ..kinds import NUMBER, POINT
from ..refusal import Refusal
from .clauses import Bound
from .nodes import Described, Many, Multiple, Named, Node, Ref, Where
from .readings import READS, measured, measured_things
from .things import Things
from .verbs import verb


@verb
def measure(t: Things, bound: Bound) -> None:
    words = bound.get("words", ())
    if "m" not in bound and "x" not in bound and "x1" not in bound:
        found = [id for id in t.b.recent.ids if id in t.b.ahead]
        if not found:
            raise Refusal("What is to be measured?")
        last = found[-1]
        if t.b.kind(last) == NUMBER:
            return
        measured(t, Named(t.b.ahead.name(last)))
        return
    if "x1" in bound and "y1" in bound:
        t.described(Described("distance", roles=(("from", bound["x1"]), ("to", bound["y1"]))))
        return
    if "/" in words:
        t.described(Described("ratio", roles=(("of", bound["m"]), ("to", bound["k"])), kind="new"))
        return
    if "inside" in words and "x" in bound:
        t.described(Described("area", roles=(("of", bound["x"]),), kind="new"))
        return
    if "add-up-to" in words:
        node = bound["x"]
        t.described(Described("sum", roles=(("of", node),), kind="new"))
        return
    if "angle" in words:
        arms = bound["x"] if "y" not in bound else Many((bound["x"], bound["y"]))
        t.described(Described("angle", roles=(("between", arms),)))
        return
    node = bound.get("m", bound.get("x"))
    if isinstance(node, Described) and node.head == "line" and node.role("from") is not None and "long" in words:
        t.described(Described("distance", roles=tuple((role, part) for role, part in node.roles if role in ("from", "to"))))
        return
    if isinstance(node, Described) and node.head == "point" and node.plural and "far" in words:
        points = t.aside(lambda: t.points(node))
        node = Many(tuple(Named(t.b.ahead.name(id), (t.b.ahead.name(id),)) for id in points))
    if "far" in words:
        if not isinstance(node, (Many, Ref)) and not (isinstance(node, Named) and len(node.points) == 2):
            raise Refusal("From where to where? Say: the distance from A to B.")
        t.described(Described("distance", roles=(("between", node),)))
        return
    if isinstance(node, Ref) and not words:
        raise Refusal("What is to be measured?")
    assert node is not None
    if "draw" in words and not (isinstance(node, Described) and node.head in READS):
        raise Refusal("That is drawn, not measured.")
    if "show" in words and not _are_readings(node):
        raise Refusal("That is drawn, not measured.")
    if isinstance(node, Described) and node.head == "arc" and "measure" in words:
        measured(t, node)
        return
    plain = set(words) & {"measure", "what", "how", "which", "required", "show", "beside", "find"}
    if not plain and isinstance(node, (Named, Many)):
        raise Refusal("What is to be done with that?")
    if isinstance(node, Described) and (
        _is_reading(node) if plain else node.head in READS or (node.head == "radius" and node.role("of") is not None)
    ):
        measured(t, node)
        return
    if isinstance(node, (Named, Many, Ref, Multiple)) or "long" in words:
        measured(t, node)
        return
    if isinstance(node, (Described, Where)) and plain:
        ids = t.all_of(node)
        if not any(t.b.kind(id) == POINT for id in ids) and "measure" in words:
            measured_things(t, ids)
        return
    raise Refusal("What is to be done with that?")


def _are_readings(node: Node) -> bool:
    """Whether a phrase is about readings: lengths, angles and the like."""
    items = node.items if isinstance(node, Many) else (node,)
    return all(isinstance(item, Described) and (item.head in READS or _is_reading(item)) for item in items)


#: Parts that a line of a circle is drawn by.
_DIRECTED = ("parallel", "perpendicular")


def _is_reading(node: Described) -> bool:
    return (
        node.head in READS
        or (node.head in ("radius", "diameter") and not node.names and node.role("through", "to", "from", "at", *_DIRECTED) is None)
        or node.head in ("side", "diagonal")
        or (node.head in ("side", "segment", "line", "chord") and bool(node.names))
    )
