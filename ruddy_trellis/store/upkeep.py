"""Looking after a data file: one process at a time, copies that are whole, and what is wrong with it."""

import fcntl
import os
import sqlite3
from contextlib import closing
from pathlib import Path


class DataProblem(Exception):
    """The data file cannot be used; the text says why, and what to do."""


def hold(path: str | Path):
    """Keep the data file for this process for as long as what is returned is open: two processes on one file would lose
    one another's edits. Raises DataProblem where another one has it."""
    path = Path(path)
    path.parent.mkdir(parents=True, exist_ok=True)
    held = open(f"{path}.lock", "w")  # noqa: SIM115  it stays open for as long as the process runs
    try:
        fcntl.flock(held, fcntl.LOCK_EX | fcntl.LOCK_NB)
    except OSError:
        held.close()
        raise DataProblem(f"Another Ruddy Trellis runs on {path}. Stop it first, or give this one a file of its own with --data.") from None
    return held


def check_whole(path: str | Path) -> None:
    """Raise DataProblem unless the file is there and passes SQLite's integrity check."""
    if not Path(path).exists():
        raise DataProblem(f"There is no file {path}.")
    try:
        with closing(sqlite3.connect(f"file:{path}?mode=ro", uri=True)) as connection:
            (answer,) = connection.execute("PRAGMA integrity_check").fetchone()
    except sqlite3.DatabaseError as error:
        raise DataProblem(f"{path} is not a data file of this program, or is damaged ({error}).") from None
    if answer != "ok":
        raise DataProblem(f"{path} is damaged: {answer}. Bring back a copy with: python -m ruddy_trellis restore COPY.")


def backup(path: str | Path, copy: str | Path) -> None:
    """Copy a data file while it may be in use, and check the copy. Raises DataProblem where that cannot be."""
    check_whole(path)
    _copy(path, copy)
    check_whole(copy)


def restore(copy: str | Path, path: str | Path) -> None:
    """Put a checked copy in the place of a data file that nobody uses; what was there is kept beside it, as ``….before``.
    Raises DataProblem where that cannot be."""
    check_whole(copy)
    with hold(path):
        fresh, path = f"{path}.fresh", Path(path)
        _copy(copy, fresh)
        check_whole(fresh)
        if path.exists():
            _copy(path, f"{path}.before")
        for ending in ("-wal", "-shm"):
            Path(f"{path}{ending}").unlink(missing_ok=True)
        os.replace(fresh, path)


def _copy(path, copy):
    Path(copy).parent.mkdir(parents=True, exist_ok=True)
    Path(copy).unlink(missing_ok=True)
    try:
        with closing(sqlite3.connect(path)) as old, closing(sqlite3.connect(copy)) as new:
            old.backup(new)
    except sqlite3.Error as error:
        raise DataProblem(f"{copy} could not be written ({error}).") from None
