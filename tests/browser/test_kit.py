"""The building kit as a teacher uses it: real mouse, real keys."""

import math

from .board_page import BoardPage
from .served import BrowserTest, long_walk


def slope_off(a, b):
    """The sine of the angle between two straight values."""
    return (a[2] * b[3] - a[3] * b[2]) / math.hypot(a[2], a[3]) / math.hypot(b[2], b[3])


class KitTest(BrowserTest):
    def start(self, title):
        self.b = BoardPage(self.page, self.server.address).start(title)
        return self.b

    @long_walk
    def test_isosceles_trapezium_on_its_axis(self):
        b = self.start("Trapezium")
        b.tool("ll")
        b.click(0, -4)
        b.click(0, 4)
        for place in ((3.4, -2.5), (1.6, 2)):
            b.tool("pp")
            b.click(*place)
            b.tool("pi")
            b.click(*place)
            b.click(0, -0.5)
        b.tool("sp")
        for name in "CEFD":
            b.click_point(name)
        self.page.keyboard.press("Enter")
        b.settle()
        self.assertEqual(
            b.working()[3:],
            [
                "C is a free point at (3.4, −2.5)",
                "D is the mirror image of C in p",
                "E is a free point at (1.6, 2)",
                "F is the mirror image of E in p",
                "CEFD is the polygon through C, E, F, D",
            ],
        )
        b.click(0.4, 1)
        b.take_offer("all angles inside CEFD")
        b.escape()
        b.say(*(f"the length of {side}" for side in ("CE", "EF", "FD", "DC")))
        b.escape()
        for stops in ([(1.6, 2)], [(2.6, 1)], [(5, 3)], [(0.4, 3)]):
            b.drag_point("E", *stops)
            board = b.board
            angles = [board.value(step.id) for step in board.steps if step.does == "interior_angle"]
            self.assertAlmostEqual(sum(angles), 360)
            self.assertAlmostEqual(angles[0], angles[3])
            self.assertAlmostEqual(angles[1], angles[2])
            self.assertAlmostEqual(b.reading("CE"), b.reading("FD"))
        self.assertEqual(len(b.tags()), 8)

    @long_walk
    def test_eight_angles_at_parallel_rails(self):
        b = self.start("Eight angles")
        b.tool("ll")
        b.click(-6, -2.5)
        b.click(6, -2.5)
        b.tool("la")
        b.click(-3, -2.5)
        b.click(-6, 2)
        b.tool("ll")
        b.click(-3, -4.4)
        b.click(3, 4.2)
        self.assertEqual(len(b.working()), 8)
        for rail in "pq":
            self.b.mark_crossing(rail, "r", (0, 0))
        b.tool("po")
        b.click(6, 2)
        names = {"F": "p", "G": "q"}
        arms = {"F": ("A", "B", "D", "E"), "G": ("C", "H", "D", "E")}
        for vertex, _rail in names.items():
            low, high = arms[vertex][2:]
            for side in arms[vertex][:2]:
                for end in (low, high):
                    b.tool("ma")
                    for name in (side, vertex, end):
                        b.click_point(name)
        readings = [step for step in b.board.steps if step.does == "angle"]
        self.assertEqual(len(readings), 8, b.working())
        # Each tag is dragged to its own corner, a little further out.
        for step in readings[:3]:
            name = b.board.name(step.id)
            b.escape()
            x, y = b.label_pixel(name)
            self.page.mouse.move(x, y)
            self.page.mouse.down()
            self.page.mouse.move(x + 14, y - 10, steps=4)
            self.page.mouse.up()
            b.settle()
            self.assertIsNotNone(b.board.step(step.id).look.label_offset, name)
        for stops in ([], [(-1, 4)], [(5, 3)]):
            if stops:
                b.drag_point("E", *stops)
            values = sorted(round(b.board.value(step.id), 9) for step in readings)
            self.assertEqual(len(set(values)), 2)
            self.assertAlmostEqual(values[0] + values[-1], 180)
            self.assertEqual(values.count(values[0]), 4)

    @long_walk
    def test_a_parallel_by_copying_an_angle_with_the_compass(self):
        b = self.start("Copied angle")
        b.tool("ll")
        b.click(-6, -3)
        b.click(5, -3)
        b.tool("ll")
        b.click(-6, -3)
        b.click(-1, 1)
        b.tool("po")
        b.click(-3.5, -3)
        b.tool("cp")
        b.click(-6, -3)
        b.click_point("D")
        self.b.mark_crossing("k", "q", (-4, -1.5))
        b.tool("cr")
        b.click(-1, 1)
        b.click(-6, -3)
        b.click_point("D")
        self.b.mark_crossing("c", "q", (1, 2.6))
        b.tool("cr")
        b.click_point("F")
        b.click_point("D")
        b.click_point("E")
        self.b.mark_crossing("e", "c", (1.6, 1))
        b.tool("ll")
        b.click(-1, 1)
        b.click_point("G")
        self.assertEqual(b.working()[-1], "r is the line through C and G")
        for name, stops in ((None, ()), ("C", [(0, 2)]), ("B", [(4, -1)]), ("D", [(-4, -3)])):
            if name:
                b.drag_point(name, *stops)
            self.assertAlmostEqual(slope_off(b.value("r"), b.value("p")), 0, places=9)
        b.escape()
        self.page.click("#tidy")
        self.page.wait_for_selector("#toast:has-text('Hid')")
        self.assertEqual([b.board.name(step.id) for step in b.board.steps if step.makes == "circle" and not step.look.hidden], [])

    @long_walk
    def test_circumcircle_with_named_corners(self):
        b = self.start("Circumcircle")
        for place in ((-5, -3), (4, -2), (-1, 4)):
            b.tool("pp")
            b.click(*place)
        b.tool("sp")
        for name in "ABC":
            b.click_point(name)
        self.page.keyboard.press("Enter")
        b.settle()
        for old, new in zip("ABC", ("Gate", "Pump", "Hive")):
            b.escape()
            b.click_point(old)
            b.open_drawer("look")
            self.page.fill("[data-rename]", new)
            self.page.press("[data-rename]", "Enter")
            b.settle()
        b.escape()
        for side in ((-0.5, -2.5), (1.5, 1)):
            b.tool("lb")
            b.click(*side)
        self.b.mark_crossing("p", "q", (0, 0))
        b.tool("cp")
        centre = next(b.board.name(step.id) for step in b.board.steps if step.does == "intersection")
        b.click_point(centre)
        b.click_point("Gate")
        b.escape()
        b.click_point(centre)
        b.open_drawer("look")
        self.page.fill("[data-rename]", "Well")
        self.page.press("[data-rename]", "Enter")
        b.settle()
        b.escape()
        self.page.click("#tidy")
        b.settle()
        board = b.board
        self.assertEqual([board.name(step.id) for step in board.steps if step.look.hidden], ["p", "q"])
        b.drag_point("Hive", (3, 3))
        for corner in ("Gate", "Pump", "Hive"):
            self.assertAlmostEqual(math.dist(b.value("Well"), b.value(corner)), math.sqrt(b.value("k")[2]), places=9)
        self.assertTrue({"Gate", "Pump", "Hive", "Well"} <= set(b.names()))

    def test_a_loose_end_is_found_tied_and_dragged(self):
        b = self.start("Loose end")
        b.say("A=(-5,-2)", "B=(5,-2)", "AB is the segment from A to B", "C=(1,-1.93)", "D=(1,3)", "CD is the segment from C to D")
        b.escape()
        b.escape()
        b.drag_point("B", (5, 1))
        self.assertNotAlmostEqual(b.value("C")[1], -2 + 3 * 0.6, places=2, msg="C only looked tied")
        self.page.keyboard.press("Control+z")
        b.settle()
        b.open_drawer("loose")
        self.page.wait_for_selector(".loose li")
        self.assertIn("C looks to be on segment AB", self.page.inner_text(".loose li >> nth=0"))
        self.page.hover(".loose li button >> nth=0")
        b.settle()
        self.page.click(".loose li button >> nth=0")
        self.page.wait_for_selector("#toast:has-text('C is a point on AB')")
        self.page.wait_for_timeout(400)
        self.assertNotIn("C looks to be on", self.page.inner_text("#panel"))
        b.drag_point("B", (5, 1))
        self.assertAlmostEqual(slope_off((*b.value("A"), b.value("C")[0] + 5, b.value("C")[1] + 2), b.value("AB")), 0, places=9)
        # By hand: loosen it, then tie it to the other segment's line by pointing.
        b.escape()
        b.click_point("C")
        b.open_drawer("look")
        self.page.click("text=loosen")
        b.settle()
        self.assertIn("C is a free point", " ".join(b.working()))
        self.page.click("text=tie it to …")
        b.settle()
        b.click(-3, b.value("AB")[1] + (2 / 10) * 3)
        self.assertIn("C is a point on AB", " ".join(b.working()))

    def test_overlapping_things_are_told_apart_in_words(self):
        b = self.start("Overlap")
        b.say("A=(-4,0)", "B=(4,0)", "p is the line through A and B", "M is the midpoint of A and B", "O=(0,0)", "C=(0,3)")
        b.escape()
        b.escape()
        b.tool("ls")
        b.click(0, 0)
        self.page.wait_for_selector("#choices")
        choices = self.page.inner_text("#choices")
        self.assertIn("M is the midpoint of AB", choices)
        self.assertIn("O is a free point", choices)
        self.page.click("#choices button:has-text('midpoint')")
        b.settle()
        b.click(0, 3)
        self.assertEqual(b.working()[-1], "MC is the segment from M to C")
        b.click(0, 0)
        self.page.click("#onward .or")
        b.settle()
        self.assertRegex(b.sentence(), "^(M is the midpoint|O is a free point)")

    def test_log_while_dragging_and_csv(self):
        b = BoardPage(self.page, self.server.address).open("Sliding the corner")
        self.page.click(".tabs a:has-text('Area against height')")
        b._ready()
        b.open_drawer("log")
        self.page.wait_for_selector(".plot")
        address = self.page.get_attribute("a[download][href*='log.csv']", "href")
        before = self.page.context.request.get(self.server.address + address).text().splitlines()
        self.assertEqual(before[0], "height (m),area (m²)")
        board_id = address.split("/")[2]
        x, y = b.pixel(-1, 2)
        self.page.mouse.move(x, y)
        self.page.mouse.down()
        self.page.mouse.move(x, y - 60, steps=6)
        self.page.wait_for_timeout(300)
        self.page.mouse.up()
        b.settle()
        after = self.page.context.request.get(f"{self.server.address}/boards/{board_id}/log.csv").text().splitlines()
        self.assertGreater(len(after), len(before) + 2)
        for row in after[1:]:
            height, area = map(float, row.split(","))
            self.assertAlmostEqual(area, 4 * height)
        self.page.keyboard.press("Control+z")
        b.settle()
        undone = self.page.context.request.get(f"{self.server.address}/boards/{board_id}/log.csv").text().splitlines()
        self.assertEqual(undone, before)

    def test_everything_by_keyboard(self):
        b = self.start("Keyboard")
        keys = self.page.keyboard
        keys.press("?")
        self.assertTrue(self.page.is_visible("#keys"))
        keys.press("Escape")
        self.assertFalse(self.page.is_visible("#keys"))
        keys.press("/")
        for sentence in ("A = (-3, -2)", "B = (4, -1)", "C = (0, 3)", "the polygon through ABC"):
            keys.type(sentence)
            keys.press("Enter")
            b.settle()
        keys.press("Escape")
        keys.press("Escape")
        self.page.focus("#drawing")
        keys.press("]")
        b.settle()
        self.assertIn("A is a free point", b.sentence())
        keys.press("ArrowRight")
        keys.press("Shift+ArrowUp")
        b.settle()
        self.assertEqual([round(part, 6) for part in b.value("A")], [-2.8, 0])
        keys.press("]")
        keys.press("}")
        b.settle()
        self.assertIn("point B and point C", b.sentence())
        first = self.page.inner_text("[data-offer] >> nth=0")
        keys.press("1")
        b.settle()
        self.assertEqual(b.working()[-1], f"BC is {first}")
        keys.press("c")
        keys.press("p")
        b.settle()
        keys.press("/")
        for text in ("A", "B"):
            keys.type(text)
            keys.press("Enter")
            b.settle()
        self.assertEqual(b.working()[-1], "k is the circle with centre A through B")
        keys.press("Escape")
        keys.press("Escape")
        self.page.focus("#tab-look")
        keys.press("Enter")
        self.page.wait_for_selector("[data-arrange=paper]")
        self.page.focus("[data-arrange=paper] >> nth=1")
        keys.press("Enter")
        b.settle()
        self.assertEqual(b.board.settings.paper, "dark")
        self.page.focus("#drawing")
        for _ in range(3):
            keys.press("Control+z")
            b.settle()
        self.assertEqual(len(b.board), 4)
        keys.press("Control+y")
        b.settle()
        self.assertEqual(len(b.board), 5)

    def test_a_look_is_copied_given_and_made_the_boards_own(self):
        b = self.start("Looks")
        b.say("A=(-4,0)", "B=(0,3)", "C=(4,0)", "AB is the segment from A to B", "BC is the segment from B to C")
        b.escape()
        b.escape()
        b.click(-2, 1.5)
        b.open_drawer("look")
        self.page.click("[data-look=pen][title=plum]")
        b.settle()
        self.page.click("#copy-look")
        b.escape()
        b.click(2, 1.5)
        b.settle()
        self.page.click("#give-look")
        b.settle()
        self.assertEqual(b.board.step(b.board.find("BC")).look.pen, "plum")
        self.page.click("#board-look")
        b.settle()
        b.say("the segment from A to C")
        self.assertEqual(b.board.settings.looks["segment"]["pen"], "plum")
        self.assertIsNone(b.board.steps[-1].look.pen)
