"""The eight angles at two lines and one that cuts them, and their pairs."""

import re
import unittest
from collections import Counter

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.hand.alone import Alone
from ruddy_trellis.core.truth.angle_pairs import eight_angles, pairs

from .figures import figure

_LINES = (
    "A = (-6, -2)\nB = (4, -1)\nC = (-5, 2)\np is the line through A and B\nD = (-3, -4)\nE = (1, 4)\nt is the line through D and E\n"
    "F = (4, 3.4)\n"
)


class AnglePairsTest(unittest.TestCase):
    def lines(self, f):
        return [f.board.find(name) for name in ("p", "q", "t")]

    def test_of_parallel_lines(self):
        f = figure(_LINES + "q is the parallel to p through C")
        found = pairs(f.board, self.lines(f))
        self.assertEqual(Counter(pair.relation for pair in found), {
            "corresponding": 4, "alternate interior": 2, "alternate exterior": 2, "consecutive interior": 2, "consecutive exterior": 2,
            "vertical": 4, "linear pair": 8,
        })  # fmt: skip
        angles = {angle.number: angle for angle in eight_angles(f.board, self.lines(f))}
        for pair in found:
            one, other = (angles[number] for number in pair.numbers)
            equal = pair.relation in ("corresponding", "alternate interior", "alternate exterior", "vertical")
            self.assertAlmostEqual(one.degrees, other.degrees if equal else 180 - other.degrees, places=6, msg=pair.relation)
            reason = "always" if pair.relation in ("vertical", "linear pair") else "because the lines are parallel"
            self.assertIn(reason, pair.words)
        self.assertEqual(angles[1].crossing, 0)
        self.assertTrue(angles[1].inner and angles[5].inner and angles[1].left and angles[5].left)

    def test_of_lines_that_only_happen_to_be_so(self):
        f = figure(_LINES + "q is the line through C and F")
        words = {pair.relation: pair.words for pair in pairs(f.board, self.lines(f))}
        self.assertIn("not equal", words["corresponding"])
        self.assertIn("always equal", words["vertical"])
        f.drag("F", 5, 3)
        words = {pair.relation: pair.words for pair in pairs(f.board, self.lines(f))}
        self.assertEqual(words["alternate interior"], "equal just now: the lines happen to be parallel")
        f.drag("F", -5, 2)
        with self.assertRaises(Refusal):
            pairs(f.board, self.lines(f))

    def test_they_are_drawn_for_whoever_asks(self):
        f = figure(_LINES + "q is the parallel to p through C")
        alone = Alone(f.board)
        count = len(f.board)
        (answer,) = alone.do(t="pair", lines=self.lines(f), angles=[1, 8])
        self.assertEqual([item["label"]["text"] for item in answer["items"]], ["1", "8"])
        self.assertEqual(alone.do(t="pair", lines=[], angles=[])[0]["items"], [])
        self.assertEqual(alone.do(t="pair", lines=self.lines(f)[:2], angles=[1])[0]["kind"], "refusal")
        self.assertEqual(len(alone.board), count)

    def test_a_quiz_asks_tells_and_counts(self):
        f = figure(_LINES + "q is the parallel to p through C\nu is a quiz on the angles of p and q cut by t")
        alone = Alone(f.board)
        id = f.board.find("u")
        answers = alone.do(t="quiz", id=id)
        right = 0
        for count in range(1, 30):
            numbers = tuple(map(int, re.findall(r"\d", answers[1]["asks"])))
            self.assertEqual([item["label"]["text"] for item in answers[0]["items"]], list(map(str, numbers)))
            (pair,) = [pair for pair in pairs(f.board, self.lines(f)) if pair.numbers == numbers]
            answer = pair.relation if count % 3 else "corresponding"
            right += answer == pair.relation
            answers = alone.do(t="quiz", id=id, last=answers[1]["last"], answer=answer)
            self.assertEqual(answers[1]["score"], f"{right} of {count} right.")
            self.assertIn(pair.words, answers[1]["told"])
        again = alone.do(t="quiz", id=id, last=answers[1]["last"])
        self.assertEqual(again[1]["score"], answers[1]["score"], "asked again, it goes on")
        self.assertEqual(again[1]["asks"], answers[1]["asks"])
        self.assertEqual(alone.do(t="quiz")[0]["items"], [])
        self.assertEqual(alone.do(t="quiz", id=id)[1]["score"], "")
        for wrong in ("s1", "nothing"):
            self.assertEqual(alone.do(t="quiz", id=wrong)[0]["kind"], "refusal")
        with self.assertRaises(Refusal):
            f.say("a quiz on the angles of p and p cut by t")
