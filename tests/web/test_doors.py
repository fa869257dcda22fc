"""Connections to a real server: silent ones are closed, a stop ends, and two schools beside one another know nothing of one another."""

import re
import signal
import socket
import subprocess
import sys
import tempfile
import time
import unittest
import urllib.request
from pathlib import Path

from ruddy_trellis.web import doors

ROOT = Path(__file__).parents[2]


class ServedTest(unittest.TestCase):
    def start(self, *more, data=None):
        """A server in a process of its own. Returns it and its port."""
        folder = tempfile.TemporaryDirectory(ignore_cleanup_errors=True)
        self.addCleanup(folder.cleanup)
        with socket.socket() as free:
            free.bind(("127.0.0.1", 0))
            port = free.getsockname()[1]
        command = [sys.executable, "-m", "ruddy_trellis", "--port", str(port), "--data", data or f"{folder.name}/trellis.sqlite", *more]
        process = subprocess.Popen(command, cwd=ROOT, stdout=subprocess.DEVNULL)
        self.addCleanup(process.wait)
        self.addCleanup(process.kill)
        late = time.monotonic() + 90
        while time.monotonic() < late:
            try:
                urllib.request.urlopen(f"http://127.0.0.1:{port}/health", timeout=5).close()
                break
            except OSError:
                time.sleep(0.05)
        return process, port

    def connect(self, port, sent=b""):
        made = socket.create_connection(("127.0.0.1", port), timeout=40)
        self.addCleanup(made.close)
        made.sendall(sent)
        return made

    def is_closed(self, connection):
        try:
            while connection.recv(4096):
                pass
        except TimeoutError:
            return False
        except ConnectionError:
            pass
        return True


class DoorsTest(ServedTest):
    def test_silent_connections_are_closed_and_a_stop_does_not_wait_for_a_body(self):
        process, port = self.start()
        silent = self.connect(port)
        half = self.connect(port, b"GET / HTTP/1.1\r\nHost: x\r\n")
        slow = self.connect(port)
        slow.sendall(
            b"POST /sign-in HTTP/1.1\r\nHost: x\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: 50\r\n\r\nsign_in"
        )
        began = time.monotonic()
        self.assertTrue(self.is_closed(silent))
        self.assertTrue(self.is_closed(half))
        self.assertLess(time.monotonic() - began, 3 * doors.HEAD)
        process.send_signal(signal.SIGTERM)
        self.assertIsNotNone(process.wait(30), "it does not wait for the body that never comes")

    def test_who_holds_very_many_connections_makes_room_for_others(self):
        _, port = self.start()
        many = [self.connect(port) for _ in range(doors.Door.places + 200)]
        with urllib.request.urlopen(f"http://127.0.0.1:{port}/", timeout=20) as answer:
            self.assertEqual(answer.status, 200)
        self.assertTrue(any(self.is_closed(one) for one in many[:20]))


class SchoolsTest(ServedTest):
    def test_two_schools_behind_one_proxy_know_nothing_of_one_another(self):
        ports = [self.start("--no-demo", "--behind", "127.0.0.1")[1] for _ in range(2)]
        with socket.socket() as free:
            free.bind(("127.0.0.1", 0))
            port = free.getsockname()[1]
        schools = {f"school{number}.test:{port}": each for number, each in enumerate(ports)}
        script = _PROXY.format(port=port, schools=schools)
        proxy = subprocess.Popen([sys.executable, "-c", script], stdout=subprocess.PIPE, text=True)
        self.addCleanup(proxy.stdout.close)
        self.addCleanup(proxy.wait)
        self.addCleanup(proxy.kill)
        proxy.stdout.readline()
        made = [self.register(port, host) for host in schools]
        for number, (host, (cookie, listed)) in enumerate(zip(schools, made)):
            self.assertIn(f"Robin of school{number}", listed)
            other = list(schools)[1 - number]
            self.assertNotIn("Robin of", self.ask(port, other, "/account", cookie), "a session of the one is none of the other")
            self.assertIn(f"Robin of school{number}", self.ask(port, host, "/account", cookie))

    def register(self, port, host):
        """Make an account at a school through the proxy. Returns its cookie, and the page of the account."""
        name = f"Robin of {host.partition('.')[0]}"
        body = f"name={name.replace(' ', '+')}&password=a+gate+of+oak"
        answer = self.raw(port, host, "POST", "/register", f"Origin: http://{host}\r\n", body)
        self.assertIn("303", answer.splitlines()[0], answer)
        cookie = re.search(r"set-cookie: (trellis_session=[^;]+)", answer, re.IGNORECASE)[1]
        return cookie, self.ask(port, host, "/account", cookie)

    def ask(self, port, host, path, cookie):
        return self.raw(port, host, "GET", path, f"Cookie: {cookie}\r\nAccept: text/html\r\n")

    def raw(self, port, host, method, path, headers="", body=""):
        head = f"{method} {path} HTTP/1.1\r\nHost: {host}\r\nConnection: close\r\n{headers}"
        if body:
            head += f"Content-Type: application/x-www-form-urlencoded\r\nContent-Length: {len(body)}\r\n"
        connection = self.connect(port, f"{head}\r\n{body}".encode())
        parts = []
        while part := connection.recv(65_536):
            parts.append(part)
        return b"".join(parts).decode()


#: A web server in front, by host name, as small as one can be: it sends a head on as it is, with where it came from.
_PROXY = """
import socket, threading
schools = {schools!r}
listening = socket.create_server(("127.0.0.1", {port}))
print("ready", flush=True)

def carry(come):
    head = b""
    while b"\\r\\n\\r\\n" not in head:
        head += come.recv(65536)
    host = head.split(b"Host: ")[1].split(b"\\r\\n")[0].decode()
    with socket.create_connection(("127.0.0.1", schools[host])) as on:
        first, rest = head.split(b"\\r\\n", 1)
        on.sendall(first + b"\\r\\nX-Forwarded-For: 10.0.0.9\\r\\nX-Forwarded-Proto: http\\r\\n" + rest)
        while part := on.recv(65536):
            come.sendall(part)
    come.close()

while True:
    threading.Thread(target=carry, args=(listening.accept()[0],), daemon=True).start()
"""
