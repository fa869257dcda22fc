"""How a pupil would put angles together: by the sums of the angles in triangles, on straight lines, and what is known of angles.

What is put together by directions alone is right, but hard to follow. Here the same is said of angles: each is made up of the smallest
angles at its vertex, and what is wanted is a sum of a few equations: of facts, of triangles, of straight lines.
"""

from collections.abc import Iterator, Sequence
from itertools import combinations
from math import atan2, pi
from typing import Any

from .classes import Classes
from .forms import ANGLES, PARALLEL, PERPENDICULAR, Fact, angle, angles

#: Of more points than this no sums of angles are looked for.
_MOST = 10
#: How near two directions count as one, radians.
_NEAR = 1e-6
#: The key of the number on the right of an equation.
_DEGREES = "degrees"

Row = dict[Any, int]


class AngleSums:
    """Equations of angles in a figure as it lies.

    Args:
        places: where each point is.
        points: the numbers of the points in play.
    """

    def __init__(self, places: Any, points: Sequence[int]) -> None:
        self._places, self._points = places, sorted(points)
        self._rays = {vertex: self._rays_at(vertex) for vertex in self._points}

    def _rays_at(self, vertex: int) -> list[tuple[float, list[int]]]:
        """The directions from a point to the others, in turn, each with the points there."""
        found: list[tuple[float, list[int]]] = []
        x, y = self._places[vertex]
        for other in self._points:
            if other != vertex:
                turn = atan2(self._places[other][1] - y, self._places[other][0] - x) % (2 * pi)
                near = next((on for at, on in found if min(abs(at - turn), 2 * pi - abs(at - turn)) < _NEAR), None)
                if near is None:
                    found.append((turn, [other]))
                else:
                    near.append(other)
        return sorted(found)

    def row(self, one: tuple[int, int, int]) -> Row:
        """An angle as the smallest angles at its vertex."""
        a, vertex, b = one
        rays = self._rays[vertex]
        first, second = sorted(next(place for place, (_, on) in enumerate(rays) if label in on) for label in (a, b))
        if first == second:
            return {}
        is_straight_way = rays[second][0] - rays[first][0] <= pi
        count = len(rays)
        taken = range(first, second) if is_straight_way else [*range(second, count), *range(first)]
        return {(vertex, place): 1 for place in taken}

    def of_fact(self, fact: Fact) -> list[Row]:
        """A fact as equations of angles; none where it says nothing of angles at points in play."""
        if fact.form == ANGLES:
            row: Row = {_DEGREES: 0}
            scale = fact.data[1].denominator
            for one, times in fact.data[0]:
                for key, value in self.row(one).items():
                    row[key] = row.get(key, 0) + value * times * scale
            row[_DEGREES] = -int(fact.data[1] * scale)
            return [{key: value for key, value in row.items() if value}]
        if fact.form == PERPENDICULAR:
            return [{**self.row(one), _DEGREES: -90} for one in self.right_angles(fact)]
        if fact.form == PARALLEL:
            return [row for equal in self.at_parallels(fact) for row in self.of_fact(equal)]
        return []

    def right_angles(self, fact: Fact) -> list[tuple[int, int, int]]:
        """The right angles between two lines, at points of both."""
        on = [self._on(pair) for pair in fact.data]
        return [angle(a, vertex, b) for vertex in on[0] if vertex in on[1] for a in on[0] if a != vertex for b in on[1] if b != vertex]

    def at_parallels(self, fact: Fact) -> list[Fact]:
        """What two parallels say of angles at a line across: alternate angles are equal, those on one side make 180°."""
        on = [self._on(pair) for pair in fact.data]
        found = []
        for p in on[0]:
            for q in on[1]:
                for x in on[0]:
                    for y in on[1]:
                        if x != p and y != q and len({x, p, y, q}) == 4:
                            one, other = angle(x, p, q), angle(y, q, p)
                            is_beside = self._side(p, q, x) * self._side(p, q, y) > 0
                            found.append(angles({one: 1, other: 1 if is_beside else -1}, 180 if is_beside else 0))
        return list(dict.fromkeys(found))

    def _on(self, pair: tuple[int, int]) -> list[int]:
        """The points in play on the line of two."""
        a, b = pair
        long = max(abs(self._places[b][axis] - self._places[a][axis]) for axis in (0, 1))
        return [label for label in self._points if label in pair or abs(self._side(a, b, label)) < _NEAR * long * long]

    def _side(self, a: int, b: int, c: int) -> float:
        (ax, ay), (bx, by), (cx, cy) = (self._places[label] for label in (a, b, c))
        return float((bx - ax) * (cy - ay) - (by - ay) * (cx - ax))

    def structure(self) -> Iterator[tuple[Fact, str]]:
        """Sums that hold of any figure that lies so: of triangles, and on straight lines; each with its name."""
        for a, b, c in combinations(self._points, 3):
            long = max(abs(self._places[one][axis] - self._places[other][axis]) for one, other in ((a, b), (b, c)) for axis in (0, 1))
            if abs(self._side(a, b, c)) > _NEAR * long * long:
                yield angles({angle(b, a, c): 1, angle(a, b, c): 1, angle(a, c, b): 1}, 180), "triangle"
        for vertex, rays in self._rays.items():
            for one, other in combinations(range(len(rays)), 2):
                if abs(rays[other][0] - rays[one][0] - pi) < _NEAR:
                    for between in range(len(rays)):
                        if between not in (one, other):
                            a, b, c = (rays[place][1][0] for place in (one, between, other))
                            yield angles({angle(a, vertex, b): 1, angle(b, vertex, c): 1}, 180), "straight"

    def parts(self, wanted: Fact, facts: Sequence[Fact]) -> tuple[list[Fact], list[Fact]] | None:
        """Facts, and sums of triangles and straight lines, from which one follows, as few as may be; None where it does not.

        Returns:
            Those of the facts that are needed, and the sums.
        """
        if len(self._points) > _MOST:
            return None
        goal = self.of_fact(wanted)
        if not goal or any(label not in self._points for label in wanted.points):
            return None
        rows = [(row, fact, False) for fact in facts for row in self.of_fact(fact)]
        near = wanted.points
        sums = sorted(self.structure(), key=lambda one: (one[1] != "triangle", len(one[0].points - near)))
        rows += [(row, fact, True) for fact, _ in sums for row in self.of_fact(fact)]
        best = _few(goal[0], rows)
        if best is None:
            return None
        used = [rows[number] for number in best]
        return list(dict.fromkeys(fact for _, fact, is_sum in used if not is_sum)), [fact for _, fact, is_sum in used if is_sum]


def _few(goal: Row, rows: Sequence[tuple[Row, Fact, bool]]) -> list[int] | None:
    """The numbers of a few rows of which a goal is a sum."""

    def solved(numbers: Sequence[int]) -> list[int] | None:
        classes = Classes()
        for number in numbers:
            classes.add(rows[number][0], number)
        why = classes.why(goal)
        return None if why is None else list(why)

    best = solved(range(len(rows)))
    if best is None:
        return None
    for number in sorted(best, key=lambda one: (not rows[one][2], -one)):
        fewer = solved([one for one in best if one != number])
        if fewer is not None:
            best = fewer
    # Another order may come to fewer: the sums that are farther away before the nearer.
    other = solved([*(one for one in range(len(rows)) if not rows[one][2]), *reversed([one for one in range(len(rows)) if rows[one][2]])])
    return best if other is None or len(other) >= len(best) else other


def without_known(one: Fact, known: Sequence[Fact]) -> Fact:
    """A sum of angles with those that are known for themselves (a right angle) taken over to the number on the right."""
    terms, total = dict(one.data[0]), one.data[1]
    for fact in known:
        if fact.form == ANGLES and len(fact.data[0]) == 1:
            ((single, times),) = fact.data[0]
            if single in terms and len(terms) > 1:
                total -= terms.pop(single) * fact.data[1] / times
    return angles(terms, total)
