"""Teachers, their sessions, whose lessons and recipes are, how a lesson is shared, students' copies of boards."""

import secrets

import sqlalchemy as sa
from alembic import op

revision = "0004"
down_revision = "0003"


def upgrade():
    op.create_table(
        "teacher",
        sa.Column("id", sa.Integer, primary_key=True),
        sa.Column("sign_in", sa.String(80), nullable=False, unique=True),
        sa.Column("name", sa.String(80), nullable=False),
        sa.Column("password", sa.String(200), nullable=False),
        sa.Column("made_at", sa.DateTime, nullable=False),
    )
    op.create_table(
        "session",
        sa.Column("token", sa.String(64), primary_key=True),
        sa.Column("teacher_id", sa.Integer, sa.ForeignKey("teacher.id"), nullable=False, index=True),
        sa.Column("ends_at", sa.DateTime, nullable=False),
    )
    # Columns are added in plain SQL: to make a table anew would drop what refers to it.
    for column in (
        "lesson ADD COLUMN teacher_id INTEGER REFERENCES teacher(id)",
        "lesson ADD COLUMN shared VARCHAR(10) NOT NULL DEFAULT 'private'",
        "lesson ADD COLUMN share_key VARCHAR(40)",
        "recipe ADD COLUMN teacher_id INTEGER REFERENCES teacher(id)",
        "board ADD COLUMN copy_of INTEGER REFERENCES board(id)",
        "board ADD COLUMN holder VARCHAR(64)",
        "board ADD COLUMN changed_at DATETIME",
    ):
        op.execute(f"ALTER TABLE {column}")
    lessons = sa.table("lesson", sa.column("id"), sa.column("share_key"))
    connection = op.get_bind()
    for (number,) in connection.execute(sa.select(lessons.c.id)).all():
        connection.execute(sa.update(lessons).where(lessons.c.id == number).values(share_key=secrets.token_urlsafe(9)))
    op.create_index("lesson_teacher_id", "lesson", ["teacher_id"])
    op.create_index("recipe_teacher_id", "recipe", ["teacher_id"])
    op.create_index("lesson_share_key", "lesson", ["share_key"], unique=True)
    op.create_index("board_copy", "board", ["copy_of", "holder"], unique=True)


def downgrade():
    raise NotImplementedError("Lessons belong to teachers from here on: go back to a copy of the file that was made before.")
