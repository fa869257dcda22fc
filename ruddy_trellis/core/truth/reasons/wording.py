"""An argument in words: what each line says, and by what name schools tell why."""

from collections.abc import Iterable
from fractions import Fraction
from typing import Any

from ...kinds import join
from ...language.printing import sentence
from ..angle_pairs import as_said
from .argument import GIVEN, ONE_CIRCLE, TOGETHER, Argument, Line
from .forms import ANGLES, CONGRUENT, LINE, MIDPOINT, PARALLEL, PERPENDICULAR, PRODUCT, ROUND, SAME, SHAPE, SUM, Fact
from .labelled import Labelled
from .rule import Condition
from .rules import RULES


class Wording:
    """Says facts of a figure.

    Args:
        figure: the labelled figure.
        words: where the person teaches: the column of the names (see ``angle_pairs.NAMES``).
    """

    def __init__(self, figure: Labelled, words: int = 0) -> None:
        self._figure, self._words = figure, words

    def name(self, label: int) -> str:
        return self._figure.name(label)

    def line(self, labels: Iterable[int]) -> str:
        """Two points as their line; with a nameless one the line's own name."""
        labels = tuple(labels)
        nameless = next((label for label in labels if self._figure.is_nameless(label)), None)
        return self.name(nameless) if nameless is not None else "".join(map(self.name, labels))

    def angle(self, labels: tuple[int, int, int]) -> str:
        a, vertex, b = labels
        if any(map(self._figure.is_nameless, labels)):
            return f"the angle of {self.line((vertex, a))} and {self.line((vertex, b))}"
        return f"∠{self.name(a)}{self.name(vertex)}{self.name(b)}"

    def _magnitude(self, one: tuple[Any, ...]) -> str:
        names = "".join(map(self.name, one[1:]))
        return names if one[0] == "length" else f"area({names})"

    def says(self, fact: Fact) -> str:
        """A fact as a sentence."""
        form, data = fact.form, fact.data
        if form == ANGLES:
            return self._balanced([(self.angle(one), Fraction(times)) for one, times in data[0]], data[1], "°")
        if form == PRODUCT:
            return self._product(*data)
        if form == SUM:
            return self._balanced([(self._powers(term), Fraction(times)) for term, times in data], Fraction(0), "")
        if form == LINE:
            return f"{join(self._named(data))} are in line"
        if form == ROUND:
            centre, labels = data
            about = f" about {self.name(centre)}" if centre is not None else ""
            return f"{join(self._named(labels))} {'is' if len(labels) == 1 else 'are'} on {'a' if about else 'one'} circle{about}"
        if form in (PARALLEL, PERPENDICULAR):
            return f"{self.line(data[0])} is {form} to {self.line(data[1])}"
        if form == MIDPOINT:
            return f"{self.name(data[0])} is the midpoint of {self.line(data[1])}"
        if form == SHAPE:
            return f"{''.join(map(self.name, data[1]))} is a {data[0]}"
        if form == SAME:
            return f"{self.name(data[0])} and {self.name(data[1])} are the same place"
        first, second = ("".join(self.name(pair[side]) for pair in data) for side in (0, 1))
        return f"{first} is {'congruent' if form == CONGRUENT else 'similar'} to {second}"

    def _named(self, labels: Iterable[int]) -> list[str]:
        return [self.name(label) for label in labels if not self._figure.is_nameless(label)]

    def _powers(self, term: tuple[Any, ...]) -> str:
        parts = []
        for one in dict.fromkeys(term):
            power = term.count(one)
            parts.append(self._magnitude(one) + {1: "", 2: "²", 3: "³"}.get(power, f"^{power}"))
        return " · ".join(parts)

    @staticmethod
    def _balanced(terms: list[tuple[str, Fraction]], total: Fraction, unit: str) -> str:
        """An equation without minus signs: what is taken away stands on the other side."""
        written = lambda times, text: text if times == 1 else f"{_number(times)} {text}"
        left = [written(times, text) for text, times in terms if times > 0]
        right = [written(-times, text) for text, times in terms if times < 0]
        if total > 0:
            right.append(f"{_number(total)}{unit}")
        elif total < 0:
            left.append(f"{_number(-total)}{unit}")
        return f"{' + '.join(left) or '0'} = {' + '.join(right) or '0'}"

    def _product(self, powers: Any, value: Fraction) -> str:
        above = [one for one, power in powers for _ in range(power) if power > 0]
        below = [one for one, power in powers for _ in range(-power) if power < 0]
        is_four = len({*above, *below}) == 4 or any(one[0] == "area" for one in (*above, *below))
        if len(above) == 2 and len(below) == 2 and value == 1 and is_four:
            return self._as_ratio(above, below)
        left, right = self._powers(tuple(above)), self._powers(tuple(below))
        if not below:
            return f"{left} = {_number(value)}"
        if value.numerator == 1 and value != 1:
            left, right, value = right, left, 1 / value
        if value.denominator != 1:
            left = f"{_number(Fraction(value.denominator))} {left}"
        return f"{left} = {_number(Fraction(value.numerator)) + ' ' if value.numerator != 1 else ''}{right}"

    def _as_ratio(self, above: list[Any], below: list[Any]) -> str:
        """A product of two over two, as ratios of parts that share a point."""
        first, second = above
        shared = lambda one, other: len({*one[1:]} & {*other[1:]}) + (one[0] == other[0]) * 3
        near, far = sorted(below, key=lambda one: -shared(first, one))
        return f"{self._magnitude(first)} : {self._magnitude(near)} = {self._magnitude(far)} : {self._magnitude(second)}"

    def lies(self, condition: Condition) -> str:
        """A condition as a sentence: "C and D are on one side of AB"."""
        names = [self.name(label) for label in condition.points]
        if condition.how == "between":
            return f"{names[0]} is between {names[1]} and {names[2]}"
        if condition.how == "not in line":
            return f"{join(names)} are not in line"
        one = "one side" if condition.how == "one side" else "different sides"
        return f"{self._either(condition.points[0])} and {self._either(condition.points[1])} are on {one} of {names[2]}{names[3]}"

    def _either(self, label: int) -> str:
        return f"the point of {self.name(label)}" if self._figure.is_nameless(label) else self.name(label)

    def because(self, argument: Argument, line: Line) -> str:
        """By what a line holds, in words, without the lines that it cites."""
        if line.how == GIVEN and line.fact.form == SHAPE:
            return "it is made so"
        if line.how == GIVEN and line.fact.form == MIDPOINT and self._figure.board.step(line.step).does == "midpoint":
            return self.says(line.fact)
        if line.how == GIVEN:
            return sentence(self._figure.board, line.step)
        if line.how == ONE_CIRCLE:
            (_, points), (_, others) = (argument.lines[number].fact.data for number in line.cites)
            by_points = len({*points} & {*others}) >= 3
            return "through three points there is only one circle" if by_points else "about one centre, through one point"
        if line.how == TOGETHER:
            return self._together(argument, line)
        return RULES[line.rule].called(self._words)

    def _together(self, argument: Argument, line: Line) -> str:
        """By what name a fact follows by adding and subtracting alone."""
        cited = [argument.lines[number].fact for number in line.cites]
        told = [fact for fact in cited if fact.form != LINE]
        if line.fact.form == ANGLES:
            return self._of_angles(line.fact, told)
        if line.fact.form in (PARALLEL, PERPENDICULAR):
            if told and all(fact.form in (PARALLEL, PERPENDICULAR) for fact in told):
                kinds = {fact.form for fact in told}
                if len(kinds) == 2:
                    return "one is perpendicular to it, the other parallel to that one"
                return f"{'both are' if len(told) == 2 else 'all are'} {told[0].form} to the same line"
            return "from these angles"
        if line.fact.form == LINE:
            return "they make one straight angle" if any(fact.form == ANGLES for fact in told) else "one line"
        return "from these"

    def _of_angles(self, fact: Fact, told: list[Fact]) -> str:
        terms, total = fact.data
        labels = {label for one, _ in terms for label in one}
        if len(labels) == 3 and len(terms) > 1 and total and len({one[1] for one, _ in terms}) == len(terms):
            names = "".join(map(self.name, sorted(labels)))
            return f"sum of the angles in triangle {names}"
        if not told:
            if len(terms) == 2 and total == 0:
                return as_said("vertical", self._words)
            return as_said("linear pair", self._words) if len(terms) == 2 and total == 180 else "angles at one point"
        if len(terms) == 1 and total == 90:
            return "a right angle" if len(told) == 1 else "from these angles"
        if len(told) == 1 and told[0].form == PARALLEL and len(terms) == 2:
            return self._at_parallels(fact)
        return "from these angles"

    def _at_parallels(self, fact: Fact) -> str:
        (one, _), (other, _) = fact.data[0]
        if fact.data[1]:
            return f"{as_said('consecutive interior', self._words)} at parallels"
        places = self._figure.places[0]
        a, b = (places[label[1]] for label in (one, other))
        side = lambda angle: [
            (b[0] - a[0]) * (places[label][1] - places[angle[1]][1]) - (b[1] - a[1]) * (places[label][0] - places[angle[1]][0])
            for label in (angle[0], angle[2])
        ]
        first, second = (sum(part for part in side(angle)) for angle in (one, other))
        return f"{as_said('corresponding' if first * second > 0 else 'alternate interior', self._words)} at parallels"


def _number(value: Fraction) -> str:
    value = Fraction(value)
    if value.denominator == 1:
        return str(value.numerator)
    text = f"{float(value):g}"
    return text if Fraction(text) == value else f"{value.numerator}/{value.denominator}"
