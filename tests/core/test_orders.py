"""Acts as sentences: each does what it says, as an edit that can be undone, and is refused in words where it cannot."""

import unittest

from ruddy_trellis.core.hand import Alone
from ruddy_trellis.core.hand.orders import ORDERS

from .figures import figure

BED = (
    "A = (0, 0)\nB = (4, 0)\nC = (1, 3)\nABC is the polygon through A, B, C\np is the line through A and B\n"
    "k is the circle with centre A through B\nAC is the segment from A to C"
)


class OrdersTest(unittest.TestCase):
    def setUp(self):
        self.alone = Alone(figure(BED).board)

    def say(self, text):
        return self.alone.do(t="say", text=text)

    def look(self, name):
        board = self.alone.board
        return board.step(board.find(name)).look

    def test_looks(self):
        for text, name, part, value in (
            ("hide p", "p", "hidden", True),
            ("show p again", "p", "hidden", False),
            ("please hide line p and circle k.", "k", "hidden", True),
            ("show everything", "k", "hidden", False),
            ("colour the circle k blue", "k", "pen", "sky"),
            ("make p red", "p", "pen", "ruddy"),
            ("color triangle ABC green", "ABC", "pen", "leaf"),
            ("dash p", "p", "pattern", "dashed"),
            ("make k dashed", "k", "pattern", "dashed"),
            ("thicken AC", "AC", "width", 3.4),
            ("label AC", "AC", "label", True),
            ("unlabel all points", "B", "label", False),
            ("lock A, B and C", "C", "locked", True),
            ("unlock C", "C", "locked", False),
        ):
            with self.subTest(text):
                self.assertNotIn("refusal", [answer.get("kind") for answer in self.say(text)])
                self.assertEqual(getattr(self.look(name), part), value)

    def test_other_acts_and_undo(self):
        board = lambda: self.alone.board
        self.say("move A to (1, 1)")
        self.assertEqual(board().value(board().find("A")), (1, 1))
        self.say("undo")
        self.assertEqual(board().value(board().find("A")), (0, 0))
        self.say("redo that")
        self.assertEqual(board().value(board().find("A")), (1, 1))
        self.say("rename A to Fountain")
        self.assertIn("Fountain", board().names.values())
        self.say("delete k")
        self.assertNotIn("k", board().names.values())
        self.say("undo")
        self.assertIn("k", board().names.values())
        self.assertIn({"t": "do", "what": "fit"}, self.say("fit"))
        self.say("hide all segments")
        self.assertTrue(self.look("Fountain‐C").hidden)
        self.alone.do(t="select", ids=[board().find("B")])
        self.say("delete it")
        self.assertNotIn("B", board().names.values())

    def test_what_cannot_be_done_is_said_and_changes_nothing(self):
        before = list(self.alone.board.steps)
        for text, words in (
            ("hide q", "Nothing here is called q"),
            ("hide circle p", "p is a line, not a circle"),
            ("move p to (1, 1)", "Only a free point"),
            ("rename A to B", "B is the name of a point already"),
            ("move A to 3 metres", "(3 metres)"),
            ("colour p tartan", "There is no pen called tartan. There are ink, ruddy, leaf, straw, sky, plum and slate."),
            ("run", "There is no motion yet"),
            ("reveal", "There is no reveal"),
        ):
            with self.subTest(text):
                self.assertIn(words, self.say(text)[-1]["words"])
                self.assertEqual(self.alone.board.steps, before)

    def test_the_list_says_each_as_it_is_read(self):
        for order in ORDERS:
            self.assertTrue(any(form.fullmatch(order.shown) for form in order.forms), order.shown)
            self.assertTrue(order.about)
        # A sentence that begins like an order is a sentence.
        self.assertNotIn("refusal", [answer.get("kind") for answer in self.say("put D at (2, 2)")])
        self.assertIn("D", self.alone.board.names.values())
