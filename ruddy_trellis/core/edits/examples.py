"""Ways to say each construction, with the names of its own example: for the help, and for a test that reads them all."""

from functools import lru_cache

from ..board.board import Board
from ..catalogue import CATALOGUE
from ..catalogue.construction import Construction
from ..language.fills import is_ids
from ..language.patterns import Pattern, Slot, patterns
from ..language.printing import fill_text
from ..language.reading import ReadStep, read_sentence
from ..refusal import Refusal
from .checking import check_fills
from .pasting import grow


def example_of(construction: Construction) -> tuple[Board, ReadStep]:
    """The board of a construction's example without its last sentence, and that sentence as it is read."""
    board = Board()
    *before, last = construction.example.splitlines()
    grow(board, "\n".join(before))
    return board, read_sentence(last, board, CATALOGUE, check_fills)


@lru_cache(maxsize=512)
def ways_shown(key: str) -> tuple[str, ...]:
    """Other ways to say a construction than its own sentence, each with the names of its example."""
    construction = CATALOGUE[key]
    try:
        board, read = example_of(construction)
    except Refusal:
        return ()
    if read.construction.key != key:
        return ()
    found = (next(filter(None, (_written(pattern, read, board) for pattern in patterns(text))), None) for text in construction.also)
    return tuple(dict.fromkeys(text for text in found if text))


def _written(pattern: Pattern, read: ReadStep, board: Board) -> str | None:
    """A pattern with the fills of a sentence in its slots; None where it says something else than that sentence."""
    if any(str(read.fills.get(gap)) not in (value, f"{value}.0") for gap, value in pattern.constants):
        return None
    words, said = [], set()
    for part in pattern.parts:
        if isinstance(part, str):
            words.append(part)
            continue
        text = _slot_text(part, read, board)
        if text is None:
            return None
        words.append(text)
        said.update(part.gaps)
    needed = {gap.name for gap in read.construction.gaps if gap.name in read.fills and not gap.optional}
    left = needed - said - {gap for gap, _ in pattern.constants}
    if left or any(gap not in said and isinstance(fill, str) for gap, fill in read.fills.items() if gap not in needed):
        return None
    return " ".join(words).replace(" , ", ", ")


def _slot_text(slot: Slot, read: ReadStep, board: Board) -> str | None:
    if slot.of is not None or slot.gaps[0] in ("=", "!") or any(gap not in read.fills for gap in slot.gaps):
        return None
    if len(slot.gaps) > 1:
        return "".join(board.name(id) for gap in slot.gaps for id in read.fills[gap])
    gap = read.construction.gap_by_name[slot.gaps[0]]
    fill = read.fills[gap.name]
    if slot.count and (not is_ids(fill) or len(fill) != slot.count):
        return None
    return fill_text(gap, fill, board.names, board=board)
