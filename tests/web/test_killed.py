"""The server is killed in the middle of a rush of edits: every edit that it told as kept is there afterwards."""

import tempfile
import unittest
from pathlib import Path

from tests.browser.served import Server
from tests.campaign.kills import begun, one_kill


class KilledTest(unittest.TestCase):
    def test_every_edit_that_was_told_as_kept_is_there(self):
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        server = Server(Path(folder.name) / "lessons.sqlite")
        self.addCleanup(server.kill)
        visitor = begun(server)
        self.assertGreater(one_kill(server, visitor, 2.5, 60), 40, "too few edits were kept in time to say anything")
        self.assertGreater(one_kill(server, visitor, 0.5), 0, "and again on what is there")
