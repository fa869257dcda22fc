"""A bank of challenges with answers that students gave or could give: what is on the board, what is asked for, and for each answer what
is to be told of it. Written from the geometry, in sentences."""

R, W, N = "right", "right where it is there", "not yet"

#: Each: its name; the solution, of which the lines above the empty one are given; the names of the answer things, or what is sought and
#: the claims; and answers, each a text of sentences with the verdict that it deserves and why.
BANK = [
    dict(
        name="the middle of AB",
        given="A = (-3, 0)\nB = (3, 1)\nAB is the segment from A to B",
        solution="M is the midpoint of AB",
        answers="M",
        tried=[
            ("M is the midpoint of AB", R, "in one step"),
            ("k is the circle with centre A through B\nl is the circle with centre B through A\nall crossings of k and l\n"
             "p is the line through C and D\nX is where p meets AB", R, "by compasses, under another name"),
            ("p is the perpendicular bisector of AB\nF is the foot of the perpendicular from A to p", R, "by the foot on the bisector"),
            ("M = (0, 0.5)", N, "put where it is"),
            ("P is a point on AB at 0.5", N, "on AB, left half-way"),
            ("M = (0.004, 0.5)", N, "by eye"),
            ("P is the point that divides AB in the ratio 1 : 1", R, "in the ratio 1 to 1"),
            ("P is the point that divides AB in the ratio 1 : 2", N, "another ratio"),
            ("C = (2, 4)\np is the parallel to AB through C\nQ is the midpoint of A and B\nZ = (5, 5)", R,
             "with loose helpers of no use"),
            ("D = (1, 4)\nE is the midpoint of A and D\nF is the midpoint of D and B\np is the line through E and F", N, "not finished"),
            ("D = (1, 4)\nE is the midpoint of B and D\nq is the parallel to the line through A and D through E\nX is where q meets AB", R,
             "by a parallel through a helper of one's own"),
        ],
    ),
    dict(
        name="an equilateral triangle on AB, either side",
        given="A = (-2, -1)\nB = (3, 0)",
        solution="k is the circle with centre A through B\nl is the circle with centre B through A\nC is where k meets l, first crossing",
        answers="C",
        either=True,
        tried=[
            ("k is the circle with centre A through B\nl is the circle with centre B through A\nall crossings of k and l", R, "both"),
            ("the equilateral triangle on the side from A to B", R, "in one step"),
            ("P is the point A turned about B by 60 degrees", R, "turned, on the other side"),
            ("P is the point A turned about B by 61 degrees", N, "a wrong angle"),
            ("p is the perpendicular bisector of AB\nk is the circle with centre A through B\nX is where p meets k, second crossing", R,
             "bisector and circle"),
            ("p is the perpendicular bisector of AB\nX is a point on p at 0.8660254", N, "slid along the bisector"),
            ("k is the circle with centre A through B\nX is a point on k at 71.3099", N, "slid along the circle"),
            ("k is the circle with centre A and radius AB\nm is the midpoint of AB", N, "not finished"),
        ],
    ),
    dict(
        name="an equilateral triangle on AB, on the left",
        given="A = (-2, -1)\nB = (3, 0)",
        solution="k is the circle with centre A through B\nl is the circle with centre B through A\nC is where k meets l, first crossing",
        answers="C",
        tried=[
            ("P is the point B turned about A by 60 degrees", R, "turned"),
            ("P is the point A turned about B by 60 degrees", N, "the mirror image is not asked for"),
            ("P is the point A turned about B by -60 degrees", R, "turned the other way about the other end"),
            ("the equilateral triangle on the side from A to B", R, "in one step"),
            ("k is the circle with centre B through A\nl is the circle with centre A through B\nX is where k meets l, first crossing", N,
             "the circles in the other order"),
            ("k is the circle with centre B through A\nl is the circle with centre A through B\nX is where k meets l, second crossing", R,
             "and the other crossing of them"),
            ("X = (0.5, 3.83)", N, "by eye"),
            ("k is the circle with centre A through B", N, "not finished"),
        ],
    ),
    dict(
        name="the tangents from P",
        given="A = (-3, 0)\nB = (-1, 0)\nk is the circle with centre A through B\nP = (4, 1)",
        solution="t is the tangent from P to k, first one",
        answers="t",
        either=True,
        tried=[
            ("t is the tangent from P to k, second one", R, "the other tangent"),
            ("M is the midpoint of A and P\nc is the circle with centre M through A\nall crossings of c and k\n"
             "q is the line through P and C", R, "by Thales"),
            ("C is a point on k at 74\nq is the line through P and C", N, "slid until it looks like it"),
            ("q is the line through P and A", N, "through the centre"),
            ("q is the ray from P through B", N, "something else"),
            ("C is a point on k at 50\nq is the tangent to k at C", N, "a tangent that does not go through P"),
            ("r is the polar of P in k\nall crossings of r and k\nq is the line through C and P", R, "by the polar"),
            ("D is the touching point from P on k, first one\nq is the perpendicular to the line through A and D through D", R,
             "square to the radius"),
        ],
    ),
    dict(
        name="the circle round ABC",
        given="A = (-4, -2)\nB = (4, -1)\nC = (0, 4)",
        solution="k is the circle through A, B and C",
        answers="k",
        tried=[
            ("p is the perpendicular bisector of AB\nq is the perpendicular bisector of BC\nO is where p meets q\n"
             "c is the circle with centre O through C", R, "by two bisectors"),
            ("k is the circle through B, C and A", R, "in one step"),
            ("O = (0.14, -0.28)\nc is the circle with centre O through A", N, "centre by eye"),
            ("p is the perpendicular bisector of AB\nO is a point on p at 0.1\nc is the circle with centre O through A", N, "half tied"),
            ("k is the incircle of ABC", N, "another circle"),
            ("O is the circumcentre of ABC\nc is the circle with centre O and radius 5", N, "a number for the radius"),
            ("O is the circumcentre of ABC\nd is the distance from O to B\nc is the circle with centre O and radius d", R, "by a reading"),
            ("O is the circumcentre of ABC", N, "not finished"),
        ],
    ),
    dict(
        name="the foot of the altitude",
        given="A = (-4, -2)\nB = (4, -1)\nC = (0, 4)\np is the line through A and B",
        solution="F is the foot of the perpendicular from C to p",
        answers="F",
        tried=[
            ("k is the circle with centre A through C\nl is the circle with centre B through C\nD is where k meets l again, other than C\n"
             "q is the line through C and D\nX is where q meets p", R, "by compasses"),
            ("q is the perpendicular to p through C\nX is where q meets p", R, "by a perpendicular"),
            ("X is the midpoint of A and B", N, "the middle of the side"),
            ("X is a point on p at 0.54", N, "slid until it looks square"),
            ("M is the midpoint of A and C\nk is the circle with centre M through A\nX is where k meets p again, other than A", R,
             "by Thales"),
            ("D is the mirror image of C in p\nX is the midpoint of C and D", R, "by the mirror image"),
            ("q is the perpendicular to p through C", N, "not finished"),
            ("X = (0.33, -1.46)", N, "by eye"),
        ],
    ),
    dict(
        name="a rhombus with corners A and C",
        given="A = (-3, 0)\nC = (3, 1)",
        sought=[("Q", "polygon", ["A", "C"])],
        claims=["Q is a rhombus"],
        tried=[
            ("p is the perpendicular bisector of A and C\nB is a point on p at 0.4\nt is the reflection in the line through A and C\n"
             "D is the image of B under t\nABCD is the polygon through A, B, C, D", R, "on the bisector, with its mirror image"),
            ("k is the circle with centre A through C\nl is the circle with centre C through A\nall crossings of k and l\n"
             "Q is the polygon through A, B, C, D", R, "from two circles"),
            ("the rhombus on the side from A to C", R, "A and C as neighbours"),
            ("B = (0, 3)\nD is the fourth corner of the parallelogram ABC\nQ is the polygon through A, B, C, D", N, "only a parallelogram"),
            ("the square on the side from A to C", R, "a square is one"),
            ("B = (-0.5, 3.5)\nD = (0.5, -2.5)\nQ is the polygon through A, B, C, D", N, "by its places"),
            ("M is the midpoint of A and C\nB is the point A turned about M by 90 degrees\nD is the point C turned about M by 90 degrees\n"
             "Q is the polygon through A, B, C, D", R, "as a square"),
            ("p is the perpendicular bisector of A and C\nB is a point on p at 0.4\nD is a point on p at -0.4\n"
             "Q is the polygon through A, B, C, D", N, "both slid"),
        ],
    ),
    dict(
        name="a point from which AB is seen at 60°",
        given="A = (-2, 0)\nB = (2, 0)",
        sought=[("X", "point", [])],
        claims=["angle AXB = 60"],
        tried=[
            ("P is the point B turned about A by 60 degrees", R, "the top of the equilateral triangle"),
            ("P is the point B turned about A by 60 degrees\nk is the circle through A, B and P\nQ is a point on k at 80", R,
             "by its corner at least"),
            ("P is the point B turned about A by 60 degrees\nO is the centroid of ABP\nk is the circle with centre O through A\n"
             "t is the reflection in the point O\nD is the image of A under t", R, "opposite A on that circle"),
            ("X = (0, 3.4641016)", N, "put there"),
            ("M is the midpoint of A and B", N, "seen at 180°"),
            ("X is the point B turned about A by 90 degrees", N, "seen at 45°"),
            ("k is the circle with centre A through B\nX is a point on k at 60", N, "slid along a circle"),
            ("X is the point A turned about B by -60 degrees", R, "turned the other way"),
        ],
    ),
    dict(
        name="a line through P square to g",
        given="A = (-4, -2)\nB = (4, 0)\ng is the line through A and B\nP = (1, 3)",
        sought=[("x", "line", [])],
        claims=["P lies on x", "x is perpendicular to g"],
        tried=[
            ("q is the perpendicular to g through P", R, "in one step"),
            ("k is the circle with centre A through P\nl is the circle with centre B through P\nC is where k meets l again, other than P\n"
             "q is the line through P and C", R, "by two circles"),
            ("C is the foot of the perpendicular from P to g\nq is the line through C and P", R, "through the foot"),
            ("q is the perpendicular to g through A", N, "through another point"),
            ("q is the parallel to g through P", N, "a parallel"),
            ("C is a point on g at 0.66\nq is the line through P and C", N, "by eye"),
            ("C = (1.9, -0.6)\nq is the line through P and C", N, "by its places"),
            ("q is the perpendicular bisector of A and B\nr is the parallel to q through P", R, "parallel to a bisector"),
        ],
    ),
    dict(
        name="both points at equal distance from A and from the line",
        given="A = (0, 2)\nB = (-4, -1)\nC = (4, -1)\ng is the line through B and C\nP = (1, 3)\nQ = (6, 4)\nh is the line through P and Q",
        solution="M is the midpoint of P and Q\nN is the midpoint of A and B",
        answers="M N",
        tried=[
            ("X is the midpoint of P and Q\nY is the midpoint of A and B", R, "both, under other names"),
            ("X is the midpoint of P and Q", N, "one of two"),
            ("X is the midpoint of P and Q\nY is the midpoint of A and C", N, "one wrong"),
            ("X is the midpoint of P and Q\nY = (-2, 0.5)", N, "one put there"),
            ("X is the midpoint of P and Q\nY is the midpoint of P and Q\nZ = (1, 1)", N, "the same twice"),
            ("Y is the midpoint of B and A\nX is the midpoint of Q and P\nZ is the midpoint of A and C", R, "and one more"),
            ("k is the circle with centre P through Q", N, "something else"),
            ("p is the perpendicular bisector of A and B\nY is where p meets the line through A and B\nX is the midpoint of P and Q", R,
             "by a bisector"),
        ],
    ),
    dict(
        name="the incentre",
        given="A = (-4, -2)\nB = (5, -2)\nC = (0, 4)",
        solution="I is the incentre of ABC",
        answers="I",
        tried=[
            ("p is the bisector of angle BAC\nq is the bisector of angle ABC\nX is where p meets q", R, "two bisectors"),
            ("p is the bisector of angle BAC\nq is the bisector of angle ACB\nX is where q meets p", R, "two others"),
            ("G is the centroid of ABC", N, "another centre"),
            ("O is the circumcentre of ABC", N, "and another"),
            ("I = (0.36, 0.15)", N, "by eye"),
            ("p is the bisector of angle BAC\nX is a point on p at 0.5", N, "on one bisector only"),
            ("k is the incircle of ABC\nX is the centre of k", R, "the centre of the circle"),
            ("p is the bisector of angle BAC", N, "not finished"),
        ],
    ),
    dict(
        name="the orthocentre, for obtuse triangles too",
        given="A = (-4, -2)\nB = (5, -2)\nC = (0, 4)",
        solution="H is the orthocentre of ABC",
        answers="H",
        tried=[
            ("u is the perpendicular to the line through B and C through A\nv is the perpendicular to the line through A and C through B\n"
             "X is where u meets v", R, "two lines"),
            ("D is the foot of the perpendicular from A to the line through B and C\nE is the foot of the perpendicular from B to the line "
             "through A and C\nu is the segment from A to D\nv is the segment from B to E\nX is where u meets v", W,
             "segments meet in acute triangles only"),
            ("O is the circumcentre of ABC\nG is the centroid of ABC\nX is the point that divides OG in the ratio 3 : -2", R,
             "on Euler's line"),
            ("X is the centroid of ABC", N, "another centre"),
            ("X = (0, 1.33)", N, "by eye"),
            ("p is the perpendicular to the line through B and C through A\nX is a point on p at 0.4", N, "slid along one altitude"),
            ("M is the midpoint of A and B\nX is the mirror image of C in the line through A and B", N, "something else"),
            ("p is the perpendicular to the line through A and B through C", N, "not finished"),
        ],
    ),
    dict(
        name="the parallel through P",
        given="A = (-4, -2)\nB = (5, -1)\ng is the line through A and B\nP = (0, 3)",
        solution="h is the parallel to g through P",
        answers="h",
        tried=[
            ("D is the fourth corner of the parallelogram PAB\nq is the line through P and D", R, "by a parallelogram"),
            ("p is the perpendicular to g through P\nq is the perpendicular to p through P", R, "square twice"),
            ("M is the midpoint of P and B\nt is the reflection in the point M\nD is the image of A under t\n"
             "q is the line through D and P", R,
             "by a half turn"),
            ("Q = (9, 4)\nq is the line through P and Q", N, "by places that fit"),
            ("Q is a point on g at 0.5\nM is the midpoint of P and Q\nt is the reflection in the point M\nX is the image of A under t\n"
             "q is the line through P and X", R, "a half turn about a helper that slides"),
            ("q is the perpendicular to g through P", N, "square to it"),
            ("q is the parallel to g through A", N, "through another point"),
            ("q is the ray from P through A", N, "a ray, not a line"),
        ],
    ),
    dict(
        name="the mirror image of P",
        given="A = (-3, -3)\nB = (2, 4)\ng is the line through A and B\nP = (4, -1)",
        solution="Q is the mirror image of P in g",
        answers="Q",
        tried=[
            ("k is the circle with centre A through P\nl is the circle with centre B through P\n"
             "X is where k meets l again, other than P", R,
             "two circles"),
            ("F is the foot of the perpendicular from P to g\nt is the reflection in the point F\nX is the image of P under t", R,
             "by the foot"),
            ("t is the reflection in g\nX is the image of P under t", R, "by a reflection"),
            ("k is the circle with centre A through P\nX is a point on k at 130", N, "slid on one circle"),
            ("X = (-4, 4.7)", N, "by eye"),
            ("M is the midpoint of A and B\nt is the reflection in the point M\nX is the image of P under t", N, "a half turn"),
            ("X is the foot of the perpendicular from P to g", N, "half-way only"),
            ("k is the circle with centre A through P\nl is the circle with centre B through P\nall crossings of k and l", N,
             "both crossings: which of them it is changes with the side of P, so that neither is it everywhere"),
        ],
    ),
    dict(
        name="a third of AB",
        given="A = (-4, -1)\nB = (5, 2)\ns is the segment from A to B",
        solution="T is the point that divides AB in the ratio 1 : 2",
        answers="T",
        tried=[
            ("C = (-2, 4)\np is the ray from A through C\nk is the circle with centre C through A\nD is where p meets k, second crossing\n"
             "l is the circle with centre D through C\nE is where p meets l, second crossing\nh is the line through E and B\n"
             "q is the parallel to h through C\nX is where q meets s", R, "by a ray with three equal parts"),
            ("t is the enlargement from A by the factor 1/3\nX is the image of B under t", R, "by an enlargement"),
            ("C = (0, 5)\nG is the centroid of ABC\np is the parallel to the line through A and C through G\nX is where p meets s", R,
             "from the centroid of a helper triangle"),
            ("C = (0, 5)\nG is the centroid of ABC\np is the parallel to the line through B and C through G\nX is where p meets s", N,
             "from the centroid, but the other third"),
            ("X = (-1, 0)", N, "put there"),
            ("X is a point on s at 0.33333333", N, "slid there"),
            ("X is the point that divides AB in the ratio 2 : 1", N, "the other third"),
            ("M is the midpoint of A and B\nX is the midpoint of A and M", N, "a quarter"),
        ],
    ),
    dict(
        name="the length of the diagonal",
        given="A = (0, 0)\nB = (4, 0)\nC = (4, 3)\nD = (0, 3)\nABCD is the polygon through A, B, C, D",
        solution="d is the distance from A to C",
        answers="d",
        tried=[
            ("e is the distance from C to A", R, "from the other end"),
            ("AC is the segment from A to C\ne is the length of AC", R, "of a segment"),
            ("e is the distance from B to D", N, "the other diagonal"),
            ("e is the value of 5", N, "the number that it is now"),
            ("e is the distance from A to B\nf is the distance from B to C\ng is the value of sqrt(e^2 + f^2)", N,
             "right for rectangles only"),
            ("e is the value of AC", R, "as a formula"),
            ("e is the value of 2 * AC / 2", R, "in a roundabout way"),
            ("X = (1, 1)", N, "something else"),
        ],
    ),
    dict(
        name="the circle about M that touches g",
        given="A = (-5, -2)\nB = (5, 0)\ng is the line through A and B\nM = (1, 3)",
        sought=[("k", "circle", [])],
        claims=["k is tangent to g", "M is the centre of k"],
        tried=[],
    ),
    dict(
        name="a circle that touches g",
        given="A = (-5, -2)\nB = (5, 0)\ng is the line through A and B\nM = (1, 3)",
        sought=[("k", "circle", [])],
        claims=["k is tangent to g"],
        tried=[
            ("F is the foot of the perpendicular from M to g\nc is the circle with centre M through F", R, "about M"),
            ("q is the perpendicular to g through A\nN is a point on q at 0.4\nc is the circle with centre N through A", R,
             "touching in A"),
            ("c is the circle with centre M and radius 4", N, "a number"),
            ("c is the circle with centre M through A", N, "cuts it"),
            ("Q is a point on g at 0.55\nc is the circle with centre M through Q", N, "slid until it touches"),
            ("D is the mirror image of M in g\nE is the midpoint of D and M\nc is the circle with centre D through E", R,
             "from the other side"),
            ("F is the foot of the perpendicular from M to g\nc is the circle on the diameter from M to F", R,
             "smaller, and it touches too"),
            ("F is the foot of the perpendicular from M to g", N, "not finished"),
        ],
    ),
    dict(
        name="a right-angled triangle on AB",
        given="A = (-4, 0)\nB = (4, 1)",
        sought=[("C", "point", [])],
        claims=["angle ACB = 90"],
        tried=[
            ("k is the circle on the diameter from A to B\nX is a point on k at 70", R, "anywhere on the circle of Thales"),
            ("M is the midpoint of A and B\nk is the circle with centre M through A\nX is a point on k at -60", R, "and below"),
            ("X is the point B turned about A by 90 degrees", N, "a right angle in another corner"),
            ("P = (0, 5)\np is the line through A and P\nX is the foot of the perpendicular from B to p", R,
             "by a foot on a line through A"),
            ("X = (0, 4.5)", N, "by eye"),
            ("M is the midpoint of A and B", N, "on AB"),
            ("p is the perpendicular bisector of A and B\nM is the midpoint of A and B\nk is the circle with centre M through B\n"
             "X is where p meets k, first crossing", R, "with equal sides"),
            ("k is the circle with centre A through B\nX is a point on k at 80", N, "on another circle"),
        ],
    ),
    dict(
        name="a square with the diagonal AC",
        given="A = (-3, -1)\nC = (3, 2)",
        sought=[("S", "polygon", ["A", "C"])],
        claims=["S is a square"],
        tried=[
            ("M is the midpoint of A and C\nB is the point A turned about M by 90 degrees\nD is the point C turned about M by 90 degrees\n"
             "ABCD is the polygon through A, B, C, D", R, "turned about the middle"),
            ("the square on the side from A to C", R, "A and C are corners of that one as well"),
            ("the rhombus on the side from A to C", N, "only a rhombus"),
            ("the rectangle on the side from A to C", N, "only a rectangle"),
            ("p is the perpendicular bisector of A and C\nM is the midpoint of A and C\nk is the circle with centre M through A\n"
             "all crossings of p and k\nABCD is the polygon through A, B, C, D", R, "by the bisector and a circle"),
            ("B = (-1.5, 3.5)\nD = (1.5, -2.5)\nABCD is the polygon through A, B, C, D", N, "by its places"),
            ("k is the circle with centre A through C\nl is the circle with centre C through A\nall crossings of k and l\n"
             "ABCD is the polygon through A, B, C, D", N, "a rhombus of 60°"),
            ("M is the midpoint of A and C\nB is the point A turned about M by 90 degrees", N, "not finished"),
        ],
    ),
    dict(
        name="half of the angle",
        given="A = (5, -2)\nB = (-4, -2)\nC = (1, 4)",
        solution="w is the bisector of angle ABC",
        answers="w",
        tried=[
            ("k is the circle with centre B through A\np is the ray from B through C\nD is where p meets k, second crossing\n"
             "l is the circle with centre A through B\nm is the circle with centre D through B\nE is where l meets m again, other than B\n"
             "q is the line through B and E", R, "by compasses"),
            ("I is the incentre of ABC\nq is the line through B and I", R, "through the incentre"),
            ("M is the midpoint of A and C\nq is the line through B and M", N, "the median"),
            ("X = (3, 1.6)\nq is the line through B and X", N, "by eye"),
            ("q is the bisector of angle CBA", R, "the arms in the other order"),
            ("q is the bisector of angle BAC", N, "of another corner"),
            ("I is the incentre of ABC\nq is the segment from B to I", N, "a segment"),
            ("k is the circle with centre B through A\nX is a point on k at 21\nq is the line through B and X", N,
             "slid until it looks like it"),
        ],
    ),
    dict(
        name="the hexagon in the circle",
        given="M = (0, 0)\nA = (4, 1)\nk is the circle with centre M through A",
        sought=[("H", "polygon", ["A"])],
        claims=["H is regular"],
        tried=[
            ("the regular polygon with 6 corners about M through A", R, "in one step"),
            ("the regular polygon with 5 corners about M through A", R, "five corners are regular too"),
            ("the square on the side from A to M", R, "and so is a square on MA"),
            ("B is a point on k at 74\nthe triangle MAB", N, "slid along the circle"),
            ("l is the circle with centre A through M\nall crossings of l and k\nQ is the polygon through M, A, B", R,
             "a triangle of equal sides"),
            ("B = (0, 4)\nC = (-4, -1)\nQ is the polygon through A, B, C", N, "three corners by eye"),
            ("the rhombus on the side from M to A", N, "only a rhombus"),
            ("X = (1, 1)", N, "something else"),
        ],
    ),
    dict(
        name="where the dial says",
        given="A = (-4, 0)\nB = (4, 0)\nr is a dial from 1 to 5 in steps of 0.5 at 3\nk is the circle with centre A and radius r",
        solution="t is the tangent from B to k, first one",
        answers="t",
        either=True,
        tried=[
            ("M is the midpoint of A and B\nc is the circle with centre M through A\nall crossings of c and k\n"
             "q is the line through B and C", R,
             "by Thales, for every turn of the dial"),
            ("c is the circle with centre A and radius 3\nM is the midpoint of A and B\nl is the circle with centre M through A\n"
             "all crossings of l and c\nq is the line through B and C", N, "for the number that the dial shows now"),
            ("t is the tangent from B to k, second one", R, "the other one"),
            ("C is a point on k at 67.97\nq is the line through B and C", N, "slid there"),
            ("q is the line through A and B", N, "the line of centres"),
            ("D is the touching point from B on k, second one\nq is the line through B and D", R, "by the touching point"),
            ("C = (-2.875, 2.78)\nq is the line through B and C", N, "by its places"),
            ("D is the touching point from B on k, first one", N, "not finished"),
        ],
    ),
    dict(
        name="the fourth corner, all three of them",
        given="A = (-3, -2)\nB = (4, -1)\nC = (1, 4)",
        solution="D is the fourth corner of the parallelogram ABC\nE is the fourth corner of the parallelogram BCA\n"
        "F is the fourth corner of the parallelogram CAB",
        answers="D E F",
        tried=[
            ("X is the fourth corner of the parallelogram CBA\nY is the fourth corner of the parallelogram ACB\n"
             "Z is the fourth corner of the parallelogram BAC", R, "all three, the corners in other orders"),
            ("X is the fourth corner of the parallelogram ABC\nY is the fourth corner of the parallelogram BCA", N, "two of three"),
            ("u is the parallel to the line through A and B through C\nv is the parallel to the line through B and C through A\n"
             "w is the parallel to the line through A and C through B\nX is where u meets v\nY is where v meets w\nZ is where w meets u", R,
             "by three parallels"),
            ("X is the fourth corner of the parallelogram ABC\nY is the fourth corner of the parallelogram BCA\nZ = (8, 5)", N,
             "one put there"),
            ("M is the midpoint of A and B\nN is the midpoint of B and C\nL is the midpoint of C and A", N, "midpoints"),
            ("t is the translation from A to B\nX is the image of C under t\nu is the translation from B to A\n"
             "Y is the image of C under u\n"
             "v is the translation from C to A\nZ is the image of B under v", R, "by translations"),
            ("X is the fourth corner of the parallelogram ABC\nY is the fourth corner of the parallelogram ABC", N, "the same twice"),
            ("G is the centroid of ABC\nt is the enlargement from G by the factor -2\nthe images of A, B and C under t", R,
             "by an enlargement"),
        ],
    ),
]  # fmt: skip

#: For each challenge of the demo lessons an answer that is right, by the titles of their boards; None where there can be none.
DEMO = {
    "The bench half-way": (
        "k is the circle with centre Gate through Barn\n"
        "l is the circle with centre Barn through Gate\n"
        "all crossings of k and l\n"
        "q is the line through A and B\n"
        "X is where q meets p"
    ),
    "As far from three taps": (
        "p is the perpendicular bisector of A and B\n"
        "q is the perpendicular bisector of B and C\n"
        "X is where p meets q"
    ),
    "A bed with four equal sides": (
        "k is the circle with centre A through C\n"
        "l is the circle with centre C through A\n"
        "all crossings of k and l\n"
        "the polygon through A, B, C, D"
    ),
    "The stake that sees the wall": (
        "k is the circle with centre A through B\n"
        "l is the circle with centre B through A\n"
        "X is where k meets l, first crossing"
    ),
    "A path square to the wall": (
        "k is the circle with centre A through Well\n"
        "l is the circle with centre B through Well\n"
        "C is where k meets l again, other than Well\n"
        "the line through Well and C"
    ),
    "Both strings from the hive": (
        "m is the midpoint of M and Hive\n"
        "l is the circle with centre m through M\n"
        "all crossings of l and k\n"
        "the line through Hive and A\n"
        "the line through Hive and B"
    ),
    "Mirrored in the hedge": (
        "k is the circle with centre A through Post\n"
        "l is the circle with centre B through Post\n"
        "X is where k meets l again, other than Post"
    ),
    "A third of a corner": None,
}  # fmt: skip
