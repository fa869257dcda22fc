"""Chords of a circle that are said by a direction, a length or a point, and diameters."""

from __future__ import annotations

from ..kinds import CIRCLE
from ..refusal import Refusal
from .amounts import length_said
from .building import Final, Stray
from .lines_between import straight_between
from .nodes import Amount, Described, Named
from .riding import free_place_on
from .spans import centre_of, circle_of, distance_between, points_lying_on
from .things import Things

#: Words that are directions, and which level or upright line a chord with them is parallel to is not said.
_ADJECTIVES = frozenset(("horizontal", "vertical", "parallel", "perpendicular"))
#: Parts by which a chord is placed, besides its ends.
_DIRECTIONS = ("perpendicular", "parallel")


def is_placed(t: Things, node: Described) -> bool:
    """Whether a chord is said by a direction or a length, and not by its ends; of these one may be there."""
    if node.head not in ("chord", "diameter") or (node.role(*_DIRECTIONS, "length") is None and not node.amounts):
        return False
    return not node.names or (node.head == "chord" and (ends := _ends_said(node)) is not None and not all(map(t.b.has, ends)))


def _ends_said(node: Described) -> tuple[str, str] | None:
    """The names of the two ends of a chord, where they are said."""
    if len(node.names) != 1 or not isinstance(node.names[0], Named) or len(node.names[0].points) != 2:
        return None
    return node.names[0].points[0], node.names[0].points[1]


def placed_chord(t: Things, node: Described) -> str:
    """A chord, or a diameter, with a direction or of a length: from a point of the circle, or from a new one."""
    b = t.b
    if said := _ADJECTIVES & set(node.adjectives):
        raise Stray(f"“{min(said)}” is not understood of a {node.head}. Say: the chord through A parallel to BC.")
    through, direction = node.role("through", "from", "at"), node.role(*_DIRECTIONS)
    length = node.role("length") or (Amount(node.amounts[0]) if node.amounts else None)
    if node.head == "diameter":
        if direction is None or through is not None or length is not None:
            raise Stray("A diameter goes through the centre, and is as long as it is. Say: the diameter of k parallel to AB.")
        circle = t.aside(lambda: t.round(node.role("of", "in")))
        centre = t.aside(lambda: centre_of(t, circle))
        line = _directed(t, node, centre)
        ends = [b.make("intersection", {"a": (line,), "b": (circle,), "which": which}) for which in ("first", "second")]
        return straight_between(t, "segment", (ends[0], ends[1]))
    start, finish = _ends_said(node) or (None, None)
    if start is not None and finish is not None and b.has(finish):
        start, finish = finish, start
    if start is not None and through is not None:
        raise Stray("A chord is said by its ends or by a point that it starts from, not by both.")
    if start is not None and b.has(start):
        through = Named(start, (start,))
    if through is not None:
        point = t.point_aside(through)
        circle = t.aside(lambda: circle_of(t, node.role("of", "in"), point))
        if point not in points_lying_on(t, circle):
            raise Refusal(f"{b.ahead.name(point)} is not on {b.ahead.name(circle)}. A chord is said by a point of its circle.")
    else:
        circle = t.aside(lambda: t.round(node.role("of", "in")))
        point = b.make("point_on", {"path": (circle,), "place": free_place_on(t, (circle,))}, start)
    if direction is not None and length is not None:
        raise Stray("A chord through a point of its circle has a direction or a length, not both.")
    if direction is not None:
        line = _directed(t, node, point)
        end = b.make("other_intersection", {"a": (line,), "b": (circle,), "known": (point,)}, finish)
    else:
        assert length is not None
        size = t.aside(lambda: length_said(t, length))
        round_ = b.make("circle_radius", {"centre": (point,), "radius": size}, hidden=True)
        end = b.make("intersection", {"a": (circle,), "b": (round_,), "which": "first"}, finish)
    return straight_between(t, "segment", (point, end))


def _directed(t: Things, node: Described, point: str) -> str:
    which = "perpendicular" if node.role("perpendicular") is not None else "parallel"
    base = node.role(which)
    assert base is not None
    return t.b.make(which, {"base": t.aside(lambda: t.straight(base)), "point": (point,)}, hidden=True)


def check_is_chord(t: Things, id: str) -> None:
    """Raise Refusal unless the ends of what was made as a chord lie on one circle, where there is one."""
    circles = t.b.of_kind(CIRCLE, hidden=True)
    ends = set(t.b.ends(id))
    if not any(ends <= points_lying_on(t, circle) for circle in circles):
        name = t.b.ahead.name(id)
        raise Final(f"{name} is no chord: its ends are not on one circle." if circles else "There is no circle here for a chord.")


def check_is_radius(t: Things, id: str) -> None:
    """Raise Refusal unless what was made as a radius goes from the centre of a circle to a point of it."""
    one, other = t.b.ends(id)
    for circle in t.b.of_kind(CIRCLE, hidden=True):
        value = t.b.ahead.value(circle)
        for centre, end in ((one, other), (other, one)):
            place = t.b.ahead.value(centre)
            if end in points_lying_on(t, circle) and value and place and distance_between(place, value) < 1e-9 * (1 + value[2] ** 0.5):
                return
    raise Refusal(f"{t.b.ahead.name(id)} is no radius of a circle here.")
