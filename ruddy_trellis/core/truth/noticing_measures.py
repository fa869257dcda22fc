"""What is noticed of sizes and shapes: what a polygon always is, readings and areas in a simple ratio, equal angles, sides."""

from collections.abc import Iterator
from fractions import Fraction
from itertools import combinations
from typing import Any

from ..arithmetic.late import np
from ..formulas import claims as formulas
from ..kinds import NUMBER
from ..language.expression import Formula

#: How near counts as so; of how many readings, polygons and angles at most all pairs are looked at.
_NEAR, _READINGS, _ANGLES = 1e-8, 10, 24
#: The words for shapes, the most telling first; each says those after it that hold as well for it.
_SHAPES = (
    "regular", "a square", "equilateral", "a rectangle", "a rhombus", "a parallelogram", "a kite", "a trapezium", "right-angled",
    "isosceles", "cyclic",
)  # fmt: skip
#: What makes a corner so that the shape is how the polygon was built.
_BUILDS = ("turned", "parallelogram_corner", "fourth_corner", "point_across")
#: Ratios with larger numbers than this are not told.
_LARGEST = 12

Relation = tuple[str, dict[str, Any]]


def sizes_and_shapes(look: Any) -> Iterator[Relation]:
    """Relations of sizes and shapes that hold in all copies, as claims: their keys and fills.

    Args:
        look: a board and its copies (see ``noticing``).
    """
    shaped = set()
    for relation in _shapes(look):
        shaped.add(relation[1]["polygon"][0])
        yield relation
    yield from _ratios(look)
    yield from _areas(look)
    yield from _angles(look, shaped)
    yield from _sides(look, shaped)


def _shapes(look: Any) -> Iterator[Relation]:
    for id in look.polygons:
        corners = look.board.step(id).fills.get("corners", ())
        if any(look.board.step(corner).does in _BUILDS for corner in corners):
            continue
        for word in _SHAPES:
            if look.holds(lambda m, polygon, word=word: formulas.has_property(m, polygon, word), id):
                yield "is_shape", {"polygon": (id,), "word": word}
                break


def _ratio(one: Any, other: Any) -> Fraction | None:
    """The simple ratio that two arrays have in all copies; None where they have none."""
    with np.errstate(all="ignore"):
        shares: Any = np.asarray(one, dtype=float) / np.asarray(other, dtype=float)
    known = shares[np.isfinite(shares)] if np.ndim(shares) else np.array([])
    if len(known) < 34 or np.ptp(known) > _NEAR * abs(known[0]):
        return None
    ratio = Fraction(float(known.mean())).limit_denominator(_LARGEST)
    is_simple = 0 < ratio <= _LARGEST and abs(float(ratio) - known.mean()) <= _NEAR * abs(known[0])
    return ratio if is_simple else None


def _equal(first: str, second: str, ratio: Fraction, operands: tuple) -> Relation:
    """The claim that one is so many times the other: in whole numbers."""
    times = lambda number, text: text if number == 1 else f"{number} * {text}"
    text = f"{times(ratio.denominator, first)} = {times(ratio.numerator, second)}"
    return "equal_values", {"statement": Formula(text, operands)}


def _ratios(look: Any) -> Iterator[Relation]:
    board = look.board
    readings = [
        step.id
        for step in board.steps
        if step.makes == NUMBER and not step.moves and not step.look.hidden and isinstance(board.value(step.id), float)
    ][-_READINGS:]
    for one, other in combinations(readings, 2):
        is_made_of_it = one in board.ancestors([other]) or other in board.ancestors([one])
        if board.dimension(one) != board.dimension(other) or is_made_of_it or look.copies[one] is None or look.copies[other] is None:
            continue
        ratio = _ratio(look.copies[one], look.copies[other])
        if ratio is not None and np.ptp(look.copies[one]) > 0:
            yield _equal("{0}", "{1}", ratio, ((one,), (other,)))
        elif board.dimension(one) == "angle":
            total = np.asarray(look.copies[one]) + np.asarray(look.copies[other])
            known: Any = total[np.isfinite(total)] if np.ndim(total) else []
            for whole in (90, 180, 360):
                if len(known) > 33 and bool((np.abs(known - whole) <= 1e-6).all()):
                    yield "equal_values", {"statement": Formula(f"{{0}} + {{1}} = {whole}", ((one,), (other,)))}


def _area_of(value: Any) -> Any:
    xs, ys = zip(*value)
    return abs(sum(xs[n - 1] * ys[n] - xs[n] * ys[n - 1] for n in range(len(xs)))) / 2


def _areas(look: Any) -> Iterator[Relation]:
    read = {step.fills["shape"][0] for step in look.board.steps if step.does == "area" and len(step.fills.get("shape", ())) == 1}
    areas = {id: _area_of(look.copies[id]) for id in look.polygons if id not in read}
    for one, other in combinations(areas, 2):
        ratio = _ratio(areas[one], areas[other])
        if ratio is not None:
            yield _equal("area({0})", "area({1})", ratio, ((one,), (other,)))


def _angles(look: Any, shaped: set[str]) -> Iterator[Relation]:
    """Angles of polygons that are equal, none at one corner, and none of a shape that was told."""
    board, corners = look.board, []
    for id in look.polygons:
        around = board.step(id).fills.get("corners", ()) if id not in shaped else ()
        corners += [(around[n - 1], corner, around[(n + 1) % len(around)]) for n, corner in enumerate(around)]
    values = {corner: _angle(*(look.copies[id] for id in corner)) for corner in corners[:_ANGLES]}
    for one, other in combinations(values, 2):
        if one[1] != other[1] and _ratio(values[one], values[other]) == 1 and np.ptp(values[one]) > 1e-6:
            yield "equal_values", {"statement": Formula("angle({0}) = angle({1})", (one, other))}


def _angle(a: Any, b: Any, c: Any) -> Any:
    ux, uy, vx, vy = a[0] - b[0], a[1] - b[1], c[0] - b[0], c[1] - b[1]
    return np.arctan2(np.abs(ux * vy - uy * vx), ux * vx + uy * vy)


def _sides(look: Any, shaped: set[str]) -> Iterator[Relation]:
    """Sides of a polygon that are parallel or at right angles, where its shape does not say so."""
    for id in look.polygons:
        corners = look.board.step(id).fills.get("corners", ())
        if id in shaped or any(look.board.step(corner).does in _BUILDS for corner in corners):
            continue
        sides = [(corners[n - 1], corner) for n, corner in enumerate(corners)]
        for one, other in combinations(sides, 2):
            for key, rule in (("are_parallel", formulas.parallel), ("are_perpendicular", formulas.perpendicular)):
                if _sides_hold(look, rule, one, other):
                    yield key, {"a": one, "b": other}


def _sides_hold(look: Any, rule: Any, one: tuple[str, str], other: tuple[str, str]) -> bool:
    straight = lambda m, a, b: (*a, b[0] - a[0], b[1] - a[1], 0.0, 1.0)
    return look.holds(lambda m, a, b, c, d: rule(m, straight(m, a, b), straight(m, c, d)), *one, *other)
