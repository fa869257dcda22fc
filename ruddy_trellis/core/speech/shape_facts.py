"""What is said of the sides and angles of a shape."""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import dataclass, field
from typing import Any, TypeAlias, TypeGuard

from ..refusal import Refusal
from .amounts import angle_said, length_said
from .building import Building
from .nodes import Amount, Described, Many, Named, Node
from .nouns import check_words
from .things import Things
from .tokens import POINT_NAME

#: Two sides or diagonals, each by its ends.
Pair: TypeAlias = tuple[frozenset[str], frozenset[str]]
#: So many times a side, as amounts have it.
_SHARE = re.compile(r"(?:(\d+(?:\.\d+)?)(?:/(\d+))? \* )?([A-Z]['′]*[A-Z]['′]*)(?: ?/ ?(\d+(?:\.\d+)?))?")
#: What two angles add up to whose sides are parallel.
_STRAIGHT = 180.0


@dataclass
class Wanted:
    """What is said of a shape besides its corners: lengths of sides, angles, sides that are equal or parallel, and sides that are so many
    times others."""

    lengths: dict[frozenset[str], Any] = field(default_factory=dict)
    equal: list[Pair] = field(default_factory=list)
    angles: dict[str, Any] = field(default_factory=dict)
    parallel: list[Pair] = field(default_factory=list)
    times: dict[Pair, float] = field(default_factory=dict)

    def __bool__(self) -> bool:
        return bool(self.lengths or self.equal or self.angles or self.parallel or self.times)

    def pairs(self) -> tuple[Pair, ...]:
        """All sides of which something is said beside others."""
        return (*self.equal, *self.parallel, *self.times)


def with_what_it_has(node: Described, names: tuple[str, ...], wanted: Wanted) -> Wanted:
    """What is wanted of a quadrilateral, with what makes it a kite, a trapezium, a parallelogram, a rectangle or a rhombus."""
    a, b, c, d = (frozenset(pair) for pair in zip(names, (*names[1:], names[0])))
    equal, parallel, angles = list(wanted.equal), list(wanted.parallel), dict(wanted.angles)
    if node.head == "rhombus":
        equal += [(a, b), (a, c), (a, d)]
    elif node.head == "kite":
        # Its axis goes through its first corner, unless the equal sides that are said meet in its second one.
        twins = [(a, b), (c, d)] if {(a, b), (b, a), (c, d), (d, c)} & set(equal) else [(a, d), (b, c)]
        equal = _besides(equal, twins)
    elif node.head in ("parallelogram", "rectangle"):
        parallel = _besides(parallel, [(a, c), (b, d)])
        if node.head == "rectangle":
            # Of a diagonal that is said, a right angle faces it.
            angles[names[0 if frozenset(names[1::2]) in wanted.lengths else 1]] = _STRAIGHT / 2
    elif not parallel and not _lean_alike(names, wanted):
        parallel = [(a, c)]
    if node.head == "trapezium" and "isosceles" in node.adjectives:
        equal = _besides(equal, [(frozenset(names[::2]), frozenset(names[1::2]))])  # its diagonals, so that it is no parallelogram
    return Wanted(dict(wanted.lengths), equal, angles, parallel, dict(wanted.times))


def _besides(said: Sequence[Pair], has: Sequence[Pair]) -> list[Pair]:
    """The pairs that a shape has in any case, and those that are said besides."""
    known = {frozenset(pair) for pair in has}
    return [*has, *(pair for pair in said if frozenset(pair) not in known)]


def _lean_alike(names: tuple[str, ...], wanted: Wanted) -> bool:
    """Whether two angles beside each other are said that make two sides parallel."""
    said = [wanted.angles.get(name) for name in names]
    return any(
        isinstance(one, float) and isinstance(other, float) and one + other == _STRAIGHT for one, other in zip(said, (*said[1:], said[0]))
    )


def wanted_of(t: Things, node: Described, names: tuple[str, ...]) -> Wanted:
    """What is said of the sides and angles of a shape whose corners are named."""
    found = Wanted()
    for role, part in node.roles:
        if role in ("facts",):
            _take_facts(t, part, names, found)
        elif role == "right_at" and isinstance(part, Named):
            found.angles[part.points[0] if len(part.points) == 1 else part.points[1] if len(part.points) == 3 else part.text.upper()] = 90.0
        elif role in ("angles", "with") and isinstance(part, Described) and part.head == "right-angle":
            check_words(part)  # "a right angle at A and area 7": which is said of the shape, and of no angle
            at = part.role("at", "in")
            if isinstance(at, Named):
                found.angles[at.text.upper() if len(at.text) == 1 else at.text] = 90.0
    return found


def _take_facts(t: Things, node: Node, names: tuple[str, ...], found: Wanted) -> None:
    """Facts such as AB = 5 cm, AB = AC, angle A = 60°, AB parallel to CD."""
    for item in node.items if isinstance(node, Many) else (node,):
        if not isinstance(item, Described) or item.head != "fact":
            continue
        kind = item.extra[0]
        if kind == "right" and isinstance(at := item.names[0], Named):
            # A small letter is a corner here, and no side.
            points = at.points or (at.text.upper(),)
            found.angles[points[1] if len(points) == 3 else points[0]] = 90.0
            continue
        one, other = (_as_side(t, part, names) for part in (item.names[0], item.names[1] if len(item.names) > 1 else None))
        if kind == "parallel" and _is_span(one) and _is_span(other):
            found.parallel.append((frozenset(one.points), frozenset(other.points)))
        elif kind == "perpendicular" and len(common := set(getattr(one, "points", ())) & set(getattr(other, "points", ()))) == 1:
            found.angles[next(iter(common))] = 90.0
        elif kind == "equal" and _is_span(one) and _is_span(other):
            found.equal.append((frozenset(one.points), frozenset(other.points)))
        elif kind == "equal" and isinstance(one, Named) and len(one.points) == 2 and (share := _share_of_a_side(other, names)) is not None:
            found.times[frozenset(one.points), share[0]] = share[1]
        elif kind == "equal" and isinstance(one, Named) and len(one.points) == 2 and other is not None:
            found.lengths[frozenset(one.points)] = t.aside(lambda other=other: length_said(t, other))  # type: ignore[misc]
        elif kind == "equal" and other is not None and isinstance(name := _corner_of(one), Named):
            corner = name.points[1] if len(name.points) == 3 else name.points[0] if name.points else name.text.upper()
            found.angles[corner] = t.aside(lambda other=other: angle_said(t, other))  # type: ignore[misc]
        elif kind == "more":
            continue  # supposed, after the shape is there
        else:
            raise Refusal("What is said of the shape is not understood: say AB = 5 cm, AB = AC, or angle A = 60°.")


def _is_span(node: Node | None) -> TypeGuard[Named]:
    """Whether two different points are named."""
    return isinstance(node, Named) and len(set(node.points)) == 2


def _share_of_a_side(node: Node | None, names: tuple[str, ...]) -> tuple[frozenset[str], float] | None:
    """ "2 * BC" or "BC/2" as a side or a diagonal of the shape, and the factor; None for what is said of anything else."""
    found = _SHARE.fullmatch(node.text) if isinstance(node, Amount) else None
    if found is None:
        return None
    ends = tuple(POINT_NAME.findall(found[3]))
    factor = float(found[1] or 1) / float(found[2] or 1) / float(found[4] or 1)
    return (frozenset(ends), factor) if len(set(ends)) == 2 and set(ends) <= set(names) and factor > 0 else None


def _corner_of(node: Node | None) -> Node | None:
    """What names the corner whose angle a fact is about: "angle A = 80°", "angles A 80° and B 100°". None where it is about no angle."""
    if isinstance(node, Described) and node.head == "angle":
        return node.names[0] if node.names else node.role("at", "of")
    return node if isinstance(node, Named) and len(node.points) == 1 else None


def _as_side(t: Things, node: Node | None, names: tuple[str, ...]) -> Node | None:
    """A small letter as the side that faces the corner of that letter, as sides of triangles are called."""
    if not isinstance(node, Named) or node.points or len(names) != 3 or t.b.ahead.ids_named(node.text):
        return node
    corner = node.text.upper()
    if node.text == corner or corner not in names:
        return node
    ends = tuple(name for name in names if name != corner)
    return Named("".join(ends), ends)


def equal_to_first(wanted: Wanted, first: tuple[str, str], order: tuple[str, str, str]) -> None:
    """A length that is said of one of two equal sides is that of the other too."""
    for one, two in wanted.equal:
        for known, other in ((one, two), (two, one)):
            if known in wanted.lengths and other not in wanted.lengths:
                wanted.lengths[other] = wanted.lengths[known]


def best_order(b: Building, names: tuple[str, ...], wanted: Wanted) -> tuple[str, str, str]:
    """The corners in such an order that the third follows from what is said of it, the first side being chosen."""
    rings = [names, (*names[1:], names[0]), (*names[2:], *names[:2])]

    def worth(order: tuple[str, ...]) -> float:
        a, c, third = order
        known = (b.has(a) and b.has(c)) * 10 - b.has(third) * 20
        told = sum(frozenset((end, third)) in wanted.lengths for end in (a, c)) + sum(end in wanted.angles for end in (a, c))
        told += any({one, two} == {frozenset((a, third)), frozenset((c, third))} for one, two in wanted.equal)
        told += sum(frozenset((a, c)) in (one, two) and one != two for one, two in wanted.equal)
        return (
            known
            + (told if told <= 2 else 0)  # a third thing that is said of a corner would be passed over
            + 1.5 * (frozenset((a, c)) in wanted.lengths)
            + 0.4 * (wanted.angles.get(third) == 90.0)
            - 2 * (third in wanted.angles and wanted.angles[third] != 90.0)
        )

    best = max(rings, key=worth)
    return best[0], best[1], best[2]


def check_sides(wanted: Wanted, sides: list[frozenset[str]]) -> None:
    """Three lengths that never make a triangle are refused."""
    sizes = [size for side in sides if isinstance(size := wanted.lengths.get(side), float)]
    if len(sizes) == 3 and 2 * max(sizes) >= sum(sizes):
        raise Refusal("Three such sides make no triangle: two of them together have to be longer than the third.")
    angles = [size for size in wanted.angles.values() if isinstance(size, float)]
    if sum(angles) >= 180:
        raise Refusal("Such angles make no triangle: together they have to be less than 180°.")
