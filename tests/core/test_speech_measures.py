"""Shapes by what is measured of them: whatever sizes are said, the shape that is drawn has them, wherever its free points go."""

import cmath
import math
import random
import unittest
from itertools import combinations, product

from ruddy_trellis.core.edits import Move
from ruddy_trellis.core.edits.prepare import perform
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech.hearing import heard
from ruddy_trellis.core.speech.nouns import NAMED_BY_SIDES

from ..bank.boards import BOARDS
from ..bank.plane import area, side
from .tries import tries


def sides(ring):
    return [abs(one - other) for one, other in zip(ring, (*ring[1:], ring[0]))]


def height(ring):
    return 2 * area(*ring[:3]) / abs(ring[1] - ring[0])


def gap(ring):
    """How far apart the first side and the one that faces it are, which have to be parallel."""
    (a, b, c, d) = ring
    assert abs(((b - a) * (c - d).conjugate()).imag) < 1e-9 * abs(b - a) * abs(c - d), "not parallel"
    return abs(((b - a).conjugate() * (c - a)).imag) / abs(b - a)


#: What is said, with what is measured of the corners: pairs of a size that was said and one that is there. ``a`` and ``b`` are sizes.
_SAID = {
    "square with area {a}": lambda r, a, b: [(area(*r), a), (max(sides(r)), min(sides(r))), (abs(r[0] - r[2]), abs(r[1] - r[3]))],
    "a square of area {a} square centimetres": lambda r, a, b: [(area(*r), a)],
    "square with perimeter {a}": lambda r, a, b: [(sum(sides(r)), a), (area(*r), a * a / 16)],
    "rhombus with perimeter {a}": lambda r, a, b: [(one, a / 4) for one in sides(r)],
    "equilateral triangle with perimeter {a}": lambda r, a, b: [(one, a / 3) for one in sides(r)],
    "equilateral triangle with area {a}": lambda r, a, b: [(area(*r), a), (max(sides(r)), min(sides(r)))],
    "equilateral triangle with height {a}": lambda r, a, b: [(height(r), a), (max(sides(r)), min(sides(r)))],
    "regular hexagon with perimeter {a}": lambda r, a, b: [(one, a / 6) for one in sides(r)],
    "regular pentagon with area {a}": lambda r, a, b: [(area(*r), a), (max(sides(r)), min(sides(r)))],
    "rectangle with area {a} and one side {b}": lambda r, a, b: [(area(*r), a), (sides(r)[0], b), (abs(r[0] - r[2]), abs(r[1] - r[3]))],
    "rectangle with perimeter {c} and side {b}": lambda r, a, b: [(sum(sides(r)), 2 * a + 2 * b), (sides(r)[0], b)],
    "rectangle with a diagonal of {c} and one side {b}": lambda r, a, b: [(abs(r[0] - r[2]), 2 * a + 2 * b), (sides(r)[0], b)],
    "rectangle with diagonals of {a}": lambda r, a, b: [(abs(r[0] - r[2]), a), (abs(r[1] - r[3]), a), (abs(r[0] + r[2] - r[1] - r[3]), 0)],
    "rhombus with side {c} and one diagonal {b}": lambda r, a, b: [(abs(r[0] - r[2]), b), *((one, 2 * a + 2 * b) for one in sides(r))],
    "rhombus with area {a} and one diagonal {b}": lambda r, a, b: [(abs(r[0] - r[2]), b), (area(*r), a), (max(sides(r)), min(sides(r)))],
    "parallelogram with diagonals {a} and {b}": lambda r, a, b: [
        (abs(r[0] - r[2]), a), (abs(r[1] - r[3]), b), (abs(r[0] + r[2] - r[1] - r[3]), 0),
    ],
    "parallelogram ABCD with AC = {a} and BD = {b}": lambda r, a, b: [(abs(r[0] - r[2]), a), (abs(r[1] - r[3]), b)],
    "parallelogram with base {a} and height {b}": lambda r, a, b: [(sides(r)[0], a), (gap(r), b), (area(*r), a * b)],
    "parallelogram with sides {a} and {c} and height {b}": lambda r, a, b: [(sides(r)[0], a), (sides(r)[1], 2 * a + 2 * b), (gap(r), b)],
    "kite with diagonals {a} and {b}": lambda r, a, b: [
        (abs(r[0] - r[2]), a), (abs(r[1] - r[3]), b), (sides(r)[0], sides(r)[3]), (sides(r)[1], sides(r)[2]), (area(*r), a * b / 2),
    ],
    "trapezium with parallel sides {c} and {a} and height {b}": lambda r, a, b: [
        (sides(r)[0], 2 * a + 2 * b), (sides(r)[2], a), (gap(r), b),
    ],
    "isosceles trapezium with parallel sides {c} and {a} and height {b}": lambda r, a, b: [
        (sides(r)[0], 2 * a + 2 * b), (sides(r)[2], a), (gap(r), b), (sides(r)[1], sides(r)[3]),
    ],
    "triangle with area {a} and base {b}": lambda r, a, b: [(area(*r), a), (sides(r)[0], b)],
    "triangle with base {a} and height {b}": lambda r, a, b: [(sides(r)[0], a), (height(r), b)],
    "isosceles triangle with base {a} and height {b}": lambda r, a, b: [(sides(r)[0], a), (height(r), b), (sides(r)[1], sides(r)[2])],
}  # fmt: skip


def near(found, wanted):
    return any(abs(one - wanted) < 1e-7 for one in found)


def legs(ring, angles, text):
    """The two sides that are called legs: those of the right angle, else the equal ones; any where there is neither."""
    around = sides(ring)
    if "right" in text:
        corner = angles.index(max(angles))
        return [around[corner - 1], around[corner]]
    if "isosceles" in text:
        return [one for one in around if sum(abs(one - other) < 1e-6 for other in around) > 1]
    return around


#: Facts of triangles, with whether they hold, of the corners, the angles, the sizes that were said and the sentence.
_OF_TRIANGLES = {
    "legs {a}": lambda r, angles, size, text: near(legs(r, angles, text), size["a"]),
    "legs {a} and {b}": lambda r, angles, size, text: near(sides(r), size["a"]) and near(sides(r), size["b"]),
    "side {a}": lambda r, angles, size, text: near(sides(r), size["a"]),
    "hypotenuse {c}": lambda r, angles, size, text: near([max(sides(r))], size["c"]) and near(angles, 90),
    "base {b}": lambda r, angles, size, text: near(sides(r)[:1], size["b"]),
    "one leg {a}": lambda r, angles, size, text: near(legs(r, angles, text), size["a"]),
    "height {b}": lambda r, angles, size, text: near([2 * area(*r) / one for one in sides(r)], size["b"]),
    "AB = {a}": lambda r, angles, size, text: near(sides(r)[:1], size["a"]),
    "AC = {b}": lambda r, angles, size, text: near(sides(r)[2:], size["b"]),
    "a right angle at A": lambda r, angles, size, text: near(angles[:1], 90),
    "angle A = {angle}": lambda r, angles, size, text: near(angles[:1], size["angle"]),
    "an angle of {angle} degrees at B": lambda r, angles, size, text: near(angles[1:2], size["angle"]),
    "apex angle {angle}": lambda r, angles, size, text: near(angles, size["angle"]),
    "AB = AC": lambda r, angles, size, text: abs(sides(r)[0] - sides(r)[2]) < 1e-7,
    "base angles {angle}": lambda r, angles, size, text: sum(abs(one - size["angle"]) < 1e-6 for one in angles) > 1,
    "area {a}": lambda r, angles, size, text: near([area(*r)], size["a"]),
    "perimeter {c}": lambda r, angles, size, text: near([sum(sides(r))], size["c"]),
}


class MeasuresTest(unittest.TestCase):
    def ring(self, board):
        (polygon,) = (step for step in board.steps if step.makes == "polygon")
        return [complex(*corner) for corner in board.value(polygon.id)]

    def move(self, board, chance):
        """Move every free point, and what slides a little."""
        numbers = {
            step.id: [value + chance.uniform(-0.3, 0.3) for value in board.value(step.id)]
            for step in board.steps
            if step.moves == "free" and step.makes == "point"
        }
        perform(board, Move(numbers=numbers))

    def test_what_is_drawn_has_the_sizes_that_are_said(self):
        chance = random.Random(11)
        for said, measured in _SAID.items():
            for _ in range(4):
                a, b = (round(chance.uniform(2, 9), 1) for _ in range(2))
                text = said.format(a=a, b=b, c=round(2 * a + 2 * b, 1))
                board = BOARDS["empty"]().board
                perform(board, heard(text, board).edit)
                for turn in range(3):
                    ring = self.ring(board)
                    for found, wanted in measured(ring, a, b):
                        self.assertAlmostEqual(found, wanted, 7, f"{text}: {ring}")
                    turns = [side(one, two, three) > 0 for one, two, three in zip(ring, (*ring[1:], ring[0]), (*ring[2:], *ring[:2]))]
                    self.assertTrue("kite" in text or "parallelogram" in text or turn or len(set(turns)) == 1, f"{text} is crossed: {ring}")
                    self.move(board, chance)

    def test_a_triangle_is_of_the_sort_and_has_the_sizes_that_are_said(self):
        """Whatever is said together: if it is drawn, it is isosceles, right-angled and as large as it is said to be."""
        chance, drawn, wrong = random.Random(17), 0, []
        for _ in range(tries(400)):
            sorts = chance.choice(("", "isosceles ", "right-angled ", "isosceles right ", "right-angled isosceles ", "right "))
            facts = chance.sample(sorted(_OF_TRIANGLES), chance.choice((1, 1, 2)))
            a, angle = round(chance.uniform(2, 9), 1), chance.randrange(25, 80)
            text = f"{chance.choice(('draw a ', '', 'an '))}{sorts}triangle {chance.choice(('ABC ', ''))}with " + " and ".join(
                facts
            ).format(a=a, b=round(0.8 * a, 1), c=round(1.4 * a, 1), angle=angle)
            board = BOARDS["empty"]().board
            try:
                perform(board, heard(text, board).edit)
            except Refusal:
                continue
            (value,) = (board.value(step.id) for step in board.steps if step.makes == "polygon")
            if value is None or len(set(value)) < 3:
                wrong.append(f"{text}: has no corners")
                continue
            ring = [complex(*corner) for corner in value]
            drawn += 1
            angles = [abs(math.degrees(cmath.phase((ring[n - 1] - ring[n]) / (ring[(n + 1) % 3] - ring[n])))) for n in range(3)]
            size = {"a": a, "b": round(0.8 * a, 1), "c": round(1.4 * a, 1), "angle": angle}
            held = {fact: _OF_TRIANGLES[fact](ring, angles, size, text) for fact in facts}
            held["isosceles"] = "isosceles" not in text or min(abs(one - other) for one, other in combinations(angles, 2)) < 1e-6
            held["right"] = "right" not in text or abs(max(angles) - 90) < 1e-6
            wrong += [f"{text}: not {fact}, sides {sides(ring)}, angles {angles}" for fact, holds in held.items() if not holds]
        self.assertEqual(wrong, [], "\n".join(wrong))
        self.assertGreater(drawn, tries(150))

    def test_any_measure_of_any_shape_is_met_or_refused(self):
        """Whatever measure is said of whatever shape and sort: nothing but a refusal, and what is drawn has it."""
        drawn = 0
        for noun, word, (fact, measured) in product(
            (
                "triangle",
                "quadrilateral",
                "square",
                "rectangle",
                "rhombus",
                "kite",
                "trapezium",
                "parallelogram",
                "polygon",
                *NAMED_BY_SIDES,
            ),
            ("", "regular ", "isosceles "),
            (
                ("area 7", lambda ring: [area(*ring)]),
                ("perimeter 7", lambda ring: [sum(sides(ring))]),
                ("area 7 and side 7", lambda ring: [area(*ring)] if near(sides(ring), 7) else []),
                ("perimeter 31 and side 7", lambda ring: [sum(sides(ring)) - 24] if near(sides(ring), 7) else []),
                ("height 7", lambda ring: [2 * area(*ring) / one for one in sides(ring)] if len(ring) == 3 else [7]),
                ("side 7", sides),
            ),
        ):
            text, board = f"{word}{noun} with {fact}", BOARDS["empty"]().board
            try:
                perform(board, heard(text, board).edit)
            except Refusal:
                continue
            drawn += 1
            self.assertTrue(near(measured(self.ring(board)), 7), text)
        self.assertGreater(drawn, 60)

    def test_as_many_are_drawn_as_are_said(self):
        for noun, makes in (("triangle", "polygon"), ("square", "polygon"), ("circle", "circle"), ("point", "point"), ("line", "line")):
            for count in (2, 7):
                board = BOARDS["empty"]().board
                perform(board, heard(f"draw {count} {noun}s", board).edit)
                self.assertEqual(sum(step.makes == makes for step in board.steps), count, noun)
            with self.assertRaises(Refusal, msg=noun):
                heard(f"draw 70 {noun}s", BOARDS["empty"]().board)

    def test_sizes_that_do_not_go_together_are_refused(self):
        for text in (
            "rectangle with a diagonal of 5 and one side 6",
            "rectangle with perimeter 10 and side 5",
            "rhombus with side 3 and one diagonal 7",
            "parallelogram with sides 5 and 2 and height 3",
            "triangle with area 6",
            "parallelogram with area 6",
            "square with area 9 and perimeter 12",
            "square with area 0",
            "circle with area 9 and radius 2",
            "circle with area −4",
        ):
            board = BOARDS["empty"]().board
            with self.assertRaises(Refusal, msg=text):
                perform(board, heard(text, board).edit)

    def test_a_circle_by_its_area_or_round(self):
        for text, size in (
            ("circle with area 50", lambda r: math.pi * r * r - 50),
            ("a circle of circumference 20", lambda r: 2 * math.pi * r - 20),
            ("draw a circle whose area is 12 square centimetres", lambda r: math.pi * r * r - 12),
        ):
            board = BOARDS["empty"]().board
            perform(board, heard(text, board).edit)
            (value,) = (board.value(step.id) for step in board.steps if step.makes == "circle")
            self.assertAlmostEqual(size(math.sqrt(value[2])), 0, 9, text)

    def test_what_is_drawn_about_a_circle_touches_it(self):
        for text, count in (
            ("draw a square circumscribed about the circle", 4),
            ("circumscribe an equilateral triangle about k", 3),
            ("draw a regular hexagon around k", 6),
            ("draw a triangle circumscribed about k", 3),
            ("circumscribe a quadrilateral RSTU about the circle", 4),
        ):
            board = BOARDS["circ"]().board
            perform(board, heard(text, board).edit)
            x, y, square = board.value(board.find("k"))[:3]
            ring = self.ring(board)
            self.assertEqual(len(ring), count, text)
            for one, other in zip(ring, (*ring[1:], ring[0])):
                turned = (complex(x, y) - one) * cmath.exp(-1j * cmath.phase(other - one))
                self.assertAlmostEqual(turned.imag, math.sqrt(square), 7, text)  # the centre is inside, as far off as the radius
                self.assertTrue(0 < turned.real < abs(other - one), text)
        for text in ("draw a square around A", "draw a kite around k", "circumscribe a square with side 3 about k"):
            board = BOARDS["circ"]().board
            with self.assertRaises(Refusal, msg=text):
                heard(text, board)
