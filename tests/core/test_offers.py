"""What is offered for a selection, against a table of what a teacher would ask of it."""

import re
import unittest

from ruddy_trellis.core.edits import perform
from ruddy_trellis.core.hand import Alone
from ruddy_trellis.core.pointing.offers import offers

from .asked_of_selections import ASKED
from .figures import figure


def offered(lines, selection):
    """The board of these sentences, and what is offered for things of it by their names."""
    board = figure("\n".join(lines)).board
    return board, offers(board, [board.find(name) for name in selection.split()])


class AskedTest(unittest.TestCase):
    def test_what_a_teacher_asks_is_offered_the_likeliest_first(self):
        asked = found = likely = first = 0
        missing = []
        for lines, selection, patterns in ASKED:
            _, rows = offered(lines, selection)
            words = [row.sentence for row in rows]
            for place, pattern in enumerate(patterns):
                asked += 1
                here = [number for number, text in enumerate(words) if re.search(pattern, text)]
                found += bool(here)
                if not here:
                    missing.append(f"{selection}: {pattern}")
                if place < 3:
                    likely += 1
                    first += bool(here) and here[0] < 9  # those with a key
            self.assertTrue(re.search(patterns[0], " | ".join(words[:3])), f"{selection}: {patterns[0]} is not among {words[:3]}")
            self.assertEqual(len(words), len(set(words)), "nothing is offered twice")
        self.assertGreaterEqual(found, 0.9 * asked, missing)
        self.assertGreaterEqual(first, 0.9 * likely, missing)

    def test_every_offer_can_be_taken(self):
        for lines, selection, _ in ASKED:
            board, rows = offered(lines, selection)
            for row in rows:
                if row.edit is None:
                    alone = Alone(board.copy())
                    said = alone.do(t="say", text=row.order)
                    runs = row.order.startswith("run")  # alone at a board nothing runs
                    self.assertEqual(any(answer.get("kind") == "refusal" for answer in said), runs, f"{row.order}: {said}")
                else:
                    perform(board.copy(), row.edit)

    def test_any_two_things_can_be_selected(self):
        """Of every kind there is something here, images without corners of their own among them."""
        board = figure(
            "A = (0, 0)\nB = (4, 0)\nC = (1, 3)\nABC is the polygon through A, B, C\nk is the circle with centre A through B\n"
            "m is the reflection in the line through B and C\nABC' is the image of ABC under m\nk' is the image of k under m\n"
            "r is a dial from 0 to 10 in steps of 1 at 3\nd is the length of AB\ne is the ellipse with foci A and B through C\n"
            "P is a point on k\nj is the places nearer to A than to B\nAB = 4\nw is the motion of P, once, in 2 seconds\n"
            "the locus of the midpoint of P and C as P runs"
        ).board
        ids = [step.id for step in board.steps]
        self.assertGreater(len({step.makes for step in board.steps}), 10)
        for first in ids:
            for second in ids:
                for row in offers(board, list(dict.fromkeys((first, second)))):
                    self.assertTrue(row.order or row.edit is not None, row.sentence)

    def test_every_offer_is_taken_by_the_hand_that_was_offered_it(self):
        """As it is done at a board: selected, offered, taken by its number; what has come of images is selected then."""
        for lines, selection, _ in ASKED:
            board, rows = offered(lines, selection)
            for number, row in enumerate(rows):
                if row.edit is None:
                    continue
                alone = Alone(board.copy())
                alone.do(t="select", ids=[board.ids_named(name)[0] for name in selection.split()])
                if alone.hand.offers[number].sentence != row.sentence:
                    continue
                told = alone.do(t="offer", number=number)
                self.assertNotIn("refusal", [answer.get("kind") for answer in told], row.sentence)
                if row.does == "images":
                    self.assertTrue(told[-1]["ids"], row.sentence)

    def test_nothing_foolish_is_offered(self):
        points = ("A = (-3, 0)", "B = (3, 0)", "C = (0, 4)")
        for lines, selection, foolish in (
            ((*points, "r is the length of AB", "s is the length of BC"), "r s", "translation by"),
            ((*points, "r is the length of AB"), "r C", "by r degrees|factor r"),
            ((*points, "r is the angle ABC"), "r C", "factor r"),
            ((*points, "e is the ellipse with foci A and B through C"), "e", "asymptote"),
        ):
            _, rows = offered(lines, selection)
            self.assertTrue(rows)
            self.assertEqual([row.sentence for row in rows if re.search(foolish, row.sentence)], [], selection)
