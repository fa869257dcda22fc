"""Readings and logs as CSV, in full precision."""

import csv
import io
from collections.abc import Collection

from ..core.board import Board
from ..core.display.text import unit_text
from ..core.language.printing import sentence

#: What stands in the place of a value under a cover.
COVERED = "covered"


def readings_csv(board: Board, lifted: Collection[str] = (), closed: Collection[str] = ()) -> str:
    """A row for each reading: its name, its value, its unit, its sentence; coordinates have two values.

    Args:
        lifted: the ids of things whose covers are lifted; the values of others that are covered are not told.
        closed: the ids of what closed reveals hide: it is left out.
    """
    rows = [("name", "value", "second value", "unit", "sentence")]
    for step in board.steps:
        if not step.is_reading or step.id in closed:
            continue
        value, dimension = board.value(step.id), board.dimension(step.id)
        numbers = [] if value is None else [repr(float(part)) for part in (value if isinstance(value, tuple) else (value,))]
        if dimension == "equation" or len(numbers) > 2:
            continue
        first, second = (COVERED, "") if _is_covered(board, step.id, lifted) else (*numbers, "", "")[:2]
        rows.append((board.name(step.id), first, second, unit_text(dimension, board.settings.unit).strip(), sentence(board, step.id)))
    return _written(rows)


def log_csv(board: Board, lifted: Collection[str] = ()) -> str:
    """The log: names with units, then a row for each recording; of what is covered, that it is."""
    covered = [_is_covered(board, id, lifted) for id in board.settings.log]
    told = lambda value, is_covered: COVERED if is_covered else "" if value is None else repr(value)
    units = [unit_text(board.dimension(id), board.settings.unit).strip() for id in board.settings.log]
    heads = [f"{board.name(id)} ({unit})" if unit else board.name(id) for id, unit in zip(board.settings.log, units)]
    return _written([heads, *([told(*one) for one in zip(row, covered)] for row in board.settings.rows)])


def _is_covered(board: Board, id: str, lifted: Collection[str]) -> bool:
    return bool(id in board and board.step(id).look.cover and id not in lifted)


def _written(rows) -> str:
    text = io.StringIO()
    csv.writer(text).writerows(rows)
    return text.getvalue()
