"""Sentences from steps."""

from collections.abc import Callable, Mapping, Sequence
from decimal import ROUND_HALF_UP, Decimal
from typing import Any

from ..arithmetic.typed import as_ratio
from ..kinds import SUPPOSITION, join, word
from ..seen import Fills, SeenBoard, SeenConstruction, SeenGap
from . import names as spelling
from .expression import Formula
from .fills import is_ids
from .tongue import ENGLISH, TONGUES, Tongue
from .words import Words


def number_text(value: float) -> str:
    """A number as it is kept in text: the shortest that reads back to the same number, with a true minus sign."""
    value = float(value)
    text = repr(int(value)) if value.is_integer() and abs(value) < 1e15 else repr(value)
    return text.replace("-", "−") if "e" not in text else text.replace("e-", "e−")


#: Above this, decimals are no more than the digits that a float has.
_ROUNDED_BY_HAND = 1e12


def rounded_text(value: float, decimals: int) -> str:
    """A number to so many decimals, with a true minus sign and no minus zero."""
    if abs(value) < _ROUNDED_BY_HAND:
        # As it is taught: halves go up, and a number is what its first twelve digits say, not the dust behind them.
        text = format(Decimal(f"{value:.12g}").quantize(Decimal(1).scaleb(-decimals), ROUND_HALF_UP), "f")
    else:
        text = f"{value:.{decimals}f}"
    if float(text) == 0:
        text = text.lstrip("-")
    return text.replace("-", "−")


def fill_text(
    gap: SeenGap,
    fill: Any,
    names: Mapping[str, str],
    number: Callable[[float], str] = number_text,
    board: SeenBoard | None = None,
    tongue: Tongue = ENGLISH,
) -> str:
    """What fills a gap, in words.

    Args:
        board: where it is given, whatever could be taken for something else there is written so that it cannot.
    """
    if isinstance(fill, Words):
        return f"“{fill.written([names[id] for (id,) in fill.operands])}”"
    if isinstance(fill, Formula):
        return fill.written([_operand_text(operand, names, board) for operand in fill.operands])
    if is_ids(fill):
        parts = [names[id] for id in fill]
        if board and len(parts) == 1 and board.step(fill[0]).is_reading:
            others = [id for id in board.ids_named(parts[0]) if id != fill[0] and board.kind_of(id) in gap.kind.single]
            return f"reading {parts[0]}" if others else parts[0]
        if gap.kind.several:
            return join(parts, tongue.last)
        return ", ".join(parts) if gap.kind.hands == "many" else spelling.spell(parts)
    if isinstance(fill, tuple):
        apart = ", " if tongue is ENGLISH else " | "
        return f"({apart.join(number(part) for part in fill)})"
    if isinstance(fill, (int, float)):
        ratio = as_ratio(float(fill))
        return number(fill) if ratio is None else f"{ratio.numerator}/{ratio.denominator}".replace("-", "−")
    return tongue.options.get(fill, fill)


def _operand_text(operand, names, board):
    """What stands in a formula: a name, or the points between which a length is meant, or the corners of a shape."""
    parts = [names[id] for id in operand]
    text = spelling.spell(parts)
    return spelling.JOINT.join(parts) if board and len(parts) > 1 and board.ids_named(text) else text


def phrase(
    construction: SeenConstruction,
    fills: Fills,
    names: Mapping[str, str],
    full: bool = False,
    number: Callable[[float], str] = number_text,
    board: SeenBoard | None = None,
    tongue: Tongue = ENGLISH,
) -> str:
    """The sentence of a construction without its subject: "the midpoint of AB".

    Args:
        fills: what fills its gaps.
        names: names by id.
        full: with the typed places that are left out where a person reads (where a free point is), so that the
            text reads back to the same step.
        number: how a number is written.
        board: see :func:`fill_text`.
    """
    words = []
    groups = {}
    for piece in construction.pieces:
        if piece.group:
            groups.setdefault(piece.group, []).append(piece)
    for piece in construction.pieces:
        if piece.group:
            gap = next(part.gap for part in groups[piece.group] if part.gap)
            fill = fills.get(gap.name)
            if fill is None or not (full or isinstance(fill, str) or is_ids(fill)):
                continue
        words.append(fill_text(piece.gap, fills[piece.gap.name], names, number, board, tongue) if piece.gap else piece.text)
    return "".join(words)


def sentence(board: SeenBoard, id: str, full: bool = False) -> str:
    """The sentence of a step: "M is the midpoint of AB". With ``full``, one that reads back to the same step."""
    step = board.step(id)
    if step.makes == SUPPOSITION and not full:
        return f"supposed: {claim_words(board, id)}"
    tongue, words = told_in(board, id)
    if not full and tongue is not ENGLISH:
        return f"{board.name(id)} {tongue.is_} {words}"
    return f"{board.name(id)} is {phrase(step.construction, step.fills, board.names, full, board=board if full else None)}"


def told_in(board: SeenBoard, id: str) -> tuple[Tongue, str]:
    """What a step is, in the language of its lesson where it has words in it, else in English; and which of the two it is."""
    step, code = board.step(id), board.settings.language
    said = step.construction.said_in(code)
    if said is None or code == "en":
        return ENGLISH, phrase(step.construction, step.fills, board.names)
    comma = lambda value: number_text(value).replace(".", ",")
    return TONGUES[code], phrase(said, step.fills, board.names, number=comma, tongue=TONGUES[code])


def claim_words(board: SeenBoard, id: str) -> str:
    """What a claim or a supposition says: "A, B and D are in line"."""
    step = board.step(id)
    return phrase(step.construction, step.fills, board.names).removeprefix("the claim that ").removeprefix("the supposition that ")


def working_text(board: SeenBoard) -> str:
    """The whole construction as text, a sentence a line, that reads back to the same construction."""
    return "\n".join(sentence(board, step.id, full=True) for step in board.steps)


def why_absent(board: SeenBoard, id: str) -> str:
    """Why a step has no value now, in words: "they do not meet now", "p is not there"."""
    step = board.step(id)
    for parent in step.inputs:
        if board.value(parent) is None:
            return f"{board.name(parent)} is not there"
    return step.construction.undefined


def noun(board: SeenBoard, id: str) -> str:
    """What a thing is called in passing: "point A", "line p", "reading AF"."""
    return f"{word(board.kind_of(id))} {board.name(id)}"


def listed(board: SeenBoard, ids: Sequence[str]) -> str:
    """Things in a sentence: by their nouns, or how many where they are too many to name."""
    return join(noun(board, id) for id in ids) if len(ids) <= 6 else f"{len(ids)} things"


def why_locked(board: SeenBoard, ids: Sequence[str]) -> str:
    """Why some locked things do not move, in words for the one who tries."""
    names, be = join(noun(board, id) for id in ids[:4]), "is" if len(ids) == 1 else "are"
    if all(board.step(id).look.teacher_only for id in ids):
        return f"{names} {be} not to be moved here."
    return f"{names} {be} locked. Unlock under Look to move {'it' if len(ids) == 1 else 'them'}."
