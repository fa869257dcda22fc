"""Dials, motions, loci and envelopes."""

import itertools
import math
import unittest

import numpy as np

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.board import Board
from ruddy_trellis.core.display import Extent, display
from ruddy_trellis.core.edits import LookChanges, Move, Restyle, perform
from ruddy_trellis.core.pointing.nice import nicely
from ruddy_trellis.core.sampling.motions import course, pictures

from .figures import distance, figure

EXTENT = Extent(-10, -6, 10, 6)
FOLDS = (
    "O=(0,0)\nk is the circle with centre O and radius 5\nF=(2,1)\nT is a point on k at 30\n"
    "f is the perpendicular bisector of F and T\np is the line through O and T\n"
    "X is where f meets p\nl is the locus of X as T runs\nv is the envelope of f as T runs\nc is the conic that l is\n"
    "d is the conic that v is\ne_c is the eccentricity of c\ne_d is the eccentricity of d\nboth foci of d"
)


class DialTest(unittest.TestCase):
    def test_a_dial_keeps_to_its_range_and_steps(self):
        f = figure(
            "v is a dial from -2 to 3 in steps of 0.25 at 1\nα is an angle dial from 0 to 360 in steps of 1 at 45\nO=(0,0)\n"
            "A=(2,0)\nB is the point A turned about O by α degrees\nw is the value of 2 * v + 1"
        )
        for asked, got in ((2.6, 2.5), (9, 3), (-7, -2), (0.1, 0), (1.124, 1)):
            perform(f.board, Move(numbers={f.board.find("v"): [asked]}))
            self.assertEqual((f.read("v"), f.read("w")), (got, 2 * got + 1))
        f.drag("α", 90.4)
        self.assertLess(distance(f.value("B"), (0, 2)), 1e-12)
        self.assertEqual(figure(f.working()).working(), f.working())

    def test_what_makes_no_dial(self):
        f = figure("A=(0,0)")
        for sentence in ("a dial from 3 to 2 in steps of 1", "a dial from 0 to 1 in steps of 0", "a dial from 0 to 1 in steps of 5"):
            with self.assertRaises(Refusal):
                f.say(sentence)


class LocusTest(unittest.TestCase):
    def test_folds_of_a_round_cloth_touch_a_conic_with_its_foci(self):
        f = figure(FOLDS)
        for x in (0.5, 2, 4.9, 5.1, 8):
            f.drag("F", x, 0)
            with self.subTest(x):
                self.assertAlmostEqual(f.read("e_d"), x / 5, places=6)
                self.assertAlmostEqual(f.read("e_c"), x / 5, places=6)
                foci = sorted(f.board.value(step.id) for step in f.board.steps if step.does == "focus")
                for found, wanted in zip(foci, sorted([(0, 0), (x, 0)])):
                    self.assertLess(distance(found, wanted), 1e-4)

    def test_no_stray_lines(self):
        """Whatever is drawn inside the view lies on the curve, between its points as well."""
        f = figure(FOLDS)
        for x in (3, 4.999, 5.0001, 6, 9):
            f.drag("F", x, 0)
            for item in display(f.board, EXTENT):
                if item["kind"] != "locus" or not item["shape"]:
                    continue
                for run in item["shape"]["curves"]:
                    places = np.array(run).reshape(-1, 2)
                    for start, end in itertools.pairwise(places):
                        xs, ys = (start + np.linspace(0, 1, 25)[:, None] * (end - start)).T
                        seen = (np.abs(xs) < 10) & (np.abs(ys) < 6)
                        from_centre, from_focus = np.hypot(xs, ys), np.hypot(xs - x, ys)
                        away = np.abs(np.abs(from_focus - from_centre) - 5) if x > 5 else np.abs(from_focus + from_centre - 5)
                        self.assertLess(away[seen].max(initial=0), 0.05, f"F at {x}")

    def test_it_breaks_where_it_is_undefined(self):
        f = figure(
            "O=(0,0)\nA=(6,0)\nk is the circle with centre O and radius 2\nP is a point on k at 10\n"
            "c is the circle with centre P and radius 5\nq is the line through O and A\n"
            "B=(6,3)\nr is the segment from A to B\nX is where c meets r, first crossing\nl is the locus of X as P runs"
        )
        (item,) = display(f.board, EXTENT, [f.board.find("l")])
        self.assertTrue(item["shape"]["curves"])
        for run in item["shape"]["curves"]:
            for x, y in zip(run[::2], run[1::2]):
                self.assertAlmostEqual(x, 6)
                self.assertTrue(-1e-6 <= y <= 3 + 1e-6)

    def test_a_point_rides_on_it_and_a_circle_has_an_envelope(self):
        f = figure(FOLDS)
        f.say("R is a point on l at 77")
        self.assertAlmostEqual(distance(f.value("R"), (0, 0)) + distance(f.value("R"), (2, 1)), 5, places=6)
        g = figure(
            "A=(-4,0)\nB=(4,0)\nAB is the segment from A to B\nP is a point on AB at 0.5\n"
            "k is the circle with centre P and radius 1.5\nv is the envelope of k as P runs"
        )
        (item,) = display(g.board, EXTENT, [g.board.find("v")])
        heights = {round(y, 3) for run in item["shape"]["curves"] for y in run[1::2]}
        self.assertEqual(heights, {1.5, -1.5})

    def test_a_dial_drives_and_a_locus_is_no_conic_unless_it_is(self):
        f = figure(
            "O=(0,0)\nt is an angle dial from 0 to 360 in steps of 1 at 20\nw is the value of 1 + 2 * sin(2 t)\nA=(1,0)\n"
            "B is the point A turned about O by t degrees\n"
            "r is the enlargement from O by the factor w\nC is the image of B under r\nl is the locus of C as t runs\n"
            "c is the conic that l is"
        )
        self.assertIsNone(f.value("c"))
        self.assertIsNotNone(f.value("l"))
        with self.assertRaises(Refusal) as caught:
            f.say("m is the locus of A as t runs")
        self.assertIn("does not hang on t", caught.exception.sentence)
        with self.assertRaises(Refusal):
            f.say("m is the locus of C as A runs")


class MotionTest(unittest.TestCase):
    def test_ways_of_running(self):
        f = figure(
            "A=(0,0)\nB=(4,0)\nAB is the segment from A to B\nP is a point on AB at 0.25\n"
            "a is the motion of P, once, in 2 seconds\nb is the motion of P, to and fro, in 2 seconds\n"
            "c is the motion of P, round and round, in 2 seconds"
        )
        places = {name: [round(course(f.board, f.board.find(name)).place(time), 6) for time in (0, 1, 1.5, 2, 3, 4)] for name in "abc"}
        self.assertEqual(
            places, {"a": [0.25, 0.75, 1, 1, 1, 1], "b": [0.25, 0.75, 1, 0.75, 0.25, 0.25], "c": [0.25, 0.75, 0, 0.25, 0.75, 0.25]}
        )
        self.assertTrue(course(f.board, f.board.find("a")).is_over(1.6))
        self.assertEqual(course(f.board, f.board.find("a"), from_start=True).place(0), 0)

    def test_pictures_are_what_a_drag_would_show(self):
        f = figure(FOLDS + "\nm is the motion of T, round and round, in 3 seconds")
        one = course(f.board, f.board.find("m"))
        copy = Board(f.board.settings, f.board.steps)
        made = pictures(copy, [one], EXTENT, [number / 60 for number in range(12)])
        self.assertEqual(len(made), 12)
        f.drag("T", one.place(11 / 60))
        shapes = {item["id"]: item["shape"] for item in display(f.board, EXTENT)}
        last = {item["id"]: item["shape"] for frame in made for item in frame}
        for id, shape in last.items():
            self.assertEqual(shape, shapes[id])
        self.assertEqual(f.sentence("m"), "m is the motion of T, round and round, in 3 seconds")
        self.assertTrue(math.isclose(f.board.step(f.board.find("T")).fills["place"], one.place(11 / 60)))


class SpecialPositionTest(unittest.TestCase):
    def test_a_drag_snaps_to_what_a_mark_states(self):
        f = figure("A=(0,0)\nB=(4,0)\nC=(1,3)\nm is the right-angle mark at BAC")
        c = f.board.find("C")
        self.assertEqual(nicely(f.board, {c: (0.1, 3)}), {c: (0.1, 3)}, "a mark forces nothing by itself")
        perform(f.board, Restyle(ids=[f.board.find("m")], look=LookChanges(snap=True)))
        ((x, _y),) = nicely(f.board, {c: (0.1, 3)}).values()
        self.assertAlmostEqual(x, 0, places=8)
        self.assertEqual(nicely(f.board, {c: (1, 3)}), {c: (1, 3)}, "it is too far away")

    def test_isosceles_and_parallel(self):
        f = figure("A=(0,0)\nB=(4,0)\nC=(2.1,3)\nm is the equal-length mark on AC\nn is the equal-length mark on BC")
        perform(f.board, Restyle(ids=[f.board.find("m")], look=LookChanges(snap=True)))
        c = f.board.find("C")
        nicely(f.board, {c: (2.1, 3)})
        self.assertAlmostEqual(distance(f.value("A"), f.value("C")), distance(f.value("B"), f.value("C")), places=7)
        g = figure("A=(0,0)\nB=(4,0)\nC=(0,2)\nD=(4,2.15)\nm is the parallel mark on AB\nn is the parallel mark on CD")
        perform(g.board, Restyle(ids=[g.board.find("n")], look=LookChanges(snap=True)))
        nicely(g.board, {g.board.find("D"): (4, 2.15)})
        self.assertAlmostEqual(g.value("D")[1], 2, places=7)
