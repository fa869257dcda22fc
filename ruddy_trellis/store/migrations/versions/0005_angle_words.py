"""What pairs of angles are called where a teacher teaches."""

from alembic import op

revision = "0005"
down_revision = "0004"


def upgrade():
    op.execute("ALTER TABLE teacher ADD COLUMN angle_words INTEGER NOT NULL DEFAULT 0")


def downgrade():
    op.execute("ALTER TABLE teacher DROP COLUMN angle_words")
