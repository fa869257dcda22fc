"""Readings and logs as CSV, in full precision."""

import csv
import io

from ..core.board import Board
from ..core.display.text import unit_text
from ..core.language.printing import sentence


def readings_csv(board: Board) -> str:
    """A row for each reading: its name, its value, its unit, its sentence; coordinates have two values."""
    rows = [("name", "value", "second value", "unit", "sentence")]
    for step in board.steps:
        if not step.is_reading:
            continue
        value, dimension = board.value(step.id), board.dimension(step.id)
        numbers = [] if value is None else [repr(float(part)) for part in (value if isinstance(value, tuple) else (value,))]
        if dimension == "equation" or len(numbers) > 2:
            continue
        first, second = (*numbers, "", "")[:2]
        rows.append((board.name(step.id), first, second, unit_text(dimension, board.settings.unit).strip(), sentence(board, step.id)))
    return _written(rows)


def log_csv(board: Board) -> str:
    """The log: names with units, then a row for each recording."""
    units = [unit_text(board.dimension(id), board.settings.unit).strip() for id in board.settings.log]
    heads = [f"{board.name(id)} ({unit})" if unit else board.name(id) for id, unit in zip(board.settings.log, units)]
    return _written([heads, *(["" if value is None else repr(value) for value in row] for row in board.settings.rows)])


def _written(rows) -> str:
    text = io.StringIO()
    csv.writer(text).writerows(rows)
    return text.getvalue()
