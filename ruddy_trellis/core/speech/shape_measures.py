"""Shapes by what is measured of them: area, perimeter, height, diagonals. Where it says how long the sides are, these are said instead;
else the shape is made from lines at its height, or from its diagonals."""

from __future__ import annotations

import math
from dataclasses import replace
from typing import Any

from ..refusal import Refusal
from .amounts import length_said
from .nodes import Amount, Described, Many, Named
from .refusals import Stray
from .shape_facts import Wanted
from .shapes_on_sides import CORNER_COUNTS
from .spans import best_crossing, distant_from
from .things import Things
from .third_corners import amounts_in, first_side, fresh_names, upper_crossing

#: Parts that say a measure of a shape.
_MEASURES = ("area", "perimeter", "height", "base", "diagonals", "side", "sides")
_SIDES = ("base", "side", "sides")
#: A number of so many decimals is written as it is.
_SHORT = 4


def measures_of(t: Things, node: Described) -> dict[str, list[float]]:
    """The measures that are said of a shape, in board units, lengths of sides as "sides". Raises Refusal for what is no plain number."""
    found: dict[str, list[float]] = {}
    for place, (role, part) in enumerate(node.roles):
        before = node.roles[place - 1][0] if place else ""
        role = before if role == "and" and before in _MEASURES else role
        if role not in _MEASURES:
            continue
        for item in amounts_in(part):
            found.setdefault("sides" if role in _SIDES else role, []).append(_plain(t, item, role))
    return found


def _plain(t: Things, item: Any, role: str) -> float:
    size = t.aside(lambda: length_said(t, item))
    if not isinstance(size, float) or size <= 0:
        raise Refusal(f"The {role.removesuffix('s')} of such a shape is said as a number above zero.")
    if role == "area" and isinstance(item, Amount) and (unit := item.text.lstrip("0123456789. ")):
        # "16 cm" has come of 16 cm²: one more length of that unit.
        size *= _plain(t, Amount(f"1 {unit}"), "side")
    return size


def by_sides(t: Things, node: Described) -> Described:
    """A shape whose sides follow from its area, its perimeter, its height or its diagonals, as one whose sides are said; others as they
    are.

    Raises:
        Refusal: where there is no such shape.
    """
    roles = {role for role, _ in node.roles}
    by_height = "height" in roles and "equilateral" in node.adjectives
    if isinstance(drawn := node.role("diagonals"), Named) and len(drawn.points) == 2 and all(map(t.b.has, drawn.points)):
        return node  # it has a place, and not only a length
    if not (roles & {"area", "perimeter"} or by_height or ("diagonals" in roles and node.head in ("rectangle", "rhombus"))):
        return node
    asked = measures_of(t, node)
    area, around, height, across = (asked.get(role) for role in ("area", "perimeter", "height", "diagonals"))
    sides = asked.get("sides", [])
    count = CORNER_COUNTS[node.head] or len([point for name in node.names if isinstance(name, Named) for point in name.points])
    if count < 3:
        raise Refusal("How many corners has it? Say: a regular hexagon with area 12.")
    is_regular = node.head == "square" or "regular" in node.adjectives or "equilateral" in node.adjectives or count > 4
    if around and len(asked) == 1 and (is_regular or node.head == "rhombus"):
        return _with(node, around[0] / count)
    if area and len(asked) == 1 and is_regular:
        size = math.sqrt(4 * area[0] * math.tan(math.pi / count) / count)
        return _with(node, _amount(size, {3: f"sqrt(4*{area[0]:.15g}/sqrt(3))", 4: f"sqrt({area[0]:.15g})"}.get(count, "")))
    if height and len(asked) == 1 and "equilateral" in node.adjectives:
        return _with(node, _amount(2 * height[0] / math.sqrt(3), f"2*{height[0]:.15g}/sqrt(3)"))
    if node.head == "rectangle" and len(sides) == 1 and len(asked) == 2:
        one = sides[0]
        if area:
            return _with(node, one, area[0] / one)
        if around:
            return _with(node, one, _some(around[0] / 2 - one, node))
        if across:
            size = math.sqrt(_some(across[0] ** 2 - one**2, node))
            return _with(node, one, _amount(size, f"sqrt({across[0]:.15g}^2 - {one:.15g}^2)"))
    if node.head == "rhombus" and across and len(across) == 1 and len(asked) == 2:
        if sides:
            return _with_diagonals(node, across[0], 2 * math.sqrt(_some(sides[0] ** 2 - across[0] ** 2 / 4, node)))
        if area:
            return _with_diagonals(node, across[0], 2 * area[0] / across[0])
    if node.head == "triangle" and area and len(sides) == 1 and len(asked) == 2:
        kept = [(role, part) for role, part in node.roles if role not in (*_SIDES, "area")]
        return replace(node, roles=(*kept, ("base", _amount(sides[0])), ("height", _amount(2 * area[0] / sides[0]))))
    if area or around:
        raise Stray(f"A {node.head} is not made from that. Say the lengths of its sides, or an area and one of them.")
    return node


def circle_by_radius(t: Things, node: Described) -> Described:
    """A circle whose area or circumference is said, as one whose radius is."""
    asked = measures_of(t, node)
    if len(asked) != 1 or not (said := asked.get("area") or asked.get("perimeter")) or node.role("radius", "diameter") is not None:
        raise Stray("A circle has one size. Say its radius, its diameter, its circumference or its area.")
    size = f"{said[0]:.15g}"
    radius = (
        _amount(math.sqrt(said[0] / math.pi), f"sqrt({size}/pi)") if "area" in asked else _amount(said[0] / (2 * math.pi), f"{size}/(2*pi)")
    )
    kept = [pair for pair in node.roles if pair[0] not in ("area", "perimeter")]
    return replace(node, roles=(*kept, ("radius", radius)))


def _amount(size: float, formula: str = "") -> Amount:
    """A size, as the formula that it comes of where it is no short number."""
    return Amount(formula if formula and abs(size - round(size, _SHORT)) > 1e-12 * size else f"{size:.15g}")


def _some(size: float, node: Described) -> float:
    if size <= 0:
        raise Refusal(f"There is no such {node.head}: those sizes do not go together.")
    return size


def _with(node: Described, *sizes: float | Amount) -> Described:
    kept = [pair for pair in node.roles if pair[0] not in (*_MEASURES, "and")]
    said = [size if isinstance(size, Amount) else _amount(size) for size in sizes]
    return replace(node, roles=(*kept, ("side", Many(tuple(said)) if len(said) > 1 else said[0])))


def _with_diagonals(node: Described, *sizes: float) -> Described:
    kept = [pair for pair in node.roles if pair[0] not in (*_MEASURES, "and")]
    return replace(node, roles=(*kept, ("diagonals", Many(tuple(map(_amount, sizes))))))


def measured_shape(t: Things, node: Described, names: tuple[str, ...], wanted: Wanted) -> str | None:
    """A quadrilateral of a height, or by its diagonals; None where it is said otherwise. Raises Refusal.

    Args:
        wanted: what is said of its sides, diagonals and angles by name.
    """
    if node.head not in ("parallelogram", "kite", "trapezium", "rectangle") or any(map(t.b.has, names)):
        return None
    is_measured = bool({role for role, _ in node.roles} & {"height", "diagonals"})
    asked = measures_of(t, node) if is_measured else {}
    corners = names or fresh_names(t.b, 4)
    both = [wanted.lengths.get(frozenset(corners[place::2])) for place in (0, 1)]
    named = [size for size in both if isinstance(size, float)]
    if not asked and len(named) == len(wanted.lengths) == 2 and wanted == Wanted(wanted.lengths):
        asked, node = {"diagonals": named}, replace(node, roles=tuple(pair for pair in node.roles if pair[0] != "facts"))
    heights, across, sides = (asked.get(role, []) for role in ("height", "diagonals", "sides"))
    others = {role for role, _ in node.roles} - {*_MEASURES, "and"}
    if others or not (is_measured or asked):
        return None
    names = corners
    if across and not heights and not sides:
        if len(across) > 2 or (len(across) == 1 and node.head != "rectangle") or (node.head == "rectangle" and len(set(across)) > 1):
            return None
        return _by_diagonals(t, node.head, names, across[0], across[-1])
    if len(heights) == 1 and not across and node.head in ("parallelogram", "trapezium"):
        return _of_height(t, node, names, heights[0], sides)
    return None


def _by_diagonals(t: Things, kind: str, names: tuple[str, ...], one: float, other: float) -> str | None:
    """A parallelogram or a rectangle whose second corner slides on a circle about its middle, or a kite whose second corner slides beside
    its axis."""
    b = t.b
    if kind == "trapezium":
        return None
    a, c = first_side(t, (names[0], names[2]), one)
    if kind == "kite":
        beside = b.make("parallel", {"base": (c, a), "point": (distant_from(t, (c, a), other / 2),)}, hidden=True)
        second = b.make("point_on", {"path": (beside,), "place": 0.64}, names[1])
        last = b.make("mirrored", {"point": (second,), "mirror": (a, c)}, names[3])
        return b.polygon((a, second, c, last))
    middle = b.make("midpoint", {"span": (a, c)}, hidden=True)
    round_ = b.make("circle_radius", {"centre": (middle,), "radius": other / 2}, hidden=True)
    second = b.make("point_on", {"path": (round_,), "place": 300.0}, names[1])
    last = b.make("fourth_corner", {"corners": (a, second, c)}, names[3])
    return b.polygon((a, second, c, last))


def _of_height(t: Things, node: Described, names: tuple[str, ...], height: float, sides: list[float]) -> str:
    """A parallelogram or a trapezium on its first side, with the opposite one at a distance. Raises Refusal."""
    b, is_alike = t.b, node.head == "parallelogram"
    if len(sides) > 2 or (not is_alike and not sides) or (is_alike and len(sides) == 2 and sides[1] < height):
        raise Refusal(f"There is no such {node.head}. Say its sides and its height: a {node.head} with sides 6 and 4 and height 3.")
    a, c = first_side(t, names[:2], sides[0] if sides else None)
    opposite = b.make("parallel", {"base": (a, c), "point": (distant_from(t, (a, c), height),)}, hidden=True)
    if "isosceles" in node.adjectives:
        if is_alike or len(sides) != 2:
            raise Refusal("An isosceles trapezium of a height is said by its two parallel sides.")
        axis = b.make("perpendicular_bisector", {"span": (a, c)}, hidden=True)
        middle = b.make("intersection", {"a": (opposite,), "b": (axis,)}, hidden=True)
        round_ = b.make("circle_radius", {"centre": (middle,), "radius": sides[1] / 2}, hidden=True)
        last = b.make("intersection", {"a": (opposite,), "b": (round_,), "which": _ahead(t, opposite, round_, c, a)}, names[3])
        third = b.make("mirrored", {"point": (last,), "mirror": (axis,)}, names[2])
        return b.polygon((a, c, third, last))
    if is_alike and len(sides) == 2:
        round_ = b.make("circle_radius", {"centre": (a,), "radius": sides[1]}, hidden=True)
        last = b.make("intersection", {"a": (opposite,), "b": (round_,), "which": upper_crossing(t, [opposite, round_], (a, c))}, names[3])
    else:
        last = b.make("point_on", {"path": (opposite,), "place": 0.2}, names[3])
    if is_alike:
        return b.polygon((a, c, b.make("fourth_corner", {"corners": (c, a, last)}, names[2]), last))
    if len(sides) < 2:
        third = b.make("point_on", {"path": (opposite,), "place": 0.8}, names[2])
    else:
        round_ = b.make("circle_radius", {"centre": (last,), "radius": sides[1]}, hidden=True)
        third = b.make("intersection", {"a": (opposite,), "b": (round_,), "which": _ahead(t, opposite, round_, a, c)}, names[2])
    return b.polygon((a, c, third, last))


def _ahead(t: Things, line: str, circle: str, start: str, stop: str) -> str:
    """Which crossing of a line with a circle is further on in the direction from one point to another."""
    (ax, ay), (cx, cy) = (t.b.now(id)[:2] for id in (start, stop))
    return best_crossing(t, (line,), (circle,), lambda place: place[0] * (cx - ax) + place[1] * (cy - ay))
