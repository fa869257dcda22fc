"""What teachers mean, each in very many wordings that are put together by chance, with a check by geometry.

A wording has alternatives in brackets, and in braces names of lists of alternatives: "{DRAW} (the|a) median from {C}".
"""

import random
import re
from collections.abc import Iterator

from .run import Line

_LISTS = {
    "DRAW": "Draw|Construct|Make|Sketch|Show|Add|Put in|Draw in|Now draw|Please draw|Can you draw|Let's draw|We want|I need|Draw me",
    "FIND": "Find|Mark|Locate|Construct|Show|Get|Plot|Determine|Identify|Label|Where is|What is",
    "SEGL": "AB|line AB|the line AB|side AB|the segment AB|the line through A and B",
    "SEGS": "AB|the segment AB|segment AB|the line segment AB",
    "SEG": "AB|the segment AB|line segment AB|side AB|the line AB|A and B|the line joining A and B|the segment from A to B|the "
    "straight line AB",
    **{name: f"{name}|point {name}|the point {name}" for name in "ABCDPQ"},
}

#: On which board it is said, the wording, and the check.
INTENTS = [
    ("three", "{FIND} the (midpoint|mid-point|middle|halfway point|centre|mid point) of {SEG}",
     "point(mid(A,B)) or told(mid(A,B))"),
    ("three", "{FIND} the point (halfway|half way|midway) between {A} and {B}",
     "point(mid(A,B)) or told(mid(A,B))"),
    ("three", "{DRAW} (the|a) (perpendicular bisector|right bisector|mediator|mid-perpendicular) of {SEG}",
     "straight(mid(A,B),perp(mid(A,B),A,B))"),
    ("three", "{DRAW} (the|a) circle (with centre|centred at|centred on|centre|about|around|with its centre at) {A} (through|passing "
     "through|that passes through|which goes through|going through) {B}",
     "circle(A,d(A,B))"),
    ("three", "{DRAW} (the|a) circle (with centre|centred at|centre|about|around) {C} (with|and|of|,) radius (4|4 cm|of 4 cm|equal to "
     "4|four)",
     "circle(C,4)"),
    ("three", "{DRAW} (the|a) circle (with centre|centred at|about) {C} (with|and|of) radius (AB|equal to AB|the length of AB|the "
     "distance AB)",
     "circle(C,d(A,B))"),
    ("three", "{DRAW} (the|a) circle (with|on|having) (diameter AB|AB as diameter|AB as a diameter|AB as its diameter)",
     "circle(mid(A,B),d(A,B)/2)"),
    ("three", "{DRAW} (the|a) circle (through|passing through|that goes through|which passes through) (A, B and C|the points A, B and "
     "C|all three points|A, B, C)",
     "circle(circum(A,B,C),d(circum(A,B,C),A))"),
    ("three", "{DRAW} (the|a) (parallel|line parallel) (to|with) {SEGL} (through|that passes through|passing through|which goes "
     "through|at|from) {C}",
     "straight(C,par(C,A,B))"),
    ("three", "{DRAW} (the|a) (perpendicular|line perpendicular|normal) to {SEGL} (through|passing through|from|that goes through|at) {C}",
     "on_new_straight(C) and on_new_straight(foot(C,A,B))"),
    ("three", "(Drop|Draw|Let fall|Construct) (a|the) perpendicular from {C} (to|onto|on|on to) {SEGL}",
     "on_new_straight(C) and on_new_straight(foot(C,A,B))"),
    ("three", "{FIND} the foot of the (perpendicular|altitude) from {C} (to|on|onto) {SEGL}",
     "point(foot(C,A,B)) or told(foot(C,A,B))"),
    ("three", "{DRAW} (the|a) (bisector|angle bisector) of (angle|the angle|∠) (ABC|CBA|at B|B)",
     "straight(B,bis(A,B,C))"),
    ("three", "(Bisect|Halve|Cut in half) (angle|the angle|∠) (ABC|CBA|B|at B)",
     "straight(B,bis(A,B,C))"),
    ("three", "(Measure|Find|Calculate|What is|Show|Give|Work out|Tell me) (the length of AB|the length of the segment AB|the "
     "distance between A and B|the distance from A to B)",
     "reading(d(A,B))"),
    ("three", "(How long is|Measure|What's the length of) (AB|segment AB|the segment AB|side AB)",
     "reading(d(A,B))"),
    ("three", "(Measure|Find|What is|Show|How big is|Calculate|Give me) (angle|the angle|∠|the size of angle) (ABC|CBA)",
     "reading(ang(A,B,C))"),
    ("three", "(Reflect|Mirror|Flip) {C} (in|over|across|about) {SEGL}",
     "point(refl(C,A,B))"),
    ("three", "{FIND} the (reflection|mirror image|image) of {C} (in|over|across) {SEGL}",
     "point(refl(C,A,B)) or told(refl(C,A,B))"),
    ("three", "(Rotate|Turn|Spin) {B} (by|through|) (90°|90 degrees|a quarter turn|a right angle) (anticlockwise |counterclockwise |"
     ")(about|around|round) {A}",
     "point(turn(B,A,90))"),
    ("three", "(Rotate|Turn) {B} (clockwise by|clockwise through) (60°|60 degrees) (about|around) {A}",
     "point(turn(B,A,-60))"),
    ("three", "(Translate|Move|Shift|Slide) {C} by (the vector AB|vector AB|AB)",
     "point(C+B-A)"),
    ("three", "(Enlarge|Dilate|Scale) {B} (by|with) (a factor of 2|factor 2|scale factor 2|a scale factor of 2) (from|about|with "
     "centre|centre) {A}",
     "point(scale(B,A,2))"),
    ("three", "(Extend|Produce|Prolong) AB (to D so that BD = AB|by its own length to D|to D with BD = AB|beyond B to D so that BD = AB)",
     "D == 2*B-A"),
    ("three", "{FIND} the point (that divides|which divides|dividing) AB in the ratio (1:2|1 : 2|1 to 2|one to two)",
     "point(A+(B-A)/3) or told(A+(B-A)/3)"),
    ("three", "(Divide|Split|Cut) {SEGS} into (three|3) (equal parts|equal pieces|parts|congruent segments)",
     "point(A+(B-A)/3) and point(A+2*(B-A)/3)"),
    ("three", "(Join|Connect|Link) {A} (to|and|with) {B}",
     "seg(A,B) or straight(A,B)"),
    ("three", "{DRAW} (the|a) (segment|line segment|straight line|line) (from A to B|joining A and B|between A and B|AB|connecting A "
     "to B|joining A to B)",
     "seg(A,B) or straight(A,B)"),
    ("three", "{DRAW} (the|a) ray (from A through B|AB|starting at A through B|from A towards B|with endpoint A through B)",
     "ray(A,B)"),
    ("three", "{DRAW} (an equilateral triangle|a regular triangle) (on|with side|on side|with base) AB",
     "any_poly(lambda c: len(c)==3 and equilateral(c) and has(c,A) and has(c,B))"),
    ("three", "{DRAW} a square (on|with side|on side|having side) AB",
     "any_poly(lambda c: len(c)==4 and regular(c) and has(c,A) and has(c,B))"),
    ("tri", "{DRAW} (the|a) (altitude|height) (from|through) {C}",
     "on_new_straight(C) and on_new_straight(foot(C,A,B))"),
    ("tri", "{DRAW} (the|a) median (from|through) {C}",
     "on_new_straight(C) and on_new_straight(mid(A,B))"),
    ("tri", "{FIND} the (centroid|barycentre|center of gravity|centre of mass)( of the triangle| of ABC| of triangle ABC|)",
     "point(cent(A,B,C)) or told(cent(A,B,C))"),
    ("tri", "{FIND} the (circumcentre|circumcenter)( of the triangle| of ABC| of triangle ABC|)",
     "point(circum(A,B,C)) or told(circum(A,B,C))"),
    ("tri", "{FIND} the (orthocentre|orthocenter)( of the triangle| of ABC| of triangle ABC|)",
     "point(ortho(A,B,C)) or told(ortho(A,B,C))"),
    ("tri", "{DRAW} the (circumcircle|circumscribed circle)( of the triangle| of ABC| of triangle ABC|)",
     "circle(circum(A,B,C),d(circum(A,B,C),A))"),
    ("tri", "{DRAW} the (incircle|inscribed circle)( of the triangle| of ABC| of triangle ABC|)",
     "circle(incen(A,B,C),area(A,B,C)*2/(d(A,B)+d(B,C)+d(C,A)))"),
    ("tri", "{DRAW} (the three|all three|all the|the) (altitudes|heights)( of the triangle| of ABC|)",
     "on_new_straight(foot(A,B,C)) and on_new_straight(foot(B,A,C)) and on_new_straight(foot(C,A,B))"),
    ("tri", "{DRAW} (the three|all three|all the|the) medians( of the triangle| of ABC|)",
     "on_new_straight(mid(A,B)) and on_new_straight(mid(B,C)) and on_new_straight(mid(C,A))"),
    ("tri", "(Find|Measure|What is|Calculate|Work out|Show) the (area|size) of (the triangle|ABC|triangle ABC)",
     "reading(area(A,B,C))"),
    ("tri", "(Find|Measure|What is|Calculate|Work out|Show) the perimeter of (the triangle|ABC|triangle ABC)",
     "reading(d(A,B)+d(B,C)+d(C,A))"),
    ("circ", "{DRAW} (the|a) tangent (to the circle|to k|) (at|in|touching at|through) {A}",
     "straight(A,perp(A,O,A))"),
    ("circ", "{DRAW} (the|both|the two|two) tangents (from|through) {P} (to the circle|to k|)",
     "tangents(P,'k')"),
    ("circ", "{DRAW} (the|a) chord (AQ|from A to Q|joining A and Q|between A and Q|through A and Q)",
     "seg(A,Q)"),
    ("circ", "{DRAW} (the|a) diameter (through|from|at|that starts at) {A}",
     "seg(A,2*O-A)"),
    ("circ", "(Take|Choose|Mark|Pick|Put|Place|Let R be) (a point R|any point R|some point R|R) on (the circle|k|the circumference)",
     "on(R,'k') and slides('R')"),
    ("lines", "{FIND} (the intersection|the point of intersection|the crossing point|the intersection point) of (l and m|the lines l "
     "and m|lines l and m|the two lines|the lines)",
     "point(meet(A,B,C,D)) or told(meet(A,B,C,D))"),
    ("lines", "{DRAW} (the|a) (parallel|line parallel) to (l|line l|the line l) through {P}",
     "straight(P,par(P,A,B))"),
]  # fmt: skip


def worded(chance: random.Random, each: int) -> Iterator[Line]:
    """So many wordings of everything that is meant."""
    for number, (board, form, check) in enumerate(INTENTS):
        for _ in range(each):
            text = re.sub(r"\{(\w+)\}", lambda found: chance.choice(_LISTS[found[1]].split("|")), form)
            while (found := re.search(r"\(([^()]*\|[^()]*)\)", text)) is not None:
                text = text[: found.start()] + chance.choice(found[1].split("|")) + text[found.end() :]
            text = " ".join(text.split()).replace(" ,", ",")
            yield Line(number, "any", board, "worded", text if chance.random() < 0.7 else text[:1].lower() + text[1:], check)
