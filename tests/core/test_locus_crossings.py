"""Crossings with loci and envelopes: against the curves that they are known to be."""

import unittest

from ruddy_trellis.core.pointing.picking import look_under

from .figures import figure

_PARABOLA = (
    "F = (0, 2)\nA = (-4, 0)\nB = (4, 0)\nAB is the segment from A to B\nP is a point on AB at 0.5\n"
    "p is the perpendicular bisector of F and P\n"
    "e is the envelope of p as P runs\nC = (-3, 1.5)\nD = (3, 2.5)\nq is the line through C and D\n"
)


class LocusCrossingTest(unittest.TestCase):
    def parabola(self, x):
        """The envelope's height over x: as far from the focus as from the line y = 0."""
        return (x * x + 4) / 4

    def test_an_envelope_is_met_where_its_parabola_is_met(self):
        f = figure(_PARABOLA + "X is where q meets e\nY is where e meets q, second crossing")
        for height in (2.5, 3.0, 2.2):
            f.drag("D", 3, height)
            points = f.value("X"), f.value("Y")
            for x, y in points:
                self.assertAlmostEqual(y, self.parabola(x), places=7)
                self.assertAlmostEqual((height - 1.5) * (x + 3) - 6 * (y - 1.5), 0, places=7)
            self.assertGreater(abs(points[0][0] - points[1][0]), 1, "they stay two")

    def test_a_crossing_goes_away_comes_back_and_reads_back(self):
        f = figure(_PARABOLA + "X is where q meets e")
        before = f.value("X")
        f.drag("D", 3, -6)
        self.assertIsNone(f.value("X"))
        f.drag("D", 3, 2.5)
        self.assertEqual(f.value("X"), before)
        self.assertEqual(figure(f.working()).value("X"), before)

    def test_circles_arcs_conics_and_other_loci(self):
        f = figure(
            _PARABOLA + "k is the circle with centre F and radius 3\na is the arc with centre F from C to D\n"
            "M is the point that divides FP in the ratio 1 : 2\n"
            "l is the locus of M as P runs\nO = (0, 0)\nG = (0, 1.5)\nh is the ellipse with foci O and F through B\n"
            "all crossings of k and e\nV is where l meets e\nW is where e meets h\nU is where a meets e"
        )
        crossings = f.board.alike("intersection", {"a": (f.board.find("k"),)})
        self.assertEqual(len(crossings), 2, "as many as there are")
        for x, y in map(f.board.value, crossings):
            self.assertAlmostEqual(y, self.parabola(x), places=6)
            self.assertAlmostEqual(x * x + (y - 2) ** 2, 9, places=6)
        x, y = f.value("V")
        self.assertAlmostEqual(y, 4 / 3, places=6, msg="a third of the way from the focus to the line")
        self.assertAlmostEqual(y, self.parabola(x), places=6)
        x, y = f.value("W")
        sums = (x * x + y * y) ** 0.5 + (x * x + (y - 2) ** 2) ** 0.5
        self.assertAlmostEqual(sums, 4 + 20**0.5, places=6)
        self.assertIsNone(f.value("U"), "the arc runs below")

    def test_it_is_picked_where_the_two_are_seen_to_cross(self):
        f = figure(_PARABOLA + "X is where q meets e")
        x, y = f.value("X")
        f = figure(_PARABOLA)
        new = look_under(f.board, (x + 0.02, y), 0.1).new_point
        self.assertEqual(new.does, "intersection")
        self.assertAlmostEqual(new.at[0], x, places=7)
