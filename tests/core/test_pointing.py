"""What a click takes, what it says before, what a grab moves, what a selection could become."""

import math
import random
import unittest
from math import cos, radians, sin

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.arithmetic import FLOATS
from ruddy_trellis.core.board.nearest import distance_to_path
from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.core.display import Extent, display
from ruddy_trellis.core.edits import perform, read_edit
from ruddy_trellis.core.formulas import conics
from ruddy_trellis.core.kinds import CONIC
from ruddy_trellis.core.pointing.dragging import grab
from ruddy_trellis.core.pointing.offers import offers
from ruddy_trellis.core.pointing.picking import look_under
from ruddy_trellis.core.pointing.preview import preview
from ruddy_trellis.core.pointing.prompt import Prompt
from ruddy_trellis.core.pointing.taking import what_at
from ruddy_trellis.core.truth.loose_ends import loose_ends

from .figures import distance, figure

FIGURE = (
    "A=(0,0)\nB=(6,0)\nC=(2,4)\nABC is the polygon through A, B, C\nk is the circle with centre A through C\n"
    "p is the line through B and C\nM is the midpoint of AB"
)
NEAR = 0.2
EXTENT = Extent(-10, -6, 10, 6)


class PickingTest(unittest.TestCase):
    def test_a_click_ties_to_what_it_says(self):
        board = figure(FIGURE).board
        for at, words, does in (
            ((3.05, 0.1), "a new point on side AB", "point_on"),
            ((-4.47, 0.1), "a new point on circle k", "point_on"),
            ((4.5, 0.05), "where AB meets k", "intersection"),
            ((8, 4), "a new free point here", "free_point"),
            ((5, 1.05), "a new point on line p", "point_on"),
        ):
            under = look_under(board, at, NEAR)
            with self.subTest(words):
                self.assertEqual((under.new_point.words, under.new_point.does), (words, does))
                self.assertLess(distance(under.new_point.at, at), NEAR * 1.5)

    def test_the_crossing_nearest_the_click_and_the_other_one(self):
        f = figure(FIGURE)
        # C is on k and on p already, so the far crossing is "again, other than C".
        far = figure(FIGURE + "\nD is where p meets k again, other than C").value("D")
        under = look_under(f.board, far, NEAR)
        self.assertEqual((under.new_point.does, under.new_point.words), ("other_intersection", "where k meets p again"))

    def test_hidden_things_are_not_caught(self):
        f = figure(FIGURE)
        perform(f.board, read_edit({"kind": "restyle", "ids": [f.board.find("p")], "look": {"hidden": True}}))
        self.assertEqual(look_under(f.board, (5, 1), NEAR).new_point.words, "a new point on side BC")


class PromptTest(unittest.TestCase):
    def fill(self, board, key, *places):
        prompt = Prompt.of(key)
        for at in places:
            prompt.take(what_at(prompt, board, at, NEAR), at)
        return prompt

    def made(self, key, *places):
        f = figure(FIGURE)
        prompt = self.fill(f.board, key, *places)
        self.assertTrue(prompt.is_complete(f.board))
        perform(f.board, prompt.edit(f.board))
        return f.working().splitlines()[7:]

    def test_gaps_are_filled_in_any_order_that_fits(self):
        wanted = ["q is the perpendicular to p through A"]
        self.assertEqual(self.made("perpendicular", (5, 1), (0, 0)), wanted)
        self.assertEqual(self.made("perpendicular", (0, 0), (5, 1)), wanted)
        self.assertEqual(self.made("perpendicular", (0, 0), (2, 4), (6, 0)), ["q is the perpendicular to CB through A"])

    def test_new_points_come_with_the_sentence(self):
        self.assertEqual(
            self.made("segment", (8, 4), (5, 1)),
            ["D is a free point at (8, 4)", "E is a point on p at 0.25", "DE is the segment from D to E"],
        )

    def test_the_point_tools(self):
        self.assertEqual(self.made("free_point", (8, 4)), ["D is a free point at (8, 4)"])
        self.assertEqual(self.made("point_on", (5, 1)), ["D is a point on p at 0.25"])

    def test_two_paths_then_the_crossing_near_the_last_click(self):
        lines = self.made("intersection", (5, 1), (0.0, 4.4721))
        self.assertEqual(len(lines), 1)
        self.assertIn("again, other than C", lines[0])

    def test_a_conic_is_never_nearer_than_it_is_seen_to_be_at_the_least(self):
        chance = random.Random(25)
        for _ in range(150):
            e, turn = chance.choice([0.0, 0.4, 0.9, 1.0, 1.7]), chance.uniform(0, 360)
            conic = (chance.uniform(-3, 3), chance.uniform(-3, 3), e * cos(radians(turn)), e * sin(radians(turn)), chance.uniform(0.3, 4))
            at = (chance.uniform(-9, 9), chance.uniform(-9, 9))
            least = conics.least_distance(FLOATS, conic, at)
            self.assertLessEqual(least, distance_to_path(CONIC, conic, at) + 1e-6)
            if least > 0:
                self.assertEqual(distance_to_path(CONIC, conic, at, within=least * 0.99), float("inf"))
            there = conics.point_on_conic(FLOATS, conic, turn + 60)
            self.assertLess(distance_to_path(CONIC, conic, there, within=0.01), 0.01, "on it, it is found")

    def test_the_name_of_what_is_shown_ahead_stands_where_it_will(self):
        prompt, pushes = Prompt(CATALOGUE["free_point"]), set()
        for at in ((3.0, 3.0), (0.3, 0.3), (-0.4, 0.2), (0.1, -0.5), (6.2, 0.4)):
            f = figure("A=(0,0)\nB=(6,0)")
            (ahead,) = preview(prompt, f.board, what_at(prompt, f.board, at, 0.05), at, EXTENT)
            f.say(f"C=({at[0]},{at[1]})")
            made = display(f.board, EXTENT)[-1]
            self.assertEqual((ahead["shape"], ahead["label"]), (made["shape"], made["label"]))
            pushes.add(tuple(made["label"]["push"]))
        self.assertGreater(len(pushes), 1, "some keep clear of the name of A")

    def test_a_polygon_closes_on_its_first_corner_new_ones_too(self):
        f = figure(FIGURE)
        prompt = self.fill(f.board, "polygon", (8, 4), (9, 1), (6, 0))
        self.assertFalse(prompt.is_complete(f.board))
        with self.assertRaises(Refusal):
            what_at(prompt, f.board, (9, 1), NEAR)
        taking = what_at(prompt, f.board, (8.05, 4), NEAR)
        self.assertTrue(taking.closes)
        self.assertEqual([item["kind"] for item in preview(prompt, f.board, taking, (8, 4), EXTENT)], ["point", "point", "polygon"])
        self.assertEqual(len(f.board), 7, "looking ahead changes nothing")
        prompt.take(taking)
        perform(f.board, prompt.edit(f.board))
        self.assertEqual(f.working().splitlines()[-1], "DEB is the polygon through D, E, B")

    def test_taking_back_and_typing(self):
        f = figure(FIGURE)
        prompt = self.fill(f.board, "circle_radius", (0, 0))
        self.assertTrue(prompt.drop_last())
        self.assertFalse(prompt.drop_last())
        prompt.type("B", f.board)
        with self.assertRaises(Refusal):
            prompt.type("k", f.board)
        prompt.type("AC", f.board)
        perform(f.board, prompt.edit(f.board))
        self.assertEqual(f.working().splitlines()[-1], "c is the circle with centre B and radius AC")

    def test_a_typed_text_goes_where_it_fits(self):
        f = figure(FIGURE)
        prompt = Prompt.of("at_angle")
        prompt.type("30", f.board)
        prompt.type("p", f.board)
        prompt.type("A", f.board)
        perform(f.board, prompt.edit(f.board))
        self.assertEqual(f.working().splitlines()[-1], "q is the line through A at 30 degrees to p")
        prompt = self.fill(f.board, "perimeter", (2, 1))
        perform(f.board, prompt.edit(f.board))
        self.assertEqual(f.working().splitlines()[-1], "perimeter_ABC is the perimeter of ABC")


class DraggingTest(unittest.TestCase):
    def test_what_moves_what(self):
        f = figure(FIGURE + "\nP is a point on k at 0")
        board = f.board
        numbers = grab(board, [board.find("p")], (4, 2)).numbers(board, (5, 3))
        self.assertEqual(numbers, {"s2": (7, 1), "s3": (3, 5)})
        numbers = grab(board, [board.find("P")], (4, 0)).numbers(board, (0, 9))
        self.assertAlmostEqual(numbers[board.find("P")][0], 90)
        with self.assertRaises(Refusal) as caught:
            grab(board, [board.find("M")], (3, 0))
        self.assertEqual(caught.exception.sentence, "M is the midpoint of AB. To move it, drag point A or point B.")

    def test_what_is_locked_stays(self):
        f = figure(FIGURE)
        perform(f.board, read_edit({"kind": "restyle", "ids": ["s2"], "look": {"locked": True}}))
        for name in ("B", "p"):
            with self.assertRaises(Refusal) as caught:
                grab(f.board, [f.board.find(name)], (6, 0))
            self.assertIn("point B is locked", caught.exception.sentence)
        with self.assertRaises(Refusal):
            f.drag("B", 1, 1)
        self.assertEqual(list(grab(f.board, ["s1", "s2", "s3"], (0, 0)).free), ["s1", "s3"])

    def test_a_far_position_is_held_within_bounds(self):
        f = figure(FIGURE)
        self.assertEqual(grab(f.board, ["s1"], (0, 0)).numbers(f.board, (1e300, -1e300)), {"s1": (1e6, -1e6)})


class RegionsUnderTest(unittest.TestCase):
    def test_of_conditions_the_one_whose_edge_is_there_comes_first_then_the_smallest(self):
        board = figure("A = (0, 0)\nB = (1, 0)\nj is the places at most 3 from A\nw is the places at most 1 from B").board
        wide, narrow = board.find("j"), board.find("w")
        for place, found in (
            ((1.4, 0.5), (narrow, wide)), ((2.0, 0.02), (narrow, wide)), ((0.0, 2.98), (wide,)), ((-1.5, -1.5), (wide,)),
            ((3.02, 0.0), (wide,)), ((4.0, 0.0), ()),
        ):  # fmt: skip
            self.assertEqual(look_under(board, place, 0.1).shapes, found, place)

    def test_words_of_which_nobody_said_where_stand_over_nothing(self):
        lines = "A = (-3, -2)\nB = (3, -2)\nC = (0, 3)\nT is the polygon through A, B, C\nk is the circle through A, B and C"
        first, second = (figure(f"{lines}\nu is the words “{words}”").board for words in ("the new bed", "a much longer line of words"))
        for board in (first, second):
            x, y = board.value(board.find("u"))
            left, low, right, high = board.settings.view
            self.assertTrue(left < x < right and low < y < high)
            self.assertEqual(look_under(board, (x, y), 0.2).shapes, ())
        self.assertEqual(figure("u is the words “alone” at (0, 0)").board.value("s1"), (0, 0), "where somebody said it, it stands there")


class OffersTest(unittest.TestCase):
    def sentences(self, *names):
        f = figure(FIGURE)
        return [offer.sentence for offer in offers(f.board, [f.board.find(name) for name in names])]

    def test_exactly_what_the_selection_completes(self):
        self.assertEqual(self.sentences("A", "C")[0], "the segment from A to C")
        self.assertEqual(self.sentences("p", "A")[:2], ["the perpendicular to p through A", "the parallel to p through A"])
        crossings = ["where p meets k, first crossing", "where p meets k, second crossing"]
        self.assertEqual([text for text in self.sentences("p", "k") if text.startswith("where")], crossings)
        self.assertIn("the area of ABC", self.sentences("ABC"))
        self.assertEqual(self.sentences("A", "B", "C")[:2], ["the polygon through A, B, C", "the angle ABC"])
        self.assertEqual([text for text in self.sentences("ABC", "k", "M", "p") if "reveals" not in text], [])

    def test_one_for_each(self):
        f = figure(FIGURE + "\nAB is the segment from A to B\nBC is the segment from B to C\nCA is the segment from C to A")
        found = offers(f.board, [f.board.find(name) for name in ("AB", "BC", "CA")])
        self.assertEqual(found[0].sentence, "the length of each of AB, BC and CA")
        perform(f.board, found[0].edit)
        self.assertEqual(f.working().splitlines()[-3:], ["AB is the length of AB", "BC is the length of BC", "CA is the length of CA"])
        perform(f.board, next(offer for offer in found if offer.does == "midpoint").edit)
        self.assertEqual(len(f.board), 16)

    def test_every_offer_can_be_taken(self):
        for names in (("A",), ("A", "B"), ("A", "B", "C"), ("p", "A"), ("p", "k"), ("k",), ("ABC",), ("p", "k", "C")):
            f = figure(FIGURE)
            for offer in offers(f.board, [f.board.find(name) for name in names]):
                with self.subTest(offer.sentence):
                    fresh = figure(FIGURE)
                    perform(fresh.board, offer.edit)
                    self.assertTrue(len(fresh.board) > 7 or fresh.board.steps != f.board.steps, offer.sentence)


class CurveTest(unittest.TestCase):
    def test_loci_arcs_conics_and_sectors_are_found_under_the_pointer(self):
        f = figure(
            "O=(0,0)\nA=(4,0)\nk is the circle with centre O through A\nP is a point on k at 30\nM is the midpoint of O and P\n"
            "l is the locus of M as P runs\n"
            "B=(0,3.5)\nc is the arc with centre A from O to B\ns is the sector with centre B from O to A\n"
            "e is the ellipse with foci O and A through B"
        )
        board = f.board
        under = look_under(board, (-2.02, 0), 0.1)
        self.assertEqual(under.paths[0], (board.find("l"),))
        self.assertEqual(under.new_point.does, "point_on")
        prompt = Prompt.of("point_on")
        prompt.take(what_at(prompt, board, (0, 2.02), 0.1), (0, 2.02))
        perform(board, prompt.edit(board))
        self.assertAlmostEqual(math.hypot(*board.values[-1]), 2, places=4)
        self.assertIn((board.find("e"),), look_under(board, (0.02, 3.5), 0.1).paths)
        self.assertIn(board.find("s"), look_under(board, (0.5, 1.7), 0.1).shapes)
        self.assertEqual(loose_ends(board, 0.1), [])
