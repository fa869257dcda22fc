"""Compass work of images: each is drawn from the images of its points."""

from fractions import Fraction
from typing import Any

from ...arithmetic.typed import as_typed
from ...kinds import POINT
from .dividing import PARTS, divided, marked_off
from .straight import made_point
from .turning import by_corner, turned_by
from .work import Ids, Made, NotByHand, Work


def image(work: Work, fills: Any) -> Made:
    """The image of a point, or of what is made of points."""
    of, by = fills["of"], fills["by"]
    if work.board.kind_of(of[0]) == POINT:
        return made_point(work, image_of_point(work, of, by))
    step = work.board.step(of[0])
    if step.does not in ("segment", "vector", "ray", "line", "polygon", "circle", "arc", "sector", "chord_region"):
        name = work.board.name(of[0])
        raise NotByHand(f"{name} is not made of points itself. Show the compass work of {name} first; then that of its image is there too.")
    made = {gap: tuple(image_of_point(work, (id,), by)[0] for id in fill) for gap, fill in step.fills.items()}
    if step.does in ("arc", "sector", "chord_region") and work.does(by) in ("reflection", "glide_reflection"):
        # Arcs run anticlockwise: of one that is turned over the other end comes first, and that must lie on its circle.
        start = work.meet(work.ray(made["centre"], made["to"]), work.circle(made["centre"], made["from"]), "second")
        made |= {"from": start, "to": made["from"]}
    return Made(step.does, made)


def image_of_point(work: Work, point: Ids, by: Ids) -> Ids:
    """The image of a point under a map of the board."""
    if there := work.board.alike("image_point", {"of": point, "by": by}):
        return (there[0],)
    does, fills = work.does(by), work.fills(by)
    if does not in _MAPS:
        raise NotByHand(f"{work.board.name(by[0])} is no map whose images are drawn with straightedge and compasses here.")
    return _MAPS[does](work, point, fills)


def _mirrored(work, point, fills):
    return point if work.lies_on(point, fills["mirror"]) else work.mirrored(point, fills["mirror"])


def _half_turn(work, point, fills):
    return point if point == fills["centre"] else work.beyond(point, fills["centre"])


def _translated(work, point, fills):
    return work.shifted(point, fills["from"], fills["to"])


def _translated_along(work, point, fills):
    return work.shifted(point, *work.ends(fills["vector"]))


def _rotated(work, point, fills):
    return point if point == fills["centre"] else turned_by(work, point, fills["centre"], fills["angle"])


def _rotated_by_corner(work, point, fills):
    return point if point == fills["centre"] else by_corner(work, point, fills["centre"], fills["corner"])


def _glided(work, point, fills):
    """Mirrored, then moved by the part of the vector that runs along the mirror: from foot to foot."""
    mirror = fills["mirror"]
    feet = [end if work.lies_on(end, mirror) else work.foot(end, mirror) for end in work.ends(fills["vector"])]
    return work.shifted(_mirrored(work, point, fills), *feet)


def _enlarged(work, point, fills):
    centre, factor = fills["centre"], fills["factor"]
    if point == centre:
        return point
    if isinstance(factor, tuple):
        return _by_ratio_of_lengths(work, point, centre, factor)
    return _by_number(work, point, centre, as_typed(factor))


def _by_number(work, point, centre, factor: Fraction):
    if factor == 0 or abs(factor.numerator) + factor.denominator > PARTS:
        raise NotByHand(f"By hand it is enlarged by a ratio of small whole numbers, not by {float(factor):g}.")
    if factor < 0:
        return _by_number(work, work.beyond(point, centre), centre, -factor)
    unit = point if factor.denominator == 1 else divided(work, centre, point, 1, factor.denominator - 1)
    return marked_off(work, centre, unit, factor.numerator)


def _by_ratio_of_lengths(work, point, centre, factor):
    """The fourth proportional (Euclid VI 12): on a ray from the centre both lengths are marked; the parallel to what joins the second mark
    to the point, through the first, cuts off the image."""
    step = work.board.step(factor[0])
    if step.does != "ratio":
        raise NotByHand("By hand it is enlarged by a ratio of two lengths of the figure, or of whole numbers.")
    aside, _ = work.equally_far(centre, point)
    ray = work.ray(centre, aside)
    marks = [work.meet(ray, work.opened(centre, *work.ends(step.fills[gap])), "second") for gap in ("first", "second")]
    beyond = work.shifted(marks[0], marks[1], point)
    return work.meet(work.line(marks[0], beyond), work.line(centre, point))


_MAPS = {
    "reflection": _mirrored,
    "point_reflection": _half_turn,
    "translation": _translated,
    "translation_along": _translated_along,
    "rotation": _rotated,
    "rotation_by_corner": _rotated_by_corner,
    "glide_reflection": _glided,
    "enlargement": _enlarged,
}
