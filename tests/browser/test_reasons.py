"""Why it is so, in the browser: a claim made, its lines by mouse and by keys, covered, one after another, on the board."""

from playwright.sync_api import expect

from .board_page import BoardPage
from .served import BrowserTest, long_walk

FIGURE = ("A = (-6, -3)", "B = (5, -3.6)", "C = (-1, 3)", "M is the midpoint of AB", "N is the midpoint of AC", "P is the midpoint of BC")


class ReasonsTest(BrowserTest):
    def setUp(self):
        super().setUp()
        self.b = BoardPage(self.page, self.server.address).start("Why")
        self.b.say(*FIGURE, "is angle NPM = angle BAC?")
        self.b.open_drawer("claims")
        expect(self.page.locator("#panel .verdict").first).to_contain_text("proved")
        self.page.click("text=Why?")
        self.lines = self.page.locator(".reason-line")
        expect(self.page.locator(".reason-end")).to_have_text("So angle(NPM) = angle(BAC).")

    def strokes(self):
        """How much is drawn on the board just now: its picture as a long text."""
        self.b.settle()
        self.page.wait_for_timeout(150)
        return self.page.evaluate("document.getElementById('drawing').toDataURL()")

    def test_lines_by_mouse_and_by_keys(self):
        b, page = self.b, self.page
        self.assertGreaterEqual(self.lines.count(), 4)
        before = b.working()
        plain = self.strokes()
        self.lines.nth(0).hover()
        expect(page.locator("#seen li.lit").first).to_be_attached()
        with_first = self.strokes()
        self.assertNotEqual(with_first, plain)
        first = set(b.lit())
        self.assertEqual(len(first), 3, "the midpoint and its ends")
        self.page.locator(".reason-line.step").last.hover()
        self.assertNotEqual(self.strokes(), with_first)
        self.assertNotEqual(set(b.lit()), first)
        self.lines.nth(0).focus()
        page.keyboard.press("ArrowDown")
        expect(self.lines.nth(1)).to_be_focused()
        page.keyboard.press("ArrowUp")
        page.keyboard.press("ArrowUp")
        expect(self.lines.nth(0)).to_be_focused()
        page.locator("#drawing").focus()
        page.mouse.move(300, 560)
        self.assertEqual(b.working(), before, "nothing was made of it")

    def test_what_is_chosen_before_its_script_is_here_is_done_when_it_is(self):
        page = self.open_page()
        b = BoardPage(page, self.server.address)
        page.route("**/drawer/reason.js*", lambda route: (page.wait_for_timeout(1500), route.continue_()))
        page.goto(self.page.url)
        b._ready()
        b.open_drawer("claims")
        page.click("text=Why?")
        page.select_option("#reason-way", "steps")
        expect(page.locator("#reason-steps > li:visible")).to_have_count(0)
        page.click("#next-reason")
        expect(page.locator("#reason-steps > li:visible")).to_have_count(1)

    def test_one_after_another_and_under_covers(self):
        page = self.page
        page.select_option("#reason-way", "steps")
        steps = page.locator("#reason-steps > li:visible")
        expect(steps).to_have_count(0)
        page.click("#next-reason")
        expect(steps).to_have_count(1)
        expect(steps.first).to_be_focused()
        while page.locator("#next-reason").is_visible():
            page.keyboard.press("Enter")
        expect(page.locator(".reason-end")).to_be_visible()
        page.select_option("#reason-way", "reasons")
        covers = page.locator(".under-cover")
        count = covers.count()
        self.assertEqual(count, page.locator("#reason-steps > li").count())
        covers.first.click()
        expect(covers).to_have_count(count - 1)
        page.locator("#reason-steps > li").nth(1).focus()
        page.keyboard.press("Enter")
        expect(covers).to_have_count(count - 2)
        self.b.say("Q = (0, -5)")  # the panel is put in anew
        self.page.wait_for_timeout(600)
        expect(covers).to_have_count(count - 2)
        page.select_option("#reason-way", "statements")
        expect(covers).to_have_count(count)

    def test_on_the_board_and_back(self):
        b, page = self.b, self.page
        before = b.working()
        page.click(".puts summary")
        page.click("text=one after another, by reveals")
        b.settle()
        expect(page.locator("#seen li", has_text="is the reveal of").first).to_be_attached()
        self.assertGreater(len(b.working()), len(before))
        page.click("text=Undo")
        b.settle()
        self.assertEqual(b.working(), before)

    @long_walk
    def test_it_steps_back_when_the_figure_lies_otherwise_and_comes_again(self):
        b, page = BoardPage(self.page, self.server.address).start("Arcs"), self.page
        b.say("A = (-4, -2)", "B = (4, -2)", "C = (1, 3)", "c is the arc through A, C and B", "D is a point on c at 0.3")
        b.say("angle ACB = angle ADB?")
        b.open_drawer("claims")
        expect(page.locator("#panel .verdict").first).to_contain_text("proved")
        page.locator("[data-why]").first.focus()
        page.keyboard.press("Enter")
        reason = page.locator(".reason")
        expect(reason).to_contain_text("C and E are on one side of AB")
        b.drag_point("C", (0.5, -1))
        expect(reason).to_contain_text("Here it runs differently")
        expect(reason).not_to_contain_text("one side of AB")
        page.locator(".reason [data-why]").click()
        expect(page.locator(".reason-end")).to_be_visible()
        b.drag_point("C", (1, 3))
        expect(reason).to_contain_text("C and E are on one side of AB")
