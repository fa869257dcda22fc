"""Where two things meet: which rule finds it, how many crossings there can be, and how one is followed."""

from collections.abc import Mapping

from ..formulas import arcs, conic_crossings, conics, intersections
from ..kinds import ARC, CONIC, LOCUS, POINT, ROUNDS, STRAIGHTS
from ..sampling import locus_crossings
from .construction import Construction, Part
from .gaps import ORDER


def _family(kind):
    return "straight" if kind in STRAIGHTS else "round" if kind in ROUNDS else kind


def _round_conic(m, a, b, which, *near):
    return conic_crossings.conic_conic(m, conics.as_conic(m, a), b, which, *near)


#: For each pair of families: how many crossings there can be, the rule for one of them, the rule for "the other one".
_MEETINGS = {
    ("straight", "straight"): (1, lambda m, a, b, which, *near: intersections.straight_straight(m, a, b), None),
    ("straight", "round"): (2, intersections.straight_circle, intersections.other_on_straight_circle),
    ("round", "round"): (2, intersections.circle_circle, intersections.other_on_circles),
    ("straight", CONIC): (2, conics.straight_conic, conics.other_on_straight_conic),
    ("round", CONIC): (4, _round_conic, None),
    (CONIC, CONIC): (4, conic_crossings.conic_conic, None),
    **{(LOCUS, family): (4, locus_crossings.crossing, None) for family in ("straight", "round", CONIC, LOCUS)},
}


def _meeting(kinds):
    """The entry of _MEETINGS for the kinds of gaps a and b, and whether its things are in the other order."""
    pair = _family(kinds["a"]), _family(kinds["b"])
    return (_MEETINGS[pair], False) if pair in _MEETINGS else (_MEETINGS[pair[::-1]], True)


def _kept_on_arcs(rule, kinds, swapped):
    """The rule for crossings, with its things in the order of the gaps, undefined beyond the ends of arcs."""
    a_ends, b_ends = kinds["a"] == ARC, kinds["b"] == ARC

    def run(m, a, b, *rest):
        at = rule(m, b, a, *rest) if swapped else rule(m, a, b, *rest)
        at = arcs.on_arc(m, at, a) if a_ends else at
        return arcs.on_arc(m, at, b) if b_ends else at

    return run


def _crossing(kinds, words):
    (count, rule, _), swapped = _meeting(kinds)
    which = ORDER.index(words.get("which", "first"))
    if which >= count:
        return None
    if count == 4:
        return _kept_on_arcs(lambda m, a, b, *near: rule(m, a, b, which, *near), kinds, swapped)
    return _kept_on_arcs(lambda m, a, b, *near: rule(m, a, b, which), kinds, swapped)


def _followed_crossing(kinds, words):
    """How a crossing of two conics, or with a locus, is followed; None for crossings whose rules need not know where they were."""
    (count, _, _), swapped = _meeting(kinds)
    if count < 4:
        return None
    which = ORDER.index(words.get("which", "first"))

    if LOCUS in (kinds["a"], kinds["b"]):
        return lambda m, before, a, b, *near: locus_crossings.followed(m, *((b, a) if swapped else (a, b)), which, near)

    def follow(m, before, a, b, *near):
        pairs = [tuple(_as_conic(m, one) for one in pair) for pair in (before or (), (a, b)) if pair]
        if swapped:
            pairs = [pair[::-1] for pair in pairs]
        last, (p, q) = (pairs[0] if before else None), pairs[-1]
        return conic_crossings.followed(m, last, p, q, which, near)

    return follow


def _as_conic(m, path):
    return path if len(path) == 5 else conics.as_conic(m, path)


def _other_crossing(kinds, words):
    (_, _, rule), swapped = _meeting(kinds)
    return _kept_on_arcs(rule, kinds, swapped) if rule else None


def crossing_choices(kinds: Mapping[str, str]) -> tuple[dict[str, str], ...]:
    """The crossings that two paths of these kinds can have, as fills to try: one without a word, or two or four."""
    count = _meeting(kinds)[0][0]
    return ({},) if count == 1 else tuple({"which": word} for word in ORDER[:count])


def _crossing_that_is_there(fills, board):
    """The crossing that was left open is the first one that is there now, if any is."""
    choices = crossing_choices(board.kinds_of("intersection", fills))
    there = (choice for choice in choices if board.value_of("intersection", {**fills, **choice}) is not None)
    return {**fills, **next(there, {})}


def _all_crossings(kinds, fills, board):
    """Of two paths all crossings that there can be; of a locus, of which nobody knows how many there can be, those there are."""
    choices = crossing_choices(kinds)
    if LOCUS in kinds.values():
        there = tuple(choice for choice in choices if board.value_of("intersection", {**fills, **choice}) is not None)
        choices = there or choices[:1]
    return [Part("intersection", {**fills, **choice}) for choice in choices]


CROSSINGS = (
    Construction(
        key="intersection",
        sentence="where {a:path} meets {b:path}[, {which:crossing} crossing][ near {near:branch}]",
        also=(
            "(crossing|crossing point|point of crossing|common point|meets point|point of meets) [{=}] (of|between) {a} and {b}",
            "[where] {a} meets {b} [at {=}]",
            "{a} and {b} meets [at {=}]",
            "where {a} and {b} meets",
            "{=} where {a} meets {b}",
            "{=} (at|is) crossing of {a} and {b}",
            "{a} ∩ {b}",
            "(first|1st) crossing of {a} and {b} <which=first>",
            "(second|2nd) crossing of {a} and {b} <which=second>",
            "where {a} meets {b} second time <which=second>",
            "where {a} meets {b} first time <which=first>",
            "(point|place) where {a} [and|meets] {b} [meets]",
            "point (common to|in common of|on both) {a} and {b}",
            "crossing {a} and {b}",
            "crossing {a} {b}",
        ),
        makes=POINT,
        formula=None,
        choose=_crossing,
        group="Points",
        tool="intersection",
        keys="px",
        on=("a", "b"),
        likely=10,
        defaults=lambda kinds: crossing_choices(kinds)[0],
        settles=_crossing_that_is_there,
        follows=_followed_crossing,
        undefined="they do not meet now",
        example="A is a free point at (0, 0)\nB is a free point at (4, 2)\nC is a free point at (0, 2)\nD is a free point at (4, 0)\n"
        "AB is the segment from A to B\nCD is the segment from C to D\nE is where AB meets CD",
    ),
    Construction(
        key="crossings",
        sentence="all crossings of {a:path} and {b:path}",
        also=(
            "[all|both|the two] (crossings|intersection points|crossing points|points of crossing|common points) (of|between) {a} and {b}",
            "all points where {a} meets {b}",
            "both crossing points of {a} and {b}",
            "where {a} meets {b} everywhere",
        ),
        aliases=("both crossings of {a:path} and {b:path}",),
        makes=POINT,
        formula=None,
        expands=_all_crossings,
        group="Points",
        tool="all intersections",
        keys="pc",
        likely=10.5,
        example="A is a free point at (0, 0)\nB is a free point at (2, 0)\nk is the circle with centre A through B\n"
        "C is a free point at (-3, 0.5)\nD is a free point at (3, 1)\np is the line through C and D\nall crossings of k and p",
    ),
    Construction(
        key="other_intersection",
        sentence="where {a:path} meets {b:path} again, other than {known:point}",
        also=(
            "other (crossing|crossing point|point of crossing|common point) of {a} and {b} [(than|except|besides|apart from|not) {known}]",
            "where {a} meets {b} again [at {=}]",
            "{a} meets {b} again [at {=}]",
            "other point where {a} meets {b}",
            "(crossing|crossing point|common point) of {a} and {b} (other than|except|besides|apart from|that is not|but not) {known}",
        ),
        makes=POINT,
        formula=None,
        choose=_other_crossing,
        group="Points",
        tool="other intersection",
        keys="pa",
        on=("a", "b"),
        tied=("known", "a", "b"),
        likely=11,
        undefined="they do not meet now",
        example="A is a free point at (0, 0)\nB is a free point at (2, 0)\nk is the circle with centre A through B\n"
        "C is a free point at (-1, 1.732)\np is the line through B and C\nD is where k meets p again, other than B",
    ),
)
