"""The numbers of exact arithmetic: fractions of polynomials."""

from .exact_angles import ExactAngle


class ExactNumber:
    """A fraction of two polynomials, reduced by the rules of the roots. Made by :class:`Exact` only."""

    __slots__ = ("bottom", "field", "top")

    def __init__(self, field, top, bottom) -> None:
        self.field, self.top, self.bottom = field, top, bottom

    def __add__(self, other):
        if isinstance(other, ExactAngle):
            return NotImplemented
        other = self.field.number(other)
        if self.bottom == other.bottom:
            return self.field.fraction(self.top + other.top, self.bottom)
        return self.field.fraction(
            self.field.product(self.top, other.bottom) + self.field.product(other.top, self.bottom),
            self.field.product(self.bottom, other.bottom),
        )

    __radd__ = __add__

    def __neg__(self):
        return ExactNumber(self.field, -self.top, self.bottom)

    def __sub__(self, other):
        if isinstance(other, ExactAngle):
            return NotImplemented
        return self + -self.field.number(other)

    def __rsub__(self, other):
        return self.field.number(other) - self

    def __mul__(self, other):
        if isinstance(other, ExactAngle):
            return NotImplemented
        other = self.field.number(other)
        made = self.field.fraction(self.field.product(self.top, other.top), self.field.product(self.bottom, other.bottom))
        if other is self:
            self.field.roots.note_square(made, self)
        return made

    __rmul__ = __mul__

    def __truediv__(self, other):
        if isinstance(other, ExactAngle):
            return NotImplemented
        other = self.field.number(other)
        return self.field.fraction(self.field.product(self.top, other.bottom), self.field.product(self.bottom, other.top))

    def __rtruediv__(self, other):
        return self.field.number(other) / self

    def is_zero(self):
        """True only if the number is zero wherever it is defined."""
        return self.top.is_zero()

    def at_sample(self):
        """The value at the sample position, a ball."""
        return self.field.at_sample(self)

    def __repr__(self):
        return str(self.top) if self.bottom.is_one() else f"({self.top}) / ({self.bottom})"
