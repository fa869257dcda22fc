"""Shapes that stand by themselves: by their corners, by sizes, by facts."""

from __future__ import annotations

import cmath
import math
from collections.abc import Sequence
from dataclasses import replace
from typing import Any

from ..kinds import POINT, POLYGON
from ..refusal import Refusal
from .amounts import angle_said, length_said
from .corners_by_facts import polygon_by_facts
from .nodes import Amount, Described, Many, Named, Node
from .nouns import NAMED_BY_SIDES
from .refusals import Final, Stray
from .shape_checks import is_as_said
from .shape_facts import Wanted, wanted_of, with_what_it_has
from .shape_measures import by_sides, measured_shape
from .shapes_on_sides import CORNER_COUNTS
from .tables import words
from .things import Things
from .third_corners import amounts_in, first_side, fresh_names, kept_places, sizes_said, third_corner, upper_crossing
from .triangles_alone import triangle_alone

#: Parts that say on which side of a side a shape is.
_BESIDE = words("on outside above below away same_side_of other_side_of same_side_as side_with opposite")

#: Parts of a shape that say what is so of its sides and angles by name.
_FACTS = words("facts right_at")
#: Shapes that any corners make, and what says more of corners that are there than that.
_OF_ANY_CORNERS = words("triangle quadrilateral polygon").union(NAMED_BY_SIDES)
_SAYS_MORE = words("equilateral isosceles right-angled regular obtuse")
#: Triangles that are made of another one.
_OF_ANOTHER = words("medial orthic pedal")


def alone_shape(t: Things, node: Described, names: tuple[str, ...]) -> str:
    """A shape that stands on nothing that is there, or whose corners are there already."""
    b = t.b
    for said in (*node.adjectives, *node.extra):
        if said in ("external", "internal", "inscribe"):
            raise Stray(f"“{'inscribed' if said == 'inscribe' else said}” is not understood of a {node.head} that stands by itself.")
    if not _OF_ANOTHER.isdisjoint(node.adjectives):
        return _of_another(t, node, names)
    is_bare = not (names or node.roles or node.adjectives or node.amounts or node.plural)
    if is_bare and node.head in _OF_ANY_CORNERS and (corners := _just_put(t, CORNER_COUNTS[node.head])):
        return b.polygon(corners)
    mark = b.mark()
    polygon = _made_alone(t, node, names)
    corners = b.ahead.step(polygon).fills["corners"]
    if all(id in b.board for id in corners):
        return polygon
    wanted = wanted_of(t, node, names)
    if is_as_said(t, polygon, node, wanted):
        return polygon
    named = names or tuple(b.ahead.name(id) for id in corners)
    b.back_to(mark)
    if wanted and {role for role, _ in node.roles} <= _FACTS and len(named) == 4:
        polygon = polygon_by_facts(t, named, with_what_it_has(node, named, wanted))
        if is_as_said(t, polygon, node, wanted):
            return polygon
        b.back_to(mark)
    raise Final(f"No {node.head} was found of which all of that is so.")


def _just_put(t: Things, count: int) -> tuple[str, ...]:
    """The points that the clause before has put, and nothing else, where they are as many as a shape has corners (0 for any number), in
    order around it: "put three points on the circle and make a triangle"."""
    b = t.b
    made = [step for step in b.ahead.steps if step.id in b.last_group and not step.look.hidden]
    count = count or max(len(made), 3)
    if len(made) != count or any(step.makes != POINT or step.id in b.board for step in made):
        return ()
    places = {step.id: complex(*b.now(step.id)) for step in made}
    middle = sum(places.values()) / count
    return tuple(sorted(places, key=lambda id: cmath.phase(places[id] - middle))) if count > 3 else tuple(places)


def _made_alone(t: Things, node: Described, names: tuple[str, ...]) -> str:
    b = t.b
    node = by_sides(t, node)
    if (made := measured_shape(t, node, names, wanted_of(t, node, names))) is not None:
        return made
    kind, count = node.head, CORNER_COUNTS[node.head] or len(names)
    corners_node = node.role("corners", "through", "with", "of") if not names else None
    if isinstance(corners_node, Many) and all(
        isinstance(item, Described) and item.head == "point" and item.role("at_place") is not None for item in corners_node.items
    ):
        points = t.aside(lambda: t.points(corners_node))
        if count and len(points) != count:
            raise Refusal(f"A {kind} has {count} corners, not {len(points)}.")
        return b.polygon(points)
    if corners_node is not None and isinstance(corners_node, (Named, Many)) and not isinstance(corners_node, Amount):
        got = tuple(
            point
            for item in (corners_node.items if isinstance(corners_node, Many) else (corners_node,))
            if isinstance(item, Named)
            for point in item.points
        )
        if len(got) == 3 and count == 4:
            got = (*got, *fresh_names(b, 1))
        if count and len(got) > count:
            raise Final(f"A {kind} has {count} corners, not {len(got)}.")
        if len(got) >= 3:
            names = got
            count = len(names)
        elif node.role("corners", "through") is not None:
            raise Refusal(f"A {kind} needs all its corners.")
    _check_with(node)
    if node.role("height") is not None and kind != "triangle":
        raise Refusal(f"The height of a {kind} is not understood here. Say its sides and an angle.")
    wanted = wanted_of(t, node, names)
    if names and all(b.has(name) for name in names):
        is_said_besides = wanted or not _SAYS_MORE.isdisjoint(node.adjectives)
        if kind not in _OF_ANY_CORNERS or is_said_besides:
            raise Refusal(
                f"The corners of {''.join(names)} are there already; whether it is so is a claim: "
                f"is {''.join(names)} {_with_article(node)}?"
            )
        return b.polygon(b.points(names))
    if count < 3:
        raise Refusal("A polygon is said by its corners.")
    if "cyclic" in node.adjectives and count == 4 and wanted and names:
        return polygon_by_facts(t, names, wanted, cyclic=True)
    if "cyclic" in node.adjectives and count > 3:
        return _cyclic(t, names or fresh_names(b, count))
    if kind == "rhombus" and (wanted.angles or node.role("angles") is not None) and node.role("diagonals", "centre") is None:
        return _with_an_angle(t, node, names, wanted)
    if (
        kind in ("square", "rectangle", "rhombus")
        or "regular" in node.adjectives
        or "equilateral" in node.adjectives
        or (kind in NAMED_BY_SIDES and not names)
    ):
        return _regular_alone(t, node, names, count, wanted)
    if kind == "quadrilateral" and len(wanted.parallel) == 1 and not (wanted.lengths or wanted.angles or wanted.equal or wanted.times):
        return _of_three_corners(t, replace(node, head="trapezium"), names or fresh_names(b, 4), wanted)
    if kind in ("quadrilateral", "polygon", "pentagon", "hexagon") and wanted and names:
        return polygon_by_facts(t, names, wanted)
    if kind in ("parallelogram", "kite", "trapezium"):
        return _of_three_corners(t, node, names, wanted)
    if kind == "triangle":
        return triangle_alone(t, node, names, wanted)
    return b.polygon(b.points(names) if names else tuple(b.points(fresh_names(b, count))))


def _of_another(t: Things, node: Described, names: tuple[str, ...]) -> str:
    """The medial triangle of another one, or its orthic one, or the pedal one of a point: of midpoints, of feet of perpendiculars."""
    b = t.b
    for role, _ in node.roles:
        if role not in ("of", "in"):
            raise Stray(f"“{role.replace('_', ' ')} …” is not understood of a triangle that is made of another one.")
    of, within = node.role("of"), node.role("in")
    point = None
    if "pedal" in node.adjectives:
        if of is None:
            raise Refusal("Of which point? The feet of the altitudes make the orthic triangle.")
        if within is not None or (isinstance(of, Named) and len(of.points) == 1):
            point, of = t.point_aside(of), within
    corners = t.aside(lambda: t.triangle(of))
    if point in corners:
        raise Final("The feet from a corner lie in line with it: two of them are that corner. Say another point.")
    made = []
    for number, corner in enumerate(corners):
        side = tuple(id for id in corners if id != corner)
        name = names[number] if len(names) == 3 else None
        made.append(
            b.make("midpoint", {"span": side}, name)
            if "medial" in node.adjectives
            else b.make("foot", {"point": (point or corner,), "base": side}, name)
        )
    return b.polygon(made)


def _check_with(node: Described) -> None:
    """Raise Refusal where something is said with "with", "of" or "in" that a shape does not take, or where it is to be beside nothing."""
    for role, _ in node.roles:
        if role in _BESIDE:
            raise Refusal(f"“{role.replace('_', ' ')} …” is understood of a {node.head} on a side that is there: the {node.head} on AB.")
    for role, part in node.roles:
        if (
            role in ("with", "of", "and", "in", "inside", "outside", "through")
            and isinstance(part, Described)
            and part.head not in ("right-angle", "side", "segment", "length")
        ):
            raise Refusal(f"“{role} the {part.head.replace('-', ' ')}” is not understood of a {node.head}.")
        if isinstance(part, Named) and (role in ("in", "inside", "outside") or (role == "of" and not _are_corners(node, part))):
            raise Stray(f"“{role} {part.text}” is not understood of a {node.head}.")
        if isinstance(part, Many) and any(
            isinstance(item, Described) and item.head not in ("side", "segment", "length", "fact") for item in part.items
        ):
            raise Refusal(f"“{role} …” is not understood of a {node.head}.")


def _are_corners(node: Described, part: Named) -> bool:
    """Whether a name is that of all corners of a shape."""
    return len(part.points) >= max(3, CORNER_COUNTS[node.head] - 1)


def _with_article(node: Described) -> str:
    return " ".join((*node.adjectives, node.head))


def _regular_alone(t: Things, node: Described, names: tuple[str, ...], count: int, wanted: Wanted) -> str:
    b = t.b
    names = names or fresh_names(b, count)
    if (centre := node.role("centre")) is not None:
        return _about_its_centre(t, node, names, centre)
    if (lengths := node.role("diagonals")) is not None:
        return _by_diagonals(t, node, names, lengths)
    diagonals = [wanted.lengths.get(frozenset(names[corner::2])) for corner in (0, 1)] if count == 4 else []
    said = [size for size in diagonals if size is not None]
    if said and (node.head == "square" or (node.head == "rhombus" and len(said) > 1)):
        return _crossed_at_right_angles(t, node, names, said)
    if said:
        return polygon_by_facts(t, names, with_what_it_has(node, names, wanted))
    sizes: list[Any] = sizes_said(t, node)
    if not sizes and wanted.lengths:
        # Opposite sides are equal: what is said of one of them is said of the other.
        sides = [wanted.lengths.get(frozenset((names[n], names[(n + 1) % count]))) for n in range(count)]
        around = sides if count != 4 else [sides[0] or sides[2], sides[1] or sides[3]]
        sizes = around[:2] if node.head == "rectangle" else [next((size for size in sides if size is not None), None)]
    a, c = first_side(t, names, sizes[0] if sizes else None)
    key = {"square": "square", "rectangle": "rectangle", "rhombus": "rhombus"}.get(node.head, "equilateral" if count == 3 else "regular")
    if node.head == "rectangle" and len(sizes) > 1 and sizes[1] is not None:
        across = b.make("perpendicular", {"base": (a, c), "point": (c,)}, hidden=True)
        circle = b.make("circle_radius", {"centre": (c,), "radius": sizes[1]}, hidden=True)
        which = upper_crossing(t, [across, circle], (a, c))
        third = b.make("intersection", {"a": (across,), "b": (circle,), "which": which or "first"}, names[2])
        fourth = b.make("fourth_corner", {"corners": (a, c, third)}, names[3])
        return b.polygon((a, c, third, fourth))
    fills: dict[str, Any] = {"from": (a,), "to": (c,)}
    if key == "regular":
        fills["count"] = float(count)
    made = b.make_parts(key, fills, names[2:])
    return next(id for id in made if b.kind(id) == POLYGON)


def _with_an_angle(t: Things, node: Described, names: tuple[str, ...], wanted: Wanted) -> str:
    """A rhombus by its side and an angle: a parallelogram of four such sides."""
    names = names or fresh_names(t.b, 4)
    sizes: list[Any] = [*sizes_said(t, node), *wanted.lengths.values()]
    angles = [t.aside(lambda size=size: angle_said(t, size)) for size in amounts_in(node.role("angles"))]  # type: ignore[misc]
    if not sizes and not any(t.b.has(name) for name in names):
        sizes = [t.aside(lambda: t.b.points(names[:2]))]  # a free side, as long as which the others are
    if len(sizes) != 1 or len(angles) + len(wanted.angles) != 1:
        raise Refusal("A rhombus is made from the length of its sides and one angle. Say: a rhombus ABCD with side 4 and angle 50°.")
    wanted.lengths = {frozenset(names[1:3]): sizes[0]}
    if not all(t.b.has(name) for name in names[:2]):
        wanted.lengths[frozenset(names[:2])] = sizes[0]
    wanted.angles = wanted.angles or {names[0]: angles[0]}
    return _by_sides(t, replace(node, head="parallelogram"), names, wanted)


def _about_its_centre(t: Things, node: Described, names: tuple[str, ...], about: Node) -> str:
    """A regular polygon about its centre: its first corner is where it is said to be, or free."""
    b = t.b
    if node.head in ("rectangle", "rhombus") or sizes_said(t, node):
        raise Refusal(f"A {node.head} about a centre is said by a corner. Say: the square with centre O through A.")
    centre = t.point_aside(about)
    through = node.role("through", "corner_at")
    start = t.point_aside(through) if through is not None else b.point(names[0]) if b.has(names[0]) else b.free_point(names[0])
    rest = names[1:] if through is None or b.ahead.name(start) == names[0] else names[: len(names) - 1]
    made = b.make_parts("regular_about", {"count": float(len(names)), "centre": (centre,), "corner": (start,)}, rest)
    return next(id for id in made if b.kind(id) == POLYGON)


def _by_diagonals(t: Things, node: Described, names: tuple[str, ...], across: Node) -> str:
    """A rhombus, or a square, by its diagonals: they bisect one another at a right angle."""
    b = t.b
    if node.head == "square" and isinstance(across, Named) and len(across.points) == 2 and all(b.has(point) for point in across.points):
        start, opposite = b.points(across.points)
        centre = b.make("midpoint", {"span": (start, opposite)}, hidden=True)
        rest = iter(fresh_names(b, 2) if set(across.points).isdisjoint(names) else [name for name in names if name not in across.points])
        turned = [b.make("turned", {"point": (start,), "centre": (centre,), "angle": angle}, next(rest, None)) for angle in (90.0, -90.0)]
        return b.polygon((start, turned[0], opposite, turned[1]))
    if node.head == "rhombus" and isinstance(across, Named) and len(across.points) == 2 and all(b.has(point) for point in across.points):
        return _rhombus_on_diagonal(t, node, names, b.points(across.points))
    sizes = [t.aside(lambda size=size: length_said(t, size)) for size in amounts_in(across)]  # type: ignore[misc]
    if not 1 <= len(sizes) <= 2:
        raise Refusal(f"A {node.head} is not made from its diagonals here; a rhombus is, from two lengths.")
    return _crossed_at_right_angles(t, node, names, sizes)


def _rhombus_on_diagonal(t: Things, node: Described, names: tuple[str, ...], ends: tuple[str, ...]) -> str:
    """A rhombus on a diagonal that is there, by the length of its sides."""
    b = t.b
    side = node.role("side", "sides")
    if side is None:
        raise Refusal("A rhombus on a diagonal is settled by its sides. Say: a rhombus with diagonal AC and side 5.")
    size = t.aside(lambda: length_said(t, side))
    known = {b.ahead.name(id) for id in ends}
    rest = iter([name for name in names if name not in known] if known <= set(names) else fresh_names(b, 2))
    rounds = [b.make("circle_radius", {"centre": (end,), "radius": size}, hidden=True) for end in ends]
    others = [
        b.make("intersection", {"a": (rounds[0],), "b": (rounds[1],), "which": which}, next(rest, None)) for which in ("first", "second")
    ]
    return b.polygon((ends[0], others[0], ends[1], others[1]))


def _crossed_at_right_angles(t: Things, node: Described, names: tuple[str, ...], sizes: Sequence[Any]) -> str:
    """A rhombus, or a square, by the lengths of its diagonals. Raises Refusal."""
    b = t.b
    if node.head not in ("rhombus", "square") or not all(isinstance(size, float) for size in sizes):
        raise Refusal(f"A {node.head} is not made from its diagonals here; a rhombus is, from two lengths.")
    if node.head == "square" and len(set(sizes)) > 1:
        raise Refusal("The diagonals of a square are equal.")
    start, opposite = first_side(t, (names[0], names[2]), sizes[0])
    middle = b.make("midpoint", {"span": (start, opposite)}, hidden=True)
    upright = b.make("perpendicular", {"base": (start, opposite), "point": (middle,)}, hidden=True)
    round_ = b.make("circle_radius", {"centre": (middle,), "radius": sizes[-1] / 2}, hidden=True)
    ends = [
        b.make("intersection", {"a": (upright,), "b": (round_,), "which": which}, name)
        for which, name in (("first", names[1]), ("second", names[3]))
    ]
    return b.polygon((start, ends[0], opposite, ends[1]))


def _of_three_corners(t: Things, node: Described, names: tuple[str, ...], wanted: Wanted) -> str:
    """Parallelograms, kites and trapezia: from three corners, the fourth made from them."""
    b = t.b
    names = names or fresh_names(b, 4)
    if len(names) != 4:
        raise Refusal(f"A {node.head} has four corners.")
    order: tuple[str, ...] = names
    if node.head == "kite" and wanted.equal:
        # A kite is made with its axis from its first corner to its third: begin where the two equal sides meet.
        common = next((one & two for one, two in wanted.equal), frozenset())
        if len(common) == 1:
            at = names.index(next(iter(common)))
            order = (*names[at:], *names[:at])
    if node.head == "trapezium" and wanted.parallel:
        one, two = wanted.parallel[0]
        if frozenset(order[:2]) not in (one, two):
            order = (*names[1:], names[0])
    sizes = sizes_said(t, node)
    angles = [t.aside(lambda size=size: angle_said(t, size)) for size in amounts_in(node.role("angles"))]  # type: ignore[misc]
    if (sizes or angles) and (node.head not in ("parallelogram", "kite") or len(sizes) > 2 or len(angles) > 1):
        raise Refusal(f"Such sizes do not make a {node.head} here. Say its corners, or make a parallelogram by two sides and an angle.")
    if sizes and not wanted.lengths:
        wanted.lengths = {frozenset(order[:2]): sizes[0], frozenset(order[1:3]): sizes[-1]}
    if angles and not wanted.angles:
        wanted.angles = {order[0]: angles[0]}
    is_sized = bool(wanted.lengths or wanted.angles)
    if wanted.times or (node.head == "trapezium" and is_sized) or not _are_of_sides(node.head, order, wanted):
        return polygon_by_facts(t, names, with_what_it_has(node, names, wanted))
    if is_sized:
        return _by_sides(t, node, order, wanted)
    known = [name for name in order if b.has(name)]
    missing = [name for name in order[:3] if not b.has(name)]
    if order[3] in known:
        raise Refusal(f"{order[3]} is there already: a {node.head} is made from {', '.join(order[:3])}.")
    if len(missing) == 3:
        places = list(kept_places(t, 4))
        if node.head == "kite":
            # Its second corner stands beside its axis, nearer to the first: else the kite would be a dart.
            (x, y), (u, v) = places[0], (places[2][0] - places[0][0], places[2][1] - places[0][1])
            places[1] = (round(x + 0.36 * u + 0.34 * v, 2), round(y + 0.36 * v - 0.34 * u, 2))
        for name, at in zip(order[:3], places):
            b.free_point(name, at)
    corners = b.points(order[:3])
    key = "isosceles_trapezium" if node.head == "trapezium" and "isosceles" in node.adjectives else node.head
    made = b.make_parts(key, {"corners": corners}, order[3:])
    return next(id for id in made if b.kind(id) == POLYGON)


def _are_of_sides(kind: str, names: Sequence[str], wanted: Wanted) -> bool:
    """Whether all that is said of lengths is said of sides, and parallel is only what makes the shape one of its kind."""
    sides = {frozenset(pair) for pair in zip(names, (*names[1:], names[0]))}
    spans = {*wanted.lengths, *(span for pair in wanted.equal for span in pair)}
    return spans <= sides and (kind == "trapezium" or not wanted.parallel)


def _by_sides(t: Things, node: Described, names: tuple[str, ...], wanted: Wanted) -> str:
    """A parallelogram or a kite whose sides, or the angle between them, are said."""
    b = t.b
    a, c, third, fourth = names
    equal = ((third, fourth), (fourth, a)) if node.head == "parallelogram" else ((fourth, a), (third, fourth))
    sides = [[wanted.lengths.get(frozenset(pair)) for pair in pairs] for pairs in zip(((a, c), (c, third)), equal)]
    if any(None not in pair and pair[0] != pair[1] for pair in sides):
        raise Refusal(f"Those sides of a {node.head} are as long as one another.")
    if node.head == "kite" and not {c, fourth}.issuperset(wanted.angles):
        raise Refusal("The angle of a kite that is chosen is one between two sides that are not of one length.")
    first = first_side(t, (a, c), next((size for size in sides[0] if size is not None), None))
    inner = Wanted()
    if (size := next((size for size in sides[1] if size is not None), None)) is not None:
        inner.lengths[frozenset((c, third))] = size
    for name, angle in wanted.angles.items():
        same = name in (c, fourth)
        inner.angles[c] = angle if same or not isinstance(angle, float) else 180.0 - angle
    corner = third_corner(t, first, third, inner, False, None, mirrored=node.head == "kite")
    if node.head == "kite":
        made = b.make_parts("kite", {"corners": (*first, corner)}, [fourth])
        return next(id for id in made if b.kind(id) == POLYGON)
    last = b.make("fourth_corner", {"corners": (*first, corner)}, fourth)
    return b.polygon((*first, corner, last))


def _cyclic(t: Things, names: tuple[str, ...]) -> str:
    """A quadrilateral whose corners are on one circle: three are free, the others ride on their circle."""
    b = t.b
    places = kept_places(t, len(names))
    corners = [b.point(name) if b.has(name) else b.free_point(name, at) for name, at in zip(names[:3], places)]
    circle = b.make("circumcircle", {"a": (corners[0],), "b": (corners[1],), "c": (corners[2],)}, hidden=True)
    x, y = b.now(circle)[:2]
    start, stop = (math.degrees(math.atan2(b.now(id)[1] - y, b.now(id)[0] - x)) for id in (corners[2], corners[0]))
    gap = (stop - start) % 360
    for number, name in enumerate(names[3:], 1):
        corners.append(
            b.make(
                "point_on",
                {"path": (circle,), "place": (start + gap * (0.47 if len(names) == 4 else number / (len(names) - 2))) % 360},
                name,
            )
        )
    return b.polygon(corners)
