"""Chalk: strokes drawn freely over a board, for thinking aloud. They are no part of the construction."""

from dataclasses import dataclass
from typing import Any


@dataclass(frozen=True)
class Stroke:
    """A stroke of chalk.

    Attributes:
        id: of its own, such as "c3".
        pen: the name of a pen.
        width: in pixels, as lines have.
        points: places along it, board units, as x, y, x, y …
        presses: how hard it was pressed at each of them, from 0 to 1; empty where that is not known.
    """

    id: str
    pen: str
    width: float
    points: tuple[float, ...]
    presses: tuple[float, ...] = ()


def stroke_to_json(stroke: Stroke) -> dict[str, Any]:
    """A stroke as JSON."""
    data = {"id": stroke.id, "pen": stroke.pen, "width": stroke.width, "points": list(stroke.points)}
    return {**data, "presses": list(stroke.presses)} if stroke.presses else data


def stroke_from_json(data: Any) -> Stroke:
    """The reverse, for data that was checked."""
    return Stroke(data["id"], data["pen"], data["width"], tuple(data["points"]), tuple(data.get("presses") or ()))
