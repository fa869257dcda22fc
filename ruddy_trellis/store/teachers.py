"""The functions that read and write teachers and the sessions in which they are signed in."""

import secrets
from contextlib import suppress
from datetime import UTC, timedelta

from sqlalchemy import delete, func, update
from sqlalchemy.exc import IntegrityError
from sqlmodel import select

from .classes import delete_classes
from .database import Database, NotKept
from .secret import hashed
from .tables import (
    BoardRow,
    ChallengeRow,
    ClassRow,
    EditRow,
    HandInRow,
    KnownBrowserRow,
    Lesson,
    PhotographRow,
    RecipeRow,
    SessionRow,
    Teacher,
    _now,
)

#: How long a browser stays signed in: so many days however much it is used, so many hours without being used.
SESSION_DAYS, IDLE_HOURS = 30, 12
#: How long it is remembered that a browser was signed in, in days; and of one teacher, how many browsers.
KNOWN_DAYS, KNOWN = 400, 20
#: That a session is used is noted again after so many seconds.
_NOTED = 300


def _aware(moment):
    return moment.replace(tzinfo=UTC) if moment.tzinfo is None else moment


def _is_open(row):
    now = _now()
    return _aware(row.ends_at) > now and (row.seen_at is None or _aware(row.seen_at) > now - timedelta(hours=IDLE_HOURS))


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
            session.exec(delete(KnownBrowserRow).where(KnownBrowserRow.teacher_id == teacher_id))
            session.commit()

    def set_angle_words(self, teacher_id, words):
        """What pairs of angles are called where a teacher teaches."""
        with self._database.session() as session:
            session.get(Teacher, teacher_id).angle_words = words
            session.commit()

    def set_near(self, teacher_id, near):
        """Whether a teacher's boards run beside their drawings in browsers."""
        with self._database.session() as session:
            session.get(Teacher, teacher_id).near = near
            session.commit()

    def open_session(self, teacher_id, browser="", old=""):
        """Sign a teacher in. Returns the secret for the browser; sessions that are over are forgotten.

        Args:
            browser: what the browser is, in words.
            old: the secret of the session that this browser had until now, which ends.
        """
        token, now = secrets.token_urlsafe(32), _now()
        with self._database.session() as session:
            over = (SessionRow.ends_at < now) | (SessionRow.seen_at < now - timedelta(hours=IDLE_HOURS)) | (SessionRow.token == hashed(old))
            session.exec(delete(SessionRow).where(over))
            ends_at = now + timedelta(days=SESSION_DAYS)
            session.add(SessionRow(token=hashed(token), teacher_id=teacher_id, ends_at=ends_at, browser=browser[:80]))
            session.commit()
        return token

    def signed_in(self, token):
        """The teacher who is signed in with that secret, or None. That the session is used is noted."""
        with self._database.session() as session:
            row = session.get(SessionRow, hashed(token))
            if row is None or not _is_open(row):
                return None
            teacher = session.get(Teacher, row.teacher_id)
            self._note(session, [row])
            return teacher

    def still_open(self, sessions):
        """Which of some sessions, by what is kept of their secrets, are open still. Each has a line open, and so is used."""
        with self._database.session() as session:
            rows = list(session.exec(select(SessionRow).where(SessionRow.token.in_(sessions))))
            well = [row for row in rows if _is_open(row)]
            self._note(session, well)
            return {row.token for row in well}

    @staticmethod
    def _note(session, rows):
        now = _now()
        old = [row for row in rows if row.seen_at is None or _aware(row.seen_at) < now - timedelta(seconds=_NOTED)]
        for row in old:
            row.seen_at = now
            session.add(row)
        if old:
            with suppress(NotKept):  # whoever is signed in may read on where nothing can be kept
                session.commit()

    def sessions(self, teacher_id):
        """The open sessions of a teacher, the last used first."""
        with self._database.session() as session:
            rows = session.exec(select(SessionRow).where(SessionRow.teacher_id == teacher_id).order_by(SessionRow.seen_at.desc()))
            return [row for row in rows if _is_open(row)]

    def end_session(self, teacher_id, beginning):
        """End a session of a teacher, named by the beginning of what is kept of its secret. Returns that whole; None for none."""
        with self._database.session() as session:
            own = (SessionRow.teacher_id == teacher_id) & SessionRow.token.startswith(beginning.replace("%", "").replace("_", ""))
            row = session.exec(select(SessionRow).where(own)).first() if beginning else None
            if row is not None:
                session.delete(row)
                session.commit()
            return row and row.token

    def remember_browser(self, teacher_id):
        """Remember a browser in which a teacher signed in. Returns the secret for it."""
        token = secrets.token_urlsafe(32)
        with self._database.session() as session:
            session.exec(delete(KnownBrowserRow).where(KnownBrowserRow.made_at < _now() - timedelta(days=KNOWN_DAYS)))
            own = select(KnownBrowserRow.token).where(KnownBrowserRow.teacher_id == teacher_id)
            older = own.order_by(KnownBrowserRow.made_at.desc()).offset(KNOWN - 1)
            session.exec(delete(KnownBrowserRow).where(KnownBrowserRow.token.in_(older)))
            session.add(KnownBrowserRow(token=hashed(token), teacher_id=teacher_id))
            session.commit()
        return token

    def knows_browser(self, teacher_id, token):
        """Whether a teacher was signed in before in the browser that has this secret."""
        with self._database.session() as session:
            row = session.get(KnownBrowserRow, hashed(token))
            return row is not None and row.teacher_id == teacher_id

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
            session.exec(delete(ChallengeRow).where(ChallengeRow.board_id.in_(boards)))
            session.exec(delete(HandInRow).where(HandInRow.lesson_id.in_(lessons)))
            delete_classes(session, select(ClassRow.id).where(ClassRow.lesson_id.in_(lessons)))
            session.exec(delete(BoardRow).where(BoardRow.lesson_id.in_(lessons), BoardRow.copy_of.is_not(None)))
            session.exec(delete(BoardRow).where(BoardRow.lesson_id.in_(lessons)))
            session.exec(delete(PhotographRow).where(PhotographRow.lesson_id.in_(lessons)))
            session.exec(delete(Lesson).where(Lesson.id.in_(lessons)))
            session.exec(delete(RecipeRow).where(RecipeRow.teacher_id == teacher_id))
            session.exec(delete(SessionRow).where(SessionRow.teacher_id == teacher_id))
            session.exec(delete(KnownBrowserRow).where(KnownBrowserRow.teacher_id == teacher_id))
            session.exec(delete(Teacher).where(Teacher.id == teacher_id))
            session.commit()
            return lessons
