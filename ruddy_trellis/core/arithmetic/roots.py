"""The roots of equations of degree 4, of one or of many at once."""

from math import nan
from typing import Any

from .late import np
from .quartic import roots_of_quartic

#: A root with an imaginary part this share of its size still counts as real: two things that touch.
_TOUCHING = 1e-6


def complex_roots(coefficients) -> Any:
    """All roots in no order, complex; NaN where the coefficients are no numbers.

    Args:
        coefficients: five numbers or arrays, the constant first.

    Returns:
        Of numbers a list; of arrays one whose last axis has the four roots: the eigenvalues of the companion matrix.
    """
    if all(isinstance(part, (float, int)) for part in coefficients):
        return roots_of_quartic(coefficients)
    p = np.stack(np.broadcast_arrays(*[np.asarray(part, dtype=float) for part in coefficients]), axis=-1)
    with np.errstate(all="ignore"):
        size = np.abs(p).max(axis=-1)
        # A leading part that is nothing puts a root very far away rather than dividing by zero.
        lead = np.where(np.abs(p[..., 4]) < 1e-14 * size, 1e-14 * size + (size == 0), p[..., 4])
        matrix = np.zeros((*lead.shape, 4, 4))
        matrix[..., 1, 0] = matrix[..., 2, 1] = matrix[..., 3, 2] = 1
        matrix[..., :, 3] = -p[..., :4] / lead[..., None]
    known: Any = np.isfinite(matrix).all(axis=(-2, -1))
    roots = np.linalg.eigvals(np.where(known[..., None, None], matrix, 0))
    return np.where(known[..., None], roots, np.nan)


def in_order(roots) -> Any:
    """The real ones among complex roots in order, then NaN."""
    if isinstance(roots, list):
        real = sorted(root.real for root in roots if is_real(root))
        return real + [nan] * (len(roots) - len(real))
    return np.sort(np.where(is_real(roots), roots.real, np.nan), axis=-1)


def is_real(roots) -> Any:
    """Whether complex roots count as real."""
    return abs(roots.imag) <= _TOUCHING * (1 + abs(roots))
