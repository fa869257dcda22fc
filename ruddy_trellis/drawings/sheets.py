"""A picture to true scale on sheets of paper: as many as it takes, with crop marks by which they are put together."""

from dataclasses import dataclass, field
from math import ceil

from .primitives import Picture

#: Sizes of paper in millimetres, upright.
PAPERS = {"A4": (210.0, 297.0), "A3": (297.0, 420.0), "A5": (148.0, 210.0), "Letter": (215.9, 279.4)}
#: What a printer leaves white all round, and how far into that crop marks go, millimetres.
MARGIN, _MARK = 12.0, 7.0
#: More sheets than so many are no print.
MOST = 64
_MM = 25.4 / 96


@dataclass
class Sheet:
    """One sheet, in millimetres from its upper left corner.

    Attributes:
        window: where the picture is seen: left, top, right, low.
        shift: where the upper left corner of the picture is.
        crop_marks: lines in the margin, at the corners of the window.
        words: in the margin: x, y, what, and the size of its letters.
    """

    width: float
    height: float
    window: tuple[float, float, float, float]
    shift: tuple[float, float]
    crop_marks: list[tuple[float, float, float, float]] = field(default_factory=list)
    words: list[tuple[float, float, str, float]] = field(default_factory=list)


def sheets_for(picture: Picture, paper: str, landscape: bool, title: str) -> list[Sheet]:
    """The sheets that show a picture to true scale, row by row.

    Returns:
        One sheet with the picture in its middle where it fits; else as many as it takes, side by side and below one another.
    """
    width, height = PAPERS[paper][::-1] if landscape else PAPERS[paper]
    room_x, room_y = width - 2 * MARGIN, height - 2 * MARGIN
    whole_x, whole_y = picture.width * _MM, picture.height * _MM
    columns, rows = max(1, ceil(whole_x / room_x - 1e-9)), max(1, ceil(whole_y / room_y - 1e-9))
    if columns * rows == 1:
        left, top = (width - whole_x) / 2, (height - whole_y) / 2
        return [Sheet(width, height, (left, top, left + whole_x, top + whole_y), (left, top))]
    sheets = []
    for row in range(rows):
        for column in range(columns):
            shift = MARGIN - column * room_x, MARGIN - row * room_y
            window = MARGIN, MARGIN, min(MARGIN + room_x, shift[0] + whole_x), min(MARGIN + room_y, shift[1] + whole_y)
            sheet = Sheet(width, height, window, shift, _marks(window))
            place = f"{title}, sheet {row * columns + column + 1} of {rows * columns} (row {row + 1}, column {column + 1})"
            sheet.words.append((MARGIN + 2, height - 4.5, place, 3.0))
            sheets.append(sheet)
    return sheets


def _marks(window):
    left, top, right, low = window
    marks = []
    for x, way in ((left, -1), (right, 1)):
        for y, up in ((top, -1), (low, 1)):
            marks += [(x + way * 1.5, y, x + way * _MARK, y), (x, y + up * 1.5, x, y + up * _MARK)]
    return marks
