"""The checker of arguments: line by line, knowing nothing of how they are found.

It takes from the rest what facts, rules and figures *are*, and what constructions give; not what was derived or how.
"""

from collections.abc import Mapping, Sequence
from fractions import Fraction
from typing import Any

from ...arithmetic import Intervals, NotAlgebraic, Undefined
from ...arithmetic.late import flint, np
from .argument import GIVEN, ONE_CIRCLE, RULE, TOGETHER, Argument, Line
from .forms import (
    ANGLES,
    CONGRUENT,
    LINE,
    MIDPOINT,
    PARALLEL,
    PERPENDICULAR,
    PRODUCT,
    ROUND,
    SAME,
    SHAPE,
    SIMILAR,
    SUM,
    Fact,
    is_trivial,
    length,
    mapped,
    pair,
)
from .given import given
from .holding import Holding, is_so
from .labelled import POSITIONS, Labelled
from .rules import RULES

#: Digits of the interval arithmetic, and what a fact has to hold to in each position.
_DIGITS, _HELD = 130, 10.0**-50
#: In how many positions of the same arrangement conditions have to hold at least.
_ARRANGED = 12


def faults(figure: Labelled, argument: Argument) -> list[str]:
    """What is wrong with an argument, in words for the log; none where it may be shown."""
    found = _of_lines(figure, argument)
    return found or _of_numbers(figure, argument)


def _of_lines(figure: Labelled, argument: Argument) -> list[str]:
    """What is wrong with how the lines follow from one another."""
    said = {line.fact for line in argument.lines}
    found = [f"it does not come to {goal}" for goal in argument.goals if goal not in said and not is_trivial(goal)]
    if not argument.goals:
        found.append("it comes to nothing")
    gives = set(given(figure))
    look = _Look(figure)
    for number, line in enumerate(argument.lines):
        if any(not 0 <= cited < number for cited in line.cites):
            found.append(f"line {number} cites what does not come before it")
        elif not _follows(look, line, [argument.lines[cited].fact for cited in line.cites], gives):
            found.append(f"line {number} does not follow")
    return found


def _follows(look: "_Look", line: Line, cited: Sequence[Fact], gives: set[tuple[Fact, str]]) -> bool:
    if line.how == GIVEN:
        return not line.conditions and not cited and any(_is_given(line.fact, fact) for fact, step in gives if step == line.step)
    if line.how == TOGETHER:
        return bool(cited or line.fact.form == ANGLES) and not line.conditions and look.together(line.fact, cited)
    if line.how == ONE_CIRCLE:
        return not line.conditions and _is_one_circle(line.fact, cited)
    return line.how == RULE and _by_rule(look, line, cited)


def _is_given(fact: Fact, gives: Fact) -> bool:
    """Whether a fact is what a step gives, or of a circle some of its points."""
    if fact == gives:
        return True
    return fact.form == gives.form == ROUND and {*fact.data[1]} <= {*gives.data[1]} and fact.data[0] in (None, gives.data[0])


def _by_rule(look: "_Look", line: Line, cited: Sequence[Fact]) -> bool:
    rule = RULES.get(line.rule)
    if rule is None or len(rule.letters) != len(line.points):
        return False
    to = dict(zip(rule.letters, line.points, strict=True)).__getitem__
    return (
        mapped(rule.concluded, to) == line.fact
        and tuple(condition.mapped(to) for condition in rule.condition_facts) == line.conditions
        and all(look.lies(condition) for condition in line.conditions)
        and all(look.together(mapped(premise, to), cited) for premise in rule.premise_facts)
    )


def _is_one_circle(fact: Fact, cited: Sequence[Fact]) -> bool:
    """Whether two circles that share three points, or a centre and a point, make the one that is said."""
    if len(cited) != 2 or any(one.form != ROUND for one in (fact, *cited)):
        return False
    (about, points), (other_about, others) = (one.data for one in cited)
    common = {*points} & {*others}
    centres = {centre for centre in (about, other_about) if centre is not None}
    is_one = len(common) >= 3 or (len(centres) == 1 and None not in (about, other_about) and bool(common))
    centre, said = fact.data
    return is_one and {*said} <= {*points} | {*others} and (centre is None or centres == {centre})


class _Look:
    """Whether one fact follows from others by sums of equations, or is one of them."""

    def __init__(self, figure: Labelled) -> None:
        self._figure, self._holding = figure, Holding(figure.places)

    def lies(self, condition: Any) -> bool:
        """Whether points lie as a condition says in all positions, of which there are enough."""
        choice = {label: np.array([label]) for label in condition.points}
        return len(self._figure.places) >= _ARRANGED and bool(self._holding.lies(condition, choice)[0])

    def together(self, fact: Fact, cited: Sequence[Fact]) -> bool:
        if is_trivial(fact) or fact in cited:
            return True
        if fact.form == ROUND:
            centre, points = fact.data
            return any(one.form == ROUND and {*points} <= {*one.data[1]} and centre in (None, one.data[0]) for one in cited)
        if not is_so(self._holding, fact):
            return False  # of equations the numbers on the right are not kept: they have to be right as the figure lies
        if fact.form == LINE:
            known = [row for one in cited for row in self._directions(one)]
            first, second, *others = fact.data
            ways = ([_less(pair(one, a), pair(one, b)) for one, a, b in _seen_from(first, second, other)] for other in others)
            return all(any(_is_sum(known, [way]) for way in each) for each in ways)
        given = lambda read: [row for one in cited for row in read(one)]
        if any(_is_sum(given(read), read(fact)) for read in (self._directions, _logarithms) if read(fact)):
            return True
        return any(_is_sum(given(_sums), [row]) for row in _sums(fact)[:1])

    def _left(self, a: int, vertex: int, b: int) -> int:
        places = self._figure.places[0]
        (ux, uy), (vx, vy) = places[a] - places[vertex], places[b] - places[vertex]
        return 1 if ux * vy - uy * vx > 0 else -1

    def _directions(self, fact: Fact) -> list[Mapping[Any, Fraction]]:
        """What a fact says of the directions of pairs of points."""
        if fact.form in (PARALLEL, PERPENDICULAR):
            return [_less(fact.data[0], fact.data[1])]
        if fact.form in (LINE, MIDPOINT):
            points = fact.data if fact.form == LINE else (fact.data[0], *fact.data[1])
            return [_less(pair(points[0], points[1]), pair(a, b)) for a in points for b in points if a < b]
        if fact.form == ANGLES:
            row: dict[Any, Fraction] = {}
            for (a, vertex, b), times in fact.data[0]:
                for end, sign in ((b, 1), (a, -1)):
                    key = pair(vertex, end)
                    row[key] = row.get(key, Fraction(0)) + sign * times * self._left(a, vertex, b)
            return [row]
        return []


def _seen_from(a: int, b: int, c: int) -> tuple[tuple[int, int, int], ...]:
    """Each of three points, with the other two: where they are seen in one direction, all three are in line."""
    return (a, b, c), (b, a, c), (c, a, b)


def _less(one: Any, other: Any) -> Mapping[Any, Fraction]:
    return {} if one == other else {one: Fraction(1), other: Fraction(-1)}


def _logarithms(fact: Fact) -> list[Mapping[Any, Fraction]]:
    """What a fact says of the logarithms of magnitudes."""
    if fact.form == PRODUCT:
        return [{key: Fraction(power) for key, power in fact.data[0]}]
    if fact.form == MIDPOINT:
        middle, (a, b) = fact.data
        return [_less(length(a, middle), length(b, middle)), _less(length(a, b), length(a, middle))]
    return []


def _sums(fact: Fact) -> list[Mapping[Any, Fraction]]:
    """What a fact says of sums of products of magnitudes."""
    if fact.form == SUM:
        whole: list[Mapping[Any, Fraction]] = [{key: Fraction(times) for key, times in fact.data}]
        if all(len(term) == 1 and term[0][0] == "length" for term, _ in fact.data):
            for (factor,), _ in fact.data:  # what adds up to nothing does so when all of it is multiplied by a length
                whole.append({tuple(sorted((*term, factor))): Fraction(times) for term, times in fact.data})
        return whole
    if fact.form == PRODUCT:
        above = tuple(sorted(key for key, power in fact.data[0] for _ in range(power)))
        below = tuple(sorted(key for key, power in fact.data[0] for _ in range(-power)))
        return [{above: Fraction(1), below: -fact.data[1]}]
    return []


def _is_sum(known: list[Mapping[Any, Fraction]], wanted: list[Mapping[Any, Fraction]]) -> bool:
    """Whether rows are sums of multiples of others: whether they add nothing to their rank."""
    keys = {key: place for place, key in enumerate(dict.fromkeys(key for row in (*known, *wanted) for key in row))}
    if not keys:
        return True

    def rank(rows: list[Mapping[Any, Fraction]]) -> int:
        table = [[flint.fmpq(0)] * len(keys) for _ in rows]
        for place, row in enumerate(rows):
            for key, times in row.items():
                table[place][keys[key]] = flint.fmpq(times.numerator, times.denominator)
        return int(flint.fmpq_mat(table).rank()) if table else 0

    return rank([*known, *wanted]) == rank(known)


# In 50 digits ----------------------------------------------------------------------------------------------------------


def _of_numbers(figure: Labelled, argument: Argument) -> list[str]:
    """The lines that do not hold to 50 digits in the positions of the same arrangement."""
    if len(figure.shaken) < _ARRANGED:
        return ["there are too few positions of this arrangement"]
    with Intervals(_DIGITS) as m:
        for at in figure.shaken[:POSITIONS]:
            try:
                places = figure.exactly(m, at)
                for number, line in enumerate(argument.lines):
                    if not all(_is_zero(m, *defect) for defect in _defects(m, line.fact, places)):
                        return [f"line {number} does not hold to 50 digits"]
            except (Undefined, NotAlgebraic, ZeroDivisionError, ValueError, TypeError, KeyError):
                return ["it cannot be told to 50 digits"]
    return []


def _is_zero(m: Intervals, defect: Any, size: Any) -> bool:
    return bool(abs(defect) <= m.number(Fraction(_HELD)) * (abs(size) + m.number(1)))


def _defects(m: Intervals, fact: Fact, places: Sequence[Any]) -> list[tuple[Any, Any]]:
    """Numbers that are zero where a fact holds, each with its size."""
    at = places.__getitem__
    form, data = fact.form, fact.data
    if form == ANGLES:
        total = m.number(-data[1])
        for (a, vertex, b), times in data[0]:
            u, v = _from(at(vertex), at(a)), _from(at(vertex), at(b))
            total = total + times * m.angle(_dot(u, v), m.absolute(_cross(u, v)))
        return [(total, m.number(1))]
    if form == PRODUCT:
        left, right = m.number(data[1].denominator), m.number(data[1].numerator)
        for magnitude, power in data[0]:
            for _ in range(abs(power)):
                size = _magnitude(m, magnitude, at)
                left, right = (left * size, right) if power > 0 else (left, right * size)
        return [(left - right, left)]
    if form == SUM:
        total, whole = m.number(0), m.number(0)
        for term, times in data:
            size = m.number(times)
            for magnitude in term:
                size = size * _magnitude(m, magnitude, at)
            total, whole = total + size, whole + abs(size)
        return [(total, whole)]
    if form in (PARALLEL, PERPENDICULAR):
        (a, b), (c, d) = data
        u, v = _from(at(a), at(b)), _from(at(c), at(d))
        return [((_cross if form == PARALLEL else _dot)(u, v), _dot(u, u) + _dot(v, v))]
    if form == LINE:
        a, b, *others = map(at, data)
        u = _from(a, b)
        return [(_cross(u, _from(a, c)), _dot(u, u)) for c in others]
    if form == MIDPOINT:
        middle, (a, b) = at(data[0]), map(at, data[1])
        return [(2 * middle[axis] - a[axis] - b[axis], m.number(1)) for axis in (0, 1)]
    if form == SAME:
        return [(at(data[0])[axis] - at(data[1])[axis], m.number(1)) for axis in (0, 1)]
    if form == ROUND:
        return _round(m, data[0], [at(label) for label in data[1]], at)
    if form == SHAPE:
        return _shape(m, data[0], [at(label) for label in data[1]])
    return _triangles(m, fact, at)


def _round(m: Intervals, centre: Any, points: list[Any], at: Any) -> list[tuple[Any, Any]]:
    if centre is None:
        a, b, c, *others = points
        return [_on_one(a, b, c, d) for d in others]
    squares = [_dot(u, u) for u in (_from(at(centre), point) for point in points)]
    return [(one - squares[0], squares[0]) for one in squares[1:]]


def _on_one(a: Any, b: Any, c: Any, d: Any) -> tuple[Any, Any]:
    u, v, w = _from(d, a), _from(d, b), _from(d, c)
    parts = _dot(u, u) * _cross(v, w), _dot(v, v) * _cross(w, u), _dot(w, w) * _cross(u, v)
    return parts[0] + parts[1] + parts[2], abs(parts[0]) + abs(parts[1])


def _shape(m: Intervals, word: str, corners: list[Any]) -> list[tuple[Any, Any]]:
    a, b, c, d = corners
    one = m.number(1)
    even = lambda p, q, r, s: (_dot(_from(p, q), _from(p, q)) - _dot(_from(r, s), _from(r, s)), one)
    if word == "kite":
        ways = [[even(a, b, a, d), even(c, b, c, d)], [even(b, a, b, c), even(d, a, d, c)]]
        return next((way for way in ways if all(_is_zero(m, *defect) for defect in way)), ways[0])
    if word == "trapezium":
        ways = [[(_cross(_from(a, b), _from(c, d)), one)], [(_cross(_from(b, c), _from(a, d)), one)]]
        return next((way for way in ways if all(_is_zero(m, *defect) for defect in way)), ways[0])
    found = [(a[axis] + c[axis] - b[axis] - d[axis], one) for axis in (0, 1)]
    if word in ("rectangle", "square"):
        found.append((_dot(_from(a, b), _from(b, c)), one))
    if word in ("rhombus", "square"):
        found.append(even(a, b, b, c))
    return found


def _triangles(m: Intervals, fact: Fact, at: Any) -> list[tuple[Any, Any]]:
    assert fact.form in (CONGRUENT, SIMILAR), "every other form was told before"
    sides = []
    for side in (0, 1):
        corners = [at(one[side]) for one in fact.data]
        sides.append([_dot(u, u) for u in (_from(corners[place - 1], corners[place]) for place in range(3))])
    if fact.form == CONGRUENT:
        return [(p - q, p) for p, q in zip(*sides, strict=True)]
    return [(sides[0][0] * sides[1][place] - sides[1][0] * sides[0][place], sides[0][0] * sides[1][place]) for place in (1, 2)]


def _magnitude(m: Intervals, magnitude: Any, at: Any) -> Any:
    kind, *labels = magnitude
    points = [at(label) for label in labels]
    if kind == "length":
        u = _from(*points)
        return m.sqrt(_dot(u, u))
    total = m.number(0)
    for a, b in zip(points, points[1:] + points[:1], strict=True):
        total = total + _cross(a, b)
    return m.absolute(total) / 2


def _from(a: Any, b: Any) -> tuple[Any, Any]:
    return b[0] - a[0], b[1] - a[1]


def _dot(u: Any, v: Any) -> Any:
    return u[0] * v[0] + u[1] * v[1]


def _cross(u: Any, v: Any) -> Any:
    return u[0] * v[1] - u[1] * v[0]
