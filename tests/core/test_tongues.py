"""The sentences of a lesson in German: each prints and reads back, what does not fit is refused in German, files stay English."""

import re
import unittest

from ruddy_trellis.core import Figure, Refusal
from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.core.catalogue.german import GERMAN
from ruddy_trellis.core.edits import Arrange, Paste, perform
from ruddy_trellis.core.edits.checking import check_fills
from ruddy_trellis.core.edits.saying import completions
from ruddy_trellis.core.hand.alone import Alone
from ruddy_trellis.core.language.printing import sentence, working_text
from ruddy_trellis.core.language.reading import read_sentence
from ruddy_trellis.core.language.tongue import GERMAN as TONGUE
from ruddy_trellis.core.lesson.file import board_from_store, board_to_text
from ruddy_trellis.core.speech.hearing import understood
from ruddy_trellis.core.speech.paragraphs import paragraph

from .figures import figure

TRIANGLE = (
    "A is a free point at (0, 0)\nB is a free point at (6, 1)\nC is a free point at (2, 5)\nk is the circle with centre A through B\n"
)


def german(text=""):
    """A figure whose sentences are German."""
    made = figure(text) if text else Figure()
    perform(made.board, Arrange(language="de"))
    return made


def made_by(text, board):
    """The sentences of what a text makes."""
    before = len(board)
    perform(board, understood(text, board).edit)
    return [sentence(board, step.id) for step in board.steps[before:]]


class WordsTest(unittest.TestCase):
    def test_each_has_the_gaps_of_the_english_sentence(self):
        self.assertGreaterEqual(len(GERMAN), 20)
        for key, sentences in GERMAN.items():
            wanted = {(gap.name, gap.kind_name) for gap in CATALOGUE[key].gaps}
            asked = {(gap.name, gap.kind_name) for gap in CATALOGUE[key].asked_gaps}
            for said in sentences:
                gaps = set(re.findall(r"\{(\w+):(\w+)\}", said))
                self.assertLessEqual(gaps, wanted, said)
                self.assertLessEqual(asked, gaps, said)

    def test_what_is_printed_reads_back_to_the_same(self):
        for key in GERMAN:
            with self.subTest(key):
                made = german(CATALOGUE[key].example)
                step = next(step for step in reversed(made.board.steps) if step.does == key)
                said = sentence(made.board, step.id)
                self.assertIn(" ist ", said)
                read = read_sentence(said, made.board, CATALOGUE.in_tongue("de"), check_fills, TONGUE)
                self.assertEqual(read.construction.key, key)
                for gap in CATALOGUE[key].asked_gaps:
                    self.assertEqual(read.fills[gap.name], step.fills[gap.name], said)
                self.assertEqual(read.name, made.board.name(step.id))


class SaidTest(unittest.TestCase):
    #: What is said on a triangle with a circle, and the sentences of what it makes.
    CASES = (
        ("M ist der Mittelpunkt von AB", ["M ist der Mittelpunkt von AB"]),
        ("Sei M der Mittelpunkt der Strecke AB.", ["M ist der Mittelpunkt von AB"]),
        ("Zeichne bitte den Mittelpunkt M von BC", ["M ist der Mittelpunkt von BC"]),
        ("die Senkrechte zu AB durch C", ["p ist die Senkrechte zu AB durch C"]),
        ("Fälle das Lot von C auf AB", ["p ist die Senkrechte zu AB durch C"]),
        ("Zeichne die Strecke AC", ["AC ist die Strecke von A nach C"]),
        ("Gerade BC", ["p ist die Gerade durch B und C"]),
        ("Zeichne den Kreis um C mit Radius 2,5", ["c ist der Kreis um C mit Radius 2,5"]),
        ("der Kreis durch A, B und C", ["c ist der Kreis durch A, B und C"]),
        ("die Winkelhalbierende des Winkels BAC", ["p ist die Winkelhalbierende von BAC"]),
        ("Punkt (2 | 3)", ["D ist ein freier Punkt"]),
        ("Miss den Winkel BAC", ["α ist der Winkel BAC"]),
        ("die Tangente an k in B", ["p ist die Tangente an k in B"]),
        ("der Inkreis des Dreiecks ABC", ["c ist der Inkreis von ABC"]),
        ("the midpoint of AB", ["D ist der Mittelpunkt von AB"]),
        ("hypotenuse", None),
    )

    def test_sentences_are_read(self):
        for text, wanted in self.CASES:
            with self.subTest(text):
                board = german(TRIANGLE).board
                if wanted is None:
                    with self.assertRaises(Refusal):
                        understood(text, board)
                else:
                    self.assertEqual(made_by(text, board), wanted)

    def test_points_that_are_not_there_are_made_by_what_draws(self):
        board = german().board
        self.assertEqual(made_by("Zeichne das Dreieck ABC", board)[-1], "ABC ist das Vieleck durch A, B, C")
        self.assertEqual(made_by("der Kreis um D durch E", board)[-1], "k ist der Kreis um D durch E")
        before = len(board)
        for text in ("der Mittelpunkt von XY", "die Länge von XY", "Miss den Winkel AXB"):
            with self.assertRaises(Refusal, msg=text):
                understood(text, board)
        self.assertEqual(len(board), before, "a slip makes nothing")

    def test_it_is_refused_in_german(self):
        board = german(TRIANGLE).board
        for text, wanted in (
            ("der Mittelpunkt von XY", "„XY“ passt dort nicht: gebraucht werden zwei Punkte oder eine Strecke."),
            ("der Kreis um k durch B", "„k“ passt dort nicht: gebraucht wird ein Punkt."),
            ("die Senkrechte zu Kreis AB durch C", "„Kreis AB“ passt dort nicht"),
            ("das ist hier nichts", "Das ist hier kein Satz."),
            ("A ist der Mittelpunkt von BC", "A gibt es schon."),
            ("der Mittelpunkt von AA", "So geht „der Mittelpunkt von …“ nicht"),
        ):
            with self.subTest(text), self.assertRaises(Refusal) as refused:
                understood(text, board)
            self.assertIn(wanted, refused.exception.sentence)

    def test_a_paragraph_in_german(self):
        board = german().board
        text = "Zeichne das Dreieck ABC. Sei M der Mittelpunkt von AB. Zeichne die Strecke MC. Wozu das?"
        read = paragraph(text, board)
        self.assertEqual([bool(line.problem) for line in read.lines], [False, False, False, True])
        perform(board, read.edit)
        self.assertEqual(sentence(board, board.steps[-1].id), "MC ist die Strecke von M nach C")

    def test_it_is_completed(self):
        board = german(TRIANGLE).board
        self.assertIn("Mittelpunkt von …", [one.shown for one in completions("der Mittelp", board)])

    def test_the_hand_hears_and_answers_in_it(self):
        alone = Alone(german(TRIANGLE).board)
        answers = alone.do(t="say", text="Zeichne den Mittelpunkt von AB")
        self.assertIn("D ist der Mittelpunkt von AB", [answer.get("words") for answer in answers])
        refused = alone.do(t="say", text="der Mittelpunkt von XY")[-1]
        self.assertIn("gebraucht werden zwei Punkte", refused["words"])
        self.assertEqual(alone.do(t="say", text="undo")[-1].get("kind"), "done", "orders stay")


class KeptTest(unittest.TestCase):
    def test_files_and_the_working_as_text_stay_english(self):
        made = german(TRIANGLE)
        made_by("M ist der Mittelpunkt von AB", made.board)
        text = working_text(made.board)
        self.assertIn("M is the midpoint of AB", text)
        again = board_from_store(board_to_text(made.board))
        self.assertEqual((again.settings.language, working_text(again)), ("de", text))
        english = Figure()
        perform(english.board, Paste(text=text))
        self.assertEqual(working_text(english.board), text)

    def test_an_english_lesson_reads_no_german(self):
        with self.assertRaises(Refusal):
            understood("die Senkrechte zu AB durch C", figure(TRIANGLE).board)

    def test_what_has_no_words_yet_is_said_in_english(self):
        board = german(TRIANGLE).board
        self.assertEqual(made_by("the ellipse with foci A and B through C", board), ["p is the ellipse with foci A and B through C"])


if __name__ == "__main__":
    unittest.main()
