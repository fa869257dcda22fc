"""Loci and envelopes: where a point goes, and what a line touches, while something else runs its way."""

from collections.abc import Callable
from math import hypot
from typing import Any

from ..arithmetic import ARRAYS, FLOATS, Undefined
from ..arithmetic.arrays import undefined_as_a_whole
from ..arithmetic.late import np
from ..arithmetic.protocol import Arithmetic
from ..formulas.conics import from_coefficients
from ..formulas.values import Conic
from ..kinds import CIRCLE, CONIC, LINE, LOCUS, POLYGON, RAY
from ..refusal import Refusal
from ..seen import Place, SeenStep

#: The share of its range that a driver moves for the slope of an envelope.
_SMALL = 1e-5


def driver_range(step: SeenStep, step_of: Callable[[str], Any]) -> tuple[float, float, bool]:
    """The least and the greatest place of a driver, and whether it comes round: of a dial what it says, of a sliding
    point what its path says. A line has no ends: its places are squeezed, see :func:`unsqueezed`.

    Raises:
        Refusal: where the step is neither.
    """
    if step.construction.moves == "turning":
        return step.fills["least"], step.fills["most"], False
    if step.construction.moves != "sliding":
        raise Refusal("Only a point on a path and a dial can run: those have somewhere to go.")
    path = step.fills["path"]
    if len(path) == 2:
        return 0.0, 1.0, False
    path_step = step_of(path[0])
    kind = path_step.makes
    if kind in (CIRCLE, CONIC):
        return 0.0, 360.0, True
    if kind == POLYGON:
        return 0.0, float(len(path_step.fills.get("corners", ())) or 3), True
    if kind in (LINE, RAY):
        return (-1.0 if kind == LINE else 0.0), 1.0, False
    if kind == LOCUS and "driver" not in path_step.fills:
        return 0.0, 1.0, True  # the edge of a region, by shares of its length
    if kind == LOCUS:
        low, high, _ = driver_range(step_of(path_step.fills["driver"][0]), step_of)
        # The envelope of a circle has two sides, the other one after the first.
        two_sided = "curve" in path_step.fills and step_of(path_step.fills["curve"][0]).makes == CIRCLE
        return low, 2 * high - low if two_sided else high, False
    return 0.0, 1.0, False


def is_endless(step: SeenStep, step_of: Callable[[str], Any]) -> bool:
    """Whether a driver rides on a line or a ray, whose places go to infinity."""
    return step.construction.moves == "sliding" and len(step.fills["path"]) == 1 and step_of(step.fills["path"][0]).makes in (LINE, RAY)


def unsqueezed(places):
    """Places between -1 and 1 spread over the whole line."""
    return places / np.maximum(1 - places * places, 1e-9)


class Locus:
    """A curve that is known by running it: ``at`` gives its points for places of the driver.

    Attributes:
        low, high: the range of the places.
    """

    __slots__ = ("_inputs", "_run", "high", "low")

    def __init__(self, run, inputs, low, high) -> None:
        self._run, self._inputs, self.low, self.high = run, inputs, low, high

    def __eq__(self, other):
        return isinstance(other, Locus) and (self._inputs, self.low, self.high) == (other._inputs, other.low, other.high)

    def at(self, places):
        """The coordinates for an array of places, NaN where the curve is undefined there."""
        places = np.asarray(places, dtype=float)
        try:
            with np.errstate(all="ignore"):
                x, y = self._run(places, self._inputs)
        except ArithmeticError:
            x = y = np.nan
        return np.broadcast_to(x, places.shape), np.broadcast_to(y, places.shape)

    def point(self, place: float):
        """The point at one place. Raises Undefined where there is none."""
        x, y = self.at([min(max(place, self.low), self.high)])
        if not (np.isfinite(x[0]) and np.isfinite(y[0])):
            raise Undefined("the locus has no point here")
        return float(x[0]), float(y[0])

    def nearest(self, at: Place):
        """The place whose point is nearest to a position: the best of many, then finer."""
        low, high = self.low, self.high
        for _ in range(5):
            places = np.linspace(low, high, 241)
            x, y = self.at(places)
            away = np.hypot(x - at[0], y - at[1])
            if np.isnan(away).all():
                raise Undefined("the locus has no points")
            best, reach = float(places[np.nanargmin(away)]), (high - low) / 80
            low, high = max(self.low, best - reach), min(self.high, best + reach)
        return best


def _chain(target, driver, step_of, place_of, make_plan):
    """The steps between a driver and what it moves, in order: pairs of a step and how it is computed, the driver first."""
    reached, waiting = {}, [target]
    while waiting:
        id = waiting.pop()
        if id not in reached:
            reached[id] = step_of(id)
            waiting += reached[id].inputs
    moved = {driver}
    for id in sorted(reached, key=place_of):
        if id != driver and moved & set(reached[id].inputs):
            moved.add(id)
    if target not in moved or target == driver:
        raise Refusal("That does not hang on what runs, so it would stay where it is.")
    return [(reached[id], make_plan(reached[id])) for id in sorted(moved, key=place_of)]


def _prepared(step, gap, step_of, place_of, make_plan):
    """What a locus is run with.

    Returns:
        A function of places of the driver, and of the values from outside, that gives the values of the target; the places of
        those values; the places of the steps inside that ride somewhere and whose typed numbers come after them; the range.
    """
    target, driver = step.fills[gap][0], step_of(step.fills["driver"][0])
    chain = _chain(target, driver.id, step_of, place_of, make_plan)
    inside = {place_of(one.id) for one, _ in chain}
    outside = tuple(dict.fromkeys(place for _, plan in chain for place in plan.inputs if place not in inside))
    riding = tuple(place_of(one.id) for one, _ in chain[1:] if one.construction.moved_gap)
    (_, driver_plan), rest = chain[0], [(place_of(one.id), plan) for one, plan in chain[1:]]
    driver_place, target_place = place_of(driver.id), place_of(target)
    endless = is_endless(driver, step_of)

    def run(places, inputs):
        values = dict(zip(outside, inputs))
        typed = dict(zip(riding, inputs[-1])) if riding else {}
        numbers = (*driver_plan.numbers[:-1], unsqueezed(places) if endless else places)
        values[driver_place] = driver_plan.formula(ARRAYS, *(values[place] for place in driver_plan.inputs), *numbers)
        for place, plan in rest:
            value = plan.formula(ARRAYS, *(values[one] for one in plan.inputs), *typed.get(place, plan.numbers))
            values[place] = undefined_as_a_whole(value)
        return values[target_place]

    low, high, _ = driver_range(driver, step_of)
    return run, outside, riding, (low, high)


def locus_plan(
    step: SeenStep, step_of: Callable[[str], Any], place_of: Callable[[str], int], make_plan: Callable[[Any], Any]
) -> tuple[Callable[..., Any], tuple[int, ...], tuple[int, ...]]:
    """How a locus of a point is computed; see ``plan.make_plan``."""
    run, outside, riding, (low, high) = _prepared(step, "tracer", step_of, place_of, make_plan)
    return _floats_only(lambda inputs: Locus(run, inputs, low, high)), outside, riding


def envelope_plan(
    step: SeenStep, step_of: Callable[[str], Any], place_of: Callable[[str], int], make_plan: Callable[[Any], Any]
) -> tuple[Callable[..., Any], tuple[int, ...], tuple[int, ...]]:
    """How the envelope of a line or a circle is computed: where it meets its neighbour, as that comes ever nearer."""
    run, outside, riding, (low, high) = _prepared(step, "curve", step_of, place_of, make_plan)
    small = _SMALL * (high - low)
    if step_of(step.fills["curve"][0]).makes != CIRCLE:
        return (
            _floats_only(lambda inputs: Locus(lambda places, given: _line_envelope(run, places, given, small), inputs, low, high)),
            outside,
            riding,
        )

    def sides(places, inputs):
        # One side of the envelope comes after the other, as if the driver ran its range twice.
        other = places > high
        return _circle_envelope(run, np.where(other, places - (high - low), places), inputs, small, other, places == high)

    return _floats_only(lambda inputs: Locus(sides, inputs, low, 2 * high - low)), outside, riding


def _floats_only(make):
    def formula(m, *inputs):
        if m is not FLOATS:
            raise Undefined("a locus is computed for one position of the figure at a time")
        return make(inputs)

    return formula


def _line_envelope(run, places, inputs, small):
    """With a line as a x + b y = c, the point where also a' x + b' y = c', the slopes as the driver runs."""
    before, here, after = (_normal(run(places + shift, inputs)) for shift in (-small, 0.0, small))
    a, b, c = here
    da, db, dc = (p - q for p, q in zip(after, before))
    cross = a * db - b * da
    cross = np.where(np.abs(cross) < 1e-9 * small, np.nan, cross)
    return (c * db - b * dc) / cross, (a * dc - c * da) / cross


def _normal(straight):
    px, py, dx, dy = straight[:4]
    size = np.hypot(dx, dy)
    a, b = -dy / size, dx / size
    return a, b, a * px + b * py


def _circle_envelope(run, places, inputs, small, other, seam):
    """Where a circle meets the line in which its centre's slope and its radius's say that its neighbour does."""
    (x, y, square), before, after = (run(places + shift, inputs)[:3] for shift in (0.0, -small, small))
    vx, vy = (after[0] - before[0]) / 2, (after[1] - before[1]) / 2
    radius = np.sqrt(square)
    grows = (np.sqrt(after[2]) - np.sqrt(before[2])) / 2
    speed = np.hypot(vx, vy)
    along = -grows / speed
    across = np.sqrt(np.where(along * along > 1, np.nan, 1 - along * along)) * np.where(other, -1, 1)
    across = np.where(seam, np.nan, across)
    ux, uy = vx / speed, vy / speed
    return x + radius * (along * ux - across * uy), y + radius * (along * uy + across * ux)


def conic_of(m: Arithmetic, locus: Any) -> Conic:
    """The conic that a locus is; undefined where it is none.

    The equation is fitted to points of the locus, brought to about the size of 1 first; how far they stray from the
    best one tells whether it is one.
    """
    if m is not FLOATS:
        raise Undefined("a locus is computed for one position of the figure at a time")
    x, y = locus.at(np.linspace(locus.low, locus.high, 160))
    near = np.isfinite(x) & np.isfinite(y)
    if near.sum() >= 12:
        middle = np.median(np.abs(x[near])) + np.median(np.abs(y[near])) + 1
        near &= (np.abs(x) < 30 * middle) & (np.abs(y) < 30 * middle)
    if near.sum() < 12:
        raise Undefined("too little of the locus is there")
    x, y = x[near], y[near]
    cx, cy, size = x.mean(), y.mean(), hypot(x.std(), y.std())
    if not size > 0:
        raise Undefined("the locus is one point")
    u, v = (x - cx) / size, (y - cy) / size
    matrix = np.stack((u * u, u * v, v * v, u, v, np.ones_like(u)), axis=1)
    matrix /= np.linalg.norm(matrix, axis=1, keepdims=True)
    _, strays, rows = np.linalg.svd(matrix, full_matrices=False)
    if strays[-1] > 1e-6 * strays[0] or strays[-2] < 1e-6 * strays[0]:
        raise Undefined("the locus is no conic")
    a, b, c, d, e, f = map(float, rows[-1])
    fx, fy, ux, uy, latus = from_coefficients(FLOATS, a, b, c, d, e, f, towards=(float(u[0]), float(v[0])))
    return float(cx + size * fx), float(cy + size * fy), ux, uy, float(latus * size)
