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
from .tries import tries

#: What is said on an empty board or on one with a circle k, with what has to hold wherever free points go.
_TOGETHER = """
    tri: draw a circle through A and B with radius 7 => any_circle_that(lambda c,r: same(r,7) and same(d(c,A),7) and same(d(c,B),7))
    tri: a circle with radius AB, through A and B => any_circle_that(lambda c,r: same(r,d(A,B)) and same(d(c,A),r) and same(d(c,B),r))
    tri: a circle touching BC and radius AB => any_circle_that(lambda c,r: same(r,d(A,B)) and same(abs(line_distance(c,B,C)),r))
    tri: a circle through B with radius 3 => any_circle_that(lambda c,r: same(r,3) and same(d(c,B),3))
    tri: a circle touching BC and diameter 4 => any_circle_that(lambda c,r: same(r,2) and same(abs(line_distance(c,B,C)),2))
    tri: draw a circle through A and radius AB => any_circle_that(lambda c,r: same(r,d(A,B)) and same(d(c,A),r))
    tri: a circle through A and B with diameter 14 => any_circle_that(lambda c,r: same(r,7) and same(d(c,A),r) and same(d(c,B),r))
    tri: draw a circle touching AB and AC through B => refused()
    tri: draw a triangle through A, B, C and D => refused()
    tri: triangle with corners A, B, C and D => refused()
    empty: square with corners A, B, C, D and E => refused()
    empty: square with vertices P, Q, R, S => same(d(P,Q),d(Q,R)) and same(d(P,R),d(Q,S)) and poly(P,Q,R,S)
    empty: quadrilateral with vertices P, Q, R, S => poly(P,Q,R,S)
    tri: the circle through A, B, K => refused()
    tri: draw the circle through A, K => refused()
    two: the line through A, B, C => refused()
    two: draw the line through A and B and C => refused()
    two: AX is perpendicular to AB and AX = 4 => refused() or same(d(A,X),4)
    tri: draw the circle touching AB and AC through A => refused()
    tri: the midpoint of AB and BC => point(mid(A,B)) and point(mid(B,C))
    circ: a circle with the same centre as the circle and radius 2 => circle(O,2)
    empty: D, E and F are the midpoints of the sides AB, BC and CA of triangle ABC => D == mid(A,B) and E == mid(B,C) and F == mid(C,A)
    circ: let N be the point on k closest to P => same(d(N,P),abs(d(O,P)-d(O,A))) and on(N,'k')
    circ: the point on the circle furthest from P => any_point(lambda z: same(d(z,P),d(O,P)+d(O,A)) and on(z,'k'))
    lines: let N be the point on l nearest to P => N == foot(P,A,B)
    tri: the furthest point on AB from C => refused()
    empty: draw two parallel lines and a transversal cutting them at P and Q => straight(P,Q) and count('line') == 3
    dialled: set the dial to 2 => at_number('r',2)
    marked: rename m to n => renamed('M','N')
    tri: the midpoints of AB, BC, K => refused()
    tri: the midpoints of AB and BC: K => refused()
    tri: the midpoints of AB => refused()
    tri: the midpoints of AB and BC, K and L => K == mid(A,B) and L == mid(B,C)
    tri: the midpoint of AB, M => M == mid(A,B)
    tri: draw a line parallel to BC and bisecting AB => any_straight(lambda p,q: parallel(p,q,B,C) and inline(p,q,mid(A,B)))
    tri: draw a line through A and bisecting BC => straight(A,mid(B,C))
    tri: a line through B bisecting angle A => refused()
    empty: two circles with radii 5 and 3 have their centres 7 apart => circle(O,5) and circle(P,3) and same(d(O,P),7)
    empty: two circles, radius 4, with centres A and B 6 apart => circle(A,4) and circle(B,4) and same(d(A,B),6)
    empty: two circles of radius 3 with a distance of 5 between their centres => circle(O,3) and circle(P,3) and same(d(O,P),5)
    empty: three circles of radius 2 => radius_any(2) and count('circle') == 3
    empty: two circles with radii 5 and 3 and centres A and B => circle(A,5) and circle(B,3) and count('circle') == 2
    empty: two circles with radii 5 and 3 and centres A and B with AB = 7 => refused()
    two: circles with centres A and B and radii 5 and 3, 7 apart => refused()
    empty: the centres A => refused()
    empty: triangle ABC with angles of 40 degrees at A and 60 degrees at B => same(ang(B,A,C),40) and same(ang(A,B,C),60)
    empty: triangle ABC with a right angle at B and an angle of 40 degrees at A => same(ang(B,A,C),40) and same(ang(A,B,C),90)
    empty: triangle ABC with an angle of 40 degrees at A and AB = 5 => same(ang(B,A,C),40) and same(d(A,B),5)
    empty: quadrilateral ABCD with angles A 80 degrees and B 100 degrees => same(ang(D,A,B),80) and same(ang(A,B,C),100)
    empty: rhombus with an angle of 70 degrees at B => same(ang(A,B,C),70) and same(d(A,B),d(B,C)) and same(d(A,B),d(A,D))
    empty: triangle ABC with sides AB = 5, BC = 6 and AC = 7 => same(d(A,B),5) and same(d(B,C),6) and same(d(A,C),7)
    empty: isosceles triangle with base 6 and base angles of 50 degrees => same(d(A,B),6) and same(ang(B,A,C),50) and same(ang(A,B,C),50)
    empty: triangle with base angles 50 and 65 => same(ang(B,A,C),50) and same(ang(A,B,C),65)
    empty: triangle with AB = 5 and an angle of 50 => refused()
    empty: segment MN of 5 cm => same(d(M,N),5) and seg(M,N)
    empty: angle ABC 60 degrees => same(ang(A,B,C),60) and ray(B,A) and ray(B,C)
    two: an angle of 60 degrees at A with AB as one arm => ray(A,B) and any_straight(lambda p,q: p == A and same(ang(B,A,q),60))
    two: M is on AB and AM = MB => M == mid(A,B)
    two: M ∈ AB, AM = MB => M == mid(A,B)
    marked: M is on BC and BM = MC => claim(True)
    tri: D is on BC and AD bisects angle A => inline(D,B,C) and same(ang(B,A,D),ang(D,A,C))
    tri: P is on AB and Q is on AC with AP = AQ => inline(P,A,B) and inline(Q,A,C) and same(d(A,P),d(A,Q))
    tri: points D and E trisect BC => same(3*D,2*B+C) and same(3*E,B+2*C)
    tri: D trisects BC => refused()
    tri: trisect BC at D => refused()
    tri: the points D, E and F divide BC into four equal parts => same(4*D,3*B+C) and E == mid(B,C) and same(4*F,B+3*C)
    tri: put a point inside ABC => made('point') and not made('condition')
    tri: draw a point outside the triangle => made('point') and not made('condition')
    tri: draw a point less than 3 from A => refused()
    tri: draw the points inside ABC => made('condition') and not made('point')
    garden: put a tree inside ABCD => made('point') and not made('condition')
    lines: a point X at a distance of 3 from l => same(abs(line_distance_of(X,'l')),3)
    two: a point C 3 from AB => same(abs(line_distance(C,A,B)),3)
    two: the line through A and B and a point C at a distance of 3 from it => same(abs(line_distance(C,A,B)),3)
    two: the line AB and a point C at a distance of 3 from A => same(d(A,C),3)
    lines: the perpendicular to l through (0,4) => any_straight(lambda p,q: same(dot(q-p,B-A),0)) and not made('claim')
    lines: does l pass through (0,4)? => claim(False)
    two: how far apart are they => reading(d(A,B))
    two: how far is A => refused()
    two: how long are they => refused()
    tri: how far apart are the midpoints of AB and AC => refused() or reading(d(mid(A,B),mid(A,C)))
    circ: AB is a diameter and C any other point on the circle => 2*O-A == B and on(C,'k')
    empty: AB is a diameter and C any other point on the circle => circle(mid(A,B),d(A,B)/2) and same(dot(A-C,B-C),0)
    dialled: scale ABC from A by the factor r/2 => poly(A,A+2*(B-A),A+2*(C-A))
    dialled: enlarge ABC from A by the factor r + 1 => poly(A,A+5*(B-A),A+5*(C-A))
    dialled: a circle at B whose radius is controlled by r => circle(B,4)
    empty: draw the line y = 2x - 1 and the line perpendicular to it through (0,4) => any_straight(lambda p,q: same(dot(q-p,1+2j),0))
    empty: let ABC be a triangle and D the point on BC with BD : DC = 2 : 1 => same(3*D,B+2*C)
    empty: the hypotenuse of a right triangle is 10 cm and one leg is 6 cm => same(d(A,B),6) and same(d(A,C),10) and same(d(B,C),8)
    empty: parallel lines AB and CD => parallel(A,B,C,D) and count('line') == 2
    empty: AB and CD are perpendicular segments => same(dot(B-A,D-C),0) and seg(A,B) and seg(C,D)
    empty: two equal segments AB and AC => same(d(A,B),d(A,C)) and seg(A,C)
    empty: three equal segments AB, CD and EF => same(d(A,B),d(C,D)) and same(d(A,B),d(E,F))
    empty: two perpendicular rays OA and OB => same(dot(A-O,B-O),0) and ray(O,A) and ray(O,B)
    empty: perpendicular lines l and m => line_of('l') and line_of('m') and at_right_angles()
    empty: lines l and m are parallel => par_things('l','m')
    empty: l ∥ m => par_things('l','m')
    empty: l ⊥ m => at_right_angles()
    empty: the segments AB and CD are equal => same(d(A,B),d(C,D)) and seg(A,B) and seg(C,D)
    quad: lines AB and CD are parallel => claim(False)
    empty: parallel lines l and m cut by a transversal t => par_things('l','m') and line_of('t') and not par_things('l','t')
    empty: AB ∥ CD and EF is a transversal => parallel(A,B,C,D) and straight(E,F) and inline(E,A,B) and inline(F,C,D)
    empty: a circle with tangents PA and PB => any_circle_that(lambda c,r: same(dot(P-A,c-A),0) and same(dot(P-B,c-B),0) and same(d(c,A),r))
    empty: two tangents PA and PB to a circle => any_circle_that(lambda c,r: same(dot(P-A,c-A),0) and same(dot(P-B,c-B),0)) and not A == B
    empty: circle with radii OA and OB => circle(O,d(O,A)) and same(d(O,A),d(O,B)) and seg(O,A) and seg(O,B) and count('circle') == 1
    empty: a circle k with centre O and radii OA and OB => on(A,'k') and on(B,'k') and centre_of('k') == O and count('circle') == 1
    empty: a circle with radius OA => circle(O,d(O,A)) and count('circle') == 1
    empty: k(O; 3) => circle(O,3)
    empty: circle c(2,3) r 4 => !circle(2+3j,4)
    empty: two overlapping circles => any_circle_that(lambda c,r: any_circle_that(lambda e,s: c != e and abs(r-s) < abs(c-e) < r+s))
    empty: two circles touch externally at T => any_circle_that(lambda c,r: any_circle_that(lambda e,s: c != e and same(abs(c-e),r+s)))
    empty: circles with centres O and P touch internally at T => circle(P,d(P,T)) and inline(O,P,T) and !same(d(O,P),d(O,T)-d(P,T))
    empty: circles with centres O and P touch => any_circle_that(lambda c,r: c == O and circle(P,d(O,P)-r)) and count('segment') == 0
    two: circles with centres A and B touch => circle(A,d(A,C)) and circle(B,d(B,C)) and inline(A,B,C) and !between(A,B,C)
    two: circles with centres A and B touch internally at T => circle(B,d(B,T)) and inline(A,B,T) and !same(d(A,B),d(A,T)-d(B,T))
    three: circles with centres A and B touch at C => refused()
    circ: a circle c touches k internally at Q => !any_circle_that(lambda c,r: same(d(c,Q),r) and same(d(c,O),d(O,Q)-r))
    circ: draw a circle of radius 2 touching k externally => any_circle_that(lambda c,r: same(r,2) and same(d(c,O),d(O,Q)+2))
    circ: draw a circle of radius 2 touching k internally => any_circle_that(lambda c,r: same(r,2) and same(d(c,O),d(O,Q)-2))
    circ: draw the circle with centre P touching k internally => circle(P,d(P,O)+d(O,Q))
    circ: draw a circle touching k at P => refused()
    empty: an internal circle => refused()
    tri: a circle touching AB at A => any_circle_that(lambda c,r: same(dot(c-A,B-A),0) and same(d(c,A),r))
    tri: a circle touching BC at D => any_circle_that(lambda c,r: same(dot(c-D,C-B),0) and same(d(c,D),r)) and inline(D,B,C)
    tri: circle touching AB and AC => any_circle_that(lambda c,r: same(abs(line_distance(c,A,B)),r) and same(abs(line_distance(c,A,C)),r))
    tri: draw the circle at A touching BC => circle(A,abs(line_distance(A,B,C)))
    tri: draw squares on the sides inwardly => squares_inside(A,B,C)
    tri: squares on the sides of ABC, inside it => squares_inside(A,B,C)
    tri: draw squares on the sides outwardly => squares_outside(A,B,C)
    circ: draw the tangent AT at A => same(dot(T-A,A-O),0) and not T == A and seg(A,T)
    circ: draw the tangent TA to k => same(dot(T-A,A-O),0) and not T == A
    circ: tangent TP from P to k => on(T,'k') and same(dot(P-T,T-O),0)
    circ: TA and TQ are tangents to k => same(dot(T-A,A-O),0) and same(dot(T-Q,Q-O),0)
    circ: draw the tangent PA from P to k => refused()
    circ: PA is a tangent of k => claim(False)
    circ: draw the radius OA of k => seg(O,A)
    circ: draw the radius AQ of k => refused()
    circ: draw the diameter AQ of k => refused()
    circ: draw the diameter AB of k => B == 2*O-A and seg(A,B)
    circ: angle AQ subtends at O => reading(ang(A,O,Q))
    circ: pop a tangent on at A => any_straight(lambda p,q: same(dot(q-p,A-O),0) and same(line_distance(A,p,q),0))
    quad: P = AC ∩ BD and Q = AB ∩ CD => inline(P,A,C) and inline(P,B,D) and inline(Q,A,B) and inline(Q,C,D)
    circ: a tangent t to k parallel to OP => any_straight(lambda p,q: parallel(p,q,O,P) and same(line_distance(O,p,q),d(O,A)))
    circ: the tangents perpendicular to OP => any_straight(lambda p,q: same(dot(q-p,P-O),0) and same(line_distance(O,p,q),d(O,A)))
    tri: drop perpendiculars from the midpoint of AC to the other two sides => on_new_straight(foot(mid(A,C),A,B)) and count('line') == 2
    tri: perpendiculars to the other two sides through A => refused()
    tri: D is the foot of the bisector of angle B => inline(D,A,C) and same(ang(A,B,D),ang(D,B,C))
    tri: the median from A meets the opposite side at M => M == mid(B,C)
    empty: AB = 4, AC = 3, ∠A = 90° => same(d(A,B),4) and same(d(A,C),3) and same(ang(B,A,C),90) and count('claim') == 0
    empty: BC = 5, ∠B = 40°, ∠C = 60° => same(d(B,C),5) and same(ang(A,B,C),40) and same(ang(A,C,B),60)
    tri: the triangle must be turned 60 degrees to the left about B => poly(turn(A,B,60), B, turn(C,B,60))
    tri: the triangle should be reflected in AB => poly(A, B, refl(C,A,B))
    lines: reflect P first in m and then in l => point(refl(refl(P,C,D),A,B))
    three: put squares on the paper => refused()
    empty: a 3 4 5 triangle => any_poly(lambda c: sides(c,3,4,5))
    empty: draw a 30-60-90 triangle => any_poly(lambda c: has_angles(c,30,60,90))
    circ: the radius which goes to Q => seg(O,Q)
    circ: the radius through P => refused()
    tri: D and E are points on AB and AC with AD = AE => same(d(A,D),d(A,E)) and inline(D,A,B) and inline(E,A,C)
    empty: draw a right angle at T => any_angle(90)
    tri: P is a point equidistant from AB and AC => same(ang(B,A,P),ang(P,A,C)) and not P == A
    lines: Q is a point equidistant from l and m => same(abs(line_distance(Q,A,B)),abs(line_distance(Q,C,D)))
    quad: the three angles => refused()
    tri: reflect C in AB and call the new point D => D == refl(C,A,B)
    empty: AB = 4, AC = 3 => same(d(A,B),4) and same(d(A,C),3) and count('polygon') == 0
    tri: circle touching AB internally => refused()
    circ: the diameter QQ => refused()
    empty: quadrilateral ABCD with AB ∥ CD and AC ∥ BD => refused()
    circ: draw two circles k => refused()
    circ: tangent ST to k parallel to OP => refused()
    garden: the midpoint of the hedge AB => point(mid(A,B))
    circ: draw a square above the line AQ => any_poly(lambda c: has(c,A,Q) and regular(c) and len(c) == 4)
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


class SaidOfCirclesTest(unittest.TestCase):
    def test_a_point_that_was_made_to_lie_on_a_circle_is_the_end_of_a_radius_and_a_chord(self):
        board = BOARDS["circ"]().board
        for text in ("the diameter AB", "draw the radius OB", "draw the chord BQ"):
            perform(board, heard(text, board).edit)
        with self.assertRaises(Refusal):
            heard("draw the radius BQ", board)


def _measures(corners):
    """What can be said of a quadrilateral as it is: sides and diagonals by their lengths, corners by their angles."""
    places = dict(zip("ABCD", corners, strict=True))
    said = {f"{one}{other}": math.dist(places[one], places[other]) for one, other in combinations("ABCD", 2)}
    way = 1 if sum(x * v - u * y for (x, y), (u, v) in zip(corners, [*corners[1:], corners[0]], strict=True)) > 0 else -1
    for number, corner in enumerate("ABCD"):
        before, after = places["ABCD"[number - 1]], places["ABCD"[(number + 1) % 4]]
        x, y = places[corner]
        turned = math.degrees(math.atan2(before[1] - y, before[0] - x) - math.atan2(after[1] - y, after[0] - x))
        said[f"angle {corner}"] = way * turned % 360
    return said


#: Quadrilaterals with their corners gone round, convex.
_turns = st.tuples(*(st.floats(0.15, 0.85) for _ in range(4)))
_sizes = st.tuples(*(st.floats(3.0, 6.0) for _ in range(4)))


class CornersTest(unittest.TestCase):
    """Facts of a quadrilateral that there is: it is drawn so that they hold, or it is said that they are too many."""

    @settings(max_examples=tries(120), deadline=None)
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
        self.assertNotIn(None, places, text)
        drawn = _measures([place[:2] for place in places])
        for name, value in told.items():
            off = abs(drawn[name] - value)
            self.assertLess(off, 1e-6, f"{text}: {name} is {drawn[name]}")

    #: What makes a shape one of its kind, in the words of the checks.
    KINDS = (
        ("square", "rectangle([A,B,C,D],d(A,B),d(A,B))"),
        ("rectangle", "same(ang(A,B,C),90) and D == A+C-B"),
        ("rhombus", "D == A+C-B and same(d(A,B),d(B,C))"),
        ("parallelogram", "D == A+C-B"),
        ("kite", "same(d(A,B),d(A,D)) and same(d(C,B),d(C,D))"),
        ("trapezium", "parallel(A,B,C,D)"),
        ("quadrilateral", "True"),
        ("regular pentagon", "regular([A,B,C,D,E])"),
        ("regular hexagon", "regular([A,B,C,D,E,F])"),
    )

    def test_any_side_or_diagonal_of_any_shape_can_be_said(self):
        for kind, is_one in self.KINDS:
            corners = {"regular pentagon": "ABCDE", "regular hexagon": "ABCDEF"}.get(kind, "ABCD")
            sides = [f"{one}{other}" for one, other in zip(corners, corners[1:] + corners[0], strict=True)]
            for span in sides + (["AC", "BD"] if len(corners) == 4 else []):
                text = f"draw the {kind} {corners} with {span} = 5"
                check = f"same(d({span[0]},{span[1]}),5) and {is_one}"
                self.assertEqual(judged(said_on(BOARDS["empty"]().board, text), check), MEANT, text)

    def test_what_follows_and_what_does_not(self):
        for text, check in (
            ("quadrilateral ABCD with AB = CD and AB ∥ CD", "D == A + C - B"),
            ("quadrilateral ABCD with AB = AD and CB = CD", "same(d(A,B),d(A,D)) and same(d(C,B),d(C,D)) and not D == B"),
            ("quadrilateral ABCD with right angles at A and C", "same(ang(D,A,B),90) and same(ang(B,C,D),90)"),
            ("cyclic quadrilateral ABCD with AB = AD", "on_circle3(D,A,B,C) and same(d(A,B),d(A,D)) and not D == B"),
            ("cyclic quadrilateral ABCD with AB ∥ CD", "on_circle3(D,A,B,C) and parallel(A,B,C,D) and not D == C"),
            ("cyclic quadrilateral ABCD with AB = AD and BC = 5", "!convex(A,B,C,D) and same(d(A,B),d(A,D)) and same(d(B,C),5)"),
            (
                "draw the rhombus ABCD with AC = 8 and BD = 6",
                "same(d(A,C),8) and same(d(B,D),6) and same(d(A,B),d(B,C)) and same(d(C,D),d(D,A)) and same(d(A,B),d(D,A))",
            ),
            (
                "rhombus ABCD with AC = 8 and AB = 5",
                "same(d(A,C),8) and same(d(A,B),5) and same(d(B,C),5) and same(d(C,D),5) and same(d(D,A),5) and not B == D",
            ),
            ("draw the trapezium ABCD with right angles at A and D", "same(ang(D,A,B),90) and same(ang(A,D,C),90)"),
            (
                "draw the trapezium ABCD with AB = 8, CD = 4 and AD = 5",
                "parallel(A,B,C,D) and same(d(A,B),8) and same(d(C,D),4) and same(d(A,D),5) and !convex(A,B,C,D)",
            ),
            (
                "draw the trapezium ABCD with AB ∥ CD, AB = 8, CD = 4, angle A = 60 and AD = 5",
                "parallel(A,B,C,D) and same(ang(D,A,B),60) and same(d(C,D),4) and same(d(A,D),5)",
            ),
            (
                "draw the kite ABCD with AC = 8 and BD = 6",
                "same(d(A,C),8) and same(d(B,D),6) and same(d(A,B),d(A,D)) and same(d(C,B),d(C,D))",
            ),
            (
                "draw the kite ABCD with AB = 5, BC = 3 and AC = 6",
                "same(d(A,B),5) and same(d(A,D),5) and same(d(C,B),3) and same(d(C,D),3) and same(d(A,C),6) and not B == D",
            ),
            (
                "draw the parallelogram ABCD with AB = 5, BC = 4 and AC = 6",
                "D == A+C-B and same(d(A,B),5) and same(d(B,C),4) and same(d(A,C),6)",
            ),
            ("draw the square ABCD with AC = 6", "rectangle([A,B,C,D],6/2**0.5,6/2**0.5) and same(d(A,C),6)"),
            ("draw the rectangle ABCD with AC = 6", "D == A+C-B and same(ang(A,B,C),90) and same(d(A,C),6)"),
            ("draw the rectangle ABCD with AC = 6 and AB = 4", "D == A+C-B and same(ang(A,B,C),90) and same(d(A,C),6) and same(d(A,B),4)"),
            ("draw the square ABCD with AC = 6 and BD = 7", "refused()"),
            ("draw the kite ABCD with AB = BC and AD = 5", "same(d(A,B),d(B,C)) and same(d(A,D),5) and same(d(C,D),5)"),
            ("draw the rhombus ABCD with AC = 12 and AB = 5", "refused()"),
            ("draw the rectangle ABCD with AC = 6 and angle B = 80", "refused()"),
            ("draw the parallelogram ABCD with AC ∥ BD and AC = 5", "refused()"),
            (
                "draw the kite ABCD with AC = BD and AB = 4",
                "same(d(A,C),d(B,D)) and same(d(A,B),4) and same(d(A,D),4) and same(d(C,B),d(C,D))",
            ),
            ("draw the trapezium ABCD with AD ∥ BC and AB = 4", "parallel(A,D,B,C) and same(d(A,B),4)"),
            ("pentagon ABCDE with AB = 3 and BC = 3", "same(d(A,B),3) and same(d(B,C),3)"),
        ):
            self.assertEqual(judged(said_on(BOARDS["empty"]().board, text), check), MEANT, text)
        too_much = "quadrilateral ABCD with AB = 5, BC = 5, CD = 5, DA = 5, AC = 5 and BD = 5"
        self.assertEqual(judged(said_on(BOARDS["empty"]().board, too_much), "True"), REFUSED)
        self.assertEqual(judged(said_on(BOARDS["quad"]().board, "quadrilateral ABCD with AB = 5"), "True"), REFUSED)
