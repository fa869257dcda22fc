"""A paragraph in the browser: pasted, looked at, put right, taken, dragged, undone as one; and said sentence by sentence."""

import math

from playwright.sync_api import expect

from .board_page import BoardPage
from .served import PATIENCE, BrowserTest, come_in

EXERCISE = (
    "Let ABC be a triangle.",
    "Let D, E and F be the midpoints of BC, CA and AB.",
    "Join AD, BE and CF.",
    "Prove that AD, BE and CF are concurrent.",
)
PASTE = """text => {
  const data = new DataTransfer();
  data.setData("text", text);
  document.getElementById("typed").dispatchEvent(new ClipboardEvent("paste", {clipboardData: data, bubbles: true, cancelable: true}));
}"""


class SaidListTest(BrowserTest):
    def test_an_exercise_is_pasted_looked_at_taken_dragged_and_undone_as_one(self):
        page, b = self.page, BoardPage(self.page, self.server.address).start("An exercise")
        page.click("#typed")
        page.evaluate(PASTE, "\n".join((*EXERCISE[:2], "Join AD, BE and wibble.", EXERCISE[3])))
        listed = page.locator(".said-list")
        expect(listed).to_be_visible()
        b.settle()
        self.assertEqual(b.working(), [], "it is looked at before it is taken")
        self.assertIn("4 sentences, 3 of them read", listed.inner_text())
        self.assertIn("D is the midpoint of BC", listed.inner_text())
        self.assertIn("“wibble” is no word", listed.inner_text())
        field = listed.locator("input").first
        expect(field).to_be_focused()
        field.fill(EXERCISE[2])
        field.press("Enter")
        expect(listed).to_contain_text("4 sentences, all read")
        b.settle()
        page.keyboard.press("Enter")
        expect(listed).to_be_hidden()
        b.settle()
        self.assertEqual(len(b.working()), 11)
        expect(page.locator("#typed")).to_be_focused()
        before = b.value("D")
        b.drag_point("A", (-4.5, -1.0))
        b.drag_point("B", (5.0, 0.5))
        self.assertNotEqual(b.value("D"), before)
        for _ in range(3):
            page.click("#undo")
            b.settle()
        self.assertEqual(b.working(), [], "all of it was one edit")

    def test_what_is_told_later_is_in_the_figure_and_a_remark_is_told_to_be_one(self):
        page, b = self.page, BoardPage(self.page, self.server.address).start("As a book has it")
        page.fill("#typed", "ABC is a triangle. AB = 5 m and BC = 6 m. Angle B = 50°. What kind of triangle is it? Explain why. Find AC.")
        page.press("#typed", "Enter")
        listed = page.locator(".said-list")
        expect(listed).to_contain_text("6 sentences, all read")
        rows = listed.locator("li")
        expect(rows.nth(1)).to_contain_text("Taken with “ABC is a triangle”.")
        expect(rows.nth(3)).to_contain_text("of no special sort")
        expect(rows.nth(4)).to_contain_text("said to the readers")
        page.click(".said-acts .main")
        expect(listed).to_be_hidden()
        b.settle()
        places = [b.value(name) for name in "ABC"]
        sides = [math.dist(one, other) for one, other in zip(places, (*places[1:], places[0]))]
        self.assertAlmostEqual(sides[0], 5, 6)
        self.assertAlmostEqual(sides[1], 6, 6)
        b.drag_point("A", (-4.0, -2.0))
        places = [b.value(name) for name in "ABC"]
        self.assertAlmostEqual(math.dist(*places[:2]), 5, 6, "also after a drag")
        for _ in range(2):
            page.click("#undo")
            b.settle()
        self.assertEqual(b.working(), [])

    def test_words_go_back_into_the_field_and_sentences_said_one_by_one_give_the_same(self):
        page, b = self.page, BoardPage(self.page, self.server.address).start("Dictated")
        page.fill("#typed", " ".join(EXERCISE[:2]))
        page.press("#typed", "Enter")
        expect(page.locator(".said-list")).to_be_visible()
        page.keyboard.press("Escape")
        expect(page.locator(".said-list")).to_be_hidden()
        self.assertEqual(page.input_value("#typed"), " ".join(EXERCISE[:2]))
        page.fill("#typed", "")
        b.say(*EXERCISE)
        at_once = ["A is a free point", "B is a free point", "C is a free point", "ABC is the polygon", "D is the midpoint of BC"]
        for line, wanted in zip(b.working(), at_once, strict=False):
            self.assertTrue(line.startswith(wanted), line)
        self.assertEqual(len(b.working()), 11)

    def test_on_a_phone_the_list_is_read_and_taken(self):
        context = self.browser.new_context(viewport={"width": 390, "height": 844}, has_touch=True, is_mobile=True)
        self.addCleanup(context.close)
        come_in(context, self.server)
        page = context.new_page()
        page.set_default_timeout(PATIENCE)
        b = BoardPage(page, self.server.address).start("On a phone")
        page.fill("#typed", " ".join(EXERCISE))
        page.press("#typed", "Enter")
        take = page.locator(".said-list .main")
        expect(take).to_be_in_viewport()
        take.tap()
        b.settle()
        self.assertEqual(len(b.working()), 11)
