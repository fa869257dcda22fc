"""Tending a figure in the browser: selection, looks, readings, labels, tabs, and nothing ever lost."""

import json
import re
import urllib.request

from playwright.sync_api import expect

from .board_page import BoardPage
from .served import BrowserTest, long_walk

FIGURE = ("A = (-4, -2)", "B = (4, -2)", "C = (1, 3)", "ABC is the polygon through A, B, C", "k is the circle with centre A through C",
          "α is the angle BAC", "area_ABC is the area of ABC")  # fmt: skip


class TendingTest(BrowserTest):
    def setUp(self):
        super().setUp()
        self.b = BoardPage(self.page, self.server.address).start("Tending")
        self.b.say(*FIGURE)
        self.b.escape()
        self.b.escape()

    def looks(self, part):
        board = self.b.board
        return {board.name(step.id): getattr(step.look, part) for step in board.steps if getattr(step.look, part) not in (None, False)}

    def test_many_things_at_once(self):
        b, page = self.b, self.page
        # A box takes what it encloses whole: the corners and the polygon, not the circle that reaches out of it.
        b.drag((-4.6, -2.7), (0, 0), (4.6, 3.6), drop=False)
        page.mouse.up()
        b.settle()
        self.assertTrue(b.sentence().startswith("point A, point B, point C and polygon ABC Say it"), b.sentence())
        b.open_drawer("look")
        page.click("[data-look=pen][title=plum]")
        b.settle()
        page.click("[data-look=label] >> text=without")
        b.settle()
        self.assertEqual(set(self.looks("pen")), {"A", "B", "C", "ABC"})
        self.assertEqual(b.names(), ["k"])
        page.click("#undo")
        page.click("#undo")
        b.settle()
        self.assertEqual(self.looks("pen"), {})
        # Click selects, click again lets go, Shift adds.
        b.escape()
        b.click_point("A")
        b.click_point("B", shift=True)
        self.assertIn("point A and point B", b.sentence())
        b.click_point("A", shift=True)
        self.assertIn("B is a free point", b.sentence())
        b.click_point("B")
        self.assertIn("Drag a peg", b.sentence())

    def test_dashes_fill_and_ghosts(self):
        b, page = self.b, self.page
        page.click("#panel .row-thing.whole >> nth=1")
        b.open_drawer("look")
        page.click("[data-look=pattern] >> text=dotted")
        b.settle()
        page.click("[data-look=fill] >> text=half")
        b.settle()
        page.click("[data-look=hidden]")
        b.settle()
        self.assertEqual((self.looks("pattern"), self.looks("fill"), self.looks("hidden")), ({"k": "dotted"}, {"k": 0.35}, {"k": True}))
        circle = b.board.find("k")
        self.assertNotIn(circle, b.visible_things())
        page.check("#ghosts")
        b.settle()
        self.assertIn(circle, b.visible_things())
        page.uncheck("#ghosts")
        b.open_drawer("working")
        page.click(".panel-foot >> text=Show all 1 hidden")
        b.settle()
        self.assertIn(circle, b.visible_things())
        b.say("D is a point on k at 200")
        page.click("#tidy")
        b.settle()
        self.assertIn("Hid circle k", b.toast())
        page.click("#toast button")
        b.settle()
        self.assertIn(circle, b.visible_things())

    def test_a_locked_point_says_so(self):
        b, page = self.b, self.page
        b.click_point("B")
        b.open_drawer("look")
        page.click("[data-look=locked]")
        b.settle()
        b.escape()
        b.drag_point("B", (6, 0), drop=False)
        self.assertIn("point B is locked", b.toast())
        page.mouse.up()
        self.assertEqual(b.value("B"), (4, -2))
        b.click_point("B")
        page.wait_for_timeout(300)
        page.click("[data-look=locked]")
        b.settle()
        b.drag_point("B", (5, 0))
        self.assertEqual([round(part, 1) for part in b.value("B")], [5, 0])

    def test_readings_tick_and_the_angle_flips(self):
        b, page = self.b, self.page
        b.open_drawer("readings")
        panel = lambda: " ".join(page.locator("#panel").inner_text().split())
        self.assertIn("area ABC = 20.00 m²", panel())
        b.drag_point("C", (1, 4), (1, 5), drop=False)
        self.assertIn("area ABC = 28.00 m²", panel())
        self.assertIn("area ABC = 28.00 m²", b.tags())
        page.mouse.up()
        b.settle()
        small = b.reading("α")
        page.click("#panel >> text=reflex")
        b.settle()
        self.assertAlmostEqual(b.reading("α"), 360 - small)
        self.assertIn("the reflex angle BAC", panel())
        page.click("[data-look=tag] >> nth=0")
        b.settle()
        self.assertEqual(len(b.tags()), 1)
        page.fill("#formula", "h = 0.5 * AB * 7")
        page.press("#formula", "Enter")
        expect(page.locator("#panel")).to_contain_text(re.compile(r"h\s*=\s*28\.00 m"))
        page.fill("#formula", "1/0")
        page.press("#formula", "Enter")
        b.settle()
        self.assertIn("divides by zero", b.toast())

    @long_walk
    def test_sliding_and_degenerate(self):
        b = self.b
        b.say(
            "P is a point on k at 60",
            "AB is the segment from A to B",
            "AC is the segment from A to C",
            "q is the perpendicular bisector of AB",
            "D is where q meets AC",
        )
        b.escape()
        b.escape()
        b.drag_point("P", (-2, 5.8), (-4, 5.6))
        place, centre, radius = b.value("P"), b.value("A"), b.value("k")[2] ** 0.5
        self.assertAlmostEqual(place[0], centre[0], places=1)
        self.assertAlmostEqual(place[1], centre[1] + radius, places=1)
        self.assertIsNotNone(b.value("D"))
        b.drag_point("C", (-3, 3))
        self.assertIsNone(b.value("D"), "the segment no longer reaches the bisector")
        crossing = b.board.find("D")
        self.assertNotIn(crossing, b.visible_things())
        b.open_drawer("working")
        self.assertIn("not there now", self.page.inner_text("#panel"))
        b.drag_point("C", (1, 3))
        self.assertIn(crossing, b.visible_things())

    def test_labels_are_dragged_view_is_kept(self):
        b, page = self.b, self.page
        x, y = b.label_pixel("C")
        page.mouse.move(x, y)
        page.mouse.down()
        page.mouse.move(x + 60, y - 30, steps=4)
        page.mouse.up()
        b.settle()
        self.assertEqual(set(self.looks("label_offset")), {"C"})
        view = b.board.settings.view
        page.mouse.move(*b.pixel(0, 0))
        page.mouse.wheel(0, -400)
        page.wait_for_timeout(500)
        zoomed = b.board.settings.view
        self.assertLess(zoomed[2] - zoomed[0], view[2] - view[0])
        page.mouse.move(*b.pixel(2, 2))
        page.mouse.down(button="middle")
        page.mouse.move(700, 300, steps=3)
        page.mouse.up(button="middle")
        page.click("#fit")
        page.wait_for_timeout(500)
        left, low, right, high = b.board.settings.view
        self.assertTrue(left < -9.9 < right and low < -7.9 and high > 4.9, "the whole circle is in view")
        b.reload()
        self.assertEqual([round(part, 6) for part in b.board.settings.view], [round(part, 6) for part in (left, low, right, high)])
        b.open_drawer("look")
        page.click("[data-arrange=ground][data-value=blank]")
        b.settle()
        self.assertEqual(b.board.settings.ground, "blank")


class NothingLostTest(BrowserTest):
    @long_walk
    def test_a_second_tab_and_a_killed_server(self):
        b = BoardPage(self.page, self.server.address).start("Kept")
        b.say(*FIGURE[:4])
        second = self.open_page()
        second.goto(self.page.url)
        second.wait_for_selector("#saved:text-is('Saved')")
        b.say("M is the midpoint of AB")
        second.wait_for_selector("#panel >> text=is the midpoint of AB")
        self.page.fill("#title", "Kept for good")
        self.page.press("#title", "Enter")
        b.settle()
        b.escape()
        b.drag_point("C", (2, 2))
        before = b.working()
        self.server.kill()
        self.page.wait_for_selector("#saved:has-text('Not connected')")
        self.page.wait_for_selector("#toast:has-text('what was saved is safe')")
        self.page.click("#undo")
        self.page.wait_for_selector("#toast:has-text('so that was not taken in')")
        self.server.start()
        self.page.wait_for_selector("#toast:has-text('as it was last saved')")
        self.page.wait_for_selector("#saved:text-is('Saved')")
        self.assertEqual(b.working(), before)
        b.reload()
        self.assertEqual(self.page.input_value("#title"), "Kept for good")
        self.page.click("#undo")
        b.settle()
        self.assertEqual(b.value("C"), (1, 3))
        second.wait_for_selector("#saved:text-is('Saved')")
        second.wait_for_timeout(300)
        self.assertEqual(second.locator("#seen li").count(), 5)

    def test_page_weight(self):
        """Everything that a first visit loads, as it is sent: at most 220 kB, our own script at most 60 kB, and in few pieces, since a
        slow line waits for each."""
        sizes = {}
        client = self.page.context.new_cdp_session(self.page)
        client.send("Network.enable")
        addresses = {}
        client.on("Network.responseReceived", lambda event: addresses.update({event["requestId"]: event["response"]["url"]}))
        client.on(
            "Network.loadingFinished", lambda event: sizes.update({addresses.get(event["requestId"], "?"): event["encodedDataLength"]})
        )
        lines = []
        self.page.on("websocket", lambda line: lines.append(line.url))
        BoardPage(self.page, self.server.address).open("Three taps")
        self.assertEqual(len(lines), 1, "the line that was opened before the script was there is the line")
        own = {address: size for address, size in sizes.items() if address.endswith(".js") and "/vendor/" not in address}
        self.assertGreater(sum(own.values()), 20_000)
        self.assertLess(sum(sizes.values()), 220_000, sizes)
        self.assertLess(sum(own.values()), 60_000, own)
        self.assertLess(sum("/static/" in address for address in sizes), 15, sizes)
        with urllib.request.urlopen(self.server.address + "/lesson.schema.json") as answer:
            self.assertIn("properties", json.load(answer))

    def test_the_board_has_its_room(self):
        b = BoardPage(self.page, self.server.address).open("The leaning arch")
        self.assertGreaterEqual(b.frame["width"] * b.frame["height"], 0.55 * 1280 * 800)
