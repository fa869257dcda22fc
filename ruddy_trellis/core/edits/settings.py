"""Settings of the board as a whole."""

from typing import Any

from ..board.board import Board
from ..limits import check_number
from ..refusal import Refusal
from .log import check_logged
from .patch import Patch, known


def arranged(board: Board, edit: Any) -> Patch:
    changes = edit.model_dump(exclude_unset=True, exclude={"kind"})
    changes = {name: part for name, part in changes.items() if part is not None or name in ("spacing", "scale", "nice")}
    if edit.looks is not None:
        changes["looks"] = {kind: look.model_dump(exclude_unset=True) for kind, look in edit.looks.items()}
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
    return Patch("Changed the board", settings_before=board.settings, settings_after=board.settings.with_(**changes))
