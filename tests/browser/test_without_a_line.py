"""A line that is cut, or does not answer: one goes on, and what was done meanwhile is kept when it is back."""

from playwright.sync_api import expect

from .board_page import BoardPage
from .served import long_walk
from .slow_page import IS_FETCHED, START, SlowLineTest
from .test_said_list import PASTE

#: Notes whether a thing of a name is ever gone from the list of what is drawn, however soon it is back.
NOTE_WHETHER_IT_GOES = """(name) => {
  new MutationObserver(() => { window.wasGone ||= !document.querySelector(`li[data-label="${name}"]`); })
    .observe(document.body, { childList: true, subtree: true });
}"""


class WithoutALineTest(SlowLineTest):
    @long_walk
    def test_a_line_that_does_not_answer_is_taken_for_cut(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)")
        page = self.page
        self.line.hold()
        page.fill("#typed", "M is the midpoint of AB")
        page.press("#typed", "Enter")
        self.not_saved(1)  # it is done here, and again at the server: once, though it may come there by the first way as well
        page.fill("#typed", "N is the midpoint of MB")
        page.press("#typed", "Enter")
        self.not_saved(2)
        self.line.let_go()
        page.locator("#toast", has_text="2 changes are saved").wait_for()
        b.settle()
        self.assertEqual(sorted(step.name for step in b.board.steps), ["A", "B", "M", "N"])
        self.assertEqual(b.board.value(b.board.find("N")), (3, 0))

    def test_an_undo_that_is_not_answered_is_shown_and_taken_from_the_drawing_with_a_word(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)")
        page = self.page
        with self.held():  # so that the copy is first, however slow the machine is: what it has not done it cannot undo
            page.fill("#typed", "M is the midpoint of AB")
            page.press("#typed", "Enter")
            page.wait_for_selector('li[data-label="M"]', state="attached")
        b.settle()
        page.wait_for_timeout(1500)
        page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        page.focus("#drawing")
        self.line.hold()
        page.evaluate(NOTE_WHETHER_IT_GOES, "M")
        page.keyboard.press("Control+z")
        page.locator("#toast", has_text="Whether that was undone is seen").wait_for()
        page.wait_for_selector('li[data-label="M"]', state="attached")
        self.assertTrue(page.evaluate("window.wasGone"), "it was undone in the drawing before it was taken back")
        self.line.let_go()
        page.wait_for_selector("#saved:text-is('Saved')", state="attached")
        page.wait_for_timeout(2000)
        b.settle()
        self.assertEqual(sorted(b.names()), sorted(step.name for step in b.board.steps))

    def test_a_change_that_is_told_while_the_board_waits_comes_after_it(self):
        """What the server shows as the line comes back waits for the copy to end; a change that it tells meanwhile is newer."""
        self.opened("A = (0, 0)")
        told = self.page.evaluate("""async () => {
          const script = document.querySelector("script[type=module]").src.replace("page/teacher.js", "board/away.js");
          const { Away } = await import(script);
          const told = [];
          const view = { path: "no board", note() {}, line: { on() {}, deliver: (message) => told.push(message.t) } };
          const away = new Away(view);
          away.sending = true;
          away.heard({ t: "before" });
          away.waits({ t: "older board" });
          away.heard({ t: "of the older" });
          away.waits({ t: "board" });
          away.heard({ t: "changed" });
          away.settled();
          away.heard({ t: "after" });
          away.settled();
          return told;
        }""")
        self.assertEqual(told, ["board", "changed"])

    @long_walk
    def test_what_two_windows_of_one_browser_have_left_is_all_sent(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)")
        address = self.page.url
        other = self.page.context.new_page()
        other.goto(address)
        other.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        self.cut()
        other.wait_for_selector("#saved:text('No line')", state="attached")
        for window, words in ((self.page, "M is the midpoint of AB"), (other, "N = (1, 5)"), (other, "O is the midpoint of NB")):
            window.fill("#typed", words)
            window.press("#typed", "Enter")
            window.wait_for_function("(name) => document.getElementById('seen').textContent.includes(name)", arg=f"{words[0]} is")
        self.not_saved(1)
        other.wait_for_selector("#saved:text-is('Not saved yet: 2 changes')", state="attached")
        for window in (self.page, other):
            window.close()
        self.line.mend()
        self.page = b.page.context.new_page()
        self.page.goto(address)
        last = BoardPage(self.page, self.server.address)
        self.page.locator("#toast", has_text="saved").wait_for()
        self.page.wait_for_timeout(2000)
        last._ready()
        self.assertEqual(sorted(step.name for step in last.board.steps), ["A", "B", "M", "N", "O"])
        board = last.board
        self.assertEqual(board.value(board.find("O")), (2.5, 2.5))
        self.assertEqual(self.page.evaluate("Object.keys(localStorage).filter((name) => name.includes('unsent'))"), [])

    @long_walk
    def test_the_line_is_cut_while_something_is_held(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "the segment from A to B")
        page = self.page
        page.mouse.move(*b.pixel(4, 0))
        page.mouse.down()
        page.mouse.move(*b.pixel(5, 1), steps=4)
        page.wait_for_timeout(1000)
        self.line.cut()
        page.mouse.move(*b.pixel(6, 2), steps=4)
        page.mouse.up()
        page.wait_for_selector("#saved:text('Not saved yet: 1 change')", state="attached")
        self.line.mend()
        page.wait_for_selector("#saved:text-is('Saved')", state="attached")
        b.settle()
        self.assertEqual([round(part, 6) for part in b.value("B")], [6, 2], "what was held went on")

    def test_without_a_line_one_goes_on_and_nothing_is_lost(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "C = (1, 3)", "the polygon through A, B and C", "d is the length of AB")
        page = self.page
        for name in ("page/present.js", "bar/said_list.js"):  # what is opened later is fetched while there is a line
            page.wait_for_function(IS_FETCHED, arg=name)
        self.cut()
        page.click("#present")
        expect(page.locator("#present-bar")).to_be_visible()
        page.click("#present-stop")
        page.click("#typed")
        page.evaluate(PASTE, "P = (1, 1)\nQ is the midpoint of AP")
        expect(page.locator(".said-list")).to_contain_text("2 sentences, all read")
        page.keyboard.press("Escape")
        page.fill("#typed", "")
        b.drag((4, 0), (6, 2), drop=False)
        page.mouse.up()
        self.not_saved(1)
        page.fill("#typed", "M is the midpoint of AB")
        page.press("#typed", "Enter")
        self.not_saved(2)
        page.keyboard.press("Escape")
        page.click("[data-group=Lines]")
        page.click("[data-tool=segment]")
        for place in ((1, 3), (3, 1)):
            page.mouse.move(*b.pixel(*place), steps=2)
            page.mouse.down()
            page.mouse.up()
        self.not_saved(3)
        page.keyboard.press("Escape")
        page.focus("#drawing")
        page.keyboard.press("Control+z")
        self.not_saved(2)
        page.keyboard.press("Control+y")
        self.not_saved(3)
        for _ in range(3):
            page.keyboard.press("Control+z")
        page.wait_for_selector("#saved:text-is('No line: go on')", state="attached")
        page.keyboard.press("Control+z")
        self.page.locator("#toast", has_text="Without the line only what is not saved yet can be undone").wait_for()
        for count in (1, 2, 3):
            page.keyboard.press("Control+y")
            self.not_saved(count)
        self.assertEqual(b.value("B"), (4, 0), "the server knows nothing of it")
        self.mend(b, "3 changes are saved")
        self.assertEqual([round(part, 6) for part in b.value("B")], [6, 2])
        self.assertEqual([round(part, 6) for part in b.value("M")], [3, 1])
        self.assertEqual(b.board.steps[-1].does, "segment")
        # All of it can be undone as ever, and it goes on over the line.
        page.keyboard.press("Control+z")
        b.settle()
        self.assertEqual(b.board.steps[-1].does, "midpoint")
        b.say("N is the midpoint of BC")
        self.assertEqual(b.board.steps[-1].name, "N")

    @long_walk
    def test_what_was_left_is_sent_by_the_next_page_after_what_others_did(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "N is the midpoint of AB")
        page = self.page
        self.cut()
        page.fill("#typed", "k is the circle with centre N through A")
        page.press("#typed", "Enter")
        self.not_saved(1)
        address = page.url
        page.close()
        other = self.open_page()
        second = BoardPage(other, self.server.address)
        other.goto(address.replace(self.line.address, self.server.address))
        second._ready()
        second.say("Z = (-3, -3)")
        other.goto(self.server.address + "/")
        self.page = self.page.context.new_page()
        self.page.goto(self.server.address + "/")
        self.assertTrue(self.page.is_hidden("#unsent"), "another address keeps what is its own")
        self.line.mend()
        self.page.goto(self.line.address + "/")
        self.page.locator("#unsent", has_text="1 change of").wait_for()
        b = BoardPage(self.page, self.line.address)
        self.page.goto(address)
        self.page.locator("#toast", has_text="1 change is saved").wait_for()
        b.address = self.server.address
        b._ready()
        self.assertEqual([step.name for step in b.board.steps][-2:], ["Z", "k"])
        self.assertIn("k is the circle with centre N through A", b.working()[-1])
        self.page.goto(self.line.address + "/")
        self.page.locator("h1", has_text="Lessons").wait_for()
        self.assertTrue(self.page.is_hidden("#unsent"))
