"""The tables."""

from datetime import UTC, datetime

from sqlmodel import Field, SQLModel


def _now():
    return datetime.now(UTC)


class Lesson(SQLModel, table=True):
    """What a teacher makes, names and shares. ``slug`` is its unguessable name in addresses."""

    id: int | None = Field(default=None, primary_key=True)
    slug: str = Field(unique=True, index=True, max_length=40)
    title: str = Field(max_length=80)
    put_away: bool = False
    made_at: datetime = Field(default_factory=_now)
    changed_at: datetime = Field(default_factory=_now)


class BoardRow(SQLModel, table=True):
    """A board of a lesson.

    ``document`` is its present state in the open format; ``edits_done`` counts the edits that are in it, so that
    those of a higher number can be redone. One that is ``put_away`` is out of its lesson and can be brought back.
    """

    __tablename__ = "board"

    id: int | None = Field(default=None, primary_key=True)
    lesson_id: int = Field(foreign_key="lesson.id", index=True)
    position: int = 0
    document: str
    edits_done: int = 0
    put_away: bool = False


class EditRow(SQLModel, table=True):
    """One edit of a board as a patch in JSON, numbered from 1."""

    __tablename__ = "edit"

    board_id: int = Field(foreign_key="board.id", primary_key=True)
    number: int = Field(primary_key=True)
    patch: str
    made_at: datetime = Field(default_factory=_now)


class RecipeRow(SQLModel, table=True):
    """A kept recipe in its open format."""

    __tablename__ = "recipe"

    id: int | None = Field(default=None, primary_key=True)
    document: str
    made_at: datetime = Field(default_factory=_now)
