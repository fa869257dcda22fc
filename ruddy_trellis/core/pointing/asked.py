"""What is asked most of a selection, the likeliest first: sentences such as a person could say, by the kinds of what is selected."""

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass
from itertools import combinations
from typing import Any

from ..board.board import Board
from ..edits.models import Add, NewStep
from ..edits.saying import said
from ..kinds import CIRCLE, CLAIM, CONDITION, MOTION, NUMBER, POINT, POLYGON, SEGMENT, STRAIGHTS, join
from ..language import names as spelling
from ..language.formula_words import ANGLE
from ..refusal import Refusal


@dataclass(frozen=True)
class Asked:
    """What can be asked: the words of the offer, and the sentences that it says or the order that it gives."""

    words: str
    says: tuple[str, ...] = ()
    order: str = ""

    def adding(self, board: Board) -> Add | None:
        """The edit that says it; None where the figure does not take one of its sentences, or there is nothing to say."""
        steps: list[NewStep] = []
        for text in self.says:
            try:
                new = said(text, board)
            except Refusal:
                return None
            if len(self.says) > 1 and len(new) > 1:
                return None  # what a sentence makes on its way is counted from the beginning of an edit
            steps += new
        return Add(steps=steps) if steps else None  # such as to join a point to the corners of an image, which are no points here


def asked(board: Board, ids: Sequence[str]) -> Iterator[Asked]:
    """What is asked most of these things, in the order in which they were selected among those of one sort."""
    sorts = {id: _sort(board, id) for id in ids}
    ordered = sorted(ids, key=lambda id: sorts[id])
    kinds = tuple(sorts[id] for id in ordered)
    if found := _ASKED.get(kinds):
        yield from found(board, ordered)
    for form in _SAID.get(kinds, ()):
        yield _filled(form, _names(board, ordered))


def _sort(board, id):
    """The sort of a thing, as it matters for what is asked of it."""
    kind = board.kind_of(id)
    if kind == NUMBER:
        return ANGLE if board.dimension(id) == ANGLE else NUMBER
    return "line" if kind in STRAIGHTS and kind != SEGMENT else kind


def _one(text):
    return Asked(text, (text,))


def _many(words, *texts):
    return Asked(words, tuple(texts))


def _names(board, ids):
    return [board.name(id) for id in ids]


def _pairs(names):
    """The sides of a polygon, as one writes them: AB, BC, CA."""
    return [spelling.spell(pair) for pair in zip(names, (*names[1:], names[0]), strict=True)]


def _of_polygon(board, ids):
    (polygon,) = _names(board, ids)
    corners = _names(board, board.step(ids[0]).fills.get("corners", ()))
    sides = _pairs(corners) if corners else []
    if len(corners) == 3:
        a, b, c = corners
        across = ((a, sides[1]), (b, sides[2]), (c, sides[0]))
        yield _many(f"the altitudes of {polygon}", *(f"the altitude from {corner} to {side}" for corner, side in across))
        yield _many(f"the medians of {polygon}", *(f"the median from {corner} to {side}" for corner, side in across))
        yield _one(f"the circle through {a}, {b} and {c}")
        yield _one(f"the incircle of {spelling.spell(corners)}")
    else:
        ends = [pair for pair in combinations(range(len(corners)), 2) if pair[1] - pair[0] not in (1, len(corners) - 1)]
        if ends:
            yield _many(f"the diagonals of {polygon}", *(f"the segment from {corners[i]} to {corners[j]}" for i, j in ends[:20]))
    yield _one(f"the area of {polygon}")
    yield _one(f"all angles inside {polygon}")
    yield _one(f"the perimeter of {polygon}")
    yield _many(f"the lengths of the sides of {polygon}", *(f"the length of {side}" for side in sides))
    yield _many(f"the midpoints of the sides of {polygon}", *(f"the midpoint of {side}" for side in sides))
    turns = zip((corners[-1:] + corners[:-1]), corners, corners[1:] + corners[:1], strict=True)
    yield _many(f"the angle bisectors of {polygon}", *(f"the bisector of angle {spelling.spell(three)}" for three in turns))
    yield _many(f"the perpendicular bisectors of {polygon}", *(f"the perpendicular bisector of {side}" for side in sides))
    if len(corners) == 3:
        for centre in ("centroid", "circumcentre", "incentre", "orthocentre"):
            yield _one(f"the {centre} of {spelling.spell(corners)}")


def _of_polygons(board, ids):
    one, other = _names(board, ids)
    yield _one(f"the claim that {one} is congruent to {other}")
    yield _one(f"the claim that {one} is similar to {other}")
    yield _one(f"the value of area({one}) / area({other})")
    yield _one(f"all crossings of {one} and {other}")
    yield _one(f"the claim that area({one}) = area({other})")


def _of_line_and_polygon(board, ids):
    line, polygon = _names(board, ids)
    yield Asked(f"the mirror image of {polygon} in {line}", (f"the images of {polygon} under the reflection in {line}",))
    yield _one(f"all crossings of {line} and {polygon}")
    corners = _names(board, board.step(ids[1]).fills.get("corners", ()))
    yield _many(f"the distances of the corners of {polygon} from {line}", *(f"the distance from {one} to {line}" for one in corners))
    yield _many(f"parallels to {line} through the corners of {polygon}", *(f"the parallel to {line} through {one}" for one in corners))


def _of_point_and_polygon(board, ids):
    point, polygon = _names(board, ids)
    images = f"the images of {polygon} under"
    yield Asked(f"a half turn of {polygon} about {point}", (f"{images} the reflection in the point {point}",))
    yield Asked(f"{polygon} enlarged from {point} by 2", (f"{images} the enlargement from {point} by the factor 2",))
    yield Asked(f"a quarter turn of {polygon} about {point}", (f"{images} the rotation about {point} by 90 degrees",))
    corners = _names(board, board.step(ids[1]).fills.get("corners", ()))
    yield _many(f"join {point} to the corners of {polygon}", *(f"the segment from {point} to {one}" for one in corners if one != point))
    yield _one(f"whether {point} is in the region where all of the places inside {polygon} hold")
    yield _one(f"the claim that {point} lies on {polygon}")


def _of_readings(board, ids):
    one, other = _names(board, ids)
    yield _one(f"the value of {one} / {other}")
    yield _one(f"the claim that {one} = {other}")
    yield _one(f"the value of {one} + {other}")
    yield _one(f"the value of {one} − {other}")
    yield Asked(f"log {one} and {other}", order=f"log {one} and {other}")
    yield _one(f"the value of {one} × {other}")


def _of_lines(board, ids):
    names = _names(board, ids)
    pairs = list(combinations(names, 2))
    if len(names) == 3:
        corners = ", ".join(f"where {one} meets {other}" for one, other in pairs)
        yield Asked(f"the triangle between {join(names)}", (f"the polygon through {corners}",))
        yield _one(f"the claim that {join(names)} go through one point")
        yield _many(f"all crossings of {join(names)}", *(f"where {one} meets {other}" for one, other in pairs))
        yield _many(f"the angles between {join(names)}", *(f"the angle between {one} and {other}" for one, other in pairs))
        return
    one, other = names
    yield _one(f"where {one} meets {other}")
    yield _one(f"the angle between {one} and {other}")
    yield _one(f"the claim that {one} is parallel to {other}")
    yield _one(f"the claim that {one} is perpendicular to {other}")


def _of_segments(board, ids):
    one, other = _names(board, ids)
    first, second = (spelling.spell(_names(board, board.step(id).inputs)) for id in ids)
    yield _one(f"the claim that {first} = {second}")
    yield _one(f"the claim that {one} is parallel to {other}")
    yield _one(f"the angle between {one} and {other}")
    yield _one(f"the ratio of {one} to {other}")
    yield _one(f"where {one} meets {other}")
    yield _one(f"the claim that {one} is perpendicular to {other}")


def _of_lines_and_point(board, ids):
    *lines, point = _names(board, ids)
    one, other = lines
    both = lambda words, form: _many(words, *(form.format(line=line, point=point) for line in lines))
    yield both(f"parallels to {one} and {other} through {point}", "the parallel to {line} through {point}")
    yield both(f"perpendiculars to {one} and {other} through {point}", "the perpendicular to {line} through {point}")
    yield _one(f"where {one} meets {other}")
    yield both(f"the distances from {point} to {one} and {other}", "the distance from {point} to {line}")
    yield both(f"the mirror images of {point} in {one} and {other}", "the mirror image of {point} in {line}")


def _of_segment(board, ids):
    (segment,) = _names(board, ids)
    ends = _names(board, board.step(ids[0]).inputs) if board.step(ids[0]).does == "segment" else []
    yield _one(f"the length of {segment}")
    yield _one(f"the midpoint of {segment}")
    yield _one(f"the perpendicular bisector of {segment}")
    if len(ends) == 2:
        yield from _on_side(*ends)


def _on_side(a, b):
    yield _one(f"the square on the side from {a} to {b}")
    yield _one(f"the equilateral triangle on the side from {a} to {b}")
    yield _one(f"the circle on the diameter from {a} to {b}")


def _of_point(board, ids):
    (point,) = _names(board, ids)
    if board.step(ids[0]).moves != "free":
        return
    left, _, right, _ = board.settings.view
    radius = max(1, round((right - left) / 10))
    yield _one(f"the circle with centre {point} and radius {radius}")
    yield _one(f"the coordinates of {point}")
    yield _one(f"the horizontal line through {point}")
    yield _one(f"the vertical line through {point}")


def _of_points(board, ids):
    names = _names(board, ids)
    if len(ids) == 4:
        yield _one(f"the claim that {join(names)} are on one circle")
        return
    a, b, c = names
    yield _one(f"the polygon through {a}, {b}, {c}")
    yield _one(f"the angle {spelling.spell(names)}")
    yield _one(f"the circle through {a}, {b} and {c}")
    yield _one(f"the bisector of angle {spelling.spell(names)}")
    yield _one(f"the claim that {join(names)} are in line")
    yield Asked(f"the area of {spelling.spell(names)}", (f"the value of area({spelling.spell(names)})",))


_LINE = "line"
#: What asks nothing of the figure but its names: sentences, or their words in the offer and the sentence that is said. {0}, {1} are the
#: names in the order of the sorts; one that ends in a question mark, or begins with "run", is an order.
_SAID: dict[tuple[str, ...], tuple[str | tuple[str, str], ...]] = {
    (_LINE, POINT): (
        "the perpendicular to {0} through {1}",
        "the parallel to {0} through {1}",
        "the distance from {1} to {0}",
        "the foot of the perpendicular from {1} to {0}",
        "the mirror image of {1} in {0}",
        "the claim that {1} lies on {0}",
        (
            "the circle with centre {1} tangent to {0}",
            "the circle with centre {1} through the foot of the perpendicular from {1} to {0}",
        ),
    ),
    (CIRCLE,): (
        "the centre of {0}",
        "the radius of {0}",
        "the area of {0}",
        "the circumference of {0}",
        "a point on {0}",
        "the places inside {0}",
    ),
    (CIRCLE, _LINE): (
        "all crossings of {1} and {0}",
        "the claim that {1} is tangent to {0}",
        ("the distance of the centre of {0} from {1}", "the distance from the centre of {0} to {1}"),
        "the pole of {1} in {0}",
    ),
    (CIRCLE, POINT): (
        "both tangents from {1} to {0}",
        "the claim that {1} lies on {0}",
        ("the distance of {1} from the centre of {0}", "the distance from {1} to the centre of {0}"),
        "the polar of {1} in {0}",
    ),
    (CIRCLE, CIRCLE): (
        "all crossings of {0} and {1}",
        "all common tangents of {0} and {1}",
        ("the line through the centres of {0} and {1}", "the line through the centre of {0} and the centre of {1}"),
        "the claim that {0} is tangent to {1}",
        "the radical axis of {0} and {1}",
    ),
    (NUMBER, POINT): ("the circle with centre {1} and radius {0}", "the places at most {0} from {1}"),
    (ANGLE, POINT): ("the rotation about {1} by {0} degrees",),
    (CONDITION, POINT): ("does {0} hold at {1}?",),
    (CLAIM,): ("what does {0} rest on?",),
    (MOTION,): ("run {0}",),
}


def _filled(form, names):
    """An offer of the table above for things of these names."""
    words, text = (form, form) if isinstance(form, str) else form
    words, text = words.format(*names), text.format(*names)
    return Asked(words, order=text.rstrip("?")) if text.endswith("?") or text.startswith("run ") else Asked(words, (text,))


#: By the sorts of what is selected, in the order of the alphabet.
_ASKED: dict[tuple[str, ...], Callable[[Board, list[str]], Any]] = {
    tuple(sorted(sorts)): found
    for sorts, found in (
        ((POLYGON,), _of_polygon),
        ((POLYGON, POLYGON), _of_polygons),
        ((_LINE, POLYGON), _of_line_and_polygon),
        ((POINT, POLYGON), _of_point_and_polygon),
        ((NUMBER, NUMBER), _of_readings),
        ((ANGLE, ANGLE), _of_readings),
        ((_LINE, _LINE), _of_lines),
        ((_LINE, _LINE, _LINE), _of_lines),
        ((_LINE, _LINE, POINT), _of_lines_and_point),
        ((SEGMENT,), _of_segment),
        ((SEGMENT, SEGMENT), _of_segments),
        ((POINT,), _of_point),
        ((POINT, POINT, POINT), _of_points),
        ((POINT, POINT, POINT, POINT), _of_points),
    )
}
