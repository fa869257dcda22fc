"""The store: what it keeps is there, whole, after any end."""

import os
import signal
import sqlite3
import subprocess
import sys
import tempfile
import textwrap
import unittest
from pathlib import Path

from ruddy_trellis.store import Database, Lessons

ROOT = Path(__file__).parents[2]


class StoreTest(unittest.TestCase):
    def setUp(self):
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.path = Path(folder.name) / "deep" / "lessons.sqlite"

    def lessons(self):
        database = Database(self.path)
        self.addCleanup(database.close)
        return Lessons(database)

    def test_edits_and_history(self):
        lessons = self.lessons()
        lesson = lessons.create(None, "One", ["{}", '{"b":2}'])
        (first, second) = lessons.boards(lesson.id)
        for number in (1, 2, 3):
            lessons.save_edit(first.id, number, f"patch {number}", f"state {number}")
        lessons.save_step(first.id, 1, "state 1")
        self.assertEqual((lessons.board(first.id).document, lessons.board(first.id).edits_done), ("state 1", 1))
        self.assertEqual(lessons.edit(first.id, 3), "patch 3")
        lessons.save_edit(first.id, 2, "other", "state other")
        self.assertEqual([lessons.edit(first.id, number) for number in (1, 2, 3)], ["patch 1", "other", None])
        self.assertEqual(lessons.edit_count(first.id), 2)
        self.assertEqual(lessons.edit_count(second.id), 0)
        self.assertEqual(self.lessons().board(second.id).document, '{"b":2}')

    def test_the_list_is_newest_first_with_the_first_board(self):
        lessons = self.lessons()
        one, two = lessons.create(None, "One", ["a", "b"]), lessons.create(None, "Two", ["c"])
        board = lessons.boards(one.id)[0]
        self.assertEqual([lesson.title for lesson, _ in lessons.of_teacher(None)], ["Two", "One"])
        lessons.save_step(board.id, 0, "a")
        self.assertEqual([(lesson.title, id) for lesson, id in lessons.of_teacher(None)], [("One", board.id), ("Two", lessons.boards(two.id)[0].id)])
        self.assertTrue(lessons.rename(one.slug, "Renamed"))
        self.assertFalse(lessons.rename("nothing", "x"))
        self.assertEqual(lessons.find(one.slug).title, "Renamed")
        self.assertIsNone(lessons.find("nothing"))

    def test_settings_of_the_file(self):
        lessons = self.lessons()
        with lessons._database.engine.connect() as connection:
            ask = lambda name: connection.exec_driver_sql(f"PRAGMA {name}").scalar()
            self.assertEqual((ask("journal_mode"), ask("synchronous"), ask("foreign_keys")), ("wal", 2, 1))

    def test_killed_at_any_moment_every_told_edit_is_there(self):
        writer = textwrap.dedent("""
            import sys
            from ruddy_trellis.store import Database, Lessons
            lessons = Lessons(Database(sys.argv[1]))
            board = lessons.boards(lessons.create(None, "L", ["0"]).id)[0]
            for number in range(1, 100000):
                lessons.save_edit(board.id, number, f"patch {number}", str(number))
                print(number, flush=True)
        """)
        process = subprocess.Popen([sys.executable, "-c", writer, str(self.path)], stdout=subprocess.PIPE, text=True, cwd=ROOT)
        told = 0
        while told < 150:
            told = int(process.stdout.readline())
        os.kill(process.pid, signal.SIGKILL)
        told = max([told, *(int(line) for line in process.stdout.read().split("\n")[:-1])])
        process.stdout.close()
        process.wait()
        with sqlite3.connect(self.path) as connection:
            self.assertEqual(connection.execute("PRAGMA integrity_check").fetchone(), ("ok",))
        connection.close()
        lessons = self.lessons()
        board = lessons.boards(lessons.of_teacher(None)[0][0].id)[0]
        self.assertGreaterEqual(board.edits_done, told)
        self.assertEqual(board.document, str(board.edits_done))
        self.assertEqual(lessons.edit(board.id, told), f"patch {told}")
