"""Random claims about random figures, judged by other mathematics: mpmath at 60 digits, with constructions written anew for it.

What fails must fail at the position that is told; what stands or is proved must hold in fresh positions of all sorts."""

import random
import time

from mpmath import mp, mpf

from ruddy_trellis.core import Refusal

from ..core.figures import figure

mp.dps = 60
#: What is off by less than this share of its size is true, as far as 60 digits tell.
_TRUE = mpf(10) ** -40


def _line(p, q):
    return q[0] - p[0], q[1] - p[1]


def _meet(p, u, q, v):
    cross = u[0] * v[1] - u[1] * v[0]
    share = ((q[0] - p[0]) * v[1] - (q[1] - p[1]) * v[0]) / cross
    return p[0] + share * u[0], p[1] + share * u[1]


def _square(u):
    return -u[1], u[0]


def _middle(p, q):
    return (p[0] + q[0]) / 2, (p[1] + q[1]) / 2


def _foot(p, a, b):
    u = _line(a, b)
    return _meet(p, _square(u), a, u)


def _circumcentre(a, b, c):
    return _meet(_middle(a, b), _square(_line(a, b)), _middle(a, c), _square(_line(a, c)))


def _orthocentre(a, b, c):
    return _meet(a, _square(_line(b, c)), b, _square(_line(a, c)))


def _incentre(a, b, c):
    x, y, z = _far(b, c), _far(c, a), _far(a, b)
    return tuple((x * a[i] + y * b[i] + z * c[i]) / (x + y + z) for i in (0, 1))


def _far(p, q):
    return mp.sqrt((p[0] - q[0]) ** 2 + (p[1] - q[1]) ** 2)


def _mirror(p, a, b):
    foot = _foot(p, a, b)
    return 2 * foot[0] - p[0], 2 * foot[1] - p[1]


def _turned(p, about, degrees):
    angle = mp.pi * degrees / 180
    x, y = p[0] - about[0], p[1] - about[1]
    return about[0] + mp.cos(angle) * x - mp.sin(angle) * y, about[1] + mp.sin(angle) * x + mp.cos(angle) * y


def _angle(a, b, c):
    u, v = _line(b, a), _line(b, c)
    return mp.atan2(abs(u[0] * v[1] - u[1] * v[0]), u[0] * v[0] + u[1] * v[1]) * 180 / mp.pi


def _area(a, b, c):
    return abs((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])) / 2


#: Constructions of points: a sentence, of how many points, and the same in mpmath.
POINTS = (
    ("the midpoint of {}{}", 2, _middle),
    ("the foot of the perpendicular from {} to {}{}", 3, _foot),
    ("the mirror image of {} in {}{}", 3, _mirror),
    ("the circumcentre of {}{}{}", 3, _circumcentre),
    ("the orthocentre of {}{}{}", 3, _orthocentre),
    ("the incentre of {}{}{}", 3, _incentre),
    ("the point {} turned about {} by 90 degrees", 2, lambda p, about: _turned(p, about, 90)),
    ("the point {} turned about {} by 60 degrees", 2, lambda p, about: _turned(p, about, 60)),
    ("the point {} turned about {} by 180 degrees", 2, lambda p, about: _turned(p, about, 180)),
)


def _statements(chance, names):
    """A claim as a text, and a function of the points by name that gives pairs of how far off and of what size it is."""
    a, b, c, d = chance.sample(names, 4)
    p, q, r = chance.sample(names, 3)
    n = chance.choice((1, 1, 2, 3))
    times = "" if n == 1 else f"{n} * "
    return chance.choice((
        (f"{a}{b} = {times}{c}{d}", lambda at: (_far(at[a], at[b]) - n * _far(at[c], at[d]), _far(at[a], at[b]) + _far(at[c], at[d]))),
        (f"{a}{b} - {times}{c}{d} = 0", lambda at: (_far(at[a], at[b]) - n * _far(at[c], at[d]), _far(at[a], at[b]) + _far(at[c], at[d]))),
        (f"{a}{b}^2 + {c}{d}^2 = {a}{c}^2 + {b}{d}^2", lambda at: (
            _far(at[a], at[b]) ** 2 + _far(at[c], at[d]) ** 2 - _far(at[a], at[c]) ** 2 - _far(at[b], at[d]) ** 2,
            _far(at[a], at[b]) ** 2 + _far(at[a], at[c]) ** 2 + _far(at[b], at[d]) ** 2)),
        (f"{a}{b} + {b}{c} = {a}{c}", lambda at: (
            _far(at[a], at[b]) + _far(at[b], at[c]) - _far(at[a], at[c]), _far(at[a], at[b]) + _far(at[b], at[c]))),
        (f"angle({a}{b}{c}) = angle({p}{q}{r})", lambda at: (_angle(at[a], at[b], at[c]) - _angle(at[p], at[q], at[r]), mpf(90))),
        (f"angle({a}{b}{c}) + angle({p}{q}{r}) = 180", lambda at: (
            _angle(at[a], at[b], at[c]) + _angle(at[p], at[q], at[r]) - 180, mpf(180))),
        (f"angle({a}{b}{c}) - 2 * angle({p}{q}{r}) = 0", lambda at: (
            _angle(at[a], at[b], at[c]) - 2 * _angle(at[p], at[q], at[r]), mpf(90))),
        (f"angle({a}{b}{c}) = 90", lambda at: (_angle(at[a], at[b], at[c]) - 90, mpf(90))),
        (f"area({a}{b}{c}) = {times}area({p}{q}{r})", lambda at: (
            _area(at[a], at[b], at[c]) - n * _area(at[p], at[q], at[r]), _area(at[a], at[b], at[c]) + _area(at[p], at[q], at[r]))),
        (f"{a}, {b} and {c} are in line", lambda at: (_area(at[a], at[b], at[c]), _far(at[a], at[b]) * _far(at[a], at[c]))),
    ))  # fmt: skip


def _figure(chance):
    """A random figure as text, the names of its free points, and the constructions of the others."""
    names = list("ABCD"[: chance.choice((3, 4))])
    lines = [f"{name} = ({chance.uniform(-5, 5):.2f}, {chance.uniform(-4, 4):.2f})" for name in names]
    free, made = list(names), []
    for name in "EFGH"[: chance.randint(2, 4)]:
        sentence, count, rule = chance.choice(POINTS)
        of = chance.sample(names, count)
        lines.append(f"{name} is {sentence.format(*of)}")
        made.append((name, of, rule))
        names.append(name)
    return "\n".join(lines), free, made, names


def _off(free, made, rule):
    """How far off a claim is where the free points are so, as a share of its size; None where it cannot be asked."""
    at = dict(free)
    try:
        for name, of, make in made:
            at[name] = _there(make, [at[one] for one in of])
        off, size = rule(at)
    except (ZeroDivisionError, TypeError):
        return None
    spread = max(_far(p, q) for p in at.values() for q in at.values() if p and q)
    if size <= spread * mpf(10) ** -30:
        return None
    return abs(off) / size


def _there(make, points):
    """A place as a construction gives it; None where there is none, or only by what digits are left over."""
    if None in points:
        return None
    try:
        place = make(*points)
    except ZeroDivisionError:
        return None
    return place if max(map(abs, place)) < mpf(10) ** 20 else None


def judged(chance):
    """Make a figure and a claim, and compare the verdict with mpmath. Returns the verdict, or None where the claim was refused; of what can
    nowhere be asked, such as the incentre of three points in line, that."""
    text, free, made, names = _figure(chance)
    claim, rule = _statements(chance, names)
    try:
        f = figure(text)
        found = f.claim(claim, seconds=2)
    except Refusal:
        return None
    if found.verdict == "fails":
        # Of pegs that the claim does not hang on nothing is told.
        there = {name: found.position.get(name) or f.board.value(f.board.find(name)) for name in free}
        off = _off({name: tuple(mpf(repr(float(part))) for part in at) for name, at in there.items()}, made, rule)
        assert off is not None and off > _TRUE, f"{text}\n{claim}: it does not fail at {found.position}"
        return found.verdict
    asked = 0
    for _ in range(60):
        reach = chance.choice((0.3, 3, 30))
        places = {name: (mpf(repr(chance.gauss(0, reach))), mpf(repr(chance.gauss(0, reach)))) for name in free}
        off = _off(places, made, rule)
        asked += off is not None
        if found.verdict in ("stands", "proved"):
            assert off is None or off <= _TRUE, f"{text}\n{claim}: {found.verdict}, and is off by {mp.nstr(off, 5)} at {places}"
    return found.verdict if asked else "nowhere to be asked"


def campaign(seconds: float, chance: random.Random) -> str:
    """Go on until the time is over, or a verdict is wrong. Returns what was done."""
    end, told = time.monotonic() + seconds, {}
    while time.monotonic() < end:
        verdict = judged(chance)
        told[verdict] = told.get(verdict, 0) + 1
    untold = told.pop("cannot be told", 0)
    assert untold <= 0.02 * max(sum(told.values()), 50), f"{untold} claims could not be told"
    return ", ".join(f"{count} {verdict or 'refused'}" for verdict, count in told.items()) + f", {untold} could not be told"
