"""Drags, page opening and page weight, in headless Chromium on loopback."""

import statistics
import tempfile
import time
from pathlib import Path

from playwright.sync_api import sync_playwright

from tests.browser.board_page import BoardPage
from tests.browser.served import ARGUMENTS, CHROMIUM, Server, come_in

from .figures import kitchen_garden, orchard, rosette, three_movers, wreath
from .pages import new_page, summary
from .students import Teacher, times

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
            everything, script = weight(browser, server)
            yield (
                "page weight of a first visit",
                "≤ 220 kB, own script ≤ 60 kB",
                f"{everything / 1000:.0f} kB, own script {script / 1000:.0f} kB",
            )
        finally:
            browser.close()
            server.kill()
