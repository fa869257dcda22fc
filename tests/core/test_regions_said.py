"""Conditions and regions on a board: said, picked, told, ridden on, and drawn by hand."""

import math
import unittest

import numpy as np

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.arithmetic import FLOATS
from ruddy_trellis.core.formulas import arcs, conics
from ruddy_trellis.core.hand import Alone
from ruddy_trellis.core.truth.where import place_told, region_told

from .figures import figure

_FIELD = (
    "A = (0, 0)\nB = (6, 0)\nC = (6, 4)\nD = (0, 4)\nABCD is the polygon through A, B, C, D\nP = (3, 3)\n"
    "j is the places more than 4 from B\nj_1 is the places nearer to CD than to AD\n"
    "z is the region where all of j and j_1 hold within ABCD\n"
)


def places_on(kind, value):
    """Some places on what was drawn."""
    if kind in ("segment", "line", "ray"):
        x, y, dx, dy, low, high = value
        return [(x + share * dx, y + share * dy) for share in (max(low, -2), 0.3, min(high, 2))]
    if kind == "conic":
        return [conics.point_on_conic(FLOATS, value, angle) for angle in (80, 120, 200)]
    cx, cy, square = value[:3]
    start, turn = 0.0, 360.0
    if kind == "arc":
        start, turn = math.degrees(math.atan2(value[4] - cy, value[3] - cx)), arcs.sweep(FLOATS, value)
    angles = [math.radians(start + share * turn) for share in (0.02, 0.3, 0.6, 0.98)]
    return [(cx + math.sqrt(square) * math.cos(angle), cy + math.sqrt(square) * math.sin(angle)) for angle in angles]


class SentencesTest(unittest.TestCase):
    def test_said_in_many_ways(self):
        f = figure(_FIELD + "k is the circle with centre A and radius 1\nd is a dial from 0 to 5 in steps of 0.1 at 2")
        for text, sentence in (
            ("more than 4 from B", "the places more than 4 from B"),
            ("all points at least 2.5 from CD", "the places at least 2.5 from CD"),
            ("within 3 of P", "the places at most 3 from P"),
            ("closer than d to k", "the places less than d from k"),
            ("at most d from ABCD", "the places at most d from ABCD"),
            ("nearer to CB than to CD", "the places nearer to CB than to CD"),
            ("closer to P than to AB", "the places nearer to P than to AB"),
            ("inside ABCD", "the places inside ABCD"),
            ("outside k", "the places outside k"),
            ("on the same side of AC as B", "the places on the same side of AC as B"),
            ("the other side of AC from B", "the places on the other side of AC from B"),
            ("points from which AB is seen at more than 60°", "the places from which AB is seen under more than 60 degrees"),
            ("the region where j and j_1 hold within ABCD", "the region where all of j and j_1 hold within ABCD"),
            ("the edge of z", "the edge of z"),
            ("is P in z?", "whether P is in z"),
            ("the region where none of j and j_1 hold", "the region where none of j and j_1 hold"),
            ("area of z", "the area of z"),
        ):
            with self.subTest(text):
                name = f.say(text)
                self.assertEqual(f.sentence(name).split(" is ", 1)[1], sentence)

    def test_from_a_selection(self):
        f = figure(_FIELD + "d is a dial from 0 to 5 in steps of 0.1 at 2\nk is the circle with centre P and radius 1")
        alone = Alone(f.board)
        for names, sentence in (
            (("A", "B"), "the places nearer to A than to B"),
            (("P", "d"), "the places at most d from P"),
            (("k",), "the places inside k"),
            (("j", "j_1"), "the region where all of j and j_1 hold"),
            (("P", "z"), "whether P is in z"),
            (("z",), "the area of z"),
            (("j",), "the compass work of j"),
        ):
            (answer,) = alone.do(t="select", ids=[f.board.find(name) for name in names])
            self.assertIn(sentence, [offer["sentence"] for offer in answer["offers"]])

    def test_it_is_live_and_read(self):
        f = figure(_FIELD + "S is the area of z\nv is whether P is in z\nu is the perimeter of z")
        before = f.read("S")
        self.assertEqual(f.read("v"), 1.0)
        f.drag("B", 7, -1)
        self.assertNotEqual(f.read("S"), before)
        f.drag("P", 0.5, 2)
        self.assertEqual(f.read("v"), 0.0)

    def test_points_ride_on_the_edge_and_lines_cross_it(self):
        f = figure(_FIELD + "l is the edge of z\nQ is a point on l at 0.3\np is the line y = 2\nX is the first intersection of p and l")
        region = f.board.value(f.board.find("z"))
        for name in ("Q", "X"):
            x, y = f.board.value(f.board.find(name))
            offs = [abs(float(one.margins(x, y))) for one in (*region.conditions, region.within)]
            self.assertLess(min(offs), 1e-6)
        f.drag("B", 7, 1)
        self.assertIsNotNone(f.board.value(f.board.find("Q")))

    def test_what_is_told(self):
        f = figure(_FIELD)
        z, point = f.board.find("z"), f.board.find("P")
        self.assertEqual(
            place_told(f.board, point, z),
            "P is in z. Yes: more than 4 from B (it is 4.24 away); yes: nearer to CD than to AD (it is 1.00 and 3.00 away).",
        )
        f.drag("P", 5, 1)
        self.assertIn("not in z. No: more than 4 from B (it is 1.41 away);", place_told(f.board, point, z))
        f.drag("P", 9, 9)
        self.assertIn("Outside ABCD", place_told(f.board, point, z))
        f.say("j_2 is the places less than 2 from B")
        f.say("z_1 is the region where all of j_1, j and j_2 hold")
        self.assertEqual(
            region_told(f.board, f.board.find("z_1")),
            "It is empty: “more than 4 from B” and “less than 2 from B” clash; nowhere do both hold.",
        )
        f.say("z_2 is the region where all of j hold")
        self.assertIn("for ever", region_told(f.board, f.board.find("z_2")))
        f.say("S is the area of z_2")
        self.assertIsNone(f.read("S"))

    def test_what_cannot_be(self):
        f = figure(_FIELD)
        for text in (
            "the places more than -1 from B",
            "the places from which AB is seen under at least 200 degrees",
            "the region where all of ABCD hold",
            "the places inside AB",
        ):
            with self.subTest(text), self.assertRaises(Refusal):
                f.say(text)
        f.say("d is a dial from -2 to 5 in steps of 0.5 at 1")
        f.say("j_2 is the places at most d from A")
        f.say("z_1 is the region where all of j_2 hold")
        f.drag("d", -1)
        self.assertIsNone(f.board.value(f.board.find("z_1")), "a distance below zero has no places, and comes back")
        f.drag("d", 2)
        self.assertAlmostEqual(f.board.value(f.board.find("z_1")).area, 4 * math.pi)

    def test_compass_work_draws_the_edge(self):
        """What is drawn in the look of edges lies on the edge of the condition, whatever is dragged, and covers it."""
        start = (
            "A = (0, 0)\nB = (5, 1)\nC = (4, 5)\nD = (-1, 3)\np is the line through A and B\nq is the line through C and D\n"
            "r is the ray from B to C\nk is the circle with centre C through D\nABCD is the polygon through A, B, C, D\n"
            "d is a dial from 0.5 to 3 in steps of 0.1 at 1.4\ne is an angle dial from 10 to 170 in steps of 1 at 50\n"
        )
        for text in (
            "at most 1.5 from A", "more than d from AB", "less than d from p", "at least 1 from r", "at most d from k",
            "at most 0.7 from ABCD",
            "nearer to A than to C", "nearer to AB than to AD", "nearer to p than to q", "nearer to C than to p",
            "points from which AB is seen at at least 70", "points from which AB is seen at more than e",
            "points from which AB is seen at less than 120",
        ):  # fmt: skip
            f = figure(start)
            f.say(f"j is {text}" if text[0] != "p" else text)
            j = next(step.id for step in f.board.steps if step.makes == "condition")
            count = len(f.board)
            f.say(f"the compass work of {f.board.name(j)}")
            edges = [step.id for step in f.board.steps[count:] if step.look.pen == "plum"]
            for move in (None, ("B", 4, 2), ("A", -1, 0.5)):
                if move:
                    f.drag(*move)
                with self.subTest(text, move=move):
                    self.assertTrue(edges)
                    self.on_edge(f.board, j, edges)

    def on_edge(self, board, j, edges):
        condition, drawn = board.value(j), []
        for id in edges:
            kind, value = board.kind_of(id), board.value(id)
            self.assertIsNotNone(value, board.name(id))
            drawn += places_on(kind, value)
        xs, ys = np.array(drawn).T
        self.assertLess(np.abs(condition.margins(xs, ys)).max(), 1e-6)

    def test_no_compass_work_for_what_is_drawn_already(self):
        f = figure(_FIELD + "j_2 is the places inside ABCD")
        count = len(f.board)
        with self.assertRaises(Refusal):
            f.say("the compass work of j_2")
        self.assertEqual(len(f.board), count)

    def test_many_conditions(self):
        f = figure("A = (0, 0)")
        for number in range(60):
            f.say(f"B{number} = ({number / 10}, {number / 7})")
            f.say(f"j{number} is the places at most {20 + number} from B{number}")
        names = ", ".join(f"j{number}" for number in range(60))
        f.say(f"z is the region where all of {names} hold")
        self.assertGreater(f.board.value(f.board.find("z")).area, 0)
        f.say("j is the places at most 3 from A")
        with self.assertRaises(Refusal) as refused:
            f.say(f"z_1 is the region where all of {names}, j hold")
        self.assertIn("at most 60", refused.exception.sentence)
