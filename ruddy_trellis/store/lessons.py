"""The functions that read and write lessons and boards."""

import secrets

from sqlalchemy import delete, func
from sqlmodel import select

from .database import Database
from .tables import BoardRow, EditRow, Lesson, _now


class Lessons:
    """Reads and writes lessons. Documents and patches go in and come out as JSON text.

    Everything that a method writes is on the disk when it returns.
    """

    def __init__(self, database: Database):
        self._database = database

    def all(self):
        """All lessons with the id of their first board, the last changed first."""
        with self._database.session() as session:
            first = select(BoardRow.lesson_id, func.min(BoardRow.position).label("position")).group_by(BoardRow.lesson_id).subquery()
            rows = session.exec(
                select(Lesson, BoardRow.id)
                .join(first, first.c.lesson_id == Lesson.id)
                .join(BoardRow, (BoardRow.lesson_id == Lesson.id) & (BoardRow.position == first.c.position))
                .order_by(Lesson.changed_at.desc(), Lesson.id.desc())
            )
            return list(rows)

    def find(self, slug):
        """The lesson of that slug, or None."""
        with self._database.session() as session:
            return session.exec(select(Lesson).where(Lesson.slug == slug)).first()

    def boards(self, lesson_id):
        """The boards of a lesson in order."""
        with self._database.session() as session:
            return list(session.exec(select(BoardRow).where(BoardRow.lesson_id == lesson_id).order_by(BoardRow.position)))

    def board(self, board_id):
        """A board, or None."""
        with self._database.session() as session:
            return session.get(BoardRow, board_id)

    def create(self, title, documents):
        """Make a lesson with these boards. Returns it."""
        lesson = Lesson(slug=secrets.token_urlsafe(9), title=title)
        with self._database.session() as session:
            session.add(lesson)
            session.flush()
            for position, document in enumerate(documents):
                session.add(BoardRow(lesson_id=lesson.id, position=position, document=document))
            session.commit()
        return lesson

    def rename(self, slug, title):
        """Give a lesson another title. Returns whether there is such a lesson."""
        with self._database.session() as session:
            lesson = session.exec(select(Lesson).where(Lesson.slug == slug)).first()
            if lesson is None:
                return False
            lesson.title, lesson.changed_at = title, _now()
            session.add(lesson)
            session.commit()
        return True

    def save_edit(self, board_id, number, patch, document):
        """Keep an edit and the board's new state together. Edits that had been undone before it are forgotten."""
        with self._database.session() as session:
            session.exec(delete(EditRow).where(EditRow.board_id == board_id, EditRow.number >= number))
            session.add(EditRow(board_id=board_id, number=number, patch=patch))
            self._set_document(session, board_id, document, number)
            session.commit()

    def save_step(self, board_id, edits_done, document):
        """Keep the board's state after an undo or a redo, and how many edits are in it."""
        with self._database.session() as session:
            self._set_document(session, board_id, document, edits_done)
            session.commit()

    @staticmethod
    def _set_document(session, board_id, document, edits_done):
        board = session.get(BoardRow, board_id)
        board.document, board.edits_done = document, edits_done
        lesson = session.get(Lesson, board.lesson_id)
        lesson.changed_at = _now()
        session.add_all((board, lesson))

    def edit(self, board_id, number):
        """The patch of one edit as JSON text, or None."""
        with self._database.session() as session:
            row = session.get(EditRow, (board_id, number))
            return row and row.patch

    def edit_count(self, board_id):
        """How many edits are kept for a board, the undone ones included."""
        with self._database.session() as session:
            return session.exec(select(func.max(EditRow.number)).where(EditRow.board_id == board_id)).one() or 0
