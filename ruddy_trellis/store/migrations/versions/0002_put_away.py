"""Lessons and boards can be put away and brought back."""

import sqlalchemy as sa
from alembic import op

revision = "0002"
down_revision = "0001"


def upgrade():
    for table in ("lesson", "board"):
        op.add_column(table, sa.Column("put_away", sa.Boolean, nullable=False, server_default=sa.false()))


def downgrade():
    for table in ("board", "lesson"):
        op.drop_column(table, "put_away")
