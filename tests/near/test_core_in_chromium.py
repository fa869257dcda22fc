"""The core's own tests hold in the runtime of a browser: some of them here, all with ``python -m tests.chromium``."""

import re
import subprocess
import sys
import unittest

from tests.chromium.not_there import NOT_THERE
from tests.chromium.running import MODULES
from tests.core.tries import IS_WHOLE

#: What a hand does, says and makes, what is edited, read and judged.
SOME = ("hand", "edits", "language", "orders", "moving", "state_machine") if not IS_WHOLE else (
    "hand", "edits", "language", "constructions", "challenge", "state_machine", "orders", "moving",
)  # fmt: skip
#: What must not be left out there as a whole.
HELD = (
    "hand",
    "edits",
    "language",
    "constructions",
    "challenge",
    "speech",
    "speech_bank",
    "speech_exactness",
    "shapes",
    "curves",
    "crossings",
)


class CoreInChromiumTest(unittest.TestCase):
    def test_what_a_hand_does_is_so_in_a_browser(self):
        names = [f"tests.core.test_{name}" for name in SOME]
        there = subprocess.run([sys.executable, "-m", "tests.chromium", *names], check=False, capture_output=True, text=True, timeout=300)
        self.assertEqual(there.returncode, 0, there.stdout[-4000:] + there.stderr[-2000:])
        passed, failed, _ = map(int, re.findall(r"\d+", there.stdout.splitlines()[-1]))
        self.assertGreater(passed, 45)
        self.assertEqual(failed, 0)

    def test_none_is_left_out_that_holds_a_construction_an_edit_the_hand_reading_or_judging(self):
        self.assertTrue({f"tests.core.test_{name}" for name in (*HELD, *SOME)} <= {*MODULES} - {*NOT_THERE})


if __name__ == "__main__":
    unittest.main()
