"""How long the program takes to start, from the command to the first page."""

import subprocess
import sys
import tempfile
import time
import urllib.request
from statistics import median

from tests.browser.served import ROOT, free_port


def _started(data, *more):
    """Start it, ask for the first page, stop it. Returns how many seconds until the page was there."""
    port, began = free_port(), time.perf_counter()
    command = [sys.executable, "-m", "ruddy_trellis", "--port", str(port), "--data", data, *more]
    process = subprocess.Popen(command, cwd=ROOT, stdout=subprocess.DEVNULL)
    try:
        while True:
            try:
                with urllib.request.urlopen(f"http://127.0.0.1:{port}/", timeout=30) as answer:
                    answer.read()
                return time.perf_counter() - began
            except OSError:
                time.sleep(0.01)
    finally:
        process.terminate()
        process.wait()


def rows():
    """The rows of the table."""
    with tempfile.TemporaryDirectory() as folder:
        fresh = [_started(f"{folder}/{number}.sqlite") for number in range(3)]
        again = [_started(f"{folder}/0.sqlite", "--no-demo") for _ in range(5)]
    yield "starting the program on data that is there", "≤ 1 s to the first page", f"{median(again):.2f} s"
    yield "starting the program with the demo lessons made", "≤ 2 s to the first page", f"{median(fresh):.2f} s"
