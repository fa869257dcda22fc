"""The log: the readings that are recorded, row by row."""

from collections.abc import Collection, Sequence
from typing import Any

from .. import limits
from ..board.board import Board
from ..board.settings import Settings
from ..kinds import NUMBER
from ..refusal import Refusal
from .patch import Patch


def logged_row(board: Board) -> tuple[Any, ...]:
    """The present values of the log's readings, None where one has none now."""
    return tuple(board.value(id) for id in board.settings.log)


def with_rows(settings: Settings, rows: Sequence[Any]) -> Settings:
    """The settings with more rows in the log. Raises Refusal where it is full."""
    if len(settings.rows) + len(rows) > limits.LOG_ROWS:
        raise Refusal(f"The log is full: it holds {limits.LOG_ROWS:,} rows. Clear it, or save it as CSV first.")
    return settings.with_(rows=(*settings.rows, *rows))


def recorded(board: Board, edit: Any) -> Patch:
    if not board.settings.log:
        raise Refusal("Choose at least one reading for the log first.")
    after = with_rows(board.settings, (logged_row(board),))
    return Patch(f"Recorded row {len(after.rows)}", settings_before=board.settings, settings_after=after)


def settings_without(settings: Settings, ids: Collection[str]):
    """The settings before and after these steps are gone: the log and the nice lengths cannot name them."""
    nice = None if settings.nice and settings.nice[0] in ids else settings.nice
    kept = [number for number, id in enumerate(settings.log) if id not in ids]
    if nice == settings.nice and len(kept) == len(settings.log):
        return ()
    rows = tuple(tuple(row[number] for number in kept) for row in settings.rows) if kept else ()
    return settings, settings.with_(nice=nice, log=tuple(settings.log[number] for number in kept), rows=rows)


def check_logged(board: Board, ids: Sequence[str]) -> None:
    """Raise Refusal unless these are readings that are single numbers: those can be logged, and kept to whole steps."""
    for id in ids:
        if not (board.kind_of(id) == NUMBER and board.dimension(id) not in ("coordinates", "equation")):
            raise Refusal(f"{board.name(id)} is not a number that can be logged.")
