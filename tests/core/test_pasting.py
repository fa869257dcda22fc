"""A working as text builds the same board; earlier states come back as new edits."""

import unittest

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.board import Board, Settings
from ruddy_trellis.core.edits import Move, Paste, Patch, perform
from ruddy_trellis.core.edits.history import brought_back, state_before
from ruddy_trellis.core.language.printing import working_text
from ruddy_trellis.core.lesson.file import lesson_from_json
from ruddy_trellis.demo import demo_lessons

from .figures import figure


class PasteTest(unittest.TestCase):
    def test_every_demo_board_is_built_again_from_its_text(self):
        for data in demo_lessons():
            title, boards = lesson_from_json(data)
            for board in boards:
                with self.subTest(f"{title}: {board.settings.title}"):
                    again = Board(Settings(unit=board.settings.unit, view=board.settings.view))
                    perform(again, Paste(text=working_text(board)))
                    self.assertEqual(working_text(again), working_text(board))
                    self.assertEqual(again.values, board.values)

    def test_a_line_that_cannot_be_read_is_named_and_nothing_is_added(self):
        f = figure("A=(0,0)")
        with self.assertRaises(Refusal) as caught:
            perform(f.board, Paste(text="B is a free point at (1, 1)\n\nM is the midpoint of A and Z"))
        self.assertIn("Line 3", caught.exception.sentence)
        self.assertEqual(len(f.board), 1)


class HistoryTest(unittest.TestCase):
    def test_an_earlier_state_is_looked_at_and_brought_back(self):
        f = figure("A=(0,0)\nB=(4,0)")
        patches = [
            perform(f.board, Paste(text="M is the midpoint of A and B")),
            perform(f.board, Move(numbers={"s2": [8, 2]})),
            perform(f.board, Paste(text="C=(1,1)")),
        ]
        now = list(f.board.steps)
        earlier = state_before(f.board, list(reversed(patches[1:])))
        self.assertEqual((len(earlier), earlier.value("s3"), f.board.steps), (3, (2, 0), now))
        back = Patch.from_json(brought_back(f.board, earlier, "Brought back").to_json())
        back.apply(f.board)
        self.assertEqual((f.board.steps, f.board.values), (earlier.steps, earlier.values))
        back.reversed().apply(f.board)
        self.assertEqual(f.board.steps, now)
        with self.assertRaises(Refusal):
            brought_back(f.board, Board(f.board.settings, now), "again")
