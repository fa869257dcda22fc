"""Random regions of conditions of every kind: half of them at whole numbers, where edges touch, pass through corners and lie upon one
another.

``python -m tests.core.random_regions`` tells what they come to as JSON, with the stand-ins where they are first on the path: what runs in
the browser.
"""

import json
import math
import random
from collections.abc import Iterator

from ruddy_trellis.core.arithmetic import Undefined
from ruddy_trellis.core.regions.conditions import (
    Condition,
    Difference,
    FromDisc,
    FromPoint,
    FromPolygon,
    FromStraight,
    InDisc,
    InPolygon,
    Seen,
    Side,
)
from ruddy_trellis.core.regions.region import HOW, Region

_FIELD = ((-6.0, -4.0), (6.0, -4.0), (6.0, 4.0), (-6.0, 4.0))


def random_region(chance: random.Random) -> Region:
    """A region of one to four conditions, in the plane, a field or any quadrilateral, crossed ones too."""
    is_whole = chance.random() < 0.5
    number = lambda low, high: float(chance.randint(low, high)) if is_whole else chance.uniform(low, high)
    place = lambda: (number(-6, 6), number(-4, 4))
    many = lambda least: tuple(place() for _ in range(chance.randint(least, 6)))

    def two():
        a, b = place(), place()
        return (a, (b[0] - a[0], b[1] - a[1])) if a != b else two()

    def line():
        return FromStraight(*two(), -math.inf, math.inf)

    def condition():
        is_above, is_strict = chance.random() < 0.5, chance.random() < 0.5
        kind, bound = chance.randrange(9), 0.0
        if kind < 4:
            bound = number(1, 4)
            measure = (
                lambda: FromPoint(place()),
                lambda: FromStraight(*two(), *chance.choice(((0.0, 1.0), (-math.inf, math.inf), (0.0, math.inf)))),
                lambda: FromDisc(place(), number(1, 3)),
                lambda: FromPolygon(many(3)),
            )[kind]()
        elif kind == 4:
            (x, y), (dx, dy) = two()
            measure, bound = Seen((x, y), (x + dx, y + dy)), 180.0 - chance.choice((30, 60, 90, 120, 150))
        elif kind == 5:
            measure, is_strict = chance.choice((lambda: Difference(line(), line()), lambda: Difference(FromPoint(place()), line())))(), True
        else:
            measure = (lambda: InDisc(place(), number(1, 4)), lambda: InPolygon(many(3)), lambda: Side(*two()))[kind - 6]()
        return Condition(measure, bound, is_above, is_strict).check()

    try:
        conditions = tuple(condition() for _ in range(chance.randint(1, 4)))
        shape = chance.choice((None, _FIELD, many(4)))
        return Region(conditions, chance.choice(HOW), Condition(InPolygon(shape), 0.0, False, False).check() if shape else None)
    except Undefined:  # of two that are in one place, of a shape without an inside
        return random_region(chance)


def told(count: int) -> Iterator[tuple[int, float, float]]:
    """Of so many of them how many rings each has, how long these are, and what is within them; of endless ones what is within sight."""
    chance = random.Random(11)
    for _ in range(count):
        region = random_region(chance)
        yield (len(region.rings), 0.0, 0.0) if region.is_endless else (len(region.rings), region.perimeter, region.area)


if __name__ == "__main__":
    print(json.dumps(list(told(200))))
