"""Labels that keep out of one another's way."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from math import radians
from typing import Any, TypeAlias

from ..arithmetic.circular import cos, sin
from ..kinds import MARK, NUMBER, POINT
from ..seen import SeenBoard
from .extent import Extent
from .palette import SIZES

#: How wide a board is on a screen, about, in pixels: only so that the size of letters in board units is about right.
_SCREEN = 1000
#: Other ways to stand, tried in order: turned by so much, and so many times as far off.
_WAYS = [(0, 1), (45, 1), (-45, 1), (90, 1), (-90, 1), (0, 1.9), (135, 1), (-135, 1), (180, 1), (45, 2), (-45, 2), (180, 1.9), (0, 2.8)]
_CELL = 48
#: How many pairs of boxes are held against each other at most. A board with so many labels in one view that this does not
#: do cannot be read whatever is done; what is left over stands where it would by itself.
_MOST_PAIRS = 60_000
_TURNED = [(cos(radians(turn)), sin(radians(turn)), times) for turn, times in _WAYS]

#: A box of pixels: left, low, right, high. How a label is turned: cosine, sine, and how many times as far off it stands.
Box: TypeAlias = tuple[float, float, float, float]
Turn: TypeAlias = tuple[float, float, float]


@dataclass(frozen=True, slots=True)
class _Stood:
    """How it was with one step when labels were settled: a later settling goes on from there where nothing near it has changed.

    Attributes:
        fixed: the boxes that it takes up wherever labels stand.
        label: the label that was moved about, None where there is none; ``box`` and ``turn`` are where it came to stand.
        cells: the cells of the lattice that were looked at for that.
        pairs: how many boxes were held against it.
    """

    fixed: tuple[Box, ...]
    label: Any = None
    box: Box | None = None
    turn: Turn = (1, 0, 1)
    cells: frozenset[tuple[int, int]] = frozenset()
    pairs: int = 0


class Settling:
    """Labels that keep clear of one another, of pegs and of marks: how each is turned, what all of it takes up, and how it came to that.

    Args:
        shown: pairs of a step and its shape and label.
        beside: what others take up that stand already.
        before: how labels of the same board were settled before some of it was moved. A label near which nothing has changed stands as it
            did, which is what it would come to anew.

    Attributes:
        turns: for the id of each label that moves, the cosine and sine of its turn, and how many times further off it stands. Labels that a
            person put somewhere stay there.
        taken: what all of it takes up.
    """

    def __init__(self, board: SeenBoard, extent: Extent, shown, beside: "Boxes | None" = None, before: "Settling | None" = None) -> None:
        # Larger letters on the same board are letters of the same size on a smaller one.
        self._zoom = _SCREEN / extent.width / board.settings.size
        self.turns: dict[str, Turn] = {}
        self.taken = beside.copy() if beside is not None else Boxes()
        self._stood: dict[str, _Stood] = {}
        self._is_whole = True
        known = before._stood if before is not None and before._zoom == self._zoom and before._is_whole else {}
        moving = self._fixed(shown)
        changed = self._changed(known, {step.id for step, _ in moving})
        # Names before tags: a name belongs at its point, a tag can stand a little off.
        moving.sort(key=lambda pair: pair[0].makes == NUMBER)
        for step, label in moving:
            if self.taken.pairs > _MOST_PAIRS:
                self._is_whole = False
                break
            was, fixed = known.get(step.id), self._stood[step.id].fixed
            if was is not None and was.label == label and changed.isdisjoint(was.cells):
                stood = was if was.fixed == fixed else replace(was, fixed=fixed)
                self.taken.pairs += was.pairs
            else:
                stood = self._placed(step, label, fixed)
                there = was.box if was is not None else None
                if there != stood.box:
                    changed.update(*(_cells(box) for box in (there, stood.box) if box is not None))
            self._stood[step.id] = stood
            if stood.box is None:
                continue  # it stands where no number says where
            self.taken.add(*stood.box)
            if stood.turn != (1, 0, 1):
                self.turns[step.id] = stood.turn

    def _fixed(self, shown) -> list[tuple[Any, Any]]:
        """Take up what stands fast. Gives the steps whose labels may be moved, with these."""
        zoom, moving = self._zoom, []
        for step, item in shown:
            label, shape = item["label"], item["shape"]
            if shape is None:
                continue
            fixed = []
            if step.makes == POINT:
                x, y = shape["at"]
                fixed.append((x * zoom - 8, y * zoom - 8, x * zoom + 8, y * zoom + 8))
            if "mark" in shape:
                x, y = shape["at"]
                fixed.append((x * zoom - 12, y * zoom - 12, x * zoom + 12, y * zoom + 12))
            if label is None or step.makes == MARK or (step.makes == NUMBER and step.look.tag is False):
                pass
            elif not label["offset"] and step.makes != NUMBER and not any(label["push"]):
                fixed.append(_box(step, label, zoom, (0, 0)))  # the name of a shape stays in its middle
            elif label["offset"]:
                fixed.append(_box(step, label, zoom, (label["offset"][0], -label["offset"][1])))
            else:
                moving.append((step, label))
            for box in fixed:
                self.taken.add(*box)
            self._stood[step.id] = _Stood(tuple(fixed))
        return moving

    def _changed(self, known: Mapping[str, _Stood], moving: set[str]) -> set[tuple[int, int]]:
        """The cells in which something else stands fast than before, or from which a label has gone.

        Args:
            moving: the ids of the steps whose labels may be moved.
        """
        changed: set[tuple[int, int]] = set()
        for id in known.keys() | self._stood.keys():
            was, now = known.get(id), self._stood.get(id)
            if (was and was.fixed) != (now and now.fixed):
                changed.update(*map(_cells, (*(was.fixed if was else ()), *(now.fixed if now else ()))))
            if was is not None and was.box is not None and id not in moving:
                changed.update(_cells(was.box))
        return changed

    def forget(self) -> None:
        """Keep no more than a later settling goes on from: what everything takes up is large."""
        self.taken = Boxes()

    def _placed(self, step, label, fixed: tuple[Box, ...]) -> _Stood:
        """Where a label stands that covers as little as can be."""
        best: tuple[Box | None, Turn] = (None, (1, 0, 1))
        least = float("inf")
        cells: set[tuple[int, int]] = set()
        before = self.taken.pairs
        for turn in _TURNED:
            push = turned(label["push"], turn)
            box = _box(step, label, self._zoom, (SIZES["push"] * push[0], SIZES["push"] * push[1]))
            covered = self.taken.covered(box, least)
            cells.update(_cells(box))
            if covered < least:
                best, least = (box, turn), covered
            if not covered:
                break
        return _Stood(fixed, label, *best, frozenset(cells), self.taken.pairs - before)


def _cells(box: Box) -> list[tuple[int, int]]:
    """The cells of the lattice that a box touches; none where no number says where it is."""
    left, low, right, high = box
    if not left <= right:
        return []
    rows = range(int(low // _CELL), int(high // _CELL) + 1)
    return [(column, row) for column in range(int(left // _CELL), int(right // _CELL) + 1) for row in rows]


def turned(push: tuple[float, float], turn: Turn) -> tuple[float, float]:
    """Which way a label is pushed that stands in another way than by itself; one in the middle of its thing goes up or down."""
    x, y = push
    cosine, sine, times = turn
    if x == y == 0:
        y = (times - 1) * 1.2
    return times * (cosine * x - sine * y), times * (sine * x + cosine * y)


def stood_off(text: str, push: tuple[float, float]) -> tuple[float, float]:
    """How far a name is pushed so that what it belongs to does not strike through it: words further than letters."""
    if len(text) <= 2:
        return push
    wide, high = _half(text)
    need = (wide * abs(push[0]) + high * abs(push[1]) + 3) / (SIZES["push"] * (push[0] ** 2 + push[1] ** 2) or 1)
    return (push[0] * max(need, 1), push[1] * max(need, 1))


#: A label of more letters than this goes on in a second line where it stands in the middle of what it belongs to.
_LONG_LABEL = 12


def in_two_lines(text: str) -> str:
    """A label that is long for the inside of a shape, broken at the space nearest to its middle."""
    spaces = [place for place, letter in enumerate(text) if letter == " "]
    if len(text) <= _LONG_LABEL or not spaces:
        return text
    at = min(spaces, key=lambda place: abs(2 * place - len(text)))
    return f"{text[:at]}\n{text[at + 1 :]}"


def _half(text):
    """Half the width and half the height of a name, in pixels, about."""
    lines = text.split("\n")
    return 0.3 * SIZES["name"] * max(map(len, lines)), 10 * len(lines)


def _box(step, label, zoom, offset):
    wide, high = (0.27 * SIZES["tag"] * len(label["text"]) + 8, 13) if step.makes == NUMBER else _half(label["text"])
    x, y = label["at"][0] * zoom + offset[0], label["at"][1] * zoom + offset[1]
    return x - wide, y - high, x + wide, y + high


class Boxes:
    """Boxes of pixels, found again by the cells of a lattice that they touch."""

    def __init__(self) -> None:
        self._cells = {}
        self.pairs = 0

    def copy(self) -> "Boxes":
        """The same boxes, to which others come."""
        other = Boxes()
        other._cells = {cell: list(boxes) for cell, boxes in self._cells.items()}
        return other

    def add(self, left, low, right, high) -> None:
        first_column, first_row = int(left // _CELL), int(low // _CELL)
        box = (left, low, right, high, first_column, first_row)
        for column in range(first_column, int(right // _CELL) + 1):
            for row in range(first_row, int(high // _CELL) + 1):
                self._cells.setdefault((column, row), []).append(box)

    def covered(self, box, enough):
        """How much of a box others cover, in square pixels; counted no further than to ``enough``."""
        left, low, right, high = box
        total = 0
        first_column, first_row = int(left // _CELL), int(low // _CELL)
        for column in range(first_column, int(right // _CELL) + 1):
            for row in range(first_row, int(high // _CELL) + 1):
                others = self._cells.get((column, row), ())
                self.pairs += len(others)
                for other_left, other_low, other_right, other_high, other_column, other_row in others:
                    # Of all cells that both boxes touch, the first one counts.
                    if (column > first_column and column > other_column) or (row > first_row and row > other_row):
                        continue
                    width = (right if right < other_right else other_right) - (left if left > other_left else other_left)
                    height = (high if high < other_high else other_high) - (low if low > other_low else other_low)
                    if width > 0 and height > 0:
                        total += width * height
                        if total >= enough:
                            return total
        return total
