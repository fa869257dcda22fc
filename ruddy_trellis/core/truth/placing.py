"""Points placed by the lengths and angles that a person named: as a triangle is drawn from what is given of it."""

from collections.abc import Mapping, Sequence
from itertools import permutations
from typing import Any

from .called import Called

#: An exact place, and a direction of length 1.
Pair = tuple[Any, Any]


class Placing:
    """Places from named quantities.

    Args:
        m: the exact arithmetic.
        lengths: for named distances, the two points and the symbol. ``angles``: for named angles, the three points, and the cosine and
            the sine.
        turn: a function from three points to whether the third is to the left of the way from the first to the second, now.
        fresh: a function from a name and the cosine and sine of an angle now to these two as symbols.

    Attributes:
        used: what was used.
        short: what some sums that came up are called: "sin (α + β)".
    """

    def __init__(self, m: Any, lengths: Mapping[Called, Any], angles: Mapping[Called, Pair], turn: Any, fresh: Any) -> None:
        self._m, self._turn, self._fresh = m, turn, fresh
        self._lengths: dict[Any, tuple[Any, Any]] = {frozenset(one.ids): (one, symbol) for one, symbol in lengths.items()}
        self._angles: dict[Any, tuple[Any, Any]] = {(one.ids[1], frozenset(one.ids)): (one, unit) for one, unit in angles.items()}
        self.used: set[Called] = set()
        self.short: dict[str, Any] = {}

    def length(self, a: str, b: str) -> Any:
        """The symbol of a distance; None where it has no name."""
        one, symbol = self._lengths.get(frozenset((a, b)), (None, None))
        if one is not None:
            self.used.add(one)
        return symbol

    def place(self, id: str, placed: Mapping[str, Pair]) -> Pair | None:
        """Where a point is by two named quantities of it and points that are placed; None where there are no two."""
        for a, b in permutations(placed, 2):
            for how in (self._by_length_and_angle, self._by_lengths, self._by_angles, self._by_far_angle):
                found = how(id, a, b)
                if found is not None:
                    along, aside, used = found(self._apart(placed[a], placed[b], a, b))
                    self.used.update(used)
                    return self._from(id, a, b, placed, along, aside)
        return None

    def _apart(self, p: Pair, q: Pair, a: str, b: str) -> Any:
        named = self.length(a, b)
        dx, dy = q[0] - p[0], q[1] - p[1]
        return self._m.sqrt(dx * dx + dy * dy) if named is None else named

    def _from(self, id: str, a: str, b: str, placed: Mapping[str, Pair], along: Any, aside: Any) -> Pair:
        """So far along from the one point to the other, and so far aside, to the side on which it is now."""
        (x, y), (ex, ey) = placed[a], placed[b]
        apart = self._apart(placed[a], placed[b], a, b)
        ux, uy = (ex - x) / apart, (ey - y) / apart
        aside = aside if self._turn(a, b, id) else -aside
        return x + along * ux - aside * uy, y + along * uy + aside * ux

    def _angle(self, vertex: str, *arms: str) -> Any:
        return self._angles.get((vertex, frozenset((vertex, *arms))), (None, None))

    # Each gives a function from how far the two points are apart to how far along and aside the third is, or None. --------

    def _by_length_and_angle(self, id: str, a: str, b: str) -> Any:
        (far, size), (turn, unit) = self._lengths.get(frozenset((id, a)), (None, None)), self._angle(a, b, id)
        return unit and far and (lambda apart: (size * unit[0], size * unit[1], (far, turn)))

    def _by_lengths(self, id: str, a: str, b: str) -> Any:
        (first, r), (second, s) = (self._lengths.get(frozenset((id, one)), (None, None)) for one in (a, b))

        def found(apart: Any) -> tuple[Any, Any, Any]:
            along = (apart * apart + r * r - s * s) / (2 * apart)
            return along, self._m.sqrt(r * r - along * along), (first, second)

        return found if first and second else None

    def _by_angles(self, id: str, a: str, b: str) -> Any:
        (first, one), (second, other) = self._angle(a, b, id), self._angle(b, a, id)

        def found(apart: Any) -> tuple[Any, Any, Any]:
            # All by the first angle and the sum of both, whose sine is that of the third: so that it is one symbol below the line.
            name, now = f"({first.names[0]} + {second.names[0]})", self._m.at_sample
            third = self._fresh(name, *map(now, _turned(one, other)))
            cosine, sine = _turned(third, (one[0], -one[1]))
            self.short |= {f"cos {second.names[0]}": cosine, f"sin {second.names[0]}": sine}
            size = apart * sine / third[1]
            return size * one[0], size * one[1], (first, second)

        return found if first and second else None

    def _by_far_angle(self, id: str, a: str, b: str) -> Any:
        (first, one), (second, far) = self._angle(a, b, id), self._angle(id, a, b)

        def found(apart: Any) -> tuple[Any, Any, Any]:
            _, other = _turned(one, far)  # the sine of the angle at b
            self.short[f"sin ({first.names[0]} + {second.names[0]})"] = other
            size = apart * other / far[1]
            return size * one[0], size * one[1], (first, second)

        return found if first and second else None


def _turned(one: Pair, other: Pair) -> Pair:
    """The cosine and the sine of a sum of angles."""
    return one[0] * other[0] - one[1] * other[1], one[0] * other[1] + one[1] * other[0]


def is_left(places: Sequence[Any]) -> bool:
    """Whether the third of three places is to the left of the way from the first to the second."""
    (ax, ay), (bx, by), (cx, cy) = places
    return (bx - ax) * (cy - ay) - (by - ay) * (cx - ax) >= 0
