"""Runs every test: ``python -m tests``. With names, only those: ``python -m tests tests.core tests.web``.

The last line says how many passed, failed and were skipped.
"""

import sys
import time
import unittest
from pathlib import Path

ROOT = Path(__file__).parent.parent
FOLDERS = ("core", "store", "web", "browser")


def suite(names):
    """The tests of these modules or packages; all of them where there are no names."""
    loader = unittest.TestLoader()
    if not names:
        return unittest.TestSuite(loader.discover(str(ROOT / "tests" / folder), top_level_dir=str(ROOT)) for folder in FOLDERS)
    found = unittest.TestSuite()
    for name in names:
        path = ROOT / name.replace(".", "/")
        found.addTests(loader.discover(str(path), top_level_dir=str(ROOT)) if path.is_dir() else loader.loadTestsFromName(name))
    return found


def main():
    """Run, report, and return the exit code."""
    started = time.perf_counter()
    result = unittest.TextTestRunner(verbosity=1, buffer=False).run(suite(sys.argv[1:]))
    failed = len({test.id() for test, _ in (*result.failures, *result.errors)}) + len(result.unexpectedSuccesses)
    skipped = len(result.skipped)
    passed = result.testsRun - failed - skipped
    print(f"{time.perf_counter() - started:.0f} seconds")
    print(f"{max(passed, 0)} passed, {failed} failed" + (f", {skipped} skipped" if skipped else ""))
    return 1 if failed or not result.testsRun else 0


if __name__ == "__main__":
    sys.exit(main())
