"""The application in the test's own process."""

import tempfile
import unittest
from pathlib import Path

from starlette.testclient import TestClient

from ruddy_trellis.web.application import create_application


class WebTest(unittest.TestCase):
    """A client for a fresh application with the demo lessons."""

    demo = True

    def setUp(self):
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.application = create_application(Path(folder.name) / "lessons.sqlite", demo=self.demo)
        client = TestClient(self.application, base_url="http://trellis.test")
        self.client = client.__enter__()
        self.addCleanup(client.__exit__, None, None, None)

    @property
    def lessons(self):
        return self.application.state.lessons

    def new_board(self):
        """The id of the board of a new lesson."""
        slug = self.client.post("/lessons", data={"title": "New"}, follow_redirects=False).headers["location"].split("/")[-1]
        return self.lessons.boards(self.lessons.find(slug).id)[0].id
