"""Shapes that keep their kind, and marks: against properties of their figures."""

import math
import unittest

from hypothesis import given, settings
from hypothesis import strategies as st

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.display.marking import agrees, group_of, groups

from .figures import distance, figure
from .paths import point


class ShapeTest(unittest.TestCase):
    """A shape stays what it is, wherever any of its pegs goes."""

    @settings(max_examples=30, deadline=None)
    @given(st.lists(st.tuples(st.sampled_from("ABC"), point), min_size=1, max_size=5), st.floats(-3, 3))
    def test_kinds_are_kept(self, moves, place):
        for key, free in (
            ("square", 2),
            ("rectangle", 2),
            ("rhombus", 2),
            ("kite", 3),
            ("parallelogram", 3),
            ("trapezium", 3),
            ("isosceles_trapezium", 3),
        ):
            f = figure("A=(0,0)\nB=(4,0.5)\nC=(3,3)\n")
            f.make(key, corners=("A", "B", "C")) if free == 3 else f.make(key, from_="A", to="B")
            for name, to in moves:
                if name in "AB" or free == 3:
                    f.drag(name, *to)
            for step in f.board.steps:
                if step.moves == "sliding":
                    f.drag(f.board.name(step.id), place * (1 if key != "rhombus" else 60))
            polygon = f.board.values[-1]
            if polygon is None:
                continue
            sides = [(q[0] - p[0], q[1] - p[1]) for p, q in zip(polygon, polygon[1:] + polygon[:1])]
            lengths = [math.hypot(*side) for side in sides]
            cross = lambda u, v: u[0] * v[1] - u[1] * v[0]
            dot = lambda u, v: u[0] * v[0] + u[1] * v[1]
            if key in ("square", "rectangle"):
                self.assertAlmostEqual(dot(sides[0], sides[1]), 0, places=6)
            if key in ("square", "rhombus"):
                for length in lengths:
                    self.assertAlmostEqual(length, lengths[0], places=6)
            if key in ("rectangle", "rhombus", "parallelogram", "square"):
                self.assertAlmostEqual(cross(sides[0], sides[2]), 0, places=6)
                self.assertAlmostEqual(cross(sides[1], sides[3]), 0, places=6)
            if key in ("trapezium", "isosceles_trapezium"):
                self.assertAlmostEqual(cross(sides[0], sides[2]), 0, places=5)
            if key == "isosceles_trapezium":
                self.assertAlmostEqual(lengths[1], lengths[3], places=5)
            if key == "kite":
                self.assertAlmostEqual(lengths[0], lengths[3], places=5)
                self.assertAlmostEqual(lengths[1], lengths[2], places=5)

    def test_regular_polygons_and_triangles(self):
        for count in (3, 5, 8, 17):
            for sentence in (
                f"the regular polygon with {count} corners on the side from A to B",
                f"the regular polygon with {count} corners about A through B",
            ):
                f = figure(f"A=(0,0)\nB=(2,1)\n{sentence}")
                polygon = f.board.values[-1]
                self.assertEqual(len(polygon), count)
                lengths = [distance(p, q) for p, q in zip(polygon, polygon[1:] + polygon[:1])]
                self.assertLess(max(lengths) - min(lengths), 1e-9)
                f.say(f"all angles inside {f.board.name(f.board.steps[-1].id)}")
                for value in f.board.values[-count:]:
                    self.assertAlmostEqual(value, 180 - 360 / count)
        f = figure("A=(1,1)\nthe triangle at A with sides 4, 3 and 2.5")
        a, b, c = f.board.values[-1]
        self.assertEqual([round(distance(*pair), 9) for pair in ((a, b), (b, c), (c, a))], [4, 3, 2.5])
        f = figure("A=(1,1)\nthe triangle at A with the sides 4 and 3 and the angle 50 between them\nα is the angle BAC")
        self.assertAlmostEqual(f.read("α"), 50)
        f = figure("A=(1,1)\nthe triangle at A with the side 4 and the angles 40 and 65\nα is the angle CBA")
        self.assertAlmostEqual(f.read("α"), 65)
        f = figure("A=(1,1)\nB=(3,1)")
        for sentence, part in {
            "the regular polygon with 2 corners about A through B": "3 to 60",
            "the regular polygon with 4.5 corners about A through B": "whole",
            "the triangle at A with the side 4 and the angles 140 and 65": "below 180",
        }.items():
            with self.assertRaises(Refusal) as caught:
                f.say(sentence)
            self.assertIn(part, caught.exception.sentence)

    def test_angles_of_a_polygon_with_a_dent_in_either_order(self):
        for corners in ("A, B, C, D", "D, C, B, A"):
            f = figure(f"A=(0,0)\nB=(4,0)\nC=(1,1)\nD=(0,4)\nn is the polygon through {corners}\nall angles inside n")
            values = f.board.values[-4:]
            self.assertAlmostEqual(sum(values), 360)
            self.assertGreater(max(values), 180)


class MarkTest(unittest.TestCase):
    def test_a_mark_forces_nothing_and_says_when_the_figure_disagrees(self):
        f = figure(
            "A=(0,0)\nB=(4,0)\nC=(0,4)\nD=(4,4)\nm is the equal-length mark on AB drawn twice\n"
            "n is the equal-length mark on AC drawn twice\n"
            "o is the right-angle mark at BAC\np is the parallel mark on AB\nq is the parallel mark on CD\n"
            "r is the equal-angle mark at ABC\ns is the equal-angle mark at ACB"
        )
        ask = lambda name: agrees(f.board, groups(f.board)[group_of(f.board.step(f.board.find(name)))])
        self.assertEqual([ask(name) for name in "mopr"], [True] * 4)
        f.drag("C", 0.3, 5)
        self.assertEqual([ask(name) for name in "mopr"], [False] * 4)
        f.drag("C", 0, 4)
        self.assertEqual([ask(name) for name in "mopr"], [True] * 4)
        f.say("t is the equal-length mark on BC drawn once")
        self.assertTrue(ask("m"), "another number of strokes says nothing of these")
