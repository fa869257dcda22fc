"""Runs the core's tests in the runtime that browsers run the hand in, in Chromium: ``python -m tests.chromium``, or with names of modules.

Tells of each module how many of its tests passed, and which were left out and why (``not_there``). The last line counts.
"""

import sys

from .running import MODULES, run


def main() -> int:
    """Run the tests. Returns how the program ends: 0 where all pass that can be run there."""
    names = sys.argv[1:] or MODULES
    passed = failed = absent = 0
    for found in run(names):
        told = f"{found['passed']} passed, {len(found['failed'])} failed" + (
            f", {len(found['absent'])} left out" if found["absent"] else ""
        )
        print(f"{found['name']}: {told} in {found['seconds']:.0f} s", flush=True)
        for id, why in found["failed"]:
            print(f"  FAILED {id}\n{why}", flush=True)
        for id, why in found["absent"]:
            print(f"  {id} needs {why}", flush=True)
        passed, failed, absent = passed + found["passed"], failed + len(found["failed"]), absent + len(found["absent"])
    print(f"{passed} passed, {failed} failed, {absent} skipped")
    return int(failed > 0 or not passed)


if __name__ == "__main__":
    sys.exit(main())
