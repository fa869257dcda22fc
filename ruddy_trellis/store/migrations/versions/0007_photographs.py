"""Pictures under the boards of a lesson."""

import sqlalchemy as sa
from alembic import op

revision = "0007"
down_revision = "0006"


def upgrade():
    op.create_table(
        "photograph",
        sa.Column("lesson_id", sa.Integer, sa.ForeignKey("lesson.id"), primary_key=True),
        sa.Column("mark", sa.String(64), primary_key=True),
        sa.Column("content", sa.LargeBinary, nullable=False),
        sa.Column("made_at", sa.DateTime, nullable=False),
    )


def downgrade():
    op.drop_table("photograph")
