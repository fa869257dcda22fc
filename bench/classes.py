"""A class at work: forty who come in, follow their teacher's drag and are on the wall; four such classes at once. Their lines are in this
process, the server in its own."""

import asyncio
import http.cookiejar
import json
import math
import random
import re
import statistics
import tempfile
import time
import urllib.parse
import urllib.request
from concurrent.futures import ThreadPoolExecutor
from contextlib import AsyncExitStack
from pathlib import Path

from playwright.sync_api import sync_playwright
from websockets.asyncio.client import connect

from tests.browser.served import ARGUMENTS, CHROMIUM, Server
from tests.browser.slow_line import SlowLine
from tests.browser.student_page import StudentPage

from .browser import WATCH
from .figures import orchard
from .near import WATCH_NEAR
from .students import STUDENTS, Teacher, asked_seconds, memory, p95

RATE = 20


class InClass:
    """Somebody who comes in, without a browser."""

    def __init__(self, address, code, name):
        jar = http.cookiejar.CookieJar()
        browser = urllib.request.build_opener(urllib.request.HTTPCookieProcessor(jar))
        with browser.open(f"{address}/in", urllib.parse.urlencode({"code": code, "name": name}).encode()) as answer:
            here = re.search(r"/class/\d+", answer.url)[0]
        page = browser.open(address + here).read().decode()
        self.headers = {"Cookie": "; ".join(f"{cookie.name}={cookie.value}" for cookie in jar)}
        self.board = int(page.split('data-id="')[1].split('"')[0])
        self.line = address.replace("http", "ws") + here + "/line"
        self.board_line = address.replace("http", "ws") + page.split('data-live="')[1].split('"')[0]


class Follower:
    """Notes when each of the teacher's positions, told by its number, has come."""

    def __init__(self):
        self.when, self.low = {}, 0.0

    async def listen(self, line):
        """Take what comes, until the line ends."""
        async for text in line:
            message = json.loads(text)
            if message["t"] == "moved":
                for item in message["items"]:
                    if item["id"] == "s1":
                        self.when[round((item["shape"]["at"][1] - self.low) * 1000)] = time.perf_counter()


async def open_class(teacher, number):
    """A lesson of 200 steps, open for a class. Gives the class's number, its code, its board and its lesson."""
    address = await asyncio.to_thread(teacher.upload, f"Class {number}", orchard())
    slug = address.rsplit("/", 1)[1]
    with teacher.post(f"/lessons/{slug}/class") as answer:
        panel = answer.read().decode()
    board = int(teacher.get(f"/lessons/{slug}").split('data-board="')[1].split('"')[0])
    return re.search(r'data-class="(\d+)"', panel)[1], re.search(r'class="class-sign"[^>]*>([^<]*)<', panel)[1], board


async def trips_of(line, seconds, rate=RATE):
    """Drag a peg round and round, one position on its way at a time. Returns the round trips, milliseconds."""
    trips = []
    await line.send(json.dumps({"t": "grab", "ids": ["s1"], "at": [0, 0]}))
    begun = time.perf_counter()
    for seq in range(int(seconds * rate)):
        # Nobody drags in step with the teacher.
        await asyncio.sleep(max(0, begun + (seq + random.random()) / rate - time.perf_counter()))
        sent = time.perf_counter()
        await line.send(json.dumps({"t": "drag", "to": [3 * math.cos(seq / 9), 3 * math.sin(seq / 9)], "seq": seq}))
        while (message := json.loads(await asyncio.wait_for(line.recv(), 30))).get("seq") != seq:
            if message.get("kind") == "refusal":
                raise AssertionError(message["words"])
        trips.append((time.perf_counter() - sent) * 1000)
    await line.send(json.dumps({"t": "drop"}))
    return trips


async def lead(desk, start, seconds, sent):
    """The teacher drags on the board that all follow; each position is known by its height."""
    await desk.send(json.dumps({"t": "grab", "ids": ["s1"], "at": start}))
    begun = time.perf_counter()
    for seq in range(1, int(seconds * RATE)):
        await asyncio.sleep(max(0, begun + seq / RATE - time.perf_counter()))
        sent[seq] = time.perf_counter()
        await desk.send(json.dumps({"t": "drag", "to": [start[0], start[1] + seq / 1000], "seq": seq}))
    await asyncio.sleep(1.0)
    await desk.send(json.dumps({"t": "drop"}))


def to_the_last(sent, followers):
    """How long each position took to be on every screen, milliseconds; a later one will do."""
    spent = dict.fromkeys(sent, 0.0)
    for one in followers:
        soonest, numbers = math.inf, sorted(one.when)
        for seq in sorted(sent, reverse=True):
            while numbers and numbers[-1] >= seq:
                soonest = min(soonest, one.when[numbers.pop()])
            spent[seq] = max(spent[seq], (soonest - sent[seq]) * 1000)
    return list(spent.values())


async def drain(line):
    """Take what comes and let it go."""
    async for _ in line:
        pass


class Room:
    """One class with its lines."""

    def __init__(self, teacher, address):
        self.teacher, self.address = teacher, address

    async def open(self, number, stack, through=None):
        """Open it and let everybody come in. Returns how long that took, seconds."""
        self.id, self.code, self.board = await open_class(self.teacher, number)
        begun = time.perf_counter()
        come = [asyncio.to_thread(InClass, through or self.address, self.code, f"wren {place}") for place in range(STUDENTS)]
        people = await asyncio.gather(*come)
        self.followers = [Follower() for _ in people]

        async def enter(person):
            kept = {"max_size": None, "open_timeout": 60, "additional_headers": person.headers}
            line = await stack.enter_async_context(connect(person.line, **kept))
            board = await stack.enter_async_context(connect(person.board_line, **kept))
            await line.send(json.dumps({"t": "at", "board": person.board}))
            return line, board

        self.lines = await asyncio.gather(*map(enter, people))
        took = time.perf_counter() - begun
        cookies = {"Cookie": "; ".join(f"{cookie.name}={cookie.value}" for cookie in self.teacher.jar)}
        at = (through or self.address).replace("http", "ws")
        self.desk = await stack.enter_async_context(connect(f"{at}/boards/{self.board}/live", additional_headers=cookies, max_size=None))
        self.panel = await stack.enter_async_context(connect(f"{at}/classes/{self.id}/line", additional_headers=cookies, max_size=None))
        while (message := json.loads(await self.desk.recv()))["t"] != "board":
            pass
        self.start = next(item["shape"]["at"] for item in message["items"] if item["id"] == "s1")
        self.tasks = [asyncio.create_task(one.listen(line)) for one, (line, _) in zip(self.followers, self.lines)]
        self.tasks += [asyncio.create_task(drain(line)) for line in (self.desk, self.panel, *(board for _, board in self.lines[1:]))]
        return took

    async def together(self, on):
        """The wall is looked at and all follow, or neither."""
        await self.panel.send(json.dumps({"t": "wall", "on": on, "seen": []}))
        await self.panel.send(json.dumps({"t": "lead", "on": on, "board": self.board}))
        await asyncio.sleep(1.0)

    async def drag(self, seconds):
        """The teacher drags. Returns how long each position took to the last screen, milliseconds, and how many never came."""
        sent = {}
        for one in self.followers:
            one.when, one.low = {}, self.start[1]
        await lead(self.desk, self.start, seconds, sent)
        spent = to_the_last(sent, self.followers)
        return [one for one in spent if one < math.inf], sum(one == math.inf for one in spent)

    def close(self):
        for task in self.tasks:
            task.cancel()


async def one_class(server, teacher, seconds):
    """The rows of one class of forty."""
    async with AsyncExitStack() as stack:
        room = Room(teacher, server.address)
        took = await room.open(1, stack)
        own = room.lines[0][1]
        before = await trips_of(own, seconds / 3)
        await room.together(True)
        held = [memory(server.process)]
        dragging = asyncio.create_task(trips_of(own, seconds))
        spent, lost = await room.drag(seconds)
        meanwhile = await dragging
        held.append(memory(server.process))
        room.close()
    yield f"{STUDENTS} come into a class", "≤ 10 s for all", f"{took:.1f} s"
    yield (
        f"a teacher's drag to the last of {STUDENTS} screens that follow, the wall on", "p95 ≤ 150 ms, none lost",
        f"{statistics.median(spent):.0f} ms median, {p95(spent):.0f} ms p95; {lost} of {len(spent) + lost} lost; "
        f"memory {held[0]:.0f} → {held[1]:.0f} MB in {seconds:.0f} s",
    )  # fmt: skip
    yield (
        "a student's own drag beside it, and before", "at most a tenth slower",
        f"{statistics.median(meanwhile):.1f} and {statistics.median(before):.1f} ms median, "
        f"{p95(meanwhile):.1f} and {p95(before):.1f} ms p95",
    )  # fmt: skip


class RealPage:
    """Somebody in a real page, on a thread of their own."""

    def __init__(self, server, code, watch):
        self._playwright = sync_playwright().start()
        self._browser = self._playwright.chromium.launch(executable_path=CHROMIUM, args=ARGUMENTS)
        page = self._browser.new_page(viewport={"width": 1280, "height": 800})
        page.add_init_script(watch)
        page.goto(f"{server.address}/in#{code.replace(' ', '')}")
        page.fill("#name", "wren at a page")
        page.click(".come-in button >> nth=0")
        self._page = StudentPage(page, server)
        self._page.visit(f"{server.address}{page.get_attribute('text=To the board', 'href')}")
        if "near" in watch:
            page.wait_for_selector("#board[data-hand=near]", timeout=120_000, state="attached")

    def drag(self, seconds, found):
        """Drag the first peg in circles, as the browser's bench does. Returns how long each position took, milliseconds."""
        page, (x, y) = self._page.page, self._page.pixel(*self._page.board.values[0])
        page.mouse.move(x, y)
        page.mouse.down()
        page.evaluate(f"{found}.trips.length = 0")
        start, step = time.perf_counter(), 0
        while time.perf_counter() - start < seconds:
            step += 1
            page.mouse.move(x + 60 + (step % 120), y + 40 + (step * 7 % 90))
        trips = page.evaluate(f"{found}.trips")
        page.mouse.up()
        page.wait_for_timeout(500)
        page.click("#undo")
        page.wait_for_timeout(1000)
        return trips

    def close(self):
        self._browser.close()
        self._playwright.stop()


async def real_page(server, teacher, seconds):
    """A real page's drag in a class, alone, and while the others follow and the wall is on; over the line and beside the drawing. The one
    who drags has broken off: whoever follows drags nothing."""
    loop = asyncio.get_running_loop()
    for number, what, watch, found in ((3, "over the line", WATCH, "watched"), (4, "beside the drawing", WATCH_NEAR, "near")):
        with ThreadPoolExecutor(1) as thread:
            async with AsyncExitStack() as stack:
                room = Room(teacher, server.address)
                await room.open(number, stack)
                page = await loop.run_in_executor(thread, RealPage, server, room.code, watch)
                before = await loop.run_in_executor(thread, page.drag, seconds, found)
                await room.together(True)
                await loop.run_in_executor(thread, lambda page=page: page._page.page.click("text=Carry on by myself"))
                dragging = asyncio.create_task(room.drag(seconds + 2))
                meanwhile = await loop.run_in_executor(thread, page.drag, seconds, found)
                await dragging
                await loop.run_in_executor(thread, page.close)
                room.close()
        yield (
            f"a real page's drag {what} in a class of {STUDENTS} that follows, the wall on, and before", "at most a tenth slower",
            f"{statistics.median(meanwhile):.1f} and {statistics.median(before):.1f} ms median, "
            f"{p95(meanwhile):.1f} and {p95(before):.1f} ms p95 ({len(meanwhile)} and {len(before)} positions)",
        )  # fmt: skip


async def far_class(server, teacher, seconds):
    """The same behind a line of 120 ms there and back."""
    slow = SlowLine(int(server.address.rsplit(":", 1)[1]), 0.12)
    async with AsyncExitStack() as stack:
        room = Room(teacher, server.address)
        await room.open(2, stack, slow.address)
        await room.together(True)
        spent, lost = await room.drag(seconds)
        room.close()
    yield (
        f"the same at 120 ms of network, to the last of {STUDENTS} screens", "p95 ≤ 300 ms, none lost",
        f"{statistics.median(spent):.0f} ms median, {p95(spent):.0f} ms p95; {lost} of {len(spent) + lost} lost",
    )  # fmt: skip


async def four_classes(server, teacher, seconds):
    """Four classes at once, all of them following, all walls on."""
    async with AsyncExitStack() as stack:
        rooms = [Room(teacher, server.address) for _ in range(4)]
        for number, room in enumerate(rooms):
            await room.open(10 + number, stack)
        for room in rooms:
            await room.together(True)
        found = await asyncio.gather(*(room.drag(seconds) for room in rooms))
        for room in rooms:
            room.close()
    spent, lost = [one for spent, _ in found for one in spent], sum(lost for _, lost in found)
    yield (
        f"four classes of {STUDENTS} at once, each following a drag", "none lost",
        f"{statistics.median(spent):.0f} ms median, {p95(spent):.0f} ms p95 to the last screen; {lost} of {len(spent) + lost} lost",
    )  # fmt: skip


def rows():
    """The rows of the table that classes answer, of which the first drags for ``asked_seconds``."""
    with tempfile.TemporaryDirectory() as folder:
        server = Server(Path(folder) / "class.sqlite", near=True)
        try:
            teacher = Teacher(server)
            for part, time_of_it in ((one_class, asked_seconds()), (real_page, 8), (far_class, 15), (four_classes, 15)):
                yield from asyncio.run(_listed(part(server, teacher, time_of_it)))
        finally:
            server.kill()


async def _listed(rows):
    return [row async for row in rows]
