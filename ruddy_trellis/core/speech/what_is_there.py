"""What is there on the board of a sentence, as things are spoken of: by their ends, by what lies on them, the only one, the last ones."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass, field
from typing import Any

from ..board.board import Board
from ..kinds import CIRCLE, POLYGON, STRAIGHTS, join
from ..language import names as spelling
from ..refusal import Refusal


@dataclass
class Recent:
    """What was spoken of last, for "it", "the circle" and the like; the latest last. ``now`` is what this sentence speaks of."""

    ids: list[str] = field(default_factory=list)
    now: set[str] = field(default_factory=set)

    def note(self, ids: Iterable[str]) -> None:
        for id in ids:
            if id in self.ids:
                self.ids.remove(id)
            self.ids.append(id)
            self.now.add(id)


class WhatIsThere:
    """The things of a board, with what was made on it.

    Args:
        board: as it was.
        ahead: the same with what was made.
        recent: the ids of what was spoken of before, the latest last.

    Attributes:
        guesses: what was guessed, in words.
    """

    def __init__(self, board: Board, ahead: Board, recent: Sequence[str]) -> None:
        self.board, self.ahead = board, ahead
        self.recent = Recent([id for id in recent if id in board])
        self.guesses: list[str] = []

    def now(self, id: str) -> Any:
        """The value of a thing as it is drawn: where it is, how large. Raises Refusal where it has none just now."""
        value = self.ahead.value(id)
        if value is None:
            # What a helper has lost its place by is told, which somebody sees.
            lost = [one for one in (*self.ahead.ancestors([id]), id) if self.ahead.value(one) is None]
            seen = [one for one in lost if not self.ahead.step(one).look.hidden] or lost
            raise Refusal(f"{self.ahead.name(seen[0])} is not there as it is drawn now. Drag things until it is, and say that again.")
        return value

    def has(self, name: str) -> bool:
        return bool(self.ahead.ids_named(spelling.tidy(name)))

    def ends(self, id: str) -> tuple[str, str]:
        """The two points that a straight thing was made through. Raises Refusal where it was made otherwise."""
        fills = self.ahead.step(id).fills
        if len(fills.get("from", ())) != 1 or len(fills.get("to", ())) != 1:
            raise Refusal(f"{self.ahead.name(id)} was not drawn through two points. Name two points.")
        return fills["from"][0], fills["to"][0]

    def straight_between(self, *ends: str, kinds: Sequence[str] = STRAIGHTS) -> str | None:
        """The straight thing through two points that is there, the shown ones first; None where there is none."""
        a, b = ends
        found = []
        for step in self.ahead.steps:
            if step.makes not in kinds:
                continue
            if step.does in ("segment", "line", "ray", "vector", "altitude", "median"):
                if {*step.fills.get("from", ()), *step.fills.get("to", ())} == {a, b}:
                    found.append(step.id)
        return next((id for id in found if not self.ahead.step(id).look.hidden), found[0] if found else None)

    def line_on(self, a: str, b: str) -> str | None:
        """A straight thing on which two points lie by construction; None where there is none."""
        for step in self.ahead.steps:
            if step.makes in STRAIGHTS and {a, b} <= set(self.points_on(step.id)):
                return step.id
        return None

    def points_on(self, id: str) -> list[str]:
        """The points that lie on a path by construction, in the order of the board."""
        return sorted(self.ahead.incidence.get(id, ()), key=self.ahead.place)

    def cyclic_ring(self) -> tuple[str, ...]:
        """The corners of the one polygon that was made with its corners on a circle, where this circle is not drawn; else none."""
        circles = [set(self.points_on(id)) for id in self.of_kind(CIRCLE, hidden=True)]
        rings = [tuple(self.ahead.step(id).fills.get("corners", ())) for id in self.of_kind(POLYGON)]
        found = [ring for ring in rings if len(ring) > 3 and any(set(ring) <= circle for circle in circles)]
        return found[0] if len(found) == 1 else ()

    def of_kind(self, *kinds: str, hidden: bool = False) -> list[str]:
        """The ids of all shown things of some kinds."""
        return [step.id for step in self.ahead.steps if step.makes in kinds and (hidden or not step.look.hidden)]

    def only(self, what: str, found: Sequence[str]) -> str:
        """The one of some things that is meant by "the circle": the only one, or the one that was spoken of last. Raises Refusal."""
        if not found:
            raise Refusal(f"There is no {what} here.")
        if len(found) == 1:
            return found[0]
        recent = [id for id in self.recent.ids if id in found]
        new = [id for id in recent if id not in self.board] or recent
        if not new:
            raise Refusal(
                f"Which {what} is meant: {join([self.ahead.name(id) for id in found[:6]], last='or')}?",
            )
        self.guesses.append(f"“the {what}” as {self.ahead.name(new[-1])}")
        return new[-1]

    def triangles(self) -> list[tuple[str, ...]]:
        """The corners of the triangles that are there, or of the only three free points."""
        found = [
            tuple(step.fills["corners"]) for step in self.ahead.steps if step.makes == POLYGON and len(step.fills.get("corners", ())) == 3
        ]
        if found or any(step.makes == POLYGON for step in self.ahead.steps):
            return list(dict.fromkeys(found))
        points = [step.id for step in self.ahead.steps if step.does == "free_point"]
        return [tuple(points)] if len(points) == 3 else []

    def triangle(self) -> tuple[str, ...]:
        """The corners of the triangle that is meant where none is named. Raises Refusal."""
        found = self.triangles()
        if not found:
            raise Refusal("There is no triangle here. Name its corners: triangle ABC.")
        return found[-1]

    def recent_of(self, found: Sequence[str], count: int) -> list[str]:
        """So many of some things, those that were spoken of last."""
        late = [id for id in self.recent.ids if id in found]
        return (late or list(found))[-count:]

    def is_image(self, id: str) -> bool:
        """Whether a thing was made as the image of another one."""
        step = self.ahead.step(id)
        if step.makes == POLYGON and step.does == "polygon":
            return all(map(self.is_image, step.fills["corners"]))
        does = step.does
        return does in ("mirrored", "turned") or does.startswith(("image_", "bent_", "inverted_"))

    def kind(self, id: str) -> str:
        return self.ahead.kind_of(id)
