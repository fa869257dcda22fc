"""The functions that read and write lessons and boards."""

import secrets
from collections import Counter

from sqlalchemy import bindparam, delete, false, func, insert, true, update
from sqlmodel import select

from .challenges import Challenges
from .checksums import checksum
from .database import Database, NotKept
from .hand_ins import HandIns
from .photographs import Photographs
from .tables import TITLE_LENGTH, BoardRow, CalendarRow, EditRow, Lesson, RecipeRow, Teacher, _now, new_share_key
from .verdicts import KnownVerdicts

#: The greatest number that can be looked for.
GREATEST_ID = 2**63 - 1
#: How many copies of one board are kept at most.
COPIES = 2_000
#: From so many edits on there is work in a copy, and it does not make room for others.
WORK = 5
#: After so many bytes of edits it is looked how much a teacher has.
LOOKED_AT = 250_000
#: How many edits of a student's copy can be taken back.
COPY_EDITS = 500

#: What is written with every edit. Of all that is kept it is by far the most, so it goes to the tables without rows made of it.
_BOARDS, _EDITS, _LESSONS, _DAYS = (kind.__table__ for kind in (BoardRow, EditRow, Lesson, CalendarRow))
_OF_BOARD = select(_BOARDS.c.lesson_id, _BOARDS.c.copy_of).where(_BOARDS.c.id == bindparam("board"))
_FROM_EDIT = delete(_EDITS).where(_EDITS.c.board_id == bindparam("board"), _EDITS.c.number >= bindparam("number"))
_TO_EDIT = delete(_EDITS).where(_EDITS.c.board_id == bindparam("board"), _EDITS.c.number <= bindparam("number"))
_NEW_EDIT = insert(_EDITS)
_STATE = (
    update(_BOARDS)
    .where(_BOARDS.c.id == bindparam("board"))
    .values({name: bindparam(name) for name in ("document", "edits_done", "checksum", "changed_at")})
)
_STATE_OF_COPY = _STATE.values(changed_day=select(_DAYS.c.days).where(_DAYS.c.id == 1).scalar_subquery())
_CHANGED = update(_LESSONS).where(_LESSONS.c.id == bindparam("lesson")).values(changed_at=bindparam("changed_at"))


def _holds(column, words):
    """The condition that some words stand in a column, in letters of either size."""
    words = words.strip()
    if not words:
        return true()
    if len(words) > TITLE_LENGTH:
        return false()  # no title is as long, nor a name
    for sign in "\\%_":
        words = words.replace(sign, "\\" + sign)
    return column.ilike(f"%{words}%", escape="\\")


class Lessons:
    """Reads and writes lessons. Documents and patches go in and come out as JSON text.

    Everything that a method writes is on the disk when it returns.

    Args:
        quota: how many megabytes the boards and recipes of one teacher may take.
        hand_ins: what students handed in.
    """

    def __init__(self, database: Database, quota=None, hand_ins=None):
        self._database, self._quota = database, quota
        #: How much each teacher has added to boards since it was last looked how much they have.
        self._added: Counter[int] = Counter()
        #: What was found out about the claims on boards.
        self.verdicts = KnownVerdicts(database)
        self.photographs = Photographs(database)
        self.challenges = Challenges(database)
        self.hand_ins = hand_ins or HandIns(database)

    def of_teacher(self, teacher_id, put_away=False, find="", start=0, most=None):
        """The lessons of a teacher (or those put away) with the id of their first board, the last changed first.

        Args:
            find: only those that have this in their title.
            start, most: from which one on, and how many of them.
        """
        mine = (Lesson.teacher_id == teacher_id) & (Lesson.put_away == put_away)
        return self._listed(mine & _holds(Lesson.title, find), start, most)

    def gallery(self, find="", start=0, most=None):
        """The lessons that are listed for all, with the id of their first board and their teacher's name.

        Args:
            find: only those that have this in their title, or in their teacher's name.
            start, most: from which one on, and how many of them.
        """
        teachers = select(Teacher.id).where(_holds(Teacher.name, find))
        found = _holds(Lesson.title, find) | Lesson.teacher_id.in_(teachers)
        listed = self._listed((Lesson.shared == "gallery") & ~Lesson.put_away & found, start, most)
        with self._database.session() as session:
            ids = {lesson.teacher_id for lesson, _ in listed}
            names = dict(session.exec(select(Teacher.id, Teacher.name).where(Teacher.id.in_(ids))).all())
        return [(lesson, board_id, names.get(lesson.teacher_id, "")) for lesson, board_id in listed]

    def room_of(self, teacher_id):
        """How much is kept of a teacher, in bytes: boards, edits and recipes, but not the students' copies."""
        with self._database.session() as session:
            own = BoardRow.lesson_id.in_(select(Lesson.id).where(Lesson.teacher_id == teacher_id)) & BoardRow.copy_of.is_(None)
            boards = session.exec(select(func.sum(func.length(BoardRow.document))).where(own)).one()
            edits = session.exec(
                select(func.sum(func.length(EditRow.patch))).where(EditRow.board_id.in_(select(BoardRow.id).where(own)))
            ).one()
            recipes = session.exec(select(func.sum(func.length(RecipeRow.document))).where(RecipeRow.teacher_id == teacher_id)).one()
            photographs = session.exec(self.photographs.room_of(select(Lesson.id).where(Lesson.teacher_id == teacher_id))).one()
            return (boards or 0) + (edits or 0) + (recipes or 0) + (photographs or 0)

    def _listed(self, condition, start=0, most=None):
        seen = ~BoardRow.put_away & BoardRow.copy_of.is_(None)
        with self._database.session() as session:
            first = (
                select(BoardRow.lesson_id, func.min(BoardRow.position).label("position"))
                .where(seen)
                .group_by(BoardRow.lesson_id)
                .subquery()
            )
            rows = session.exec(
                select(Lesson, BoardRow.id)
                .join(first, first.c.lesson_id == Lesson.id)
                .join(BoardRow, (BoardRow.lesson_id == Lesson.id) & (BoardRow.position == first.c.position) & seen)
                .where(condition)
                .order_by(Lesson.changed_at.desc(), Lesson.id.desc())
                .offset(start)
                .limit(most)
            )
            return list(rows)

    def is_empty(self):
        """Whether no lesson is kept at all."""
        with self._database.session() as session:
            return session.exec(select(Lesson.id).limit(1)).first() is None

    def find(self, slug):
        """The lesson of that slug, or None."""
        with self._database.session() as session:
            return session.exec(select(Lesson).where(Lesson.slug == slug)).first()

    def lesson(self, lesson_id):
        """The lesson of that id, or None."""
        with self._database.session() as session:
            return session.get(Lesson, lesson_id)

    def teacher_of(self, board_id):
        """The id of the teacher whose board this is; None where there is none, or it is a student's copy."""
        if board_id > GREATEST_ID:
            return None
        with self._database.session() as session:
            owner = select(Lesson.teacher_id).join(BoardRow, BoardRow.lesson_id == Lesson.id)
            return session.exec(owner.where(BoardRow.id == board_id, BoardRow.copy_of.is_(None))).first()

    def find_shared(self, share_key):
        """The lesson of that link, or None where there is none, or it is private or put away."""
        with self._database.session() as session:
            return session.exec(select(Lesson).where(Lesson.share_key == share_key, Lesson.shared != "private", ~Lesson.put_away)).first()

    def share(self, slug, shared, new_key=False):
        """Say who may open a lesson, and give it a new link where the old one shall no longer work. Returns the lesson."""
        with self._database.session() as session:
            lesson = session.exec(select(Lesson).where(Lesson.slug == slug)).one()
            lesson.shared = shared
            if new_key:
                lesson.share_key = new_share_key()
            session.add(lesson)
            session.commit()
            return lesson

    def still_there(self, lesson_ids):
        """Which of some lessons are kept still."""
        with self._database.session() as session:
            return set(session.exec(select(Lesson.id).where(Lesson.id.in_(lesson_ids))))

    def boards(self, lesson_id):
        """The boards of a lesson in order."""
        with self._database.session() as session:
            return self._in_order(session, lesson_id)

    def has_board(self, lesson_id, board_id):
        """Whether that is a board of the lesson, not put away and no student's copy."""
        with self._database.session() as session:
            seen = (BoardRow.lesson_id == lesson_id, BoardRow.id == board_id, ~BoardRow.put_away, BoardRow.copy_of.is_(None))
            return board_id <= GREATEST_ID and session.exec(select(BoardRow.id).where(*seen)).first() is not None

    def board(self, board_id):
        """A board, or None."""
        with self._database.session() as session:
            return session.get(BoardRow, board_id)

    def create(self, teacher_id, title, documents, shared="private"):
        """Make a lesson with these boards. Returns it."""
        lesson = Lesson(slug=secrets.token_urlsafe(9), title=title, teacher_id=teacher_id, shared=shared)
        with self._database.session() as session:
            session.add(lesson)
            session.flush()
            for position, document in enumerate(documents):
                session.add(BoardRow(lesson_id=lesson.id, position=position, document=document))
            session.commit()
        return lesson

    def keep_challenges(self, lesson_id, documents):
        """Keep challenges of a lesson's boards, by the numbers of the boards from 0."""
        rows = self.boards(lesson_id)
        for number, document in documents.items():
            self.challenges.keep(rows[number].id, document)

    def copy_challenges(self, ids):
        """Keep the challenges of some boards for other ones as well, by the ids of these."""
        for board_id, other in ids.items():
            if (document := self.challenges.of(board_id)) is not None:
                self.challenges.keep(other, document)

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
        seen = (BoardRow.lesson_id == lesson_id, ~BoardRow.put_away, BoardRow.copy_of.is_(None))
        return list(session.exec(select(BoardRow).where(*seen).order_by(BoardRow.position, BoardRow.id)))

    @staticmethod
    def _number(session, rows):
        for number, row in enumerate(rows):
            row.position = number
            session.add(row)

    def recipes(self, teacher_id):
        """The recipes that a teacher keeps, the first kept first."""
        with self._database.session() as session:
            return list(session.exec(select(RecipeRow).where(RecipeRow.teacher_id == teacher_id).order_by(RecipeRow.id)))

    def recipe(self, recipe_id):
        """A recipe, or None."""
        with self._database.session() as session:
            return session.get(RecipeRow, recipe_id) if recipe_id <= GREATEST_ID else None

    def keep_recipe(self, teacher_id, document):
        """Keep a recipe. Returns its row."""
        with self._database.session() as session:
            row = RecipeRow(teacher_id=teacher_id, document=document)
            session.add(row)
            session.commit()
            return row

    def delete_recipe(self, recipe_id):
        """Throw a recipe away."""
        with self._database.session() as session:
            session.exec(delete(RecipeRow).where(RecipeRow.id == recipe_id))
            session.commit()

    def save_edit(self, board_id, number, patch, document):
        """Keep an edit and the board's new state together. Edits that had been undone before it are forgotten, and of a
        student's copy those of long ago. Returns whether the board is there: else nothing is kept."""
        with self._database.writing() as session:
            connection = session.connection()
            found = self._set_document(connection, board_id, document, number)
            if found is None:
                return False
            connection.execute(_FROM_EDIT, {"board": board_id, "number": number})
            row = {"board_id": board_id, "number": number, "patch": patch, "checksum": checksum(number, patch), "made_at": _now()}
            connection.execute(_NEW_EDIT, row)
            if found.copy_of is None:
                self._check_room(session, found.lesson_id, len(patch))
            else:
                connection.execute(_TO_EDIT, {"board": board_id, "number": number - COPY_EDITS})
            session.commit()
            return True

    def _check_room(self, session, lesson_id, size):
        """Raise NotKept where an edit has no room any more; looked at after every so many bytes of a teacher's."""
        teacher_id = session.get(Lesson, lesson_id).teacher_id
        self._added[teacher_id] += size
        if self._quota is None or teacher_id is None or self._added[teacher_id] < LOOKED_AT:
            return
        if self.room_of(teacher_id) > self._quota * 1_000_000:
            session.rollback()
            raise NotKept(
                f"Your lessons fill the {self._quota} MB that there are for each teacher, so this was not kept. "
                "Delete some lessons, or ask whoever runs this program."
            )
        self._added[teacher_id] = 0

    def save_step(self, board_id, edits_done, document):
        """Keep the board's state after an undo or a redo, and how many edits are in it."""
        with self._database.writing() as session:
            self._set_document(session.connection(), board_id, document, edits_done)
            session.commit()

    @staticmethod
    def _set_document(connection, board_id, document, edits_done):
        """Write a board's state. Returns of which lesson it is, and of which board a copy; None where it is not there."""
        found = connection.execute(_OF_BOARD, {"board": board_id}).one_or_none()
        if found is None:
            return None
        now = _now()
        row = {"board": board_id, "document": document, "edits_done": edits_done, "checksum": checksum(edits_done, document)}
        if found.copy_of is None:
            connection.execute(_STATE, {**row, "changed_at": now})
            connection.execute(_CHANGED, {"lesson": found.lesson_id, "changed_at": now})
        else:
            connection.execute(_STATE_OF_COPY, {**row, "changed_at": now})
        return found

    def copy(self, copy_of, holder):
        """The copy of a board that a student holds, or None."""
        with self._database.session() as session:
            return session.exec(select(BoardRow).where(BoardRow.copy_of == copy_of, BoardRow.holder == holder)).first()

    def make_copy(self, copy_of, holder, document, hints=0):
        """Keep a student's copy of a board. Where there are very many, one with next to no work in it goes, of those the one
        that was longest left alone. Returns the row of the new one; None where there is work in all of them."""
        with self._database.writing() as session:
            board = session.get(BoardRow, copy_of)
            row = BoardRow(lesson_id=board.lesson_id, copy_of=copy_of, holder=holder, document=document, hints=hints)
            row.changed_at = _now()
            row.changed_day = session.get(CalendarRow, 1).days
            session.add(row)
            session.flush()
            copies = select(func.count()).where(BoardRow.copy_of == copy_of)
            if session.exec(copies).one() > COPIES:
                empty = select(BoardRow.id).where(BoardRow.copy_of == copy_of, BoardRow.edits_done < WORK, BoardRow.id != row.id)
                first = session.exec(empty.order_by(BoardRow.edits_done, BoardRow.changed_at).limit(1)).first()
                if first is None:
                    session.rollback()
                    return None
                self._delete_copies(session, [first])
            session.commit()
            return row

    def note_hints(self, board_id, hints):
        """Keep how many hints a student's copy was told."""
        with self._database.session() as session:
            session.exec(update(BoardRow).where(BoardRow.id == board_id).values(hints=hints))
            session.commit()

    @staticmethod
    def _delete_copies(session, ids):
        for board_id in ids:
            session.exec(delete(EditRow).where(EditRow.board_id == board_id))
            session.exec(delete(BoardRow).where(BoardRow.id == board_id))

    def edit(self, board_id, number):
        """The patch of one edit as JSON text, or None."""
        with self._database.session() as session:
            row = session.get(EditRow, (board_id, number))
            return row and row.patch

    def edits(self, board_id, most=200):
        """The last edits of a board, the newest first: number, patch, when it was made."""
        with self._database.session() as session:
            return list(session.exec(select(EditRow).where(EditRow.board_id == board_id).order_by(EditRow.number.desc()).limit(most)))

    def keyed_edits(self, board_id):
        """The patches of all edits of a board that came with a key (see ``core.edits.patch``), as text."""
        with self._database.session() as session:
            return list(session.exec(select(EditRow.patch).where(EditRow.board_id == board_id, EditRow.patch.contains('"key":"'))))

    def edit_count(self, board_id):
        """How many edits are kept for a board, the undone ones included."""
        with self._database.session() as session:
            return session.exec(select(func.max(EditRow.number)).where(EditRow.board_id == board_id)).one() or 0
