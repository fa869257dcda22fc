"""The display list says where things are, and every drawing of it agrees."""

import math
import re
import unittest
from xml.etree import ElementTree

from ruddy_trellis.core.display import Extent, display
from ruddy_trellis.core.display.palette import PENS, SIZES
from ruddy_trellis.core.display.text import shown_name, value_text
from ruddy_trellis.core.edits import Arrange, Restyle, perform
from ruddy_trellis.core.edits.models import LookChanges
from ruddy_trellis.core.language.printing import rounded_text, why_absent
from ruddy_trellis.drawings.svg import svg

from .figures import TRIANGLE, figure

EXTENT = Extent(-10, -6, 10, 6)


def items_of(f, extent=EXTENT):
    return {f.board.name(item["id"]): item for item in display(f.board, extent)}


class UnitTest(unittest.TestCase):
    def test_a_reading_in_another_unit(self):
        f = figure("A = (0, 0)\nB = (3, 4)\nC = (3, 0)\nd is the distance from A to B\nS is the area of ABC\nα is the angle BAC")
        perform(f.board, Arrange(unit="m"))
        for name, unit, text in (("d", "cm", "500.00 cm"), ("S", "cm", "60000.00 cm²"), ("d", "km", "0.01 km"), ("α", "cm", "53.1°")):
            id = f.board.find(name)
            perform(f.board, Restyle(ids=[id], look=LookChanges(unit=unit)))
            self.assertEqual(value_text(f.board, id).replace("\u202f", ""), text)


class ItemsTest(unittest.TestCase):
    def test_lines_are_cut_outside_the_view_and_named_inside(self):
        f = figure(
            "A=(0,0)\nB=(1,0.25)\np is the line through A and B\nr is the ray from A through B\nC=(0,900)\nD=(1,900)\n"
            "q is the line through C and D"
        )
        items = items_of(f)
        for name in "pr":
            x1, y1, x2, y2 = items[name]["shape"]["points"]
            self.assertAlmostEqual(y1, x1 / 4)
            self.assertAlmostEqual(y2, x2 / 4)
            self.assertTrue(10 < x2 < 20, "it reaches beyond the view, but not far")
            x, y = items[name]["label"]["at"]
            self.assertTrue(-10 < x < 10 and -6 < y < 6)
        self.assertEqual(items["r"]["shape"]["points"][:2], (0, 0))
        self.assertIsNone(items["q"]["shape"], "it is nowhere near the view")

    def test_an_angle_is_drawn_between_its_arms(self):
        f = figure("A=(4,0)\nB=(0,0)\nC=(0,3)\nα is the angle ABC\nβ is the reflex angle ABC\nD=(3,3)\nγ is the angle DBA")
        items = items_of(f)
        self.assertEqual((items["α"]["shape"]["start"], items["α"]["shape"]["sweep"], items["α"]["shape"]["right"]), (0, 90, True))
        self.assertEqual((items["β"]["shape"]["sweep"], items["β"]["shape"]["right"]), (-270, False))
        self.assertEqual((round(items["γ"]["shape"]["start"]), round(items["γ"]["shape"]["sweep"])), (45, -45))
        for name, (x, y) in {"α": (1, 1), "β": (-1, -1)}.items():
            push = items[name]["label"]["push"]
            self.assertGreater(push[0] * x + push[1] * y, 0, "the tag stands inside its angle")

    def test_pegs_show_how_they_move(self):
        f = figure(
            TRIANGLE + "k is the circle with centre A through B\nP is a point on k at 90\nAB is the segment from A to B\n"
            "Q is a point on AB at 0.5\nM is the midpoint of AB"
        )
        items = items_of(f)
        self.assertEqual([items[name]["style"]["peg"] for name in "APQM"], ["free", "sliding", "sliding", "fixed"])
        self.assertAlmostEqual(items["P"]["shape"]["turn"] % 180, 0, msg="along the circle")
        self.assertAlmostEqual(items["Q"]["shape"]["turn"], math.degrees(math.atan2(1, 6)))

    def test_names_stand_away_from_what_meets_there(self):
        f = figure("A=(0,0)\nB=(4,0)\nC=(2,3)\nABC is the polygon through A, B, C")
        items = items_of(f)
        for name, inwards in {"A": (2, 1), "B": (-2, 1), "C": (0, -3)}.items():
            push = items[name]["label"]["push"]
            self.assertLess(push[0] * inwards[0] + push[1] * inwards[1], 0)

    def test_tags_with_one_middle_stand_apart_and_words_beside_their_line(self):
        f = figure(
            "A=(-4,-3)\nB=(4,-3)\nC=(4,3)\nD=(-4,3)\nABCD is the polygon through A, B, C, D\nE is the midpoint of AB\n"
            "F is the midpoint of BC\nG is the midpoint of CD\nH is the midpoint of DA\nEFGH is the polygon through E, F, G, H\n"
            "the area of ABCD\nthe area of EFGH\nP=(-9,-5)\nQ=(-8,5)\np is the line through P and Q"
        )
        tags = [item["label"] for item in display(f.board, EXTENT) if item["kind"] == "number"]
        self.assertEqual(tags[0]["at"], tags[1]["at"])
        apart = abs(tags[0]["push"][1] - tags[1]["push"][1]) * SIZES["push"]
        self.assertGreater(apart, 1.6 * SIZES["tag"], "one tag is no higher than this")
        perform(f.board, Restyle(ids=[f.board.find("p"), f.board.find("ABCD")], look={"caption": "edge of the pond", "label": True}))
        items = items_of(f)
        off = math.hypot(*items["p"]["label"]["push"]) * SIZES["push"]
        self.assertGreater(off, 60, "half of the words is wider than that, and the line is steep")
        self.assertEqual(items["ABCD"]["label"]["text"], "edge of\nthe pond")
        self.assertEqual(svg(display(f.board, EXTENT), EXTENT, 1000, 600).count(">the pond</text>"), 1)

    def test_an_image_looks_like_what_it_comes_from(self):
        f = figure(f"{TRIANGLE}\nABC is the polygon through A, B, C\nt is the rotation about A by 60 degrees")
        perform(f.board, Restyle(ids=[f.board.find("ABC"), f.board.find("B")], look={"pen": "plum", "fill": 0.4, "hidden": True}))
        f.say("the images of B and ABC under t")
        image = next(step for step in reversed(f.board.steps) if step.makes == "polygon")
        self.assertEqual((image.look.pen, image.look.fill, image.look.hidden), ("plum", 0.4, False))
        self.assertEqual(f.board.step(f.board.find("B′")).look.pen, "plum")

    def test_what_is_not_there_says_why(self):
        f = figure(
            "A=(0,0)\nB=(1,0)\nC=(5,5)\nk is the circle with centre A through B\np is the line through C and B\n"
            "D is where k meets p again, other than B\n"
            "c is the circle with centre C through B\nE is where k meets c, first crossing\nM is the midpoint of E and A"
        )
        perform(f.board, Arrange(decimals=3))
        f.drag("B", 0, 0)
        items = items_of(f)
        self.assertIsNone(items["k"]["shape"])
        self.assertEqual(why_absent(f.board, f.board.find("k")), "its centre and its point coincide")
        self.assertEqual(why_absent(f.board, f.board.find("M")), "E is not there")

    def test_values_in_words(self):
        f = figure(
            TRIANGLE
            + "AB is the length of AB\nα is the angle ABC\nABC is the polygon through A, B, C\nS is the area of ABC\nv = AB / AB\nw = AB^3",
            unit="m",
        )
        texts = {f.board.name(step.id): value_text(f.board, step.id) for step in f.board.steps if step.is_reading}
        self.assertEqual(texts, {"AB": "6.08 m", "α": "54.5°", "S": "14.00 m²", "v": "1.00", "w": "225.06 m³"})
        perform(f.board, Restyle(ids=[f.board.find("S")], look={"decimals": 0}))
        perform(f.board, Arrange(unit=""))
        self.assertEqual(value_text(f.board, f.board.find("S")), "14")
        self.assertEqual([rounded_text(number, 1) for number in (-0.04, -1.25, 2.0)], ["0.0", "−1.3", "2.0"])
        self.assertEqual([shown_name(name) for name in ("A_12", "area_ABC", "B′")], ["A₁₂", "area ABC", "B′"])


class SvgTest(unittest.TestCase):
    def test_the_picture_shows_the_list_to_scale(self):
        f = figure(
            "A=(0,0)\nB=(4,0)\nk is the circle with centre A through B\nAB is the length of AB\nC=(0,2)\np is the line through A and C"
        )
        perform(f.board, Restyle(ids=[f.board.find("p")], look={"hidden": True}))
        picture = ElementTree.fromstring(svg(display(f.board, EXTENT), EXTENT, 400, 240, ground="#fff"))
        tag = lambda name: picture.findall("{http://www.w3.org/2000/svg}" + name)
        (circle,) = (one for one in tag("circle"))
        self.assertEqual([float(circle.get(part)) for part in ("cx", "cy", "r")], [200, 120, 80])
        self.assertEqual(circle.get("stroke"), PENS["ruddy"][0])
        self.assertEqual(sorted(text.text for text in tag("text")), ["A", "AB = 4.00 m".replace(" m", ""), "B", "C", "k"])
        self.assertEqual(len([path for path in tag("path") if "Z" not in path.get("d").upper()]), 0, "the hidden line is not drawn")

    def test_every_tool_has_an_icon_of_its_own(self):
        from ruddy_trellis.web.shelf import icon, shelf  # of the server, where all else of this file needs none

        icons = {tool.key: icon(tool.key) for _, tools in shelf() for tool in tools}
        self.assertGreaterEqual(len(icons), 20)
        for key, picture in icons.items():
            with self.subTest(key):
                ElementTree.fromstring(str(picture))
                self.assertIn(PENS["ruddy"][0], picture, "what the tool makes stands out")
                self.assertFalse(re.search(r"nan|inf", picture))
        self.assertEqual(len(set(icons.values())), len(icons))
