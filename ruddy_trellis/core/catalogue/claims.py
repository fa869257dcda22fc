"""Claims: what is said to be true of a figure. A claim forces nothing; ``truth`` finds whether it fails, stands or is proved."""

from collections.abc import Callable
from typing import Any

from ..arithmetic import ARRAYS, FLOATS, Arithmetic
from ..arithmetic.late import np
from ..formulas import claims as formulas
from ..kinds import ARC, CIRCLE, CLAIM, CONIC, LINE, ROUNDS, SEGMENT, STRAIGHTS
from ..refusal import Refusal
from .construction import Construction
from .places import in_the_corner

_BED = "A is a free point at (0, 0)\nB is a free point at (3, 0)\nC is a free point at (1, 2)\nABC is the polygon through A, B, C\n"
_FOUR = (
    "A is a free point at (0, 0)\nB is a free point at (3, 0)\nC is a free point at (3.4, 2)\nD is a free point at (0.4, 2)\n"
    "AB is the segment from A to B\nBC is the segment from B to C\nCD is the segment from C to D\n"
)
_TWO = _BED + "D is a free point at (5, 0)\nE is a free point at (8, 0)\nF is a free point at (6, 2)\nDEF is the polygon through D, E, F\n"
_ROUND = "A is a free point at (0, 0)\nB is a free point at (2, 0)\nk is the circle with centre A through B\n"


def placed(rule: Callable[..., formulas.Defects]) -> Callable[..., Any]:
    """The formula of a claim: where it hangs on the board, and after that how far from true it is.

    In floats and arrays that is one number, the largest share that a defect is of its size, below zero (in arrays NaN) where the claim
    cannot be asked; in other arithmetics it is the pairs of defects and sizes themselves.
    """

    def formula(m, *arguments):
        *things, x, y = arguments
        if m is FLOATS:
            try:
                return x, y, max((abs(defect) / (size() or 1.0) for defect, size in rule(m, *things)), default=0.0)
            except ArithmeticError:
                return x, y, -1.0
        return x, y, told(m, rule(m, *things))

    return formula


def told(m: Arithmetic, defects: formulas.Defects) -> Any:
    """Defects as they are; in arrays how far from true they are, as one array."""
    if m.name != ARRAYS.name:
        return defects
    worst = 0.0
    for defect, size in defects:
        whole = size()
        worst = np.maximum(worst, abs(defect) / (whole + (whole == 0)))
    return worst


def claim_of(key, sentence, tool, keys, example, also, rule: Any = None, choose: Any = None, **more):
    """A claim as a construction, placed at first where the board has room for it.

    Args:
        sentence: what it says, without "the claim that".
        rule: its formula, or ``choose``: a function of kinds and words that gives it.
        more: whatever else a construction has.
    """
    if rule:
        more["formula"] = placed(rule)
    else:
        more["choose"] = lambda kinds, words: (found := choose(kinds, words)) and placed(found)
    return Construction(
        key=key,
        sentence=f"the claim that {sentence}[ at {{at:coordinates}}]",
        makes=CLAIM,
        group="Claim",
        tool=tool,
        keys=keys,
        also=also,
        moves="free",
        likely=more.pop("likely", 70),
        undefined="what it is about is not there",
        defaults=lambda kinds: {"at": (0.0, 0.0)},
        settles=in_the_corner,
        example=example,
        **{"formula": None, **more},
    )


def lies_on(kind: str) -> Any:
    """The rule of a point on a path of a kind, between its ends where it has any; None where there is none."""
    if kind in STRAIGHTS:
        return formulas.on_straight if kind == LINE else formulas.on_part
    return {CIRCLE: formulas.on_round, ARC: formulas.on_arc, CONIC: formulas.on_conic}.get(kind)


def _touching(kinds, words):
    kind = lambda gap: "straight" if kinds[gap] in STRAIGHTS else "round" if kinds[gap] in ROUNDS else kinds[gap]
    pair = kind("a"), kind("b")
    is_whole = {kinds["a"], kinds["b"]} <= {LINE, CIRCLE, CONIC}
    rules = {
        ("straight", "round"): formulas.line_touches_round if is_whole else formulas.parts_touch,
        ("straight", CONIC): formulas.line_touches_conic if is_whole else formulas.part_touches_conic,
        ("round", "round"): formulas.rounds_touch if is_whole else formulas.round_parts_touch,
    }
    if pair in rules:
        return rules[pair]
    swapped: Any = rules.get(pair[::-1])
    return swapped and (lambda m, a, b: swapped(m, b, a))


def _same_thing(kinds, words):
    rules = {LINE: formulas.same_line, SEGMENT: formulas.same_segment, CIRCLE: formulas.same_circle}
    return rules.get(kinds["a"]) if kinds["a"] == kinds["b"] else None


def _line_touches(kinds, words):
    rules = {**dict.fromkeys(ROUNDS, formulas.line_touches_round), CONIC: formulas.line_touches_conic}
    return rules.get(kinds["b"])


def _stated(kinds, words):
    statement = words["statement"]
    return lambda m, *operands: formulas.stated(m, statement.sides(m, *operands), lambda: statement.sizes(m, *operands))


def _has_property(kinds, words):
    return lambda m, polygon: formulas.has_property(m, polygon, words["word"])


def _at_least(gap, count):
    def check(fills, board):
        if len(fills[gap]) < count:
            raise Refusal(f"That can be claimed of {'three' if count == 3 else 'four'} {gap} or more.")

    return check


def _check_corners(fills, board):
    corners, _ = formulas.PROPERTIES[fills["word"]]
    value = board.value(fills["polygon"][0])
    if value is not None and not formulas.may_have(corners, len(value)):
        wanted = {3: "a triangle", 4: "a polygon of four corners", 0: "a polygon of four corners or more", -3: "a polygon"}[corners]
        raise Refusal(f"Of {board.name(fills['polygon'][0])} that cannot be said: only {wanted} may be {fills['word']}.")


def _check_same_count(fills, board):
    counts = [len(board.value(fills[gap][0]) or ()) for gap in ("a", "b")]
    if all(counts) and counts[0] != counts[1]:
        raise Refusal(f"{' and '.join(board.name(fills[gap][0]) for gap in ('a', 'b'))} have different numbers of corners.")


def _check_driver(fills, board):
    if not board.step(fills["driver"][0]).construction.moves:
        raise Refusal("While a peg or a dial moves something may be constant: name one that can be moved.")
    if not isinstance(board.dimension(fills["reading"][0]), (int, float)) and board.dimension(fills["reading"][0]) != "angle":
        raise Refusal(f"{board.name(fills['reading'][0])} is not a number that could be constant.")


CLAIMS = (
    claim_of(
        "in_line",
        "{points:points} are in line",
        "in line",
        "ql",
        _BED + "D is the midpoint of AB\nthe claim that A, B and D are in line at (0, 3)",
        ("{points} [are|is|lie|all] [all] (in|on) [one|same] line", "{points} [are] collinear", "{points} line up"),
        formulas.in_line,
        check=_at_least("points", 3),
        likely=61,
    ),
    claim_of(
        "one_point",
        "{lines:lines} go through one point",
        "through one point",
        "qo",
        _FOUR + "p is the perpendicular bisector of AB\nq is the perpendicular bisector of AC\nr is the perpendicular bisector of BC\n"
        "the claim that p, q and r go through one point at (0, 3)",
        (
            "{lines} [go|pass|run|all] [all|go|pass|run] through (one|same|common|point) [point]",
            "{lines} [are] concurrent",
            "{lines} [all] meets (in|at) [one|same|single|common] point",
        ),
        formulas.through_one_point,
        check=_at_least("lines", 3),
        likely=62,
    ),
    claim_of(
        "one_circle",
        "{points:points} are on one circle",
        "on one circle",
        "qc",
        _FOUR + "the claim that A, B, C and D are on one circle at (0, 3)",
        ("{points} [are|is|lie|all] [all] on [one|same] circle", "{points} [are] concyclic"),
        formulas.on_one_circle,
        check=_at_least("points", 4),
        likely=63,
    ),
    claim_of(
        "lies_on",
        "{point:point} lies on {path:firm_path}",
        "lies on",
        "qn",
        _ROUND + "C is a free point at (0, 2)\nthe claim that C lies on k at (0, 3)",
        (
            "{point} [is|lie|sit] on {path}",
            "{path} [go|pass|run] through {point}",
            "{path} (contains|contain) {point}",
        ),
        choose=lambda kinds, words: lies_on(kinds["path"]),
    ),
    claim_of(
        "lies_on_line",
        "{point:point} lies on the whole line of {path:straight}",
        "lies on the line",
        "qi",
        _BED + "s is the segment from A to B\nD is a free point at (5, 0)\nthe claim that D lies on the whole line of s at (0, 3)",
        (
            "{point} [is|lie|sit] on [whole] line [of] {path}",
            "{point} [is|lie|sit] on {path} extended",
            "line {path} [go|pass|run] through {point}",
        ),
        formulas.on_straight,
        likely=72,
    ),
    claim_of(
        "line_is_tangent",
        "the whole line of {a:straight} is tangent to {b:curved}",
        "line tangent?",
        "qu",
        _ROUND + "C is a free point at (2, 2)\ns is the segment from B to C\nthe claim that the whole line of s is tangent to k at (0, 3)",
        ("[whole] line [of] {a} [is] tangent (to|of) {b}", "[whole] line [of] {a} (touches|touch) {b}"),
        choose=_line_touches,
        likely=73,
    ),
    claim_of(
        "are_parallel",
        "{a:straight} is parallel to {b:straight}",
        "parallel?",
        "qp",
        _FOUR + "the claim that AB is parallel to CD at (0, 3)",
        ("{a} [is] parallel to {b}", "{a} parallel {b}", "{a} and {b} [are] parallel"),
        formulas.parallel,
        likely=64,
    ),
    claim_of(
        "are_perpendicular",
        "{a:straight} is perpendicular to {b:straight}",
        "perpendicular?",
        "qr",
        _FOUR + "the claim that AB is perpendicular to BC at (0, 3)",
        (
            "{a} [is] (perpendicular|square|normal|at right angle) to {b}",
            "{a} perpendicular {b}",
            "{a} and {b} [are] (perpendicular|square to one another|at right angle)",
        ),
        formulas.perpendicular,
        likely=65,
    ),
    claim_of(
        "are_tangent",
        "{a:firm_path} is tangent to {b:firm_path}",
        "tangent?",
        "qt",
        _ROUND + "C is a free point at (2, 2)\nD is a free point at (2, -1)\nCD is the segment from C to D\n"
        "the claim that CD is tangent to k at (0, 3)",
        ("{a} [is] tangent (to|of) {b}", "{a} (touches|touch) {b}", "{a} and {b} [are] (touch|tangent)"),
        choose=_touching,
        likely=66,
    ),
    claim_of(
        "same_point",
        "{a:point} and {b:point} are the same place",
        "same place?",
        "qs",
        _BED + "D is a free point at (1.5, 0)\nM is the midpoint of AB\nthe claim that D and M are the same place at (0, 3)",
        (
            "{a} and {b} [are|is] [at|in] same (place|point)",
            "{a} [is] [at|in] same (place|point) as {b}",
            "{a} and {b} (coincide|agree|fall together)",
            "{a} (coincides|coincide) {b}",
        ),
        formulas.same_place,
        likely=67,
    ),
    claim_of(
        "same_thing",
        "{a:firm_path} and {b:firm_path} are one and the same",
        "one and the same?",
        "qq",
        _BED + "p is the perpendicular bisector of A and B\nM is the midpoint of A and B\nd is the line through A and B\n"
        "q is the perpendicular to d through M\nthe claim that p and q are one and the same at (0, 3)",
        (
            "{a} and {b} [are|is] (one|same) [and] [same] [line|segment|circle]",
            "{a} [is] same [line|segment|circle] as {b}",
            "{a} and {b} (coincide|agree|fall together)",
        ),
        choose=_same_thing,
        likely=72,
    ),
    claim_of(
        "equal_values",
        "{statement:statement}",
        "equal?",
        "qe",
        _BED + "the claim that AB = BC at (0, 3)",
        (),
        choose=_stated,
    ),
    claim_of(
        "is_constant",
        "{reading:reading} is constant while {driver:driver} moves",
        "constant?",
        "qk",
        _ROUND + "P is a point on k at 50\nv is the distance from A to P\nthe claim that v is constant while P moves at (0, 3)",
        (
            "{reading} [is] (constant|same) (while|when|as) {driver} (moves|changes|turns|runs|slides)",
            "{reading} [does] [not] (stays|stay) [is] (constant|same) (while|when|as) {driver} (moves|changes|turns|runs|slides)",
            "{reading} never changes (while|when|as) {driver} (moves|changes|turns|runs|slides)",
        ),
        lambda m, reading, driver: [],
        check=_check_driver,
    ),
    claim_of(
        "is_shape",
        "{polygon:polygon} is {word:property}",
        "which shape?",
        "qh",
        _FOUR + "ABCD is the polygon through A, B, C, D\nthe claim that ABCD is a parallelogram at (0, 3)",
        ("{polygon} [is] {word}", "{polygon} [is] {word} (triangle|quadrilateral|polygon)"),
        choose=_has_property,
        check=_check_corners,
        likely=68,
    ),
    claim_of(
        "are_congruent",
        "{a:polygon} is congruent to {b:polygon}",
        "congruent?",
        "qg",
        _TWO + "the claim that ABC is congruent to DEF at (0, 3)",
        ("{a} and {b} [are] congruent", "{a} [is] congruent [to] {b}", "{a} ≅ {b}"),
        formulas.congruent,
        check=_check_same_count,
    ),
    claim_of(
        "are_similar",
        "{a:polygon} is similar to {b:polygon}",
        "similar?",
        "qm",
        _TWO + "the claim that ABC is similar to DEF at (0, 3)",
        ("{a} and {b} [are] similar", "{a} [is] similar to {b}", "{a} (~|∼) {b}"),
        formulas.similar,
        check=_check_same_count,
    ),
)
