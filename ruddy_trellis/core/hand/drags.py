"""What is held at one board: by whom, and where it was when it was taken."""

from collections.abc import Hashable

from .. import limits
from ..board import Board, Step, numbers_of
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

    def start(self, owner: Hashable, board: Board, ids: tuple[str, ...]) -> None:
        """Take hold of pegs. Their steps as they are now are what an undo will bring back."""
        self._held[owner] = (set(ids), {id: board.step(id) for id in (*ids, *board.followers(ids))}, [])

    def put_back(self, board: Board) -> None:
        """Put everything that is held back to where it was taken, on a copy of the board: so its history gives it."""
        before: dict[str, Step] = {}
        for _, steps, _ in reversed(self._held.values()):
            before.update(steps)  # of what two hold, the first one took it where it was kept
        if before:
            board.become(before.get(step.id, step) for step in board.steps)

    def carry_over(self, old: Board, new: Board) -> bool:
        """Someone's edit has made a new board of the old one: there, too, what is held is where it is, and what a drag has
        moved is told from there. Whoever holds what is no peg any more has lost hold. Returns whether anything is held."""
        at: dict[str, tuple[float, ...]] = {}
        for owner, (pegs, _, rows) in list(self._held.items()):
            still = [id for id in pegs if id in new and new.step(id).does == old.step(id).does]
            at.update({id: numbers_of(old.step(id)) for id in still})
            before = {id: new.step(id) for id in (*still, *new.followers(still))}
            self._held[owner] = (pegs if len(still) == len(pegs) else set(), before, rows)
        if at:
            new.move(at)
        return bool(at)

    def move(
        self, owner: Hashable, board: Board, extent: Extent, numbers: dict[str, tuple[float, ...]], near: dict[str, tuple[float, ...]]
    ) -> Items | None:
        """Move what is held. Returns the refreshed items, or None where nothing is held any more.

        Args:
            near: where what has to be followed was followed to by a copy; of what hangs on what is held.
        """
        pegs, _, rows = self._held.get(owner, (set(), {}, []))
        if not pegs or any(id not in board for id in pegs):
            return None  # someone else took it away
        if not numbers:
            return []
        moved = board.move({id: tuple(map(_bounded, at)) for id, at in numbers.items() if id in pegs})
        if near:
            board.follow_to({id: at for id, at in near.items() if id in moved})
        items = refreshed(board, extent, moved)
        if board.settings.logging and board.settings.log:
            row = logged_row(board)
            if len(rows) < limits.LOG_ROWS and (not rows or rows[-1] != row):
                rows.append(row)
        return items

    def let_go(self, owner: Hashable, board: Board) -> Patch | None:
        """Let go. Returns the patch of the whole drag, already in the board but for rows of the log; None where nothing
        had moved."""
        _, before, rows = self._held.pop(owner, (set(), {}, []))
        moved = [id for id, step in before.items() if id in board and board.step(id) != step]
        if not moved:
            return None
        place, settings = board.place, board.settings
        rows = rows[: limits.LOG_ROWS - len(settings.rows)]
        return Patch(
            f"Moved {', '.join(board.name(id) for id in [id for id in moved if numbers_of(board.step(id))][:6])}",
            tuple((place(id), before[id]) for id in moved),
            tuple((place(id), board.step(id)) for id in moved),
            *((settings, with_rows(settings, rows)) if rows else ()),
        )


def _bounded(number: float) -> float:
    """A number that may be kept: whatever a pointer says, a peg stays where it can be saved and read again."""
    return min(max(float(number), -limits.COORDINATE), limits.COORDINATE) if number == number else 0.0
