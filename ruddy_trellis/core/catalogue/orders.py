"""What is claimed of an order (which is more, which side, in or out, between, acute), and the same as suppositions.

A supposition is what was said of a thing besides how it is made. It forces nothing: claims are tried under it. What is equal, in line
or parallel cannot be supposed so: it is made.
"""

from typing import Any

from ..arithmetic import Arithmetic
from ..formulas import orders as formulas
from ..formulas.claims import in_line
from ..kinds import POLYGON, SUPPOSITION
from ..refusal import Refusal
from .claims import claim_of
from .construction import Construction

_BED = "A is a free point at (0, 0)\nB is a free point at (3, 0)\nC is a free point at (1, 2)\n"
_TRIANGLE = _BED + "ABC is the polygon through A, B, C\n"


def _claimed(rule: Any) -> Any:
    """An order as the formula of a claim."""
    return lambda m, *things: formulas.so(m, rule(m, *things))


def _in_or_out(kinds: Any, words: Any) -> Any:
    rules = (formulas.in_polygon, formulas.in_circle) if words["inside"] == "inside" else (formulas.out_of_polygon, formulas.out_of_circle)
    return rules[kinds["shape"] != POLYGON]


def _sides(kinds: Any, words: Any) -> Any:
    return formulas.one_side if words["side"] == "one side" else formulas.different_sides


def _over(kinds: Any, words: Any) -> Any:
    return formulas.above if words["over"] == "above" else formulas.below


def _compared(kinds: Any, words: Any) -> Any:
    comparison = words["comparison"]
    return lambda m, *operands: formulas.is_more(m, comparison.tree[0], *comparison.sides(m, *operands))


def _orderly(kinds: Any, words: Any) -> Any:
    return lambda m, polygon: formulas.is_orderly(m, polygon, words["word"])


def _check_corners(fills: Any, board: Any) -> None:
    corners, _ = formulas.ORDERLY[fills["word"]]
    value = board.value(fills["polygon"][0])
    if value is not None and (len(value) != corners if corners else len(value) < 4):
        wanted = "a triangle" if corners else "a polygon of four corners or more"
        raise Refusal(f"Of {board.name(fills['polygon'][0])} that cannot be said: only {wanted} may be {fills['word']}.")


def _between_claimed(m: Arithmetic, point: Any, a: Any, b: Any) -> Any:
    return [*in_line(m, a, b, point), *formulas.so(m, formulas.is_between(m, point, a, b))]


#: For each order: its sentence, its tool and keys, its example, how else it is said, how the formula is found, and what is checked.
_ORDERS: tuple[tuple[str, str, str, str, str, tuple[str, ...], Any, Any], ...] = (
    (
        "in_or_out",
        "{point:point} is {inside:inside} {shape:enclosing}",
        "in or out?",
        "qd",
        _TRIANGLE + "P is a free point at (1.2, 0.8)\n~P is inside ABC",
        ("{point} [is|lie] {inside} [of] {shape}",),
        _in_or_out,
        None,
    ),
    (
        "sides",
        "{a:point} and {b:point} are on {side:side} of {straight:straight}",
        "which side?",
        "qf",
        _BED + "P is a free point at (2, 1)\n~C and P are on one side of AB",
        ("{a} and {b} [are|lie] on {side} of {straight}",),
        _sides,
        None,
    ),
    (
        "over",
        "{point:point} is {over:over} {straight:straight}",
        "above or below?",
        "qa",
        _BED + "~C is above AB",
        ("{point} [is|lie] {over} {straight}",),
        _over,
        None,
    ),
    (
        "between",
        "{point:point} is between {a:point} and {b:point}",
        "between?",
        "qb",
        _BED + "D is the midpoint of AB\n~D is between A and B",
        ("{point} [is|lie] between {a} and {b}",),
        lambda kinds, words: formulas.is_between,
        None,
    ),
    (
        "compared",
        "{comparison:comparison}",
        "which is more?",
        "qv",
        _BED + "~AB > BC",
        (),
        _compared,
        None,
    ),
    (
        "orderly",
        "{polygon:polygon} is {word:order_word}",
        "acute, convex?",
        "qx",
        _TRIANGLE + "~ABC is acute",
        ("{polygon} [is] {word}", "{polygon} [is] {word} (triangle|quadrilateral|polygon)"),
        _orderly,
        _check_corners,
    ),
)


def _as_claim(key: str, sentence: str, tool: str, keys: str, example: str, also: tuple[str, ...], choose: Any, check: Any) -> Construction:
    rule = {"rule": _between_claimed} if key == "between" else {"choose": lambda kinds, words: _claimed(choose(kinds, words))}
    said = example.replace("~", "the claim that ") + " at (0, 3)"
    return claim_of(f"is_{key}", sentence, tool, keys, said, also, check=check, **rule, **_needs(key))


def _needs(key: str) -> dict[str, Any]:
    return {"needs": ("direction",)} if key == "over" else {}


def _as_supposition(
    key: str, sentence: str, tool: str, keys: str, example: str, also: tuple[str, ...], choose: Any, check: Any
) -> Construction:
    return Construction(
        key=f"suppose_{key}",
        sentence=f"the supposition that {sentence}",
        makes=SUPPOSITION,
        formula=None,
        choose=lambda kinds, words: _supposed(choose(kinds, words)),
        tool=f"suppose: {tool.rstrip('?')}",
        undefined="what it is about is not there",
        example=example.replace("~", "the supposition that "),
        check=check,
        likely=95,
        **_needs(key),
    )


def _supposed(rule: Any) -> Any:
    """The formula of a supposition: one number, 0 where it is met."""
    return lambda m, *things: (rule(m, *things),)


ORDER_CLAIMS = tuple(_as_claim(*order) for order in _ORDERS)
SUPPOSITIONS = tuple(_as_supposition(*order) for order in _ORDERS)

#: For each claim that may be supposed as well, the supposition.
SUPPOSED = {claim.key: supposition.key for claim, supposition in zip(ORDER_CLAIMS, SUPPOSITIONS)}
