"""The server is killed in the middle of a rush of edits, again and again: every edit that it told as kept is there."""

import json
import random
import sqlite3
import tempfile
import threading
import time
from contextlib import closing, suppress
from pathlib import Path

from websockets.exceptions import ConnectionClosed

from tests.browser.served import Server

from .visitor import Visitor, messages

#: Edits a second.
RATE = 200


def rush(visitor, seconds, kill, least=0):
    """Move a point by one again and again for a while, and until it was told ``least`` times, then do ``kill``. Returns where the
    point was told to be, each time."""
    told = []
    with visitor.line() as line:

        def listen():
            for message in messages(line, 10):
                if message["t"] in ("changed", "board"):
                    told.extend(item["shape"]["at"][0] for item in message["items"] if item["id"] == "s1")

        listener = threading.Thread(target=listen)
        listener.start()
        start, number = time.perf_counter(), visitor.at
        with suppress(ConnectionClosed):
            while (spent := time.perf_counter() - start) < seconds or (len(told) < least and spent < 30):
                number += 1
                line.send(json.dumps({"t": "edit", "edit": {"kind": "move", "numbers": {"s1": [number, 0]}}}))
                time.sleep(max(0, start + (number - visitor.at) / RATE - time.perf_counter()))
        kill()
        listener.join(15)
    return told


def one_kill(server, visitor, seconds, least=0):
    """Kill the server in a rush, and start it again. Returns how many edits it had told as kept. Raises AssertionError
    where one of them is not there, or the file is not whole."""
    told = rush(visitor, seconds, server.kill, least)
    with closing(sqlite3.connect(server.data)) as connection:
        assert connection.execute("PRAGMA integrity_check").fetchone() == ("ok",)
        document, edits = connection.execute("SELECT document, edits_done FROM board WHERE id = ?", (visitor.board,)).fetchone()
        patches = connection.execute("SELECT count(*) FROM edit WHERE board_id = ?", (visitor.board,)).fetchone()[0]
    kept = json.loads(document)["steps"][0]["with"]["at"][0]
    assert not told or kept >= told[-1], f"told {told[-1]}, kept {kept}"
    assert edits == patches == kept + 1, "the first made the point, each other moved it by one"
    server.start()
    assert visitor.lesson()["boards"][0]["steps"][0]["with"]["at"] == [kept, 0]
    acknowledged, visitor.at = max(0, int(told[-1] if told else visitor.at) - visitor.at), int(kept)
    return acknowledged


def begun(server):
    """A visitor whose board has one point at (0, 0)."""
    visitor = Visitor(server)
    visitor.at = 0
    with visitor.line() as line:
        line.send(json.dumps({"t": "say", "text": "A = (0, 0)"}))
        next(message for message in messages(line, 10) if message["t"] == "changed")
    return visitor


def campaign(seconds: float, chance: random.Random) -> str:
    """Go on until the time is over. Returns what was done."""
    with tempfile.TemporaryDirectory() as folder:
        server = Server(Path(folder) / "lessons.sqlite")
        try:
            visitor, end, rounds, edits = begun(server), time.monotonic() + seconds, 0, 0
            while time.monotonic() < end:
                edits += one_kill(server, visitor, chance.uniform(0.05, 0.6))
                rounds += 1
        finally:
            server.kill()
    return f"{rounds} kills: 0 of {edits:,} acknowledged edits lost"
