"""Marks: what a person states of the figure by hand. A mark forces nothing; where the figure disagrees, it says so."""

from ..kinds import MARK
from .construction import Construction

_TWO = "A is a free point at (0, 0)\nB is a free point at (4, 1)\nAB is the segment from A to B\n"
_CORNER = (
    "A is a free point at (4, 0)\nB is a free point at (0, 0)\nC is a free point at (0, 3)\nBA is the segment from B to A\n"
    "BC is the segment from B to C\n"
)


def _points(m, *points):
    return points


def _straight(m, straight):
    return straight[:2], (straight[0] + straight[2], straight[1] + straight[3])


def _one(kinds):
    return {"strokes": "once"}


MARKS = (
    Construction(
        key="equal_length",
        sentence="the equal-length mark on {span:span}[ drawn {strokes:strokes}]",
        also=(
            "(equal length|equal) mark on {span}",
            "mark {span} as equal",
            "equal mark {span}",
            "tick [on] {span}",
            "one stroke on {span} <strokes=once>",
            "two strokes on {span} <strokes=twice>",
        ),
        makes=MARK,
        formula=_points,
        group="Mark",
        tool="equal lengths",
        keys="kl",
        likely=44,
        defaults=_one,
        undefined="an end is not there",
        example=_TWO + "m is the equal-length mark on AB drawn twice",
    ),
    Construction(
        key="equal_angle",
        sentence="the equal-angle mark at {corner:corner}[ drawn {strokes:strokes}]",
        also=(
            "(equal angle) mark (at|on) {corner}",
            "mark angle {corner} [as equal]",
        ),
        makes=MARK,
        formula=_points,
        group="Mark",
        tool="equal angles",
        keys="ka",
        likely=44.5,
        defaults=_one,
        undefined="an arm is not there",
        example=_CORNER.replace("(0, 3)", "(2.4, 3)") + "m is the equal-angle mark at ABC drawn twice",
    ),
    Construction(
        key="parallel_mark",
        sentence="the parallel mark on {straight:straight}[ drawn {strokes:strokes}]",
        also=(
            "parallel mark on {straight}",
            "parallel arrow on {straight}",
            "mark {straight} as parallel",
        ),
        makes=MARK,
        formula=_straight,
        group="Mark",
        tool="parallel",
        keys="kp",
        likely=44.2,
        defaults=_one,
        undefined="its line is not there",
        example=_TWO + "m is the parallel mark on AB",
    ),
    Construction(
        key="right_angle_mark",
        sentence="the right-angle mark at {corner:corner}",
        also=(
            "right angle mark (at|in) {corner}",
            "right angle sign at {corner}",
            "right angle at {corner}",
            "mark right angle {corner}",
        ),
        makes=MARK,
        formula=_points,
        group="Mark",
        tool="right angle",
        keys="kr",
        likely=44.7,
        undefined="an arm is not there",
        example=_CORNER + "m is the right-angle mark at ABC",
    ),
)
