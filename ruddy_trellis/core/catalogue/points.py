"""Constructions that make points."""

from functools import partial

from ..formulas import intersections
from ..formulas import points as formulas
from ..kinds import CIRCLE, POINT, STRAIGHTS
from .construction import Construction


def _swapped(formula):
    """The formula with its first two things in the other order."""
    return lambda m, a, b, *rest: formula(m, b, a, *rest)


def _free(m, x, y):
    return x, y


def _on_path(kinds, words):
    return formulas.point_on_circle if kinds["path"] == CIRCLE else formulas.point_on_straight


def _crossing(kinds, words):
    which = words.get("which") == "second"
    a_straight, b_straight = kinds["a"] in STRAIGHTS, kinds["b"] in STRAIGHTS
    if a_straight and b_straight:
        return None if which else intersections.straight_straight
    if a_straight:
        return partial(_with_which, intersections.straight_circle, which)
    if b_straight:
        return partial(_with_which, _swapped(intersections.straight_circle), which)
    return partial(_with_which, intersections.circle_circle, which)


def _with_which(formula, which, m, a, b):
    return formula(m, a, b, which)


def _other_crossing(kinds, words):
    a_straight, b_straight = kinds["a"] in STRAIGHTS, kinds["b"] in STRAIGHTS
    if a_straight and b_straight:
        return None
    if a_straight:
        return intersections.other_on_straight_circle
    if b_straight:
        return _swapped(intersections.other_on_straight_circle)
    return intersections.other_on_circles


def crossing_choices(kinds):
    """The crossings that two paths of these kinds can have, as fills to try: one without a word, or two."""
    if kinds["a"] in STRAIGHTS and kinds["b"] in STRAIGHTS:
        return ({},)
    return ({"which": "first"}, {"which": "second"})


def _all_crossings(kinds):
    return [("intersection", choice) for choice in crossing_choices(kinds)]


POINTS = (
    Construction(
        key="free_point", sentence="a free point[ at {at:coordinates}]", aliases=("the point at {at:coordinates}",),
        makes=POINT, formula=_free, group="Points", tool="point", keys="pp", moves="free", likely=90,
        example="A is a free point at (0, 0)",
    ),
    Construction(
        key="point_on", sentence="a point on {path:path}[ at {place:place}]",
        makes=POINT, formula=None, choose=_on_path, group="Points", tool="on a path", keys="po", on=("path",),
        moves="sliding", likely=60, defaults=lambda kinds: {"place": 0.5}, undefined="what it rides on is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 1)\nAB is the segment from A to B\nP is a point on AB at 0.6",
    ),
    Construction(
        key="intersection", sentence="where {a:path} meets {b:path}[, {which:crossing} crossing]",
        makes=POINT, formula=None, choose=_crossing, group="Points", tool="crossing", keys="px", on=("a", "b"), likely=10, defaults=lambda kinds: crossing_choices(kinds)[0],
        undefined="they do not meet now",
        example="A is a free point at (0, 0)\nB is a free point at (4, 2)\nC is a free point at (0, 2)\nD is a free point at (4, 0)\n"
        "AB is the segment from A to B\nCD is the segment from C to D\nE is where AB meets CD",
    ),
    Construction(
        key="crossings", sentence="all crossings of {a:path} and {b:path}", aliases=("both crossings of {a:path} and {b:path}",),
        makes=POINT, formula=None, expands=_all_crossings, group="Points", tool="all crossings", keys="pc", likely=10.5,
        example="A is a free point at (0, 0)\nB is a free point at (2, 0)\nk is the circle with centre A through B\n"
        "C is a free point at (-3, 0.5)\nD is a free point at (3, 1)\np is the line through C and D\nall crossings of k and p",
    ),
    Construction(
        key="other_intersection", sentence="where {a:path} meets {b:path} again, other than {known:point}",
        makes=POINT, formula=None, choose=_other_crossing, group="Points", tool="other crossing", keys="pa", on=("a", "b"), tied=("known", "a", "b"),
        likely=11, undefined="they do not meet now",
        example="A is a free point at (0, 0)\nB is a free point at (2, 0)\nk is the circle with centre A through B\n"
        "C is a free point at (-1, 1.732)\np is the line through B and C\nD is where k meets p again, other than B",
    ),
    Construction(
        key="midpoint", sentence="the midpoint of {span:span}", makes=POINT, formula=formulas.midpoint,
        group="Points", tool="midpoint", keys="pm", likely=15,
        example="A is a free point at (0, 0)\nB is a free point at (4, 2)\nAB is the segment from A to B\nM is the midpoint of AB",
    ),
    Construction(
        key="foot", sentence="the foot of the perpendicular from {point:point} to {base:straight}", makes=POINT,
        formula=formulas.foot, group="Points", tool="foot", keys="pf", likely=18, distinct=False, undefined="its line is not there",
        example="A is a free point at (0, 0)\nB is a free point at (5, 1)\np is the line through A and B\nC is a free point at (1.5, 3)\n"
        "D is the foot of the perpendicular from C to p",
    ),
    Construction(
        key="centre", sentence="the centre of {circle:circle}", makes=POINT, formula=formulas.centre, group="Points", tool="centre",
        keys="pn", likely=19, undefined="its circle is not there",
        example="A is a free point at (0, 2)\nB is a free point at (2, 0)\nC is a free point at (-1.6, -1)\nk is the circle through A, B and C\n"
        "D is the centre of k",
    ),
    Construction(
        key="dividing", sentence="the point that divides {span:span} in the ratio {first:number} : {second:number}", makes=POINT,
        formula=formulas.dividing, group="Points", tool="in a ratio", keys="pd", likely=55, undefined="the parts of its ratio cancel",
        example="A is a free point at (0, 0)\nB is a free point at (6, 2)\nAB is the segment from A to B\n"
        "C is the point that divides AB in the ratio 2 : 1",
    ),
)
