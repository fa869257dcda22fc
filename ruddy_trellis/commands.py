"""What can be asked for on the command line besides running the program: copies of the data, and whether it is whole."""

import json
from contextlib import closing
from sqlite3 import connect

from .core.lesson.file import BoardData, board_from_data
from .core.refusal import Refusal
from .store.upkeep import backup, check_whole, restore


def make_copy(data: str, copy: str) -> str:
    """Copy the data to a file, while the program runs or not. Returns what to tell."""
    backup(data, copy)
    return f"{copy} is a whole copy of {data}."


def bring_back(data: str, copy: str) -> str:
    """Put a copy in the place of the data. Returns what to tell."""
    restore(copy, data)
    return f"{data} is now what {copy} was. What was there before is in {data}.before."


def look_through(data: str) -> tuple[str, bool]:
    """Check the file and open every board in it. Returns what to tell, and whether all is well."""
    check_whole(data)
    with closing(connect(f"file:{data}?mode=ro", uri=True)) as connection:
        rows = connection.execute("SELECT id, document FROM board ORDER BY id").fetchall()
    broken = []
    for id, document in rows:
        try:
            board_from_data(BoardData.model_validate(json.loads(document)))
        except (Refusal, ValueError) as problem:
            broken.append(f"board {id}: {problem}")
    if broken:
        return "\n".join([f"{len(broken)} of {len(rows)} boards do not open whole:", *broken]), False
    return f"The file is whole, and all {len(rows)} boards in it open.", True
