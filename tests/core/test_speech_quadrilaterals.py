"""Quadrilaterals of a sort with sizes and facts, by chance: what is drawn is of the sort and has all that was said, or nothing is drawn."""

import cmath
import math
import random
import unittest

from ruddy_trellis.core.edits.prepare import perform
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech.hearing import heard

from ..bank.boards import BOARDS
from ..bank.plane import area
from .test_speech_measures import near, sides
from .tries import tries


def diagonals(ring):
    return [abs(ring[0] - ring[2]), abs(ring[1] - ring[3])]


def alike(one, other):
    return abs(one - other) < 1e-6


def parallel(ring, side):
    """Whether a side is parallel to the one that faces it."""
    one, other = ring[(side + 1) % 4] - ring[side], ring[(side + 3) % 4] - ring[(side + 2) % 4]
    return abs((one * other.conjugate()).imag) < 1e-7 * abs(one) * abs(other)


def equal_legs(ring):
    return any(parallel(ring, n) and alike(sides(ring)[n + 1], sides(ring)[n - 1]) for n in (0, 1))


def are_twins(around):
    return any(alike(around[n], around[n - 1]) and alike(around[n - 2], around[n - 3]) for n in (0, 1))


#: Facts, with whether they hold, of the corners, the angles and the sizes that were said.
FACTS = {
    "side {a}": lambda r, angles, size: near(sides(r), size["a"]),
    "sides {a} and {b}": lambda r, angles, size: near(sides(r), size["a"]) and near(sides(r), size["b"]),
    "base {a}": lambda r, angles, size: near(sides(r), size["a"]),
    "AB = {a}": lambda r, angles, size: near(sides(r)[:1], size["a"]),
    "BC = {b}": lambda r, angles, size: near(sides(r)[1:2], size["b"]),
    "CD = {b}": lambda r, angles, size: near(sides(r)[2:3], size["b"]),
    "AC = {c}": lambda r, angles, size: near(diagonals(r)[:1], size["c"]),
    "BD = {c}": lambda r, angles, size: near(diagonals(r)[1:], size["c"]),
    "a right angle at A": lambda r, angles, size: near(angles[:1], 90),
    "angle A = {t}": lambda r, angles, size: near(angles[:1], size["t"]),
    "an angle of {t} degrees": lambda r, angles, size: near(angles, size["t"]),
    "an angle of {t} degrees at B": lambda r, angles, size: near(angles[1:2], size["t"]),
    "diagonals {a} and {b}": lambda r, angles, size: near(diagonals(r), size["a"]) and near(diagonals(r), size["b"]),
    "diagonal {c}": lambda r, angles, size: near(diagonals(r), size["c"]),
    "area {a}": lambda r, angles, size: near([area(*r)], size["a"]),
    "perimeter {c}": lambda r, angles, size: near([sum(sides(r))], size["c"]),
    "AB = BC": lambda r, angles, size: alike(*sides(r)[:2]),
    "AB parallel to CD": lambda r, angles, size: parallel(r, 0),
    "AC = BD": lambda r, angles, size: alike(*diagonals(r)),
}
SORTS = {
    "square": lambda r, angles: all(alike(one, 90) for one in angles) and all(alike(one, sides(r)[0]) for one in sides(r)),
    "rectangle": lambda r, angles: all(alike(one, 90) for one in angles),
    "rhombus": lambda r, angles: all(alike(one, sides(r)[0]) for one in sides(r)),
    "parallelogram": lambda r, angles: parallel(r, 0) and parallel(r, 1),
    "kite": lambda r, angles: are_twins(sides(r)),
    "trapezium": lambda r, angles: parallel(r, 0) or parallel(r, 1),
    "isosceles trapezium": lambda r, angles: equal_legs(r),
    "quadrilateral": lambda r, angles: True,
    "cyclic quadrilateral": lambda r, angles: alike(angles[0] + angles[2], 180),
}


class QuadrilateralsTest(unittest.TestCase):
    def ring(self, board):
        """The corners in the order of their names."""
        (polygon,) = (step for step in board.steps if step.makes == "polygon")
        value = board.value(polygon.id)
        named = {board.name(id): complex(*at) for id, at in zip(polygon.fills["corners"], value or ())}
        return [named[name] for name in sorted(named)]

    def test_a_quadrilateral_is_of_the_sort_and_has_all_that_is_said(self):
        chance, drawn, wrong = random.Random(23), 0, []
        for _ in range(tries(500)):
            sort, facts = chance.choice(sorted(SORTS)), chance.sample(sorted(FACTS), chance.choice((1, 1, 2, 2, 3)))
            a = round(chance.uniform(2, 9), 1)
            size = {"a": a, "b": round(0.8 * a, 1), "c": round(1.3 * a, 1), "t": chance.randrange(40, 130)}
            text = f"{chance.choice(('draw a ', ''))}{sort} {chance.choice(('ABCD ', ''))}with " + " and ".join(facts).format(**size)
            board = BOARDS["empty"]().board
            try:
                perform(board, heard(text, board).edit)
            except Refusal:
                continue
            ring = self.ring(board)
            drawn += 1
            if len(set(ring)) < 4:
                wrong.append(f"{text}: has no corners")
                continue
            angles = [math.degrees(cmath.phase((ring[n - 1] - ring[n]) / (ring[(n + 1) % 4] - ring[n]))) % 360 for n in range(4)]
            angles = angles if sum(angles) < 400 else [360 - one for one in angles]
            held = {fact: FACTS[fact](ring, angles, size) for fact in facts}
            held |= {sort: SORTS[sort](ring, angles), "sides that do not cross": alike(sum(angles), 360)}
            wrong += [f"{text}: not {fact}, sides {sides(ring)}, angles {angles}" for fact, holds in held.items() if not holds]
        self.assertEqual(wrong, [], "\n".join(wrong))
        self.assertGreater(drawn, tries(130))

    def test_what_is_drawn_of_a_sort_alone_is_convex(self):
        for text in (
            "draw a kite",
            "kite ABCD with AB = BC",
            "a parallelogram",
            "a trapezium",
            "quadrilateral ABCD",
            "isosceles trapezium",
        ):
            board = BOARDS["empty"]().board
            perform(board, heard(text, board).edit)
            ring = self.ring(board)
            turns = [
                ((other - one).conjugate() * (third - other)).imag
                for one, other, third in zip(ring, ring[1:] + ring[:1], ring[2:] + ring[:2])
            ]
            self.assertTrue(min(turns) > 0 or max(turns) < 0, f"{text}: {ring}")
