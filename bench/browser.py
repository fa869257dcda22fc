"""Drags, page opening and page weight, in headless Chromium on loopback."""

import statistics
import tempfile
import time
from pathlib import Path

from playwright.sync_api import sync_playwright

from tests.browser.board_page import BoardPage
from tests.browser.served import ARGUMENTS, CHROMIUM, Server, come_in
from tests.browser.slow_line import SlowLine
from tests.browser.test_by_itself import NOTE_THE_VIEW, Alone
from tests.browser.test_near import WHEN_NAMED

from .figures import kitchen_garden, orchard, rosette, three_movers, wreath
from .students import Teacher, p95, times

#: Notes when each drag position is sent and when its answer has been drawn, and how long each frame takes.
WATCH = """
window.watched = {sent: {}, trips: [], frames: []};
const send = WebSocket.prototype.send;
WebSocket.prototype.send = function (text) {
  const message = JSON.parse(text);
  if (message.t === "drag") watched.sent[message.seq] = performance.now();
  if (!this.watched) {
    this.watched = true;
    this.addEventListener("message", (event) => {
      const found = /^{"t":"moved","seq":(\\d+)/.exec(event.data);
      if (found && found[1] in watched.sent) watched.trips.push(performance.now() - watched.sent[found[1]]);
    });
  }
  return send.call(this, text);
};
let last = 0;
const frame = (now) => { if (last) watched.frames.push(now - last); last = now; requestAnimationFrame(frame); };
requestAnimationFrame(frame);
"""


#: Notes how long a copy beside the drawing takes for each position of a drag, and how long until its thread is ready.
WATCH_NEAR = """
window.near = {trips: [], began: 0, ready: 0};
window.Worker = class extends Worker {
  constructor(address, how) {
    super(address, how);
    if (!String(address).includes("/near/")) return;
    near.began = performance.now();
    this.addEventListener("message", ({ data }) => {
      if (data.kind === "ready") near.ready = performance.now() - near.began;
      if (data.kind === "answers" && near.sent) {
        near.trips.push(performance.now() - near.sent);
        near.sent = 0;
      }
    });
  }
  postMessage(message, ...more) {
    if (message.text?.startsWith('{"t":"drag"')) near.sent = performance.now();
    super.postMessage(message, ...more);
  }
};
"""


def near_drag(browser, server, address, delay, seconds=5):
    """Drag the first peg of a board in circles behind a line that takes its time, with the hand beside the drawing.

    Args:
        delay: there and back, seconds.

    Returns:
        How long each position took until it could be drawn, milliseconds.
    """
    line = SlowLine(server.port, delay)
    page = new_page(browser, server)
    page.add_init_script(WATCH_NEAR)
    page.goto(address.replace(server.address, line.address))
    b = BoardPage(page, server.address)._ready()
    page.wait_for_selector("#board[data-hand=near]", timeout=120_000, state="attached")
    x, y = b.pixel(*b.board.values[0])
    page.mouse.move(x, y)
    page.mouse.down()
    start, step = time.perf_counter(), 0
    while time.perf_counter() - start < seconds:
        step += 1
        page.mouse.move(x + 60 + (step % 120), y + 40 + (step * 7 % 90))
    found = page.evaluate("near")
    page.mouse.up()
    page.wait_for_timeout(1000 * delay + 300)
    page.click("#undo")  # the next drag begins where this one did
    page.wait_for_timeout(1000 * delay + 300)
    page.context.close()
    line.close()
    return found["trips"]


def near_starts(browser, server, address, count=5):
    """How long the thread of the hand needs until it is ready: the first time in a browser, the second, and the third, when its memory
    is kept; milliseconds, a list for each."""
    found = ([], [], [])
    for _ in range(count):
        page = new_page(browser, server)
        page.add_init_script(WATCH_NEAR)
        for each in found:
            page.goto(address)
            page.wait_for_selector("#board[data-hand=near]", timeout=120_000, state="attached")
            each.append(page.evaluate("near.ready"))
            page.wait_for_timeout(1500)
        page.context.close()
    return found


def said_near(browser, server, address, delay, count=25):
    """Say sentences on a board behind a line that takes its time. Gives how long each took from Enter until it was drawn, milliseconds.

    Args:
        delay: there and back, seconds.
    """
    line = SlowLine(server.port, delay)
    page = new_page(browser, server)
    page.goto(address.replace(server.address, line.address))
    BoardPage(page, server.address)._ready()
    page.wait_for_selector("#board[data-hand=near]", timeout=120_000, state="attached")
    page.wait_for_timeout(2000)
    spent = []
    for number in range(count):
        name = f"Z{number}"
        page.evaluate(WHEN_NAMED, name)
        page.fill("#typed", f"{name} = ({number / 10}, {number % 7})")
        page.press("#typed", "Enter")
        page.wait_for_function("() => window.drawnAfter")
        spent.append(page.evaluate("drawnAfter"))
        page.wait_for_timeout(1000 * delay + 700)
    page.context.close()
    line.close()
    return spent


def near_rows(browser, folder):
    """The rows about the hand in the browser."""
    server = Server(folder / "near.sqlite", near=True)
    try:
        teacher = Teacher(server)
        boards = (
            ("5 steps hang on the peg", "≤ 6 ms median, ≤ 12 ms p95", teacher.upload("Orchard", orchard())),
            ("all 200 hang on the peg", "≤ 10 ms median, ≤ 16 ms p95", teacher.upload("Wreath", wreath())),
            ("arcs, conics, tags and marks", "≤ 6 ms median, ≤ 12 ms p95", teacher.upload("Kitchen garden", kitchen_garden())),
        )
        starts = near_starts(browser, server, boards[0][2])
        for spent, which, reach in zip(
            starts, ("the first time in a browser", "the second time", "from memory that is kept"), (5, 2, 1.2), strict=True
        ):
            yield (
                f"the hand in the browser, from its thread's start to ready, {which}",
                f"≤ {reach:g} s",
                f"{statistics.median(spent) / 1000:.2f} s median of {len(spent)}, {max(spent) / 1000:.2f} s at most",
            )
        for what, reach, address in boards:
            for delay in (0, 0.12, 0.3):
                trips = near_drag(browser, server, address, delay)
                yield (
                    f"drag beside the drawing at {1000 * delay:.0f} ms of network, {what}",
                    reach,
                    f"{summary(trips)} ({len(trips)} positions)",
                )
        for delay in (0.12, 0.3):
            spent = said_near(browser, server, teacher.upload("Orchard, again", orchard()), delay)
            yield (
                f"a sentence on a 200-step board at {1000 * delay:.0f} ms of network, from Enter to drawn",
                "p95 ≤ 50 ms",
                f"{summary(spent)} ({len(spent)} sentences)",
            )
        yield lone_row(browser, server, boards[0][2], folder)
    finally:
        server.kill()


def lone_row(browser, server, address, folder):
    """The row about a page that works by itself: how large it is, and how long it takes from disk in a browser that knows nothing."""
    page = new_page(browser, server)
    page.goto(address)
    page.wait_for_selector("#board[data-hand=near]", timeout=120_000, state="attached")
    page.click("#files")
    page.select_option("#out-form [name=kind]", "page")
    with page.expect_download(timeout=120_000) as download:
        page.click("#out-save")
    target = folder / download.value.suggested_filename
    download.value.save_as(target)
    page.context.close()
    seen, ready = [], []
    for _ in range(5):
        context = browser.new_context(viewport={"width": 1280, "height": 800})
        fresh = context.new_page()
        fresh.add_init_script(NOTE_THE_VIEW)
        alone = Alone(fresh, target)
        seen.append(alone.seen_after)
        ready.append(alone.ready_after)
        context.close()
    return (
        "a page that works by itself, from disk: the figure seen, and ready to be moved",
        "≤ 5 s, ≤ 9 MB",
        f"{statistics.median(seen):.1f} s and {statistics.median(ready):.1f} s median of 5; {target.stat().st_size / 1e6:.1f} MB",
    )


def new_page(browser, server):
    """A page of a browser that is signed in."""
    context = browser.new_context(viewport={"width": 1280, "height": 800})
    come_in(context, server)
    return context.new_page()


def drag(browser, server, address, seconds=6, grab=0):
    """Drag a peg in circles, the first of the board or another. Returns the round trips and the frames in milliseconds."""
    page = new_page(browser, server)
    page.add_init_script(WATCH)
    page.goto(address)
    b = BoardPage(page, server.address)._ready()
    x, y = b.pixel(*b.board.values[grab])
    page.mouse.move(x, y)
    page.mouse.down()
    page.evaluate("watched.frames.length = 0")
    start, step = time.perf_counter(), 0
    while time.perf_counter() - start < seconds:
        step += 1
        page.mouse.move(x + 60 + (step % 120), y + 40 + (step * 7 % 90))
    watched = page.evaluate("watched")
    page.mouse.up()
    page.context.close()
    return watched["trips"], watched["frames"]


def running(browser, server, address, seconds=10):
    """Run a board's motions. Returns the frames of the page in milliseconds."""
    page = new_page(browser, server)
    page.add_init_script(WATCH)
    page.goto(address)
    BoardPage(page, server.address)._ready()
    page.keyboard.press(".")
    page.wait_for_timeout(700)
    page.evaluate("watched.frames.length = 0")
    page.wait_for_timeout(seconds * 1000)
    frames = page.evaluate("watched.frames")
    page.keyboard.press(".")
    page.context.close()
    return frames


def summary(trips):
    return f"{statistics.median(trips):.1f} ms median, {p95(trips):.1f} ms p95"


def weight(browser, server):
    """The bytes of a first visit to a board page, as sent: all, and our own script."""
    context = browser.new_context()
    come_in(context, server)
    page = context.new_page()
    client = context.new_cdp_session(page)
    client.send("Network.enable")
    addresses, sizes = {}, {}
    client.on("Network.responseReceived", lambda event: addresses.update({event["requestId"]: event["response"]["url"]}))
    client.on("Network.loadingFinished", lambda event: sizes.update({addresses.get(event["requestId"], "?"): event["encodedDataLength"]}))
    BoardPage(page, server.address).open("Three taps")
    context.close()
    own = (size for address, size in sizes.items() if address.endswith(".js") and "/vendor/" not in address)
    return sum(sizes.values()), sum(own)


#: A line of 1.5 Mbit and 150 ms, as the browser counts it.
_SLOW_LINE = {"offline": False, "latency": 150, "downloadThroughput": 1.5e6 / 8, "uploadThroughput": 1.5e6 / 8}


def first_visit(browser, server, address, is_there):
    """How long a page takes to answer on a first visit on a slow line and a machine four times as slow, milliseconds, of five.

    Args:
        is_there: what is true in the page as soon as it answers.
    """
    spent = []
    for _ in range(5):
        context = browser.new_context(viewport={"width": 1280, "height": 800})
        come_in(context, server)
        page = context.new_page()
        client = context.new_cdp_session(page)
        client.send("Network.enable")
        client.send("Network.emulateNetworkConditions", _SLOW_LINE)
        client.send("Emulation.setCPUThrottlingRate", {"rate": 4})
        page.add_init_script(
            f"const looks = setInterval(() => {{ if ({is_there}) {{ window.answers = performance.now(); clearInterval(looks); }} }}, 5);"
        )
        page.goto(address, wait_until="commit")
        while not (answers := page.evaluate("window.answers ?? 0")):
            page.wait_for_timeout(200)
        spent.append(answers)
        context.close()
    return spent


def rows():
    """The rows of the table that a browser answers."""
    with tempfile.TemporaryDirectory() as folder, sync_playwright() as playwright:
        server = Server(Path(folder) / "bench.sqlite")
        browser = playwright.chromium.launch(executable_path=CHROMIUM, args=ARGUMENTS)
        try:
            teacher = Teacher(server)
            wide, deep = teacher.upload("Orchard", orchard()), teacher.upload("Wreath", wreath())
            mixed = teacher.upload("Kitchen garden", kitchen_garden())
            for what, address in (
                ("5 steps hang on the peg", wide),
                ("all 200 hang on the peg", deep),
                ("arcs, conics, tags and marks", mixed),
            ):
                trips, frames = drag(browser, server, address)
                slow = sum(frame > 25 for frame in frames)
                yield (
                    f"drag on a 200-step board, {what}",
                    "≤ 6 ms median, ≤ 12 ms p95",
                    f"{summary(trips)} ({len(trips)} positions; {slow} of {len(frames)} frames over 25 ms)",
                )
            trips, frames = drag(browser, server, teacher.upload("Rosette", rosette()), grab=1)
            yield "drag of a family of 72 copies of 50 parts", "median ≤ 16 ms", f"{summary(trips)} ({len(trips)} positions)"
            frames = running(browser, server, teacher.upload("Three movers", three_movers()))
            rate = 1000 * len(frames) / sum(frames)
            yield (
                "motion of three things with fading trails, 10 s",
                "≥ 55 frames a second",
                f"{rate:.1f} frames a second, {sum(frame > 25 for frame in frames)} of {len(frames)} over 25 ms",
            )
            spent = times(lambda: teacher.browser.open(deep).read())
            yield "opening a board page of 200 steps, server time", "p95 ≤ 60 ms", f"{summary(spent)}"
            for what, address, is_there in (
                (
                    "the list of lessons",
                    server.address,
                    "document.readyState !== 'loading' && performance.getEntriesByType('paint').length",
                ),
                ("a board of 200 steps", deep, "document.getElementById('saved')?.textContent === 'Saved'"),
            ):
                spent = first_visit(browser, server, address, is_there)
                yield (
                    f"first visit, 4 times slower, 1.5 Mbit, 150 ms: {what} answers",
                    "≤ 2,000 ms",
                    f"{statistics.median(spent):.0f} ms median of {len(spent)}, slowest {max(spent):.0f} ms",
                )
            yield from near_rows(browser, Path(folder))
            everything, script = weight(browser, server)
            yield (
                "page weight of a first visit",
                "≤ 220 kB, own script ≤ 60 kB",
                f"{everything / 1000:.0f} kB, own script {script / 1000:.0f} kB",
            )
        finally:
            browser.close()
            server.kill()
