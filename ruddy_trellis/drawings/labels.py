"""What is written on a board: names, readings, words in their frames, the values of dials."""

from typing import Any

from ..core.display.palette import SIZES
from .letters import width_of
from .primitives import Part, Pen, Shape, Text
from .things import Things

#: So many letters of words stand in a line, as on the screen.
_WIDE = 34
#: In a picture drawn so small, long names are smaller still, else they would lie over one another.
_SMALL, _SHORT = 0.75, 4


def written(item: dict[str, Any]) -> bool:
    """Whether the name or the tag of an item is written."""
    return bool(item["label"]) and bool(item["style"]["tag"] if item["kind"] == "number" else item["style"]["label"])


def label_parts(things: Things, item: dict[str, Any], halo: bool) -> list[Part]:
    """The name of a thing beside it, or the tag of a reading on its plate.

    Args:
        halo: whether the letters of names have a light edge.
    """
    is_reading = item["kind"] == "number"
    label, size = item["label"], SIZES["tag" if is_reading else "name"] * things.scale
    if not is_reading and len(label["text"]) > _SHORT and things.scale < _SMALL:
        size *= 0.62
    x, y = things.place(*label["at"])
    dx, dy = label["offset"] or (SIZES["push"] * label["push"][0], -SIZES["push"] * label["push"][1])
    x, y = x + dx * things.scale, y + dy * things.scale
    if is_reading:
        return things.cover(x, y) if item["style"].get("cover") else tag_parts(things, x, y, label["text"], item["style"]["pen"], size)
    lines = label["text"].split("\n")
    top = y + size * (0.35 - 0.55 * (len(lines) - 1))
    colour, edge = things.colours.pen("ink"), things.colours.edge if halo else None
    return [Text(x, top + number * 1.1 * size, line, size, colour, True, halo=edge, is_name=True) for number, line in enumerate(lines)]


def tag_parts(things: Things, x: float, y: float, text: str, pen: str, size: float) -> list[Part]:
    """Words on a plate, both in the middle of a place."""
    width, height = width_of(text, size) + size, 1.6 * size
    plate = things.plate(x - width / 2, y - height / 2, width, height, 0.4 * size)
    return [Shape(plate, fill=things.colours.edge, opacity=0.85), Text(x, y + 0.35 * size, text, size, things.colours.pen(pen))]


def words_parts(things: Things, item: dict[str, Any]) -> list[Part]:
    """Words that stand on the board, from their upper left corner, framed where they have a fill."""
    style, colours, is_covered = item["style"], things.colours, bool(item["style"].get("cover"))
    size, lines, width, height = words_box(item, things.scale)
    x, y = things.place(*item["shape"]["at"])
    parts: list[Part] = []
    if style["fill"] or is_covered:
        frame = Pen(colours.pen(style["pen"]), 1.4 * things.scale) if style["fill"] or colours.ink_only else None
        parts.append(Shape(things.plate(x, y, width, height, 0.4 * size), frame, colours.cover if is_covered else colours.edge))
    if is_covered:
        return [*parts, Text(x + width / 2, y + height / 2 + 0.35 * size, "?", size, colours.on_cover)]
    pen = colours.pen(style["pen"])
    tops = (y + size * (1.15 + 1.3 * number) for number in range(len(lines)))
    return parts + [Text(x + size / 2, top, line, size, pen, anchor="start") for line, top in zip(lines, tops)]


def words_box(item: dict[str, Any], scale: float) -> tuple[float, list[str], float, float]:
    """The size of the letters of words on the board, their lines, and how wide and high all of it is, pixels."""
    size, lines = item["style"]["size"] * scale, [""]
    for word in item["shape"]["words"].split(" "):
        if lines[-1] and len(lines[-1]) + len(word) > _WIDE:
            lines.append(word)
        else:
            lines[-1] = f"{lines[-1]} {word}" if lines[-1] else word
    least = 7 * size if item["style"].get("cover") else 0
    return size, lines, max(least, *(width_of(line, size) for line in lines)) + size, len(lines) * size * 1.3 + size * 0.5


def dials_parts(things: Things, items: list[dict[str, Any]]) -> list[Part]:
    """The values of dials in the upper left corner, as they stand there on the board."""
    parts: list[Part] = []
    size = SIZES["tag"] * things.scale
    for row, item in enumerate(item for item in items if "dial" in item["shape"] and item["label"]):
        text = item["label"]["text"]
        x, y = 0.8 * size + (width_of(text, size) + size) / 2, size * (1.6 + 2.0 * row)
        parts += tag_parts(things, x, y, text, item["style"]["pen"], size)
    return parts
