"""Two windows at one board, each behind a line that is slow and is cut now and then, used by mouse and keys: what was seen to be made is
never lost, and in the end both show what is kept."""

import random
import tempfile
import time
from pathlib import Path

from playwright.sync_api import TimeoutError as Overdue
from playwright.sync_api import sync_playwright

from tests.browser.board_page import BoardPage
from tests.browser.served import ARGUMENTS, CHROMIUM, Server, come_in
from tests.browser.slow_line import SlowLine

ACTS = 24
#: How likely a line is cut before an act, and mended where it is cut.
CUT, MENDED = 0.12, 0.3
SEEN = "[...document.querySelectorAll('#seen > li')].map((line) => line.textContent)"


class Window:
    """A window at the board, behind a line of its own."""

    def __init__(self, browser, server, chance, made, undoes):
        """
        Args:
            made: what was seen to be made, in any window.
            undoes: whether something is undone here, too.
        """
        self.undoes = undoes
        self.line = SlowLine(server.port, chance.choice((0.0, 0.1, 0.3)))
        self.chance, self.problems, self.made = chance, [], made
        context = browser.new_context(viewport={"width": 1280, "height": 800})
        come_in(context, server)
        self.page = context.new_page()
        self.page.on("pageerror", lambda error: self.problems.append(str(error)))
        self.b = BoardPage(self.page, self.line.address)

    def start(self, address=None):
        if address is None:
            self.b.start("Two windows")
            self.b.say("A = (0, 0)", "B = (4, 0)", "C = (1, 3)", "the polygon through A, B and C")
        else:
            self.page.goto(self.line.address + address)
            self.b._ready()
        left, low, right, high = self.b.board.settings.view
        self.view = (left, low, right, high)

    def pixel(self, x, y):
        left, low, right, high = self.view
        frame = self.b.frame
        zoom = min(frame["width"] / (right - left), frame["height"] / (high - low))
        middle = frame["x"] + frame["width"] / 2, frame["y"] + frame["height"] / 2
        return middle[0] + (x - (left + right) / 2) * zoom, middle[1] - (y - (low + high) / 2) * zoom

    def seen(self):
        return self.page.evaluate(SEEN)

    def act(self, number):
        """Something that a person does."""
        page, chance = self.page, self.chance
        what = chance.choice(("say", "say", "drag", "drag", "nudge", "undo and redo" if self.undoes else "say", "wait"))
        if what == "say":
            name = f"X{number}"
            page.fill("#typed", f"{name} = ({chance.randint(-5, 5)}, {chance.randint(-4, 4)})")
            page.press("#typed", "Enter")
            try:
                page.wait_for_function(f"(name) => {SEEN}.some((line) => line.startsWith(name + ' '))", arg=name, timeout=1500)
                self.made.append(name)
            except Overdue:
                page.fill("#typed", "")  # it was refused, or its answer was under way as the line was cut
        elif what == "drag":
            place = lambda: (chance.uniform(-5, 5), chance.uniform(-4, 4))
            page.mouse.move(*self.pixel(*chance.choice(((0, 0), (4, 0), (1, 3), place()))))
            page.mouse.down()
            page.mouse.move(*self.pixel(*place()), steps=chance.randint(1, 6))
            if chance.random() < 0.1:
                self.cut_or_mend(1.0)
            page.mouse.move(*self.pixel(*place()), steps=chance.randint(1, 6))
            page.mouse.up()
        elif what == "nudge":
            page.keyboard.press("Escape")
            page.focus("#drawing")
            page.keyboard.press("]")
            page.keyboard.press("ArrowRight")
        elif what == "undo and redo":
            page.focus("#drawing")
            page.keyboard.press("Control+z")
            page.wait_for_timeout(chance.choice((50, 500)))
            page.keyboard.press("Control+y")
        else:
            page.wait_for_timeout(chance.randint(100, 1500))

    def cut_or_mend(self, likely):
        if self.line.is_cut and self.chance.random() < max(likely, MENDED):
            self.line.mend()
            # Now and then it is there for a moment only, while what was done is being sent.
            while self.chance.random() < 0.4:
                self.page.wait_for_timeout(self.chance.choice((20, 150, 400, 900)))
                self.line.cut()
                self.page.wait_for_timeout(self.chance.choice((50, 600)))
                self.line.mend()
        elif not self.line.is_cut and self.chance.random() < likely:
            self.line.cut()

    def settle(self):
        """The line is there, and everything is saved."""
        self.line.mend()
        self.page.wait_for_selector("#saved:text-is('Saved')", state="attached", timeout=60_000)
        self.page.wait_for_timeout(700)
        self.page.wait_for_selector("#saved:text-is('Saved')", state="attached", timeout=60_000)
        self.b.settle()

    def close(self):
        self.page.context.close()
        self.line.close()


def one_round(browser, server, chance):
    made: list[str] = []
    # Where the line is cut between an undo and its redo, something stays undone, of whichever window: then only what is shown is compared.
    undoes = chance.random() < 0.4
    one, other = (Window(browser, server, chance, made, undoes) for _ in "ab")
    one.start()
    other.start(one.page.url.removeprefix(one.line.address))
    windows = (one, other)
    for window in windows:
        window.page.wait_for_selector("#board[data-hand=near]", state="attached", timeout=90_000)
    cuts = 0
    for number in range(ACTS):
        for window in windows:
            before = window.line.is_cut
            window.cut_or_mend(CUT)
            cuts += window.line.is_cut and not before
        chance.choice(windows).act(number)
    for window in windows:
        window.settle()
    for window in windows:
        window.settle()
        assert not window.problems, window.problems
    one.b.address = server.address
    kept = {one.b.board.name(step.id) for step in one.b.board.steps}
    lost = set() if undoes else set(made) - kept
    assert not lost, f"{lost} were seen and are not kept: {kept}"
    shown = [sorted(window.seen()) for window in windows]
    assert shown[0] == shown[1], f"two windows show something else: {[line for line in shown[0] if line not in shown[1]]}"
    for window in windows:
        window.close()
    return cuts


def campaign(seconds: float, chance: random.Random) -> str:
    """Go on until the time is over. Returns what was done."""
    with tempfile.TemporaryDirectory() as folder, sync_playwright() as playwright:
        server = Server(Path(folder) / "lessons.sqlite", near=True)
        browser = playwright.chromium.launch(executable_path=CHROMIUM, args=ARGUMENTS)
        try:
            end, rounds, cuts = time.monotonic() + seconds, 0, 0
            while time.monotonic() < end:
                cuts += one_round(browser, server, chance)
                rounds += 1
        finally:
            server.kill()
    return f"{rounds} rounds of {ACTS} acts in two windows, {cuts} cuts: nothing lost, and both show what is kept"
