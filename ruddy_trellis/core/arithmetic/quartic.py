"""The roots of one equation of degree 4, by sums, products and quotients alone: the same bits wherever it is computed."""

from collections.abc import Sequence
from itertools import pairwise
from math import frexp, isfinite, ldexp, nan, sqrt

#: A leading part below this share of the largest is nothing: it puts a root very far away rather than dividing by zero.
_NOTHING = 1e-14
#: How often the roots are brought nearer at most; and a root has settled where what is left of the polynomial is this share of its
#: parts: noise.
_ROUNDS, _NOISE = 60, 2.0**-51
#: Four directions, a quarter of a turn apart, on no axis.
_AROUND = tuple(complex(*pair) for pair in ((0.8, 0.6), (-0.6, 0.8), (-0.8, -0.6), (0.6, -0.8)))


def roots_of_quartic(coefficients: Sequence[float]) -> list[complex]:
    """All four roots in no order.

    By Ehrlich's method (1967; found again by Aberth, 1973), from beginnings whose sizes are read off the coefficients by their convex
    hull (Bini, 1996), in powers of two.

    Args:
        coefficients: five numbers, the constant first.

    Returns:
        The roots; NaN four times where the coefficients are no numbers.
    """
    p = [float(part) for part in coefficients]
    size = max(map(abs, p))
    if not all(map(isfinite, p)):
        return [complex(nan, nan)] * 4
    if abs(p[4]) < _NOTHING * size or not size:
        p[4] = _NOTHING * size + (not size)
    zeros = next(number for number, part in enumerate(p) if part)
    p = p[zeros:]
    found = [0j] * zeros + _beginnings(p)
    unsettled = set(range(zeros, 4))
    for _ in range(_ROUNDS):
        for number in sorted(unsettled):
            step = _step(p, found[number], [other for place, other in enumerate(found) if place != number and place >= zeros])
            if step is None:
                unsettled.remove(number)
            else:
                found[number] -= step
        if not unsettled:
            break
    return found


def _step(p: Sequence[float], root: complex, others: Sequence[complex]) -> complex | None:
    """How far a root is off, as Newton's method has it, kept away from the other roots; None where it has settled."""
    value, slope, parts, far = complex(p[-1]), 0j, abs(p[-1]), sqrt(root.real * root.real + root.imag * root.imag)
    for part in p[-2::-1]:
        slope = slope * root + value
        value = value * root + part
        parts = parts * far + abs(part)
    noise = _NOISE * parts
    if not value.real * value.real + value.imag * value.imag > noise * noise:
        return None
    try:
        newton = slope / value
        for other in others:
            newton -= 1 / (root - other) if root != other else 0
        return 1 / newton
    except (ZeroDivisionError, OverflowError):
        return None


def _beginnings(p: Sequence[float]) -> list[complex]:
    """Places about as far from nothing as the roots are: a polynomial with neither a constant nor a leading part of zero."""
    sizes = [(number, frexp(part)[1]) for number, part in enumerate(p) if part]
    hull: list[tuple[int, int]] = []
    for number, height in sizes:
        while len(hull) > 1 and (height - hull[-1][1]) * (hull[-1][0] - hull[-2][0]) >= (hull[-1][1] - hull[-2][1]) * (
            number - hull[-1][0]
        ):
            hull.pop()
        hull.append((number, height))
    found: list[complex] = []
    for (start, low), (stop, high) in pairwise(hull):
        radius = ldexp(1.0, (low - high) // (stop - start))
        found += [radius * _AROUND[number] for number in range(start, stop)]
    return found
