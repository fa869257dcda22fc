"""The application in the test's own process."""

import json
import tempfile
import time
import unittest
from functools import cache
from pathlib import Path

from argon2 import PasswordHasher
from starlette.testclient import TestClient

from ruddy_trellis.web.application import create_application
from ruddy_trellis.web.options import Options
from ruddy_trellis.web.people import passwords
from ruddy_trellis.web.people.passwords import hashed_password

PASSWORD = "a gate of oak"
#: As tests hash: what is strong takes as long as it should, a hundred times.
passwords._HASHER = PasswordHasher(time_cost=1, memory_cost=64, parallelism=1)


@cache
def new_data(demo):
    """A data file as the program makes it, with the demo school or without: made once, and copied for each test."""
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "lessons.sqlite"
        create_application(path, Options(demo=demo)).state.database.close()
        return path.read_bytes()


class Line:
    """A WebSocket with its messages as dictionaries."""

    def __init__(self, socket):
        self.socket = socket

    def send(self, kind, **content):
        self.socket.send_text(json.dumps({"t": kind, **content}))

    def until(self, kind):
        """The next message of a kind; those before it are let go."""
        for _ in range(50):
            message = json.loads(self.socket.receive_text())
            if message["t"] == kind:
                return message
        raise AssertionError(f"no {kind}")

    def say(self, text):
        self.send("say", text=text)
        return self.until("changed")


def wait_until(is_so, seconds=10.0):
    """Wait until something is so. Fails where it does not come to be so in time."""
    end = time.monotonic() + seconds
    while not is_so():
        if time.monotonic() > end:
            raise AssertionError("it did not come to be so in time")
        time.sleep(0.05)


class WebTest(unittest.TestCase):
    """A client for a fresh application with the demo lessons, signed in as the teacher whose they are."""

    options = Options()

    def setUp(self):
        folder = tempfile.TemporaryDirectory(ignore_cleanup_errors=True)
        self.addCleanup(folder.cleanup)
        path = Path(folder.name) / "lessons.sqlite"
        path.write_bytes(new_data(self.options.demo))
        self.application = create_application(path, self.options)
        self.client = self.new_client("maud.alder")

    def new_client(self, sign_in=None):
        """A client with cookies of its own: a stranger, or signed in as a demo teacher (registered, where there is no
        demo)."""
        client = TestClient(self.application, base_url="http://testserver")
        if getattr(self, "portal", None) is None:
            self.portal = self.enterContext(client).portal
        client.portal = self.portal  # all of them are served by one loop, as by a server
        if sign_in and self.options.demo:
            self.assertEqual(client.post("/sign-in/demo", data={"sign_in": sign_in}).status_code, 200)
        elif sign_in:
            self.application.state.teachers.register(sign_in, "Robin Alder", hashed_password(PASSWORD))
            self.assertEqual(client.post("/sign-in", data={"sign_in": sign_in, "password": PASSWORD}).status_code, 200)
        return client

    @property
    def lessons(self):
        return self.application.state.lessons

    @property
    def teacher(self):
        """The teacher as whom ``client`` is signed in."""
        return self.application.state.teachers.find("maud.alder")

    def own_lessons(self):
        """That teacher's lessons, each with the id of its first board."""
        return self.lessons.of_teacher(self.teacher.id)

    def new_board(self, client=None):
        """The id of the board of a new lesson."""
        slug = (client or self.client).post("/lessons", data={"title": "New"}, follow_redirects=False).headers["location"].split("/")[-1]
        return self.lessons.boards(self.lessons.find(slug).id)[0].id
