"""The database file: its settings, and bringing it to the present shape."""

from pathlib import Path

from alembic import command
from alembic.config import Config
from sqlalchemy import event
from sqlalchemy.exc import SQLAlchemyError
from sqlmodel import Session, create_engine

_MIGRATIONS = Path(__file__).parent / "migrations"


class Database:
    """A SQLite database in write-ahead mode, with foreign keys on and every commit flushed to the disk.

    Args:
        path: the file; made if it is missing, and migrated to the present shape.
    """

    def __init__(self, path):
        path = Path(path)
        path.parent.mkdir(parents=True, exist_ok=True)
        self.engine = create_engine(f"sqlite:///{path}", connect_args={"check_same_thread": False, "timeout": 10})
        event.listen(self.engine, "connect", _settle)
        self._migrate()

    def _migrate(self):
        config = Config()
        config.set_main_option("script_location", str(_MIGRATIONS))
        with self.engine.begin() as connection:
            config.attributes["connection"] = connection
            command.upgrade(config, "head")

    def session(self):
        """A session; use it in a ``with`` statement and commit."""
        return Session(self.engine, expire_on_commit=False)

    def answers(self):
        """Whether the file can be read."""
        try:
            with self.engine.connect() as connection:
                connection.exec_driver_sql("SELECT count(*) FROM teacher").scalar_one()
        except SQLAlchemyError:
            return False
        return True

    def close(self):
        """Bring everything from the write-ahead file into the file itself, and let go of it."""
        with self.engine.connect() as connection:
            connection.exec_driver_sql("PRAGMA wal_checkpoint(TRUNCATE)")
        self.engine.dispose()


def _settle(connection, _record):
    for setting in ("journal_mode=WAL", "synchronous=FULL", "foreign_keys=ON", "busy_timeout=10000"):
        connection.execute(f"PRAGMA {setting}")
