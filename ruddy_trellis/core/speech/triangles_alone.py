"""Triangles that stand by themselves: by sizes, by facts, of a sort. They are measured: all that is said is so, or it is refused."""

from __future__ import annotations

from collections.abc import Iterator
from copy import deepcopy
from typing import Any

from ..refusal import Refusal
from .amounts import angle_said, length_said
from .corners_by_facts import polygon_by_facts
from .nodes import Amount, Described
from .refusals import Final, Stray
from .shape_checks import is_as_said
from .shape_facts import Wanted, best_order, check_sides, equal_to_first
from .shapes_on_sides import shape_on_span
from .things import Things
from .third_corners import amounts_in, first_side, fresh_names, sizes_said, third_corner

_RIGHT = 90.0


def triangle_alone(t: Things, node: Described, names: tuple[str, ...], wanted: Wanted) -> str:
    """A triangle of which sizes and facts are said, or nothing. Returns its id. Raises Refusal.

    Args:
        names: of its corners, where they are said.
        wanted: what is said of its sides and angles by name.
    """
    b = t.b
    fresh, corners = not names, names or fresh_names(b, 3)
    if node.role("height") is not None:
        if "right-angled" not in node.adjectives:
            return _of_height(t, node, names, wanted)
        _take_height_as_leg(t, node, corners, wanted)
    else:
        _take_sizes(t, node, corners, wanted)
    if "obtuse" in node.adjectives:
        return _obtuse(t, corners, wanted)
    told = {name for side in (*wanted.lengths, *(side for pair in wanted.pairs() for side in pair)) for name in side}
    if not {*told, *wanted.angles} <= set(corners):
        raise Refusal(f"That is said of other points than {', '.join(corners)}.")
    is_of_a_sort = not {"isosceles", "right-angled"}.isdisjoint(node.adjectives)
    if not wanted and not is_of_a_sort and (not fresh or not any(map(b.has, corners))):
        return b.polygon(b.points(corners))
    mark, last = b.mark(), None
    for way in _ways(node, corners, wanted):
        for make in (polygon_by_facts,) if way.times else (_by_two_corners, polygon_by_facts):
            b.back_to(mark)
            try:
                polygon = make(t, corners, deepcopy(way))
            except Refusal as refusal:
                last = last or refusal
                continue
            if is_as_said(t, polygon, node, way):
                return polygon
    b.back_to(mark)
    raise Final(last.sentence if last else "No triangle was found of which all of that is so.")


def _of_height(t: Things, node: Described, names: tuple[str, ...], wanted: Wanted) -> str:
    base = node.role("base", "on")
    if wanted or sizes_said(t, node) or node.role("angles", "hypotenuse") is not None:
        raise Refusal("The height of a triangle is said with its base alone: a triangle with base 6 and height 4.")
    size = t.aside(lambda: length_said(t, base)) if isinstance(base, Amount) else None
    return shape_on_span(t, node, first_side(t, names or fresh_names(t.b, 3), size), names)


def _take_height_as_leg(t: Things, node: Described, names: tuple[str, ...], wanted: Wanted) -> None:
    """Of a right-angled triangle on a leg the height is the other one."""
    base = node.role("base", "on")
    if "isosceles" in node.adjectives or wanted or sizes_said(t, node) or node.role("angles", "hypotenuse") is not None:
        raise Refusal("Say the two legs of the right-angled triangle, or a leg and its hypotenuse.")
    if isinstance(base, Amount):
        wanted.lengths[frozenset(names[:2])] = t.aside(lambda: length_said(t, base))
    wanted.lengths[frozenset(names[1:])] = t.aside(lambda: length_said(t, node.role("height")))  # type: ignore[arg-type]
    wanted.angles[names[1]] = _RIGHT


def _take_sizes(t: Things, node: Described, names: tuple[str, ...], wanted: Wanted) -> None:
    """Note the sizes that are said without names as those of sides and corners. Raises Refusal."""
    sizes = sizes_said(t, node)
    angles = [t.aside(lambda size=size: angle_said(t, size)) for size in amounts_in(node.role("angles"))]  # type: ignore[misc]
    a, c, third = names
    isosceles, right = "isosceles" in node.adjectives, "right-angled" in node.adjectives
    sides = [frozenset((a, c)), frozenset((c, third)), frozenset((third, a))]
    base = node.role("base", "on")
    if isinstance(base, Amount):
        wanted.lengths[sides[0]] = t.aside(lambda: length_said(t, base))
        if len(sizes) > 2 or (len(sizes) == 1 and not isosceles):
            raise Refusal("A triangle on a base is said by both of its other sides, or as isosceles by one.")
        wanted.lengths |= dict(zip(sides[1:], sizes * (3 - len(sizes)))) if sizes else {}
    elif (longest := node.role("hypotenuse")) is not None:
        if not right or len(sizes) > 1 or not isinstance(longest, Amount) or wanted.lengths or wanted.angles:
            raise Refusal("A hypotenuse is that of a right-angled triangle: say it as a length, with one leg.")
        wanted.lengths = {sides[2]: t.aside(lambda: length_said(t, longest)), **dict(zip(sides[:1], sizes))}
        wanted.angles = {c: _RIGHT}
    elif sizes:
        if wanted.lengths:
            raise Refusal("Say all of the lengths with the names of their sides, or none of them.")
        if right and (len(sizes) == 2 or (isosceles and len(sizes) == 1)):
            at = _right_corner(node, names, wanted) if wanted.equal or wanted.angles else c
            around = [side for side in (*sides[:1], sides[2], sides[1]) if at in side]
            wanted.lengths = {around[0]: sizes[0], around[1]: sizes[-1]}
            wanted.angles[at] = _RIGHT
        elif isosceles and len(sizes) == 1:
            wanted.lengths = {sides[1]: sizes[0], sides[2]: sizes[0]}  # those that are equal
        elif isosceles and len(sizes) == 2:
            wanted.lengths = {sides[0]: sizes[0], sides[1]: sizes[1], sides[2]: sizes[1]}
        else:
            wanted.lengths = dict(zip(sides, sizes))
    _take_angles(names, wanted, angles, len(sizes), isosceles, right)
    check_sides(wanted, sides)


def _take_angles(names: tuple[str, ...], wanted: Wanted, angles: list[Any], sizes: int, isosceles: bool, right: bool) -> None:
    are_plain = all(isinstance(size, float) for size in angles)
    if len(angles) > 2 and are_plain and (len(angles) > 3 or abs(sum(angles) - 180) > 1e-9):
        raise Final("The three angles of a triangle add up to 180°.")
    if isosceles and len(angles) == 2 and angles[0] == angles[1]:
        angles = angles[:1]  # the other one is as large anyway
    if right and len(angles) == 2 and are_plain and _RIGHT not in angles:
        if abs(sum(angles) - _RIGHT) > 1e-9:
            raise Final("The two acute angles of a right-angled triangle add up to 90°.")
        angles = angles[:1]
    if right and len(angles) == 1 and are_plain and angles[0] > _RIGHT:
        raise Final("The other angles of a right-angled triangle are less than 90°.")
    # Of two sides and one angle it is that between them.
    for name, size in zip(names[1:2] if sizes == 2 and len(angles) == 1 and not right else names[:2], angles):
        if wanted.angles.setdefault(name, size) != size:
            raise Refusal(f"Two sizes are said of the angle {name}.")


def _right_corner(node: Described, names: tuple[str, ...], wanted: Wanted) -> str:
    """Where the right angle of a triangle goes of which nobody says where: between sides that are equal, else at its second corner."""
    shared = next((next(iter(one & other)) for one, other in wanted.equal if len(one & other) == 1), None)
    if shared is not None:
        return shared
    if "isosceles" in node.adjectives and (not wanted.lengths or isinstance(node.role("base"), Amount)):
        return names[2]
    return next((name for name in (names[1], names[2], names[0]) if name not in wanted.angles), names[1])


def _ways(node: Described, names: tuple[str, ...], wanted: Wanted) -> Iterator[Wanted]:
    """What is wanted with what makes a triangle isosceles or right-angled, the likeliest way first: where the right angle is, and which
    sides are equal, is chosen so that the rest can be so too."""
    first = [_right_corner(node, names, wanted)]
    is_right = "right-angled" in node.adjectives and _RIGHT not in wanted.angles.values()
    for at in [*first, *(name for name in names if name not in first)] if is_right else [None]:
        if at is not None and at in wanted.angles:
            continue
        way = deepcopy(wanted)
        if at is not None:
            way.angles[at] = _RIGHT
        if "isosceles" not in node.adjectives or way.equal:
            yield way
            continue
        corner = next((name for name in names if way.angles.get(name) == _RIGHT), names[2])
        for apex in (corner, *(name for name in names if name != corner)):
            one, other = (frozenset((apex, name)) for name in names if name != apex)
            if way.lengths.get(one, 0) == way.lengths.get(other, 0) or not {one, other} <= set(way.lengths):
                yield Wanted(dict(way.lengths), [] if {one, other} <= set(way.lengths) else [(other, one)], dict(way.angles), [])


def _by_two_corners(t: Things, names: tuple[str, ...], wanted: Wanted) -> str:
    """A triangle whose third corner follows from the other two."""
    b = t.b
    order = best_order(b, names, wanted)
    a, c, third = order
    size = wanted.lengths.get(frozenset((a, c)))
    if b.has(a) and b.has(c):
        if size is not None:
            raise Refusal(f"{a} and {c} are there already, so the length of {a}{c} cannot be chosen.")
        span = b.points((a, c))
        first = (span[0], span[1])
    else:
        first = first_side(t, (a, c), size)
    if b.has(third):
        raise Refusal(f"{third} is there already, so the triangle cannot be chosen.")
    equal_to_first(wanted, first, (a, c, third))
    corner = third_corner(t, first, third, wanted, False, None)
    ids = {a: first[0], c: first[1], third: corner}
    return b.polygon(tuple(ids[name] for name in names))


def _obtuse(t: Things, names: tuple[str, ...], wanted: Wanted) -> str:
    b = t.b
    if wanted or any(map(b.has, names)):
        raise Stray("“obtuse” is not understood of a triangle whose corners or sizes are said.")
    x, y, right, top = b.ahead.settings.view
    size = 0.3 * min(right - x, top - y)
    middle = ((x + right) / 2, (y + top) / 2)
    places = [(middle[0] + u * size, middle[1] + v * size) for u, v in ((-1.1, -0.5), (0.5, -0.6), (1.5, 0.6))]
    return b.polygon([b.free_point(name, (round(at[0], 2), round(at[1], 2))) for name, at in zip(names, places)])
