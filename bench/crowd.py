"""A thousand students whose figures move in their own browsers: the server keeps a drop of each now and then."""

import asyncio
import json
import math
import random
import statistics
import tempfile
import time
import urllib.request
from pathlib import Path

from websockets.asyncio.client import connect

from tests.browser.served import Server

from .figures import orchard
from .students import Teacher, asked_seconds, memory, p95

#: How many students there are, how many of them join at once, how many seconds lie between two drops of one.
STUDENTS, AT_ONCE, BETWEEN = 1000, 40, 30.0
#: From one address not all of them may come: as many addresses as there are schools here.
SCHOOLS = 5


def line_of(address, number, begun="student-of-the-crowd"):
    """The line of a student to their copy, from the address of their school."""
    protocols = [f"copy.{begun}-{number:04}"]
    return connect(address, subprotocols=protocols, max_size=None, open_timeout=120, local_addr=(f"127.0.0.{2 + number % SCHOOLS}", 0))


async def until(line, kind):
    """Wait for an answer of a kind."""
    async for text in line:
        if text.startswith(f'{{"t":"{kind}"'):
            return


async def student(number, address, end, spent):
    """One student joins, and drops a peg elsewhere now and then until the end. Notes how long each drop took until it was told as kept,
    in milliseconds. Returns how many were never answered."""
    chance, lost = random.Random(number), 0
    async with line_of(address, number) as line:
        await until(line, "board")
        await asyncio.sleep(chance.uniform(0, BETWEEN))
        while time.perf_counter() < end:
            turn = chance.uniform(0, math.tau)
            await line.send(json.dumps({"t": "grab", "ids": ["s1"], "at": [0, 0]}))
            await line.send(json.dumps({"t": "drag", "to": [3 * math.cos(turn), 3 * math.sin(turn)], "seq": 1}))
            start = time.perf_counter()
            await line.send(json.dumps({"t": "drop"}))
            try:
                await asyncio.wait_for(until(line, "changed"), 30)
                spent.append((time.perf_counter() - start) * 1000)
            except TimeoutError:
                lost += 1
            await asyncio.sleep(BETWEEN + chance.uniform(-3, 3))
    return lost


async def crowd(server, address, seconds):
    """All of them. Returns how long each drop took, how many were lost, how long those who joined at once needed, and the memory of the
    server when all were there and at the end."""
    spent, end = [], time.perf_counter() + 60 + seconds
    students = []
    for number in range(STUDENTS - AT_ONCE):
        students.append(asyncio.create_task(student(number, address, end, spent)))
        await asyncio.sleep(0.04)
    spent.clear()  # from here on it is measured
    held = [memory(server.process)]
    start = time.perf_counter()

    async def joined(number):
        async with line_of(address, number, "one-who-joins-at-once") as line:
            await until(line, "board")
            return time.perf_counter() - start

    joining = await asyncio.gather(*(joined(number) for number in range(AT_ONCE)))
    students += [asyncio.create_task(student(number, address, end, spent)) for number in range(STUDENTS - AT_ONCE, STUDENTS)]
    lost = sum(await asyncio.gather(*students))
    held.append(memory(server.process))
    return spent, lost, max(joining), held


def rows():
    """The row about the crowd, who drop for ``asked_seconds``."""
    with tempfile.TemporaryDirectory() as folder:
        server = Server(Path(folder) / "crowd.sqlite")
        try:
            teacher = Teacher(server)
            link = teacher.share(teacher.upload("For all", orchard()))
            page = urllib.request.urlopen(link).read().decode()
            address = server.address.replace("http", "ws") + page.split('data-live="')[1].split('"')[0]
            spent, lost, joined, held = asyncio.run(crowd(server, address, asked_seconds()))
            yield (
                f"{STUDENTS:,} students, 200 steps, a drop of each twice a minute, {AT_ONCE} joining at once",
                "p95 of a drop ≤ 150 ms, none lost, memory flat",
                f"{statistics.median(spent):.0f} ms median, {p95(spent):.0f} ms p95 of {len(spent):,} drops; {lost} lost; "
                f"the {AT_ONCE} had joined in {joined:.1f} s; memory {held[0]:.0f} → {held[1]:.0f} MB",
            )
        finally:
            server.kill()
