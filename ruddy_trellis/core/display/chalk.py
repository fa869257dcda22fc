"""Strokes of chalk as items of the display list: above everything, and nothing to be picked."""

from typing import Any

#: What the ids of such items begin with, and the layer in which they are drawn.
PREFIX, LAYER = "chalk:", 9


def chalk_item(stroke: Any) -> dict[str, Any]:
    """A stroke as an item."""
    return {
        "id": PREFIX + stroke.id,
        "kind": "chalk",
        "layer": LAYER,
        "says": "chalk",
        "sentence": "a stroke of chalk",
        "style": {"pen": stroke.pen, "width": stroke.width, "pattern": "solid", "fill": 0, "hidden": False, "label": False},
        "shape": {"points": stroke.points, "presses": stroke.presses},
        "label": None,
    }
