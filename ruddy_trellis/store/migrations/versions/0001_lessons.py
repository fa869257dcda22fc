"""Lessons, boards and their edits."""

import sqlalchemy as sa
from alembic import op

revision = "0001"
down_revision = None
branch_labels = None
depends_on = None


def upgrade():
    op.create_table(
        "lesson",
        sa.Column("id", sa.Integer, primary_key=True),
        sa.Column("slug", sa.String(40), nullable=False, unique=True, index=True),
        sa.Column("title", sa.String(80), nullable=False),
        sa.Column("made_at", sa.DateTime, nullable=False),
        sa.Column("changed_at", sa.DateTime, nullable=False),
    )
    op.create_table(
        "board",
        sa.Column("id", sa.Integer, primary_key=True),
        sa.Column("lesson_id", sa.Integer, sa.ForeignKey("lesson.id"), nullable=False, index=True),
        sa.Column("position", sa.Integer, nullable=False),
        sa.Column("document", sa.String, nullable=False),
        sa.Column("edits_done", sa.Integer, nullable=False),
    )
    op.create_table(
        "edit",
        sa.Column("board_id", sa.Integer, sa.ForeignKey("board.id"), primary_key=True),
        sa.Column("number", sa.Integer, primary_key=True),
        sa.Column("patch", sa.String, nullable=False),
        sa.Column("made_at", sa.DateTime, nullable=False),
    )


def downgrade():
    for table in ("edit", "board", "lesson"):
        op.drop_table(table)
