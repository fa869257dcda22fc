"""Challenges: what stands beside a board and is told to its teacher alone."""

import sqlalchemy as sa
from alembic import op

revision = "0009"
down_revision = "0008"


def upgrade():
    op.create_table(
        "challenge",
        sa.Column("board_id", sa.Integer, sa.ForeignKey("board.id"), primary_key=True),
        sa.Column("document", sa.String, nullable=False),
        sa.Column("made_at", sa.DateTime, nullable=False),
    )


def downgrade():
    op.drop_table("challenge")
