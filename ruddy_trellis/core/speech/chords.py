"""Chords of a circle that are said by a direction, a length or a point, and diameters."""

from __future__ import annotations

from ..kinds import CIRCLE
from ..refusal import Refusal
from .amounts import length_said
from .lines_between import straight_between
from .nodes import Amount, Described, Named, Node, Ref
from .on_paths import is_on
from .refusals import Final, Stray
from .riding import free_place_on
from .spans import centre_of, circle_of, distance_between, points_lying_on
from .things import Things

#: Words that are directions, and which level or upright line a chord with them is parallel to is not said.
_ADJECTIVES = frozenset(("horizontal", "vertical", "parallel", "perpendicular"))
#: What is off by less than this share of a size is so.
_SO = 1e-9
#: Parts by which a chord is placed, besides its ends.
_DIRECTIONS = ("perpendicular", "parallel")


def is_placed(t: Things, node: Described) -> bool:
    """Whether a chord is said by a direction or a length, and not by its ends; of these one may be there."""
    if node.head == "chord" and node.role("distance") is not None:
        return True
    if node.head not in ("chord", "diameter", "radius") or (node.role(*_DIRECTIONS, "length") is None and not node.amounts):
        return False
    return not node.names or (node.head in ("chord", "radius") and (ends := _ends_said(node)) is not None and not all(map(t.b.has, ends)))


def _at_distance(t: Things, node: Described) -> str:
    """A chord at a distance from the centre of its circle: at right angles to a radius, so far out. Raises Refusal."""
    b = t.b
    start = node.role("from")
    circle = t.aside(lambda: t.round(node.role("of", "in")))
    centre = t.aside(lambda: centre_of(t, circle))
    if {role for role, _ in node.roles} - {"distance", "from", "of", "in"} or node.adjectives:
        raise Stray("A chord at a distance from the centre is settled by that.")
    if start is None or t.aside(lambda: t.point(start)) != centre:
        raise Refusal("How far a chord is off is said from the centre of its circle.")
    names = _ends_said(node) or (None, None)
    if any(name is not None and b.has(name) for name in names):
        raise Refusal("The ends of a chord at a distance are new.")
    size = t.aside(lambda: length_said(t, node.role("distance")))  # type: ignore[arg-type]
    around = b.make("circle_radius", {"centre": (centre,), "radius": size}, hidden=True)
    # It is seen, for by it the chord is turned.
    middle = t.aside(lambda: b.make("point_on", {"path": (around,), "place": 60.0}))
    line = b.make("perpendicular", {"base": (centre, middle), "point": (middle,)}, hidden=True)
    meeting = {"a": (line,), "b": (circle,)}
    ends = [b.make("intersection", {**meeting, "which": which}, name) for which, name in zip(("first", "second"), names, strict=True)]
    return straight_between(t, "segment", (ends[0], ends[1]))


def common_chord(t: Things, node: Described) -> str:
    """The chord that two circles have in common: between the two points in which they meet, which are made where they are not there."""
    b = t.b
    of = node.role("of", "to", "between")
    if of is not None and not isinstance(of, Ref):
        circles = t.aside(lambda: t.all_of(of))
    else:
        circles = [id for id in b.recent.ids if id in b.ahead and b.kind(id) == CIRCLE][-2:] or b.of_kind(CIRCLE)
        circles = circles if len(circles) == 2 else b.of_kind(CIRCLE)
    if len(circles) != 2 or any(b.kind(id) != CIRCLE for id in circles):
        raise Refusal("Two circles have a chord in common. Say: the common chord of k and c.")
    ends = [id for id in points_lying_on(t, circles[0]) if is_on(t, id, (circles[1],)) and id in points_lying_on(t, circles[1])]
    ends = sorted(ends, key=b.ahead.place)[:2]
    if len(ends) < 2:
        names = iter(node.names[0].points if len(node.names) == 1 and isinstance(node.names[0], Named) else ())
        meeting = {"a": (circles[0],), "b": (circles[1],)}
        ends = [b.make("intersection", {**meeting, "which": which}, next(names, None)) for which in ("first", "second")]
        for end in ends:
            b.settle(end)
    return straight_between(t, "segment", (ends[0], ends[1]))


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
    if node.head == "radius":
        return _placed_radius(t, node)
    if node.role("distance") is not None:
        return _at_distance(t, node)
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


def _placed_radius(t: Things, node: Described) -> str:
    """A radius with a direction, of which its end on the circle may be named: of the two that there are, one."""
    if node.role(*_DIRECTIONS) is None or node.role("length") is not None or node.amounts:
        raise Stray("A radius is as long as its circle says. Say: the radius of k parallel to AB.")
    circle = t.aside(lambda: t.round(node.role("of", "in")))
    centre = t.aside(lambda: centre_of(t, circle))
    new = [name for name in _ends_said(node) or () if name != t.b.ahead.name(centre)]
    if len(new) > 1:
        raise Stray(f"A radius goes from {t.b.ahead.name(centre)} to the circle.")
    line = _directed(t, node, centre)
    end = t.b.make("intersection", {"a": (line,), "b": (circle,), "which": "first"}, new[0] if new else None)
    return straight_between(t, "segment", (centre, end))


def _directed(t: Things, node: Described, point: str) -> str:
    which = "perpendicular" if node.role("perpendicular") is not None else "parallel"
    base = node.role(which)
    assert base is not None
    return t.b.make(which, {"base": t.aside(lambda: t.straight(base)), "point": (point,)}, hidden=True)


def check_of_circle(t: Things, head: str, id: str, of: Node | None) -> None:
    """Raise Refusal unless what was made as a chord, radius or diameter is one of a circle: of the one that is said, or of any.

    Args:
        head: "chord", "radius" or "diameter".
        of: what is said of which circle it is.
    """
    b = t.b
    circles = b.of_kind(CIRCLE, hidden=True)
    if isinstance(of, Named) and not of.points:
        circles = [t.aside(lambda: t.round(of))]
    if not any(_IS_OF_CIRCLE[head](t, b.ends(id), circle) for circle in circles):
        name, what = b.ahead.name(id), _WHAT_IS[head]
        where = f" of {b.ahead.name(circles[0])}" if of is not None and len(circles) == 1 else ""
        raise Final(f"{name} is no {head}{where}: {what}." if circles else f"There is no circle here for a {head}.")


def _lies_on(t: Things, point: str, circle: str) -> bool:
    """Whether a point is on a circle, by how it is made or by where it is now."""
    return point in points_lying_on(t, circle) or is_on(t, point, (circle,))


def _is_chord(t: Things, ends: tuple[str, str], circle: str) -> bool:
    return all(_lies_on(t, end, circle) for end in ends)


def _is_radius(t: Things, ends: tuple[str, str], circle: str) -> bool:
    value = t.b.ahead.value(circle)
    return value is not None and any(
        _lies_on(t, end, circle)
        and (place := t.b.ahead.value(centre)) is not None
        and distance_between(place, value) < _SO * (1 + value[2] ** 0.5)
        for centre, end in (ends, ends[::-1])
    )


def _is_diameter(t: Things, ends: tuple[str, str], circle: str) -> bool:
    value, places = t.b.ahead.value(circle), [t.b.ahead.value(end) for end in ends]
    if value is None or None in places or not _is_chord(t, ends, circle):
        return False
    (ax, ay), (bx, by) = (place[:2] for place in places)
    return distance_between(((ax + bx) / 2, (ay + by) / 2), value) < _SO * (1 + value[2] ** 0.5)


_IS_OF_CIRCLE = {"chord": _is_chord, "radius": _is_radius, "diameter": _is_diameter}
_WHAT_IS = {
    "chord": "its ends are not both on the circle",
    "radius": "it does not go from the centre to the circle",
    "diameter": "it does not go from the circle through the centre to the circle",
}
