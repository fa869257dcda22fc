"""Reasons for the statements of the bank: for most of them one is found, for no near miss."""

import unittest

from ruddy_trellis.core.truth.reasons.finding import own_theorem, reason
from ruddy_trellis.core.truth.reasons.telling import told_reason

from ..core.bounds import within
from .bank import EACH, claimed, statements


class BankTest(unittest.TestCase):
    def test_the_bank_has_enough_of_every_theme(self):
        true = [theme for theme, _, is_true, _ in statements() if is_true]
        self.assertGreaterEqual(len(true), 120)
        for theme in set(true):
            self.assertGreaterEqual(true.count(theme), 12, theme)
        self.assertEqual(len(set(true)), 8)

    def test_most_statements_have_a_reason_that_is_more_than_their_own_theorem(self):
        found, tried, steps = 0, 0, []
        for number, (_, sentences, is_true, text) in enumerate(statements()):
            if not is_true or number % EACH:
                continue
            tried += 1
            with within(12, text):
                one = reason(*claimed(sentences, text), seconds=5.0)
            if one is not None and one.argument.steps:
                found += 1
                steps.append(len(one.argument.steps))
                self.assertIsNone(own_theorem(one.argument), text)
        self.assertGreaterEqual(found, 0.8 * tried)
        self.assertLessEqual(sorted(steps)[len(steps) // 2], 12)

    def test_no_near_miss_has_one(self):
        for number, (_, sentences, is_true, text) in enumerate(statements()):
            if not is_true and (number // 2) % EACH == 0:
                self.assertIsNone(reason(*claimed(sentences, text), seconds=1.5), text)

    def test_every_line_lights_something_and_what_it_draws_can_be_drawn(self):
        from ruddy_trellis.core.edits import Add, perform

        for number, (_, sentences, is_true, text) in enumerate(statements()):
            if not is_true or number % (4 * EACH) or "on one circle" in text:
                continue
            board, claim = claimed(sentences, text)
            told = told_reason(board, claim)
            for line in (*told.given, *told.steps) if told else ():
                self.assertTrue(set(line.lights) <= {step.id for step in board.steps} and line.lights, f"{text}: {line.says}")
                if line.shows:
                    perform(board.copy(), Add(**line.shows))


if __name__ == "__main__":
    unittest.main()
