"""How many hints a copy was told, and of what was handed in whether its answer is proved."""

from alembic import op

revision = "0011"
down_revision = "0010"


def upgrade():
    op.execute("ALTER TABLE board ADD COLUMN hints INTEGER NOT NULL DEFAULT 0")
    op.execute("ALTER TABLE hand_in ADD COLUMN always BOOLEAN NOT NULL DEFAULT 0")


def downgrade():
    op.execute("ALTER TABLE board DROP COLUMN hints")
    op.execute("ALTER TABLE hand_in DROP COLUMN always")
