"""What is raised when a formula has no value, and the closeness below which two things count as one."""

#: Offsets shorter than this share of their coordinates count as zero, and so do sines of angles below it.
CLOSENESS = 1e-12
#: A square root of a difference this share below zero still counts as the root of zero (a touching line).
TOUCHING = 1e-10
#: A parameter may leave the ends of a segment by this much and still count as on it.
END_SLACK = 1e-9


class Undefined(ArithmeticError):
    """The formula has no value here: parallel lines have no crossing, three points in line no circle."""


class NotAlgebraic(ArithmeticError):
    """The formula has no form in exact arithmetic: an angle in degrees is not an algebraic number."""


class TooDear(NotAlgebraic):
    """The exact form would take too long, or grow too large."""
