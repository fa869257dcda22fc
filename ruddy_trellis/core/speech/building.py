"""What a sentence puts on a board, step by step on a copy, and taken back where a way to take the sentence leads nowhere."""

from __future__ import annotations

import math
from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass
from typing import Any

from ..board.board import Board
from ..board.pegs import numbers_of
from ..catalogue import CATALOGUE
from ..edits.adding import new_step_ids, new_steps
from ..edits.models import NewStep
from ..kinds import CIRCLE, POINT, POLYGON, STRAIGHTS, SUPPOSITION, with_article, word
from ..language import names as spelling
from ..language.fills import fill_from_json, fill_to_json, is_ids, with_ids
from ..language.printing import claim_words
from ..refusal import Refusal
from ..seen import Place
from .placing import places
from .refusals import Final, NotThere
from .what_is_there import WhatIsThere

#: How many steps a text makes at most, and how many are tried on the way.
_MOST, _STEPS = 50, 1500


@dataclass(frozen=True)
class Mark:
    """How far a building had come."""

    steps: int
    new: int
    acts: int
    guesses: int
    changed: int
    recent: tuple[str, ...]
    now: frozenset[str]


@dataclass(frozen=True)
class Done:
    """What was done since a mark; ``changes`` is whether what was made before was changed as well."""

    steps: list[Any]
    new: list[NewStep]
    acts: list[Any]
    guesses: list[str]
    recent: list[str]
    now: frozenset[str]
    there: list[str]
    made_by: dict[str, int]
    changes: bool


class Building(WhatIsThere):
    """A copy of a board on which sentences are carried out.

    Attributes:
        board: the board as it was; ``ahead`` the copy with what was made.
        new: the steps to add, with "new:0" for the first of them and so on.
        acts: edits besides, in their order, as functions of the board ahead (see ``verbs``).
        recent: what was spoken of.
        guesses: what was guessed, in words.
        makes: whether points that are named and not there may be made.
    """

    def __init__(self, board: Board, recent: Sequence[str] = ()) -> None:
        super().__init__(board, board.copy(), recent)
        self.new: list[NewStep] = []
        self.acts: list[Any] = []
        self.makes = False
        #: Names that the sentence uses, which no automatic name may take; what the clause before made; what a sentence speaks of that
        #: is there already.
        self.reserved: set[str] = set()
        #: The points on the board at first that the sentence names.
        self.mentioned: set[str] = set()
        self.last_group: set[str] = set()
        self.there: list[str] = []
        self._made_by: dict[str, int] = {}
        self._left = _STEPS
        self.made_from = 0  # how deep in phrases that something else is made from, or that an act is about
        #: What takes back changes of new steps after they were made: other names, other places.
        self._changed: list[Callable[[], None]] = []
        #: What asks more of the places of new points, by their names.
        self.wishes: dict[str, Callable[[Place], bool]] = {}

    # Back and forth.

    def mark(self) -> Mark:
        recent = self.recent
        return Mark(
            len(self.ahead), len(self.new), len(self.acts), len(self.guesses), len(self._changed), tuple(recent.ids), frozenset(recent.now)
        )  # fmt: skip

    def back_to(self, mark: Mark) -> None:
        """Forget what was made since, and what was changed of what was made before."""
        while len(self._changed) > mark.changed:
            self._changed.pop()()
        if len(self.ahead) > mark.steps:
            self.ahead.become(self.ahead.steps[: mark.steps])
        del self.new[mark.new :], self.acts[mark.acts :], self.guesses[mark.guesses :]
        self.recent.ids, self.recent.now = list(mark.recent), set(mark.now)
        self.there = []

    def since(self, mark: Mark) -> Done:
        """What was done since, to be done again by ``again`` after going back."""
        steps = self.ahead.steps[mark.steps :]
        made_by = {step.id: self._made_by[step.id] for step in steps if step.id in self._made_by}
        return Done(
            list(steps), self.new[mark.new :], self.acts[mark.acts :], self.guesses[mark.guesses :], list(self.recent.ids),
            frozenset(self.recent.now), self.there,
            made_by,
            len(self._changed) > mark.changed,
        )  # fmt: skip

    def again(self, done: Done) -> None:
        """Do once more what was done since a mark, to which was gone back."""
        for step in done.steps:
            self.ahead.append(step)
        self.new += done.new
        self.acts += done.acts
        self.guesses += done.guesses
        self.recent.ids, self.recent.now, self.there = list(done.recent), set(done.now), list(done.there)
        self._made_by |= done.made_by

    def act(self, edit: Any) -> None:
        """Note an edit that is to follow what is made."""
        self.acts.append(edit)

    def suppose(self, key: str, fills: Mapping[str, Any]) -> None:
        """Suppose something of what is there or was just made; new free points are put where it is met. Nothing speaks of it later."""
        key = f"suppose_{key}"
        if self.ahead.alike(key, fills):
            return
        recent = list(self.recent.ids)
        (id,) = self._put(key, fills, None, False)
        self.recent.ids = recent
        self.settle(id)
        if not self._is_met(id):
            self.guesses.append(f"{claim_words(self.ahead, id)} is supposed, and is not so now")

    def _is_met(self, id: str) -> bool:
        """Whether a thing has a value, and if it is a supposition, one that says that it is so."""
        value = self.ahead.value(id)
        return value is not None and (self.kind(id) != SUPPOSITION or value[0] == 0)

    def rename_new(self, id: str, name: str) -> bool:
        """Give a thing that this sentence makes by itself another name. Returns whether it is such a thing."""
        if id not in self._made_by or self._made_by[id] >= len(self.new):
            return False
        number = self._made_by[id]
        if CATALOGUE[self.new[number].does].expands:
            return False
        before = self.ahead.step(id).name
        self._changed.append(lambda: self._call(id, before))
        self._call(id, name)
        return True

    def _call(self, id: str, name: str | None) -> None:
        number = self._made_by[id]
        self.new[number] = self.new[number].model_copy(update={"name": name})
        self.ahead.become([step.with_(name=name) if step.id == id else step for step in self.ahead.steps])

    # Making.

    def make(self, key: str, fills: Mapping[str, Any], name: str | None = None, hidden: bool = False) -> str:
        """Make one thing, or find the one that is made just so where no name is given. Returns its id. Raises Refusal.

        What is hidden on the board, as what is only made for something else, is found where something is made from it, or an act
        speaks of it: who asks for it to be drawn would not see it.
        """
        if name is None:
            alike = self.ahead.alike(key, fills)
            unseen = hidden or self.made_from > 0
            there = [id for id in alike if unseen or id not in self.board or not self.ahead.step(id).look.hidden]
            if there:
                self.recent.note(there[:1])
                return there[0]
        return self._put(key, fills, name and self.free_name(name, CATALOGUE[key].makes), hidden)[0]

    def make_all(self, key: str, fills: Mapping[str, Any]) -> list[str]:
        """Make what a sentence that stands for several things makes. Returns the ids of what is shown."""
        return self._put(key, fills, None, False)

    def make_parts(self, key: str, fills: Mapping[str, Any], names: Sequence[str]) -> list[str]:
        """The same with names for the points among what is made, in their order."""
        construction = CATALOGUE[key]
        kinds = {gap: self.ahead.kind_of(fill[0]) for gap, fill in fills.items() if is_ids(fill) and len(fill) == 1}
        made: list[str] = []
        left = list(names)
        for part in construction.parts(kinds, fills, self.ahead):
            whole = {gap: self._made_before(fill, made) for gap, fill in part.fills.items()}
            named = left.pop(0) if left and CATALOGUE[part.key].makes == POINT and not part.hidden else None
            made += self._put(part.key, whole, named, part.hidden)
        return [id for id in made if not self.ahead.step(id).look.hidden]

    def would_be(self, key: str, fills: Mapping[str, Any]) -> Any:
        """The value of a thing that is not made: None where it would have none. Raises Refusal where it could not be made."""
        mark = self.mark()
        value = self.ahead.value(self.make(key, fills, None, True))
        self.back_to(mark)
        return value

    def adopt(self, news: Sequence[NewStep]) -> None:
        """Put on steps that were read on the board ahead: "new:0" among them means the first of them."""
        before = len(self.ahead)
        for new in news:
            made = [step.id for step in self.ahead.steps[before:]]
            fills = {gap: new_step_ids(fill_from_json(fill), made) for gap, fill in new.fills.items() if fill is not None}
            self._put(new.does, fills, new.name, new.hidden)

    def _made_before(self, fill: Any, made: Sequence[str]) -> Any:
        if not is_ids(fill):
            return fill
        return tuple(made[int(id[5:])] if id.startswith("made:") else id for id in fill)

    def _put(self, key: str, fills: Mapping[str, Any], name: str | None, hidden: bool) -> list[str]:
        self._left -= 1
        if len(self.new) >= _MOST or self._left < 0:
            raise Final("That makes too many things at once. Say it in shorter sentences.")
        if name is not None:
            name = spelling.check_new_name(name)
            if self.ahead.ids_named(name):
                raise Refusal(f"{name} is there already.")
        before = len(self.ahead)
        new = NewStep(does=key, fills={gap: self._json(fill) for gap, fill in fills.items()}, name=name, hidden=hidden)
        ids = [step.id for step in self.ahead.steps[len(self.board) :]]
        for step in new_steps(self.ahead, new, ids):
            if name is None and step.name is not None and not CATALOGUE[key].expands and (hidden or step.name in self.reserved):
                other = self._name_apart(step.makes, hidden)
                new = new.model_copy(update={"name": other})
                step = step.with_(name=other)
            self.ahead.append(step)
        self.new.append(new)
        if len(self.ahead) == before + 1:
            self._made_by[self.ahead.steps[before].id] = len(self.new) - 1
        made = [step.id for step in self.ahead.steps[before:] if not step.look.hidden or hidden]
        self.recent.note(made)
        return made

    def _name_apart(self, kind: str, hidden: bool) -> str:
        """An automatic name that the sentence does not use itself. Helpers have names with numbers, so that they take no letter."""
        taken = {*self.ahead.names.values(), *self.reserved}
        if not hidden:
            return spelling.next_name("line" if kind in STRAIGHTS else kind, taken)
        letter = {POINT: "H", CIRCLE: "g"}.get(kind, "h")
        return next(name for number in range(1, 10_000) if (name := f"{letter}_{number}") not in taken)

    def _json(self, fill: Any) -> Any:
        first = len(self.board)
        places = {step.id: f"new:{number}" for number, step in enumerate(self.ahead.steps[first:])}
        return fill_to_json(with_ids(fill, places))

    # Points by their names.

    def free_name(self, text: str, kind: str) -> str:
        """A name as it is given to a thing of a kind: points have capitals, also where a text has none. Raises Refusal where another
        thing that is there has the name as it is written."""
        name = spelling.tidy(text)
        if kind == POINT and len(name) == 1 and name.islower() and name.upper() not in self.ahead.names.values():
            if ids := self.ahead.ids_named(name):
                raise Refusal(f"{name} is {with_article(word(self.kind(ids[0])))}; a point is needed here.")
            return name.upper()
        return name

    def point(self, name: str) -> str:
        """The point of a name: the one that is there, or a new one where they may be made. Raises Refusal."""
        return self.points((name,))[0]

    def points(self, names: Sequence[str]) -> tuple[str, ...]:
        """The points of some names, those that are not there made at once. Raises Refusal."""
        known = self.ahead.points_by_name
        names = [spelling.tidy(name) for name in names]
        missing = [name for name in dict.fromkeys(names) if name not in known]
        if missing:
            self._make_points(missing, names)
            known = self.ahead.points_by_name
        found = tuple(known[name] for name in names)
        self.recent.note(found)
        return found

    def _make_points(self, missing: Sequence[str], names: Sequence[str]) -> None:
        for name in missing:
            if others := self.ahead.ids_named(name):
                raise Refusal(f"{name} is no point: it is a {self.ahead.kind_of(others[0])}.")
        if not self.makes:
            raise NotThere(missing, self.ahead)
        if self.mentioned - set(missing) and not self._are_next(missing):
            raise NotThere(missing, self.ahead)
        wish = self.wishes.get(missing[0])
        for name, place in zip(missing, places(self.ahead, len(missing), wish)):
            self._put("free_point", {"at": place}, name, False)

    def _are_next(self, missing: Sequence[str]) -> bool:
        """Whether some names are those that the board would give next, or come after those on it in the alphabet."""
        taken = set(self.ahead.names.values())
        for _ in missing:
            taken.add(spelling.next_name(POINT, taken))
        return all(name in taken for name in missing)

    def free_point(self, name: str | None = None, at: Place | None = None, fits: Callable[[Place], bool] | None = None) -> str:
        """A new free point. Raises Refusal where the sentence may make none: a reading, a claim or an act never does."""
        if not self.makes:
            raise Refusal("That is not there, and only a sentence that draws makes new points.")
        return self._put("free_point", {"at": at or places(self.ahead, 1, fits)[0]}, name, False)[0]

    def settle(self, id: str) -> None:
        """Where a thing has no value, or a supposition is not met, and it hangs on points that this sentence makes free or on a path, put
        one of these where it has one, or is."""
        if self._is_met(id):
            return
        new = [one for one in self.ahead.ancestors([id]) if one not in self.board]
        for point in reversed([one for one in new if self.ahead.step(one).does in ("free_point", "point_on")][-3:]):
            step = self.ahead.step(point)
            gap, was = step.construction.moved_gap or "", numbers_of(step)
            for place in self._other_places(id, point):
                self.ahead.move({point: place})
                if self._is_met(id):
                    self._place(point, gap, place)
                    self._changed.append(lambda point=point, gap=gap, was=was: self._put_back(point, gap, was))  # type: ignore[misc]
                    return
            self.ahead.move({point: was})

    def _place(self, point: str, gap: str, place: tuple[float, ...]) -> None:
        number = self._made_by[point]
        at = list(place) if gap == "at" else place[0]
        self.new[number] = self.new[number].model_copy(update={"fills": {**self.new[number].fills, gap: at}})

    def _put_back(self, point: str, gap: str, place: tuple[float, ...]) -> None:
        self.ahead.move({point: place})
        self._place(point, gap, place)

    def _other_places(self, id: str, point: str) -> Iterator[tuple[float, ...]]:
        """Where else a point may go: about the other points that a thing hangs on; along its path."""
        if self.ahead.step(point).does == "point_on":
            yield from ((share,) for share in (0.2, 0.8, 0.35, 0.65, 0.1, 0.9, 60.0, 120.0, 180.0, 240.0, 300.0))
            return
        x, y, right, top = self.ahead.settings.view
        size = min(right - x, top - y)
        for far in (0.12, 0.3, 0.6):
            for turn in range(8):
                angle = 0.37 + math.pi * turn / 4
                for around in self._centres_near(id, point):
                    yield round(around[0] + far * size * math.cos(angle), 3), round(around[1] + far * size * math.sin(angle), 3)

    def _centres_near(self, id: str, point: str) -> list[Place]:
        """Places about which a free point is tried: those of the other points that a thing hangs on."""
        others = [
            one for one in self.ahead.ancestors([id]) if one != point and self.kind(one) == POINT and self.ahead.value(one) is not None
        ]
        return [tuple(self.ahead.value(one)) for one in others[:3]] or [(0.0, 0.0)]

    def polygon(self, corners: Sequence[str]) -> str:
        """The polygon with some corners: the one that is there, or a new one."""
        for step in self.ahead.steps:
            if step.makes == POLYGON and set(step.fills.get("corners", ())) == set(corners):
                self.recent.note([step.id])
                return step.id
        return self.make("polygon", {"corners": tuple(corners)})
