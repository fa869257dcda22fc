"""One process on a file, whole copies, and clear words where the program cannot start."""

import socket
import sqlite3
import subprocess
import sys
import tempfile
import time
import unittest
from contextlib import closing
from pathlib import Path


class UpkeepTest(unittest.TestCase):
    def setUp(self):
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.folder = Path(folder.name)
        self.data = self.folder / "trellis.sqlite"
        self.program = [sys.executable, "-m", "ruddy_trellis", "--data", str(self.data)]

    def ask(self, *words):
        done = subprocess.run([*self.program, *words], capture_output=True, text=True, timeout=60, check=False)
        self.assertNotIn("Traceback", done.stderr)
        return done.returncode, (done.stdout + done.stderr).strip()

    def start(self):
        with socket.socket() as free:
            free.bind(("127.0.0.1", 0))
            self.port = free.getsockname()[1]
        server = subprocess.Popen([*self.program, "--port", str(self.port)], stdout=subprocess.PIPE, text=True)
        self.addCleanup(server.wait)
        self.addCleanup(server.kill)
        self.addCleanup(server.stdout.close)
        while "is at" not in server.stdout.readline():
            self.assertIsNone(server.poll())
        for _ in range(100):
            with socket.socket() as probe:
                if probe.connect_ex(("127.0.0.1", self.port)) == 0:
                    break
            time.sleep(0.05)
        return server

    def titles(self, path):
        with closing(sqlite3.connect(path)) as connection:
            return sorted(title for (title,) in connection.execute("SELECT title FROM lesson"))

    def test_a_second_process_is_turned_away_and_a_copy_is_whole(self):
        server = self.start()
        code, words = self.ask("--port", "1")
        self.assertEqual((code, "Nothing can be served" in words or "Another Ruddy Trellis" in words), (2, True), words)
        with socket.socket() as free:
            free.bind(("127.0.0.1", 0))
            other = free.getsockname()[1]
        code, words = self.ask("--port", str(other))
        self.assertEqual((code, "Another Ruddy Trellis runs on" in words), (2, True), words)
        copy = self.folder / "copies" / "monday.sqlite"
        self.assertEqual(self.ask("backup", str(copy))[0], 0)
        self.assertGreater(len(self.titles(copy)), 8)
        code, words = self.ask("restore", str(copy))
        self.assertEqual((code, "Another" in words), (2, True), "not while it runs")
        server.terminate()
        server.wait(20)
        self.assertLess(Path(f"{self.data}-wal").stat().st_size if Path(f"{self.data}-wal").exists() else 0, 1)
        self.assertEqual(self.ask("check"), (0, self.ask("check")[1]))
        self.assertIn("open", self.ask("check")[1])
        with closing(sqlite3.connect(self.data)) as connection:
            connection.execute("DELETE FROM edit")
            connection.execute("UPDATE lesson SET title = 'spoilt'")
            connection.commit()
        self.assertEqual(self.ask("restore", str(copy))[0], 0)
        self.assertEqual(self.titles(self.data), self.titles(copy))
        self.assertEqual(set(self.titles(f"{self.data}.before")), {"spoilt"})

    def test_clear_words_for_what_cannot_be(self):
        self.data.write_text("no database at all, but quite some text in a file that is called one\n" * 40)
        code, words = self.ask("--port", "0")
        self.assertEqual((code, "is not a data file of this program, or is damaged" in words), (2, True), words)
        self.assertEqual(self.ask("check")[0], 2)
        self.data.unlink()
        self.assertIn("There is no file", self.ask("backup", str(self.folder / "x"))[1])
        with socket.socket() as taken:
            taken.bind(("127.0.0.1", 0))
            taken.listen()
            code, words = self.ask("--port", str(taken.getsockname()[1]))
        self.assertEqual((code, "Nothing can be served at 127.0.0.1" in words), (2, True), words)
        self.assertEqual(self.ask("--port", "99999999")[0], 2)

    def test_a_file_of_a_newer_program(self):
        with closing(sqlite3.connect(self.data)) as connection:
            connection.execute("CREATE TABLE alembic_version (version_num VARCHAR(32) NOT NULL)")
            connection.execute("INSERT INTO alembic_version VALUES ('9999')")
            connection.commit()
        code, words = self.ask("--port", "0")
        self.assertEqual((code, "newer Ruddy Trellis" in words), (2, True), words)

    def test_a_board_that_does_not_open_is_named(self):
        server = self.start()
        server.terminate()
        server.wait(20)
        with closing(sqlite3.connect(self.data)) as connection:
            connection.execute("UPDATE board SET document = replace(document, 'polygon', 'polygone') WHERE id = 1")
            connection.commit()
        code, words = self.ask("check")
        self.assertEqual((code, "board 1" in words), (1, True), words)
