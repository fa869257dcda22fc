"""Teachers, lessons, boards and their edits in SQLite. Keeps and finds; knows no geometry."""

from . import checksums  # kept with every row that is written
from .calendar import Calendar
from .classes import Classes
from .database import Database
from .hand_ins import HandIns
from .lessons import Lessons
from .teachers import Teachers

__all__ = ["Calendar", "Classes", "Database", "HandIns", "Lessons", "Teachers", "checksums"]
