"""The line at the foot, and what a person meets on screens of other sizes: gaps, choices, menus under a finger, presenting, views."""

from playwright.sync_api import expect

from .board_page import BoardPage
from .served import IS_WHOLE, PATIENCE, BrowserTest, come_in, long_walk

TRIANGLE = ("A = (-3, -2)", "B = (3, -2)", "C = (0, 3)", "triangle ABC")
SIZES = ((1280, 800), (1024, 768), (844, 390), (390, 844)) if IS_WHOLE else ((1280, 800), (390, 844))
#: For a selector, the elements that are not whole in the window, or under another one.
OUT_OF_SIGHT = """(selector) => [...document.querySelectorAll(selector)].filter((one) => {
  const box = one.getBoundingClientRect();
  if (!box.width) return true;
  const [x, y] = [box.left + box.width / 2, box.top + box.height / 2];
  const there = document.elementFromPoint(x, y);
  return box.left < -1 || box.right > innerWidth + 1 || box.bottom > innerHeight + 1 || !(one === there || one.contains(there));
}).map((one) => one.textContent.trim())"""


class FootTest(BrowserTest):
    def sized(self, width, height, **more):
        context = self.browser.new_context(viewport={"width": width, "height": height}, **more)
        self.addCleanup(context.close)
        come_in(context, self.server)
        page = context.new_page()
        page.set_default_timeout(PATIENCE)
        return page

    def test_a_sentence_is_filled_by_pointing_and_typing_in_any_of_its_gaps(self):
        page, b = self.page, BoardPage(self.page, self.server.address).start("Gaps")
        b.say(*TRIANGLE)
        page.focus("#drawing")
        field = page.evaluate_handle("document.getElementById('typed')")
        b.tool("cp")
        self.assertIn("the circle with centre a point through a point", b.sentence())
        self.assertEqual(page.get_attribute("#typed", "aria-label"), "the circle with centre: pick a point")
        b.click_point("A")
        self.assertIn("the circle with centre A through a point", b.sentence())
        page.click("[data-gap=centre]")
        b.settle()
        self.assertIn("the circle with centre a point through a point", b.sentence(), "what was in the gap is let go")
        page.fill("#typed", "B")
        page.press("#typed", "Enter")
        b.settle()
        self.assertIn("the circle with centre B through a point", b.sentence())
        self.assertTrue(page.evaluate("field => field === document.getElementById('typed')", field), "it is the same field")
        self.assertEqual(page.evaluate("document.activeElement.id"), "typed", "it has the focus still")
        page.fill("#typed", "C")
        page.press("#typed", "Enter")
        b.settle()
        self.assertEqual(b.toast(), "k is the circle with centre B through C")
        b.say("the length of AB")
        self.assertEqual(b.toast(), "AB is the length of AB: 6.00 m")
        b.say("where AB meets the line through C parallel to AB")
        self.assertIn("has no value now: they", b.toast())

    def test_by_keys_things_are_marked_for_the_running_sentence(self):
        page, b = self.page, BoardPage(self.page, self.server.address).start("Marks")
        b.say(*TRIANGLE)
        page.focus("#drawing")
        b.tool("pm")
        for _ in range(2):
            page.keyboard.press("]")
            page.keyboard.press("Enter")
            b.settle()
        self.assertEqual(b.working()[-1], "D is the midpoint of AB")
        page.focus("#typed")
        page.keyboard.type("/")
        self.assertEqual(page.input_value("#typed"), "", "the key that leads here writes nothing")
        page.keyboard.type("1/2")
        self.assertEqual(page.input_value("#typed"), "1/2")
        page.keyboard.press("Enter")
        b.settle()
        self.assertEqual(page.get_attribute("#typed", "aria-invalid"), "true")
        page.keyboard.type("the midpoint of BC")
        self.assertEqual(page.input_value("#typed"), "the midpoint of BC", "what was refused is not glued to what is typed next")

    def test_choices_and_offers_are_in_sight_at_every_size(self):
        for width, height in SIZES:
            page = self.sized(width, height)
            b = BoardPage(page, self.server.address).start(f"{width}")
            b.say(*TRIANGLE, "circle with centre A through B", "k_2 is the places at most 2 from A", "the places inside ABC")
            page.focus("#drawing")
            for keys in ("zd", "zr", "fa", "sv"):
                page.evaluate("keys => document.querySelector(`[data-keys=${keys}]`).click()", keys)
                b.settle()
                with self.subTest(f"{width}: {keys}"):
                    self.assertEqual(page.evaluate(OUT_OF_SIGHT, "#onward .go, #onward-acts .help-link, .in-gap input"), [])
                    foot = page.evaluate("innerHeight - document.querySelector('.line').getBoundingClientRect().top")
                    self.assertLessEqual(foot, (0.4 if height < 800 or width < 500 else 0.34) * height)
                    b.escape()
            b.escape()
            b.click_point("C")
            with self.subTest(f"{width}: offers"):
                self.assertGreaterEqual(page.locator("#onward [data-offer]").count(), 1)
                self.assertEqual(page.locator("#onward [data-offer]").first.get_attribute("data-key"), "1", "the likeliest is there")
                self.assertEqual(page.evaluate(OUT_OF_SIGHT, "#onward .go"), [])
            page.context.close()

    def test_no_word_of_the_shelf_overflows_its_tool(self):
        BoardPage(self.page, self.server.address).open("nine posts")
        over = self.page.evaluate("""() => [...document.querySelectorAll(".tools")].flatMap((row) => {
            const before = row.hidden;
            row.hidden = false;
            const found = [...row.querySelectorAll(".tool")].filter((one) => {
              const [box, words] = [one.getBoundingClientRect(), one.querySelector("span").getBoundingClientRect()];
              return words.top < box.top - 0.5 || words.bottom > box.bottom + 0.5 || words.right > box.right + 0.5;
            });
            row.hidden = before;
            return found.map((one) => one.title);
        })""")
        self.assertEqual(over, [])
        self.assertGreater(self.page.locator(".tool").count(), 100)

    @long_walk
    def test_presenting_on_small_screens_shows_the_board_and_keeps_the_view(self):
        for width, height in ((390, 844), (844, 390), (768, 1024), (640, 400))[: 4 if IS_WHOLE else 2]:
            page = self.sized(width, height)
            b = BoardPage(page, self.server.address).start(f"Present {width}")
            b.say(*TRIANGLE)
            page.wait_for_timeout(400)
            before = b.board.settings.view
            for _ in range(2):
                page.click("#present")
                page.wait_for_timeout(400)
                board = page.locator("#drawing").bounding_box()
                self.assertGreater(board["height"] * board["width"], 0.6 * width * height, f"{width}")
                self.assertEqual(page.evaluate(OUT_OF_SIGHT, ".present-bar button, .board-tools button"), [])
                page.click("#present-stop")
                page.wait_for_timeout(700)
            self.assertEqual(b.board.settings.view, before)
            page.context.close()

    def test_a_view_does_not_grow_from_one_window_to_the_next(self):
        b = BoardPage(self.page, self.server.address).start("Devices")
        b.say(*TRIANGLE)
        self.page.click("#fit")
        self.page.wait_for_timeout(1500)
        kept = b.board.settings.view
        for width, height in ((390, 844), (844, 390), (1280, 800))[: 3 if IS_WHOLE else 1]:
            page = self.sized(width, height)
            other = BoardPage(page, self.server.address).open("Devices")
            page.click("#zoom-in")
            page.click("#zoom-out")
            page.wait_for_timeout(1500)
            for now, then in zip(other.board.settings.view, kept):
                self.assertAlmostEqual(now, then, delta=0.02 * (kept[2] - kept[0]))
            page.context.close()

    def test_fit_shows_the_figure_and_not_the_end_of_what_has_none(self):
        b = BoardPage(self.page, self.server.address).start("Fit")
        b.say(*TRIANGLE, "the places nearer to A than to B", "the places on the same side of AB as C", "the line AC")
        self.page.click("#fit")
        self.page.wait_for_timeout(1500)
        left, low, right, high = b.board.settings.view
        self.assertLess(max(right - left, high - low), 14)
        tools = self.page.locator(".board-tools").bounding_box()
        self.assertLess(b.pixel(3, -2)[1], tools["y"], "what lies over the board covers nothing of it")

    def test_a_finger_that_rests_opens_a_menu_and_its_lift_presses_nothing(self):
        page = self.sized(390, 844, has_touch=True)
        b = BoardPage(page, self.server.address).start("Resting")
        b.say("A = (0, 0)", "B = (2, 1)")
        touch = page.context.new_cdp_session(page)
        x, y = b.pixel(0, 0)
        touch.send("Input.dispatchTouchEvent", {"type": "touchStart", "touchPoints": [{"x": x, "y": y}]})
        expect(page.locator("#choices")).to_be_visible()
        box = page.locator("#choices").bounding_box()
        self.assertFalse(box["x"] <= x <= box["x"] + box["width"] and box["y"] <= y <= box["y"] + box["height"], "it is beside the finger")
        touch.send("Input.dispatchTouchEvent", {"type": "touchEnd", "touchPoints": []})
        page.wait_for_timeout(300)
        b.settle()
        expect(page.locator("#choices")).to_be_visible()
        self.assertEqual(len(b.board), 2)
        page.tap("#choices >> text=Delete")
        b.settle()
        self.assertEqual(len(b.board), 1)

    def test_keys_that_belong_to_a_field_or_a_button_do_nothing_else(self):
        page, b = self.page, BoardPage(self.page, self.server.address).start("Keys")
        b.say("A = (0, 0)", "B = (3, 0)")
        page.focus("#drawing")
        b.escape()
        b.click_point("A")
        page.focus("#zoom-in")
        page.keyboard.press("Backspace")
        b.settle()
        self.assertEqual(len(b.board), 2)
        page.fill("#title", "Something else")
        page.press("#title", "Escape")
        self.assertEqual(page.input_value("#title"), "Keys")
        self.assertEqual(page.evaluate("document.activeElement.id"), "drawing")
        page.focus("#typed")
        page.keyboard.press("Escape")
        page.keyboard.press("Escape")
        self.assertEqual(page.evaluate("document.activeElement.id"), "drawing")
        # A click is quicker than the sentence of the tool that was taken just before.
        page.evaluate("() => { const send = WebSocket.prototype.send; WebSocket.prototype.send = function (text) {"
                      " setTimeout(() => send.call(this, text), 150); }; }")  # fmt: skip
        x, y = b.pixel(-2, 2)
        page.keyboard.press("p")
        page.keyboard.press("p")
        page.mouse.click(x, y)
        page.wait_for_timeout(500)
        b.settle()
        self.assertEqual(len(b.board), 3)

    def test_sharing_is_said_by_a_button_and_not_by_an_arrow(self):
        page = self.page
        BoardPage(page, self.server.address).start("Kept to me")
        page.click("#share")
        page.focus("[name=shared]:checked")
        page.keyboard.press("ArrowDown")
        page.keyboard.press("ArrowDown")
        expect(page.locator(".share-now")).to_have_text("Put it in the gallery")
        page.wait_for_timeout(300)
        self.assertEqual(page.locator("#share-link").count(), 0, "nothing is shared yet")
        page.click(".share-now")
        expect(page.locator("#share-link")).to_be_visible()

    def test_of_two_conditions_the_one_is_taken_whose_edge_is_pointed_at(self):
        b = BoardPage(self.page, self.server.address).start("Edges")
        b.say("A = (0, 0)", "the places at most 3 from A", "B = (1, 0)", "the places at most 1 from B")
        self.page.focus("#drawing")
        b.escape()
        wide, narrow = (step.id for step in b.board.steps if step.makes == "condition")
        for place, id in (((-3, 0), wide), ((2, 0), narrow), ((1.4, 0.5), narrow), ((-1.5, -1.5), wide)):
            b.escape()
            b.click(*place)
            self.assertIn(b.board.name(id), b.sentence().split(" Say it")[0].split(" is the places")[0])
        self.page.click("[data-panel=where]")
        self.page.click("text=/the region where all of .* hold$/")
        b.settle()
        region, condition = (next(step.id for step in b.board.steps if step.makes == kind) for kind in ("region", "condition"))
        self.assertEqual([step.makes for step in b.board.steps][-1], "region")
        self.assertTrue(region and condition)
