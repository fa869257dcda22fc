"""Lessons that are open for a class: who is in it, what was asked, what was answered."""

import sqlalchemy as sa
from alembic import op

revision = "0012"
down_revision = "0011"


def upgrade():
    op.create_table(
        "class_room",
        sa.Column("id", sa.Integer, primary_key=True),
        sa.Column("lesson_id", sa.Integer, sa.ForeignKey("lesson.id"), nullable=False, index=True),
        sa.Column("code", sa.String(20), unique=True),
        sa.Column("door", sa.Boolean, nullable=False),
        sa.Column("ends_at", sa.DateTime, nullable=False),
        sa.Column("lifted", sa.String, nullable=False),
        sa.Column("came", sa.Integer, nullable=False),
        sa.Column("made_at", sa.DateTime, nullable=False),
        sa.Column("day", sa.Integer, nullable=False),
    )
    op.create_table(
        "member",
        sa.Column("id", sa.Integer, primary_key=True),
        sa.Column("class_id", sa.Integer, sa.ForeignKey("class_room.id"), nullable=False, index=True),
        sa.Column("token", sa.String(64), nullable=False, unique=True),
        sa.Column("word", sa.String(64), nullable=False),
        sa.Column("holder", sa.String(64), nullable=False),
        sa.Column("name", sa.String(20), nullable=False),
        sa.Column("made_at", sa.DateTime, nullable=False),
    )
    op.create_table(
        "question",
        sa.Column("id", sa.Integer, primary_key=True),
        sa.Column("class_id", sa.Integer, sa.ForeignKey("class_room.id"), nullable=False, index=True),
        sa.Column("board_id", sa.Integer, sa.ForeignKey("board.id"), nullable=False, index=True),
        sa.Column("asked", sa.String, nullable=False),
        sa.Column("state", sa.String(10), nullable=False),
        sa.Column("made_at", sa.DateTime, nullable=False),
    )
    op.create_table(
        "answer",
        sa.Column("question_id", sa.Integer, sa.ForeignKey("question.id"), primary_key=True),
        sa.Column("member_id", sa.Integer, sa.ForeignKey("member.id"), primary_key=True),
        sa.Column("answer", sa.String, nullable=False),
        sa.Column("made_at", sa.DateTime, nullable=False),
    )


def downgrade():
    for table in ("answer", "question", "member", "class_room"):
        op.drop_table(table)
