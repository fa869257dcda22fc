"""The database file: its settings, and bringing it to the present shape."""

import os
import shutil
from contextlib import contextmanager, suppress
from importlib import import_module
from pathlib import Path
from threading import Lock

from sqlalchemy import event
from sqlalchemy.exc import OperationalError, SQLAlchemyError
from sqlmodel import Session, create_engine

_MIGRATIONS = Path(__file__).parent / "migrations"
#: The shapes that a file can have, the present one last.
_SHAPES = tuple(path.name[:4] for path in sorted((_MIGRATIONS / "versions").glob("[0-9]*.py")))


#: Below so many bytes nothing may be kept soon.
_LEAST_FREE = 20_000_000


class NotKept(Exception):
    """Nothing can be kept now: the disk is full, or may not be written. ``sentence`` says so to whoever wanted something kept."""

    def __init__(self, sentence):
        super().__init__(sentence)
        self.sentence = sentence


class NewerData(Exception):
    """The file was made by a newer program."""


class _Trouble:
    """Why the last writing failed; nothing where it did not."""

    def __init__(self):
        self.why = ""

    @contextmanager
    def told(self):
        """A context in which something is read or written: where the disk refuses, that is said in words."""
        try:
            yield
        except OperationalError as error:
            self.why = str(error.orig)
            raise NotKept(
                f"The program’s disk refused ({self.why}). Nothing was changed; what was said to be saved is. "
                "Tell whoever runs the program."
            ) from error


class _Session(Session):
    """A session that says in words that nothing could be kept."""

    def __init__(self, engine, trouble):
        super().__init__(engine, expire_on_commit=False)
        self._trouble = trouble

    def commit(self):
        with self._trouble.told():
            super().commit()
        self._trouble.why = ""

    def flush(self, *arguments, **more):
        with self._trouble.told():
            super().flush(*arguments, **more)

    def exec(self, *arguments, **more):
        with self._trouble.told():
            return super().exec(*arguments, **more)


class Database:
    """A SQLite database in write-ahead mode, with foreign keys on and every commit flushed to the disk.

    Args:
        path: the file; made if it is missing, and migrated to the present shape.
    """

    def __init__(self, path):
        self._path = Path(path)
        self._path.parent.mkdir(parents=True, exist_ok=True)
        # Nobody else on the machine reads what is kept of people; what SQLite lays beside the file is as private as the file.
        os.close(os.open(self._path, os.O_RDWR | os.O_CREAT, 0o600))
        with suppress(PermissionError):
            self._path.chmod(0o600)
        self.engine = create_engine(f"sqlite:///{path}", connect_args={"check_same_thread": False, "timeout": 10})
        self._trouble, self._turn = _Trouble(), Lock()
        event.listen(self.engine, "connect", _settle)
        self._migrate()

    def _migrate(self):
        with self.engine.connect() as connection:
            known = connection.exec_driver_sql("SELECT name FROM sqlite_master WHERE name = 'alembic_version'").first()
            shape = connection.exec_driver_sql("SELECT version_num FROM alembic_version").scalar() if known else None
        if shape == _SHAPES[-1]:
            return
        if shape is not None and shape not in _SHAPES:
            raise NewerData(f"{self._path} was made by a newer Ruddy Trellis than this one.")
        # Loaded only where a file has another shape than this program's: most starts need not wait for it.
        alembic, config = import_module("alembic.command"), import_module("alembic.config").Config()
        config.set_main_option("script_location", str(_MIGRATIONS))
        with self.engine.begin() as connection:
            config.attributes["connection"] = connection
            alembic.upgrade(config, "head")

    def session(self):
        """A session; use it in a ``with`` statement and commit."""
        return _Session(self.engine, self._trouble)

    @contextmanager
    def writing(self):
        """A session for what many write at the same time: one after the other. SQLite lets those who come together try again and again,
        asleep in between, so that most of the time nobody writes."""
        with self._turn, self.session() as session:
            yield session

    def trouble(self):
        """What is wrong with the file, in words; nothing where it can be read and written."""
        try:
            with self.engine.connect() as connection:
                connection.exec_driver_sql("SELECT count(*) FROM teacher").scalar_one()
        except SQLAlchemyError:
            return "the data cannot be read"
        if not os.access(self._path, os.W_OK) or not os.access(self._path.parent, os.W_OK):
            return "the data cannot be written"
        if shutil.disk_usage(self._path.parent).free < _LEAST_FREE:
            return "the disk is full"
        if self._trouble.why:
            # What was tried last failed: whether it would again tells a line that is written as it is.
            try:
                with self.engine.begin() as connection:
                    connection.exec_driver_sql("UPDATE calendar SET allowed = allowed")
            except SQLAlchemyError:
                return f"the data cannot be written ({self._trouble.why})"
            self._trouble.why = ""
        return ""

    def close(self):
        """Bring everything from the write-ahead file into the file itself, and let go of it."""
        with self.engine.connect() as connection:
            connection.exec_driver_sql("PRAGMA wal_checkpoint(TRUNCATE)")
        self.engine.dispose()


def _settle(connection, _record):
    for setting in ("journal_mode=WAL", "synchronous=FULL", "foreign_keys=ON", "busy_timeout=10000"):
        connection.execute(f"PRAGMA {setting}")
