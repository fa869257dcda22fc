"""What of a board others see: one function for the wall, for what is put up, for who follows, and for pegs.

No hidden thing is in it, nothing of what closed reveals keep back, no value under a cover that is not lifted, no sentence of the
construction, and nothing of whose board it is.
"""

from collections.abc import Collection, Mapping
from typing import Any

from ..kinds import MAPS, MOTION, QUIZ, REVEAL, SUPPOSITION
from ..seen import Items

#: What is drawn by the page, and not on the board, or not at all.
_NOT_DRAWN = frozenset((REVEAL, QUIZ, MOTION, SUPPOSITION, *MAPS))
#: The parts of an item that are told.
_TOLD = ("id", "kind", "layer", "style", "shape", "label")


def closed_at_first(items: Items) -> frozenset[str]:
    """The ids of what reveals keep back before any of them is pressed."""
    reveals = [item["shape"] for item in items if item["kind"] == REVEAL and item["shape"] and not item["style"]["hidden"]]
    return frozenset(id for shape in reveals if not shape["shown"] for id in shape["reveals"])


def seen_by_others(items: Items, closed: Collection[str] = (), lifted: Collection[str] = ()) -> Items:
    """The items of a display list as others see them.

    Args:
        items: the list, with covers where they lie.
        closed: the ids of what reveals keep back now.
        lifted: the ids of things whose covers are lifted in that list.

    Returns:
        Of each item that is seen its id, kind, layer, style, shape and label.
    """
    told = [{part: item[part] for part in _TOLD if part in item} for item in items if is_seen(item, closed)]
    for item in told:
        if item["id"] in lifted:
            item["style"] = {part: value for part, value in item["style"].items() if part != "cover"}
    return told


def is_seen(item: Mapping[str, Any], closed: Collection[str]) -> bool:
    """Whether others see an item."""
    return item["kind"] not in _NOT_DRAWN and not item["style"].get("hidden") and item["id"] not in closed


def moved_for_others(items: Items, shown: Collection[str]) -> Items:
    """What was refreshed of a display list, as far as it is of things that others see.

    Args:
        shown: the ids of what they see.
    """
    return [{part: item[part] for part in ("id", "shape", "label")} for item in items if item["id"] in shown]
