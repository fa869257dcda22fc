"""Dictated numbers and letters: put in figures where they are sizes and places, and left where they count things."""

import math
import random
import unittest

from ruddy_trellis.core.edits.prepare import perform
from ruddy_trellis.core.speech.english_idioms import in_other_words
from ruddy_trellis.core.speech.hearing import heard
from ruddy_trellis.core.speech.tokens import NAME, UNKNOWN, tokens

from ..bank.boards import BOARDS

ONES = "zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen"
TENS = "twenty thirty forty fifty sixty seventy eighty ninety"


def in_words(number, joint=" "):
    """A whole number under a thousand as it is said."""
    ones, tens = ONES.split(), TENS.split()
    if number < 20:
        return ones[number]
    if number < 100:
        return tens[number // 10 - 2] + (joint + ones[number % 10] if number % 10 else "")
    return f"{ones[number // 100]} hundred" + (f" and {in_words(number % 100, joint)}" if number % 100 else "")


class DictatedTest(unittest.TestCase):
    def board(self, text, name="empty"):
        board = BOARDS[name]().board
        perform(board, heard(text, board).edit)
        return board

    def points(self, text, name="empty"):
        board = self.board(text, name)
        return {board.name(step.id): complex(*board.value(step.id)) for step in board.steps if step.makes == "point"}

    def test_every_size_is_the_number_that_was_said(self):
        chance = random.Random(5)
        for number in {*range(1, 30), *(chance.randrange(30, 1000) for _ in range(40))}:
            joint = chance.choice(" -")
            said = in_words(number, joint)
            for text, factor in ((f"segment a b {said} millimetres long", 0.1), (f"a circle with radius {said} mm", 0.1)):
                board = self.board(text)
                (size,) = {step.fills["radius"] for step in board.steps if step.does == "circle_radius"}
                self.assertTrue(math.isclose(size, number * factor, rel_tol=1e-9), f"{text}: {size}")

    def test_decimals_halves_and_places(self):
        for text, wanted in (
            ("a circle with radius three point five", 3.5),
            ("a circle of radius twelve point two five", 12.25),
            ("a circle with radius two point oh five", 2.05),
            ("a circle with radius four and a half", 4.5),
        ):
            (size,) = [step.fills["radius"] for step in self.board(text).steps if step.does == "circle_radius"]
            self.assertAlmostEqual(size, wanted, msg=text)
        for text, place in (
            ("point p at three comma four", 3 + 4j),
            ("point p at minus two comma five", -2 + 5j),
            ("point p at zero comma negative twelve", -12j),
            ("a new point p at twenty one comma six", 21 + 6j),
        ):
            self.assertEqual(self.points(text)["P"], place, text)

    def test_numbers_that_count_things_are_left(self):
        for text in ("draw two circles", "one of the points", "the two circles", "a circle with one of its diameters", "two points on AB"):
            self.assertEqual(in_other_words(text), text)

    def test_a_triangle_is_dictated_whole(self):
        for text in (
            "triangle a b c with a b equals six and angle a forty degrees",
            "triangle abc with ab equal to six and angle a of forty degrees",
            "triangle a b c with ab = 6 and an angle of forty degrees at a",
        ):
            found = self.points(text)
            a, b, c = (found[name] for name in "ABC")
            self.assertAlmostEqual(abs(b - a), 6, msg=text)
            cosine = ((b - a) * (c - a).conjugate()).real / abs(b - a) / abs(c - a)
            self.assertAlmostEqual(math.degrees(math.acos(cosine)), 40, msg=text)
        found = self.points("rectangle a b c d six by four")
        self.assertEqual([round(abs(found[one] - found[other]), 9) for one, other in ("AB", "BC", "CD", "DA")], [6, 4, 6, 4])

    def test_letters_are_names_only_where_the_text_spells_them(self):
        board = BOARDS["empty"]().board
        for text, kind in (
            ("triangle abc with ab = 6", NAME),
            ("triangle a b c with ab = 6", NAME),
            ("a triangle and ab = 6", UNKNOWN),
            ("quadrilateral and one with ab = 6", UNKNOWN),
        ):
            self.assertEqual([token.kind for token in tokens(text, board) if token.text == "ab"], [kind], text)
