"""The store: what it keeps is there, whole, after any end."""

import os
import signal
import sqlite3
import subprocess
import sys
import tempfile
import textwrap
import threading
import unittest
from contextlib import suppress
from datetime import UTC, datetime, timedelta
from pathlib import Path
from unittest import mock

from alembic import command
from alembic.config import Config
from sqlmodel import create_engine

from ruddy_trellis.store import Database, Lessons, Teachers

ROOT = Path(__file__).parents[2]


class StoreCase(unittest.TestCase):
    """A test with a file of its own for a store."""

    def setUp(self):
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.path = Path(folder.name) / "deep" / "lessons.sqlite"

    def lessons(self):
        database = Database(self.path)
        self.addCleanup(database.close)
        return Lessons(database)


class StoreTest(StoreCase):
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

    def test_of_a_board_that_is_gone_nothing_is_kept(self):
        lessons = self.lessons()
        lesson = lessons.create(None, "One", ["{}"])
        (board,) = lessons.boards(lesson.id)
        self.assertTrue(lessons.save_edit(board.id, 1, "patch 1", "state 1"))
        with lessons._database.session() as session:
            lessons._delete_copies(session, [board.id])
            session.commit()
        self.assertFalse(lessons.save_edit(board.id, 2, "patch 2", "state 2"))
        self.assertIsNone(lessons.edit(board.id, 2))

    def test_one_writes_at_a_time_and_the_next_after_one_that_failed(self):
        database = Database(self.path)
        self.addCleanup(database.close)
        inside, may_go = threading.Event(), threading.Event()
        order = []

        def first():
            with suppress(ValueError), database.writing():
                inside.set()
                may_go.wait(5)
                order.append("first")
                raise ValueError

        def second():
            inside.wait(5)
            with database.writing():
                order.append("second")

        threads = [threading.Thread(target=one) for one in (first, second)]
        for thread in threads:
            thread.start()
        self.assertTrue(inside.wait(5))
        threads[1].join(0.2)
        self.assertTrue(threads[1].is_alive(), "two write at the same time")
        may_go.set()
        for thread in threads:
            thread.join(5)
        self.assertEqual(order, ["first", "second"])

    def test_of_a_copy_only_the_last_edits_are_kept(self):
        lessons = self.lessons()
        (board,) = lessons.boards(lessons.create(None, "One", ["{}"]).id)
        copy = lessons.make_copy(board.id, "holder", "{}")
        with mock.patch("ruddy_trellis.store.lessons.COPY_EDITS", 3):
            for number in range(1, 6):
                for row in (board, copy):
                    lessons.save_edit(row.id, number, f"patch {number}", "state")
        self.assertEqual([row.number for row in lessons.edits(copy.id)], [5, 4, 3])
        self.assertEqual(len(lessons.edits(board.id)), 5)
        self.assertEqual([lesson.title for lesson, _ in lessons.of_teacher(None)], ["One"])

    def test_the_list_is_newest_first_with_the_first_board(self):
        lessons = self.lessons()
        one, two = lessons.create(None, "One", ["a", "b"]), lessons.create(None, "Two", ["c"])
        board = lessons.boards(one.id)[0]
        self.assertEqual([lesson.title for lesson, _ in lessons.of_teacher(None)], ["Two", "One"])
        lessons.save_step(board.id, 0, "a")
        self.assertEqual(
            [(lesson.title, id) for lesson, id in lessons.of_teacher(None)], [("One", board.id), ("Two", lessons.boards(two.id)[0].id)]
        )
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


class TeachersTest(StoreCase):
    def test_a_file_from_before_there_were_teachers_becomes_the_first_ones(self):
        self.path.parent.mkdir(parents=True)
        config = Config()
        config.set_main_option("script_location", str(ROOT / "ruddy_trellis" / "store" / "migrations"))
        engine = create_engine(f"sqlite:///{self.path}")
        with engine.begin() as connection:
            config.attributes["connection"] = connection
            command.upgrade(config, "0003")
            for number in (1, 2):
                connection.exec_driver_sql(
                    f"INSERT INTO lesson VALUES ({number}, 'slug{number}', 'Old {number}', '2026-01-01', '2026-01-01', 0)"
                )
                connection.exec_driver_sql(f"INSERT INTO board VALUES ({number}, {number}, 0, '{{}}', 1, 0)")
                connection.exec_driver_sql(f"INSERT INTO edit VALUES ({number}, 1, 'patch', '2026-01-01')")
            connection.exec_driver_sql("INSERT INTO recipe VALUES (1, '{}', '2026-01-01')")
        engine.dispose()
        lessons = self.lessons()
        teachers = Teachers(lessons._database)
        first, second = teachers.register("first", "First", "hash"), teachers.register("second", "Second", "hash")
        self.assertIsNone(teachers.register("first", "Again", "hash"))
        found = [lesson for lesson, _ in lessons.of_teacher(first.id)]
        self.assertEqual({(lesson.title, lesson.shared) for lesson in found}, {("Old 1", "private"), ("Old 2", "private")})
        self.assertEqual(len({lesson.share_key for lesson in found}), 2)
        self.assertEqual((len(lessons.recipes(first.id)), lessons.of_teacher(second.id), lessons.recipes(second.id)), (1, [], []))
        self.assertEqual((lessons.edit(1, 1), lessons.teacher_of(1)), ("patch", first.id))

    def test_a_session_ends(self):
        teachers = Teachers(self.lessons()._database)
        teacher = teachers.register("first", "First", "hash")
        token = teachers.open_session(teacher.id)
        self.assertEqual(teachers.signed_in(token).id, teacher.id)
        self.assertIsNone(teachers.signed_in(token + "x"))
        with mock.patch("ruddy_trellis.store.teachers._now", lambda: datetime.now(UTC) + timedelta(days=31)):
            self.assertIsNone(teachers.signed_in(token))
            teachers.open_session(teacher.id)
        with teachers._database.engine.connect() as connection:
            self.assertEqual(connection.exec_driver_sql("SELECT count(*) FROM session").scalar(), 1, "what is over is forgotten")
