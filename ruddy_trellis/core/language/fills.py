"""What fills a gap: things by their ids, numbers, words, formulas; and the same as JSON."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any, TypeGuard

from .. import limits
from ..refusal import Refusal
from .expression import Formula
from .words import Words


def is_ids(fill: Any) -> TypeGuard[tuple[str, ...]]:
    """Whether a gap is filled with things (rather than typed into)."""
    return isinstance(fill, tuple) and bool(fill) and isinstance(fill[0], str)


def ids_in(fill: Any) -> list[str]:
    """The ids of the things in what fills a gap, in order: of a formula those of its operands."""
    if isinstance(fill, Formula):
        return [id for operand in fill.operands for id in operand]
    return list(fill) if is_ids(fill) else []


def with_ids(fill: Any, ids: Mapping[str, str]) -> Any:
    """What fills a gap with other ids in the places of some."""
    if is_ids(fill):
        return tuple(ids.get(id, id) for id in fill)
    if isinstance(fill, Formula):  # words on the board too
        return type(fill)(fill.text, tuple(tuple(ids.get(id, id) for id in operand) for operand in fill.operands))
    return fill


def fill_to_json(fill: Any) -> Any:
    """What fills a gap as JSON: ids as a list of texts, coordinates as a list of numbers, a formula as an object."""
    if isinstance(fill, Words):
        return {"words": fill.text, "of": [list(operand) for operand in fill.operands]}
    if isinstance(fill, Formula):
        return {"formula": fill.text, "of": [list(operand) for operand in fill.operands]}
    return list(fill) if isinstance(fill, tuple) else fill


def fill_from_json(data: Any) -> Any:
    """The reverse of :func:`fill_to_json`. Raises Refusal for anything else."""
    if isinstance(data, bool):
        raise Refusal("A gap is filled with things, numbers, a word or a formula, not with true or false.")
    if isinstance(data, str):
        return data
    if isinstance(data, (int, float)):
        return float(data)
    if isinstance(data, list) and data and len(data) <= limits.POLYGON_CORNERS:
        if all(isinstance(part, str) for part in data):
            return tuple(data)
        if all(isinstance(part, (int, float)) and not isinstance(part, bool) for part in data):
            return tuple(float(part) for part in data)
    for name, make, most in (("formula", Formula, limits.FORMULA_LENGTH * 2), ("words", Words, limits.WORDS_LENGTH * 2)):
        if not (isinstance(data, dict) and set(data) == {name, "of"} and isinstance(data[name], str)):
            continue
        if len(data[name]) > most:
            raise Refusal(f"That {name} is too long.")
        operands = data["of"]
        if isinstance(operands, list) and all(isinstance(ids, list) and ids and all(isinstance(i, str) for i in ids) for ids in operands):
            text = " ".join(data[name].split()) if name == "words" else data[name]
            kept = make(text, tuple(map(tuple, operands)))
            kept.check_places()
            return kept
    raise Refusal("A gap is filled with a list of ids, a list of two numbers, a number, a word or a formula.")
