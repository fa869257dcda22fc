"""How the sentence bar shows a sentence that is being filled: words and chips, and what could be said next."""

import re
from typing import Any

from ..board.board import Board
from ..edits.checking import PLAIN_DIMENSIONS
from ..kinds import MAPS, NUMBER
from ..language import names as spelling
from ..language.printing import fill_text, number_text
from .picking import NewPoint
from .prompt import TEXTS, Prompt


def chips(prompt: Prompt, board: Board) -> list[dict[str, Any]]:
    """The sentence in pieces for the sentence bar: words, filled chips, open chips.

    Each is ``{"words": …}`` or ``{"gap": name, "shown": text, "filled": bool, "next": bool, "had": text, "asks": text, "wants": text}``:
    what is in it so far, what it asks for, and that in two or three words.
    """
    open_gaps = prompt.open_gaps(board)
    shown = []
    for piece in prompt.construction.pieces:
        if piece.group and piece.gap not in prompt.asked:
            continue
        if piece.gap is None:
            if not piece.group or prompt.asked is prompt.construction.gaps:
                shown.append({"words": piece.text})
            continue
        items = prompt.filled.get(piece.gap.name, [])
        full = piece.gap not in open_gaps
        had = _shown(prompt, items, board, piece.gap)
        asks = _more(piece.gap, len(items)) if had else piece.gap.kind.asks
        text = had if full else f"{had} + {asks}" if had else asks
        is_next = bool(open_gaps) and piece.gap == open_gaps[0]
        shown.append(
            {
                "gap": piece.gap.name,
                "shown": text,
                "filled": full,
                "next": is_next,
                "had": had,
                "asks": asks,
                "wants": _short(piece.gap.kind, asks),
            }
        )
    return shown


def ways(prompt: Prompt, board: Board) -> list[str]:
    """What could be said into the next gap where it cannot be pointed at on the board: names or words."""
    for gap in prompt.open_gaps(board)[:1]:
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


def _short(kind, asks):
    """What a gap asks for, as short as it stands in the gap itself: "pick a segment or two points, or type a length" → "a segment…"."""
    if kind.literal == "word":
        return "which"
    if kind.literal == "coordinates":
        return "a place"
    first, *more = re.split(r"; |, | or ", re.sub(r"^(pick|type) ", "", asks))
    return first + "…" * bool(more)


def _shown(prompt, items, board, gap):
    parts = []
    for item in items:
        if isinstance(item, NewPoint):
            parts.append("new point")
        elif isinstance(item, str) and item in board:
            parts.append(board.name(item))
        elif isinstance(item, float):
            parts.append(number_text(item))
        elif gap.kind.literal in TEXTS:
            parts.append(item)
        else:
            parts.append(fill_text(gap, item, board.names))
    together = gap.kind.hands != "many" and "new point" not in parts
    return spelling.spell(parts) if together else ", ".join(parts)


def _more(gap, had):
    if gap.kind.several:
        return "another; Enter when they are all"
    if gap.kind.points < 0:
        return "another corner" if had < 3 else "another corner, or the first to close"
    return "the corner" if gap.kind_name == "corner" and had == 1 else "another point"
