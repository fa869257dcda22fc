"""Of matrices what the core asks."""

import math

from ruddy_trellis.core.arithmetic.quartic import roots_of_quartic

from .table import ndarray


def norm(value, axis=None, keepdims=False):
    return value.along(lambda row: math.sqrt(sum(one * one for one in row)), axis, keepdims)


def svd(value, full_matrices=False):
    """The singular values and the right vectors of a matrix with more rows than columns, the greatest first; nothing for the left
    vectors. By turning pairs of columns until all are square to one another (Hestenes, 1958)."""
    count = value.shape[1]
    columns = [value.data[number::count] for number in range(count)]
    turned = [[float(number == other) for other in range(count)] for number in range(count)]
    for _ in range(30):
        rest = 0.0
        for p in range(count - 1):
            for q in range(p + 1, count):
                one, other = columns[p], columns[q]
                a, b = sum(x * x for x in one), sum(x * x for x in other)
                c = sum(x * y for x, y in zip(one, other))
                if c == 0 or abs(c) <= 1e-17 * math.sqrt(a * b):
                    continue
                rest = max(rest, abs(c) / math.sqrt(a * b))
                half = (b - a) / (2 * c)
                tangent = math.copysign(1, half) / (abs(half) + math.sqrt(1 + half * half))
                cosine = 1 / math.sqrt(1 + tangent * tangent)
                sine = cosine * tangent
                for both in (columns, turned):
                    one, other = both[p], both[q]
                    both[p] = [cosine * x - sine * y for x, y in zip(one, other)]
                    both[q] = [sine * x + cosine * y for x, y in zip(one, other)]
        if rest < 1e-15:
            break
    sizes = [math.sqrt(sum(x * x for x in column)) for column in columns]
    order = sorted(range(count), key=lambda number: -sizes[number])
    rows = [one for number in order for one in turned[number]]
    return None, ndarray([sizes[number] for number in order], (count,)), ndarray(rows, (count, count))


def eigvals(value):
    """The eigenvalues of companion matrices of degree 4: the roots of the equations whose parts stand in their last columns."""
    found = []
    for start in range(0, len(value.data), 16):
        found += roots_of_quartic([*(-part for part in value.data[start + 3 : start + 16 : 4]), 1.0])
    return ndarray(found, value.shape[:-1])
