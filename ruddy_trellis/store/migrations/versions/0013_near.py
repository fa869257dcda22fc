"""Whether a teacher's boards run beside their drawings in browsers."""

from alembic import op

revision = "0013"
down_revision = "0012"


def upgrade():
    op.execute("ALTER TABLE teacher ADD COLUMN near BOOLEAN NOT NULL DEFAULT 1")


def downgrade():
    op.execute("ALTER TABLE teacher DROP COLUMN near")
