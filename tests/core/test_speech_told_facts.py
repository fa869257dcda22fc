"""What is told of a figure in a later sentence of an exercise; sorts that are asked for, remarks, the first and the second circle."""

import random
import unittest

from ruddy_trellis.core.edits.prepare import perform
from ruddy_trellis.core.hand import Alone
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech.english_remarks import IS_FOR_READERS, is_remark
from ruddy_trellis.core.speech.hearing import understood
from ruddy_trellis.core.speech.paragraphs import paragraph

from ..bank.boards import BOARDS
from ..bank.judge import MEANT, judged, said_on
from .tries import tries

#: Exercises whose facts stand in sentences of their own, each with what is so then, also after it is moved.
_TOLD = (
    ("ABC is a triangle. AB = 5 cm. BC = 6 cm. Angle B = 50°.", "same(d(A,B),5) and same(d(B,C),6) and same(ang(A,B,C),50)"),
    ("PQR is a triangle. PQ = PR. The angle P is 40°.", "same(d(P,Q),d(P,R)) and same(ang(Q,P,R),40)"),
    ("Draw triangle ABC. Angle A is a right angle. AB = 3 cm and AC = 4 cm. Find BC.", "same(ang(B,A,C),90) and reading(5)"),
    ("ABCD is a rectangle. AB = 8 cm and BC = 6 cm. Find AC.", "same(ang(A,B,C),90) and same(d(C,D),8) and reading(10)"),
    ("ABCD is a parallelogram. Angle A = 70°. AB = 5. AD = 3.", "same(ang(D,A,B),70) and same(d(C,D),5) and same(d(B,C),3)"),
    ("Draw a circle with centre O and radius 5. P is a point outside it. OP = 13.", "same(d(O,P),13) and circle(O,5)"),
    ("AB is a chord of a circle with centre O. Angle OAB = 35°.", "same(ang(O,A,B),35) and same(d(O,A),d(O,B))"),
    ("A, B and C are points on a circle with centre O. Angle AOB is 100°. Find angle ACB.", "same(ang(A,O,B),100) and reading(ang(A,C,B))"),
    ("Draw a segment AB. AB = 7 cm.", "same(d(A,B),7)"),
    ("ABC is a triangle. BC is 6 cm long. The length of AB is 5.", "same(d(B,C),6) and same(d(A,B),5)"),
    (
        "ABC is a triangle. AB has length 4. And side BC is 3. The angle B is right.",
        "same(d(A,B),4) and same(d(B,C),3) and same(ang(A,B,C),90)",
    ),
    ("ABC is a triangle. D is a point on BC. BD = 2.", "same(d(B,D),2) and inline(B,C,D)"),
    ("ABC is a triangle. D is a point on BC. Angle BAD = 20°.", "same(ang(B,A,D),20) and inline(B,C,D)"),
    (
        "AB is a diameter of a circle, and C and D are points on the circle. Angle CAB = 25°. Find angle CDB.",
        "same(ang(C,A,B),25) and on_circle3(D,A,B,C) and reading(ang(C,D,B))",
    ),
)


class ToldFactsTest(unittest.TestCase):
    def test_what_is_told_later_is_had_by_the_figure(self):
        for text, check in _TOLD:
            seen = said_on(BOARDS["empty"]().board, text)
            self.assertEqual(judged(seen, check), MEANT, text)
            self.assertFalse([step.does for step in seen.board.steps if step.makes == "claim"], text)

    def test_it_is_shown_to_which_sentence_it_was_taken(self):
        lines = paragraph("ABC is a triangle. AB = 5. Draw the median from C.", BOARDS["empty"]().board).lines
        self.assertEqual([line.text for line in lines], ["ABC is a triangle.", "AB = 5.", "Draw the median from C."])
        self.assertEqual([line.remark for line in lines], ["", "Taken with “ABC is a triangle”.", ""])

    def test_what_is_asked_or_there_stays_a_claim(self):
        for board, text in (
            ("empty", "ABC is a triangle. Prove that AB = AC."),
            ("empty", "ABC is a triangle. Then AB = AC."),
            ("empty", "ABC is a triangle. Is AB = AC?"),
            ("tri", "Draw the median from A. AB = AC."),
            ("tri", "Let D be the midpoint of BC. AD = 5."),
        ):
            seen = said_on(BOARDS[board]().board, text)
            self.assertEqual(judged(seen, "claim(False)"), MEANT, text)

    def test_what_new_things_cannot_have_is_not_taken_for_a_claim(self):
        for text in (
            "ABC is an equilateral triangle of side 4. AB = 5.",
            "Draw a square ABCD. Angle A is 80°.",
            "A and B are points. AB = AB + 1.",
        ):
            *_, last = paragraph(text, BOARDS["empty"]().board).lines
            self.assertTrue(last.problem, text)
            self.assertEqual(last.sentences, (), text)

    def test_any_triangle_by_three_facts(self):
        """Three sides, two sides and the angle between them, or a side and its angles: told in any order, it has them."""
        chance = random.Random(24)
        for _ in range(tries(20)):
            a, b, c = (round(chance.uniform(4, 7), 1) for _ in range(3))
            one, other = chance.randint(30, 70), chance.randint(30, 70)
            facts = chance.choice(
                (
                    (f"BC = {a}.", f"CA = {b}.", f"AB = {c}."),
                    (f"AB = {c} cm.", f"Angle B is {one}°.", f"BC = {a} cm."),
                    (f"AB = {c}.", f"Angle A = {one}°.", f"The angle B is {other}°."),
                )
            )
            told = chance.sample(facts, 3)
            seen = said_on(BOARDS["empty"]().board, " ".join(("ABC is a triangle.", *told)))
            sizes = {"BC": f"same(d(B,C),{a})", "CA": f"same(d(C,A),{b})", "AB": f"same(d(A,B),{c})"}
            wanted = [check for name, check in sizes.items() if any(f"{name} =" in fact for fact in facts)]
            wanted += [f"same(ang(A,B,C),{one})"] if "Angle B" in " ".join(facts) else []
            wanted += [f"same(ang(C,A,B),{one}) and same(ang(A,B,C),{other})"] if "Angle A" in " ".join(facts) else []
            self.assertEqual(judged(seen, " and ".join(wanted)), MEANT, told)


class AskedTest(unittest.TestCase):
    def test_of_a_sentence_that_makes_something_nothing_is_there_already(self):
        alone = Alone(BOARDS["two"]().board)
        alone.do(t="say", text="E is where the line through A and B meets the circle with centre A through B, first crossing")
        self.assertIn("E", {alone.board.name(step.id) for step in alone.board.steps})

    def test_which_sort_a_shape_is(self):
        for text, sort in (
            ("Draw a rhombus ABCD. Join the midpoints of its sides. What shape do you get?", "a rectangle"),
            ("Draw a quadrilateral ABCD. Join the midpoints of its sides. What sort of quadrilateral is it?", "a parallelogram"),
            ("Draw a square ABCD. What kind of triangle is ABC?", "right-angled"),
            ("Draw an isosceles triangle ABC. Which type of triangle is ABC?", "isosceles"),
        ):
            board = BOARDS["empty"]().board
            found = paragraph(text, board)
            perform(board, found.edit)
            self.assertTrue(any(sort in sentence for sentence in found.lines[-1].sentences), text)
            claims = [board.value(step.id) for step in board.steps if step.makes == "claim"]
            self.assertTrue(claims and all(value[2] < 1e-6 for value in claims), text)

    def test_a_shape_of_no_special_sort_is_told_so(self):
        for board, text in (("tri", "What kind of triangle is ABC?"), ("quad", "What shape is ABCD?")):
            with self.assertRaises(Refusal) as caught:
                understood(text, BOARDS[board]().board)
            self.assertIn("no special sort", caught.exception.sentence)

    def test_what_is_said_to_the_readers_is_a_remark_and_nothing_else_is(self):
        for text in (
            "What do you notice?", "Explain why.", "What happens to the area when you drag A?", "Now drag C: what do you see?",
            "Today we look at the theorem of Thales.", "Give reasons for your answer.", "Drag a corner until it lies outside.",
        ):  # fmt: skip
            self.assertTrue(is_remark(text), text)
            with self.assertRaises(Refusal) as caught:
                understood(text, BOARDS["tri"]().board)
            self.assertEqual(caught.exception.sentence, IS_FOR_READERS)
        for text in (
            "What happens if I reflect A in BC?", "What happens to C if I reflect it in AB?", "Describe a circle about A.", "Draw AB.",
            "Move A to (1, 2).", "What is the area of ABC?", "Is it true that AB = AC?", "Explain ABC and draw AB.",
        ):  # fmt: skip
            self.assertFalse(is_remark(text), text)

    def test_which_one_of_several(self):
        for board, text, check in (
            ("circ", "draw a circle with centre P and radius 2 and draw the tangents from P to the first circle",
             "any_straight(lambda p,q: inline(p,q,P) and same(line_distance(O,p,q),d(O,A)))"),
            ("lines", "draw the perpendicular from P to the second line", "any_straight(lambda p,q: same(dot(q-p,D-C),0) and on(P,'p'))"),
            ("lines", "draw the parallel to l through P meeting the other line at Q", "inline(C,D,Q) and parallel(P,Q,A,B)"),
            ("circ", "draw a circle of radius 2 touching the circle at A", "any_circle_that(lambda c,r: same(r,2) and same(abs(c-A),2))"),
            ("circ", "draw a circle with centre P and radius 2 and measure both radii", "reading(2) and reading(d(O,A))"),
            ("three", "draw the sum of the vectors AB and AC", "vector(A,B+C-A)"),
            ("three", "the difference of the vectors AB and AC", "vector(A,A+B-C)"),
            ("three", "the sum of the vectors AB, BC and CB", "vector(A,B)"),
            ("tri", "let P be a point on the same side of AB as C", "!side(P,A,B)*side(C,A,B) > 0"),
            ("circ", "a line through P meets the circle at X and Y", "inline(P,X,Y) and on(X,'k') and on(Y,'k')"),
            ("circ", "produce PO to meet the circle at D", "between(P,D,O) and on(D,'k')"),
            ("tri", "draw the bisectors of the three angles", "any_straight(lambda p,q: inline(p,q,A) and inline(p,q,incen(A,B,C)))"),
            ("empty", "triangle ABC with altitude AD", "D == foot(A,B,C)"),
            ("tri", "trisect angle A", "any_straight(lambda p,q: inline(p,q,A) and same(ang_lines(p,q,A,B),ang(B,A,C)/3))"),
            ("tri", "measure the distances from A to the midpoints of the sides", "reading(d(A,mid(B,C))) and reading(d(A,B)/2)"),
        ):  # fmt: skip
            seen = said_on(BOARDS[board]().board, text)
            self.assertEqual(judged(seen, check), MEANT, text)

    def test_another_number_than_there_is_is_refused(self):
        for board, text in (
            ("marked", "measure both radii"), ("tri", "measure both angles"), ("tri", "draw the midpoints of both sides"),
            ("three", "join up all four points"), ("three", "circle through all four"), ("quad", "add up all three angles"),
            ("tri", "measure all four corners"), ("tri", "draw the second circle"), ("marked", "draw the second circle"),
            ("empty", "draw a parallelogram ABCD with a right angle at A and area 7 and sides 6.9 and 5.5"),
            ("quad", "join the midpoint of AB to the midpoint of BC to the midpoint of CD"),
        ):  # fmt: skip
            with self.assertRaises(Refusal, msg=text):
                understood(text, BOARDS[board]().board)
