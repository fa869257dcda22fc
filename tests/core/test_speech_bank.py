"""The bank of what teachers say, and what may be said to a board besides: read as it is meant, or refused."""

import contextlib
import random
import unittest
from collections import Counter

from ruddy_trellis.core.edits.prepare import perform
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech.hearing import heard, understood

from ..bank.boards import BOARDS
from ..bank.heaps import mangled, spoken
from ..bank.judge import MEANT, OTHERWISE
from ..bank.run import paragraphs, tried, utterances
from ..bank.wordings import worded
from .bounds import within
from .tries import IS_WHOLE, tries


class BankTest(unittest.TestCase):
    def test_what_teachers_say_is_read_as_it_is_meant(self):
        ends, otherwise = Counter(), []
        for line in utterances():
            how, _ = tried(line)
            ends[how] += 1
            if how == OTHERWISE:
                otherwise.append(line.number)
        total = sum(ends.values())
        print(f"{ends[MEANT]} of {total} sentences as meant, {len(otherwise)} otherwise")
        self.assertGreaterEqual(total, 500)
        self.assertGreater(ends[MEANT], 0.93 * total)
        self.assertLess(len(otherwise), 0.006 * total, otherwise)

    def test_what_is_meant_is_read_in_many_wordings(self):
        chance = random.Random(22)
        ends, otherwise = Counter(), []
        for line in worded(chance, 4):
            how, _ = tried(line)
            ends[how] += 1
            if how == OTHERWISE:
                otherwise.append(line.text)
        print(f"{ends[MEANT]} of {sum(ends.values())} wordings as meant")
        self.assertEqual(otherwise, [])
        self.assertGreater(ends[MEANT], 0.94 * sum(ends.values()))

    def test_paragraphs_give_their_figures(self):
        ends = Counter(tried(line)[0] for line in paragraphs())
        print(f"{ends[MEANT]} of {sum(ends.values())} paragraphs whole")
        self.assertGreaterEqual(sum(ends.values()), 60)
        self.assertGreater(ends[MEANT], 0.85 * sum(ends.values()))
        self.assertEqual(ends[OTHERWISE], 0)


class AnythingTest(unittest.TestCase):
    def test_nothing_but_a_refusal_whatever_is_said(self):
        chance, said = random.Random(22), [line.text for line in utterances()]
        for name, make in BOARDS.items():
            board = make().board
            before, names = list(board.steps), [board.name(step.id) for step in board.steps]
            for number in range(tries(75)):
                text = spoken(chance, names or ["A"]) if number % 3 else mangled(chance, said)
                with within(1.5, f"{name}: {text}"):
                    try:
                        edit = understood(text, board).edit
                        ahead = board.copy()
                        perform(ahead, edit)
                    except Refusal as refusal:
                        self.assertTrue(refusal.sentence.strip(), text)
                self.assertEqual(board.steps, before, text)

    def test_a_sentence_that_breaks_off_anywhere_is_read_or_refused(self):
        """Every place at which a sentence of the bank can break off, on its board, also after a word that something has to follow."""
        boards, step = {name: make().board for name, make in BOARDS.items()}, 4 if IS_WHOLE else 12
        for number, line in enumerate(utterances()):
            words = line.text.split()
            for end in range(1 + number % step, len(words) + 1, step):
                for tail in (" by", " 3"):
                    with contextlib.suppress(Refusal):
                        heard(" ".join(words[:end]) + tail, boards[line.board])

    def test_long_nonsense_is_refused_at_once(self):
        board = BOARDS["tri"]().board
        for text in (
            "wibble " * 570,
            "A and " * 200,
            "the midpoint of " * 60 + "AB",
            "draw the line through " + "A, " * 300,
            "(" * 2000,
            "let " + "let " * 900,
            "where A meets " * 120,
        ):
            with within(0.4, text[:40]), self.assertRaises(Refusal):
                heard(text, board)
