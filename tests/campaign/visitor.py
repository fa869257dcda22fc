"""A demo teacher at a server, without a browser."""

import json
import urllib.parse
import urllib.request
from contextlib import suppress

from websockets.exceptions import ConnectionClosed
from websockets.sync.client import connect


class Visitor:
    """Signed in as the first demo teacher, with a lesson of their own."""

    def __init__(self, server):
        self.server = server
        jar = urllib.request.HTTPCookieProcessor()
        self.browser = urllib.request.build_opener(jar)
        self.post("/sign-in/demo", sign_in="maud.alder")
        self.slug = self.post("/lessons", title="Rush").url.split("/")[-1]
        page = self.browser.open(f"{server.address}/lessons/{self.slug}").read().decode()
        self.board = page.split('data-board="')[1].split('"')[0]
        self.cookie = "; ".join(f"{cookie.name}={cookie.value}" for cookie in jar.cookiejar)

    def post(self, path, **fields):
        return self.browser.open(self.server.address + path, urllib.parse.urlencode(fields).encode())

    def lesson(self):
        """The lesson as it is served."""
        return json.load(self.browser.open(f"{self.server.address}/lessons/{self.slug}/lesson.json"))

    def line(self, board=None):
        """An open line to a board, the visitor's own where none is said; used in a ``with`` statement."""
        address = f"{self.server.address.replace('http', 'ws')}/boards/{board or self.board}/live"
        return connect(address, additional_headers={"Cookie": self.cookie}, max_size=None)


def messages(line, seconds):
    """The messages that come until the line is closed, or none comes for so long."""
    with suppress(ConnectionClosed, TimeoutError):
        while True:
            yield json.loads(line.recv(timeout=seconds))
