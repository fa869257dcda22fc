"""The equations of paths, with what the figure's symbols are left in: what runs along a locus is eliminated."""

from typing import Any

from ..arithmetic import NotAlgebraic
from ..arithmetic.exact_numbers import ExactNumber
from ..arithmetic.late import flint
from ..arithmetic.undefined import TooDear
from ..kinds import CIRCLE, CONIC, LOCUS, ROUNDS, STRAIGHTS

#: What has an equation.
EQUATED = (*STRAIGHTS, CIRCLE, CONIC, LOCUS)
#: Polynomials of more terms than this are not eliminated from; at so many places of the driver it is looked which factor is zero.
_MOST_TERMS, _PLACES = 160, 9


def path_equation(kind: str, value: Any, x: ExactNumber, y: ExactNumber) -> ExactNumber:
    """A number in the symbols x and y that is zero where (x, y) is on a path; ``value`` is the path in exact arithmetic."""
    if kind in STRAIGHTS:
        px, py, dx, dy = value[:4]
        return dy * (x - px) - dx * (y - py)
    if kind in ROUNDS:
        return (x - value[0]) * (x - value[0]) + (y - value[1]) * (y - value[1]) - value[2]
    fx, fy, ux, uy, latus = value
    far = ux * (x - fx) + uy * (y - fy) + latus
    return (x - fx) * (x - fx) + (y - fy) * (y - fy) - far * far


def cleared(number: ExactNumber, x: ExactNumber, y: ExactNumber) -> ExactNumber:
    """The numerator without the factors in which neither x nor y stands."""
    m = number.field
    _, factors = m.signs.factors(m.reduced(number.top))
    kept = [factor for _, factor, _ in factors if _has(factor, x, y)]
    if not kept:
        raise NotAlgebraic("it is everywhere, or nowhere")
    found = kept[0]
    for factor in kept[1:]:
        found = found * factor
    return m.of(found)


def locus_equation(point: tuple[ExactNumber, ExactNumber], driver: ExactNumber, x: ExactNumber, y: ExactNumber) -> ExactNumber:
    """The equation of where a point goes as the driver's symbol runs.

    Roots that hold the driver are eliminated by their squares, then the driver by the resultant of both coordinates' equations; of the
    factors the one stays that is zero at several places of the driver.
    """
    m = x.field
    place = _place(driver)
    equations = [coordinate.top - axis.top * coordinate.bottom for coordinate, axis in zip(point, (x, y))]
    moving = _moving_roots(m, place)
    if not any(one.degrees()[each] for one in equations for each in (place, *moving)):
        raise NotAlgebraic("nothing moves on it")
    for root in moving:
        rule = m.generator(root).top ** 2 - m.squares[root]
        equations = [_resultant(one, rule, root) for one in equations]
    found = _resultant(equations[0], equations[1], place)
    factors = [factor for _, factor, _ in m.signs.factors(found)[1] if _has(factor, x, y)]
    return m.of(_true_factor(factors, point, place, moving, x, y))


def _resultant(one: Any, other: Any, place: int) -> Any:
    if not one.degrees()[place]:
        return one
    if not other.degrees()[place]:
        return other
    if len(one) > _MOST_TERMS or len(other) > _MOST_TERMS:
        raise TooDear("its equation is too long")
    return one.resultant(other, place)


def _moving_roots(m: Any, place: int) -> list[int]:
    """The places of the roots that hold a symbol, or a root that does: the youngest first."""
    found: list[int] = []
    for root in sorted(m.squares, reverse=True):  # the youngest have the least places
        powers = m.squares[root].degrees()
        if powers[place] or any(powers[other] for other in found):
            found.append(root)
    return sorted(found)


def _true_factor(factors: list[Any], point: Any, place: int, moving: list[int], x: ExactNumber, y: ExactNumber) -> Any:
    m = x.field
    left = list(factors)
    now = m.sample_of(place)
    for number in range(_PLACES):
        shift = flint.arb((number * 7) % 11 - 5) / 37
        with_driver = {place: now + shift if number else now}
        try:
            values = _values_at(m, point, with_driver, sorted(moving, reverse=True))
        except (ArithmeticError, ValueError):
            continue
        if values is None:
            continue
        with_driver |= {_place(x): values[0], _place(y): values[1]}
        left = [factor for factor in left if m.at_sample(factor, with_driver).contains(0)]
    if not left:
        raise NotAlgebraic("its equation was not found")
    return min(left, key=lambda factor: factor.total_degree())


def _values_at(m: Any, point: Any, at: dict[int, Any], roots: list[int]) -> tuple[Any, Any] | None:
    """The coordinates for another place of the driver, as balls; ``at`` gets the values of the roots. None where a root is not real."""
    for root in roots:
        square = m.at_sample(m.squares[root], at)
        if not square > 0:
            return None
        at[root] = square.sqrt()
    return tuple(m.at_sample(one, at) for one in point)  # type: ignore[return-value]


def _place(number: ExactNumber) -> int:
    return next(place for place, power in enumerate(number.top.degrees()) if power)


def _has(polynomial: Any, *symbols: ExactNumber) -> bool:
    return any(polynomial.degrees()[_place(symbol)] for symbol in symbols)
