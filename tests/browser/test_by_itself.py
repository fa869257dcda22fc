"""A page that works by itself: made in the dialog, opened from disk, used by mouse, keys and touch, with no request to anything."""

import re
import tempfile
import time
import unittest
from pathlib import Path

from tests.core.demo_answers import DEMO

from .board_page import BoardPage
from .served import BrowserTest, long_walk

#: How long a page may take until its board can be moved, seconds: five on a machine that does nothing else.
READY = 40
#: How long the runtime may take to start on the teacher's page, and a page to be made there, milliseconds.
START = 120_000
#: Notes which part of the plane is shown.
NOTE_THE_VIEW = """
const post = Worker.prototype.postMessage;
Worker.prototype.postMessage = function (message, ...more) {
  if (message.text?.startsWith('{"t":"view"')) window.shown = JSON.parse(message.text).view;
  return post.call(this, message, ...more);
};
"""
#: Whether the list of what is seen says something that fits a pattern.
SAYS = "(pattern) => new RegExp(pattern).test(document.getElementById('seen').textContent)"
TRIANGLE = (
    "A = (0, 0)", "B = (4, 0)", "C = (1, 3)", "the polygon through A, B, C", "d is the length of AB",
    "r is a dial from 0 to 10 in steps of 1 at 3", "k is the circle with centre C and radius r", "P is a point on k",
    "m is the motion of P, to and fro, in 2 seconds", "e is the ellipse with foci A and B through C",
)  # fmt: skip


class Alone:
    """Drives a page from disk."""

    def __init__(self, page, target):
        self.page = page
        began = time.monotonic()
        page.goto(target.as_uri())
        page.wait_for_selector("#seen li", state="attached")
        self.seen_after = time.monotonic() - began
        page.wait_for_selector("body[data-ready]", timeout=READY * 1000, state="attached")
        self.ready_after = time.monotonic() - began
        page.wait_for_function("window.shown")

    def pixel(self, x, y):
        left, low, right, high = self.page.evaluate("window.shown")
        frame = self.page.locator("#drawing").bounding_box()
        return frame["x"] + (x - left) / (right - left) * frame["width"], frame["y"] + (high - y) / (high - low) * frame["height"]

    def drag(self, start, stop):
        self.page.mouse.move(*self.pixel(*start))
        self.page.mouse.down()
        self.page.mouse.move(*self.pixel(*stop), steps=6)
        self.page.mouse.up()

    def click(self, x, y):
        self.page.mouse.move(*self.pixel(x, y), steps=2)
        self.page.mouse.down()
        self.page.mouse.up()

    def says(self, pattern):
        """Wait until what is seen is told so."""
        self.page.wait_for_function(SAYS, arg=pattern)

    def says_not(self, pattern):
        self.page.wait_for_function(f"(pattern) => !({SAYS})(pattern)", arg=pattern)


class ByItselfTest(BrowserTest):
    near = True

    def setUp(self):
        super().setUp()
        self.folder = Path(self.enterContext(tempfile.TemporaryDirectory()))
        self.asked = []

    def begun(self, *sentences, kit=None):
        """A lesson with a board."""
        b = BoardPage(self.page, self.server.address).start("Beside the wall")
        b.say(*sentences)
        if kit:
            self.page.click("#share")
            self.page.click(f"input[name=kit][value={kit}]")
            b.settle()
            self.page.keyboard.press("Escape")
        return b

    def saved(self, ready=True):
        """What is on the page, saved as one that works by itself. Returns the file."""
        if ready:
            self.page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        self.page.click("#files")
        self.page.select_option("#out-form [name=kind]", "page")
        with self.page.expect_download(timeout=START) as download:
            self.page.click("#out-save")
        target = self.folder / download.value.suggested_filename
        download.value.save_as(target)
        self.page.locator("#out-told", has_text=re.compile(r"Saved as .*\.html: \d\.\d MB")).wait_for()
        return target

    def opened(self, target, **how):
        """A page from disk in a browser that knows nothing. Notes what it asks of anybody."""
        context = self.browser.new_context(**({"viewport": {"width": 1280, "height": 800}} | how))
        self.addCleanup(context.close)
        page = context.new_page()
        errors = []
        self.addCleanup(lambda: self.assertEqual(errors, []))
        page.on("pageerror", lambda error: errors.append(str(error)))
        page.on("console", lambda said: errors.append(said.text) if said.type == "error" else None)
        page.on("request", lambda request: None if request.url.startswith(("data:", "blob:", "file:")) else self.asked.append(request.url))
        page.add_init_script(NOTE_THE_VIEW)
        return Alone(page, target)

    def test_a_board_to_build_on_by_mouse_and_keys(self):
        self.begun(*TRIANGLE, kit="everything")
        target = self.saved()
        self.assertEqual(target.name, "Beside-the-wall.html")
        self.assertLess(target.stat().st_size, 9_000_000)
        alone = self.opened(target)
        page = alone.page
        self.assertLess(alone.seen_after, alone.ready_after, "the figure is there before it can be moved")
        alone.says("AB = 4.00|d = 4.00")
        alone.drag((4, 0), (6, 0))
        alone.says("d = 6.00")
        page.keyboard.press("Control+z")
        alone.says("d = 4.00")
        page.fill("#typed", "M is the midpoint of AB")
        page.press("#typed", "Enter")
        alone.says("M is the midpoint of AB")
        page.keyboard.press("Escape")
        page.click("[data-group=Lines]")
        page.click("[data-tool=segment]")
        alone.click(1, 3)
        page.locator("#sentence", has_text=re.compile(r"from\s*C")).wait_for()
        alone.click(2, 0)
        alone.says("CM is the segment from C to M|segment from C to M")
        page.focus("#dials input")
        page.keyboard.press("ArrowRight")
        alone.says("r = 4")
        page.focus("#drawing")
        page.keyboard.press(".")
        page.locator("#saved", has_text="Running").wait_for()
        page.wait_for_timeout(500)
        page.keyboard.press(".")
        page.locator("#saved", has_text="Saved").wait_for()
        # What was done is there again, and the teacher's board is one button away.
        page.reload()
        page.wait_for_selector("body[data-ready]", timeout=READY * 1000, state="attached")
        alone.says("M is the midpoint of AB")
        alone.says("r = 4")
        page.click("#reset")
        alone.says_not("midpoint")
        alone.says("r = 3")
        page.fill("#typed", "the places nearer to A than to B")
        page.press("#typed", "Enter")
        alone.says("the places nearer to A than to B")
        self.assertEqual(self.asked, [], "nothing is asked of anybody")

    def test_a_challenge_is_judged_without_anybody_to_ask(self):
        BoardPage(self.page, self.server.address).open("Build it by hand")
        alone = self.opened(self.saved())
        page = alone.page
        page.locator(".tabs .on", has_text="The bench half-way").wait_for()
        judged = page.locator("#judged")
        page.click("#is-right")
        judged.filter(has_text="Nothing of yours is on the board yet").wait_for()
        for line in DEMO["The bench half-way"].splitlines():
            page.fill("#typed", line)
            page.press("#typed", "Enter")
            page.wait_for_function("() => !document.getElementById('typed').value")
        page.click("#is-right")
        judged.filter(has_text="Right: point X is what is asked for").wait_for()
        self.assertEqual(self.asked, [], "nothing is asked of anybody")

    @long_walk
    def test_a_lesson_on_a_phone_by_touch(self):
        b = BoardPage(self.page, self.server.address).open("The pond and its mirror")
        self.assertTrue(b.board)
        alone = self.opened(self.saved(), viewport={"width": 390, "height": 844}, has_touch=True, is_mobile=True)
        page = alone.page
        page.tap("text=1 Where they land")
        page.locator("[aria-pressed=true]", has_text="1 Where they land").wait_for()
        page.tap("#story-next")
        page.locator("[aria-pressed=true]", has_text="2 Straight across").wait_for()
        place = alone.pixel(*b.value("A"))
        page.touchscreen.tap(*place)
        page.locator("#sentence", has_text="A is a free point").wait_for()
        page.locator("#undo").wait_for()
        self.assertTrue(page.is_disabled("#undo"))
        page.focus("#drawing")
        page.keyboard.press("ArrowRight")
        page.locator("#undo:enabled").wait_for()
        page.tap(".tabs a:nth-child(2)")
        page.wait_for_selector("body[data-ready]", timeout=READY * 1000, state="attached")
        page.locator("h1", has_text="Two mirrors").wait_for(state="attached")
        page.locator("#undo:disabled").wait_for()
        page.tap(".tabs a:nth-child(1)")
        page.wait_for_selector("body[data-ready]", timeout=READY * 1000, state="attached")
        # What was revealed and moved on the first board is so still.
        page.locator("[aria-pressed=true]", has_text="2 Straight across").wait_for()
        page.tap("#reset")
        page.locator("[aria-pressed=false]", has_text="2 Straight across").wait_for()
        self.assertEqual(self.asked, [])

    @long_walk
    def test_covers_and_a_browser_that_keeps_nothing(self):
        """Made where nothing runs beside the drawing: the page has the sources, and compiles them itself."""
        b = self.begun("A = (0, 0)", "B = (4, 0)", "d is the length of AB")
        ids = {b.board.name(step.id): step.id for step in b.board.steps}
        self.page.evaluate(
            "(id) => line.socket.send(JSON.stringify({t: 'edit', edit: {kind: 'restyle', ids: [id], look: {cover: true}}}))", ids["d"]
        )
        b.settle()
        self.page.evaluate("delete document.getElementById('board').dataset.near")
        target = self.saved(ready=False)
        text = target.read_text("utf-8")
        target.write_text(text.replace("localStorage", "nowhere"), "utf-8")
        alone = self.opened(target)
        alone.says("covered")
        alone.says_not("4.00")
        alone.drag((4, 0), (5, 0))
        alone.page.locator("#undo:enabled").wait_for()
        alone.page.focus("#drawing")
        for _ in range(3):
            alone.page.keyboard.press("]")
        alone.page.keyboard.press("Enter")
        alone.says("5.00")
        self.assertEqual(self.asked, [])


if __name__ == "__main__":
    unittest.main()
