"""What students handed in: frozen boards under nicknames, for some days."""

from datetime import UTC, timedelta

from limits import parse
from limits.storage import MemoryStorage
from limits.strategies import MovingWindowRateLimiter
from sqlalchemy import delete, func, update
from sqlalchemy.orm import defer
from sqlmodel import select

from .database import Database
from .tables import BoardRow, CalendarRow, EditRow, HandInRow, Lesson, _now

#: Where the school says nothing else: how long a lesson takes what is handed in, hours; for how many days it is kept.
HOURS, DAYS = 8, 30
#: How many hand-ins of one copy are kept.
OF_ONE = 20
#: How many new names come from one address into a lesson in some minutes, and while it is open; and from everywhere, among those kept.
MINUTES, AT_ONCE, FROM_ONE, NAMES = 10, 60, 400, 2_000


class TooMany(Exception):
    """So many names have come that no new one is taken now."""


class HandIns:
    """Reads and keeps what was handed in.

    Args:
        database: where it is kept.
        hours: how long a lesson that is opened takes what is handed in.
        days: for how many days that is kept.
    """

    def __init__(self, database: Database, hours: int = HOURS, days: int = DAYS):
        self._database, self.hours, self.days = database, hours, days
        self._came = MovingWindowRateLimiter(MemoryStorage())
        self._at_once, self._in_all = parse(f"{AT_ONCE} per {MINUTES} minutes"), parse(f"{FROM_ONE} per {hours} hours")

    def open(self, lesson_id, is_open):
        """Open a lesson for handing in, for some hours, or close it."""
        with self._database.session() as session:
            lesson = session.get(Lesson, lesson_id)
            lesson.taking_until = _now() + timedelta(hours=self.hours) if is_open else None
            session.add(lesson)
            session.commit()

    def is_open(self, lesson_id):
        """Whether a lesson takes what is handed in now."""
        with self._database.session() as session:
            until = session.exec(select(Lesson.taking_until).where(Lesson.id == lesson_id)).first()
            return until is not None and until.replace(tzinfo=UTC) > _now()

    def keep(self, row: HandInRow, address: str = "") -> int | None:
        """Keep what was handed in, from an address that is not kept. Returns its id. Raises TooMany where too many new names have come."""
        with self._database.writing() as session:
            here = HandInRow.lesson_id == row.lesson_id
            known = session.exec(
                select(HandInRow.id).where(here, HandInRow.holder == row.holder, HandInRow.name == row.name).limit(1)
            ).first()
            if known is None:
                names = session.exec(select(func.count(func.distinct(HandInRow.name))).where(here)).one()
                where = (str(row.lesson_id), address)
                if names >= NAMES or not all(self._came.hit(limit, *where) for limit in (self._at_once, self._in_all)):
                    raise TooMany
            row.day = session.get(CalendarRow, 1).days
            session.add(row)
            session.flush()
            mine = select(HandInRow.id).where(HandInRow.board_id == row.board_id, HandInRow.holder == row.holder)
            old = session.exec(mine.order_by(HandInRow.id.desc()).offset(OF_ONE)).all()
            session.exec(delete(HandInRow).where(HandInRow.id.in_(old)))
            session.commit()
            return row.id

    def judge(self, id, fields):
        """What was handed in is judged anew: its verdict, what is told of it, and by which version of the challenge."""
        self._run(update(HandInRow).where(HandInRow.id == id).values(**fields))

    def of_board(self, board_id, start=0, most=40):
        """The last of each holder's on a board, the newest first."""
        with self._database.session() as session:
            last = select(func.max(HandInRow.id)).where(HandInRow.board_id == board_id).group_by(HandInRow.holder)
            rows = select(HandInRow).where(HandInRow.id.in_(last)).order_by(HandInRow.id.desc())
            return list(session.exec(rows.offset(start).limit(most)))

    def every(self, lesson_id):
        """All that was handed in to a lesson, the oldest first."""
        with self._database.session() as session:
            return list(session.exec(select(HandInRow).where(HandInRow.lesson_id == lesson_id).order_by(HandInRow.id)))

    def counts(self, lesson_id):
        """How many have handed in on each board, by its id."""
        with self._database.session() as session:
            rows = select(HandInRow.board_id, func.count(func.distinct(HandInRow.holder))).where(HandInRow.lesson_id == lesson_id)
            return dict(session.exec(rows.group_by(HandInRow.board_id)).all())

    def find(self, id):
        """One that was handed in, or None."""
        with self._database.session() as session:
            return session.get(HandInRow, id)

    def earlier(self, rows):
        """What the holders of some rows of one board handed in before these, the newest first, by the id of the row. One query for all,
        as the grid is asked for every few seconds."""
        found: dict[int, list[HandInRow]] = {row.id: [] for row in rows}
        by_holder = {(row.board_id, row.holder): row for row in rows}
        with self._database.session() as session:
            here = HandInRow.board_id.in_({row.board_id for row in rows}), HandInRow.holder.in_({row.holder for row in rows})
            for one in session.exec(select(HandInRow).where(*here).order_by(HandInRow.id.desc()).options(defer(HandInRow.document))):
                row = by_holder.get((one.board_id, one.holder))
                if row and one.id < row.id:
                    found[row.id].append(one)
        return found

    def of_holder(self, board_id, holder):
        """The last that a holder handed in on a board, or None."""
        with self._database.session() as session:
            mine = (HandInRow.board_id == board_id, HandInRow.holder == holder)
            return session.exec(select(HandInRow).where(*mine).order_by(HandInRow.id.desc()).limit(1)).first()

    def write(self, id, word):
        """Write a word back."""
        self._run(update(HandInRow).where(HandInRow.id == id).values(word=word))

    def rename(self, lesson_id, name, new):
        """Another name in the place of one, wherever it stands in a lesson."""
        self._run(update(HandInRow).where(HandInRow.lesson_id == lesson_id, HandInRow.name == name).values(name=new))

    def remove(self, lesson_id, name):
        """All that was handed in to a lesson under a name goes."""
        self._run(delete(HandInRow).where(HandInRow.lesson_id == lesson_id, HandInRow.name == name))

    def take_back(self, board_id, holder):
        """All that a holder handed in on a board goes."""
        self._run(delete(HandInRow).where(HandInRow.board_id == board_id, HandInRow.holder == holder))

    def forget(self):
        """What was handed in longer ago than the days for which it is kept goes, and with the last of a copy that copy, unless it was
        changed since. Returns how many hand-ins that were."""
        with self._database.session() as session:
            last = session.get(CalendarRow, 1).days - self.days
            old = session.exec(select(HandInRow).where(HandInRow.day < last)).all()
            session.exec(delete(HandInRow).where(HandInRow.id.in_([row.id for row in old])))
            for board_id, holder in {(row.board_id, row.holder) for row in old}:
                left = select(HandInRow.id).where(HandInRow.board_id == board_id, HandInRow.holder == holder).limit(1)
                if session.exec(left).first() is None:
                    copy = (BoardRow.copy_of == board_id, BoardRow.holder == holder, BoardRow.changed_day < last)
                    session.exec(delete(EditRow).where(EditRow.board_id.in_(select(BoardRow.id).where(*copy))))
                    session.exec(delete(BoardRow).where(*copy))
            session.commit()
            return len(old)

    def _run(self, statement):
        with self._database.session() as session:
            session.exec(statement)
            session.commit()
