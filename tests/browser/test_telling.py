"""Telling a lesson: reveals, covers, words, the working, presenting, several boards."""

from .board_page import BoardPage
from .served import BrowserTest, long_walk
from .student_page import StudentPage


class TellingTest(BrowserTest):
    @long_walk
    def test_a_reflection_told_by_four_reveals(self):
        b = BoardPage(self.page, self.server.address).start("The pond")
        b.say(
            "P=(0.5,-4.5)",
            "Q=(-0.5,4.5)",
            "m is the line through P and Q",
            "A=(-5,-2)",
            "B=(-2,-3)",
            "C=(-2.5,2)",
            "ABC is the polygon through A, B, C",
            "r is the reflection in m",
            "the images of ABC under r",
            "the explanation of A′",
            "v is the length of A and A′",
        )
        b.escape()
        b.escape()
        names = lambda step: {b.board.name(id) for id in step.fills["things"]}

        # The first set is gathered on the board, by clicks and Shift.
        b.click(*[(x + y) / 2 for x, y in zip(b.value("A"), b.value("A′"))])
        self.page.keyboard.press("Escape")
        self.page.click("#tab-working")
        self.page.wait_for_timeout(300)
        pick = lambda *wanted: [
            self.page.click(f".working [data-id={b.board.find(name)}]", modifiers=["Shift"] if number else [])
            for number, name in enumerate(wanted)
        ]
        pick("A′", "B′")
        b.settle()
        b.take_offer("a button that reveals A′ and B′")
        b.escape()
        # One is missing: it is put in afterwards, and what was wrong is taken out.
        self.page.wait_for_timeout(300)
        pick("C′")
        b.open_drawer("look")
        self.page.click("fieldset:has-text('Put the selection into') button")
        b.settle()
        reveal = next(step for step in b.board.steps if step.makes == "reveal")
        self.assertEqual(names(reveal), {"A′", "B′", "C′"})
        b.escape()
        marks = [b.board.name(step.id) for step in b.board.steps if step.makes == "mark"]
        for things in (["A′B′C′"], ["AA′", "v"], marks):
            b.say(f"a button that reveals {' and '.join(things)}")
        b.escape()
        b.escape()
        reveals = [step for step in b.board.steps if step.makes == "reveal"]
        self.assertEqual(len(reveals), 4)
        self.assertNotIn("A′", b.names())
        self.page.keyboard.press("PageDown")
        b.settle()
        self.assertIn("A′", b.names())
        self.page.click(".reveal >> nth=1 >> button")
        b.settle()
        self.assertIn(b.board.find("A′B′C′"), b.visible_things())
        self.page.keyboard.press("PageUp")
        b.settle()
        self.assertNotIn(b.board.find("A′B′C′"), b.visible_things())

        # A button is put elsewhere by its handle, which does not press it.
        handle = self.page.locator(".reveal-handle >> nth=0")
        before, pressed = handle.bounding_box(), self.page.get_attribute(".reveal button >> nth=0", "aria-pressed")
        self.page.mouse.move(before["x"] + 8, before["y"] + 12)
        self.page.mouse.down()
        self.page.mouse.move(before["x"] + 120, before["y"] + 60, steps=5)
        self.page.wait_for_timeout(250)
        self.page.mouse.up()
        b.settle()
        after = handle.bounding_box()
        self.assertAlmostEqual(after["x"] - before["x"], 112, delta=4)
        self.assertEqual(self.page.get_attribute(".reveal button >> nth=0", "aria-pressed"), pressed)

        # A cover, for predicting first.
        b.say("w is the words “The way across is {v}” at (3, 4)")
        b.escape()
        b.escape()
        b.click(3.6, 3.8)
        b.open_drawer("look")
        self.page.click("[data-look=cover]:text-is('covered until pressed')")
        b.settle()
        b.escape()
        self.assertIn("A covered text", self.page.inner_text("#seen"))
        b.click(3.6, 3.8)
        self.page.wait_for_timeout(200)
        self.assertIn("The way across is", self.page.inner_text("#seen"))
        # By key as well: down again, and up.
        self.page.focus("#drawing")
        self.page.keyboard.press("Enter")
        self.page.wait_for_timeout(200)
        self.assertIn("A covered text", self.page.inner_text("#seen"))
        self.page.keyboard.press("Enter")
        self.page.wait_for_timeout(200)
        self.assertIn("The way across is", self.page.inner_text("#seen"))

        # A mark can be covered as well; words hang on a corner, put off it with the mouse.
        b.escape()
        b.escape()
        self.page.click("#tab-working")
        self.page.wait_for_timeout(300)
        self.page.click(f".working [data-id={next(step.id for step in b.board.steps if step.makes == 'mark')}]")
        b.open_drawer("look")
        self.page.click("[data-look=cover]:text-is('covered until pressed')")
        b.settle()
        self.page.click(".reveal >> nth=3 >> button")
        b.settle()
        self.assertIn("A covered mark", self.page.inner_text("#seen"))
        self.page.click(".reveal >> nth=3 >> button")
        b.say("x is the words “half of it is {v / 2}” beside C")
        b.escape()
        b.escape()
        b.drag((-1.7, 1.8), (3, -2))
        b.drag_point("C", (-3, 1))
        self.assertRegex(b.working()[-1], r"beside C off by \([\d.]{1,6}, −[\d.]{1,6}\)$")
        b.drag_point("C", (-2.5, 2))

        # Presenting: the board alone, with keys.
        b.escape()
        self.page.click("#present")
        self.page.wait_for_timeout(300)
        self.assertFalse(self.page.is_visible("#drawer"))
        for _ in range(4):
            self.page.keyboard.press("PageDown")
        self.page.wait_for_timeout(200)
        self.assertEqual(self.page.locator(".reveal button[aria-pressed=true]").count(), 4)
        self.page.focus("#present-back")
        self.page.keyboard.press("Enter")
        self.page.wait_for_timeout(200)
        self.assertEqual(self.page.locator(".reveal button[aria-pressed=true]").count(), 3, "its own button, not the next reveal")
        self.page.keyboard.press("l")
        self.page.mouse.move(400, 300)
        self.assertTrue(self.page.is_visible("#laser"))
        self.page.keyboard.press("Escape")
        self.assertTrue(self.page.is_visible("#drawer"))

        # Shared, with the pond's edge kept from students; one of them works through it in a browser of their own.
        self.page.click("#share")
        self.page.check("#sharing [value=link]")
        self.page.click(".share-now")
        for name in "PQ":
            self.page.uncheck(f"label:has-text('point {name}') input")
        link = self.page.input_value("#share-link")
        self.page.keyboard.press("Escape")
        self.assertFalse(self.page.is_visible("#sharing"))
        self._as_a_student(link, {name: b.value(name) for name in ("A", "A′", "P")}, b.board.find("A"))
        self.assertEqual(b.value("A"), (-5, -2), "the teacher's own is as it was")

    def _as_a_student(self, link, places, corner):
        s = StudentPage(self.open_page(sign_in=None), self.server).visit(link)
        page = s.page
        opened = lambda: page.locator(".reveal button[aria-pressed=true]").count()
        self.assertNotIn("A′", s.names())
        for count in (1, 2, 3, 4):
            page.click("#story-next")
            self.assertEqual(opened(), count)
        self.assertTrue(page.is_disabled("#story-next"))
        s.settle()
        self.assertIn("A′", s.names())
        page.click(".reveal >> nth=2 >> button")
        page.keyboard.press("PageUp")
        self.assertEqual(opened(), 2)
        # The cover is lifted, a corner dragged; the edge of the pond is the teacher's.
        self.assertIn("A covered text", page.inner_text("#seen"))
        s.click(3.6, 3.8)
        self.assertIn("The way across is", page.inner_text("#seen"))
        s.escape()
        s.drag(places["A"], (-4, 0), (-4, -1))
        self.assertEqual(s.value("A"), (-4, -1))
        self.assertNotEqual(s.value("A′"), places["A′"])
        s.drag(places["P"], (2, -4), drop=False)
        self.assertIn("not to be moved here", s.toast())
        page.mouse.up()
        # An accidental double click on nothing and Escape half-way through a drag lose nothing.
        page.mouse.dblclick(*s.pixel(4, -3))
        s.drag((-4, -1), (-3, -2), drop=False)
        page.keyboard.press("Escape")
        page.mouse.up()
        s.settle()
        self.assertEqual(s.value("A"), (-3, -2))
        page.keyboard.press("Control+z")
        s.settle()
        self.assertEqual(s.value("A"), (-4, -1))
        s.reload()
        self.assertEqual((s.value("A"), opened()), ((-4, -1), 2), "the copy and the story are still there")
        page.click("#reset")
        s.settle()
        self.assertEqual((s.value("A"), opened()), (places["A"], 0))
        self.assertIn("A covered text", page.inner_text("#seen"))
        page.click("#toast button")
        s.settle()
        self.assertEqual(s.value("A"), (-4, -1), "starting again was undone")
        page.click("#reset")
        s.settle()
        # With keys alone.
        page.keyboard.press("Escape")
        while page.locator("li.chosen").get_attribute("data-id") != corner if page.locator("li.chosen").count() else True:
            page.keyboard.press("]")
            page.wait_for_timeout(120)
        page.keyboard.press("ArrowRight")
        s.settle()
        self.assertGreater(s.value("A")[0], places["A"][0])

    def test_the_working_is_stepped_and_replayed(self):
        b = BoardPage(self.page, self.server.address).start("Steps")
        b.say(
            "A=(-3,0)",
            "B=(3,0)",
            "AB is the segment from A to B",
            "k is the circle with centre A through B",
            "c is the circle with centre B through A",
            "C is where k meets c, first crossing",
        )
        b.escape()
        b.escape()
        self.page.click("[data-steps='-1']")
        self.page.click("[data-steps='-1']")
        self.page.wait_for_timeout(200)
        self.assertEqual(self.page.inner_text("#steps-seen"), "4 of 6 steps")
        self.assertEqual(len(b.visible_things()), 4)
        self.page.click("[data-steps='1']")
        self.page.wait_for_timeout(200)
        self.assertEqual(len(b.visible_things()), 5)
        self.page.click("#see-all")
        self.page.click("#replay")
        self.page.wait_for_timeout(1500)
        self.assertLess(len(b.visible_things()), 5)
        self.page.wait_for_selector("#steps-seen:text-is('all steps')")
        self.assertEqual(len(b.visible_things()), 6)

    def test_words_and_buttons_stay_whole_at_the_edge_of_the_board(self):
        b = BoardPage(self.page, self.server.address).start("Edges")
        _left, low, right, _high = b.board.settings.view
        b.say("A=(0,0)", f"w is the words “a long line of words here” at ({right - 0.5:.1f}, 0)", "a button that reveals A")
        b.escape()
        b.escape()
        handle = self.page.locator(".reveal-handle").bounding_box()
        self.page.mouse.move(handle["x"] + 8, handle["y"] + 12)
        self.page.mouse.down()
        corner = b.pixel(right - 0.3, low + 0.3)
        self.page.mouse.move(*corner, steps=5)
        self.page.wait_for_timeout(250)
        self.page.mouse.up()
        b.settle()
        button, frame = self.page.locator(".reveal").bounding_box(), b.frame
        self.assertLess(button["x"] + button["width"], frame["x"] + frame["width"])
        self.assertLess(button["y"] + button["height"], frame["y"] + frame["height"])
        # The plate of the words is painted, and found by the pointer, left of the place it was given.
        b.move(right - 1.5, -0.2)
        self.page.wait_for_selector("li.lit", state="attached")
        self.assertEqual(b.lit(), [b.board.find("w")])

    @long_walk
    def test_three_boards_one_duplicated_and_renamed(self):
        b = BoardPage(self.page, self.server.address).start("Boards")
        b.say("A=(-3,0)", "B=(3,0)")
        b.escape()
        b.escape()
        act = lambda words: (self.page.click("#board-acts"), self.page.click(f"#choices button:text-is('{words}')"))
        tabs = lambda: [tab.strip() for tab in self.page.locator(".tabs a").all_inner_texts()]
        act("Add a blank board")
        b._ready()
        act("Add a blank board")
        b._ready()
        self.assertEqual(tabs(), ["Board 1", "Board 2", "Board 3"])
        self.page.click(".tabs a:text-is('Board 1')")
        b._ready()
        act("Duplicate this board")
        b._ready()
        self.assertEqual(tabs()[1], "Board 1 (copy)")
        act("Rename this board")
        self.page.keyboard.type("Try it yourself")
        self.page.keyboard.press("Enter")
        b.settle()
        act("Move it to the right")
        b._ready()
        self.assertEqual(tabs(), ["Board 1", "Board 2", "Try it yourself", "Board 3"])
        act("Delete this board")
        b._ready()
        self.assertEqual(tabs(), ["Board 1", "Board 2", "Board 3"])
        self.page.click("#toast button")
        b._ready()
        self.assertEqual(tabs(), ["Board 1", "Board 2", "Try it yourself", "Board 3"])


class RecipeTest(BrowserTest):
    def keep(self, b, name, *results):
        """Select things in the working and keep what makes them."""
        b.escape()
        b.escape()
        self.page.click("#tab-working")
        self.page.wait_for_timeout(300)
        for number, id in enumerate(results):
            self.page.click(f".working [data-id={id}]", modifiers=["Shift"] if number else [])
        b.settle()
        self.page.click("text=Keep as recipe")
        self.page.wait_for_selector(".recipe [name=name]")
        self.page.fill(".recipe [name=name]", name)
        self.page.click("text=Keep it")
        self.page.wait_for_selector("text=is on the shelf now")

    @long_walk
    def test_a_pointed_arch_in_another_lesson(self):
        b = BoardPage(self.page, self.server.address).start("Arch")
        for place in ((-3, -2), (3, -2)):
            b.tool("pp")
            b.click(*place)
        b.say(
            "k is the circle with centre A through B",
            "c is the circle with centre B through A",
            "T is where k meets c, first crossing",
            "p is the arc with centre A from B to T",
            "q is the arc with centre B from T to A",
        )
        self.keep(b, "pointed arch", b.board.find("p"), b.board.find("q"))
        b.start("Another lesson")
        b.say("P=(-6,-3)", "Q=(-2,-3)")
        b.escape()
        b.escape()
        for places in (((-6, -3), (-2, -3)), ((2, -3), (6, -2))):
            self.page.click("[data-group=Recipes]")
            self.page.click("#row-Recipes [data-tool^=recipe]")
            b.settle()
            self.assertIn("the pointed arch on", b.sentence())
            for place in places:
                b.click(*place)
        board = b.board
        self.assertEqual(sum(step.makes == "arc" for step in board.steps), 4)
        self.assertEqual(sum(step.does == "free_point" for step in board.steps), 4, "two were there, two were made by clicking")
        self.page.keyboard.press("Control+z")
        b.settle()
        self.assertEqual(sum(step.makes == "arc" for step in b.board.steps), 2, "one use is one edit")

    @long_walk
    def test_a_rosette_on_three_other_pairs(self):
        b = BoardPage(self.page, self.server.address).start("Rosette")
        b.say(
            "O=(0,0)",
            "A=(2,0)",
            "r is the rotation about O by 60 degrees",
            "k is the circle with centre A through O",
            "f is the family of k under r, 5 times",
        )
        self.keep(b, "six petals", b.board.find("k"), b.board.find("f"))
        self.page.goto(self.server.address + "/")
        self.assertIn("six petals", self.page.inner_text("#recipes"))
        self.page.click("#recipes summary")
        self.assertGreater(self.page.locator("#recipes ol li").count(), 2)
        b.start("Three places")
        b.say("P=(-6,2)", "Q=(-5,2)", "R=(0,-2)", "S=(1.5,-2)", "T=(6,2)", "U=(6,3.4)")
        for pair in ("P and Q", "R and S", "T and U"):
            b.say(f"the six petals on {pair}")
        board = b.board
        families = [step for step in board.steps if step.makes == "family"]
        self.assertEqual([len(board.value(step.id)) for step in families], [5, 5, 5])
        b.escape()
        b.escape()
        b.drag_point("Q", (-4.4, 2))
        self.assertAlmostEqual(b.board.value(next(step.id for step in b.board.steps if step.makes == "circle"))[2], 1.6**2)


class HistoryTest(BrowserTest):
    def test_paste_look_back_and_bring_back(self):
        b = BoardPage(self.page, self.server.address).start("History")
        self.page.click("#paste-working")
        self.page.fill(
            "#pasted",
            "A is a free point at (-3, -1)\nB is a free point at (3, -1)\nM is the midpoint of A and B\n"
            "k is the circle with centre M through A",
        )
        self.page.click("#pasting button[value=add]")
        self.page.wait_for_selector("#toast:has-text('Added 4 steps from text')")
        b.settle()
        self.page.click("#paste-working")
        self.page.fill("#pasted", "C is a free point at (0, 1)\nnonsense is here")
        self.page.click("#pasting button[value=add]")
        # What is no working is said in other words: it is shown what it is read as, and what is not read.
        self.page.wait_for_selector(".said-list .unread:has-text('nonsense')")
        self.assertEqual(len(b.board), 4)
        for _ in range(3):
            b.escape()
        b.drag_point("A", (-4, 2))
        b.say("p is the line through A and B")
        b.escape()
        b.escape()
        b.open_drawer("working")
        self.page.click("[data-panel-open=history]")
        self.page.wait_for_selector(".history li")
        self.page.click(".history li:has-text('Moved A') [data-back]")
        self.page.wait_for_selector("#saved:text-is('An earlier state')")
        self.assertEqual(len(b.visible_things()), 4)
        self.page.click("text=Show it as it is now")
        self.page.wait_for_selector("#saved:text-is('Saved')")
        self.page.wait_for_timeout(200)
        self.assertEqual(len(b.visible_things()), 5)
        self.page.click(".history li:has-text('Moved A') button:text-is('bring it back')")
        self.page.wait_for_selector("#toast:has-text('Brought back')")
        self.assertEqual((len(b.board), b.value("A")), (4, (-3, -1)))
        self.page.keyboard.press("Control+z")
        b.settle()
        self.assertEqual(b.value("A"), (-4, 2))
