"""The tables."""

import secrets
from datetime import UTC, date, datetime

from sqlmodel import Field, SQLModel

#: How long a title or a name is at most.
TITLE_LENGTH = 80


def _now():
    return datetime.now(UTC)


#: Letters and digits that nobody takes for one another when they copy a link from the board.
_PLAIN = "abcdefghjkmnpqrstuvwxyz23456789"


def new_share_key():
    """A new name for a lesson in links: unguessable, and short enough to be typed."""
    return "-".join("".join(secrets.choice(_PLAIN) for _ in range(4)) for _ in range(3))


class Teacher(SQLModel, table=True):
    """Someone who makes lessons. ``sign_in`` is what they sign in with; of the password only an Argon2 hash is kept.
    ``angle_words`` says what pairs of angles are called where they teach (see ``core.truth.angle_pairs.NAMES``); ``near`` whether their
    boards run beside their drawings in browsers."""

    id: int | None = Field(default=None, primary_key=True)
    sign_in: str = Field(unique=True, max_length=80)
    name: str = Field(max_length=TITLE_LENGTH)
    password: str = Field(max_length=200)
    angle_words: int = 0
    near: bool = True
    made_at: datetime = Field(default_factory=_now)


class SessionRow(SQLModel, table=True):
    """A browser in which a teacher is signed in. ``token`` is the SHA-256 of what the browser holds; ``ends_at`` the last moment of it,
    however much it is used, and ``seen_at`` when it was used last. ``browser`` says what it is, for the list of one's own."""

    __tablename__ = "session"

    token: str = Field(primary_key=True, max_length=64)
    teacher_id: int = Field(foreign_key="teacher.id", index=True)
    ends_at: datetime
    made_at: datetime | None = Field(default_factory=_now)
    seen_at: datetime | None = Field(default_factory=_now)
    browser: str = Field(default="", max_length=80)


class KnownBrowserRow(SQLModel, table=True):
    """A browser in which a teacher was signed in once: wrong passwords that others try do not delay it."""

    __tablename__ = "known_browser"

    token: str = Field(primary_key=True, max_length=64)
    teacher_id: int = Field(foreign_key="teacher.id", index=True)
    made_at: datetime = Field(default_factory=_now)


class CalendarRow(SQLModel, table=True):
    """The days on which the program ran, counted by a clock that did not leap: ``days`` of them up to ``last``. How many copies may be
    deleted in one day although that is many, ``allowed``, is said on the command line."""

    __tablename__ = "calendar"

    id: int = Field(default=1, primary_key=True)
    days: int = 0
    last: date | None = None
    allowed: int = 0


class Lesson(SQLModel, table=True):
    """What a teacher makes, names and shares.

    ``slug`` is its unguessable name in the addresses of its teacher, ``share_key`` that in the links for others.
    ``shared`` is "private", "link" (open to whoever has the link) or "gallery" (listed as well). Until ``taking_until`` it takes what
    students hand in.
    """

    id: int | None = Field(default=None, primary_key=True)
    slug: str = Field(unique=True, index=True, max_length=40)
    title: str = Field(max_length=TITLE_LENGTH)
    teacher_id: int | None = Field(default=None, foreign_key="teacher.id", index=True)
    shared: str = Field(default="private", max_length=10)
    share_key: str = Field(default_factory=new_share_key, unique=True, max_length=40)
    put_away: bool = False
    made_at: datetime = Field(default_factory=_now)
    changed_at: datetime = Field(default_factory=_now)
    taking_until: datetime | None = None


class BoardRow(SQLModel, table=True):
    """A board of a lesson.

    ``document`` is its present state in the open format; ``edits_done`` counts the edits that are in it, so that
    those of a higher number can be redone. One that is ``put_away`` is out of its lesson and can be brought back.
    A student's copy names the board it is a ``copy_of`` and, as a SHA-256, its ``holder``; no list of boards shows it.
    It was last changed on the ``changed_day`` of the calendar. ``hints`` is how many it was told of the board's challenge. ``checksum`` is
    kept by ``checksums``.
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
    changed_day: int = 0
    hints: int = 0
    checksum: str = Field(default="", max_length=32)


class EditRow(SQLModel, table=True):
    """One edit of a board as a patch in JSON, numbered from 1."""

    __tablename__ = "edit"

    board_id: int = Field(foreign_key="board.id", primary_key=True)
    number: int = Field(primary_key=True)
    patch: str
    checksum: str = Field(default="", max_length=32)
    made_at: datetime = Field(default_factory=_now)


class ChallengeRow(SQLModel, table=True):
    """The challenge of a board: its task, and its solution, which no page but its teacher's is told."""

    __tablename__ = "challenge"

    board_id: int = Field(foreign_key="board.id", primary_key=True)
    document: str
    made_at: datetime = Field(default_factory=_now)


class HandInRow(SQLModel, table=True):
    """What a student handed in of a copy of a board, under a nickname: the ``document`` as it was then, what was told of it (``told``, as
    JSON; ``always`` where that is proved), how many hints were asked for, in how many minutes something was done, and the ``word`` that
    the teacher wrote back. It was handed in on a ``day`` of the calendar."""

    __tablename__ = "hand_in"

    id: int | None = Field(default=None, primary_key=True)
    lesson_id: int = Field(foreign_key="lesson.id", index=True)
    board_id: int = Field(foreign_key="board.id", index=True)
    holder: str = Field(max_length=64)
    name: str = Field(max_length=20)
    document: str
    verdict: str = Field(default="", max_length=30)
    always: bool = False
    told: str = "{}"
    hints: int = 0
    minutes: int = 0
    version: int = 0
    word: str = Field(default="", max_length=400)
    made_at: datetime = Field(default_factory=_now)
    day: int = 0


class ClassRow(SQLModel, table=True):
    """A lesson that is open for people with a ``code``, until ``ends_at``; closed, it has no code any more. Through a shut ``door`` nobody
    new comes in. ``lifted`` names, as JSON, the covers that were lifted for all: pairs of a board and a step."""

    __tablename__ = "class_room"

    id: int | None = Field(default=None, primary_key=True)
    lesson_id: int = Field(foreign_key="lesson.id", index=True)
    code: str | None = Field(default=None, unique=True, max_length=20)
    door: bool = True
    ends_at: datetime
    lifted: str = "[]"
    came: int = 0
    made_at: datetime = Field(default_factory=_now)
    day: int = 0


class MemberRow(SQLModel, table=True):
    """Somebody in a class, under a nickname: the SHA-256 of what the browser holds (``token``) and of the word for coming back (``word``,
    bound to the class), and the ``holder`` of their copies of boards."""

    __tablename__ = "member"

    id: int | None = Field(default=None, primary_key=True)
    class_id: int = Field(foreign_key="class_room.id", index=True)
    token: str = Field(unique=True, max_length=64)
    word: str = Field(max_length=64)
    holder: str = Field(max_length=64)
    name: str = Field(max_length=20)
    made_at: datetime = Field(default_factory=_now)


class QuestionRow(SQLModel, table=True):
    """What was put to a class on a board, as JSON. ``state`` is "open", "closed" or "shown"."""

    __tablename__ = "question"

    id: int | None = Field(default=None, primary_key=True)
    class_id: int = Field(foreign_key="class_room.id", index=True)
    board_id: int = Field(foreign_key="board.id", index=True)
    asked: str
    state: str = Field(default="open", max_length=10)
    made_at: datetime = Field(default_factory=_now)


class AnswerRow(SQLModel, table=True):
    """What somebody answered, as JSON: the last that they said."""

    __tablename__ = "answer"

    question_id: int = Field(foreign_key="question.id", primary_key=True)
    member_id: int = Field(foreign_key="member.id", primary_key=True)
    answer: str
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
