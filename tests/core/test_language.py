"""Sentences, formulas and names: what is printed reads back, what is wrong is refused in words."""

import unittest

from hypothesis import given, settings
from hypothesis import strategies as st

from ruddy_trellis.core import Figure, Refusal
from ruddy_trellis.core.arithmetic import FLOATS
from ruddy_trellis.core.board import PLAIN
from ruddy_trellis.core.catalogue import CATALOGUE, Construction
from ruddy_trellis.core.edits import Rename, perform
from ruddy_trellis.core.edits.saying import completions as complete
from ruddy_trellis.core.formulas.points import midpoint
from ruddy_trellis.core.language.expression import read_formula
from ruddy_trellis.core.language.formula_words import FUNCTIONS
from ruddy_trellis.core.lesson.file import lesson_schema
from ruddy_trellis.core.pointing.offers import offers

from .figures import TRIANGLE, figure


def plain(f):
    """The steps without their looks, which the text does not hold."""
    return [step.with_(look=PLAIN) for step in f.board.steps]


class RoundTripTest(unittest.TestCase):
    def test_the_working_reads_back_to_the_same_construction(self):
        for construction in CATALOGUE:
            with self.subTest(construction.key):
                f = figure(construction.example, unit="m")
                again = figure(f.working(), unit="m")
                self.assertEqual(plain(again), plain(f))

    def test_names_of_many_letters(self):
        f = figure(
            "Tap1 is a free point at (0, 0)\nTap2 is a free point at (1.25, -3)\nm' is the line through Tap1 and Tap2\n"
            "M_2 is the midpoint of Tap1‐Tap2\nTap1-Tap2 is the segment from Tap1 to Tap2\nQ is a point on m′ at 0.123456789012345"
        )
        again = figure(f.working())
        self.assertEqual(plain(again), plain(f))
        self.assertEqual(f.sentence("M_2"), "M_2 is the midpoint of Tap1‐Tap2")

    def test_other_ways_to_say_it(self):
        ways = {
            "M is the midpoint of AB": [
                "M = midpoint of A and B",
                "m' is the midpoint of A, B",
                "The Midpoint of AB.",
                "  midpoint   of  AB ",
            ],
            "k is the circle with centre A and radius 2.5": [
                "circle with centre A and radius 250 cm",
                "the circle with centre A and radius 0.0025 km",
            ],
            "D is a free point at (−1.5, 2)": ["D = (-1.5, 2)", "the point at (−1.5; 2)", "a free point at (-1.5,2)"],
        }
        for wanted, others in ways.items():
            f = figure(TRIANGLE, unit="m")
            f.say(wanted)
            for other in others:
                with self.subTest(other):
                    g = figure(TRIANGLE, unit="m")
                    g.say(other)
                    self.assertEqual(g.board.steps[-1].fills, f.board.steps[-1].fills)
                    self.assertEqual(g.board.steps[-1].does, f.board.steps[-1].does)

    def test_all_crossings_make_two_points(self):
        f = figure(
            "A=(0,0)\nB=(2,0)\nk is the circle with centre A through B\nC=(-3,1)\np is the line through C and B\nall crossings of p and k"
        )
        self.assertEqual([step.fills["which"] for step in f.board.steps[-2:]], ["first", "second"])
        with self.assertRaises(Refusal):
            f.say("X is both crossings of p and k")

    @settings(max_examples=200, deadline=None)
    @given(st.text(max_size=60))
    def test_any_text_is_read_or_refused(self, text):
        f = figure(TRIANGLE)
        before = f.working()
        try:
            f.say(text)
        except Refusal as refusal:
            self.assertRegex(refusal.sentence, r"[.”]$")
            self.assertEqual(f.working(), before)
        complete(text, f.board)

    def test_completion_goes_on_where_the_text_stops(self):
        board = figure(TRIANGLE + "p is the line through A and B").board
        shown = lambda text: [way.shown for way in complete(text, board)]
        self.assertIn("midpoint of …", shown("M is the mid"))
        self.assertEqual(shown("the parallel to "), ["A", "B", "C", "p"])
        self.assertIn("BC", shown("the length of B"))
        self.assertEqual(shown("nonsense"), [])
        for way in complete("the perp", board):
            self.assertTrue(way.text.startswith("the perp"))


class FormulaTest(unittest.TestCase):
    def value(self, text):
        return read_formula(text, self.fail).evaluate(FLOATS)

    def test_values(self):
        for text, value in {
            "1 + 2 * 3": 7,
            "(1 + 2) * 3": 9,
            "2 ^ 3 ^ 1": None,
            "-2^2": -4,
            "2(3 + 1)": 8,
            "½ × 8 ÷ 2": 2,
            "3²": 9,
            "10 - 4 - 3": 3,
            "12/3/2": 2,
            "sqrt(16)": 4,
            "abs(-3.5)": 3.5,
            "sin(30)": 0.5,
            "cos 60": None,
            "tan(45)": 1,
            "2^-2": 0.25,
            "--3": 3,
            "pi": 3.141592653589793,
            ".5+1.": 1.5,
        }.items():
            with self.subTest(text):
                if value is None:
                    with self.assertRaises((Refusal, AssertionError)):
                        self.value(text)
                else:
                    self.assertAlmostEqual(self.value(text), value)

    def test_errors_point_at_the_character(self):
        for text, place in {"1 + ": 4, "1 + * 2": 4, "(1": 0, "1 $ 2": 2, "2 ^ x": 4, "1)": 1, "foo(1)": 0, "{0}": 0, "()": 1}.items():
            with self.subTest(text), self.assertRaises(Refusal) as caught:
                read_formula(text, lambda name: ("s1",))
            self.assertEqual(caught.exception.place, place)

    def test_nothing_is_run(self):
        for text in ("__import__('os')", "a.b", "a[0]", "lambda: 1", "1;2", "'x'", "(" * 60 + "1" + ")" * 60, "9" * 500, "1 if 1 else 2"):
            with self.subTest(text), self.assertRaises(Refusal):
                figure(TRIANGLE).say(f"v = {text}")

    def test_units_are_kept_straight(self):
        base = TRIANGLE + "ABC is the polygon through A, B, C\nS is the area of ABC\nα is the angle ABC\n"
        for text, dimension in {
            "AB * BC": 2,
            "S / AB": 1,
            "S / S": 0,
            "sqrt(S)": 1,
            "AB + 1": 1,
            "2 * 3": 0,
            "sin(α)": 0,
            "α / 2": "angle",
            "AB^3": 3,
        }.items():
            f = figure(base + f"v = {text}")
            self.assertEqual(f.board.dimension(f.board.find("v")), dimension, text)
        for text, part in {
            "S + AB": "An area cannot be added to a length",
            "AB - α": "cannot be subtracted",
            "sin(AB)": "takes an angle",
        }.items():
            with self.subTest(text), self.assertRaises(Refusal) as caught:
                figure(base + f"v = {text}")
            self.assertIn(part, caught.exception.sentence)

    def test_a_formula_follows_renaming_and_dragging(self):
        f = figure(TRIANGLE + "AB is the length of AB\nh = 0.5 * AB * BC")
        perform(f.board, Rename(id=f.board.find("B"), name="Gate"))
        self.assertEqual(f.sentence("h"), "h is the value of 0.5 * A‐Gate * Gate‐C")
        f.drag("Gate", 3, 0)
        self.assertAlmostEqual(f.read("h"), 0.5 * 3 * 26**0.5)

    def test_the_functions_named_to_people_are_those_that_work(self):
        with self.assertRaises(Refusal) as caught:
            self.value("nofunction(1)")
        for name in FUNCTIONS:
            self.assertIn(name, caught.exception.sentence)


class OneDefinitionTest(unittest.TestCase):
    """A construction added in one place turns up everywhere."""

    def test_a_throwaway_construction(self):
        third = Construction(
            key="third",
            sentence="the near third of {span:span}",
            makes="point",
            group="Points",
            tool="near third",
            keys="pz",
            formula=lambda m, a, b: midpoint(m, a, midpoint(m, a, midpoint(m, a, b))),
            likely=1,
            example="A is a free point at (0, 0)\nB is a free point at (8, 0)\nT is the near third of AB",
        )
        CATALOGUE.use_own({"third": third})
        self.addCleanup(CATALOGUE.use_own, {})
        f = Figure()
        f.say(third.example)
        self.assertEqual(f.value("T"), (1, 0))
        self.assertIn("T is the near third of AB", f.working())
        self.assertIn("near third of …", [way.shown for way in complete("the near", f.board)])
        self.assertIn("the near third of AB", [offer.sentence for offer in offers(f.board, ["s1", "s2"])])
        self.assertIn("third", str(lesson_schema()))
        with self.assertRaises(ValueError):
            CATALOGUE.add(CATALOGUE["midpoint"])
