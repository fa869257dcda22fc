"""Runs every test: ``python -m tests``. With names, only those: ``python -m tests tests.core tests.web``.

A file of tests at a time, or several small ones, each in a process group of its own, three side by side: those in the browser, which
come first, mostly wait. One that takes too long is ended whole, with every process that it started, and counts as failed; so does
what a file leaves behind. The last line says how many passed, failed and were skipped.
"""

import os
import re
import signal
import subprocess
import sys
import tempfile
import time
import unittest
from concurrent.futures import ThreadPoolExecutor
from contextlib import suppress
from pathlib import Path

from tests.core.tries import IS_WHOLE

ROOT = Path(__file__).parent.parent
FOLDERS = ("store", "drawings", "reasons", "near", "core", "classroom", "web", "browser")
#: How long a file of tests may take, in seconds. The slowest takes a third of it on a machine with nothing else to do; long walks more.
LIMIT = 1500 if IS_WHOLE else 600

#: Files of tests of fewer bytes than this share a process.
SMALL = 14_000
#: So many files side by side: those in the browser mostly wait.
LANES = 3

_SECONDS = re.compile(r"^\d+ seconds$")
_COUNTS = re.compile(r"^(\d+) passed, (\d+) failed(?:, (\d+) skipped)?$", re.MULTILINE)


def suite(names):
    """The tests of these modules or packages."""
    loader = unittest.TestLoader()
    found = unittest.TestSuite()
    for name in names:
        path = ROOT / name.replace(".", "/")
        found.addTests(loader.discover(str(path), top_level_dir=str(ROOT)) if path.is_dir() else loader.loadTestsFromName(name))
    return found


def run_here(names):
    """Run the tests of these modules in this process. Returns how many passed, failed and were skipped."""
    result = unittest.TextTestRunner(verbosity=1, buffer=False).run(suite(names))
    failed = len({test.id() for test, _ in (*result.failures, *result.errors)}) + len(result.unexpectedSuccesses)
    skipped = len(result.skipped)
    return max(result.testsRun - failed - skipped, 0), failed, skipped


def run_all():
    """Run every file of tests, three processes at a time, the browser's first since they take longest.
    Returns how many passed, failed and were skipped; a process that ended without saying so counts as one failure."""
    batches = [batch for folder in reversed(FOLDERS) for batch in batched(folder)]

    def run(names):
        code, output = run_apart([sys.executable, "-m", "tests", *names])
        name = ", ".join(names)
        counts = _COUNTS.findall(output)
        lines = output.splitlines() or ["no answer"]
        told = [line for line in lines if _COUNTS.match(line) or _SECONDS.match(line)]
        print(f"{name}: {' in '.join(reversed(told[-2:])) or lines[-1]}", flush=True)
        if code or not counts:
            print(output, flush=True)
        passed, failed, skipped = (int(part or 0) for part in counts[-1]) if counts else (0, 0, 0)
        return passed, max(failed, int(code != 0)), skipped

    with ThreadPoolExecutor(LANES) as pool:
        return tuple(map(sum, zip(*pool.map(run, batches))))


def batched(folder):
    """The files of tests of a folder as lists of names, the largest first, each list for one process: every process takes seconds to load
    what it tries, and in the browser's a server to start. Small files go together, those in the browser by twos, a large one with a small
    one."""
    files = sorted((ROOT / "tests" / folder).glob("test_*.py"), key=lambda path: -path.stat().st_size)
    if folder == "browser":
        half = (len(files) + 1) // 2
        together = [[files[place], *files[len(files) - 1 - place : len(files) - place]] for place in range(len(files) // 2)]
        together += [[files[half - 1]]] if len(files) % 2 else []
    elif folder == "store":
        together = [[path] for path in files]
    else:
        small = [path for path in files if path.stat().st_size < SMALL]
        together = [[path] for path in files if path not in small] + [small[start : start + 6] for start in range(0, len(small), 6)]
    return [[".".join(path.relative_to(ROOT).with_suffix("").parts) for path in batch] for batch in together]


def run_apart(command, limit=None):
    """Run a command in a process group of its own, which is ended whole afterwards or when the time is over. What it prints goes to a
    file: a pipe would be kept open by any process that it leaves behind.

    Returns:
        The exit code, and what was printed; 1 where it had to be ended.
    """
    limit = LIMIT if limit is None else limit
    with tempfile.TemporaryFile("w+", encoding="utf-8", errors="replace") as printed:
        process = subprocess.Popen(
            command, cwd=ROOT, stdout=printed, stderr=subprocess.STDOUT, stdin=subprocess.DEVNULL, start_new_session=True
        )
        try:
            code, ended = process.wait(limit), ""
        except subprocess.TimeoutExpired:
            code, ended = 1, f"\nended after {limit} seconds\n"
        with suppress(ProcessLookupError):
            os.killpg(process.pid, signal.SIGKILL)
        process.wait()
        printed.seek(0)
        return code, printed.read() + ended


def main():
    """Run, report, and return the exit code."""
    started = time.perf_counter()
    passed, failed, skipped = run_here(sys.argv[1:]) if sys.argv[1:] else run_all()
    print(f"{time.perf_counter() - started:.0f} seconds")
    print(f"{passed} passed, {failed} failed" + (f", {skipped} skipped" if skipped else ""))
    return 1 if failed or not (passed or skipped) else 0


if __name__ == "__main__":
    sys.exit(main())
