"""Teachers, lessons, boards and their edits in SQLite. Keeps and finds; knows no geometry."""

from . import checksums  # kept with every row that is written
from .calendar import Calendar
from .database import Database
from .lessons import Lessons
from .teachers import Teachers

__all__ = ["Calendar", "Database", "Lessons", "Teachers", "checksums"]
