"""What is said of "it" is said of what was drawn last: "draw the altitude from A and measure its length" measures the altitude."""

import random
import unittest

from ruddy_trellis.core.edits import perform
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech.hearing import understood
from tests.bank.boards import BOARDS

from .tries import tries

#: What is drawn, on which board.
DRAWN = {
    "tri": (
        "the circumcircle", "the incircle", "the altitude from A", "the median from A", "the segment AB", "the perpendicular from C to AB",
        "a circle with centre A through B", "a square on AB", "an equilateral triangle on AB", "the medial triangle", "a semicircle on AB",
        "the bisector of angle A", "the perpendicular bisector of AB", "the midline parallel to BC", "the line BC",
        "the parallel to AB through C", "the circle on AB as diameter", "the excircle opposite A", "the vector AB", "the ray AB",
        "the Euler line", "the orthic triangle", "an arc with centre A from B to C",
    ),
    "circ": (
        "a chord", "the tangent from P", "the radius OA", "a circle with centre P and radius 2", "the sector OAQ", "a square with side OA",
    ),
    "quad": (
        "the diagonal AC", "the circle through A, B and C", "triangle ABC", "a square on CD",
        "the segment joining the midpoints of AB and CD",
    ),
}  # fmt: skip
MEASURES = ("length", "area", "perimeter", "circumference", "radius", "diameter", "slope", "angles", "sides")
ACTS = (
    "reflect it in AB", "rotate it about A by 90 degrees", "bisect it", "draw the perpendicular to it through A", "put a point on it",
    "draw the parallel to it through A", "draw its perpendicular bisector", "put a point inside it", "enlarge it from A by the factor 2",
    "mark its midpoint", "translate it by the vector AB", "draw a square on it", "divide it into three equal parts", "extend it",
)  # fmt: skip
FORMS = ("Draw {} and measure its {}.", "Draw {}. What is its {}?", "the {1} of {0}")


def drawn(board, text):
    """The steps that come of a sentence. Raises Refusal."""
    known = {step.id for step in board.steps}
    perform(board, understood(text, board).edit)
    return [step for step in board.steps if step.id not in known and not step.look.hidden]


def is_of(board, reading, things):
    """Whether a reading is made of one of some things, or of what that is made of."""
    before = set(board.ancestors([reading.id]))
    return any(
        thing.id in before or (thing.inputs and (set(thing.inputs) <= before or set(reading.inputs) <= set(thing.inputs)))
        for thing in things
    )


class ItsTest(unittest.TestCase):
    def test_what_is_measured_of_it_is_of_what_was_drawn(self):
        chance, read = random.Random(7), 0
        asked = [(board, noun, measure, form) for board, nouns in DRAWN.items() for noun in nouns for measure in MEASURES for form in FORMS]
        for board, noun, measure, form in chance.sample(asked, tries(len(asked))):
            if board == "circ" and measure in ("radius", "diameter"):
                continue  # of the circle, of which is spoken as well
            here, text = BOARDS[board]().board, form.format(noun, measure)
            try:
                made = drawn(here, text)
            except Refusal:
                continue
            readings = [step for step in made if step.makes == "number"]
            things = [step for step in made if step.makes not in ("number", "point")]
            read += len(readings)
            for reading in readings:
                self.assertTrue(not things or is_of(here, reading, things), (board, text, [step.does for step in made]))
        self.assertGreater(read, tries(300))

    def test_what_is_done_to_it_is_done_to_what_was_drawn(self):
        chance, done = random.Random(8), 0
        asked = [(board, noun, act) for board, nouns in DRAWN.items() for noun in nouns for act in ACTS]
        for board, noun, act in chance.sample(asked, tries(len(asked))):
            alone = BOARDS[board]().board
            first = [step.does for step in drawn(alone, f"draw {noun}")]
            here, text = BOARDS[board]().board, f"Draw {noun} and {act}."
            try:
                made = drawn(here, text)
            except Refusal:
                continue
            things, rest = made[: len(first)], made[len(first) :]
            self.assertEqual([step.does for step in things], first, text)
            done += 1
            self.assertTrue(rest and any(is_of(here, step, things[-1:]) for step in rest), (board, text, [step.does for step in made]))
        self.assertGreater(done, tries(150))

    def test_what_has_no_such_measure_is_refused(self):
        for board, text in (
            ("tri", "Draw the midline parallel to BC and find its area."), ("quad", "Draw the diagonal AC and find its angles."),
            ("circ", "Draw a chord. What is its area?"), ("quad", "Draw the circle through A, B and C and measure its sides."),
            ("tri", "measure the incircle"), ("tri", "measure the centroid"), ("tri", "measure the bisectors of the angles"),
        ):  # fmt: skip
            with self.subTest(text), self.assertRaises(Refusal):
                drawn(BOARDS[board]().board, text)

    def test_what_is_to_be_measured_is_measured_all_of_it(self):
        for board, text, count in (
            ("tri", "measure the medians", 3), ("tri", "Draw the medians and measure them.", 3), ("circ", "measure the tangents from P", 2),
            ("tri", "Draw AB, BC and CA and measure them.", 3), ("quad", "Draw the diagonals and measure their lengths.", 2),
            ("tri", "measure the median AM", 1), ("circ", "Draw the tangent from P. Measure its length.", 1),
            ("tri", "Join A to the midpoint of BC and measure its length.", 1), ("tri", "Draw the circumcircle and find its area.", 1),
        ):  # fmt: skip
            with self.subTest(text):
                made = drawn(BOARDS[board]().board, text)
                self.assertEqual(sum(step.makes == "number" for step in made), count)

    def test_it_after_a_perpendicular_is_what_that_is_drawn_to(self):
        for board, text, does in (
            ("circ", "Let the perpendicular from Q to OA meet it at N.", "intersection"),
            ("tri", "The perpendicular from A to BC meets it at D.", "intersection"),
            ("marked", "Let the altitude from B meet it at D.", "intersection"),
        ):  # fmt: skip
            with self.subTest(text):
                board = BOARDS[board]().board
                foot = drawn(board, text)[-1]
                line = next(step for step in board.steps[::-1] if step.does in ("perpendicular", "altitude"))
                self.assertEqual(foot.does, does)
                base, met = set(line.fills["base"]), set(board.ancestors([foot.id]))
                self.assertTrue(line.id in met and base <= met)


if __name__ == "__main__":
    unittest.main()
