"""What is said where a point has been dragged out of existence is done or refused: nothing is worked out from a place that is not there."""

import random
import unittest
from dataclasses import replace

from ruddy_trellis.core.edits import perform
from ruddy_trellis.core.figure import Figure
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech.hearing import understood

from ..bank.boards import BOARDS
from ..bank.run import utterances
from .tries import tries

#: The points that are lost, one after the other, on each board of the bank.
_LOST = {
    "two": "B",
    "three": "AB",
    "tri": "AC",
    "quad": "BD",
    "circ": "OAPQ",
    "lines": "AP",
    "marked": "AB",
    "dialled": "B",
    "garden": "AT",
}


def without(name, lost):
    """A board of the bank on which a point is the crossing of two circles that do not meet."""
    figure = Figure("cm")
    for centre, at in (("Y1", (-9, 9)), ("Y2", (9, 9))):
        figure.make("free_point", centre, at=at)
        figure.make("circle_radius", centre.lower(), centre=centre, radius=1.0)
    board, known = figure.board, {}
    before = BOARDS[name]().board
    for step in before.steps:
        if before.name(step.id) == lost:
            figure.make("intersection", lost, a="y1", b="y2")
            known[step.id] = board.steps[-1].id
            continue
        known[step.id] = f"z{step.id}"
        fills = {gap: tuple(known.get(one, one) for one in fill) if isinstance(fill, tuple) else fill for gap, fill in step.fills.items()}
        board.append(replace(step, id=known[step.id], fills=fills))
    return board


class LostPointsTest(unittest.TestCase):
    def test_what_is_said_beside_a_lost_point_is_done_or_refused(self):
        said = [(line.board, lost, line.text) for line in utterances() for lost in _LOST.get(line.board, "")]
        boards, refused = {(name, lost): without(name, lost) for name, points in _LOST.items() for lost in points}, 0
        self.assertTrue(all(board.value(board.find(lost)) is None for (_, lost), board in boards.items()))
        for name, lost, text in random.Random(12).sample(said, tries(len(said) // 2)):
            board = boards[name, lost].copy()
            before = list(board.steps)
            try:
                perform(board, understood(text, board).edit)
            except Refusal as refusal:
                self.assertTrue(refusal.sentence.strip(), text)
                self.assertEqual(board.steps, before, text)
                refused += 1
        self.assertGreater(refused, 50)

    def test_what_is_not_there_is_told_by_its_name(self):
        for name, lost, text in (
            ("three", "A", "the semicircle on AB on the same side as C"),
            ("tri", "A", "trisect angle A"),
            ("circ", "A", "PA is produced to meet the circle at B"),
            ("lines", "P", "let Q be a point on the same side of l as P"),
        ):
            with self.assertRaises(Refusal) as caught:
                understood(text, without(name, lost))
            self.assertIn(f"{lost} is not there", caught.exception.sentence, text)
