"""Words with live values, reveals, covers."""

import unittest

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.board.codec import step_from_json, step_to_json
from ruddy_trellis.core.display import Extent, at_first, display
from ruddy_trellis.core.display.palette import COVER
from ruddy_trellis.core.edits import Delete, LookChanges, Rename, Restyle, Retie, perform
from ruddy_trellis.core.lesson.file import lesson_from_json, lesson_to_json
from ruddy_trellis.core.lesson.student_copy import student_copy
from ruddy_trellis.core.pointing.dragging import grab
from ruddy_trellis.core.pointing.offers import offers
from ruddy_trellis.drawings.svg import svg

from .figures import distance, figure

BED = (
    "A=(0,0)\nB=(4,0)\nC=(1,3)\nABC is the polygon through A, B, C\nS is the area of ABC\nAB is the length of A and B\n"
    "m is the right-angle mark at BAC\n"
)


def shapes(f):
    return {f.board.name(item["id"]): item["shape"] for item in display(f.board, Extent(-10, -6, 10, 6))}


class WordsTest(unittest.TestCase):
    def test_values_in_words_live_and_survive_renaming(self):
        f = figure(BED + "w is the words “Area = {S}; it is {S} for the base {AB}” at (2, 3)", unit="m")
        self.assertEqual(shapes(f)["w"]["words"], "Area = 6.00 m²; it is 6.00 m² for the base 4.00 m")
        f.drag("B", 6, 0)
        self.assertEqual(shapes(f)["w"]["words"], "Area = 9.00 m²; it is 9.00 m² for the base 6.00 m")
        perform(f.board, Rename(id=f.board.find("S"), name="bed"))
        self.assertIn("“Area = {bed}; it is {bed} for the base {AB}”", f.sentence("w"))
        again = figure(f.working(), unit="m")
        self.assertEqual(again.working(), f.working())
        f.drag("w", 5, 5)
        self.assertEqual(f.value("w"), (5, 5))
        step = f.board.step(f.board.find("w"))
        self.assertEqual(step_from_json(step_to_json(step)), step)

    def test_words_that_hold_a_verb_or_an_equals_sign(self):
        f = figure("w is the words “A square is a rectangle: a = b” at (0, 0)\nthe words “2 = 2 is true”")
        self.assertEqual([shape["words"] for shape in shapes(f).values()], ["A square is a rectangle: a = b", "2 = 2 is true"])

    def test_what_does_not_fit(self):
        f = figure(BED)
        for sentence, part in {
            "the words “{Z}”": "no reading called Z",
            "the words “{S”": "both braces",
            "the words “”": "from 1 to 400",
            f"the words “{'a' * 401}”": "from 1 to 400",
        }.items():
            with self.subTest(sentence), self.assertRaises(Refusal) as caught:
                f.say(sentence)
            self.assertIn(part, caught.exception.sentence)

    def test_words_go_with_their_reading(self):
        f = figure(BED + "w is the words “{S}” at (2, 3)")
        perform(f.board, Delete(ids=[f.board.find("C")]))
        self.assertNotIn("w", [f.board.name(step.id) for step in f.board.steps])

    def test_formulas_of_readings_stand_in_words(self):
        f = figure(BED + "w is the words “half: {S / 2}; {S} to {AB}²: {S / AB^2}; wide: {AB > 3}; {2AB - AB}” at (0, -3)", unit="m")
        self.assertEqual(shapes(f)["w"]["words"], "half: 3.00 m²; 6.00 m² to 4.00 m²: 0.38; wide: yes; 4.00 m")
        perform(f.board, Rename(id=f.board.find("S"), name="bed"))
        self.assertIn("half: {bed / 2}", f.sentence("w"))
        step = f.board.step(f.board.find("w"))
        self.assertEqual(step_from_json(step_to_json(step)), step)
        _, (again,) = lesson_from_json(lesson_to_json("L", [f.board]))
        self.assertEqual(again.steps, f.board.steps)
        f.drag("B", 0, 0)
        self.assertIn(": –; wide: no", shapes(f)["w"]["words"])
        data = step_to_json(step)
        for text in ("{{0} / 2", "{{0} +}", "{{7}}", "{{0} / 2} {1} {2}", "{__import__}"):
            data["with"]["text"]["words"] = text
            with self.subTest(text), self.assertRaises(Refusal):
                step_from_json(data)
        for sentence, part in {
            "the words “{bed + AB}”": "cannot be added",
            "the words “{bed / }”": "stops too soon",
            "the words “{bed / Z}”": "no reading called Z",
        }.items():
            with self.subTest(sentence), self.assertRaises(Refusal) as caught:
                f.say(sentence)
            self.assertIn(part, caught.exception.sentence)

    def test_words_hang_on_a_thing_and_are_dragged_off_it(self):
        f = figure(
            BED + "k is the circle with centre A through B\nu is the words “the bed of {S}” beside ABC\n"
            "w is the words “beside C” beside C off by (1, 0)\nv is the words “ring” beside k"
        )
        middle = (5 / 3, 1.0)
        self.assertAlmostEqual(distance(f.value("u"), (middle[0] + 0.5, middle[1])), 0)
        self.assertEqual((f.value("w"), f.value("v")), ((2, 3), (0.5, 0)))
        drag = grab(f.board, [f.board.find("w")], (2.2, 3.1))
        f.board.move(drag.numbers(f.board, (3.2, 5.1)))
        self.assertEqual(f.value("w"), (3, 5))
        f.drag("C", 2, 3)
        self.assertEqual(f.value("w"), (4, 5), "they go with C, as far off as they were")
        both = grab(f.board, [f.board.find("C"), f.board.find("w")], (2, 3))
        f.board.move(both.numbers(f.board, (3, 4)))
        self.assertEqual((f.value("C"), f.value("w")), ((3, 4), (5, 6)), "carried along once, not twice")
        again = figure(f.working())
        self.assertEqual(again.working(), f.working())
        self.assertEqual(grab(student_copy(f.board), [f.board.find("A")], (0, 0)).ids, (f.board.find("A"),))
        with self.assertRaises(Refusal) as caught:
            grab(student_copy(f.board), [f.board.find("w")], (0, 0))
        self.assertIn("not to be moved here", caught.exception.sentence)


class CoverTest(unittest.TestCase):
    def test_a_picture_shows_no_covered_mark_and_nothing_behind_a_reveal(self):
        f = figure(BED + "D=(-3,-2)\na button that reveals D")
        extent = Extent(-10, -6, 10, 6)
        picture = lambda: svg(at_first(display(f.board, extent)), extent, 320, 192)
        self.assertNotIn(">D</text>", picture())
        self.assertIn(">C</text>", picture())
        open_mark = picture()
        perform(f.board, Restyle(ids=[f.board.find("m")], look=LookChanges(cover=True)))
        self.assertEqual((open_mark.count(COVER), picture().count(COVER)), (0, 1))


class RevealTest(unittest.TestCase):
    def test_what_belongs_is_offered_with_it(self):
        f = figure(BED + "a button that reveals ABC and what belongs with them")
        reveal = f.board.steps[-1]
        self.assertEqual([f.board.name(id) for id in reveal.fills["things"]], ["ABC", "A", "B", "C", "S", "AB", "m"])
        found = [offer.sentence for offer in offers(f.board, [f.board.find("ABC")])]
        self.assertIn("a button that reveals ABC and what belongs with them", found)
        self.assertIn("a button that reveals ABC", found)

    def test_it_stays_where_a_thing_of_it_is_nowhere_now(self):
        f = figure(
            BED + "p is the line through A and B\nq is the line through A and C\nX is where p meets q\na button that reveals X and p"
        )
        f.drag("C", 2, 0)
        self.assertIsNone(f.value("X"))
        self.assertIsNotNone(f.board.values[-1])

    def test_it_is_amended_moved_and_kept(self):
        f = figure(BED + "r is the reveal of ABC starting shown at (-3, 2)")
        r, c = f.board.find("r"), f.board.find("C")
        self.assertEqual(shapes(f)["r"]["shown"], True)
        fills = {"things": [f.board.find("ABC"), c], "start": "hidden", "at": [-3, 2]}
        perform(f.board, Retie(id=r, does="reveal", fills=fills))
        perform(f.board, Restyle(ids=[r], look=LookChanges(caption="The bed")))
        f.drag("r", -5, 4)
        shape = shapes(f)["r"]
        self.assertEqual(
            (shape["reveals"], shape["shown"], shape["says"], tuple(shape["at"])), ((f.board.find("ABC"), c), False, "The bed", (-5, 4))
        )
        _title, (again,) = lesson_from_json(lesson_to_json("Told", [f.board]))
        self.assertEqual((again.steps, again.values), (f.board.steps, f.board.values))
        self.assertEqual(figure(f.working()).working(), f.working())

    def test_a_prediction_hides_the_image_and_covers_how_far_off_it_is(self):
        f = figure(BED + "t is the rotation about A by 90 degrees\nB′ is the image of B under t\na prediction of B′")
        peg, off, reveal = f.board.steps[-3:]
        self.assertEqual((peg.moves, off.look.cover, reveal.fills["things"]), ("free", True, (f.board.find("B′"),)))
        f.drag(f.board.name(peg.id), 0, 3)
        self.assertAlmostEqual(f.board.value(off.id), 1)
        with self.assertRaises(Refusal):
            f.say("a prediction of A")
