"""What was found out about claims is kept and found again."""

import tempfile
import unittest
from pathlib import Path
from unittest import mock

from ruddy_trellis.store.database import Database
from ruddy_trellis.store.verdicts import KnownVerdicts


class KnownVerdictsTest(unittest.TestCase):
    def setUp(self):
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.database = Database(Path(folder.name) / "lessons.sqlite")
        self.addCleanup(self.database.close)
        self.known = KnownVerdicts(self.database)

    def test_kept_and_found(self):
        self.known.keep("a" * 64, "one")
        self.known.keep("b" * 64, "two")
        self.known.keep("a" * 64, "three")
        self.assertEqual(self.known.find(["a" * 64, "c" * 64]), {"a" * 64: "three"})
        self.assertEqual(self.known.find([]), {})

    def test_the_oldest_give_way(self):
        with mock.patch("ruddy_trellis.store.verdicts.MOST", 5):
            for number in range(9):
                self.known.keep(f"{number:064}", str(number))
        self.assertEqual(sorted(self.known.find([f"{number:064}" for number in range(9)]).values()), ["4", "5", "6", "7", "8"])


if __name__ == "__main__":
    unittest.main()
