"""Lessons that are open for a class: codes, who is in, what was asked and answered."""

import json
import secrets
from datetime import UTC, timedelta

from sqlalchemy import delete, func, update
from sqlmodel import select

from .database import Database
from .hand_ins import DAYS, HOURS
from .secret import hashed
from .tables import AnswerRow, BoardRow, CalendarRow, ClassRow, EditRow, MemberRow, QuestionRow, _now

#: So many people are in a class at most, so many questions are kept of it, and so many classes of a lesson.
MEMBERS, QUESTIONS, OF_LESSON = 200, 100, 200


class Full(Exception):
    """No more people are taken into the class."""


class Taken(Exception):
    """Somebody in the class has that name."""


def _of_class(class_id: int, word: str) -> str:
    """What is kept of a word for coming back: in another class the same word is another one."""
    return hashed(f"{class_id} {word}")


def delete_classes(session, ids):
    """Delete classes with all that is theirs.

    Args:
        ids: their ids, or a query of them.
    """
    questions = select(QuestionRow.id).where(QuestionRow.class_id.in_(ids))
    session.exec(delete(AnswerRow).where(AnswerRow.question_id.in_(questions)))
    session.exec(delete(QuestionRow).where(QuestionRow.class_id.in_(ids)))
    session.exec(delete(MemberRow).where(MemberRow.class_id.in_(ids)))
    session.exec(delete(ClassRow).where(ClassRow.id.in_(ids)))


def _delete_copies(session, holders):
    """Delete the copies of boards that some people have."""
    copies = (BoardRow.copy_of.is_not(None), BoardRow.holder.in_(holders))
    session.exec(delete(EditRow).where(EditRow.board_id.in_(select(BoardRow.id).where(*copies))))
    session.exec(delete(BoardRow).where(*copies))


class Classes:
    """Reads and keeps classes.

    Args:
        database: where they are kept.
        hours: after how many hours a class closes by itself.
        days: for how many days answers are kept with their names.
    """

    def __init__(self, database: Database, hours: int = HOURS, days: int = DAYS):
        self._database, self.hours, self.days = database, hours, days

    # The class -----------------------------------------------------------------------------------------------------

    def open(self, lesson_id, new_code):
        """Open a lesson for a class, unless it is open: then that class. Returns it.

        Args:
            new_code: a function that gives a code.
        """
        with self._database.session() as session:
            row = self._open_of(session, lesson_id)
            if row is None:
                old = select(ClassRow.id).where(ClassRow.lesson_id == lesson_id).order_by(ClassRow.id.desc()).offset(OF_LESSON)
                delete_classes(session, list(session.exec(old)))
                day = session.get(CalendarRow, 1).days
                code = new_code()
                while session.exec(select(ClassRow.id).where(ClassRow.code == code)).first() is not None:
                    code = new_code()
                row = ClassRow(lesson_id=lesson_id, code=code, ends_at=_now() + timedelta(hours=self.hours), day=day)
                session.add(row)
                session.commit()
            return row

    def _open_of(self, session, lesson_id):
        row = session.exec(select(ClassRow).where(ClassRow.lesson_id == lesson_id, ClassRow.code.is_not(None))).first()
        return row if row is not None and not is_over(row) else None

    def of_lesson(self, lesson_id):
        """The class that a lesson is open for now, or None."""
        with self._database.session() as session:
            return self._open_of(session, lesson_id)

    def find(self, class_id):
        """A class that is open, or None."""
        with self._database.session() as session:
            row = session.get(ClassRow, class_id) if 0 < class_id < 2**63 else None
            return row if row is not None and row.code is not None and not is_over(row) else None

    def by_code(self, code):
        """The open class of that code, or None."""
        with self._database.session() as session:
            row = session.exec(select(ClassRow).where(ClassRow.code == code)).first()
            return row if row is not None and not is_over(row) else None

    def over(self):
        """The ids of classes whose time is over and that are not closed yet."""
        with self._database.session() as session:
            return [row.id for row in session.exec(select(ClassRow).where(ClassRow.code.is_not(None))) if is_over(row)]

    def set_door(self, class_id, door):
        """Open or shut the door."""
        self._run(update(ClassRow).where(ClassRow.id == class_id).values(door=door))

    def keep_lifted(self, class_id, lifted):
        """Keep which covers were lifted for all."""
        self._run(update(ClassRow).where(ClassRow.id == class_id).values(lifted=json.dumps(sorted(lifted))))

    def close(self, class_id):
        """Close a class: its code is none any more, the copies of boards go that people had in it, for nobody can come back to them, and so
        do the names of those who have answered nothing. A class in which nothing was asked goes altogether."""
        with self._database.session() as session:
            _delete_copies(session, list(session.exec(select(MemberRow.holder).where(MemberRow.class_id == class_id))))
            questions = select(QuestionRow.id).where(QuestionRow.class_id == class_id)
            with_answers = select(AnswerRow.member_id).where(AnswerRow.question_id.in_(questions))
            session.exec(delete(MemberRow).where(MemberRow.class_id == class_id, MemberRow.id.not_in(with_answers)))
            # What brings somebody back is of no use any more.
            for member in session.exec(select(MemberRow).where(MemberRow.class_id == class_id)):
                member.token, member.word = f"gone {secrets.token_hex(16)}", ""
                session.add(member)
            session.exec(update(ClassRow).where(ClassRow.id == class_id).values(code=None))
            if session.exec(questions.limit(1)).first() is None:
                delete_classes(session, [class_id])
            session.commit()

    def earlier(self, lesson_id):
        """The classes of a lesson of which answers are kept, the newest first."""
        with self._database.session() as session:
            asked = select(QuestionRow.class_id)
            rows = select(ClassRow).where(ClassRow.lesson_id == lesson_id, ClassRow.id.in_(asked)).order_by(ClassRow.id.desc())
            return list(session.exec(rows))

    def delete_one(self, lesson_id, class_id):
        """What is kept of a class that is closed goes."""
        with self._database.session() as session:
            row = session.get(ClassRow, class_id)
            if row is not None and row.lesson_id == lesson_id and row.code is None:
                delete_classes(session, [class_id])
                session.commit()

    def forget(self):
        """Classes of longer ago than the days for which answers are kept go. Returns how many."""
        with self._database.session() as session:
            last = session.get(CalendarRow, 1).days - self.days
            old = list(session.exec(select(ClassRow.id).where(ClassRow.day < last, ClassRow.code.is_(None))))
            delete_classes(session, old)
            session.commit()
            return len(old)

    # Who is in it --------------------------------------------------------------------------------------------------

    def come_in(self, class_id, name, token, word):
        """Take somebody in. Returns the row.

        Raises:
            Taken: where somebody has that name.
            Full: where very many are in.
        """
        with self._database.session() as session:
            here = MemberRow.class_id == class_id
            if session.exec(select(func.count()).select_from(MemberRow).where(here)).one() >= MEMBERS:
                raise Full
            if session.exec(select(MemberRow.id).where(here, func.lower(MemberRow.name) == name.lower())).first() is not None:
                raise Taken
            holder = hashed(secrets.token_hex(32))  # of nothing that anybody holds
            row = MemberRow(class_id=class_id, token=hashed(token), word=_of_class(class_id, word), holder=holder, name=name)
            session.add(row)
            session.exec(update(ClassRow).where(ClassRow.id == class_id).values(came=ClassRow.came + 1))
            session.commit()
            return row

    def come_back(self, class_id, word, token):
        """Somebody comes back by their word: from here on this browser has them, and the one before no longer. Returns the row; None where
        nobody in the class has that word."""
        with self._database.session() as session:
            row = session.exec(select(MemberRow).where(MemberRow.class_id == class_id, MemberRow.word == _of_class(class_id, word))).first()
            if row is not None:
                row.token = hashed(token)
                session.add(row)
                session.commit()
            return row

    def member(self, class_id, token):
        """Who holds a secret in a class, or None."""
        with self._database.session() as session:
            mine = (MemberRow.class_id == class_id, MemberRow.token == hashed(token))
            return session.exec(select(MemberRow).where(*mine)).first()

    def members(self, class_id):
        """Everybody who is in a class, in the order in which they came."""
        with self._database.session() as session:
            return list(session.exec(select(MemberRow).where(MemberRow.class_id == class_id).order_by(MemberRow.id)))

    def rename(self, class_id, member_id, name):
        """Give somebody another name. Raises Taken where somebody has that."""
        with self._database.session() as session:
            others = (MemberRow.class_id == class_id, MemberRow.id != member_id, func.lower(MemberRow.name) == name.lower())
            if session.exec(select(MemberRow.id).where(*others)).first() is not None:
                raise Taken
            session.exec(update(MemberRow).where(MemberRow.class_id == class_id, MemberRow.id == member_id).values(name=name))
            session.commit()

    def remove(self, class_id, member_id):
        """Send somebody out, with all that they have answered and made."""
        with self._database.session() as session:
            mine = select(MemberRow.holder).where(MemberRow.class_id == class_id, MemberRow.id == member_id)
            _delete_copies(session, list(session.exec(mine)))
            session.exec(delete(AnswerRow).where(AnswerRow.member_id == member_id))
            session.exec(delete(MemberRow).where(MemberRow.class_id == class_id, MemberRow.id == member_id))
            session.commit()

    # What is asked -------------------------------------------------------------------------------------------------

    def ask(self, class_id, board_id, asked):
        """Keep a question; the one before takes answers no longer. Returns its id, None where very many are kept."""
        with self._database.session() as session:
            here = QuestionRow.class_id == class_id
            if session.exec(select(func.count()).select_from(QuestionRow).where(here)).one() >= QUESTIONS:
                return None
            session.exec(update(QuestionRow).where(here, QuestionRow.state == "open").values(state="closed"))
            row = QuestionRow(class_id=class_id, board_id=board_id, asked=json.dumps(asked))
            session.add(row)
            session.commit()
            return row.id

    def set_state(self, question_id, state):
        """Say whether a question takes answers, and whether these are shown to all."""
        self._run(update(QuestionRow).where(QuestionRow.id == question_id).values(state=state))

    def answer(self, question_id, member_id, answer):
        """Keep what somebody answered, in the place of what they answered before."""
        with self._database.session() as session:
            session.merge(AnswerRow(question_id=question_id, member_id=member_id, answer=json.dumps(answer)))
            session.commit()

    def judge(self, question_id, asked, answers):
        """Keep a question, and what was answered to it by the ids of who did, as it is once it is known what is right."""
        with self._database.session() as session:
            session.exec(update(QuestionRow).where(QuestionRow.id == question_id).values(asked=json.dumps(asked)))
            for member_id, answer in answers.items():
                here = (AnswerRow.question_id == question_id, AnswerRow.member_id == member_id)
                session.exec(update(AnswerRow).where(*here).values(answer=json.dumps(answer)))
            session.commit()

    def questions(self, class_id):
        """The questions of a class in order, each with its answers: pairs of a name and what was answered, as JSON."""
        with self._database.session() as session:
            rows = list(session.exec(select(QuestionRow).where(QuestionRow.class_id == class_id).order_by(QuestionRow.id)))
            names = dict(session.exec(select(MemberRow.id, MemberRow.name).where(MemberRow.class_id == class_id)).all())
            found = []
            for row in rows:
                answers = session.exec(select(AnswerRow).where(AnswerRow.question_id == row.id).order_by(AnswerRow.made_at))
                found.append((row, [(one.member_id, names.get(one.member_id, ""), one.answer) for one in answers]))
            return found

    def _run(self, statement):
        with self._database.session() as session:
            session.exec(statement)
            session.commit()


def is_over(row: ClassRow) -> bool:
    """Whether the time of a class is over."""
    return row.ends_at.replace(tzinfo=UTC) <= _now()
