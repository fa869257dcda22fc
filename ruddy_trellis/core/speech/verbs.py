"""What clauses do: a function for each verb, of the things and of what fills the slots of its clause. Raises Refusal where it cannot be."""

from __future__ import annotations

import itertools
import re
from collections.abc import Callable
from dataclasses import replace
from typing import Any

from ..edits.models import Delete, LookChanges, Move, Rename, Restyle
from ..kinds import CIRCLE, LINE, NUMBER, POINT, POLYGON, STRAIGHTS, WORDS_ON_BOARD, with_article, word
from ..language import names as spelling
from ..language.expression import read_formula
from ..language.filling import operand, plain_statement
from ..language.words import read_words
from ..refusal import Refusal
from . import claims, regions
from .building import Final
from .clauses import Bound, with_roles
from .english import WAYS, words
from .images import KIND_OF, _images_under, imaged, mapped
from .phrases import Amount, Described, Many, Named, Node, Quoted, Ref, Where
from .points import _crossing_of, _free_place, _through, beyond_ray, centre_of, corners_of, divided, mark_on, spans_of, where_they_meet
from .readings import _READS, measured
from .shapes import _COUNTS
from .straights import _between, _from_to, span_of_length
from .things import KINDS_OF, Things

Verb = Callable[[Things, Bound], None]
VERBS: dict[str, Verb] = {}
#: Verbs that draw: what they name and is not there is made.
DRAWING = words(
    """
    fraction sized so_drawn lies_so define name meets join produce bisect divide point_by_ratio point_by_length transform inscribe
    circumscribe locus draw where_meet dial
    """
)


def verb(function: Verb) -> Verb:
    VERBS[function.__name__] = function
    return function


def _names_of(t: Things, node: Node) -> list[str]:
    """The names that a phrase gives, one for each thing: M; D, E and F; MN where two things are named."""
    items = node.items if isinstance(node, Many) else (node,)
    found = []
    for item in items:
        if not isinstance(item, Named):
            raise Refusal("A name is needed here.")
        found.append(spelling.tidy(item.text) if not item.points or len(item.points) == 1 else "".join(item.points))
    return found


def _points_in(node: Node) -> list[str]:
    items = node.items if isinstance(node, Many) else (node,)
    return [point for item in items if isinstance(item, Named) for point in (item.points or (item.text,))]


def _all_there(t: Things, node: Node) -> bool:
    items = node.items if isinstance(node, Many) else (node,)
    return all(
        isinstance(item, Named) and (t.b.has(item.text) or (bool(item.points) and all(t.b.has(point) for point in item.points)))
        for item in items
    )


def _none_there(t: Things, names: list[str]) -> None:
    for name in names:
        if t.b.has(name) or t.b.has(t.b.free_name(name, POINT)):
            raise Refusal(f"{name} is there already. What is said of it is a claim, or choose another name.")


@verb
def define(t: Things, bound: Bound) -> None:
    """A name for what is made: "let M be the midpoint of AB", "D, E and F are the midpoints of …", "ABC is a triangle"."""
    node, what = bound["n"], bound["y"]
    if "facts" in bound:
        what = _with_facts(what, bound["facts"])
    if isinstance(what, (Named, Amount, Quoted)) and not (isinstance(what, Named) and what.at is not None):
        raise Refusal("That is a claim, or sets a value.")
    if isinstance(what, Described) and what.head in _WITH_ENDS and isinstance(node, Many) and not what.names:
        pairs = [item for item in node.items if isinstance(item, Named) and len(item.points) == 2]
        if len(pairs) == len(node.items):
            _none_there(t, [item.text for item in pairs])
            t.described(replace(what, names=tuple(pairs), kind="new"))
            return
    if isinstance(what, Described) and what.head in _WITH_ENDS and isinstance(node, Named) and len(node.points) == 2 and not what.names:
        _none_there(t, [node.text])
        t.described(replace(what, names=(node,), kind="new"))
        return
    if _is_shape(what) or (
        isinstance(what, Described)
        and what.head in ("segment", "line", "ray", "vector", "chord", "diameter", "radius", "side", "angle")
        and isinstance(node, Named)
        and len(node.points) == 2
    ):
        _define_by_corners(t, node, what)
        return
    if isinstance(what, Described) and what.head == "point":
        _define_points(t, node, what)
        return
    names = _names_of(t, node)
    if len(names) == 1 and isinstance(node, Named) and len(node.points) > 1 and _is_plural(what):
        names = list(node.points)
    _none_there(t, names)
    _make_named(t, names, what)


#: Lines of figures that are named by their two ends, of which the second may be made by them.
_WITH_ENDS = words(
    """
    median altitude bisector angle-bisector perpendicular parallel tangent
    """
)


@verb
def so_drawn(t: Things, bound: Bound) -> None:
    """ "CF is perpendicular to AB", "BE bisects angle B", where an end is not there: it is made so."""
    node = bound["n"]
    if not isinstance(node, Named) or len(node.points) != 2 or sum(t.b.has(point) for point in node.points) != 1:
        raise Refusal("That is a claim.")
    if "x" in bound:
        what = bound["x"]
        if not (isinstance(what, Described) and what.head == "angle"):
            raise Refusal("That is a claim.")
        t.described(Described("bisector", names=(node,), roles=(("of", what),), kind="new"))
        return
    role = "perpendicular" if "perpendicular" in bound["words"] else "parallel"
    t.described(Described("line", names=(node,), roles=((role, bound["y"]),), kind="new"))


@verb
def lies_so(t: Things, bound: Bound) -> None:
    """ "with D on BC": D rides on it; or it is made so that it lies there, and this says it."""
    names = _points_in(bound["n"])
    there = [t.b.has(name) for name in names]
    if not any(there):
        t.names = names
        t.described(Described("point", roles=(("on", bound["y"]),), count=len(names), kind="new"))
        return
    if not all(there) or any(t.b.point(name) in t.b.board for name in names):
        raise Refusal("That is a claim.")
    path = t.path(bound["y"])
    for name in names:
        if not _is_on(t, t.b.point(name), path):
            raise Refusal(f"{name} does not lie there.")


def _is_on(t: Things, point: str, path: tuple[str, ...]) -> bool:
    """Whether a point is on a path now: on the line through two points, on a circle."""
    x, y = t.b.ahead.value(point)[:2]
    if len(path) == 1 and t.b.kind(path[0]) == CIRCLE:
        cx, cy, rr = t.b.ahead.value(path[0])[:3]
        return bool(abs((x - cx) ** 2 + (y - cy) ** 2 - rr) < 1e-6 * (1 + rr))
    px, py, dx, dy = _through(t, path)
    return bool(abs(dx * (y - py) - dy * (x - px)) < 1e-6 * (1 + dx * dx + dy * dy))


def _is_shape(node: Node) -> bool:
    return isinstance(node, Described) and node.head in _COUNTS


def _is_plural(node: Node) -> bool:
    if isinstance(node, Many):
        return True
    return (isinstance(node, Described) and (node.plural or any(isinstance(part, Many) for _, part in node.roles))) or isinstance(
        node, Where
    )


def _with_facts(node: Node, facts: Node) -> Node:
    if not isinstance(node, Described):
        raise Refusal("Facts are said of a shape.")
    return node.with_role("facts", facts)


def _define_by_corners(t: Things, node: Node, what: Node) -> None:
    """ "ABCD is a square", "AB is a diameter of k"."""
    assert isinstance(what, Described)
    if not isinstance(node, Named):
        what = _once(t, what)
        for item in node.items if isinstance(node, Many) else ():
            _define_by_corners(t, item, replace(what, plural=False, count=None))
        return
    if _all_there(t, node) and (
        (len(node.points) > 2 and t.b.has(node.text))
        or (len(node.points) > 2 and what.head not in ("triangle", "quadrilateral", "polygon", "pentagon", "hexagon"))
    ):
        raise Refusal(f"{node.text} is there already; whether it is so is a claim.")
    if not node.points:
        _none_there(t, [node.text])
        _make_named(t, [node.text], what)
        return
    t.described(replace(what, names=(node,), kind="new"))


def _once(t: Things, what: Described) -> Described:
    """A description in which a circle that is to be made, and that several things share, is made once."""
    for number, (role, part) in enumerate(what.roles):
        if role in ("of", "in", "on") and isinstance(part, Described) and part.head == "circle" and part.kind == "new":
            (circle,) = t.aside(lambda part=part: t.all_of(part))  # type: ignore[misc]
            return replace(what, roles=(*what.roles[:number], (role, Named(t.b.ahead.name(circle))), *what.roles[number + 1 :]))
    return what


def _define_points(t: Things, node: Node, what: Described) -> None:
    names = _points_in(node)
    _none_there(t, names)
    if isinstance(node, Named) and len(node.points) > 1:
        raise Refusal("Name the points one by one: A, B and C.")
    if not what.roles:
        t.b.points([t.b.free_name(name, POINT) for name in names])
        return
    _make_named(t, names, replace(what, count=len(names)))


def _make_named(t: Things, names: list[str], what: Node) -> None:
    """Make what a phrase describes, with names for it; all of them have to be used."""
    if isinstance(what, Many):
        if len(what.items) != len(names):
            raise Refusal("There are not as many names as things.")
        for name, item in zip(names, what.items):
            _make_named(t, [name], item)
        return
    t.names = list(names)
    if isinstance(what, Where):
        found = where_they_meet(t, what)
    elif isinstance(what, Described) and not what.names and not what.roles and what.kind == "old" and t._there(what):
        found = t._there(what) or []
        if len(found) == len(names):
            t.names = []
            for id, name in zip(found, names):
                _rename(t, id, name)
    else:
        found = t.made(what) if isinstance(what, Described) else t.all_of(what)
    if t.names and len(found) == 1 and len(t.names) == len(names) == 1:
        name = t.names.pop()
        _rename(t, found[0], name)
    if t.names:
        left, t.names = t.names, []
        raise Refusal(f"There is nothing to be called {', '.join(left)}.")
    t.b.recent.note(found)


def _rename(t: Things, id: str, name: str) -> None:
    """Give a thing another name: one that was just made is made with it."""
    name = spelling.check_new_name(t.b.free_name(name, t.b.kind(id)))
    if t.b.ahead.name(id) == name:
        return
    if t.b.has(name):
        raise Refusal(f"{name} is there already.")
    if not t.b.rename_new(id, name):
        t.b.act(Rename(id=id, name=name))


@verb
def name(t: Things, bound: Bound) -> None:
    """ "call the midpoint of AC K", "the midpoint of AB: M", "label its foot E"."""
    what, node = bound.get("y"), bound["n"]
    names = _names_of(t, node)
    if what is None or isinstance(what, Ref):
        found = [id for id in t.b.recent.ids if id in t.b.ahead]
        fresh = [id for id in found if id not in t.b.board and t.b.kind(id) != NUMBER] or found
        if not fresh:
            raise Refusal("Nothing was spoken of that could be called so.")
        for id, one in zip(fresh[-len(names) :], names):
            _rename(t, id, one)
        return
    if isinstance(what, Named) and len(names) == 1:
        if not _all_there(t, what):
            raise Refusal(f"Nothing here is called {what.text}.")
        _rename(t, t.named_thing(what), names[0])
        return
    items = node.items if isinstance(node, Many) else (node,)
    if len(items) > 1 and any(len(getattr(item, "points", ())) > 1 for item in items):
        raise Refusal("That is no name for a thing.")
    if isinstance(what, Described) and what.head in ("label", "angle"):
        raise Refusal("That is no name for a thing.")
    if isinstance(node, Named) and len(node.points) > 1:
        if not _is_plural(what):
            raise Refusal("One thing gets one name.")
        names = list(node.points)
    if isinstance(what, Described) and what.head == "point" and not what.roles and not what.names and what.kind == "old":
        try:
            _rename(t, t.b.only("point", [id for id in t.b.of_kind(POINT) if id not in t.b.board]), names[0])
            return
        except Refusal:
            pass
    _none_there(t, names)
    _make_named(t, names, what)


@verb
def meets(t: Things, bound: Bound) -> None:
    """ "l and m meet at X", "PA meets k again at B", ", meeting BC at D"."""
    again = "again" in bound.get("words", ()) or "second" in bound.get("words", ())
    touching = "touches" in bound.get("words", ())
    names = [t.b.free_name(name, POINT) for name in _points_in(bound["n"])] if "n" in bound else []
    one, other = bound.get("x"), bound.get("y")
    if touching and one is None:
        lines = [id for id in t.b.recent.ids if id in t.b.last_group and t.b.ahead.step(id).does == "tangent_from"]
        for id, point in zip(lines, names):
            fills = t.b.ahead.step(id).fills
            t.b.make("touching_point", {"point": fills["point"], "curve": fills["circle"], "which": fills.get("which", "first")}, point)
        if not lines or len(lines) != len(names):
            raise Refusal("What touches what, and where?")
        return
    if other is None and (one is None or isinstance(one, Ref)):
        one, other = _last_two(t)
    if one is None:
        one = Named(t.b.ahead.name(_last_drawn(t)))
    if isinstance(one, Ref):
        one = Named(t.b.ahead.name(_last_drawn(t)))
    if isinstance(other, Ref):
        other = Named(t.b.ahead.name(_last_drawn(t, besides=getattr(one, "text", ""))))
    if touching:
        _touching(t, one, other, names)
        return
    if not names:
        t.all_of(Where(one, other, again))
        return
    there = [name for name in names if t.b.has(name)]
    if there and all(_lies_on(t, name, one, other) for name in names):
        return
    if there:
        raise Refusal(f"{there[0]} is there already; whether they meet there is a claim.")
    t.names = [t.b.free_name(name, POINT) for name in names]
    if "n2" in bound:
        assert other is not None
        for what, to in ((other, bound["n"]), (bound["z"], bound["n2"])):
            points = _points_in(to)
            if len(points) != 1:
                raise Refusal("One point for each of the two.")
            t.names = [t.b.free_name(points[0], POINT)]
            where_they_meet(t, Where(one, what, again))
        return
    if len(names) > 1 and isinstance(one, Described) and one.plural and other is not None and not one.names:
        lines = t.aside(lambda: t.all_of(one))
        if len(lines) == len(names):
            for name, line in zip(names, lines, strict=True):
                t.names = [name]
                where_they_meet(t, Where(Named(t.b.ahead.name(line)), other, again))
            return
    if len(names) > 1 and isinstance(other, Many):
        t.names = []
        if len(other.items) != len(names):
            raise Refusal("There are not as many points as things that are met.")
        for name, item in zip(names, other.items):
            t.names = [name]
            where_they_meet(t, Where(one, item, again))
        return
    found = where_they_meet(t, Where(one, other, again))
    if t.names:
        t.names = []
        raise Refusal("They do not meet so often.")
    t.b.recent.note(found)


def _lies_on(t: Things, name: str, one: Node | None, other: Node | None) -> bool:
    """Whether a point that this sentence has made is where two things meet: then nothing is left to be done."""
    if not t.b.has(name) or t.b.point(name) in t.b.board:
        return False
    mark = t.b.mark()
    point = t.b.point(name)
    waiting, t.names = t.names, []
    try:
        found = where_they_meet(t, Where(one, other)) if one is not None else []
        here = t.b.ahead.value(point)
        near = [t.b.ahead.value(id) for id in found]
        return any(value is not None and abs(value[0] - here[0]) + abs(value[1] - here[1]) < 1e-6 for value in near)
    except Refusal:
        return False
    finally:
        t.b.back_to(mark)
        t.names = waiting


def _touching(t: Things, one: Node | None, other: Node | None, names: list[str]) -> None:
    """Where an incircle touches sides, where tangents from a point touch a circle."""
    b = t.b
    assert one is not None and other is not None
    found = t.aside(lambda: t.all_of(one))
    if all(b.kind(id) == CIRCLE for id in found):
        circle = found[0]
        lines = [t.aside(lambda item=item: t.straight(item)) for item in (other.items if isinstance(other, Many) else (other,))]  # type: ignore[misc]
        if len(lines) != len(names):
            raise Refusal("There are not as many points as lines that are touched.")
        step = b.ahead.step(circle)
        centre = (
            b.make("incentre", {"triangle": step.fills["triangle"]}, hidden=not _is_shown(t, "incentre", step.fills["triangle"]))
            if step.does == "incircle"
            else centre_of(t, circle)
        )
        for name, line in zip(names, lines):
            b.make("foot", {"point": (centre,), "base": line}, name)
        return
    if all(b.ahead.step(id).does == "tangent_from" for id in found) and len(found) == len(names):
        for id, name in zip(found, names):
            fills = b.ahead.step(id).fills
            b.make("touching_point", {"point": fills["point"], "curve": fills["circle"], "which": fills.get("which", "first")}, name)
        return
    raise Refusal("Say which circle touches which lines, and where.")


def _is_shown(t: Things, key: str, triangle: Any) -> bool:
    return any(not t.b.ahead.step(id).look.hidden for id in t.b.ahead.alike(key, {"triangle": triangle}))


def _last_drawn(t: Things, besides: str = "") -> str:
    """The straight thing or circle that was made or spoken of last."""
    found = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in (*STRAIGHTS, CIRCLE) and not t.b.ahead.step(id).look.hidden]
    found = [id for id in found if t.b.ahead.name(id) != besides]
    if not found:
        raise Refusal("What meets it? Name both.")
    return found[-1]


def _last_two(t: Things) -> tuple[Node, Node]:
    found = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in (*STRAIGHTS, CIRCLE) and not t.b.ahead.step(id).look.hidden]
    if len(found) < 2:
        raise Refusal("Two things are needed that meet.")
    return Named(t.b.ahead.name(found[-2])), Named(t.b.ahead.name(found[-1]))


@verb
def where_meet(t: Things, bound: Bound) -> None:
    again = "again" in bound.get("words", ())
    one, other = bound.get("x"), bound.get("y")
    if one is None and isinstance(other, (Named, Where)):
        raise Refusal("Where what meets what?")
    if one is None:
        assert other is not None
        t.all_of(other)
        return
    if other is None and isinstance(one, Ref):
        one, other = _last_two(t)
    if other is None and not isinstance(one, (Described, Many)):
        raise Refusal("Two things are needed that meet.")
    where_they_meet(t, Where(one, other, again))


@verb
def join(t: Things, bound: Bound) -> None:
    """ "join AB, BC and CA", "join A to the midpoint of BC", "join the midpoints in order"."""
    one, other, to = bound["x"], bound.get("y"), bound.get("z")
    if to is not None or "in-order" in bound.get("words", ()):
        if to is not None and not _is_shape(to):
            raise Refusal("Joined to what? Say: join A to B.")
        points = t.points(one)
        if to is not None and isinstance(to, Described) and to.head == "triangle" and len(points) != 3:
            raise Refusal("A triangle has three corners.")
        if len(points) == 2:
            raise Refusal("A shape has at least three corners.")
        t.b.polygon(points)
        return
    if other is not None:
        if isinstance(one, Described) and one.head == "corner" and isinstance(other, Described) and other.head == "midpoint":
            for corner in corners_of(t, one.role("of")):
                t.described(Described("median", roles=(("from", Named(t.b.ahead.name(corner), (t.b.ahead.name(corner),))),)))
            return
        _from_to(t, "segment", one, other)
        return
    if isinstance(one, Many) and len(one.items) > 2 and all(isinstance(item, Named) and len(item.points) == 1 for item in one.items):
        points = t.points(one)
        for a, b in itertools.pairwise(points):
            _between(t, "segment", (a, b))
        return
    if isinstance(one, Named) and len(one.points) > 2:
        if " " in one.text and len(one.points) == 4:
            for span in spans_of(t, one):
                _between(t, "segment", span)
            return
        t.b.polygon(t.b.points(one.points))
        return
    several = isinstance(one, Described) and one.plural and one.head in _POINTS
    if isinstance(one, Ref) or (several and isinstance(one, Described)):
        if isinstance(one, Ref) or (not one.roles and not one.names):
            points = _lately_points(t, one.count if isinstance(one, Described) else None)
        else:
            points = t.points(one)
        if len(points) == 2:
            _between(t, "segment", (points[0], points[1]))
            return
        if len(points) > 2:
            t.b.polygon(points)
            return
        raise Refusal("Which points are to be joined?")
    if isinstance(one, Many) and len(one.items) == 2 and not any(isinstance(item, Named) and len(item.points) != 1 for item in one.items):
        a, b = t.points(one)
        _between(t, "segment", (a, b))
        return
    for span in spans_of(t, one):
        _between(t, "segment", span)


#: Nouns for points, of which several are joined to one another.
_POINTS = words("point image midpoint contact foot corner centre")


def _lately_points(t: Things, count: int | None) -> list[str]:
    """The points that were made last in one go."""
    found = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) == POINT and id not in t.b.board]
    last = [id for id in found if id in t.b.last_group] or found
    if count:
        return found[-count:]
    return last


@verb
def produce(t: Things, bound: Bound) -> None:
    """ "produce AB to C so that BC = AB", "extend BC to meet l at D"."""
    b = t.b
    span = t.span(bound["x1"])
    if len(span) == 1:
        step = b.ahead.step(span[0])
        span = (*step.fills.get("from", ()), *step.fills.get("to", ()))
    if len(span) != 2:
        raise Refusal("What is produced is named by its two ends: produce AB to C.")
    beyond = bound.get("z")
    if beyond is not None:
        end = t.point(beyond)
        if end not in span:
            raise Refusal(f"{b.ahead.name(end)} is no end of it.")
        if span[1] != end:
            span = (span[1], span[0])
    names = _points_in(bound["n"]) if "n" in bound else []
    other = bound.get("y")
    if other is not None and "v" not in bound and "meets" in bound.get("words", ()):
        line = b.make("line", {"from": span[:1], "to": span[1:]}, hidden=True)
        t.names = names
        ways = where_they_meet(t, Where(Named(b.ahead.name(line)), other, "again" in bound.get("words", ())))
        t.names = []
        _between(t, "segment", (span[1], ways[0]))
        return
    if names:
        _none_there(t, names)
        size = bound.get("v") or (other if other is not None else None)
        if "fact" in bound:
            size = _length_in_fact(t, bound["fact"], b.ahead.name(span[1]), names[0])
        if size is None:
            end = b.make("point_on", {"path": (beyond_ray(t, span),), "place": 0.5}, names[0])
        else:
            mirrored = _same_span(t, size, span)
            if mirrored:
                half_turn = b.make("point_reflection", {"centre": span[1:]}, hidden=True)
                end = b.make("image_point", {"of": span[:1], "by": (half_turn,)}, names[0])
            else:
                end = _beyond(t, span, t.length(size), names[0])
        _between(t, "segment", (span[1], end))
        return
    b.make("line", {"from": span[:1], "to": span[1:]})


def _same_span(t: Things, size: Node, span: tuple[str, ...]) -> bool:
    return (
        isinstance(size, Named)
        and len(size.points) == 2
        and all(t.b.has(p) for p in size.points)
        and set(t.b.points(size.points)) == set(span)
    )


def _length_in_fact(t: Things, facts: Node, start: str, new: str) -> Node:
    """The length of the new part in a fact such as BC = AB."""
    items = facts.items if isinstance(facts, Many) else (facts,)
    if len(items) == 1 and isinstance(items[0], Described) and items[0].extra == ("equal",):
        one, other = items[0].names
        for part, size in ((one, other), (other, one)):
            if isinstance(part, Named) and set(part.points) == {start, new}:
                return size
    raise Refusal(f"Say how long the new part is, such as {start}{new} = 3.")


def _beyond(t: Things, span: tuple[str, ...], size: Any, name: str) -> str:
    """A point beyond the second end of a span, at a length from it."""
    b = t.b
    half_turn = b.make("point_reflection", {"centre": span[1:]}, hidden=True)
    far = b.make("image_point", {"of": span[:1], "by": (half_turn,)}, hidden=True)
    return b.make("point_towards", {"distance": size, "from": span[1:], "to": (far,)}, name)


@verb
def bisect(t: Things, bound: Bound) -> None:
    """ "bisect AB at M": its midpoint; "bisect angle A": its bisector; "bisect AB": its perpendicular bisector."""
    node = bound["x"]
    names = _points_in(bound["n"]) if "n" in bound else []
    for item in node.items if isinstance(node, Many) else (node,):
        if (isinstance(item, Described) and item.head == "angle") or (isinstance(item, Named) and len(item.points) in (1, 3)):
            if isinstance(item, Described) and item.head == "angle" and item.plural and (len(item.names) > 1 or not item.names):
                t.described(Described("bisector", roles=(("of", item),), plural=True))
                continue
            if names:
                raise Refusal("An angle is bisected by a line, which has no one point.")
            t.described(Described("bisector", roles=(("of", item),), kind="new"))
        else:
            span = t.span(item)
            if names:
                t.names = [names.pop(0)]
                t.make("midpoint", span=span)
            else:
                t.make("perpendicular_bisector", span=span)


@verb
def divide(t: Things, bound: Bound) -> None:
    span = t.span(bound["x"]) if not _is_circle(t, bound["x"]) else ()
    names = _points_in(bound["n"]) if "n" in bound else []
    t.names = list(names)
    if not span:
        _divide_circle(t, bound)
        return
    if "w" in bound:
        first, second = (t.number(bound[slot]) for slot in ("v", "w"))
        if "external" in bound.get("words", ()) or "externally" in bound.get("words", ()):
            second = -second if isinstance(second, float) else second
        t.make("dividing", span=span, first=first, second=second)
        return
    parts = t.number(bound["v"]) if "v" in bound else 3.0
    if not isinstance(parts, float) or parts != int(parts):
        raise Refusal("Into how many parts? Say: divide AB into 5 equal parts.")
    divided(t, span, int(parts))


def _is_circle(t: Things, node: Node) -> bool:
    return (isinstance(node, Described) and node.head == "circle") or (
        isinstance(node, Named) and bool(ids := t.b.ahead.ids_named(node.text)) and t.b.kind(ids[0]) == CIRCLE
    )


def _divide_circle(t: Things, bound: Bound) -> None:
    """The points that divide a circle into equal parts, the first where there is one on it."""
    parts = t.number(bound["v"]) if "v" in bound else 3.0
    if not isinstance(parts, float) or not 2 <= parts <= 36:
        raise Refusal("A circle is divided into 2 to 36 parts.")
    circle = t.round(bound["x"])
    centre = centre_of(t, circle)
    on = t.b.points_on(circle)
    first = on[0] if on else t.b.make("point_on", {"path": (circle,)})
    for number in range(1, int(parts)):
        t.make("turned", point=(first,), centre=(centre,), angle=360.0 * number / parts)


@verb
def fraction(t: Things, bound: Bound) -> None:
    """ "one third of the way from A to B": a point at a share of a span."""
    share = t.number(bound["v"])
    span = t.span(bound["x"]) if "x" in bound else (t.point(bound["x1"]), t.point(bound["y1"]))
    if not isinstance(share, float) or share == 1:
        raise Refusal("Which part of the way?")
    t.names = _points_in(bound["n"]) if "n" in bound else []
    _none_there(t, t.names)
    # As small whole numbers where they are such, as it is said.
    whole = next((count for count in range(2, 21) if abs(share * count - round(share * count)) < 1e-9), 1)
    t.make("dividing", span=span, first=round(share * whole, 9), second=round((1 - share) * whole, 9))


@verb
def point_by_ratio(t: Things, bound: Bound) -> None:
    """ "the point on BC with BD : DC = 2 : 1", "the point of AB dividing it in the ratio 1 : 2"."""
    span = t.span(bound["x1"])
    names = _points_in(bound["n"])
    _none_there(t, names)
    first, second = (t.number(bound[slot]) for slot in ("v", "w"))
    if len(span) == 2 and "k" in bound:
        ends = [t.b.ahead.name(id) for id in span]
        one = bound["k"]
        if not isinstance(one, Named) or len(one.points) != 2:
            raise Refusal("The ratio is that of two parts, such as BD : DC.")
        if ends[0] not in one.points:
            span = (span[1], span[0])
    t.names = names
    t.make("dividing", span=span, first=first, second=second)


@verb
def point_by_length(t: Things, bound: Bound) -> None:
    """ "the point on AB with AP = 2", "a point C with CA = CB", "C so that ABC has a right angle at B"."""
    names = [t.b.free_name(name, POINT) for name in _points_in(bound["n"])]
    if len(names) != 1:
        raise Refusal("One point at a time.")
    _none_there(t, names)
    name = names[0]
    facts = bound["fact"]
    path = bound.get("x1")
    curves = []
    for fact in facts.items if isinstance(facts, Many) else (facts,):
        assert isinstance(fact, Described)
        found = _curve_of_fact(t, fact, name, path)
        if found is True:
            return
        curves.append(found)
    if path is not None:
        curves.insert(0, t.path(path))
    if len(curves) == 1:
        t.names = [name]
        t.make("point_on", path=curves[0], place=_free_place(t, curves[0]))
        return
    if len(curves) != 2:
        raise Refusal("That is more than fixes a point.")
    t.names = [name]
    _crossing_of(t, curves[0], curves[1], False)


def _curve_of_fact(t: Things, fact: Described, name: str, path: Node | None) -> Any:
    """On what a point lies of which a fact is said; True where the point was made by it."""
    b = t.b
    kind = fact.extra[0]
    if kind == "equilateral":
        corners = [point for point in getattr(fact.names[0], "points", ()) if point != name]
        t.described(Described("triangle", ("equilateral",), (fact.names[0],), (("on", Named("".join(corners), tuple(corners))),)))
        return True
    if kind == "shape":
        t.described(Described(fact.extra[1], names=(fact.names[0],), kind="new"))
        return True
    if kind == "right":
        at: tuple[str, ...] = getattr(fact.names[0], "points", ())
        triangle: tuple[str, ...] = getattr(fact.names[1], "points", ()) if len(fact.names) > 1 else at
        corner = at[1] if len(at) == 3 else at[0]
        others = [point for point in triangle if point not in (name, corner)]
        if corner == name:
            ends = b.points([point for point in triangle if point != name])
            return (b.make("circle_on_diameter", {"from": ends[:1], "to": ends[1:]}, hidden=True),)
        ends = b.points((corner, *others))
        return (b.make("perpendicular", {"base": ends[:2], "point": ends[:1]}, hidden=True),)
    if kind != "equal":
        raise Refusal("Say how far it is, such as AP = 2.")
    one, other = fact.names
    for part, size in ((one, other), (other, one)):
        if isinstance(part, Named) and name in part.points and len(part.points) == 2:
            known = next(point for point in part.points if point != name)
            start = b.point(known)
            if isinstance(size, Named) and name in size.points and len(size.points) == 2:
                return (
                    b.make(
                        "perpendicular_bisector",
                        {"span": b.points((known, next(point for point in size.points if point != name)))},
                        hidden=True,
                    ),
                )
            if isinstance(size, Amount) and f"{name}" in size.text and "*" in size.text:
                return _by_multiple(t, name, known, size, path)
            if path is not None:
                if (span := _ends_if_span(t, path)) is not None and start in span:
                    t.names = [name]
                    mark_on(t, path, start, t.aside(lambda size=size: t.length(size)))  # type: ignore[misc]
                    return True
            return (b.make("circle_radius", {"centre": (start,), "radius": t.aside(lambda size=size: t.length(size))}, hidden=True),)  # type: ignore[misc]
    raise Refusal(f"That says nothing of {name}.")


def _by_multiple(t: Things, name: str, known: str, size: Amount, path: Node | None) -> Any:
    """ "BD = 2 DC" on BC: the ratio of its parts."""
    factor, _, other = size.text.partition(" * ")
    ends = _ends_if_span(t, path) if path is not None else None
    end = other.replace(name, "")
    if ends is None or {t.b.ahead.name(id) for id in ends} != {known, end}:
        raise Refusal("That is more than fixes a point.")
    t.names = [name]
    t.make("dividing", span=t.b.points((known, end)), first=float(factor), second=1.0)
    return True


def _ends_if_span(t: Things, node: Node) -> tuple[str, ...] | None:
    try:
        span = t.span(node)
    except Refusal:
        return None
    if len(span) == 1:
        step = t.b.ahead.step(span[0])
        span = (*step.fills.get("from", ()), *step.fills.get("to", ()))
    return span if len(span) == 2 else None


@verb
def transform(t: Things, bound: Bound) -> None:
    """Reflect, turn, translate, enlarge: the images of what is named."""
    words = bound.get("words", ())
    what = bound.get("x1", bound.get("x"))
    if "apply" in words:
        how = bound["y"]
        if not isinstance(how, Described) or what is None:
            raise Refusal("Apply which transformation to what?")
        imaged(t, how.head, what, how) if how.head in KIND_OF.values() else t.described(
            Described("image", roles=(("of", what), ("under", how)))
        )
        return
    kind = next((KIND_OF[word] for word in words if word in KIND_OF), "enlargement" if "bigger" in words else "")
    if not kind:
        raise Refusal("How is it transformed?")
    how = bound["r"] if "r" in bound else Described(kind)
    if "place" in bound:
        how = how.with_role("by", Named("", (), bound["place"]))
    if "z" in bound:
        how = how.with_role("centre", bound["z"])
    if "steps" in bound:
        how = how.with_role("by", Named("", (), bound["steps"]))
    elif "v" in bound:
        how = how.with_role("angle" if kind == "rotation" else "factor", bound["v"])
    for way in ("clockwise", "anticlockwise"):
        if way in words:
            how = replace(how, extra=(*how.extra, way))
    how = replace(how, head=kind)
    if isinstance(what, Described) and what.role("about", "by", "from", "through", "in", "on") is not None and "r" not in bound:
        raise Refusal("What is transformed, and how?")
    assert what is not None
    if isinstance(what, Many) and all(isinstance(item, Named) for item in what.items):
        for item in what.items:
            imaged(t, kind, item, how)
        return
    if isinstance(what, Ref):
        ids = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in (POLYGON, CIRCLE, POINT, *STRAIGHTS)]
        shapes = [id for id in ids if t.b.kind(id) == POLYGON] or ids
        if not shapes:
            raise Refusal("What is to be transformed?")
        _images_under(t, shapes[-1:], mapped(t, kind, how))
        return
    imaged(t, kind, what, how)


@verb
def inscribe(t: Things, bound: Bound) -> None:
    what, where = bound["x1"], bound["y"]
    if isinstance(what, Described) and what.head == "circle":
        t.described(Described("incircle", roles=(("of", where),)))
        return
    if isinstance(what, Described):
        t.described(replace(what, kind="new").with_role("in", where if not isinstance(where, Ref) else Described("circle", kind="old")))
        return
    raise Refusal("What is inscribed in what?")


@verb
def circumscribe(t: Things, bound: Bound) -> None:
    what, about = bound.get("x1"), bound["y"]
    if what is not None and not (isinstance(what, Described) and what.head == "circle"):
        raise Refusal("Only circles are circumscribed here.")
    t.described(Described("circumcircle", roles=(("of", about),)))


@verb
def dial(t: Things, bound: Bound) -> None:
    roles = [("from", bound["v"]), ("to", bound["w"])]
    if "k" in bound:
        roles.append(("step", bound["k"]))
    adjectives = ("angle",) if "angle" in bound.get("words", ()) else ()
    names = (bound["n"],) if "n" in bound else ()
    t.described(Described("dial", adjectives, names, tuple(roles), kind="new"))


@verb
def draw(t: Things, bound: Bound) -> None:
    """Make what is described."""
    node = bound["x"]
    if "y" in bound:
        raise Refusal("That is no figure.")
    if "r" in bound:
        roles = bound["r"]
        roles = replace(roles, roles=tuple(_as_given(roles.roles)))
        node = with_roles(node, roles)
    if "facts" in bound:
        if isinstance(node, Named) and len(node.points) == 2:
            raise Refusal("Facts are said of a shape.")
        if isinstance(node, Named) and len(node.points) == 3:
            node = Described("triangle", names=(node,))
        node = _with_facts(node, bound["facts"])
    if isinstance(node, (Amount, Ref, Quoted)):
        raise Refusal("That is nothing to be drawn.")
    if isinstance(node, (Named, Many)) and not {"draw", "let"} & set(bound.get("words", ())) and "r" not in bound:
        items = node.items if isinstance(node, Many) else (node,)
        if all(isinstance(item, Named) and item.at is None and len(item.points) < 2 for item in items):
            raise Refusal("What is to be done with that?")
    if isinstance(node, Named) and not node.points and node.at is None:
        raise Refusal(f"What is {node.text}? Say: let {node.text} be a line.")
    if isinstance(node, Named) and len(node.points) == 1 and node.at is None and t.b.has(node.points[0]):
        raise Refusal(f"{node.text} is there already.")
    if isinstance(node, Many) and len(node.items) > 1 and all(isinstance(item, Named) and len(item.points) == 1 for item in node.items):
        if all(t.b.has(item.points[0]) for item in node.items if isinstance(item, Named)):
            raise Refusal("Those are there already. What is to be done with them?")
        t.points(node)
        return
    before = len(t.b.new)
    for item in node.items if isinstance(node, Many) else (node,):
        t.all_of(item)
    if len(t.b.new) == before and not t.b.acts:
        t.b.there = list(t.b.recent.ids[-1:])


def _as_given(roles: tuple[tuple[str, Node], ...]):
    """Parts before a verb as they are after it: "with centre A and radius AB"."""
    taken = {role for role, _ in roles}
    for role, part in roles:
        if role == "with" and "as_centre" not in taken and isinstance(part, Named) and len(part.points) == 1:
            yield "centre", part
        elif role in ("as_diameter", "as_centre", "as_base") and not isinstance(part, (Named, Described, Many)):
            continue
        else:
            yield role, part


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
    if "add" in words:
        node = bound["x"]
        t.described(Described("sum", roles=(("of", node),), kind="new"))
        return
    node = bound.get("m", bound.get("x"))
    if isinstance(node, Described) and node.head == "line" and node.role("from") is not None and "long" in words:
        t.described(Described("distance", roles=tuple((role, part) for role, part in node.roles if role in ("from", "to"))))
        return
    if isinstance(node, Many) and "far" in words:
        t.described(Described("distance", roles=(("between", node),)))
        return
    if isinstance(node, Ref) and not words:
        raise Refusal("What is to be measured?")
    assert node is not None
    if "draw" in words and not (isinstance(node, Described) and node.head in _READS):
        raise Refusal("That is drawn, not measured.")
    plain = set(words) & {"measure", "what", "how", "which", "required", "show", "beside", "find"}
    if not plain and isinstance(node, (Named, Many)):
        raise Refusal("What is to be done with that?")
    if isinstance(node, Described) and (
        _is_reading(node) if plain else node.head in _READS or (node.head == "radius" and node.role("of") is not None)
    ):
        measured(t, node)
        return
    if isinstance(node, (Named, Many, Ref)) or "long" in words or ("measure" in words and _was_typed(bound, "measure")):
        measured(t, node)
        return
    if isinstance(node, (Described, Where)) and plain:
        ids = t.all_of(node)
        if not any(t.b.kind(id) == POINT for id in ids) and "measure" in words and not any(id not in t.b.board for id in ids):
            measured(t, node)
        return
    raise Refusal("What is to be done with that?")


def _was_typed(bound: Bound, word: str) -> bool:
    return False


def _is_reading(node: Described) -> bool:
    return (
        node.head in _READS
        or (node.head in ("radius", "diameter") and not node.names)
        or node.head in ("side", "diagonal")
        or (node.head in ("side", "segment", "line", "chord") and bool(node.names))
    )


@verb
def conclude(t: Things, bound: Bound) -> None:
    does, slots = bound["claim"]
    claims.claim(t, does, slots)


# Acts: what is there is changed, nothing is made.


def existing(t: Things, node: Node) -> list[str]:
    """The ids of what a phrase speaks of; everything has to be there. Raises Refusal."""
    b = t.b
    before = len(b.ahead)
    try:
        ids = _existing(t, node)
    except Refusal:
        if isinstance(node, Described) and not node.names and not node.roles and node.head != "side":
            raise Refusal(f"There is no {node.head.replace('-', ' ')} here, or there are several: say it by its name.") from None
        raise
    if len(b.ahead) > before:
        raise Refusal(_not_there(node))
    return ids


def _not_there(node: Node) -> str:
    if isinstance(node, Described) and node.head in ("side",):
        return "A side has no look of its own and cannot be deleted alone. Draw a segment on it, or change the whole shape."
    return "That is not there. Say what is meant by its name, such as “line p” or “segment AB”."


def _existing(t: Things, node: Node) -> list[str]:
    b = t.b
    if isinstance(node, Many):
        return list(dict.fromkeys(id for item in node.items for id in _existing(t, item)))
    if isinstance(node, Named) and not b.ahead.ids_named(spelling.tidy(node.text)):
        if len(node.points) == 2:
            return [_drawn_between(t, node, STRAIGHTS)]
        if len(node.points) > 2:
            corners = set(b.points(node.points))
            for step in b.ahead.steps:
                if step.makes == POLYGON and set(step.fills.get("corners", ())) == corners:
                    return [step.id]
    if isinstance(node, Described):
        if node.head in ("side",):
            raise Refusal("A side has no look of its own and cannot be deleted alone. Draw a segment on it, or change the whole shape.")
        if node.head in ("line", "segment", "ray", "vector", "chord") and node.names and not node.roles:
            kinds = {"line": (LINE, "ray"), "segment": ("segment",), "chord": ("segment",), "ray": ("ray",), "vector": ("vector",)}[
                node.head
            ]
            found = []
            for item in node.names:
                if isinstance(item, Named) and len(item.points) == 2 and not b.ahead.ids_named(spelling.tidy(item.text)):
                    found.append(_drawn_between(t, item, kinds))
                else:
                    found += _existing_named(t, item, node.head)
            return found
        if (
            node.head in KINDS_OF
            and node.names
            and not node.roles
            and all(isinstance(item, Named) and not item.points for item in node.names)
        ):
            return [id for item in node.names for id in _existing_named(t, item, node.head)]
        if node.head == "point" and node.names:
            return [id for item in node.names for id in t.points(item)]
        if node.head in ("point", "line", "segment", "circle", "angle") and node.plural and not node.names and not node.roles:
            kinds_all = {"point": (POINT,), "line": STRAIGHTS, "segment": ("segment",), "circle": (CIRCLE,), "angle": (NUMBER,)}[node.head]
            found = b.of_kind(*kinds_all)
            if not found:
                raise Refusal(f"There is no {node.head} here.")
            return found
        if node.head == "region" or node.head == "places":
            return [b.only("region", b.of_kind("region", "condition"))]
    if isinstance(node, Ref) and t.selected:
        return list(t.selected)
    return t.aside(lambda: t.all_of(node))


def _existing_named(t: Things, node: Node, head: str) -> list[str]:
    if not isinstance(node, Named):
        raise Refusal("Say it by its name.")
    ids = t.b.ahead.ids_named(spelling.tidy(node.text))
    fitting = [id for id in ids if t.b.kind(id) in KINDS_OF.get(head, ())]
    if ids and not fitting:
        raise Refusal(f"{node.text} is {with_article(word(t.b.kind(ids[0])))}, not {with_article(head)}.")
    if not fitting:
        raise Refusal(f"There is no {head} called {node.text}.")
    return fitting[:1]


def _drawn_between(t: Things, node: Named, kinds: tuple[str, ...]) -> str:
    """What is drawn between two points: a segment, a line, a vector, or a line on which both lie."""
    b = t.b
    ends = b.points(node.points)
    found = [id for kind in kinds if (id := b.straight_between(*ends, kinds=(kind,))) is not None]
    for step in b.ahead.steps:
        if step.makes in kinds and step.id not in found and set(ends) <= set(b.points_on(step.id)):
            found.append(step.id)
    found = list(dict.fromkeys(found))
    if len(found) > 1:
        raise Refusal(f"Which is meant: {', '.join(b.ahead.name(id) for id in found)}?")
    if not found:
        what = "segment or line" if len(kinds) > 2 else kinds[0]
        raise Refusal(
            f"There is no {what} from {node.points[0]} to {node.points[1]}. A side of a shape has no look of its own: draw the segment, "
            "or change the whole shape."
        )
    return found[0]


@verb
def style(t: Things, bound: Bound) -> None:
    look: dict[str, Any] = {}
    if "x" not in bound:
        bound = {**bound, "x": Named(t.b.ahead.name(t.b.only("shape", t.b.of_kind(POLYGON, CIRCLE))))}
    if "c" in bound:
        look["pen"] = bound["c"]
    for slot in ("look", "look2"):
        if slot in bound:
            part, value = bound[slot]
            look[part] = value
    words = bound.get("words", ())
    for said, (part, value) in {"dash": ("pattern", "dashed"), "thicken": ("width", 3.4), "thin": ("width", 1.2)}.items():
        if said in words:
            look[part] = value
    if not look:
        raise Refusal("How is it to look?")
    t.b.act(Restyle(ids=existing(t, bound["x"]), look=LookChanges(**look)))


@verb
def shade(t: Things, bound: Bound) -> None:
    """Shade a shape, or the places where conditions hold."""
    if "cond" in bound:
        shape = bound.get("y")
        conditions = [id for one in bound["cond"] for id in _conditions(t, one)]
        if shape is not None:
            conditions.insert(0, regions.in_shape(t, "inside", shape))
        regions.region_of(t, conditions)
        return
    if "x" not in bound:
        found = t.b.of_kind("condition")
        if not found:
            raise Refusal("There are no conditions yet. Say: the places less than 5 m from A.")
        regions.region_of(t, found)
        return
    node = bound["x"]
    ids = existing(t, node)
    if any(t.b.kind(id) not in (CIRCLE, POLYGON, "sector", "chord_region", "arc") for id in ids):
        raise Refusal("Only shapes are shaded.")
    look: dict[str, Any] = {"fill": 0.25}
    if "c" in bound:
        look["pen"] = bound["c"]
    t.b.act(Restyle(ids=ids, look=LookChanges(**look)))


def _conditions(t: Things, one: tuple[str, Bound]) -> list[str]:
    does, slots = one
    if does == "both":
        return [*_conditions(t, slots["one"]), *_conditions(t, slots["other"])]
    if does == "far":
        return [regions.far_from(t, slots["bound"], slots["v"], slots["y"])]
    if does == "closer":
        return [regions.closer_to(t, slots["x"], slots["y"])]
    return [regions.in_shape(t, does, slots["y"])]


@verb
def locus(t: Things, bound: Bound) -> None:
    """ "the locus of points equidistant from A and B": the line or lines; "3 cm from P": the circle."""
    node = bound["x"]
    if "v" in bound:
        point = t.point(node)
        t.make("circle_radius", centre=(point,), radius=t.length(bound["v"]))
        return
    items = node.items if isinstance(node, Many) else node.names if isinstance(node, Described) else ()
    if (isinstance(node, Named) and len(node.points) == 2) or (
        len(items) == 2 and all(isinstance(item, Named) and len(item.points) == 1 for item in items)
    ):
        t.make("perpendicular_bisector", span=tuple(t.points(Many(tuple(items)))) if items else t.span(node))
        return
    if len(items) == 3:
        t.make("circumcentre", triangle=tuple(t.points(Many(tuple(items)))))
        return
    if len(items) != 2:
        raise Refusal("From which two things?")
    if isinstance(node, Many):
        try:
            t.make("angle_bisector", corner=t.corner(node))
            return
        except Refusal:
            pass
    a, b = (t.straight(item) for item in items)
    t.b.make_all("bisectors", {"a": a, "b": b})


@verb
def condition(t: Things, bound: Bound) -> None:
    """ "the hive must stand at least 4 m from T": the places where it may."""
    for one in bound["cond"]:
        _conditions(t, one)


@verb
def hide(t: Things, bound: Bound) -> None:
    if "everything" in bound.get("words", ()):
        keep = existing(t, bound["x"])
        kept = set(t.b.ahead.ancestors(keep)) | set(keep)
        if "delete" in bound.get("words", ()):
            raise Refusal("Say what is to be deleted.")
        ids = [step.id for step in t.b.ahead.steps if step.id not in kept and not step.look.hidden]
        if not ids:
            raise Refusal("There is nothing else.")
        t.b.act(Restyle(ids=ids, look=LookChanges(hidden=True)))
        return
    if "x" not in bound:
        raise Refusal("What is to be hidden?")
    node = bound["x"] if "y" not in bound else Many((bound["x"], bound["y"]))
    t.b.act(Restyle(ids=existing(t, node), look=LookChanges(hidden=True)))


@verb
def show(t: Things, bound: Bound) -> None:
    ids = existing(t, bound["x"])
    if not any(t.b.ahead.step(id).look.hidden for id in ids):
        raise Refusal("That is shown already.")
    t.b.act(Restyle(ids=ids, look=LookChanges(hidden=False)))


@verb
def delete(t: Things, bound: Bound) -> None:
    t.b.act(Delete(ids=existing(t, bound["x"])))


@verb
def rename(t: Things, bound: Bound) -> None:
    ids = existing(t, bound["x"])
    name = bound["q"].text if "q" in bound else _names_of(t, bound["n"])[0]
    if len(ids) != 1:
        raise Refusal("One thing at a time gets another name: rename A to Fountain.")
    t.b.act(Rename(id=ids[0], name=name))


@verb
def lock(t: Things, bound: Bound) -> None:
    t.b.act(Restyle(ids=existing(t, bound["x"]), look=LookChanges(locked=True)))


@verb
def unlock(t: Things, bound: Bound) -> None:
    t.b.act(Restyle(ids=existing(t, bound["x"]), look=LookChanges(locked=False)))


@verb
def label_on(t: Things, bound: Bound) -> None:
    """Show the name of what is there; an angle has its reading for a label."""
    if isinstance(bound["x"], Described) and bound["x"].head == "angle":
        t.described(bound["x"])
        return
    t.b.act(Restyle(ids=existing(t, bound["x"]), look=LookChanges(label=True)))


@verb
def trail(t: Things, bound: Bound) -> None:
    t.b.act(Restyle(ids=existing(t, bound["x"]), look=LookChanges(trail=0)))


@verb
def cover(t: Things, bound: Bound) -> None:
    ids = existing(t, bound["x"])
    if any(t.b.kind(id) not in (NUMBER, WORDS_ON_BOARD, "mark", "claim") for id in ids):
        raise Refusal("Only readings, words and marks are covered.")
    t.b.act(Restyle(ids=ids, look=LookChanges(cover=True)))


@verb
def write(t: Things, bound: Bound) -> None:
    quoted = bound["q"]
    text = read_words(f"“{quoted.text}”", lambda name: _reading(t, name))
    t.make("words", text=text)


def _reading(t: Things, name: str) -> tuple[str, ...]:
    found = [id for id in t.b.ahead.ids_named(spelling.tidy(name)) if t.b.kind(id) == NUMBER]
    if not found:
        raise Refusal(f"There is no reading called {name[:30]}.")
    return (found[0],)


@verb
def sized(t: Things, bound: Bound) -> None:
    """ "PQ = 6.5 cm", where P and Q are not both there: a segment of that length."""
    node = bound["n"]
    if not isinstance(node, Named) or len(node.points) != 2 or all(t.b.has(point) for point in node.points):
        raise Refusal("That is a claim.")
    span_of_length(t, node, bound["v"])


@verb
def set_dial(t: Things, bound: Bound) -> None:
    names = _names_of(t, bound["n"])
    ids = [id for id in t.b.ahead.ids_named(names[0]) if t.b.kind(id) == NUMBER and t.b.ahead.step(id).construction.moves == "turning"]
    if len(names) != 1 or not ids:
        raise Refusal(f"There is no dial called {names[0]}.")
    value = t.number(bound["v"])
    step = t.b.ahead.step(ids[0])
    if not isinstance(value, float):
        raise Refusal("A dial is set to a number.")
    if not step.fills["least"] - 1e-9 <= value <= step.fills["most"] + 1e-9:
        raise Final(f"{names[0]} goes from {step.fills['least']:g} to {step.fills['most']:g}.".replace("-", "−"))
    t.b.act(Move(numbers={ids[0]: [value]}))


@verb
def move_point(t: Things, bound: Bound) -> None:
    node = bound["n"]
    if not isinstance(node, Named) or len(node.points) != 1:
        raise Refusal("Only a free point can be put somewhere: move A to (1, 1).")
    name = node.points[0]
    if not t.b.has(name):
        if "move" in bound.get("words", ()) or "set" in bound.get("words", ()) or "rest" in bound:
            raise Refusal(f"There is no point called {name}.")
        t.b.make("free_point", {"at": tuple(float(part) for part in bound["place"])}, name)
        return
    id = t.b.point(name)
    if t.b.ahead.step(id).moves != "free":
        raise Refusal(f"Only a free point can be put somewhere, and {name} is none: move A to (1, 1).")
    if "place" in bound:
        x, y = (float(part) for part in bound["place"])
    else:
        x, y = _by_steps(t, id, bound["rest"])
    t.b.act(Move(numbers={id: [x, y]}))


def _by_steps(t: Things, id: str, rest: Any) -> tuple[float, float]:
    """ "up 2", "3 to the right", "2 left and 1 down"."""
    x, y = t.b.ahead.value(id)[:2]
    words = [token.text.lower() for token in rest if token.text.lower() not in ("and", "to", "the", "by", ",", "units", "cm", "m", "mm")]
    numbers, ways = [word for word in words if word[0].isdigit()], [word for word in words if word in WAYS]
    if len(numbers) != len(ways) or not ways or len(words) != 2 * len(ways):
        said = " ".join(token.text for token in rest).removeprefix("to ")
        raise Refusal(f"“({said[:30]})” is not a place. Say: move A to (1, 1), or move A up 2.")
    for number, way in zip(numbers, ways):
        x, y = x + WAYS[way][0] * float(number), y + WAYS[way][1] * float(number)
    return x, y


#: What leads to a formula, and a formula: something that is reckoned with something else.
_ASKED = re.compile(r"^(?:what is|what's|calculate|compute|find|evaluate|work out|the value of|measure)\s+", re.IGNORECASE)
_RECKONED = re.compile(r"[^,;?“”{}]*[\w)|′°]\s*[-+*/×÷·−:]\s*[\w(|√∠][^,;?“”{}]*")


def reckon(t: Things, text: str) -> bool:
    """Make the reading of a bare formula: "AB + BC", "angle(ABC) / 2", "AB : BC". Returns whether the text is one."""
    text = _ASKED.sub("", text.strip())
    if "=" in text or not _RECKONED.fullmatch(text) or re.search(r"\d\s*:\s*\d", text):
        return False
    try:
        formula = read_formula(plain_statement(text), lambda name, function: operand(name, function, t.b.ahead))
        if not formula.operands:
            return False
        t.make("calculation", formula=formula)
    except Refusal:
        return False
    return True


__all__ = ["DRAWING", "VERBS", "existing", "reckon", "span_of_length"]
