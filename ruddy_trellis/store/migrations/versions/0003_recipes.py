"""Recipes."""

import sqlalchemy as sa
from alembic import op

revision = "0003"
down_revision = "0002"


def upgrade():
    op.create_table(
        "recipe",
        sa.Column("id", sa.Integer, primary_key=True),
        sa.Column("document", sa.String, nullable=False),
        sa.Column("made_at", sa.DateTime, nullable=False),
    )


def downgrade():
    op.drop_table("recipe")
