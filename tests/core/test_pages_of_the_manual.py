"""The pages in docs/ that show Python say what Python does."""

import doctest
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
