"""What is said of several things together: lines that are parallel or equal to each other, corners that follow from facts."""

import math
import unittest
from itertools import combinations

from hypothesis import given, settings
from hypothesis import strategies as st

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.edits import perform
from ruddy_trellis.core.speech.hearing import heard

from ..bank.boards import BOARDS
from ..bank.judge import MEANT, REFUSED, judged, said_on

#: What is said on an empty board or on one with a circle k, with what has to hold wherever free points go.
_TOGETHER = """
    empty: parallel lines AB and CD => parallel(A,B,C,D) and count('line') == 2
    empty: AB and CD are perpendicular segments => same(dot(B-A,D-C),0) and seg(A,B) and seg(C,D)
    empty: two equal segments AB and AC => same(d(A,B),d(A,C)) and seg(A,C)
    empty: three equal segments AB, CD and EF => same(d(A,B),d(C,D)) and same(d(A,B),d(E,F))
    empty: two perpendicular rays OA and OB => same(dot(A-O,B-O),0) and ray(O,A) and ray(O,B)
    empty: perpendicular lines l and m => line_of('l') and line_of('m') and any_straight(lambda p,q: same(dot(q-p,1),0)) or line_of('l')
    empty: three parallel lines p, q and r => par_things('p','q') and par_things('q','r')
    empty: AB and CD are equal chords of a circle => same(d(A,B),d(C,D)) and on_circle3(D,A,B,C)
    empty: a circle with two chords AB and CD => on_circle3(D,A,B,C)
    empty: two parallel chords AB and CD of a circle => parallel(A,B,C,D) and on_circle3(D,A,B,C)
    empty: AB and CD are perpendicular diameters of a circle => same(mid(A,B),mid(C,D)) and same(d(A,B),d(C,D)) and same(dot(B-A,D-C),0)
    empty: two perpendicular radii OA and OB of a circle => same(d(O,A),d(O,B)) and same(dot(A-O,B-O),0)
    empty: OA and OB are radii of a circle => same(d(O,A),d(O,B)) and circle(O,d(O,A))
    empty: two equal circles with centres O and P => any_circle_that(lambda c,r: circle(O,r) and circle(P,r))
    empty: AB and CD are parallel lines and XY is a transversal => parallel(A,B,C,D) and straight(X,Y)
    empty: triangle a b c with a right angle at c => same(ang(A,C,B),90)
    empty: a 60 by 40 mm rectangle => any_poly(lambda c: rectangle(c,6,4))
    empty: triangle with sides 50, 60 and 70 mm => any_poly(lambda c: sides(c,5,6,7))
    circ: BC and DE are perpendicular diameters => same(mid(B,C),O) and same(mid(D,E),O) and same(dot(C-B,E-D),0) and on(B,'k')
    circ: the diameter through Q => seg(Q,2*O-Q) and count('claim') == 0
    tri: D is the touching point of the incircle on BC => D == foot(incen(A,B,C),B,C)
    tri: D, E and F are the midpoints of the sides => D == mid(B,C) and E == mid(C,A) and F == mid(A,B)
    quad: AB and CD are parallel lines => claim(False)
    quad: AB and CD are equal segments => claim(False)
    marked: OM ⊥ BC? => refused()
    tri: make ABC bigger => refused()
    circ: two parallel diameters => refused()
    empty: equal lines AB and CD => refused()
    quad: parallel lines AB and CD => refused()
    empty: In the quadrilateral ABCD, AB = 2 CD and AB = 3 CD => refused()
"""


class TogetherTest(unittest.TestCase):
    def test_what_is_said_of_several_holds_wherever_points_go(self):
        for line in filter(None, map(str.strip, _TOGETHER.splitlines())):
            said, _, check = line.partition(" => ")
            board, _, text = said.partition(": ")
            self.assertEqual(judged(said_on(BOARDS[board]().board, text), check), MEANT, text)


def _measures(corners):
    """What can be said of a quadrilateral as it is: sides and diagonals by their lengths, corners by their angles."""
    places = dict(zip("ABCD", corners, strict=True))
    said = {f"{one}{other}": math.dist(places[one], places[other]) for one, other in combinations("ABCD", 2)}
    for number, corner in enumerate("ABCD"):
        before, after = places["ABCD"[number - 1]], places["ABCD"[(number + 1) % 4]]
        x, y = places[corner]
        turned = math.degrees(math.atan2(before[1] - y, before[0] - x) - math.atan2(after[1] - y, after[0] - x)) % 360
        said[f"angle {corner}"] = turned
    return said


#: Quadrilaterals with their corners gone round, convex.
_turns = st.tuples(*(st.floats(0.15, 0.85) for _ in range(4)))
_sizes = st.tuples(*(st.floats(3.0, 6.0) for _ in range(4)))


class CornersTest(unittest.TestCase):
    """Facts of a quadrilateral that there is: it is drawn so that they hold, or it is said that they are too many."""

    @settings(max_examples=60, deadline=None)
    @given(_turns, _sizes, st.lists(st.integers(0, 9), min_size=1, max_size=6, unique=True))
    def test_facts_hold_of_what_is_drawn(self, turns, sizes, chosen):
        corners = [
            (size * math.cos(math.pi / 2 * (k + turn)), size * math.sin(math.pi / 2 * (k + turn)))
            for k, (turn, size) in enumerate(zip(turns, sizes, strict=True))
        ]
        facts = _measures(corners)
        told = {name: round(value, 3) for name, value in [list(facts.items())[number] for number in sorted(chosen)]}
        text = "quadrilateral ABCD with " + ", ".join(f"{name} = {value}" for name, value in told.items())
        board = BOARDS["empty"]().board
        try:
            perform(board, heard(text, board).edit)
        except Refusal:
            self.assertGreater(len(told), 2, f"refused: {text}")
            return
        places = [board.values[board.place(board.ids_named(name)[0])] for name in "ABCD"]
        if any(place is None for place in places):
            return  # rounded lengths of a shape that is nearly flat may not meet
        drawn = _measures([place[:2] for place in places])
        for name, value in told.items():
            off = abs(drawn[name] - value)
            if "angle" in name:
                off = min(off % 180, 180 - off % 180)  # seen from the other side where the shape had to be turned over
            self.assertLess(off, 1e-6, f"{text}: {name} is {drawn[name]}")

    def test_what_follows_and_what_does_not(self):
        for text, check in (
            ("quadrilateral ABCD with AB = CD and AB ∥ CD", "D == A + C - B"),
            ("quadrilateral ABCD with AB = AD and CB = CD", "same(d(A,B),d(A,D)) and same(d(C,B),d(C,D)) and not D == B"),
            ("quadrilateral ABCD with right angles at A and C", "same(ang(D,A,B),90) and same(ang(B,C,D),90)"),
            ("cyclic quadrilateral ABCD with AB = AD", "on_circle3(D,A,B,C) and same(d(A,B),d(A,D)) and not D == B"),
            ("cyclic quadrilateral ABCD with AB ∥ CD", "on_circle3(D,A,B,C) and parallel(A,B,C,D) and not D == C"),
            ("cyclic quadrilateral ABCD with AB = AD and BC = 5", "!convex(A,B,C,D) and same(d(A,B),d(A,D)) and same(d(B,C),5)"),
            ("pentagon ABCDE with AB = 3 and BC = 3", "same(d(A,B),3) and same(d(B,C),3)"),
        ):
            self.assertEqual(judged(said_on(BOARDS["empty"]().board, text), check), MEANT, text)
        too_much = "quadrilateral ABCD with AB = 5, BC = 5, CD = 5, DA = 5, AC = 5 and BD = 5"
        self.assertEqual(judged(said_on(BOARDS["empty"]().board, too_much), "True"), REFUSED)
        self.assertEqual(judged(said_on(BOARDS["quad"]().board, "quadrilateral ABCD with AB = 5"), "True"), REFUSED)
