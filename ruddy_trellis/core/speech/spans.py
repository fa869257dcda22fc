"""Pairs of points, sides and corners: what phrases such as “AB, BC and the sides of ABC” stand for."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Sequence
from dataclasses import replace
from typing import Any

from ..kinds import CIRCLE, POLYGON
from ..refusal import Refusal
from .nodes import Described, Many, Named, Node, single_points
from .refusals import Final
from .tables import words
from .things import Things


def each(node: Described, *roles: str) -> Iterator[Described]:
    """A description for each of the things in a list that is one of its parts; where several are lists, one after another."""
    lists = {number: part.items for number, (role, part) in enumerate(node.roles) if role in roles and isinstance(part, Many)}
    if not lists:
        yield node
        return
    counts = {len(items) for items in lists.values()}
    if len(counts) > 1:
        raise Refusal("The two lists have different lengths, so it is not clear what belongs to what.")
    for place in range(counts.pop()):
        parts = tuple((role, lists[number][place]) if number in lists else (role, part) for number, (role, part) in enumerate(node.roles))
        yield replace(node, roles=parts, plural=False)


def with_corners_as_one(node: Described) -> Described:
    """A description in which points that are told one by one are the corners of one shape: "the centroid of A, B and C"."""
    roles = []
    for role, part in node.roles:
        if isinstance(part, Described) and part.head in ("point", "corner") and not part.roles and not part.adjectives:
            items = part.names
        else:
            items = part.items if isinstance(part, Many) else ()
        if len(items) > 2 and all(isinstance(item, Named) and len(item.points) == 1 for item in items):
            corners = tuple(item.points[0] for item in items if isinstance(item, Named))
            part = Named("".join(corners), corners)
        roles.append((role, part))
    return replace(node, roles=tuple(roles))


#: What is said of the one of several sides that is the longest or the shortest.
_LONG = frozenset(("longest", "shortest", "largest", "smallest"))


def spans_of(t: Things, node: Node, apart: bool = True) -> list[tuple[str, ...]]:
    """The pairs of points, or segments, that a phrase stands for: AB, AB and BC, the sides of ABC, the diagonals."""
    if isinstance(node, Described):
        node = node.of_it()
    if isinstance(node, Described) and node.head in ("side", "diagonal") and node.names:
        node = t.of_its_shape(node)
    if isinstance(node, Described) and node.head == "side" and {"opposite"} & set(node.adjectives):
        raise Refusal("Which sides? Say them by their ends: AB and CD.")
    if isinstance(node, Described) and node.head == "side" and not node.names:
        if of_all := _LONG & set(node.adjectives):
            sides = sides_of(t, node.role("of", "in"))
            span = most_of(t, sides, lambda span: distance_between(*(t.b.now(id) for id in span)), bool({"longest", "largest"} & of_all))
            t.b.guesses.append(f"the {min(of_all)} side, which is {''.join(t.b.ahead.name(id) for id in span)} now")
            return [span]
        sides = sides_of(t, node.role("of", "in"), node.kind if node.plural else "one")
        if "other" in node.adjectives:
            others = _besides_the_named(t, sides)
            if node.count and node.count != len(others):
                raise Refusal(f"There are {len(others)} other sides, not {node.count}.")
            return others
        if (node.count or 1) > len(sides):
            raise Refusal(f"There are {len(sides)} sides, not {node.count}.")
        return sides[: node.count] if node.count and node.count > 1 else sides
    if isinstance(node, Described) and node.head == "diagonal" and not node.names:
        found = _diagonals(corners_of(t, node.role("of", "in")))
        if (start := node.role("from", "through", "at")) is None:
            return list(found)
        corner = t.point_aside(start)
        through = [span if span[0] == corner else span[::-1] for span in found if corner in span]
        if not through:
            raise Refusal(f"No diagonal goes through {t.b.ahead.name(corner)}.")
        return list(through)
    if isinstance(node, Described) and len(node.names) > 1 and node.head != "point":
        return [span for name in node.names for span in spans_of(t, name)]
    if isinstance(node, Many):
        if all(isinstance(item, Named) and len(item.points) == 1 for item in node.items) and (len(node.items) == 2 or not apart):
            return [tuple(t.points(node))]
        if all(isinstance(item, Named) and len(item.points) == 1 for item in node.items):
            raise Refusal("Pairs of points are needed here, such as AB, BC and CA.")
        if not any(
            (isinstance(item, Named) and len(item.points) == 2) or (isinstance(item, Described) and _is_straight(t, item))
            for item in node.items
        ):
            return [tuple(t.points(node))] if len(node.items) == 2 else [span for item in node.items for span in spans_of(t, item)]
        return [span for item in node.items for span in spans_of(t, item)]
    if isinstance(node, Named) and len(node.points) > 2 and len(node.points) % 2 == 0 and " " in node.text:
        points = t.b.points(node.points)
        return [points[number : number + 2] for number in range(0, len(points), 2)]
    return [t.span(node)]


#: What has an inside, by kind; nouns of it that name no corners.
SHAPES = (CIRCLE, POLYGON, "sector", "chord_region")
ROUND = words("circle incircle circumcircle sector semicircle arc circular-segment")


def shape_of(t: Things, node: Node, kinds: Sequence[str] = SHAPES) -> str:
    """The shape that a phrase says: a polygon by its corners, or a round one, since the circle ABC is not the triangle. Raises Refusal."""

    def other() -> str:
        found = t.all_of(node)
        if len(found) == 1 and t.b.kind(found[0]) in kinds:
            return str(found[0])
        raise Refusal("A shape is needed here.")

    if isinstance(node, Described) and node.head in ROUND:
        return other()
    return str(t.either(lambda: t.polygon(node), other))


def most_of(t: Things, found: Sequence[Any], size: Callable[[Any], float], largest: bool) -> Any:
    """What has the largest or the smallest size of several things as they are drawn. Raises Refusal where another one has the same."""
    if any(size(one) is None for one in found):
        raise Refusal("Which one that is cannot be told now: one of the points is nowhere.")
    ranked = sorted(found, key=size, reverse=largest)
    if len(ranked) > 1 and abs(size(ranked[0]) - size(ranked[1])) < 1e-6 * (1 + abs(size(ranked[0]))):
        raise Refusal("Two of them are of one size now. Say which one is meant by its name.")
    return ranked[0]


def _besides_the_named(t: Things, sides: Sequence[tuple[str, ...]]) -> list[tuple[str, ...]]:
    """ "the other two sides": those that are not the one of which the sentence speaks besides."""
    others = [span for span in sides if not {t.b.ahead.name(id) for id in span} <= t.b.mentioned]
    if len(others) != len(sides) - 1:
        raise Final("Which other sides? Say them by their ends: BC and CA.")
    return others


def _is_straight(t: Things, node: Described) -> bool:
    return node.head in ("segment", "side", "line", "chord", "base", "median", "altitude", "diagonal", "radius", "diameter")


def corners_of(t: Things, node: Node | None) -> tuple[str, ...]:
    """The corners of the polygon that a phrase stands for; of the only one where none is said."""
    if node is None and not t.b.of_kind(POLYGON) and t.b.triangles():
        return t.b.triangle()
    if isinstance(node, Named) and len(node.points) > 2:
        return t.b.points(node.points)
    if isinstance(node, Described) and node.head == "triangle" and not node.roles:
        return t.triangle(node)
    step = t.b.ahead.step(t.polygon(node))
    return tuple(step.fills.get("corners", ()))


def sides_of(t: Things, node: Node | None, which: str = "all") -> list[tuple[str, ...]]:
    """The sides of a polygon as pairs of corners."""
    corners = corners_of(t, node)
    if which == "one":
        raise Refusal("Say which side is meant, such as AB.")
    return [(corner, corners[(number + 1) % len(corners)]) for number, corner in enumerate(corners)]


def _diagonals(corners: tuple[str, ...]) -> list[tuple[str, str]]:
    count = len(corners)
    if count < 4:
        raise Refusal("A triangle has no diagonals.")
    return [(corners[a], corners[b]) for a in range(count) for b in range(a + 2, count) if (a, b) != (0, count - 1)]


def distance_between(a: Any, b: Any) -> float:
    return float(((a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2) ** 0.5)


def crossings_now(t: Things, a: tuple[str, ...], b: tuple[str, ...]) -> list[tuple[str, Any]]:
    """Which of the two crossings of two paths are there now, each with its place."""
    found = [(which, t.b.would_be("intersection", {"a": a, "b": b, "which": which})) for which in ("first", "second")]
    return [(which, place) for which, place in found if place is not None]


def best_crossing(t: Things, a: tuple[str, ...], b: tuple[str, ...], worth: Callable[[Any], float]) -> str:
    """Which crossing of two paths is worth the most where it is now; the first where both are as good, or none is there."""
    found = crossings_now(t, a, b)
    return max(found, key=lambda one: worth(one[1]))[0] if found else "first"


def points_lying_on(t: Things, id: str) -> set[str]:
    return set(t.b.points_on(id))


def centre_of(t: Things, circle: str, hidden: bool = False) -> str:
    """The point at the centre of a circle: the one that it was made with, or a new one, which may be for something else alone."""
    step = t.b.ahead.step(circle)
    given = step.fills.get("centre")
    return given[0] if given else t.b.make("centre", {"of": (circle,)}, None, hidden)


def facing_side(t: Things, corner: str) -> tuple[str, ...]:
    """The side of a triangle that faces a corner."""
    for triangle in reversed(t.b.triangles()):
        if corner in triangle:
            return tuple(id for id in triangle if id != corner)
    raise Refusal(f"To which line? {t.b.ahead.name(corner)} is no corner of a triangle here.")


def check_two_ends(names: Sequence[Node]) -> None:
    """Raise Refusal where a name of two points has the same one twice."""
    for name in names:
        if isinstance(name, Named) and len(name.points) == 2 and name.points[0] == name.points[1]:
            raise Final(f"{name.text} has the same end twice: two points are needed.")


def with_facing_side(t: Things, one: Node, other: Node | None) -> Node | None:
    """What is said to meet something, where it is "the opposite side": the one that faces the corner from which the other thing comes."""
    if not (isinstance(other, Described) and other.head == "side" and "opposite" in other.adjectives and not other.names):
        return other
    corners = [name for name in single_points(one) if t.b.has(name)]
    if len(corners) != 1:
        raise Refusal("The side opposite which corner? Say it by its ends: BC.")
    ends = tuple(t.b.ahead.name(id) for id in facing_side(t, t.b.point(corners[0])))
    return Named("".join(ends), ends)


def circle_of(t: Things, node: Node | None, point: str) -> str:
    """The circle that is named, or the one on which a point lies."""
    if node is not None:
        return t.round(node)
    return circle_through(t, (point,))


def circle_through(t: Things, points: Sequence[str]) -> str:
    """The circle on which points are known to lie; the circumcircle of the last triangle with such corners, where none is there."""
    b = t.b
    on = [id for id in b.of_kind(CIRCLE) if set(points) <= points_lying_on(t, id)]
    if not on and (not b.of_kind(CIRCLE) or len(points) > 1):
        triangle = next((corners for corners in reversed(b.triangles()) if set(points) <= set(corners)), None)
        if triangle is not None:
            return b.make("circumcircle", {name: (id,) for name, id in zip("abc", triangle)}, hidden=True)
    return b.only("circle", on or b.of_kind(CIRCLE))


def needed(node: Node | None) -> Node:
    if node is None:
        raise Refusal("Through which point, and to which line?")
    return node


def enclosing(t: Things, node: Node) -> str:
    """The circle or the polygon that a phrase means; of corners between which none is drawn a hidden one."""
    found = t.aside(lambda: t.either(lambda: t.round(node), lambda: corners_of(t, node)))
    return found if isinstance(found, str) else _polygon_with(t, found)


def _polygon_with(t: Things, corners: Any) -> str:
    """The polygon with some corners: the one that is there, or a hidden one."""
    known = next((id for id in t.b.of_kind(POLYGON) if set(t.b.ahead.step(id).fills.get("corners", ())) == set(corners)), None)
    return known or t.b.make("polygon", {"corners": tuple(corners)}, hidden=True)


def facing_first(t: Things, spans: list[tuple[str, ...]]) -> list[tuple[str, ...]]:
    """The three sides of a triangle in the order of the corners that they face, where three names wait: D, E and F are on BC, CA, AB."""
    return [*spans[1:], spans[0]] if len(spans) == 3 == len(t.names) and len({end for span in spans for end in span}) == 3 else spans


def shared_circle(t: Things, what: Described) -> Described:
    """A description in which a circle that is to be made, and that several things share, is made once."""
    for number, (role, part) in enumerate(what.roles):
        if role in ("of", "in", "on") and isinstance(part, Described) and part.head == "circle" and part.kind == "new":
            (circle,) = t.aside(lambda part=part: t.all_of(part))  # type: ignore[misc]
            return replace(what, roles=(*what.roles[:number], (role, Named(t.b.ahead.name(circle))), *what.roles[number + 1 :]))
    return what


def distant_from(t: Things, line: tuple[str, ...], size: Any, which: str = "second") -> str:
    """A helper point at a distance from a line: on a perpendicular to it, on one side or, as the "first", on the other one."""
    b = t.b
    start = line[0] if len(line) == 2 else next(iter(sorted(points_lying_on(t, line[0]), key=b.ahead.place)), None)
    if start is None:
        start = b.make("point_on", {"path": line}, hidden=True)
    across = b.make("perpendicular", {"base": line, "point": (start,)}, hidden=True)
    circle = b.make("circle_radius", {"centre": (start,), "radius": size}, hidden=True)
    return b.make("intersection", {"a": (across,), "b": (circle,), "which": which}, hidden=True)
