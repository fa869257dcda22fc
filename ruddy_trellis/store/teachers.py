"""The functions that read and write teachers and the sessions in which they are signed in."""

import secrets
from datetime import timedelta
from hashlib import sha256

from sqlalchemy import delete, func, update
from sqlalchemy.exc import IntegrityError
from sqlmodel import select

from .database import Database
from .tables import BoardRow, EditRow, Lesson, PhotographRow, RecipeRow, SessionRow, Teacher, _now

#: How long a browser stays signed in.
SESSION_DAYS = 30


def hashed(token):
    """What is kept of a secret that a browser holds."""
    return sha256(token.encode()).hexdigest()


class Teachers:
    """Reads and writes teachers. Passwords come in as hashes: this knows nothing of passwords."""

    def __init__(self, database: Database):
        self._database = database

    def register(self, sign_in, name, password):
        """Keep a new teacher; what was made before there were teachers becomes the first one's. Returns the teacher,
        or None where that sign-in is taken."""
        with self._database.session() as session:
            first = session.exec(select(Teacher.id).limit(1)).first() is None
            teacher = Teacher(sign_in=sign_in, name=name, password=password)
            session.add(teacher)
            try:
                session.flush()
            except IntegrityError:
                return None
            if first:
                for table in (Lesson, RecipeRow):
                    session.exec(update(table).where(table.teacher_id.is_(None)).values(teacher_id=teacher.id))
            session.commit()
            return teacher

    def find(self, sign_in):
        """The teacher of that sign-in, or None."""
        with self._database.session() as session:
            return session.exec(select(Teacher).where(Teacher.sign_in == sign_in)).first()

    def everyone(self):
        """Pairs of each teacher and how many lessons they have, by their sign-in."""
        with self._database.session() as session:
            counted = select(Teacher, func.count(Lesson.id)).join(Lesson, Lesson.teacher_id == Teacher.id, isouter=True)
            return list(session.exec(counted.group_by(Teacher.id).order_by(Teacher.sign_in)))

    def get(self, teacher_id):
        """A teacher, or None."""
        with self._database.session() as session:
            return session.get(Teacher, teacher_id)

    def set_password(self, teacher_id, password):
        """Keep another password hash; everywhere else the teacher is signed out."""
        with self._database.session() as session:
            session.exec(update(Teacher).where(Teacher.id == teacher_id).values(password=password))
            session.exec(delete(SessionRow).where(SessionRow.teacher_id == teacher_id))
            session.commit()

    def set_angle_words(self, teacher_id, words):
        """What pairs of angles are called where a teacher teaches."""
        with self._database.session() as session:
            session.get(Teacher, teacher_id).angle_words = words
            session.commit()

    def open_session(self, teacher_id):
        """Sign a teacher in. Returns the secret for the browser; sessions that are over are forgotten."""
        token = secrets.token_urlsafe(32)
        with self._database.session() as session:
            session.exec(delete(SessionRow).where(SessionRow.ends_at < _now()))
            session.add(SessionRow(token=hashed(token), teacher_id=teacher_id, ends_at=_now() + timedelta(days=SESSION_DAYS)))
            session.commit()
        return token

    def signed_in(self, token):
        """The teacher who is signed in with that secret, or None."""
        with self._database.session() as session:
            return session.exec(
                select(Teacher)
                .join(SessionRow, SessionRow.teacher_id == Teacher.id)
                .where(SessionRow.token == hashed(token), SessionRow.ends_at > _now())
            ).first()

    def close_session(self, token):
        """Sign out in one browser."""
        with self._database.session() as session:
            session.exec(delete(SessionRow).where(SessionRow.token == hashed(token)))
            session.commit()

    def delete(self, teacher_id):
        """Delete a teacher with everything that is theirs, the students' copies of their lessons included. Returns
        the ids of the lessons that are gone."""
        with self._database.session() as session:
            lessons = list(session.exec(select(Lesson.id).where(Lesson.teacher_id == teacher_id)))
            boards = select(BoardRow.id).where(BoardRow.lesson_id.in_(lessons))
            session.exec(delete(EditRow).where(EditRow.board_id.in_(boards)))
            session.exec(delete(BoardRow).where(BoardRow.lesson_id.in_(lessons), BoardRow.copy_of.is_not(None)))
            session.exec(delete(BoardRow).where(BoardRow.lesson_id.in_(lessons)))
            session.exec(delete(PhotographRow).where(PhotographRow.lesson_id.in_(lessons)))
            session.exec(delete(Lesson).where(Lesson.id.in_(lessons)))
            session.exec(delete(RecipeRow).where(RecipeRow.teacher_id == teacher_id))
            session.exec(delete(SessionRow).where(SessionRow.teacher_id == teacher_id))
            session.exec(delete(Teacher).where(Teacher.id == teacher_id))
            session.commit()
            return lessons
