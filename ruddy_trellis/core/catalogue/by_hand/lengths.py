"""Compass work of lengths: those that the figure has, and those that are reckoned from them: sums and differences, parts, the fourth and
the mean proportional, roots of squares.

A length is drawn as two points that are so far apart. What can be drawn so is what has only square roots (Descartes, La Géométrie, I).
"""

from fractions import Fraction
from typing import Any, TypeAlias

from ...language.expression import Formula
from .dividing import PARTS, divided, marked_off
from .straight import made_point
from .work import Ids, Made, NotByHand, Work

Span: TypeAlias = tuple[Ids, Ids]
_WHY = "By hand lengths are added, taken away, divided, multiplied by whole numbers, as a·b : c, as √(a·b) and as √(a² ± b²); not so."


def point_towards(work: Work, fills: Any) -> Made:
    a, b = span_of(work, fills["distance"])
    start = fills["from"]
    return made_point(work, work.meet(work.ray(start, fills["to"]), work.opened(start, a, b), "second"))


def span_of(work: Work, length: Any) -> tuple[Ids, Ids]:
    """The two points between which a length is taken. Raises NotByHand where it is a number."""
    if isinstance(length, tuple) and len(length) == 2:
        return length[:1], length[1:]
    if isinstance(length, tuple):
        step = work.board.step(length[0])
        if step.does == "length":
            return work.ends(step.fills["span"])
        if step.does == "distance" and work.board.kind_of(step.fills["to"][0]) == "point":
            return step.fills["from"], step.fills["to"]
        if step.makes in ("segment", "vector"):
            return work.ends(length)
        if step.does == "radius":
            circle = step.fills["circle"]
            return work.centre_of(circle), work.point_of(circle)
        if step.does == "calculation":
            return Reckoned(work, step.fills["formula"]).span(step.fills["formula"].tree)
    raise NotByHand("The compasses are opened to a length of the figure: two points, a segment, a radius; a number is not on it.")


class Reckoned:
    """Draws the length that a formula gives.

    Args:
        work: where it is drawn.
    """

    def __init__(self, work: Work, formula: Formula) -> None:
        self._work, self._operands = work, formula.operands

    def span(self, node: Any) -> Span:
        """Two points as far apart as a part of the formula says. Raises NotByHand."""
        match node:
            case ("operand", place):
                return span_of(self._work, self._operands[place])
            case ("+", one, other, _):
                return self._on(self.span(one), self.span(other), "second")
            case ("-", one, other, _):
                return self._on(self.span(one), self.span(other), "first")
            case ("call", "sqrt", under):
                return self._root(under)
        times, roots, above, below = self._factors(node)
        if len(above) != len(below) + 1:
            raise NotByHand(_WHY)
        found, *others = [self.span(one) for one in above]
        for one, other in zip(others, below):
            found = self._fourth(found, one, self.span(other))
        for number in roots:
            found = self._mean(self._times(found, number), found)
        return self._times(found, times)

    def _factors(self, node: Any) -> tuple[Fraction, list[Fraction], list[Any], list[Any]]:
        """What a product is made of: a number, numbers whose roots are taken, what is multiplied and what it is divided by."""
        match node:
            case ("number", number):
                return Fraction(number), [], [], []
            case ("call", "sqrt", ("number", number)):
                return Fraction(1), [Fraction(number)], [], []
            case ("^", base, 2):
                return self._together(self._factors(base), self._factors(base))
            case ("*", one, other, _):
                return self._together(self._factors(one), self._factors(other))
            case ("/", one, other, _):
                times, roots, above, below = self._factors(other)
                if times == 0 or roots:
                    raise NotByHand(_WHY)
                return self._together(self._factors(one), (1 / times, [], below, above))
        return Fraction(1), [], [node], []

    @staticmethod
    def _together(one, other):
        return one[0] * other[0], [*one[1], *other[1]], [*one[2], *other[2]], [*one[3], *other[3]]

    def _root(self, under: Any) -> Span:
        """The root of an area: of a sum or a difference of squares by a right-angled triangle, of a product by the mean proportional."""
        match under:
            case ("+", one, other, _):
                return self._legs(self._root(one), self._root(other))
            case ("-", one, other, _):
                return self._leg(self._root(one), self._root(other))
        times, roots, above, below = self._factors(under)
        if roots or len(above) != len(below) + 2:
            raise NotByHand(_WHY)
        found, *others = [self.span(one) for one in above]
        for one, other in zip(others, below):
            found = self._fourth(found, one, self.span(other))
        last = self.span(above[-1])
        if found == last:  # the root of a square
            return found if times == 1 else self._mean(self._times(found, times), found)
        return self._mean(self._times(found, times), last)

    # What is drawn -------------------------------------------------------------------------------------------

    def _times(self, span: Span, number: Fraction) -> Span:
        if number <= 0 or number.numerator + number.denominator > PARTS:
            raise NotByHand(f"By hand a length is taken some whole number of times, or divided in equal parts, not × {float(number):g}.")
        start, end = span
        unit = end if number.denominator == 1 else divided(self._work, start, end, 1, number.denominator - 1)
        return start, marked_off(self._work, start, unit, number.numerator)

    def _on(self, span: Span, other: Span, which: str) -> Span:
        """Another length marked off from the end of one, onwards (the second crossing) or back (the first)."""
        start, end = span
        rule = self._work.line_from(start, end) if which == "second" else self._work.ray(start, end)
        return start, self._work.meet(rule, self._work.opened(end, *other), which)

    def _fourth(self, x: Span, y: Span, z: Span) -> Span:
        """x·y : z (Euclid VI 12): on two rays from one point x and z, and y; the parallel through the end of x to what joins the ends of
        z and y."""
        work, (start, end) = self._work, x
        aside, _ = work.equally_far(start, end)
        one, other = work.ray(start, end), work.ray(start, aside)
        there = work.meet(one, work.opened(start, *z), "second")
        mark = work.meet(other, work.opened(start, *y), "second")
        beyond = work.shifted(end, there, mark)
        return start, work.meet(work.line(end, beyond), work.line(start, aside))

    def _mean(self, x: Span, y: Span) -> Span:
        """√(x·y) (Euclid VI 13): the height over where both lengths meet, in the half circle over them together."""
        work = self._work
        start, foot = x
        _, end = self._on(x, y, "second")
        around = work.circle(work.midpoint(start, end), start)
        return foot, work.meet(work.line_from(*work.upright(foot, work.line_from(start, foot))), around, "second")

    def _legs(self, x: Span, y: Span) -> Span:
        """√(x² + y²): the longest side of a right-angled triangle."""
        work, (start, corner) = self._work, x
        upright = work.line_from(*work.upright(corner, (*start, *corner)))
        return start, work.meet(upright, work.opened(corner, *y), "second")

    def _leg(self, x: Span, y: Span) -> Span:
        """√(x² − y²): a side of a right-angled triangle in the half circle over the longest."""
        work, (start, end) = self._work, x
        around = work.circle(work.midpoint(start, end), start)
        return start, work.meet(around, work.opened(end, *y), "second")
