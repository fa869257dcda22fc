"""For every person: what axe finds, what is heard, where the focus is, keys, touch, small screens, dark ones."""

from contextlib import suppress

from axe_playwright_python.sync_playwright import Axe
from playwright.sync_api import TimeoutError, expect

from .board_page import BoardPage
from .served import IS_WHOLE, PATIENCE, BrowserTest, come_in, long_walk

RULES = {"runOnly": {"type": "tag", "values": ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"]}}
#: With the long walks, at a tablet's size as well.
SIZES = ((1280, 800), *(((768, 1024),) if IS_WHOLE else ()), (390, 844))
#: States that are looked at in the short run; the others with the long walks.
FIRST_STATES = ("/", "as-student", "board", "claims", "one thing selected", "#share", "#files", "sharing")
PANELS = ("readings", "log", "motions", "look", "claims", "where", "loose", "recipe", "history")
#: Notes every text that a screen reader is given.
LISTEN = """() => { window.said = []; new MutationObserver(() => window.said.push(document.getElementById("heard").textContent.trim()))
  .observe(document.getElementById("heard"), {childList: true}); }"""


class EveryoneTest(BrowserTest):
    expected = ("404",)

    def press(self, selector):
        """Press a button wherever it is: on a small screen some lie in sheets that are shut."""
        self.page.wait_for_selector(selector, state="attached")
        self.page.evaluate("selector => document.querySelector(selector).click()", selector)
        self.page.wait_for_timeout(250)

    def student_link(self, title):
        self.page.goto(f"{self.server.address}/gallery?find={title}")
        return self.server.address + self.page.locator(".lesson").first.get_attribute("href")

    def sized(self, width, height, sign_in="maud.alder", **more):
        """A page of a size in a browser of its own."""
        context = self.browser.new_context(viewport={"width": width, "height": height}, **more)
        self.addCleanup(context.close)
        if sign_in:
            come_in(context, self.server, sign_in)
        page = context.new_page()
        page.set_default_timeout(PATIENCE)
        return page

    # What axe finds -----------------------------------------------------------------------------------------

    def fine(self, state):
        if not IS_WHOLE and state not in FIRST_STATES:
            return
        # The shelf of tools is the same in all states of a board's page, and large: it is looked at once; of a panel, but in the long
        # walks, the drawer alone.
        context = None
        if state != "board" and self.page.query_selector("footer .tools"):
            context = {"exclude": [["footer .tools"]]} if IS_WHOLE or state not in PANELS else {"include": [["#drawer"]]}
        found = Axe().run(self.page, context=context, options=RULES).response["violations"]
        self.assertEqual([(one["id"], one["nodes"][0]["target"]) for one in found], [], state)

    def teachers_states(self, whole):
        """Every state of a teacher's pages, one after another; on small screens those that differ there."""
        small = ("/", "/help/midpoint", "/boards/1/handout?chosen=true&answered=true&working=true")
        for address in (*small, "/account", "/gallery", "/help/about/for-the-technician", "/help?find=circle") if whole else small:
            self.page.goto(self.server.address + address)
            yield address
        b = BoardPage(self.page, self.server.address).open("Build it by hand")
        for address in ("as-student", "handed-in"):
            self.page.goto(f"{self.server.address}/lessons/{b.slug}/{address}")
            self.page.wait_for_timeout(500)
            yield address
        b.open("nine posts")
        yield "board"
        for panel in PANELS[:-2] if whole and IS_WHOLE else ("look", "claims") if whole else ("look",):
            self.press(f"[data-panel={panel}]")
            yield panel
        if not whole:
            self.press("#share")
            yield "sharing"
            return
        self.press("[data-panel=working]")
        for panel in PANELS[-2:] if IS_WHOLE else PANELS[-1:]:
            self.press(f"[data-panel-open={panel}]")
            yield panel
            self.press("[data-panel=working]")
        for _ in range(4):
            self.press("[data-steps='-1']")
        yield "an earlier step"
        self.press("#see-all")
        self.page.keyboard.press("]")
        self.press("[data-panel=look]")
        yield "one thing selected"
        self.page.keyboard.press("Escape")
        self.page.keyboard.press("c")
        self.page.keyboard.press("p")
        self.page.wait_for_timeout(200)
        yield "a tool"
        self.page.keyboard.press("Escape")
        for button in ("#keys-button", "#share", "#files", "#board-acts", "#chalk", "#instruments", "#present"):
            self.press(button)
            yield button
            self.page.keyboard.press("Escape")

    def test_axe_finds_nothing_on_a_teachers_pages(self):
        for width, height in SIZES:
            self.page = self.sized(width, height)
            for state in self.teachers_states(width == 1280):
                with self.subTest(f"{width}: {state}"):
                    self.fine(state)

    @long_walk
    def test_axe_finds_nothing_for_students_and_strangers_and_in_the_dark(self):
        link = self.student_link("pond")
        for width, height in SIZES:
            self.page = self.sized(width, height, None)
            strangers = ("/", "/help", "/sign-in", "/register", "/nothing", link.replace("/open/", "/embed/")) if width == 1280 else ()
            for address in (*strangers, link):
                self.page.goto(address if address.startswith("http") else self.server.address + address)
                self.page.wait_for_timeout(500)
                with self.subTest(f"{width}: {address}"):
                    self.fine(address)
        self.page.keyboard.press("?")
        self.fine("a student's keys")
        self.page = self.sized(1280, 800, color_scheme="dark")
        for address in ("/", "/account"):
            self.page.goto(self.server.address + address)
            self.fine(f"dark {address}")
        BoardPage(self.page, self.server.address).open("nine posts")
        self.press("[data-panel=look]")
        self.fine("dark look")

    # What is heard ------------------------------------------------------------------------------------------

    def said(self):
        """What was said since, until nothing more is: of the first word a busy machine may let one wait."""
        with suppress(TimeoutError):
            self.page.wait_for_function("() => window.said.length", timeout=5000)
        self.page.wait_for_timeout(750)
        said = self.page.evaluate("window.said")
        self.page.evaluate("() => { window.said = []; }")
        return said

    def test_what_happens_is_heard_once(self):
        b = BoardPage(self.page, self.server.address).start("Heard")
        self.page.evaluate(LISTEN)
        b.say("A = (0, 0)")
        self.assertEqual(self.said(), ["A is a free point."])
        b.say("B = (3, 0)", "the length of AB")
        self.said()
        self.page.focus("#drawing")
        b.escape()
        self.page.keyboard.press("]")
        self.assertEqual(len(heard := self.said()), 1)
        self.assertIn("A is a free point", heard[0])
        self.page.keyboard.press("ArrowLeft")
        (words,) = self.said()
        self.assertRegex(words, r"^point A at \(−\d.*\); AB = [34]\.\d\d")
        b.tool("cp")
        self.assertIn("the circle with centre", self.said()[0])
        b.escape()
        b.say("the middle of nowhere")
        (words,) = self.said()
        self.assertTrue(words.startswith(b.toast().rstrip(".")), "a refusal is heard as it is shown")
        self.assertIn("Enter for: the midpoint of AB", words)

    def test_a_reveal_is_heard_and_a_dial_under_a_motion_is_quiet(self):
        b = BoardPage(self.page, self.server.address).open("pond")
        self.page.evaluate(LISTEN)
        self.page.focus("#drawing")
        self.page.keyboard.press("PageDown")
        (words,) = self.said()
        self.assertRegex(words, r"^1\s+Where they land: shown\.$")
        b.start("Dial")
        b.say("t is a dial from 0 to 10 in steps of 0.1", "the motion of t, to and fro, in 2 seconds")
        self.page.evaluate("""() => { window.turns = 0; new MutationObserver(() => window.turns++)
            .observe(document.querySelector(".dial input"), {attributes: true, attributeFilter: ["aria-valuetext"]}); }""")
        self.page.click(".motion button")
        self.page.wait_for_timeout(1200)
        self.assertLessEqual(self.page.evaluate("window.turns"), 2)
        self.assertNotEqual(self.page.inner_text(".dial-value"), "0.0", "it is seen to turn")
        self.page.click(".motion button")
        expect(self.page.locator(".motion button")).to_have_attribute("aria-pressed", "false")
        self.page.wait_for_timeout(300)
        self.assertIn(self.page.inner_text(".dial-value"), self.page.get_attribute(".dial input", "aria-valuetext"))

    # Where the focus is, and keys ---------------------------------------------------------------------------

    def focused(self):
        self.page.wait_for_timeout(350)
        return self.page.evaluate(
            "() => { const {id, dataset, tagName} = document.activeElement; return dataset.value || dataset.panel || id || tagName; }"
        )

    def test_the_focus_stays_where_a_person_works(self):
        b = BoardPage(self.page, self.server.address).start("Focus")
        b.say("A = (0, 0)", "B = (3, 0)")
        self.page.focus("#drawing")
        b.escape()
        self.page.keyboard.press("]")
        b.open_drawer("look")
        self.page.focus("[data-look=pen][title=plum]")
        self.page.keyboard.press("Enter")
        b.settle()
        self.assertEqual(self.focused(), '"plum"')
        self.page.focus("#drawing")
        self.page.keyboard.press("}")
        b.settle()
        self.page.focus("[data-offer] >> nth=0")
        self.page.keyboard.press("Enter")
        b.settle()
        self.assertNotEqual(self.focused(), "BODY", "an offer was taken")
        self.page.focus("#drawing")
        b.escape()
        self.page.keyboard.press("]")
        self.page.keyboard.press("Delete")
        b.settle()
        self.page.focus("#toast button")
        self.page.keyboard.press("Enter")
        b.settle()
        self.assertNotEqual(self.focused(), "BODY", "Undo was taken")
        self.page.focus("#present")
        self.page.keyboard.press("Enter")
        self.assertEqual(self.focused(), "drawing")
        self.page.keyboard.press("Escape")
        self.assertEqual(self.focused(), "present")
        b.open_drawer("working")
        self.page.focus("[data-panel-open=history]")
        self.page.keyboard.press("Enter")
        b.settle()
        self.assertNotEqual(self.focused(), "BODY", "History was opened")
        self.page.goto(self.student_link("pond"))
        self.page.wait_for_selector("#story-next:enabled")
        self.page.focus("#story-next")
        for _ in range(4):
            self.page.keyboard.press("Enter")
            self.page.wait_for_timeout(150)
        self.assertTrue(self.page.is_disabled("#story-next"))
        self.assertNotEqual(self.focused(), "BODY", "the last Next was pressed")

    def test_letters_are_keys_on_the_board_and_files_opened_by_key(self):
        b = BoardPage(self.page, self.server.address).start("Letters")
        self.page.keyboard.press("Tab")
        self.page.focus("#tab-look")
        b.tool("cp")
        self.assertNotIn("the circle", b.sentence(), "letters are keys on the board")
        self.page.click("#tab-look")
        b.tool("cp")
        self.assertIn("the circle", b.sentence(), "and for who has clicked elsewhere")
        b.escape()
        self.page.focus("#drawing")
        b.tool("cp")
        self.assertIn("the circle", b.sentence())
        b.escape()
        self.page.keyboard.press("?")
        self.page.check("#letters")
        self.page.keyboard.press("Escape")
        b.reload()
        self.page.focus("#tab-look")
        b.tool("cp")
        self.assertIn("the circle", b.sentence(), "who wants it has them everywhere, and it is kept")
        opened: list = []
        # Listened to from before the page is there: a listener that comes with the key may come too late.
        self.page.on("filechooser", lambda chooser: opened.append(chooser.is_multiple()))
        for number, form in enumerate((".start-file", "#recipes form"), 1):
            self.page.goto(self.server.address, wait_until="networkidle")
            self.page.focus(f"{form} .open-file")
            self.page.keyboard.press("Enter")
            for _ in range(100):
                if len(opened) == number:
                    break
                self.page.wait_for_timeout(50)
            self.assertEqual(opened, [False] * number, form)
        self.page.keyboard.press("Tab")
        self.page.goto(self.server.address)
        self.page.keyboard.press("Tab")
        expect(self.page.locator(".skip")).to_be_focused()

    @long_walk
    def test_a_student_moves_the_view_by_keys_and_sees_which_there_are(self):
        self.page.goto(self.student_link("pond"))
        self.page.wait_for_selector("#saved:text-is('Saved')", state="attached")
        self.page.keyboard.press("?")
        expect(self.page.locator("#keys")).to_contain_text("move the view")
        self.page.keyboard.press("Escape")
        self.page.focus("#drawing")
        before = self.page.screenshot(clip=self.page.locator("#drawing").bounding_box())
        self.page.keyboard.press("ArrowRight")
        self.page.wait_for_timeout(300)
        self.assertNotEqual(self.page.screenshot(clip=self.page.locator("#drawing").bounding_box()), before)

    # Touch, and small screens -------------------------------------------------------------------------------

    def test_a_second_thing_is_chosen_by_touch(self):
        self.page = self.sized(1280, 800, has_touch=True)
        b = BoardPage(self.page, self.server.address).start("Touch")
        b.say("A = (-3, 0)", "B = (3, 0)")
        b.escape()
        b.escape()
        self.page.touchscreen.tap(*b.pixel(-3, 0))
        b.settle()
        self.page.tap("#onward button:text-is('and …')")
        self.page.touchscreen.tap(*b.pixel(3, 0))
        b.settle()
        self.assertIn("point A and point B", b.sentence())
        for selector in (".zoom button", ".drawer-tabs button", ".groups button", "#onward .go"):
            self.assertGreaterEqual(self.page.locator(selector).first.bounding_box()["height"], 44, selector)

    def test_on_a_phone_words_and_buttons_stand_beside_the_figure(self):
        link = self.student_link("pond")
        for width, height in ((390, 844), (844, 390)):
            self.page = self.sized(width, height, None, has_touch=True, is_mobile=True)
            self.page.goto(link)
            self.page.wait_for_selector(".reveal")
            self.page.wait_for_timeout(400)
            expect(self.page.locator("#strip")).to_contain_text("Predict")
            board = self.page.locator("#drawing").bounding_box()
            for box in [
                *(one.bounding_box() for one in self.page.locator(".reveal button").all()),
                self.page.locator("#strip").bounding_box(),
            ]:
                beside = box["y"] >= board["y"] + board["height"] - 1 or box["x"] >= board["x"] + board["width"] - 1
                self.assertTrue(beside, "it does not lie over the figure")
                self.assertTrue(box["x"] >= 0 and box["x"] + box["width"] <= width and box["y"] + box["height"] <= height)
                self.assertGreaterEqual(box["height"], 40)
            self.assertGreater(board["width"] * board["height"], 0.45 * width * height)
            self.page.tap(".reveal button >> nth=0")
            expect(self.page.locator("#seen li[data-kind=point]")).to_have_count(10)
