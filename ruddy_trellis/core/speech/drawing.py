"""Clauses that draw, join, bisect, transform, measure and claim."""

from __future__ import annotations

import itertools
from dataclasses import replace

from ..kinds import CIRCLE, POINT, POLYGON, STRAIGHTS
from ..refusal import Refusal
from . import claims
from .clauses import Bound, with_roles
from .images import KIND_OF, imaged, images_under, mapped
from .lines_between import span_of_length, straight_between, straights_from_to
from .naming import is_shape, with_facts
from .nodes import Amount, Described, Many, Named, Node, Quoted, Ref
from .spans import corners_of, spans_of
from .tables import words
from .things import DRAWN, Things
from .verbs import points_in, verb


@verb
def join(t: Things, bound: Bound) -> None:
    """ "join AB, BC and CA", "join A to the midpoint of BC", "join the midpoints in order"."""
    one, other, to = bound["x"], bound.get("y"), bound.get("z")
    if to is not None or "in-order" in bound.get("words", ()):
        if to is not None and not is_shape(to):
            raise Refusal("Joined to what? Say: join A to B.")
        said_before = isinstance(one, Ref) or (
            isinstance(one, Described) and one.head == "point" and one.plural and not one.names and not one.roles
        )
        lately = _lately_points(t, one.count if isinstance(one, Described) else None) if said_before else []
        points = lately if len(lately) > 1 else t.points(one)
        if to is not None and isinstance(to, Described) and to.head == "triangle" and len(points) != 3:
            raise Refusal("A triangle has three corners.")
        if len(points) == 2:
            raise Refusal("A shape has at least three corners.")
        t.b.polygon(points)
        return
    if other is not None:
        if isinstance(one, Described) and one.head == "corner" and isinstance(other, Described) and other.head in ("midpoint", "centre"):
            for corner in corners_of(t, one.role("of")):
                t.described(Described("median", roles=(("from", Named(t.b.ahead.name(corner), (t.b.ahead.name(corner),))),)))
            return
        if isinstance(one, Described) and one.head == "point" and one.plural and not one.names and not one.roles:
            made = [id for id in _lately_points(t, one.count) if id not in t.b.board]
            if len(made) > 1:
                # "divide BC into three equal parts and join the points to A": those that were made
                end = t.point(other)
                for id in made:
                    straight_between(t, "segment", (id, end))
                return
        straights_from_to(t, "segment", one, other)
        return
    if isinstance(one, Many) and len(one.items) > 2 and all(isinstance(item, Named) and len(item.points) == 1 for item in one.items):
        points = t.points(one)
        for a, b in itertools.pairwise(points):
            straight_between(t, "segment", (a, b))
        return
    if isinstance(one, Named) and len(one.points) > 2:
        if " " in one.text and len(one.points) == 4:
            for span in spans_of(t, one):
                straight_between(t, "segment", span)
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
            straight_between(t, "segment", (points[0], points[1]))
            return
        if len(points) > 2:
            t.b.polygon(points)
            return
        raise Refusal("Which points are to be joined?")
    if isinstance(one, Many) and len(one.items) == 2 and not any(isinstance(item, Named) and len(item.points) != 1 for item in one.items):
        a, b = t.points(one)
        straight_between(t, "segment", (a, b))
        return
    for span in spans_of(t, one):
        straight_between(t, "segment", span)


#: Nouns for points, of which several are joined to one another.
_POINTS = words("point image midpoint contact foot corner centre")


def _lately_points(t: Things, count: int | None) -> list[str]:
    """The points that were made last in one go, or all of a board that has no more of them than are meant."""
    found = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) == POINT and id not in t.b.board]
    last = [id for id in found if id in t.b.last_group] or found
    if len(last) < 2 and len(every := t.b.of_kind(POINT)) in ((count,) if count else (2, 3)):
        return every
    if count:
        return found[-count:]
    return last


@verb
def bisect(t: Things, bound: Bound) -> None:
    """ "bisect AB at M": its midpoint; "bisect angle A": its bisector; "bisect AB": its perpendicular bisector."""
    node = bound["x"]
    names = points_in(bound["n"]) if "n" in bound else []
    for item in node.items if isinstance(node, Many) else (node,):
        if (isinstance(item, Described) and item.head == "angle") or (isinstance(item, Named) and len(item.points) in (1, 3)):
            if isinstance(item, Described) and item.head == "angle" and item.plural and (len(item.names) > 1 or not item.names):
                t.described(Described("bisector", roles=(("of", item),), plural=True))
                continue
            if names:
                raise Refusal("An angle is bisected by a line, which has no one point.")
            t.described(Described("bisector", roles=(("of", item),), kind="new"))
        elif isinstance(item, Ref) and (corner := t.corner_spoken_of()):
            t.make("angle_bisector", corner=corner)
        else:
            span = t.span(item)
            if names:
                t.names = [names.pop(0)]
                t.make("midpoint", span=span)
            else:
                t.make("perpendicular_bisector", span=span)


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
    if "y1" in bound:
        assert what is not None
        imaged(t, kind, what, how.with_role("from", bound["y1"]).with_role("to", bound["z"]))
        return
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
        if not ids:
            raise Refusal("What is to be transformed?")
        # What was drawn last for this text; of what was there before a shape is more than the rest.
        shapes = ids if ids[-1] not in t.b.board else [id for id in ids if t.b.kind(id) == POLYGON] or ids
        images_under(t, shapes[-1:], mapped(t, kind, how))
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
    if isinstance(what, Described) and what.head != "circle":
        t.described(replace(what, kind="new").with_role("about", about if not isinstance(about, Ref) else Described("circle", kind="old")))
        return
    if what is not None and not isinstance(what, Described):
        raise Refusal("What is circumscribed about what?")
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
        node = with_facts(node, bound["facts"])
    if isinstance(node, Ref) and set(bound) == {"x", "words"} and "draw" in bound["words"]:
        found = t.referred(node)
        if t.b.kind(found[0]) not in DRAWN:
            raise Refusal("That is nothing to be drawn.")
        t.b.there = found  # "Draw it.": that is done
        return
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
        if isinstance(node, Many) and isinstance(item, Named) and len(item.points) == 1 and item.at is None and t.b.has(item.points[0]):
            raise Refusal(f"{item.points[0]} is there already.")
        if isinstance(item, Described) and item.plural and 0 < len(item.names) < (item.count or 0):
            raise Refusal(f"{item.count} are asked for, and {len(item.names)} named: name each of them, or none.")
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
def conclude(t: Things, bound: Bound) -> None:
    does, slots = bound["claim"]
    claims.claim(t, does, slots)


@verb
def angled(t: Things, bound: Bound) -> None:
    """ "∠ABC = 120°", where none of the three points is there: an angle of that size."""
    node = bound["y"]
    named = node.names[0] if isinstance(node, Described) and node.head == "angle" and len(node.names) == 1 else None
    if not isinstance(named, Named) or len(named.points) != 3 or any(t.b.has(point) for point in named.points):
        raise Refusal("That is a claim.")
    t.described(replace(node, kind="new", amounts=(bound["v"].text,)))


@verb
def sized(t: Things, bound: Bound) -> None:
    """ "PQ = 6.5 cm", where P and Q are not both there: a segment of that length."""
    node = bound["n"]
    if not isinstance(node, Named) or len(node.points) != 2 or all(t.b.has(point) for point in node.points):
        raise Refusal("That is a claim.")
    span_of_length(t, node, bound["v"])
