"""Whole figures by typing in a teacher's own words, by keys, and by things first; a refusal offers what would be taken."""

import json

from playwright.sync_api import expect

from .board_page import BoardPage
from .served import BrowserTest, long_walk


class SayingTest(BrowserTest):
    def setUp(self):
        super().setUp()
        self.b = BoardPage(self.page, self.server.address).start("Said")

    def check_whole_figure(self):
        """A triangle, its altitudes and orthocentre, three readings, two things hidden, one renamed."""
        b = self.b
        names = [line.split(" is ")[1] for line in b.working()]
        self.assertEqual(names[3:], [
            "the polygon through A, B, C", "the altitude from A to BC", "the altitude from B to AC", "the altitude from C to AB",
            "the orthocentre of ABC", "the length of AB", "the angle ABC", "the area of ABC",
        ])  # fmt: skip
        self.assertIn("Hub is the orthocentre of ABC", b.working())
        self.assertEqual(sum(step.look.hidden for step in b.board.steps), 2)

    def test_a_whole_figure_in_a_teachers_own_words(self):
        b = self.b
        b.say("plot A at (-4, -3)", "B at (5, -2)", "point C at 0, 4", "draw triangle ABC")
        b.say("altitude from A", "the altitude from B", "height of ABC from C", "H = orthocenter of ABC")
        b.say("how long is AB?", "angle ABC", "area of ABC", "hide all segments", "show the altitude from A")
        self.assertIn("Showed", b.toast())
        b.say("rename H to Hub", "colour Hub red", "undo", "fit")
        self.check_whole_figure()

    def test_a_refusal_offers_what_is_near_and_enter_takes_it(self):
        b = self.b
        b.say("A = (0, 0)", "B = (4, 0)", "teh midpont of AB")
        expect(self.page.locator("#onward .way").first).to_have_text("the midpoint of AB")
        self.page.press("#typed", "Enter")
        b.settle()
        self.assertEqual(b.working()[-1], "C is the midpoint of AB")
        self.assertEqual(self.page.input_value("#typed"), "")
        b.say("half turn about A")
        self.assertEqual(b.toast(), "Which is meant?")
        self.page.click("#onward .way >> nth=0")
        b.settle()
        self.assertIn(" about A by 180 degrees", b.working()[-1])
        b.say("midpoint of AB")
        self.assertIn("there already", b.toast())
        self.assertEqual(len(b.board), 4)

    def test_what_is_typed_at_once_asks_for_the_newest_ways_only(self):
        """A paragraph that is typed as quickly as can be, or dictated: no question about its beginnings stands before it at the server."""
        page, sent = self.page, []
        page.on("websocket", lambda line: line.on("framesent", lambda frame: sent.append(json.loads(frame))))
        page.reload()
        self.b.settle()
        text = "Two equal circles meet at A and B. A line through A meets the circles again at P and Q. Prove that BP = BQ."
        page.click("#typed")
        page.keyboard.type(text, delay=1)
        page.wait_for_function("text => document.getElementById('typed').value === text", arg=text)
        page.wait_for_timeout(1500)
        asked = [message["text"] for message in sent if message["t"] == "complete"]
        self.assertEqual(asked[-1], text, "of what stands there at last it is asked")
        self.assertLess(len(asked), len(text) / 2)
        page.keyboard.press("Enter")
        page.wait_for_selector("text=Make all of it")

    def test_ways_that_come_late_do_not_open_over_the_shelf(self):
        """The ways on from an empty field are asked for when it is entered; a sentence may have been said before they come."""
        b, page = self.b, self.page
        page.evaluate("""() => {
            const typed = document.getElementById("typed");
            typed.focus();
            typed.value = "A = (0, 0)";
            document.getElementById("typing").requestSubmit();
        }""")
        b.settle()
        self.assertEqual(len(b.board), 1)
        expect(page.locator("#ways")).to_be_hidden()
        page.click("#tidy")
        b.settle()
        page.press("#typed", "m")
        expect(page.locator("#ways li").first).to_be_visible()
        page.evaluate("() => { const typed = document.getElementById('typed'); typed.blur(); typed.focus(); }")
        page.wait_for_timeout(400)
        expect(page.locator("#ways li").first).to_be_visible()  # the field was left and entered again at once

    def test_sentences_typed_without_waiting_and_one_to_be_put_right(self):
        b = self.b
        self.page.focus("#typed")
        self.page.keyboard.type("A = (0, 0)\nB = (4, 0)\nthe midpoint of AB\nthe midpoint of AX\n")
        expect(self.page.locator("#typed")).to_have_value("the midpoint of AX", timeout=15_000)  # what is refused comes back
        self.assertEqual(b.working()[2:], ["C is the midpoint of AB"])
        self.page.hover("#onward .way >> nth=0")
        b.settle()
        self.assertEqual(b.lit(), ["s1"], "what a sentence is about is lit")
        self.page.mouse.move(500, 300)
        b.settle()
        if b.lit():  # on a busy machine the browser may tell of the pointer after it was asked
            self.page.wait_for_timeout(1000)
        self.assertEqual(b.lit(), [])

    @long_walk
    def test_a_rosette_of_twelve_in_twenty_gestures(self):
        b = self.b
        b.tool("sp")
        for place in ((0, 0), (3, 0.7), (3, -0.7), (0, 0)):
            b.click(*place)
        b.tool("tr")
        b.click(0, 0)
        self.page.keyboard.press("3")  # a gap takes a number: the key goes to the bar
        self.page.keyboard.type("0")
        self.page.keyboard.press("Enter")
        b.settle()
        self.page.mouse.move(*b.pixel(-4, -4))
        self.page.focus("#drawing")
        b.click(2, 0.1)
        for _ in range(11):
            self.page.keyboard.press("1")
            b.settle()
        gestures = 5 + 3 + 1 + 11
        self.assertLessEqual(gestures, 25)
        polygons = [step for step in b.board.steps if step.makes == "polygon"]
        self.assertEqual(len(polygons), 12)
        self.assertEqual(len({tuple(round(part, 6) for corner in b.board.value(step.id) for part in corner) for step in polygons}), 12)

    def test_corners_typed_one_at_a_time_and_what_a_gap_takes_from_anywhere(self):
        b = self.b
        b.say("A = (0, 0)", "B = (4, 0)", "C = (1, 3)")
        self.page.focus("#drawing")
        b.tool("sp")
        for name in "ABC":
            self.page.keyboard.press(f"Shift+{name}")
            self.page.keyboard.press("Enter")
            b.settle()
        self.page.keyboard.press("Enter")
        b.settle()
        self.assertEqual(b.working()[-1], "ABC is the polygon through A, B, C")

    def test_things_first_for_many(self):
        b = self.b
        b.say(*(f"P{number} = ({number % 5 - 2}, {number // 5 - 1})" for number in range(1, 15)))
        b.escape()
        self.page.focus("#drawing")
        self.page.keyboard.press("]")
        for _ in range(13):
            self.page.keyboard.press("}")
        b.settle()
        expect(self.page.locator("#sentence")).to_contain_text("14 things", timeout=15_000)
        b.take_offer("join each to P1")
        self.assertEqual(sum(step.does == "segment" for step in b.board.steps), 13)

    @long_walk
    def test_a_whole_figure_by_things_first(self):
        b = self.b
        for at in ((-4, -3), (5, -2), (0, 4)):
            b.tool("pp")
            b.click(*at)
        b.escape()

        def choose(*names):
            b.escape()
            for number, name in enumerate(names):
                b.click_point(name, shift=number > 0)

        choose("A", "B", "C")
        b.take_offer("the polygon through A, B, C")
        for corner, rest in (("A", "BC"), ("B", "AC"), ("C", "AB")):
            choose(corner, *rest)
            b.take_offer(f"the altitude from {corner} to {rest}")
        choose("A", "B", "C")
        b.take_offer("the orthocentre of ABC")
        choose("A", "B")
        b.take_offer("the length of AB")
        choose("A", "B", "C")
        b.take_offer("the angle ABC")
        b.escape()
        b.click(0.5, 2)
        b.take_offer("the area of ABC")
        for near in ((0.216, 2.06), (-2.26, -1.55)):
            b.escape()
            b.click(*near)
            self.assertIn("altitude", b.sentence())
            self.page.click("#onward button:text-is('Hide')")
            b.settle()
        choose("D")
        b.open_drawer("look")
        self.page.fill("[data-rename]", "Hub")
        self.page.keyboard.press("Enter")
        b.settle()
        self.check_whole_figure()

    def test_what_is_made_outside_the_view_is_brought_into_it_and_that_is_not_kept(self):
        page, b = self.page, BoardPage(self.page, self.server.address).start("Far out")
        b.say("A = (0, 0)")
        before = page.evaluate("window.line.view")
        b.say("B = (3, 1)")
        self.assertEqual(page.evaluate("window.line.view"), before, "it is in view")
        b.say(f"C = ({before[2] + 2:.0f}, 1)")
        left, low, right, high = page.evaluate("window.line.view")
        self.assertGreater(right, before[2] + 2)
        self.assertLess((right - left) / (before[2] - before[0]), 2)
        b.say("D = (400, 300)")
        self.assertEqual(page.evaluate("window.line.view"), [left, low, right, high], "so far out it is only told")
        told = page.locator("#toast")
        expect(told).to_contain_text("beyond what is seen")
        told.get_by_text("Show it").click()
        b.settle()
        self.assertGreater(page.evaluate("window.line.view")[2], 400)
        b.reload()
        self.assertEqual(page.evaluate("window.line.view"), before, "what was shown is not kept")

    def test_what_is_a_speck_on_an_empty_board_is_shown_large_and_beside_others_it_is_told(self):
        page, b = self.page, BoardPage(self.page, self.server.address).start("In centimetres")
        left, low, right, high = page.evaluate("window.line.view")
        b.say("draw a triangle ABC with sides 5 cm, 6 cm and 7 cm")
        seen = page.evaluate("window.line.view")
        self.assertLess(seen[3] - seen[1], 0.5, "a few centimetres on a board of metres")
        b.reload()
        self.assertEqual(page.evaluate("window.line.view"), [left, low, right, high])
        b.say("D = (0, 0)", "E = (3, 1)", "draw a circle with centre D and radius 2 cm")
        self.assertEqual(page.evaluate("window.line.view"), [left, low, right, high])
        expect(page.locator("#toast")).to_contain_text("That is small here: 0.04 m across.")
        page.locator("#toast").get_by_text("Show it").click()
        b.settle()
        self.assertLess(page.evaluate("window.line.view")[3], 0.5)
