"""Challenges, each beside its board: no function that gives boards gives them too."""

from sqlalchemy import delete

from .database import Database
from .tables import BoardRow, ChallengeRow, EditRow, Lesson, _now


class Challenges:
    """Reads and keeps challenges by the boards that they belong to.

    Args:
        database: where they are kept.
    """

    def __init__(self, database: Database):
        self._database = database

    def of(self, board_id):
        """The challenge of a board as it is kept, or None."""
        with self._database.session() as session:
            row = session.get(ChallengeRow, board_id)
            return row and row.document

    def keep(self, board_id, document):
        """Keep a challenge in the place of the one that the board had."""
        with self._database.session() as session:
            session.merge(ChallengeRow(board_id=board_id, document=document))
            session.commit()

    def begin(self, board_id, document, challenge):
        """From here on a board is another one, without a history, and has this challenge beside it, or None: all at once."""
        with self._database.session() as session:
            session.exec(delete(EditRow).where(EditRow.board_id == board_id))
            board = session.get(BoardRow, board_id)
            board.document, board.edits_done, board.changed_at = document, 0, _now()
            session.add(board)
            lesson = session.get(Lesson, board.lesson_id)
            lesson.changed_at = _now()
            session.add(lesson)
            if challenge is None:
                session.exec(delete(ChallengeRow).where(ChallengeRow.board_id == board_id))
            else:
                session.merge(ChallengeRow(board_id=board_id, document=challenge))
            session.commit()
