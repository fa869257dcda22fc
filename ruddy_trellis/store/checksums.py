"""Checksums of what is kept: SQLite's own check of a file sees its structure, not a letter that became another one."""

from hashlib import blake2b

from sqlalchemy import event

from .tables import BoardRow, EditRow


def checksum(number: int, text: str) -> str:
    """The checksum of a board (how many edits are in it, and its document) or of an edit (its number, and its patch)."""
    return blake2b(f"{number} {text}".encode(), digest_size=16).hexdigest()


def _board(_mapper, _connection, row):
    row.checksum = checksum(row.edits_done or 0, row.document)


def _edit(_mapper, _connection, row):
    row.checksum = checksum(row.number, row.patch)


for _when in ("before_insert", "before_update"):
    event.listen(BoardRow, _when, _board)
    event.listen(EditRow, _when, _edit)
