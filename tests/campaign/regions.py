"""Random conditions, with edges that touch, pass through corners and lie upon one another, against strips counted one by one."""

import math
import random
import time

import numpy as np

from ruddy_trellis.core import Refusal

from ..core.figures import figure

_STRIPS = 3_000


def judged(chance: random.Random) -> bool:
    """A random region compared with a count of small squares. Returns whether it had an area."""
    whole = chance.random() < 0.6
    place = lambda: (chance.randint(0, 8), chance.randint(0, 6)) if whole else (chance.uniform(0, 8), chance.uniform(0, 6))
    lines = ["A = (0, 0)", "B = (8, 0)", "C = (8, 6)", "D = (0, 6)", "ABCD is the polygon through A, B, C, D"]
    points = {name: place() for name in "PQR"}
    lines += [f"{name} = {at}" for name, at in points.items()]
    rules = []
    for name in ("j", "j_1", "j_2")[: chance.randint(1, 3)]:
        one, other = chance.sample("PQR", 2)
        far = chance.randint(1, 6) if whole else chance.uniform(0.5, 6)
        (ax, ay), (bx, by) = points[one], points[other]
        kind = chance.randrange(4)
        if kind == 0:
            lines.append(f"{name} is the places at most {far} from {one}")
            rules.append(lambda x, y, ax=ax, ay=ay, far=far: np.hypot(x - ax, y - ay) <= far)
        elif kind == 1:
            lines.append(f"{name} is the places more than {far} from {one}")
            rules.append(lambda x, y, ax=ax, ay=ay, far=far: np.hypot(x - ax, y - ay) > far)
        elif kind == 2:
            lines.append(f"{name} is the places nearer to {one} than to {other}")
            rules.append(lambda x, y, p=(ax, ay), q=(bx, by): np.hypot(x - p[0], y - p[1]) < np.hypot(x - q[0], y - q[1]))
        else:
            lines.append(f"{name} is the places nearer to {one} than to AB")
            rules.append(lambda x, y, ax=ax, ay=ay: np.hypot(x - ax, y - ay) < np.abs(np.where(_beside(x), y, _ends(x, y))))
    names = " and ".join(line.split(" ")[0] for line in lines if line.startswith("j"))
    how = chance.choice(("all", "any", "none"))
    lines += [f"z is the region where {how} of {names} hold within ABCD", "S is the area of z"]
    try:
        f = figure("\n".join(lines))
    except Refusal:
        return False
    area = f.board.value(f.board.find("S"))
    if f.board.value(f.board.find("z")) is None:
        return False
    xs, ys = ((np.arange(count) + 0.5) * side / count for side, count in ((8, _STRIPS), (6, _STRIPS // 6)))
    x, y = np.meshgrid(xs, ys)
    each = [rule(x, y) for rule in rules]
    holds = np.logical_and.reduce(each) if how == "all" else np.logical_or.reduce(each)
    holds = ~holds if how == "none" else holds
    wanted = float(holds.mean()) * 48
    assert abs((area or 0.0) - wanted) < 0.06, f"{chr(10).join(lines)}\nis {area}, counted {wanted}"
    assert area is None or math.isfinite(area)
    return area is not None


def _beside(x):
    return (x >= 0) & (x <= 8)


def _ends(x, y):
    return np.hypot(np.where(x < 0, x, x - 8), y)


def campaign(seconds: float, chance: random.Random) -> str:
    """Go on until the time is over, or an area is wrong. Returns what was done."""
    end, count = time.monotonic() + seconds, [0, 0]
    while time.monotonic() < end:
        count[judged(chance)] += 1
    return f"{count[1]} areas counted, {count[0]} without one"
