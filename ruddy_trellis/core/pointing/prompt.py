"""A sentence being filled by clicks: which gap a click fills, what it says before, what it makes in the end."""

import re
from dataclasses import dataclass, field
from typing import Any

from ..board.board import Board
from ..board.plan import kinds_of_fills
from ..catalogue import CATALOGUE, Construction
from ..catalogue.construction import Gap
from ..catalogue.crossings import crossing_choices
from ..edits.models import Add, NewStep, Retie
from ..kinds import POINT
from ..language.fills import fill_from_json, fill_to_json, is_ids
from ..language.reading import read_fill
from ..language.stretches import things_named
from ..refusal import Refusal
from ..seen import Place
from .picking import NewPoint, crossing_near

#: What is typed as words and kept so.
TEXTS = ("word", "equation", "values")
#: The tools that make a point by pointing at its place.
POINT_MAKERS = ("free_point", "point_on", "intersection")


@dataclass(frozen=True)
class Taking:
    """What a click would take: for which gap, what, and the words for it. ``closes`` ends a list of corners."""

    gap: str
    items: tuple
    words: str
    closes: bool = False


@dataclass
class Prompt:
    """A construction whose gaps are being filled.

    Attributes:
        construction: what is being made.
        filled: for each gap the items so far: ids, new points, or one typed value.
        last_at: where the last click was; it picks among crossings.
        retie: the step that is made anew by the sentence, or None for a new one.
        first: the name of the gap that is asked for before the others, where a person chose it.
    """

    construction: Construction
    filled: dict = field(default_factory=dict)
    last_at: tuple | None = None
    closed: bool = False
    order: list = field(default_factory=list)
    retie: str | None = None
    first: str | None = None

    @classmethod
    def of(cls, key: str, retie: str | None = None) -> "Prompt":
        """The prompt of a construction, nothing filled. Raises Refusal for an unknown key.

        Args:
            retie: the id of a step that is to be made in this way, instead of a new one.
        """
        if key not in CATALOGUE:
            raise Refusal(f"There is no tool called “{key[:40]}”.")
        return cls(CATALOGUE[key], retie=retie)

    def told(self) -> dict[str, Any]:
        """The prompt as JSON, for a hand elsewhere that shall have the same."""
        return {
            "key": self.construction.key,
            "filled": {gap: [_item_to_json(item) for item in items] for gap, items in self.filled.items()},
            "last_at": self.last_at, "closed": self.closed, "order": self.order, "retie": self.retie, "first": self.first,
        }  # fmt: skip

    @classmethod
    def of_told(cls, data: Any) -> "Prompt":
        """The reverse of :meth:`told`. Raises Refusal for a tool that is not known here."""
        prompt = cls.of(data["key"], data["retie"])
        prompt.filled = {gap: [_item_from_json(item) for item in items] for gap, items in data["filled"].items()}
        prompt.last_at = tuple(data["last_at"]) if data["last_at"] else None
        prompt.closed, prompt.first = data["closed"], data["first"]
        prompt.order = [(gap, count) for gap, count in data["order"]]
        return prompt

    # What is filled -----------------------------------------------------------------------------------------

    def is_full(self, gap: Gap, board: Board) -> bool:
        """Whether a gap needs nothing more."""
        items = self.filled.get(gap.name, [])
        if not items:
            return False
        if not isinstance(items[0], (str, NewPoint)) or gap.kind.literal in TEXTS:
            return True
        if is_list(gap):
            return self.closed
        if len(items) == 1 and kind_of_item(items[0], board) in gap.kind.single:
            return True
        return len(items) == gap.kind.points

    def open_gaps(self, board: Board) -> list[Gap]:
        """The gaps that a person is still asked for: the one that was chosen to be first, then in the order of the sentence."""
        left = [gap for gap in self.asked if not self.is_full(gap, board)]
        return sorted(left, key=lambda gap: gap.name != self.first)

    @property
    def asked(self) -> tuple[Gap, ...]:
        # A free point has only the gap that may be left out of its sentence: where it is.
        return self.construction.asked_gaps or self.construction.gaps

    def is_complete(self, board: Board) -> bool:
        return self._is_pointed() or not self.open_gaps(board)

    def new_points(self) -> list[NewPoint]:
        """The new points picked so far, in order."""
        return [item for items in self.filled.values() for item in items if isinstance(item, NewPoint)]

    def new_point_steps(self) -> list[NewStep]:
        """The steps that make the new points."""
        return [NewStep(does=point.does, fills=_json(point.fills)) for point in self.new_points()]

    def is_there(self, board: Board) -> bool:
        """Whether everything that was picked is still on the board, and so is what is made anew."""
        for name, items in self.filled.items():
            typed = self.construction.gap_by_name[name].kind.literal in TEXTS
            if not typed and any(isinstance(item, str) and item not in board for item in items):
                return False
        points = (id for point in self.new_points() for fill in point.fills.values() if is_ids(fill) for id in fill)
        return all(id in board for id in points) and (self.retie is None or self.retie in board)

    # Clicking -----------------------------------------------------------------------------------------------

    def take(self, taking: Taking, at: Place | None = None) -> None:
        """Fill a gap with what a click takes."""
        if taking.closes:
            self.closed = True
        else:
            self.filled.setdefault(taking.gap, []).extend(taking.items)
            self.order.append((taking.gap, len(taking.items)))
        self.last_at = at or self.last_at

    def ask(self, name: str) -> None:
        """Ask for a gap next, and let go what it was filled with. Raises Refusal where the sentence has no such gap."""
        if name not in (gap.name for gap in self.asked):
            raise Refusal("This sentence has no such gap.")
        if self.filled.pop(name, None):
            self.order = [pick for pick in self.order if pick[0] != name]
            self.closed = False
        self.first = name

    def drop_last(self) -> bool:
        """Take back the last pick. Returns whether there was one."""
        if not self.order:
            return False
        gap, count = self.order.pop()
        del self.filled[gap][-count:]
        if not self.filled[gap]:
            del self.filled[gap]
        return True

    def finish(self, board: Board) -> None:
        """End a list of corners. Raises Refusal where it is too short to end."""
        for gap in self.open_gaps(board):
            if is_list(gap):
                if len(self.filled.get(gap.name, [])) < (1 if gap.kind.several else 3):
                    raise Refusal(
                        "Pick at least one thing first." if gap.kind.several else "A polygon needs at least three corners; pick more."
                    )
                self.closed = True

    def type(self, text: str, board: Board) -> None:
        """Fill the next gap with what a person typed: a name, a number, coordinates, a formula.

        Raises:
            Refusal: where it does not fit.
        """
        numbers = text.replace(",", " ").split()
        typed = [gap for gap in self.open_gaps(board) if gap.kind.literal == "number"]
        if (
            len(numbers) > 1
            and len(typed) >= len(numbers)
            and typed == self.open_gaps(board)[: len(typed)]
            and all(map(_is_number, numbers))
        ):
            # Several numbers at once, for several gaps in a row: "0 360 1".
            for gap, number in zip(typed, numbers):
                self.take(Taking(gap.name, (read_fill(gap, number, board),), ""))
            return
        if self._type_into_list(text, board):
            return
        gap, fill = self._read(text.strip(), board)
        if gap.kind.literal == "coordinates":
            self.take(Taking(gap.name, (NewPoint("free_point", {"at": fill}, fill, ""),), ""))
            return
        if is_list(gap):
            self.closed = True
        self.take(Taking(gap.name, fill if isinstance(fill, tuple) else (fill,), ""))

    def _type_into_list(self, text: str, board: Board) -> bool:
        """Put one or two things into a list that goes on, as picking them does: the first corner again closes it. Returns
        whether that was meant."""
        gap = next(iter(self.open_gaps(board)), None)
        if gap is None or not is_list(gap):
            return False
        try:
            ids = things_named(text, board, takes_points=bool(gap.kind.points) or POINT in gap.kind.single)
        except Refusal:
            return False
        accepted = (*gap.kind.single, POINT) if gap.kind.points else gap.kind.single
        had = self.filled.get(gap.name, [])
        if len(ids) > 2 or any(board.kind_of(id) not in accepted for id in ids):
            return False
        if had and ids == [had[0]] and len(had) > 2:
            self.closed = True
            return True
        if any(id in had for id in ids):
            raise Refusal(f"{board.name(next(id for id in ids if id in had))} is picked already. Enter closes the list.")
        self.take(Taking(gap.name, tuple(ids), ""))
        return True

    def _read(self, text, board):
        """The first open gap that a typed text fits, and what it fills it with; the refusal of the first otherwise."""
        refusals = []
        for gap in self.open_gaps(board):
            try:
                return gap, read_fill(gap, text, board)
            except Refusal as refusal:
                refusals.append(refusal)
        raise refusals[0]

    # The result ---------------------------------------------------------------------------------------------

    def edit(self, board: Board) -> Add | Retie:
        """The edit that the filled sentence makes: its new points, then its own step."""
        made = self._adding(board)
        if self.retie is None:
            return made
        if len(made.steps) > 1:
            raise Refusal(f"{board.name(self.retie)} is made anew from what is there; make new points first.")
        return Retie(id=self.retie, does=made.steps[0].does, fills=made.steps[0].fills)

    def _adding(self, board):
        new_points, steps = self.new_points(), self.new_point_steps()
        if self._is_pointed():
            return Add(steps=steps)
        fills = {}
        for gap in self.construction.gaps:
            if items := self.filled.get(gap.name):
                ids = tuple(f"new:{new_points.index(item)}" if isinstance(item, NewPoint) else item for item in items)
                things = isinstance(ids[0], str) and gap.kind.literal not in TEXTS
                fills[gap.name] = ids if things else items[0]
        does = self.construction.key
        if does == "intersection" and not new_points and self.last_at:
            crossing = crossing_near(board, fills["a"], fills["b"], self.last_at)
            if crossing is None:
                kinds = kinds_of_fills(self.construction, fills, board.kind_of)
                fills = {**fills, **crossing_choices(kinds)[0]}
            else:
                does, fills = crossing.does, crossing.fills
        return Add(steps=[*steps, NewStep(does=does, fills=_json(fills))])

    def _is_pointed(self):
        """Whether the one click of a tool that makes a point by pointing has been made."""
        return self.construction.key in POINT_MAKERS and len(self.order) == 1 and len(self.new_points()) == 1

    def with_taking(self, taking: Taking, at: Place) -> "Prompt":
        """A copy in which the taking is taken: to look ahead."""
        copy = Prompt(
            self.construction,
            {gap: list(items) for gap, items in self.filled.items()},
            self.last_at,
            self.closed,
            list(self.order),
            self.retie,
            self.first,
        )
        copy.take(taking, at)
        if self.asked and self.asked[0].kind.points < 0 and not taking.closes and len(copy.filled[taking.gap]) >= 3:
            copy.closed = True
        return copy


def _json(fills):
    return {name: fill_to_json(fill) for name, fill in fills.items()}


def _item_to_json(item):
    if isinstance(item, NewPoint):
        return {"does": item.does, "fills": _json(item.fills), "at": list(item.at), "words": item.words}
    return {"value": fill_to_json(item)}


def _item_from_json(data):
    if "value" in data:
        return fill_from_json(data["value"])
    fills = {name: fill_from_json(fill) for name, fill in data["fills"].items()}
    return NewPoint(data["does"], fills, tuple(data["at"]), data["words"])


def is_list(gap: Gap) -> bool:
    """Whether one thing after another goes into a gap until a person says that they are all."""
    return gap.kind.points < 0 or gap.kind.several


def _is_number(text):
    return bool(re.fullmatch(r"[-−+]?(\d+\.?\d*|\.\d+)", text))


def kind_of_item(item: Any, board: Board) -> str:
    """The kind of a thing that was picked, one that is there or a new point."""
    return POINT if isinstance(item, NewPoint) else board.kind_of(item)
