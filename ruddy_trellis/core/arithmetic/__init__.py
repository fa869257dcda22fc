"""The number systems that every formula runs in.

A formula is a plain function whose first argument ``m`` is one of these arithmetics. Besides the operators
``+ - * /`` on numbers, a formula may use only what an arithmetic offers:

======================  ==========================================================================
``m.number(v)``         a Python number as a number of this arithmetic
``m.separate(a, b)``    the offset from point a to point b; undefined when they coincide
``m.cross(u, v)``       the cross product of two offsets; undefined when they are parallel
``m.divide(p, q)``      the quotient; undefined when q is zero
``m.root(p, q)``        the square root of p - q, for p, q >= 0; undefined when clearly negative
``m.sqrt(p)``           the square root of p
``m.absolute(p)``       p without its sign
``m.choose(s, p, q)``   p where s is at least zero, otherwise q
``m.difference(p, q)``  p - q; in forms nothing where both are at least zero and their squares are the same
``m.either(s, p, q)``    p() where s is at least zero, otherwise q(): two ways to one number, of which that one is nearer in floats;
                        where the sign is not known, or the one way is not there, it is the other
``m.surer(other, q)``    two ways to one number: ``other()`` gives a sign and p, which is taken where the sign is at least zero
                        and fewer digits are lost so; otherwise, and where no digits are lost at all, it is q
``m.inside(v, t, lo, hi)``  the tuple v where lo <= t <= hi, otherwise undefined
``m.outside(t, lo, hi)``  0 where lo <= t <= hi, otherwise 1; what only just is inside, or may be, is
``m.more(p, q)``        0 where p is more than q, otherwise 1; what cannot be told apart is not more
``m.cos_sin(angle)``    cosine and sine of an angle in degrees
``m.rounded(p)``         the whole number nearest to p, halves away from zero
``m.whole(p)``           a number that counts something, as a Python integer
``m.pi()``              the ratio of a circle's circumference to its diameter
``m.approximate(p)``    p in floats, as a number or an array of them
``m.real_root(p, ch)``  a real root of a polynomial of degree 4 (its coefficients, lowest first): of all of them as floats in
                        order, then NaN, ``ch`` chooses it
``m.angle(x, y)``       the direction of the offset (x, y) in degrees, above -180 and at most 180
======================  ==========================================================================

*Undefined* is the exception :class:`Undefined`, except in arrays, where it is NaN in that place.
The pattern follows the contexts of mpmath: one function, many arithmetics.
"""

from .arrays import Arrays
from .exact import Exact
from .floats import Floats
from .intervals import Intervals
from .protocol import Arithmetic, Number
from .undefined import NotAlgebraic, Undefined

FLOATS = Floats()
ARRAYS = Arrays()

__all__ = ["ARRAYS", "FLOATS", "Arithmetic", "Arrays", "Exact", "Floats", "Intervals", "NotAlgebraic", "Number", "Undefined"]
