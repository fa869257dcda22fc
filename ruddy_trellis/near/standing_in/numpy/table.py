"""Arrays as flat lists with a shape, in plain Python."""

import operator
from fractions import Fraction
from itertools import chain, repeat
from math import copysign, inf, nan, prod, sqrt

NUMBERS = (int, float, complex, Fraction)


class ndarray:
    """Numbers in rows: ``data`` is one flat list, the last axis runs fastest. What is indexed is copied."""

    __slots__ = ("data", "shape")

    def __init__(self, data, shape):
        self.data, self.shape = data, shape

    ndim = property(lambda self: len(self.shape))
    size = property(lambda self: len(self.data))
    real = property(lambda self: ndarray([one.real for one in self.data], self.shape))
    imag = property(lambda self: ndarray([one.imag for one in self.data], self.shape))

    @property
    def T(self):
        if len(self.shape) < 2:
            return self
        rows, columns = self.shape
        return ndarray([self.data[row * columns + column] for column in range(columns) for row in range(rows)], (columns, rows))

    # One number of it, all of them ------------------------------------------------------------------------------

    def _only(self):
        if len(self.data) != 1:
            raise ValueError("not one number")
        return self.data[0]

    def __bool__(self):
        return bool(self._only())

    def __float__(self):
        return float(self._only())

    def __int__(self):
        return int(self._only())

    def __complex__(self):
        return complex(self._only())

    def __index__(self):
        return operator.index(self._only())

    item = _only

    def __len__(self):
        return self.shape[0]

    def __iter__(self):
        return iter(self.data) if len(self.shape) == 1 else iter([self[number] for number in range(self.shape[0])])

    def __contains__(self, number):
        return any(one == number for one in self.data)

    __hash__ = None  # type: ignore[assignment]

    def __neg__(self):
        return each(operator.neg, self)

    def __abs__(self):
        return each(abs, self)

    def __invert__(self):
        return each(operator.not_, self)

    def tolist(self):
        if not self.shape:
            return self.data[0]
        return list(self.data) if len(self.shape) == 1 else [row.tolist() for row in self]

    def copy(self):
        return ndarray(list(self.data), self.shape)

    def astype(self, kind):
        return ndarray(list(map(kind, self.data)), self.shape)

    def ravel(self):
        return ndarray(self.data, (len(self.data),))

    def reshape(self, *shape):
        shape = shape[0] if isinstance(shape[0], tuple) else shape
        known = prod(one for one in shape if one >= 0)
        return ndarray(self.data, tuple(one if one >= 0 else len(self.data) // known for one in shape))

    # Picking ----------------------------------------------------------------------------------------------------

    def __getitem__(self, key):
        if len(self.shape) == 1:
            if isinstance(key, int):
                return self.data[key]
            if isinstance(key, slice):
                found = self.data[key]
                return ndarray(found, (len(found),))
        places, shape = self._places(key)
        found = [self.data[place] for place in places]
        return ndarray(found, shape) if shape else found[0]

    def __setitem__(self, key, value):
        if isinstance(key, slice) and len(self.shape) == 1 and isinstance(value, ndarray) and len(value.shape) == 1:
            if len(value.data) != len(self.data[key]):
                raise ValueError("as many numbers as places are needed")
            self.data[key] = value.data
            return
        places, shape = self._places(key)
        for place, one in zip(places, spread(table(value), shape) if not isinstance(value, NUMBERS) else repeat(value)):
            self.data[place] = one

    def _places(self, key):
        """The places in the flat list that a key stands for, and their shape."""
        if isinstance(key, ndarray) and len(key.shape) > 1:  # truths of the same shape
            found = [place for place, one in enumerate(key.data) if one]
            return found, (len(found),)
        keys = list(key) if isinstance(key, tuple) else [key]
        asked = sum(one is not None and one is not Ellipsis for one in keys)
        if any(one is Ellipsis for one in keys):
            where = next(number for number, one in enumerate(keys) if one is Ellipsis)
            keys[where : where + 1] = [slice(None)] * (len(self.shape) - asked)
        else:
            keys += [slice(None)] * (len(self.shape) - asked)
        return _picked(list(range(len(self.data))), self.shape, keys)

    # Along an axis ----------------------------------------------------------------------------------------------

    def rows(self, axis):
        """The lists that lie along an axis, or along several, and the shape of what has one number for each."""
        if axis is None:
            return [self.data], ()
        axes = sorted(one % len(self.shape) for one in (axis if isinstance(axis, tuple) else (axis,)))
        if axes == list(range(len(self.shape) - len(axes), len(self.shape))):
            shape = self.shape[: len(self.shape) - len(axes)]
            size = prod(self.shape[len(shape) :])
            return [self.data[start : start + size] for start in range(0, len(self.data), size)] if size else [[]] * prod(shape), shape
        (axis,) = axes
        after = prod(self.shape[axis + 1 :])
        size = self.shape[axis] * after
        rows = [self.data[start + one : start + size : after] for start in range(0, len(self.data), size) for one in range(after)]
        return rows, (*self.shape[:axis], *self.shape[axis + 1 :])

    def along(self, how, axis=None, keepdims=False):
        """What something gives of each list along an axis: a number where that is all of it."""
        rows, shape = self.rows(axis)
        found = [how(row) for row in rows]
        if keepdims:
            shape = tuple(1 if number == axis % len(self.shape) else one for number, one in enumerate(self.shape))
        return ndarray(found, shape) if shape or axis is not None else found[0]

    def any(self, axis=None):
        return truth(self.along(any, axis))

    def all(self, axis=None):
        return truth(self.along(all, axis))

    def sum(self, axis=None):
        return self.along(sum, axis)

    def min(self, axis=None):
        return self.along(least, axis)

    def max(self, axis=None, initial=-inf):
        return self.along(lambda row: most([*row, initial]) if initial > -inf else most(row), axis)

    def mean(self, axis=None):
        return self.along(lambda row: sum(row) / len(row) if row else nan, axis)

    def std(self):
        middle = self.mean()
        return sqrt(sum((one - middle) ** 2 for one in self.data) / len(self.data))


def truth(found):
    """A truth that knows what it is asked, as those of the library do."""
    return found if isinstance(found, ndarray) else ndarray([found], ())


def most(row):
    return nan if any(one != one for one in row) else max(row)


def least(row):
    return nan if any(one != one for one in row) else min(row)


def _picked(places, shape, keys):
    if not keys:
        return places, shape
    key, *rest = keys
    if key is None:
        found, inner = _picked(places, shape, rest)
        return found, (1, *inner)
    size = prod(shape[1:])
    if isinstance(key, (int, ndarray)) and not (isinstance(key, ndarray) and key.shape):
        start = (int(key) % shape[0]) * size
        return _picked(places[start : start + size], shape[1:], rest)
    if isinstance(key, slice):
        numbers = list(range(*key.indices(shape[0])))
    else:
        listed = list(table(key).data)
        numbers = [place for place, one in enumerate(listed) if one] if listed and isinstance(listed[0], bool) else listed
    parts, inner = [], shape[1:]
    for number in numbers:
        start = (number % shape[0]) * size
        part, inner = _picked(places[start : start + size], shape[1:], rest)
        parts.append(part)
    if not parts:
        inner = _picked([0] * size, shape[1:], rest)[1]
    return list(chain.from_iterable(parts)), (len(numbers), *inner)


def table(value):
    """An array of what is given: an array, a number, or lists of them."""
    if isinstance(value, ndarray):
        return value
    if isinstance(value, NUMBERS):
        return ndarray([value], ())
    parts = [table(one) for one in value]
    inner = parts[0].shape if parts else ()
    if any(part.shape != inner for part in parts):
        raise ValueError("rows of different lengths")
    return ndarray(list(chain.from_iterable(part.data for part in parts)), (len(parts), *inner))


def common(shapes):
    """The shape to which several can be spread. Raises ValueError where there is none."""
    found = []
    for number in range(1, max(map(len, shapes), default=0) + 1):
        sizes = {shape[-number] for shape in shapes if len(shape) >= number} - {1}
        if len(sizes) > 1:
            raise ValueError("shapes that do not go together")
        found.append(sizes.pop() if sizes else 1)
    return tuple(reversed(found))


def spread(one, shape):
    """The data of an array as that of a larger shape."""
    if one.shape == shape:
        return one.data
    if len(one.data) == 1:
        return one.data * prod(shape)
    return _spread(one.data, (1,) * (len(shape) - len(one.shape)) + one.shape, shape)


def _spread(data, shape, wanted):
    if shape == wanted:
        return data
    size = len(data) // shape[0] if shape[0] else 0
    rows = [_spread(data[start : start + size], shape[1:], wanted[1:]) for start in range(0, len(data), size)] if size else []
    return list(chain.from_iterable(rows * wanted[0] if shape[0] == 1 else rows))


def each(how, *values, careful=None):
    """What something gives of each number, of several arrays or numbers at once.

    Args:
        careful: does the same, and gives something where the other one raises an error.
    """
    arrays = [one for one in values if isinstance(one, ndarray) and one.shape]
    if not arrays:
        numbers = [one.data[0] if isinstance(one, ndarray) else one for one in values]
        try:
            return ndarray([how(*numbers)], ())
        except (ArithmeticError, ValueError):
            return ndarray([careful(*numbers)], ())
    shape = arrays[0].shape
    if any(one.shape != shape for one in arrays):
        shape = common([one.shape for one in arrays])
    lists = [(spread(one, shape) if one.shape else repeat(one.data[0])) if isinstance(one, ndarray) else repeat(one) for one in values]
    try:
        return ndarray(list(map(how, *lists)), shape)
    except (ArithmeticError, ValueError):
        return ndarray(list(map(careful, *lists)), shape)


def divided(p, q):
    """A quotient as the standard for floats has it."""
    try:
        return p / q
    except ZeroDivisionError:
        return nan if p != p or p == 0 else copysign(inf, p) * copysign(1.0, q)


def _raised(p, q):
    try:
        found = p**q
        return nan if isinstance(found, complex) and not isinstance(p, complex) else found
    except ArithmeticError:
        return inf


def _rest(p, q):
    return p % q if q else nan


def _both(how, careful=None):
    def forward(self, other):
        other = other if isinstance(other, (ndarray, NUMBERS)) else table(other)
        return each(how, self, other, careful=careful)

    def backward(self, other):
        other = other if isinstance(other, (ndarray, NUMBERS)) else table(other)
        return each(how, other, self, careful=careful)

    return forward, backward


for _name, _how, _careful in (
    ("add", operator.add, None), ("sub", operator.sub, None), ("mul", operator.mul, None), ("truediv", operator.truediv, divided),
    ("mod", operator.mod, _rest), ("pow", _raised, None), ("and", operator.and_, None), ("or", operator.or_, None),
    ("xor", operator.xor, None),
):  # fmt: skip
    _forward, _backward = _both(_how, _careful)
    setattr(ndarray, f"__{_name}__", _forward)
    setattr(ndarray, f"__r{_name}__", _backward)
for _name in ("lt", "le", "gt", "ge", "eq", "ne"):
    setattr(ndarray, f"__{_name}__", _both(getattr(operator, _name))[0])
