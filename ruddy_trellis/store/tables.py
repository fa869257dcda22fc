"""The tables."""

import secrets
from datetime import UTC, datetime

from sqlmodel import Field, SQLModel


def _now():
    return datetime.now(UTC)


#: Letters and digits that nobody takes for one another when they copy a link from the board.
_PLAIN = "abcdefghjkmnpqrstuvwxyz23456789"


def new_share_key():
    """A new name for a lesson in links: unguessable, and short enough to be typed."""
    return "-".join("".join(secrets.choice(_PLAIN) for _ in range(4)) for _ in range(3))


class Teacher(SQLModel, table=True):
    """Someone who makes lessons. ``sign_in`` is what they sign in with; of the password only an Argon2 hash is kept.
    ``angle_words`` says what pairs of angles are called where they teach (see ``core.truth.angle_pairs.NAMES``)."""

    id: int | None = Field(default=None, primary_key=True)
    sign_in: str = Field(unique=True, max_length=80)
    name: str = Field(max_length=80)
    password: str = Field(max_length=200)
    angle_words: int = 0
    made_at: datetime = Field(default_factory=_now)


class SessionRow(SQLModel, table=True):
    """A browser in which a teacher is signed in. ``token`` is the SHA-256 of what the browser holds."""

    __tablename__ = "session"

    token: str = Field(primary_key=True, max_length=64)
    teacher_id: int = Field(foreign_key="teacher.id", index=True)
    ends_at: datetime


class Lesson(SQLModel, table=True):
    """What a teacher makes, names and shares.

    ``slug`` is its unguessable name in the addresses of its teacher, ``share_key`` that in the links for others.
    ``shared`` is "private", "link" (open to whoever has the link) or "gallery" (listed as well).
    """

    id: int | None = Field(default=None, primary_key=True)
    slug: str = Field(unique=True, index=True, max_length=40)
    title: str = Field(max_length=80)
    teacher_id: int | None = Field(default=None, foreign_key="teacher.id", index=True)
    shared: str = Field(default="private", max_length=10)
    share_key: str = Field(default_factory=new_share_key, unique=True, max_length=40)
    put_away: bool = False
    made_at: datetime = Field(default_factory=_now)
    changed_at: datetime = Field(default_factory=_now)


class BoardRow(SQLModel, table=True):
    """A board of a lesson.

    ``document`` is its present state in the open format; ``edits_done`` counts the edits that are in it, so that
    those of a higher number can be redone. One that is ``put_away`` is out of its lesson and can be brought back.
    A student's copy names the board it is a ``copy_of`` and, as a SHA-256, its ``holder``; no list of boards shows it.
    """

    __tablename__ = "board"

    id: int | None = Field(default=None, primary_key=True)
    lesson_id: int = Field(foreign_key="lesson.id", index=True)
    position: int = 0
    document: str
    edits_done: int = 0
    put_away: bool = False
    copy_of: int | None = Field(default=None, foreign_key="board.id")
    holder: str | None = Field(default=None, max_length=64)
    changed_at: datetime | None = None


class EditRow(SQLModel, table=True):
    """One edit of a board as a patch in JSON, numbered from 1."""

    __tablename__ = "edit"

    board_id: int = Field(foreign_key="board.id", primary_key=True)
    number: int = Field(primary_key=True)
    patch: str
    made_at: datetime = Field(default_factory=_now)


class VerdictRow(SQLModel, table=True):
    """What was found out about a claim. ``mark`` is the SHA-256 of what it hangs on and of the program that tried it."""

    __tablename__ = "verdict"

    mark: str = Field(primary_key=True, max_length=64)
    verdict: str
    made_at: datetime = Field(default_factory=_now, index=True)


class PhotographRow(SQLModel, table=True):
    """A picture under a board of a lesson, as JPEG. ``mark`` is its SHA-256."""

    __tablename__ = "photograph"

    lesson_id: int = Field(foreign_key="lesson.id", primary_key=True)
    mark: str = Field(primary_key=True, max_length=64)
    content: bytes
    made_at: datetime = Field(default_factory=_now)


class RecipeRow(SQLModel, table=True):
    """A kept recipe in its open format."""

    __tablename__ = "recipe"

    id: int | None = Field(default=None, primary_key=True)
    teacher_id: int | None = Field(default=None, foreign_key="teacher.id", index=True)
    document: str
    made_at: datetime = Field(default_factory=_now)
