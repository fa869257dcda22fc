"""Readings, places and paths as formulas: in coordinates, and in what a person calls lengths and angles."""

import unittest

from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.truth.exact_readings import exact_reading

from .figures import figure
from .formula_readers import read_latex, read_mathml, read_plain

_BED = (
    "A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (1, 3)\nABC is the polygon through A, B, C\n"
    "S is the area of ABC\nk is the circle through A, B and C\nr is the radius of k\nα is the angle ABC\n"
    "d is the distance from A to C\nH is the orthocentre of A, B and C\nD is a point on AB at 0.3\ne is the distance from C to D"
)
_POND = (
    "O is a free point at (0, 0)\nQ is a free point at (4, 0)\nk is the circle with centre O and radius 2\nP is a point on k at 50\n"
    "M is the midpoint of P and Q\nl is the locus of M as P runs\nt is a dial from 0 to 360 in steps of 1 at 230\n"
    "R is Q turned by t about O\nx is the distance from Q to R\nw is the value of cos(t) + sin(40)"
)
_DISH = (
    "F is a free point at (0, 2)\nA is a free point at (-3, -1)\nB is a free point at (4, -1)\ng is the line through A and B\n"
    "T is a point on g at 0.3\nn is the perpendicular to g through T\nm is the perpendicular bisector of F and T\n"
    "P is the intersection of n and m\nl is the locus of P as T runs"
)


class ExactReadingTest(unittest.TestCase):
    def told(self, text, name, called="", frame=()):
        f = figure(text)
        (id,) = [id for id in f.board.ids_named(name) if f.board.step(id).makes != "polygon"]
        found = exact_reading(f.board, id, tuple(map(f.board.find, frame)), called)
        value = f.board.value(id)
        for one, other in zip(found.now, (value,) if isinstance(value, float) else ()):
            self.assertAlmostEqual(one, other, places=4, msg=found.text)
        return found

    def test_in_coordinates(self):
        f = figure(
            _BED + "\nE is a point on k at 50\nAE is the distance from A to E\nx is the value of S * AE / r\nc is the incircle of ABC\n"
            "s is the radius of c"
        )
        for name in ("S", "r", "AE", "e", "x", "s"):
            (reading,) = [id for id in f.board.ids_named(name) if f.board.step(id).is_reading]
            found = exact_reading(f.board, reading)
            self.assertAlmostEqual(found.now[0], f.read(name), places=4, msg=found.text)
        self.assertEqual(self.told(_BED, "S").latex, r"S = \frac{bv}{2}")
        found = self.told(_BED, "H")
        self.assertEqual(found.text, "H = (u; u(b − u) / v)")
        self.assertEqual(found.legend, ("A = (0, 0)", "B = (b, 0)", "C = (u, v)"))
        self.assertEqual(self.told(_BED, "H", frame=("C", "B")).legend[-1], "C = (0, 0)")
        for name in ("α", "ABC"):
            with self.assertRaises(Refusal):
                exact_reading(f.board, f.board.find(name))

    def test_all_three_notations_are_read_back_to_the_value(self):
        """Distances that hold roots of roots, products of roots and sums of them, at all kinds of degrees."""
        told = 0
        for number, degrees in enumerate((27, 72, 24, 48, 36, 15, 30, 45, 54, 75, 22.5, 7.5, 144, 108, 18, 42, 66, 84, 3, 120)):
            other = (36, 45, 60, 90)[number % 4]
            f = figure(
                f"A = (0, 0)\nB = (5, 0)\nC is B turned by {degrees} degrees about A\nD is B turned by {other} degrees "
                f"about A\nk is the circle with centre C and radius 2\np is the line through A and D\nM is the midpoint of CD\n"
                "x is the distance from B to C\ny is the distance from C to D\nz is the distance from C to p\ns is the area of BCD\n"
                "t is the distance from B to M\nv is the value of BC * CD\nw is the value of BC / CD"
            )
            for name in "xyzstvw":
                for called, symbols in (("AB = a", {"a": 5.0}), ("", {"b": 5.0})):
                    try:
                        found = exact_reading(f.board, f.board.find(name), called=called)
                    except Refusal:
                        continue
                    for read, text in ((read_plain, found.text), (read_latex, found.latex), (read_mathml, found.mathml)):
                        with self.subTest(f"{degrees}: {text}"):
                            self.assertAlmostEqual(read(text, symbols), f.read(name), places=7)
                            told += 1
        self.assertGreater(told, 300)

    def test_in_lengths_and_angles(self):
        for name, called, text in (
            ("S", "AB = a, AC = b, the angle BAC = φ", "S = ab sin φ / 2"),
            ("S", "call AB = c, BC = a and CA = b", "S = √((a + b − c)(b + c − a)(a + c − b)(a + b + c)) / 4"),
            ("r", "AB = a, angle ACB = γ, angle at A = φ", "r = a / (2 sin γ)"),
            ("r", "AB = c, α = β, angle BAC = φ", "r = c / (2 sin (φ + β))"),
            ("d", "c = AB; angle ABC is β; φ = ∠BAC", "d = c sin β / sin (φ + β)"),
            ("e", "AD = m, AB = b, AC = c, angle BAC = φ", "e = √(c² + m² − 2cm cos φ)"),
            ("H", "C = (s, t)", "H = (s; s(b − s) / t)"),
        ):
            with self.subTest(called):
                found = self.told(_BED, name, called)
                self.assertEqual(found.text, text)
                self.assertEqual(found.unused, ())
        found = self.told(_BED, "d", "HC = h")
        self.assertEqual((found.text, found.unused), ("d = √(u² + v²)", ("HC = h",)))

    def test_three_folds_of_a_parabola(self):
        folds = (
            "O = (0, 0)\nF = (0, 2)\nd is the perpendicular to OF through O\nS is a point on d at 0.8\nT is a point on d at -1.1\n"
            "U is a point on d at 1.9\np is the perpendicular bisector of FS\nq is the perpendicular bisector of FT\n"
            "r is the perpendicular bisector of FU\nP is where p meets q\nQ is where q meets r\nR is where r meets p\n"
            "c is the circle through P, Q and R\nv is the radius of c\nH is the orthocentre of PQR"
        )
        found = self.told(folds, "v", "OF = f, OS = s, OT = t, OU = u")
        self.assertEqual((found.text, found.unused), ("v = √((f² + u²)(f² + t²)(f² + s²)) / 4f²", ()))
        self.assertEqual(self.told(folds, "H", "OF = f, OS = s, OT = t, OU = u").text, "H = (0; (f²s + f²u − f²t − stu) / 2f²)")
        self.assertEqual(self.told(folds, "P", "OF = f, S = s, T = t").text, "P = (f(st + 1) / 2; f(s + t) / 2)")

    def test_what_names_nothing_is_refused_in_words(self):
        for called, words in (
            ("S", "names nothing"),
            ("AB = 3", "names nothing"),
            ("AB = a, BC = a", "both be called a"),
            ("angle at Z = u", "names nothing"),
            ("C = u", "are two"),
            ("H = (u, v)", "names nothing"),
            ("AB = (u, v)", "not a free point"),
            (", ".join(f"AB = a{number}" for number in range(20)), "At most"),
            ("=" * 200, "names nothing"),
            ("∠" * 200 + " = α", "names nothing"),
        ):
            with self.subTest(called), self.assertRaises(Refusal) as refused:
                self.told(_BED, "S", called)
            self.assertIn(words, refused.exception.sentence)

    def test_what_is_not_there_now_is_refused(self):
        start = "A = (0, 0)\nB = (4, 0)\nC = (1, 3)\nD = (4, 0)\nS is the area of ABC\nP is a point on BD at 0.5\n"
        for called in ("angle ABD = β", "BD = b, angle BDA = δ", "AB = c, AD = d, BD = e", "C = (u, v), CD = d"):
            with self.subTest(called):
                try:
                    self.assertTrue(self.told(start, "S", called).text)
                except Refusal as refused:
                    self.assertIn("It has", refused.sentence)

    def test_dials_in_degrees_stand_in_cosines(self):
        self.assertEqual(self.told(_POND, "x", "OQ = a").text, "x = a√(2(1 − cos t))")
        self.assertEqual(self.told(_POND, "x", "t = θ").latex, r"x = b\sqrt{2\left(1-\cos \theta \right)}")
        self.assertEqual(self.told(_POND, "w").text, "w = cos t + sin 40°")

    def test_equations_of_paths(self):
        self.assertEqual(self.told(_BED, "k").text, "vx² + vy² − bvx − (u² + v² − bu)y = 0")
        self.assertEqual(self.told(_POND, "k").text, "x² + y² − 4 = 0")
        line = _POND + "\ng is the line y = 3x - 1\ne is the equation of g"
        self.assertEqual(self.told(line, "e").text, "3x − y − 1 = 0")

    def test_equations_of_loci_have_no_trace_of_what_runs(self):
        found = self.told(_POND, "l")
        self.assertEqual(found.text, "4x² + 4y² − 4bx + (b − 2)(b + 2) = 0")
        self.assertEqual(found.legend, ("O = (0, 0)", "Q = (b, 0)"))
        found = self.told(_DISH, "l", "F = (u, v)", ("A", "B"))
        self.assertEqual(found.text, "x² − 2ux − 2vy + u² + v² = 0")
        # A root that holds what runs: the point on a ladder of fixed length.
        ladder = (
            "A is a free point at (0, 0)\nB is a free point at (6, 0)\ng is the line through A and B\n"
            "h is the perpendicular to g through A\n"
            "P is a point on g at 0.3\nk is the circle with centre P and radius 5\nT is the first intersection of h and k\n"
            "M is the midpoint of P and T\nl is the locus of M as P runs"
        )
        self.assertEqual(self.told(ladder, "l").text, "4x² + 4y² − 25 = 0")


if __name__ == "__main__":
    unittest.main()
