"""What is claimed or asked of a figure: each claim as one of the catalogue's, its things found or made."""

from __future__ import annotations

import itertools
from collections.abc import Callable
from typing import Any

from ..formulas.orders import ORDERLY
from ..kinds import CIRCLE, NUMBER, POINT, POLYGON, STRAIGHTS
from ..language.expression import Formula
from ..refusal import Refusal
from .amounts import number_said
from .nodes import Amount, Described, Many, Named, Node, Ref
from .readings import measured, one_line
from .spans import corners_of, spans_of
from .tables import words
from .things import Things

Bound = dict[str, Any]
CLAIMS: dict[str, Callable[[Things, Bound], None]] = {}


def says(function: Callable[[Things, Bound], None]) -> Callable[[Things, Bound], None]:
    """Enter what is done where something is claimed: under its name, as the table of clauses has it."""
    CLAIMS[function.__name__] = function
    return function


def claim(t: Things, does: str, slots: Bound) -> None:
    """Make a claim. Raises Refusal where its things do not fit it."""
    CLAIMS[does](t, slots)


def order(t: Things, key: str, **fills: Any) -> None:
    """Claim an order, such as which of two is more; or suppose it, where that is what is said."""
    if t.is_supposing:
        t.b.suppose(key, fills)
    else:
        t.make(f"is_{key}", **fills)


def _two(t: Things, slots: Bound) -> tuple[Node, Node]:
    """The two things of a claim such as "AB and CD are parallel"."""
    one, other = slots.get("x", slots.get("x1")), slots.get("y")
    if other is None and isinstance(one, Many) and len(one.items) == 2:
        return one.items[0], one.items[1]
    if other is None and isinstance(one, Described) and len(one.names) == 2:
        return Described(one.head, names=one.names[:1]), Described(one.head, names=one.names[1:])
    if isinstance(one, Described) and one.plural and other is None and not one.names:
        found = t.all_of(one)
        if len(found) == 2:
            return Named(t.b.ahead.name(found[0])), Named(t.b.ahead.name(found[1]))
    if isinstance(one, Ref):
        last = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in STRAIGHTS]
        if other is None and len(last) > 1:
            return Named(t.b.ahead.name(last[-2])), Named(t.b.ahead.name(last[-1]))
        if other is not None and last:
            return Named(t.b.ahead.name(last[-1])), other
    if one is None or other is None:
        raise Refusal("Two things are needed here.")
    return one, other


@says
def parallel(t: Things, slots: Bound) -> None:
    a, b = (t.straight(node) for node in _two(t, slots))
    t.make("are_parallel", a=a, b=b)


@says
def perpendicular(t: Things, slots: Bound) -> None:
    a, b = (t.straight(node) for node in _two(t, slots))
    t.make("are_perpendicular", a=a, b=b)


@says
def right(t: Things, slots: Bound) -> None:
    if "y" in slots:
        corner = t.corner(Described("angle", roles=(("at", slots["y"]),)))
    else:
        corner = t.corner(slots["x"])
    t.make("are_perpendicular", a=(corner[0], corner[1]), b=(corner[1], corner[2]))


@says
def in_line(t: Things, slots: Bound) -> None:
    t.make("in_line", points=tuple(t.points(_points_said(slots["x"]))))


def _points_said(node: Node) -> Node:
    """Points in a row: "A, B, C", "ABC", "the points A, B and C"."""
    if isinstance(node, Named) and len(node.points) > 2:
        return Many(tuple(Named(point, (point,)) for point in node.points))
    return node


@says
def concyclic(t: Things, slots: Bound) -> None:
    t.make("one_circle", points=tuple(t.points(_points_said(slots["x"]))))


@says
def concurrent(t: Things, slots: Bound) -> None:
    node = slots["x"]
    items = node.items if isinstance(node, Many) else tuple(node.names) if isinstance(node, Described) and len(node.names) > 1 else (node,)
    if isinstance(node, Ref):
        ids = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in STRAIGHTS][-3:]
    elif len(items) == 1:
        ids = t.all_of(node)
    else:
        ids = []
        for item in items:
            span = t.straight(item)
            ids.append(
                span[0]
                if len(span) == 1
                else t.b.straight_between(*span) or t.b.make("segment", {"from": span[:1], "to": span[1:]}, hidden=True)
            )
    t.make("one_point", lines=tuple(dict.fromkeys(ids)))


@says
def on(t: Things, slots: Bound) -> None:
    """A point lies on a line, a segment, a circle, a curve."""
    one, other = slots.get("x"), slots.get("y")
    if other is None:
        other = Named(t.b.ahead.name(t.b.only("circle", t.b.of_kind(CIRCLE))))
    if isinstance(other, Described) and other.kind != "old" and not other.names and not other.roles:
        raise Refusal("On which one?")
    if isinstance(other, Described) and other.kind == "new":
        raise Refusal("What is new is drawn, and nothing is claimed of it.")
    assert one is not None
    if (isinstance(other, Ref) and other.word == "them") or (isinstance(other, Described) and other.plural and not other.names):
        for id in _paths_said(t, other):
            on(t, {**slots, "y": Named(t.b.ahead.name(id))})
        return
    if isinstance(other, Ref):
        last = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in (*STRAIGHTS, CIRCLE)]
        if not last:
            raise Refusal("On what?")
        other = Named(t.b.ahead.name(last[-1]))
    if isinstance(other, Described) and other.head in ("diameter", "radius", "chord") and not other.names and not other.roles:
        raise Refusal(f"Which {other.head} is meant? Say it by its ends.")
    points = t.points(one)
    path = t.path(other)
    for point in points:
        if len(path) == 2 or t.b.kind(path[0]) in STRAIGHTS:
            t.make("lies_on_line" if len(path) == 2 or t.b.kind(path[0]) == "line" else "lies_on", point=(point,), path=path)
        else:
            t.make("lies_on", point=(point,), path=path)


def _paths_said(t: Things, node: Node) -> list[str]:
    """The several lines or circles that are said together, or that "they" are: those of one kind that were made last. Raises Refusal."""
    if isinstance(node, Described):
        return list(dict.fromkeys(t.aside(lambda: t.all_of(node))))
    last = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in (*STRAIGHTS, CIRCLE) and not t.b.ahead.step(id).look.hidden]
    found = [id for id in last if t.b.kind(id) == t.b.kind(last[-1])]
    found = [id for id in found if id in t.b.last_group] or found
    if len(found) < 2:
        raise Refusal("Which ones are meant? Say them by their names.")
    return found


@says
def midpoint(t: Things, slots: Bound) -> None:
    halved, by = slots["y"], slots["x"]
    if (isinstance(halved, Described) and halved.head == "angle") or (isinstance(halved, Named) and len(halved.points) in (1, 3)):
        _bisects_angle(t, by, halved)
        return
    if isinstance(by, Described) and by.head in _STRAIGHT:
        _bisects(t, slots)
        return
    if not isinstance(slots["y"], (Named, Described)) or (isinstance(slots["x"], Named) and len(slots["x"].points) == 2):
        _bisects(t, slots)
        return
    if isinstance(slots["x"], Ref) and (drawn := [id for id in t.b.recent.ids if id in t.b.ahead and id not in t.b.board]):
        if t.b.kind(drawn[-1]) in STRAIGHTS:
            _bisects(t, slots)
            return
    point = t.point(slots["x"])
    _is_midpoint(t, point, t.span(slots["y"]))


def _is_midpoint(t: Things, point: str, span: tuple[str, ...]) -> None:
    """Whether a point is the midpoint of a span: the same place as its midpoint."""
    step = t.b.ahead.step(point)
    middle = t.b.ahead.alike("midpoint", {"span": span}) or t.b.ahead.alike("midpoint", {"span": span[::-1]})
    if step.does == "midpoint" and point in middle:
        # It is so by construction: the two halves are equal, and that is what is claimed.
        ends = span if len(span) == 2 else t.b.ends(span[0])
        t.make("equal_values", statement=Formula("{0} = {1}", ((ends[0], point), (point, ends[1]))))
        return
    other = middle[0] if middle else t.b.make("midpoint", {"span": span}, hidden=True)
    t.make("same_point", a=(point,), b=(other,))


#: Nouns of what bisects a span as a line does.
_STRAIGHT = words("line segment ray median altitude bisector angle-bisector perpendicular diagonal radius diameter chord side")


def _bisects_angle(t: Things, by: Node | None, angle: Node) -> None:
    """A line from the corner of an angle bisects it: the two parts are equal."""
    one, corner, other = t.corner(angle)
    ends = t.b.points(by.points) if isinstance(by, Named) and len(by.points) == 2 else ()
    if corner not in ends:
        raise Refusal("What bisects an angle goes out from its corner. Say: AD bisects angle A.")
    inner = next(id for id in ends if id != corner)
    statement(t, "angle({0})", "angle({1})", [(one, corner, inner), (inner, corner, other)])


def _bisects(t: Things, slots: Bound) -> None:
    """A line bisects a span: their crossing is its midpoint."""
    span = t.span(slots["y"])
    line = t.straight(slots["x"])
    middle = t.b.make("midpoint", {"span": span}, hidden=True)
    t.make("lies_on_line", point=(middle,), path=line)


@says
def bisect_one_another(t: Things, slots: Bound) -> None:
    """Two segments bisect each other: their midpoints are one point."""
    spans = t.aside(lambda: spans_of(t, slots["x"]))
    if len(spans) != 2:
        raise Refusal("Two segments bisect each other. Say: AC and BD bisect each other.")
    one, other = (t.b.make("midpoint", {"span": span}, hidden=True) for span in spans)
    t.make("same_point", a=(one,), b=(other,))


@says
def add_to(t: Things, slots: Bound) -> None:
    """Two angles are together 180°, or 90°."""
    places: list[tuple[str, ...]] = []
    one, other = slots["x"], slots.get("y")
    if other is None:
        ids = _said_together(t, one) if not isinstance(one, Many) else []
        terms = [_place((id,), places) for id in ids] or [term(t, item, places) for item in getattr(one, "items", ())]
    else:
        terms = [term(t, node, places) for node in (one, other)]
    if len(terms) != 2:
        raise Refusal("Two angles are supplementary or complementary.")
    statement(t, " + ".join(terms), "180" if "supplementary" in slots.get("words", ()) else "90", places)


@says
def is_perpendicular_bisector(t: Things, slots: Bound) -> None:
    """A line is the perpendicular bisector of a span: it is perpendicular to it, and goes through its midpoint."""
    line, span = t.straight(slots["x"]), t.span(slots["y"])
    t.make("are_perpendicular", a=line, b=span)
    middle = t.b.make("midpoint", {"span": span}, hidden=True)
    t.make("lies_on_line", point=(middle,), path=line)


@says
def is_named(t: Things, slots: Bound) -> None:
    """ "Is X the centroid of ABC": the same place as it."""
    node = slots["y"]
    if not isinstance(node, Described) or node.head not in (
        "centroid",
        "circumcentre",
        "incentre",
        "orthocentre",
        "centre",
        "foot",
        "intersection",
    ):
        raise Refusal("That is no claim that can be tried.")
    point = t.point(slots["x"])
    other = t.all_of(node)[0]
    if other == point:
        raise Refusal(f"{t.b.ahead.name(point)} was made so.")
    t.make("same_point", a=(point,), b=(other,))


@says
def same_distance(t: Things, slots: Bound) -> None:
    """A point is as far from each of two things, or two straight things are as far from a point."""
    one, node = slots["x"], slots["y"]
    if isinstance(one, Ref):
        drawn = [id for id in t.b.recent.ids if id in t.b.ahead and not t.b.ahead.step(id).look.hidden]
        lines = [id for id in drawn if t.b.kind(id) in STRAIGHTS][-2:]
        if one.word == "them" and len(lines) == 2 and drawn[-1] == lines[-1]:
            one = Many(tuple(Named(t.b.ahead.name(id)) for id in lines))
    if isinstance(one, Many) and not any(isinstance(item, Named) and len(item.points) == 1 for item in one.items):
        slots, one, node = {**slots, "x": node, "y": one}, node, one
    point = t.point(one)
    items = node.items if isinstance(node, Many) else node.names if isinstance(node, Described) else ()
    if len(items) < 2:
        raise Refusal("Of which two things?")
    if all(isinstance(item, Named) and len(item.points) == 1 for item in items):
        ids = [t.point(item) for item in items]
        for a, b in itertools.pairwise(ids):
            t.make("equal_values", statement=Formula("{0} = {1}", ((point, a), (point, b))))
        return
    readings = [t.b.make("distance", {"from": (point,), "to": one_line(t, t.straight(item))}) for item in items]
    for a, b in itertools.pairwise(readings):
        t.make("equal_values", statement=Formula("{0} = {1}", ((a,), (b,))))


#: How an angle that is said to be so compares with 90°.
_ANGLES = {"acute": "<", "obtuse": ">"}


@says
def shape(t: Things, slots: Bound) -> None:
    node = slots["x"]
    word = slots["w"]
    if word in _ANGLES and isinstance(node, Described) and node.head == "angle":
        corner = t.corner(node)
        order(t, "compared", comparison=Formula(f"angle({{0}}) {_ANGLES[word]} 90", (corner,)))
        return
    if isinstance(node, Ref) or node is None:
        polygon = t.b.only("polygon", t.b.of_kind(POLYGON))
    else:
        polygon = _polygon(t, node)
    if word in ORDERLY:
        order(t, "orderly", polygon=(polygon,), word=word)
        return
    corners = len(t.b.ahead.step(polygon).fills.get("corners", ()) or t.b.ahead.value(polygon) or ())
    if word in ("isosceles", "equilateral", "right-angled") and corners != 3:
        raise Refusal(f"Only a triangle is {word}.")
    t.make("is_shape", polygon=(polygon,), word=word)


def _polygon(t: Things, node: Node) -> str:
    if isinstance(node, Described) and node.head in ("triangle", "quadrilateral") and not node.names and not t.b.of_kind(POLYGON):
        return t.b.polygon(corners_of(t, node))
    return t.aside(lambda: t.polygon(node))


@says
def congruent(t: Things, slots: Bound) -> None:
    one, other = _two(t, slots)
    if _is_measure(one):
        equal(t, slots)
        return
    t.make("are_congruent", a=(_polygon(t, one),), b=(_polygon(t, other),))


def _is_measure(node: Node) -> bool:
    return (isinstance(node, Described) and node.head in ("angle", "side", "segment", "length")) or (
        isinstance(node, Named) and len(node.points) == 2
    )


@says
def similar(t: Things, slots: Bound) -> None:
    one, other = _two(t, slots)
    t.make("are_similar", a=(_polygon(t, one),), b=(_polygon(t, other),))


@says
def tangent(t: Things, slots: Bound) -> None:
    one, other = _two(t, slots)
    a, b = t.path(one), t.path(other)
    t.make("are_tangent", a=a, b=b)


def term(t: Things, node: Node, places: list[tuple[str, ...]]) -> str:
    """A side of an equation as a part of a statement: lengths, angles, numbers, sums of them."""
    if isinstance(node, Amount):
        text = node.text
        factor, star, name = text.partition(" * ")
        if star:
            return f"{factor} * {term(t, Named(name, tuple(name) if name.isupper() and len(name) == 2 else ()), places)}"
        value = number_said(t, node)
        if isinstance(value, float):
            return f"{value:g}"
        return _place(value, places)
    if isinstance(node, Named):
        ids = t.b.ahead.ids_named(node.text)
        if ids and t.b.kind(ids[0]) == NUMBER:
            return _place((ids[0],), places)
        if len(node.points) == 2:
            return _place(t.b.points(node.points), places)
        if ids and t.b.kind(ids[0]) in ("segment", "vector"):
            step = t.b.ahead.step(ids[0])
            if step.does in ("segment", "vector"):
                return _place((*step.fills["from"], *step.fills["to"]), places)
        raise Refusal(f"{node.text} is no length, angle or number.")
    if t.is_supposing and isinstance(node, Described) and node.head == "angle":
        # It is not drawn for being supposed something of.
        return f"angle({_place(t.corner(node), places)})"
    if isinstance(node, Described) and node.head == "sum" and (of := node.role("of")) is not None:
        items: list[Node] = list(of.items) if isinstance(of, Many) else []
        if isinstance(of, Described) and of.head == "angle" and len(of.names) > 1:
            items = [Described("angle", names=(name,)) for name in of.names]
        if isinstance(of, Described) and not items:
            ids_ = t.aside(lambda: measured(t, of))
            return "(" + " + ".join(_place((id,), places) for id in ids_) + ")"
        if isinstance(of, Many) and isinstance(of.items[0], Described) and of.items[0].head == "angle":
            items = [item if not isinstance(item, Named) else Described("angle", names=(item,)) for item in items]
        return "(" + " + ".join(term(t, item, places) for item in items) + ")"
    found = t.aside(lambda: measured(t, node))
    if len(found) != 1:
        raise Refusal("One length or angle is needed on each side.")
    return _place((found[0],), places)


def _place(operand: tuple[str, ...], places: list[tuple[str, ...]]) -> str:
    if operand not in places:
        places.append(operand)
    return f"{{{places.index(operand)}}}"


def statement(t: Things, left: str, right: str, places: list[tuple[str, ...]]) -> None:
    t.make("equal_values", statement=Formula(f"{left} = {right}", tuple(places)))


@says
def equal(t: Things, slots: Bound) -> None:
    """Lengths, angles or numbers are equal."""
    places: list[tuple[str, ...]] = []
    if "v" in slots:
        one: Node | None = slots.get("x")
        other: Node | None = slots["v"]
    elif "k" in slots:
        if not isinstance(slots["k"], Amount):
            raise Refusal("How often?")
        left = term(t, slots["x"], places)
        right = term(t, slots["y"], places)
        statement(t, left, f"{number_said(t, slots['k']):g} * {right}", places)
        return
    else:
        one, other = slots.get("x", slots.get("x1")), slots.get("y")
    if other is None:
        ids = _said_together(t, one)
        if isinstance(one, Many) and not ids:
            left, *rest = [term(t, item, places) for item in one.items]
            for right in rest:
                statement(t, left, right, places)
            return
        for a, b in itertools.pairwise(ids):
            statement(t, "{0}", "{1}", [(a,), (b,)])
        return
    if isinstance(one, Described) and one.plural and not one.names and isinstance(other, Amount) and "add-up-to" in slots.get("words", ()):
        found = t.aside(lambda: measured(t, one))
        places = [(id,) for id in found]
        statement(t, " + ".join(f"{{{n}}}" for n in range(len(found))), f"{number_said(t, other):g}", places)
        return
    assert one is not None
    if isinstance(one, Named) and len(one.points) == 1 and isinstance(other, Named) and len(other.points) == 1:
        t.make("same_point", a=(t.point(one),), b=(t.point(other),))
        return
    if isinstance(one, Described) and one.head == "angle" and isinstance(other, Named) and len(other.points) == 3:
        other = Described("angle", names=(other,))
    left = term(t, one, places)
    right = term(t, other, places)
    if isinstance(one, Described) and one.head in ("second",):
        raise Refusal("Which two?")
    statement(t, left, right, places)


def _said_together(t: Things, node: Node | None) -> list[str]:
    """The readings that "they" are, or those of several things said in a plural."""
    if node is None or isinstance(node, Ref):
        found = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) == NUMBER]
        if len(found) < 2:
            raise Refusal("Which two are meant?")
        return found[-2:]
    if isinstance(node, Described) and node.plural:
        if len(node.names) > 1:
            return t.aside(lambda: [id for name in node.names for id in measured(t, Described(node.head, names=(name,)))])
        return t.aside(lambda: measured(t, node))
    return []


@says
def product(t: Things, slots: Bound) -> None:
    """AX · XB = CX · XD."""
    places: list[tuple[str, ...]] = []
    a, b, c, d = (term(t, slots[slot], places) for slot in ("x", "y", "z", "w2"))
    statement(t, f"{a} * {b}", f"{c} * {d}", places)


__all__ = ["CIRCLE", "POINT", "claim"]
