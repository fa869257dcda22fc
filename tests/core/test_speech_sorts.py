"""A shape that is said to be of a sort is of that sort, whatever else is said to be done with it: "inside the square ABCD" is no mere
quadrilateral."""

import itertools
import unittest

from ..bank.boards import BOARDS
from ..bank.judge import MEANT, judged, said_on

#: Shapes by what they are called, with what has to be so of them by coordinates.
_SORTS = {
    "square ABCD": "regular([A,B,C,D])",
    "rectangle ABCD": "same(d(A,C),d(B,D)) and same(A+C,B+D)",
    "rhombus ABCD": "same(A+C,B+D) and same(d(A,B),d(B,C))",
    "parallelogram ABCD": "same(A+C,B+D)",
    "trapezium ABCD": "parallel(A,B,C,D) or parallel(B,C,D,A)",
    "kite ABCD": "same(dot(A-C,B-D),0)",
    "isosceles trapezium ABCD": "same(d(A,C),d(B,D))",
    "cyclic quadrilateral ABCD": "same(d(circum(A,B,C),D),d(circum(A,B,C),A))",
    "equilateral triangle ABC": "equilateral([A,B,C])",
    "isosceles triangle ABC": "same(d(A,B),d(A,C)) or same(d(A,B),d(B,C)) or same(d(B,C),d(A,C))",
    "right-angled triangle ABC": "right_triangle([A,B,C])",
    "regular pentagon ABCDE": "regular([A,B,C,D,E])",
    "regular hexagon ABCDEF": "regular([A,B,C,D,E,F])",
}
#: What may be said of them.
_USES = """
    let P be a point inside the {}
    a point P on the {}
    put a point P outside the {}
    draw the diagonals of the {}
    let the diagonals of the {} meet at O
    reflect the {} in the line AB
    rotate the {} about A by 40 degrees
    translate the {} 3 to the right
    enlarge the {} from A by 2
    the image of the {} under the reflection in AB
    the area of the {}
    the perimeter of the {}
    measure the angles of the {}
    let M be the midpoint of the side AB of the {}
    join the midpoints of the sides of the {}
    the circumcircle of the {}
    the incircle of the {}
    the angle bisectors of the {}
    the altitudes of the {}
    the medians of the {}
    the centroid of the {}
    M is the centre of the {}
    in the {} let M be the midpoint of AB
    given the {}, draw AC
    the {} is given
    draw the {} and its diagonals
    draw a circle about the {}
    the perpendicular bisectors of the sides of the {}
    construct a square on the side AB of the {}
    produce the side AB of the {} to X
    the locus of points inside the {}
    is the {} cyclic?
    colour the {} red
    hide the {}
    M and N are the midpoints of the sides AB and BC of the {}
    P is a point on the side AB of the {}
    let P be a point on the side AB of the {}
    join the midpoints of the sides AB and BC of the {}
    let P and Q be points on the sides AB and BC of the {}
    draw the perpendicular bisectors of the sides AB and BC of the {}
    draw semicircles on the sides AB and BC of the {}
    draw the diagonal AC of the {}
    the midpoint of the diagonal AC of the {}
    the bisectors of angles A and B of the {}
    the bisectors of the angles A and B of the {} meet at X
    the altitudes from A and B of the {}
    the distance from A to the side BC of the {}
    the parallel to the side AB of the {} through C
    the median from A of the {}
    let the perpendicular from A to the side BC of the {} meet it at X
    the bisector of angle B of the {} meets AC at X
    let AC and BD be the diagonals of the {}
    O is the intersection of the diagonals of the {}
    AB and BC are sides of the {}
    the angle at A of the {}
    A and B are corners of the {}
    a circle through the corners A, B and C of the {}
    reflect the side AB of the {} in the line BC
    the sides AB and BC of the {} are produced to X and Y
    tangents at the corners A and B of the {} to its circumcircle
    X is the reflection of A in the side BC of the {}
"""


class SortsTest(unittest.TestCase):
    def test_a_shape_of_a_sort_is_one_wherever_it_is_spoken_of(self):
        drawn, otherwise = 0, []
        for (sort, check), use in itertools.product(_SORTS.items(), _USES.strip().splitlines()):
            text = use.strip().format(sort)
            seen = said_on(BOARDS["empty"]().board, text)
            if any(step.id not in seen.before for step in seen.board.steps):
                drawn += 1
                otherwise += [text] * (judged(seen, check) != MEANT)
        self.assertEqual(otherwise, [])
        self.assertGreater(drawn, 200)

    def test_of_one_that_is_there_and_not_of_that_sort_nothing_is_made(self):
        for sort, use in itertools.product(_SORTS, _USES.strip().splitlines()):
            text = use.strip().format(sort)
            seen = said_on(BOARDS["tri" if "triangle" in sort else "quad"]().board, text)
            self.assertEqual([step.does for step in seen.board.steps if step.id not in seen.before], [], text)


if __name__ == "__main__":
    unittest.main()
