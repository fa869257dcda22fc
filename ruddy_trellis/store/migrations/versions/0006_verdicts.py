"""What was found out about claims."""

import sqlalchemy as sa
from alembic import op

revision = "0006"
down_revision = "0005"


def upgrade():
    op.create_table(
        "verdict",
        sa.Column("mark", sa.String(64), primary_key=True),
        sa.Column("verdict", sa.Text, nullable=False),
        sa.Column("made_at", sa.DateTime, nullable=False, index=True),
    )


def downgrade():
    op.drop_table("verdict")
