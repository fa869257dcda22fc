"""Shaken copies of a figure: its pegs moved at random, to see what holds and what only looks so."""

from typing import Any

from ..arithmetic import ARRAYS
from ..arithmetic.late import np
from ..formulas import measures
from ..kinds import CONIC, STRAIGHTS
from ..seen import SeenBoard


def random_numbers() -> Any:
    """A source of random numbers for :func:`shaken_numbers`."""
    return np.random.default_rng()


def span(board: SeenBoard) -> float:
    """How far the figure reaches, in board units: the wider side of the box round its points, or of the view."""
    places = [value for step, value in zip(board.steps, board.values) if step.makes == "point" and value is not None]
    if len(places) < 2:
        left, low, right, high = board.settings.view
        return max(right - left, high - low) / 3
    xs, ys = zip(*places)
    return max(max(xs) - min(xs), max(ys) - min(ys), 1e-6)


def shaken_numbers(board: SeenBoard, random: Any, reach: float, copies: int | None = None) -> dict[str, tuple[Any, ...]]:
    """The numbers of every peg, moved at random.

    Args:
        random: a NumPy generator.
        reach: how far a free point goes, about, in board units.
        copies: how many at once, as arrays; None for one copy in plain numbers.

    Returns:
        The numbers by id, for ``Board.evaluate`` or ``Board.move``. Locked points stay.
    """
    numbers: dict[str, tuple[Any, ...]] = {}
    for step in board.steps:
        if step.moves == "free":
            x, y = step.fills["at"]
            dx, dy = random.normal(0, reach, (2, copies)) if copies else random.normal(0, reach, 2).tolist()
            numbers[step.id] = (x + dx, y + dy)
        elif step.moves == "sliding":
            kind = board.kind_of(step.fills["path"][0])
            room = 40.0 if kind in ("circle", CONIC) else 0.2
            numbers[step.id] = (step.fills["place"] + (random.normal(0, room, copies) if copies else float(random.normal(0, room))),)
    return numbers


def shaken(board: SeenBoard, copies: int = 24, seed: int = 1, share: float = 0.06) -> dict[str, Any]:
    """The values of every step in shaken copies, as arrays by id.

    Args:
        share: how far free points go, as a share of the figure's reach.
    """
    random = np.random.default_rng(seed)
    with np.errstate(all="ignore"):
        return board.evaluate(ARRAYS, shaken_numbers(board, random, share * span(board), copies))


def always(numbers: Any, tolerance: float) -> bool:
    """Whether an array is as good as zero in every copy that has a value, and some copy has one."""
    numbers = np.abs(np.asarray(numbers, dtype=float))
    known = numbers[np.isfinite(numbers)]
    return bool(len(known)) and bool((known <= tolerance).all())


def distance_from(kind: str, value: Any, point: Any) -> Any:
    """How far points are from paths, in arrays; from the whole line where a path is straight."""
    x, y = point
    if kind in STRAIGHTS:
        return measures.distance_to_line(ARRAYS, point, value)
    if kind == CONIC:
        fx, fy, ux, uy, latus = value
        return np.abs(np.hypot(x - fx, y - fy) - np.abs(ux * (x - fx) + uy * (y - fy) + latus))
    return np.abs(np.hypot(x - value[0], y - value[1]) - np.sqrt(value[2]))
