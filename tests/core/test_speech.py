"""Sentences as teachers say them: the bank, each stage by itself, and that nothing is read otherwise than it was said."""

import itertools
import math
import re
import unittest
from pathlib import Path

import ruddy_trellis
from ruddy_trellis.core.edits.prepare import perform
from ruddy_trellis.core.hand import Alone
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech.hearing import heard, understood
from ruddy_trellis.core.speech.nodes import Described, Many, Named, Where
from ruddy_trellis.core.speech.paragraphs import paragraph, sentences_of
from ruddy_trellis.core.speech.phrases import Phrases
from ruddy_trellis.core.speech.placing import places, special
from ruddy_trellis.core.speech.plain_words import plain
from ruddy_trellis.core.speech.spelling import put_right
from ruddy_trellis.core.speech.tokens import tokens
from ruddy_trellis.core.speech.tongues import other_tongue

from ..bank.boards import BOARDS
from ..bank.run import says


class MadeTest(unittest.TestCase):
    def test_a_slip_makes_nothing(self):
        slips = (
            "measure AX",
            "is X the midpoint of AB?",
            "the distance from A to X",
            "hide X",
            "join A to X",
            "AX = BX?",
            "What is angle AXB?",
        )
        for text in slips:
            board = BOARDS["two"]().board
            with self.assertRaises(Refusal, msg=text):
                understood(text, board)
            self.assertEqual(len(board), 2)

    def test_what_exists_is_used(self):
        self.assertEqual(says("two", "square ABCD")[-1], "ABCD is the polygon through A, B, C, D")
        self.assertEqual(says("two", "triangle ABC"), ["C is a free point", "ABC is the polygon through A, B, C"])

    def test_a_condition_on_places_is_named_by_a_small_letter_that_is_nothing_yet(self):
        for board, text, does in (("two", "j is more than 3 from A", "places_by_distance"), ("circ", "j is inside k", "places_in_shape")):
            (new,) = understood(text, BOARDS[board]().board).new
            self.assertEqual((new.name, new.does), ("j", does))
            told = [answer.get("words") or "" for answer in Alone(BOARDS[board]().board).do(t="say", text=text)]
            self.assertIn("j is the places", told[-1])
        with self.assertRaises(Refusal):
            understood("j is more than 3", BOARDS["two"]().board)

    def test_new_points_are_in_general_position_and_in_view(self):
        for board_name, count in itertools.product(("empty", "two", "three"), (1, 2, 3, 4)):
            board = BOARDS[board_name]().board
            found = places(board, count)
            self.assertEqual(found, places(BOARDS[board_name]().board, count), "the same for the same board")
            x, y, right, top = board.settings.view
            known = [board.value(step.id) for step in board.steps]
            for place in found:
                self.assertTrue(x < place[0] < right and y < place[1] < top)
            for one, other in itertools.combinations([*known, *found], 2):
                self.assertGreater(math.dist(one, other), 0.5)

    def test_a_triangle_alone_is_nothing_special(self):
        for count in (3, 4):
            for a, b, c in itertools.combinations(places(BOARDS["empty"]().board, count), 3):
                sides = sorted((math.dist(a, b), math.dist(b, c), math.dist(c, a)))
                self.assertTrue(all(longer > 1.08 * shorter for shorter, longer in itertools.pairwise(sides)), (a, b, c))

    def test_a_triangle_by_two_sides_or_a_side_and_an_angle_is_nothing_special(self):
        for text in (
            "AB = 5 and AC = 4", "AB = 5 and BC = 4", "AC = 5 and BC = 7", "AB = 8 and AC = 6", "AB = 3 and AC = 7",
            "angle A = 50", "AB = 6 and angle B = 50", "AB = 5",
        ):  # fmt: skip
            board = BOARDS["empty"]().board
            perform(board, heard(f"Triangle ABC with {text}", board).edit)
            corners = [board.value(board.find(name)) for name in "ABC"]
            self.assertEqual(special(*corners), 0, text)

    def test_shapes_keep_what_was_said_when_they_are_dragged(self):
        board = BOARDS["empty"]().board
        perform(board, heard("Triangle ABC with AB = 5, BC = 6 and CA = 7", board).edit)
        a, b, c = (complex(*board.value(board.find(name))) for name in "ABC")
        for size, wanted in zip((abs(a - b), abs(b - c), abs(c - a)), (5, 6, 7), strict=True):
            self.assertAlmostEqual(size, wanted)
        with self.assertRaisesRegex(Refusal, "no triangle"):
            heard("triangle with sides 2, 3 and 9", BOARDS["empty"]().board)


class StagesTest(unittest.TestCase):
    def setUp(self):
        self.board = BOARDS["three"]().board

    def words(self, text):
        return [token.word for token in tokens(text, self.board)]

    def test_tokens(self):
        self.assertEqual(self.words("perp bisector of ab"), ["perpendicular-bisector", "of", "AB"])
        self.assertEqual(self.words("Draw a circle"), ["draw", "a", "circle"])
        self.assertEqual([token.points for token in tokens("bisect a b c", self.board)], [(), ("A", "B", "C")])
        self.assertEqual([token.kind for token in tokens("from a to b", self.board)], ["word", "name", "word", "name"])
        self.assertEqual(plain("Ok, now could you please draw the line AB, thanks!"), "draw the line AB")

    def test_phrases(self):
        def longest(text):
            return Phrases(tokens(text, self.board)).at(0)[0][0]

        found = Phrases(tokens("the perpendicular from the midpoint of AB to BC", self.board)).at(0)
        self.assertIn(["from", "to"], [[role for role, _ in node.roles] for node, _ in found if isinstance(node, Described)])
        self.assertEqual([type(item) for item in longest("AB, BC and the line through A and C").items], [Named, Named, Described])
        self.assertIsInstance(longest("AB, BC and CA"), Many)
        self.assertIsInstance(longest("where AB meets BC again"), Where)
        self.assertEqual(longest("the three medians").count, 3)

    def test_one_letter_wrong(self):
        self.assertEqual(put_right("midpiont"), ("midpoint",))
        self.assertEqual(put_right("perpendiclar"), ("perpendicular",))
        for word in ("inner", "lien", "MIDPIONT", "xyzzy"):
            self.assertEqual(put_right(word), (), word)
        found = heard("the midpiont of AB", self.board)
        self.assertIn("“midpiont” as midpoint", found.guesses)
        with self.assertRaises(Refusal) as caught:
            understood("delte the midpoint of AB", self.board)
        self.assertNotIn("Deleted", caught.exception.sentence)
        with self.assertRaises(Refusal) as caught:
            heard("the midpiont wobble of AB", self.board)
        self.assertNotIn("midpoint", caught.exception.sentence, "what was put right in vain is not told as if it had been said")

    def test_sentences_of_a_paragraph(self):
        self.assertEqual(
            sentences_of("Draw a perp. to AB. AB = 3.5 cm; join BC\nIs it so? 2. Draw AC."),
            ["Draw a perp. to AB.", "AB = 3.5 cm;", "join BC", "Is it so?", "2. Draw AC."],
        )

    def test_a_paragraph_is_shown_and_taken_as_one(self):
        text = "Let ABC be a triangle. Let M be the midpoint of AB. Wibble the wobble. Join CM. Hide M."
        alone = Alone(BOARDS["empty"]().board)
        (shown,) = alone.do(t="say", text=text)
        self.assertEqual(len(alone.board), 0)
        self.assertEqual([bool(line["problem"]) for line in shown["lines"]], [False, False, True, False, False])
        self.assertEqual(shown["lines"][1]["sentences"], ["M is the midpoint of AB"])
        alone.do(t="say", text=text, take=True)
        self.assertEqual([alone.board.name(step.id) for step in alone.board.steps], ["A", "B", "C", "ABC", "M", "CM"])
        self.assertTrue(alone.board.step(alone.board.find("M")).look.hidden)
        (undone,) = [answer for answer in alone.do(t="undo") if answer.get("kind") == "done"]
        self.assertIn("added 6 things", undone["words"])
        self.assertEqual(len(alone.board), 0)
        with self.assertRaisesRegex(Refusal, "at most"):
            paragraph("Draw AB. " * 100, alone.board)


class TonguesTest(unittest.TestCase):
    def test_what_is_not_english_is_said_to_be_so_in_its_own_language(self):
        board = BOARDS["three"]().board
        for text, begins in (
            ("Zeichne die Mittelsenkrechte von AB und den Umkreis", "Das scheint Deutsch"),
            ("Zeichne einen Kreis um A mit dem Radius 3", "Das scheint Deutsch"),
            ("Trace le cercle de centre A passant par B", "Cela semble"),
            ("Soit M le milieu du segment AB", "Cela semble"),
            ("Dibuja la mediatriz del segmento AB", "Esto parece"),
            ("Traza el punto medio de los lados y del segmento", "Esto parece"),
        ):
            (answer,) = Alone(board.copy()).do(t="say", text=text)
            self.assertTrue(answer["words"].startswith(begins), f"{text}: {answer['words']}")
        for text in ("wibble the wobble", "draw a splendid circle", "the die of A", "la la land", "AB des Pudels"):
            self.assertIsNone(other_tongue(text, board), text)


class OutcomeTest(unittest.TestCase):
    def test_of_what_was_said_it_is_told_what_is_new_and_not_of_what_was_clicked(self):
        alone = Alone(BOARDS["tri"]().board)
        (told,) = [answer for answer in alone.do(t="say", text="Draw the circle with centre A and radius 2") if answer["t"] == "outcome"]
        self.assertEqual(told["made"], [alone.board.steps[-1].id], "what is hidden is not brought into view")
        alone.do(t="tool", key="free_point")
        (clicked,) = [answer for answer in alone.do(t="click", at=[1, 1], reach=0.1) if answer["t"] == "outcome"]
        self.assertNotIn("made", clicked)
        self.assertNotIn("made", str(alone.do(t="say", text="colour ABC red")))


class HelpTest(unittest.TestCase):
    def test_every_example_of_the_help_is_read(self):
        """On one of the boards of the bank at least; what is told apart by stars in the part on how one says it."""
        text = (Path(ruddy_trellis.__file__).parent / "web/help/sentence-bar.md").read_text("utf-8")
        part = " ".join(text.partition("## As you would say it")[2].partition("Several sentences")[0].replace("**", "").split())
        examples = re.findall(r"\*([^*]+)\*", part)
        self.assertGreater(len(examples), 25)
        for example in examples:
            answers = [Alone(make().board).do(t="say", text=example) for make in BOARDS.values()]
            self.assertTrue(any(all(one.get("kind") != "refusal" for one in told) for told in answers), example)


if __name__ == "__main__":
    unittest.main()
