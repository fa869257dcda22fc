"""Teachers, lessons, boards and their edits in SQLite. Keeps and finds; knows no geometry."""

from .database import Database
from .lessons import Lessons
from .teachers import Teachers

__all__ = ["Database", "Lessons", "Teachers"]
