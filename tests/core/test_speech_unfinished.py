"""What stands in the bar while it is typed: beginnings of sentences, of which each is read, for what would be made is shown."""

import random
import unittest

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.edits import perform
from ruddy_trellis.core.speech.hearing import understood
from ruddy_trellis.core.speech.paragraphs import is_paragraph, paragraph

from ..bank.boards import BOARDS
from ..bank.run import utterances
from .tries import tries


def said(text, board):
    """Read a text and do what it says. Raises Refusal."""
    if is_paragraph(text):
        if (edit := paragraph(text, board).edit) is not None:
            perform(board, edit)
    else:
        perform(board, understood(text, board).edit)


class UnfinishedTest(unittest.TestCase):
    def test_every_beginning_is_read_or_refused(self):
        """On the board of the sentence and on an empty one; cut after a letter and after a word."""
        chance = random.Random(11)
        lines = list(utterances())
        chance.shuffle(lines)
        refused = 0
        for line in lines[: tries(500)]:
            words = line.text.split()
            for text in (line.text[: chance.randrange(1, len(line.text) + 1)], " ".join(words[: chance.randrange(1, len(words) + 1)])):
                for name in {line.board, "empty"}:
                    try:
                        said(text, BOARDS[name]().board)
                    except Refusal as refusal:
                        refused += 1
                        self.assertTrue(refusal.sentence.strip(), text)
        self.assertGreater(refused, tries(500) // 4)

    def test_a_parallel_to_one_point_is_no_fact(self):
        for text in ("ABCD is a trapezium with AB parallel to D", "quadrilateral ABCD with A parallel to CD", "triangle ABC with AB = AA"):
            with self.assertRaises(Refusal, msg=text):
                said(text, BOARDS["empty"]().board)


if __name__ == "__main__":
    unittest.main()
