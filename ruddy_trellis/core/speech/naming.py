"""Clauses that give names: let M be …, call it M, D lies on BC."""

from __future__ import annotations

from dataclasses import replace

from ..edits.models import Rename
from ..kinds import NUMBER, POINT
from ..language import names as spelling
from ..refusal import Refusal
from .clauses import Bound
from .crossings import where_they_meet
from .english import ORDINALS
from .nodes import Amount, Described, Many, Named, Node, Quoted, Ref, Where, are_alike, goes_on
from .nouns import check_words
from .on_paths import is_on
from .pairs import relation_said
from .readings import measured
from .shapes_on_sides import CORNER_COUNTS
from .spans import corners_of, shared_circle, sides_of
from .tables import words
from .things import Things
from .tokens import POINT_NAME
from .verbs import all_there, names_of, none_there, points_in, verb


@verb
def define(t: Things, bound: Bound) -> None:
    """A name for what is made: "let M be the midpoint of AB", "D, E and F are the midpoints of …", "ABC is a triangle"."""
    node, what = bound["n"], bound["y"]
    t.check_told()
    if "facts" in bound:
        what = with_facts(what, bound["facts"])
    if isinstance(what, (Named, Amount, Quoted)) and not (isinstance(what, Named) and what.at is not None):
        raise Refusal("That is a claim, or sets a value.")
    if isinstance(what, Described) and what.head in _WITH_ENDS and isinstance(node, Many) and not what.names:
        pairs = [item for item in node.items if isinstance(item, Named) and len(item.points) == 2]
        if len(pairs) == len(node.items):
            none_there(t, [item.text for item in pairs])
            t.described(replace(what, names=tuple(pairs), kind="new"))
            return
    if isinstance(what, Described) and what.head in _WITH_ENDS and isinstance(node, Named) and len(node.points) == 2 and not what.names:
        none_there(t, [node.text])
        t.described(replace(what, names=(node,), kind="new"))
        return
    if is_shape(what) or (
        isinstance(what, Described)
        and what.head in ("segment", "line", "ray", "vector", "chord", "diameter", "radius", "side", "angle", "transversal")
        and all(isinstance(item, Named) and len(item.points) == 2 for item in (node.items if isinstance(node, Many) else (node,)))
    ):
        _define_by_corners(t, node, what)
        return
    if isinstance(what, Described) and what.head == "point":
        _define_points(t, node, what)
        return
    names = names_of(t, node)
    if len(names) == 1 and isinstance(node, Named) and len(node.points) > 1 and _is_plural(what):
        names = list(node.points)
    none_there(t, names)
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
    node, other = bound["n"], bound.get("y")
    t.check_told()
    if isinstance(other, Named) and len(other.points) == 2 and not any(t.b.has(point) for point in (*points_in(node), *other.points)):
        node, other = other, node  # "AB parallel to CD", of which nothing is there
        t.aside(lambda: t.described(Described("line", names=(other,), kind="new")))
        t.b.point(node.points[0])
    if not isinstance(node, Named) or len(node.points) != 2 or sum(t.b.has(point) for point in node.points) != 1:
        raise Refusal("That is a claim.")
    if "x" in bound:
        what = bound["x"]
        if not (isinstance(what, Described) and what.head == "angle"):
            raise Refusal("That is a claim.")
        t.described(Described("bisector", names=(node,), roles=(("of", what),), kind="new"))
        return
    role = "perpendicular" if "perpendicular" in bound["words"] else "parallel"
    t.described(Described("line", names=(node,), roles=((role, other or bound["y"]),), kind="new"))


@verb
def lies_so(t: Things, bound: Bound) -> None:
    """ "with D on BC": D rides on it; or it is made so that it lies there, and this says it."""
    names = points_in(bound["n"])
    t.check_told()
    there = [t.b.has(name) for name in names]
    where = next((word for word in ("inside", "outside", "above", "below") if word in bound.get("words", ())), "on")
    if not any(there) and where != "on":
        t.names = names
        t.described(Described("point", roles=((where, bound["y"]),), count=len(names), kind="new"))
        return
    if where != "on":
        raise Refusal("That is a claim.")
    if not any(there):
        t.names = names
        t.described(Described("point", roles=(("on", bound["y"]),), count=len(names), kind="new"))
        return
    if not all(there) or any(t.b.point(name) in t.b.board for name in names):
        raise Refusal("That is a claim.")
    path = t.path(bound["y"])
    for name in names:
        if not is_on(t, t.b.point(name), path):
            raise Refusal(f"{name} does not lie there.")


def is_shape(node: Node) -> bool:
    return isinstance(node, Described) and node.head in CORNER_COUNTS


def _is_plural(node: Node) -> bool:
    if isinstance(node, Many):
        return True
    return (isinstance(node, Described) and (node.plural or any(isinstance(part, Many) for _, part in node.roles))) or isinstance(
        node, Where
    )


def with_facts(node: Node, facts: Node) -> Node:
    if not isinstance(node, Described):
        raise Refusal("Facts are said of a shape.")
    return node.with_role("facts", facts)


def _define_by_corners(t: Things, node: Node, what: Node) -> None:
    """ "ABCD is a square", "AB is a diameter of k"."""
    assert isinstance(what, Described)
    if not isinstance(node, Named):
        items = node.items if isinstance(node, Many) else ()
        if relation_said(t, replace(what, names=items)) is not None:
            if all_there(t, node):
                raise Refusal("They are there already; whether they are so is a claim.")
            t.described(replace(what, names=items, kind="new"))
            return
        what = shared_circle(t, what)
        for item in node.items if isinstance(node, Many) else ():
            _define_by_corners(t, item, replace(what, plural=False, count=None))
        return
    if all_there(t, node) and (
        (len(node.points) > 2 and t.b.has(node.text))
        or (len(node.points) > 2 and what.head not in ("triangle", "quadrilateral", "polygon", "pentagon", "hexagon"))
    ):
        raise Refusal(f"{node.text} is there already; whether it is so is a claim.")
    if not node.points:
        none_there(t, [node.text])
        _make_named(t, [node.text], what)
        return
    t.described(replace(what, names=(node,), kind="new"))


def _define_points(t: Things, node: Node, what: Described) -> None:
    names = points_in(node)
    none_there(t, names)
    if isinstance(node, Named) and len(node.points) > 1:
        raise Refusal("Name the points one by one: A, B and C.")
    if not what.roles and "in-line" not in what.adjectives:
        # "Let C be a third point": one more.
        check_words(replace(what, adjectives=tuple(word for word in what.adjectives if word not in ORDINALS)))
        t.b.points([t.b.free_name(name, POINT) for name in names])
        return
    _make_named(t, names, replace(what, count=len(names)))


def _is_length_of(what: Node, names: list[str]) -> bool:
    """ "let r be the radius of k": a small letter for a radius is its length, where a new one may be drawn as well."""
    return (
        isinstance(what, Described)
        and what.head in ("radius", "diameter")
        and what.role("of") is not None
        and not what.names
        and len(names) == 1
        and names[0].islower()
    )


def _by_facing_corners(t: Things, sides: Described, names: list[str]) -> list[str]:
    """Names of a triangle's sides in the order in which they are made: a faces A."""
    if len(names) != 3 or not sides.plural:
        return names
    before = t.b.mark()
    try:
        corners = t.aside(lambda: corners_of(t, sides.role("of")))
        made = t.aside(lambda: sides_of(t, sides.role("of")))
    except Refusal:
        return names
    finally:
        t.b.back_to(before)
    small = {id: t.b.ahead.name(id).lower() for id in corners if id in t.b.ahead}
    if sorted(small.values()) != sorted(names):
        return names
    return [next(name for id, name in small.items() if id not in side) for side in made]


#: What things become under a transformation.
_IMAGES = words("image reflection rotation translation enlargement")


def _make_named(t: Things, names: list[str], what: Node) -> None:
    """Make what a phrase describes, with names for it; all of them have to be used."""
    if len(names) == 1 and isinstance(what, Described) and what.head in _IMAGES and len(corners := POINT_NAME.findall(names[0])) > 2:
        if any(map(t.b.has, corners)):
            raise Refusal(f"{names[0]} is there already, in part. Name the image by new corners.")
        names = corners  # "let DEF be the image of ABC": of its corners, one by one
    if any(len(POINT_NAME.findall(name)) > 1 and name.isupper() for name in names) and not isinstance(what, Many):
        raise Refusal(f"{names[0]} names points, and is no name for that.")
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
    elif _is_length_of(what, names):
        found = measured(t, what)
    else:
        if isinstance(what, Described) and what.head == "side":
            t.names = _by_facing_corners(t, what, names)
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


def _alike(t: Things, made: list[str], names: list[str]) -> list[str]:
    """What several names are for: the last of what was made, where that is of one kind; else the points in it by capital letters, and
    not a segment between them. Raises Refusal."""
    last = made[-len(names) :]
    if len({t.b.kind(id) == POINT for id in last}) < 2 or len({name[0].isupper() for name in names}) > 1:
        return last
    fitting = [id for id in made if (t.b.kind(id) == POINT) == names[0][0].isupper()][-len(names) :]
    if len(fitting) < len(names):
        raise Refusal("There are not as many things as names. Say which is to be called what: call the midpoint of AB M.")
    return fitting


#: Nouns after which a name of two points is that of the ends.
_SPANS = words("segment line ray vector chord diameter radius side median altitude bisector")


@verb
def name(t: Things, bound: Bound) -> None:
    """ "call the midpoint of AC K", "the midpoint of AB: M", "label its foot E"."""
    what, node = bound.get("y"), bound["n"]
    if bound.get("words") == (",",) and what is not None and (goes_on(what, node) or are_alike(what, node)):
        raise Refusal(f"{node.text} is one more of what is listed, and no name of what is made of them.")
    names = names_of(t, node)
    if what is None or isinstance(what, Ref):
        found = [id for id in t.b.recent.ids if id in t.b.ahead]
        fresh = [id for id in found if id not in t.b.board and t.b.kind(id) != NUMBER] or found
        if found and found[-1] not in t.b.board and t.b.kind(found[-1]) == NUMBER and names[0].islower():
            fresh = found  # "measure AB and call it x": a small letter is a number's name
        if not fresh:
            raise Refusal("Nothing was spoken of that could be called so.")
        for id, one in zip(_alike(t, fresh, names), names):
            _rename(t, id, one)
        return
    if isinstance(what, Described) and what.head == "image" and not what.roles and not what.names:
        made = [id for id in t.b.recent.ids if id in t.b.ahead and id not in t.b.board and t.b.is_image(id)][-len(names) :]
        if len(made) != len(names):
            raise Refusal("There are not as many images as names.")
        for id, one in zip(made, names, strict=True):
            _rename(t, id, one)
        return
    if isinstance(what, Named) and len(names) == 1:
        if not all_there(t, what):
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
    if len(names) == 1 and isinstance(what, Described) and what.plural:
        raise Refusal("Several things need a name for each.")
    last = what.items[-1] if isinstance(what, Many) else None
    if isinstance(node, Named) and len(node.points) == 2 and isinstance(last, Described) and last.head in _SPANS:
        raise Refusal("That names the two ends of one of them.")
    none_there(t, names)
    _make_named(t, names, what)
