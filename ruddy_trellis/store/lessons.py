"""The functions that read and write lessons and boards."""

import secrets

from sqlalchemy import delete, func
from sqlmodel import select

from .database import Database
from .tables import BoardRow, EditRow, Lesson, RecipeRow, _now


class Lessons:
    """Reads and writes lessons. Documents and patches go in and come out as JSON text.

    Everything that a method writes is on the disk when it returns.
    """

    def __init__(self, database: Database):
        self._database = database

    def all(self, put_away=False):
        """All lessons (or all that are put away) with the id of their first board, the last changed first."""
        with self._database.session() as session:
            first = select(BoardRow.lesson_id, func.min(BoardRow.position).label("position")).where(~BoardRow.put_away).group_by(BoardRow.lesson_id).subquery()
            rows = session.exec(
                select(Lesson, BoardRow.id)
                .join(first, first.c.lesson_id == Lesson.id)
                .join(BoardRow, (BoardRow.lesson_id == Lesson.id) & (BoardRow.position == first.c.position) & ~BoardRow.put_away)
                .where(Lesson.put_away == put_away)
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
            return list(session.exec(select(BoardRow).where(BoardRow.lesson_id == lesson_id, ~BoardRow.put_away).order_by(BoardRow.position)))

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

    def put_away(self, slug, away=True):
        """Put a lesson away, or bring it back. Returns whether there is such a lesson."""
        with self._database.session() as session:
            lesson = session.exec(select(Lesson).where(Lesson.slug == slug)).first()
            if lesson is None:
                return False
            lesson.put_away = away
            session.add(lesson)
            session.commit()
        return True

    def add_board(self, lesson_id, document, after=None):
        """Put a board into a lesson after another one, or at the end. Returns its row."""
        with self._database.session() as session:
            rows = self._in_order(session, lesson_id)
            place = next((number + 1 for number, row in enumerate(rows) if row.id == after), len(rows))
            row = BoardRow(lesson_id=lesson_id, document=document)
            rows.insert(place, row)
            self._number(session, rows)
            session.commit()
            return row

    def move_board(self, lesson_id, board_id, by):
        """Move a board of a lesson so many places on."""
        with self._database.session() as session:
            rows = self._in_order(session, lesson_id)
            place = next((number for number, row in enumerate(rows) if row.id == board_id), None)
            if place is None:
                return
            rows.insert(min(max(place + by, 0), len(rows) - 1), rows.pop(place))
            self._number(session, rows)
            session.commit()

    def put_board_away(self, lesson_id, board_id, away=True):
        """Take a board out of its lesson, or bring it back to its place. Returns whether there is such a board, and
        another is left."""
        with self._database.session() as session:
            row = session.get(BoardRow, board_id)
            if row is None or row.lesson_id != lesson_id or (away and len(self._in_order(session, lesson_id)) < 2):
                return False
            row.put_away = away
            session.add(row)
            session.commit()
        return True

    @staticmethod
    def _in_order(session, lesson_id):
        return list(session.exec(select(BoardRow).where(BoardRow.lesson_id == lesson_id, ~BoardRow.put_away).order_by(BoardRow.position, BoardRow.id)))

    @staticmethod
    def _number(session, rows):
        for number, row in enumerate(rows):
            row.position = number
            session.add(row)

    def recipes(self):
        """All kept recipes, the first kept first."""
        with self._database.session() as session:
            return list(session.exec(select(RecipeRow).order_by(RecipeRow.id)))

    def recipe(self, recipe_id):
        """A recipe, or None."""
        with self._database.session() as session:
            return session.get(RecipeRow, recipe_id)

    def keep_recipe(self, document):
        """Keep a recipe. Returns its row."""
        with self._database.session() as session:
            row = RecipeRow(document=document)
            session.add(row)
            session.commit()
            return row

    def delete_recipe(self, recipe_id):
        """Throw a recipe away."""
        with self._database.session() as session:
            session.exec(delete(RecipeRow).where(RecipeRow.id == recipe_id))
            session.commit()

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

    def edits(self, board_id, most=200):
        """The last edits of a board, the newest first: number, patch, when it was made."""
        with self._database.session() as session:
            return list(session.exec(select(EditRow).where(EditRow.board_id == board_id).order_by(EditRow.number.desc()).limit(most)))

    def edit_count(self, board_id):
        """How many edits are kept for a board, the undone ones included."""
        with self._database.session() as session:
            return session.exec(select(func.max(EditRow.number)).where(EditRow.board_id == board_id)).one() or 0
