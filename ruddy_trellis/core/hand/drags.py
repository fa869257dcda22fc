"""What is held at one board: by whom, and where it was when it was taken."""

from collections.abc import Hashable

from .. import limits
from ..board import Board, Step
from ..display import Extent, refreshed
from ..edits import Patch
from ..edits.log import logged_row, with_rows
from .acts import Items


class Drags:
    """The drags under way at a board. A drag becomes one edit when it is let go."""

    def __init__(self) -> None:
        self._held: dict[Hashable, tuple[set[str], dict[str, Step], list]] = {}

    def __bool__(self) -> bool:
        return bool(self._held)

    @property
    def owners(self) -> list[Hashable]:
        """Those who hold something."""
        return list(self._held)

    @property
    def held(self) -> list[str]:
        """The ids of all pegs that are held."""
        return [id for pegs, _, _ in self._held.values() for id in pegs]

    def start(self, owner: Hashable, board: Board, ids: tuple[str, ...]) -> None:
        """Take hold of pegs. Their steps as they are now are what an undo will bring back."""
        self._held[owner] = (set(ids), {id: board.step(id) for id in (*ids, *board.followers(ids))}, [])

    def go_on_from(self, board: Board, patch: Patch) -> None:
        """A patch of someone else has given this board while things were held: of what it touches, a drag tells from there on
        what it has moved."""
        touched = {step.id for _, step in (*patch.before, *patch.after)}
        for _, before, _ in self._held.values():
            before.update({id: board.step(id) for id in before if id in touched and id in board})

    def move(self, owner: Hashable, board: Board, extent: Extent, numbers: dict[str, tuple[float, ...]]) -> Items | None:
        """Move what is held. Returns the refreshed items, or None where nothing is held any more."""
        if owner not in self._held:
            return None
        if not numbers:
            return []
        pegs, _, rows = self._held[owner]
        if any(id not in board for id in pegs):
            return None  # someone else took it away
        items = refreshed(board, extent, board.move({id: tuple(map(_bounded, at)) for id, at in numbers.items() if id in pegs}))
        if board.settings.logging and board.settings.log:
            row = logged_row(board)
            if len(rows) < limits.LOG_ROWS and (not rows or rows[-1] != row):
                rows.append(row)
        return items

    def let_go(self, owner: Hashable, board: Board) -> Patch | None:
        """Let go. Returns the patch of the whole drag, already in the board but for rows of the log; None where nothing
        had moved."""
        pegs, before, rows = self._held.pop(owner, (set(), {}, []))
        moved = [id for id, step in before.items() if id in board and board.step(id) != step]
        if not moved:
            return None
        place, settings = board.place, board.settings
        rows = rows[: limits.LOG_ROWS - len(settings.rows)]
        return Patch(
            f"Moved {', '.join(board.name(id) for id in [id for id in moved if id in pegs][:6])}",
            tuple((place(id), before[id]) for id in moved),
            tuple((place(id), board.step(id)) for id in moved),
            *((settings, with_rows(settings, rows)) if rows else ()),
        )


def _bounded(number: float) -> float:
    """A number that may be kept: whatever a pointer says, a peg stays where it can be saved and read again."""
    return min(max(float(number), -limits.COORDINATE), limits.COORDINATE) if number == number else 0.0
