"""The hand beside the drawing: with the server far away a drag answers at once, and what it comes to is what the server keeps."""

import math
import time

from playwright.sync_api import expect

from tests.near.test_near import ELLIPSES, THE_WAY, on_the_way

from .board_page import BoardPage
from .served import long_walk
from .slow_page import IS_FETCHED, START, SlowLineTest


class NearTest(SlowLineTest):
    def test_a_drag_answers_at_once_and_the_server_keeps_what_was_seen(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "C = (1, 3)", "the circle through A, B and C", "the length of AB")
        page = self.page
        page.mouse.move(*b.pixel(4, 0))
        page.mouse.down()
        places = [b.pixel(4 + step / 12, step / 12) for step in range(1, 25)]
        for place in places[:12]:
            page.mouse.move(*place)
        with self.held():
            page.evaluate("drawn.length = 0")
            for place in places[12:15]:
                page.mouse.move(*place)
                page.wait_for_timeout(16)
            page.wait_for_function("() => drawn.length")
        for place in places[15:]:
            page.mouse.move(*place)
        page.mouse.up()
        b.settle()
        self.assertEqual([round(part, 6) for part in b.value("B")], [6, 2])
        self.assertIn("6.32", " ".join(b.tags()))
        # With a tool in the hand the pointer says at once what a click would take, the second gap as well as the first.
        page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        page.keyboard.press("Escape")
        page.click("[data-tool=midpoint]")
        b.settle()
        for words, place in (("A", (0, 0)), ("C", (1, 3))):
            page.mouse.move(*b.pixel(-3, -2))
            page.wait_for_timeout(900)
            with self.held():
                page.mouse.move(*b.pixel(*place))
                page.locator("#pointer-words", has_text=f"point {words}").wait_for()
            page.mouse.down()
            page.mouse.up()
            b.settle()
        self.assertIn("is the midpoint of AC", "\n".join(b.working()))

    def test_a_crossing_stays_where_it_was_followed_to(self):
        """The server hears of few places on the way, from which it would follow it elsewhere."""
        b = self.opened(*ELLIPSES)
        page = self.page
        page.mouse.move(*b.pixel(*THE_WAY[0]))
        page.mouse.down()
        for place in on_the_way():
            page.mouse.move(*b.pixel(*place))
            page.wait_for_timeout(8)
        page.mouse.up()
        b.settle()
        self.assertLess(math.dist(b.value("X"), (2.6, 2.4)), 0.5)

    def test_motions_run_beside_the_drawing_and_where_they_stop_is_kept(self):
        b = self.opened(
            "A = (0, 0)", "B = (6, 0)", "C = (1, 3)", "t is a dial from 0 to 1 in steps of 0.01 at 0.2",
            "P is the point t of the way from A to B", "m is the motion of t, to and fro, in 4 seconds",
        )  # fmt: skip
        page, start = self.page, b.value("t")
        page.keyboard.press("Escape")
        page.mouse.click(*b.pixel(-3, -2))
        with self.held():
            page.evaluate("drawn.length = 0")
            page.keyboard.press(".")
            page.wait_for_function("() => drawn.length > 20")
            # Something else is dragged meanwhile, at once.
            page.mouse.move(*b.pixel(1, 3))
            page.mouse.down()
            for step in range(1, 9):
                page.mouse.move(*b.pixel(1 + step / 8, 3))
                page.wait_for_timeout(16)
        page.mouse.up()
        b.settle()
        self.assertEqual([round(part, 6) for part in b.value("C")], [2, 3])
        self.assertEqual(b.value("t"), start, "the motion still runs")
        page.wait_for_timeout(1500)  # the copy is made anew, and it runs on there
        with self.held():
            page.evaluate("drawn.length = 0")
            page.wait_for_function("() => drawn.length > 20")
            page.keyboard.press(".")
            page.wait_for_function("() => document.querySelector('#saved').textContent !== 'Running…'")
        b.settle()
        stopped = b.value("t")
        self.assertNotEqual(stopped, start)
        page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        page.keyboard.press("Control+z")
        b.settle()
        self.assertEqual(b.value("t"), start)
        # It is stopped by a sentence too, which the server reads.
        page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        page.mouse.click(*b.pixel(-3, -2))
        page.keyboard.press(".")
        page.locator("#saved", has_text="Running").wait_for()
        page.wait_for_timeout(600)
        b.say("stop")
        page.locator("#saved", has_text="Saved").wait_for()
        b.settle()
        self.assertNotEqual(b.value("t"), start)

    @long_walk
    def test_of_a_drag_at_which_nobody_else_looks_the_server_hears_little(self):
        self.line.delay = 0.0
        b = self.opened("A = (0, 0)", "B = (4, 0)", "M is the midpoint of AB")
        page = self.page
        page.evaluate("""() => {
            window.told = 0;
            const send = WebSocket.prototype.send;
            WebSocket.prototype.send = function (text) { told += text.startsWith('{"t":"drag"'); return send.call(this, text); };
        }""")

        def told_in_a_drag(x):
            page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
            page.mouse.move(*b.pixel(x, 0))
            page.mouse.down()
            began = page.evaluate("told = 0, performance.now()")
            for step in range(60):
                page.mouse.move(*b.pixel(x + step / 60, step / 40))
                page.wait_for_timeout(25)
            told, seconds = page.evaluate("(began) => [told, (performance.now() - began) / 1000]", began)
            for step in range(3):
                page.mouse.move(*b.pixel(x, -step / 10))
            page.mouse.move(*b.pixel(x, 0))
            page.mouse.up()
            b.settle()
            return told, seconds

        told, seconds = told_in_a_drag(4)
        self.assertLessEqual(told, 1 + seconds / 2)
        self.assertEqual([round(part, 6) for part in b.value("B")], [4, 0], "where it was let go")
        other = page.context.new_page()
        other.goto(page.url)
        expect(other.locator("#saved")).to_have_text("Saved", timeout=30_000)
        page.wait_for_timeout(1500)
        told, seconds = told_in_a_drag(4)
        self.assertGreater(told, 2 + seconds / 2)

    @long_walk
    def test_what_is_only_asked_is_answered_at_once_and_the_server_has_the_last_word(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "C = (1, 3)", "the polygon through A, B and C")
        page = self.page
        page.keyboard.press("Escape")
        page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        page.wait_for_timeout(3000)
        is_another = "(before) => document.getElementById('onward-choices').innerText !== before"
        for name in "ABC":
            page.mouse.move(*b.pixel(*b.value(name)))
            page.wait_for_timeout(100)
            before = page.inner_text("#onward-choices")
            with self.held():
                page.mouse.down()
                page.mouse.up()
                page.wait_for_function(is_another, arg=before)
                self.assertTrue(page.locator("#onward-choices button").count(), name)
        offered = page.inner_text("#onward-choices")
        b.settle()
        self.assertEqual(page.inner_text("#onward-choices"), offered, "the server says the same")
        with self.held():
            page.fill("#typed", "the midp")
            page.wait_for_selector("#ways li")
        b.settle()
        self.assertIn("midpoint", page.inner_text("#ways"))
        page.keyboard.press("Escape")
        # The offer that was shown by the copy is taken by the server.
        page.keyboard.press("Escape")
        b.click_point("A")
        b.click_point("B", shift=True)
        first = page.inner_text("#onward-choices button")
        page.keyboard.press("1")
        b.settle()
        self.assertEqual(len(b.board.steps), 5, first)

    def test_what_is_done_is_drawn_at_once_and_the_server_has_the_last_word(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)")
        page = self.page
        with self.held():
            page.fill("#typed", "M is the midpoint of AB")
            page.press("#typed", "Enter")
            page.wait_for_selector('li[data-label="M"]', state="attached")
        b.settle()
        self.assertEqual(b.board.steps[-1].name, "M")
        # Taken back, and done again.
        page.keyboard.press("Escape")
        page.focus("#drawing")
        for keys, state, count in (("Control+z", "detached", 2), ("Control+y", "attached", 3)):
            page.wait_for_timeout(1500)
            with self.held():
                page.keyboard.press(keys)
                page.wait_for_selector('li[data-label="M"]', state=state)
            page.locator("#toast", has_text="M is the midpoint").wait_for()
            b.settle()
            self.assertEqual(len(b.board.steps), count)
        # The same with a tool and the mouse: the second click completes the sentence.
        page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        page.keyboard.press("Escape")
        page.click("[data-tool=midpoint]")
        page.wait_for_timeout(2500)
        b.click_point("B")
        page.wait_for_timeout(2500)
        with self.held():
            page.mouse.click(*b.pixel(2, 0))
            page.wait_for_selector('li[data-label="C"]', state="attached")
        b.settle()
        self.assertEqual(b.value("C"), (3, 0))
        page.keyboard.press("Escape")
        # Somebody else was quicker: what was foreseen goes again.
        page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        other = self.page.context.new_page()
        other.goto(page.url.replace(self.line.address, self.server.address))
        other.wait_for_selector("#saved:text-is('Saved')", state="attached")
        page.fill("#typed", "N is the midpoint of AM")
        other.fill("#typed", "delete C")
        with self.held():
            other.press("#typed", "Enter")
            page.press("#typed", "Enter")
            page.wait_for_selector('li[data-label="N"]', state="attached")
        other.fill("#typed", "delete A")
        other.press("#typed", "Enter")
        page.wait_for_timeout(5000)
        b.settle()
        self.assertEqual(sorted(b.names()), sorted(step.name for step in b.board.steps))

    @long_walk
    def test_what_was_foreseen_and_is_refused_goes_from_the_drawing(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "M is the midpoint of AB")
        page = self.page
        other = page.context.new_page()
        other.goto(page.url.replace(self.line.address, self.server.address))
        other.wait_for_selector("#saved:text-is('Saved')", state="attached")
        other.fill("#typed", "delete M")
        self.line.hold()
        page.fill("#typed", "N is the midpoint of AM")
        page.press("#typed", "Enter")
        page.wait_for_selector('li[data-label="N"]', state="attached")
        self.assertEqual(page.inner_text("#saved"), "Saving…")
        other.press("#typed", "Enter")
        other.wait_for_selector('li[data-label="M"]', state="detached")
        self.line.let_go()
        page.wait_for_selector('li[data-label="N"]', state="detached")
        page.locator("#toast", has_text="M is not there").wait_for()
        b.settle()
        self.assertEqual(sorted(b.names()), ["A", "B"])

    def test_a_quiz_is_asked_beside_the_drawing_and_goes_on_at_the_server(self):
        b = self.opened(
            "A = (-6, -2)", "B = (4, -1)", "C = (-5, 2)", "p is the line through A and B", "q is the parallel to p through C",
            "D = (-3, -4)", "E = (1, 4)", "t is the line through D and E", "u is a quiz on the angles of p and q cut by t",
        )  # fmt: skip
        page, box = self.page, self.page.locator(".quiz-box")
        page.wait_for_function(IS_FETCHED, arg="page/quiz.js")  # what opens it is fetched before it is asked for
        with self.held():
            page.click("text=Angle pairs: ask me")
            for count in (1, 2):
                box.get_by_text("vertical", exact=True).click()
                expect(box).to_contain_text(f"of {count} right")
        b.settle()
        asked = box.locator(".asks").inner_text()
        page.mouse.move(*b.pixel(-5, 2))
        page.mouse.down()
        page.mouse.move(*b.pixel(-5, 3), steps=4)
        page.mouse.up()
        b.settle()
        self.assertEqual(box.locator(".asks").inner_text(), asked, "the same is asked of what was dragged")
        b.say("Z = (3, 3)")
        box.get_by_text("vertical", exact=True).click()  # the copy is not as the board is yet
        expect(box).to_contain_text("of 3 right")

    @long_walk
    def test_undo_and_a_drag_after_it(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "the segment from A to B")
        b.drag_point("B", (2, 2))
        self.assertEqual([round(part, 6) for part in b.value("B")], [2, 2])
        self.page.click("#undo")
        b.settle()
        self.assertEqual(b.value("B"), (4, 0))
        self.page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        b.drag_point("B", (1, -2))
        self.assertEqual([round(part, 6) for part in b.value("B")], [1, -2])

    @long_walk
    def test_a_change_from_another_window_in_the_middle_of_a_drag(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "the midpoint M of AB")
        page = self.page
        other = page.context.new_page()
        second = BoardPage(other, self.server.address)
        other.goto(page.url.replace(self.line.address, self.server.address))
        second._ready()
        page.bring_to_front()
        page.mouse.move(*b.pixel(4, 0))
        page.mouse.down()
        page.mouse.move(*b.pixel(4, 1), steps=4)
        other.evaluate("line.socket.send(JSON.stringify({t: 'say', text: 'Z = (-3, -3)'}))")
        time.sleep(2 * self.far)
        page.mouse.move(*b.pixel(5, 2), steps=6)
        time.sleep(3 * self.far)
        page.mouse.move(*b.pixel(6, 2), steps=3)
        page.mouse.up()
        b.settle()
        self.assertEqual([round(part, 6) for part in b.value("B")], [6, 2])
        self.assertEqual([round(part, 6) for part in b.value("M")], [3, 1])
        self.assertEqual(b.value("Z"), (-3, -3))

    def test_an_undo_that_was_on_its_way_is_not_of_what_another_window_did_meanwhile(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)")
        page = self.page
        other = page.context.new_page()
        second = BoardPage(other, self.server.address)
        other.goto(page.url.replace(self.line.address, self.server.address))
        second._ready()
        page.bring_to_front()
        with self.held():
            second.say("C = (1, 3)")
            page.click("#undo")
        expect(page.locator("#toast")).to_contain_text("Meanwhile, in another window: “Added: C is a free point”")
        b.settle()
        self.assertEqual(sorted(b.names()), ["A", "B", "C"])
        page.wait_for_selector('li[data-label="B"]', state="attached")
        page.click("#undo")
        page.wait_for_selector('li[data-label="C"]', state="detached")
        b.settle()
        self.assertEqual(sorted(step.name for step in b.board.steps), ["A", "B"], "undone, for it was heard of")
