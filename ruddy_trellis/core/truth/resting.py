"""What a claim rests on: each tie of its figure is loosened in turn, and those without which it fails are told."""

from dataclasses import dataclass
from typing import Any

from ..board.board import Board
from ..board.step import Step
from ..kinds import CIRCLE, POINT, STRAIGHTS
from ..language.printing import sentence
from .claimed import Claimed
from .supposing import suppositions_of
from .trying import tried


@dataclass(frozen=True)
class Tie:
    """A step without whose tie the claim fails: its id, and its sentence."""

    id: str
    words: str


def rests_on(board: Board, id: str) -> list[Tie]:
    """The ties on which a claim that holds rests, in the order of the board. A tie is loosened by putting a free thing in the place
    of what was made: a free point, a line through two, a circle about one through another. Suppositions are ties where it needs any."""
    claimed = Claimed(board, id)
    supposed = suppositions_of(board, id) if tried(claimed, seed=2).breaking is not None else []
    claimed = Claimed(board, id, supposed=supposed)
    found = []
    for step in claimed.board.steps:
        if step.id in supposed:
            others = [one for one in supposed if one != step.id]
            fails = tried(Claimed(board, id, supposed=others), seed=2).breaking is not None
        else:
            loose = _loosened(claimed.board, board.step(id), step)
            fails = loose is not None and tried(Claimed(loose, id, supposed=supposed), seed=2).breaking is not None
        if fails:
            found.append(Tie(step.id, sentence(board, step.id)))
    return found


def _loosened(board: Board, claim: Step, step: Step) -> Board | None:
    """The figure with one step made free; None for what is free, what is made of free points only, or cannot be loosened."""
    value = board.value(step.id)
    if value is None or step.construction.moves == "free":
        return None
    if step.makes == POINT:
        made = [Step(step.id, "free_point", {"at": tuple(map(float, value))}, step.name)]
    elif step.makes in STRAIGHTS and step.does not in ("segment", "line", "ray", "vector"):
        x, y, dx, dy = map(float, value[:4])
        made = [
            *_two(step, (x, y), (x + dx, y + dy)),
            Step(step.id, "line", {"from": (f"{step.id}.a",), "to": (f"{step.id}.b",)}, step.name),
        ]
    elif step.makes == CIRCLE and step.does not in ("circle",):
        x, y, square = map(float, value)
        made = [
            *_two(step, (x, y), (x + square**0.5, y)),
            Step(step.id, "circle", {"centre": (f"{step.id}.a",), "point": (f"{step.id}.b",)}, step.name),
        ]
    else:
        return None
    steps: list[Any] = []
    for other in (*board.steps, claim):
        steps += made if other.id == step.id else [other]
    return Board(board.settings, steps)


def _two(step: Step, *places: tuple[float, float]) -> list[Step]:
    return [Step(f"{step.id}.{letter}", "free_point", {"at": at}, f"{step.id}{letter}") for letter, at in zip("ab", places)]
