"""One process on a file, whole copies, and clear words where the program cannot start."""

import io
import os
import socket
import sqlite3
import subprocess
import sys
import tempfile
import time
import unittest
from contextlib import closing, redirect_stderr, redirect_stdout, suppress
from pathlib import Path
from unittest import mock

from ruddy_trellis.__main__ import main
from ruddy_trellis.commands import look_through
from ruddy_trellis.store.upkeep import DataProblem, backup, hold


class UpkeepTest(unittest.TestCase):
    def setUp(self):
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.folder = Path(folder.name)
        self.data = self.folder / "trellis.sqlite"
        self.program = [sys.executable, "-m", "ruddy_trellis", "--data", str(self.data)]

    def ask(self, *words):
        """What the command line answers, asked in this process: its code, and its words."""
        said = io.StringIO()
        with mock.patch.object(sys, "argv", [*self.program[2:], *words]), redirect_stdout(said), redirect_stderr(said):
            code = main()
        return code, said.getvalue().strip()

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

    def filled(self):
        """A data file as a stopped program leaves it."""
        server = self.start()
        server.terminate()
        server.wait(20)
        return self.data.read_bytes()

    def test_the_data_is_never_taken_for_its_own_copy(self):
        content = self.filled()
        link, other = self.folder / "link.sqlite", self.folder / "other.sqlite"
        link.symlink_to(self.data)
        for copy in (self.data, link, Path(f"{self.data}-wal"), Path(f"{self.data}.lock"), self.folder / "." / self.data.name):
            for ask in ("backup", "restore"):
                code, words = self.ask(ask, str(copy))
                self.assertEqual(code, 2, words)
        self.assertEqual(self.data.read_bytes(), content)
        other.hardlink_to(self.data)
        for ask in (("backup", str(other)), ("backup", str(self.folder / "copy")), ("--port", "0")):
            code, words = self.ask(*ask)
            self.assertEqual(code, 2, words)
        self.assertEqual(self.data.read_bytes(), content)

    def test_by_no_other_name_does_a_second_process_get_in(self):
        self.start()
        link, other = self.folder / "link.sqlite", self.folder / "other.sqlite"
        link.symlink_to(self.data)
        other.hardlink_to(self.data)
        for name in (link, other, self.data):
            self.program[-1] = str(name)
            code, words = self.ask("--port", "0")
            self.assertEqual((code, "Another Ruddy Trellis runs on" in words or "has another name" in words), (2, True), words)
        Path(self.data).unlink()  # the file has the one name now that it had not when it was held
        self.program[-1] = str(other)
        code, words = self.ask("--port", "0")
        self.assertEqual((code, "Another Ruddy Trellis runs on" in words), (2, True), words)

    def test_a_damaged_file_is_replaced_and_kept_byte_for_byte(self):
        self.filled()
        copy = self.folder / "copy.sqlite"
        self.assertEqual(self.ask("backup", str(copy))[0], 0)
        good = copy.read_bytes()
        for damaged in (b"", b"nothing of a database" * 500, self.data.read_bytes()[:20_000]):
            self.data.write_bytes(damaged)
            code, words = self.ask("restore", str(copy))
            self.assertEqual(code, 0, words)
            self.assertEqual(Path(f"{self.data}.before").read_bytes() if damaged else b"", damaged)
            self.assertEqual(self.ask("check")[0], 0)
        self.data.write_bytes(b"spoilt" * 1000)
        code, words = self.ask("backup", str(copy))
        self.assertEqual((code, copy.read_bytes()), (2, good), words)
        self.assertEqual(sorted(path.name for path in self.folder.glob("*.fresh")), [])

    def test_single_flipped_bits_of_what_is_kept_are_found(self):
        content = self.filled()
        with closing(sqlite3.connect(self.data)) as connection:
            documents = [document.encode() for (document,) in connection.execute("SELECT document FROM board ORDER BY id LIMIT 8")]
        for document in documents:
            spoilt = bytearray(content)
            spoilt[content.index(document[40:72]) + 12] ^= 1
            self.data.write_bytes(spoilt)
            with self.subTest(document[:80]), suppress(DataProblem):
                self.assertFalse(look_through(str(self.data))[1])

    def test_a_medium_and_a_folder_that_cannot_be_written(self):
        self.filled()
        for ending in ("-wal", "-shm", ".lock"):
            Path(f"{self.data}{ending}").unlink(missing_ok=True)
        self.data.chmod(0o644)
        self.folder.chmod(0o555)
        self.addCleanup(self.folder.chmod, 0o755)
        self.assertIn("The file is whole", self.as_somebody(lambda: look_through(str(self.data))[0]))
        self.assertIn("cannot be held", self.as_somebody(lambda: hold(self.data)))
        self.assertIn("could not be written", self.as_somebody(lambda: backup(self.data, self.folder / "copy")))

    def as_somebody(self, work):
        """What a function gives, or the problem that it has, for somebody who may do on this machine what everybody may."""
        ours, theirs = os.pipe()
        child = os.fork()
        if not child:
            if os.getuid() == 0:
                os.setgid(65534)
                os.setuid(65534)
            try:
                said = work()
            except BaseException as problem:
                said = problem if isinstance(problem, DataProblem) else f"raised {problem!r}"
            os.write(theirs, str(said).encode()[:4000])
            os._exit(0)
        os.close(theirs)
        os.waitpid(child, 0)
        with os.fdopen(ours, "rb") as said:
            return said.read().decode()

    def test_nobody_else_on_the_machine_reads_the_data(self):
        self.start()
        copy = self.folder / "copy.sqlite"
        self.ask("backup", str(copy))
        for path in self.folder.glob("*"):
            self.assertEqual(path.stat().st_mode & 0o077, 0, path)

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
            (board,) = connection.execute("SELECT min(id) FROM board WHERE document LIKE '%\"polygon\"%'").fetchone()
            connection.execute("UPDATE board SET document = replace(document, 'polygon', 'polygone') WHERE id = ?", (board,))
            connection.commit()
        code, words = self.ask("check")
        self.assertEqual((code, f"board {board}" in words), (1, True), words)
