"""What was found out about claims, so that it need not be found out again."""

from sqlalchemy import delete, func
from sqlmodel import select

from .database import Database
from .tables import VerdictRow

#: So many are kept; the oldest give way.
MOST = 20_000


class KnownVerdicts:
    """Reads and keeps verdicts by their marks.

    Args:
        database: where they are kept.
    """

    def __init__(self, database: Database):
        self._database = database

    def find(self, marks):
        """What is known, as a dict from some of the marks to the kept texts."""
        with self._database.session() as session:
            rows = session.exec(select(VerdictRow).where(VerdictRow.mark.in_(marks)))
            return {row.mark: row.verdict for row in rows}

    def keep(self, mark, text):
        """Keep a verdict."""
        with self._database.writing() as session:
            session.merge(VerdictRow(mark=mark, verdict=text))
            count = session.exec(select(func.count()).select_from(VerdictRow)).one()
            if count > MOST:
                oldest = select(VerdictRow.mark).order_by(VerdictRow.made_at).limit(count - MOST)
                session.exec(delete(VerdictRow).where(VerdictRow.mark.in_(oldest)))
            session.commit()
