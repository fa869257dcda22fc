"""Sines, cosines and directions by additions, multiplications and divisions alone: the same bits on every machine, which the functions of
its own library are not. A figure is moved in a browser and kept by a server, and both have to agree on where things are.

The polynomials and their intervals are those of the freely distributable library for floats of 64 bits of 1993 (``fdlibm``: ``k_sin.c``,
``k_cos.c``, ``s_atan.c``); each is right to within one unit in the last place on its interval.
"""

from math import copysign, fmod, pi

_SINE = (-1.66666666666666324348e-01, 8.33333333332248946124e-03, -1.98412698298579493134e-04, 2.75573137070700676789e-06,
         -2.50507602534068634195e-08, 1.58969099521155010221e-10)  # fmt: skip
_COSINE = (4.16666666666666019037e-02, -1.38888888888741095749e-03, 2.48015872894767294178e-05, -2.75573143513906633035e-07,
           2.08757232129817482790e-09, -1.13596475577881948265e-11)  # fmt: skip
_ARCTANGENT = (3.33333333333329318027e-01, -1.99999999998764832476e-01, 1.42857142725034663711e-01, -1.11111104054623557880e-01,
               9.09088713343650656196e-02, -7.69187620504482999495e-02, 6.66107313738753120669e-02, -5.83357013379057348645e-02,
               4.97687799461593236017e-02, -3.65315727442169155270e-02, 1.62858201153657823623e-02)  # fmt: skip
#: Arctangents of ½, 1, 1½ and of everything, each with what a float cannot hold of it.
_OF_HALF = (4.63647609000806093515e-01, 2.26987774529616870924e-17)
_OF_ONE = (7.85398163397448278999e-01, 3.06161699786838301793e-17)
_OF_ONE_AND_A_HALF = (9.82793723247329054082e-01, 1.39033110312309984516e-17)
_OF_ALL = (1.57079632679489655800e00, 6.12323399573676603587e-17)
#: A quarter turn in two parts: of the first, with 33 bits, small multiples are exact.
_QUARTER, _QUARTER_REST = 1.57079632673412561417e00, 6.07710050650619224932e-11
_DEGREE, _RADIAN = pi / 180, 180 / pi


def _sine(x: float) -> float:
    """Of at most an eighth of a turn, radians."""
    z = x * x
    one, two, three, four, five, six = _SINE
    return x + z * x * (one + z * (two + z * (three + z * (four + z * (five + z * six)))))


def _cosine(x: float) -> float:
    z = x * x
    one, two, three, four, five, six = _COSINE
    rest = z * (one + z * (two + z * (three + z * (four + z * (five + z * six)))))
    half = 0.5 * z
    whole = 1.0 - half
    return whole + (((1.0 - whole) - half) + z * rest)


def _of_quarters(x: float, quarters: int) -> tuple[float, float]:
    """Cosine and sine of so many quarter turns and so much more, radians, at most an eighth of a turn."""
    cosine, sine = _cosine(x), _sine(x)
    match quarters % 4:
        case 0:
            return cosine, sine
        case 1:
            return -sine, cosine
        case 2:
            return -cosine, -sine
    return sine, -cosine


def cos_sin(degrees: float) -> tuple[float, float]:
    """Cosine and sine of an angle in degrees. What is left of it beside whole quarter turns is exact."""
    rest = fmod(degrees, 360.0)
    quarters = round(rest / 90.0)
    return _of_quarters((rest - 90.0 * quarters) * _DEGREE, quarters)


def _radians(x: float) -> tuple[float, float]:
    quarters = round(x / _OF_ALL[0])
    return _of_quarters(x - quarters * _QUARTER - quarters * _QUARTER_REST, quarters)


def cos(x: float) -> float:
    """Of an angle in radians of a few million turns at most."""
    return _radians(x)[0]


def sin(x: float) -> float:
    """Of an angle in radians of a few million turns at most."""
    return _radians(x)[1]


def tan(x: float) -> float:
    """Of an angle in radians of a few million turns at most; very large beside a quarter turn."""
    cosine, sine = _radians(x)
    return sine / cosine if cosine else copysign(float("inf"), sine)


def _arctangent(x: float) -> float:
    """Of a number that is not negative, radians."""
    if x < 0.4375:
        base = None
    elif x < 0.6875:
        x, base = (2.0 * x - 1.0) / (2.0 + x), _OF_HALF
    elif x < 1.1875:
        x, base = (x - 1.0) / (x + 1.0), _OF_ONE
    elif x < 2.4375:
        x, base = (x - 1.5) / (1.0 + 1.5 * x), _OF_ONE_AND_A_HALF
    else:
        x, base = -1.0 / x, _OF_ALL
    z = x * x
    w = z * z
    a = _ARCTANGENT
    even = z * (a[0] + w * (a[2] + w * (a[4] + w * (a[6] + w * (a[8] + w * a[10])))))
    odd = w * (a[1] + w * (a[3] + w * (a[5] + w * (a[7] + w * a[9]))))
    if base is None:
        return x - x * (even + odd)
    return base[0] - ((x * (even + odd) - base[1]) - x)


def atan2(y: float, x: float) -> float:
    """The direction of a vector in radians, from −π to π, as signs of zeros have it."""
    if y != y or x != x:
        return float("nan")
    if y == 0.0:
        return y if copysign(1.0, x) > 0 else copysign(pi, y)
    far = float("inf")
    if x == 0.0 or (abs(y) == far and abs(x) != far):
        return copysign(_OF_ALL[0], y)
    if abs(y) == far:
        turn = _OF_ONE[0]
    else:
        ratio = abs(y / x) if abs(x) != far else 0.0
        turn = _OF_ALL[0] if ratio == far else _arctangent(ratio)
    if x < 0:
        turn = pi - (turn - 2 * _OF_ALL[1])
    return copysign(turn, y)


def direction(x: float, y: float) -> float:
    """The direction of a vector in degrees, from −180 to 180."""
    return atan2(y, x) * _RADIAN
