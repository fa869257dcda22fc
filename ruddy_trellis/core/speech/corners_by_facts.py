"""Polygons whose corners follow one from the other by what is said of their sides and angles."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations, permutations
from typing import Any, TypeAlias

from ..kinds import CIRCLE
from ..language.expression import read_formula
from ..language.filling import operand
from ..refusal import Refusal
from .building import Building
from .on_paths import is_on
from .placing import special
from .refusals import Final
from .shape_facts import Wanted
from .things import Things

#: Up to how many corners an order is looked for in which they follow from each other.
MOST_CORNERS = 6
_RIGHT = 90.0
#: What it adds to how bad a place is that the shape is not convex there; that a triangle looks special there (each time in which it does).
_NOT_CONVEX, _LOOKS_SPECIAL = 1e6, 1e4
_TRIANGLE = 3
#: Where the last point is tried besides the nearest place, if the shape is not convex or looks special there: degrees on a circle, on a
#: line as many parts of a hundred of how large the shape is.
_BESIDE = (0.0, 20.0, -20.0, 45.0, -45.0, 90.0, -90.0, 180.0)
#: From how many places the corners are tried until the shape is convex.
_ATTEMPTS = 24
#: In how many orders, in turn.
_ORDERS = 4
#: How bad a shape is: convex; not convex, with what is said of it; with sides that cross or angles on the outside; with a corner that has
#: no place now.
_CONVEX, _DENTED, _OTHERWISE, _NOWHERE = range(4)
#: By how many degrees a drawn angle may differ from what is said of it.
_SLACK = 1e-6

Places: TypeAlias = dict[str, tuple[float, float]]


@dataclass(frozen=True)
class _Fact:
    """One thing that is said of a polygon.

    Attributes:
        kind: "length", "equal", "times", "parallel", "angle" or "cyclic".
        one: the ends of a side or diagonal, a corner and its two neighbours, or the corners that are on one circle.
        other: the ends of what it is equal or parallel to.
        size: a length or an angle; of "times" how many times the other it is.
    """

    kind: str
    one: tuple[str, ...]
    other: tuple[str, ...] = ()
    size: Any = None

    @property
    def corners(self) -> frozenset[str]:
        return frozenset((*self.one, *self.other))

    def leads_to(self, corner: str) -> bool:
        """Whether the corner, as the last of those of which it is said, lies on a curve that can be drawn."""
        if self.kind == "angle":
            return corner != self.one[0] or self.size == _RIGHT
        if self.kind in ("parallel", "times"):
            return (corner in self.one) != (corner in self.other)
        return True


def polygon_by_facts(t: Things, names: tuple[str, ...], wanted: Wanted, cyclic: bool = False) -> str:
    """A polygon of new corners of whose sides, diagonals and angles something is said. Returns its id. Raises Refusal.

    Args:
        cyclic: whether its four corners are on one circle.
    """
    b = t.b
    facts = _facts(names, wanted) + ([_Fact("cyclic", names)] if cyclic else [])
    if len(names) > MOST_CORNERS or any(map(b.has, names)):
        raise Refusal("What is said of the sides and angles is how new corners are made: name a shape that is not there.")
    if not all(fact.corners <= set(names) for fact in facts):
        raise Refusal(f"That is said of other points than {', '.join(names)}.")
    orders = _orders(names, facts)
    if not orders:
        raise Final("That is more than makes the shape, or it does not follow from that where its corners are.")
    _build(t, orders, facts, _ideal(b, names, wanted))
    ids = b.points(names)
    for id in ids:
        b.settle(id)
    return b.polygon(ids)


def _build(t: Things, orders: Sequence[tuple[str, ...]], facts: Sequence[_Fact], ideal: Places) -> None:
    """Make the corners. What is chosen of the first ones decides how the last ones come out: they are tried in one order after the other,
    from ever other places, and those are kept with which the shape is the best. Raises Refusal."""
    b = t.b
    mark = b.mark()
    found, least = (orders[0], ideal), math.inf
    for number in range(_ATTEMPTS):
        tried = orders[number % len(orders)], _varied(ideal, number)
        bad = _built(t, facts, *tried)
        if bad == _CONVEX:
            return
        b.back_to(mark)
        if bad < least:
            found, least = tried, bad
    if least == _OTHERWISE or (least == _NOWHERE and all(isinstance(fact.size, float | None) for fact in facts)):
        raise Final("No shape was found of which all of that is so and whose sides do not cross.")
    _built(t, facts, *found)


def _varied(ideal: Places, number: int) -> Places:
    """Where corners would go at an attempt: at the first one where nothing is said of them, then about the middle of that, in their order,
    each turned by less than half a part, nearer or further out, and all smaller or larger. The same places for the same number."""
    if not number:
        return ideal
    count = len(ideal)
    cx, cy = (sum(place[axis] for place in ideal.values()) / count for axis in (0, 1))
    size = sum(math.dist(place, (cx, cy)) for place in ideal.values()) / count * 3 ** ((number * math.sqrt(3)) % 1 - 0.6)
    found: Places = {}
    for at, name in enumerate(ideal):
        # Multiples of an irrational number, less their whole parts, fill the unit evenly.
        turn, out = ((number * count + at) * ratio % 1 for ratio in (math.sqrt(5), math.sqrt(2)))
        angle, far = 2 * math.pi * (at + 0.8 * (turn - 0.5)) / count, size * (0.6 + 0.8 * out)
        found[name] = (cx + far * math.cos(angle), cy + far * math.sin(angle))
    return found


def _built(t: Things, facts: Sequence[_Fact], order: tuple[str, ...], ideal: Places) -> int:
    """Make the corners in their order, each near where it would go. Returns how bad the shape is."""
    b = t.b
    known: list[str] = []
    for name in order:
        told = [fact for fact in facts if name in fact.corners and fact.corners <= {*known, name}]
        _place(t, name, [_curve(b, fact, name) for fact in told], ideal, known)
        known.append(name)
    values = {name: b.ahead.value(b.point(name)) for name in ideal}
    if any(value is None for value in values.values()):
        return _NOWHERE
    places = {name: value[:2] for name, value in values.items()}
    if _is_convex(list(places.values())):
        return _CONVEX
    is_so = not _crosses(list(places.values())) and all(_is_inside(places, fact) for fact in facts if fact.kind == "angle")
    return _DENTED if is_so else _OTHERWISE


def _is_inside(places: Places, fact: _Fact) -> bool:
    """Whether an angle that is said is the one on the inside of the shape, gone round either way."""
    if not isinstance(fact.size, float):
        return True
    (x, y), before, after = (places[name] for name in fact.one)
    ring = list(places.values())
    way = sum(px * qy - qx * py for (px, py), (qx, qy) in zip(ring, [*ring[1:], ring[0]], strict=True))
    turned = math.degrees(math.atan2(before[1] - y, before[0] - x) - math.atan2(after[1] - y, after[0] - x))
    return abs((turned if way > 0 else -turned) % 360 - fact.size % 360) < _SLACK


def _facts(names: tuple[str, ...], wanted: Wanted) -> list[_Fact]:
    facts = [_Fact("length", tuple(sorted(ends)), size=size) for ends, size in wanted.lengths.items()]
    facts += [_Fact("equal", tuple(sorted(one)), tuple(sorted(two))) for one, two in wanted.equal]
    facts += [_Fact("times", tuple(sorted(one)), tuple(sorted(two)), factor) for (one, two), factor in wanted.times.items()]
    facts += [_Fact("parallel", tuple(sorted(one)), tuple(sorted(two))) for one, two in wanted.parallel]
    for corner, size in wanted.angles.items():
        if corner in names:
            at = names.index(corner)
            facts.append(_Fact("angle", (corner, names[at - 1], names[(at + 1) % len(names)]), size=size))
    return facts


def _orders(names: tuple[str, ...], facts: Sequence[_Fact]) -> list[tuple[str, ...]]:
    """The first few orders in which each corner lies on as many curves as a point can, of those that are there before it. Those come first
    in which the curves are shared out evenly: where two meet there may be nothing."""
    found: list[tuple[int, tuple[str, ...]]] = []
    for order in permutations(names):
        shared = 0
        for place, name in enumerate(order):
            told = [fact for fact in facts if name in fact.corners and fact.corners <= set(order[: place + 1])]
            if len(told) > min(place, 2) or not all(fact.leads_to(name) for fact in told):
                break
            shared += len(told) ** 2
        else:
            found.append((shared, order))
    return [order for _, order in sorted(found)[:_ORDERS]]


def _ideal(b: Building, names: tuple[str, ...], wanted: Wanted) -> Places:
    """Where the corners would go if nothing were said of them, as large as the lengths that are said."""
    mark = b.mark()
    places = {name: b.now(id)[:2] for name, id in zip(names, b.points(names), strict=True)}
    b.back_to(mark)
    said = [(size, math.dist(*(places[name] for name in ends))) for ends, size in wanted.lengths.items() if isinstance(size, float)]
    if not said:
        return places
    scale = sum(size for size, _ in said) / sum(drawn for _, drawn in said)
    x, y = places[names[0]]
    return {name: (x + scale * (px - x), y + scale * (py - y)) for name, (px, py) in places.items()}


def _curve(b: Building, fact: _Fact, corner: str) -> str:
    """The curve on which a corner lies, the others of a fact being there."""
    one, other = (fact.one, fact.other) if corner in fact.one else (fact.other, fact.one)
    if fact.kind == "angle":
        vertex, before, after = fact.one
        if corner == vertex:
            return b.make("circle_on_diameter", {"from": b.points([before]), "to": b.points([after])}, hidden=True)
        arm = b.points([vertex, after if corner == before else before])
        if fact.size == _RIGHT:
            return b.make("perpendicular", {"base": arm, "point": arm[:1]}, hidden=True)
        turned = fact.size if corner == before or not isinstance(fact.size, float) else -fact.size
        return b.make("at_angle", {"point": arm[:1], "angle": turned, "base": arm}, hidden=True)
    if fact.kind == "cyclic":
        ring = b.points([name for name in fact.one if name != corner])
        return b.make("circumcircle", {"a": ring[:1], "b": ring[1:2], "c": ring[2:]}, hidden=True)
    (end,) = b.points([name for name in one if name != corner])
    if fact.kind == "length":
        return b.make("circle_radius", {"centre": (end,), "radius": fact.size}, hidden=True)
    if fact.kind == "parallel":
        return b.make("parallel", {"base": b.points(other), "point": (end,)}, hidden=True)
    if fact.kind == "times":
        factor = fact.size if corner in fact.one else 1 / fact.size
        side = "".join(other)
        formula = read_formula(f"{factor:.15g} * {side}", lambda name, function: operand(name, function, b.ahead))
        return b.make(
            "circle_radius", {"centre": (end,), "radius": (b.make("calculation", {"formula": formula}, hidden=True),)}, hidden=True
        )
    if corner in other:
        return b.make("perpendicular_bisector", {"span": (end, *b.points([name for name in other if name != corner]))}, hidden=True)
    return b.make("circle_radius", {"centre": (end,), "radius": b.points(other)}, hidden=True)


def _place(t: Things, name: str, curves: Sequence[str], ideal: Places, known: Sequence[str]) -> None:
    """Make a corner: free, on a curve, or where two meet; of the places that it may have, the one nearest to where it would go, and where
    it is the last, one that keeps the shape convex. Where two curves meet in a corner that is there, it is where they meet again."""
    b = t.b
    ring = [*known, name] if len(known) == len(ideal) - 1 else []
    if not curves:
        b.free_point(name, at=ideal[name])
        return
    if len(curves) == 1:
        nearest, unit = _nearest(b, curves[0], ideal[name], max(math.dist(one, two) for one, two in combinations(ideal.values(), 2)))
        ways: list[tuple[str, dict[str, Any]]] = [("point_on", {"path": (curves[0],), "place": nearest + unit * step}) for step in _BESIDE]
    elif shared := [id for id in b.points(known) if all(is_on(t, id, (curve,)) for curve in curves)]:
        ways = [("other_intersection", {"a": (curves[0],), "b": (curves[1],), "known": (shared[0],)})]
    else:
        meeting = {"a": (curves[0],), "b": (curves[1],)}
        is_one = not any(b.kind(curve) == CIRCLE for curve in curves)
        ways = [("intersection", meeting if is_one else {**meeting, "which": which}) for which in ("first", "second")[: 2 - is_one]]
    found, least = ways[0], math.inf
    for way in ways:
        far = _far_off(b, name, way, ideal, ring)
        if far < least:
            found, least = way, far
        if len(curves) == 1 and far < _LOOKS_SPECIAL:
            break
    b.make(*found, name)


def _nearest(b: Building, curve: str, at: tuple[float, float], size: float) -> tuple[float, float]:
    """The place on a circle or a line that is nearest to a place of the board, and how much of it a step is: a degree, or
    a hundredth of the size of a shape in board units."""
    if b.ahead.value(curve) is None:
        return 0.0, 1.0  # what it is drawn about has no place now
    if b.kind(curve) == CIRCLE:
        cx, cy = b.now(curve)[:2]
        return math.degrees(math.atan2(at[1] - cy, at[0] - cx)) % 360, 1.0
    mark = b.mark()
    (px, py), (qx, qy) = (b.ahead.value(b.make("point_on", {"path": (curve,), "place": place}, None, True))[:2] for place in (0.0, 1.0))
    b.back_to(mark)
    dx, dy = qx - px, qy - py
    along = dx * dx + dy * dy
    return ((at[0] - px) * dx + (at[1] - py) * dy) / along, size / 100 / math.sqrt(along)


def _far_off(b: Building, name: str, way: tuple[str, dict[str, Any]], ideal: Places, ring: Sequence[str]) -> float:
    """How bad a way to make a corner is: how far from where it would go, worse where a triangle looks like a special one that nobody
    asked for, and worst where the shape is not convex."""
    mark = b.mark()
    value = b.ahead.value(b.make(*way, name))
    places = {other: b.ahead.value(b.point(other)) for other in ring}
    b.back_to(mark)
    if value is None:
        return math.inf
    far = math.dist(value[:2], ideal[name])
    corners = [places[other][:2] for other in ideal if places.get(other) is not None]
    if len(corners) < len(ideal):
        return far
    far += _LOOKS_SPECIAL * special(*corners) if len(corners) == _TRIANGLE else 0.0
    return far if _is_convex(corners) else far + _NOT_CONVEX


def _crosses(corners: Sequence[tuple[float, float]]) -> bool:
    """Whether two sides of a shape cross each other."""
    sides = list(zip(corners, [*corners[1:], corners[0]], strict=True))
    left = lambda a, b, c: (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])
    return any(left(a, b, c) * left(a, b, d) < 0 and left(c, d, a) * left(c, d, b) < 0 for (a, b), (c, d) in combinations(sides, 2))


def _is_convex(corners: Sequence[tuple[float, float]]) -> bool:
    """Whether a shape turns to the left at each corner: angles that are said are drawn to the left of the sides."""
    turns = [
        (bx - ax) * (cy - by) - (by - ay) * (cx - bx)
        for (ax, ay), (bx, by), (cx, cy) in zip(corners, [*corners[1:], corners[0]], [*corners[2:], *corners[:2]], strict=True)
    ]
    return all(turn > 0 for turn in turns)
