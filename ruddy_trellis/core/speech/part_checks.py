"""Whether a circle or a straight thing that was made is what was said: measured where it is drawn, so that no part is passed over."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from typing import Any, Protocol

from ..kinds import CIRCLE, POINT, STRAIGHTS
from ..refusal import Refusal
from .amounts import Meant, length_said
from .nodes import Amount, Described, Many, Named, Node, Ref, leaves

#: By how much of itself a size may be off, and still be so.
_SO = 1e-7


def same(one: float, other: float) -> bool:
    """Whether two sizes are the same, to what reckoning loses."""
    return math.isclose(one, other, rel_tol=_SO, abs_tol=_SO)


class Telling(Meant, Protocol):
    """What phrases stand for (see ``things.Things``), as far as it is measured."""

    def point(self, node: Node) -> str: ...

    def points(self, node: Node) -> list[str]: ...

    def straight(self, node: Node) -> tuple[str, ...]: ...


def check_made(t: Telling, node: Described, made: Sequence[str]) -> None:
    """Raise Refusal where what was made of a description does not go through, touch, lie or have what is said of it: each of them, unless
    several are said, of which each may have its own. What cannot be measured is left to its maker."""
    leaves_said = [leaf for _, part in node.roles for leaf in leaves(part)]
    # "Through each corner the parallel to the opposite side": as many as there are corners.
    if node.plural or (node.count or 1) > 1 or any(isinstance(leaf, Described) and leaf.plural for leaf in leaves_said):
        return
    for id in made:
        value = t.b.ahead.value(id)
        if id in t.b.board or value is None:
            continue
        looks = _OF_CIRCLES if t.b.kind(id) == CIRCLE else _OF_STRAIGHTS if t.b.kind(id) in STRAIGHTS else {}
        for role, part in node.roles:
            look = looks.get(node.head if role in ("to", "on") and node.head in _DIRECTED else role)
            # "It" and "both points" are other things once something is made.
            is_it = any(isinstance(leaf, Ref) or (isinstance(leaf, Described) and leaf.kind in ("old", "all")) for leaf in leaves(part))
            if look is not None and not is_it and not _holds(t, look, part, value):
                raise Refusal(f"No {node.head.replace('-', ' ')} was found of which all of that is so.")


#: A look at a part: whether it is so of a value.
Look = Callable[[Telling, Node, Any], bool]
#: Nouns that are directions: to what they are so is a part of them.
_DIRECTED = ("parallel", "perpendicular")


def _holds(t: Telling, look: Look, part: Node, value: Any) -> bool:
    mark = t.b.mark()
    try:
        # What the part says is new each time that it is asked has another value each time.
        return look(t, part, value) or t.b.mark().steps > mark.steps
    except Refusal:
        return True
    finally:
        t.b.back_to(mark)


def _place(t: Telling, id: str) -> complex:
    return complex(*t.b.now(id)[:2])


def _points(t: Telling, part: Node) -> list[complex]:
    return [_place(t, id) for id in t.aside(lambda: t.points(part)) if t.b.ahead.value(id) is not None]


def _line(t: Telling, node: Node) -> tuple[complex, complex] | None:
    """A place on a straight thing and its way; None where it is none now."""
    ids = t.aside(lambda: t.straight(node))
    if len(ids) == 2:
        return _place(t, ids[0]), _place(t, ids[1]) - _place(t, ids[0])
    value = t.b.ahead.value(ids[0])
    return (complex(*value[:2]), complex(*value[2:4])) if t.b.kind(ids[0]) in STRAIGHTS and value is not None else None


def _distance(place: complex, line: tuple[complex, complex]) -> float:
    start, way = line
    return abs((way.conjugate() * (place - start)).imag) / abs(way)


def _each(part: Node) -> Sequence[Node]:
    return part.items if isinstance(part, Many) else (part,)


def _size(t: Telling, part: Node) -> float | None:
    """A length in plain numbers, or that between two points; None for another one."""
    size = t.aside(lambda: length_said(t, part))
    if isinstance(size, float):
        return size
    are_ends = len(size) == 2 and all(t.b.kind(id) == POINT for id in size)
    return abs(_place(t, size[0]) - _place(t, size[1])) if are_ends else None


def _radius(value: Any) -> float:
    return math.sqrt(max(value[2], 0.0))


def _circle_goes_through(t: Telling, part: Node, value: Any) -> bool:
    return all(same(abs(place - complex(*value[:2])), _radius(value)) for place in _points(t, part))


def _is_about(t: Telling, part: Node, value: Any) -> bool:
    centre = complex(*value[:2])
    return abs(_place(t, t.aside(lambda: t.point(part))) - centre) <= _SO * (_radius(value) + abs(centre))


def _has_radius(t: Telling, part: Node, value: Any) -> bool:
    return (size := _size(t, part)) is None or same(size, _radius(value))


def _has_diameter(t: Telling, part: Node, value: Any) -> bool:
    return (size := _size(t, part)) is None or same(size, 2 * _radius(value))


def _touches(t: Telling, part: Node, value: Any) -> bool:
    """Of lines; circles are left to their maker."""
    for item in _each(part):
        if isinstance(item, Described) and item.head in ("radius", "diameter"):
            return False  # "touching BC and radius AB"
        if (line := _line(t, item)) is not None and not same(_distance(complex(*value[:2]), line), _radius(value)):
            return False
    return True


def _as_line(value: Any) -> tuple[complex, complex]:
    return complex(*value[:2]), complex(*value[2:4])


def _line_goes_through(t: Telling, part: Node, value: Any) -> bool:
    line = _as_line(value)
    return all(_distance(place, line) <= _SO * (1 + abs(place - line[0])) for place in _points(t, part))


def _begins_on(t: Telling, part: Node, value: Any) -> bool:
    """Of a point that something is drawn from; what goes from elsewhere is left to its maker."""
    return not (isinstance(part, Named) and len(part.points) == 1) or _line_goes_through(t, part, value)


def _turns(t: Telling, part: Node, value: Any) -> list[complex]:
    """How a straight thing is turned against others, each as a number of length 1."""
    way = complex(*value[2:4])
    found = [way * line[1].conjugate() for item in _each(part) if (line := _line(t, item)) is not None]
    if not all(map(abs, found)):
        raise Refusal("What has no length has no direction.")
    return [turn / abs(turn) for turn in found]


def _is_parallel(t: Telling, part: Node, value: Any) -> bool:
    return all(abs(turn.imag) < _SO for turn in _turns(t, part, value))


def _is_perpendicular(t: Telling, part: Node, value: Any) -> bool:
    return all(abs(turn.real) < _SO for turn in _turns(t, part, value))


def _has_length(t: Telling, part: Node, value: Any) -> bool:
    return not isinstance(part, Amount) or (size := _size(t, part)) is None or same(size, math.hypot(*value[2:4]))


#: How parts are looked at, of circles and of straight things.
_OF_CIRCLES: dict[str, Look] = {
    "through": _circle_goes_through, "centre": _is_about, "about": _is_about, "radius": _has_radius, "diameter": _has_diameter,
    "tangent": _touches,
}  # fmt: skip
_OF_STRAIGHTS: dict[str, Look] = {
    "through": _line_goes_through, "from": _begins_on, "parallel": _is_parallel, "perpendicular": _is_perpendicular, "length": _has_length,
}  # fmt: skip
