"""Settings of the board as a whole."""

from dataclasses import replace
from math import hypot
from typing import Any

from ..board.board import Board
from ..board.settings import Photograph
from ..limits import LENGTH_LEAST, check_number
from ..refusal import Refusal
from .log import check_logged
from .patch import Patch, known

#: What is said of a change to the picture alone: taken away, or put there or changed.
_PICTURE = ("Took the picture away", "Changed the picture")


def fitted(board: Board, edit: Any) -> Patch:
    """The patch that makes the picture so large that two places on it are a length apart. Raises Refusal."""
    picture = board.settings.photograph
    if picture is None:
        raise Refusal("There is no picture under this figure. Drop a PNG or JPEG on the board first.")
    (ax, ay), (bx, by) = edit.first, edit.second
    apart = hypot(bx - ax, by - ay)
    if apart < LENGTH_LEAST:
        raise Refusal("These two places are one. Click two that are apart, such as the ends of a wall.")
    times = edit.length / apart
    x, y = picture.at
    at = check_number(ax + times * (x - ax)), check_number(ay + times * (y - ay))
    width = check_number(picture.width * times)
    if width < LENGTH_LEAST:
        raise Refusal("So small a picture cannot be seen.")
    after = board.settings.with_(photograph=replace(picture, at=at, width=width))
    return Patch("Fitted the picture", settings_before=board.settings, settings_after=after)


def arranged(board: Board, edit: Any) -> Patch:
    changes = edit.model_dump(exclude_unset=True, exclude={"kind"})
    changes = {name: part for name, part in changes.items() if part is not None or name in ("spacing", "scale", "nice", "photograph")}
    if edit.looks is not None:
        changes["looks"] = {kind: look.model_dump(exclude_unset=True) for kind, look in edit.looks.items()}
    if edit.photograph is not None:
        changes["photograph"] = Photograph(**edit.photograph.model_dump())
    if "kit_tools" in changes:
        changes["kit_tools"] = tuple(dict.fromkeys(changes["kit_tools"]))
    if "title" in changes and not changes["title"].strip():
        raise Refusal("A board needs a title of at least one character.")
    if "view" in changes:
        left, low, right, high = (check_number(part) for part in changes["view"])
        if not (right - left > 1e-6 and high - low > 1e-6):
            raise Refusal("The view needs a width and a height above zero.")
        changes["view"] = (left, low, right, high)
    check_logged(board, known(board, (*changes.get("log", ()), *(changes.get("nice") or ())[:1])))
    if "log" in changes:
        changes["log"] = tuple(changes["log"])
        changes.setdefault("rows", ())
    if "rows" in changes:
        changes["rows"] = tuple(map(tuple, changes["rows"]))
        width = len(changes.get("log", board.settings.log))
        if any(len(row) != width for row in changes["rows"]):
            raise Refusal(f"Every row of the log has one value for each of its {width} readings.")
    about = _PICTURE[edit.photograph is not None] if list(changes) == ["photograph"] else "Changed the board"
    return Patch(about, settings_before=board.settings, settings_after=board.settings.with_(**changes))
