"""From a board and what a person wants of it to a picture."""

from collections.abc import Collection, Mapping
from dataclasses import replace
from typing import Any

from ..core.board import Board, Settings
from ..core.display import Extent, at_first, display
from ..core.display.palette import GROUNDS, PENS
from ..core.kinds import CLAIM, LINE, MARK, RAY, REVEAL, WORDS_ON_BOARD
from ..core.refusal import Refusal
from .labels import words_box
from .picture import picture_of_items
from .primitives import Picture
from .things import Colours
from .wanted import Trail, Wanted

#: Pixels of print in a centimetre; letters and lines on paper are so much smaller than on the screen, and no finer.
_CM, _ON_PAPER, _FINEST = 96 / 2.54, 0.72, 0.45
#: How wide a board usually is on the screen, pixels.
USUAL_WIDTH = 960
#: What is wider or higher than so many centimetres is not drawn to scale.
_MOST_CM = 300
#: Round a figure there is this share of it as room, and so many pixels at least.
_ROOM, _LEAST = 0.06, 40


def centimetres(settings: Settings) -> float:
    """How many centimetres of paper a board unit has: by the board's scale, else one."""
    return 1 / settings.scale if settings.scale else 1.0


def whole(items: list[dict[str, Any]], pixel: float) -> Extent | None:
    """The part of the plane that everything of a display list takes up but for what has no end; None where there is nothing.

    Args:
        pixel: how many board units a pixel of words is; round a single point there is some room as well.
    """
    xs, ys = [], []
    for item in items:
        shape = item["shape"]
        if not shape or item["style"]["hidden"] or item["kind"] in (LINE, RAY, "reveal", "number", "mark"):
            continue
        reach = shape.get("radius", 0)
        places = list(zip(shape["points"][::2], shape["points"][1::2])) if "points" in shape else []
        places += [shape["at"][:2]] if "at" in shape else []
        places += [place for curve in shape.get("curves", ()) for place in zip(curve[::2], curve[1::2])]
        if item["kind"] == "words" and places:
            _, _, wide, high = words_box(item, 1.0)
            places.append((places[0][0] + wide * pixel, places[0][1] - high * pixel))
        xs += [x + side for x, _ in places for side in (-reach, reach)]
        ys += [y + side for _, y in places for side in (-reach, reach)]
    if not xs:
        return None
    room = max(_ROOM * max(max(xs) - min(xs), max(ys) - min(ys)), _LEAST * pixel)
    return Extent(min(xs) - room, min(ys) - room, max(xs) + room, max(ys) + room)


def part_of(board: Board, wanted: Wanted) -> Extent:
    """The part of the plane that is wanted. Raises Refusal for a frame without a width or a height."""
    view = Extent(*(wanted.view or board.settings.view))
    if wanted.part == "all":
        return whole(display(board, view), view.width / wanted.wide * board.settings.size) or view
    chosen = view if wanted.part == "view" or wanted.frame is None else Extent(*wanted.frame)
    if not (chosen.width > 1e-6 and chosen.height > 1e-6):
        raise Refusal("The frame needs a width and a height: its right side is right of its left one, its top above its foot.")
    return chosen


def items_of(board: Board, wanted: Wanted, extent: Extent) -> list[dict[str, Any]]:
    """The display list of what is wanted: covers as they are, what reveals hide left out, chalk and trails if wanted."""
    items = [_trail_item(number, trail) for number, trail in enumerate(wanted.trails) if trail.pen in PENS]
    items += display(board, extent, lifted=wanted.lifted)
    closed = set(wanted.closed)
    for item in items:
        if item["id"] in wanted.lifted:
            item["style"].pop("cover", None)
    return [item for item in items if item["id"] not in closed and (wanted.chalk or item["kind"] != "chalk")]


def _trail_item(number: int, trail: Trail) -> dict[str, Any]:
    """A trail as an item under everything else."""
    style = {"pen": trail.pen, "width": trail.width, "pattern": "solid", "fill": 0, "hidden": False, "label": False}
    shape = {"points": trail.points[: len(trail.points) // 2 * 2]}
    return {"id": f"trail{number}", "kind": "trail", "layer": -1, "sentence": "a trail", "style": style, "shape": shape, "label": None}


def as_opened(board: Board) -> Wanted:
    """A board as it is when it is opened: reveals as they start, covers shut."""
    items = display(board, Extent(*board.settings.view))
    seen = {item["id"] for item in at_first(items)}
    return Wanted(closed=[item["id"] for item in items if item["id"] not in seen])


def without_covered(board: Board, lifted: Collection[str] = ()) -> Board:
    """A board without the claims, words and marks that are covered, whose sentences would tell what the covers hide, and without what
    hangs on them."""
    left_out: set[str] = set()
    steps = []
    for step in board.steps:
        is_telling = step.makes in (CLAIM, MARK, WORDS_ON_BOARD)
        shown = [id for id in step.fills["things"] if id not in left_out] if step.makes == REVEAL else []
        if step.makes == REVEAL and shown:
            steps.append(replace(step, fills={**step.fills, "things": tuple(shown)}))
        elif (is_telling and step.look.cover and step.id not in lifted) or left_out & set(step.inputs):
            left_out.add(step.id)
        else:
            steps.append(step)
    return Board(board.settings, steps)


def under(board: Board, photographs: Mapping[str, bytes]) -> bytes | None:
    """Of some pictures by their marks, the one that lies under a board."""
    picture = board.settings.photograph
    return photographs.get(picture.mark) if picture else None


def picture_of_board(board: Board, wanted: Wanted, photograph: bytes | None = None) -> Picture:
    """The picture of a board.

    Args:
        photograph: the file of the picture that lies under it, if there is one.

    Raises:
        Refusal: where the frame is none, or where the board at its scale is larger than any paper.
    """
    settings, extent = board.settings, part_of(board, wanted)
    scale, view = settings.size, Extent(*(wanted.view or settings.view))
    if wanted.size == "scale":
        zoom = _CM * centimetres(settings)
        if max(extent.width, extent.height) * zoom > _MOST_CM * _CM:
            raise Refusal(
                f"To its scale that would be more than {_MOST_CM} cm wide or high. Choose a smaller part, or more board units to the "
                "centimetre under Look."
            )
        # What is drawn smaller than on the screen has smaller letters, as far as they can be read, or they would lie over it.
        scale *= max(_FINEST, min(_ON_PAPER, zoom * view.width / wanted.wide))
    else:
        zoom = wanted.wide / (view.width if wanted.part == "view" else extent.width)
    dark = settings.paper == "dark" and not wanted.ink_only and wanted.ground == "paper"
    ground = {"paper": GROUNDS[dark], "white": "#FFFFFF", "clear": None}[wanted.ground]
    return picture_of_items(
        items_of(board, wanted, extent),
        extent,
        extent.width * zoom,
        extent.height * zoom,
        colours=Colours(dark, wanted.ink_only, ground),
        scale=scale,
        names=wanted.names,
        readings=wanted.readings,
        settings=settings if wanted.grid else None,
        about=settings.title,
        photograph=(settings.photograph, photograph) if settings.photograph and photograph and wanted.photograph else None,
    )
