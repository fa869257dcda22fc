"""What is told of a board after something on it was moved: most of it is taken over from what was told before."""

import random
import unittest
from unittest import mock

from ruddy_trellis.core.board import numbers_of
from ruddy_trellis.core.display import Before, Extent, display
from ruddy_trellis.core.display.labelling import Settling
from tests.core.figures import TRIANGLE, figure
from tests.near.test_near import boards

EXTENT = Extent(-10, -6, 10, 6)


class BeforeTest(unittest.TestCase):
    """What is taken over from the display list before something moved is what would be made anew."""

    def test_a_list_after_a_move_is_as_if_it_were_made_anew(self):
        chance, same = random.Random(3), 0
        for board in boards():
            items = display(board, EXTENT)
            for _ in range(4):
                pegs = [step for step in board.steps if step.moves and numbers_of(step) is not None]
                if not pegs:
                    break
                there, old = board.copy(), board.drawn
                some = chance.sample(pegs, min(len(pegs), chance.choice((1, 1, 2))))
                board.move({step.id: tuple(one + chance.uniform(-1.5, 1.5) for one in numbers_of(step)) for step in some})
                moved = frozenset(step.id for step, was in zip(board.steps, there.steps, strict=True) if step is not was)
                after = display(board, EXTENT, before=Before({item["id"]: item for item in items}, old, moved))
                self.assertEqual(after, display(board.copy(), EXTENT))
                same += sum(one is other for one, other in zip(items, after, strict=True))
                items = after
        self.assertGreater(same, 500, "what is as it was is the same item")

    def test_in_a_crowd_labels_are_placed_anew_only_where_something_has_changed(self):
        chance = random.Random(5)
        places = [(round(chance.uniform(-3, 3), 2), round(chance.uniform(-2, 2), 2)) for _ in range(70)]
        board = figure("\n".join(f"P_{number} is a free point at ({x}, {y})" for number, (x, y) in enumerate(places))).board
        items, placed = display(board, EXTENT), []
        place = Settling._placed
        for _ in range(40):
            old, step = board.drawn, chance.choice(board.steps)
            board.move({step.id: tuple(one + chance.uniform(-2, 2) for one in numbers_of(step))})
            before = Before({item["id"]: item for item in items}, old, frozenset([step.id]))
            with mock.patch.object(Settling, "_placed", lambda *given: (placed.append(given), place(*given))[1]):
                items = display(board, EXTENT, before=before)
            self.assertEqual(items, display(board.copy(), EXTENT))
        self.assertLess(len(placed) / 40, 40, "most stand as they stood")

    def test_of_another_board_or_extent_nothing_is_taken_over(self):
        board = figure(TRIANGLE).board
        items = {item["id"]: item for item in display(board, EXTENT)}
        wider = EXTENT.grown(0.5)
        self.assertEqual(display(board, wider, before=Before(items, board.drawn, frozenset())), display(board.copy(), wider))
        self.assertEqual(display(board, EXTENT, before=Before(items, None, frozenset())), display(board.copy(), EXTENT))
