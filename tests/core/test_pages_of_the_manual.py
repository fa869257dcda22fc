"""The pages in docs/ that show Python say what Python does."""

import doctest
import re
import unittest
from pathlib import Path

DOCS = Path(__file__).parents[2] / "docs"


class ManualTest(unittest.TestCase):
    def test_pages(self):
        for name, least in (("core.md", 15), ("adding-a-construction.md", 12)):
            with self.subTest(name):
                result = doctest.testfile(str(DOCS / name), module_relative=False)
                self.assertEqual(result.failed, 0)
                self.assertGreaterEqual(result.attempted, least)

    def test_what_a_reviewer_asks_is_held_by_tests_that_there_are(self):
        tests = Path(__file__).parents[1]
        written = "".join(path.read_text("utf-8") for path in tests.rglob("test_*.py"))
        rows = [row for row in (DOCS / "security.md").read_text("utf-8").splitlines() if row.startswith("| ") and row.endswith(" |")][1:]
        self.assertGreater(len(rows), 18)
        for row in rows:
            held_by = row.split("|")[-2]
            names = re.findall(r"`(test_\w+|[A-Z]\w+Test)`", held_by)
            files = re.findall(r"`(tests/[\w./]+)`", held_by)
            self.assertTrue(names or files, row)
            for name in names:
                self.assertRegex(written, rf"(?:def|class) {name}\(", row)
            for file in files:
                self.assertTrue((tests.parent / file).exists(), row)
