"""Stands for the library of that name in the browser, which has none: of its functions those that the core uses, in plain Python. What
one figure is in many positions is a few hundred numbers, and lists are quick enough for them.
"""

import builtins
import itertools
import math
import sys
from bisect import bisect_left, bisect_right
from contextlib import nullcontext
from itertools import accumulate, chain, pairwise
from math import inf, nan, pi

from . import linalg, random
from .table import NUMBERS, common, each, least, most, ndarray, spread, table

__all__ = ["inf", "linalg", "nan", "ndarray", "pi", "random"]

float64 = float
_LARGEST = sys.float_info.max


def errstate(**_):
    return nullcontext()


# Making ---------------------------------------------------------------------------------------------------------


def asarray(value, dtype=None):
    found = table(value)
    return found.astype(dtype) if dtype is not None else found


def array(value, dtype=None):
    return asarray(value, dtype).copy()


def _shape(shape):
    return (shape,) if isinstance(shape, int) else tuple(shape)


def full(shape, value, dtype=None):
    shape = _shape(shape)
    return ndarray([dtype(value) if dtype else value] * math.prod(shape), shape)


def zeros(shape, dtype=float):
    return full(shape, dtype(0))


def ones(shape, dtype=float):
    return full(shape, dtype(1))


empty = zeros


def ones_like(value):
    return ones(table(value).shape)


def arange(start, stop=None, step=1):
    start, stop = (0, start) if stop is None else (start, stop)
    count = max(0, math.ceil((stop - start) / step))
    return ndarray([start + number * step for number in range(count)], (count,))


def linspace(start, stop, count=50, axis=0):
    """As many numbers, evenly; of two arrays, rows of them along the last axis."""
    if isinstance(start, ndarray) and start.shape:
        rows = [linspace(low, high, count).data for low, high in zip(start.data, stop.data)]
        return ndarray(list(chain.from_iterable(rows)), (len(rows), count))
    start, stop = float(start), float(stop)
    step = (stop - start) / (count - 1) if count > 1 else 0.0
    return ndarray([*(start + number * step for number in range(count - 1)), stop][:count], (count,))


# Shapes ---------------------------------------------------------------------------------------------------------


def shape(value):
    return table(value).shape


def ndim(value):
    return len(table(value).shape)


def size(value):
    return len(table(value).data)


def ravel(value):
    return table(value).ravel()


def atleast_1d(value):
    found = table(value)
    return found if found.shape else ndarray(found.data, (1,))


def broadcast_to(value, shape):
    shape = _shape(shape)
    return ndarray(spread(table(value), shape), shape)


def broadcast_arrays(*values):
    shape = common([table(one).shape for one in values])
    return [broadcast_to(one, shape) for one in values]


def expand_dims(value, axis):
    found = table(value)
    at = axis % (len(found.shape) + 1)
    return ndarray(found.data, (*found.shape[:at], 1, *found.shape[at:]))


def concatenate(values, axis=0):
    parts = [table(one) for one in values]
    return ndarray(list(chain.from_iterable(part.data for part in parts)), (sum(part.shape[0] for part in parts), *parts[0].shape[1:]))


def stack(values, axis=0):
    parts = [table(one) for one in values]
    if axis == 0:
        return ndarray(list(chain.from_iterable(part.data for part in parts)), (len(parts), *parts[0].shape))
    # The last axis: what stands in one place comes together.
    return ndarray(list(chain.from_iterable(zip(*(part.data for part in parts)))), (*parts[0].shape, len(parts)))


def column_stack(values):
    return stack([table(one) for one in values], axis=1)


def roll(value, by):
    data = table(value).data
    by %= len(data) or 1
    return ndarray(data[-by:] + data[:-by] if by else list(data), (len(data),))


def tile(value, times):
    data = table(value).data * times
    return ndarray(data, (len(data),))


def repeat(value, times):
    data = list(chain.from_iterable(itertools.repeat(one, times) for one in table(value).data))
    return ndarray(data, (len(data),))


def insert(value, at, what):
    """Numbers put in before places, which are in order."""
    data, found, last = table(value).data, [], 0
    for place, one in zip(table(at).data, table(what).data):
        found += data[last:place]
        found.append(one)
        last = place
    found += data[last:]
    return ndarray(found, (len(found),))


def take_along_axis(value, places, axis):
    """Along the last axis."""
    rows, _ = value.rows(-1)
    wide = places.shape[-1]
    found = [rows[number // wide][place] for number, place in enumerate(places.data)]
    return ndarray(found, places.shape)


# Of each number -------------------------------------------------------------------------------------------------


def _of_each(how, careful):
    def found(value):
        return each(how, value if isinstance(value, (ndarray, NUMBERS)) else table(value), careful=careful)

    return found


def _root(value):
    return nan if value < 0 else math.sqrt(value)


def _logarithm(how):
    return lambda value: nan if value < 0 else how(value) if value else -inf


def _sure(how, otherwise):
    def careful(value):
        try:
            return how(value)
        except (ArithmeticError, ValueError):
            return otherwise

    return careful


abs = _of_each(abs, None)
sqrt = _of_each(math.sqrt, lambda value: value**0.5 if isinstance(value, complex) else _root(value))
sin = _of_each(math.sin, _sure(math.sin, nan))
cos = _of_each(math.cos, _sure(math.cos, nan))
arccos = _of_each(math.acos, _sure(math.acos, nan))
arctan = _of_each(math.atan, None)
sinh = _of_each(math.sinh, _sure(math.sinh, inf))
arcsinh = _of_each(math.asinh, None)
exp = _of_each(math.exp, _sure(math.exp, inf))
log = _of_each(math.log, _logarithm(math.log))
log10 = _of_each(math.log10, _logarithm(math.log10))
floor = _of_each(lambda value: float(math.floor(value)), lambda value: float(math.floor(value)) if math.isfinite(value) else value)
ceil = _of_each(lambda value: float(math.ceil(value)), lambda value: float(math.ceil(value)) if math.isfinite(value) else value)
rint = _of_each(lambda value: float(builtins.round(value)), lambda value: float(builtins.round(value)) if math.isfinite(value) else value)
degrees = _of_each(math.degrees, None)
radians = _of_each(math.radians, None)
sign = _of_each(lambda value: value if value != value else float((value > 0) - (value < 0)), None)
isnan = _of_each(lambda value: value != value, None)
isinf = _of_each(math.isinf, None)


def isfinite(value):
    return each(math.isfinite, table(value))


def real(value):
    return table(value).real


def imag(value):
    return table(value).imag


def round(value, decimals=0):
    return each(lambda one: builtins.round(one, decimals) if math.isfinite(one) else one, table(value))


def nan_to_num(value):
    return each(lambda one: 0.0 if one != one else min(max(one, -_LARGEST), _LARGEST), table(value))


# Of two or more -------------------------------------------------------------------------------------------------


class _Of2:
    """A function of two numbers, which can also be done of many one after another."""

    def __init__(self, how):
        self._how = how

    def __call__(self, p, q):
        return each(self._how, table(p), table(q))

    def reduce(self, values):
        found, *others = values if isinstance(values, list) else list(values)
        for one in others:
            found = self(found, one)
        return table(found)


maximum = _Of2(lambda p, q: p if p >= q or p != p else q)
minimum = _Of2(lambda p, q: p if p <= q or p != p else q)
fmin = _Of2(lambda p, q: q if p != p or q < p else p)
logical_and = _Of2(lambda p, q: bool(p and q))
logical_or = _Of2(lambda p, q: bool(p or q))
hypot = _Of2(math.hypot)
arctan2 = _Of2(math.atan2)
copysign = _Of2(math.copysign)
mod = _Of2(lambda p, q: p % q if q else nan)


def where(truths, p, q):
    return each(lambda is_so, one, other: one if is_so else other, table(truths), table(p), table(q))


def clip(value, low, high):
    return minimum(maximum(value, low), high)


def array_equal(one, other):
    one, other = table(one), table(other)
    return one.shape == other.shape and all(p == q for p, q in zip(one.data, other.data))


# Of many --------------------------------------------------------------------------------------------------------


def mean(value, axis=None):
    return table(value).mean(axis)


def ptp(value):
    data = table(value).data
    return most(data) - least(data)


def median(value):
    data = sorted(table(value).data)
    half = len(data) // 2
    if not data or any(one != one for one in data):
        return nan
    return data[half] if len(data) % 2 else (data[half - 1] + data[half]) / 2


def _known(value):
    return [one for one in table(value).data if one == one]


def nanmedian(value):
    return median(_known(value))


def nanmax(value, initial=-inf):
    return max(_known(value), default=nan if initial == -inf else initial) if initial == -inf else max([*_known(value), initial])


def nanargmin(value):
    data = table(value).data
    return min((place for place, one in enumerate(data) if one == one), key=data.__getitem__)


def _place(best):
    def found(value, axis=None):
        return table(value).along(lambda row: _first(row, best), axis)

    return found


def _first(row, best):
    for place, one in enumerate(row):
        if one != one:
            return place
    return row.index(best(row))


argmin, argmax = _place(min), _place(max)


def _in_order(row):
    return sorted(one for one in row if one == one) + [one for one in row if one != one]


def sort(value, axis=-1):
    found = table(value)
    rows, _ = found.rows(-1)
    return ndarray(list(chain.from_iterable(map(_in_order, rows))), found.shape)


def argsort(value):
    data = table(value).data
    found = sorted(range(len(data)), key=lambda place: (data[place] != data[place], data[place] if data[place] == data[place] else 0))
    return ndarray(found, (len(found),))


def unique(value):
    found = _in_order(set(table(value).data))
    return ndarray(found, (len(found),))


def flatnonzero(value):
    found = [place for place, one in enumerate(table(value).data) if one]
    return ndarray(found, (len(found),))


def nonzero(value):
    return (flatnonzero(value),)


def argwhere(value):
    found = [[place // value.shape[1], place % value.shape[1]] for place, one in enumerate(value.data) if one]
    return ndarray(list(chain.from_iterable(found)), (len(found), 2))


def diff(value):
    data = table(value).data
    return ndarray([q - p for p, q in pairwise(data)], (max(len(data) - 1, 0),))


def cumsum(value):
    data = list(accumulate(table(value).data))
    return ndarray(data, (len(data),))


def searchsorted(value, what, side="left"):
    data, how = table(value).data, bisect_left if side == "left" else bisect_right
    return each(lambda one: how(data, one), what) if isinstance(what, ndarray) else how(data, what)
