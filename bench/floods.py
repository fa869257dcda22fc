"""Floods beside a class at work: someone drags and someone else makes one edit after another, while the doors are crowded."""

import os
import signal
import socket
import subprocess
import tempfile
import threading
import time
from contextlib import suppress
from pathlib import Path

from ruddy_trellis.core import Figure
from tests.browser.served import Server

from .figures import meadow
from .students import Teacher
from .worst import Bystander, Line, at_once, post

#: How long each flood lasts at least, seconds.
_SECONDS = 6


class Writer:
    """Someone who makes one edit after another on a board of their own, and notes how long each takes to be saved, in milliseconds."""

    def __init__(self, teacher):
        figure = Figure()
        figure.say("A = (0, 0)")
        self.line = Line(teacher, teacher.upload("written", figure))
        self.took, self.going = [], True
        self.thread = threading.Thread(target=self._write, daemon=True)
        self.thread.start()

    def _write(self):
        number = 0
        while self.going:
            number += 1
            start = time.perf_counter()
            self.line.ask("changed", t="edit", edit={"kind": "move", "numbers": {"s1": [number % 7, number % 5]}})
            self.took.append((time.perf_counter() - start) * 1000)
            time.sleep(0.1)

    def stop(self):
        self.going = False
        self.thread.join()


def _sign_ins(server, teacher):
    at_once(150, lambda number: post(f"{server.address}/sign-in", f"sign_in=nobody.{number}&password=guess+{number}+of+many".encode()))


def _handouts(server, teacher, board):
    """Asked for and given up at once."""
    cookie = "; ".join(f"{one.name}={one.value}" for one in teacher.jar)
    for _ in range(45):
        with socket.create_connection(("127.0.0.1", server.port)) as asks:
            asks.sendall(f"GET /boards/{board}/handout?answered=true&chosen=true HTTP/1.1\r\nHost: x\r\nCookie: {cookie}\r\n\r\n".encode())
            time.sleep(0.02)


def _idle(server, teacher):
    held = []
    for _ in range(1_100):
        with suppress(OSError):
            held.append(socket.create_connection(("127.0.0.1", server.port), timeout=2))
    time.sleep(2)
    post(f"{server.address}/health", None)
    for one in held:
        one.close()


def _views(teacher, lesson):
    lines = [Line(teacher, lesson) for _ in range(20)]
    end, number = time.monotonic() + _SECONDS, 0
    while time.monotonic() < end:
        number += 1
        for line in lines:
            with suppress(Exception):
                line.send(t="view", view=[-10 - number % 9, -8, 10, 8], keep=False)
        time.sleep(0.02)
    for line in lines:
        line.socket.close()


def _killed(server, teacher, board):
    """The process that writes files is killed, and a file asked for."""
    children = subprocess.run(["pgrep", "-P", str(server.process.pid)], capture_output=True, text=True, check=False).stdout.split()
    for child in children:
        with suppress(OSError):
            if b"spawn_main" in Path(f"/proc/{child}/cmdline").read_bytes():
                os.kill(int(child), signal.SIGKILL)
    time.sleep(0.5)
    with teacher.browser.open(f"{server.address}/boards/{board}/handout") as answer:
        answer.read()


def rows():
    """The rows of the table."""
    with tempfile.TemporaryDirectory() as folder:
        server = Server(Path(folder) / "bench.sqlite")
        try:
            other, flooder = Teacher(server, "tobias.quince"), Teacher(server)
            lesson = flooder.upload("flooded", meadow(290))
            with flooder.browser.open(lesson) as answer:
                board = answer.read().decode().split('data-board="')[1].split('"')[0]
            beside, writer = Bystander(Teacher(server, "ines.marlowe")), Writer(other)
            for what, act in (
                ("nothing", lambda: time.sleep(_SECONDS)),
                ("150 sign-ins at once", lambda: _sign_ins(server, flooder)),
                ("45 handouts asked for and given up", lambda: _handouts(server, flooder, board)),
                ("1,100 idle connections", lambda: _idle(server, flooder)),
                ("20 lines of views on 290 steps", lambda: _views(flooder, lesson)),
                ("a killed process, and a file", lambda: _killed(server, flooder, board)),
            ):
                writer.took.clear()
                _, slow, _, took = beside.beside(act)
                saves = sorted(writer.took) or [float("nan")]
                yield (
                    f"saving and dragging beside {what}",
                    "a save ≤ 250 ms, drags p99 ≤ 50 ms",
                    f"saves {saves[len(saves) // 2]:.0f} ms median, {saves[-1]:.0f} worst; drags {slow:.0f} ms at p99 ({took:.1f} s)",
                )
            writer.stop()
            beside.stop()
        finally:
            server.kill()
