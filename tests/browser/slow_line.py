"""A line that takes its time: a small proxy that holds back every piece of what goes through it, each way."""

import socket
import threading
import time
from contextlib import suppress
from queue import SimpleQueue

from .served import free_port


class SlowLine:
    """Stands before a server.

    Args:
        port: of the server.
        there_and_back: how long an answer is under way besides, seconds.
    """

    def __init__(self, port, there_and_back):
        self.delay, self.to = there_and_back / 2, port
        self.port = free_port()
        self.address = f"http://127.0.0.1:{self.port}"
        self._door = socket.create_server(("127.0.0.1", self.port))
        self._ends, self.is_cut = [], False
        self._flows = threading.Event()
        self._flows.set()
        threading.Thread(target=self._let_in, daemon=True).start()

    def _let_in(self):
        with suppress(OSError):
            while True:
                here, _ = self._door.accept()
                if self.is_cut:
                    here.close()
                    continue
                there = socket.create_connection(("127.0.0.1", self.to))
                self._ends += [here, there]
                for one, other in ((here, there), (there, here)):
                    one.setsockopt(socket.IPPROTO_TCP, socket.TCP_NODELAY, 1)
                    pieces = SimpleQueue()
                    threading.Thread(target=self._take, args=(one, pieces), daemon=True).start()
                    threading.Thread(target=self._give, args=(other, pieces), daemon=True).start()

    def _take(self, end, pieces):
        with suppress(OSError):
            while piece := end.recv(65536):
                pieces.put((time.monotonic() + self.delay, piece))
        pieces.put((0, b""))

    def _give(self, end, pieces):
        while True:
            when, piece = pieces.get()
            time.sleep(max(0, when - time.monotonic()))
            self._flows.wait()
            with suppress(OSError):
                if not piece:
                    end.shutdown(socket.SHUT_WR)
                    return
                end.sendall(piece)

    def cut(self):
        """Cut all that is open, and let nobody in until it is mended."""
        self.is_cut = True
        for end in self._ends:
            with suppress(OSError):
                end.shutdown(socket.SHUT_RDWR)
            end.close()
        self._ends = []

    def mend(self):
        self.is_cut = False

    def hold(self):
        """Let nothing through, though nothing is cut, until it is let go."""
        self._flows.clear()

    def let_go(self):
        """Let through what was held back."""
        self._flows.set()

    def close(self):
        self.let_go()
        self.cut()
        self._door.close()
