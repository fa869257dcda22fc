"""Labels that keep out of one another's way."""

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


def settled(board: SeenBoard, extent: Extent, shown, beside: "Boxes | None" = None) -> "tuple[dict[str, Any], Boxes]":
    """How labels stand other than where they would by themselves, so that they cover neither one another nor pegs nor marks.

    Args:
        shown: pairs of a step and its shape and label.
        beside: what others take up that stand already.

    Returns:
        For the id of each label that moves: the cosine and sine of its turn, and how many times further off it stands.
        Labels that a person put somewhere stay there. And what all of it takes up.
    """
    # Larger letters on the same board are letters of the same size on a smaller one.
    zoom = _SCREEN / extent.width / board.settings.size
    taken = beside.copy() if beside is not None else Boxes()
    moving = []
    for step, item in shown:
        label, shape = item["label"], item["shape"]
        if shape is None:
            continue
        if step.makes == POINT:
            x, y = shape["at"]
            taken.add(x * zoom - 8, y * zoom - 8, x * zoom + 8, y * zoom + 8)
        if "mark" in shape:
            x, y = shape["at"]
            taken.add(x * zoom - 12, y * zoom - 12, x * zoom + 12, y * zoom + 12)
        if label is None or step.makes == MARK or (step.makes == NUMBER and step.look.tag is False):
            continue
        if not label["offset"] and step.makes != NUMBER and not any(label["push"]):
            taken.add(*_box(step, label, zoom, (0, 0)))  # the name of a shape stays in its middle
        elif label["offset"]:
            taken.add(*_box(step, label, zoom, (label["offset"][0], -label["offset"][1])))
        else:
            moving.append((step, label))
    # Names before tags: a name belongs at its point, a tag can stand a little off.
    moving.sort(key=lambda pair: pair[0].makes == NUMBER)
    turns = {}
    for step, label in moving:
        if taken.pairs > _MOST_PAIRS:
            break
        best: tuple[Box, Turn] | None = None
        least = float("inf")
        for turn in _TURNED:
            push = turned(label["push"], turn)
            box = _box(step, label, zoom, (SIZES["push"] * push[0], SIZES["push"] * push[1]))
            covered = taken.covered(box, least)
            if covered < least:
                best, least = (box, turn), covered
            if not covered:
                break
        if best is None:
            continue  # it stands where no number says where
        taken.add(*best[0])
        if best[1] != (1, 0, 1):
            turns[step.id] = best[1]
    return turns, taken


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
