"""Triangles: one area from three bases, and the nine posts."""

import math

from .board_page import BoardPage
from .served import BrowserTest, long_walk


class ThreeBasesTest(BrowserTest):
    """The area of a triangle from each of its three bases in turn, agreeing into the obtuse case."""

    @long_walk
    def test_three_bases(self):
        b = BoardPage(self.page, self.server.address).start("Three bases")
        corners = {"A": (-5, -3), "B": (5, -3), "C": (1, 4)}
        b.tool("sp")
        for place in corners.values():
            b.click(*place)
        self.page.keyboard.press("Enter")
        b.settle()
        middle = lambda p, q: ((p[0] + q[0]) / 2 + 0.13 * (q[0] - p[0]), (p[1] + q[1]) / 2 + 0.13 * (q[1] - p[1]))
        for name, (p, q) in {"C": "AB", "A": "BC", "B": "CA"}.items():
            b.tool("sa")
            b.click(*corners[name])
            b.click(*middle(corners[p], corners[q]))
        self.assertEqual(
            [line.split(" is ")[1] for line in b.working()[4:]],
            ["the altitude from C to AB", "the altitude from A to BC", "the altitude from B to CA"],
        )
        heights = [line.split()[0] for line in b.working()[4:]]
        b.say(*(f"the length of {height}" for height in heights))
        b.say(*(f"{name} = 0.5 * {base} * {height}" for name, base, height in zip("xyz", ("AB", "BC", "CA"), heights)))
        b.say("S is the area of ABC")
        b.escape()
        b.escape()
        for stops in ([(1, 4)], [(3, 2), (6, 1)], [(9, 2)], [(-8, 3)]):
            b.drag_point("C", *stops)
            areas = [b.reading(name) for name in "xyzS"]
            for area in areas:
                self.assertAlmostEqual(area, areas[0], places=9)
        texts = {tag.split("= ")[1] for tag in b.tags() if tag[0] in "xyzS"}
        self.assertEqual(len(texts), 1, "the three calculations and the area read alike")


class NinePostsTest(BrowserTest):
    """The demo lesson: nine points on one circle, whatever the corners do."""

    def test_nine_posts(self):
        b = BoardPage(self.page, self.server.address).open("nine posts")
        for stops in ([(-7, -1)], [(2, -2), (4, 3)]):
            b.drag_point("A", *stops)
            x, y, square = b.value("n")
            for post in "KLMDEFPQR":
                self.assertAlmostEqual(math.dist(b.value(post), (x, y)), math.sqrt(square), places=9)
            self.assertAlmostEqual(b.reading("share"), 2 / 3)
