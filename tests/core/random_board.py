"""Random acts at a board, as a person's messages: what the state machine does, and what it checks after each act."""

import importlib.util
import logging
import math
import re
from contextlib import contextmanager, suppress

import orjson
from hypothesis import strategies as st

from ruddy_trellis.core.board import Board, Settings
from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.core.display import display
from ruddy_trellis.core.lesson.file import BoardData, board_from_data, board_to_text
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.drawings.exporting import written
from ruddy_trellis.drawings.wanted import Wanted

#: In a browser is no library of the letters of pictures: there no file is drawn.
HAS_LETTERS = importlib.util.find_spec("fontTools") is not None

NUMBERS = st.sampled_from([0.0, 1.0, -1.0, 0.5, 2.0, 3.0, 45.0, 90.0, -120.0, 1e-9, 0.3, 10.0, 999_999.0])
PLACES = st.sampled_from([-6.0, -3.0, -2.0, -1.0, 0.0, 0.5, 1.0, 2.0, 3.0, 4.0, 5.5])
EQUATIONS = ("y = 3x - 1", "x = 4", "y = ±2", "x^2 + y^2 = 25", "x*y = 1", "y = x^2", "x = y + {0}", "((x+1)^2)^2 = y", "x^2 + y^2 = -1")
VALUES = ("3 times", "for 0.5, 1, 1.5", "for 1, 2, 3", "for 0 to 90 step 30", "0 times", "for 0")
FORMULAS = ("{0} / 2", "{0} * {1}", "sqrt({0})", "sin({0}) + 1", "{0} - {1}", "(10^12)^12", "1 / {0}", "{0} < {1}", "2 * pi * {0}")
NAMES = ("A", "Z", "k", "is", "A_1", "Tap-Gate", "pi", "A′", "the", "", "x", "AB", "radius_k", "ΑΒ", "İ", "Q" * 40)


class Chooser:
    """Draws parts of acts for a board in the state it is in."""

    def __init__(self, data, board):
        self._draw, self.board = data.draw, board

    def one(self, choices):
        return self._draw(st.sampled_from(list(choices)))

    def chance(self, in_ten):
        return self._draw(st.integers(1, 10)) <= in_ten

    def place(self):
        return [self._draw(PLACES), self._draw(PLACES)]

    def ids(self, kinds=None, most=3):
        """Some ids of the board, of these kinds; none where there are none."""
        fitting = [step.id for step in self.board.steps if kinds is None or step.makes in kinds]
        return self._draw(st.lists(st.sampled_from(fitting), min_size=1, max_size=most, unique=True)) if fitting else []

    def fill(self, gap):
        """What might fill a gap, as JSON; None where the board has nothing for it."""
        kind = gap.kind
        if kind.literal == "coordinates":
            return self.place()
        if kind.literal == "word":
            return self.one(kind.options)
        if kind.literal == "equation":
            return self.one(EQUATIONS)
        if kind.literal == "values":
            return self.one(VALUES)
        if kind.literal in ("formula", "text"):
            readings = self.ids(("number",), 2) or self.ids(("segment",), 1)
            text = self.one(FORMULAS)
            used = [[id] for id in readings][: text.count("{0}") + text.count("{1}")]
            return {"formula": text, "of": used} if kind.literal == "formula" else {"words": f"it is {{{text}}}", "of": used}
        if kind.literal == "number" and (not kind.single or self.chance(5)):
            return self._draw(NUMBERS)
        if kind.points and self.chance(6):
            count = self._draw(st.integers(3, 5)) if kind.points < 0 else kind.points
            points = [step.id for step in self.board.steps if step.makes == "point"]
            if len(points) >= count:
                return self._draw(st.permutations(points))[:count]
        if self.chance(1):
            return self.ids(None, 2)
        return self.ids(kind.single, 3 if kind.several else 1)

    def fills(self, construction):
        """Something for every gap that is asked for, and for some of those that are not."""
        gaps = [gap for gap in construction.gaps if not gap.optional or gap.name == "at" or self.chance(4)]
        return {gap.name: fill for gap in gaps if (fill := self.fill(gap)) or fill == 0}


def check(board: Board, view) -> None:
    """What must hold of a board after anything that was done at it.

    It is what its steps say, it can be drawn, what is drawn are numbers, and what is kept of it reads back to the same.
    """
    again = Board(board.settings, board.steps)
    assert [step.id for step in again.steps] == [step.id for step in board.steps]
    assert again.values == board.values, "the values are those that the steps give"
    assert again.names == board.names
    assert again.last_number == board.last_number, "what was taken back leaves no number behind"
    with drawn_whole():
        items = display(board, view)
    assert len(items) == len(board) + len(board.chalk)
    assert_finite(items)
    assert_finite([value for value in board.values if not hasattr(value, "at") and not hasattr(value, "rows")])
    orjson.dumps(items)
    data = BoardData.model_validate(orjson.loads(board_to_text(board)))
    read = board_from_data(data)
    assert read.steps == board.steps
    assert read.settings == board.settings
    assert read.chalk == board.chalk
    if len(board) % 12 == 5:  # writing takes longer than all else here
        check_written(board)


def check_written(board: Board) -> None:
    """That a board goes into every file of lines, whatever is on it: nothing but a refusal, and no number that is none."""
    if not HAS_LETTERS:
        return
    for wanted in (Wanted(), Wanted(part="all", size="scale", ink_only=True)):
        for kind in ("svg", "tex", "pdf") if wanted.ink_only else ("svg", "dxf"):
            with suppress(Refusal):
                text = written(kind, board, wanted)
                assert kind == "pdf" or not re.search(rb"[\W\d](nan|inf)\b", text), kind


@contextmanager
def drawn_whole():
    """What cannot be drawn is logged, and left out of the picture: here that is a fault."""
    found: list[logging.LogRecord] = []
    handler = logging.Handler(logging.ERROR)
    handler.emit = found.append  # type: ignore[method-assign]
    logger = logging.getLogger("ruddy_trellis.core.display")
    logger.addHandler(handler)
    try:
        yield
    finally:
        logger.removeHandler(handler)
    assert not found, f"{found[0].getMessage()}: {found[0].exc_info and found[0].exc_info[1]!r}"


def assert_finite(part) -> None:
    """That no number in some JSON-like data is infinite or not a number; straight things may run without end."""
    if isinstance(part, float):
        assert math.isfinite(part)
    elif isinstance(part, dict):
        for inner in part.values():
            assert_finite(inner)
    elif isinstance(part, (list, tuple)):
        straight = len(part) == 6 and part[5] == math.inf
        for inner in part[:4] if straight else part:
            assert_finite(inner)


def empty_board() -> Board:
    return Board(Settings(view=(-10.0, -6.0, 10.0, 6.0), ground="blank"))


def sayable():
    """The keys of all constructions that a person can make, the more often the fewer gaps they have."""
    return [one.key for one in CATALOGUE if one.key != "free_point"]
