"""Regions in the browser: said, predicted, asked; a dial that changes one while it runs; chalk over the board."""

import math

from playwright.sync_api import expect

from .board_page import BoardPage
from .served import BrowserTest, long_walk


class WhereTest(BrowserTest):
    def setUp(self):
        super().setUp()
        self.b = BoardPage(self.page, self.server.address)

    def test_the_hive_by_sentences_only(self):
        b, page = self.b.start("The hive"), self.page
        b.say("A = (-6, -4)", "B = (6, -4)", "C = (6, 4)", "D = (-6, 4)", "polygon ABCD", "P = (1, 1)", "H = (-5, -3)")
        b.say(
            "at least 4 m from A", "nearer to CB than to CD", "less than 450 cm from P", "the region where j, j_1 and j_2 hold within ABCD"
        )
        b.open_drawer("where")
        panel = page.locator("#panel")
        expect(panel).to_contain_text("area")
        b.say("the compass work of j_1", "a question whether H is in z")
        before = b.value("z").area
        page.click("text=Is H in z?")
        b.settle()
        self.assertIn("H is not in z. No: at least 4 m from A (it is 1.41 m away)", b.toast())
        b.drag_point("H", (4, 0.5))
        page.click("text=Is H in z?")
        b.settle()
        self.assertIn("H is in z", b.toast())
        b.escape()
        b.click_point("H")
        expect(panel).to_contain_text("H is in z")
        b.drag_point("P", (2, 1.5))
        self.assertNotEqual(b.value("z").area, before)
        page.click("[aria-label='j on the board']")
        b.settle()
        self.assertTrue(b.board.step(b.board.find("j")).look.hidden)
        b.say("less than 1 m from A", "the region where j and j_3 hold")
        expect(panel).to_contain_text("clash")
        b.say("more than -2 from A")
        self.assertIn("above zero", b.toast())

    @long_walk
    def test_by_tools_and_a_dial_that_runs(self):
        b, page = self.b.start("The sprinkler"), self.page
        b.say("P = (-2, 0)", "Q = (3, 1)", "r is a dial from 0.5 to 3 in steps of 0.1 at 1", "PQ is the segment from P to Q")
        b.escape()
        b.tool("zd")
        page.fill("#typed", "at most")
        page.keyboard.press("Enter")
        b.settle()
        page.fill("#typed", "r")
        page.keyboard.press("Enter")
        b.settle()
        b.click(0.5, 0.5)
        b.settle()
        self.assertEqual(b.working()[-1], "j is the places at most r from PQ")
        b.escape()
        b.say("the region where j holds", "S is the area of z", "t is the motion of r, to and fro, in 2 seconds")
        before = b.value("S")
        b.escape()
        page.click(".dials button >> nth=0") if page.locator(".dials button").count() else page.keyboard.press(".")
        page.wait_for_timeout(700)
        page.keyboard.press(".")
        b.settle()
        self.assertNotEqual(b.value("S"), before)

    def test_a_student_predicts_uncovers_and_hears_why(self):
        page = self.page
        page.goto(f"{self.server.address}/gallery?find=hive")
        page.goto(self.server.address + page.locator(".lesson").first.get_attribute("href"))
        page.wait_for_selector("#saved:text-is('Saved')", state="attached")
        page.click("text=May it stand there?")
        toast = page.locator("#toast")
        expect(toast).to_contain_text("H is not in z")
        expect(toast).to_contain_text("no: less than 3.2 m from k")
        page.click(".reveal button >> text=Where it may stand")
        page.focus("#drawing")
        for _ in range(40):
            page.keyboard.press("]")
            page.wait_for_timeout(40)
            if page.locator("#sentence").inner_text() == "H is a free point":
                break
        page.keyboard.press("Shift+ArrowRight")
        for _ in range(4):
            page.keyboard.press("Shift+ArrowRight")
            page.wait_for_timeout(80)
        page.click("text=May it stand there?")
        expect(toast).not_to_contain_text("less than 3.2 from k (it is 4")
        page.click("#undo")

    @long_walk
    def test_life_size_once_a_card_is_fitted(self):
        b, page = self.b.start("Life size"), self.page
        b.say("A = (0, 0)", "B = (4, 0)")
        b.escape()
        b.open_drawer("look")
        page.click("#life-size")
        expect(page.locator("#toast")).to_contain_text("what 1 cm on paper stands for")
        page.fill("[data-arrange-number=scale]", "2")
        page.press("[data-arrange-number=scale]", "Enter")
        b.settle()
        b.escape()
        b.open_drawer("look")
        page.click("#life-size")
        page.locator(".life-size input").fill("50")
        self.assertAlmostEqual(page.locator(".life-card").bounding_box()["width"], 8.56 * 50, delta=1)
        page.click("text=Show it at this size")
        page.wait_for_timeout(600)  # the view is kept when it has come to rest
        b.settle()
        (ax, _), (bx, _) = b.pixel(0, 0), b.pixel(4, 0)
        self.assertAlmostEqual(bx - ax, 100, delta=1, msg="4 m at 2 m to the centimetre are 2 cm, of 50 pixels each")

    def stroke(self, *places):
        (x, y), *others = (self.b.pixel(*place) for place in places)
        self.page.mouse.move(x, y)
        self.page.mouse.down()
        for place in others:
            self.page.mouse.move(*place, steps=6)
        self.page.mouse.up()
        self.b.settle()

    def test_chalk_over_a_presented_board_rubbed_out_and_undone(self):
        b, page = self.b.start("Chalk"), self.page
        b.say("A = (-2, 0)", "B = (3, 1)", "AB is the segment from A to B")
        before = b.working()
        page.click("#present")
        page.keyboard.press("c")
        expect(page.locator(".chalk-bar")).to_be_visible()
        self.stroke((-2, 0), (0, 2), (3, 1))  # over the pegs
        page.click("[aria-label='sky chalk']")
        page.click("[aria-label='broad strokes']")
        self.stroke((-4, -2), (4, -2))
        self.assertEqual([stroke.pen for stroke in b.board.chalk], ["ruddy", "sky"])
        self.assertEqual(b.working(), before, "nothing underneath was moved")
        page.click(".chalk-bar >> text=Rubber")
        self.stroke((0, -3), (0, -1))
        self.assertEqual([stroke.pen for stroke in b.board.chalk], ["ruddy"])
        page.click(".chalk-bar >> text=Undo")
        b.settle()
        self.assertEqual(len(b.board.chalk), 2)
        page.click(".chalk-bar >> text=Rubber")
        page.click("text=keep it")
        self.stroke((-4, 2), (4, 2))
        self.assertEqual(len(b.board.chalk), 2, "only the lesson sees it")
        page.locator(".chalk-bar button").first.focus()
        page.keyboard.press("Escape")  # puts the chalk down, and nothing else
        expect(page.locator(".chalk-bar")).to_be_hidden()
        expect(page.locator("#present-bar")).to_be_visible()
        page.keyboard.press("Escape")
        b.reload()
        self.assertEqual(len(b.board.chalk), 2)
        b.drag_point("A", (-2, 1))
        self.assertNotEqual(b.working(), before)


class InstrumentsTest(BrowserTest):
    """Real mouse on what lies on the board."""

    def setUp(self):
        super().setUp()
        self.b = BoardPage(self.page, self.server.address).start("By hand")
        self.page.keyboard.press("Escape")

    def take(self, *names):
        self.page.click("#instruments")
        for name in names:
            button = self.page.locator(f"[data-name='{name}']")
            if button.get_attribute("aria-pressed") != "true":
                button.click()
        if "Ruler" not in names:
            self.page.click("[data-name=Ruler]")

    def drag_pixels(self, start, *stops):
        self.page.mouse.move(*start)
        self.page.mouse.down()
        for stop in stops:
            self.page.mouse.move(*stop, steps=8)
        self.page.mouse.up()
        self.b.settle()

    def middle(self, selector):
        box = self.page.locator(selector).first.bounding_box()
        return box["x"] + box["width"] / 2, box["y"] + box["height"] / 2

    def origin(self, name):
        """Where the zero of an instrument is, in pixels of the page."""
        return self.page.evaluate(f"(m => [m.e, m.f])(document.querySelector('.laid-{name}').getScreenCTM())")

    def words(self):
        return self.page.locator(".laid-words").inner_text()

    def lay_ruler(self, at, toward):
        """Put the zero of the ruler on a peg, and turn it towards another."""
        zero = self.origin("ruler")
        inside = (zero[0] + 60, zero[1] + 30)
        goal = self.b.pixel(*self.b.value(at))
        self.drag_pixels(inside, (inside[0] + goal[0] - zero[0] + 3, inside[1] + goal[1] - zero[1] + 3))
        self.assertIn(f"at {at}", self.words())
        x, y = self.middle(".laid-ruler .laid-grip")
        to = self.b.pixel(*self.b.value(toward))
        angle = math.atan2(to[1] - goal[1], to[0] - goal[0]) + math.atan2(y - goal[1], x - goal[0])
        reach = math.hypot(x - goal[0], y - goal[1])
        self.drag_pixels((x, y), (goal[0] + reach * math.cos(angle), goal[1] + reach * math.sin(angle)))
        self.assertIn(f"towards {toward}", self.words())

    def test_a_ruler_marks_off_and_draws(self):
        b = self.b
        b.say("A = (-4, -2)", "B = (4, 1)")
        b.escape()
        self.take("Ruler")
        self.lay_ruler("A", "B")
        unit = (8 / math.hypot(8, 3), 3 / math.hypot(8, 3))
        above = lambda far: self.lifted(far, unit)
        self.drag_pixels(above(5))
        self.page.mouse.move(*above(5))
        self.page.mouse.down()
        self.page.mouse.up()
        b.settle()
        self.assertEqual(b.working()[-1], "C is the point at 5 from A towards B")
        self.drag_pixels(above(0), above(2), above(3))
        self.assertEqual(b.working()[-2:], ["D is the point at 3 from A towards B", "AD is the segment from A to D"])
        self.page.click(".laid-bar >> text=line")
        self.drag_pixels(above(0), above(5))
        self.assertEqual(b.working()[-1].split(" is ")[1], "the line through A and C")
        self.page.click("#undo")
        b.settle()
        self.page.click(".laid-bar >> text=Done")
        b.drag_point("B", (3, 3))
        self.assertAlmostEqual(math.dist(b.value("A"), b.value("C")), 5)

    def lifted(self, far, unit):
        """The pixel a little above the edge of the ruler, so far from A."""
        x, y = self.b.pixel(-4 + far * unit[0], -2 + far * unit[1])
        return x - 6 * unit[1], y - 6 * unit[0]

    def test_compasses_keep_their_opening(self):
        b = self.b
        b.say("A = (-3, 0)", "B = (0, 0.5)", "C = (2, -1)")
        b.escape()
        self.take("Compasses")
        self.put_needle("A")
        to = b.pixel(*b.value("B"))
        leg = self.page.locator(".laid-compasses .laid-body").nth(1).bounding_box()
        self.drag_pixels((leg["x"] + leg["width"] * 0.5, leg["y"] + leg["height"] * 0.5), to)
        self.assertIn("from A to B", self.words())
        self.put_needle("C")
        x, y = self.middle(".laid-tip")
        at = b.pixel(*b.value("C"))
        reach, start = math.hypot(x - at[0], y - at[1]), math.atan2(y - at[1], x - at[0])
        way = [(at[0] + reach * math.cos(start - turn), at[1] + reach * math.sin(start - turn)) for turn in (0.3, 0.7, 1.1)]
        self.drag_pixels((x, y), *way)
        arc = next(step for step in b.board.steps if step.makes == "arc")
        self.assertAlmostEqual(math.sqrt(b.board.value(arc.id)[2]), math.hypot(3, 0.5))
        self.page.click(".laid-bar >> text=Done")
        b.drag_point("B", (-1, 1))
        self.assertAlmostEqual(math.sqrt(b.board.value(arc.id)[2]), math.hypot(2, 1), msg="it is open from A to B for good")
        self.page.click("#instruments")
        self.page.fill("[data-number=opening]", "2,5")
        self.page.press("[data-number=opening]", "Enter")
        self.page.locator(".laid-compasses").focus()
        self.page.keyboard.press("Enter")
        b.settle()
        self.assertIn("radius 2.5", b.working()[-1], "a whole circle by the keyboard")
        self.page.fill("[data-number=opening]", "-3")
        self.page.press("[data-number=opening]", "Enter")
        self.assertIn("above zero", self.words())

    @long_walk
    def test_a_bed_from_an_empty_board(self):
        b = self.b
        self.take("Ruler")
        zero = self.origin("ruler")
        scale = b.pixel(1, 0)[0] - b.pixel(0, 0)[0]
        self.drag_pixels((zero[0], zero[1] - 6), (zero[0] + 6 * scale, zero[1] - 6))
        self.assertEqual(b.working()[-1], "AB is the segment from A to B")
        self.assertAlmostEqual(math.dist(b.value("A"), b.value("B")), 6, places=6)
        self.page.click("[data-name=Compasses]")
        self.page.fill("[data-number=opening]", "4")
        self.page.press("[data-number=opening]", "Enter")
        self.put_needle("A")
        x, y = self.middle(".laid-tip")
        at = b.pixel(*b.value("A"))
        reach, start = math.hypot(x - at[0], y - at[1]), math.atan2(y - at[1], x - at[0])
        turns = [start - math.radians(5 * number) for number in range(75)]
        self.drag_pixels((x, y), *((at[0] + reach * math.cos(turn), at[1] + reach * math.sin(turn)) for turn in turns))
        self.assertIn("the circle with centre A and radius 4", b.working()[-1])
        self.page.click(".laid-bar >> text=Done")
        b.say("the region where more than 4 from A, nearer to A than to B hold")
        self.assertEqual(b.working()[-1].split(" is ")[1], "the region where all of j and j_1 hold")

    def put_needle(self, name):
        needle = self.page.locator(".laid-compasses .laid-needle").bounding_box()
        tip = (needle["x"] + needle["width"] / 2, needle["y"] + needle["height"] / 2)
        hinge = self.middle(".laid-hinge")
        inside = (tip[0] + (hinge[0] - tip[0]) * 0.6, tip[1] + (hinge[1] - tip[1]) * 0.6)
        goal = self.b.pixel(*self.b.value(name))
        self.drag_pixels(inside, (inside[0] + goal[0] - tip[0], inside[1] + goal[1] - tip[1]))
        self.assertIn(f"needle at {name}", self.words())

    @long_walk
    def test_protractor_and_set_square(self):
        b = self.b
        b.say("A = (-2, -1)", "B = (4, -1)", "p is the line through A and B", "C = (1, 2)")
        b.escape()
        self.take("Protractor")
        x, y = self.middle(".laid-protractor .laid-body")
        centre = self.origin("protractor")
        goal = b.pixel(*b.value("A"))
        self.drag_pixels((x, y - 20), (x + goal[0] - centre[0] + 2, y - 20 + goal[1] - centre[1] + 2))
        self.assertIn("at A", self.words())
        gx, gy = self.middle(".laid-protractor .laid-grip")
        self.drag_pixels((gx, gy), (gx, gy - 4), (gx, gy + 1))
        self.assertIn("towards B", self.words())
        angle = math.radians(-40)
        rim = (goal[0] + 160 * math.cos(angle), goal[1] + 160 * math.sin(angle))
        self.drag_pixels(rim, rim)
        self.assertIn("the line through A at 40 degrees to AB", b.working()[-1])
        self.page.click("[data-name=Protractor]")
        self.page.click("[data-name='Set square']")
        corner = self.origin("square")
        foot = b.pixel(1, -1)
        grab = (corner[0] + 40, corner[1] - 40)
        self.drag_pixels(grab, (grab[0] + foot[0] - corner[0], grab[1] + foot[1] - corner[1]))
        gx, gy = self.middle(".laid-square .laid-grip")
        self.drag_pixels((gx, gy), (gx, gy - 5), (gx, gy + 2))
        self.assertRegex(self.words(), "along (p|AB)|towards B")
        self.drag_pixels((foot[0] - 8, foot[1] - 20), (foot[0] - 8, foot[1] - 120))
        self.assertIn("the perpendicular to p through C", b.working()[-1])
