"""Covers: what lies under one is in no item, so that no message, no picture and no voice can give it away."""

from typing import Any

from ..kinds import CLAIM, MARK, WORDS_ON_BOARD

#: What stands in the place of what is covered.
HIDDEN = "?"
#: The parts of a mark's shape that say where it is, and not what it states.
_PLACE = ("at", "start", "sweep")


def cover_words(kind: str, teacher_lifts: bool = False) -> str:
    """What is said of a covered thing, to someone who points at it: "a covered value: press it to see"."""
    what = {MARK: "mark", WORDS_ON_BOARD: "text", CLAIM: "claim"}.get(kind, "value")
    return f"a covered {what}: {'the teacher lifts it' if teacher_lifts else 'press it to see'}"


def veiled(item: dict[str, Any], kind: str) -> dict[str, Any]:
    """An item, or the part of one that is refreshed, with a cover on it."""
    item = dict(item)
    if "says" in item:
        item["says"] = item["sentence"] = cover_words(kind, "teacher_lifts" in item["style"])
    if item.get("label"):
        item["label"] = {**item["label"], "text": HIDDEN}
    shape = item.get("shape")
    if shape and kind == MARK:
        item["shape"] = {part: shape[part] for part in _PLACE if part in shape}
    elif shape and kind in (WORDS_ON_BOARD, CLAIM):
        item["shape"] = {part: value for part, value in shape.items() if part != "verdict"} | {"words": HIDDEN}
    return item
