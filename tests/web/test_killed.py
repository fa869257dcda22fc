"""The server is killed in the middle of a rush of edits: every edit that it told as kept is there afterwards."""

import json
import sqlite3
import tempfile
import threading
import time
import unittest
import urllib.parse
import urllib.request
from pathlib import Path

from websockets.exceptions import ConnectionClosed
from websockets.sync.client import connect

from tests.browser.served import Server

RATE = 200


class KilledTest(unittest.TestCase):
    def setUp(self):
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.server = Server(Path(folder.name) / "lessons.sqlite")
        self.addCleanup(self.server.kill)
        jar = urllib.request.HTTPCookieProcessor()
        self.browser = urllib.request.build_opener(jar)
        self.post("/sign-in/demo", sign_in="maud.alder")
        self.slug = self.post("/lessons", title="Rush").url.split("/")[-1]
        page = self.browser.open(f"{self.server.address}/lessons/{self.slug}").read().decode()
        self.board = page.split('data-board="')[1].split('"')[0]
        self.cookie = "; ".join(f"{cookie.name}={cookie.value}" for cookie in jar.cookiejar)

    def post(self, path, **fields):
        return self.browser.open(self.server.address + path, urllib.parse.urlencode(fields).encode())

    def test_every_edit_that_was_told_as_kept_is_there(self):
        line = connect(
            f"{self.server.address.replace('http', 'ws')}/boards/{self.board}/live",
            additional_headers={"Cookie": self.cookie},
            max_size=None,
        )
        line.send(json.dumps({"t": "say", "text": "A = (0, 0)"}))
        told = []

        def listen():
            try:
                for text in line:
                    message = json.loads(text)
                    if message["t"] == "changed":
                        told.extend(item["shape"]["at"][0] for item in message["items"] if item["id"] == "s1")
            except ConnectionClosed:
                pass

        listener = threading.Thread(target=listen)
        listener.start()
        start, number = time.perf_counter(), 0
        while time.perf_counter() - start < 2.5:
            number += 1
            line.send(json.dumps({"t": "edit", "edit": {"kind": "move", "numbers": {"s1": [number, 0]}}}))
            time.sleep(max(0, start + number / RATE - time.perf_counter()))
        self.server.kill()
        listener.join(10)
        self.assertGreater(len(told), 100, "too few edits were kept in time to say anything")
        with sqlite3.connect(self.server.data) as connection:
            self.assertEqual(connection.execute("PRAGMA integrity_check").fetchone(), ("ok",))
            document, edits = connection.execute("SELECT document, edits_done FROM board WHERE id = ?", (self.board,)).fetchone()
            patches = connection.execute("SELECT count(*) FROM edit WHERE board_id = ?", (self.board,)).fetchone()[0]
        connection.close()
        kept = json.loads(document)["steps"][0]["with"]["at"][0]
        self.assertGreaterEqual(kept, told[-1])
        self.assertEqual(edits, kept + 1, "the first made the point, each other moved it by one")
        self.assertEqual(patches, edits)
        self.server.start()
        served = json.load(self.browser.open(f"{self.server.address}/lessons/{self.slug}/lesson.json"))
        self.assertEqual(served["boards"][0]["steps"][0]["with"]["at"], [kept, 0])
