"""Gestures: one drag in flight, fingers, the pinned tool, the keyboard round the screen."""

from playwright.sync_api import expect

from .board_page import BoardPage
from .served import BrowserTest, long_walk

#: Holds back a drag until the test lets it go, and counts what is in flight.
HELD_LINE = """
window.flight = {most: 0, sent: 0, held: []};
let flying = 0;
const send = WebSocket.prototype.send;
WebSocket.prototype.send = function (text) {
  if (JSON.parse(text).t !== "drag") return send.call(this, text);
  flying += 1;
  flight.sent += 1;
  flight.most = Math.max(flight.most, flying);
  const go = () => { flying -= 1; send.call(this, text); };
  if (flight.held) flight.held.push(go);
  else go();
};
"""


class DragTest(BrowserTest):
    def test_at_most_one_drag_is_in_flight_and_the_last_position_arrives(self):
        self.page.add_init_script(HELD_LINE)
        b = BoardPage(self.page, self.server.address).start("Held line")
        b.say("A = (0, 0)")
        b.escape()
        self.page.mouse.move(*b.pixel(0, 0))
        self.page.mouse.down()
        for step in range(1, 61):
            self.page.mouse.move(*b.pixel(step * 0.05, 0))
        self.page.wait_for_function("flight.held.length")
        self.page.evaluate("() => { const held = flight.held; flight.held = null; held.forEach((go) => go()); }")
        b.settle()
        flight = self.page.evaluate("flight")
        self.assertEqual(flight["most"], 1)
        self.assertLess(flight["sent"], 4, "stale positions are never sent")
        self.assertAlmostEqual(b.value("A")[0], 3, places=1)
        self.page.mouse.up()

    def test_a_line_that_stalls_is_said_and_its_end_too(self):
        self.page.add_init_script("""
            window.held = null;
            const send = WebSocket.prototype.send;
            WebSocket.prototype.send = function (text) { held ? held.push(() => send.call(this, text)) : send.call(this, text); };
        """)
        b = BoardPage(self.page, self.server.address).start("A slow line")
        self.page.evaluate("() => { held = []; }")
        self.page.fill("#typed", "A = (0, 0)")
        self.page.press("#typed", "Enter")
        saved = self.page.locator("#saved")
        expect(saved).to_have_text("Slow line: waiting…")
        self.assertIn("is not saved until it does", b.toast())
        self.page.evaluate("() => { const late = held; held = null; late.forEach((go) => go()); }")
        expect(saved).to_have_text("Saved")
        self.assertEqual(b.working(), ["A is a free point at (0, 0)"])

    def test_the_page_says_saved_again_after_a_refusal_and_a_drag_to_nowhere(self):
        b = BoardPage(self.page, self.server.address).start("Saved")
        b.say("A = (0, 0)", "B = (3, 0)")
        b.escape()
        b.drag((0, 0), (1, 1), (0, 0))
        self.page.wait_for_selector("#saved:text-is('Saved')")
        self.assertEqual(b.value("A"), (0, 0))
        b.click(0, 0)
        b.open_drawer("look")
        self.page.fill("[data-rename]", "B")
        self.page.press("[data-rename]", "Enter")
        b.settle()
        self.assertIn("already", b.toast())
        self.page.wait_for_selector("#saved:text-is('Saved')")

    def test_escape_in_a_drag_lets_go(self):
        b = BoardPage(self.page, self.server.address).start("Escape")
        b.say("A = (0, 0)")
        b.escape()
        b.drag((0, 0), (2, 1), drop=False)
        self.page.keyboard.press("Escape")
        b.settle()
        self.page.mouse.move(*b.pixel(5, 5))
        self.page.mouse.up()
        b.settle()
        self.assertEqual([round(part, 1) for part in b.value("A")], [2, 1])


class NearestTest(BrowserTest):
    def test_of_two_pegs_side_by_side_the_nearer_is_taken(self):
        b = BoardPage(self.page, self.server.address).start("Side by side")
        b.say("A = (0, 0)", "B = (0.3, 0)")
        b.escape()
        (ax, ay), (bx, _) = b.pixel(0, 0), b.pixel(0.3, 0)
        self.assertLess(bx - ax, 24, "they lie within reach of one another")
        self.page.mouse.move(ax + 2, ay)
        self.page.mouse.down()
        self.page.mouse.move(ax + 40, ay - 60, steps=4)
        self.page.mouse.up()
        b.settle()
        self.assertEqual(b.value("B"), (0.3, 0))
        self.assertNotEqual(b.value("A"), (0, 0))


class MenuTest(BrowserTest):
    def test_a_menu_closes_at_a_press_elsewhere_and_is_about_what_it_names(self):
        b = BoardPage(self.page, self.server.address).start("Menus")
        b.say("A = (0, 0)", "B = (3, 0)")
        b.escape()
        self.page.mouse.click(*b.pixel(0, 0), button="right")
        self.page.wait_for_selector("#choices:visible")
        self.assertIn("point A", self.page.inner_text("#choices"))
        b.click(3, 0)
        self.assertTrue(self.page.is_hidden("#choices"))
        self.page.mouse.click(*b.pixel(0, 0), button="right")
        self.page.keyboard.press("]")  # another thing is chosen while the menu is open
        self.page.click("#choices >> text=Delete")
        b.settle()
        self.assertEqual(b.working(), ["B is a free point at (3, 0)"])


class ToolTest(BrowserTest):
    @long_walk
    def test_a_pinned_tool_stays_and_the_hand_returns_otherwise(self):
        b = BoardPage(self.page, self.server.address).start("Pinned")
        b.tool("pp")
        b.click(1, 1)
        self.assertIn("Drag a peg", b.sentence())
        b.click(3, 3)
        self.assertEqual(len(b.board), 1, "no litter: the tool is gone after one use")
        self.page.check("#pin")
        b.tool("ls")
        for place in ((-3, 0), (-1, 2), (1, 0), (3, 2)):
            b.click(*place)
        self.assertEqual(sum(step.does == "segment" for step in b.board.steps), 2)
        self.page.keyboard.press("Backspace")
        b.settle()
        self.assertIn("Drag a peg", b.sentence())
        # One undo takes a sentence back with the points that came with it.
        before = len(b.board)
        self.page.click("#undo")
        b.settle()
        self.assertEqual(len(b.board), before - 3)

    @long_walk
    def test_backspace_takes_back_one_pick(self):
        b = BoardPage(self.page, self.server.address).start("Back")
        b.tool("sp")
        for place in ((0, 0), (3, 0), (3, 2)):
            b.click(*place)
        self.page.keyboard.press("Backspace")
        b.settle()
        self.page.keyboard.press("Enter")
        b.settle()
        self.assertIn("at least three corners", b.toast())
        b.click(1, 3)
        self.page.keyboard.press("Enter")
        b.settle()
        self.assertIn("ABC is the polygon through A, B, C", b.working())

    def test_round_the_screen_by_keyboard(self):
        b = BoardPage(self.page, self.server.address).start("Keys")
        keys = self.page.keyboard
        self.page.focus("#title")
        reached = set()
        for _ in range(24):
            keys.press("Tab")
            reached.add(
                self.page.evaluate(
                    "document.activeElement.id || document.activeElement.dataset.tool || document.activeElement.dataset.group"
                )
            )
        for stop in ("drawing", "fit", "tab-working", "group-Points", "pin", "typed"):
            self.assertIn(stop, reached)
        # Inside a row of tabs or tools the arrow keys go on.
        self.page.focus("#group-Points")
        for key in ("ArrowRight", "ArrowRight", "Enter"):
            keys.press(key)
        self.page.focus("#row-Circles .hand")
        for key in ("ArrowRight", "Enter"):
            keys.press(key)
        b.settle()
        self.assertIn("the circle with centre a point through a point", b.sentence())


class FingerTest(BrowserTest):
    screen = {"viewport": {"width": 1024, "height": 768}, "has_touch": True}

    def test_a_finger_draws_and_drags_and_two_zoom(self):
        b = BoardPage(self.page, self.server.address).start("Fingers")
        touch = self.page.context.new_cdp_session(self.page)

        def fingers(kind, *places):
            touch.send(
                "Input.dispatchTouchEvent",
                {"type": kind, "touchPoints": [{"x": x, "y": y, "id": number} for number, (x, y) in enumerate(places)]},
            )
            self.page.wait_for_timeout(40)

        self.page.tap("[data-tool=free_point]")
        b.settle()
        self.page.touchscreen.tap(*b.pixel(1, 1))
        b.settle()
        self.assertEqual(len(b.board), 1)
        fingers("touchStart", b.pixel(1.1, 0.9))
        # A page that is held up hears of the finger's moves late: that is no rest, which would open a menu.
        self.page.evaluate("setTimeout(() => { const end = performance.now() + 900; while (performance.now() < end); }, 30)")
        self.page.wait_for_timeout(60)
        for step in range(1, 11):
            fingers("touchMove", b.pixel(1.1 - step * 0.2, 0.9 + step * 0.2))
        fingers("touchEnd")
        b.settle()
        self.assertEqual([round(part) for part in b.value("A")], [-1, 3])
        before = b.board.settings.view
        fingers("touchStart", b.pixel(-1, 0), b.pixel(1, 0))
        for step in range(1, 9):
            fingers("touchMove", b.pixel(-1 - step * 0.25, 0), b.pixel(1 + step * 0.25, 0))
        fingers("touchEnd")
        self.page.wait_for_timeout(500)
        after = b.board.settings.view
        self.assertLess(after[2] - after[0], 0.6 * (before[2] - before[0]))
        self.assertEqual([round(part) for part in b.value("A")], [-1, 3], "two fingers move the view, not the figure")
