"""More of the bank of challenges, of circles, shapes and images. Written from the geometry before any of it was judged."""

R, W, N = "right", "right where it is there", "not yet"

#: As in ``challenges.BANK``.
FURTHER = [
    dict(
        name="the centre of a circle through three points",
        given="A = (-3, -2)\nB = (4, -1)\nC = (0, 3)\nk is the circle through A, B and C",
        solution="O is the centre of k",
        answers="O",
        tried=[
            ("p is the perpendicular bisector of A and B\nq is the perpendicular bisector of B and C\nX is where p meets q", R,
             "by two chords"),
            ("p is the perpendicular to the line through A and B through A\nD is where p meets k again, other than A\n"
             "X is the midpoint of B and D", R, "by Thales"),
            ("D is a point on k at 10\nE is a point on k at 130\np is the perpendicular bisector of D and E\n"
             "q is the perpendicular bisector of A and D\nX is where p meets q", R, "by chords between helpers that slide"),
            ("X is the circumcentre of ABC", R, "in one step"),
            ("X is the centroid of ABC", N, "another centre"),
            ("X = (0.45, -0.68)", N, "by eye"),
            ("p is the perpendicular bisector of A and B\nX is a point on p at 0.05", N, "slid along one bisector"),
            ("M is the midpoint of A and B", N, "the middle of a chord"),
            ("D is a point on k at 100\nX is the midpoint of A and D", N, "the middle of a chord that was slid to the middle"),
        ],
    ),
    dict(
        name="the chord that P halves",
        given="M = (0, 0)\nA = (4, 1)\nk is the circle with centre M through A\nP = (1, 1.5)",
        solution="h is the perpendicular to the line through M and P through P",
        answers="h",
        tried=[
            ("q is the perpendicular to the line through P and M through P", R, "square to the radius"),
            ("c is the circle with centre P through M\nn is the line through M and P\nD is where n meets c again, other than M\n"
             "q is the perpendicular bisector of M and D", R, "by a bisector"),
            ("r is the polar of P in k\nq is the parallel to r through P", R, "parallel to the polar"),
            ("q is the polar of P in k", N, "the polar itself"),
            ("q is the line through P and M", N, "the diameter"),
            ("q is the line through P and A", N, "through a point that is given"),
            ("B is a point on k at 10.6\nq is the line through P and B", N, "slid"),
            ("D = (2.5, 0.5)\nq is the line through P and D", N, "by places that fit"),
            ("B is the point M turned about P by 90 degrees\nq is the line through P and B", R, "a quarter turn"),
        ],
    ),
    dict(
        name="the circle that touches g at A and goes through B",
        given="A = (-2, -1)\nD = (4, 0)\ng is the line through A and D\nB = (1, 3)",
        solution="p is the perpendicular to g through A\nq is the perpendicular bisector of A and B\nM is where p meets q\n"
        "k is the circle with centre M through A",
        answers="k",
        tried=[
            ("u is the perpendicular bisector of B and A\nv is the perpendicular to g through A\nN is where u meets v\n"
             "c is the circle with centre N through B", R, "in another order, under other names"),
            ("p is the perpendicular to g through A\nE is the mirror image of B in p\nc is the circle through A, B and E", R,
             "by a mirror image"),
            ("p is the perpendicular to g through A\nN is a point on p at 0.45\nc is the circle with centre N through A", N,
             "its centre slid"),
            ("c is the circle on the diameter from A to B", N, "through both, and it cuts g"),
            ("c is the circle through A, B and D", N, "cuts g"),
            ("c is the circle with centre B through A", N, "about B"),
            ("p is the perpendicular to g through A\nq is the perpendicular bisector of A and B\nN is where p meets q\n"
             "c is the circle with centre N and radius 2.6", N, "a number for the radius"),
            ("p is the perpendicular to g through A\nq is the perpendicular bisector of A and B\nN is where p meets q", N, "not finished"),
            ("Z = (5, 5)\nu is the perpendicular to g through A\nv is the perpendicular bisector of A and B\nN is where u meets v\n"
             "w is the line through N and Z\nc is the circle with centre N through A", R, "with loose helpers of no use"),
        ],
    ),
    dict(
        name="the tangent in a point that slides",
        given="M = (0, 0)\nA = (3, 1)\nk is the circle with centre M through A\nP is a point on k at 40",
        solution="t is the tangent to k at P",
        answers="t",
        tried=[
            ("q is the perpendicular to the line through M and P through P", R, "square to the radius"),
            ("c is the circle with centre P through M\nn is the line through M and P\nD is where n meets c again, other than M\n"
             "q is the perpendicular bisector of M and D", R, "by a bisector"),
            ("B is the point M turned about P by 90 degrees\nq is the line through P and B", R, "a quarter turn"),
            ("B is the point M turned about P by 89 degrees\nq is the line through P and B", N, "not quite a quarter"),
            ("q is the polar of P in k", R, "the polar of a point of the circle"),
            ("q is the perpendicular to the line through M and A through P", N, "square to another radius"),
            ("q is the tangent to k at A", N, "in another point"),
            ("B is a point on k at 41\nq is the line through P and B", N, "a chord so short that it looks like it"),
            ("B is the point M turned about P by 90 degrees\nq is the ray from P through B", N, "half of it"),
        ],
    ),
    dict(
        name="where the tangents at A and B meet",
        given="M = (0, 0)\nA = (3, 1)\nk is the circle with centre M through A\nB is a point on k at 120",
        solution="u is the tangent to k at A\nv is the tangent to k at B\nX is where u meets v",
        answers="X",
        tried=[
            ("x is the perpendicular to the line through M and A through A\ny is the perpendicular to the line through M and B through B\n"
             "Y is where x meets y", R, "square to the radii"),
            ("D is the midpoint of A and B\nn is the line through M and D\nc is the circle through M, A and B\n"
             "Y is where n meets c again, other than M", R, "opposite M on the circle round MAB"),
            ("D is the midpoint of A and B\ni is the inversion in k\nY is the image of D under i", R, "the middle of the chord, inverted"),
            ("Y is the mirror image of M in the line through A and B", N, "mirrored in the chord"),
            ("Y is the midpoint of A and B", N, "the middle of the chord"),
            ("u is the tangent to k at A\nY is a point on u at 1.2", N, "slid on one tangent"),
            ("Y = (1.8, 4.6)", N, "put there by eye"),
            ("u is the tangent to k at A\nv is the tangent to k at B", N, "not finished"),
        ],
    ),
    dict(
        name="two fifths of the way",
        given="A = (-5, -1)\nB = (5, 1.5)\ns is the segment from A to B",
        solution="P is the point that divides AB in the ratio 2 : 3",
        answers="P",
        tried=[
            ("t is the enlargement from A by the factor 2/5\nX is the image of B under t", R, "by an enlargement"),
            ("t is the enlargement from A by the factor 2/3\nX is the image of B under t", N, "part to part taken for part to whole"),
            ("X is the point that divides BA in the ratio 3 : 2", R, "from the other end"),
            ("X is the point that divides BA in the ratio 2 : 3", N, "from the wrong end"),
            ("C = (-3, 3)\nD is the point that divides AC in the ratio 2 : 3\nh is the parallel to the line through C and B through D\n"
             "X is where h meets s", R, "by an intercept"),
            ("X = (-1, 0)", N, "on the lattice"),
            ("X is a point on s at 0.4", N, "on AB, at the right place"),
            ("X is the midpoint of A and B", N, "the middle"),
            ("C is the point that divides AB in the ratio 4 : 1\nX is the midpoint of A and C", R, "half of four fifths"),
        ],
    ),
    dict(
        name="the centroid",
        given="A = (-4, -2)\nB = (5, -1)\nC = (1, 5)",
        solution="G is the centroid of ABC",
        answers="G",
        tried=[
            ("D is the midpoint of B and C\nE is the midpoint of A and C\nu is the segment from A to D\nv is the segment from B to E\n"
             "X is where u meets v", R, "by two medians"),
            ("D is the midpoint of B and C\nX is the point that divides AD in the ratio 2 : 1", R, "two thirds of a median"),
            ("D is the midpoint of B and C\nX is the point that divides AD in the ratio 1 : 2", N, "a third of it"),
            ("D is the fourth corner of the parallelogram BAC\nX is the point that divides AD in the ratio 1 : 2", R,
             "a third of another diagonal"),
            ("D is the fourth corner of the parallelogram ABC\nX is the point that divides BD in the ratio 1 : 2", R,
             "a third of a diagonal"),
            ("X is the incentre of ABC", N, "another centre"),
            ("X = (0.66, 0.67)", N, "by eye"),
            ("D is the midpoint of B and C\nm is the segment from A to D\nX is a point on m at 0.6666667", N, "slid on a median"),
            ("D is the midpoint of B and C\nm is the segment from A to D", N, "not finished"),
        ],
    ),
    dict(
        name="a point as far from A as from B",
        given="A = (-3, -1)\nB = (4, 1)",
        sought=[("C", "point", [])],
        claims=["AC = BC"],
        tried=[
            ("p is the perpendicular bisector of A and B\nX is a point on p at 0.7", R, "anywhere on the bisector"),
            ("k is the circle with centre A through B\nl is the circle with centre B through A\n"
             "all crossings of k and l", R, "by circles"),
            ("X = (-1.5, 7)", N, "put upon the bisector"),
            ("X is the point B turned about A by 60 degrees", R, "equilateral"),
            ("X is the point B turned about A by 59 degrees", N, "nearly equilateral"),
            ("k is the circle with centre A through B\nX is a point on k at 75.945", N, "slid"),
            ("D = (1, 5)\nX is the circumcentre of ABD", R, "a circumcentre"),
            ("D = (1, 5)\nX is the foot of the perpendicular from D to the line through A and B", N, "a foot"),
            ("d is a dial from 4 to 9 in steps of 0.5 at 5\nk is the circle with centre A and radius d\n"
             "l is the circle with centre B and radius d\n"
             "X is where k meets l, first crossing", R, "by a dial of one's own"),
        ],
    ),
    dict(
        name="a circle through A and B with its centre on g",
        given="A = (-2, 2)\nB = (3, 3)\nC = (-4, -2)\nD = (5, -1)\ng is the line through C and D",
        solution="p is the perpendicular bisector of A and B\nM is where p meets g\nk is the circle with centre M through A",
        answers="k",
        tried=[
            ("q is the perpendicular bisector of A and B\nX is where g meets q\nc is the circle with centre X through B", R, "through B"),
            ("E is the mirror image of A in g\nc is the circle through A, B and E", R, "by a mirror image"),
            ("X is a point on g at 0.55\nc is the circle with centre X through A", N, "its centre slid"),
            ("c is the circle on the diameter from A to B", N, "its centre on AB"),
            ("q is the perpendicular bisector of A and B\nX is where g meets q\nc is the circle with centre X and radius 4", N,
             "a number for the radius"),
            ("c is the circle through A, B and C", N, "through a point of g"),
            ("q is the perpendicular bisector of A and B\nX is where g meets q", N, "not finished"),
            ("X = (1.3, -1.4)\nc is the circle with centre X through A", N, "by eye"),
        ],
    ),
    dict(
        name="a parallelogram with three corners",
        given="A = (-4, -1)\nB = (3, -2)\nC = (4, 3)",
        sought=[("Q", "polygon", ["A", "B", "C"])],
        claims=["Q is a parallelogram"],
        tried=[
            ("D is the fourth corner of the parallelogram ABC\nQ is the polygon through A, B, C, D", R, "B across from D"),
            ("D is the fourth corner of the parallelogram BCA\nQ is the polygon through B, C, A, D", R, "C across from it"),
            ("D is the fourth corner of the parallelogram ABC\nQ is the polygon through A, C, B, D", N, "crossed"),
            ("D = (-3, 4)\nQ is the polygon through A, B, C, D", N, "put there"),
            ("u is the parallel to the line through A and B through C\nv is the parallel to the line through B and C through A\n"
             "D is where u meets v\nQ is the polygon through A, B, C, D", R, "by two parallels"),
            ("v is the parallel to the line through B and C through A\nD is a point on v at 0.8\nQ is the polygon through A, B, C, D", N,
             "a trapezium"),
            ("M is the midpoint of A and C\nt is the reflection in the point M\nD is the image of B under t\n"
             "Q is the polygon through A, B, C, D", R, "by a half turn"),
            ("D is the fourth corner of the parallelogram ABC", N, "not finished"),
        ],
    ),
    dict(
        name="a kite with the corners A and C",
        given="A = (-3, 0)\nC = (4, 1)",
        sought=[("Q", "polygon", ["A", "C"])],
        claims=["Q is a kite"],
        tried=[
            ("B = (1, 3)\nD is the mirror image of B in the line through A and C\nQ is the polygon through A, B, C, D", R,
             "a free corner and its mirror image"),
            ("B = (1, 3)\nD = (1, -3)\nQ is the polygon through A, B, C, D", N, "by places"),
            ("p is the perpendicular bisector of A and C\nB is a point on p at 0.4\nD is a point on p at -0.3\n"
             "Q is the polygon through A, B, C, D", R, "A and C as the wings"),
            ("k is the circle with centre A through C\nl is the circle with centre C through A\nall crossings of k and l\n"
             "Q is the polygon through A, B, C, D", R, "a rhombus is a kite"),
            ("B = (1, 3)\nD is the fourth corner of the parallelogram ABC\nQ is the polygon through A, B, C, D", N, "a parallelogram"),
            ("the square on the side from A to C", R, "a square is a kite"),
            ("the rectangle on the side from A to C", N, "a rectangle is none"),
            ("B = (1, 3)\nD is the mirror image of B in the line through A and C", N, "not finished"),
        ],
    ),
    dict(
        name="the excentre across from A",
        given="A = (-4, -2)\nB = (4, -1)\nC = (0, 3)\nABC is the polygon through A, B, C",
        solution="E is the excentre of ABC that faces its first corner",
        answers="E",
        tried=[
            ("p is the bisector of angle ABC\nq is the perpendicular to p through B\nr is the bisector of angle CAB\n"
             "X is where q meets r", R,
             "a bisector and the perpendicular to another"),
            ("p is the bisector of angle ABC\nq is the perpendicular to p through B\nr is the bisector of angle ACB\n"
             "s is the perpendicular to r through C\nX is where q meets s", R, "two perpendiculars"),
            ("p is the bisector of angle ABC\nr is the bisector of angle CAB\nX is where p meets r", N, "the incentre"),
            ("p is the bisector of angle ABC\nq is the perpendicular to p through B\nr is the bisector of angle CAB\n"
             "s is the perpendicular to r through A\nX is where q meets s", N, "the excentre across from C"),
            ("I is the incentre of ABC\nc is the circle on the diameter from B to C\n"
             "X is the mirror image of I in the line through B and C",
             N, "the incentre mirrored in the side"),
            ("I is the incentre of ABC\nc is the circle through B, C and I\nr is the line through A and I\n"
             "X is where r meets c again, other than I", R, "across from the incentre on the circle through B, C and it"),
            ("r is the bisector of angle CAB\nX is a point on r at 1.9", N, "slid on a bisector"),
            ("X = (7.2, 3.4)", N, "by eye"),
        ],
    ),
    dict(
        name="AB after a half turn about M",
        given="A = (-3, 2)\nB = (1, 3)\nM = (2, -1)\nAB is the segment from A to B",
        solution="t is the reflection in the point M\nC is the image of A under t\nD is the image of B under t\n"
        "u is the segment from C to D",
        answers="u",
        tried=[
            ("h is the reflection in the point M\nC is the image of A under h\nD is the image of B under h\n"
             "w is the segment from D to C", R,
             "from its other end"),
            ("h is the reflection in the point M\nC is the image of A under h\nD is the image of B under h\n"
             "w is the line through C and D", N,
             "a line"),
            ("k is the circle with centre M through A\nl is the line through A and M\nC is where l meets k again, other than A\n"
             "m is the circle with centre M through B\nn is the line through B and M\nD is where n meets m again, other than B\n"
             "w is the segment from C to D", R, "by compasses"),
            ("h is the reflection in the line through A and M\nC is the image of A under h\nD is the image of B under h\n"
             "w is the segment from C to D", N, "a mirror image"),
            ("C is the point A turned about M by 179 degrees\nD is the point B turned about M by 179 degrees\n"
             "w is the segment from C to D", N,
             "nearly half"),
            ("C = (7, -4)\nD = (3, -5)\nw is the segment from C to D", N, "by places that fit"),
            ("C is the point A turned about M by 180 degrees\nD is the point B turned about M by 180 degrees\n"
             "w is the segment from C to D", R,
             "turned"),
            ("C is the point A turned about M by 180 degrees", N, "not finished"),
            ("D is the point B turned about M by 180 degrees\nv is the parallel to AB through D\n"
             "E is the fourth corner of the parallelogram "
             "BAD\nC is the mirror image of E in the line through M and D\n"
             "w is the segment from C to D", N, "from a corner on the wrong side"),
        ],
    ),
    dict(
        name="P moved as A is moved to B",
        given="A = (-4, -1)\nB = (0, 1)\nP = (1, -2)",
        solution="t is the translation from A to B\nQ is the image of P under t",
        answers="Q",
        tried=[
            ("X is the fourth corner of the parallelogram BAP", R, "a fourth corner"),
            ("X is the fourth corner of the parallelogram ABP", N, "the other way"),
            ("M is the midpoint of B and P\nh is the reflection in the point M\nX is the image of A under h", R, "by a half turn"),
            ("u is the parallel to the line through A and B through P\nv is the parallel to the line through A and P through B\n"
             "X is where u meets v", R, "by two parallels"),
            ("c is the circle with centre P and radius AB\nX is a point on c at 26.565", N, "slid on a circle"),
            ("X = (5, 0)", N, "on the lattice"),
            ("c is the circle with centre P and radius AB\nu is the parallel to the line through A and B through P\n"
             "all crossings of u and c",
             R, "a length carried on a parallel"),
            ("c is the circle with centre P and radius 4.472135955\nu is the parallel to the line through A and B through P\n"
             "all crossings of u and c", N, "the length as a number"),
            ("t is the translation from B to A\nX is the image of P under t", N, "moved back"),
        ],
    ),
    dict(
        name="P after a quarter turn about O, to the left",
        given="O = (-1, -1)\nP = (2, 0)",
        solution="Q is the point P turned about O by 90 degrees",
        answers="Q",
        tried=[
            ("X is the point P turned about O by -90 degrees", N, "the mirror image is not asked for"),
            ("p is the perpendicular to the line through O and P through O\nk is the circle with centre O through P\n"
             "all crossings of p and k",
             R, "both, and one of them is always it"),
            ("the square on the side from O to P", R, "a corner of a square"),
            ("h is the rotation about O by 90 degrees\nX is the image of P under h", R, "by a rotation"),
            ("Y is the point P turned about O by 45 degrees\nX is the point Y turned about O by 45 degrees", R, "twice half of it"),
            ("k is the circle with centre O through P\nX is a point on k at 108.435", N, "slid"),
            ("X = (-2, 2)", N, "on the lattice"),
            ("X is the point O turned about P by 90 degrees", N, "about the wrong point"),
        ],
    ),
    dict(
        name="all points of g as far from P as A from B",
        given="A = (-5, 3)\nB = (-1, 4)\nC = (-4, -2)\nD = (5, -1)\ng is the line through C and D\nP = (1, 1)",
        solution="c is the circle with centre P and radius AB\nX is where c meets g, first crossing",
        answers="X",
        either=True,
        every=True,
        tried=[
            ("k is the circle with centre P and radius AB\nall crossings of g and k", R, "both"),
            ("k is the circle with centre P and radius AB\nX is where g meets k, first crossing", N, "one of two"),
            ("k is the circle with centre P and radius AB\nX is where g meets k, first crossing\nY is where g meets k, first crossing", N,
             "one of them twice"),
            ("k is the circle with centre P and radius AB\nX is where g meets k, first crossing\n"
             "F is the foot of the perpendicular from P to g\nh is the reflection in the line through P and F\n"
             "Y is the image of X under h", R,
             "one and its mirror image"),
            ("h is the translation from A to P\nE is the image of B under h\nk is the circle with centre P through E\n"
             "all crossings of k and g",
             R, "the length carried by a parallelogram"),
            ("k is the circle with centre P and radius 4.1231056\nall crossings of g and k", N, "a number for the length"),
            ("k is the circle with centre A through B\nall crossings of g and k", N, "about A"),
            ("X is a point on g at 0.1\nY is a point on g at 0.9", N, "slid"),
        ],
    ),
    dict(
        name="the common chord's line",
        given="M = (-2, 0)\nA = (2, 1)\nk is the circle with centre M through A\nN = (3, 1)\nB = (0, 3)\n"
        "l is the circle with centre N through B",
        solution="X is where k meets l, first crossing\nY is where k meets l, second crossing\nc is the line through X and Y",
        answers="c",
        tried=[
            ("all crossings of k and l\nq is the line through D and C", R, "the two points in the other order"),
            ("C is where k meets l, first crossing\nq is the perpendicular to the line through M and N through C", R,
             "one point and a perpendicular"),
            ("q is the radical axis of k and l", R, "in one step"),
            ("q is the perpendicular bisector of M and N", N, "right for circles of one size only"),
            ("all crossings of k and l\nq is the segment from C to D", N, "a segment"),
            ("C is where k meets l, first crossing\nq is the line through C and M", N, "through a centre"),
            ("C is a point on k at 60\nD is a point on l at -100\nq is the line through C and D", N, "slid"),
            ("C is where k meets l, first crossing\nD is the mirror image of C in the line through M and N\n"
             "q is the line through C and D", R,
             "one point and its mirror image"),
        ],
    ),
    dict(
        name="the square on AB, on the left",
        given="A = (-3, -2)\nB = (2, -1)",
        solution="the square on the side from A to B",
        answers="ABCD",
        tried=[
            ("the square on the side from B to A", N, "the mirror image is not asked for"),
            ("D is the point B turned about A by 90 degrees\nC is the point A turned about B by -90 degrees\n"
             "Q is the polygon through A, B, C, D", R, "two turns"),
            ("D is the point B turned about A by 90 degrees\nC is the point A turned about B by -90 degrees\n"
             "Q is the polygon through D, C, B, A", R, "the corners the other way round"),
            ("the rectangle on the side from A to B", N, "only a rectangle"),
            ("C = (1, 4)\nD = (-4, 3)\nQ is the polygon through A, B, C, D", N, "on the lattice"),
            ("the rhombus on the side from A to B", N, "only a rhombus"),
            ("D is the point B turned about A by 90 degrees\nC is the point A turned about B by -90 degrees", N, "not finished"),
            ("D is the point B turned about A by 90 degrees\nh is the translation from A to B\nC is the image of D under h\n"
             "Q is the polygon through A, B, C, D", R, "a turn and a translation"),
        ],
    ),
]  # fmt: skip
