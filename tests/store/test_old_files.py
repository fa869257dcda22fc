"""Data files of earlier versions open well: one of each is kept here."""

import gzip
import sqlite3
import tempfile
import unittest
from contextlib import closing
from pathlib import Path

from ruddy_trellis.commands import look_through
from ruddy_trellis.core.lesson.file import board_from_store
from ruddy_trellis.store import Calendar, Database, Lessons

OLD = sorted((Path(__file__).parent / "old").glob("*.sqlite.gz"))


class OldFilesTest(unittest.TestCase):
    def opened(self, packed):
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        path = Path(folder.name) / "trellis.sqlite"
        path.write_bytes(gzip.decompress(packed.read_bytes()))
        with closing(sqlite3.connect(path)) as connection:
            self.assertEqual(connection.execute("SELECT version_num FROM alembic_version").fetchone()[0], packed.name[:4])
            documents = connection.execute("SELECT id, document FROM board").fetchall()
        database = Database(path)
        self.addCleanup(database.close)
        return path, database, documents

    def test_they_are_brought_to_the_present_shape_and_nothing_in_them_moves(self):
        self.assertGreaterEqual(len(OLD), 2)
        for packed in OLD:
            with self.subTest(packed.name):
                path, database, documents = self.opened(packed)
                lessons = Lessons(database)
                self.assertGreaterEqual(len(documents), 5)
                for id, document in documents:
                    self.assertEqual(lessons.board(id).document, document)
                    board = board_from_store(document)
                    self.assertTrue(all(board.value(step.id) is not None for step in board.steps if step.makes == "point"))
                self.assertEqual(look_through(str(path)), (f"The file is whole, and all {len(documents)} boards in it open.", True))
                copies = [id for id, _ in documents if lessons.board(id).copy_of is not None]
                self.assertEqual(len(copies), 1)
                self.assertEqual(Calendar(database).due().over, 0, "a copy that is as old as it may be does not go at once")
                self.assertEqual(lessons.edit_count(copies[0]), 1)
