"""Where points go that were only named: in view, clear of what is there, the right way round, and in general position."""

import itertools
import math
from collections.abc import Callable, Iterator, Sequence
from functools import lru_cache

from ..kinds import POINT
from ..seen import Place, SeenBoard

#: A triangle whose angles are 48°, 53° and 79°, and a quadrilateral of which no three corners, sides or diagonals are anything special.
_TRIANGLE = ((-0.57, -0.22), (0.43, -0.1), (-0.09, 0.45))
_QUADRILATERAL = ((-0.7, -0.18), (0.61, -0.29), (0.33, 0.12), (-0.23, 0.3))
#: No two sides are nearer than this to one another's length, no angle nearer to a special one, no two lines to parallel (degrees).
_LENGTHS, _ANGLES, _PARALLEL = 1.08, 6.0, 8.0
_SPECIAL = (60.0, 90.0, 180.0, 0.0)


def places(board: SeenBoard, count: int, fits: Callable[[Place], bool] | None = None) -> list[Place]:
    """Where so many free points go on a board, the same for the same board.

    Args:
        board: the board; its view says what is seen.
        count: how many points.
        fits: what else is asked of each place, such as that it is inside a shape.

    Returns:
        Places in board units; of a few points alone on a board those of a figure that fills about half of the view.
    """
    known = tuple(tuple(board.value(step.id)) for step in board.steps if step.makes == POINT and board.value(step.id) is not None)
    view = tuple(board.settings.view)
    return list(_free_places(view, known, count)) if fits is None else list(_places(view, known, count, fits))


@lru_cache(maxsize=512)
def _free_places(view: tuple[float, ...], known: tuple[Place, ...], count: int) -> tuple[Place, ...]:
    return _places(view, known, count, None)


def _places(view: tuple[float, ...], known: tuple[Place, ...], count: int, fits: Callable[[Place], bool] | None) -> tuple[Place, ...]:
    x, y, right, top = view
    middle, size = ((x + right) / 2, (y + top) / 2), 0.62 * min(right - x, top - y)
    if not known and fits is None and count >= 3:
        grown = 1.15 * size
        return tuple(_tidy((middle[0] + grown * u, middle[1] + grown * v), size) for u, v in _figure(count))
    found: list[Place] = []
    for _ in range(count):
        found.append(_best([*known, *found], middle, size, fits))
    return tuple(found)


def _figure(count: int) -> Sequence[Place]:
    if count == 3:
        return _TRIANGLE
    if count == 4:
        return _QUADRILATERAL
    # Corners on an oval, each a little off its place, so that nothing is regular.
    turns = [2 * math.pi * (number + 0.21 * math.sin(2.3 * number + 1)) / count - 2.3 for number in range(count)]
    return [((0.52 + 0.05 * math.sin(3.1 * number)) * math.cos(turn), 0.45 * math.sin(turn)) for number, turn in enumerate(turns)]


def _tidy(place: Place, size: float) -> Place:
    """A place with no more digits than are seen."""
    step = 10.0 ** (math.floor(math.log10(size)) - 2)
    return (round(round(place[0] / step) * step, 9), round(round(place[1] / step) * step, 9))


def _candidates(middle: Place, size: float) -> Iterator[Place]:
    """Places all over the view and a little beyond, spread evenly, the same every time."""
    for number in range(1, 120):
        u, v = (number * 0.7548776662466927) % 1, (number * 0.5698402909980532) % 1
        yield middle[0] + size * 1.5 * (u - 0.5), middle[1] + size * 1.2 * (v - 0.5)


def _best(known: Sequence[Place], middle: Place, size: float, fits: Callable[[Place], bool] | None) -> Place:
    best, most = middle, -math.inf
    tried = list(_candidates(middle, size))
    if fits is not None and not any(map(fits, tried)):
        tried += [(x, y) for far in (0.1, 0.3, 1.8, 3.0, 6.0) for x, y in _candidates(middle, size * far)]
    for place in tried:
        if fits is not None and not fits(place):
            continue
        worth = _worth(_tidy(place, size), known, size)
        if worth > most:
            best, most = place, worth
    tidy = _tidy(best, size)
    return tidy if fits is None or fits(tidy) else best


def _worth(place: Place, known: Sequence[Place], size: float) -> float:
    """How good a place is for a new point beside points that are there."""
    if not known:
        return -math.hypot(place[0], place[1])
    near = min(math.dist(place, other) for other in known)
    worth = min(near / size, 0.45) * 4
    few = known[-4:]
    for number, one in enumerate(few):
        for other in few[number + 1 :]:
            worth -= special(place, one, other)
    return worth - 0.15 * sum(math.dist(place, other) for other in few) / (len(few) * size)


def special(a: Place, b: Place, c: Place) -> float:
    """How special the triangle of three places is: 0 where it is nothing in particular."""
    sides = sorted((math.dist(a, b), math.dist(b, c), math.dist(c, a)))
    if sides[0] == 0:
        return 3.0
    wrong = sum(longer < _LENGTHS * shorter for shorter, longer in itertools.pairwise(sides))
    for corner, one, other in ((a, b, c), (b, c, a), (c, a, b)):
        turn = abs(
            math.degrees(math.atan2(other[1] - corner[1], other[0] - corner[0]) - math.atan2(one[1] - corner[1], one[0] - corner[0]))
        )
        turn = min(turn, 360 - turn)
        wrong += any(abs(turn - special) < _ANGLES for special in _SPECIAL)
    return 0.5 * wrong
