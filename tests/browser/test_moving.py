"""Turning, repeating and moving things, with real mouse and keys."""

import math

from .board_page import BoardPage
from .served import BrowserTest, long_walk


class MovingTest(BrowserTest):
    def start(self, title):
        self.b = BoardPage(self.page, self.server.address).start(title)
        return self.b

    def dial(self, value):
        """Turn the board's dial to a value."""
        self.page.locator("#dials input").fill(str(value))
        self.page.wait_for_selector("#saved:text-is('Saved')")
        self.b.settle()

    def check_image(self, image, of, rule):
        self.assertLess(math.dist(self.b.value(image), rule(*self.b.value(of))), 1e-6)

    @long_walk
    def test_an_eight_sided_tile_is_turned_by_a_dial_and_repeated(self):
        b = self.start("Tile")
        b.tool("cp")
        b.click(3, 0)
        b.click(5, 0)
        for keys in ("lh", "lu"):
            b.tool(keys)
            b.click(3, 0)
        b.tool("lz")
        b.click(6.5, 0)
        b.click(3, 3.5)
        lines = [b.board.name(step.id) for step in b.board.steps if step.makes == "line"]
        self.assertEqual(len(lines), 4)
        for number in range(1, 8):
            turn = math.radians(45 * number)
            near = (3 + 2 * math.cos(turn), 2 * math.sin(turn))
            line = next(name for name in lines if abs(b.value(name)[2] * math.sin(turn) - b.value(name)[3] * math.cos(turn)) < 1e-6)
            self.b.mark_crossing("k", line, near)
        b.tool("sp")
        for name in "BCDEFGHI":
            b.click_point(name)
        self.page.keyboard.press("Enter")
        b.settle()
        self.assertEqual(b.working()[-1].split(" is ")[1], "the polygon through B, C, D, E, F, G, H, I")
        self.page.click("#tidy")
        b.settle()
        for pair in ("BE", "CG"):
            b.tool("ls")
            for name in pair:
                b.click_point(name)
        self.b.mark_crossing("BE", "CG", (3, 1))
        b.say("t is an angle dial from 0 to 360 in steps of 1 at 45")
        b.escape()
        b.tool("tr")
        b.click_point("J")
        self.page.click("#onward .way:text-is('t')")
        b.settle()
        self.assertIn("the rotation about J by t degrees", b.working()[-1])
        rotation = b.working()[-1].split()[0]
        b.tool("fa")
        b.click(3, -1.2)
        self.page.keyboard.press("Enter")
        b.settle()
        self.page.click(f"#onward .way:text-is('{rotation}')")
        b.settle()
        b.say("7 times")
        family = b.board.steps[-1]
        self.assertEqual((family.does, len(b.board.values[-1])), ("family", 7))
        b.say("m is the motion of t, to and fro, in 2 seconds")
        b.escape()
        b.escape()
        self.page.click("#dials .motion button")
        self.page.wait_for_timeout(900)
        seen = {self.page.inner_text("#dials .dial-value") for _ in range(6) if self.page.wait_for_timeout(60) is None}
        self.assertGreater(len(seen), 2, "the dial turns by itself")
        self.page.click("#dials .motion button")
        self.page.wait_for_selector("#saved:text-is('Saved')")
        b.settle()
        stopped = b.reading("t")
        self.assertEqual(self.page.inner_text("#dials .dial-value"), f"{stopped:.0f}°")
        for value in (45, 135):
            self.dial(value)
            self.assertEqual(b.reading("t"), value)
            rows = b.board.value(family.id).rows
            self.assertAlmostEqual(abs(rows[7 - 1][0] - math.cos(math.radians(7 * value))), 0)
        self.page.keyboard.press("Control+z")
        b.settle()
        self.assertEqual(b.reading("t"), 45)

    @long_walk
    def test_ten_posts_by_one_key_on_a_dark_board(self):
        b = self.start("Ten posts")
        b.say("O=(0,0)", "A=(0,4)", "k is the circle with centre O through A", "r is the rotation about O by 36 degrees")
        b.escape()
        b.escape()
        name = "A"
        for _ in range(9):
            b.escape()
            b.click_point(name)
            self.page.keyboard.press("1")
            b.settle()
            name = b.board.name(b.board.steps[-1].id)
        images = [step for step in b.board.steps if step.does == "image_point"]
        self.assertEqual(len(images), 9)
        self.assertAlmostEqual(math.dist(b.value(name), b.value("A")), 8 * math.sin(math.radians(18)), places=6)
        b.say(f"the segment from A to {b.board.name(images[2].id)}", "m is the line through O and A", "s is the reflection in m")
        chord = next(b.board.name(step.id) for step in b.board.steps if step.does == "segment")
        b.say(f"the images of {chord} under s", f"f is the family of {chord} under r, 9 times")
        b.say(
            "t is an angle dial from 0 to 36 in steps of 1 at 12",
            "w is the rotation about O by t degrees",
            "g is the family of f under w, 2 times",
        )
        b.escape()
        b.escape()
        self.page.click("#tab-working")
        self.page.wait_for_timeout(300)
        self.page.click(f".working [data-id={b.board.find('g')}]")
        b.open_drawer("look")
        self.page.click("[data-look=pen][title=straw]")
        b.settle()
        b.escape()
        self.page.wait_for_timeout(300)
        self.page.click("[data-arrange=paper]:text-is('dark')")
        b.settle()
        self.page.click("[data-gather=points]")
        b.settle()
        self.page.click("#onward button:text-is('Hide')")
        b.settle()
        board = b.board
        self.assertEqual(board.settings.paper, "dark")
        self.assertTrue(all(step.look.hidden for step in board.steps if step.makes == "point"))
        self.assertEqual(board.step(board.find("g")).look.pen, "straw")
        self.assertEqual(len(board.value(board.find("g"))), 2)

    @long_walk
    def test_a_bed_in_three_mirrors(self):
        b = self.start("Mirrors")
        for place in ((-5, -3), (-2, -2), (-2.5, 1), (-6, 0.5)):
            b.tool("pp")
            b.click(*place)
        b.tool("sp")
        for name in "ABCD":
            b.click_point(name)
        self.page.keyboard.press("Enter")
        b.settle()
        b.say("x = 4")
        b.escape()
        b.tool("tm")
        b.click(4, 3)
        b.escape()
        b.click(-4, -1)
        self.page.keyboard.press("1")
        b.settle()
        self.check_image("A′", "A", lambda x, y: (8 - x, y))
        b.tool("pp")
        b.click(0, -4)
        b.tool("lh")
        b.click(0, -4)
        point = next(b.board.name(step.id) for step in reversed(b.board.steps) if step.makes == "point" and step.moves)
        b.tool("tm")
        b.click(-7, -4)
        b.escape()
        b.click(-4, -1)
        self.page.keyboard.press("1")
        b.settle()
        image = b.working()[-5].split()[0]
        b.drag_point(point, (0, -2.8))
        self.check_image(image, "A", lambda x, y: (x, 2 * b.value(point)[1] - y))
        b.drag_point("A", (-6, -2))
        self.check_image("A′", "A", lambda x, y: (8 - x, y))
        self.check_image(image, "A", lambda x, y: (x, 2 * b.value(point)[1] - y))
        b.say("U=(-1,-5)", "V=(1.5,5)", "m is the line through U and V", "z is the reflection in m", "the images of ABCD under z")
        b.escape()
        b.escape()
        last = b.board.steps[-2]
        of = b.board.name(last.fills["of"][0])
        b.drag_point("V", (0, 4.5))
        mid = [(p + q) / 2 for p, q in zip(b.value(of), b.board.value(last.id))]
        px, py, dx, dy = b.value("m")[:4]
        self.assertAlmostEqual(dx * (mid[1] - py) - dy * (mid[0] - px), 0, places=6)
        b.drag(b.board.value(last.id), (3, 3))
        self.assertIn("is the image of", b.toast(), "an image says what it comes from")

    @long_walk
    def test_multiples_of_a_vector_and_a_petal_by_an_angle(self):
        b = self.start("Multiples")
        b.say(
            "P=(-6,3)",
            "Q=(-4,4)",
            "u is the vector from P to Q",
            "A=(-6,-2)",
            "B=(-5,-2.5)",
            "C=(-5,-1)",
            "ABC is the polygon through A, B, C",
        )
        b.escape()
        b.tool("tv")
        b.click(-5, 3.5)
        t = b.working()[-1].split()[0]
        b.say(f"f is the family of ABC under {t}, for 0.5, 2, 3")
        rows = b.board.value(b.board.find("f")).rows
        self.assertEqual([tuple(row[4:]) for row in rows], [(1.0, 0.5), (4.0, 2.0), (6.0, 3.0)])
        b.escape()
        b.drag_point("Q", (-4, 3))
        self.assertEqual([tuple(row[4:]) for row in b.board.value(b.board.find("f")).rows], [(1.0, 0.0), (4.0, 0.0), (6.0, 0.0)])
        b.say("O=(3,-1)", "D=(7,-4)", "E=(5,-4)", "F=(7,-3)", "G=(4.5,-1)", "petal is the arc with centre O from G to F")
        b.escape()
        b.tool("ta")
        b.click(3, -1)
        for name in "DEF":
            b.click_point(name)
        self.assertIn("is the rotation about O by the angle DEF", b.working()[-1])
        r = b.working()[-1].split()[0]
        for times in range(1, 7):
            b.say(f"family{times} is the family of petal under {r}, {times} times")
            self.assertEqual(len(b.board.values[-1]), times)
        angle = math.atan2(1, 2)
        self.assertAlmostEqual(b.board.values[-1].rows[5][0], math.cos(6 * angle))

    def test_a_parabola_as_trail_and_envelope(self):
        b = BoardPage(self.page, self.server.address).open("cook")
        self.page.click(".tabs a:has-text('By folding')")
        b._ready()
        self.page.fill("#typed", "v is the envelope of f as T runs")
        self.page.press("#typed", "Enter")
        b.settle()
        for sentence in ("n is the conic that v is", "e_n is the eccentricity of n", "m is the motion of T, to and fro, in 2 seconds"):
            self.page.fill("#typed", sentence)
            self.page.press("#typed", "Enter")
            b.settle()
        b.escape()
        b.escape()
        self.page.click("#tab-working")
        self.page.wait_for_timeout(300)
        self.page.click(".working .row-thing:has-text('perpendicular bisector')")
        b.open_drawer("look")
        self.page.click("[data-look=trail]:text-is('8 s')")
        b.settle()
        b.escape()
        self.page.keyboard.press(".")
        self.page.wait_for_selector("#saved:text-is('Running…')")
        self.page.wait_for_timeout(1500)
        # While it runs, the focus is dragged.
        x, y = b.pixel(0, 0.5)
        self.page.mouse.move(x, y)
        self.page.mouse.down()
        self.page.mouse.move(x, y - 50, steps=8)
        self.page.wait_for_timeout(200)
        tags = b.tags()
        self.page.mouse.up()
        self.assertIn("e n = 1.00", tags)
        self.page.wait_for_timeout(300)
        self.page.keyboard.press(".")
        self.page.wait_for_selector("#saved:text-is('Saved')")
        self.page.keyboard.press("Escape")
        b.open_drawer("motions")
        self.page.click("#clear-trails")
        self.page.click("text=From the beginning")
        self.page.wait_for_timeout(400)
        self.page.click("text=Stop")
        self.page.wait_for_selector("#saved:text-is('Saved')")
