"""From the display list to a picture that every format can write: what is drawn, in which order."""

from collections.abc import Collection
from typing import Any

from ..core.board import Photograph, Settings
from ..core.display.extent import Extent
from .ground import ground_parts
from .labels import dials_parts, label_parts, words_parts, written
from .primitives import Image, Named, Part, Picture
from .things import Colours, Things


def picture_of_items(
    items: list[dict[str, Any]],
    extent: Extent,
    width: float,
    height: float,
    *,
    colours: Colours = Colours(),
    scale: float = 1.0,
    names: bool = True,
    readings: bool = True,
    words: bool = True,
    settings: Settings | None = None,
    closed: Collection[str] = (),
    about: str = "",
    photograph: tuple[Photograph, bytes] | None = None,
) -> Picture:
    """The picture of a display list.

    Args:
        items: the display list.
        extent: the part of the plane to show, fitted into the picture whole.
        width, height: of the picture, pixels.
        scale: of line widths, pegs and words.
        names, readings, words: whether names, the tags of readings, and the words of the board are written.
        settings: of the board whose ground is drawn; None for no ground.
        closed: the ids of things that a reveal hides now.
        about: what it shows, in words.
        photograph: where the picture under the figure lies, and its file.
    """
    things = Things(extent, width, height, scale, colours)
    picture = Picture(width, height, colours.ground, (things.x0, things.y0, things.zoom), about)
    seen = Extent(*_corner(things, 0, height), *_corner(things, width, 0))
    if photograph:
        picture.parts.append(_photograph(things, *photograph))
    if settings:
        picture.parts += ground_parts(things, settings, seen)
    shown = [
        item
        for item in sorted(items, key=lambda item: item["layer"])
        if item["shape"] is not None and not item["style"]["hidden"] and item["id"] not in closed
    ]
    parts: dict[str, list[Part]] = {item["id"]: _drawn(things, item, words) for item in shown}
    # Pegs lie over tags, so that what is taken hold of is not covered; names lie over all.
    pegs = [item for item in shown if item["kind"] == "point"]
    others = [item for item in shown if item["kind"] != "point"]
    tags = [item for item in shown if item["kind"] == "number" and written(item)] if readings else []
    called = [item for item in shown if item["kind"] != "number" and written(item)] if names else []
    picture.parts += [_named(item, parts[item["id"]]) for item in others if parts[item["id"]]]
    picture.parts += [_named(item, label_parts(things, item, True), "-tag") for item in tags]
    if readings and words:
        picture.parts += dials_parts(things, shown)
    picture.parts += [_named(item, parts[item["id"]]) for item in pegs]
    picture.parts += [_named(item, label_parts(things, item, words), "-name") for item in called]
    return picture


def _drawn(things: Things, item: dict[str, Any], words: bool) -> list[Part]:
    if item["kind"] in ("words", "reveal", "motion"):
        return words_parts(things, item) if words and item["kind"] == "words" else []
    return things.shape(item)


def _photograph(things: Things, under: Photograph, content: bytes) -> Part:
    width = under.width * things.zoom
    image = Image(*things.place(*under.at), width, width * under.tall, under.turn, under.fade, content)
    return Named("photograph", "photograph", "a picture to trace", (image,))


def _named(item: dict[str, Any], parts: list[Part], more: str = "") -> Named:
    """The parts of a thing, or with more to its id, of its name or its tag."""
    if more:
        return Named(item["id"] + more, more[1:], "", tuple(parts))
    x, y = item["shape"]["at"][:2] if item["kind"] == "point" else (0, 0)
    return Named(item["id"], item["kind"], item["sentence"], tuple(parts), (float(x), float(y)) if item["kind"] == "point" else None)


def _corner(things: Things, x: float, y: float) -> tuple[float, float]:
    """Pixels to board units."""
    return (x - things.x0) / things.zoom, (things.y0 - y) / things.zoom
