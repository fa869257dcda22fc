"""Looking after a data file: one process at a time, copies that are whole, and what is wrong with it."""

import fcntl
import os
import secrets
import shutil
import sqlite3
from contextlib import ExitStack, closing, suppress
from pathlib import Path

#: What SQLite keeps beside a data file while it is open.
_BESIDE = ("-wal", "-shm")


class DataProblem(Exception):
    """The data file cannot be used; the text says why, and what to do."""


def hold(path: str | Path) -> ExitStack:
    """Keep the data file for this process for as long as what is returned is open: two processes on one file would lose
    one another's edits, whatever name each knows it by. The file is made where it is missing, and is its owner's alone.

    Raises:
        DataProblem: where another process has it, it has several names, or it cannot be opened.
    """
    path = Path(path)
    locks = ExitStack()
    try:
        path.parent.mkdir(parents=True, exist_ok=True)
        # A link leads to the file that counts; what is held besides its name is the file itself, which may get another name later.
        for one in (Path(f"{path.resolve()}.lock"), path.resolve()):
            _lock(locks, one)
        _check_names(path)
    except BlockingIOError:
        locks.close()
        raise DataProblem(f"Another Ruddy Trellis runs on {path}. Stop it first, or give this one a file of its own with --data.") from None
    except OSError as error:
        locks.close()
        raise DataProblem(
            f"{path} cannot be held ({error.strerror}: {error.filename}). Whoever runs the program must be able to write that folder "
            f"and own the files in it; a .lock that was left by someone else can be deleted while no Ruddy Trellis runs."
        ) from None
    except DataProblem:
        locks.close()
        raise
    return locks


def _lock(locks: ExitStack, path: Path) -> None:
    held = os.open(path, os.O_RDWR | os.O_CREAT, 0o600)
    locks.callback(os.close, held)
    with suppress(PermissionError):  # it is somebody else's, and may be written all the same
        os.fchmod(held, 0o600)
    fcntl.flock(held, fcntl.LOCK_EX | fcntl.LOCK_NB)


def _check_names(path: Path) -> None:
    """Raise DataProblem where a file has several names: SQLite keeps what is new beside the name, and another name would lack it."""
    if path.exists() and path.stat().st_nlink > 1:
        raise DataProblem(f"{path} has another name as well (a hard link), under which edits would be lost. Delete one of the two names.")


def check_whole(path: str | Path, quick: bool = False) -> None:
    """Raise DataProblem unless the file is there and passes SQLite's integrity check; its quick one, which sees all but indexes that
    disagree with their tables, where a start waits for it."""
    if not Path(path).is_file():
        raise DataProblem(f"There is no file {path}.")
    try:
        with closing(readable(path)) as connection:
            (answer,) = connection.execute(f"PRAGMA {'quick' if quick else 'integrity'}_check").fetchone()
    except sqlite3.DatabaseError as error:
        raise DataProblem(f"{path} is not a data file of this program, or is damaged ({error}).") from None
    if answer != "ok":
        raise DataProblem(f"{path} is damaged: {answer}. Bring back a copy with: python -m ruddy_trellis restore COPY.")


def readable(path: str | Path) -> sqlite3.Connection:
    """A connection that only reads. On a medium that cannot be written SQLite cannot make what it keeps beside a file, and need not:
    nothing changes there."""
    plain = Path(path).resolve().as_uri()
    connection = sqlite3.connect(f"{plain}?mode=ro", uri=True)
    try:
        connection.execute("PRAGMA schema_version").fetchone()
    except sqlite3.OperationalError:
        connection.close()
        if any(Path(f"{path}{ending}").exists() for ending in _BESIDE):
            raise
        connection = sqlite3.connect(f"{plain}?mode=ro&immutable=1", uri=True)
    return connection


def backup(path: str | Path, copy: str | Path) -> None:
    """Copy a data file while it may be in use, and check the copy. Of the file that has the copy's name until then nothing goes
    before the new one is whole.

    Raises:
        DataProblem: where that cannot be, or the copy would take the place of the data.
    """
    check_whole(path)
    _check_names(Path(path))
    _check_apart(path, copy)
    fresh = _copy(path, copy)
    os.replace(fresh, copy)


def restore(copy: str | Path, path: str | Path) -> None:
    """Put a checked copy in the place of a data file that nobody uses, whatever state that is in; what was there is kept beside
    it byte for byte, as ``….before``. Raises DataProblem where that cannot be."""
    check_whole(copy)
    _check_apart(path, copy)
    path = Path(path).resolve()
    with hold(path):
        fresh = _copy(copy, path)
        try:
            for ending in ("", *_BESIDE):
                _keep_before(path, ending)
            for ending in _BESIDE:
                Path(f"{path}{ending}").unlink(missing_ok=True)
            os.replace(fresh, path)
        except OSError as error:
            Path(fresh).unlink(missing_ok=True)
            raise DataProblem(f"{path} could not be replaced ({error.strerror}). It is as it was.") from None


def _keep_before(path: Path, ending: str) -> None:
    now, before = Path(f"{path}{ending}"), Path(f"{path}.before{ending}")
    before.unlink(missing_ok=True)
    if now.exists() and (ending or now.stat().st_size):
        shutil.copyfile(now, before)
        before.chmod(0o600)


def _check_apart(path: str | Path, copy: str | Path) -> None:
    """Raise DataProblem where a copy has the place of the data, or of what lies beside it."""
    real = Path(path).resolve()
    names = {f"{real}{ending}" for ending in ("", *_BESIDE, ".lock", "-journal")}
    same = Path(copy).exists() and real.exists() and os.path.samefile(copy, real)
    if same or str(Path(copy).resolve()) in names:
        raise DataProblem(f"{copy} is the data itself, or belongs to it. Give the copy another name.")


def _copy(path: str | Path, copy: str | Path) -> str:
    """A whole and checked copy beside where it belongs. Returns its name; nothing is there where it fails."""
    fresh = f"{copy}.{secrets.token_hex(4)}.fresh"
    try:
        if Path(copy).is_dir():
            raise IsADirectoryError(21, "it is a folder", str(copy))
        Path(copy).parent.mkdir(parents=True, exist_ok=True)
        os.close(os.open(fresh, os.O_WRONLY | os.O_CREAT | os.O_EXCL, 0o600))
        with closing(readable(path)) as old, closing(sqlite3.connect(fresh)) as new:
            old.backup(new)
            new.execute("PRAGMA journal_mode=DELETE")  # all of it is in one file, which can be carried elsewhere
        check_whole(fresh)
        with open(fresh, "rb") as written:
            os.fsync(written.fileno())
    except (OSError, sqlite3.Error, DataProblem) as error:
        with suppress(OSError):
            Path(fresh).unlink(missing_ok=True)
        raise DataProblem(f"{copy} could not be written ({error}). What was there before is there still.") from None
    return fresh
