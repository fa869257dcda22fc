"""Nothing is read otherwise than it was said: families of sentences that were once."""

import math
import re
import unittest

from ruddy_trellis.core.edits.prepare import perform
from ruddy_trellis.core.hand import Alone
from ruddy_trellis.core.kinds import CLAIM
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech import english
from ruddy_trellis.core.speech.hearing import heard, understood

from ..bank.boards import BOARDS
from ..bank.judge import said_on
from ..bank.run import says


class NotOtherwiseTest(unittest.TestCase):
    """What was once taken and read wrongly, by families."""

    def test_words_in_quotes_are_written_as_they_are(self):
        for words in ("It really is twenty five on the x-axis", "half a circle isn’t that’s a semi-circle", "area 16 cm2, two point five"):
            for text in (f"write “{words}” beside A", f'write "{words}" near the top', f"please write “{words}” at (1, 2)"):
                board = BOARDS["tri"]().board
                perform(board, heard(text, board).edit)
                self.assertEqual([step.fills["text"].text for step in board.steps if step.makes == "words"], [words], text)

    def test_everything_but_what_is_kept(self):
        for text, left in (
            ("delete everything except the triangle", {"A", "B", "C", "ABC"}),
            ("delete everything but M", {"B", "C", "M"}),
            ("remove all but c", {"A", "B", "C", "c"}),
        ):
            seen = said_on(BOARDS["marked"]().board, text)
            self.assertEqual({seen.board.name(step.id) for step in seen.board.steps}, left, text)
        seen = said_on(BOARDS["marked"]().board, "hide everything but c")
        shown = {seen.board.name(step.id) for step in seen.board.steps if not step.look.hidden}
        self.assertEqual(shown, {"A", "B", "C", "c"})
        self.assertTrue(said_on(BOARDS["two"]().board, "delete everything except A and B").is_refused)

    def test_a_diameter_is_no_radius(self):
        for text in ("circle with centre A and diameter 6", "a 6 cm diameter circle at A", "circle, centre A, diameter 6"):
            self.assertEqual(says("three", text), ["k is the circle with centre A and radius 3"], text)
        self.assertIn("r / 2", says("dialled", "circle with centre A and diameter r")[0])

    def test_a_right_triangle_is_right_wherever_the_word_stands(self):
        for text in ("Right triangle ABC", "draw a right triangle ABC", "right triangle ABC"):
            # The third corner slides on the perpendicular, so it is no free point.
            self.assertEqual(sum("free point" in one for one in says("empty", text)), 2, text)
        with self.assertRaises(Refusal):
            says("empty", "right triangle with sides 3, 4 and 6")

    def test_a_kind_before_two_names_is_that_kind(self):
        for text in ("delete line AB", "hide the line AB", "colour segment AB red", "delete side AB", "hide AB"):
            with self.assertRaises(Refusal, msg=text):
                understood(text, BOARDS["tri"]().board)
        alone = Alone(BOARDS["lines"]().board)
        alone.do(t="say", text="delete line AB")
        self.assertEqual([name for name in "ABlm" if alone.board.ids_named(name)], ["A", "B", "m"])

    def test_two_arms_mean_the_angle_of_their_corner(self):
        for text in ("bisect the angle between AB and BC", "bisect the angle between BA and BC", "bisect the angle formed by AB and CB"):
            self.assertEqual(says("tri", text), ["p is the bisector of angle ABC"], text)

    def test_words_of_place_and_turn_do_what_they_say_or_are_refused(self):
        corners = {}
        for side in ("above", "below", "outside"):
            board = BOARDS["tri"]().board
            perform(board, heard(f"square {side} AB", board).edit)
            corners[side] = min(y for _, y in board.value(board.steps[-1].id))
        self.assertGreaterEqual(corners["above"], 0)
        self.assertLess(corners["below"], -1)
        self.assertLess(corners["outside"], -1)
        self.assertEqual(says("three", "rotate A about B by 30° clockwise"), ["D is the point A turned about B by −30 degrees"])
        self.assertEqual(says("three", "D divides AB externally in the ratio 2:1"), ["D is the point that divides AB in the ratio 2 : −1"])
        for text in ("the centroid of ABC clockwise", "the midpoint of AB above C", "the square above nothing", "the second median from A"):
            with self.assertRaises(Refusal, msg=text):
                heard(text, BOARDS["tri"]().board)

    def test_the_words_that_say_nothing_are_few(self):
        self.assertEqual(english.IDLE, {"the", "a", "an", "also", "then", "just", "exactly", "that"})

    def test_a_dial_is_set_and_a_point_is_put_and_neither_is_claimed(self):
        for text in ("r = 3", "set r to 3", "r is 3", "make r equal to 3"):
            alone = Alone(BOARDS["dialled"]().board)
            answers = alone.do(t="say", text=text)
            self.assertEqual(alone.board.value(alone.board.find("r")), 3, text)
            self.assertIn("r is 3", answers[-1]["words"])
        for text in ("r is 20", "set r to 20"):
            with self.assertRaisesRegex(Refusal, "from 0 to 10", msg=text):
                understood(text, BOARDS["dialled"]().board)
        for text in ("A = (2, 2)", "A is (2, 2)", "move A to 2,2", "put A at (2, 2)"):
            alone = Alone(BOARDS["dialled"]().board)
            alone.do(t="say", text=text)
            self.assertEqual(alone.board.value(alone.board.find("A")), (2, 2), text)

    def test_label_is_a_name_and_words_are_words(self):
        self.assertEqual(says("tri", "Label the midpoint of AB M"), ["M is the midpoint of AB"])
        self.assertEqual(says("tri", "write “Find angle A” on the board"), ["p is the words “Find angle A”"])
        with self.assertRaises(Refusal):
            understood("label their intersection O", BOARDS["tri"]().board)

    def test_a_single_letter_after_a_kind_is_a_name(self):
        self.assertEqual(says("empty", "a slider a from 0 to 10")[0][:9], "a is a di")
        self.assertEqual(says("empty", "Let l be a line")[-1], "l is the line through A and B")

    def test_which_of_two_crossings_is_the_one_that_was_said(self):
        for text, better in (
            ("mark the left intersection of line OP and k as L", lambda p: -p[0]),
            ("the rightmost intersection of line OP and k", lambda p: p[0]),
            ("the upper intersection of k and line AQ", lambda p: p[1]),
            ("the bottom intersection point of k and line OA", lambda p: -p[1]),
            ("let L be the intersection of line OP and k nearest to P", lambda p: -math.dist(p, (9, 3))),
            ("let L be the intersection of line OP and k that is further from P", lambda p: math.dist(p, (9, 3))),
        ):
            board = BOARDS["circ"]().board
            perform(board, heard(text, board).edit)
            line, chosen = ([step for step in board.steps if step.does == does][-1] for does in ("line", "intersection"))
            (x, y), centre, radius = board.value(chosen.id), (0, 0), math.dist((0, 0), (4, 1))
            self.assertAlmostEqual(math.dist((x, y), centre), radius, msg=text)
            ends = [board.value(line.fills[end][0]) for end in ("from", "to")]
            # The other crossing is the image of this one in the foot of the perpendicular from the centre.
            (ax, ay), (bx, by) = ends
            share = -((ax) * (bx - ax) + (ay) * (by - ay)) / math.dist(*ends) ** 2
            foot = (ax + share * (bx - ax), ay + share * (by - ay))
            other = (2 * foot[0] - x, 2 * foot[1] - y)
            self.assertGreater(better((x, y)), better(other), text)
        self.assertIn("other than Q", says("circ", "let R be the intersection of line OQ and k other than Q")[-1])
        for text in (
            "the upper intersection of l and m",  # there is one
            "the intersection nearer to A of l and m",
        ):
            with self.assertRaisesRegex(Refusal, "one point only"):
                heard(text, BOARDS["lines"]().board)
        with self.assertRaisesRegex(Refusal, "as well"):
            heard("let X be the intersection of k and line OQ nearest to O", BOARDS["circ"]().board)

    def test_a_triangle_of_another_one(self):
        three = ["D is the foot of the perpendicular from A to BC", "E is the foot of the perpendicular from B to AC"]
        for text in ("the orthic triangle of ABC", "let DEF be the orthic triangle of triangle ABC", "the pedal triangle of ABC"):
            self.assertEqual(says("tri", text)[:2], three, text)
        for text in ("the medial triangle", "the medial triangle DEF of ABC", "let DEF be the medial triangle of the triangle ABC"):
            self.assertEqual(says("tri", text)[0], "D is the midpoint of BC", text)
        for text in ("the pedal triangle of M", "let DEF be the pedal triangle of M with respect to triangle ABC"):
            self.assertEqual(says("marked", text)[0], "D is the foot of the perpendicular from M to BC", text)
        with self.assertRaisesRegex(Refusal, "another point"):
            heard("the pedal triangle of A in triangle ABC", BOARDS["tri"]().board)
        for text in (
            "the medial triangle of ABC above AB",
            "an inscribed triangle on AB",
            "an obtuse triangle on AB",
            "inscribed square on AB",
        ):
            with self.assertRaisesRegex(Refusal, "not understood|which circle", msg=text):
                heard(text, BOARDS["tri"]().board)

    def test_a_median_to_a_point_that_is_there_is_one_or_is_refused(self):
        self.assertEqual(says("marked", "draw the median AM"), ["AM is the segment from A to M"])
        for text in ("draw the median PA", "draw the altitude AM", "Draw the median AX and the altitude BX"):
            with self.assertRaises(Refusal, msg=text):
                heard(text, BOARDS["marked"]().board)
        self.assertEqual(says("tri", "draw the medians AD and BE")[0], "D is the midpoint of BC")
        self.assertEqual(says("tri", "draw the altitude AD")[0], "D is the foot of the perpendicular from A to BC")

    def test_a_shape_on_a_circle_is_of_the_sort_that_was_said(self):
        for text in ("a rhombus in k", "a kite in k", "an isosceles triangle inscribed in k", "a right-angled triangle in k"):
            with self.assertRaisesRegex(Refusal, "circle", msg=text):
                heard(text, BOARDS["circ"]().board)
        for text in ("a kite in k", "the horizontal diameter of k", "hide the names of the points"):
            with self.assertRaises(Refusal, msg=text):
                heard(text, BOARDS["empty"]().board)

    def test_names_are_not_dropped(self):
        self.assertEqual(says("tri", "Mark the centroid G"), ["G is the centroid of ABC"])
        self.assertEqual(says("marked", "Mark the foot of the altitude F"), ["F is the foot of the perpendicular from A to BC"])

    def test_nothing_is_suggested_that_nobody_said(self):
        for text in ("wibble 7 A", "a parallel thing to AB", "the fourth dimension of AB", "turn the line AB", "sides of the line"):
            try:
                understood(text, BOARDS["three"]().board)
            except Refusal as refusal:
                for way in refusal.ways:
                    for number in "0123456789":
                        self.assertTrue(number not in way or number in text, f"{text}: {way}")

    def test_notation_of_commands_is_no_construction(self):
        for text in ("Midpoint(A, B)", "Midpoint[A, B]", "Circle[A, 3]", "Segment(A,B)"):
            with self.assertRaises(Refusal, msg=text):
                understood(text, BOARDS["three"]().board)

    def test_signs_as_people_type_them(self):
        self.assertEqual(says("three", "line through C // AB"), ["p is the parallel to AB through C"])
        self.assertEqual(says("three", "line through C _|_ AB"), ["p is the perpendicular to AB through C"])
        self.assertEqual(says("three", "translate A by (3, 2)")[0], "t is the translation by 3 across and 2 up")

    #: What was read otherwise by a grammar that looked at each part of a sentence but not at what was left of it: the board, what is
    #: said, and the last things that it makes, or None where it is refused.
    ONCE_OTHERWISE = (
        (
            "empty",
            "Draw a parallelogram with sides 6 and 4 and an angle of 60 degrees between them",
            ["ABCD is the polygon through A, B, C, D"],
        ),
        (
            "two",
            "Draw a rhombus with side AB and an angle of 60° at A",
            [
                "D is the point B turned about A by 60 degrees",
                "C is the fourth corner of the parallelogram BAD",
                "ABCD is the polygon through A, B, C, D",
            ],
        ),
        ("tri", "Draw the medians and let G be their common point", ["G is where q meets r"]),
        ("quad", "Draw the diagonal from B", ["BD is the segment from B to D"]),
        ("two", "Extend AB past B by 3 cm", ["BC is the segment from B to C"]),
        ("tri", "Extend CA and CB", ["p is the line through C and A", "q is the line through C and B"]),
        ("circ", "Draw a chord of length 3", ["BC is the segment from B to C"]),
        ("circ", "Draw the chord through Q perpendicular to OA", ["QB is the segment from Q to B"]),
        ("empty", "Draw a chord of length 3", None),
        ("circ", "Draw the chord AP", None),
        ("circ", "Draw the radius OP", None),
        ("circ", "Measure the arc AQ", ["p is the arc with centre O from A to Q", "arc_p is the arc length of p"]),
        ("lines", "Find all four angles between l and m", None),
        ("two", "Make the line through A and B dashed", None),
        ("empty", "draw a circle k with centre M and a point P outside it", ["P is a free point", "supposed: P is outside k"]),
        (
            "empty",
            "Construct an angle of 60 degrees at A with arms AB and AC",
            ["p is the ray from A through B", "q is the ray from A through C"],
        ),
        ("marked", "Draw the circle through A, B, C and M", None),
        ("tri", "Show the centroid and the orthocentre", ["D is the centroid of ABC", "E is the orthocentre of ABC"]),
        ("circ", "Mark the intersection of the segment OP with the circle", ["B is where OP meets k, second crossing"]),
        ("tri", "Measure the distance of the incentre from AB", ["D is the incentre of ABC", "Dh_1 is the distance from D to h_1"]),
        ("lines", "Draw the parallel to l through C and the parallel to m through A. Label their intersection Y", ["Y is where p meets q"]),
        (
            "circ",
            "Draw the perpendicular from O to AQ and show that it bisects AQ",
            ["ω is the claim that H_1 lies on the whole line of p"],
        ),
        ("two", "mark P between A and B", ["P is a point on AB"]),
        ("two", "Mark P between A and B, 2 cm from A", None),
        ("tri", "Mark D, the reflection of C in the midpoint of AB", ["D is the image of C under t"]),
        ("tri", "Write the equation of the line AB", ["p is the line through A and B", "equation_p is the equation of p"]),
        ("two", "Draw a right triangle on hypotenuse AB", ["C is a point on g_1", "ABC is the polygon through A, B, C"]),
        ("two", "Draw a right-angled triangle on AB with banana AB", None),
        ("two", "on AB, draw a square with banana AB", None),
        ("three", 'write "Look at C" under the banana', None),
        ("three", 'write "Look at C" beside C', ["p is the words “Look at C” beside C"]),
        ("tri", "Choose any point P inside ABC and drop perpendiculars to the sides", ["r is the perpendicular to CA through P"]),
        ("tri", "drop perpendiculars to the three sides", None),
        ("tri", "Rotate A about B by 30° and then about C by 40°", ["E is the point D turned about C by 40 degrees"]),
        ("empty", "a triangle has three sides", None),
        ("tri", "Find the orthocentre H and the circumcentre O and join them", ["HO is the segment from H to O"]),
        ("two", "Draw the segment and its midpoint", ["AB is the segment from A to B", "C is the midpoint of AB"]),
        ("two", "plot A(1, 2)", []),
        ("two", "How far is A(1, 2) from B?", None),
        ("two", "the area of XYZ", None),
        ("two", "draw the angle XYZ", None),
        ("empty", "triangle with angles of 40°, 60° and 80°", ["C is where h_1 meets h_2", "ABC is the polygon through A, B, C"]),
        ("empty", "triangle with angles of 40°, 60° and 90°", None),
        ("two", "Turn B about A by 5 cm", None),
        ("two", "enlarge B from A by 30 degrees", None),
        ("empty", "circle of radius 30 degrees", None),
        ("tri", "mark the points where the incircle touches the sides", ["F is the foot of the perpendicular from H_1 to CA"]),
        ("lines", "Choose a point on l and drop a perpendicular to m", ["p is the perpendicular to m through E"]),
        ("lines", "drop a perpendicular to m", None),
        ("quad", "join A and C and find its midpoint", ["AC is the segment from A to C", "E is the midpoint of AC"]),
        ("lines", "circle with centre P which touches the line l", ["k is the circle with centre P through H_1"]),
        ("empty", "two parallel lines AB and CD", ["q is the parallel to p through C", "D is a point on q"]),
        ("empty", "let AB be a diameter of a circle and let C be a point on it", ["C is a point on k"]),
        ("quad", "the point equidistant from AB, BC and CD", ["E is where h_1 meets h_2"]),
        ("quad", "the point equidistant from AB, BC, CD and DA", None),
        ("tri", "let X, Y, Z be points on BC, CA, AB", ["X is a point on BC", "Y is a point on CA", "Z is a point on AB"]),
        ("tri", "let X, Y, Z be points on BC and CA", None),
        ("tri", "draw through each corner the parallel to the opposite side", ["r is the parallel to AB through C"]),
        ("circ", "draw a circle with centre P and the radius of k", ["c is the circle with centre P and radius OA"]),
        ("three", "draw a circle round the three points", ["k is the circle through A, B and C"]),
        ("three", "write “the x-axis” on the board", ["p is the words “the x-axis”"]),
        ("three", "the midpoint of circle BC", None),
        ("three", "find the distance between the points A and B", ["AB is the distance from A to B"]),
        ("empty", "A, B and C are collinear points", ["p is the line through A and B", "C is a point on p"]),
        ("empty", "a vector of length 3", ["p is the vector from A to B"]),
        ("empty", "draw a circle of centre O and a diameter AB", ["AB is the segment from A to B"]),
        ("circ", "let r be the radius of k", ["r is the radius of k"]),
        ("two", "AB = 7", ["ω is the claim that AB = 7"]),
        ("empty", "AB = 7", ["AB is the segment from A to B"]),
        ("tri", "label the sides a, b and c", ["b is the segment from C to A"]),
        ("three", "join ac bc", ["AC is the segment from A to C", "BC is the segment from B to C"]),
    )  # fmt: skip

    def test_an_act_on_a_side_changes_none_of_its_ends(self):
        texts = ("make side AB dashed", "make AB thicker", "dash AB", "colour AB red", "unlabel AB", "lock AB", "delete AB", "log AB")
        for text in texts:
            seen = said_on(BOARDS["tri"]().board, text)
            self.assertTrue(seen.is_refused, text)
            self.assertEqual([step.look for step in seen.board.steps], [step.look for step in BOARDS["tri"]().board.steps], text)

    def test_what_is_asked_for_is_seen_though_a_hidden_one_is_there(self):
        board = BOARDS["tri"]().board
        perform(board, heard("the midpoint of arc BC not containing A", board).edit)
        (helper,) = [step for step in board.steps if step.does == "circumcircle"]
        self.assertTrue(helper.look.hidden)
        perform(board, heard("draw the circumcircle of ABC", board).edit)
        self.assertEqual([step.look.hidden for step in board.steps if step.does == "circumcircle"], [True, False])
        perform(board, heard("the midpoint of arc CA not containing B", board).edit)
        self.assertEqual(sum(step.does == "circumcircle" for step in board.steps), 2, "a helper is found again")

    def test_what_is_hidden_is_shown_again_and_made_from_by_its_words(self):
        board = BOARDS["tri"]().board
        for text in (
            "the altitude from A",
            "hide all segments",
            "show the altitude from A",
            "hide the altitude from A",
            "midpoint of the altitude from A",
        ):
            perform(board, heard(text, board).edit)
        (altitude,) = [step for step in board.steps if step.does == "altitude"]
        self.assertTrue(altitude.look.hidden)
        self.assertEqual(board.steps[-1].does, "midpoint")

    def test_a_size_that_follows_what_is_drawn_is_none_of_its_claims(self):
        for text in ("triangle ABC, AB = 5, BC = 6, CA = 7", "ABCD rect, AB = 8, BC = 3", "AB = 5, BC = 6, CA = 7"):
            board = BOARDS["empty"]().board
            perform(board, heard(text, board).edit)
            self.assertEqual([step.does for step in board.steps if step.makes == CLAIM], [], text)
            a, b, c = (board.value(board.find(name))[:2] for name in "ABC")
            wanted = [float(number) for number in re.findall(r"\d", text)][:2]
            self.assertEqual([round(math.dist(a, b), 9), round(math.dist(b, c), 9)], wanted)
        board = BOARDS["empty"]().board
        perform(board, heard("draw a triangle ABC with AB = 5 and prove that AB = 5", board).edit)
        self.assertEqual(sum(step.makes == CLAIM for step in board.steps), 1)

    def test_what_was_once_read_otherwise_by_what_was_left_over(self):
        for board, text, wanted in self.ONCE_OTHERWISE:
            with self.subTest(text):
                if wanted is None:
                    with self.assertRaises(Refusal):
                        understood(text, BOARDS[board]().board)
                else:
                    self.assertEqual(says(board, text)[-len(wanted) :], wanted)

    def test_the_bisector_of_an_acute_angle_is_that_of_no_other(self):
        for kind, limit in (("acute", (0, 45)), ("obtuse", (45, 90))):
            board = BOARDS["lines"]().board
            perform(board, heard(f"the bisector of the {kind} angle between l and m", board).edit)
            (ax, ay), (bx, by) = board.value(board.ids_named("l")[0])[2:4], board.value(board.steps[-1].id)[2:4]
            off = math.degrees(math.asin(abs(ax * by - ay * bx) / math.hypot(ax, ay) / math.hypot(bx, by)))
            self.assertTrue(limit[0] < off < limit[1], f"{kind}: {off}")

    def test_of_two_sides_and_an_angle_it_is_that_between_them(self):
        board = BOARDS["empty"]().board
        perform(board, heard("a triangle with sides 5 and 6 and an angle of 40° between them", board).edit)
        a, b, c = (board.value(board.ids_named(name)[0])[:2] for name in "ABC")
        self.assertAlmostEqual(math.dist(a, b), 5)
        self.assertAlmostEqual(math.dist(b, c), 6)
        self.assertAlmostEqual(math.dist(a, c) ** 2, 61 - 60 * math.cos(math.radians(40)))
