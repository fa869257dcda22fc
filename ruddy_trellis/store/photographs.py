"""The pictures that lie under the boards of a lesson."""

from sqlalchemy import func
from sqlmodel import select

from .database import Database
from .tables import PhotographRow

#: So many are kept with one lesson.
MOST = 60


class Photographs:
    """Keeps pictures with their lessons.

    Args:
        database: where they are kept.
    """

    def __init__(self, database: Database):
        self._database = database

    def keep(self, lesson_id, photographs):
        """Keep pictures with a lesson. Returns whether there was room for them.

        Args:
            photographs: the bytes of each by its mark.
        """
        with self._database.session() as session:
            own = PhotographRow.lesson_id == lesson_id
            there = set(session.exec(select(PhotographRow.mark).where(own)))
            if len(there | photographs.keys()) > MOST:
                return False
            for mark, content in photographs.items():
                if mark not in there:
                    session.add(PhotographRow(lesson_id=lesson_id, mark=mark, content=content))
            session.commit()
            return True

    def content(self, lesson_id, mark):
        """The bytes of a picture of a lesson, or None."""
        with self._database.session() as session:
            row = session.get(PhotographRow, (lesson_id, mark))
            return row.content if row else None

    def of(self, lesson_id, marks):
        """The pictures of a lesson with these marks: a dict from marks to bytes."""
        with self._database.session() as session:
            rows = session.exec(select(PhotographRow).where(PhotographRow.lesson_id == lesson_id, PhotographRow.mark.in_(set(marks))))
            return {row.mark: row.content for row in rows}

    def room_of(self, lesson_ids):
        """How many bytes the pictures of some lessons take: a query for their sum."""
        return select(func.sum(func.length(PhotographRow.content))).where(PhotographRow.lesson_id.in_(lesson_ids))
