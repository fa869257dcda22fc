"""What is known of a figure, and from what: facts by their numbers, and the classes of directions, lengths and sums that they make."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from typing import Any

from .classes import Classes
from .few import few
from .forms import (
    ANGLES,
    LINE,
    MIDPOINT,
    PARALLEL,
    PERPENDICULAR,
    PRODUCT,
    ROUND,
    SUM,
    Fact,
    is_trivial,
    length,
    line,
    on_circle,
    pair,
)  # fmt: skip
from .instances import Instance

#: How dear it is to put facts together, for each.
_TOGETHER = 0.4
#: How much cheaper something counts that speaks of the same angles.
_PLAINER = 0.05
#: Into sums go products of so many magnitudes at most.
_DEGREE = 4


@dataclass
class Known:
    """A fact that is known.

    Attributes:
        cost: how dear it is to come to it.
        step: the id of the step that gives it, or None.
        instance: the rule that it comes from, with its points, or None.
        support: for each premise the numbers of the facts from which it follows.
        joined: the numbers of the two facts about circles, or about lines, that it puts together, or ().
    """

    fact: Fact
    cost: float
    step: str | None = None
    instance: Instance | None = None
    support: tuple[tuple[int, ...], ...] = ()
    joined: tuple[int, ...] = ()


class Knowledge:
    """Facts of a figure, learnt one after another.

    Args:
        turns: for an angle whether its second leg is to the left of the first (see :func:`direction_vector`).
    """

    def __init__(self, turns: "Turns") -> None:
        self._turns = turns
        self.known: list[Known] = []
        self._number: dict[Fact, int] = {}
        self._directions, self._products, self._sums = Classes(), Classes(), Classes()
        self._rows: dict[str, list[tuple[dict[Any, int], int]]] = {PRODUCT: [], SUM: []}
        self._circles: list[int] = []
        self._lines: list[int] = []
        self._circle_version = 0

    def learn(self, one: Known) -> None:
        """Take in a fact, unless it is known already, and as cheap."""
        if one.fact in self._number:
            return
        number = len(self.known)
        self.known.append(one)
        self._number[one.fact] = number
        for vector in self._turns.directions(one.fact):
            self._directions.add(vector, number)
        for vector in product_vectors(one.fact):
            self._products.add(vector, number)
            self._rows[PRODUCT].append((vector, number))
        for vector in sum_vectors(one.fact):
            self._sums.add(vector, number)
            self._rows[SUM].append((vector, number))
        if one.fact.form == ROUND:
            self._join(number)
        elif one.fact.form == LINE:
            self._join_lines(number)

    def _join_lines(self, number: int) -> None:
        """Put a line together with those that it shares two points with."""
        self._lines.append(number)
        for other in self._lines[:-1]:
            points, others = {*self.known[number].fact.data}, {*self.known[other].fact.data}
            if len(points & others) >= 2 and not points <= others and not others <= points:
                cost = self.known[number].cost + self.known[other].cost
                self.learn(Known(line(points | others), cost, joined=(number, other)))

    def _join(self, number: int) -> None:
        """Put a circle together with those that it shares three points with, or its centre and a point."""
        centre, points = self.known[number].fact.data
        self._circles.append(number)
        self._circle_version += 1
        for other in self._circles[:-1]:
            about, others = self.known[other].fact.data
            common = {*points} & {*others}
            if len(common) >= 3 or (centre is not None and centre == about and common):
                whole = on_circle({*points, *others}, centre if centre is not None else about)
                if whole not in (self.known[number].fact, self.known[other].fact):
                    cost = self.known[number].cost + self.known[other].cost + _TOGETHER
                    self.learn(Known(whole, cost, joined=(number, other)))

    def version(self, fact: Fact) -> Any:
        """What changes when it may be that a fact follows that did not before."""
        if fact.form in (ANGLES, PARALLEL, PERPENDICULAR, LINE):
            return len(self.known) if fact.form == LINE else self._directions.version
        if fact.form in (PRODUCT, SUM):
            return self._products.version, self._sums.version
        return self._circle_version if fact.form == ROUND else len(self.known)

    def why(self, fact: Fact) -> tuple[int, ...] | None:
        """The numbers of the facts from which a fact follows; None where it does not follow from what is known."""
        if is_trivial(fact):
            return ()
        number = self._number.get(fact)
        if number is not None:
            return (number,)
        if fact.form == LINE:
            return self._in_line(fact)
        if fact.form in (ANGLES, PARALLEL, PERPENDICULAR):
            return self._all(self._directions, self._turns.directions(fact))
        if fact.form == PRODUCT:
            found = self._all(self._products, product_vectors(fact))
            return found if found is not None else self._all(self._sums, sum_vectors(fact))
        if fact.form == SUM:
            return self._all(self._sums, sum_vectors(fact)[:1])
        if fact.form == ROUND:
            return self._on_known_circle(fact)
        return None

    def cheaply(self, fact: Fact, most: int = 2) -> tuple[int, ...] | None:
        """The same, with as few and cheap facts as may be.

        Args:
            most: beside facts that only say what is drawn in line, of so many at most others are looked for.
        """
        known = self.why(fact)
        if known is None or len(known) <= 1:
            return known
        costs = [one.cost + _TOGETHER for one in self.known]
        if fact.form in (ANGLES, PARALLEL, PERPENDICULAR):
            return self._by_few_directions(fact, known, costs, most)
        if fact.form not in (PRODUCT, SUM):
            return known
        ways = [(self.cost(known), known)]
        if fact.form == PRODUCT:
            ways += filter(None, [few(vector, self._rows[PRODUCT], costs, most) for vector in product_vectors(fact)])
        ways += filter(None, [few(vector, self._rows[SUM], costs, most) for vector in sum_vectors(fact)[:1]])
        return min(ways)[1]

    def _by_few_directions(self, fact: Fact, known: tuple[int, ...], costs: list[float], most: int) -> tuple[int, ...]:
        """The fewest facts from which one follows by directions; those that say what is in line are counted as nothing."""
        told = [number for number in known if self.known[number].fact.form not in (LINE, MIDPOINT)]
        vectors = self._turns.directions(fact)
        if len(told) <= 1 or len(vectors) != 1:
            return known
        drawn = [number for number, one in enumerate(self.known) if one.fact.form in (LINE, MIDPOINT)]
        at = _merged(vector for number in drawn for vector in self._turns.directions(self.known[number].fact))
        rows = [
            (_moved(vector, at), number)
            for number, one in enumerate(self.known)
            if one.fact.form in (ANGLES, PARALLEL, PERPENDICULAR)
            for vector in self._turns.directions(one.fact)
        ]
        # Of as dear ones those that speak of the very angles are plainest.
        angles = {angle for angle, _ in fact.data[0]} if fact.form == ANGLES else set()
        near = [cost - _PLAINER * self._speaks_of(number, angles) for number, cost in enumerate(costs)]
        found = few(_moved(vectors[0], at), rows, near, most)
        if found is None or found[0] >= sum(costs[number] for number in told):
            return known
        classes = Classes()
        for number in (*found[1], *drawn):
            for vector in self._turns.directions(self.known[number].fact):
                classes.add(vector, number)
        return classes.why(vectors[0]) or known

    def _speaks_of(self, number: int, angles: set[Any]) -> bool:
        """Whether one of some angles stands in a fact."""
        fact = self.known[number].fact
        return fact.form == ANGLES and any(angle in angles for angle, _ in fact.data[0])

    @staticmethod
    def _all(classes: Classes, vectors: list[dict[Any, int]]) -> tuple[int, ...] | None:
        found: set[int] = set()
        for vector in vectors:
            why = classes.why(vector)
            if why is None:
                return None
            found.update(why)
        return tuple(sorted(found)) if vectors else None

    def _in_line(self, fact: Fact) -> tuple[int, ...] | None:
        """Why points are in line: each with the first two, as from one of the three the others are seen in one direction."""
        first, second, *others = fact.data
        found: set[int] = set()
        for other in others:
            ways = [
                self._directions.why({pair(one, a): 1, pair(one, b): -1})
                for one, a, b in ((first, second, other), (second, first, other), (other, first, second))
            ]
            known = [way for way in ways if way is not None]
            if not known:
                return None
            found.update(min(known, key=self.cost))
        return tuple(sorted(found))

    def _on_known_circle(self, fact: Fact) -> tuple[int, ...] | None:
        centre, points = fact.data
        fitting = [
            number
            for number in self._circles
            if {*points} <= {*self.known[number].fact.data[1]} and centre in (None, self.known[number].fact.data[0])
        ]
        return (min(fitting, key=lambda number: self.known[number].cost),) if fitting else None

    def cost(self, numbers: Iterable[int]) -> float:
        """How dear it is to come to facts and, where they are several, to put them together."""
        numbers = tuple(numbers)
        together = _TOGETHER * len(numbers) if len(numbers) > 1 else 0.0
        return sum(self.known[number].cost for number in numbers) + together


def _merged(vectors: Iterable[dict[Any, int]]) -> dict[Any, Any]:
    """Which pair of points stands for the direction of each, where some are in line."""
    stands: dict[Any, Any] = {}

    def root(key: Any) -> Any:
        while key in stands:
            key = stands[key]
        return key

    for vector in vectors:
        roots = list(dict.fromkeys(map(root, vector)))
        for other in roots[1:]:
            stands[other] = roots[0]
    return {key: root(key) for key in stands}


def _moved(vector: dict[Any, int], at: Mapping[Any, Any]) -> dict[Any, int]:
    found: dict[Any, int] = {}
    for key, times in vector.items():
        key = at.get(key, key)
        found[key] = found.get(key, 0) + times
    return {key: times for key, times in found.items() if times}


class Turns:
    """Which way the angles of a figure turn, and its facts as equations of directions.

    Args:
        places: where each point is in the figure: pairs of numbers.
    """

    def __init__(self, places: Any) -> None:
        self._places = [tuple(map(float, place)) for place in places]

    def _left(self, a: int, vertex: int, b: int) -> int:
        (ax, ay), (vx, vy), (bx, by) = (self._places[label] for label in (a, vertex, b))
        return 1 if (ax - vx) * (by - vy) - (ay - vy) * (bx - vx) > 0 else -1

    def directions(self, fact: Fact) -> list[dict[Any, int]]:
        """A fact as equations of the directions of pairs of points: how often each is taken. None for what says nothing of directions."""
        if fact.form in (PARALLEL, PERPENDICULAR):
            one, other = fact.data
            return [{one: 1, other: -1}] if one != other else [{}]
        if fact.form == LINE:
            return _one_direction(fact.data)
        if fact.form == MIDPOINT:
            return _one_direction((fact.data[0], *fact.data[1]))
        if fact.form == ANGLES:
            vector: dict[Any, int] = {}
            for (a, vertex, b), times in fact.data[0]:
                way = times * self._left(a, vertex, b)
                for key, sign in ((pair(vertex, b), way), (pair(vertex, a), -way)):
                    vector[key] = vector.get(key, 0) + sign
            return [{key: times for key, times in vector.items() if times}]
        return []


def _one_direction(points: tuple[int, ...]) -> list[dict[Any, int]]:
    first = pair(points[0], points[1])
    pairs = [pair(a, b) for number, a in enumerate(points) for b in points[:number]]
    return [{one: 1, first: -1} for one in pairs if one != first]


def product_vectors(fact: Fact) -> list[dict[Any, int]]:
    """A fact as equations of the logarithms of magnitudes."""
    if fact.form == PRODUCT:
        return [dict(fact.data[0])]
    if fact.form == MIDPOINT:
        middle, (a, b) = fact.data
        return [{length(a, middle): 1, length(b, middle): -1}, {length(a, b): 1, length(a, middle): -1}]
    return []


def sum_vectors(fact: Fact) -> list[dict[Any, int]]:
    """A fact as an equation of products of magnitudes that add up to zero. Fractions are kept as they are modulo a prime."""
    if fact.form == SUM:
        # A sum of lengths is a sum as well where all of it is multiplied by one of them.
        lengths = [term[0] for term, _ in fact.data] if all(len(term) == 1 and term[0][0] == "length" for term, _ in fact.data) else []
        times = [{tuple(sorted((*term, one))): count for term, count in fact.data} for one in lengths]
        return [dict(fact.data), *times]
    if fact.form == PRODUCT:
        above: list[Any] = []
        below: list[Any] = []
        for magnitude, power in fact.data[0]:
            (above if power > 0 else below).extend([magnitude] * abs(power))
        if max(len(above), len(below)) <= _DEGREE:
            value = fact.data[1]
            return [_term(tuple(sorted(above)), value.denominator, tuple(sorted(below)), -value.numerator)]
    return []


def _term(one: tuple[Any, ...], times: int, other: tuple[Any, ...], others: int) -> dict[Any, int]:
    found: Mapping[Any, int] = {one: times} if one != other else {}
    return {**found, other: others} if one != other else {}
