"""What an edit changed, to be applied, reverted, saved and applied again."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from ..board.board import Board
from ..board.chalk import Stroke, stroke_from_json, stroke_to_json
from ..board.codec import settings_from_json, settings_to_json, step_from_json, step_to_json
from ..board.settings import Settings
from ..refusal import Refusal


@dataclass(frozen=True)
class Patch:
    """What an edit changed: the steps as they were and as they are, each with its place, the settings, and the
    strokes of chalk.

    ``words`` says it to a person: "Deleted A, and with it AB". ``key`` is what whoever asked for it knows it by, where they do.
    """

    words: str
    before: tuple = ()
    after: tuple = ()
    settings_before: Settings | None = None
    settings_after: Settings | None = None
    chalk_before: tuple[Stroke, ...] = ()
    chalk_after: tuple[Stroke, ...] = ()
    key: str = ""

    def reversed(self) -> "Patch":
        """The patch that takes this one back."""
        return Patch(self.words, self.after, self.before, self.settings_after, self.settings_before, self.chalk_after, self.chalk_before)

    def apply(self, board: Board) -> None:
        """Make the change on a board that is in the state the patch was made for. Whatever is raised, nothing has changed."""
        if self.before or self.after:
            gone = {step.id for _, step in self.before}
            steps = [step for step in board.steps if step.id not in gone]
            for place, step in sorted(self.after, key=lambda pair: pair[0]):
                steps.insert(place, step)
            board.become(steps)
        if self.settings_after:
            board.settings = self.settings_after
        if self.chalk_before or self.chalk_after:
            gone = {stroke.id for stroke in self.chalk_before}
            left = (stroke for stroke in board.chalk if stroke.id not in gone)
            board.chalk = tuple(sorted((*left, *self.chalk_after), key=lambda stroke: int(stroke.id[1:])))

    @property
    def only_moves(self) -> bool:
        """Whether everything stays what it is, called as it is and looking as it does, and is elsewhere."""
        rest = (self.settings_before, self.settings_after, *self.chalk_before, *self.chalk_after)
        return (
            not any(rest)
            and len(self.before) == len(self.after)
            and all(
                place == other_place and step.is_but_for_place(other)
                for (place, step), (other_place, other) in zip(self.before, self.after, strict=True)
            )
        )

    def ids(self) -> set[str]:
        """The ids of all steps that it touches."""
        return {step.id for _, step in (*self.before, *self.after)}

    def to_json(self) -> dict[str, Any]:
        data: dict[str, Any] = {"words": self.words, **({"key": self.key} if self.key else {})}
        for part in ("before", "after"):
            data[part] = [[place, step_to_json(step)] for place, step in getattr(self, part)]
            settings = getattr(self, "settings_" + part)
            data["settings_" + part] = settings_to_json(settings) if settings else None
            if chalk := getattr(self, "chalk_" + part):
                data["chalk_" + part] = [stroke_to_json(stroke) for stroke in chalk]
        return data

    @classmethod
    def from_json(cls, data: Any) -> "Patch":
        parts: dict[str, Any] = {}
        for part in ("before", "after"):
            parts[part] = tuple((place, step_from_json(step)) for place, step in data[part])
            settings = data["settings_" + part]
            parts["settings_" + part] = settings_from_json(settings) if settings else None
            parts["chalk_" + part] = tuple(map(stroke_from_json, data.get("chalk_" + part, ())))
        return cls(data["words"], **parts, key=data.get("key", ""))


def known(board: Board, ids: Sequence[str]) -> Sequence[str]:
    for id in ids:
        if id not in board:
            raise Refusal("That thing is no longer on the board.")
    return ids


def replacing(board: Board, words: str, steps: Sequence[Any]) -> Patch:
    """The patch that puts these in the places of the steps with the same ids."""
    return Patch(
        words,
        tuple((board.place(step.id), board.step(step.id)) for step in steps),
        tuple((board.place(step.id), step) for step in steps),
    )
