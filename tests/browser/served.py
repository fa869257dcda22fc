"""The application served for browser tests, and a browser to look at it."""

import atexit
import functools
import os
import socket
import subprocess
import sys
import tempfile
import time
import unittest
import urllib.request
from pathlib import Path

from playwright.sync_api import expect, sync_playwright

from ..core.tries import IS_WHOLE

CHROMIUM = os.environ.get("CHROMIUM", "/usr/bin/chromium")
ARGUMENTS = [
    "--no-sandbox", "--disable-gpu", "--disable-background-networking", "--disable-component-update", "--disable-sync", "--no-first-run",
]  # fmt: skip
ROOT = Path(__file__).parents[2]


#: How long a start is waited for, in seconds: long, for a machine that has much else to do.
START = 90
#: How long a state is waited for that comes and stays, milliseconds.
PATIENCE = 30_000
expect.set_options(timeout=PATIENCE)
#: Long walks run with ``make walks`` only, so that the whole run stays under ten minutes on two cores; each kind of thing that
#: they do is done in shorter tests as well.
long_walk = unittest.skipUnless(IS_WHOLE, "a long walk: make walks")


def free_port():
    """A port that nothing listens on."""
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return probe.getsockname()[1]


class Server:
    """The program as a process of its own, on a free port, with its data in one file."""

    def __init__(self, data, class_site=False, near=False):
        self.data = data
        self.port = free_port()
        self.address = f"http://127.0.0.1:{self.port}"
        self.more = [] if near else ["--far"]
        if class_site:
            port = free_port()
            self.class_address = f"http://127.0.0.1:{port}"
            self.more += ["--class-site", str(port)]
        self.start()

    def start(self):
        """Start it and wait until it answers."""
        self.process = subprocess.Popen(
            [sys.executable, "-m", "ruddy_trellis", "--port", str(self.port), "--data", str(self.data), *self.more],
            cwd=ROOT, stdout=subprocess.DEVNULL,
        )  # fmt: skip
        late = time.monotonic() + START
        while time.monotonic() < late and self.process.poll() is None:
            try:
                urllib.request.urlopen(self.address, timeout=2).close()
                return
            except OSError:
                time.sleep(0.1)
        self.kill()
        raise RuntimeError("the server did not start")

    def kill(self):
        """kill -9: no time to tidy up."""
        self.process.kill()
        self.process.wait()


def come_in(context, server, sign_in="maud.alder"):
    """Sign a browser context in as a demo teacher."""
    answer = context.request.post(f"{server.address}/sign-in/demo", form={"sign_in": sign_in})
    assert answer.ok, answer.status


@functools.cache
def served(class_site, near):
    """The server of a file's tests: a start takes seconds, and each test has lessons of its own."""
    folder = tempfile.TemporaryDirectory()
    atexit.register(folder.cleanup)
    server = Server(Path(folder.name) / "lessons.sqlite", class_site, near)
    atexit.register(server.kill)
    return server


@functools.cache
def browser():
    """The browser of a file's tests."""
    playwright = sync_playwright().start()
    atexit.register(playwright.stop)
    found = playwright.chromium.launch(executable_path=CHROMIUM, args=ARGUMENTS)
    atexit.register(found.close)
    return found


class BrowserTest(unittest.TestCase):
    """A test with a server, a browser and a fresh page; the page's own errors fail the test."""

    class_site = False
    #: Whether boards run beside their drawings: where that is not what is tried, a page is spared the seconds of its start.
    near = False
    screen = {"viewport": {"width": 1280, "height": 800}}
    #: Words of errors in the browser's console that a test brings about on purpose.
    expected = ()

    @classmethod
    def setUpClass(cls):
        cls.server, cls.browser = served(cls.class_site, cls.near), browser()

    def setUp(self):
        self.page = self.open_page()

    def open_page(self, sign_in="maud.alder", **screen):
        """A page in a browser context of its own, signed in as a demo teacher or, with None, as nobody; on another screen, if one is
        given."""
        context = self.browser.new_context(**(screen or self.screen))
        self.addCleanup(context.close)
        if sign_in:
            come_in(context, self.server, sign_in)
        page = context.new_page()
        page.set_default_timeout(PATIENCE)
        problems = []
        page.on("pageerror", lambda error: problems.append(str(error)))
        page.on(
            "console",
            lambda message: (
                problems.append(message.text)
                if message.type == "error" and "ERR_CONNECTION" not in message.text and "WebSocket" not in message.text
                else None
            ),
        )
        self.addCleanup(
            lambda: self.assertEqual([problem for problem in problems if not any(words in problem for words in self.expected)], [])
        )
        return page
