"""The hand in the browser: drags, sentences, what is asked and motions behind a line that takes its time."""

import json
import statistics
import tempfile
import time
from pathlib import Path

from playwright.sync_api import sync_playwright

from ruddy_trellis.core.board.copying import steps_and_settings
from ruddy_trellis.near.beside import Beside
from tests.browser.board_page import BoardPage
from tests.browser.served import ARGUMENTS, CHROMIUM, Server
from tests.browser.slow_line import SlowLine
from tests.browser.test_by_itself import NOTE_THE_VIEW, Alone

from .figures import kitchen_garden, orchard, three_movers, wreath
from .pages import new_page, summary
from .students import Teacher

#: Notes how long after the pointer's next move these words stand beside it, milliseconds.
WHEN_SAID = """(words) => {
  window.saidAfter = undefined;
  let began;
  addEventListener("pointermove", () => { began ??= performance.now(); }, { capture: true, once: true });
  const looks = setInterval(() => {
    if (began && document.getElementById("pointer-words").textContent.includes(`point ${words}`)) {
      window.saidAfter = performance.now() - began;
      clearInterval(looks);
    }
  }, 5);
}"""
#: Notes when a thing of a name is drawn, counted from Enter.
WHEN_NAMED = """(name) => {
  window.drawnAfter = undefined;
  let began;
  addEventListener("keydown", ({ key }) => { if (key === "Enter") began = performance.now(); }, { capture: true, once: true });
  const looks = setInterval(() => {
    if (!began || !document.querySelector(`li[data-label="${name}"]`)) return;
    window.drawnAfter = performance.now() - began;
    clearInterval(looks);
  }, 5);
}"""
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


#: Drags in a thread like that of the page. Gives how long each place took, with both ways to the thread, milliseconds.
DRAG_THERE = """async ([board, [grab, ...drags]]) => {
  const root = document.getElementById("board");
  const script = document.querySelector("script[type=module]").src.replace("page/teacher.js", "near/worker.js");
  const worker = new Worker(script, { type: "module" });
  const ask = (message) => new Promise((done) => {
    worker.onmessage = done;
    worker.postMessage(message);
  });
  await ask({ kind: "begin", places: JSON.parse(root.dataset.near) });
  await ask({ kind: "open", number: 0, text: board });
  await ask({ kind: "take", text: grab });
  const spent = [];
  for (const text of drags) {
    const start = performance.now();
    await ask({ kind: "drag", text });
    spent.push(performance.now() - start);
  }
  worker.terminate();
  return spent;
}"""
#: Notes when the offers for what is selected are other ones.
WHEN_OFFERED = """() => {
  const began = performance.now();
  window.offeredAfter = undefined;
  const before = document.getElementById("onward-choices").innerText;
  const looks = setInterval(() => {
    if (document.getElementById("onward-choices").innerText === before) return;
    window.offeredAfter = performance.now() - began;
    clearInterval(looks);
  }, 4);
}"""
#: Counts the frames of a page, and those before which something was handed to what draws.
WATCH_FRAMES = """
window.shown = {frames: 0, drawn: 0, since: 0};
let drew = false;
const post = Worker.prototype.postMessage;
Worker.prototype.postMessage = function (message, ...more) {
  if (message.moved || message.movedTold) drew = true;
  return post.call(this, message, ...more);
};
const frame = () => {
  shown.frames += 1;
  shown.drawn += drew;
  drew = false;
  requestAnimationFrame(frame);
};
requestAnimationFrame(frame);
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


def drag_messages(figure, count=200):
    """The messages of a drag of the first peg of a figure: taken hold of, and so many places."""
    (x, y), grabbed = figure.board.values[0], figure.board.steps[0].id
    places = [(x + 1 + (step % 120) / 60, y + 0.7 + (step * 7 % 90) / 60) for step in range(count)]
    drags = [{"t": "drag", "to": place, "seq": seq} for seq, place in enumerate(places)]
    return [json.dumps(message) for message in ({"t": "grab", "ids": [grabbed], "at": [x, y]}, *drags)]


def drag_here(board, messages):
    """The hand of a copy in the Python that the server runs. Gives how long each place took, milliseconds."""
    beside, spent = Beside(), []
    beside.open(board)
    beside.take(messages[0])
    for message in messages[1:]:
        start = time.perf_counter()
        beside.drag(message)
        spent.append(1000 * (time.perf_counter() - start))
    return spent


def drag_ratio(browser, server, address, figure, rounds=5):
    """The hand of a copy in a thread of the browser, where nothing else is done, and in the server's Python, in turns.

    Returns:
        The median of both, milliseconds.
    """
    page = new_page(browser, server)
    page.goto(address)
    page.wait_for_selector("#board[data-hand=near]", timeout=120_000, state="attached")
    board, messages = json.dumps(steps_and_settings(figure.board)), drag_messages(figure)
    there, here = [], []
    for _ in range(rounds):
        there += page.evaluate(DRAG_THERE, [board, messages])
        here += drag_here(board, messages)
    page.context.close()
    return statistics.median(there), statistics.median(here)


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


def pegs(page, b, count):
    """The first pegs of a board over which the page has no buttons of its own."""
    free = [step for step in b.board.steps if step.moves == "free"]
    bare = "([x, y]) => document.elementFromPoint(x, y)?.closest('button') === null"
    return [step for step in free if page.evaluate(bare, b.pixel(*b.board.value(step.id)))][:count]


def selected_near(page, b, count=25):
    """Select one peg after the other. Gives how long each took from the press until its offers stood there, milliseconds."""
    spent = []
    for step in pegs(page, b, count):
        page.keyboard.press("Escape")
        page.keyboard.press("Escape")
        page.mouse.move(*b.pixel(*b.board.value(step.id)))
        page.wait_for_timeout(700)
        page.evaluate(WHEN_OFFERED)
        page.mouse.down()
        page.mouse.up()
        page.wait_for_function("() => window.offeredAfter !== undefined")
        spent.append(page.evaluate("offeredAfter"))
    return spent


def hovered_near(page, b, count=25):
    """Point at one peg after the other with a tool in the hand. Gives how long each took until it was said, milliseconds."""
    page.keyboard.press("Escape")
    page.click("[data-tool=midpoint]")
    b.settle()
    page.wait_for_timeout(1500)
    spent = []
    for step in pegs(page, b, count):
        page.mouse.move(600, 60)
        page.wait_for_timeout(700)
        page.evaluate(WHEN_SAID, b.board.name(step.id))
        page.mouse.move(*b.pixel(*b.board.value(step.id)))
        page.wait_for_function("() => window.saidAfter !== undefined")
        spent.append(page.evaluate("saidAfter"))
    page.keyboard.press("Escape")
    return spent


def asked_near(browser, server, address, delay):
    """What is selected and what is pointed at, behind a line that takes its time: how long each took, milliseconds."""
    line = SlowLine(server.port, delay)
    page = new_page(browser, server)
    page.goto(address.replace(server.address, line.address))
    b = BoardPage(page, server.address)._ready()
    page.wait_for_selector("#board[data-hand=near]", timeout=120_000, state="attached")
    page.wait_for_timeout(2000)
    found = selected_near(page, b), hovered_near(page, b)
    page.context.close()
    line.close()
    return found


def moving_near(browser, server, address, delay, seconds=8):
    """Run a board's motions behind a line that takes its time.

    Returns:
        How many frames a second the page has with nothing moved, and on how many a second something new is drawn with motions.
    """
    line = SlowLine(server.port, delay)
    page = new_page(browser, server)
    page.add_init_script(WATCH_FRAMES)
    page.goto(address.replace(server.address, line.address))
    BoardPage(page, server.address)._ready()
    page.wait_for_selector("#board[data-hand=near]", timeout=120_000, state="attached")
    page.wait_for_timeout(2000)
    rates = []
    for running in (False, True):
        if running:
            page.keyboard.press(".")
            page.wait_for_timeout(1000 * delay + 1500)
        page.evaluate("Object.assign(shown, {frames: 0, drawn: 0, since: performance.now()})")
        page.wait_for_timeout(seconds * 1000)
        found = page.evaluate("({...shown, now: performance.now()})")
        rates.append(1000 * found["drawn" if running else "frames"] / (found["now"] - found["since"]))
    page.keyboard.press(".")
    page.context.close()
    line.close()
    return rates


def rows():
    """The rows of the table about the hand in the browser."""
    with tempfile.TemporaryDirectory() as folder, sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path=CHROMIUM, args=ARGUMENTS)
        server = Server(Path(folder) / "near.sqlite", near=True)
        try:
            yield from _rows(browser, server, Path(folder))
        finally:
            browser.close()
            server.kill()


def _rows(browser, server, folder):
    teacher = Teacher(server)
    boards = (
        ("5 steps hang on the peg", "≤ 6 ms median, ≤ 12 ms p95", orchard(), teacher.upload("Orchard", orchard())),
        ("all 200 hang on the peg", "≤ 10 ms median, ≤ 16 ms p95", wreath(), teacher.upload("Wreath", wreath())),
        (
            "arcs, conics, tags and marks",
            "≤ 6 ms median, ≤ 12 ms p95",
            kitchen_garden(),
            teacher.upload("Kitchen garden", kitchen_garden()),
        ),
    )
    starts = near_starts(browser, server, boards[0][-1])
    for spent, which, reach in zip(
        starts, ("the first time in a browser", "the second time", "from memory that is kept"), (5, 2, 1.2), strict=True
    ):
        yield (
            f"the hand in the browser, from its thread's start to ready, {which}",
            f"≤ {reach:g} s",
            f"{statistics.median(spent) / 1000:.2f} s median of {len(spent)}, {max(spent) / 1000:.2f} s at most",
        )
    for what, reach, figure, address in boards:
        for delay in (0, 0.12, 0.3):
            trips = near_drag(browser, server, address, delay)
            yield (
                f"drag beside the drawing at {1000 * delay:.0f} ms of network, {what}",
                reach,
                f"{summary(trips)} ({len(trips)} positions)",
            )
        there, here = drag_ratio(browser, server, address, figure)
        yield (
            f"the hand in the browser by itself, as a ratio to the same in the server's Python, {what}",
            "≤ 4",
            f"{there / here:.1f}: {there:.1f} and {here:.1f} ms median",
        )
    for delay in (0.12, 0.3):
        spent = said_near(browser, server, teacher.upload("Orchard, again", orchard()), delay)
        yield (
            f"a sentence on a 200-step board at {1000 * delay:.0f} ms of network, from Enter to drawn",
            "p95 ≤ 50 ms",
            f"{summary(spent)} ({len(spent)} sentences)",
        )
    asked = asked_near(browser, server, teacher.upload("Orchard, asked", orchard()), 0.3)
    for what, spent in zip(("select to offers", "pointing with a tool to words"), asked, strict=True):
        yield f"{what}, on a 200-step board at 300 ms of network", "p95 ≤ 50 ms", f"{summary(spent)} ({len(spent)} things)"
    still, moving = moving_near(browser, server, teacher.upload("Three movers, far", three_movers()), 0.3)
    yield (
        "motion of three things with trails at 300 ms of network",
        "≥ 92% of the frames with nothing moved",
        f"{100 * moving / still:.0f}%: {moving:.1f} of {still:.1f} a second",
    )
    yield lone_row(browser, server, boards[0][-1], folder)


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
