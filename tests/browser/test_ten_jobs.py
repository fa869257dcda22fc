"""Jobs of a lesson, done by keys alone and heard, and by touch on a phone held both ways; how many presses each takes.

A key is one keydown. A job begins on an empty board with the focus on its first element, or with the figure that its name says is there.
No job may take more presses than it took before the line at the foot was laid out anew.
"""

import re
from pathlib import Path

from playwright.sync_api import expect

from .board_page import BoardPage
from .served import IS_WHOLE, PATIENCE, BrowserTest, come_in, long_walk

#: For each job, how many keys and taps it took before.
BEFORE = {
    "altitudes and their crossing": (109, 31), "ratio of two lengths": (39, 14), "claim and verdict": (14, None),
    "region and asking": (129, None), "motion": (36, None), "PDF": (26, None), "handout": (16, None),
    "CSV": (14, None), "share and open": (44, None),
}  # fmt: skip
LISTEN = """() => { window.said = []; new MutationObserver(() => window.said.push(document.getElementById("heard").textContent.trim()))
  .observe(document.getElementById("heard"), {childList: true}); }"""
FIGURE = ("A = (0, 0)", "B = (4, 0)", "C = (1, 3)")


class Presses:
    """Presses keys on a page, or taps it, and counts."""

    def __init__(self, board):
        self.b, self.page, self.count = board, board.page, 0
        self.page.evaluate(LISTEN)

    def keys(self, *keys):
        for key in keys:
            self.page.keyboard.press(key)
            self.count += 1
            self.b.settle()

    def type(self, *lines):
        """Lines, each ended with Enter."""
        for line in lines:
            self.page.keyboard.type(line)
            self.page.keyboard.press("Enter")
            self.count += len(line) + 1
            self.b.settle()

    def tap(self, selector):
        self.page.tap(selector)
        self.count += 1
        self.b.settle()

    def tap_at(self, x, y):
        self.page.touchscreen.tap(*self.b.pixel(x, y))
        self.count += 1
        self.b.settle()

    def to(self, selector):
        """Walk to an element with Tab; each press counts."""
        for _ in range(60):
            if self.page.evaluate("selector => document.activeElement.matches(selector)", selector):
                return
            self.keys("Tab")
        raise AssertionError(f"{selector} is not reached")

    def heard(self):
        self.page.wait_for_timeout(700)
        return " | ".join(self.page.evaluate("window.said"))


class TenJobsTest(BrowserTest):
    def job(self, name, *figure):
        """A board with a figure, the focus on the board."""
        b = BoardPage(self.page, self.server.address).start(name)
        b.say(*figure)
        self.page.focus("#drawing")
        return b, Presses(b)

    def fewer(self, name, presses, touch=False):
        self.assertLessEqual(presses.count, BEFORE[name][touch], name)

    def test_altitudes_and_their_crossing_by_keys(self):
        b, p = self.job("Altitudes")
        p.keys("/")
        p.type("A=(0,0)", "B=(6,0)", "C=(1,4)", "triangle ABC")
        p.keys("Escape", "[", "1", "/")
        p.type("orthocentre of ABC")
        self.assertEqual(len([text for text in b.working() if "altitude" in text]), 3)
        self.assertIn("ABC is the polygon through A, B, C. 1 makes the altitudes of ABC", p.heard())
        self.fewer("altitudes and their crossing", p)

    def test_ratio_claim_motion_by_keys(self):
        _, p = self.job("Ratio")
        p.keys("/")
        p.type("A=(0,0)", "B=(3,0)", "C=(0,4)", "r=AB/BC")
        self.assertIn("r is the value of AB/BC: 0.60", p.heard())
        self.fewer("ratio of two lengths", p)
        _, p = self.job("Claim", *FIGURE)
        p.keys("/")
        p.type("is AB = BC?")
        expect(self.page.locator("#seen")).to_contain_text("fails")
        self.assertIn("fails", p.heard())
        self.fewer("claim and verdict", p)
        _, p = self.job("Motion", *FIGURE, "k is the circle with centre A through B", "P is a point on k")
        p.keys("/")
        p.type("run P")
        self.page.wait_for_selector("#saved:text-is('Running…')")
        p.keys("Escape")
        self.page.wait_for_selector("#saved:text-is('Saved')")
        self.assertRegex(p.heard(), r"Running.*Stopped")
        self.fewer("motion", p)

    @long_walk
    def test_a_region_and_a_reveal_by_keys(self):
        _, p = self.job("Region", *FIGURE)
        p.keys("/")
        p.type("at most 3 from A", "nearer to A than to B", "the region where j and j_1 hold", "is C in z?")
        self.assertIn("C is not in z", p.heard())
        self.assertIn("no:", p.heard().lower())
        self.fewer("region and asking", p)
        b, p = self.job("Reveal", *FIGURE, "AB is the segment from A to B")
        p.keys("/")
        p.type("length of AB", "a button that reveals AB")
        self.assertIn("reveal", b.working()[-1])

    def file_by_keys(self, name, kind, letters):
        """The dialog opened, a kind chosen by its first letters, and Enter in the field after it."""
        _, p = self.job(name, *FIGURE, "the length of AB")
        self.page.focus(".head-home")
        p.to("#files")
        p.keys("Enter")
        self.page.wait_for_selector("#out-form")
        p.to("#out-form [name=kind]")
        p.keys(*letters)
        self.assertEqual(self.page.input_value("#out-form [name=kind]"), kind)
        return p

    @long_walk
    def test_paper_and_files_by_keys(self):
        for name, kind, letters, begins in (("PDF", "pdf", "", b"%PDF"), ("CSV", "csv", "r", b"")):
            p = self.file_by_keys(name, kind, letters)
            p.keys("Tab")
            with self.page.expect_download() as download:
                p.keys("Enter")
            self.assertTrue(Path(download.value.path()).read_bytes().startswith(begins))
            self.assertGreater(Path(download.value.path()).stat().st_size, 10)
            self.fewer(name, p)
        p = self.file_by_keys("handout", "print", "a")
        p.keys("Tab")
        with self.page.expect_popup() as handout:
            p.keys("Enter")
        expect(handout.value).to_have_title(re.compile("Handout"))
        self.fewer("handout", p)

    def test_sharing_by_keys(self):
        _, p = self.job("Share", *FIGURE)
        self.page.focus(".head-home")
        p.to("#share")
        p.keys("Enter")
        self.page.wait_for_selector("[name=shared]")
        p.to("[name=shared]")
        p.keys("ArrowDown")
        p.to(".share-now")
        p.keys("Enter")
        link = self.page.locator("#share-link")
        expect(link).to_be_visible()
        self.assertIn("By link", p.heard())
        self.fewer("share and open", p)
        student = self.open_page(sign_in=None)
        student.goto(link.input_value())
        expect(student.locator("#seen li[data-kind=point]")).to_have_count(3)

    def touch(self, width, height):
        context = self.browser.new_context(viewport={"width": width, "height": height}, has_touch=True)
        self.addCleanup(context.close)
        come_in(context, self.server)
        page = context.new_page()
        page.set_default_timeout(PATIENCE)
        b = BoardPage(page, self.server.address).start(f"Touch {width}")
        return b, Presses(b)

    def test_altitudes_and_a_ratio_by_touch_on_a_phone_held_both_ways(self):
        for width, height in ((390, 844), (844, 390))[: 2 if IS_WHOLE else 1]:
            b, p = self.touch(width, height)
            p.tap("[data-group=Shapes]")
            p.tap("[data-tool=polygon]")
            for place in ((-2, -1), (2, -1), (0, 2), (-2, -1)):
                p.tap_at(*place)
            p.tap_at(0, -0.4)
            p.tap("#onward [data-key='1']")
            self.assertEqual(len([text for text in b.working() if "altitude" in text]), 3, width)
            altitudes = [step for step in b.board.steps if step.does == "altitude"]
            b.escape()
            p.tap("[data-group=Triangles]")
            p.tap("[data-tool=orthocentre]")
            for place in ((-2, -1), (2, -1), (0, 2)):
                p.tap_at(*place)
            self.assertIn("orthocentre", b.working()[-1])
            self.assertTrue(altitudes)
            self.fewer("altitudes and their crossing", p, touch=True)
            b.page.context.close()
