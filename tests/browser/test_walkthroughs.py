"""The walk-throughs: whole pieces of work with real mouse and keyboard events."""

import math

from ruddy_trellis.core.pointing.picking import crossing_near

from .board_page import BoardPage
from .served import BrowserTest, long_walk


def distance(a, b):
    return math.hypot(a[0] - b[0], a[1] - b[1])


class FountainTest(BrowserTest):
    """Three taps, one fountain, from an empty board."""

    @long_walk
    def test_fountain_from_nothing(self):
        b = BoardPage(self.page, self.server.address).start("Fountain")
        self.assertTrue(self.page.is_visible("#empty"))
        for place in ((-6, -3), (5, -2.5), (-1, 4)):
            b.tool("pp")
            b.click(*place)
        b.tool("sp")
        for place in ((-6, -3), (5, -2.5), (-1, 4)):
            b.click(*place)
        b.move(-6, -3)
        self.assertIn("close the polygon", b.pointer_words())
        b.click(-6, -3)
        for side in ((-0.5, -2.75), (2, 0.75)):
            b.tool("lb")
            b.move(*side)
            self.assertIn("side", b.pointer_words())
            b.click(*side)
        board = b.board
        crossing = crossing_near(board, (board.find("p"),), (board.find("q"),), (0, 0)).at
        b.tool("px")
        b.move(crossing[0] + 0.04, crossing[1] + 0.04)
        self.assertEqual(b.pointer_words(), "where p meets q")
        b.click(crossing[0] + 0.04, crossing[1] + 0.04)
        b.tool("cp")
        b.click_point("D")
        b.click_point("A")
        for corner in "ABC":
            b.escape()
            b.click_point("D")
            b.click_point(corner, shift=True)
            b.take_offer(f"the length of D{corner}")
        b.escape()
        self.assertEqual(b.working()[3:], [
            "ABC is the polygon through A, B, C", "p is the perpendicular bisector of AB", "q is the perpendicular bisector of BC",
            "D is where p meets q", "k is the circle with centre D through A", "DA is the length of DA", "DB is the length of DB",
            "DC is the length of DC",
        ])  # fmt: skip

        # Drag a corner: right-angled, then nearly flat. The three distances stay equal, on the board too.
        b.drag_point("C", (2, 2), (-0.5 + 3, -2.75 + 4.9), (3, -2.2), drop=False)
        tags = b.tags()
        self.assertEqual(len({tag.split("=")[1] for tag in tags}), 1, tags)
        self.page.mouse.up()
        b.settle()
        self.assertAlmostEqual(b.reading("DA"), b.reading("DC"), places=6)
        self.assertGreater(b.reading("DA"), 10)
        b.drag_point("C", (-1, 4))

        # Hide the bisectors, rename the centre.
        b.click(*b.pixel_free_place(on="p"))
        b.click(*b.pixel_free_place(on="q"), shift=True)
        self.page.click("#onward button:text-is('Hide')")
        b.settle()
        self.assertIn("Hid line p and line q", b.toast())
        self.assertEqual(sum(step.look.hidden for step in b.board.steps), 2)
        b.escape()
        b.click_point("D")
        b.open_drawer("look")
        self.page.fill("[data-rename]", "Fountain")
        self.page.press("[data-rename]", "Enter")
        b.settle()
        self.assertIn("Fountain is where p meets q", b.working())
        self.assertIn("Fountain‐A", " ".join(b.tags()))

        # It is all there after a reload; undo all the way back, redo all.
        whole = b.working()
        b.reload()
        self.assertEqual(b.working(), whole)
        undone = 0
        while self.page.is_enabled("#undo"):
            self.page.click("#undo")
            b.settle()
            undone += 1
        self.assertEqual(b.working(), [])
        self.assertGreaterEqual(undone, 14)
        self.assertTrue(self.page.is_visible("#empty"))
        b.reload()
        while self.page.is_enabled("#redo"):
            self.page.click("#redo")
            b.settle()
        self.assertEqual(b.working(), whole)


class HexagonTest(BrowserTest):
    """A hexagon stepped round a circle with compasses."""

    @long_walk
    def test_hexagon_by_compass(self):
        b = BoardPage(self.page, self.server.address).start("Hexagon")
        b.tool("cp")
        b.click(0, 0)
        b.click(3, 0)
        names = {"O": b.working()[0].split()[0], "A": b.working()[1].split()[0]}
        b.say()
        corner = lambda turn: (3 * math.cos(math.radians(turn)), 3 * math.sin(math.radians(turn)))
        self.page.check("#pin")
        for turn in (0, 60, 120, 180, 240):
            b.tool("cr")
            b.click(*corner(turn))
            b.click(0, 0)
            b.click(*corner(0))
            b.tool("px")
            b.click(corner(turn + 60)[0] + 0.03, corner(turn + 60)[1] - 0.03)
        self.page.uncheck("#pin")
        b.escape()
        points = [step for step in b.board.steps if step.makes == "point"]
        self.assertEqual(len(points), 7)
        circles = [step.id for step in b.board.steps if step.makes == "circle"][1:]

        # Six sides, then six angles, their points clicked in either order.
        for turn in range(0, 360, 60):
            b.tool("ls")
            b.click(*corner(turn))
            b.click(*corner(turn + 60))
        for turn in range(0, 360, 60):
            b.tool("ma")
            ends = [turn + 60, turn - 60] if turn % 120 else [turn - 60, turn + 60]
            for place in (ends[0], turn, ends[1]):
                b.click(*corner(place))
        angles = lambda: [board.value(step.id) for board in [b.board] for step in board.steps if step.does == "angle"]
        self.assertEqual([round(angle, 6) for angle in angles()], [120] * 6)
        self.assertEqual(sum("120.0°" in tag for tag in b.tags()), 6)

        # The helper circles are hidden in one go, picked from the working.
        b.open_drawer("working")
        for number, circle in enumerate(circles):
            self.page.click(f"#panel [data-id={circle}]", modifiers=["Shift"] if number else [])
        self.page.click("#onward button:text-is('Hide')")
        b.settle()
        b.escape()
        self.assertEqual(sum(step.look.hidden for step in b.board.steps), 5)

        # Round and round: no corner jumps, it stays regular.
        board = b.board
        last = {step.id: board.value(step.id) for step in points}
        centre = b.value(names["O"])
        rim = b.value(names["A"])
        self.page.mouse.move(*b.pixel(*rim))
        self.page.mouse.down()
        for turn in range(0, 370, 20):
            self.page.mouse.move(*b.pixel(centre[0] + 2.6 * math.cos(math.radians(turn)), centre[1] + 2.6 * math.sin(math.radians(turn))))
            self.page.wait_for_timeout(25)
            board = b.board
            now = {step.id: board.value(step.id) for step in points}
            for id in last:
                self.assertLess(distance(now[id], last[id]), 1.9, "a corner jumped")
            last = now
        self.page.mouse.up()
        b.settle()
        self.assertEqual([round(angle, 6) for angle in angles()], [120] * 6)
        b.drag_point(names["O"], (-1.5, 1.2), (0.7, -0.4))
        self.assertEqual([round(angle, 6) for angle in angles()], [120] * 6)


class TypingTest(BrowserTest):
    """The fountain by keyboard alone."""

    @long_walk
    def test_fountain_by_typing_only(self):
        b = BoardPage(self.page, self.server.address).start("Typed")
        keys = self.page.keyboard
        keys.press("/")

        def type_line(text):
            keys.type(text)
            keys.press("Enter")
            b.settle()

        for line in ("A is a free point at (-6, -3)", "B = (5, -2.5)", "the point at (-1, 4)", "the polygon through A, B and C",
                     "the perpendicular bisector of AB", "the perpendicular bisector of BC", "F is where p meets q",
                     "the circle with centre F through A", "the length of FA", "length of FB", "the distance from F to C",
                     "h = 0.5 * FA * FB", "α is the angle ABC"):  # fmt: skip
            type_line(line)
        self.assertEqual(len(b.board), 13)
        self.assertAlmostEqual(b.reading("h"), 0.5 * b.reading("FA") ** 2)

        # Completion: the ways to go on, taken with the arrow and Tab keys.
        keys.type("the midp")
        b.settle()
        self.assertEqual(self.page.locator("#ways li").all_inner_texts(), ["midpoint of …"])
        keys.press("Tab")
        b.settle()
        self.assertEqual(self.page.input_value("#typed"), "the midpoint of ")
        keys.type("A")
        b.settle()
        keys.press("ArrowDown")
        keys.press("Enter")
        b.settle()
        self.assertEqual(self.page.input_value("#typed"), "the midpoint of AB")
        keys.press("Enter")
        b.settle()
        self.assertIn("D is the midpoint of AB", b.working())

        # A tool by its keys, its gaps typed; then nudged by arrow keys.
        keys.press("Escape")
        b.tool("cr")
        keys.press("/")
        for text in ("D", "250 cm"):
            type_line(text)
        self.assertIn("c is the circle with centre D and radius 2.5", b.working())
        keys.press("Escape")
        self.page.focus("#panel [data-id=s3]")
        keys.press("Enter")
        before = b.value("C")
        for arrow in ("ArrowRight", "Shift+ArrowUp"):
            keys.press(arrow)
            b.settle()
        after = b.value("C")
        self.assertGreater(after[0], before[0])
        self.assertAlmostEqual(after[1] - before[1], 10 * (after[0] - before[0]))


class ClumsyTest(BrowserTest):
    """Slips: each gets a clear sentence, and nothing changes."""

    def test_slips(self):
        b = BoardPage(self.page, self.server.address).start("Clumsy")
        b.say("A = (-3, 0)", "B = (3, 0)", "k is the circle with centre A through B", "AB is the length of AB")
        b.escape()
        b.escape()
        before = b.working()

        def refused(*parts):
            words = b.toast() + b.pointer_words()
            for part in parts:
                self.assertIn(part, words)
            self.assertEqual(b.working(), before)

        # Escape half-way leaves nothing behind, the new point included.
        b.tool("ls")
        b.click(0, 3)
        self.assertIn("new point", b.sentence())
        b.escape()
        self.assertEqual(b.working(), before)
        self.assertIn("Drag a peg", b.sentence())

        # The same point twice for a line, and a double click.
        b.tool("ll")
        b.click_point("A")
        b.click_point("A")
        refused("A is picked already")
        b.escape()
        b.tool("ll")
        self.page.mouse.dblclick(*b.pixel(0, 2))
        b.settle()
        refused("picked already")
        b.escape()

        # The wrong kind for a gap.
        b.tool("lp")
        b.click(-3, 6)
        b.say("k")
        refused("k is a circle", "line, ray, segment or side")
        b.escape()
        self.assertEqual(self.page.input_value("#typed"), "", "the first Escape takes back what was typed")
        b.escape()
        b.tool("mr")
        b.move(8, 4)
        refused("A polygon, a circle, a sector, a chord region or a region is needed here")
        b.escape()

        # Typing.
        for text, part in {
            "A is a free point at (1, 1)": "A is the name of a point already",
            "v = 1/0": "divides by zero",
            "v = __import__('os')": "A formula cannot hold",
            "v = AB + AB * AB": "A length cannot be added to an area",
            "v = 2 * Q": "There is no reading called Q",
            "A" * 5000 + " is a free point at (1, 1)": "at most 4,000 characters",
            "C is a free point at (1e400, 0)": "too large",
            "C is a free point at (2; x)": "not a place",
            "hello": "“hello” is no word that is understood here",
        }.items():
            b.say(text)
            refused(part)
            self.assertEqual(self.page.input_value("#typed"), text, "what was typed stays, to be put right")
        self.page.fill("#typed", "")
        b.escape()

        # Names.
        b.click_point("B")
        b.open_drawer("look")
        for name, part in {
            "": "cannot be empty",
            "A": "already",
            "B" * 5000: "at most 24",
            "3x": "starts with a letter",
            "<b>": "starts with a letter",
        }.items():
            self.page.fill("[data-rename]", name)
            self.page.press("[data-rename]", "Enter")
            b.settle()
            refused(part)
        self.page.fill("[data-place]", "1e400, 2")
        self.page.press("[data-place]", "Enter")
        b.settle()
        refused("too large")
        self.page.fill("[data-place]", "two, 3")
        self.page.press("[data-place]", "Enter")
        b.settle()
        refused("Coordinates look like (2, 3)")
        self.page.fill("[data-place]", "3.5, −1")
        self.page.press("[data-place]", "Enter")
        b.settle()
        self.assertEqual(b.value("B"), (3.5, -1))
        self.page.click("#undo")
        b.settle()
        self.assertEqual(b.working(), before)

        # Dragging what is fixed says what it depends on; deleting names what goes along, and undo brings it back.
        b.escape()
        b.say("M is the midpoint of AB")
        b.escape()
        b.escape()
        with_m = b.working()
        b.drag_point("M", (1, 2), drop=False)
        self.assertIn("drag point A or point B", b.toast())
        self.assertEqual(len(b.lit()), 2)
        self.page.mouse.up()
        b.settle()
        self.assertEqual(b.working(), with_m)
        b.click_point("A")
        self.page.keyboard.press("Delete")
        b.settle()
        self.assertIn("and with it circle k, reading AB and point M", b.toast())
        self.assertEqual(len(b.board), 1)
        self.page.click("#toast button")
        b.settle()
        self.assertEqual(b.working(), with_m)
