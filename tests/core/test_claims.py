"""Claims and their verdicts: a bank of true and false ones, what is proved and what must not be."""

import math
import random
import time
import unittest

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.arithmetic import FLOATS, Exact
from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.core.edits import Add, perform
from ruddy_trellis.core.edits.saying import claim_said, said
from ruddy_trellis.core.hand.alone import Alone
from ruddy_trellis.core.truth.claimed import Claimed
from ruddy_trellis.core.truth.noticing import noticed, shapes_of
from ruddy_trellis.core.truth.proving import proof
from ruddy_trellis.core.truth.resting import rests_on
from ruddy_trellis.core.truth.verdicts import first_verdict

from .bounds import within
from .claims import SHARE, bank
from .figures import TRIANGLE, as_float, figure

CENTRES = TRIANGLE + "O is the circumcentre of ABC\nG is the centroid of ABC\nH is the orthocentre of ABC\n"
WANTED = {"+": ("proved",), "~": ("proved", "stands"), "-": ("fails",)}


def claimed(f, text):
    """A claim on a copy of a figure's board."""
    board = f.board.copy()
    perform(board, Add(steps=claim_said(text, f.board)))
    return Claimed(board, board.steps[-1].id)


class BankTest(unittest.TestCase):
    def test_all_that_is_true_is_proved_and_all_that_is_not_fails(self):
        count = 0
        for sentences, claims in bank():
            f = figure(sentences)
            for sign, text in claims:
                with within(15, text):
                    found = f.claim(text)
                count += 1
                self.assertIn(found.verdict, WANTED[sign], f"{text}: {found.why}")
        self.assertGreater(count, 550 // SHARE)

    def test_no_near_miss_is_proved_wherever_the_figure_starts(self):
        """The prover alone, without the trials that go before it, over 1,000 random positions."""
        chance, count = random.Random(5), 0
        for sentences, claims in bank():
            f = figure(sentences)
            pegs = [step for step in f.board.steps if step.moves == "free"]
            for _ in range(9):
                f.board.move({peg.id: [part + chance.gauss(0, 2) for part in peg.fills["at"]] for peg in pegs})
                for text in (text for sign, text in claims if sign == "-"):
                    self.assertFalse(proof(claimed(f, text), 3).proved, text)
                    count += 1
        self.assertGreater(count, 1500 // SHARE)

    def test_a_first_verdict_comes_soon(self):
        spent = []
        for sentences, claims in bank():
            f = figure(sentences)
            for _, text in claims[:6]:
                one = claimed(f, text)
                began = time.process_time()
                first_verdict(one.whole, one.claim.id)
                spent.append(time.process_time() - began)
        self.assertLess(sorted(spent)[int(0.95 * len(spent))], 0.3)


class VerdictTest(unittest.TestCase):
    def test_where_it_fails_it_is_broken_there(self):
        for sentences, claims in bank():
            f = figure(sentences)
            for text in [text for sign, text in claims if sign == "-"][:2]:
                one = claimed(f, text)
                found = first_verdict(one.whole, one.claim.id)
                if found.why:
                    continue  # it can nowhere be asked
                one.whole.move({id: list(numbers) for id, numbers in found.positions.items()})
                self.assertGreater(one.whole.value(one.claim.id)[2], 1e-6, text)
                self.assertEqual(set(found.position), {one.whole.name(id) for id in found.positions})

    def test_what_depends_on_the_arrangement_fails_and_shows_another_one(self):
        f = figure(TRIANGLE + "k is the circle through A, B and C\nP is a point on k at 100")
        self.assertEqual(f.claim("angle APB = angle ACB").verdict, "fails")
        f = figure("A = (0, 0)\nB = (6, 0)\nM is the midpoint of AB\nC = (1, 3)")
        self.assertEqual(f.claim("angle AMB = 0").verdict, "fails")
        self.assertEqual(f.claim("angle AMB = 180").verdict, "proved")
        self.assertEqual(f.claim("angle AMC + angle CMB = 180").verdict, "proved")
        self.assertEqual(f.claim("AC + CB = AB").verdict, "fails")
        f = figure("A = (0, 0)\nB = (6, 0)\nP is a point on AB at 0.4\np is the line through A and B\nQ is a point on p at 0.4")
        self.assertEqual(f.claim("AP + PB = AB").verdict, "proved", "between the ends")
        self.assertEqual(f.claim("AQ + QB = AB").verdict, "fails", "beyond them")

    def test_what_is_constant_while_something_moves(self):
        f = figure(
            "A=(0,0)\nB=(5,1)\nk is the circle with centre A through B\nP is a point on k at 50\nC = (1,4)\nv is the distance from A to P\n"
            "w is the distance from B to P\np is the parallel to BC through A\nT is a point on p at 0.4\n"
            "TBC is the polygon through T, B, C\n"
            "U is the area of TBC\nd is a dial from 1 to 5 in steps of 0.5 at 3\ne is the circle with centre A and radius d\n"
            "x is the value of radius(e) / d\nu is the radius of e"
        )
        for text, wanted in (
            ("v is constant while P moves", "proved"), ("is w constant while P moves?", "fails"), ("U is constant as T slides", "proved"),
            ("x is constant while d turns", "proved"), ("u is constant while d turns", "fails"), ("v is constant while B moves", "fails"),
        ):  # fmt: skip
            with self.subTest(text):
                self.assertEqual(f.claim(text).verdict, wanted)
        with self.assertRaises(Refusal):
            f.claim("v is constant while k moves")

    def test_typed_decimals_are_what_was_typed(self):
        f = figure(
            "A = (0, 0)\nB = (5.3, 0.1)\nk is the circle with centre A and radius 1.7\nC is the point B turned about A by 35.1 degrees"
        )
        for text, wanted in (
            ("radius(k) = 1.7", "proved"), ("radius(k) = 1.7000000001", "fails"), ("angle BAC = 35.1", "proved"),
            ("angle BAC = 35.2", "fails"), ("10 radius(k) = 17", "proved"),
        ):  # fmt: skip
            self.assertEqual(f.claim(text).verdict, wanted, text)

    def test_what_is_false_by_less_than_floats_see_fails(self):
        f = figure("A = (0, 0)\nB = (5, 1)\nC is the point B turned about A by 90 degrees")
        self.assertEqual(f.claim("BC = sqrt(2) * AB").verdict, "proved")
        for near in ("1.4142135623", "1.41421356237309", "1.4142135623730951"):
            self.assertEqual(f.claim(f"BC = {near} * AB").verdict, "fails", near)

    def test_conditions_are_told(self):
        self.assertEqual(figure(CENTRES).claim("O, G and H are in line").conditions, ("where A, B and C are not in line",))

    def test_what_can_nowhere_be_asked_cannot_be_told(self):
        f = figure(CENTRES + "p is the line through A and B\nq is the parallel to p through C\nr is the parallel to p through O")
        found = f.claim("p, q and r go through one point")
        self.assertEqual((found.verdict, found.positions), ("cannot be told", {}))
        self.assertIn("in none of the positions", found.why)

    def test_it_is_said_in_many_ways(self):
        f = figure(
            CENTRES + "k is the circle through A, B and C\np is the line through A and B\nq is the parallel to p through C\n"
            "t is the tangent to k at A\nABC is the polygon through A, B, C"
        )
        for text, wanted in (
            ("is O on GH?", "proved"), ("O, G and H are collinear", "proved"), ("are p and q parallel?", "proved"), ("p ∥ q?", "proved"),
            ("does k pass through B?", "proved"), ("t touches k", "proved"), ("Is k tangent to t?", "proved"), ("GH : OG = 2", "proved"),
            ("∠ABC + ∠BCA + ∠CAB = 180°", "proved"), ("|OA| = |OB|", "proved"), ("the radius of k is OA", "proved"),
            ("is ABC isosceles?", "fails"), ("AB ⊥ BC", "fails"), ("H lies on k", "fails"), ("area of ABC = 12", "fails"),
        ):  # fmt: skip
            with self.subTest(text):
                self.assertEqual(f.claim(text).verdict, wanted)
        before = f.working()
        for text in (
            "hello",
            "AB = k",
            "A, B and Z are in line",
            "AB =",
            "is p?",
            "area(ABC) = AB",
            "ABC is a kite",
            "A and B are in line",
        ):
            with self.subTest(text), self.assertRaises(Refusal):
                f.claim(text)
        self.assertEqual(f.working(), before)
        self.assertEqual(said("AB = BC", f.board)[-1].does, "equal_values")
        self.assertEqual(said("h = AB / BC", f.board)[-1].does, "calculation")

    def test_what_it_hangs_on(self):
        f = figure(CENTRES + "D = (9, 9)")
        mark = claimed(f, "O, G and H are in line").mark
        f.drag("A", 1, -1)
        f.drag("D", 1, -1)
        self.assertEqual(claimed(f, "O, G and H are in line").mark, mark, "where the pegs are does not count")
        self.assertNotEqual(claimed(f, "O, H and G are in line").mark, mark)
        other = figure(CENTRES.replace("centroid", "incentre"))
        self.assertNotEqual(claimed(other, "O, G and H are in line").mark, mark)


class LookingTest(unittest.TestCase):
    def test_what_might_be_true(self):
        found = noticed(figure(CENTRES + "D = (9, 9)").board)
        self.assertEqual([one.words for one in found], ["O, G and H are in line"])
        f = figure(CENTRES)
        perform(f.board, found[0].edit)
        self.assertEqual(first_verdict(f.board, f.board.steps[-1].id).verdict, "stands")
        self.assertEqual(noticed(figure(TRIANGLE + "M is the midpoint of AB\nF is the foot of the perpendicular from C to AB").board), [])

    def test_what_a_claim_rests_on(self):
        f = figure(CENTRES + "k is the circle through A, B and C\nthe claim that O, G and H are in line at (0, 0)")
        self.assertEqual([tie.words for tie in rests_on(f.board, f.board.steps[-1].id)], [
            "O is the circumcentre of ABC", "G is the centroid of ABC", "H is the orthocentre of ABC",
        ])  # fmt: skip
        f = figure(
            TRIANGLE
            + "p is the bisector of angle ABC\nP is a point on p at 0.7\nthe claim that A, B and C are on one circle at (0, 0)".replace(
                "A, B and C are on one circle", "angle(ABP) = angle(PBC)"
            )
        )
        self.assertEqual([tie.id for tie in rests_on(f.board, f.board.steps[-1].id)], [f.board.find("p"), f.board.find("P")])

    def test_what_shape_it_is(self):
        f = figure(
            "A = (0, 0)\nB = (6, 0)\nC = (6, 4)\nD = (0, 4)\nABCD is the polygon through A, B, C, D\nK is the midpoint of AB\n"
            "L is the midpoint of BC\nM is the midpoint of CD\nN is the midpoint of DA\nKLMN is the polygon through K, L, M, N"
        )
        always, now = shapes_of(f.board, f.board.find("KLMN"))
        self.assertEqual(always, ["a parallelogram", "a trapezium"])
        self.assertIn("a rhombus", now)
        f.drag("C", 7, 5)
        self.assertNotIn("a rhombus", shapes_of(f.board, f.board.find("KLMN"))[1])

    def test_a_position_is_shown_and_everything_put_back(self):
        f = figure(TRIANGLE + "the claim that AB = BC at (0, 0)\nthe claim that A, B and C are in line at (0, 1)")
        alone = Alone(f.board)
        before = [step.fills for step in f.board.steps]
        answers = alone.do(t="counter", id=f.board.steps[-1].id)
        self.assertGreater(sum(answer["t"] == "moved" for answer in answers), 40)
        self.assertEqual([step.fills for step in alone.board.steps], before)
        self.assertEqual(alone.do(t="counter", id=f.board.steps[0].id)[-1]["kind"], "refusal")


class ExactTest(unittest.TestCase):
    def test_roots_within_roots_and_of_one_another(self):
        m = Exact({"x": 3, "y": 2}, decide=lambda factor: 1)
        x, y, root = m.symbol("x"), m.symbol("y"), lambda number: m.sqrt(m.number(number))
        five = root(5)
        self.assertTrue((m.sqrt((3 - five) / 2) - (five - 1) / 2).is_zero())
        self.assertTrue((root(2) * root(3) - root(6)).is_zero())
        self.assertTrue((m.sqrt(10 + 2 * five) * m.sqrt(10 - 2 * five) - 4 * five).is_zero())
        self.assertTrue((m.sqrt(x * x * y) - x * m.sqrt(y)).is_zero())
        self.assertFalse((root(2) + root(3) - root(5)).is_zero())
        a = m.sqrt(x * x + y * y)
        self.assertTrue((m.sqrt((1 + a) * (1 + a) * y) - (1 + a) * m.sqrt(y)).is_zero())

    def test_signs_that_are_plain_need_no_decision(self):
        m = Exact({"x": 1, "y": 1}, decide=lambda factor: self.fail(f"{factor} was to be decided"))
        x, y = m.symbol("x"), m.symbol("y")
        side = lambda ax, ay: m.sqrt(ax * ax + ay * ay)
        a, b = side(x, y), side(x - 1, y)
        for positive in (x * x - x + y * y + 1, 1 + a + b, a + b - 1, 1 + a - b, x * x - 2 * x * y + 2 * y * y):
            self.assertEqual(m.signs.of(positive), 1)
        self.assertEqual(m.signs.of(b - a - 1), -1)

    def test_degrees(self):
        m = Exact({}, decide=lambda factor: 1)
        for degrees in (3, 15, 18, 22.5, 36, 54, 72, 75, 120, 216, -36):
            cosine, sine = m.cos_sin(m.number(degrees))
            self.assertTrue((cosine * cosine + sine * sine - 1).is_zero(), degrees)
        for degrees in (1, 3, 7.5, 15, 18, 20, 33, 36, 40, 54, 60, 72, 75, 80, 87, 100, 144, 216, 333, -36, -75, 400):
            one = Exact({})
            found = one.cos_sin(one.number(degrees))
            self.assertAlmostEqual(as_float(found[0]), math.cos(math.radians(degrees)), places=9, msg=degrees)
            self.assertAlmostEqual(as_float(found[1]), math.sin(math.radians(degrees)), places=9, msg=degrees)
        twice = [m.cos_sin(m.number(degrees)) for degrees in (40, 80)]
        self.assertTrue((twice[0][0] * twice[0][0] * 2 - 1 - twice[1][0]).is_zero())


class FrameTest(unittest.TestCase):
    def test_what_a_construction_needs_of_the_plane_is_as_its_definition_says(self):
        """Turned, moved and enlarged, every figure gives the same turned, moved and enlarged, but for what its definition needs."""
        for construction in CATALOGUE:
            if construction.expands or construction.planner or construction.makes in ("mark", "words", "reveal", "motion"):
                continue
            f = figure(construction.example)
            step = f.board.steps[-1]
            if step.does != construction.key or step.construction.moves in ("sliding", "turning"):
                continue
            uses = {need for one in f.board.steps for need in one.construction.needs}
            typed = any(isinstance(one.fills.get(gap), float) for one in f.board.steps for gap in one.construction.lengths)
            turn = 0.0 if {"direction", "origin"} & uses else 0.7
            size = 1.0 if typed or {"size", "origin"} & uses else 1.7
            shift = (0.0, 0.0) if "origin" in uses else (2.5, -1.2)
            with self.subTest(construction.key):
                self.check(f.board, step, turn, size, shift)

    def check(self, board, step, turn, size, shift):
        cosine, sine = size * math.cos(turn), size * math.sin(turn)
        turned = lambda x, y: (cosine * x - sine * y, sine * x + cosine * y)
        put = lambda x, y: tuple(part + off for part, off in zip(turned(x, y), shift))
        there = {one.id: put(*one.fills["at"]) for one in board.steps if one.does == "free_point"}
        before, after = board.value(step.id), board.evaluate(FLOATS, there)[step.id]
        kind = step.makes
        if kind == "point":
            self.near(put(*before), after)
        elif kind in ("ray", "line"):
            directions = (turned(*before[2:4]), after[2:4])
            self.near(put(*before[:2]), after[:2])
            self.near(*([part / math.hypot(*direction) for part in direction] for direction in directions))
        elif kind in ("segment", "vector"):
            self.near((*put(*before[:2]), *turned(*before[2:4])), after[:4])
        elif kind in ("circle", "arc", "sector", "chord_region"):
            points = [part for place in zip(before[3::2], before[4::2]) for part in put(*place)]
            self.near((*put(*before[:2]), before[2] * size * size, *points), after)
        elif kind == "polygon":
            self.near([part for corner in before for part in put(*corner)], [part for corner in after for part in corner])
        elif kind == "conic":
            self.near((*put(*before[:2]), before[4] * size), (*after[:2], after[4]))
        elif kind == "claim":
            self.assertAlmostEqual(before[2], after[2], places=6)
        elif kind == "number" and step.construction.dimension in (0, 1, 2, "angle"):
            power = 0 if step.construction.dimension == "angle" else step.construction.dimension
            self.assertAlmostEqual(before * size**power, after, places=6)

    def near(self, wanted, found):
        for one, other in zip(wanted, found, strict=True):
            self.assertAlmostEqual(one, other, places=6)
