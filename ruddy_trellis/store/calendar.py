"""Which students' copies are over: by days on which the program ran, not by a clock that may leap."""

from dataclasses import dataclass
from datetime import date

from sqlalchemy import delete, func
from sqlmodel import select

from .database import Database
from .tables import BoardRow, CalendarRow, EditRow

#: How many days a student's copy is kept after its last change: a little more than a school year.
COPY_DAYS = 400
#: How far ahead it is told what will go, in days.
AHEAD = 7
#: If more than this share of all copies would go at once, something is wrong, and nothing goes before a person says so.
_SHARE = 0.2


@dataclass(frozen=True)
class Due:
    """How many copies there are, how many are over, how many more will be in the coming days, and whether they are held back."""

    copies: int
    over: int
    soon: int
    held_back: bool

    def words(self) -> str:
        """The same as sentences, for whoever runs the program."""
        said = f"Students’ copies: {self.copies}. In the coming {AHEAD} days {self.soon + self.over} of them go."
        if self.held_back:
            said += (
                f" {self.over} are over now, more than a fifth of all, so nothing is deleted:"
                " look whether the clock is right, and then say “python -m ruddy_trellis copies let-go”."
            )
        return said


class Calendar:
    """Counts days, and knows which copies are over.

    Args:
        database: where it is kept.
    """

    def __init__(self, database: Database):
        self._database = database

    def count(self, today: date) -> int:
        """Count a new day. A clock that moved by two days or more, or back, counts nothing. Returns how many were counted in all."""
        with self._database.session() as session:
            row = session.get(CalendarRow, 1)
            if row.last == today:
                return row.days
            if row.last is not None and (today - row.last).days == 1:
                row.days += 1
            row.last = today
            session.add(row)
            session.commit()
            return row.days

    def due(self) -> Due:
        """What is over, and will be."""
        with self._database.session() as session:
            row = session.get(CalendarRow, 1)
            copies = select(func.count()).where(BoardRow.copy_of.is_not(None))
            older = lambda days: session.exec(copies.where(BoardRow.changed_day < row.days - days)).one()
            total, over = session.exec(copies).one(), older(COPY_DAYS)
            return Due(total, over, older(COPY_DAYS - AHEAD) - over, over > max(_SHARE * total, row.allowed))

    def forget(self) -> int:
        """Delete the copies that are over, unless these are suspiciously many. Returns how many were deleted."""
        due = self.due()
        if due.held_back or not due.over:
            return 0
        with self._database.session() as session:
            row = session.get(CalendarRow, 1)
            old = select(BoardRow.id).where(BoardRow.copy_of.is_not(None), BoardRow.changed_day < row.days - COPY_DAYS)
            session.exec(delete(EditRow).where(EditRow.board_id.in_(old)))
            session.exec(delete(BoardRow).where(BoardRow.copy_of.is_not(None), BoardRow.changed_day < row.days - COPY_DAYS))
            row.allowed = 0
            session.add(row)
            session.commit()
        return due.over

    def allow(self) -> int:
        """Say that what is over now may go, although it is much. Returns how many copies that are."""
        over = self.due().over
        with self._database.session() as session:
            session.get(CalendarRow, 1).allowed = over
            session.commit()
        return over
