"""A thousand students who work at the same time, each at their own copy, with the hand beside their drawing: the server hears of a drop."""

import asyncio
import json
import random
import statistics
import tempfile
import time
import urllib.request
from pathlib import Path

from websockets.asyncio.client import connect

from tests.browser.served import Server

from .figures import orchard
from .students import Teacher, memory, p95

#: How many there are; how many come at once when the others are there; how many come in a second before.
ALL, AT_ONCE, COMING = 1000, 40, 20
#: From how many addresses they come.
SCHOOLS = 50
#: How long each waits from one drop to the next, and for how long it is measured, seconds.
APART, MEASURED = 30, 90


class Student:
    """One student's line: what comes is looked at by its first letters only, for a browser does that elsewhere."""

    def __init__(self, number, address):
        self.number, self.address = number, address
        self.chance = random.Random(number)
        self.seen, self.kept = asyncio.Event(), asyncio.Event()
        self.spent, self.lost = [], 0

    async def come(self):
        """Open the line. Returns how long it takes until the board is there, milliseconds."""
        start = time.perf_counter()
        self.line = await connect(
            self.address,
            subprotocols=[f"copy.one-of-a-thousand-{self.number:06}"],
            max_size=None,
            open_timeout=120,
            local_addr=(f"127.0.1.{self.number % SCHOOLS + 1}", 0),
        )
        self.listening = asyncio.create_task(self._listen())
        await asyncio.wait_for(self.seen.wait(), 120)
        return (time.perf_counter() - start) * 1000

    async def _listen(self):
        async for text in self.line:
            if text.startswith('{"t":"board"'):
                self.seen.set()
            elif text.startswith('{"t":"changed"'):
                self.kept.set()

    async def drop(self):
        """Take a peg, tell where it is, let go; wait until it is kept."""
        self.kept.clear()
        await self.line.send(json.dumps({"t": "grab", "ids": ["s1"], "at": [0, 0]}))
        await self.line.send(json.dumps({"t": "drag", "to": [self.chance.uniform(-5, 5), self.chance.uniform(-5, 5)], "seq": 1}))
        start = time.perf_counter()
        await self.line.send(json.dumps({"t": "drop"}))
        try:
            await asyncio.wait_for(self.kept.wait(), 60)
            self.spent.append((time.perf_counter() - start) * 1000)
        except TimeoutError:
            self.lost += 1

    async def work(self, until):
        """Drop again and again, until then."""
        await asyncio.sleep(self.chance.uniform(0, APART))
        while time.perf_counter() < until:
            begun = time.perf_counter()
            await self.drop()
            await asyncio.sleep(max(0, begun + APART - time.perf_counter()))

    async def go(self):
        self.listening.cancel()
        await self.line.close()


async def day(server, address):
    """All of them. Returns how long drops took and how long it took the last ones to come, milliseconds, how many drops were never kept,
    and what the server held in memory when all had come and at the end, MB."""
    students = [Student(number, address) for number in range(ALL)]
    coming = []
    for student in students[:-AT_ONCE]:
        coming.append(asyncio.create_task(student.come()))
        await asyncio.sleep(1 / COMING)
    await asyncio.gather(*coming)
    until = time.perf_counter() + MEASURED
    working = [asyncio.create_task(student.work(until)) for student in students[:-AT_ONCE]]
    await asyncio.sleep(APART)
    before = memory(server.process)
    came = await asyncio.gather(*(student.come() for student in students[-AT_ONCE:]))
    working += [asyncio.create_task(student.work(until)) for student in students[-AT_ONCE:]]
    await asyncio.gather(*working)
    after = memory(server.process)
    await asyncio.gather(*(student.go() for student in students))
    return [one for student in students for one in student.spent], came, sum(student.lost for student in students), before, after


def rows():
    """The row of the table about a thousand students."""
    with tempfile.TemporaryDirectory() as folder:
        server = Server(Path(folder) / "thousand.sqlite")
        try:
            teacher = Teacher(server)
            link = teacher.share(teacher.upload("Orchard", orchard()))
            page = urllib.request.urlopen(link).read().decode()
            address = server.address.replace("http", "ws") + page.split('data-live="')[1].split('"')[0]
            spent, came, lost, before, after = asyncio.run(day(server, address))
            yield (
                f"{ALL} students, {60 // APART} drops a minute each on 200 steps, {AT_ONCE} of them coming at once",
                "p95 ≤ 150 ms, none lost, memory flat",
                f"{statistics.median(spent):.0f} ms median, {p95(spent):.0f} ms p95, {lost} of {len(spent) + lost} lost; the {AT_ONCE} "
                f"were there after {max(came) / 1000:.1f} s; memory {before:.0f} → {after:.0f} MB",
            )
        finally:
            server.kill()
