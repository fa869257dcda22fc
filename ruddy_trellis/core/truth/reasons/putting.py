"""A reason put on the board: its lines as words, one under another, shown at once, told by reveals, or with parts under covers."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Any

from ...board.board import Board
from ...edits.models import Add, NewStep
from ...kinds import CLAIM, QUIZ, REVEAL, WORDS_ON_BOARD
from ...refusal import Refusal
from .telling import Told, ToldLine

#: The ways to put a reason on the board, with their words.
WAYS = {
    "lines": "all its lines",
    "reveals": "one after another, by reveals",
    "reasons": "with its reasons under covers",
    "statements": "with its statements under covers",
    "hints": "hints, under covers",
}
#: An edit adds at most so many steps.
_MOST = 50
#: Where the first line stands, how far to the right of its button or its statement a text is, how high a line of words is, what is left
#: free between rows and about what stands there, and how low the last row stands at most: shares of the view.
_LEFT, _TOP, _BESIDE, _AFTER, _LINE, _FREE = 0.03, 0.05, 0.16, 0.34, 0.04, 0.035
_LOWEST = 0.95
#: About so many letters go on a line of words.
_LETTERS = 30


def put_on_board(board: Board, told: Told, way: str) -> Add:
    """The edit that puts a reason on the board. Raises Refusal where there is no such way, or it has too many lines."""
    if way not in WAYS:
        raise Refusal(f"A reason is put on the board as one of these: {', '.join(WAYS)}.")
    left, _, right, _ = board.settings.view
    across = left + _LEFT * (right - left)
    steps, reveals = [], []
    for row, down in _laid(board, list(_rows(told, way))):
        for place, (text, is_covered) in enumerate(row.texts):
            x = across + ((_AFTER if place else 0) + (_BESIDE if row.button else 0)) * (right - left)
            if row.button:
                shows: dict[str, Any] = {"things": [f"new:{len(steps)}"], "start": "hidden", "at": [round(across, 2), round(down, 2)]}
                reveals.append(NewStep(does="reveal", fills=shows, caption=row.button))
            fills: dict[str, Any] = {"text": {"words": text, "of": []}, "at": [round(x, 2), round(down, 2)]}
            steps.append(NewStep(does="words", fills=fills, covered=is_covered))
    if len(steps) + len(reveals) > _MOST:
        raise Refusal("This reason has too many lines for the board. Copy it as text, or print it on the handout.")
    return Add(steps=[*steps, *reveals])


def _laid(board: Board, rows: list["_Row"]) -> Iterator[tuple["_Row", float]]:
    """The rows, each with how high it stands: one under another, about what stands at the left already; closer together where they would
    go beyond the view."""
    left, low, right, high = board.settings.view
    written = [board.value(step.id) for step in board.steps if step.makes in (CLAIM, REVEAL, QUIZ, WORDS_ON_BOARD)]
    there = [(high - value[1]) / (high - low) for value in written if value and value[0] < left + _AFTER * (right - left)]
    tall = [max(-(-len(text) // _LETTERS) for text, _ in row.texts) * _LINE + _FREE for row in rows]
    for shrunk in (1.0, 0.85, 0.7, 0.55, 0.4, 0.3):
        downs = _downs([one * shrunk for one in tall], there)
        if downs[-1] <= _LOWEST:
            break
    yield from ((row, high - down * (high - low)) for row, down in zip(rows, downs, strict=True))


def _downs(tall: list[float], there: list[float]) -> list[float]:
    """How far down rows of some heights stand, one under another and about what is there: shares of the view."""
    found, down = [], _TOP
    for height in tall:
        for at in sorted(there):
            if down - 2 * _FREE < at < down + height:
                down = at + 2 * _FREE
        found.append(down)
        down += height
    return found


@dataclass(frozen=True)
class _Row:
    """A row on the board: its texts, each with whether it is covered, and the words of the reveal that shows it, or ""."""

    texts: tuple[tuple[str, bool], ...]
    button: str = ""


def _rows(told: Told, way: str) -> Iterator[_Row]:
    if way == "hints":
        yield from (_Row(((hint, True),)) for hint in told.hints)
        return
    for text in told.first:
        yield _Row(((text, False),))
    if told.given:
        yield _Row((("Given: " + "; ".join(f"({line.number}) {line.says}" for line in told.given) + ".", False),))
    for line in told.steps:
        if way in ("lines", "reveals"):
            yield _Row(((f"{line.number}. {line.says}: {_why(line)}", False),), f"Reason {line.number}" if way == "reveals" else "")
        else:
            yield _Row(((f"{line.number}. {line.says}", way == "statements"), (f"because: {_why(line)}", way == "reasons")))
    yield _Row(((f"So {told.claim}.", False),), "So" if way == "reveals" else "")


def _why(line: ToldLine) -> str:
    return line.because + (f" ({', '.join(line.cites)})" if line.cites else "")
