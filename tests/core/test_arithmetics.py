"""Every formula in all four arithmetics against one another."""

import unittest
from fractions import Fraction

import flint
import numpy as np

from ruddy_trellis.core.arithmetic import ARRAYS, FLOATS, Exact, Intervals, NotAlgebraic, Undefined
from ruddy_trellis.core.catalogue import CATALOGUE

from .figures import TRIANGLE, as_float, figure, flat, half_angle_fraction


def exact_numbers(board):
    """An exact arithmetic with a symbol for every free coordinate and place, and the numbers to evaluate with."""
    sample, places = {}, {}
    for step in board.steps:
        if step.construction.moves == "free":
            x, y = step.fills["at"]
            sample |= {f"x{step.id}": Fraction(x), f"y{step.id}": Fraction(y)}
        elif step.construction.moves == "sliding":
            turning = board.kind_of(step.fills["path"][0]) == "circle"
            place = step.fills["place"]
            sample[f"t{step.id}"] = half_angle_fraction(place) if turning else Fraction(place)
            places[step.id] = turning
    m = Exact(sample)
    numbers = {}
    for step in board.steps:
        if step.construction.moves == "free":
            numbers[step.id] = (m.symbol(f"x{step.id}"), m.symbol(f"y{step.id}"))
        elif step.id in places:
            numbers[step.id] = ((m.angle_symbol if places[step.id] else m.symbol)(f"t{step.id}"),)
    return m, numbers


#: Constructions without an exact form: the roots of degree 4, what is rounded, an angle times a length.
NOT_ALGEBRAIC = {"rounded", "circle and ellipse", "arc_length", "point on an arc", "sectors"}
#: Families and loci are arrays already: there is no array, interval or exact form of them.
ONE_POSITION_AT_A_TIME = {
    "family", "locus", "envelope", "conic_of_locus", "places_by_distance", "places_nearer", "places_in_shape", "places_same_side",
    "places_other_side", "places_by_angle", "region", "region_edge", "is_in_region",
}  # fmt: skip
#: Exact in principle, but its tower of roots takes minutes even at one position.
TOO_DEAR = {"bent_conic"}
#: Exact, but with every coordinate a symbol the polynomials grow beyond reason: computed at one exact position.
AT_ONE_POSITION = {
    "conic_through",
    "bent_circle",
    "image_conic",
    "image_arc",
    "image_sector",
    "image_chord_region",
    "circle and ellipse",
    "point on a conic",
    "line and parabola",
}


def told(value):
    """A value as it is; of a claim, instead of its defects and their sizes, how far from true it is."""
    if not (isinstance(value, tuple) and len(value) == 3 and isinstance(value[2], list)):
        return value
    off = [abs(as_float(defect)) / as_float(size()) for defect, size in value[2]]
    return *value[:2], max(off, default=0.0)


class FourArithmeticsTest(unittest.TestCase):
    def figures(self):
        for construction in CATALOGUE:
            if construction.key in ONE_POSITION_AT_A_TIME or "the places" in construction.example:
                continue
            yield construction.key, construction.example
        yield "point_on circle", "A=(0,0)\nB=(3,1)\nk is the circle with centre A through B\nP is a point on k at 73"
        yield "point_on ray", "A=(0,0)\nB=(3,1)\nr is the ray from A through B\nP is a point on r at 1.5"
        yield (
            "line and circle",
            "A=(0,0)\nB=(3,1)\nC=(-2,1)\nk is the circle with centre A through B\np is the line through B and C\n"
            "D is where k meets p, first crossing\nE is where p meets k again, other than B",
        )
        yield (
            "two circles",
            "A=(0,0)\nB=(3,1)\nk is the circle with centre A through B\nc is the circle with centre B through A\n"
            "D is where k meets c, second crossing\nE is where k meets c again, other than D",
        )
        yield "blunt bisector", "A=(-4,1)\nB=(0,0)\nC=(5,0)\np is the bisector of angle ABC\nd is the distance from A to p"
        yield "point on an arc", "A=(0,0)\nB=(3,1)\nC=(1,4)\nk is the arc with centre A from B to C\nP is a point on k at 0.3"
        yield "point on a conic", "A=(0,0)\nB=(3,1)\nC=(1,4)\nk is the ellipse with foci A and B through C\nP is a point on k at 90"
        yield (
            "line and arc",
            "A=(0,0)\nB=(3,1)\nC=(-1,3)\nk is the arc with centre A from B to C\nD=(0.5,-1)\nE=(1,5)\n"
            "p is the line through D and E\nF is where k meets p, second crossing",
        )
        yield (
            "line and parabola",
            "A=(0,1)\nB=(-3,0)\nC=(3,0.5)\np is the line through B and C\nk is the parabola with focus A and directrix p\n"
            "D=(-4,3)\nE=(3,4)\nq is the line through D and E\nF is where k meets q, first crossing\n"
            "G is where k meets q again, other than F",
        )
        yield (
            "circle and ellipse",
            "A=(-2,0)\nB=(2,0)\nC=(0,1.5)\nk is the ellipse with foci A and B through C\nD=(0.2,0.3)\n"
            "c is the circle with centre D and radius 2\nE is where k meets c, second crossing\nF is where c meets k, third crossing",
        )
        yield (
            "two ellipses",
            "A=(-2,0)\nB=(2,0)\nC=(0,1.5)\nk is the ellipse with foci A and B through C\nD=(0.2,-2)\nE=(0.3,2.2)\n"
            "c is the ellipse with foci D and E through A",
        )
        yield (
            "sectors",
            "A=(0,0)\nB=(3,1)\nC=(-2,-1)\nk is the sector with centre A from B to C\n"
            "c is the chord region with centre A from B to C\nS is the area of k\nT is the area of c\nu is the perimeter of c",
        )
        yield "area in a formula", TRIANGLE + "v is the value of area(ABC) / AB\nw is the value of angle(ABC)"
        yield "rounded", TRIANGLE + "v is the value of round(AB * BC)"
        yield "comparison", TRIANGLE + "v is the value of AB < BC\nw is the value of AB + BC >= CA"
        yield (
            "calculation",
            TRIANGLE
            + "ABC is the polygon through A, B, C\nS is the area of ABC\nv is the value of sqrt(S) / AB + abs((BC - 2 AC) / AB) ^ 3 - 1/3",
        )
        yield "angles in formulas", TRIANGLE + "α is the angle ABC\nv is the value of sin(α) * cos(30) + tan(α)"
        yield "reflex", TRIANGLE + "α is the reflex angle ABC"
        yield "area of a circle", TRIANGLE + "k is the circle with centre A through B\nS_k is the area of k"

    def test_they_agree(self):
        for key, text in self.figures():
            with self.subTest(key):
                board = figure(text).board
                wanted = {step.id: board.value(step.id) for step in board.steps}
                self.compare(wanted, board.evaluate(FLOATS), 1e-12)
                self.compare_arrays(board)
                with Intervals(60) as m:
                    self.compare(wanted, board.evaluate(m), 1e-9)
                self.compare_exact(key, board, wanted)

    def compare(self, wanted, found, tolerance):
        for id, value in wanted.items():
            for one, other in zip(flat(value), flat(told(found[id])), strict=True):
                if abs(one) != float("inf"):
                    self.assertAlmostEqual(one, as_float(other), delta=tolerance * (1 + abs(one)), msg=id)

    def compare_arrays(self, board):
        """Shaken copies all at once against one copy at a time."""
        random = np.random.default_rng(4)
        shaken = {
            step.id: tuple(coordinate + random.uniform(-0.2, 0.2, 40) for coordinate in step.fills["at"])
            for step in board.steps if step.construction.moves == "free"
        }  # fmt: skip
        together = board.evaluate(ARRAYS, shaken)
        for copy in range(40):
            alone = board.evaluate(FLOATS, {id: tuple(float(part[copy]) for part in at) for id, at in shaken.items()})
            for id, value in alone.items():
                if value is None:
                    self.assertTrue(any(np.isnan(np.broadcast_to(part, 40)[copy]) for part in flat(together[id])), id)
                    continue
                for one, other in zip(flat(value), flat(together[id]), strict=True):
                    self.assertAlmostEqual(one, float(np.broadcast_to(other, 40)[copy]), places=8) if abs(one) < 1e300 else None

    def test_families_and_loci_are_for_floats_alone(self):
        for key in ONE_POSITION_AT_A_TIME:
            board = figure(CATALOGUE[key].example).board
            self.assertNotIn(None, board.evaluate(FLOATS).values())
            with Intervals(30) as m:
                self.assertIsNone(board.evaluate(m)[board.steps[-1].id], key)

    def compare_exact(self, key, board, wanted):
        if key in TOO_DEAR:
            return
        m, numbers = exact_numbers(board)
        if key in AT_ONE_POSITION:
            numbers = None
        if key in NOT_ALGEBRAIC:
            with self.assertRaises(NotAlgebraic):
                board.evaluate(m, numbers)
            return
        # A place on a circle is rational in the tangent of its half angle, so it is near its angle only.
        near = 1e-2 if any(step.does == "point_on" and board.kind_of(step.fills["path"][0]) == "circle" for step in board.steps) else 1e-9
        self.compare(wanted, board.evaluate(m, numbers), near)


class IntervalTest(unittest.TestCase):
    def test_the_bound_holds_the_truth_to_fifty_digits(self):
        board = figure("A=(0,0)\nB=(1,1)\nAB is the length of AB").board
        with Intervals(60) as m:
            length = board.evaluate(m)["s3"]
            self.assertTrue((length * length - 2).contains(0))
            self.assertLess(float(length.rad()), 1e-55)

    def test_what_cannot_be_told_from_parallel_is_undefined(self):
        with Intervals(30) as m:
            near = flint.arb(1, 1e-20)
            with self.assertRaises(Undefined):
                m.cross((flint.arb(1), flint.arb(1)), (flint.arb(1), near))


class ExactTest(unittest.TestCase):
    def test_three_bisectors_meet_in_one_point_for_every_triangle(self):
        f = figure(
            TRIANGLE + "p is the perpendicular bisector of AB\nq is the perpendicular bisector of A and C\nO is where p meets q\n"
            "u is the distance from O to B\nv is the distance from O to C\nw is the value of u^2 - v^2"
        )
        m, numbers = exact_numbers(f.board)
        values = f.board.evaluate(m, numbers)
        self.assertTrue(values[f.board.find("w")].is_zero())

    def test_what_is_not_so_is_not_zero(self):
        f = figure(TRIANGLE + "u is the distance from A to B\nv is the distance from A to C\nw is the value of u^2 - v^2")
        m, numbers = exact_numbers(f.board)
        self.assertFalse(f.board.evaluate(m, numbers)[f.board.find("w")].is_zero())

    def test_the_six_steps_of_a_compass_close_the_hexagon(self):
        f = figure(
            "O=(0,0)\nA=(3,1)\nk is the circle with centre O through A\nc is the circle with centre A through O\n"
            "B is where k meets c, first crossing\nF is where k meets c, second crossing\n"
            "u is the distance from A to B\nv is the distance from O to A\nw is the value of u^2 - v^2\n"
            "M is the midpoint of B and F\nd is the distance from M to A\nx is the value of d^2 - v^2/4"
        )
        m, numbers = exact_numbers(f.board)
        values = f.board.evaluate(m, numbers)
        self.assertTrue(values[f.board.find("w")].is_zero())
        self.assertTrue(values[f.board.find("x")].is_zero())

    def test_a_sign_that_was_needed_is_kept_as_an_assumption(self):
        m = Exact({"x": Fraction(-2)})
        x = m.symbol("x")
        self.assertTrue((m.absolute(x) + x).is_zero())
        self.assertEqual([(factor == x.top, sign) for factor, sign in m.signs.decided], [(True, -1)])

    def test_roots_of_roots(self):
        m = Exact({"x": Fraction(3)})
        x = m.symbol("x")
        inner = m.sqrt(x + 1)
        outer = m.sqrt(inner + 7)
        self.assertTrue((outer * outer - 7 - inner).is_zero())
        self.assertTrue(((outer * outer - 7) * (outer * outer - 7) - x - 1).is_zero())
        self.assertAlmostEqual(as_float(outer), 3.0)
        self.assertTrue((m.sqrt(m.number(Fraction(9, 4))) - Fraction(3, 2)).is_zero())

    def test_dividing_by_what_is_always_zero_is_refused(self):
        m = Exact({"x": Fraction(3)})
        root = m.sqrt(m.symbol("x"))
        with self.assertRaises(Undefined):
            1 / (root * root - m.symbol("x"))
