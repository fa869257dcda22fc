"""Forty students who drag at the same time, each their own copy of a shared lesson, and the page that they open."""

import asyncio
import http.cookiejar
import json
import math
import os
import statistics
import sys
import tempfile
import time
import urllib.parse
import urllib.request
from pathlib import Path

from websockets.asyncio.client import connect

from ruddy_trellis.core import Figure
from ruddy_trellis.core.lesson.file import lesson_to_json
from tests.browser.served import Server

from .figures import orchard, wreath

STUDENTS, RATE = 40, 20


class Teacher:
    """The demo teacher, signed in without a browser."""

    def __init__(self, server, sign_in="maud.alder"):
        self.address = server.address
        self.jar = http.cookiejar.CookieJar()
        self.browser = urllib.request.build_opener(urllib.request.HTTPCookieProcessor(self.jar))
        self.post("/sign-in/demo", sign_in=sign_in)

    def post(self, path, **fields):
        return self.browser.open(self.address + path, urllib.parse.urlencode(fields, doseq=True).encode())

    def get(self, path):
        """What the server answers, as text."""
        return self.browser.open(self.address + path).read().decode()

    def upload(self, title, figure):
        """Put a figure into the server as a lesson, through its door for files. Returns its address."""
        content, mark = json.dumps(lesson_to_json(title, [figure.board])), "----bench"
        body = f'--{mark}\r\nContent-Disposition: form-data; name="file"; filename="b.json"\r\n\r\n{content}\r\n--{mark}--\r\n'.encode()
        request = urllib.request.Request(self.address + "/lessons/read", body, {"Content-Type": f"multipart/form-data; boundary={mark}"})
        with self.browser.open(request) as answer:
            return answer.url

    def share(self, lesson):
        """Share a lesson by link. Returns the link."""
        with self.post(f"/lessons/{lesson.split('/')[-1]}/share", shared="link") as answer:
            return answer.read().decode().split('id="share-link" value="')[1].split('"')[0]


def times(ask, count=60):
    """How long something takes, milliseconds, many times."""
    spent = []
    for _ in range(count):
        start = time.perf_counter()
        ask()
        spent.append((time.perf_counter() - start) * 1000)
    return spent


def p95(spent):
    return statistics.quantiles(spent, n=20)[18]


async def student(number, line_address, seconds, everyone):
    """One student drags the first peg round and round, once everyone has opened the lesson. As in the browser, one
    position is on its way at a time: where an answer is late, the next position waits. Returns the round trips in
    milliseconds and how many positions were never answered."""
    async with connect(line_address, subprotocols=[f"copy.student-of-the-bench-{number:04}"], max_size=None, open_timeout=60) as line:
        await line.send(json.dumps({"t": "grab", "ids": ["s1"], "at": [0, 0]}))
        sent, trips, answered = {}, [], asyncio.Event()
        await everyone.wait()

        async def listen():
            async for text in line:
                message = json.loads(text)
                if message["t"] == "moved" and "seq" in message:
                    if not (message["held"] and message["items"]):
                        raise AssertionError("a position was not taken")
                    trips.append((time.perf_counter() - sent.pop(message["seq"])) * 1000)
                    answered.set()

        listening = asyncio.create_task(listen())
        start = time.perf_counter() + number / STUDENTS / RATE
        for seq in range(int(seconds * RATE)):
            await asyncio.sleep(max(0, start + seq / RATE - time.perf_counter()))
            if seq:
                await asyncio.wait_for(answered.wait(), 30)
            answered.clear()
            if time.perf_counter() > start + seconds:
                break
            sent[seq] = time.perf_counter()
            await line.send(json.dumps({"t": "drag", "to": [3 * math.cos(seq / 9), 3 * math.sin(seq / 9)], "seq": seq}))
        await asyncio.sleep(1.5)
        listening.cancel()
        await line.send(json.dumps({"t": "drop"}))
        return trips, len(sent)


def memory(process):
    """What a process holds in memory, in MB."""
    pages = int(Path(f"/proc/{process.pid}/statm").read_text().split()[1])
    return pages * os.sysconf("SC_PAGE_SIZE") / 1e6


async def class_of(server, line_address, seconds):
    """Forty at once. Returns how long it took until all had opened the lesson, in seconds, all round trips, how many
    positions were never answered, and the memory of the server in MB, noted ten times on the way."""
    held = []

    async def watch():
        while True:
            held.append(memory(server.process))
            await asyncio.sleep(seconds / 10)

    everyone = asyncio.Barrier(STUDENTS + 1)
    start = time.perf_counter()
    students = asyncio.gather(*(student(number, line_address, seconds, everyone) for number in range(STUDENTS)))
    await everyone.wait()
    opening = time.perf_counter() - start
    watching = asyncio.create_task(watch())
    results = await students
    watching.cancel()
    return opening, [trip for trips, _ in results for trip in trips], sum(lost for _, lost in results), held


async def hands_in(number, line_address, everyone):
    """One student builds the middle, and hands in when everyone has. Returns how long that took, in milliseconds."""
    async with connect(line_address, subprotocols=[f"copy.student-who-hands-in-{number:05}"], max_size=None, open_timeout=60) as line:

        async def until(kind):
            while (message := json.loads(await asyncio.wait_for(line.recv(), 60)))["t"] != kind:
                if message.get("kind") == "refusal":
                    raise AssertionError(message["words"])

        await line.send(json.dumps({"t": "say", "text": "the midpoint of AB"}))
        await until("changed")
        await everyone.wait()
        start = time.perf_counter()
        await line.send(json.dumps({"t": "hand_in", "name": f"wren {number}"}))
        await until("handed_in")
        return (time.perf_counter() - start) * 1000


async def all_hand_in(line_address):
    """Forty hand in at once. Returns how long each took, in milliseconds, and how long a drag of another one took meanwhile."""
    everyone = asyncio.Barrier(STUDENTS + 1)
    handing = asyncio.gather(*(hands_in(number, line_address, everyone) for number in range(STUDENTS)))
    dragging = asyncio.create_task(student(STUDENTS, line_address, 3, everyone))
    spent = await handing
    trips, _ = await dragging
    return spent, trips


def handing_in(teacher):
    """The rows about handing in: a challenge of the middle, in a lesson that takes it."""
    figure = Figure()
    figure.say("A = (-3, 0)\nB = (3, 1)\nM is the midpoint of AB")
    address = teacher.upload("The middle", figure)
    link, slug = teacher.share(address), address.rsplit("/", 1)[1]
    board = teacher.get(f"/lessons/{slug}").split('data-board="')[1].split('"')[0]
    task = {"task": "The middle.", "given": ["s1", "s2"], "answers": "s3", "kit": "everything"}
    teacher.post(f"/boards/{board}/challenge", **task)
    teacher.post(f"/lessons/{slug}/handed-in/open", is_open="true")
    spent, trips = asyncio.run(all_hand_in(f"{link.replace('http', 'ws')}/{board}/live"))
    yield f"{STUDENTS} hand in at once", "≤ 1 s each", f"{statistics.median(spent):.0f} ms median, {max(spent):.0f} ms at most"
    yield "dragging while 40 hand in", "p95 ≤ 80 ms", f"{statistics.median(trips):.1f} ms median, {p95(trips):.1f} ms p95"
    grid = times(lambda: teacher.get(f"/lessons/{slug}/handed-in/grid"))
    yield (
        f"the grid with {STUDENTS} hand-ins, server time",
        "p95 ≤ 60 ms",
        f"{statistics.median(grid):.1f} ms median, {p95(grid):.1f} ms p95",
    )


def asked_seconds():
    """For how long a class drags: ``--minutes 10`` for that long; half a minute else."""
    return 60 * float(sys.argv[sys.argv.index("--minutes") + 1]) if "--minutes" in sys.argv else 30


def rows():
    """The rows of the table that students answer, who drag for ``asked_seconds``."""
    seconds = asked_seconds()
    with tempfile.TemporaryDirectory() as folder:
        server = Server(Path(folder) / "class.sqlite")
        try:
            teacher = Teacher(server)
            yield from handing_in(teacher)
            for what, figure in (("5 steps of 200 hang on the peg", orchard()), ("all 200 hang on the peg", wreath())):
                link = teacher.share(teacher.upload(what, figure))
                spent = times(lambda link=link: urllib.request.urlopen(link).read())
                page = urllib.request.urlopen(link).read().decode()
                line_address = server.address.replace("http", "ws") + page.split('data-live="')[1].split('"')[0]
                opening, trips, lost, held = asyncio.run(class_of(server, line_address, seconds))
                yield (
                    f"opening a student page, {what}, server time",
                    "p95 ≤ 60 ms",
                    f"{statistics.median(spent):.1f} ms median, {p95(spent):.1f} ms p95",
                )
                yield (
                    f"{STUDENTS} students dragging at {RATE} positions a second each, {what}",
                    "p95 ≤ 80 ms, none lost, memory flat",
                    f"{statistics.median(trips):.1f} ms median, {p95(trips):.1f} ms p95, {len(trips) / seconds / STUDENTS:.1f} positions a "
                    f"second each; "
                    f"{lost} of {len(trips) + lost} lost; memory {held[1]:.0f} → {held[-1]:.0f} MB in {seconds:.0f} s; all 40 lines opened "
                    f"in {opening:.1f} s",
                )
        finally:
            server.kill()
