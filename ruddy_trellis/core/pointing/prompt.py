"""A sentence being filled by clicks: which gap a click fills, what it says before, what it makes in the end."""

import re
from dataclasses import dataclass, field
from math import dist

from ..board.nearest import distance_to_path
from ..board.plan import kinds_of_fills
from ..catalogue import CATALOGUE, Construction
from ..edits.checking import PLAIN_DIMENSIONS, misfit
from ..edits.models import Add, NewStep, Retie
from ..kinds import ARC, MAPS, NUMBER, POINT, REGIONS, SEGMENT
from ..language import names as spelling
from ..language.fills import fill_to_json
from ..language.printing import fill_text, noun, number_text
from ..language.reading import read_fill
from ..refusal import Refusal
from .picking import NewPoint, crossing_near, look_under, path_words, point_on_path

#: What is typed as words and kept so.
_TEXTS = ("word", "equation", "values")
_POINT_MAKERS = ("free_point", "point_on", "intersection")


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
    """

    construction: Construction
    filled: dict = field(default_factory=dict)
    last_at: tuple | None = None
    closed: bool = False
    order: list = field(default_factory=list)
    retie: str | None = None

    @classmethod
    def of(cls, key, retie=None):
        """The prompt of a construction, nothing filled. Raises Refusal for an unknown key.

        Args:
            retie: the id of a step that is to be made in this way, instead of a new one.
        """
        if key not in CATALOGUE:
            raise Refusal(f"There is no tool called “{key[:40]}”.")
        return cls(CATALOGUE[key], retie=retie)

    # What is filled -----------------------------------------------------------------------------------------

    def is_full(self, gap, board):
        """Whether a gap needs nothing more."""
        items = self.filled.get(gap.name, [])
        if not items:
            return False
        if not isinstance(items[0], (str, NewPoint)) or gap.kind.literal in _TEXTS:
            return True
        if is_list(gap):
            return self.closed
        if len(items) == 1 and self._kind(items[0], board) in gap.kind.single:
            return True
        return len(items) == gap.kind.points

    def open_gaps(self, board):
        """The gaps that a person is still asked for, in the order of the sentence."""
        return [gap for gap in self._asked if not self.is_full(gap, board)]

    @property
    def _asked(self):
        # A free point has only the gap that may be left out of its sentence: where it is.
        return self.construction.asked_gaps or self.construction.gaps

    def is_complete(self, board):
        return self._is_pointed() or not self.open_gaps(board)

    @staticmethod
    def _kind(item, board):
        return POINT if isinstance(item, NewPoint) else board.kind_of(item)

    def new_points(self):
        """The new points picked so far, in order."""
        return [item for items in self.filled.values() for item in items if isinstance(item, NewPoint)]

    def new_point_steps(self):
        """The steps that make the new points."""
        return [NewStep(does=point.does, fills=_json(point.fills)) for point in self.new_points()]

    # Clicking -----------------------------------------------------------------------------------------------

    def what_at(self, board, at, tolerance, only=None):
        """What a click at a position would take.

        Args:
            only: the id of the one thing that is meant, where several lie there.

        Raises:
            Refusal: where nothing there fits, saying what would.
        """
        gaps = self.open_gaps(board)
        if not gaps:
            raise Refusal("The sentence is complete.")
        pending = self._pending_at(at, tolerance * 1.5)
        if pending is not None:
            return self._take_pending(gaps, pending)
        if only is not None:
            return self.what_of(board, only)
        under = look_under(board, at, tolerance)
        if self.construction.key in _POINT_MAKERS and not self.filled:
            if taking := self._point_itself(board, under, gaps[0]):
                return taking
        taking = self._existing(board, gaps, under) or self._created(board, gaps, under)
        if taking:
            return taking
        if under.points or under.paths:
            ids = under.points[:1] or under.paths[0]
            raise misfit(gaps[0], ids, board)
        raise Refusal(f"Nothing is under the pointer. Here goes {gaps[0].kind.wants}.")

    def what_of(self, board, id):
        """What picking this one thing would take. Raises Refusal where it fits no gap."""
        gaps = self.open_gaps(board)
        if board.kind_of(id) == POINT:
            taking = self._take_point(gaps, id, noun(board, id))
        else:
            fitting = (gap for gap in gaps if not self.filled.get(gap.name) and board.kind_of(id) in gap.kind.single)
            taking = next((Taking(gap.name, self._spelt_out(board, gap, (id,)), noun(board, id)) for gap in fitting), None)
        if taking is None:
            raise misfit(gaps[0], (id,), board)
        return taking

    def alternatives(self, board, at, tolerance):
        """The ids of things that lie on top of one another under a click and would each fit: more than one, or none."""
        if self.construction.key in _POINT_MAKERS:
            return []
        under = look_under(board, at, tolerance)
        points = [id for id in under.points if _apart(board, id, under.points[0]) < 0.35 * tolerance and not self._used(id)]
        single = [ids[0] for ids in under.paths if len(ids) == 1]
        if points:
            found = points
        else:
            near = [distance_to_path(board.kind_of(id), board.value(id), at) for id in single]
            found = [id for id, distance in zip(single, near) if distance - min(near) < 0.2 * tolerance]
        fitting = [id for id in found if self._fits(board, id)]
        return fitting if len(fitting) > 1 else []

    def _fits(self, board, id):
        try:
            return bool(self.what_of(board, id))
        except Refusal:
            return False

    def _pending_at(self, at, reach):
        for item in self.new_points():
            if (item.at[0] - at[0]) ** 2 + (item.at[1] - at[1]) ** 2 <= reach * reach:
                return item
        return None

    def _take_pending(self, gaps, item):
        return self._take_point(gaps, item, "the new point") or self._twice("That new point")

    def _point_itself(self, board, under, gap):
        """For the tools that make a point by pointing: the point that the click makes."""
        new = under.new_point
        own = self.construction.key
        if self.retie is not None:
            if new.does == "free_point":
                raise Refusal(
                    f"There is nothing here to tie {board.name(self.retie)} to. Point at a line, a circle, a curve or a crossing."
                )
            return Taking(gap.name, (new,), new.words)
        if own == "free_point":
            if under.points:
                raise Refusal(f"{noun(board, under.points[0]).capitalize()} is here already. Click elsewhere for a new point.")
            return Taking(gap.name, (new,), new.words)
        if own == "point_on" and under.paths:
            new = point_on_path(board, under.paths[0], under.at)
        return Taking(gap.name, (new,), new.words) if _makes(new, own) else None

    def _existing(self, board, gaps, under):
        for id in under.points:
            if taking := self._take_point(gaps, id, noun(board, id)):
                return taking
        if under.points and all(self._used(id) for id in under.points):
            return self._twice(board.name(under.points[0]))
        for gap in gaps:
            if self.filled.get(gap.name) and not gap.kind.several:
                continue
            for ids in under.paths:
                if self._path_fits(board, gap, ids) and not set(ids) & set(self.filled.get(gap.name, ())):
                    return Taking(gap.name, self._spelt_out(board, gap, ids), path_words(board, ids))
            if gap.kind.several or (gap.kind.single and set(gap.kind.single) <= {*REGIONS, ARC}):
                for id in under.shapes:
                    if board.kind_of(id) in gap.kind.single and id not in self.filled.get(gap.name, ()):
                        return Taking(gap.name, (id,), noun(board, id))
        return None

    def _created(self, board, gaps, under):
        gaps = [gap for gap in gaps if not gap.kind.several and gap.kind_name not in ("driver", "tracer")]
        if any(POINT in gap.kind.single or gap.kind.points for gap in gaps):
            return self._take_point(gaps, under.new_point, under.new_point.words)
        return None

    def _used(self, item):
        return any(item in items for items in self.filled.values())

    def _take_point(self, gaps, item, words):
        """A point for the first gap that takes it alone, or else for the first that needs several."""
        corners = next((gap for gap in gaps if gap.kind.points < 0), None)
        if corners and self._used(item):
            items = self.filled[corners.name]
            if item == items[0] and len(items) >= 3:
                return Taking(corners.name, (), "the first corner again: close the polygon", closes=True)
            return None
        if self._used(item) and self.construction.distinct:
            return None
        for gap in gaps:
            if POINT in gap.kind.single and (not self.filled.get(gap.name) or gap.kind.several):
                return Taking(gap.name, (item,), words)
        for gap in gaps:
            if gap.kind.points and item not in self.filled.get(gap.name, []):
                return Taking(gap.name, (item,), words)
        return None

    def _twice(self, name):
        raise Refusal(f"{name} is picked already. Pick a different point.")

    @staticmethod
    def _path_fits(board, gap, ids):
        if len(ids) == 1:
            return board.kind_of(ids[0]) in gap.kind.single
        return SEGMENT in gap.kind.single and gap.kind.points == 2

    @staticmethod
    def _spelt_out(board, gap, ids):
        """A segment as its two ends, where the gap is after two points: so it stays when the segment goes."""
        if gap.kind_name == "span" and len(ids) == 1 and board.step(ids[0]).does == "segment":
            step = board.step(ids[0])
            return (*step.fills["from"], *step.fills["to"])
        return ids

    def take(self, taking, at=None):
        """Fill a gap with what a click takes."""
        if taking.closes:
            self.closed = True
        else:
            self.filled.setdefault(taking.gap, []).extend(taking.items)
            self.order.append((taking.gap, len(taking.items)))
        self.last_at = at or self.last_at

    def drop_last(self):
        """Take back the last pick. Returns whether there was one."""
        if not self.order:
            return False
        gap, count = self.order.pop()
        del self.filled[gap][-count:]
        if not self.filled[gap]:
            del self.filled[gap]
        return True

    def finish(self, board):
        """End a list of corners. Raises Refusal where it is too short to end."""
        for gap in self.open_gaps(board):
            if is_list(gap):
                if len(self.filled.get(gap.name, [])) < (1 if gap.kind.several else 3):
                    raise Refusal(
                        "Pick at least one thing first." if gap.kind.several else "A polygon needs at least three corners; pick more."
                    )
                self.closed = True

    def type(self, text, board):
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
        gap, fill = self._read(text.strip(), board)
        if gap.kind.literal == "coordinates":
            self.take(Taking(gap.name, (NewPoint("free_point", {"at": fill}, fill, ""),), ""))
            return
        if is_list(gap):
            self.closed = True
        self.take(Taking(gap.name, fill if isinstance(fill, tuple) else (fill,), ""))

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

    def edit(self, board):
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
                things = isinstance(ids[0], str) and gap.kind.literal not in _TEXTS
                fills[gap.name] = ids if things else items[0]
        does = self.construction.key
        if does == "intersection" and not new_points and self.last_at:
            crossing = crossing_near(board, fills["a"], fills["b"], self.last_at)
            if crossing is None:
                kinds = kinds_of_fills(self.construction, fills, board.kind_of)
                fills = {**fills, **self.construction.defaults(kinds)}
            else:
                does, fills = crossing.does, crossing.fills
        return Add(steps=[*steps, NewStep(does=does, fills=_json(fills))])

    def _is_pointed(self):
        """Whether the one click of a tool that makes a point by pointing has been made."""
        return self.construction.key in _POINT_MAKERS and len(self.order) == 1 and len(self.new_points()) == 1

    def with_taking(self, taking, at):
        """A copy in which the taking is taken: to look ahead."""
        copy = Prompt(
            self.construction,
            {gap: list(items) for gap, items in self.filled.items()},
            self.last_at,
            self.closed,
            list(self.order),
            self.retie,
        )
        copy.take(taking, at)
        if self._asked and self._asked[0].kind.points < 0 and not taking.closes and len(copy.filled[taking.gap]) >= 3:
            copy.closed = True
        return copy

    def chips(self, board):
        """The sentence in pieces for the sentence bar: words, filled chips, open chips.

        Each is ``{"words": …}`` or ``{"gap": name, "shown": text, "filled": bool, "next": bool}``.
        """
        open_gaps = self.open_gaps(board)
        shown = []
        for piece in self.construction.pieces:
            if piece.group and piece.gap not in self._asked:
                continue
            if piece.gap is None:
                if not piece.group or self._asked is self.construction.gaps:
                    shown.append({"words": piece.text})
                continue
            items = self.filled.get(piece.gap.name, [])
            full = piece.gap not in open_gaps
            text = self._shown(items, board, piece.gap)
            if not full:
                text = f"{text} + {_more(piece.gap, len(items))}" if text else piece.gap.kind.asks
            shown.append({"gap": piece.gap.name, "shown": text, "filled": full, "next": bool(open_gaps) and piece.gap == open_gaps[0]})
        return shown

    def ways(self, board):
        """What could be said into the next gap where it cannot be pointed at on the board: names or words."""
        for gap in self.open_gaps(board)[:1]:
            if gap.kind.literal == "word":
                return list(gap.kind.options)
            if gap.kind.literal == "number" and NUMBER in gap.kind.single:
                readings = [step for step in board.steps if step.makes == NUMBER and board.dimension(step.id) in PLAIN_DIMENSIONS]
                return [board.name(step.id) for step in sorted(readings, key=lambda step: step.construction.moves != "turning")][:6]
            if set(gap.kind.single) & set(MAPS) or gap.kind_name == "driver":
                return [
                    board.name(step.id)
                    for step in reversed(board.steps)
                    if step.makes in gap.kind.single and (step.makes in MAPS or step.construction.moves == "turning")
                ][:8]
        return []

    def _shown(self, items, board, gap):
        parts = []
        for item in items:
            if isinstance(item, NewPoint):
                parts.append("new point")
            elif isinstance(item, str) and item in board:
                parts.append(board.name(item))
            elif isinstance(item, float):
                parts.append(number_text(item))
            elif gap.kind.literal in _TEXTS:
                parts.append(item)
            else:
                parts.append(fill_text(gap, item, board.names))
        together = gap.kind.hands != "many" and "new point" not in parts
        return spelling.spell(parts) if together else ", ".join(parts)


def _apart(board, a, b):
    return dist(board.value(a), board.value(b))


def _makes(new, key):
    return new.does == key or (key == "intersection" and new.does == "other_intersection")


def _json(fills):
    return {name: fill_to_json(fill) for name, fill in fills.items()}


def is_list(gap):
    """Whether one thing after another goes into a gap until a person says that they are all."""
    return gap.kind.points < 0 or gap.kind.several


def _is_number(text):
    return bool(re.fullmatch(r"[-−+]?(\d+\.?\d*|\.\d+)", text))


def _more(gap, had):
    if gap.kind.several:
        return "another; Enter when they are all"
    if gap.kind.points < 0:
        return "another corner" if had < 3 else "another corner, or the first to close"
    return "the corner" if gap.kind_name == "corner" and had == 1 else "another point"
