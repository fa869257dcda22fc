"""A page that is shared by link is loaded again without a line, and goes on; nothing else is kept."""

from .board_page import BoardPage
from .served import BrowserTest, long_walk
from .slow_line import SlowLine
from .student_page import StudentPage

START = 90_000
KEPT = """async () => (await (await caches.open("shared by link")).keys()).map((one) => new URL(one.url).pathname)"""


class KeptTest(BrowserTest):
    near = True
    expected = ("ERR_SOCKET_NOT_CONNECTED", "ERR_EMPTY_RESPONSE", "ERR_FAILED", "ERR_INTERNET_DISCONNECTED", "status of 404")

    def setUp(self):
        super().setUp()
        self.line = SlowLine(self.server.port, 0)
        self.addCleanup(self.line.close)

    def shared(self, *sentences):
        """The link of a new lesson."""
        page = self.page
        b = BoardPage(page, self.server.address).start("On the bus")
        b.say(*sentences)
        page.click("#share")
        page.click(".kits >> text=Compass and straightedge")
        page.click("label:has-text('By link')")
        page.click(".share-now")
        link = page.locator("#share-link").input_value()
        page.keyboard.press("Escape")
        b.settle()
        return link.replace(self.server.address, self.line.address)

    def student(self, link):
        s = StudentPage(self.open_page(sign_in=None), self.server)
        s.visit(link)
        s.page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        for _ in range(200):
            kept = s.page.evaluate(KEPT)
            if any(path.startswith("/open/") and path.count("/") == 2 for path in kept):
                return s, kept
            s.page.wait_for_timeout(100)
        raise AssertionError(f"The page is not kept: {kept}")

    def said(self, s, words):
        s.page.wait_for_selector(f"#saved:text-is('{words}')", timeout=START, state="attached")

    @long_walk
    def test_a_student_goes_on_after_loading_the_page_again_without_a_line(self):
        link = self.shared("A = (-3, 0)", "B = (3, 0)", "the segment AB")
        s, kept = self.student(link)
        page = s.page
        self.assertTrue(any(path.endswith("/copy") for path in kept))
        self.assertEqual([path for path in kept if not path.startswith(("/static/", "/open/"))], [], "nothing else")
        self.line.cut()
        self.said(s, "No line: go on")
        page.reload()
        self.said(s, "No line: go on")
        self.assertIn("A", s.names())
        s.frame = page.locator("#drawing").bounding_box()
        s.tool("cp")
        s.click_point("A")
        s.click_point("B")
        self.said(s, "Not saved yet: 1 change")
        s.escape()
        s.drag((3, 0), (2, 1), drop=False)
        page.mouse.up()
        self.said(s, "Not saved yet: 2 changes")
        # Once more: what is not saved yet is there, and can be taken back.
        page.reload()
        self.said(s, "Not saved yet: 2 changes")
        self.assertIn("k", s.names())
        s.tool("cp")
        s.click_point("B")
        s.click_point("A")
        self.said(s, "Not saved yet: 3 changes")
        s.escape()
        page.keyboard.press("Control+z")
        self.said(s, "Not saved yet: 2 changes")
        self.line.mend()
        page.locator("#toast", has_text="2 changes are saved").wait_for()
        self.said(s, "Saved")
        s.settle()
        made = [step for step in s.board.steps if not s.board.is_given(step.id)]
        self.assertEqual([step.does for step in made], ["circle"])
        self.assertEqual([round(part, 6) for part in s.board.value(s.board.find("B"))], [2, 1])
        # With the line there the page comes from the server again, and a link that is no longer shared is no longer kept.
        page.reload()
        s._ready()
        self.page.click("#share")
        self.page.check("#sharing [value=private]")
        self.page.click(".share-now")
        self.page.locator("#share-link").wait_for(state="detached")
        page.goto(link)
        page.wait_for_selector("h1:text('Not found')")
        self.line.cut()
        self.assertEqual([path for path in page.evaluate(KEPT) if path.startswith("/open/")], [])


if __name__ == "__main__":
    import unittest

    unittest.main()
