"""Checksums of boards and edits, days that count, what is kept of sessions, and browsers that were signed in before."""

from datetime import UTC, datetime

import sqlalchemy as sa
from alembic import op

from ruddy_trellis.store.checksums import checksum

revision = "0008"
down_revision = "0007"

#: How many days have been counted at first: a copy that is older than the store can tell is as old as that at most.
DAYS = 390


def upgrade():
    for column in (
        "board ADD COLUMN checksum VARCHAR(32) NOT NULL DEFAULT ''",
        "board ADD COLUMN changed_day INTEGER NOT NULL DEFAULT 0",
        "edit ADD COLUMN checksum VARCHAR(32) NOT NULL DEFAULT ''",
        "session ADD COLUMN made_at DATETIME",
        "session ADD COLUMN seen_at DATETIME",
        "session ADD COLUMN browser VARCHAR(80) NOT NULL DEFAULT ''",
    ):
        op.execute(f"ALTER TABLE {column}")
    op.create_table(
        "calendar",
        sa.Column("id", sa.Integer, primary_key=True),
        sa.Column("days", sa.Integer, nullable=False),
        sa.Column("last", sa.Date, nullable=True),
        sa.Column("allowed", sa.Integer, nullable=False),
    )
    op.create_table(
        "known_browser",
        sa.Column("token", sa.String(64), primary_key=True),
        sa.Column("teacher_id", sa.Integer, sa.ForeignKey("teacher.id"), nullable=False, index=True),
        sa.Column("made_at", sa.DateTime, nullable=False),
    )
    connection = op.get_bind()
    connection.execute(sa.text("INSERT INTO calendar (id, days, allowed) VALUES (1, :days, 0)"), {"days": DAYS})
    now = datetime.now(UTC).replace(tzinfo=None)
    boards = connection.execute(sa.text("SELECT id, document, edits_done, changed_at FROM board")).all()
    for id, document, edits_done, changed_at in boards:
        age = (now - datetime.fromisoformat(changed_at)).days if changed_at else 0
        connection.execute(
            sa.text("UPDATE board SET checksum = :sum, changed_day = :day WHERE id = :id"),
            {"sum": checksum(edits_done, document), "day": DAYS - min(max(age, 0), DAYS), "id": id},
        )
    for board_id, number in connection.execute(sa.text("SELECT board_id, number FROM edit")).all():
        key = {"board": board_id, "number": number}
        patch = connection.execute(sa.text("SELECT patch FROM edit WHERE board_id = :board AND number = :number"), key).scalar_one()
        connection.execute(
            sa.text("UPDATE edit SET checksum = :sum WHERE board_id = :board AND number = :number"), {**key, "sum": checksum(number, patch)}
        )
    connection.execute(sa.text("UPDATE session SET made_at = :now, seen_at = :now"), {"now": now})


def downgrade():
    raise NotImplementedError("Boards have checksums from here on: go back to a copy of the file that was made before.")
