"""What is told of two points is told of each of them; loci at a distance; the ends of a dial that is there."""

import unittest

from ruddy_trellis.core.edits import perform
from ruddy_trellis.core.language.printing import sentence
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech.hearing import understood
from tests.bank.boards import BOARDS


def said(name, text):
    """The board after a sentence, and what has come of it in the words of the catalogue."""
    board = BOARDS[name]().board
    known = {step.id for step in board.steps}
    perform(board, understood(text, board).edit)
    return board, [sentence(board, step.id) for step in board.steps if step.id not in known and not step.look.hidden]


class PlacesTest(unittest.TestCase):
    def test_what_is_told_of_two_points_is_told_of_each(self):
        for text, wanted in (
            ("the places more than 5 m from T and H", ("more than 5 from T", "more than 5 from H")),
            ("the places within 5 m of both T and H", ("at most 5 from T", "at most 5 from H")),
            ("shade the places nearer to T than to A or B", ("nearer to T than to A", "nearer to T than to B")),
            ("What part of the bed is more than 5 m from both T and H?", ("more than 5 from T", "more than 5 from H", "inside ABCD")),
        ):
            with self.subTest(text):
                board, words = said("garden", text)
                conditions = [one for one in words if " is the places " in one]
                self.assertEqual(len(conditions), len(wanted))
                for one, part in zip(conditions, wanted, strict=True):
                    self.assertTrue(one.endswith(part), one)
                self.assertEqual(board.steps[-1].makes, "region")

    def test_a_segment_is_still_one_thing(self):
        _, words = said("garden", "the places more than 5 m from AB")
        self.assertEqual(words, ["j is the places more than 5 from AB"])
        with self.assertRaises(Refusal):
            said("garden", "the places within 5 m of T or H")  # that would be both together

    def test_points_at_a_distance_from_a_line_are_two_lines(self):
        for text in ("the locus of points 3 cm from l", "all points 3 cm from l", "the points which are 3 cm away from the line l"):
            with self.subTest(text):
                board, words = said("lines", text)
                self.assertEqual([words[0].split(" is ")[1][:15], words[1].split(" is ")[1][:15]], ["the parallel to"] * 2)
                x, y, dx, dy = board.value(board.find("l"))[:4]
                apart = [
                    ((step[0] - x) * dy - (step[1] - y) * dx) / (dx * dx + dy * dy) ** 0.5
                    for step in (board.value(one.id) for one in board.steps[-3:] if one.makes == "line")
                ]
                self.assertEqual(sorted(round(abs(one), 9) for one in apart), [3.0] * len(apart))
        for text in ("the points 4 cm from AB", "all points 4 cm from AB"):
            with self.assertRaises(Refusal):
                said("three", text)  # of the line, or of the segment?


class DialsTest(unittest.TestCase):
    def test_a_dial_gets_other_ends_and_stays_between_them(self):
        for text, least, most, value in (
            ("r goes from 1 to 5", 1, 5, 4), ("let r go from -2 to 3", -2, 3, 3), ("r ranges from 5 to 8", 5, 8, 5),
            ("change the range of r to 1 to 6", 1, 6, 4), ("let r range from 3.95 to 4.05", 3.95, 4.05, 4),
        ):  # fmt: skip
            with self.subTest(text):
                board, words = said("dialled", text)
                fills = board.step(board.find("r")).fills
                self.assertEqual((fills["least"], fills["most"], fills["value"]), (least, most, value))
                self.assertLessEqual(fills["step"], most - least)
                self.assertEqual(words, [])

    def test_what_is_to_run_between_other_ends_does_both(self):
        board, words = said("dialled", "let r run from 1 to 5")
        self.assertEqual(board.step(board.find("r")).fills["most"], 5)
        self.assertEqual(len(words), 1)
        self.assertIn("motion of r", words[0])

    def test_ends_that_are_none_are_refused(self):
        for text in ("r goes from 5 to 2", "r goes from 3 to 3", "A goes from 1 to 5", "let r go from A to B"):
            with self.subTest(text), self.assertRaises(Refusal):
                said("dialled", text)


if __name__ == "__main__":
    unittest.main()
