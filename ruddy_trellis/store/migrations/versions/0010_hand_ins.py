"""What students hand in, and until when a lesson takes it."""

import sqlalchemy as sa
from alembic import op

revision = "0010"
down_revision = "0009"


def upgrade():
    op.execute("ALTER TABLE lesson ADD COLUMN taking_until DATETIME")
    op.create_table(
        "hand_in",
        sa.Column("id", sa.Integer, primary_key=True),
        sa.Column("lesson_id", sa.Integer, sa.ForeignKey("lesson.id"), nullable=False, index=True),
        sa.Column("board_id", sa.Integer, sa.ForeignKey("board.id"), nullable=False, index=True),
        sa.Column("holder", sa.String(64), nullable=False),
        sa.Column("name", sa.String(20), nullable=False),
        sa.Column("document", sa.String, nullable=False),
        sa.Column("verdict", sa.String(30), nullable=False),
        sa.Column("told", sa.String, nullable=False),
        sa.Column("hints", sa.Integer, nullable=False),
        sa.Column("minutes", sa.Integer, nullable=False),
        sa.Column("version", sa.Integer, nullable=False),
        sa.Column("word", sa.String(400), nullable=False),
        sa.Column("made_at", sa.DateTime, nullable=False),
        sa.Column("day", sa.Integer, nullable=False),
    )


def downgrade():
    op.drop_table("hand_in")
