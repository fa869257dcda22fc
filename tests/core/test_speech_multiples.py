"""So many times a size: of what is there, and of the sides of what is drawn; sizes in claims that are described in words."""

import math
import unittest

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.edits import perform
from ruddy_trellis.core.kinds import CLAIM
from ruddy_trellis.core.speech.hearing import understood
from ruddy_trellis.core.truth.verdicts import verdict

from ..bank.boards import BOARDS
from ..bank.plane import ang, d

#: How a factor is said, and what it is.
SAID = {
    "twice": 2, "double": 2, "half": 0.5, "half of": 0.5, "three times": 3, "1.5 times": 1.5, "3/4": 0.75, "3/4 of": 0.75,
    "two thirds": 2 / 3, "4 times": 4,
}  # fmt: skip
#: Sizes as they are described, by the board on which they are, and what they are there.
SIZES = {
    "circ": {"the radius of k": abs(4 + 1j), "OA": abs(4 + 1j), "the length of OA": abs(4 + 1j), "the distance from A to P": abs(5 + 2j)},
    "tri": {"AB": abs(7 + 1j), "the length of BC": abs(5 - 4j), "the perimeter of ABC": abs(7 + 1j) + abs(5 - 4j) + abs(2 + 5j)},
}


def drawn(text, name="empty"):
    """The board after a sentence was said on one of the bank's."""
    board = BOARDS[name]().board
    perform(board, understood(text, board).edit)
    return board


def points(board):
    return {
        board.name(step.id): complex(*board.value(step.id)[:2]) for step in board.steps if step.makes == "point" and board.value(step.id)
    }


class MultiplesOfSizesTest(unittest.TestCase):
    def test_a_radius_is_so_many_times_a_size(self):
        looked = 0
        for name, sizes in SIZES.items():
            for size, value in sizes.items():
                for factor, number in SAID.items():
                    text = f"draw a circle with centre A and radius {factor} {size}"
                    board = drawn(text, name)
                    step = next(step for step in reversed(board.steps) if step.makes == "circle")
                    self.assertAlmostEqual(math.sqrt(board.value(step.id)[2]), number * value, msg=text)
                    looked += 1
        self.assertGreater(looked, 60)

    def test_a_turn_is_so_many_times_an_angle(self):
        for text, number in (
            ("rotate C about A by twice angle B", 2),
            ("rotate C about A by half of angle B", 0.5),
            ("rotate C about A by 1.5 times the angle ABC", 1.5),
        ):
            found = points(drawn(text, "tri"))
            self.assertAlmostEqual(ang(found["C"], found["A"], found["D"]), number * ang(found["A"], found["B"], found["C"]), msg=text)

    def test_as_long_as_and_as_large_as(self):
        board = drawn("draw a segment CD twice as long as AB", "three")
        found = points(board)
        self.assertAlmostEqual(d(found["C"], found["D"]), 2 * d(found["A"], found["B"]))
        board = drawn("draw a circle around P three times as big as k", "circ")
        step = next(step for step in reversed(board.steps) if step.makes == "circle")
        self.assertAlmostEqual(math.sqrt(board.value(step.id)[2]), 3 * abs(4 + 1j))

    def test_a_dial_is_reckoned_with(self):
        for text, turn in (
            ("turn B about A by 10 times r degrees", 40),
            ("turn B about A by 10r + 5 degrees", 45),
            ("turn B about A by 90 - r degrees", 86),
            ("turn B about A by twice r degrees", 8),
        ):
            found = points(drawn(text, "dialled"))
            self.assertAlmostEqual(ang(found["B"], found["A"], found["D"]), turn, msg=text)
        found = points(drawn("the point r/10 of the way from A to B", "dialled"))
        self.assertAlmostEqual(abs(found["D"] - found["A"]), 0.4 * abs(found["B"] - found["A"]))

    def test_what_is_to_grow_is_no_amount(self):
        for text in ("double the radius of k", "Triple OA"):
            with self.assertRaises(Refusal):
                drawn(text, "circ")


class SidesOfNewShapesTest(unittest.TestCase):
    def test_sides_are_so_many_times_others(self):
        for text, one, other, number in (
            ("triangle ABC with AB = 2 BC", "AB", "BC", 2),
            ("triangle ABC with angle A = 90° and AC = 2 AB", "AC", "AB", 2),
            ("triangle ABC in which AB = 6 and AC = 1.5 BC", "AC", "BC", 1.5),
            ("ABC is a triangle in which AC = BC/2", "AC", "BC", 0.5),
            ("draw a trapezium ABCD with AB parallel to DC and AB twice as long as DC", "AB", "DC", 2),
            ("ABCD is a rectangle with AB = 2 BC", "AB", "BC", 2),
            ("parallelogram ABCD with AB = 3AD and angle A = 50°", "AB", "AD", 3),
            ("a right-angled triangle ABC with the right angle at C and BC = 3 AC", "BC", "AC", 3),
            ("quadrilateral ABCD with AB = 2 CD", "AB", "CD", 2),
        ):
            board = drawn(text)
            for _ in range(2):
                found = points(board)
                length = {side: d(*(found[letter] for letter in side)) for side in (one, other)}
                self.assertAlmostEqual(length[one], number * length[other], msg=text)
                # It stays so when a corner that is free is dragged.
                free = next(step for step in board.steps if step.does == "free_point")
                x, y = board.value(free.id)
                board.move({free.id: (x + 0.3, y - 0.2)})

    def test_sides_that_make_no_triangle_are_refused(self):
        with self.assertRaises(Refusal):
            drawn("triangle ABC with AB = 2 BC and BC = 3 CA")

    def test_a_rhombus_on_a_side_and_on_a_diagonal(self):
        for text, corner, around, size in (
            ("a rhombus with AB as a side and an angle of 50° at A", "A", "BD", 50),
            ("a rhombus with side AB and an angle of 40° at B", "B", "AC", 40),
            ("rhombus below AB with an angle of 70°", "A", "BD", 70),
        ):
            found = points(drawn(text, "two"))
            self.assertAlmostEqual(ang(found[around[0]], found[corner], found[around[1]]), size, msg=text)
            self.assertAlmostEqual(d(found["C"], found["D"]), d(found["A"], found["B"]), msg=text)
        found = points(drawn("draw a rhombus with AB as diagonal and side 5 cm", "two"))
        self.assertEqual([round(d(found[one], found[other]), 9) for one, other in ("AC", "CB", "BD", "DA")], [5, 5, 5, 5])

    def test_two_equal_sides_have_the_angle_between_them(self):
        for text in (
            "a triangle with two equal sides of 5 cm and the angle between them 40°",
            "isosceles triangle with legs of 5 cm and an angle of 40° between them",
            "isosceles triangle ABC with equal sides 5 and the angle 40° between the equal sides",
        ):
            found = list(points(drawn(text)).values())
            sides = sorted(round(d(one, other), 9) for one, other in ((found[0], found[1]), (found[1], found[2]), (found[2], found[0])))
            self.assertEqual(sides[1:], [5, 5], text)
            self.assertAlmostEqual(sides[0], 10 * math.sin(math.radians(20)), msg=text)

    def test_what_is_said_after_a_base_is_said_of_the_shape(self):
        found = points(drawn("an isosceles triangle on base AB with height 4 cm", "two"))
        a, b, c = found["A"], found["B"], found["C"]
        self.assertAlmostEqual(abs(c - (a + b) / 2), 4)
        with self.assertRaises(Refusal):
            drawn("an isosceles triangle on base AB with perimeter 20", "two")


class SizesInClaimsTest(unittest.TestCase):
    def test_sizes_are_described(self):
        for name, text, holds in (
            ("tri", "prove that the area of ABC is half of AB times the altitude from C", True),
            ("tri", "show that the perimeter is equal to AB + BC + CA", True),
            ("circ", "prove that the circumference of k is 2 pi times the radius of k", True),
            ("tri", "Show that AB + AC is equal to the altitude from B", False),
        ):
            board = drawn(text, name)
            (claim,) = [step.id for step in board.steps if step.makes == CLAIM]
            self.assertEqual(verdict(board, claim).verdict != "fails", holds, text)


if __name__ == "__main__":
    unittest.main()
