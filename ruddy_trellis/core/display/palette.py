"""The pens and how each kind of thing is drawn at first."""

from typing import Any

from ..kinds import (
    ARC,
    CHORD_REGION,
    CIRCLE,
    CLAIM,
    CONDITION,
    CONIC,
    FAMILY,
    LINE,
    LOCUS,
    MAPS,
    MARK,
    MOTION,
    NUMBER,
    POINT,
    POLYGON,
    QUIZ,
    RAY,
    REGION,
    REVEAL,
    SECTOR,
    SEGMENT,
    SUPPOSITION,
    VECTOR,
    WORDS_ON_BOARD,
)
from ..seen import SeenStep

#: Pens by name: on a light board, on a dark board. All stay tellable apart for colour-blind eyes with their patterns.
PENS = {
    "ink": ("#2B2A33", "#F4EFE6"),
    "ruddy": ("#A63D2F", "#F08A78"),
    "leaf": ("#3F6B4F", "#8CC7A1"),
    "straw": ("#B97F0A", "#F0C766"),
    "sky": ("#2F6F95", "#84BFE3"),
    "plum": ("#7A4B7C", "#CFA3D1"),
    "slate": ("#5A6472", "#AEB8C6"),
}

#: How a pen is told from the others in black ink: lengths drawn and left out, in multiples of the line's width.
INK_DASHES: dict[str, tuple[float, ...]] = {
    "ink": (), "ruddy": (9, 3), "leaf": (9, 3, 1.2, 3), "straw": (2, 2), "sky": (5, 2.5), "plum": (12, 3, 3, 3), "slate": (3.5, 1.5),
}  # fmt: skip

#: What lies on a value, a mark or words until they are predicted; what lies under the pointer is lit with it as well.
COVER = "#E3B04B"
#: The colour of a light and of a dark board.
GROUNDS = ("#FFFFFF", "#23262E")

#: The lattice of a light and of a dark board: fine lines, every fifth line, axes.
LATTICES = (("#EFE6D6", "#DFD1B8", "#8A8172"), ("#2E323C", "#3D4350", "#8D94A3"))

#: Sizes in pixels that every drawing uses: how far a label is pushed for a push of 1, the reach of an angle's arc and of
#: the square of a right angle, the letters of names and of tags, the strokes of marks, the head of a vector.
SIZES = {"push": 19, "arc": 28, "square": 18, "name": 21, "tag": 16, "stroke": 11, "arrow": 15}

#: For each kind: pen, width in pixels, pattern, fill opacity, size of a peg in pixels, whether its name is shown.
_FIRST = {
    POINT: ("leaf", 2.0, "solid", 0.0, 8.0, True),
    SEGMENT: ("ink", 2.6, "solid", 0.0, 0.0, False),
    RAY: ("sky", 2.2, "solid", 0.0, 0.0, True),
    LINE: ("sky", 2.2, "solid", 0.0, 0.0, True),
    CIRCLE: ("ruddy", 2.2, "solid", 0.0, 0.0, True),
    POLYGON: ("ink", 2.6, "solid", 0.16, 0.0, False),
    VECTOR: ("plum", 3.0, "solid", 0.0, 0.0, True),
    ARC: ("ruddy", 2.6, "solid", 0.0, 0.0, False),
    CONIC: ("ruddy", 2.6, "solid", 0.0, 0.0, True),
    SECTOR: ("ink", 2.6, "solid", 0.16, 0.0, False),
    CHORD_REGION: ("ink", 2.6, "solid", 0.16, 0.0, False),
    NUMBER: ("sky", 2.2, "solid", 0.0, 0.0, True),
    MARK: ("ink", 2.4, "solid", 0.0, 0.0, False),
    LOCUS: ("plum", 3.0, "solid", 0.0, 0.0, False),
    FAMILY: ("ink", 2.6, "solid", 0.16, 0.0, False),
    CONDITION: ("sky", 2.2, "solid", 0.16, 0.0, False),
    REGION: ("leaf", 3.0, "solid", 0.35, 0.0, True),
    CLAIM: ("ink", 2.0, "solid", 0.35, 18.0, False),
    WORDS_ON_BOARD: ("ink", 0.0, "solid", 0.0, 18.0, False),
    REVEAL: ("ruddy", 2.0, "solid", 0.0, 0.0, False),
    QUIZ: ("ruddy", 2.0, "solid", 0.0, 0.0, False),
    SUPPOSITION: ("ink", 2.0, "solid", 0.0, 0.0, False),
    MOTION: ("ink", 2.0, "solid", 0.0, 0.0, False),
    **dict.fromkeys(MAPS, ("ink", 2.0, "solid", 0.0, 0.0, False)),
}


def style_of(step: SeenStep, looks: Any = ()) -> dict[str, Any]:
    """How a step is drawn: what was chosen for it, else what the board's own looks say of its kind, else how that kind
    is drawn at first.

    Args:
        looks: the board's own looks, a dict from kinds to parts of a look.

    Returns:
        A dict with pen, fill_pen, width, pattern, fill, size, label, hidden, tag; for a point its peg as well.
    """
    construction, look = step.construction, step.look
    pen, width, pattern, fill, size, label = _FIRST[step.makes]
    if construction.helper:
        width, pattern = 1.8, "dashed"
    style: dict[str, Any] = {}
    if step.makes == POINT:
        style["peg"] = step.moves or "fixed"
        if not construction.moves:
            pen, size = "ink", 5.0
    chosen = {"pen": pen, "width": width, "pattern": pattern, "fill": fill, "size": size, "label": label, "tag": True}
    board_look = looks.get(step.makes, {})
    for part, plain in chosen.items():
        own = getattr(look, part)
        own = board_look.get(part) if own is None else own
        style[part] = plain if own is None else own
    style["fill_pen"] = look.pen or board_look.get("pen") or ("straw" if step.makes in (POLYGON, SECTOR, CHORD_REGION) else pen)
    style["hidden"] = look.hidden
    if look.cover:
        style["cover"] = True
        if look.teacher_lifts:
            style["teacher_lifts"] = True
    if look.trail is not None:
        style["trail"] = look.trail
    if construction.moves == "turning":
        style["tag"] = False  # a dial shows its value itself
    return style


#: The parts of a look that can be given to other things.
LOOK_PARTS = ("pen", "width", "pattern", "fill", "size", "label")


def look_of(step: SeenStep, looks: Any = ()) -> dict[str, Any]:
    """The parts of a step's look that can be given to other things, or to its whole kind; a size only where there is one."""
    style = style_of(step, looks)
    return {part: style[part] for part in LOOK_PARTS if part != "size" or style["size"]}
