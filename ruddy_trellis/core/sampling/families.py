"""Families: one figure under a transformation again and again, or for each value of the transformation's number."""

import re
from collections.abc import Callable
from typing import Any, cast

from ..arithmetic import ARRAYS, FLOATS, Undefined
from ..arithmetic.late import np
from ..formulas import transformations
from ..formulas.values import Map
from ..refusal import Refusal
from ..seen import Fills, SeenBoard, SeenStep

MOST = 500
_TIMES = re.compile(r"(\d+) times?")
_STRETCH = re.compile(r"for (\S+) to (\S+) step (\S+)")
_WANTED = "Say how often, “7 times”, or for which values: “for 0.5, 1, 1.5”, “for 30 to 330 step 30”."


def read_values(text: str) -> int | list[float]:
    """What a family is made for: a whole number of times, or a list of values.

    Raises:
        Refusal: where the text is neither.
    """
    text = " ".join(text.replace("−", "-").split())
    if found := _TIMES.fullmatch(text):
        times = int(found[1])
        if not 1 <= times <= MOST:
            raise Refusal(f"A family has from 1 to {MOST} members.")
        return times
    try:
        if found := _STRETCH.fullmatch(text):
            start, end, step = map(float, found.groups())
            count = int(np.floor((end - start) / step + 1e-9)) + 1 if step else 0
            values = [start + number * step for number in range(count)] if 0 < count <= MOST else []
        elif text.startswith("for "):
            values = [float(part) for part in re.split(r"\s*[,;]\s*|\s+and\s+", text[4:])]
        else:
            values = []
    except (ValueError, OverflowError):
        raise Refusal(f"“{text[:40]}” does not fit. {_WANTED}") from None
    if not values or len(values) > MOST or not np.isfinite(values).all():
        raise Refusal(f"“{text[:40]}” does not fit. {_WANTED} At most {MOST} members.")
    return values


def check_values(fills: Fills, board: SeenBoard) -> None:
    """The check of a family's own typed words. Raises Refusal where they do not go with its transformation."""
    _driven_gap(board.step(fills["by"][0]), read_values(fills["values"]))


def _driven_gap(map_step, values):
    """The gap of a transformation that goes through the values; None for so many times, and for a translation, which is
    taken in parts of it. Raises Refusal where it has no number to go through them."""
    if isinstance(values, int):
        return None
    gap = next((gap for gap in reversed(map_step.construction.gaps) if gap.kind.literal == "number"), None)
    if gap is None and not map_step.does.startswith("translation"):
        raise Refusal(f"That transformation has no number to go through values. {_WANTED}")
    return gap


def family_plan(
    step: SeenStep, step_of: Callable[[str], Any], place_of: Callable[[str], int], make_plan: Callable[[Any], Any]
) -> tuple[Callable[..., Any], tuple[int, ...], tuple[int, ...]]:
    """How a family is computed: all its maps at once, as six arrays.

    Args:
        step: the family's step.
        step_of: a function from an id to its step.
        place_of: a function from an id to its place among the board's values.
        make_plan: a function from a step to its plan.

    Returns:
        A formula, the places of its inputs, the places of steps whose typed numbers it gets besides.
    """
    things = tuple(map(place_of, step.fills["of"]))
    map_step = step_of(step.fills["by"][0])
    values = read_values(step.fills["values"])
    gap = _driven_gap(map_step, values)
    if isinstance(values, int):
        return _skipping(len(things), lambda map: _powers(map, values)), (*things, place_of(map_step.id)), ()
    array = np.asarray(values)
    if gap is None:
        return (
            _skipping(len(things), lambda map: (1.0, 0.0, 0.0, 1.0, map[4] * array, map[5] * array)),
            (*things, place_of(map_step.id)),
            (),
        )
    plan = make_plan(map_step.with_(fills={**map_step.fills, gap.name: 0.0}))
    before = plan.numbers[:-1]
    if gap.kind_name == "number" and map_step.does == "repeated":
        # How often something is done decides how many steps it takes, so that each value is computed by itself.
        def run(*inputs):
            return np.asarray([plan.formula(FLOATS, *inputs, *before, value) for value in values], dtype=float).T
    else:

        def run(*inputs):
            return plan.formula(ARRAYS, *inputs, *before, array)

    return _skipping(len(things), run), (*things, *plan.inputs), ()


def _skipping(count, formula):
    """The formula of a family: the things it repeats come first among its inputs, and only the maps are computed."""

    def run(m, *arguments):
        if m is not FLOATS:
            raise Undefined("a family is computed for one position of the figure at a time")
        with np.errstate(all="ignore"):
            parts = np.broadcast_arrays(*map(np.asarray, formula(*arguments[count:])))
        found = np.stack(parts, axis=-1).astype(float).reshape(-1, 6)
        if not np.isfinite(found).all():
            raise Undefined("a member of the family is nowhere")
        return Maps(found)

    return run


class Maps:
    """The maps of a family: an array with a row of six numbers for each member. Equal where the numbers are."""

    __slots__ = ("rows",)

    def __init__(self, rows: Any) -> None:
        self.rows = rows

    def __eq__(self, other):
        return isinstance(other, Maps) and np.array_equal(self.rows, other.rows)

    def __len__(self):
        return len(self.rows)


def _powers(map, times):
    """A map done once, twice … as arrays, by doubling what is there: few products, each of many members at once."""
    rows = np.asarray(map, dtype=float).reshape(1, 6)
    while len(rows) < times:
        last = tuple(rows[-1])
        more = np.stack(np.broadcast_arrays(*transformations.composition(ARRAYS, cast(Map, tuple(rows.T)), last)), axis=-1)
        rows = np.concatenate((rows, more))
    return tuple(rows[:times].T)
