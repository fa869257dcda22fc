"""Tests of the core hold with what stands for libraries in a browser, too."""

import subprocess
import sys
import unittest

from ruddy_trellis.near import shipping

#: The tests that are run so: of what a hand does, says and makes.
MODULES = ("test_moving", "test_telling", "test_orders", "test_offers", "test_transformations", "test_circular")
#: What of them cannot be: the library that makes their random numbers asks for the one that is stood for.
NOT_HERE = "test_distances_and_the_way_round"
RUN = """
import sys, unittest
sys.path.insert(0, {stand_ins!r})
import numpy, pydantic
assert "standing_in" in numpy.__file__ and "standing_in" in pydantic.__file__
whole = unittest.defaultTestLoader.loadTestsFromNames({names!r})
def each(suite):
    for one in suite:
        yield from each(one) if isinstance(one, unittest.TestSuite) else (one,)
kept = [test for test in each(whole) if {not_here!r} not in test.id()]
result = unittest.TextTestRunner(verbosity=0).run(unittest.TestSuite(kept))
print(result.testsRun)
sys.exit(not result.wasSuccessful())
"""


class CoreHereTest(unittest.TestCase):
    def test_what_a_hand_does_is_so_with_the_stand_ins(self):
        names = [f"tests.core.{name}" for name in MODULES]
        run = RUN.format(stand_ins=str(shipping._HERE / "standing_in"), names=names, not_here=NOT_HERE)
        there = subprocess.run([sys.executable, "-c", run], check=False, capture_output=True, text=True, timeout=400)
        self.assertEqual(there.returncode, 0, there.stderr[-3000:])
        self.assertGreater(int(there.stdout), 40)


if __name__ == "__main__":
    unittest.main()
