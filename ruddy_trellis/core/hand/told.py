"""What is told of a board as a whole: its state, and what has changed of what is seen."""

from collections.abc import Collection
from dataclasses import asdict
from typing import Any

from ..board import Board
from ..seen import Items
from .acts import Answer


def state_of(board: Board, undo: bool, redo: bool) -> dict[str, Any]:
    """What a page needs besides the display list.

    Args:
        undo, redo: whether there is anything to take back, or to make again.
    """
    settings = board.settings
    return {
        "title": settings.title, "unit": settings.unit, "ground": settings.ground, "view": settings.view, "paper": settings.paper,
        "spacing": settings.spacing, "size": settings.size, "snap": settings.snap, "scale": settings.scale, "log": len(settings.log),
        "photograph": asdict(settings.photograph) if settings.photograph else None,
        "undo": undo, "redo": redo, "steps": len(board),
    }  # fmt: skip


def changes(before: dict[str, Any], items: Items, moved: Collection[str], state: dict[str, Any]) -> Answer:
    """What differs from what was told last.

    Args:
        before: the items that were told last, by id.
        items: the display list as it is now.
        moved: the ids of what was told by itself meanwhile.
    """
    there = {item["id"] for item in items}
    return {
        "t": "changed",
        "items": [item for item in items if item["id"] in moved or before.get(item["id"]) != item],
        "gone": [id for id in before if id not in there],
        "state": state,
    }
