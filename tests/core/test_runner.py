"""The run of the tests always ends, whatever a file of tests leaves behind."""

import sys
import time
import unittest

from tests.__main__ import run_apart


class RunnerTest(unittest.TestCase):
    def test_what_a_file_leaves_behind_is_ended_with_it(self):
        start = time.monotonic()
        code, printed = run_apart([sys.executable, "-c", _LEAVES_BEHIND])
        self.assertLess(time.monotonic() - start, 60)
        self.assertEqual(code, 0)
        child = int(printed)
        for _ in range(100):
            if not _runs(child):
                break
            time.sleep(0.05)
        self.assertFalse(_runs(child))

    def test_what_does_not_end_is_ended_and_says_so(self):
        code, printed = run_apart([sys.executable, "-c", "import time; print('begun', flush=True); time.sleep(100)"], limit=3)
        self.assertEqual(code, 1)
        self.assertIn("begun", printed)
        self.assertIn("ended after 3 seconds", printed)


_LEAVES_BEHIND = """
import subprocess
print(subprocess.Popen(["sleep", "100"]).pid)
"""


def _runs(pid):
    try:
        with open(f"/proc/{pid}/stat") as told:
            return told.read().split()[2] != "Z"
    except OSError:
        return False
