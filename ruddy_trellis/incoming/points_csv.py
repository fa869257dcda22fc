"""Points from a table: two numbers a row, with or without a name, with or without a heading, with commas, semicolons or tabs."""

import csv
import io
from collections.abc import Iterator

from ..core.refusal import Refusal
from .found import Found

_MOST_COLUMNS = 40


def read_points(content: bytes) -> Found:
    """The points of a table. Raises Refusal naming the first row that has none."""
    text = decoded(content)
    separator = next((sign for sign in ";\t" if sign in text), None)
    # Where semicolons or tabs stand between numbers, commas are decimal; else commas stand between them, or spaces do.
    rows = csv.reader(io.StringIO(text), delimiter=separator or ("," if "," in text else " "), skipinitialspace=True)
    found, heading = Found(is_placed=True), True
    for number, row in enumerate(_readable(rows), 1):
        cells = [cell.strip() for cell in row if cell.strip()][:_MOST_COLUMNS]
        if not cells or cells[0].startswith("#"):
            continue
        numbers = [value for cell in cells if (value := _number(cell, separator is not None)) is not None]
        names = [cell for cell in cells if _number(cell, separator is not None) is None]
        if len(numbers) < 2:
            if heading and not numbers:
                heading = False  # the first row without numbers says what the columns are
                continue
            raise Refusal(f"Row {number} has no two numbers: “{' '.join(cells)[:60]}”. A row is a point: A; 2.5; 3, or 2.5, 3.")
        heading = False
        found.points.append((numbers[0], numbers[1], names[0].replace("'", "′") if names else None))
        found.room()
    found.check()
    return found


def _readable(rows: Iterator[list[str]]) -> Iterator[list[str]]:
    """The rows of a table. Raises Refusal where one cannot be taken apart, as with a quotation mark that never ends."""
    try:
        yield from rows
    except csv.Error as error:
        raise Refusal(f"The table cannot be read: {error}. A row is a point: A; 2.5; 3, or 2.5, 3.") from None


def decoded(content: bytes) -> str:
    """The text of a file. Raises Refusal where it is none."""
    for encoding in ("utf-8-sig", "utf-16" if content[:2] in (b"\xff\xfe", b"\xfe\xff") else "cp1252"):
        try:
            text = content.decode(encoding)
        except UnicodeDecodeError:
            continue
        if "\0" not in text:
            return text
    raise Refusal("That file is no text. Save the table as CSV (UTF-8).")


def _number(cell: str, decimal_comma: bool) -> float | None:
    cell = cell.replace("−", "-").replace(" ", "").replace("\u00a0", "")
    if decimal_comma and "." not in cell:
        cell = cell.replace(",", ".")
    try:
        return float(cell) if cell[:1] in "+-.0123456789" and len(cell) <= 40 else None
    except ValueError:
        return None
